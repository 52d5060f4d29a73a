// Ask any number: no figure without an answer, and every answer holds.
#include "asking/asking.h"

#include <catch2/catch.hpp>
#include <fstream>
#include <set>

#include "asking/day.h"
#include "asking/rules.h"
#include "sizing/figures.h"
#include "team/team.h"
#include "tests/samples.h"
#include "units/text.h"

using namespace machair;
using namespace machair::tests;

namespace {

// Walks an answer down to what is measured or written; how deep it went.
int depthOf(const Plan& plan, const FigureRef& figure, std::vector<FigureRef>& above) {
    REQUIRE(std::ranges::find(above, figure) == above.end());  // no number is reckoned from itself
    const auto answer = ask(plan, figure);
    INFO(figure.key);
    REQUIRE(answer);
    CHECK_FALSE(answer->name.empty());
    CHECK_FALSE(answer->value.empty());
    CHECK(answer->formula.size() > 10);
    CHECK(answer->source.starts_with("models"));
    CHECK(answer->howFar.size() > 20);
    above.push_back(figure);
    int deepest = 0;
    for (const AskedInput& input : answer->inputs) {
        CHECK_FALSE(input.name.empty());
        CHECK_FALSE(input.value.empty());
        if (input.ask) deepest = std::max(deepest, depthOf(plan, *input.ask, above));
    }
    above.pop_back();
    return deepest + 1;
}

}  // namespace

TEST_CASE("every figure of every fly of the album, on its sizes, can be asked down to what was measured or written") {
    const Book album = store::readBenchFile(MACHAIR_ALBUM)->book;
    std::size_t asked = 0;
    int deepest = 0;
    for (const Pattern& pattern : album.patterns)
        for (const int size : {6, 10, 16}) {
            const auto plan = planOnSize(album, pattern.id, size);
            if (!plan) continue;
            INFO(pattern.id << " on a " << size);
            for (const FigureRef& figure : figuresToAsk(*plan)) {
                std::vector<FigureRef> above;
                deepest = std::max(deepest, depthOf(*plan, figure, above));
                ++asked;
            }
        }
    CHECK(asked > 5000);
    CHECK(deepest >= 3);
}

TEST_CASE("an answer says the same number that the plan does, and its inputs those that it was reckoned from") {
    const Plan plan = planPattern(demoBook(), "kelp-lantern").value();
    for (std::size_t part = 0; part < plan.parts.size(); ++part)
        for (const Figure& figure : figuresOf(plan, part))
            CHECK(ask(plan, {AskedOf::part, part, figure.key})->value == displayOf(figure));
    const auto rib = std::ranges::find(plan.parts, PartKind::rib, &PartPlan::kind) - plan.parts.begin();
    const auto pitch = ask(plan, {AskedOf::part, static_cast<std::size_t>(rib), "pitch_mm"});
    REQUIRE(pitch);
    REQUIRE(pitch->inputs.size() == 3);
    CHECK(pitch->inputs[2].name == "turns");
    CHECK(pitch->inputs[2].value == formatShort(std::get<RibPlan>(plan.parts[static_cast<std::size_t>(rib)].detail).turns, 1));
    CHECK_FALSE(ask(plan, {AskedOf::part, 0, "moonlight_mm"}));
    CHECK_FALSE(ask(plan, {AskedOf::part, 99, "length_mm"}));
}

TEST_CASE("a hook that was measured says so, and a nominal one says its rule") {
    Book book = demoBook();
    HookSpec& hook = *std::ranges::find(book.hooks, book.findPattern("kelp-lantern")->hook, &HookSpec::id);
    hook.measured = HookMeasures{};
    hook.measured->gape = 5.9 * mm;
    const auto gape = ask(planPattern(book, "kelp-lantern").value(), {AskedOf::hook, 0, "gape_mm"});
    CHECK(gape->trust == Trust::measured);
    CHECK(gape->value == "5.9 mm");
    hook.measured.reset();
    CHECK(ask(planPattern(book, "kelp-lantern").value(), {AskedOf::hook, 0, "gape_mm"})->trust == Trust::ruleOfThumb);
}

TEST_CASE("every check of every team of the demo has its answer, and so has every term there is") {
    const Book book = demoBook();
    for (const TeamSpec& team : book.teams) {
        const auto report = weighTeam(book, team.id);
        REQUIRE(report);
        for (const TeamCheck& check : report->checks) {
            const Derivation answer = ask(*report, check);
            CHECK_FALSE(answer.formula.empty());
            CHECK(answer.inputs.size() >= 2);
        }
    }
    CHECK(termRules().size() == static_cast<std::size_t>(TeamTerm::dropper) + 1);
    for (int term = 0; term <= static_cast<int>(TeamTerm::dropper); ++term)
        CHECK_NOTHROW(termRule(static_cast<TeamTerm>(term)));
}

TEST_CASE("no rule stands twice, and each answers for a figure that some fly has") {
    std::set<std::pair<std::string_view, std::string_view>> seen;
    for (const AskRule& rule : askRules())
        CHECK(seen.insert({rule.subject, rule.key}).second);
    std::set<std::string> asked;
    for (const char* file : {MACHAIR_ALBUM, MACHAIR_DEMO}) {
        const Book book = store::readBenchFile(file)->book;
        for (const Pattern& pattern : book.patterns)
            if (const auto plan = planWhatCan(book, pattern.id))
                for (const FigureRef& figure : figuresToAsk(*plan))
                    asked.insert(figure.key);
    }
    for (const AskRule& rule : askRules()) {
        INFO(rule.subject << " " << rule.key);
        CHECK(asked.contains(std::string(rule.key)));
    }
}

TEST_CASE("the guide's chapter of the numbers is the one that the rules make") {
    std::ifstream in(std::string(MACHAIR_DOCS) + "/guide/numbers.md");
    const std::string written{std::istreambuf_iterator<char>(in), {}};
    CHECK(written == whereTheNumbersComeFrom() + whereTheDaysNumbersComeFrom());
}

TEST_CASE("the wave, the drift, a depth and a drawer answer with the numbers that went in") {
    // 0.0016 · 8 · √(1000 / 9.81) = 0.129 m; 0.286 · ∛(1000 · 8 / 9.81²) = 1.25 s; 0.035 · 8 = 0.28 m/s.
    const Wind wind{8.0 * metrePerSecond, 1000.0 * metre, false};
    CHECK(ask(wind, {}, 0, SeaTerm::height).value == "13 cm");
    CHECK(ask(wind, {}, 0, SeaTerm::period).value == "1.2 s");
    const Derivation drift = ask(wind, {}, 0, SeaTerm::drift);
    CHECK(drift.value == "0.28 m/s");
    CHECK(drift.inputs.back().value == "0.035, as boats do");
    CHECK(ask({wind.speed, wind.fetch, true}, {0.04, 0.02}, 1, SeaTerm::drift).inputs.back().value == "0.020, of 1 day of your boat");
    for (const SeaTerm term : kSeaTerms) {
        const Derivation answer = ask(wind, {}, 0, term);
        CHECK(answer.formula.size() > 20);
        CHECK(answer.howFar == sayTrust(answer.trust));
        CHECK(answer.inputs.size() == 2);
    }

    const Book book = demoBook();
    const auto team = weighTeam(book, "west-shore");
    Handling handling;
    handling.count = 3.0 * second;
    handling.retrieveFor = 2.0 * second;
    const DriftReport run = runDrift(rigOf(team->flies, measuresOf(book.findTeam("west-shore")->leader)), handling);
    const auto depth = ask(run, *team, Position::point, 3.0 * second);
    REQUIRE(depth);
    CHECK(depth->name == "depth of the point after 3.0 s");
    CHECK(depth->value == formatNumber(*run.samples[60].depth[Position::point] / metre, 2) + " m");
    CHECK(depth->inputs.size() == 3);
    CHECK_FALSE(ask(run, *team, Position::upper, 3.0 * second));  // none hangs there

    const auto wanted = stockWanted(book);
    REQUIRE(wanted);
    REQUIRE_FALSE(wanted->empty());
    const Derivation lasts = ask(wanted->front());
    CHECK(lasts.name == "how far " + wanted->front().title + " lasts");
    CHECK(lasts.inputs[1].value == wanted->front().wants);
}
