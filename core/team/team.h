// Three flies as one instrument: models.md section 11. Here what its checks need of the flies one by one and in pairs:
// sink order and steps, and presence order.
#pragma once

#include <optional>
#include <string>
#include <vector>

#include "book/book.h"
#include "sizing/plan.h"
#include "water/sink.h"

namespace machair {

struct TeamFly {
    Position position = Position::bob;
    Plan plan;
    SinkReport sink;
};

enum class Verdict { pass, near, off };
template <>
struct Names<Verdict> {
    static constexpr std::array entries = {NameOf{Verdict::pass, "pass"}, NameOf{Verdict::near, "near"},
                                           NameOf{Verdict::off, "off"}};
};

struct TeamCheck {
    std::string check;   // its name outside: "sink_step", "presence_order"
    Position upper = Position::bob;
    Position lower = Position::point;
    std::optional<double> value;
    std::optional<double> low;
    std::optional<double> high;
    Verdict verdict = Verdict::pass;
    std::string words;
    std::string mend;  // empty where it passes
};

// What a school wants of a pair. Rules of thumb, as data.
struct SchoolRules {
    double sinkStep = 1.15;      // the lower fly sinks at least so many times faster
    double sinkNear = 0.10;      // how far short is still "near"
    double presenceOrder = 1.0;  // the upper fly pushes at least so many times the water
    double presenceNear = 0.10;
    std::string belief;
};
[[nodiscard]] SchoolRules rulesOf(School school);

struct TeamReport {
    std::vector<TeamFly> flies;  // in order from bob to point
    std::vector<TeamCheck> checks;
    Verdict verdict = Verdict::pass;  // the worst of its checks
};

// Faults: no such team, and whatever planning its flies finds.
[[nodiscard]] Result<TeamReport> weighTeam(const Book& book, std::string_view teamId, double celsius = kUsualCelsius);
[[nodiscard]] TeamReport weighFlies(std::vector<TeamFly> flies, School school);

}  // namespace machair
