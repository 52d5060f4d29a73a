// What happened, and what it tells: days with their outings and fish, rates with honest intervals, the swap that would
// tell most. A fish is three keys: B, M or P, then K, R or L, then Enter.
#pragma once

#include <QWidget>
#include <map>
#include <string>

#include "book/record_edits.h"
#include "book/records.h"
#include "daybook/learned.h"
#include "daybook/rates.h"
#include "editing/background.h"
#include "editing/document.h"
#include "theme/theme.h"

class QComboBox;
class QDoubleSpinBox;
class QFormLayout;
class QLineEdit;
class QListWidget;
class QVBoxLayout;

namespace machair::app {

class Label;

class FieldsForm;

class DayPage;
class DaysIn;
class PhotoStrip;
class RecordSheet;
class SeasonStrip;
class RateView;
class RatesPanel;

class DaybookStation : public QWidget {
    Q_OBJECT
  public:
    DaybookStation(Document& document, const Theme& theme, QWidget* parent = nullptr);

    // Reads a table of days and asks which column is which.
    void importFrom(const QString& file);
    void chooseDay(const DayId& day);

  protected:
    void keyPressEvent(QKeyEvent* event) override;
    void showEvent(QShowEvent* event) override;

  private:
    QWidget* makePanel();
    void addDays(QVBoxLayout* column);
    void addEntry(QVBoxLayout* column);
    void addNotes(QVBoxLayout* column);
    void addFiles(QVBoxLayout* column);
    void refresh();
    void sayEntry();
    void askForImport();
    void keepDays();
    void addPhotos();
    void showPhotos();
    [[nodiscard]] DayId day() const;  // the chosen one; empty where there is none

    void showRow(const std::optional<RowId>& row);
    void takeDayOut();

    Document& document_;
    const Theme& theme_;
    Background looking_{document_};  // at a picture
    RateView* rates_;
    RatesPanel* said_;
    QLineEdit* date_;
    QListWidget* days_;
    QDoubleSpinBox* hours_;
    Label* entry_;
    QDoubleSpinBox* depth_;
    PhotoStrip* photos_;
    DaysIn* in_;
    std::optional<Position> position_;
    std::optional<Fate> fate_;
    QLineEdit* note_;
    FieldsForm* like_ = nullptr;
    SeasonStrip* season_;
    DayPage* page_;
    RecordSheet* mark_;  // the fish or outing that is chosen on the page
};

}  // namespace machair::app
