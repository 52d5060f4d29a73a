// Everything cut, counted and laid out before the first turn of thread.
#pragma once

#include <QWidget>

#include "cutting/cutting.h"
#include "cutting/hackles.h"
#include "editing/background.h"
#include "editing/document.h"
#include "theme/theme.h"

class QDoubleSpinBox;
class QLabel;
class QListWidget;
class QProgressBar;
class QSettings;
class QSpinBox;
class QToolButton;

namespace machair::app {

class FeatherView;
class GaugeView;

class CutStation : public QWidget {
    Q_OBJECT
  public:
    CutStation(Document& document, const Theme& theme, QSettings& settings, QWidget* parent = nullptr);
    // Writes the card to a .pdf or .svg; what happened is said on the quiet line.
    void writeCard(const QString& path);

  protected:
    void showEvent(QShowEvent* event) override;

  private:
    QWidget* makePanel();
    void plan();
    void show();
    void tied();
    void learn();
    void askForCard();
    void printCard();

    Document& document_;
    const Theme& theme_;
    Background background_;
    FeatherView* feathers_;
    GaugeView* gauge_;
    QSpinBox* flies_;
    QLabel* said_;
    QListWidget* cuts_;
    QToolButton* tied_;
    QDoubleSpinBox* left_;
    QProgressBar* progress_;
    std::optional<CuttingPlan> cutting_;
    HacklesChosen hackles_;
    std::vector<HackleWanted> wanted_;
    std::string planned_;  // the dressing that the plan is for
};

}  // namespace machair::app
