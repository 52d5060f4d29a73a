// sink: how a fly sinks.
#include "cli/report.h"
#include "cli/verb.h"

namespace machair::cli {

namespace {

struct SinkVerb : OnBook {
    static constexpr const char* kName = "sink";
    static constexpr const char* kHelp = "how a fly sinks and how much water it pushes";
    static constexpr const char* kExample = "machair-cli sink skerrin.machair --pattern brass-buoy --celsius 8";

    std::string dressing;
    std::optional<double> celsius;

    void arguments(CLI::App& verb) {
        dressingOption(verb, dressing)->required();
        celsiusOption(verb, celsius);
    }
    [[nodiscard]] int run() const {
        return withBook(*this, [&](const Book& book) {
            const auto plan = planPattern(book, DressingId(dressing));
            if (!plan) return refuse(plan.error());
            const SinkReport report = sinkReport(*plan, celsius.value_or(kUsualCelsius));
            return print(*this, sinkReportJson(report), sinkText(*plan, report));
        });
    }
};

}  // namespace

void addSinkVerb(CLI::App& app, int& result) { addVerb<SinkVerb>(app, result); }

}  // namespace machair::cli
