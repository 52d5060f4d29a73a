// What was wrong with a file that could not be opened, in place, with every fault and where it stands. The open book
// stays as it is behind it.
#pragma once

#include <QFrame>

#include "faults/faults.h"
#include "theme/theme.h"

class QPlainTextEdit;
class QPushButton;

namespace machair::app {

class Label;

class FaultSheet : public QFrame {
    Q_OBJECT
  public:
    explicit FaultSheet(const Theme& theme, QWidget* parent = nullptr);
    void show(const QString& file, const Faults& faults);
    // What was left out of a damaged book that is open all the same, and what mends it.
    void showSetAside(const QString& file, const Faults& faults, bool copies);
    [[nodiscard]] QString faultText() const;

  signals:
    void openAnother();
    void mendFromCopies();
    void takeOut();

  private:
    void refresh();
    void list(const Faults& faults);
    const Theme& theme_;
    Label* title_;
    QPlainTextEdit* list_;
    QPushButton* mend_ = nullptr;
    QPushButton* out_ = nullptr;
};

}  // namespace machair::app
