// card: a card at true scale, to lay feathers on.
#include "drawing/card.h"
#include <QFontDatabase>
#include <QGuiApplication>
#include "cli/report.h"
#include "cli/verb.h"
#include "cutting/gauges.h"
#include "team/rule_card.h"

namespace machair::cli {

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

struct CardVerb : OnBook {
    static constexpr const char* kName = "card";
    static constexpr const char* kHelp = "a card at true scale, to lay feathers on";
    static constexpr const char* kExample = "machair-cli card skerrin.machair --pattern kelp-lantern --out kelp-lantern.pdf";

    std::string dressing, rules, out;

    void arguments(CLI::App& verb) {
        CLI::Option* ofDressing = dressingOption(verb, dressing);
        CLI::Option* ofRules =
            verb.add_option("--rules", rules, "a rule card's id: a gauge of the longest fly that it allows")->excludes(ofDressing);
        oneOf(verb, ofDressing, ofRules);
        verb.add_option("--out", out, "*.pdf or *.svg")->required();
    }
    [[nodiscard]] int run() const {
        if (!out.ends_with(".pdf") && !out.ends_with(".svg")) {
            std::cerr << out << ": expected a name that ends in .pdf or .svg\n";
            return kWrongUsage;
        }
        return withBook(*this, [&](const Book& book) { return rules.empty() ? flyCard(book) : gauge(book); });
    }

    [[nodiscard]] int flyCard(const Book& book) const {
        const auto plan = planPattern(book, DressingId(dressing));
        if (!plan) return refuse(plan.error());
        if (const Faults faults = paintTo(out, [&](const QString& to) { return drawing::writeCard(to, *plan); }); !faults.empty())
            return refuse(faults);
        Json gauges = Json::array();
        for (const Gauge& one : gaugesOf(*plan))
            gauges.push_back({{"label", one.label}, {"mm", one.length / mm}, {"tolerance_mm", one.tolerance / mm}});
        return print(*this, {{"out", out}, {"proving_bar_mm", kProvingBar / mm}, {"gauges", std::move(gauges)}}, "wrote " + out + "\n");
    }

    [[nodiscard]] int gauge(const Book& book) const {
        const RuleCard* card = book.findRuleCard(RuleCardId(rules));
        if (!card) return refuse(noSuch(Place("rule_cards"), "rule card", rules).value());
        const auto caution = QString::fromUtf8(kRulesCaution.data(), static_cast<qsizetype>(kRulesCaution.size()));
        if (const Faults faults = paintTo(out, [&](const QString& to) { return drawing::writeContestGauge(to, *card, caution); });
            !faults.empty())
            return refuse(faults);
        return print(*this, {{"out", out}, {"proving_bar_mm", kProvingBar / mm}, {"longest_fly_mm", *card->longestFly / mm}},
                     "wrote " + out + "\n");
    }
};

}  // namespace

void addCardVerb(CLI::App& app, int& result) { addVerb<CardVerb>(app, result); }

}  // namespace machair::cli
