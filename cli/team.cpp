// team: one to five flies weighed as one.
#include "cli/day.h"
#include "cli/report.h"

namespace machair::cli {

namespace {

struct TeamVerb : OnTeam {
    static constexpr const char* kName = "team";
    static constexpr const char* kHelp = "one to five flies weighed as one team on a day";
    static constexpr const char* kExample = "machair-cli team skerrin.machair --team west-shore --water skerrin";

    [[nodiscard]] int run() const {
        return withBook(*this, [&](const Book& book) {
            const auto report = day.in(book).and_then([&](const DayAsked::Day& on) { return weighTeam(book, TeamId(team), on.setting); });
            if (!report) return refuse(report.error());
            return print(*this, teamReport(*report), teamText(*book.findTeam(TeamId(team)), *report));
        });
    }
};

}  // namespace

void addTeamVerb(CLI::App& app, int& result) { addVerb<TeamVerb>(app, result); }

}  // namespace machair::cli
