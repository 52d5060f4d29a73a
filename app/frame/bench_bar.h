// What is on the bench: the dressing, its hook, the hook's size and wire.
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
    // A dressing from recipe text; what it leaves open is asked in place, one after another.
    void readRecipe(const QString& text);
    void keepRecipe(const QString& path);  // .txt, .md or .html
    void offerSizes(bool offered);         // the strip across sizes belongs to the plan

  signals:
    void refused(const Faults& faults);
    void sizesWanted(bool shown);

  private:
    void refreshLists();
    void refresh();
    void resize(const HookChange& change);
    void buildDressingMenu();
    void askForName();
    void offerSubstitutes(QMenu* menu);
    void askDoubt();
    void askForRecipeFile();
    void refuseIf(const Faults& faults);

    Document& document_;
    Theme& theme_;
    QComboBox* dressings_;
    QComboBox* hooks_;
    QSpinBox* size_;
    QComboBox* wire_;
    QLabel* measured_;
    QToolButton* dressing_;
    QToolButton* sizes_;
    QToolButton* doubt_;
    QStringList doubts_;
};

}  // namespace machair::app
