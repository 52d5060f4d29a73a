// What this hand always does, in words, of one kind of part: where to aim, what a dozen would be, what to practise. Its chart is the
// hand's view.
#pragma once

#include <QWidget>
#include <optional>
#include <vector>

#include "checking/checking.h"
#include "editing/document.h"

class QComboBox;

namespace machair::app {

class HandView;
class Label;

class HandPanel : public QWidget {
    Q_OBJECT
  public:
    HandPanel(Document& document, HandView& view, QWidget* parent = nullptr);
    // The items that are measured now, of this plan: their tolerances and lengths are spoken of.
    void show(const std::optional<Plan>& plan, const std::vector<CheckItem>& items);

  private:
    void say();

    Document& document_;
    HandView& view_;
    QComboBox* part_;
    Label* said_;
    std::optional<Plan> plan_;
    std::vector<CheckItem> items_;
};

}  // namespace machair::app
