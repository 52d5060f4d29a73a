// What fits the evening: the batches that wait, two ways to tie them and the best, against the time there is.
#pragma once

#include <QWidget>

#include "bench/schedule.h"
#include "editing/background.h"
#include "editing/document.h"
#include "theme/theme.h"

class QComboBox;
class QLabel;
class QListWidget;
class QSpinBox;

namespace machair::app {

class TimelineView;

class EveningStation : public QWidget {
    Q_OBJECT
  public:
    EveningStation(Document& document, const Theme& theme, QWidget* parent = nullptr);

  protected:
    void showEvent(QShowEvent* event) override;

  private:
    QWidget* makePanel();
    void refresh();
    void showTable();

    Document& document_;
    Background background_;
    TimelineView* timeline_;
    QListWidget* batches_;
    QSpinBox* wanted_;
    QSpinBox* minutes_;
    QComboBox* way_;
    QLabel* said_;
    std::vector<TyingJob> jobs_;
    std::optional<BestTimetable> best_;
};

}  // namespace machair::app
