// A bench at one of its stations, driven as a person would.
#pragma once

#include <QFile>
#include <QFileDialog>
#include <QLineEdit>
#include <QToolButton>

#include "tests/app/window.h"

namespace machair::app::tests {

class At : public Bench {
  public:
    explicit At(Station station) {
        window().showStation(station);
        QApplication::processEvents();
    }
    void drag(QWidget* widget, QPointF from, QPointF to) {
        QTest::mousePress(widget, Qt::LeftButton, Qt::NoModifier, from.toPoint());
        for (int i = 1; i <= 6; ++i)
            QTest::mouseMove(widget, (from + (to - from) * i / 6.0).toPoint());
        QTest::mouseRelease(widget, Qt::LeftButton, Qt::NoModifier, to.toPoint());
    }
    void click(const char* button) { QTest::mouseClick(find<QAbstractButton>(button), Qt::LeftButton); }
    // Answers the file dialog that a button opened.
    void answer(const QString& path) {
        auto* dialog = window().findChild<QFileDialog*>();
        REQUIRE(dialog != nullptr);
        emit dialog->fileSelected(path);
        emit dialog->filesSelected({path});
        delete dialog;
    }
    // The same, and what was written there.
    QByteArray writtenTo(const QString& path) {
        answer(path);
        QFile file(path);
        REQUIRE(file.open(QIODevice::ReadOnly));
        return file.readAll();
    }
    void setText(const char* field, const QString& text) {
        auto* line = find<QLineEdit>(field);
        sayIt(field);
        line->setFocus();
        line->selectAll();
        QTest::keyClicks(line, text);
        QTest::keyClick(line, Qt::Key_Return);
    }
};

// How long a background may take: ms. Under the sanitizers everything takes several times as long.
#ifdef __SANITIZE_ADDRESS__
inline constexpr int kPatience = 120000;
#else
inline constexpr int kPatience = 20000;
#endif

template <class Condition>
bool waitFor(Condition condition, int ms = kPatience) {
    return QTest::qWaitFor(condition, ms);
}

}  // namespace machair::app::tests
