// Pages for paper: what is on one, at its true size, whatever paper it is laid on. Everything that is printed goes through
// here: screen, printer, PDF and SVG paint the same.
#pragma once

#include <QRectF>
#include <QString>
#include <functional>
#include <optional>

#include "units/names.h"

class QPainter;

namespace machair::drawing {

struct Page {
    QString title;
    QSizeF size;                           // mm
    std::function<void(QPainter&)> paint;  // in millimetres, from its own corner
};

// `own`: a sheet just as large as the page.
enum class Paper { own, a6, a5, a4, letter };
[[nodiscard]] QSizeF sizeOf(Paper paper, const Page& page);  // mm, turned the way in which the page lies better
// Where it lies, in the middle; nothing where the paper is too small: a page is never scaled.
[[nodiscard]] std::optional<QRectF> placeOn(Paper paper, const Page& page);

// In millimetres, from the paper's corner, with marks to cut by where the paper is larger.
void paintOn(QPainter& painter, const Page& page, Paper paper);

// Writes to a .pdf (for archives, PDF/A-1b) or .svg. What went wrong as text; empty where it was written.
[[nodiscard]] QString writePage(const QString& path, const Page& page, Paper paper = Paper::own);

}  // namespace machair::drawing
