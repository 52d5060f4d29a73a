// The window: the cast across the top, what is on the bench under it, the station, the quiet line.
#pragma once

#include <QMainWindow>
#include <memory>

#include "book/records.h"
#include "devices/hub.h"
#include "editing/document.h"
#include "frame/station.h"
#include "theme/theme.h"

class QMenu;
class QPainter;
class QSettings;
class QStackedWidget;

namespace machair::app {

class ArrivalsSheet;
class HandingOut;
class PaperSheet;
class RecipeSheet;
class BalanceStation;
class DaybookStation;
class Doors;
class EmptyStation;
class FirstEvening;
class GuideView;
class House;
class WaterStation;
struct EveningStep;
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
    // What was open last, else the doors to begin.
    void openLast();
    // The three doors; what is open stays behind them.
    void showDoors();
    // To where a record is worked with: a dressing onto the bench, a team onto the cast, a day in the Daybook, else into its drawer.
    void goTo(const RecordId& record);
    // Everything by a few letters: the finder.
    void find();
    // A bench file's records, to be taken into the open book one by one.
    void openRecipe(const QString& path);
    void openInto(const QString& path);
    // Writes the book to another file of either kind; the quiet line says how it went.
    bool keepCopy(const QString& path);
    [[nodiscard]] Document& document() { return document_; }
    [[nodiscard]] Theme& theme() { return theme_; }
    void keepSettings();
    void endTyping();
    void showStation(Station station);
    [[nodiscard]] Station station() const;
    [[nodiscard]] devices::Hub& devices() { return hub_; }
    [[nodiscard]] DrawersStation& drawers() { return *drawers_; }
    [[nodiscard]] HandingOut& handingOut() { return *handingOut_; }

  protected:
    void changeEvent(QEvent* event) override;
    void closeEvent(QCloseEvent* event) override;
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;

  private:
    void buildShortcuts();
    void showPage();
    void beginBook(const QString& name);
    void showGuide();
    void rememberRecent(const QString& path);
    [[nodiscard]] QStringList recent() const;
    [[nodiscard]] std::vector<EveningStep> eveningSteps();
    void buildBookMenu();
    void showPaper();
    void askForFile();
    void askForCopy();
    void showCautions();
    void showCopies();
    void showSetAside();
    void takeLength(double millimetres);
    void layOut();
    void listenToDoors();
    void listenToSheets();
    void listenToHouse();
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
    WaterStation* water_;
    DaybookStation* daybook_;
    ArrivalsSheet* arrivals_;
    RecipeSheet* recipe_;
    PaperSheet* paper_;
    HandingOut* handingOut_;
    Doors* doors_ = nullptr;
    FirstEvening* evening_ = nullptr;
    GuideView* guide_ = nullptr;
    House* house_ = nullptr;
    EmptyStation* empty_ = nullptr;
    Station station_ = Station::plan;
};

// The user's own copy of the demo, made from the shipped one when there is none yet.
[[nodiscard]] QString ownDemo();

}  // namespace machair::app
