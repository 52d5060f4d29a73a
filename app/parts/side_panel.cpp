#include "parts/side_panel.h"

#include <QEvent>
#include <QLayout>
#include <QScrollBar>

#include "theme/theme.h"

namespace machair::app {

SidePanel::SidePanel(QWidget* panel, int width, QWidget* parent) : QScrollArea(parent), width_(width) {
    setWidget(panel);
    setWidgetResizable(true);
    setFrameShape(QFrame::NoFrame);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    setFixedWidth(grownWithText(width_));
    panel->installEventFilter(this);
}

void SidePanel::fit() {
    QLayout* inside = widget() ? widget()->layout() : nullptr;
    if (!inside) return;
    // With its bar there, so that it doesn't come and go.
    const int wide = viewport()->width() - (verticalScrollBar()->isVisible() ? 0 : verticalScrollBar()->sizeHint().width());
    const int high = inside->hasHeightForWidth() ? inside->minimumHeightForWidth(wide) : inside->minimumSize().height();
    if (widget()->minimumHeight() != high) widget()->setMinimumHeight(high);
}

void SidePanel::resizeEvent(QResizeEvent* event) {
    QScrollArea::resizeEvent(event);
    fit();
}

bool SidePanel::eventFilter(QObject* watched, QEvent* event) {
    const bool done = QScrollArea::eventFilter(watched, event);
    if (watched == widget() && event->type() == QEvent::LayoutRequest) fit();
    return done;
}

void SidePanel::changeEvent(QEvent* event) {
    QScrollArea::changeEvent(event);
    if (event->type() == QEvent::FontChange || event->type() == QEvent::ApplicationFontChange) {
        setFixedWidth(grownWithText(width_));
        fit();
    }
}

}  // namespace machair::app
