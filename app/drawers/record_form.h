// The fields of one hook or material, edited in place or by calliper: the reading goes where the cursor is, three
// readings give mean and spread.
#pragma once

#include <QScrollArea>
#include <map>
#include <string>
#include <vector>

#include "book/fields.h"
#include "devices/calliper.h"
#include "editing/document.h"
#include "theme/theme.h"

class QFormLayout;
class QLabel;
class QLineEdit;

namespace machair::app {

class RecordForm : public QScrollArea {
    Q_OBJECT
  public:
    RecordForm(Document& document, const Theme& theme, QWidget* parent = nullptr);

    enum class Kind { none, hook, material };
    void show(Kind kind, const std::string& id);
    // A reading of the calliper for the field that has the cursor.
    void take(double millimetres);
    [[nodiscard]] Kind kind() const { return kind_; }
    [[nodiscard]] const std::string& id() const { return id_; }

  private:
    void rebuild();
    void refresh();
    void addField(QFormLayout* form, const Field& field);
    void write(const std::string& key, const QString& text, Source source);
    void sayUse();
    [[nodiscard]] std::vector<Field> fields() const;
    [[nodiscard]] std::vector<std::string> users() const;

    Document& document_;
    const Theme& theme_;
    Kind kind_ = Kind::none;
    std::string id_;
    QWidget* sheet_ = nullptr;
    QLabel* fault_ = nullptr;
    QLabel* use_ = nullptr;
    QLabel* measuring_ = nullptr;
    std::map<std::string, QLineEdit*> lines_;
    std::map<std::string, QLabel*> marks_;  // "measured" beside a field
    std::string cursor_;                    // the field that had the cursor last
    std::map<std::string, std::vector<Length>> readings_;
};

// The short caution for what is shown; empty where none belongs.
[[nodiscard]] QString cautionFor(const Book& book, RecordForm::Kind kind, const std::string& id);

}  // namespace machair::app
