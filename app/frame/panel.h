// A station's side panel: of one width, scrolled where the window is low; and what stands in it everywhere.
#pragma once

#include <QFrame>
#include <QLabel>
#include <QScrollArea>
#include <QToolButton>

#include "theme/theme.h"

namespace machair::app {

[[nodiscard]] inline QWidget* scrolled(QWidget* panel) {
    auto* area = new QScrollArea;
    area->setWidget(panel);
    area->setWidgetResizable(true);
    area->setFrameShape(QFrame::NoFrame);
    area->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    const int width = panel->minimumWidth();
    panel->setMinimumWidth(0);
    panel->setMaximumWidth(QWIDGETSIZE_MAX);
    area->setFixedWidth(width);
    return area;
}

[[nodiscard]] inline QLabel* heading(const QString& text) {
    auto* label = new QLabel(text);
    label->setFont(faceScaled(1.0, true));
    return label;
}

[[nodiscard]] inline QToolButton* toolButton(const char* name, const QString& text, const QString& tip) {
    auto* made = new QToolButton;
    made->setObjectName(QString::fromLatin1(name));
    made->setText(text);
    made->setToolTip(tip);
    return made;
}

}  // namespace machair::app
