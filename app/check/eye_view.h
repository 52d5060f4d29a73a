// The eye trainer: a fly as planned beside one that may be a little off, and three answers.
#pragma once

#include <QWidget>
#include <optional>

#include "checking/eye_trainer.h"
#include "editing/document.h"
#include "theme/theme.h"

class QToolButton;

namespace machair::app {

class Label;

class EyeView : public QWidget {
    Q_OBJECT
  public:
    EyeView(Document& document, const Theme& theme, QWidget* parent = nullptr);
    void ask();
    void answer(EyeAnswer given);
    [[nodiscard]] const std::optional<EyeQuestion>& question() const { return question_; }
    [[nodiscard]] const EyeTrainer& trainer() const { return trainer_; }

  protected:
    void paintEvent(QPaintEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    void showEvent(QShowEvent* event) override;

  private:
    Document& document_;
    const Theme& theme_;
    EyeTrainer trainer_;
    std::optional<EyeQuestion> question_;
    std::optional<Plan> shown_;
    Label* asked_;
    Label* said_;
};

}  // namespace machair::app
