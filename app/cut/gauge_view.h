// The gauge: the fly's lengths at true size on this screen, to hold a feather against. The screen is calibrated once by
// laying a bank card (or a ruler) on it.
#pragma once

#include <QWidget>
#include <vector>

#include "cutting/gauges.h"
#include "editing/document.h"
#include "theme/theme.h"

class QSettings;

namespace machair::app {

class GaugeView : public QWidget {
    Q_OBJECT
  public:
    GaugeView(Document& document, const Theme& theme, QSettings& settings, QWidget* parent = nullptr);
    void calibrate(bool on);  // shows a card's outline to drag to the size of a real one
    [[nodiscard]] double pxPerMm() const { return pxPerMm_; }
    [[nodiscard]] bool calibrated() const { return calibrated_; }

  signals:
    void calibrationChanged();

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void showEvent(QShowEvent* event) override;

  private:
    void setScale(double pxPerMm);
    Document& document_;
    const Theme& theme_;
    QSettings& settings_;
    double pxPerMm_ = 4.0;
    bool calibrated_ = false;
    bool calibrating_ = false;
};

}  // namespace machair::app
