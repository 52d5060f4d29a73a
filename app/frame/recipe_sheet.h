// A printed recipe as it stands, and what it means: the fly is drawn as far as it is read, and every doubt is marked where it arose,
// with its choices to click. Nothing goes into the book before it is taken; what is still in doubt then stays as a note.
#pragma once

#include <optional>

#include "editing/document.h"
#include "frame/own_sheet.h"
#include "store/recipe.h"
#include "theme/theme.h"

class QPlainTextEdit;
class QScrollArea;
class QToolButton;
class QVBoxLayout;

namespace machair::app {

class Label;
class ReadFly;

class RecipeSheet : public OwnSheet {
    Q_OBJECT
  public:
    RecipeSheet(Document& document, const Theme& theme, QWidget* parent = nullptr);
    // Opens it with a text, or empty, to be typed or pasted into.
    void open(const QString& text);
    [[nodiscard]] const std::optional<store::ReadRecipe>& read() const { return read_; }

  protected:
    void keyPressEvent(QKeyEvent* event) override;

  private:
    void readAgain();
    void showDoubts();
    void addDoubt(QVBoxLayout* column, std::size_t doubt);
    void answer(std::size_t doubt, const std::string& value);
    struct Answer {  // to a doubt of these words, with what was chosen; nothing where it stays as it is
        std::string words, question, value;
    };
    Faults takeAnswer(const Answer& answer);
    void mark();
    void take();
    [[nodiscard]] QString partsSaid(const Book& with) const;

    Document& document_;
    const Theme& theme_;
    QPlainTextEdit* text_;
    Label* means_;
    QScrollArea* doubts_;
    ReadFly* fly_;
    std::vector<Answer> answers_;
    QToolButton* take_;
    std::optional<store::ReadRecipe> read_;
    Faults faults_;
};

}  // namespace machair::app
