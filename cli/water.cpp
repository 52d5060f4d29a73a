// water: what a wind makes of one.
#include "cli/day.h"
#include "cli/report.h"
#include "team/place.h"
#include "team/rules.h"
#include "units/text.h"
#include "water/sea.h"

namespace machair::cli {

namespace {

struct WaterVerb : WithoutBook {
    static constexpr const char* kName = "water";
    static constexpr const char* kHelp = "wave, drift and fullness for a wind";
    static constexpr const char* kExample = "machair-cli water --wind 6 --fetch 1500 --light dusk";

    double wind = 0.0;   // m/s
    double fetch = 0.0;  // m
    bool drogue = false;
    std::string light, colour;

    void arguments(CLI::App& verb) {
        verb.add_option("--wind", wind, "m/s")->required()->check(between(0.0, 60.0));
        verb.add_option("--fetch", fetch, "open water upwind, m")->required()->check(between(0.0, 500000.0));
        verb.add_flag("--drogue", drogue, "a drogue is out");
        lightOptions(verb, light, colour);
    }
    [[nodiscard]] int run() const {
        const Sea sea = seaUnder({wind * metrePerSecond, fetch * metre, drogue});
        TeamDay day;
        if (!light.empty()) day.light = fromName<Light>(light);
        if (!colour.empty()) day.colour = fromName<WaterColour>(colour);
        Json full = Json::object();
        std::string wants;
        for (const Position position : kTrio) {
            const Wanted range = wantsOf(rulesOf(School::stepped), position, sea.height / metre, day).fullness;
            full[std::string(nameOf(position))] = {{"low", range.low}, {"high", range.high}};
            wants += (wants.empty() ? "" : ", ") + std::string(nameOf(position)) + " " + formatNumber(range.low, 1) + " to " +
                     formatNumber(range.high, 1);
        }
        const Json json = {{"wave_m", sea.height / metre},
                           {"period_s", sea.period / second},
                           {"drift_m_s", sea.drift / metrePerSecond},
                           {"builds_min", sea.builds / second / 60.0},
                           {"class", std::string(nameOf(sea.kind))},
                           {"full", std::move(full)},
                           {"cautions", sea.cautions}};
        std::string text =
            "Force " + std::to_string(beaufort(wind * metrePerSecond)) + ", " + std::string(windWords(beaufort(wind * metrePerSecond))) +
            ": wave " + formatNumber(sea.height / metre, 2) + " m every " + formatNumber(sea.period / second, 1) +
            " s, once it has blown " + formatNumber(sea.builds / second / 60.0, 0) + " min\n" + "The boat drifts at " +
            formatNumber(sea.drift / metrePerSecond, 2) + " m/s\n" + "Fullness wanted, in usual collars: " + wants + " (rule of thumb)\n";
        for (const std::string& caution : sea.cautions)
            text += caution + "\n";
        return print(*this, json, text);
    }
};

}  // namespace

void addWaterVerb(CLI::App& app, int& result) { addVerb<WaterVerb>(app, result); }

}  // namespace machair::cli
