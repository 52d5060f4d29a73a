// Under the evening: what lies in the box and how much of it, what to tie next, what runs out and when. Each line with its picture.
#pragma once

#include <QWidget>

#include "editing/document.h"
#include "parts/askable.h"
#include "theme/theme.h"

class QLayout;
class QListWidget;
class QSpinBox;

namespace machair::app {

class FieldsForm;
class Pictures;

class Shelf : public QWidget, public Askable {
    Q_OBJECT
  public:
    Shelf(Document& document, const Theme& theme, QWidget* parent = nullptr);
    void refresh();
    // How far a material lasts: of the line of "Runs out first" there, or the chosen one.
    [[nodiscard]] std::optional<Question> questionAt(std::optional<QPoint> at) const override;

  signals:
    void batchWanted(const DressingId& pattern);  // some of what is to be tied next

  private:
    QLayout* makeCount();
    [[nodiscard]] const BoxFly* chosenFly() const;
    void showCount();
    void haveAlready(const DressingId& pattern, const HookId& hook);

    Document& document_;
    const Theme& theme_;
    Pictures& pictures_;
    QListWidget* box_;
    QSpinBox* count_;  // of the chosen fly of the box
    QListWidget* next_;
    QListWidget* stock_;
    FieldsForm* there_ = nullptr;  // how much of the chosen material there is
};

}  // namespace machair::app
