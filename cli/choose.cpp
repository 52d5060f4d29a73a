// choose: the best teams of the fly box for a day, or the flies for one place.
#include "team/choose.h"
#include <algorithm>
#include "cli/day.h"
#include "cli/fly_report.h"
#include "cli/report.h"
#include "daybook/learned.h"
#include "units/text.h"

namespace machair::cli {

namespace {

// A fly by its id in the box, by its dressing, or by its dressing on a hook: "kelp-lantern@wet-10".
std::optional<std::size_t> candidateNamed(const std::vector<BoxCandidate>& box, const std::string& name) {
    const auto found = std::ranges::find_if(box, [&](const BoxCandidate& fly) {
        return fly.id == name || fly.fly.pattern == name || fly.fly.pattern + "@" + fly.fly.hook.value_or("") == name;
    });
    return found == box.end() ? std::nullopt : std::optional(static_cast<std::size_t>(found - box.begin()));
}

Json choiceReport(const ChoiceReport& report, const std::vector<BoxCandidate>& box) {
    Json teams = Json::array();
    for (const Choice& choice : report.teams) {
        Json flies = Json::array(), couldBe = Json::object();
        for (std::size_t p = 0; p < kTrio.size(); ++p) {
            Json fly = flyReport(box[choice.flies[p]]);
            fly["position"] = std::string(nameOf(kTrio[p]));
            flies.push_back(std::move(fly));
            Json others = Json::array();
            for (const std::size_t other : choice.couldBe[p])
                others.push_back(flyReport(box[other]));
            couldBe[std::string(nameOf(kTrio[p]))] = std::move(others);
        }
        teams.push_back({{"score", choice.score},
                         {"verdict", std::string(nameOf(choice.verdict))},
                         {"flies", std::move(flies)},
                         {"reasons", choice.reasons},
                         {"could_be", std::move(couldBe)},
                         {"to_tie", choice.toTie},
                         {"checks", checksReport(choice.checks)}});
    }
    Json leftOut = Json::array();
    for (const LeftOut& out : report.leftOut) {
        Json fly = flyReport(box[out.fly]);
        fly["why"] = out.why;
        leftOut.push_back(std::move(fly));
    }
    return {{"teams", std::move(teams)},
            {"examined", report.examined},
            {"pairs_scanned", report.pairsScanned},
            {"left_out", std::move(leftOut)}};
}

std::string choiceText(const ChoiceReport& report, const std::vector<BoxCandidate>& box) {
    std::string text;
    for (std::size_t i = 0; i < report.teams.size(); ++i) {
        const Choice& choice = report.teams[i];
        text += std::to_string(i + 1) + ". " + box[choice.flies[0]].title + " / " + box[choice.flies[1]].title + " / " +
                box[choice.flies[2]].title + "  (" + formatNumber(choice.score, 0) + " of 100, " + std::string(nameOf(choice.verdict)) +
                ")\n";
        for (const std::string& reason : choice.reasons)
            text += "     " + reason + "\n";
        for (std::size_t p = 0; p < kTrio.size(); ++p) {
            if (choice.couldBe[p].empty()) continue;
            text += "     on the " + std::string(nameOf(kTrio[p])) + " could be " + sayCouldBe(box, choice, p) + "\n";
        }
    }
    for (const LeftOut& out : report.leftOut)
        text += "left out: " + box[out.fly].title + ": " + out.why + "\n";
    if (report.teams.empty()) text += "No team of three can be made up.\n";
    return text + std::to_string(report.examined) + " teams looked at. A rule of thumb; the fishery's own rules decide.\n";
}

int showPlace(const OnBook& asked, const std::string& place, const std::vector<BoxCandidate>& box, const SchoolRules& rules,
              const TeamSetting& setting, const DaybookTerms& daybook) {
    const Position position = *fromName<Position>(place);
    Json flies = Json::array();
    std::string text = "For the " + place + ":\n";
    for (const Placed& placed : rankPlace(box, position, rules, setting, {}, daybook)) {
        Json fly = flyReport(box[placed.fly]);
        fly["score"] = placed.score();
        if (!placed.keptOut.empty()) fly["kept_out"] = placed.keptOut;
        fly["reasons"] = placed.reasons;
        flies.push_back(std::move(fly));
        text += formatNumber(placed.score(), 0) + "  " + box[placed.fly].title +
                (placed.keptOut.empty() ? "" : "  kept out: " + placed.keptOut) + "\n";
        for (std::size_t r = 0; r < std::min<std::size_t>(2, placed.reasons.size()); ++r)
            text += "      " + placed.reasons[r] + "\n";
    }
    return print(asked, {{"flies", std::move(flies)}, {"examined", box.size()}},
                 text + "A rule of thumb; the fishery's own rules decide.\n");
}

struct ChooseVerb : OnBook {
    static constexpr const char* kName = "choose";
    static constexpr const char* kHelp = "the best teams of the fly box for a day, or the flies for one place";
    static constexpr const char* kExample = "machair-cli choose skerrin.machair --water skerrin --wind 5 --fetch 1200";

    std::string school, rules, place;
    std::vector<std::string> include, avoid;
    bool withDaybook = false;
    DayAsked day;

    void arguments(CLI::App& verb) {
        verb.add_option("--school", school, "stepped, big_top, one_size, river_swing or one of the book's");
        verb.add_option("--rules", rules, "a rule card's id");
        verb.add_option("--include", include, "a fly that has to be on the team")->expected(1);
        verb.add_option("--avoid", avoid, "flies that may not be");
        verb.add_option("--place", place, "the flies for one place instead: bob, upper, middle, lower or point")
            ->check(CLI::IsMember({"bob", "upper", "middle", "lower", "point"}));
        verb.add_flag("--book", withDaybook, "with what the daybook says of each fly in its place");
        day.arguments(verb, AskDay::always);
    }
    [[nodiscard]] int run() const {
        return withBook(*this, [&](const Book& book) {
            auto on = day.in(book);
            if (!on) return refuse(on.error());
            TeamSetting& setting = on->setting;
            if (!rules.empty()) {
                setting.card = book.findRuleCard(RuleCardId(rules));
                if (!setting.card) return refuse(noSuch(Place("rule_cards"), "rule card", rules).value());
            }
            const auto judged = schoolIn(book);
            if (!judged) return refuse(judged.error());
            const auto box = candidatesOf(book, setting);
            if (!box) return refuse(box.error());
            ChoiceWish wish;
            if (withDaybook) wish.daybook = daybookTerms(book, *box);
            if (!place.empty()) return showPlace(*this, place, *box, *judged, setting, wish.daybook);
            for (const auto& [names, wanted] : {std::pair(&include, true), {&avoid, false}})
                for (const std::string& name : *names) {
                    const auto fly = candidateNamed(*box, name);
                    if (!fly) return refuse(noSuch(Place("box"), "fly", name).value());
                    if (wanted)
                        wish.include = fly;
                    else
                        wish.avoid.push_back(*fly);
                }
            const ChoiceReport report = chooseTeams(*box, *judged, setting, wish);
            return print(*this, choiceReport(report, *box), choiceText(report, *box));
        });
    }
    [[nodiscard]] Result<SchoolRules> schoolIn(const Book& book) const {
        if (school.empty()) return rulesOf(School::stepped);
        if (const auto known = fromName<School>(school)) return rulesOf(*known);
        if (const TeamSchool* own = book.findTeamSchool(SchoolId(school))) return rulesOf(*own);
        return noSuch(Place("team_schools"), "school", school);
    }
};

}  // namespace

void addChooseVerb(CLI::App& app, int& result) { addVerb<ChooseVerb>(app, result); }

}  // namespace machair::cli
