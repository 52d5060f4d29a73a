#include "daybook/boat.h"

#include "language/say.h"
#include "units/text.h"

namespace machair {

namespace {

constexpr double kRuleIsWorth = 3.0;  // days
constexpr Speed kLeastWind = 1.0 * metrePerSecond;

std::string shareWords(double own, int days, double usual, const char* with) {
    return say("{} of the wind{} on {}{} (a usual one {})", formatNumber(own, 3), say(with), std::to_string(days),
               days == 1 ? say(" day") : say(" days"), formatNumber(usual, 3));
}

}  // namespace

std::string BoatLearned::words() const {
    if (empty()) return {};
    const BoatDrift usual;
    std::string text = say("your boat: ");
    if (days > 0) text += shareWords(drift.open, days, usual.open, "");
    if (drogueDays > 0) text += (days > 0 ? ", " : "") + shareWords(drift.drogue, drogueDays, usual.drogue, unsaid(" with a drogue"));
    return text;
}

BoatLearned learnedDrift(const Book& book) {
    BoatLearned learned;
    double open = kRuleIsWorth * learned.drift.open, held = kRuleIsWorth * learned.drift.drogue;
    for (const Day& day : book.days) {
        if (!day.drift || !day.wind || *day.wind < kLeastWind) continue;
        const bool drogue = day.drogue.value_or(false);
        (drogue ? held : open) += *day.drift / *day.wind;
        ++(drogue ? learned.drogueDays : learned.days);
    }
    learned.drift.open = open / (kRuleIsWorth + learned.days);
    learned.drift.drogue = held / (kRuleIsWorth + learned.drogueDays);
    return learned;
}

Wind windOf(const WaterSpec& water) { return {water.wind.value_or(Speed{}), water.fetch.value_or(Length{}), water.drogue.value_or(false)}; }

BoatLearned boatOf(const Book& book, const WaterSpec& water) { return water.ownDrift.value_or(false) ? learnedDrift(book) : BoatLearned{}; }

Sea seaOf(const Book& book, const WaterSpec& water) { return seaUnder(windOf(water), boatOf(book, water).drift); }

}  // namespace machair
