// The card that answers for a number: its formula in words, the numbers that went in (each asked in turn by a press), where it
// comes from and how far to trust it. Alt and a click on what shows a number opens it, a press on a figure of an open part, or `?`
// where the keyboard is; it follows what changes, and Esc puts it away.
#pragma once

#include <QFrame>
#include <vector>

#include "editing/document.h"
#include "parts/askable.h"
#include "theme/theme.h"

class QVBoxLayout;

namespace machair::app {

class AskCard : public QFrame {
    Q_OBJECT
  public:
    // Lies over `window`, and listens to what is asked anywhere in it.
    AskCard(Document& document, const Theme& theme, QWidget* window);
    void ask(const Question& question, QPoint beside);  // in the window's pixels
    [[nodiscard]] const std::vector<Question>& asked() const { return asked_; }

  protected:
    void paintEvent(QPaintEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

  private:
    void show(const Derivation& answer);
    void refresh();
    void back();
    void place();
    [[nodiscard]] std::optional<Derivation> answer() const;
    [[nodiscard]] bool askOf(QWidget* widget, std::optional<QPoint> at);

    Document& document_;
    const Theme& theme_;
    QVBoxLayout* column_;
    QWidget* sheet_ = nullptr;
    std::vector<Question> asked_;  // the one that is answered last
    QPoint beside_;
};

}  // namespace machair::app
