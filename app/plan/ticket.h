// The ticket: the parts in tying order, one line each of what matters, the chosen one opened for editing in place.
#pragma once

#include <QScrollArea>
#include <vector>

#include "checking/checking.h"
#include "editing/document.h"
#include "parts/askable.h"
#include "theme/theme.h"

class QToolButton;
class QVBoxLayout;

class QSettings;

namespace machair::app {

class Label;

class Folded;
class PartRow;

class Ticket : public QScrollArea, public Askable {
    Q_OBJECT
  public:
    Ticket(Document& document, const Theme& theme, QSettings& settings, QWidget* parent = nullptr);
    [[nodiscard]] const std::vector<PartRow*>& rows() const { return rows_; }
    [[nodiscard]] std::optional<Question> questionAt(std::optional<QPoint> at) const override;

  protected:
    void keyPressEvent(QKeyEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

  private:
    void refresh();
    void openChosen();
    void add(PartKind kind);
    void remove(std::size_t part);
    void move(std::size_t part, std::ptrdiff_t to);
    void refuse(const Faults& faults);
    void refreshRows();
    void sayFolded();
    [[nodiscard]] bool sameParts() const;

    Document& document_;
    const Theme& theme_;
    QWidget* sheet_;
    QVBoxLayout* layout_;
    QToolButton* add_;
    Label* refused_;
    Folded* dressing_ = nullptr;
    Folded* schools_ = nullptr;
    Deviations hand_;  // of the book's checks: gone over when the book changes, not while something is dragged
    std::vector<PartRow*> rows_;
    std::string shown_;  // the dressing whose rows these are
    std::vector<PartKind> kinds_;
};

}  // namespace machair::app
