// How the house says its lengths: in millimetres, in inches to 1/64, or in decimal inches, everywhere at once. The core's
// words and the book's files are in millimetres; here, at the edge to people, they are put into the unit that was chosen, and
// what people type is read in it. The application knows its unit as it knows its face.
#pragma once

#include <QDoubleSpinBox>
#include <QString>
#include <optional>
#include <string>

#include "book/fields.h"
#include "units/text.h"

namespace machair::app {

[[nodiscard]] LengthUnit lengthsSaidIn();
// Every label says itself again and everything is painted anew; who builds lists or buttons out of words listens to Document::sayAnew.
void sayLengthsIn(LengthUnit unit);

// Words with their lengths in the house's unit, their days and the point of their numbers as the language has them. Names of the book's own
// are not for this, only what is shown and never read back.
[[nodiscard]] QString inHouseWords(const QString& words);
[[nodiscard]] QString inHouseWords(const std::string& words);
[[nodiscard]] QString lengthSaid(Length length, int decimals = 1);    // "11.7 mm"
[[nodiscard]] QString lengthUnitName();                               // "mm"
[[nodiscard]] QString lengthFigure(Length length, int decimals = 1);  // "11.7", where the unit stands beside it

// A step's amount: its number, shown large, and its unit.
struct AmountSaid {
    QString number, unit;
};
[[nodiscard]] AmountSaid amountInHouseUnit(const std::string& number, const std::string& unit);

// Words too long for a line may break within; what is longer than any name or path shows its beginning and its end.
[[nodiscard]] QString broken(const QString& words);

// A field of a record as it is shown, and what was typed into it as the record has it: "0.181" typed under inches is "0.181 in".
[[nodiscard]] QString shownText(const Field& field);
[[nodiscard]] std::string writtenText(const Field& field, const QString& typed);

// A number of millimetres to step, shown and typed in the house's unit.
class LengthSpin : public QDoubleSpinBox {
    Q_OBJECT
  public:
    explicit LengthSpin(QWidget* parent = nullptr);
    [[nodiscard]] QString textFromValue(double millimetres) const override;
    [[nodiscard]] double valueFromText(const QString& text) const override;
    [[nodiscard]] QValidator::State validate(QString& text, int& at) const override;

  private:
    [[nodiscard]] std::string bare(QString text) const;
};

}  // namespace machair::app
