// Pictures of what a book holds: materials as they lie on the bench (feathers with their barbs at true proportion, furs as
// pinches, tinsels as strips with both faces), hooks in outline, flies, teams, waters, days. For trays and choosers.
//
// Pure functions of values, so that pictures can be painted away from the window's thread. The same thing gets the same
// picture each time: what is scattered is seeded by its id.
#pragma once

#include <QImage>
#include <QLineF>
#include <QRectF>
#include <QSize>

#include "book/records.h"
#include "drawing/paint.h"

namespace machair::drawing {

// One material, filling `frame` as far as its shape lets it.
void paintMaterial(QPainter& painter, const Material& material, const QRectF& frame, Bench bench);
// Between which two points one of its measures ("fibre_longest_mm") stands on that picture; nothing where it doesn't show.
[[nodiscard]] std::optional<QLineF> measureOn(const Material& material, std::string_view key, const QRectF& frame);
// The hook with nothing on it; nothing where it contradicts itself.
[[nodiscard]] std::optional<Scene> bareHook(const HookSpec& hook);
void paintBareHook(QPainter& painter, const HookSpec& hook, const QRectF& frame, Bench bench, double pxPerMm);
// Several flies side by side at one scale, as large as they fit; those that can't be planned are left out.
void paintFlies(QPainter& painter, const Book& book, const std::vector<Fly>& flies, const QRectF& frame, Bench bench,
                double mostPxPerMm = 14.0);

// Any record of a book, on a transparent ground; of the list "fly" one as book/flies.h writes it, of "kind" a dressing as
// it would be started from that kind. Nothing is painted for what is
// not in the book.
[[nodiscard]] QImage pictureOf(const Book& book, const RecordId& record, QSize size, double devicePixelRatio, Bench bench);

}  // namespace machair::drawing
