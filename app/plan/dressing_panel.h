// What a dressing says of itself as a whole, under its parts in the ticket: thread, role, limit, notes.
#pragma once

#include <QWidget>

#include "editing/document.h"
#include "theme/theme.h"

namespace machair::app {

class Label;

class FieldsForm;

class DressingPanel : public QWidget {
    Q_OBJECT
  public:
    DressingPanel(Document& document, const Theme& theme, QWidget* parent = nullptr);

  private:
    void refresh();
    Faults write(const std::string& key, const std::string& text);

    Document& document_;
    const Theme& theme_;
    FieldsForm* form_;
    Label* varied_;
    std::string shown_;
};

}  // namespace machair::app
