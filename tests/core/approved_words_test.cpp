// What is said, held to approved sheets (approved.h): of flies that are tied wrong in one thing, of teams on every kind of day,
// of leaders, waters, feathers and seasons. A sentence whose number, place or choice of words is another shows here.
#include <random>

#include "book/edits.h"
#include "book/fields.h"
#include "cutting/cutting.h"
#include "cutting/gauges.h"
#include "cutting/stock.h"
#include "cutting/vane.h"
#include "daybook/boat.h"
#include "daybook/box.h"
#include "daybook/learned.h"
#include "daybook/season.h"
#include "leader/drift.h"
#include "leader/questions.h"
#include "sizing/budget.h"
#include "sizing/head.h"
#include "sizing/mending.h"
#include "team/balance.h"
#include "team/choose.h"
#include "team/place.h"
#include "team/redress.h"
#include "tests/album.h"
#include "tests/core/approved.h"
#include "tests/core/approved_teams.h"
#include "tests/feathers.h"
#include "water/sea.h"
#include "water/shore.h"
#include "water/standins.h"

using namespace machair;
using namespace machair::tests;

namespace {

void sayWarning(Sheet& sheet, const Warning& warning) {
    sheet.row("  " + std::string(nameOf(warning.severity)) + " " + warning.line()).add("over", warning.over).say(warning.unit);
}

// What `after` is told that `before` was not.
void sayNew(Sheet& sheet, const Plan& before, const Plan& after) {
    for (const Warning& warning : after.warnings)
        if (std::ranges::none_of(before.warnings, [&](const Warning& known) { return known.what == warning.what; }))
            sayWarning(sheet, warning);
    for (const Remedy& remedy : after.head.remedies)
        if (std::ranges::none_of(before.head.remedies, [&](const Remedy& known) { return known.words == remedy.words; }))
            sheet.row("  " + remedy.words);
    for (const Fault& fault : after.faults)
        sheet.row("  " + fault.line());
}

void addWanted(Sheet& sheet, std::string_view name, const Wanted& wanted) {
    sheet.add(name, wanted.low).add("to", wanted.high).add("near", wanted.nearWidth).add("weighs", wanted.weight);
}
void addRows(Sheet& sheet, std::string_view name, const RangeRows& rows) {
    for (const RangeRow& row : rows)
        sheet.add(name, row.wave).add("from", row.low).add("to", row.high);
}
void addRules(Sheet& sheet, const SchoolRules& rules) {
    sheet.row("  " + rules.belief);
    addWanted(sheet, "sink step", rules.sinkStep);
    addWanted(sheet, "sink across", rules.sinkAcross);
    addWanted(sheet, "presence", rules.presenceOrder);
    addWanted(sheet, "turnover", rules.turnover);
    addWanted(sheet, "point weight", rules.pointWeight);
    addWanted(sheet, "size step", rules.sizeStep);
    addWanted(sheet, "top size step", rules.topSizeStep);
    addWanted(sheet, "family", rules.family);
    addWanted(sheet, "variety", rules.variety);
    addWanted(sheet, "twice", rules.twice);
    addWanted(sheet, "spacing", rules.spacing);
    addWanted(sheet, "dropper", rules.dropper);
    addWanted(sheet, "style", rules.style);
    addWanted(sheet, "role", rules.role);
    addWanted(sheet, "fullness", rules.fullness);
    addWanted(sheet, "stiff", rules.stiff);
    addWanted(sheet, "hold", rules.hold);
    addWanted(sheet, "anchor", rules.anchor);
    addWanted(sheet, "slim", rules.slim);
    addWanted(sheet, "size", rules.size);
    addWanted(sheet, "season", rules.season);
    sheet.add("point full near", rules.pointFullnessNear).add("daybook", rules.daybookWeight).add("scale", rules.fullnessScale);
    addRows(sheet, "stiff", rules.stiffShare);
    addRows(sheet, "hold", rules.holdLeast);
    addRows(sheet, "anchor sinks", rules.anchorSink);
    addRows(sheet, "anchor weighs", rules.anchorWeight);
    sheet.add("near", rules.anchorSinkNear).add("most", rules.anchorSinkMostNear).add("weight near", rules.anchorWeightNear);
    for (const RangeRows& rows : rules.full)
        addRows(sheet, "full", rows);
    for (const RangeRows& rows : rules.sizes)
        addRows(sheet, "size", rows);
    for (const auto& style : rules.styles)
        for (const Suits& suits : style)
            sheet.add("calm", suits.calm).add("wave", suits.wave);
    sheet.add("out under", rules.keptOutUnder).add("usual", rules.usualWave);
    for (const double wave : rules.usualWaves)
        sheet.add("wave", wave);
    for (const double best : rules.wanting)
        sheet.add("best", best);
}

// A day of its own for each number, so that every light, water, month and wave turns up.
TeamSetting settingNumber(const Book& book, std::size_t n) {
    constexpr std::array kWaves = {0.0, 0.02, 0.05, 0.10, 0.17, 0.35};
    TeamSetting setting;
    if (n % 7 != 6) setting.day.wave = kWaves[n % kWaves.size()] * metre;
    if (n % 3 != 2) setting.day.light = Names<Light>::entries[n % Names<Light>::entries.size()].value;
    if (n % 4 != 3) setting.day.colour = Names<WaterColour>::entries[n % Names<WaterColour>::entries.size()].value;
    setting.day.season = seasonOf(book, static_cast<int>(n % 12) + 1);
    setting.celsius = 4.0 + static_cast<double>(n % 9);
    return setting;
}

}  // namespace

TEST_CASE("what is said of a dressing with one number written far off is the approved one") {
    const Book album = albumBook();
    Sheet sheet;
    std::size_t told = 0;
    for (const Pattern& pattern : album.patterns) {
        const auto before = planWhatCan(album, pattern.id);
        if (!before) continue;
        for (std::size_t part = 0; part < pattern.parts.size(); ++part)
            for (const Field& field : fieldsOf(pattern.parts[part])) {
                std::vector<std::string> others;
                if (field.kind == FieldKind::count || field.kind == FieldKind::number) others = {"1", "2", "6", "11", "30"};
                if (field.kind == FieldKind::length) others = {"0.5 mm", "3 mm", "30 mm", "0.3 × gape", "2.8 × shank"};
                if (field.kind == FieldKind::station)
                    others = {"at the bend", "0.3 mm ahead of the bend", "a sixth of the shank from the eye"};
                if (field.kind == FieldKind::choice) others = field.choices;
                for (const std::string& other : others) {
                    const auto edit = changeField(album, pattern.id, part, field.key, other);
                    if (!edit) continue;
                    const auto after = planWhatCan(edit->after, pattern.id);
                    if (!after) continue;
                    Sheet news;
                    sayNew(news, *before, *after);
                    if (news.text().size() <= 1) continue;
                    constexpr std::size_t kMended = 6;  // of so many one: to look for mends takes some 10 ms
                    if (++told % kMended == 0)
                        for (const Warning& warning : after->warnings)
                            for (const Mend& mend : mendsOf(edit->after, *after, warning, 3))
                                news.row("  " + mend.words(warning)).add("cost", mend.cost).add("buys", mend.buys);
                    sheet.row(pattern.id + " " + std::to_string(part) + " " + field.key + " " + other)
                        .say(sayMargin(*after))
                        .say(news.text());
                }
            }
    }
    isApproved("said-far-off", sheet.text());
}

TEST_CASE("what is said of a part made of something else is the approved one") {
    const Book album = albumBook();
    Sheet sheet;
    std::size_t n = 0;
    for (const Pattern& pattern : album.patterns) {
        const auto before = planWhatCan(album, pattern.id);
        if (!before) continue;
        for (std::size_t part = 0; part < pattern.parts.size(); ++part)
            for (const Material& material : album.materials) {
                if (!canBeMadeOf(pattern.parts[part].kind, material.kind) || ++n % 4 != 0) continue;
                const auto edit = changeMaterial(album, pattern.id, part, material.id);
                const auto after = edit ? planWhatCan(edit->after, pattern.id) : Result<Plan>(tl::unexpected(edit.error()));
                if (!after) continue;
                sheet.row(pattern.id + " " + std::to_string(part) + " of " + material.id).say(after->parts[part].words);
                sayNew(sheet, *before, *after);
            }
    }
    isApproved("said-made-of", sheet.text());
}

TEST_CASE("what the sizes, the room and the sinking of the album follow from is said as approved") {
    const Book album = albumBook();
    Sheet sheet;
    for (const Pattern& pattern : album.patterns)
        for (const int size : {7, 15}) {
            const auto plan = planOnSize(album, pattern.id, size);
            if (!plan) continue;
            sheet.row(pattern.id + " " + std::to_string(size) + " " + sayMargin(*plan));
            for (const PartPlan& part : plan->parts) {
                sheet.row("  " + part.words);
                for (const std::string& driver : part.drivers)
                    sheet.say("|").say(driver);
            }
            for (const BudgetSpan& span : shankBudget(*plan))
                sheet.row("  " + std::string(span.what)).add("from", span.from).add("to", span.to);
            sheet.row("  driven by");
            for (const std::string& driver : sinkReport(*plan).drivers)
                sheet.say(driver + ",");
            sheet.row("  profile");
            const std::vector<ProfileRow> profile = plan->profile();
            for (std::size_t i = 0; i < profile.size(); i += 3)
                sheet.add("at", profile[i].station).add("under", profile[i].under).add("thick", profile[i].diameter);
        }
    isApproved("said-album", sheet.text());
}

TEST_CASE("what each school wants is the approved one, number by number") {
    Sheet sheet;
    for (const School school : kSchoolsOfTeams) {
        sheet.row(std::string(nameOf(school)));
        addRules(sheet, rulesOf(school));
    }
    for (TeamSchool own : demoBook().teamSchools) {
        sheet.row(own.id);
        addRules(sheet, rulesOf(own));
    }
    for (const School school : kSchoolsOfTeams)
        for (const double wave : {0.0, 0.01, 0.03, 0.07, 0.13, 0.25}) {
            std::ostringstream name;
            name << nameOf(school) << " in " << wave;
            sheet.row(name.str());
            for (const Suits suits : {Suits{0.2, 0.9}, Suits{0.8, 0.1}})
                sheet.add("suits", suits.at(wave));
            for (const auto& light : Names<Light>::entries)
                for (const auto& colour : Names<WaterColour>::entries) {
                    TeamDay day;
                    day.light = light.value;
                    day.colour = colour.value;
                    sheet.add("scale", fullnessScale(rulesOf(school), day));
                }
        }
    isApproved("schools-of-teams", sheet.text());
}

TEST_CASE("what is said of teams out of the album on every kind of day is the approved one") {
    Book book = albumInTeams();
    book.season = demoBook().season;
    RuleCard card = demoBook().ruleCards.front();
    Sheet sheet;
    for (std::size_t n = 0; n < book.teams.size(); ++n) {
        TeamSetting setting = settingNumber(book, n);
        if (n % 5 == 0) setting.card = &card;
        setting.contest.kept = static_cast<int>(n % 4);
        const auto report = weighTeam(book, book.teams[n].id, setting);
        if (!report) continue;
        sheet.row(book.teams[n].id + " " + sayVerdict(*report) + " " + saySuits(*report));
        for (const TeamCheck& check : report->checks)
            sheet.row("  " + std::string(nameOf(check.verdict)) + " " + check.words + (check.mend.empty() ? "" : "; " + check.mend));
        for (const TeamFly& fly : report->flies) {
            const PlaceWants wants = wantsOf(report->rules, fly.position, report->wave, setting.day);
            for (const std::string& reason : reasonsOf(fitIn(fly.figures, wants), fly.figures, wants))
                sheet.row("  because " + reason);
            if (const auto dress = dressItSo(fly.plan, wants))
                sheet.row("  dress it with " + dress->words).add("turns", dress->turns).add("left", dress->left);
        }
    }
    isApproved("said-teams", sheet.text());
}

TEST_CASE("what is said of each style in each place is the approved one") {
    Sheet sheet;
    for (const auto& style : Names<FlyStyle>::entries)
        for (const Position position : kPositions)
            for (const double amount : {0.05, 0.35, 0.9}) {
                const FlyFigures fly = figuresFor(style.value, amount);
                const SchoolRules rules = rulesOf(
                    kSchoolsOfTeams[(static_cast<std::size_t>(style.value) + static_cast<std::size_t>(position)) % kSchoolsOfTeams.size()]);
                const PlaceWants wants = wantsOf(rules, position, 0.3 * amount, {});
                std::ostringstream name;
                name << style.name << " " << nameOf(position) << " " << amount;
                sheet.row(name.str()).say(sayFull(fly.full));
                for (const PlaceTerm& term : checksOf(fly, wants))
                    sheet.row("  " + sayCheck(term, fly, wants) + "; " + mendOf(term, fly, wants));
                for (const PlaceTerm& term : fitIn(fly, wants, {0.4, -0.5}))
                    sheet.row("  " + sayTerm(term, fly, wants));
            }
    isApproved("said-places", sheet.text());
}

TEST_CASE("what is chosen, left out and proposed of the album's box is said as approved") {
    Book book = albumInTeams();
    book.season = demoBook().season;
    for (const Pattern& pattern : book.patterns) {
        BoxFly& fly = book.box.emplace_back();
        fly.id = BoxFlyId("box-" + pattern.id);
        fly.pattern = pattern.id;
        fly.hook = pattern.hook;
        fly.tied = 1 + static_cast<int>(book.box.size() % 3);
    }
    RuleCard card = demoBook().ruleCards.front();
    Sheet sheet;
    for (std::size_t n = 0; n < 6; ++n) {
        TeamSetting setting = settingNumber(book, 5 * n + 1);
        if (n % 2 == 0) setting.card = &card;
        const auto box = candidatesOf(book, setting);
        REQUIRE(box);
        const SchoolRules rules = rulesOf(kSchoolsOfTeams[n % kSchoolsOfTeams.size()]);
        const ChoiceReport report = chooseTeams(*box, rules, setting);
        sheet.row("day " + std::to_string(n)).add("looked at", static_cast<double>(report.examined));
        for (const Choice& choice : report.teams) {
            sheet.row("  team").say(nameOf(choice.verdict)).add("score", choice.score).add("to tie", choice.toTie);
            for (const std::string& reason : choice.reasons)
                sheet.row("    " + reason);
            for (const TeamCheck& check : choice.checks)
                if (check.verdict != Verdict::pass) sheet.row("    " + check.words + "; " + check.mend);
            for (const auto& others : choice.couldBe)
                for (const std::size_t other : others)
                    sheet.say((*box)[other].title + ",");
        }
        for (const LeftOut& out : report.leftOut)
            sheet.row("  left out " + (*box)[out.fly].title + ": " + out.why);
        for (std::size_t fly = 0; fly < box->size(); fly += 3) {
            const WhyNot why = whyNot(*box, fly, n % 2 ? std::optional(kTrio[fly % kTrio.size()]) : std::nullopt, rules, setting);
            sheet.row("  why not " + (*box)[fly].title + ": " + why.keptOut);
            for (const std::string& difference : why.differences)
                sheet.row("    " + difference);
        }
        ByPosition<std::optional<std::size_t>> beside;
        beside[Position::bob] = n;
        beside[Position::point] = 2 * n + 3;
        for (const Placed& placed : rankPlace(*box, Position::middle, rules, setting, beside)) {
            sheet.row("  middle " + (*box)[placed.fly].title + " " + placed.keptOut).add("score", placed.score());
            for (const std::string& reason : placed.reasons)
                sheet.say(reason + ";");
        }
        for (const ComesOff& off : underTheCard(book, book.teams[4 * n].id, setting, *box))
            sheet.row("  " + off.words + " " + off.why);
        const auto balanced = balanceTeam(book, book.teams[3 * n + 2].id, setting);
        if (!balanced) continue;
        for (const auto* list : {&balanced->box, &balanced->redressed})
            for (const Proposal& proposal : *list) {
                sheet.row("  " + proposal.words()).add("cost", proposal.cost).add("score", proposal.score);
                for (const std::string& title : proposal.insteadTitles)
                    sheet.say("or " + title);
                for (const std::string& touched : touchedBy(book, book.teams[3 * n + 2].id, proposal))
                    sheet.say("touches " + touched);
            }
        for (const std::string& conflict : balanced->conflicts)
            sheet.row("  " + conflict);
        if (balanced->instead) sheet.row("  instead " + balanced->instead->words());
    }
    isApproved("said-choices", sheet.text());
}

TEST_CASE("what is answered of leaders out of the album is the approved one") {
    const Book book = albumInTeams();
    Sheet sheet;
    for (std::size_t i = 0; i < book.teams.size(); i += 6) {
        const auto report = weighTeam(book, book.teams[i].id);
        if (!report) continue;
        const Rig rig = rigOf(report->flies, measuresOf(book.teams[i].leader));
        Handling handling;
        handling.count = static_cast<double>(2 + i % 5) * second;
        handling.retrieve = (0.15 + 0.05 * static_cast<double>(i % 3)) * metrePerSecond;
        handling.retrieveFor = 6.0 * second;
        handling.drift = 0.1 * static_cast<double>(i % 4) * metrePerSecond;
        handling.lift = 0.3 * metrePerSecond;
        handling.height = 1.2 * metre;
        handling.hold = 3.0 * second;
        DriftOptions options;
        options.link = kDraggingLink;
        options.step = kDraggingStep;
        options.bottom = (0.3 + 0.2 * static_cast<double>(i % 5)) * metre;
        sheet.row(book.teams[i].id);
        for (const std::string& warning : runDrift(rig, handling, options).warnings)
            sheet.row("  " + warning);
        for (const Position position : knotsOf(rig))
            for (const Length depth : {0.15 * metre, 0.8 * metre, 4.0 * metre}) {
                if (std::ranges::none_of(rig.flies, [&](const RiggedFly& fly) { return fly.position == position; })) continue;
                const Answer count = countFor(rig, position, depth), draw = retrieveFor(rig, handling, position, depth);
                sheet.row("  " + count.words).add("is", count.value).row("  " + draw.words).add("is", draw.value);
            }
        const Answer touch = touchFor(rig, handling);
        sheet.row("  " + touch.words).add("is", touch.value);
        if (i % 12 != 0) continue;
        const HeldBob held = holdingFor(rig, handling, 4.0 * second);
        sheet.row("  " + held.answer.words).add("is", held.answer.value).add("at break", held.atBreak).add("at end", held.atEnd);
    }
    isApproved("said-leaders", sheet.text());
}

TEST_CASE("what is said of winds, shores and stand-ins is the approved one") {
    Sheet sheet;
    for (int force = 0; force <= 12; ++force) {
        const Sea sea = seaUnder({windOfForce(force), 900.0 * metre, force % 2 == 0});
        sheet.row(std::string(windWords(force)))
            .add("m_s", windOfForce(force) / metrePerSecond)
            .add("mm", sea.height)
            .say(nameOf(sea.kind));
        for (const std::string& caution : sea.cautions)
            sheet.row("  " + caution);
    }
    const std::vector<std::vector<std::array<double, 2>>> outlines = {
        {{0, 0}, {400, 0}, {400, 300}, {0, 300}},                                        // a box
        {{0, 0}, {400, 300}, {400, 0}, {0, 300}},                                        // crossed
        {{0, 0}, {100, 400}, {200, 50}, {300, 420}, {420, -30}},                         // bays
        {{0, 0}, {300, 0}, {300, 200}, {100, 200}, {100, 100}, {200, 100}, {200, -50}},  // crossed late
        {{0, 0}, {10, 10}},
        {{0, 0}, {200, 0}, {200, 0}, {200, 200}, {0, 0}, {0, 200}}};  // corners on each other
    for (const auto& corners : outlines) {
        std::vector<MapPoint> outline;
        for (const auto& [east, north] : corners)
            outline.push_back({east * metre, north * metre});
        sheet.row("outline of " + std::to_string(outline.size()));
        for (const Fault& fault : checkOutline(outline, Place("waters").at(0)))
            sheet.row("  " + fault.line());
        for (const MapPoint& at : {MapPoint{60.0 * metre, 40.0 * metre}, MapPoint{390.0 * metre, 10.0 * metre}}) {
            sheet.row("  at").say(onWater(outline, at) ? "water" : "land");
            for (double from = 0.0; from < 360.0; from += 37.0)
                sheet.add("fetch", fetchAt(outline, at, from) / metre);
        }
    }
    const Book book = demoBook();
    const auto add = [&](const std::string& what, const Result<std::vector<StandIn>>& standIns) {
        if (!standIns) return;
        sheet.row(what);
        for (const StandIn& standIn : *standIns) {
            sheet.row("  " + standIn.title).add("strange", standIn.strangeness).say(standIn.mind);
            for (const StandInChange& change : standIn.changes)
                sheet.say("|").say(change.words()).say(change.ruleOfThumb ? "(rule)" : "");
        }
    };
    for (std::size_t i = 0; i < book.materials.size(); i += 2)
        add("for " + book.materials[i].id, standInsFor(book, book.materials[i].id));
    for (std::size_t i = 0; i < book.patterns.size(); i += 4)
        for (std::size_t part = 0; part < book.patterns[i].parts.size(); ++part)
            if (const auto& made = book.patterns[i].parts[part].material)
                add(book.patterns[i].id + " " + std::to_string(part), standInsFor(book, *made, UsedIn{book.patterns[i].id, part}));
    isApproved("said-waters", sheet.text());
}

TEST_CASE("what a graded feather is good for, and what is left of it, is said as approved") {
    Sheet sheet;
    for (const std::optional<FeatherShade> shade : {std::optional<FeatherShade>(), std::optional(FeatherShade::dark),
                                                    std::optional(FeatherShade::middling), std::optional(FeatherShade::light)})
        for (const bool paired : {false, true})
            for (const double spoiled : {0.0, 4.0, 9.0}) {
                VaneFeather feather = vaneFeather("f", "quill", VaneSide::left, 30.0 * mm, {12.0 * mm, 20.0 * mm, 8.0 * mm});
                feather.shade = shade;
                if (paired) feather.match = "one";
                if (spoiled > 0.0) feather.spoiled = {{2.0 * mm, (2.0 + spoiled) * mm}, {16.0 * mm, (16.0 + spoiled) * mm}};
                feather.taken = {{8.0 * mm, 14.0 * mm}};
                sheet.row(goodFor(feather)).add("free", freeVane(feather));
                for (const Stretch& stretch : freeStretches(feather))
                    sheet.add("from", stretch[0]).add("to", stretch[1]);
                for (const Length barb : {9.0 * mm, 13.0 * mm, 19.0 * mm, 21.0 * mm})
                    for (const Stretch& stretch : usable(feather, barb))
                        sheet.add("use", stretch[0]).add("to", stretch[1]);
                VaneFeather other = feather;
                other.shade = FeatherShade::dark;
                sheet.say(makeAPair(feather, other) ? "pair" : "no pair");
            }
    isApproved("said-feathers", sheet.text());
}

TEST_CASE("what seasons made at random come to, and what is said of them, is the approved one") {
    Sheet sheet;
    for (unsigned seed = 1; seed <= 6; ++seed) {
        std::mt19937 random(seed);
        const auto whole = [&](int low, int high) { return std::uniform_int_distribution<int>(low, high)(random); };
        const auto real = [&](double low, double high) { return std::uniform_real_distribution<double>(low, high)(random); };
        Book book = demoBook();
        const std::size_t flies = book.patterns.size();
        const auto fly = [&] { return book.patterns[static_cast<std::size_t>(whole(0, static_cast<int>(flies) / 3))].id; };
        book.days.clear();
        for (int n = 0; n < 24; ++n) {
            Day& day = book.days.emplace_back();
            day.date =
                "202" + std::to_string(n % 3) + (n % 12 < 9 ? "-0" : "-") + std::to_string(n % 12 + 1) + "-" + std::to_string(10 + n % 18);
            day.id = DayId(day.date);
            if (whole(0, 2) > 0) day.wind = real(0.4, 9.0) * metrePerSecond;
            if (whole(0, 2) > 0) day.wave = real(0.0, 0.4) * metre;
            if (whole(0, 2) > 0) day.drift = real(0.05, 0.4) * metrePerSecond;
            if (whole(0, 1) > 0) day.drogue = whole(0, 1) > 0;
            if (whole(0, 1) > 0)
                day.light =
                    Names<Light>::entries[static_cast<std::size_t>(whole(0, static_cast<int>(Names<Light>::entries.size()) - 1))].value;
            day.rods = whole(1, 3);
            for (int o = 0, most = whole(0, 2); o < most; ++o) {
                Outing& outing = day.outings.emplace_back();
                outing.hours = real(0.5, 5.0);
                for (const Position position : kTrio)
                    if (whole(0, 4) > 0) outing.flies[position] = fly();
                for (const Position position : kTrio)
                    for (int f = 0, caught = whole(0, 3); outing.flies[position] && f < caught; ++f) {
                        Fish& fish = day.fish.emplace_back();
                        fish.pattern = outing.flies[position]->pattern;
                        fish.position = position;
                        fish.kept = whole(0, 3) == 0;
                        fish.lost = !fish.kept && whole(0, 3) == 0;
                    }
            }
        }
        for (BoxFly& boxFly : book.box) {
            boxFly.tied = whole(0, 6);
            boxFly.chewed = whole(0, *boxFly.tied);
        }
        sheet.row("book " + std::to_string(seed) + " " + learnedDrift(book).words());
        for (const auto& factor : Names<Factor>::entries)
            for (const Rate& rate : ratesBy(book, factor.value))
                sheet.row("  " + rate.name)
                    .add("fish", rate.fish)
                    .add("hours", rate.hours)
                    .add("low", rate.low)
                    .add("high", rate.high)
                    .add("φ", rate.spread);
        for (const std::string& year : seasonsOf(book)) {
            const SeasonReport season = seasonReport(book, year);
            sheet.row("  " + year).add("kept", season.kept()).add("lost", season.lost()).add("hours", season.hours());
            for (const int fish : season.fishByMonth)
                sheet.add("fish", fish);
        }
        for (int month = 1; month <= 12; month += 2) {
            sheet.row("  " + std::to_string(month) + " " + sayAnswers(book, month));
            for (const TieNext& next : tieNext(book, month))
                sheet.row("  " + next.title + ": " + next.why).add("want", next.want).add("sound", next.sound).add("waits", next.waiting);
        }
        for (const CurveShift& shift : curveShifts(book))
            sheet.row("  " + shift.words());
        for (const TeamSpec& team : book.teams)
            sheet.row("  " + swapAdvice(book, team.id, settingNumber(book, seed)).words);
        for (std::size_t i = 0; i < 3; ++i) {
            const FlyComparison pair = compareFlies(book, book.patterns[i].id, book.patterns[i + 1].id);
            sheet.row("  compared")
                .add("better", pair.better)
                .add("days", static_cast<double>(pair.days))
                .say(pair.within ? "within" : "over all")
                .say(pair.told() ? "told" : "not told");
            for (const Rate& rate : {pair.one, pair.two})
                sheet.add("a", rate.a).add("b", rate.b).add("low", rate.low).add("high", rate.high);
        }
        Book two = book;  // nothing else was fished
        for (Day& day : two.days) {
            for (Outing& outing : day.outings)
                for (const Position position : kTrio)
                    if (outing.flies[position]) outing.flies[position] = book.patterns[position == Position::bob ? 0 : 1].id;
            for (Fish& fish : day.fish)
                fish.pattern = book.patterns[fish.position == Position::bob ? 0 : 1].id;
        }
        const FlyComparison alone = compareFlies(two, book.patterns[0].id, book.patterns[1].id);
        sheet.row("  alone")
            .add("a", alone.one.a)
            .add("b", alone.one.b)
            .add("a", alone.two.a)
            .add("b", alone.two.b)
            .add("better", alone.better);
        const Learned learned(book);
        for (const Position position : kTrio)
            for (std::size_t i = 0; i < 4; ++i)
                sheet.row("  " + learned.ratio(Fly(book.patterns[i].id), position).words());
    }
    isApproved("random-seasons", sheet.text());
}

TEST_CASE("the changes that a fly may be tied with, and what tying writes into the book, are said as approved") {
    const Book book = demoBook();
    Sheet sheet;
    const auto before = planPattern(book, book.patterns.front().id);
    REQUIRE(before);
    for (const int most : {3, 5, 8}) {
        const std::vector<FlyChange> pairs = pairedChanges(most);
        sheet.row("pairs of at most " + std::to_string(most)).add("many", static_cast<double>(pairs.size()));
        for (std::size_t i = 0; i < pairs.size(); i += 5)
            sheet.row("  " + sayChange(book, *before, pairs[i])).add("cost", pairs[i].cost());
    }
    for (std::size_t i = 0; i < book.patterns.size(); ++i) {
        std::vector<TiedFlies> tied = {{book.patterns[i].id, 2, {}}};
        if (i < book.batches.size()) tied.push_back({book.batches[i].pattern, 1, book.batches[i].id});
        const auto edit = recordTied(book, tied, {}, {});
        sheet.row(edit ? edit->words : edit.error().front().line());
    }
    isApproved("said-tied", sheet.text());
}
