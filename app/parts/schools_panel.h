// Where tiers disagree: a question a line, its answers side by side. What one would change is shown before it is taken: on the
// drawing, the fly as it is dashed beside it, and in numbers; a press takes it, for this dressing or for all of one's own.
#pragma once

#include <QWidget>
#include <optional>
#include <string>
#include <vector>

#include "book/fields.h"
#include "book/school_table.h"
#include "editing/document.h"

class QToolButton;
class QVBoxLayout;

namespace machair::app {

class Label;

class SchoolsPanel : public QWidget {
    Q_OBJECT
  public:
    // For the dressing on the bench, or only for all of one's own.
    enum class Of { dressing, allOnly };
    SchoolsPanel(Document& document, Of of, QWidget* parent = nullptr);

  protected:
    bool eventFilter(QObject* watched, QEvent* event) override;
    void showEvent(QShowEvent* event) override;

  private:
    struct Answer {
        std::string text;
        QToolButton* button;
    };
    struct Question {
        const SchoolFacts* facts;
        QWidget* row;
        std::vector<Answer> answers;
    };
    void addQuestion(const SchoolFacts& facts, QVBoxLayout* column);
    void refresh();
    void look(const Question& question, const Answer& answer);
    void leave();
    void take(const Question& question, const Answer& answer);
    [[nodiscard]] bool forAll() const;
    [[nodiscard]] bool concerns(const SchoolFacts& facts) const;
    [[nodiscard]] std::vector<Field> held() const;
    [[nodiscard]] std::optional<DressingId> whose() const;

    Document& document_;
    Of of_;
    QToolButton* own_ = nullptr;
    QToolButton* all_ = nullptr;
    Label* changes_;
    std::vector<std::pair<std::string_view, Label*>> headings_;
    std::vector<Question> questions_;
    bool looking_ = false;
};

}  // namespace machair::app
