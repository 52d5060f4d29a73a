// The day and its rules: wind to wave, how full to dress, the water's rule card, and the best three of the box.
#pragma once

#include <QDateTime>
#include <QWidget>
#include <memory>

#include "daybook/learned.h"
#include "devices/hub.h"
#include "editing/background.h"
#include "editing/document.h"
#include "team/choose.h"
#include "theme/theme.h"
#include "water/shore.h"

class QCheckBox;
class QComboBox;
class QListWidget;
class QSpinBox;
class QToolButton;

namespace machair::app {

class Label;

class DayPicker;
class FieldsForm;
class SeaView;

class WaterStation : public QWidget {
    Q_OBJECT
  public:
    WaterStation(Document& document, const Theme& theme, devices::Hub& devices, QWidget* parent = nullptr);
    // A shore from a GeoJSON file; the quiet line says what is wrong with it.
    void bringShore(const QString& file);

  protected:
    void showEvent(QShowEvent* event) override;

  private:
    QWidget* makeDay();
    QWidget* makeRules();
    void refresh();
    void refreshRules();
    void sayRuled(std::vector<ComesOff> comesOff);  // the team under the card, and what comes off it
    // The card of the day's water; nothing where it has none.
    [[nodiscard]] const RuleCard* ruleCard() const;
    void refreshSeason();
    void changeOver();
    void choose();
    struct Wanted;
    struct Found {
        Faults faults;
        std::vector<BoxCandidate> box;
        ChoiceReport report;
        std::vector<Placed> placed;
        std::optional<WhyNot> why;
    };
    void show(Found found);
    void showPlaced();
    void makeStale();
    void takeChoice(int row);
    void setShore(const std::vector<MapPoint>& outline);
    void watchWeather();
    bool writeAll(const std::vector<std::pair<const char*, std::string>>& fields, const char* words);
    void takeWeather();
    Faults writeWater(const std::string& key, const std::string& text);

    Document& document_;
    const Theme& theme_;
    devices::Hub& hub_;
    Background background_{document_};
    Background boxWork_{document_};  // the box under the rule card
    std::optional<devices::Weather> reading_;
    QDateTime readAt_;
    SeaView* sea_;
    QComboBox* waters_;
    QComboBox* force_;
    FieldsForm* day_;
    DayPicker* looks_ = nullptr;
    QToolButton* weatherButton_;
    QListWidget* season_;
    Label* answers_;
    Label* boat_;  // how fast the days have found it to drift
    Label* cautions_;
    FieldsForm* card_;
    FieldsForm* row_ = nullptr;
    std::string seasonRow_;  // the one that is open
    QToolButton* addCard_;
    QToolButton* gaugeButton_ = nullptr;
    QToolButton* twins_ = nullptr;
    std::vector<ComesOff> comesOff_;
    QSpinBox* kept_;
    Label* ruled_;
    QListWidget* boxRuled_;
    QToolButton* chooseButton_;
    QComboBox* favourite_;
    QComboBox* place_;
    QCheckBox* withBook_;
    Label* chosen_;
    QListWidget* teams_;
    std::vector<BoxCandidate> box_;
    std::vector<Choice> choices_;
    std::vector<Placed> placed_;
    bool stale_ = false;
};

}  // namespace machair::app
