// What is on the bench: the dressing, its hook, the hook's size and wire, and the way back and forth through edits.
#pragma once

#include <QWidget>

#include "editing/document.h"
#include "theme/theme.h"

class QComboBox;
class QLabel;
class QMenu;
class QSpinBox;
class QToolButton;

namespace machair::app {

class BenchBar : public QWidget {
    Q_OBJECT
  public:
    BenchBar(Document& document, Theme& theme, QWidget* parent = nullptr);
    void showStation(int station);
    [[nodiscard]] QMenu* bookMenu() const { return menu_; }

  signals:
    void refused(const Faults& faults);
    void sizesWanted(bool shown);
    void stationWanted(int station);  // 0 Plan, 1 Drawers

  private:
    void refreshLists();
    void refresh();
    void resize(const HookChange& change);
    void buildDressingMenu();
    void askForName();
    void refuseIf(const Faults& faults);

    Document& document_;
    Theme& theme_;
    QComboBox* dressings_;
    QComboBox* hooks_;
    QSpinBox* size_;
    QComboBox* wire_;
    QLabel* measured_;
    QToolButton* plan_;
    QToolButton* drawers_;
    QToolButton* dressing_;
    QToolButton* sizes_;
    QToolButton* undo_;
    QToolButton* redo_;
    QToolButton* bench_;
    QToolButton* book_;
    QMenu* menu_;
};

}  // namespace machair::app
