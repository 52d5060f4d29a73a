// The window: the cast across the top, what is on the bench under it, the station, the quiet line.
#pragma once

#include <QMainWindow>
#include <memory>

#include "devices/hub.h"
#include "editing/document.h"
#include "frame/station.h"
#include "theme/theme.h"

class QSettings;
class QStackedWidget;

namespace machair::app {

class BalanceStation;
class BenchBar;
class StationBar;
class DrawersStation;
class CastView;
class FaultSheet;
class PlanStation;
class QuietLine;

class MainWindow : public QMainWindow {
    Q_OBJECT
  public:
    // Settings keep what was open, where, and the window's layout; they outlive the window.
    explicit MainWindow(QSettings& settings, QWidget* parent = nullptr);
    ~MainWindow() override;

    // Opens a bench file; a broken one shows its faults and leaves the open book alone. Returns whether it was opened.
    bool openFile(const QString& path);
    // What was open last, else the demo of its own copy.
    void openLastOrDemo();
    // Writes the book to another file of either kind; the quiet line says how it went.
    bool keepCopy(const QString& path);
    [[nodiscard]] Document& document() { return document_; }
    [[nodiscard]] Theme& theme() { return theme_; }
    void keepSettings();
    void showStation(Station station);
    [[nodiscard]] Station station() const;
    [[nodiscard]] devices::Hub& devices() { return hub_; }
    [[nodiscard]] DrawersStation& drawers() { return *drawers_; }

  protected:
    void changeEvent(QEvent* event) override;
    void closeEvent(QCloseEvent* event) override;
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;

  private:
    void buildShortcuts();
    void buildBookMenu();
    void askForFile();
    void askForCopy();
    void showCautions();
    void showCopies();
    void showSetAside();
    void takeLength(double millimetres);
    void listenToDevices();
    void light();
    void restore();

    QSettings& settings_;
    Theme theme_;
    Document document_;
    devices::Hub hub_;
    CastView* cast_;
    StationBar* tabs_;
    BenchBar* bar_;
    FaultSheet* faults_;
    PlanStation* plan_;
    DrawersStation* drawers_;
    QStackedWidget* stations_;
    QuietLine* quiet_;
};

// The user's own copy of the demo, made from the shipped one when there is none yet.
[[nodiscard]] QString ownDemo();

}  // namespace machair::app
