// The day that a team is judged on, as it is said on the command line: a water's of the book, and over it what is told here.
#pragma once

#include <optional>

#include "cli/verb.h"
#include "team/team.h"

namespace machair::cli {

// Whether a day has to be said: a water of the book, or a wind and its fetch.
enum class AskDay { maybe, always };

struct DayAsked {
    std::string water;
    std::optional<double> celsius;
    std::optional<double> wind;   // m/s
    std::optional<double> fetch;  // m
    std::string light;
    std::string colour;
    std::optional<int> month;

    void arguments(CLI::App& verb, AskDay asked);
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
        day.arguments(verb, AskDay::maybe);
    }
};

// --light and --colour.
void lightOptions(CLI::App& verb, std::string& light, std::string& colour);

}  // namespace machair::cli
