// A station's side panel: of one width, scrolled where the window is low; and what stands in it everywhere.
#pragma once

#include <QFrame>
#include <QHBoxLayout>
#include <QLabel>
#include <QListWidget>
#include <QScrollArea>
#include <QShortcut>
#include <QToolButton>
#include <QVBoxLayout>

#include "parts/label.h"
#include "parts/side_panel.h"
#include "theme/theme.h"

namespace machair::app {

// A station's own layout: its view and its panels side by side, without a gap.
[[nodiscard]] inline QHBoxLayout* sideBySide(QWidget* station) {
    auto* layout = new QHBoxLayout(station);
    layout->setContentsMargins(0, 0, 0, 0);
    layout->setSpacing(0);
    return layout;
}

// The column a panel's contents stand in.
[[nodiscard]] inline QVBoxLayout* panelColumn(QWidget* panel, int left = 14, int right = 14) {
    auto* column = new QVBoxLayout(panel);
    column->setContentsMargins(left, 10, right, 10);
    column->setSpacing(6);
    return column;
}

[[nodiscard]] inline QWidget* scrolled(QWidget* panel, int width) { return new SidePanel(panel, width); }

[[nodiscard]] inline Label* heading(const QString& text) {
    auto* label = new Label(text);
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

// A key that presses a button while it is seen. Not the button's own shortcut: that goes with the next text it is given.
inline void pressedBy(QAbstractButton* button, const QKeySequence& key) {
    auto* shortcut = new QShortcut(key, button);
    shortcut->setAutoRepeat(false);
    QObject::connect(shortcut, &QShortcut::activated, button, &QAbstractButton::click);
}

// A list that reads as lines of the panel: no frame, each line wrapped to the width.
inline void asLines(QListWidget* list, const char* name, const QString& spoken) {
    list->setObjectName(QString::fromLatin1(name));
    list->setAccessibleName(spoken);
    list->setFrameShape(QFrame::NoFrame);
    list->setWordWrap(true);
    list->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
}

}  // namespace machair::app
