// A quantity on a scale with its range: its mark is dragged or nudged, its number typed. Delete lets it go where it may be unsaid.
#pragma once

#include <QWidget>
#include <optional>

#include "parts/spoken.h"
#include "theme/theme.h"

class QLineEdit;

namespace machair::app {

class Scale : public QWidget, public Spoken {
    Q_OBJECT
  public:
    struct Range {
        QString name;  // "depth"
        QString unit;  // "m", beside the number
        double low = 0.0;
        double high = 10.0;  // the scale's end; a number typed may lie beyond it, its mark then stands there
        double step = 0.5;   // of the arrow keys, and of what a hand drags
        int decimals = 1;
        enum class Manner { ruler, warmth, deep } manner = Manner::ruler;  // how it is filled up to its mark
    };
    Scale(const Theme& theme, const QString& name, Range range, QWidget* parent = nullptr);

    void show(const std::optional<double>& value);
    [[nodiscard]] const std::optional<double>& value() const { return value_; }
    [[nodiscard]] QPointF markAt(double value) const;

    [[nodiscard]] std::vector<SpokenPart> spokenParts() const override;
    void choosePart(std::size_t part) override;
    void nudgePart(std::size_t part, int steps) override;
    [[nodiscard]] QSize sizeHint() const override;
    [[nodiscard]] QSize minimumSizeHint() const override;

  signals:
    void moved(double value);  // let go, nudged or typed
    void letGo();              // it is to be unsaid

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;
    void mouseDoubleClickEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

    bool eventFilter(QObject* watched, QEvent* event) override;

  private:
    [[nodiscard]] QRectF bar() const;
    [[nodiscard]] double valueAt(double x) const;
    [[nodiscard]] QString said() const;
    void type(const QString& first);
    void takeTyped();

    const Theme& theme_;
    Range range_;
    std::optional<double> value_;
    std::optional<double> dragged_;
    QLineEdit* typed_ = nullptr;
};

}  // namespace machair::app
