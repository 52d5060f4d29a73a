// The editor of one field of a record, whatever its kind: a line to type in, a choice, or a button that names another record
// and lets one choose it from pictures. Forms are made of these.
#pragma once

#include <QWidget>
#include <functional>

#include "book/fields.h"
#include "editing/document.h"
#include "parts/things.h"
#include "theme/theme.h"

class QComboBox;
class QLineEdit;
class QToolButton;

namespace machair::app {

class FieldEditor : public QWidget {
    Q_OBJECT
  public:
    // `write` gets what was typed or chosen, as withField reads it. The editor itself (line, choice, button) has the name.
    FieldEditor(Document& document, const Theme& theme, const Field& field, const QString& name, std::function<void(const QString&)> write,
                QWidget* parent = nullptr);
    ~FieldEditor() override;
    // As the record has it now; what is being typed is left alone.
    void show(const Field& field);
    [[nodiscard]] QLineEdit* line() const { return line_; }
    [[nodiscard]] const Field& field() const { return field_; }
    void typed();  // what stands in the line was taken
    void writeOnPaper();

  private:
    void ask();
    void pickColour();
    [[nodiscard]] QString sayNow() const;
    Document& document_;
    const Theme& theme_;
    Field field_;
    std::function<void(const QString&)> write_;
    QLineEdit* line_ = nullptr;
    QComboBox* choice_ = nullptr;
    QToolButton* button_ = nullptr;
    QToolButton* swatch_ = nullptr;  // of a colour
};

// Flies to choose from: those of the box, and every dressing on its own hook. Their ids are as book/flies.h writes a fly.
[[nodiscard]] std::vector<Thing> flyThings(const Book& book);
// What can stand in a field that names another record, by its key where that narrows it: a thread for "thread", furs for a blend.
[[nodiscard]] std::vector<Thing> thingsFor(const Book& book, const Field& field);

}  // namespace machair::app
