// The box along the foot: what is dragged out of it, or pressed, is the fly, the dressing on its hook.
#pragma once

#include <QPoint>

#include "book/flies.h"
#include "parts/things.h"

namespace machair::app {

class BoxTray : public Tray {
    Q_OBJECT
  public:
    BoxTray(Document& document, const Theme& theme);
    // The flies that are tied, each on its hook; then the dressings of which none is.
    void refresh();
    [[nodiscard]] std::optional<Fly> chosen() const;

  protected:
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;

  private:
    Document& document_;
    QPoint pressed_;
};

}  // namespace machair::app
