// What the album and the demo don't have, held to approved sheets (approved.h): every style in every place of every school,
// dressings, teams, feathers and hands made at random.
#include <random>

#include "book/fields.h"
#include "book/kinds.h"
#include "book/schools.h"
#include "cutting/cutting.h"
#include "cutting/hackles.h"
#include "hand/hand.h"
#include "leader/drift.h"
#include "leader/questions.h"
#include "sizing/budget.h"
#include "sizing/compare.h"
#include "sizing/crossing.h"
#include "sizing/mending.h"
#include "sizing/sizes.h"
#include "team/balance.h"
#include "team/place.h"
#include "team/redress.h"
#include "tests/album.h"
#include "tests/core/approved.h"
#include "tests/core/approved_teams.h"
#include "tests/feathers.h"
#include "tests/random_book.h"

using namespace machair;
using namespace machair::tests;

namespace {

void addTerms(Sheet& sheet, const PlaceFit& fit) {
    sheet.add("score", fit.score()).add("out", fit.keptOut ? 1.0 : 0.0);
    for (const PlaceTerm& term : fit)
        sheet.say(nameOf(term.term)).add("is", term.value).add("won", term.won()).add("short", term.shortfall);
}

}  // namespace

TEST_CASE("what every place of every school wants in every wave, and how each style suits it, is the approved one") {
    Sheet sheet;
    for (const School school : kSchoolsOfTeams) {
        const SchoolRules rules = rulesOf(school);
        for (const Position position : {Position::bob, Position::upper, Position::point})
            for (const double wave : {0.0, 0.035, 0.07, 0.12, 0.18, 0.28, 0.4}) {
                TeamDay day;
                if (wave > 0.1) day.light = Light::cloud;
                if (wave < 0.05) day.light = Light::bright;
                if (wave > 0.2) day.colour = WaterColour::peat;
                const PlaceWants wants = wantsOf(rules, position, wave, day);
                sheet.row(std::string(nameOf(school)) + " " + std::string(nameOf(position))).add("wave", wave).add("best", wants.best);
                for (const auto& [name, wanted] :
                     {std::pair{"full", wants.fullness}, std::pair{"stiff", wants.stiff}, std::pair{"hold", wants.hold},
                      std::pair{"sink", wants.sink}, std::pair{"weight", wants.weight}, std::pair{"slim", wants.slim},
                      std::pair{"size", wants.size}, std::pair{"role", wants.role}})
                    sheet.say(name).add("low", wanted.low).add("high", wanted.high).add("near", wanted.nearWidth).add("w", wanted.weight);
                for (const auto& style : Names<FlyStyle>::entries) {
                    const FlyFigures fly = figuresFor(style.value, 0.1 + 0.08 * static_cast<double>(style.value));
                    PlaceExtras extras;
                    extras.season = 0.3;
                    extras.daybook = -0.4;
                    sheet.row("  " + std::string(style.name)).add("suits", wants.suits(style.value));
                    addTerms(sheet, fitIn(fly, wants, extras));
                    for (const PlaceTerm& term : checksOf(fly, wants))
                        sheet.say(mendOf(term, fly, wants));
                }
            }
    }
    isApproved("places", sheet.text());
}

TEST_CASE("every number of a hundred dressings that nobody ties is the approved one") {
    Sheet sheet;
    int planned = 0;
    for (unsigned seed = 1; planned < 100 && seed < 400; ++seed) {
        const Book book = RandomBook(seed).make();
        for (const Pattern& pattern : book.patterns) {
            const auto plan = planPattern(book, pattern.id);
            if (!plan || ++planned > 100) continue;
            sheet.row(std::to_string(seed) + " " + pattern.id);
            addFly(sheet, *plan);
            for (const HeldPart& held : heldParts(*plan))
                sheet.row("  crosses").add("times", held.crossing.crossings).add("degrees", held.crossing.angle.inDegrees());
            for (const BudgetSpan& span : shankBudget(*plan))
                sheet.row("  span").add("from", span.from).add("to", span.to);
            for (std::size_t i = 0; i < std::min<std::size_t>(2, plan->warnings.size()); ++i)
                for (const Mend& mend : mendsOf(book, *plan, plan->warnings[i], 2))
                    sheet.row("  " + mend.words(plan->warnings[i])).add("cost", mend.cost).add("buys", mend.buys);
        }
    }
    CHECK(planned >= 100);
    isApproved("random", sheet.text());
}

TEST_CASE("every number of every kind as it is started, on every size, is the approved one") {
    Sheet sheet;
    for (const auto& kind : Names<FlyKind>::entries)
        for (const int size : {6, 8, 10, 12, 14, 16}) {
            const auto started = startFromKind(demoBook(), kind.value, "wet-10");
            REQUIRE(started);
            const auto plan = planOnSize(started->edit.after, started->edit.after.patterns.back().id, size);
            REQUIRE(plan);
            sheet.row(std::string(kind.name) + " " + std::to_string(size));
            addFly(sheet, *plan);
        }
    isApproved("kinds", sheet.text());
}

TEST_CASE("an upright wing tied before the body stands where nothing is written at the approved place") {
    Sheet sheet;
    for (const int size : {8, 12, 16})
        for (const WingStyle style : {WingStyle::upright, WingStyle::hair, WingStyle::plume, WingStyle::tips}) {
            WingPart wing;
            wing.style = style;
            BodyPart body;
            Book book = bench(hookSpec(size));
            book.patterns = {dressing({part(PartKind::wing, wing), part(PartKind::body, body), part(PartKind::collar, CollarPart{}),
                                       part(PartKind::head, HeadPart{})})};
            const auto plan = planPattern(book, "fly");
            sheet.row(std::string(nameOf(style)) + " " + std::to_string(size));
            if (plan) addFly(sheet, *plan);
        }
    isApproved("wing-first", sheet.text());
}

TEST_CASE("what each answer of a school changes in the album is the approved one") {
    const Book album = albumBook();
    Sheet sheet;
    for (const Field& field : fieldsOf(SchoolChoices{}))
        for (const std::string& choice : field.choices) {
            sheet.row(field.key + ": " + choice);
            for (const Pattern& pattern : album.patterns) {
                const auto edit = changeSchool(album, pattern.id, field.key, choice);
                if (!edit) continue;
                const auto before = planPattern(album, pattern.id);
                const auto after = planPattern(edit->after, pattern.id);
                if (!before || !after) continue;
                for (const Difference& change : differences(*before, *after))
                    sheet.row("  " + pattern.id + " " + change.words()).add("by", change.weight);
            }
        }
    isApproved("schools", sheet.text());
}

TEST_CASE("what each dressing of the album becomes on other sizes is the approved one") {
    const Book album = albumBook();
    Sheet sheet;
    for (const Pattern& pattern : album.patterns)
        for (const SizedFly& fly : acrossSizes(album, pattern.id, {6, 8, 12, 16})) {
            sheet.row(pattern.id + " " + std::to_string(fly.size));
            for (const auto* said : {&fly.changes, &fly.troubles})
                for (const std::string& words : *said)
                    sheet.row("  " + words);
        }
    isApproved("sizes", sheet.text());
}

TEST_CASE("in what each dressing of the album differs from the next is the approved one") {
    const Book album = albumBook();
    Sheet sheet;
    for (std::size_t i = 0; i + 1 < album.patterns.size(); ++i) {
        const auto one = planPattern(album, album.patterns[i].id), other = planPattern(album, album.patterns[i + 1].id);
        if (!one || !other) continue;
        sheet.row(album.patterns[i].id + " to " + album.patterns[i + 1].id);
        for (const Difference& change : differences(*one, *other))
            sheet.row("  " + change.words()).add("by", change.weight);
    }
    isApproved("differences", sheet.text());
}

TEST_CASE("every check of teams out of the album is the approved one") {
    const Book book = albumInTeams();
    Sheet sheet;
    int balanced = 0;
    for (const TeamSpec& team : book.teams)
        for (const std::optional<double> wave : {std::optional<double>(), std::optional(0.04), std::optional(0.16)}) {
            TeamSetting setting;
            if (wave) setting.day.wave = *wave * metre;
            setting.celsius = wave ? 6.0 : kUsualCelsius;
            const auto report = weighTeam(book, team.id, setting);
            if (!report) continue;
            sheet.row(team.id).add("wave", wave.value_or(-1.0)).say(nameOf(report->verdict)).say(sayVerdict(*report));
            addChecks(sheet, report->checks);
            constexpr int kBalanced = 12;  // each takes some 50 ms
            if (!wave || ++balanced > kBalanced) continue;
            const auto proposals = balanceTeam(book, team.id, setting);
            if (!proposals) continue;
            for (const auto* list : {&proposals->box, &proposals->redressed})
                for (const Proposal& proposal : *list)
                    sheet.row("  " + proposal.words()).add("cost", proposal.cost).add("score", proposal.score);
        }
    isApproved("album-teams", sheet.text());
}

TEST_CASE("what a rib holds of every palmer and body, turn by turn and hand by hand, is the approved one") {
    const Book book = demoBook();
    Sheet sheet;
    for (const Pattern& pattern : book.patterns) {
        const auto rib = findKind(pattern, PartKind::rib);
        if (!rib) continue;
        for (const Winding direction : {Winding::with, Winding::counter})
            for (const double turns : {1.0, 2.0, 3.0, 4.0, 5.0, 7.0, 9.0, 14.0, 25.0}) {
                Book changed = book;
                auto& written = std::get<RibPart>(changed.findPattern(pattern.id)->parts[*rib].detail);
                written.turns = Count{turns, turns, false};
                written.spacing.reset();
                written.direction = direction;
                const auto plan = planPattern(changed, pattern.id);
                if (!plan) continue;
                sheet.row(pattern.id + (direction == Winding::with ? " with" : " counter")).add("turns", turns);
                for (const HeldPart& held : heldParts(*plan))
                    sheet.say(nameOf(held.crossing.hold))
                        .add("times", held.crossing.crossings)
                        .add("a turn", held.crossing.perTurn)
                        .add("angle", held.crossing.angle.inDegrees());
            }
    }
    isApproved("crossings", sheet.text());
}

TEST_CASE("every drift of teams out of the album is the approved one") {
    const Book book = albumInTeams();
    Sheet sheet;
    for (std::size_t i = 0; i < book.teams.size(); i += 5) {
        const auto report = weighTeam(book, book.teams[i].id);
        if (!report) continue;
        const Rig rig = rigOf(report->flies, measuresOf(book.teams[i].leader));
        Handling handling;
        handling.count = static_cast<double>(1 + i % 6) * second;
        handling.retrieve = (0.1 + 0.05 * static_cast<double>(i % 4)) * metrePerSecond;
        handling.lift = 0.35 * metrePerSecond;
        handling.height = 1.2 * metre;
        sheet.row(book.teams[i].id);
        const DriftReport run = runDrift(rig, handling);
        for (std::size_t k = 0; k < run.samples.size(); k += 60) {
            sheet.row("  run").add("s", run.samples[k].time / second);
            for (const Position position : kPositions)
                if (run.samples[k].depth[position]) sheet.add(nameOf(position), *run.samples[k].depth[position] / metre);
        }
        DriftOptions heaped;
        heaped.start = LeaderStart::heap;
        sheet.row("  heaped");
        handling.hold = static_cast<double>(i % 3) * second;
        handling.pull = 0.8 * second;
        handling.pause = 0.4 * second;
        for (const DriftSample& sample : {runDrift(rig, handling, heaped).samples.back()})
            for (const Position position : kPositions)
                if (sample.depth[position]) sheet.add(nameOf(position), *sample.depth[position] / metre);
        const Tow tow = settledTow(rig, 0.2 * metrePerSecond);
        sheet.row("  towed");
        for (const TowedFly& fly : tow.flies)
            sheet.add("depth", fly.depth).add("behind", fly.behind);
    }
    isApproved("album-drifts", sheet.text());
}

TEST_CASE("every cutting plan of feathers and slips made at random is the approved one") {
    Sheet sheet;
    for (unsigned seed = 1; seed <= 24; ++seed) {
        std::mt19937 random(seed);
        const auto real = [&](double low, double high) { return std::uniform_real_distribution<double>(low, high)(random); };
        const auto whole = [&](int low, int high) { return std::uniform_int_distribution<int>(low, high)(random); };
        std::vector<VaneFeather> feathers;
        for (int i = 0, n = whole(1, 6); i < n; ++i) {
            const double vane = real(15.0, 50.0);
            std::vector<Stretch> taken;
            if (i % 2 == 0) taken.push_back({real(0.0, 5.0) * mm, real(6.0, 12.0) * mm});
            feathers.push_back(vaneFeather("f" + std::to_string(i), "quill", i % 2 ? VaneSide::left : VaneSide::right, vane * mm,
                                           {real(10.0, 16.0) * mm, real(16.0, 26.0) * mm, real(6.0, 12.0) * mm}, taken));
        }
        std::vector<SlipWanted> slips;
        for (int i = 0, n = whole(2, 12); i < n; ++i) {
            SlipWanted& slip = slips.emplace_back();
            slip.id = "s" + std::to_string(i);
            slip.material = "quill";
            slip.width = real(1.5, 6.0) * mm;
            slip.barb = real(8.0, 20.0) * mm;
            slip.side = i % 3 == 0 ? SlipSide::left : i % 3 == 1 ? SlipSide::right : SlipSide::any;
        }
        const CuttingPlan plan = planCuts(feathers, slips);
        sheet.row("feathers " + std::to_string(seed)).add("used", plan.feathersUsed()).add("waste", plan.waste).add("bound", plan.bound);
        for (const FeatherCuts& feather : plan.feathers)
            for (const Cut& cut : feather.cuts)
                sheet.row("  " + feather.feather.text() + " " + cut.slip).add("from", cut.from).add("to", cut.to);
        for (const Uncut& uncut : plan.uncut)
            sheet.row("  uncut " + uncut.slip + ": " + uncut.why).add("halves", uncut.halves);

        std::vector<Cape> capes(1);
        capes[0].id = "cape";
        capes[0].material = "hen";
        for (int i = 0; i < 6; ++i) {
            const double low = real(4.0, 14.0);
            capes[0].bands.push_back({low * mm, (low + real(0.5, 1.5)) * mm, whole(0, 4), {}});
        }
        std::vector<HackleWanted> wanted;
        for (int i = 0, n = whole(2, 10); i < n; ++i)
            wanted.push_back({"fly " + std::to_string(i), "hen", real(4.0, 15.0) * mm, real(15.0, 45.0) * mm, real(1.0, 4.0), 5.0 * mm});
        const HacklesChosen chosen = chooseHackles(capes, wanted);
        sheet.row("  hackles").add("error", chosen.totalError);
        for (const HackleServed& served : chosen.served)
            sheet.row("  " + wanted[served.wanted].fly)
                .add("band", static_cast<double>(served.band))
                .add("off", served.error)
                .say(served.does);
        for (const auto& [which, why] : chosen.unserved)
            sheet.row("  " + wanted[which].fly + " " + why);
    }
    isApproved("random-cuts", sheet.text());
}

TEST_CASE("what is said of hands made at random is the approved one") {
    Sheet sheet;
    std::mt19937 random(7);
    for (int flies = 0; flies <= 24; ++flies) {
        std::normal_distribution<double> off(0.04 - 0.004 * flies, 0.02 + 0.004 * flies);
        std::vector<double> before, after;
        for (int i = 0; i < flies; ++i) {
            before.push_back(off(random));
            after.push_back(off(random) + 0.02 * (flies % 5));
        }
        const HandPosterior hand = handOf(before);
        const ControlLimits limits = controlLimits(hand);
        sheet.row(std::to_string(flies) + " flies").add("mean", hand.mean).add("kappa", hand.kappa).add("alpha", hand.alpha);
        sheet.add("beta", hand.beta).add("spread", hand.spread()).add("next", hand.predictive());
        sheet.add("low", limits.low).add("high", limits.high).add("aim", aimFor(12.0 * mm, hand));
        for (const double tolerance : {0.04, 0.08, 0.15})
            sheet.add("dozen", dozenWithin(hand, 12.0 * mm, tolerance, aimFor(12.0 * mm, hand)));
        const HandShift shift = shiftBetween(before, after);
        sheet.add("shift", shift.shift).add("from", shift.low).add("to", shift.high);
    }
    isApproved("random-hands", sheet.text());
}

TEST_CASE("what each handle writes wherever it is dragged is the approved one") {
    const Book album = albumBook();
    Sheet sheet;
    for (const Pattern& pattern : album.patterns) {
        const auto plan = planPattern(album, pattern.id);
        if (!plan) continue;
        sheet.row(pattern.id);
        for (const Handle& handle : handlesOf(*plan)) {
            sheet.row("  " + std::to_string(handle.part) + " " + handle.name);
            for (const double x : {-3.3, -0.9, 0.35, 1.6, 4.1})
                for (const double y : {-1.7, -0.12, 0.0, 0.12, 2.3})
                    for (const Length snap : {0.0 * mm, 0.4 * mm})
                        if (const auto written = dragged(*plan, handle, {handle.at.x + x * mm, handle.at.y + y * mm}, snap))
                            sheet.say(written->key + (written->snapped ? "!" : ":") + written->text + ";");
            for (const int direction : {-1, 1})
                if (const auto next = nextSnap(*plan, handle, direction)) sheet.add("next", next->x).add("y", next->y);
        }
    }
    isApproved("handles", sheet.text());
}

TEST_CASE("what each way of saying a length comes to is the approved one") {
    const Book album = albumBook();
    Sheet sheet;
    for (std::size_t i = 0; i < album.patterns.size(); i += 3) {
        const Pattern& pattern = album.patterns[i];
        for (std::size_t part = 0; part < pattern.parts.size(); ++part)
            for (const Field& field : fieldsOf(pattern.parts[part])) {
                const bool length = field.kind == FieldKind::length, station = field.kind == FieldKind::station;
                if (!length && !station) continue;
                sheet.row(pattern.id + " " + std::to_string(part) + " " + field.key);
                for (const char* said : {"7 mm",
                                         "as long as the shank",
                                         "0.85 × gape",
                                         "half the body",
                                         "1.1 × tail",
                                         "0.9 × wing",
                                         "1.2 × collar",
                                         "twice the bead",
                                         "to the point",
                                         "to the barb",
                                         "to the bend",
                                         "to the back of the bend",
                                         "1 mm past the point",
                                         "0.7 mm short of the bend",
                                         "to the tail's tip",
                                         "half the tail",
                                         "opposite the point",
                                         "at the bend",
                                         "a third of the shank from the eye",
                                         "0.6 mm ahead of the barb",
                                         "2 bars"}) {
                    const auto edit = changeField(album, pattern.id, part, field.key, said);
                    if (!edit) continue;
                    const auto plan = planPattern(edit->after, pattern.id);
                    if (!plan || part >= plan->parts.size()) continue;
                    sheet.row("  " + std::string(said));
                    addPart(sheet, *plan, part);
                }
            }
    }
    isApproved("lengths", sheet.text());
}

TEST_CASE("what is said of a body that is written thinner and thinner is the approved one") {
    const Book album = albumBook();
    Sheet sheet;
    for (const Pattern& pattern : album.patterns) {
        const auto body = findKind(pattern, PartKind::body);
        if (!body) continue;
        for (const char* key : {"rear_mm", "front_mm"})
            for (double thick = 0.4; thick < 1.6; thick += 0.06) {
                const auto edit = changeField(album, pattern.id, *body, key, std::to_string(thick));
                if (!edit) continue;
                const auto plan = planPattern(edit->after, pattern.id);
                if (!plan) continue;
                sheet.row(pattern.id + " " + key).add("mm", thick);
                for (const Warning& warning : plan->warnings)
                    if (warning.part == *body) sheet.say(nameOf(warning.severity)).say(nameOf(warning.concern)).add("over", warning.over);
                addPart(sheet, *plan, *body);
            }
    }
    isApproved("thin-bodies", sheet.text());
}

TEST_CASE("every fly of the album tied a little otherwise is the approved one") {
    const Book album = albumBook();
    Sheet sheet;
    for (const Pattern& pattern : album.patterns) {
        const auto before = planPattern(album, pattern.id);
        if (!before) continue;
        sheet.row(pattern.id);
        for (const FlyChange& change : singleChanges()) {
            const auto after = planRedressed(album, *before, change);
            sheet.row("  " + sayChange(album, *before, change)).add("cost", change.cost());
            if (!after) {
                sheet.say("can't be");
                continue;
            }
            const FlyFigures figures = figuresOf(*after, sinkReport(*after));
            sheet.add("full", figures.full)
                .add("sink", figures.sink / metrePerSecond)
                .add("mass", figures.mass / mg)
                .add("long", figures.length / mm);
        }
    }
    isApproved("redressed", sheet.text());
}
