// The water's rule card, as a card: its lines, the team and the box under it, and what comes off the leader today.
#pragma once

#include <QWidget>
#include <string>
#include <utility>
#include <vector>

#include "editing/background.h"
#include "editing/document.h"
#include "team/choose.h"
#include "theme/theme.h"

class QListWidget;
class QSpinBox;
class QToolButton;

namespace machair::app {

class FieldsForm;
class Label;

class RulesPanel : public QWidget {
    Q_OBJECT
  public:
    RulesPanel(Document& document, const Theme& theme, QWidget* parent = nullptr);
    void refresh();

  private:
    // The whole box under the card: each fly with what breaks it and what to change, and what comes off the leader.
    struct Ruled {
        std::vector<std::pair<std::string, std::vector<Breach>>> flies;
        std::vector<ComesOff> comesOff;
        Faults faults;
    };
    void show(const Ruled& ruled);
    void sayRuled(std::vector<ComesOff> comesOff);  // the team under the card, and what comes off it
    // The card of the day's water; nothing where it has none.
    [[nodiscard]] const RuleCard* ruleCard() const;
    void changeOver();

    Document& document_;
    const Theme& theme_;
    Background boxWork_{document_};
    FieldsForm* card_ = nullptr;
    Label* keptWords_ = nullptr;
    QToolButton* addCard_ = nullptr;
    QToolButton* gaugeButton_ = nullptr;
    QToolButton* twins_ = nullptr;
    QSpinBox* kept_;
    Label* ruled_;
    QListWidget* boxRuled_;
    std::vector<ComesOff> comesOff_;
};

}  // namespace machair::app
