// hand: bias and spread, and where to aim.
#include "hand/hand.h"
#include "cli/report.h"
#include "cli/verb.h"
#include "units/text.h"

namespace machair::cli {

namespace {

struct HandVerb : OnBook {
    static constexpr const char* kName = "hand";
    static constexpr const char* kHelp = "bias and spread of a hand, and where to aim";
    static constexpr const char* kExample = "machair-cli hand skerrin.machair";

    [[nodiscard]] int run() const {
        return withBook(*this, [&](const Book& book) {
            Json parts = Json::array();
            std::string text;
            for (const auto& [name, deviations] : deviationsOf(book)) {
                const HandPosterior hand = handOf(deviations);
                constexpr double kTolerance = 0.08;
                const Length planned = 10.0 * mm;
                Json part = {{"part", name},
                             {"flies", hand.flies},
                             {"bias", hand.mean},
                             {"spread", hand.spread()},
                             {"dozen_as_tied", dozenWithin(hand, planned, kTolerance, planned)},
                             {"dozen_at_aim", dozenWithin(hand, planned, kTolerance, aimFor(planned, hand))}};
                if (hand.flies >= kFliesForLimits) {
                    const ControlLimits limits = controlLimits(hand);
                    part["limits"] = {limits.low, limits.high};
                }
                if (deviations.size() >= 8) {
                    const auto half = deviations.begin() + static_cast<std::ptrdiff_t>(deviations.size() / 2);
                    const HandShift shift = shiftBetween({deviations.begin(), half}, {half, deviations.end()});
                    part["shift"] = {{"by", shift.shift}, {"low", shift.low}, {"high", shift.high}, {"real", shift.real()}};
                }
                parts.push_back(part);
                text += name + ": " + std::to_string(hand.flies) + " flies, " + formatNumber(100.0 * hand.mean, 1) +
                        " % off on average, give or take " + formatNumber(100.0 * hand.spread(), 1) +
                        " %; a dozen all within 8 %: " + formatNumber(100.0 * part["dozen_as_tied"].get<double>(), 0) + " % as tied, " +
                        formatNumber(100.0 * part["dozen_at_aim"].get<double>(), 0) + " % at the aim\n";
            }
            if (text.empty()) text = "No flies were checked yet.\n";
            return print(*this, {{"parts", parts}}, text);
        });
    }
};

}  // namespace

void addHandVerb(CLI::App& app, int& result) { addVerb<HandVerb>(app, result); }

}  // namespace machair::cli
