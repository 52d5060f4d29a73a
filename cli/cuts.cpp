// cuts: which slips come out of which feathers.
#include "cli/report.h"
#include "cli/verb.h"
#include "cutting/cutting.h"
#include "cutting/stock.h"
#include "units/text.h"

namespace machair::cli {

namespace {

Json cutsReport(const CuttingPlan& plan) {
    Json feathers = Json::array();
    for (const FeatherCuts& feather : plan.feathers) {
        Json cuts = Json::array();
        for (const Cut& cut : feather.cuts)
            cuts.push_back({{"slip", cut.slip}, {"from_mm", cut.from / mm}, {"to_mm", cut.to / mm}});
        feathers.push_back({{"id", feather.feather}, {"cuts", std::move(cuts)}});
    }
    Json uncut = Json::array();
    for (const Uncut& slip : plan.uncut) {
        uncut.push_back({{"slip", slip.slip}, {"why", slip.why}});
        if (slip.halves) uncut.back()["halves_mm"] = *slip.halves / mm;
    }
    return {{"feathers", std::move(feathers)},
            {"feathers_used", plan.feathersUsed()},
            {"waste_mm", plan.waste / mm},
            {"optimal", plan.optimal},
            {"bound", plan.bound},
            {"least_waste_mm", plan.leastWaste / mm},
            {"uncut", std::move(uncut)}};
}

std::string cutsText(const Book& book, const CuttingPlan& plan) {
    std::string text;
    for (const FeatherCuts& feather : plan.feathers) {
        text += feather.feather + ":\n";
        for (const Cut& cut : feather.cuts)
            text += "  " + formatNumber(cut.from / mm, 1) + " to " + formatNumber(cut.to / mm, 1) + " mm from the base: " + cut.slip + "\n";
    }
    text += std::to_string(plan.feathersUsed()) + " feathers, " + formatNumber(plan.waste / mm, 1) + " mm of vane left on them; " +
            (plan.optimal ? "proven best"
                          : "not proven best: at least " + std::to_string(plan.bound) + " are needed" +
                                (plan.bound == plan.feathersUsed()
                                     ? ", and with those at least " + formatNumber(plan.leastWaste / mm, 1) + " mm are left"
                                     : "")) +
            "\n";
    for (const std::string& uncut : sayUncut(book, plan))
        text += "not cut: " + uncut + "\n";
    return text;
}

struct CutsVerb : OnBook {
    static constexpr const char* kName = "cuts";
    static constexpr const char* kHelp = "which slips come out of which feathers";
    static constexpr const char* kExample = "machair-cli cuts skerrin.machair --pattern heather-tinker --count 6";

    std::string dressing, list;
    int flies = 1;
    bool halves = false;

    void arguments(CLI::App& verb) {
        CLI::Option* ofDressing = dressingOption(verb, dressing);
        verb.add_option("--count", flies, "how many flies")->check(CLI::Range(1, kMostFlies))->needs(ofDressing);
        CLI::Option* ofList = verb.add_option("--list", list, "a cut list's id")->excludes(ofDressing);
        verb.add_flag("--halves", halves, "cut what can't come out whole as two, to be married");
        oneOf(verb, ofDressing, ofList);
    }
    [[nodiscard]] int run() const {
        return withBook(*this, [&](const Book& book) {
            std::vector<SlipWanted> slips;
            if (!list.empty()) {
                const CutList* known = book.findCutList(CutListId(list));
                if (!known) return refuse(noSuch(Place("cut_lists"), "cut list", list).value());
                slips = known->slips;
            } else {
                const auto plan = planPattern(book, DressingId(dressing));
                if (!plan) return refuse(plan.error());
                slips = slipsFor(*plan, flies);
            }
            CuttingPlan plan = planCuts(book.feathers, slips);
            if (halves) plan = planCuts(book.feathers, inHalves(slips, plan));
            return print(*this, cutsReport(plan), cutsText(book, plan));
        });
    }
};

}  // namespace

void addCutsVerb(CLI::App& app, int& result) { addVerb<CutsVerb>(app, result); }

}  // namespace machair::cli
