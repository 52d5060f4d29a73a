// check: one measure of a tied fly against the plan.
#include "cli/report.h"
#include "cli/verb.h"
#include "sizing/figures.h"
#include "units/text.h"

namespace machair::cli {

namespace {

struct CheckVerb : OnBook {
    static constexpr const char* kName = "check";
    static constexpr const char* kHelp = "one measure of a tied fly against the plan";
    static constexpr const char* kExample = "machair-cli check skerrin.machair --pattern kelp-lantern --part 0 --figure length_mm --mm 9.1";

    std::string dressing;
    int wanted = 0;  // its place in parts
    std::string figure;
    double reading = 0.0;  // mm

    void arguments(CLI::App& verb) {
        dressingOption(verb, dressing)->required();
        verb.add_option("--part", wanted, "its place in parts, from 0")->required();
        verb.add_option("--figure", figure, "length_mm, fibre_mm, …")->required();
        verb.add_option("--mm", reading, "as measured")->required()->check(between(0.0, 1000.0));
    }
    [[nodiscard]] int run() const {
        return withBook(*this, [&](const Book& book) {
            const auto plan = planPattern(book, DressingId(dressing));
            if (!plan) return refuse(plan.error());
            if (wanted < 0 || static_cast<std::size_t>(wanted) >= plan->parts.size())
                return refuse({{Place("part"), "expected one of its " + std::to_string(plan->parts.size()) + " parts, from 0", ""}});
            const auto part = static_cast<std::size_t>(wanted);
            for (const Figure& known : figuresOf(*plan, part)) {
                const auto* planned = std::get_if<double>(&known.value);
                if (!planned || known.key != figure || known.tolerance <= 0.0) continue;
                const double off = reading - *planned;
                const bool within = std::abs(off) <= known.tolerance;
                const std::string text = std::string(nameOf(plan->parts[part].kind)) + " " + labelOf(known.key) + ": " +
                                         formatNumber(reading, 1) + " mm, planned " + formatNumber(*planned, 1) + " ± " +
                                         formatNumber(known.tolerance, 1) + ": " +
                                         (within      ? "as planned"
                                          : off > 0.0 ? "too long"
                                                      : "too short") +
                                         "\n";
                return print(*this,
                             {{"planned_mm", *planned},
                              {"tolerance_mm", known.tolerance},
                              {"measured_mm", reading},
                              {"off_mm", off},
                              {"verdict", within ? "pass" : "off"}},
                             text);
            }
            return refuse({{Place("figure"), "expected a length of that part that has a tolerance, got \"" + figure + "\"",
                            "plan --json lists them under tolerance"}});
        });
    }
};

}  // namespace

void addCheckVerb(CLI::App& app, int& result) { addVerb<CheckVerb>(app, result); }

}  // namespace machair::cli
