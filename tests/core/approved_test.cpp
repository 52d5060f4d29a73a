// The models' numbers of the album and of the demo's book, held to approved sheets (approved.h).
#include "tests/core/approved.h"
#include "book/edits.h"
#include "book/fields.h"
#include "cutting/cutting.h"
#include "cutting/gauges.h"
#include "cutting/hackles.h"
#include "cutting/laying_out.h"
#include "cutting/stock.h"
#include "daybook/box.h"
#include "daybook/learned.h"
#include "daybook/season.h"
#include "hand/hand.h"
#include "leader/drift.h"
#include "leader/exposure.h"
#include "leader/questions.h"
#include "sizing/figures.h"
#include "sizing/handles.h"
#include "sizing/head.h"
#include "sizing/mending.h"
#include "sizing/needs.h"
#include "team/balance.h"
#include "team/choose.h"
#include "tests/album.h"
#include "water/sight.h"
#include "water/sink.h"

using namespace machair;
using namespace machair::tests;

namespace {

void addRate(Sheet& sheet, const Rate& rate) {
    sheet.row("  " + rate.name).add("fish", rate.fish).add("hours", rate.hours).add("a", rate.a).add("b", rate.b);
    sheet.add("spread", rate.spread).add("low", rate.low).add("high", rate.high);
}

void addRun(Sheet& sheet, const DriftReport& run) {
    for (std::size_t i = 0; i < run.samples.size(); i += 40) {
        const DriftSample& sample = run.samples[i];
        sheet.row("  run").add("s", sample.time / second).add("tip_m", sample.tip / metre);
        for (const Position position : kPositions)
            if (sample.depth[position]) sheet.add(nameOf(position), *sample.depth[position] / metre);
    }
    const auto seconds = [&](const char* name, const std::optional<Time>& time) {
        if (time) sheet.add(name, *time / second);
    };
    sheet.row("  bob");
    seconds("breaks", run.bobBreaks);
    seconds("holds", run.bobHolds);
    seconds("works", run.bobWorks);
    seconds("held_from", run.heldFrom);
    seconds("clear", run.bobClear);
    sheet.add("tip_at_break", run.tipAtBreak);
    for (const Position position : kPositions)
        for (const Time time : run.bands[position])
            sheet.add("band", time / second);
}

}  // namespace

TEST_CASE("every number of every dressing of the album on its sizes is the approved one") {
    const Book album = albumBook();
    Sheet sheet;
    for (const Pattern& pattern : album.patterns)
        for (const int size : {6, 10, 14}) {
            const auto plan = planOnSize(album, pattern.id, size);
            if (!plan) continue;
            sheet.row(pattern.id + " " + std::to_string(size));
            addFly(sheet, *plan);
        }
    isApproved("flies", sheet.text());
}

// What the album writes down it leaves no rule to answer: each thing that is written is freed once.
TEST_CASE("what is usual where the album's dressings say nothing is the approved one") {
    const Book album = albumBook();
    Sheet sheet;
    for (const Pattern& pattern : album.patterns)
        for (std::size_t part = 0; part < pattern.parts.size(); ++part)
            for (const Field& field : fieldsOf(pattern.parts[part])) {
                if (field.text.empty() || field.key == "material" || field.key == "note") continue;
                const auto freed = changeField(album, pattern.id, part, field.key, "");
                if (!freed) continue;
                const auto plan = planPattern(freed->after, pattern.id);
                if (!plan || part >= plan->parts.size()) continue;
                sheet.row(pattern.id + " without " + field.key);
                addPart(sheet, *plan, part);
            }
    isApproved("usual", sheet.text());
}

TEST_CASE("what mends each warning of the album is the approved one") {
    const Book album = albumBook();
    Sheet sheet;
    for (const Pattern& pattern : album.patterns)
        for (const int size : {6, 16}) {
            Book book = album;
            const auto plan = planOnSize(book, pattern.id, size);
            if (!plan) continue;
            sheet.row(pattern.id + " " + std::to_string(size));
            for (const Warning& warning : plan->warnings)
                for (const Mend& mend : mendsOf(book, *plan, warning, 40))
                    sheet.row("  " + mend.words(warning)).add("cost", mend.cost).add("buys", mend.buys);
        }
    isApproved("mends", sheet.text());
}

TEST_CASE("every number of the teams, what is balanced and what is chosen is the approved one") {
    const Book book = demoBook();
    Sheet sheet;
    for (const TeamSpec& team : book.teams)
        for (const double wave : {0.0, 0.05, 0.12, 0.3}) {
            TeamSetting setting;
            setting.day.wave = wave * metre;
            const auto report = weighTeam(book, team.id, setting);
            if (!report) continue;
            std::ostringstream name;
            name << team.id << " in " << wave << " m: " << nameOf(report->verdict);
            sheet.row(name.str());
            addChecks(sheet, report->checks);
            const auto balanced = balanceTeam(book, team.id, setting);
            if (!balanced) continue;
            for (const auto* list : {&balanced->box, &balanced->redressed})
                for (const Proposal& proposal : *list)
                    sheet.row("  " + proposal.words()).add("cost", proposal.cost).add("score", proposal.score);
        }
    for (const WaterSpec& water : book.waters) {
        const TeamSetting setting = settingOf(book, &water);
        const auto box = candidatesOf(book, setting);
        REQUIRE(box);
        for (const School school : {School::stepped, School::bigTop}) {
            const SchoolRules rules = rulesOf(school);
            sheet.row(water.id + " " + std::string(nameOf(school)));
            for (const Position position : {Position::bob, Position::middle, Position::point})
                for (const Placed& placed : rankPlace(*box, position, rules, setting))
                    sheet.row("  " + std::string(nameOf(position)) + " " + (*box)[placed.fly].title).add("score", placed.score());
            const ChoiceReport chosen = chooseTeams(*box, rules, setting);
            sheet.row("  looked at")
                .add("teams", static_cast<double>(chosen.examined))
                .add("pairs", static_cast<double>(chosen.pairsScanned));
            for (const Choice& choice : chosen.teams)
                sheet
                    .row("  team " + (*box)[choice.flies[0]].title + ", " + (*box)[choice.flies[1]].title + ", " +
                         (*box)[choice.flies[2]].title)
                    .add("score", choice.score);
        }
    }
    isApproved("teams", sheet.text());
}

TEST_CASE("every number of the water and of the leader in it is the approved one") {
    const Book book = demoBook();
    Sheet sheet;
    for (const double speed : {1.0, 4.0, 9.0, 15.0})
        for (const double fetch : {50.0, 800.0, 20000.0}) {
            const Sea sea = seaUnder({speed * metrePerSecond, fetch * metre, fetch > 1000.0});
            sheet.row("sea").add("wind", speed).add("fetch", fetch).add("mm", sea.height).add("s", sea.period / second);
            sheet.add("surface", sea.surface / metrePerSecond).add("builds", sea.builds / second).add("drift", sea.drift / metrePerSecond);
            sheet.say(nameOf(sea.kind))
                .add("cautions", static_cast<double>(sea.cautions.size()))
                .add("force", beaufort(speed * metrePerSecond));
        }
    for (const double celsius : {2.0, 10.0, 20.0})
        sheet.row("viscosity").add("C", celsius).add("mPas", 1e3 * (viscosity(celsius) / pascalSecond));
    for (const double re : {0.1, 1.0, 20.0, 300.0, 5000.0})
        sheet.row("drag").add("Re", re).add("cylinder", cylinderDrag(re)).add("sphere", sphereDrag(re));
    for (const double k : {0.1, 0.5, 1.0, 3.0})
        sheet.row("screen").add("K", k).add("share", screen(k));
    for (const auto& colour : Names<WaterColour>::entries)
        for (const double depth : {0.2, 1.0, 2.5}) {
            const Seen it = seen({0.7, 0.2, 0.1}, clarityOf(colour.value), {depth * metre, 0.8 * metre, pathCosine(Angle::degrees(35.0))});
            sheet.row("seen").say(colour.name).add("m", depth).add("r", it.fly.r).add("g", it.fly.g).add("b", it.fly.b);
            sheet.add("contrast", it.contrast).add("lighter", it.lighter);
        }
    const TeamSpec& team = *book.findTeam("west-shore");
    const Rig rig = rigOf(weighTeam(book, team.id)->flies, measuresOf(team.leader));
    Handling handling;
    handling.count = 4.0 * second;
    handling.retrieveFor = 6.0 * second;
    handling.pull = 0.8 * second;
    handling.pause = 0.5 * second;
    handling.drift = 0.2 * metrePerSecond;
    handling.lift = 0.4 * metrePerSecond;
    handling.height = 1.5 * metre;
    handling.hold = 4.0 * second;
    handling.draw = 0.05 * metrePerSecond;
    handling.hang = 2.0 * second;
    sheet.row("lift").add("s", liftTime(handling) / second).add("mm", liftedIn(handling, 1.0 * second));
    DriftOptions options;
    options.surface = {0.06, 2.795, 5.236, 0.3};  // 12 cm every 1.2 s
    options.bottom = 1.4 * metre;
    const DriftReport run = runDrift(rig, handling, options);
    sheet.row("held, in a wave");
    addRun(sheet, run);
    const WaveSpread spread = otherPhases(rig, handling, options, run);
    for (const DriftReport& other : spread.others) {
        sheet.row("another phase");
        addRun(sheet, other);
    }
    handling = {};
    handling.lift = 0.3 * metrePerSecond;
    handling.height = 1.2 * metre;
    handling.hang = 3.0 * second;
    sheet.row("drawn and hung");
    addRun(sheet, runDrift(rig, handling));
    const Tow tow = settledTow(rig, 0.25 * metrePerSecond);
    sheet.row("towed");
    for (const TowedFly& fly : tow.flies)
        sheet.add("depth", fly.depth).add("behind", fly.behind);
    sheet.row("count for 0.6 m").add("s", countFor(rig, Position::point, 0.6 * metre).value);
    sheet.row("retrieve for 0.5 m").add("m_s", retrieveFor(rig, {}, Position::point, 0.5 * metre).value);
    sheet.row("in touch").add("m_s", touchFor(rig, {}).value);
    isApproved("water", sheet.text());
}

TEST_CASE("every number of what is cut and laid out is the approved one") {
    const Book book = demoBook();
    Sheet sheet;
    for (const Pattern& pattern : book.patterns) {
        const auto plan = planPattern(book, pattern.id);
        if (!plan) continue;
        sheet.row(pattern.id);
        for (const LaidOut& laid : layOut(*plan, 12))
            sheet.row("  " + laid.what + ": " + laid.each + "; " + laid.all + "; " + laid.why)
                .add("mm", laid.length)
                .add("count", laid.count);
        for (const Gauge& gauge : gaugesOf(*plan))
            sheet.row("  gauge " + gauge.label).add("mm", gauge.length).add("±", gauge.tolerance);
        const auto slips = slipsFor(*plan, 6);
        if (!slips.empty()) {
            const CuttingPlan cut = planCuts(book.feathers, slips);
            sheet.row("  cuts")
                .add("waste", cut.waste)
                .add("bound", cut.bound)
                .add("least", cut.leastWaste)
                .add("uncut", static_cast<double>(cut.uncut.size()));
            for (const FeatherCuts& feather : cut.feathers)
                for (const Cut& one : feather.cuts)
                    sheet.add(one.slip, one.from).add("to", one.to);
        }
        const HacklesChosen hackles = chooseHackles(book.capes, hacklesFor(*plan, 3));
        sheet.row("  hackles").add("error", hackles.totalError).add("unserved", static_cast<double>(hackles.unserved.size()));
        for (const HackleServed& served : hackles.served)
            sheet.add("band", static_cast<double>(served.band)).add("off", served.error).say(served.does);
    }
    const auto wanted = stockWanted(book);
    REQUIRE(wanted);
    for (const StockWanted& stock : *wanted) {
        sheet.row(stock.title + ": " + stock.has + ", " + stock.wants + ", " + stock.buy).add("lasts", stock.lasts);
        for (const double left : stock.leftAfter)
            sheet.add("left", left);
    }
    isApproved("cuts", sheet.text());
}

TEST_CASE("every number of the daybook and the hand is the approved one") {
    const Book book = demoBook();
    Sheet sheet;
    for (const auto& factor : Names<Factor>::entries) {
        sheet.row(std::string(factor.name));
        for (const Rate& rate : ratesBy(book, factor.value))
            addRate(sheet, rate);
    }
    sheet.row("depth");
    for (const Rate& rate : ratesByDepth(book, DepthExposure(book)))
        addRate(sheet, rate);
    sheet.row("style");
    for (const Rate& rate : ratesByStyle(book))
        addRate(sheet, rate);
    for (const std::string& year : seasonsOf(book)) {
        const SeasonReport season = seasonReport(book, year);
        sheet.row("season " + year)
            .add("hours", season.hours())
            .add("fish", season.fish())
            .add("kept", season.kept())
            .add("lost", season.lost());
        for (const Rate& rate : season.flies)
            addRate(sheet, rate);
        for (const Rate& rate : season.places)
            addRate(sheet, rate);
    }
    const Learned learned(book);
    sheet.row("learned").add("rate", learned.usualRate());
    for (const Position position : {Position::bob, Position::middle, Position::point}) {
        sheet.add("share", learned.share(position));
        for (const Pattern& pattern : book.patterns) {
            const FlyRatio ratio = learned.ratio(Fly(pattern.id), position);
            sheet.row("  " + pattern.id + " " + std::string(nameOf(position))).add("a", ratio.a).add("b", ratio.b).add("fish", ratio.fish);
            sheet.add("hours", ratio.hours).add("low", ratio.low()).add("high", ratio.high()).add("correction", ratio.correction());
        }
    }
    for (const CurveShift& shift : curveShifts(book))
        sheet.row("shift " + std::string(nameOf(shift.wave))).add("by", shift.shift).add("fish", shift.fish);
    for (const TeamSpec& team : book.teams) {
        const SwapAdvice swap = swapAdvice(book, team.id, {});
        sheet.row("swap on " + team.id + " " + swap.words).add("now", swap.now).add("then", swap.then);
    }
    const FlyComparison pair = compareFlies(book, book.patterns[0].id, book.patterns[1].id);
    sheet.row("compared");
    addRate(sheet, pair.one);
    addRate(sheet, pair.two);
    for (int month = 4; month <= 10; month += 3)
        for (const TieNext& next : tieNext(book, month))
            sheet.row("tie next in " + std::to_string(month) + ": " + next.title + ": " + next.why);
    for (const auto& [name, deviations] : deviationsOf(book)) {
        const HandPosterior hand = handOf(deviations);
        const ControlLimits limits = controlLimits(hand);
        const auto middle = deviations.begin() + static_cast<std::ptrdiff_t>(deviations.size() / 2);
        const HandShift shift = shiftBetween({deviations.begin(), middle}, {middle, deviations.end()});
        sheet.row("hand " + name).add("mean", hand.mean).add("spread", hand.spread()).add("next", hand.predictive()).add("low", limits.low);
        sheet.add("high", limits.high)
            .add("aim", aimFor(10.0 * mm, hand))
            .add("dozen", dozenWithin(hand, 10.0 * mm, 0.08, aimFor(10.0 * mm, hand)));
        sheet.add("shift", shift.shift).add("shift_low", shift.low).add("shift_high", shift.high);
    }
    isApproved("daybook", sheet.text());
}
