// What of a window's words has not the room that it needs.
#pragma once

#include <QAbstractButton>
#include <QApplication>
#include <QLabel>
#include <QTest>
#include <QWidget>

namespace machair::app::tests {

[[nodiscard]] inline QStringList clippedIn(const QWidget& window) {
    QStringList clipped;
    constexpr int kSlack = 2;  // px
    for (const QWidget* widget : window.findChildren<QWidget*>()) {
        if (!widget->isVisible()) continue;
        const QString name = QString::fromLatin1(widget->metaObject()->className()) + QLatin1Char(' ') + widget->objectName();
        if (const auto* button = qobject_cast<const QAbstractButton*>(widget)) {
            const bool mayCut = button->sizePolicy().horizontalPolicy() == QSizePolicy::Ignored;
            if (!mayCut && !button->text().isEmpty() && button->width() + kSlack < button->sizeHint().width())
                clipped
                    << QStringLiteral("%1 \"%2\" %3 < %4").arg(name, button->text()).arg(button->width()).arg(button->sizeHint().width());
        } else if (const auto* label = qobject_cast<const QLabel*>(widget)) {
            if (label->text().isEmpty()) continue;
            if (label->wordWrap()) {
                if (label->height() + kSlack < label->heightForWidth(label->width()))
                    clipped << QStringLiteral("%1 \"%2\" high %3 < %4")
                                   .arg(name, label->text().left(40))
                                   .arg(label->height())
                                   .arg(label->heightForWidth(label->width()));
            } else if (label->width() + kSlack < label->sizeHint().width()) {
                clipped << QStringLiteral("%1 \"%2\" %3 < %4")
                               .arg(name, label->text().left(40))
                               .arg(label->width())
                               .arg(label->sizeHint().width());
            }
        }
    }
    return clipped;
}

// The same once all is laid out: what comes in from the background is laid out by the event after it.
[[nodiscard]] inline QStringList clippedAtRest(const QWidget& window) {
    constexpr int kMostLooks = 20, kBetween = 25;  // ms
    QStringList clipped;
    for (int look = 0; look == 0 || (look < kMostLooks && !clipped.isEmpty()); ++look) {
        QTest::qWait(look == 0 ? 0 : kBetween);
        for (int i = 0; i < 3; ++i)
            QApplication::processEvents();
        clipped = clippedIn(window);
    }
    return clipped;
}

}  // namespace machair::app::tests
