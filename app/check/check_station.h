// Is it as planned: measured part after part by calliper, on a photograph, or by the look; what this hand always does;
// training the eye; pairs out of a heap.
#pragma once

#include <QWidget>
#include <memory>
#include <optional>
#include <vector>

#include "checking/checking.h"
#include "devices/hub.h"
#include "editing/background.h"
#include "editing/document.h"
#include "frame/reads_lengths.h"
#include "theme/theme.h"
#include "tie/speaker.h"

class QComboBox;
class QLineEdit;
class QListWidget;
class QProgressBar;
class QStackedWidget;
class QToolButton;
class QVBoxLayout;

namespace machair::app {

class LengthSpin;
class Label;

class AskedView;
class EyeView;
class HandPanel;
class HandView;
class PairsView;
class PhotoView;

class CheckStation : public QWidget, public ReadsLengths {
    Q_OBJECT
  public:
    CheckStation(Document& document, const Theme& theme, devices::Hub& devices, QWidget* parent = nullptr);
    // A reading for the part that is asked for: it is judged at once, and the next is asked for.
    void take(double millimetres);
    // A picture's file. What is wrong with it is said on the quiet line.
    void loadPhoto(const QString& file);
    void takeLength(double millimetres) override;
    [[nodiscard]] std::size_t current() const { return current_; }

  protected:
    void showEvent(QShowEvent* event) override;

  private:
    enum class Mode { calliper, photo, hand, eye, pairs };
    QWidget* makePanel();
    void addModes(QVBoxLayout* column);
    void addPhoto(QVBoxLayout* column);
    QWidget* makeMeasuring();
    QWidget* makeBench();
    void choose(Mode mode);
    void rebuild();
    void refresh();
    void sayDevices();
    void keep();
    void askForPhoto();
    void setReading(std::size_t item, double millimetres);

    Document& document_;
    const Theme& theme_;
    devices::Hub& hub_;
    Background background_{document_};
    Speaker speaker_;
    QStackedWidget* views_;
    PhotoView* photo_;
    HandView* hand_;
    EyeView* eye_;
    AskedView* fly_;
    Label* asked_;
    Label* number_;
    Label* verdict_;
    Label* devices_;
    LengthSpin* typed_;
    QListWidget* list_;
    QListWidget* looks_;
    Label* said_;
    QProgressBar* progress_;
    PairsView* pairs_;
    HandPanel* handPanel_;
    QToolButton* keep_ = nullptr;
    QToolButton* aloud_ = nullptr;
    std::vector<QToolButton*> modes_;
    QWidget* measuring_ = nullptr;  // of the panel
    std::optional<Plan> plan_;      // what the items are of: never another one than theirs
    std::vector<CheckItem> items_;
    std::vector<std::optional<Length>> readings_;
    std::size_t current_ = 0;
    std::string shown_;  // the dressing that the items are of
    std::optional<std::string> photoFile_;
};

}  // namespace machair::app
