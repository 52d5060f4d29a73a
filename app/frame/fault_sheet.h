// What was wrong with a file that could not be opened, in place, with every fault and where it stands. The open book
// stays as it is behind it.
#pragma once

#include <QFrame>

#include "faults/faults.h"
#include "theme/theme.h"

class QLabel;
class QPlainTextEdit;

namespace machair::app {

class FaultSheet : public QFrame {
    Q_OBJECT
  public:
    explicit FaultSheet(const Theme& theme, QWidget* parent = nullptr);
    void show(const QString& file, const Faults& faults);
    [[nodiscard]] QString faultText() const;

  signals:
    void openAnother();

  private:
    void refresh();
    const Theme& theme_;
    QLabel* title_;
    QPlainTextEdit* list_;
};

}  // namespace machair::app
