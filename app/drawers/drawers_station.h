// The Drawers: trays of all that the book holds, as pictures. One opened is seen large with its measures, and edited beside it.
#pragma once

#include <QWidget>
#include <memory>

#include "devices/hub.h"
#include "drawers/drawers.h"
#include "editing/document.h"
#include "frame/reads_lengths.h"
#include "parts/things.h"
#include "store/csv.h"
#include "theme/theme.h"

class QHBoxLayout;
class QLineEdit;
class QListWidget;
class QSettings;
class QToolButton;

namespace machair::app {

class Label;

class RecordSheet;
class ThingView;
class VaneView;

class DrawersStation : public QWidget, public ReadsLengths {
    Q_OBJECT
  public:
    DrawersStation(Document& document, const Theme& theme, devices::Hub& devices, const QSettings& settings, QWidget* parent = nullptr);
    void open(Drawer drawer);
    bool choose(const std::string& id);  // whether it lies in the open drawer
    void show(const RecordId& record);   // opens its drawer at it
    [[nodiscard]] Drawer drawer() const;
    [[nodiscard]] Tray& tray() { return *tray_; }
    void takeLength(double millimetres) override;
    // The drawer as CSV to a file; a CSV into the book, all or nothing. What was wrong stands over the tray.
    bool exportTo(const QString& path);
    bool importFrom(const QString& path);
    void offerImport(const QString& path);  // what it would change, with a button that does it

  signals:
    void goTo(const RecordId& record);  // something that has a station of its own

  protected:
    void showEvent(QShowEvent* event) override;

  private:
    QWidget* makeTools();
    void refresh();
    void showChosen();
    void put();
    void put(const std::string& about);
    void copy();
    void takeOut();
    void say(const QString& words, bool wrong);
    void offerHolders(const RecordId& record);
    void clearOffers();
    [[nodiscard]] Result<store::Imported> tableFrom(const QString& path) const;
    void sayCalliper();

    Document& document_;
    const Theme& theme_;
    devices::Hub& devices_;
    QListWidget* list_;
    QLineEdit* search_;
    Tray* tray_;
    RecordSheet* sheet_;
    ThingView* thing_;
    VaneView* vane_;  // in its place, of a feather
    Label* said_;
    QWidget* holders_;
    QToolButton* new_ = nullptr;
    QToolButton* copy_ = nullptr;
    QToolButton* csv_ = nullptr;
    QToolButton* calliperButton_;
    bool refreshing_ = false;
};

}  // namespace machair::app
