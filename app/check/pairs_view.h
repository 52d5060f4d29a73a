// Which two of a heap belong together: wings, cheeks or flies measured one by one, lefts and rights apart where there are sides.
#pragma once

#include <QWidget>

#include "units/quantity.h"

class QLineEdit;

namespace machair::app {

class Label;

class PairsView : public QWidget {
    Q_OBJECT
  public:
    explicit PairsView(QWidget* parent = nullptr);
    // A reading, written where the cursor is.
    void take(Length length);

  private:
    void pair();

    QLineEdit* lefts_;
    QLineEdit* rights_;
    Label* paired_;
};

}  // namespace machair::app
