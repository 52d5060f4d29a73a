#include "cli/day.h"

namespace machair::cli {

void lightOptions(CLI::App& verb, std::string& light, std::string& colour) {
    verb.add_option("--light", light, "bright, cloud or dusk")->check(CLI::IsMember({"bright", "cloud", "dusk"}));
    verb.add_option("--colour", colour, "of the water: clear, tea, peat or green")->check(CLI::IsMember({"clear", "tea", "peat", "green"}));
}

void DayAsked::arguments(CLI::App& verb, AskDay asked) {
    CLI::Option* water_ = verb.add_option("--water", water, "a water of the book: its temperature, wave, light and rules");
    celsiusOption(verb, celsius);
    CLI::Option* wind_ = verb.add_option("--wind", wind, "m/s")->check(between(0.0, 60.0));
    CLI::Option* fetch_ = verb.add_option("--fetch", fetch, "open water upwind, m")->check(between(0.0, 500000.0));
    wind_->needs(fetch_);
    fetch_->needs(wind_);
    if (asked == AskDay::always) oneOf(verb, wind_, water_);
    lightOptions(verb, light, colour);
    verb.add_option("--month", month, "1 to 12")->check(CLI::Range(1, 12));
}

Result<DayAsked::Day> DayAsked::in(const Book& book) const {
    Day day;
    if (!water.empty()) {
        const WaterSpec* known = book.findWater(WaterId(water));
        if (!known) return noSuch(Place("waters"), "water", water);
        day.water = *known;
    }
    if (celsius) day.water.celsius = celsius;
    if (wind && fetch) {
        day.water.wind = *wind * metrePerSecond;
        day.water.fetch = *fetch * metre;
    }
    if (!light.empty()) day.water.light = fromName<Light>(light);
    if (!colour.empty()) day.water.colour = fromName<WaterColour>(colour);
    if (month) day.water.month = month;
    day.setting = settingOf(book, &day.water);
    return day;
}

}  // namespace machair::cli
