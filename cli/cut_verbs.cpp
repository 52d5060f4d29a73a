// cuts and card: what comes out of which feather, and a card to lay it on.
#include <QFontDatabase>
#include <QGuiApplication>

#include "cli/verbs.h"
#include "cutting/cutting.h"
#include "drawing/card.h"
#include "team/rule_card.h"
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

std::string cutsText(const CuttingPlan& plan) {
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
    for (const Uncut& slip : plan.uncut)
        text += "not cut: " + slip.slip + ": " + slip.why + "\n";
    return text;
}

}  // namespace

int showCuts(const Options& options) {
    return withBook(options, [&](const Book& book) {
        std::vector<SlipWanted> slips;
        if (!options.list.empty()) {
            const CutList* list = book.findCutList(options.list);
            if (!list) return refuse(noSuch(Place("cut_lists"), "cut list", options.list).value());
            slips = list->slips;
        } else {
            const auto plan = planPattern(book, options.pattern);
            if (!plan) return refuse(plan.error());
            slips = slipsFor(*plan, options.flies);
        }
        CuttingPlan plan = planCuts(book.feathers, slips);
        if (options.halves) plan = planCuts(book.feathers, inHalves(slips, plan));
        return print(options, cutsReport(plan), cutsText(plan));
    });
}

namespace {

// Writes with fonts and a painter, and no screen. Faults: what `write` says went wrong.
template <class Write>
Faults paintTo(const std::string& out, Write write) {
    qputenv("QT_QPA_PLATFORM", "offscreen");
    qputenv("QT_LOGGING_RULES", "default.warning=false");  // nor anything that Qt has to say of a missing session
    int argc = 1;
    std::string name = "machair-cli";
    char* argv[] = {name.data(), nullptr};
    QGuiApplication application(argc, argv);
    for (const char* file : {":/fonts/Lato-Regular.ttf", ":/fonts/Lato-Bold.ttf"})
        QFontDatabase::addApplicationFont(QString::fromLatin1(file));
    QGuiApplication::setFont(QFont(QStringLiteral("Lato")));
    const QString wrong = write(QString::fromStdString(out));
    if (wrong.isEmpty()) return {};
    return {{Place(out), wrong.toStdString(), "choose another folder or name"}};
}

int writeGauge(const Options& options, const Book& book) {
    const RuleCard* card = book.findRuleCard(options.rules);
    if (!card) return refuse(noSuch(Place("rule_cards"), "rule card", options.rules).value());
    const auto caution = QString::fromUtf8(kRulesCaution.data(), static_cast<qsizetype>(kRulesCaution.size()));
    if (const Faults faults = paintTo(options.out, [&](const QString& to) { return drawing::writeContestGauge(to, *card, caution); });
        !faults.empty())
        return refuse(faults);
    return print(options, {{"out", options.out}, {"proving_bar_mm", kProvingBar / mm}, {"longest_fly_mm", *card->longestFly / mm}},
                 "wrote " + options.out + "\n");
}

int writeFlyCard(const Options& options, const Book& book) {
    const auto plan = planPattern(book, options.pattern);
    if (!plan) return refuse(plan.error());
    if (const Faults faults = paintTo(options.out, [&](const QString& to) { return drawing::writeCard(to, *plan); }); !faults.empty())
        return refuse(faults);
    Json gauges = Json::array();
    for (const Gauge& gauge : gaugesOf(*plan))
        gauges.push_back({{"label", gauge.label}, {"mm", gauge.length / mm}, {"tolerance_mm", gauge.tolerance / mm}});
    return print(options, {{"out", options.out}, {"proving_bar_mm", kProvingBar / mm}, {"gauges", std::move(gauges)}},
                 "wrote " + options.out + "\n");
}

}  // namespace

int showCard(const Options& options) {
    if (!options.out.ends_with(".pdf") && !options.out.ends_with(".svg")) {
        std::cerr << options.out << ": expected a name that ends in .pdf or .svg\n";
        return kWrongUsage;
    }
    return withBook(options,
                    [&](const Book& book) { return options.rules.empty() ? writeFlyCard(options, book) : writeGauge(options, book); });
}

}  // namespace machair::cli
