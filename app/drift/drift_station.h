// How the three fish: the leader through count, retrieve, lift and hang, replayed; and answers to what tiers ask of it.
#pragma once

#include <QTimer>
#include <QWidget>
#include <array>
#include <map>

#include "editing/background.h"
#include "editing/document.h"
#include "leader/drift.h"
#include "leader/questions.h"
#include "theme/theme.h"

class QCheckBox;
class QComboBox;
class QDoubleSpinBox;
class QProgressBar;
class QSlider;
class QToolButton;
class QVBoxLayout;

namespace machair::app {

class Label;

class WaterSection;

class DriftStation : public QWidget {
    Q_OBJECT
  public:
    DriftStation(Document& document, const Theme& theme, QWidget* parent = nullptr);

  protected:
    void showEvent(QShowEvent* event) override;
    void hideEvent(QHideEvent* event) override;

  private:
    enum class Style { steady, pulls, figureOfEight };  // how the line comes in

    QWidget* makePanel();
    void addRetrieve(QVBoxLayout* column);
    void addDay(QVBoxLayout* column);
    void addAnswers(QVBoxLayout* column);
    [[nodiscard]] QDoubleSpinBox* blank(const char* name, const QString& label, double low, double high, double step, int decimals,
                                        double value, const QString& unit);
    [[nodiscard]] Handling handling() const;
    [[nodiscard]] std::pair<std::optional<Time>, std::optional<Time>> pulls() const;
    [[nodiscard]] std::optional<Speed> dayDrift() const;
    void showDay();
    [[nodiscard]] std::optional<Rig> rig() const;
    [[nodiscard]] WaveSurface dayWave() const;
    void handlingChanged();
    void run(const DriftOptions& options);
    enum class Question { count, draw, spacing, touch, hold };
    void addQuestion(QVBoxLayout* column, Question question, const char* name, const QString& sentence, bool atDepth);
    void ask(Question which);
    void report();
    [[nodiscard]] QStringList depthsAtEndOfDraw(const DriftReport& run) const;

    Document& document_;
    const Theme& theme_;
    Background background_{document_};
    Background asking_{document_};
    WaterSection* section_;
    std::map<std::string, QDoubleSpinBox*> numbers_;
    std::map<Question, QDoubleSpinBox*> depths_;  // the blanks of the questions
    QComboBox* style_;
    QWidget* pulls_ = nullptr;
    Label* words_;
    Label* answer_;
    QToolButton* play_;
    QCheckBox* waves_;
    QCheckBox* ofDay_;
    QSlider* scrub_;
    QTimer playing_;
    QTimer settle_;  // after the last change of a control, the run at full resolution
};

}  // namespace machair::app
