// What happened, and what it tells: days with their outings and fish, rates with honest intervals, the swap that would
// tell most. A fish is three keys: B, M or P, then K or R, then Enter.
#pragma once

#include <QWidget>

#include "daybook/rates.h"
#include "editing/background.h"
#include "editing/document.h"
#include "theme/theme.h"

class QComboBox;
class QDoubleSpinBox;
class QLabel;
class QLineEdit;
class QListWidget;

namespace machair::app {

class RateView;

class DaybookStation : public QWidget {
    Q_OBJECT
  public:
    DaybookStation(Document& document, const Theme& theme, QWidget* parent = nullptr);

  protected:
    void keyPressEvent(QKeyEvent* event) override;
    void showEvent(QShowEvent* event) override;

  private:
    QWidget* makePanel();
    void refresh();
    void refreshRates();
    void sayEntry();
    [[nodiscard]] std::string day() const;  // the chosen one; empty where there is none

    Document& document_;
    Background background_;
    RateView* rates_;
    QComboBox* factor_;
    QLineEdit* date_;
    QListWidget* days_;
    QDoubleSpinBox* hours_;
    QLabel* entry_;
    QLabel* swap_;
    std::optional<Position> position_;
    std::optional<bool> keptFish_;
};

}  // namespace machair::app
