// The fly in the jaws of a calliper, where the next measure is taken.
#pragma once

#include <QWidget>

#include "checking/checking.h"
#include "editing/document.h"
#include "theme/theme.h"

namespace machair::app {

class AskedView : public QWidget {
    Q_OBJECT
  public:
    AskedView(Document& document, const Theme& theme, QWidget* parent = nullptr);
    void ask(std::optional<CheckItem> item);

  protected:
    void paintEvent(QPaintEvent* event) override;

  private:
    void paintJaws(QPainter& painter, QPointF from, QPointF to) const;
    Document& document_;
    const Theme& theme_;
    std::optional<CheckItem> item_;
};

}  // namespace machair::app
