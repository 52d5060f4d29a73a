// One to five flies as one instrument: models-team.md section D. Every check is of one fly, of a pair or of the leader between
// two, which is what makes the searches over teams exact.
#pragma once

#include <memory>
#include <optional>
#include <string>
#include <vector>

#include "book/book.h"
#include "sizing/plans.h"
#include "team/figures.h"
#include "team/place.h"
#include "team/rule_card.h"
#include "team/rules.h"
#include "water/sea.h"
#include "water/sink.h"

namespace machair {

struct TeamFly {
    Position position = Position::bob;
    Plan plan;
    SinkReport sink;
    FlyFigures figures;
};

enum class Verdict { pass, near, off };
template <>
struct Names<Verdict> {
    static constexpr std::array entries = {NameOf{Verdict::pass, "pass"}, NameOf{Verdict::near, "near"}, NameOf{Verdict::off, "off"}};
};
[[nodiscard]] Verdict verdictOf(double shortfall);

struct TeamCheck {
    TeamTerm term = TeamTerm::sinkStep;
    Position upper = Position::bob;
    Position lower = Position::point;  // the same as `upper` where one fly is judged
    std::optional<double> value;
    std::optional<double> low;
    std::optional<double> high;
    double shortfall = 0.0;  // in near-widths
    Verdict verdict = Verdict::pass;
    std::string words;
    std::string mend;  // empty where it passes
};

struct TeamReport {
    std::vector<TeamFly> flies;  // in order from bob to point
    std::vector<TeamCheck> checks;
    Verdict verdict = Verdict::pass;  // the worst of its checks
    SchoolRules rules;
    double wave = 0.0;  // m, that it is judged in: the day's, else of the usual ones that which suits it best
    bool waveGiven = false;
    struct InWave {
        double wave = 0.0;
        Verdict verdict = Verdict::pass;
    };
    std::vector<InWave> suits;  // where no wave is given: each of the usual ones
};

// What a team is judged under beside its school.
struct TeamSetting {
    double celsius = kUsualCelsius;
    SeenIn seen;
    TeamDay day;
    const RuleCard* card = nullptr;
    ContestState contest;
    std::shared_ptr<Plans> plans = {};  // where plans of its flies are kept; made anew each time without
};
// What a team is judged under on a water of the book: one function for the cast, Balance, Choose, Water and the command
// line, so that all say one verdict.
[[nodiscard]] TeamSetting settingOf(const Book& book, const WaterSpec* water, std::shared_ptr<Plans> plans = {});
// The rows of the season that speak of a month.
[[nodiscard]] std::vector<const SeasonRow*> seasonOf(const Book& book, std::optional<int> month);

// Faults: no such team, and whatever planning its flies finds.
[[nodiscard]] Result<TeamReport> weighTeam(const Book& book, const TeamId& teamId, const TeamSetting& setting = {});
[[nodiscard]] TeamReport weighFlies(std::vector<TeamFly> flies, const SchoolRules& rules, const TeamSetting& setting,
                                    const std::optional<LeaderSpec>& leader);
[[nodiscard]] TeamFly teamFly(Position position, Plan plan, const TeamSetting& setting);
// "the waves from 0.06 to 0.15 m suit it", of a team that no day is given for.
[[nodiscard]] std::string saySuits(const TeamReport& report);
// The verdict in the words that everything that shows it uses.
[[nodiscard]] std::string sayVerdict(const TeamReport& report);

// One pair's checks in words.
[[nodiscard]] std::vector<TeamCheck> checkPair(const FlyFigures& upper, Position upperAt, const FlyFigures& lower, Position lowerAt,
                                               const PairPlace& place, const SchoolRules& rules);
// Where the pair stands among the positions that have a fly.
[[nodiscard]] PairPlace placeOf(Position upper, Position lower, const std::vector<Position>& taken);

}  // namespace machair
