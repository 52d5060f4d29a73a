// What the days say: fish a rod-hour by one thing (its chart is the view of rates), the next swap, and two flies held against each other.
#pragma once

#include <QWidget>

#include "editing/background.h"
#include "editing/document.h"

class QComboBox;

namespace machair::app {

class Label;
class RateView;

class RatesPanel : public QWidget {
    Q_OBJECT
  public:
    RatesPanel(Document& document, RateView& view, QWidget* parent = nullptr);
    void refresh();

  private:
    void refreshRates();
    void sayComparison();

    Document& document_;
    Background background_{document_};
    RateView& rates_;
    QComboBox* factor_;
    Label* swap_;
    QComboBox* one_;
    QComboBox* two_;
    Label* compared_;
};

}  // namespace machair::app
