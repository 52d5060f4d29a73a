#include "parts/paper_pages.h"

#include <QFileInfo>
#include <QObject>
#include <algorithm>

#include "book/fields.h"
#include "drawing/records_pages.h"
#include "language/say.h"
#include "parts/dates.h"
#include "parts/lengths.h"
#include "team/rule_card.h"
#include "theme/said.h"

namespace machair::app {

namespace {

drawing::Page seasonOf(const Document& document, const std::string& year) {
    const Book& book = document.book();
    const SeasonReport season = seasonReport(book, year);
    std::vector<drawing::SeasonFly> flies;
    for (const Rate& rate : season.flies) {
        if (rate.fish <= 0.0) continue;
        const auto dressing = std::ranges::find(book.patterns, rate.name, &Pattern::title);
        std::optional<Plan> plan;
        if (dressing != book.patterns.end())
            if (auto planned = planPattern(book, dressing->id)) plan = std::move(*planned);
        flies.push_back({rate, std::move(plan)});
    }
    return drawing::seasonPage(season, std::move(flies), QFileInfo(qt(document.path().string())).completeBaseName());
}

}  // namespace

std::optional<drawing::TeamSheet> teamSheetOf(const Document& document) {
    const auto& report = document.teamReport();
    const TeamSpec* team = document.team();
    if (!report || !team) return std::nullopt;
    drawing::TeamSheet sheet;
    sheet.title = qt(team->title());
    sheet.verdict = signOf(report->verdict) + QLatin1Char(' ') + qt(sayName(report->verdict));
    for (const TeamFly& fly : report->flies)
        sheet.flies.push_back({fly.plan, titleOf(fly.position),
                               QObject::tr("sinks %1 cm/s, pushes %2 mN, %3 mg")
                                   .arg(number(100.0 * (fly.sink.sinkRate / metrePerSecond), 1), number(fly.sink.presence / millinewton, 2),
                                        number(fly.sink.mass / mg, 0))});
    for (const Field& field : fieldsOf(team->leader.value_or(LeaderSpec{})))
        if (!field.text.empty()) sheet.leader << inHouseWords(field.label) + QStringLiteral(": ") + shownText(field);
    if (const WaterSpec* water = document.water())
        sheet.notes << QObject::tr("%1: wind %2 m/s, fetch %3 m")
                           .arg(qt(water->title()), number(water->wind.value_or(Speed{}) / metrePerSecond, 1),
                                number(water->fetch.value_or(Length{}) / metre, 0));
    sheet.notes << qt(say(kRulesCaution));
    return sheet;
}

RuleCard asPrinted(RuleCard card) {
    if (card.date) card.date = dateSaid(*card.date).toStdString();
    return card;
}

std::variant<drawing::Page, QString> pageOf(const Document& document, PaperKind kind, const std::string& year) {
    const auto& plan = document.plan();
    switch (kind) {
        case PaperKind::card:
            if (!plan) return QObject::tr("no dressing is on the bench");
            return drawing::cardPage(*plan, lengthsSaidIn());
        case PaperKind::recipe:
            if (!plan) return QObject::tr("no dressing is on the bench");
            return drawing::recipePage(*plan, lengthsSaidIn());
        case PaperKind::team:
            if (auto sheet = teamSheetOf(document)) return drawing::teamPage(std::move(*sheet));
            return QObject::tr("no team hangs on the cast");
        case PaperKind::gauge: {
            const WaterSpec* water = document.water();
            const RuleCard* rules = water && water->rules ? document.book().findRuleCard(*water->rules) : nullptr;
            if (!rules) return QObject::tr("this water has no rule card");
            return drawing::gaugePage(asPrinted(*rules), qt(say(kRulesCaution)), lengthsSaidIn());
        }
        case PaperKind::season:
            if (year.empty()) return QObject::tr("the daybook has no day yet");
            return seasonOf(document, year);
    }
    return QObject::tr("nothing of that name");
}

}  // namespace machair::app
