// Sheets of approved numbers, tests/data/approved-*.txt: what a model gives, as it was last looked at. A change of any rule
// shows there, line by line, for somebody to say whether it was meant. They don't say that a number is right: the workings by
// hand do (coefficients_test.cpp and the tests of each model); they say that none changed unnoticed.
// Four figures, so that another compiler's last digits are not a change. To take what is new: MACHAIR_APPROVE=1 core_tests "*approved*"
#pragma once

#include <catch2/catch.hpp>
#include <cstdlib>
#include <fstream>
#include <sstream>

#include "sizing/figures.h"
#include "sizing/handles.h"
#include "sizing/needs.h"
#include "team/team.h"
#include "water/sink.h"

namespace machair::tests {

// Lines of names and numbers.
class Sheet {
  public:
    Sheet& row(const std::string& name) {
        text_ += (text_.empty() ? "" : "\n") + name;
        return *this;
    }
    Sheet& add(std::string_view name, double value) {
        std::ostringstream out;
        constexpr double kNothing = 1e-9;  // what rounding leaves of nought
        out.precision(4);
        out << (std::abs(value) < kNothing ? 0.0 : value);
        text_ += " " + std::string(name) + "=" + out.str();
        return *this;
    }
    Sheet& add(std::string_view name, Length value) { return add(name, value / mm); }
    template <class Value>
    Sheet& add(std::string_view name, const std::optional<Value>& value) {
        return value ? add(name, *value) : *this;
    }
    Sheet& say(std::string_view words) {
        text_ += " " + std::string(words);
        return *this;
    }
    [[nodiscard]] std::string text() const { return text_ + "\n"; }

  private:
    std::string text_;
};

inline void addPart(Sheet& sheet, const Plan& plan, std::size_t part) {
    sheet.row("  " + std::string(nameOf(plan.parts[part].kind)));
    for (const Figure& figure : figuresOf(plan, part))
        if (const double* value = std::get_if<double>(&figure.value)) sheet.add(figure.key, *value).add("±", figure.tolerance);
}

inline void addFly(Sheet& sheet, const Plan& plan) {
    for (std::size_t part = 0; part < plan.parts.size(); ++part)
        addPart(sheet, plan, part);
    const HeadBudget& head = plan.head;
    sheet.row("  room").add("needed", head.needed).add("available", head.available).add("diameter", head.diameter).add("from", head.from);
    sheet.add("to", head.to).add("usual", head.usual).add("slope_takes", head.slopeCutTakes).say(nameOf(head.crowded));
    for (const RoomShare& share : head.shares)
        sheet.add("of", share.room);
    for (const Remedy& remedy : head.remedies)
        sheet.add("buys", remedy.buys);
    sheet.row("  needs");
    for (const Need& need : needsOf(plan)) {
        sheet.say(need.material).add("mm", need.length).add("fibres", need.fibres).add("slip", need.slip).add("stem", need.stem);
        sheet.add("feathers", need.feathers).add("per_set", need.perSet);
        if (need.mass) sheet.add("mg", *need.mass / mg);
    }
    sheet.row("  handles");
    for (const Handle& handle : handlesOf(plan))
        sheet.add("x", handle.at.x).add("y", handle.at.y);
    const SinkReport sink = sinkReport(plan);
    sheet.row("  water").add("mg", sink.mass / mg).add("submerged", sink.submerged / millinewton);
    sheet.add("sink", sink.sinkRate / metrePerSecond)
        .add("presence", sink.presence / millinewton)
        .add("silhouette", sink.silhouette / (mm * mm));
    if (sink.film) sheet.add("film", *sink.film / millinewton);
    const FlyFigures figures = figuresOf(plan, sink);
    sheet.add("full", figures.full)
        .add("stiff", figures.stiff)
        .add("hold", figures.hold())
        .add("L", figures.seen.L)
        .add("a", figures.seen.a);
    sheet.add("b", figures.seen.b).add("long", figures.length / mm);
    for (const double length : figures.lengths)
        sheet.add("like", length);
    for (const Warning& warning : plan.warnings)
        sheet.row("  " + std::string(nameOf(warning.severity)) + " " + std::string(nameOf(warning.concern))).add("over", warning.over);
}

inline void addChecks(Sheet& sheet, const std::vector<TeamCheck>& checks) {
    for (const TeamCheck& check : checks) {
        sheet.row("  " + std::string(nameOf(check.term)) + " " + std::string(nameOf(check.upper)) + "-" + std::string(nameOf(check.lower)));
        sheet.add("is", check.value).add("low", check.low).add("high", check.high).add("short", check.shortfall).say(nameOf(check.verdict));
    }
}

inline std::string fileOf(const char* name) { return std::string(MACHAIR_APPROVED) + "/approved-" + name + ".txt"; }

// The first lines that differ are enough to see which rule it was.
inline void isApproved(const char* name, const std::string& now) {
    if (std::getenv("MACHAIR_APPROVE")) {
        std::ofstream(fileOf(name)) << now;
        SUCCEED("taken");
        return;
    }
    std::ifstream in(fileOf(name));
    std::istringstream made(now);
    std::string wanted, got, heading;
    std::size_t lines = 0, differ = 0;
    constexpr std::size_t kShown = 5;
    while (std::getline(made, got)) {
        ++lines;
        if (!got.starts_with(' ')) heading = got;
        const bool there = static_cast<bool>(std::getline(in, wanted));
        if (there && wanted == got) continue;
        if (++differ > kShown) break;
        INFO(heading << "\napproved: " << (there ? wanted : "nothing") << "\n     now: " << got);
        CHECK(false);
    }
    CHECK(lines > 20);
    CHECK_FALSE(std::getline(in, wanted));  // nothing is missing at the end
}

}  // namespace machair::tests
