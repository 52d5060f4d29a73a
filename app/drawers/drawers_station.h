// The Drawers: hooks, feathers, furs, threads and the rest, each with its physical properties and which are measured.
#pragma once

#include <QWidget>
#include <memory>

#include "devices/hub.h"
#include "drawers/drawer_model.h"
#include "editing/document.h"
#include "frame/reads_lengths.h"
#include "theme/theme.h"

class QLabel;
class QLineEdit;
class QListWidget;
class QTableView;
class QToolButton;

namespace machair::app {

class RecordForm;
class ThingView;

class DrawersStation : public QWidget, public ReadsLengths {
    Q_OBJECT
  public:
    DrawersStation(Document& document, const Theme& theme, devices::Hub& devices, QWidget* parent = nullptr);
    void open(Drawer drawer);
    bool choose(const std::string& id);  // whether it lies in the open drawer
    void takeLength(double millimetres) override;
    // The drawer as CSV to a file; a CSV into the book, all or nothing. What was wrong stands in the list.
    bool exportTo(const QString& path);
    bool importFrom(const QString& path);

  private:
    void showDrawer();
    void showChosen();
    void add();
    void takeOut();
    void say(const QString& words, bool wrong);
    void sayCalliper();

    Document& document_;
    const Theme& theme_;
    devices::Hub& devices_;
    DrawerModel* model_;
    QListWidget* list_;
    QLineEdit* search_;
    QTableView* table_;
    RecordForm* form_;
    ThingView* thing_;
    QLabel* said_;
    QToolButton* calliperButton_;
    bool resetting_ = false;  // the rows are being made anew: what is chosen stays chosen
};

}  // namespace machair::app
