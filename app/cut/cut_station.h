// Everything cut, counted and laid out before the first turn of thread.
#pragma once

#include <QWidget>
#include <map>

#include "cutting/cutting.h"
#include "cutting/hackles.h"
#include "cutting/stock.h"
#include "editing/background.h"
#include "editing/document.h"
#include "theme/theme.h"

class QComboBox;
class QProgressBar;
class QSettings;
class QSpinBox;
class QStackedWidget;
class QToolButton;
class QVBoxLayout;

namespace machair::app {

class LengthSpin;
class Label;

class FeatherView;
class GaugeView;
class TrayView;

class CutStation : public QWidget {
    Q_OBJECT
  public:
    CutStation(Document& document, const Theme& theme, QSettings& settings, QWidget* parent = nullptr);
    // Writes the card to a .pdf or .svg; what happened is said on the quiet line.
    void writeCard(const QString& path);

  protected:
    void showEvent(QShowEvent* event) override;

  private:
    QWidget* makeBar();
    void addScope(QVBoxLayout* column);
    void addWhatIsLaidOut(QLayout* top);
    void addViews(QLayout* top);
    void addNoodle(QLayout* top);
    void addPaper(QLayout* top);
    void addSaid(QVBoxLayout* column);
    // What is laid out: the fly on the bench so many times, or every batch that waits.
    [[nodiscard]] std::vector<TiedFlies> wanted() const;
    void plan();
    void show();
    [[nodiscard]] std::map<std::size_t, QStringList> bandsFor(const Plan& plan) const;
    void tied();
    void learn();
    void askForCard();
    void printCard();

    Document& document_;
    const Theme& theme_;
    Background background_{document_};
    FeatherView* feathers_;
    GaugeView* gauge_;
    TrayView* tray_;
    QStackedWidget* views_;
    QComboBox* scope_;
    QSpinBox* flies_;
    Label* said_;
    Label* laid_;
    QToolButton* tied_;
    QToolButton* halves_ = nullptr;
    LengthSpin* made_;  // of a noodle or loop; 0 as it was reckoned
    LengthSpin* left_;
    QProgressBar* progress_;
    std::optional<CuttingPlan> cutting_;
    HacklesChosen hackles_;
    std::vector<HackleWanted> hacklesWanted_;
    std::vector<TiedFlies> planned_;  // what the plan is for
    std::vector<Plan> plans_;
};

}  // namespace machair::app
