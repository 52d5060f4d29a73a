// What fits the evening: the batches that wait, two ways to tie them and the best, against the time there is.
#pragma once

#include <QElapsedTimer>
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

class FieldsForm;
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
    void refreshBox();
    void showTable();
    // The timetable that is shown: the best, one of the two ways, least change of material, or the order dragged.
    [[nodiscard]] Timetable table() const;
    void move(std::size_t job, std::size_t before);
    void keepCalendar();
    void keepBuyingList();
    QWidget* makeStock();
    [[nodiscard]] QString sayTimes() const;
    [[nodiscard]] QString sayHook(const Batch& batch) const;

    Document& document_;
    const Theme& theme_;
    Background background_;
    TimelineView* timeline_;
    QListWidget* batches_;
    QSpinBox* wanted_;
    QSpinBox* minutes_;
    QComboBox* way_;
    QLabel* said_;
    QListWidget* box_;
    QListWidget* next_;
    QListWidget* stock_;
    FieldsForm* batch_ = nullptr;
    FieldsForm* there_ = nullptr;  // how much of the chosen material there is
    std::vector<std::size_t> order_;  // as dragged; jobs by number
    QElapsedTimer sinceLast_;         // one was tied
    std::vector<TyingJob> jobs_;
    std::optional<BestTimetable> best_;
};

}  // namespace machair::app
