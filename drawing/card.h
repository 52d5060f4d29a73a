// A card of a fly to lay feathers on: every length at its true size, a comb of slip widths, and a bar that proves that
// the printer didn't scale. And a sheet of a team. Vectors throughout, for paper, PDF and SVG.
#pragma once

#include <QSizeF>
#include <QString>
#include <variant>

#include "book/waters.h"
#include "cutting/gauges.h"
#include "drawing/page.h"
#include "drawing/paint.h"
#include "scene/scene.h"
#include "units/text.h"

class QPainter;

namespace machair::drawing {

inline constexpr double kCardWidth = 148.0;  // mm: A6 on its side
inline constexpr double kCardHeight = 105.0;

// Paints in millimetres: the painter's unit is 1 mm, the origin the card's corner. Its figures are said in `unit`.
void paintCard(QPainter& painter, const Plan& plan, LengthUnit unit = LengthUnit::millimetres);

struct SheetFly {
    Plan plan;
    QString position;
    QString words;  // how it sinks
};
struct TeamSheet {
    QString title;
    QString verdict;
    std::vector<SheetFly> flies;
    QStringList leader;  // its measures, from the rod tip down
    QStringList notes;
};
inline constexpr double kSheetWidth = 210.0;  // A5 on its side
inline constexpr double kSheetHeight = 148.0;
void paintTeamSheet(QPainter& painter, const TeamSheet& sheet);

// A gauge for contests: a slot as long as the longest fly that the rule card allows, an edge for the eye, and how to hold
// a fly to it, with the caution that goes with the rules. The card says a longest fly.
void paintContestGauge(QPainter& painter, const RuleCard& card, const QString& caution, LengthUnit unit = LengthUnit::millimetres);

// The same as pages, for paper of any size; of a gauge, or why there is none.
[[nodiscard]] Page cardPage(Plan plan, LengthUnit unit = LengthUnit::millimetres);
[[nodiscard]] Page teamPage(TeamSheet sheet);
[[nodiscard]] std::variant<Page, QString> gaugePage(const RuleCard& card, const QString& caution,
                                                    LengthUnit unit = LengthUnit::millimetres);

// Writes to a .pdf or .svg of its own size. What went wrong as text; empty where it was written.
[[nodiscard]] QString writeCard(const QString& path, const Plan& plan, LengthUnit unit = LengthUnit::millimetres);
[[nodiscard]] QString writeContestGauge(const QString& path, const RuleCard& card, const QString& caution,
                                        LengthUnit unit = LengthUnit::millimetres);
[[nodiscard]] QString writeTeamSheet(const QString& path, const TeamSheet& sheet);

}  // namespace machair::drawing
