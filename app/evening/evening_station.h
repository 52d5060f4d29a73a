// What fits the evening: the batches that wait, two ways to tie them and the best, against the time there is.
#pragma once

#include <QElapsedTimer>
#include <QSettings>
#include <QTimer>
#include <QWidget>

#include "bench/batches.h"
#include "editing/background.h"
#include "editing/document.h"
#include "theme/theme.h"

class QComboBox;
class QSpinBox;
class QTimeEdit;
class QToolButton;
class QVBoxLayout;

namespace machair::app {

class BatchesPanel;
class Label;
class Shelf;
class TimelineView;

class EveningStation : public QWidget {
    Q_OBJECT
  public:
    EveningStation(Document& document, const Theme& theme, QSettings& settings, QWidget* parent = nullptr);

    // Lets the evening's clock run so many times faster than the wall's, to rehearse an evening in a minute.
    void quicken(double times);

  protected:
    void showEvent(QShowEvent* event) override;

  private:
    static constexpr int kMostByThen = 5;  // among the ways
    static constexpr int kTick = 1000;     // ms between two looks at the clock
    QWidget* makePanel();
    void addTime(QVBoxLayout* column);
    void addRun(QVBoxLayout* column);
    void runEvening(bool on);
    // Minutes since the evening began; nothing where it doesn't run.
    [[nodiscard]] std::optional<double> minutesGone() const;
    void tick();
    void refresh();
    void askEvening();
    void showTable();
    // The timetable that is shown: the best, one of the two ways, least change of material, or the order dragged.
    [[nodiscard]] Timetable table() const;
    void move(std::size_t job, std::size_t before);
    void keepCalendar();
    void keepBuyingList();
    [[nodiscard]] QString sayTimes() const;

    Document& document_;
    QSettings& settings_;
    Background background_{document_};
    TimelineView* timeline_;
    BatchesPanel* batches_;
    QSpinBox* minutes_;
    QTimeEdit* by_;
    QComboBox* way_;
    Label* said_;
    Shelf* shelf_;
    std::vector<std::size_t> order_;  // as dragged; jobs by number
    std::vector<TyingJob> jobs_;
    std::optional<BestTimetable> best_;
    std::optional<AskedEvening> asked_;
    Background asking_{document_};
    QToolButton* run_ = nullptr;
    Label* due_;
    QTimer clock_;
    QElapsedTimer begun_;
    double pace_ = 1.0;
    std::vector<EveningEvent> coats_;  // still to ring, in the order in which they are due; as they were when it began
};

}  // namespace machair::app
