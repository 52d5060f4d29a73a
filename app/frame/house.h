// The house: how the window is for its tier, kept across restarts. The bench's light, the size of text, the hand at the vice, the schools
// held to for all dressings, and what the devices last said.
#pragma once

#include <QFrame>

#include "devices/hub.h"
#include "editing/document.h"
#include "theme/theme.h"

class QSettings;
class QSlider;
class QToolButton;
class QVBoxLayout;

namespace machair::app {

class Label;

// What the settings say of the bench; as the system has it where they say nothing else.
enum class Lighting { sand, slate, contrast, darkContrast, system };
[[nodiscard]] Lighting lightingOf(const QSettings& settings);
void useLighting(Theme& theme, Lighting lighting);
// Text of this many per cent of the system's, everywhere at once.
void useTextSize(int percent);

class House : public QFrame {
    Q_OBJECT
  public:
    House(Document& document, Theme& theme, devices::Hub& devices, QSettings& settings, QWidget* parent);
    void open();
    void restore();  // text, lengths and hand as they were left

  signals:
    void leftHandChosen(bool left);
    void farSideChosen(bool far);
    void calibrationWanted();  // of the screen that the window is on
    void languageChosen();     // another than is spoken: the window begins again

  protected:
    void keyPressEvent(QKeyEvent* event) override;

  private:
    void light(Lighting lighting);
    void keep(Lighting lighting);
    void sayIn(LengthUnit unit);
    void addLanguages(QVBoxLayout* column);
    void refresh();
    void sayDevices();
    void sayScreens();

    Document& document_;
    Theme& theme_;
    devices::Hub& devices_;
    QSettings& settings_;
    std::vector<std::pair<Lighting, QToolButton*>> lights_;
    std::vector<std::pair<LengthUnit, QToolButton*>> units_;
    std::vector<std::pair<QString, QToolButton*>> languages_;  // nothing: as the system has it
    QSlider* text_;
    Label* textSaid_;
    QToolButton* left_;
    QToolButton* far_;
    QToolButton* still_;
    Label* screensSaid_;
    Label* devicesSaid_;
};

}  // namespace machair::app
