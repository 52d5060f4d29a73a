// One record of the book, or several of a kind at once, edited in place: its fields, the rows that stand in it, what depends on it and
// the caution that goes with it. A calliper's reading goes where the cursor is, three readings give mean and spread.
#pragma once

#include <QScrollArea>
#include <map>
#include <optional>
#include <string>
#include <vector>

#include "book/records.h"
#include "editing/document.h"
#include "theme/theme.h"

class QVBoxLayout;

namespace machair::app {

class Label;

class SaidForm;

class RecordSheet : public QScrollArea {
    Q_OBJECT
  public:
    // Its widgets are named "NAME-…".
    RecordSheet(Document& document, const Theme& theme, const QString& name, QWidget* parent = nullptr);

    // Nothing where empty; of several, an edit is of all of them.
    void show(std::vector<RecordId> records);
    // One row of a record by itself, as a fish of a day.
    void showRow(const RecordId& record, const RowId& row);
    // A reading of the calliper for the field that has the cursor.
    void take(double millimetres);
    void focusField(const std::string& key);
    [[nodiscard]] const std::vector<RecordId>& records() const { return records_; }
    [[nodiscard]] std::string id() const { return records_.empty() ? std::string() : records_.front().id; }

  signals:
    void goTo(const RecordId& record);  // what depends on it is asked for
    void rowGone();                     // the one row that was shown was taken out

  protected:
    void showEvent(QShowEvent* event) override;

  private:
    void rebuild();
    void refresh();
    void addFields(SaidForm* form, const std::vector<Field>& fields, const std::optional<RowId>& row);
    void addTables(QVBoxLayout* column);
    void addRow(QVBoxLayout* column, const RecordTable& table, std::size_t row);
    void addUsers(QVBoxLayout* column);
    void addTakeOut(QVBoxLayout* column);
    [[nodiscard]] Label* wrapped(const char* what, const QColor& ink) const;
    void write(const std::string& key, const QString& text, Source source);
    void writeRow(const RowId& row, const std::string& key, const QString& text);
    void writeLate(const std::vector<RecordId>& of, const std::optional<RowId>& row, const std::string& key, const QString& text);
    void say(const Faults& faults);
    void sayUse();
    [[nodiscard]] std::vector<Field> fields() const;
    [[nodiscard]] std::vector<DressingId> users() const;
    [[nodiscard]] std::string shapeNow() const;

    Document& document_;
    const Theme& theme_;
    QString name_;
    std::vector<RecordId> records_;
    std::optional<RowId> only_;  // this row and nothing else
    std::optional<RowId> open_;  // the row that is open
    QWidget* sheet_ = nullptr;
    Label* fault_ = nullptr;
    Label* use_ = nullptr;
    Label* measuring_ = nullptr;
    SaidForm* form_ = nullptr;
    std::map<std::string, Label*> marks_;  // "measured" beside a field
    std::string cursor_;                   // the field that had the cursor last
    std::string shape_;                    // which fields and rows it was built for
    std::map<std::string, std::vector<Length>> readings_;
};

// The short caution for what is shown; empty where none belongs.
[[nodiscard]] QString cautionFor(const Book& book, const RecordId& record);

}  // namespace machair::app
