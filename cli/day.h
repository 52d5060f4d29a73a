// The day that a team is judged on, as it is said on the command line: a water's of the book, and over it what is told here.
#pragma once

#include <optional>

#include "cli/verb.h"
#include "team/team.h"

namespace machair::cli {

enum class Wind { mayBeSaid, mustBeSaid };

struct DayAsked {
    std::string water;
    double celsius = kUsualCelsius;
    std::optional<double> wind;   // m/s
    std::optional<double> fetch;  // m
    std::string light;
    std::string colour;
    std::optional<int> month;

    void arguments(CLI::App& verb, Wind asked);
    // A fault where the book has no such water.
    struct Day {
        WaterSpec water;
        TeamSetting setting;
    };
    [[nodiscard]] Result<Day> in(const Book& book) const;
};

// A verb that is asked of a team on a day.
struct OnTeam : OnBook {
    std::string team;
    DayAsked day;
    void arguments(CLI::App& verb) {
        verb.add_option("--team", team, "its id")->required();
        day.arguments(verb, Wind::mayBeSaid);
    }
};

// --light and --colour.
void lightOptions(CLI::App& verb, std::string& light, std::string& colour);

}  // namespace machair::cli
