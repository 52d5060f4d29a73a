// What a dressing says of itself as a whole, under its parts in the ticket: thread, role, limit, notes.
#pragma once

#include <QWidget>

#include "editing/document.h"

class QComboBox;
class QLabel;

namespace machair::app {

class FieldsForm;

class DressingPanel : public QWidget {
    Q_OBJECT
  public:
    explicit DressingPanel(Document& document, QWidget* parent = nullptr);

  private:
    void refresh();
    Faults write(const std::string& key, const std::string& text);

    Document& document_;
    QComboBox* thread_;
    FieldsForm* form_;
    QLabel* varied_;
    std::string shown_;
};

}  // namespace machair::app
