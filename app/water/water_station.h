// The day and its rules: the wind on the map, the day beside it, the best three of the box and the water's rule card.
#pragma once

#include <QWidget>
#include <vector>

#include "devices/hub.h"
#include "editing/document.h"
#include "theme/theme.h"
#include "water/shore.h"

namespace machair::app {

class ChoicePanel;
class DayPanel;
class RulesPanel;
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
    void refresh();
    void setShore(const std::vector<MapPoint>& outline);

    Document& document_;
    SeaView* sea_;
    DayPanel* day_;
    ChoicePanel* choice_;
    RulesPanel* rules_;
};

}  // namespace machair::app
