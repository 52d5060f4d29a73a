// The Check station, the tray and the ticket's mends, driven as a person would.
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QFile>
#include <QLineEdit>
#include <QListWidget>
#include <QProcess>
#include <QToolButton>

#include "check/check_station.h"
#include "check/eye_view.h"
#include "check/hand_view.h"
#include "check/photo_view.h"
#include "cut/tray_view.h"
#include "drawing/photograph.h"
#include "sizing/mending.h"
#include "tests/app/at.h"

using namespace machair;
using namespace machair::app;
using namespace machair::app::tests;

namespace {

class AtCheck : public At {
  public:
    AtCheck() : At(Station::check) {}
    CheckStation* check() { return window().findChild<CheckStation*>(); }
    // A photograph of the fly on the bench with its tail so much too long.
    QString photograph(double tail) {
        Book tied = document().book();
        for (Part& part : tied.findPattern(document().pattern()->id)->parts)
            if (auto* t = std::get_if<TailPart>(&part.detail)) std::get<Ratio>(t->length.value).ratio *= tail;
        drawing::PhotographSetting setting = drawing::someSetting(3);
        setting.size = {1120, 840};
        const QString file = path("fly.png");
        REQUIRE(drawing::photographOf(planPattern(tied, document().pattern()->id).value(), setting).image.save(file));
        return file;
    }
};

}  // namespace

TEST_CASE("a fly is checked part after part by calliper, judged at once and kept") {
    AtCheck bench;
    const std::size_t before = bench.document().book().checks.size();
    CHECK(bench.text("asked").contains(QStringLiteral("tail length")));
    bench.check()->take(9.4);
    CHECK(bench.text("reading") == QStringLiteral("9.40 mm"));
    CHECK(bench.text("check-verdict").startsWith(QStringLiteral("✓")));
    CHECK(bench.check()->current() == 1);
    bench.check()->take(3.0);
    const QString verdict = bench.text("check-verdict");
    CAPTURE(verdict);
    CHECK(verdict.startsWith(QStringLiteral("✗")));
    bench.find<QListWidget>("looks")->item(0)->setCheckState(Qt::Checked);
    CHECK(bench.text("check-said").startsWith(QStringLiteral("Mend")));
    bench.click("keep-check");
    REQUIRE(bench.document().book().checks.size() == before + 1);
    CHECK(bench.document().book().checks.back().readings.size() == 2);
    CHECK(bench.document().book().checks.back().faults.size() == 1);
    CHECK(bench.kept().checks.size() == before + 1);
    CHECK(bench.check()->current() == 0);  // the next of the dozen
    bench.click("keep-check");
    CHECK(bench.text("check-said").startsWith(QStringLiteral("✗")));
    QTest::keyClick(&bench.window(), Qt::Key_Z, Qt::ControlModifier);
    CHECK(bench.document().book().checks.size() == before);
}

TEST_CASE("a reading is typed where there is no calliper, and readings come from the stand-in") {
    AtCheck bench;
    auto* typed = bench.find<QDoubleSpinBox>("typed");
    typed->setFocus();
    typed->selectAll();
    QTest::keyClicks(typed, QStringLiteral("9.2"));
    QTest::keyClick(typed, Qt::Key_Return);
    CHECK(bench.check()->current() == 1);
    const QString socket = QStringLiteral("machair-check-%1").arg(QCoreApplication::applicationPid());
    QProcess calliper;
    calliper.start(QStringLiteral(MACHAIR_CALLIPER), {QStringLiteral("--socket"), socket, QStringLiteral("--hold"), QStringLiteral("1.3"),
                                                      QStringLiteral("--every"), QStringLiteral("60")});
    REQUIRE(calliper.waitForStarted());
    // It listens a moment after it has started.
    const bool read = waitFor([&] {
        if (bench.check()->current() >= 2) return true;
        static int tries = 0;
        if (++tries % 20 == 1) bench.window().devices().useCalliper(std::make_unique<devices::SocketCalliper>(socket));
        return false;
    });
    calliper.kill();
    calliper.waitForFinished();
    CHECK(read);
}

TEST_CASE("on a photograph the hook is found, the long tail is measured, and a dragged tip is read") {
    AtCheck bench;
    bench.check()->loadPhoto(bench.photograph(1.10));
    auto* photo = bench.find<PhotoView>("photo");
    REQUIRE(waitFor([&] { return bench.text("check-said").startsWith(QStringLiteral("The hook is found")); }));
    auto* list = bench.find<QListWidget>("measured");
    CHECK(list->item(0)->text().contains(QStringLiteral("too long")));
    const auto tip = photo->placeOf(QStringLiteral("collar hackle tip"));
    const auto any = tip ? tip : photo->placeOf(QStringLiteral("hackle tip"));
    std::optional<QPointF> from = any;
    if (!from)
        for (const Handle& handle : handlesOf(*bench.document().plan()))
            if (handle.grab == Grab::hackleTip) from = photo->placeOf(QString::fromStdString(handle.name));
    REQUIRE(from);
    bench.drag(photo, *from, *from + QPointF(40.0, 60.0));
    bool read = false;
    for (int row = 0; row < list->count(); ++row)
        read |= list->item(row)->text().contains(QStringLiteral("fibre length")) &&
                list->item(row)->text().contains(QStringLiteral("too long"));
    CHECK(read);
    const QPointF eye = photo->placeOf(QStringLiteral("eye")).value();
    const double scale = photo->registration()->pxPerMm;
    bench.drag(photo, eye, eye - QPointF(60.0, 0.0));
    CHECK(photo->registration()->pxPerMm > scale);
    bench.click("keep-check");
    CHECK(bench.document().book().checks.back().photo.has_value());
}

TEST_CASE("a picture that is none, and one with no fly, are said and change nothing") {
    AtCheck bench;
    const QString none = bench.path("none.jpg");
    QFile file(none);
    REQUIRE(file.open(QIODevice::WriteOnly));
    file.write("not a picture at all");
    file.close();
    bench.check()->loadPhoto(none);
    CHECK(waitFor([&] { return bench.text("quiet").contains(QStringLiteral("no picture that can be read")); }));
    QImage plain(640, 480, QImage::Format_RGB32);
    plain.fill(QColor(200, 198, 190));
    REQUIRE(plain.save(bench.path("plain.png")));
    bench.check()->loadPhoto(bench.path("plain.png"));
    REQUIRE(waitFor([&] { return bench.text("check-said").startsWith(QStringLiteral("No hook was found")); }));
    CHECK(bench.find<PhotoView>("photo")->placeOf(QStringLiteral("bend")));  // to be dragged by hand
}

TEST_CASE("the hand's chart, the eye trainer and pairs out of a heap") {
    AtCheck bench;
    bench.click("the-hand");
    CHECK(bench.find<HandView>("hand")->flies() > 20);
    CHECK(bench.text("hand-said").contains(QStringLiteral("Aim for")));
    bench.click("the-eye");
    auto* eye = bench.find<EyeView>("eye-trainer");
    REQUIRE(eye->question());
    const EyeAnswer truth = eye->question()->truth();
    QTest::keyClick(eye, truth == EyeAnswer::tooShort ? Qt::Key_1 : truth == EyeAnswer::right ? Qt::Key_2 : Qt::Key_3);
    CHECK(bench.text("eye-said").startsWith(QStringLiteral("✓")));
    CHECK(eye->trainer().score().asked == 1);
    bench.click("the-pairs");
    bench.find<QLineEdit>("lefts")->setText(QStringLiteral("11.2, 12.0 11.3 12.1 14"));
    CHECK(bench.text("paired").contains(QStringLiteral("14.00 mm is left over")));
    CHECK(bench.text("paired").contains(QStringLiteral("Worst pair 0.10 mm")));
    bench.find<QLineEdit>("lefts")->setText(QStringLiteral("eleven"));
    CHECK(bench.text("paired").startsWith(QStringLiteral("✗")));
}

TEST_CASE("a warning's mend is done by its button and the warning is gone") {
    At bench(Station::plan);
    Edit spoilt{"too many turns", bench.document().book()};
    for (Part& part : spoilt.after.findPattern("kelp-lantern")->parts)
        if (auto* collar = std::get_if<CollarPart>(&part.detail); collar && part.kind == PartKind::collar) collar->turns = exactly(7);
    REQUIRE(bench.document().apply(spoilt).empty());
    const auto& warnings = bench.document().plan()->warnings;
    const auto soft = std::ranges::find(warnings, Concern::softness, &Warning::concern);
    REQUIRE(soft != warnings.end());
    const std::size_t part = *soft->part;
    bench.document().choosePart(part);
    QApplication::processEvents();
    const QString name = QStringLiteral("mend-%1-0").arg(part);
    CHECK(bench.text(QStringLiteral("mend-said-%1-0").arg(part).toLatin1().constData()).contains(QStringLiteral("cures it")));
    bench.click(name.toLatin1().constData());
    CHECK(std::ranges::find(bench.document().plan()->warnings, Concern::softness, &Warning::concern) ==
          bench.document().plan()->warnings.end());
    QTest::keyClick(&bench.window(), Qt::Key_Z, Qt::ControlModifier);
    CHECK(std::ranges::find(bench.document().plan()->warnings, Concern::softness, &Warning::concern) !=
          bench.document().plan()->warnings.end());
}

TEST_CASE("a dressing's thread and why it was varied are edited in the ticket, and a school is followed by its parts") {
    At bench(Station::plan);
    const double head = bench.document().plan()->head.diameter / mm;
    bench.click("fold-dressing");
    bench.pick("dressing-thread", qt(bench.document().book().findMaterial("thread-fine")->title()));
    CHECK(bench.document().pattern()->thread == "thread-fine");
    CHECK(bench.document().plan()->head.diameter / mm < head);
    auto* why = bench.find<QLineEdit>("dressing-varied_why");
    why->setFocus();
    QTest::keyClicks(why, QStringLiteral("a smaller head"));
    QTest::keyClick(why, Qt::Key_Return);
    CHECK(bench.document().pattern()->variedWhy == std::string("a smaller head"));
    bench.click("fold-schools");
    CHECK(bench.find<QToolButton>("school-tail-shank")->isChecked());
    auto* tail = bench.find<QToolButton>("school-tail-body");
    tail->setFocus();
    QTest::keyClick(tail, Qt::Key_Space);
    CHECK(bench.document().pattern()->parts[0].kind == PartKind::tail);
    const Plan& plan = *bench.document().plan();
    CHECK(std::abs((std::get<TailPlan>(plan.parts[0].detail).length - (plan.bodyEnd - plan.bodyFront)) / mm) < 1e-9);
}

TEST_CASE("the tray shows everything laid out, and all that waits is cut from the same feathers") {
    At bench(Station::cut);
    auto* tray = bench.find<TrayView>("tray");
    REQUIRE(waitFor([&] { return tray->pieces() > 4; }));
    CHECK(tray->cellOf(0).right() < tray->cellOf(1).left());
    CHECK(bench.window().rect().contains(tray->mapTo(&bench.window(), tray->cellOf(tray->pieces() - 1).center().toPoint())));
    for (std::size_t i = 0; i < tray->pieces(); ++i)
        for (std::size_t k = 0; k < i; ++k)
            CHECK_FALSE(tray->cellOf(i).intersects(tray->cellOf(k)));
    // Ticked off as it is laid, by mouse and by keyboard.
    QTest::mouseClick(tray, Qt::LeftButton, Qt::NoModifier, tray->cellOf(0).center().toPoint());
    CHECK(tray->isLaid(0));
    CHECK_FALSE(tray->isLaid(1));
    tray->setFocus();
    QTest::keyClick(tray, Qt::Key_Right);
    for (std::size_t i = 1; i < tray->pieces(); ++i)
        QTest::keyClick(tray, Qt::Key_Space);
    CHECK(bench.text("cut-laid").contains(QStringLiteral("All of it")));
    QTest::mouseClick(tray, Qt::LeftButton, Qt::NoModifier, tray->cellOf(0).center().toPoint());
    CHECK_FALSE(tray->isLaid(0));
    auto* scope = bench.find<QComboBox>("scope");
    scope->setCurrentIndex(1);
    REQUIRE(waitFor([&] { return bench.text("cut-said").contains(QStringLiteral("dressings")); }));
    bool offcut = false;
    for (std::size_t i = 0; i < tray->pieces(); ++i)
        offcut |= tray->wordsOf(i).join(QLatin1Char(' ')).contains(QStringLiteral("out of the off-cuts"));
    CHECK(offcut);
    const Book before = bench.document().book();
    REQUIRE(waitFor([&] { return bench.find<QToolButton>("tied")->isEnabled(); }));
    bench.click("tied");
    for (const Batch& batch : bench.document().book().batches)
        CHECK(batch.tied.value_or(0) == batch.wanted);
    CHECK(bench.document().book().stock != before.stock);
    REQUIRE(waitFor([&] { return bench.text("cut-said").contains(QStringLiteral("Nothing waits")); }));
}
