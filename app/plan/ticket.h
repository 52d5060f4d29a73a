// The ticket: the parts in tying order, one line each of what matters, the chosen one opened for editing in place.
#pragma once

#include <QScrollArea>
#include <vector>

#include "editing/document.h"
#include "theme/theme.h"

class QVBoxLayout;

namespace machair::app {

class PartRow;

class Ticket : public QScrollArea {
    Q_OBJECT
  public:
    Ticket(Document& document, const Theme& theme, QWidget* parent = nullptr);
    [[nodiscard]] const std::vector<PartRow*>& rows() const { return rows_; }

  protected:
    void keyPressEvent(QKeyEvent* event) override;

  private:
    void refresh();
    void openChosen();
    [[nodiscard]] bool sameParts() const;

    Document& document_;
    const Theme& theme_;
    QWidget* sheet_;
    QVBoxLayout* layout_;
    std::vector<PartRow*> rows_;
    std::string shown_;  // the dressing whose rows these are
    std::vector<PartKind> kinds_;
};

}  // namespace machair::app
