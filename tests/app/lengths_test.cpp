// Lengths are said in the house's unit everywhere at once, and what is typed is read in it.
#include <QListWidget>
#include <QRegularExpression>

#include "frame/house.h"
#include "parts/chooser.h"
#include "parts/lengths.h"
#include "plan/ticket.h"
#include "tests/app/at.h"
#include "tests/app/painted.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::app;
using machair::app::tests::At;
using machair::app::tests::paintedTexts;
using machair::app::tests::waitFor;
using machair::tests::mmOf;

namespace {

// Whatever ends a test, the next begins in millimetres.
class Lengths {
  public:
    Lengths() = default;
    ~Lengths() { sayLengthsIn(LengthUnit::millimetres); }
    Lengths(const Lengths&) = delete;
    Lengths& operator=(const Lengths&) = delete;
};

void chooseUnit(At& at, const char* button) {
    at.find<House>("house")->open();
    QTest::mouseClick(at.find<QToolButton>(button), Qt::LeftButton);
    at.find<House>("house")->hide();
    QApplication::processEvents();
}

// All that is shown of a window: painted, typed, named or told.
QStringList shownBy(QWidget& window) {
    QStringList texts = paintedTexts(window);
    for (const QWidget* widget : window.findChildren<QWidget*>()) {
        if (!widget->isVisible()) continue;
        texts << broken(inHouseWords(widget->toolTip()));  // as the application shows it
        if (const auto* line = qobject_cast<const QLineEdit*>(widget)) texts << line->placeholderText();
    }
    return texts;
}

// The same once nothing comes in from the background any more.
QStringList settled(QWidget& window) {
    QStringList last;
    waitFor([&] {
        QTest::qWait(80);
        const QStringList now = shownBy(window);
        const bool same = now == last;
        last = now;
        return same;
    });
    return last;
}

// A number with millimetres behind it. The proving bar of a card is 50 mm in any house.
QStringList inMillimetres(const QStringList& texts) {
    static const QRegularExpression kLength(QStringLiteral("[0-9][ \\x{00a0}]?mm\\b(?![²³])"));
    QStringList found;
    for (const QString& text : texts)
        if (text.contains(kLength)) found << text;
    return found;
}

void showEachStation(At& at, const std::function<void(Station)>& look) {
    for (const auto& entry : Names<Station>::entries) {
        at.window().showStation(entry.value);
        QApplication::processEvents();
        look(entry.value);
    }
}

}  // namespace

TEST_CASE("in a house of inches no station says a millimetre, and back in millimetres all is as it was") {
    const Lengths lengths;
    At at(Station::plan);
    at.document().choosePart(2);
    QMap<int, QStringList> before, after;
    showEachStation(at, [&](Station station) { before[static_cast<int>(station)] = settled(at.window()); });
    int metric = 0;
    for (const QStringList& texts : before)
        metric += static_cast<int>(inMillimetres(texts).size());
    CHECK(metric > 40);  // there was something to change
    for (const char* unit : {"house-lengths-in64", "house-lengths-in"}) {
        chooseUnit(at, unit);
        showEachStation(at, [&](Station station) {
            INFO(unit << " at " << static_cast<int>(station));
            const QStringList texts = settled(at.window());
            CHECK(inMillimetres(texts) == QStringList());
            if (station == Station::plan || station == Station::cut)
                CHECK(texts.filter(QRegularExpression(QStringLiteral("[0-9] in\\b"))).size() > 5);
        });
    }
    chooseUnit(at, "house-lengths-mm");
    showEachStation(at, [&](Station station) { after[static_cast<int>(station)] = settled(at.window()); });
    for (const int station : before.keys()) {
        INFO(station);
        CHECK(inMillimetres(after[station]) == inMillimetres(before[station]));
    }
}

TEST_CASE("each part's own lines and each thing's measures are in inches too") {
    const Lengths lengths;
    At at(Station::plan);
    chooseUnit(at, "house-lengths-in64");
    int parts = 0;
    for (const Pattern& pattern : Book(at.document().book()).patterns) {
        at.document().choosePattern(pattern.id);
        for (std::size_t part = 0; part < pattern.parts.size(); ++part, ++parts) {
            at.document().choosePart(part);
            QApplication::processEvents();
            INFO(pattern.id << " part " << part);
            CHECK(inMillimetres(shownBy(at.window())) == QStringList());
        }
    }
    CHECK(parts > 40);
    at.window().showStation(Station::drawers);
    auto* drawers = at.find<QListWidget>("drawer-list");
    for (int drawer = 0; drawer < drawers->count(); ++drawer) {
        drawers->setCurrentRow(drawer);
        QApplication::processEvents();
        INFO(drawers->item(drawer)->text().toStdString());
        CHECK(inMillimetres(shownBy(at.window())) == QStringList());
    }
}

TEST_CASE("what is typed in a house of inches is inches, and it is kept for the next start") {
    const Lengths lengths;
    At at(Station::plan);
    chooseUnit(at, "house-lengths-in");
    at.document().choosePart(0);
    auto* field = at.find<QLineEdit>("field-0-length");
    at.setText("field-0-length", QStringLiteral("0.5"));
    const auto lengthNow = [&] { return mmOf(std::get<TailPlan>(at.document().plan()->parts[0].detail).length); };
    CHECK(lengthNow() == Approx(12.7).margin(0.001));
    CHECK(field->text() == QStringLiteral("0.500 in"));
    at.setText("field-0-length", QStringLiteral("12 mm"));  // a unit that is said holds
    CHECK(lengthNow() == Approx(12.0).margin(0.001));
    at.restart();
    CHECK(lengthsSaidIn() == LengthUnit::decimalInches);
    chooseUnit(at, "house-lengths-mm");
    at.document().choosePart(0);
    QApplication::processEvents();
    CHECK(at.find<QLineEdit>("field-0-length")->text() == QStringLiteral("12 mm"));
}

TEST_CASE("a length is stepped and typed in the house's unit, whatever stands before it") {
    const Lengths lengths;
    LengthSpin spin;
    spin.setRange(0.0, 2000.0);
    spin.setDecimals(0);
    spin.setPrefix(QStringLiteral("made "));
    spin.setSpecialValueText(QStringLiteral("as reckoned"));
    spin.show();
    const auto type = [&](const char* words) {
        spin.setFocus();
        spin.selectAll();
        QTest::keyClicks(&spin, QString::fromLatin1(words));
        QTest::keyClick(&spin, Qt::Key_Return);
        return spin.value();
    };
    CHECK(type("120") == Approx(120.0));
    CHECK(spin.text() == QStringLiteral("made 120 mm"));
    CHECK(type("2 in") == Approx(50.8));
    CHECK(type("twelve") == Approx(50.8));
    QTest::keyClick(&spin, Qt::Key_Up);
    CHECK(spin.value() == Approx(51.8));
    sayLengthsIn(LengthUnit::inches);
    CHECK(type("4") == Approx(101.6));
    CHECK(spin.text() == QStringLiteral("made 4 in"));
    CHECK(type("0") == 0.0);
    CHECK(spin.text() == QStringLiteral("as reckoned"));
}

TEST_CASE("a word without an end never makes the window wider") {
    At at(Station::evening);
    const int width = at.window().width();
    for (const auto& entry : Names<Station>::entries) {
        at.window().showStation(entry.value);
        for (QLineEdit* line : at.window().findChildren<QLineEdit*>()) {
            if (!line->isVisible() || !line->isEnabled() || line->isReadOnly()) continue;
            line->setFocus();
            line->selectAll();
            line->insert(QString(3000, QLatin1Char('x')));
            QTest::keyClick(line, Qt::Key_Return);
            QApplication::processEvents();
            INFO(line->objectName().toStdString());
            CHECK(at.window().width() == width);
            break;
        }
    }
}
