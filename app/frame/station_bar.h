// The way between the stations, and what belongs to all of them: back and forth through edits, the bench's light, the
// book.
#pragma once

#include <QWidget>
#include <vector>

#include "editing/document.h"
#include "frame/station.h"
#include "theme/theme.h"

class QMenu;
class QToolButton;

namespace machair::app {

class StationBar : public QWidget {
    Q_OBJECT
  public:
    StationBar(Document& document, Theme& theme, QWidget* parent = nullptr);
    void showStation(Station station);
    [[nodiscard]] QMenu* bookMenu() const { return menu_; }

  signals:
    void stationWanted(Station station);

  private:
    void refresh();

    Document& document_;
    std::vector<QToolButton*> tabs_;
    QToolButton* undo_;
    QToolButton* redo_;
    QMenu* menu_;
};

}  // namespace machair::app
