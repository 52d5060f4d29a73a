// A table of days that is taken in: which of its columns is which, for the tier to complete. All rows come in, or none.
#pragma once

#include <QWidget>
#include <map>
#include <string>
#include <string_view>

#include "editing/document.h"

class QComboBox;
class QFormLayout;

namespace machair::app {

class Label;

class DaysIn : public QWidget {
    Q_OBJECT
  public:
    explicit DaysIn(Document& document, QWidget* parent = nullptr);
    // Reads the table and asks which column is which; what can't be read is said.
    void read(const QString& file);

  private:
    [[nodiscard]] static QString called(std::string_view column);
    void showMapping();
    void takeIn();

    Document& document_;
    QFormLayout* columns_;
    Label* said_;
    std::string csv_;
    std::map<std::string, QComboBox*> ours_;
};

}  // namespace machair::app
