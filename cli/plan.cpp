// plan: a dressing sized to its hook.
#include "cli/report.h"
#include "cli/verb.h"

namespace machair::cli {

namespace {

struct PlanVerb : OnBook {
    static constexpr const char* kName = "plan";
    static constexpr const char* kHelp = "a dressing sized to its hook";
    static constexpr const char* kExample = "machair-cli plan skerrin.machair --pattern kelp-lantern --size 12";

    std::string dressing;
    std::optional<int> size;  // of hook; the dressing's own where none is asked

    void arguments(CLI::App& verb) {
        dressingOption(verb, dressing)->required();
        verb.add_option("--size", size, "on this size of its hook instead")->check(CLI::Range(2, 20));
    }
    [[nodiscard]] int run() const {
        return withBook(*this, [&](const Book& book) {
            const auto plan = size ? planOnSize(book, DressingId(dressing), *size) : planWhatCan(book, DressingId(dressing));
            if (!plan) return refuse(plan.error());
            const int shown = print(*this, planReport(book, *plan), planText(book, *plan));
            return plan->faults.empty() ? shown : refuse(plan->faults);  // the plan of the rest is said all the same
        });
    }
};

}  // namespace

void addPlanVerb(CLI::App& app, int& result) { addVerb<PlanVerb>(app, result); }

}  // namespace machair::cli
