#include "team/rules.h"

namespace machair {

SchoolRules rulesOf(School school) {
    SchoolRules rules;
    rules.name = std::string(nameOf(school));
    switch (school) {
        case School::stepped: rules.belief = "The bushiest fly works the top, the heaviest anchors the point."; break;
        case School::bigTop:
            rules.belief = "The largest hook goes on the bob, where the eye of the fish is drawn.";
            rules.topSizeStep = {2.0, 6.0, 2.0, 2.0};
            rules.pointWeight.low = 0.6;
            break;
        case School::oneSize:
            rules.belief = "All three on one hook size; the dressing alone makes the order.";
            rules.sizeStep = rules.topSizeStep = {0.0, 0.0, 2.0, 2.0};
            break;
        case School::riverSwing:
            rules.belief = "Sparse throughout and closer together, the heaviest on the point.";
            rules.sinkStep.low = 1.10;
            rules.spacing = {0.4, 1.0, 0.2, 1.0};
            rules.fullnessScale = 0.6;
            break;
    }
    return rules;
}

SchoolRules rulesOf(const TeamSchool& own) {
    SchoolRules rules = rulesOf(own.like);
    rules.name = own.title();
    if (own.belief) rules.belief = *own.belief;
    const auto put = [](double& to, const std::optional<double>& from) {
        if (from) to = *from;
    };
    put(rules.sinkStep.low, own.sinkStep);
    put(rules.presenceOrder.low, own.presenceStep);
    put(rules.turnover.low, own.turnoverStep);
    put(rules.pointWeight.low, own.pointShare);
    put(rules.family.high, own.familySpread);
    put(rules.fullnessScale, own.fullness);
    const auto metres = [](double& to, const std::optional<Length>& from) {
        if (from) to = *from / metre;
    };
    metres(rules.spacing.low, own.spacingLeast);
    metres(rules.spacing.high, own.spacingMost);
    metres(rules.dropper.low, own.dropperLeast);
    metres(rules.dropper.high, own.dropperMost);
    return rules;
}

SchoolRules rulesFor(const Book& book, const TeamSpec& team) {
    if (team.ownSchool)
        if (const TeamSchool* own = book.findTeamSchool(*team.ownSchool)) return rulesOf(*own);
    return rulesOf(team.school.value_or(School::stepped));
}

}  // namespace machair
