// The best three of the box for the day, or the flies for one place: shown as casts, and made anew whenever the day changes.
#pragma once

#include <QWidget>
#include <memory>

#include "daybook/learned.h"
#include "editing/background.h"
#include "editing/document.h"
#include "team/choose.h"
#include "theme/theme.h"

class QCheckBox;
class QComboBox;
class QListWidget;
class QToolButton;

namespace machair::app {

class Label;

class ChoicePanel : public QWidget {
    Q_OBJECT
  public:
    ChoicePanel(Document& document, const Theme& theme, QWidget* parent = nullptr);
    void refresh();
    void chooseIfOld();  // as when the station is shown

  private:
    struct Wanted;
    struct Found {
        Faults faults;
        std::vector<BoxCandidate> box;
        ChoiceReport report;
        std::vector<Placed> placed;
        std::optional<WhyNot> why;
    };
    [[nodiscard]] static Found sought(const Book& book, const std::shared_ptr<Plans>& plans, const Wanted& wanted,
                                      const std::stop_token& stop);
    void choose();
    void makeStale();
    void show(Found found);
    void list(std::size_t which);
    void showPlaced();
    void takeChoice(int row);

    Document& document_;
    const Theme& theme_;
    Background background_{document_};
    QToolButton* chooseButton_;
    QComboBox* favourite_;
    QComboBox* place_;
    QCheckBox* withBook_;
    Label* chosen_;
    QListWidget* teams_;
    std::vector<BoxCandidate> box_;
    std::vector<Choice> choices_;
    std::vector<Placed> placed_;
    bool stale_ = false;
};

}  // namespace machair::app
