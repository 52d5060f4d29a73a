#include "theme/theme.h"

#include <QAbstractButton>
#include <QFontInfo>
#include <QFontMetricsF>
#include <catch2/catch.hpp>
#include <cmath>

#include "parts/spoken.h"
#include "tests/app/window.h"

using namespace machair;
using namespace machair::app;

namespace {

double luminance(const QColor& c) {
    const auto linear = [](double v) { return v <= 0.04045 ? v / 12.92 : std::pow((v + 0.055) / 1.055, 2.4); };
    return 0.2126 * linear(c.redF()) + 0.7152 * linear(c.greenF()) + 0.0722 * linear(c.blueF());
}
double contrast(const QColor& a, const QColor& b) {
    const double x = luminance(a), y = luminance(b);
    return (std::max(x, y) + 0.05) / (std::min(x, y) + 0.05);
}

}  // namespace

TEST_CASE("every colour that carries text has AA contrast on everything it lies on, on every bench") {
    for (const auto& [bench, contrasted] : {std::pair(drawing::Bench::sand, Contrast::usual),
                                            {drawing::Bench::slate, Contrast::usual},
                                            {drawing::Bench::sand, Contrast::high},
                                            {drawing::Bench::slate, Contrast::high}}) {
        const Colours c = coloursOf(bench, contrasted);
        for (const QColor& ground : {c.window, c.panel, c.raised, c.paper})
            for (const QColor& ink : {c.ink, c.inkSoft, c.grass, c.slate, c.accent, c.warn, c.fault}) {
                INFO(ink.name().toStdString() << " on " << ground.name().toStdString());
                CHECK(contrast(ink, ground) >= 4.5);
            }
        CHECK(contrast(c.accentInk, c.accent) >= 4.5);
    }
}

TEST_CASE("the shipped face is in use and its figures are tabular") {
    CHECK(loadFace() == QStringLiteral("Lato"));
    CHECK(QFontInfo(QApplication::font()).family() == QStringLiteral("Lato"));
    const QFontMetricsF metrics(QApplication::font());
    for (const char digit : {'1', '4', '7', '8'})
        CHECK(std::abs(metrics.horizontalAdvance(QChar::fromLatin1(digit)) - metrics.horizontalAdvance(QChar::fromLatin1('0'))) < 0.01);
}

// What paints itself and holds no other control: it says its parts, or what it shows in a sentence.
static bool paintsItself(const QWidget& widget) {
    if (!QString::fromLatin1(widget.metaObject()->className()).startsWith(QStringLiteral("machair::app::"))) return false;
    for (const char* known : {"QLabel", "QAbstractButton", "QLineEdit", "QAbstractItemView", "QAbstractSpinBox", "QComboBox", "QScrollArea",
                              "QTextBrowser", "machair::app::FieldsForm"})  // a form without a field has nothing to say
        if (widget.inherits(known)) return false;
    if (dynamic_cast<const Spoken*>(&widget)) return true;
    const auto inside = widget.findChildren<QWidget*>();
    return std::ranges::none_of(inside, [](const QWidget* child) { return child->isVisible(); });
}

TEST_CASE("whatever paints itself is heard: its parts with their names and places, or a sentence") {
    machair::app::tests::Bench bench;
    bench.document().choosePart(2);
    int heard = 0, parts = 0;
    for (const auto& entry : Names<Station>::entries) {
        bench.window().showStation(entry.value);
        QTest::qWait(60);
        bench.window().grab();
        for (QWidget* widget : bench.window().findChildren<QWidget*>()) {
            if (!widget->isVisible() || !paintsItself(*widget)) continue;
            INFO(widget->metaObject()->className() << " " << widget->objectName().toStdString());
            CHECK_FALSE(widget->accessibleName().isEmpty());
            ++heard;
            const auto* spoken = dynamic_cast<const Spoken*>(widget);
            if (!spoken) {
                CHECK_FALSE((widget->accessibleName() + widget->accessibleDescription()).isEmpty());
                continue;
            }
            for (const SpokenPart& part : spoken->spokenParts()) {
                ++parts;
                INFO(part.name.toStdString() << ": " << part.value.toStdString());
                CHECK_FALSE(part.name.isEmpty());
                CHECK(part.where.width() >= 0);
            }
        }
    }
    CHECK(heard > 18);
    CHECK(parts > 60);
}

TEST_CASE("every control says its name to those who can't see it") {
    machair::app::tests::Bench bench;
    bench.document().choosePart(2);
    for (const QWidget* widget : bench.window().findChildren<QWidget*>()) {
        const bool control = widget->inherits("QLineEdit") || widget->inherits("QComboBox") || widget->inherits("QAbstractButton") ||
                             widget->inherits("QAbstractSpinBox");
        if (!control || widget->objectName().startsWith(QStringLiteral("qt_")) || !widget->isVisible()) continue;
        const auto* button = qobject_cast<const QAbstractButton*>(widget);
        const bool named = !widget->accessibleName().isEmpty() || (button && !button->text().isEmpty());
        const bool inner = widget->parentWidget() &&
                           (widget->parentWidget()->inherits("QAbstractSpinBox") || widget->parentWidget()->inherits("QScrollBar"));
        INFO(widget->metaObject()->className() << " " << widget->objectName().toStdString());
        CHECK((named || inner));
    }
}
