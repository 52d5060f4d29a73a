// Machair's own palette, in the spirit of the name: shell sand, dune grass, loch slate and one warm accent. A light and
// a dark bench. Every colour on a screen comes from here; the pairs that carry text keep WCAG AA contrast (tested).
#pragma once

#include <QColor>
#include <QFont>
#include <QObject>
#include <QPalette>

#include "drawing/paint.h"

namespace machair::app {

struct Colours {
    QColor window;  // around everything
    QColor panel;   // ticket, rows, fields
    QColor raised;  // what lies on a panel
    QColor paper;   // under the drawing
    QColor ink;
    QColor inkSoft;  // second voice
    QColor line;
    QColor grass;      // what is well
    QColor slate;      // the line, the water, what is measured
    QColor accent;     // what is chosen
    QColor accentInk;  // on accent
    QColor warn;       // near
    QColor fault;      // off, crowded, broken
};

enum class Contrast { usual, high };
[[nodiscard]] Colours coloursOf(drawing::Bench bench, Contrast contrast = Contrast::usual);

// The bench now lit; widgets repaint on changed().
class Theme : public QObject {
    Q_OBJECT
  public:
    explicit Theme(QObject* parent = nullptr);
    [[nodiscard]] drawing::Bench bench() const { return bench_; }
    [[nodiscard]] const Colours& colours() const { return colours_; }
    void light(drawing::Bench bench, Contrast contrast = Contrast::usual);

  signals:
    void changed();

  private:
    drawing::Bench bench_ = drawing::Bench::sand;
    Contrast contrast_ = Contrast::usual;
    Colours colours_;
};

// Registers the shipped face and makes it the application's. Returns its family; empty when it could not be loaded.
QString loadFace();
// The application's style and palette.
void apply(const Colours& colours);

// Fonts of the window, relative to the application's size: bold, larger, smaller.
[[nodiscard]] QFont faceScaled(double scale, bool bold = false);
// How large the text is beside the system's own, which is asked for before it is changed; and a width that follows it, up to half
// as much again: more would leave no room for drawings.
[[nodiscard]] double textScale();
[[nodiscard]] int grownWithText(int px);

}  // namespace machair::app
