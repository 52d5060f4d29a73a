// Balance, Drift, Water, Cut and Tie, driven as a person would.
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QFile>
#include <QImage>
#include <QLineEdit>
#include <QListWidget>
#include <QLocalServer>
#include <QLocalSocket>
#include <QPlainTextEdit>
#include <QSlider>
#include <QSpinBox>
#include <QToolButton>

#include "balance/mend_cards.h"
#include "balance/team_view.h"
#include "book/edits.h"
#include "book/kinds.h"
#include "book/record_edits.h"
#include "book/records.h"
#include "cut/cut_station.h"
#include "cut/feather_view.h"
#include "cut/gauge_view.h"
#include "cut/tray_view.h"
#include "drift/handling_strip.h"
#include "drift/water_section.h"
#include "frame/bench_bar.h"
#include "frame/recipe_sheet.h"
#include "tests/app/at.h"
#include "tests/app/peer.h"
#include "tie/mishap_cards.h"
#include "tie/step_strip.h"
#include "tie/step_view.h"
#include "tie/tie_station.h"
#include "water/choice_casts.h"
#include "water/day_picker.h"
#include "water/sea_view.h"
#include "water/water_station.h"

using namespace machair;
using namespace machair::app;
using namespace machair::app::tests;

TEST_CASE("flies are dragged from one position to another, and back by undo") {
    At bench(Station::balance);
    auto* view = bench.find<TeamView>("team-view");
    const TeamSpec before = *bench.document().team();
    bench.drag(view, view->rowOf(Position::bob).center(), view->rowOf(Position::point).center());
    CHECK(bench.document().team()->at(Position::bob) == before.at(Position::point));
    CHECK(bench.document().team()->at(Position::point) == before.at(Position::bob));
    CHECK(bench.text("verdict").contains(QStringLiteral("not a team")));
    CHECK(bench.kept().findTeam(before.id)->at(Position::bob) == before.at(Position::point));
    QTest::keyClick(&bench.window(), Qt::Key_Z, Qt::ControlModifier);
    CHECK(*bench.document().team() == before);
}

TEST_CASE("a proposal is previewed on the cast, taken with Enter and given back by undo") {
    At bench(Station::balance);
    Edit spoilt{"spoilt", bench.document().book()};
    spoilt.after.teams[0].flies = trioOf("copper-mooring", "dune-bell", "soot-ember");
    REQUIRE(bench.document().apply(spoilt).empty());
    REQUIRE(bench.document().teamReport()->verdict != Verdict::pass);
    const Book before = bench.document().book();
    auto* list = bench.find<QListWidget>("proposals");
    bench.click("find");
    REQUIRE(waitFor([&] { return list->count() > 1; }));
    CHECK_FALSE(list->item(0)->flags().testFlag(Qt::ItemIsEnabled));  // a heading
    // A card says what it buys, and shows each fly that changes.
    REQUIRE(waitFor([&] { return MendCards::fliesOn(*list->item(1)) > 0; }));
    const std::size_t shown = MendCards::fliesOn(*list->item(1));
    list->setFocus();
    list->setCurrentRow(1);
    CHECK(bench.document().teamPreviewing());
    CHECK(bench.document().teamReport()->verdict == Verdict::pass);
    CHECK(bench.document().book() == before);
    QTest::keyClick(list, Qt::Key_Escape);
    CHECK_FALSE(bench.document().teamPreviewing());
    CHECK(bench.document().teamReport()->verdict != Verdict::pass);
    list->setCurrentRow(0);
    list->setCurrentRow(1);
    QTest::keyClick(list, Qt::Key_Return);
    CHECK(bench.document().teamReport()->verdict == Verdict::pass);
    CHECK_FALSE(bench.document().book() == before);
    std::size_t changed = 0;
    for (const Position position : kPositions)
        changed += before.teams[0].at(position) == bench.document().team()->at(position) ? 0 : 1;
    CHECK(shown == changed);
    QTest::keyClick(&bench.window(), Qt::Key_Z, Qt::ControlModifier);
    CHECK(bench.document().book() == before);
}

TEST_CASE("how a fly is fished in its place is noted with the team, and is no other fly for it") {
    At bench(Station::balance);
    bench.document().choosePosition(Position::point);
    bench.setText("presentation", QStringLiteral("slow, and a long hang"));
    CHECK(bench.kept().teams.front().at(Position::point)->presentation == "slow, and a long hang");
    CHECK(bench.document().teamReport()->verdict == Verdict::pass);
    bench.document().choosePosition(Position::bob);
    CHECK(bench.find<QLineEdit>("presentation")->text().isEmpty());
}

TEST_CASE("a school is copied to edit and the team follows it") {
    At bench(Station::balance);
    auto* schools = bench.find<QComboBox>("team-school");
    schools->setFocus();
    QTest::keyClick(schools, Qt::Key_Down);
    CHECK(bench.document().team()->school == School::bigTop);
    CHECK(bench.text("belief").contains(QStringLiteral("largest hook")));
    bench.click("copy-school");
    REQUIRE(bench.document().book().teamSchools.size() == 1);
    CHECK(bench.document().team()->ownSchool == bench.document().book().teamSchools.front().id);
}

TEST_CASE("the drift runs, is scrubbed, and answers how long to count") {
    At bench(Station::drift);
    auto* section = bench.find<WaterSection>("water-section");
    REQUIRE(waitFor([&] { return section->run().has_value(); }));
    const double length = section->length();
    CHECK(length > 20.0);
    const QRectF chart = section->chart();
    QTest::mouseClick(section, Qt::LeftButton, Qt::NoModifier, QPointF(chart.left() + 0.25 * chart.width(), chart.center().y()).toPoint());
    CHECK(section->time() == Approx(0.25 * length).margin(0.3));
    CHECK(bench.find<QSlider>("scrub")->value() == Approx(section->time() * 20.0).margin(1.0));
    auto& strip = section->strip();
    strip.setLasts(Phase::count, 15.0 * second);
    REQUIRE(waitFor([&] { return section->length() > length + 9.0; }));
    bench.click("ask-count");
    REQUIRE(waitFor([&] { return bench.text("answer").startsWith(QStringLiteral("count ")); }));
    strip.setLasts(Phase::retrieve, 300.0 * second);
    strip.setLasts(Phase::count, 120.0 * second);
    bench.window().showStation(Station::plan);  // leaving in the middle of a run hurts nothing
}

TEST_CASE("a hopeless handling says what is wrong with it and keeps the last run") {
    At bench(Station::drift);
    auto* section = bench.find<WaterSection>("water-section");
    REQUIRE(waitFor([&] { return section->run().has_value(); }));
    for (const Phase phase : kPhases)
        section->strip().setLasts(phase, {});
    CHECK(bench.text("drift-words").contains(QStringLiteral("expected some time in the water")));
    CHECK(section->run().has_value());
}

TEST_CASE("wind typed makes a bigger wave, a click on the map measures the fetch") {
    At bench(Station::water);
    const auto wave = [&] { return seaUnder({*bench.document().water()->wind, *bench.document().water()->fetch, false}).height; };
    const Length before = wave();
    bench.setText("water-wind_m_s", QStringLiteral("11"));
    CHECK(wave() > before);
    CHECK(bench.text("water-cautions").contains(QStringLiteral("10.8 m/s")));
    CHECK(bench.kept().waters.front().wind == 11.0 * metrePerSecond);
    bench.setText("water-wind_m_s", QStringLiteral("a gale"));
    CHECK(bench.text("water-fault").contains(QStringLiteral("a wind from 0 to 60 m/s")));
    CHECK(bench.document().water()->wind == 11.0 * metrePerSecond);
    auto* sea = bench.find<SeaView>("sea");
    const QPointF at = sea->toScreen({1500.0 * metre, 500.0 * metre});
    QTest::mouseClick(sea, Qt::LeftButton, Qt::NoModifier, at.toPoint());
    CHECK(*bench.document().water()->fetch / metre ==
          Approx(fetchAt(bench.document().water()->outline, {1500.0 * metre, 500.0 * metre}, 250.0) / metre).margin(15.0));
}

TEST_CASE("a rule is broken and mended, and the kept fish move barbed flies out") {
    At bench(Station::water);
    bench.setText("card-longest_fly_mm", QStringLiteral("12"));
    CHECK(bench.text("ruled").contains(QStringLiteral("mm over")));
    CHECK(bench.text("verdict").contains(QStringLiteral("not a team")));
    bench.setText("card-longest_fly_mm", QStringLiteral("30"));
    CHECK(bench.text("ruled").contains(QStringLiteral("within the rules")));
    bench.find<QSpinBox>("kept")->setValue(4);
    CHECK(bench.text("ruled").contains(QStringLiteral("has a barb")));
    // The whole box is told, what fails first.
    auto* box = bench.find<QListWidget>("box-ruled");
    REQUIRE(waitFor([&] { return box->count() > 5 && box->item(0)->text().contains(QStringLiteral("barb")); }));
    CHECK(box->item(0)->text().startsWith(QStringLiteral("✗")));
    CHECK(box->item(box->count() - 1)->text().startsWith(QStringLiteral("✓")));
}

TEST_CASE("a contest day with twin boxes: barbs until the fish are kept, then the twins go on, and the day keeps it") {
    At bench(Station::water);
    Edit twins{"twins", bench.document().book()};
    for (const char* dressing : {"kelp-lantern", "rush-piper"}) {
        HookSpec hook = *twins.after.findHook(twins.after.findPattern(dressing)->hook);
        hook.id = HookId(std::string(dressing) + "-twin");
        hook.barb = false;
        twins.after.hooks.push_back(hook);
        BoxFly fly;
        fly.id = BoxFlyId(std::string("twin-") + dressing);
        fly.pattern = dressing;
        fly.hook = hook.id;
        twins.after.box.push_back(fly);
    }
    REQUIRE(bench.document().apply(twins).empty());
    CHECK_FALSE(bench.find<QToolButton>("change-over")->isVisible());  // barbs are allowed yet
    bench.find<QSpinBox>("kept")->setValue(4);
    CHECK(bench.kept().waters.front().kept == 4);  // over a restart
    REQUIRE(waitFor([&] { return bench.text("ruled").contains(QStringLiteral("Kelp Lantern, 10 comes off the bob")); }));
    CHECK(bench.text("ruled").contains(QStringLiteral("Kelp Lantern, 10 barbless goes on")));
    REQUIRE(bench.find<QToolButton>("change-over")->isVisible());
    bench.click("change-over");
    const TeamSpec& team = *bench.document().team();
    CHECK(team.at(Position::bob) == Fly("kelp-lantern", "kelp-lantern-twin"));
    CHECK(team.at(Position::point) == Fly("rush-piper", "rush-piper-twin"));
    for (const TeamFly& fly : bench.document().teamReport()->flies)
        CHECK_FALSE(fly.figures.barb);
    CHECK_FALSE(bench.find<QToolButton>("change-over")->isVisible());
    CHECK(bench.kept().findTeam(team.id)->at(Position::bob) == team.at(Position::bob));
    QTest::keyClick(&bench.window(), Qt::Key_Z, Qt::ControlModifier);
    CHECK(bench.document().team()->at(Position::bob) == Fly("kelp-lantern"));
}

TEST_CASE("the flies for one place are ranked beside the others, and Enter puts one there") {
    At bench(Station::water);
    auto* list = bench.find<QListWidget>("choices");
    REQUIRE(waitFor([&] { return list->count() == 5; }));
    auto* place = bench.find<QComboBox>("choose-place");
    place->setFocus();
    QTest::keyClick(place, Qt::Key_Down);  // the bob
    REQUIRE(waitFor([&] { return list->count() > 5; }));
    CHECK(list->item(list->count() - 1)->text().contains(QStringLiteral("kept out")));
    list->setFocus();
    list->setCurrentRow(0);
    QTest::keyClick(list, Qt::Key_Return);
    CHECK(bench.document().teamReport()->flies.front().figures.style == FlyStyle::palmer);
}

TEST_CASE("a change of the day chooses anew, and the verdict is one: cast, water and what is chosen") {
    At bench(Station::water);
    auto* list = bench.find<QListWidget>("choices");
    REQUIRE(waitFor([&] { return list->count() == 5; }));
    const QString before = list->item(0)->text();
    bench.setText("water-wind_m_s", QStringLiteral("0"));
    REQUIRE(waitFor([&] { return list->count() > 0 && list->item(0)->text() != before; }));
    CHECK(bench.text("verdict").contains(QStringLiteral("in a flat calm")));
    list->setFocus();
    list->setCurrentRow(0);
    const bool passes = list->item(0)->text().contains(QStringLiteral("✓"));
    QTest::keyClick(list, Qt::Key_Return);
    CHECK((bench.document().teamReport()->verdict == Verdict::pass) == passes);
}

TEST_CASE("three are chosen from the box and become a team of the book") {
    At bench(Station::water);
    auto* teams = bench.find<QListWidget>("choices");
    REQUIRE(waitFor([&] { return teams->count() == 5; }));
    for (int i = 0; i < teams->count(); ++i)
        CHECK(ChoiceCasts::isCast(*teams->item(i)));
    const std::size_t before = bench.document().book().teams.size();
    teams->setFocus();
    teams->setCurrentRow(0);
    QTest::keyClick(teams, Qt::Key_Return);
    REQUIRE(bench.document().book().teams.size() == before + 1);
    CHECK(bench.document().team()->title().starts_with("Chosen for Loch Skerrin"));
}

TEST_CASE("a weather station fills the day, and rubbish from it is only said") {
    QLocalServer server;
    const QString name = QStringLiteral("machair-weather-test-%1").arg(QCoreApplication::applicationPid());
    QLocalServer::removeServer(devices::socketPath(name));
    REQUIRE(server.listen(devices::socketPath(name)));
    At bench(Station::water);
    bench.window().devices().useWeather(std::make_unique<devices::SocketWeatherStation>(name));
    REQUIRE(waitFor([&] { return server.hasPendingConnections(); }));
    QLocalSocket* one = server.nextPendingConnection();
    one->write("wind lots\n");
    one->flush();
    REQUIRE(waitFor([&] { return bench.text("quiet").contains(QStringLiteral("means nothing")); }));
    one->write("wind 4.5 from 310 water 13 light dusk\n");
    one->flush();
    auto* button = bench.find<QToolButton>("weather");
    REQUIRE(waitFor([&] { return button->text().startsWith(QStringLiteral("Take")); }));
    QTest::mouseClick(button, Qt::LeftButton);
    CHECK(bench.document().water()->wind == 4.5 * metrePerSecond);
    CHECK(bench.document().water()->light == Light::dusk);
    bench.document().undoStack().undo();  // all of it was one step
    CHECK(bench.document().water()->wind != 4.5 * metrePerSecond);
    CHECK(bench.document().water()->light != Light::dusk);
    delete one;  // it dies: nothing hangs
    QApplication::processEvents();
}

TEST_CASE("slips are laid on feathers for a batch, and taken from stock when it is tied") {
    At bench(Station::cut);
    bench.document().choosePattern("heather-tinker");
    auto* table = bench.find<TrayView>("tray");
    REQUIRE(waitFor([&] { return table->pieces() > 5 && bench.find<QToolButton>("tied")->isEnabled(); }));
    CHECK(bench.text("cut-said").contains(QStringLiteral("proven best")));
    const Book before = bench.document().book();
    bench.click("tied");
    CHECK_FALSE(bench.document().book().feathers == before.feathers);
    CHECK(bench.text("quiet") == QStringLiteral("Heather Tinker: 2 tied, 7 in the box"));
    QTest::keyClick(&bench.window(), Qt::Key_Z, Qt::ControlModifier);
    CHECK(bench.document().book() == before);
    auto* batch = bench.find<QSpinBox>("batch");
    batch->setValue(10000);
    REQUIRE(waitFor([&] { return bench.text("cut-said").contains(QStringLiteral("Not cut: ")); }));
}

TEST_CASE("the gauge is calibrated once for a screen and remembered") {
    At bench(Station::cut);
    auto* gauge = bench.find<QWidget>("gauge");
    bench.click("calibrate");
    QTest::mousePress(gauge, Qt::LeftButton, Qt::NoModifier, QPoint(400, 80));
    QTest::mouseMove(gauge, QPoint(30 + 428, 80));
    QTest::mouseRelease(gauge, Qt::LeftButton, Qt::NoModifier, QPoint(30 + 428, 80));
    bench.click("calibrate");
    CHECK(dynamic_cast<GaugeView*>(gauge)->pxPerMm() == Approx(5.0).margin(0.02));
    bench.restart();
    bench.window().showStation(Station::cut);
    CHECK(bench.find<GaugeView>("gauge")->pxPerMm() == Approx(5.0).margin(0.02));
    CHECK(bench.find<GaugeView>("gauge")->calibrated());
}

TEST_CASE("a whole fly is tied by keyboard, and the coat dries while the next is tied") {
    At bench(Station::tie);
    auto* tie = bench.find<TieStation>("tie");
    auto* view = bench.find<StepView>("step");
    const int steps = static_cast<int>(tie->steps().size());
    REQUIRE(steps > 8);
    bool dried = false;
    for (int i = 1; i < steps; ++i) {
        QTest::keyClick(tie, i % 2 ? Qt::Key_Space : Qt::Key_PageDown);
        dried = dried || bench.text("drying").contains(QStringLiteral("dries"));
        CHECK(tie->step() == i);
        CHECK(view->step()->verb == tie->steps()[static_cast<std::size_t>(i)].verb);
    }
    CHECK(dried);
    QTest::keyClick(tie, Qt::Key_Space);  // no further than the end
    CHECK(tie->step() == steps - 1);
    QTest::keyClick(tie, Qt::Key_Backspace);
    CHECK(tie->step() == steps - 2);
    while (tie->steps()[static_cast<std::size_t>(tie->step())].part < 0 ||
           tie->steps()[static_cast<std::size_t>(tie->step())].verb != "wind")
        QTest::keyClick(tie, Qt::Key_Backspace);
    // Opening the cards counts nothing; choosing one does, choosing it again takes it back.
    const auto counted = [&] { return bench.document().book().mishaps.size(); };
    const std::size_t none = counted();
    QTest::keyClick(tie, Qt::Key_W);
    auto* cards = bench.find<MishapCards>("mishaps");
    REQUIRE(cards->isVisible());
    CHECK(cards->count() > 3);
    CHECK(counted() == none);
    QTest::keyClick(tie, Qt::Key_1);
    CHECK(counted() == none + 1);
    CHECK(bench.text("mishap-this-fly").startsWith(QStringLiteral("This fly")));
    QTest::keyClick(tie, Qt::Key_1);
    CHECK(counted() == none);
    QTest::keyClick(tie, Qt::Key_W);
    CHECK_FALSE(cards->isVisible());
    QTest::keyClick(tie, Qt::Key_Home);
    CHECK(tie->step() == 0);
    const QImage right = view->grab().toImage();
    bench.click("left-handed");
    CHECK_FALSE(view->grab().toImage() == right);
}

TEST_CASE("a beaded fly, a wing-first fly and a cloaked fly are tied by the pedal alone, left-handed") {
    At bench(Station::tie);
    auto own = std::make_unique<devices::Pedal>();  // its socket takes no more presses a second than a foot can give: here are more
    devices::Pedal* pedal = own.get();
    bench.window().devices().usePedal(std::move(own));
    bench.click("left-handed");
    auto* tie = bench.find<TieStation>("tie");
    for (const FlyKind kind : {FlyKind::beadSoftHackle, FlyKind::uprightWing, FlyKind::cloakedLochFly}) {
        REQUIRE(bench.document().start(startFromKind(bench.document().book(), kind, "wet-10")).empty());
        REQUIRE(tie->step() == 0);
        const auto steps = tie->steps();
        REQUIRE(steps.front().before);
        for (std::size_t i = 1; i < steps.size(); ++i) {
            emit pedal->on();
            REQUIRE(tie->step() == static_cast<int>(i));
            CHECK(bench.find<StepView>("step")->step()->verb == steps[i].verb);
        }
        CHECK(steps.back().verb == "measure");
        emit pedal->back();
        REQUIRE(tie->step() == static_cast<int>(steps.size()) - 2);
    }
    bench.restart();  // the hand is remembered
    bench.window().showStation(Station::tie);
    CHECK(bench.find<QToolButton>("left-handed")->isChecked());
}

TEST_CASE("what is made ready stands on a tray, and a place on it goes there") {
    At bench(Station::tie);
    auto* tie = bench.find<TieStation>("tie");
    auto* view = bench.find<StepView>("step");
    const auto ready = std::ranges::count_if(tie->steps(), &TyingStep::before);
    REQUIRE(ready > 3);
    QTest::mouseClick(view, Qt::LeftButton, Qt::NoModifier, view->trayRect(2).center().toPoint());
    CHECK(tie->step() == 2);
    CHECK(view->trayRect(static_cast<int>(ready)).isEmpty());
    for (int i = 0; i < ready; ++i)
        CHECK(view->rect().contains(view->trayRect(i).toRect()));
    auto* strip = bench.find<StepStrip>("step-strip");
    QTest::mouseClick(strip, Qt::LeftButton, Qt::NoModifier, strip->rectOf(static_cast<int>(ready)).center().toPoint());
    CHECK(tie->step() == ready);
}

TEST_CASE("a batch is tied in one round: fly by fly, or stage by stage where the evening was laid out so, and goes into the box") {
    At bench(Station::tie);
    bench.document().choosePattern("heather-tinker");
    for (const Batch& other : Book(bench.document().book()).batches)
        if (other.pattern == "heather-tinker")
            REQUIRE(bench.document().apply(removeRecord(bench.document().book(), {"batches", other.id})).empty());
    CHECK_FALSE(bench.find<QToolButton>("tie-batch")->isVisible());
    REQUIRE(bench.document().apply(addBatch(bench.document().book(), "heather-tinker", 3)).empty());
    auto* all = bench.find<QToolButton>("tie-batch");
    REQUIRE(waitFor([&] { return all->isVisible(); }));
    if (!all->isChecked()) bench.click("tie-batch");
    auto* tie = bench.find<TieStation>("tie");
    REQUIRE(tie->flies() == 3);
    tie->setFocus();
    const auto& steps = tie->steps();
    const auto coat = std::ranges::find_if(steps, [](const TyingStep& s) { return s.dryMinutes.has_value(); }) - steps.begin();
    const auto pressTo = [&](int fly, int step) {
        for (int i = 0; i < 400 && !(tie->fly() == fly && tie->step() == step); ++i)
            QTest::keyClick(tie, Qt::Key_Space);
        return tie->fly() == fly && tie->step() == step;
    };
    const auto layOut = [&](int way) {
        bench.window().showStation(Station::evening);
        REQUIRE(waitFor([&] { return bench.text("evening-said").contains(QStringLiteral("Hands free")); }));
        bench.find<QComboBox>("way")->setCurrentIndex(way);
        bench.window().showStation(Station::tie);
    };
    SECTION("fly by fly") {
        layOut(1);
        tie->go(static_cast<int>(coat));
        QTest::keyClick(tie, Qt::Key_Space);
        CHECK(tie->fly() == 0);
        REQUIRE(pressTo(1, static_cast<int>(firstAtTheVice(steps))));
    }
    SECTION("stage by stage") {
        layOut(2);
        tie->go(static_cast<int>(coat));
        QTest::keyClick(tie, Qt::Key_Space);
        CHECK(tie->fly() == 1);
        CHECK(tie->step() == static_cast<int>(firstAtTheVice(steps)));
        QTest::keyClick(tie, Qt::Key_Backspace);
        CHECK(tie->fly() == 0);
        CHECK(tie->step() == coat);
        REQUIRE(pressTo(0, static_cast<int>(steps.size()) - 1));
        REQUIRE(bench.find<QToolButton>("tied-into-box")->isVisible());
        const int boxed = boxCount(bench.document().book(), "heather-tinker", std::nullopt);
        bench.click("tied-into-box");
        CHECK(boxCount(bench.document().book(), "heather-tinker", std::nullopt) == boxed + 1);
        CHECK(tie->flies() == 3);  // the round stays what it was begun as
        REQUIRE(pressTo(2, static_cast<int>(steps.size()) - 1));
    }
}

TEST_CASE("a dressing changed half-way through its batch: the vice says so and goes on at the same deed") {
    At bench(Station::tie);
    bench.document().choosePattern("kelp-lantern");
    auto* tie = bench.find<TieStation>("tie");
    const auto palmer =
        std::ranges::find_if(tie->steps(), [](const TyingStep& s) { return s.verb == "wind" && s.object.starts_with("the palmer"); });
    REQUIRE(palmer != tie->steps().end());
    const std::string deed = palmer->object;
    tie->go(static_cast<int>(palmer - tie->steps().begin()));
    REQUIRE(bench.document().apply(addPart(bench.document().book(), "kelp-lantern", PartKind::tag)).empty());
    CHECK(bench.find<StepView>("step")->step()->object == deed);
    CHECK(waitFor([&] { return bench.text("quiet").contains(QStringLiteral("changed while it is tied")); }));
}

TEST_CASE("what no card says is named at the step, is a card of one's own from then on, and its mend is written beside it") {
    At bench(Station::tie);
    auto* tie = bench.find<TieStation>("tie");
    const auto rib =
        std::ranges::find_if(tie->steps(), [](const TyingStep& s) { return s.verb == "wind" && s.object.starts_with("the rib"); });
    REQUIRE(rib != tie->steps().end());
    tie->go(static_cast<int>(rib - tie->steps().begin()));
    bench.click("went-wrong");
    auto* cards = bench.find<MishapCards>("mishaps");
    const std::size_t before = cards->count();
    auto* line = bench.find<QLineEdit>("mishap-own");
    QTest::keyClicks(line, QStringLiteral("the oval unravelled at its end"));
    QTest::keyClick(line, Qt::Key_Return);
    REQUIRE(waitFor([&] { return cards->count() == before + 1; }));
    REQUIRE(cards->chosen());
    auto* next = bench.find<QLineEdit>("mishap-own-next");
    QTest::keyClicks(next, QStringLiteral("pull the core bare first"));
    QTest::keyClick(next, Qt::Key_Return);
    REQUIRE(waitFor([&] { return bench.document().book().mishaps.back().nextFly.has_value(); }));
    CHECK(*bench.document().book().mishaps.back().nextFly == "pull the core bare first");
    CHECK(bench.document().book().mishaps.back().part == PartKind::rib);
    bench.document().undoStack().undo();
    bench.document().undoStack().undo();
    CHECK(std::ranges::none_of(bench.document().book().mishaps, [](const Mishap& m) { return m.isOwnCard(); }));
}

TEST_CASE("parts in an order that can't be tied are said at the vice and put in order by a press, or undone") {
    At bench(Station::tie);
    CHECK_FALSE(bench.find<QToolButton>("put-in-order")->isVisible());
    const Book before = bench.document().book();
    REQUIRE(bench.document().apply(movePart(before, "kelp-lantern", 1, 2)).empty());  // the rib after its body
    auto* order = bench.find<QToolButton>("put-in-order");
    REQUIRE(order->isVisible());
    CHECK(bench.text("aside").contains(QStringLiteral("tie the rib before the body")));
    bench.click("put-in-order");
    CHECK_FALSE(order->isVisible());
    CHECK(bench.document().book().findPattern("kelp-lantern")->parts == before.findPattern("kelp-lantern")->parts);
}

TEST_CASE("a recipe is read as it is pasted, its doubts are marked and clicked away, and nothing comes in before it is taken") {
    At bench(Station::plan);
    const Book before = bench.document().book();
    emit bench.find<BenchBar>("bench-bar")
        ->recipeOffered(QStringLiteral(
            "Test Ember\nHook: 10\nTail: unobtainium, 8 mm\nBody: magenta fur\nHackle: ginger hen, 2 turns, to the point\n"));
    auto* sheet = bench.find<RecipeSheet>("recipe");
    REQUIRE(sheet->isVisible());
    CHECK(bench.document().book() == before);
    REQUIRE(sheet->read());
    const std::size_t doubts = sheet->read()->doubts.size();
    CHECK(doubts >= 3);
    CHECK(bench.find<QPlainTextEdit>("recipe-text")->extraSelections().size() >= 2);
    REQUIRE(sheet->read()->materials.size() == 1);
    // The fur is one of the drawers after all.
    QToolButton* fur = nullptr;
    for (QToolButton* choice : sheet->findChildren<QToolButton*>(QStringLiteral("doubt-choice")))
        if (choice->text().contains(QStringLiteral("seal-like"))) fur = choice;
    REQUIRE(fur);
    QTest::mouseClick(fur, Qt::LeftButton);
    REQUIRE(waitFor([&] { return sheet->read()->doubts.size() == doubts - 1; }));
    CHECK(sheet->read()->materials.empty());
    // What was answered stays so while more is typed, and the fly is drawn as it is read.
    auto* const fly = sheet->findChild<QWidget*>(QStringLiteral("recipe-fly"));
    REQUIRE(fly->isVisible());
    const QImage bare = fly->grab().toImage();
    auto* const text = bench.find<QPlainTextEdit>("recipe-text");
    text->moveCursor(QTextCursor::End);
    QTest::keyClicks(text, QStringLiteral("Wing: bronze mallard, rolled"));
    CHECK(sheet->read()->doubts.size() == doubts - 1);
    CHECK(sheet->read()->materials.empty());
    CHECK_FALSE(fly->grab().toImage() == bare);
    bench.click("recipe-take");
    CHECK_FALSE(sheet->isVisible());
    CHECK(bench.document().pattern()->title() == "Test Ember");
    CHECK(bench.text("quiet").contains(QStringLiteral("still in doubt")));
    const QString path = bench.path("ember.txt");
    bench.find<BenchBar>("bench-bar")->keepRecipe(path);
    CHECK(std::filesystem::exists(path.toStdString()));
    const QString page = bench.path("ember.html");  // with its picture in it
    bench.find<BenchBar>("bench-bar")->keepRecipe(page);
    QFile html(page);
    REQUIRE(html.open(QIODevice::ReadOnly));
    const QByteArray code = html.readAll();
    const auto at = code.indexOf("base64,") + 7;
    const QImage picture = QImage::fromData(QByteArray::fromBase64(code.mid(at, code.indexOf('"', at) - at)));
    REQUIRE_FALSE(picture.isNull());
    int ink = 0;
    for (int x = 0; x < picture.width(); x += 3)
        for (int y = 0; y < picture.height(); y += 3)
            ink += qGray(picture.pixel(x, y)) < 200 ? 1 : 0;
    CHECK(ink > 400);
    bench.document().undoStack().undo();
    CHECK(bench.document().book() == before);
}

TEST_CASE("what was left of a noodle teaches the next one") {
    At bench(Station::cut);
    bench.find<QDoubleSpinBox>("leftover")->setValue(20.0);
    bench.click("learn");
    const auto& fur = std::get<DubbingTraits>(bench.document().book().findMaterial("fur-olive")->traits);
    REQUIRE(fur.wound.size() == 1);
    CHECK(fur.wound[0].ofReckoned < 1.0);
    bench.find<QDoubleSpinBox>("leftover")->setValue(300.0);
    bench.click("learn");
    CHECK(bench.text("quiet").contains(QStringLiteral("mm reckoned to be wound")));
}

TEST_CASE("the season's table shows the month and is edited in place") {
    At bench(Station::water);
    auto* season = bench.find<QListWidget>("season");
    REQUIRE(season->count() == 2);  // June
    auto* picker = bench.find<DayPicker>("day-picker");
    const auto august = std::ranges::find_if(picker->choices(), [](const auto& c) { return c.name == QStringLiteral("August"); });
    QTest::mouseClick(picker, Qt::LeftButton, Qt::NoModifier, august->place.center().toPoint());
    CHECK(bench.document().water()->month == 8);
    CHECK(season->count() == 3);
    QTest::mouseClick(season->viewport(), Qt::LeftButton, Qt::NoModifier, season->visualItemRect(season->item(0)).center());
    bench.setText("season-row-suits", QStringLiteral("anything black"));
    CHECK(season->item(0)->text().contains(QStringLiteral("anything black")));
}
