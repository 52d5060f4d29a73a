// Teams and flies that nobody fishes, for the approved sheets (approved.h).
#pragma once

#include <array>

#include "team/figures.h"
#include "tests/album.h"

namespace machair::tests {

inline constexpr std::array kSchoolsOfTeams = {School::stepped, School::bigTop, School::oneSize, School::riverSwing};

// A fly of a style by its figures alone: sparse, soft and heavy at 0, the other way at 1.
inline FlyFigures figuresFor(FlyStyle style, double amount) {
    FlyFigures fly;
    fly.style = style;
    fly.full = 0.5 + 3.0 * amount;
    fly.stiff = amount;
    fly.presence = (0.4 + 2.4 * amount) * millinewton;
    fly.weight = (0.6 - 0.5 * amount) * millinewton;
    fly.mass = (90.0 - 40.0 * amount) * mg;
    fly.sink = (0.20 - 0.12 * amount) * metrePerSecond;
    fly.size = amount > 0.5 ? 10 : 14;
    return fly;
}

// The album's dressings in teams of three to five, each school in its turn.
inline Book albumInTeams() {
    Book book = albumBook();
    const std::size_t n = book.patterns.size();
    for (std::size_t i = 0; i < n; ++i) {
        TeamSpec& team = book.teams.emplace_back();
        team.id = TeamId("team-" + std::to_string(i));
        team.school = kSchoolsOfTeams[i % kSchoolsOfTeams.size()];
        team.at(Position::bob) = book.patterns[i].id;
        team.at(Position::middle) = book.patterns[(i + 5) % n].id;
        team.at(Position::point) = book.patterns[(i + 11) % n].id;
        if (i % 3 == 0) team.at(Position::upper) = book.patterns[(i + 2) % n].id;
        if (i % 4 == 0) team.at(Position::lower) = book.patterns[(i + 8) % n].id;
        team.leader = LeaderSpec{};
        team.leader->bobToMiddle = (0.7 + 0.1 * static_cast<double>(i % 9)) * metre;
        team.leader->middleToPoint = (2.1 - 0.1 * static_cast<double>(i % 9)) * metre;
        team.leader->dropper = (0.05 + 0.02 * static_cast<double>(i % 10)) * metre;
    }
    return book;
}

}  // namespace machair::tests
