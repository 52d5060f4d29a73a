// What is on the bench: the dressing, its hook, the hook's size and wire.
#pragma once

#include <QWidget>

#include "editing/document.h"
#include "theme/theme.h"

class QComboBox;
class QMenu;
class QSpinBox;
class QToolButton;

namespace machair::app {

class Label;

class NameField;

class BenchBar : public QWidget {
    Q_OBJECT
  public:
    BenchBar(Document& document, Theme& theme, QWidget* parent = nullptr);
    void keepRecipe(const QString& path);  // .txt, .md or .html
    void askForName();                     // in place, until Enter or Esc
    void offerSizes(bool offered);         // the strip across sizes belongs to the plan

  signals:
    void refused(const Faults& faults);
    void sizesWanted(bool shown);
    void recipeOffered(const QString& text);

  private:
    [[nodiscard]] std::string pictureInText() const;
    void start(FlyKind kind);
    void chooseKind();
    void chooseDressing();
    void chooseHook();
    void refresh();
    void resize(const HookChange& change);
    void buildDressingMenu();
    void offerStandIns(QMenu* menu);
    void offerComparisons(QMenu* menu);
    void askForRecipeFile();
    void refuseIf(const Faults& faults);

    Document& document_;
    Theme& theme_;
    QToolButton* dressings_;
    NameField* name_;  // in the button's place while it is renamed
    QToolButton* hooks_;
    QSpinBox* size_;
    QComboBox* wire_;
    Label* measured_;
    Label* on_ = nullptr;
    QToolButton* dressing_;
    QToolButton* sizes_;
    QToolButton* start_;
    QToolButton* recipe_;
};

}  // namespace machair::app
