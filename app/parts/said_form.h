// The fields of a record: what is said of it stands as a row. What is left to the usual is a word under the rows, and a press
// on the word opens its row: a thing of which little is said takes little room, and everything can be said of it.
#pragma once

#include <QWidget>
#include <map>
#include <string>

#include "book/fields.h"
#include "parts/flow_layout.h"

class QFormLayout;
class QToolButton;

namespace machair::app {

class FieldEditor;
class Label;

class SaidForm : public QWidget {
    Q_OBJECT
  public:
    explicit SaidForm(QWidget* parent = nullptr);
    // A row with its editor, which is called `name`; `beside` stands after it. The word is called "say-" and that name.
    void add(const Field& field, const QString& name, FieldEditor* editor, QWidget* beside = nullptr);
    // After the last row: whether there is enough unsaid to fold away.
    void settle();
    // As the record has it now.
    void show(const Field& field);
    void open(const std::string& key);  // its row, and the cursor in it
    [[nodiscard]] FieldEditor* editor(const std::string& key) const;
    [[nodiscard]] std::size_t rows() const { return rows_.size(); }

    // A little that is unsaid stands as rows: a word would save nothing.
    static constexpr int kFewUnsaid = 2;

  private:
    struct Row {
        FieldEditor* editor = nullptr;
        QWidget* line = nullptr;
        QToolButton* word = nullptr;
        bool said = true;
        bool opened = false;
    };
    void place(const Row& row);

    QFormLayout* form_;
    QWidget* unsaid_;
    FlowLayout* words_;
    std::map<std::string, Row> rows_;
    bool folds_ = false;
};

}  // namespace machair::app
