// balance: the smallest changes that make a team pass.
#include "team/balance.h"
#include "cli/day.h"
#include "cli/fly_report.h"
#include "cli/report.h"

namespace machair::cli {

namespace {

std::string proposalText(const Proposal& proposal) {
    std::string text =
        "cost " + std::to_string(proposal.cost) + " (" + std::string(nameOf(proposal.verdict)) + "): " + proposal.words() + "\n";
    for (const TeamCheck& check : proposal.checks)
        if (check.verdict != Verdict::pass) text += "  still " + std::string(nameOf(check.verdict)) + ": " + check.words + "\n";
    return text;
}

Json proposalReport(const Proposal& proposal) {
    Json changes = Json::array();
    for (const ProposedChange& change : proposal.changes) {
        Json json = flyReport(*proposal.flies[change.position]);
        json["position"] = std::string(nameOf(change.position));
        json["kind"] = std::string(nameOf(change.kind));
        json["words"] = change.words;
        changes.push_back(std::move(json));
    }
    Json instead = Json::array();
    for (const Fly& fly : proposal.instead)
        instead.push_back(flyReport(fly));
    Json flies = Json::array();
    for (const Position position : kPositions) {
        if (!proposal.flies[position]) continue;
        Json fly = flyReport(*proposal.flies[position]);
        fly["position"] = std::string(nameOf(position));
        flies.push_back(std::move(fly));
    }
    return {{"cost", proposal.cost},
            {"score", proposal.score},
            {"words", proposal.words()},
            {"changes", std::move(changes)},
            {"instead", std::move(instead)},
            {"flies", std::move(flies)},
            {"verdict", std::string(nameOf(proposal.verdict))},
            {"checks", checksReport(proposal.checks)}};
}

struct BalanceVerb : OnTeam {
    static constexpr const char* kName = "balance";
    static constexpr const char* kHelp = "the smallest changes that make a team pass";
    static constexpr const char* kExample = "machair-cli balance skerrin.machair --team west-shore --water skerrin";

    [[nodiscard]] int run() const {
        return withBook(*this, [&](const Book& book) {
            const auto report = day.in(book).and_then([&](const DayAsked::Day& on) { return balanceTeam(book, TeamId(team), on.setting); });
            if (!report) return refuse(report.error());
            Json lists[2] = {Json::array(), Json::array()};
            std::string text = report->passes ? "It passes as it is.\n" : "";
            const auto list = [&](const std::vector<Proposal>& proposals, Json& into, const char* title) {
                if (!proposals.empty()) text += title;
                for (const Proposal& proposal : proposals) {
                    into.push_back(proposalReport(proposal));
                    text += "  " + proposalText(proposal);
                }
            };
            list(report->box, lists[0], "From the box:\n");
            list(report->redressed, lists[1], "Tied otherwise:\n");
            for (const std::string& conflict : report->conflicts)
                text += conflict + "\n";
            Json json = {{"box", std::move(lists[0])},
                         {"redressed", std::move(lists[1])},
                         {"conflict", report->conflicts},
                         {"passes", report->passes},
                         {"examined", report->planned}};
            if (report->instead) {
                json["instead"] = proposalReport(*report->instead);
                text += "The best of the box that passes and keeps most: " + report->instead->words() + "\n";
            }
            return print(*this, json, text);
        });
    }
};

}  // namespace

void addBalanceVerb(CLI::App& app, int& result) { addVerb<BalanceVerb>(app, result); }

}  // namespace machair::cli
