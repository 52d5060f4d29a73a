// The day of a water: its wind, warmth and look, the weather station's word, and what is about in its month.
#pragma once

#include <QDateTime>
#include <QWidget>
#include <string>
#include <utility>
#include <vector>

#include "devices/hub.h"
#include "editing/document.h"
#include "parts/scale.h"
#include "theme/theme.h"

class QComboBox;
class QListWidget;
class QToolButton;
class QVBoxLayout;

namespace machair::app {

class DayPicker;
class FieldsForm;
class Folded;
class Label;

class DayPanel : public QWidget {
    Q_OBJECT
  public:
    DayPanel(Document& document, const Theme& theme, devices::Hub& devices, QWidget* parent = nullptr);
    void refresh();
    Faults writeWater(const std::string& key, const std::string& text);
    // Several of the day's fields as one edit; whether it took.
    bool writeAll(const std::vector<std::pair<const char*, std::string>>& fields, const char* words);
    void shoreIsDrawn();
    void beginWater();
    void beginShore();

  signals:
    void drawShoreWanted(bool draw);
    void shoreFileChosen(const QString& file);

  private:
    void addSeason(QVBoxLayout* column);
    void addNumbers(QVBoxLayout* column);
    Scale* addScale(QVBoxLayout* column, const char* key, Scale::Range range);
    void refreshSeason();
    void watchWeather();
    void takeWeather();

    Document& document_;
    const Theme& theme_;
    devices::Hub& hub_;
    std::optional<devices::Weather> reading_;
    QDateTime readAt_;
    QComboBox* waters_;
    QComboBox* force_;
    FieldsForm* day_ = nullptr;
    DayPicker* looks_ = nullptr;
    Scale* celsius_ = nullptr;
    Scale* depth_ = nullptr;
    Folded* numbers_ = nullptr;
    QToolButton* draw_ = nullptr;
    QToolButton* weatherButton_ = nullptr;
    QListWidget* season_;
    Label* answers_;
    Label* boat_;  // how fast the days have found it to drift
    Label* cautions_;
    FieldsForm* row_ = nullptr;
    std::string seasonRow_;  // the one that is open
};

}  // namespace machair::app
