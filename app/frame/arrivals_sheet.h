// What somebody shares, before anything of it is taken: what is new here, what is here already, what differs and how. Ticked
// things come in as one step of undo, with what they need.
#pragma once

#include <QFrame>

#include "book/sharing.h"
#include "editing/document.h"
#include "theme/theme.h"

class QListWidget;

namespace machair::app {

class Label;

class ArrivalsSheet : public QFrame {
    Q_OBJECT
  public:
    ArrivalsSheet(Document& document, const Theme& theme, QWidget* parent = nullptr);
    // Shows the arrivals of this book; a file of this name.
    void show(Book other, const QString& name);

  private:
    void takeIn();
    Document& document_;
    const Theme& theme_;
    Book other_;
    QString name_;
    std::vector<Arriving> arrivals_;
    Label* title_;
    QListWidget* list_;
    Label* said_;
};

}  // namespace machair::app
