// Every record of a book and every key of it, over the descriptions themselves: made, changed, copied, named, taken out.
#include "book/records.h"

#include <catch2/catch.hpp>
#include <map>
#include <set>

#include "book/describe.h"
#include "book/kinds.h"
#include "book/lists.h"
#include "book/part_material.h"
#include "book/record_edits.h"
#include "book/sharing.h"
#include "sizing/plan.h"
#include "store/bench_file.h"
#include "store/disk.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;

namespace {

// The demo with at least one record of every list.
Book fullBook() {
    Book book = demoBook();
    for (const auto& [list, about] :
         {std::pair("team_schools", ""), {"cut_lists", ""}, {"mishaps", "wing"}, {"stock", ""}, {"checks", ""}, {"feathers", ""}})
        if (idsIn(book, list).empty()) book = addRecord(book, list, about)->edit.after;
    return book;
}

// Something else to choose; nothing where the field is typed.
std::optional<std::string> another(const Book& book, const Field& field) {
    switch (field.kind) {
        case FieldKind::choice:
            for (const std::string& choice : field.choices)
                if (choice != field.text) return choice;
            return std::nullopt;
        case FieldKind::record:
        case FieldKind::records:
            for (const std::string& id : idsIn(book, field.refersTo))
                if (id != field.text) return id;
            return std::nullopt;
        case FieldKind::fly: return book.patterns.back().id == field.text ? book.patterns.front().id : book.patterns.back().id;
        default: return std::nullopt;
    }
}
const std::vector<std::string> kTried = {"7",  "6",       "0.5",    "2",      "1",        "0.2", "14:05", "2026-05-03", "#123456",
                                         "13", "5, 6, 7", "0 to 3", "palmer", "standard", "12",  "45",    "in words"};

}  // namespace

TEST_CASE("every list of a book has a name for people, and every record of it a title") {
    const Book book = fullBook();
    std::set<std::string_view> named;
    for (const ListName& name : listNames())
        named.insert(name.list);
    eachList([&](const char* list, auto) {
        INFO(list);
        CHECK(named.contains(list));
        const auto ids = idsIn(book, list);
        REQUIRE_FALSE(ids.empty());
        for (const std::string& id : ids) {
            CHECK(isIn(book, {list, id}));
            CHECK_FALSE(titleOf(book, RecordId{list, id}).empty());
        }
    });
    CHECK(titleOf(book, RecordId{"hooks", "no-such"}) == "no-such");
    CHECK(titleOf(book, RecordId{"days", "2026-09-27"}).find("2026-09-27") == 0);
}

TEST_CASE("every field of every record is changed to something else and back, and the book is the same again") {
    const Book book = fullBook();
    std::map<std::string, int> changed, refused;
    eachList([&](const char* list, auto) {
        const RecordId record{list, idsIn(book, list).front()};
        const auto fields = fieldsAt(book, record).value();
        for (const Field& field : fields) {
            INFO(list << "." << field.key << " = " << field.text);
            std::optional<Edit> edit;
            std::vector<std::string> tries = kTried;
            if (const auto other = another(book, field)) tries.insert(tries.begin(), *other);
            for (const std::string& id : idsIn(book, field.refersTo))
                tries.push_back(id);
            if (field.optional) tries.emplace_back();
            for (const std::string& text : tries) {
                if (text == field.text) continue;
                auto made = changeRecord(book, record, field.key, text);
                if (!made) continue;
                edit = *made;
                break;
            }
            if (!edit) {
                ++refused[list];
                continue;
            }
            ++changed[list];
            CHECK(edit->after != book);
            CHECK_FALSE(edit->words.empty());
            const auto back = changeRecord(edit->after, record, field.key, field.text);
            if (!back)
                FAIL_CHECK(back.error().front().line());
            else if (list != std::string("materials"))
                CHECK(back->after == book);  // a material forgets that it was measured
        }
    });
    for (const auto& [list, count] : refused) {
        INFO(list << ": " << count << " fields that nothing tried would change");
        CHECK(count == 0);
    }
    CHECK(changed.size() == listNames().size() - 1);  // what went wrong has a count by kind and nothing else
}

TEST_CASE("rows are added to every table of every record, changed and taken out again") {
    const Book book = fullBook();
    std::set<std::string> tables;
    eachList([&](const char* list, auto) {
        const RecordId record{list, idsIn(book, list).front()};
        const auto own = tablesOf(book, record);
        for (const RecordTable& table : own) {
            INFO(list << "." << table.key);
            tables.insert(table.key);
            const auto added = addRow(book, record, table.key);
            if (!added) FAIL(added.error().front().line());
            const RowId row{table.key, table.rows.size()};
            const auto fields = fieldsAt(added->after, record, row);
            REQUIRE(fields);
            CHECK_FALSE(fields->empty());
            CHECK_FALSE(fieldsAt(book, record, row));
            const auto gone = removeRow(added->after, record, row);
            REQUIRE(gone);
            CHECK(gone->after == book);
        }
    });
    for (const char* wanted : {"outings", "fish", "bands", "slips", "readings", "wanted", "ranges", "styles"}) {
        INFO(wanted);
        CHECK(tables.contains(wanted));
    }
    const Book blend = changeRecord(book, {"materials", "fur-olive"}, "texture", "hare")->after;
    CHECK(addRow(blend, {"materials", "fur-olive"}, "blend"));
    CHECK_FALSE(addRow(book, {"days", "2026-09-27"}, "no such table"));
}

TEST_CASE("a fish logged wrongly is corrected: its fly, its place, its hour: and nonsense is refused where it stands") {
    const Book book = demoBook();
    const RecordId day{"days", book.days.front().id};
    REQUIRE_FALSE(book.days.front().fish.empty());
    const RowId fish{"fish", 0};
    Book after = changeRow(book, day, fish, "time", "14:05")->after;
    after = changeRow(after, day, fish, "pattern", "rush-piper")->after;
    after = changeRow(after, day, fish, "position", "point")->after;
    CHECK(after.days.front().fish[0].time == std::string("14:05"));
    CHECK(after.days.front().fish[0].pattern == "rush-piper");
    CHECK(after.days.front().fish[0].position == Position::point);
    const auto wrong = changeRow(book, day, fish, "time", "25:61");
    REQUIRE_FALSE(wrong);
    CHECK(wrong.error().front().place.text() == "days[0].fish[0].time");
    CHECK_FALSE(changeRow(book, day, {"fish", 999}, "time", "14:05"));
    CHECK_FALSE(changeRow(book, {"days", "nobody"}, fish, "time", "14:05"));
}

TEST_CASE("new records of every list are made about something and come out sound") {
    const Book book = demoBook();
    for (const ListName& name : listNames()) {
        INFO(name.list);
        const char* about = name.list == "days" ? "2027-01-02" : name.list == "mishaps" ? "wing" : name.list == "materials" ? "tinsel" : "";
        const auto made = addRecord(book, name.list, about);
        if (!made) FAIL(made.error().front().line());
        CHECK(isIn(made->edit.after, {std::string(name.list), made->id}));
        CHECK(check(made->edit.after).empty());
        const auto out = removeRecord(made->edit.after, {std::string(name.list), made->id});
        if (!out)
            FAIL_CHECK(out.error().front().line());
        else
            CHECK(out->after == book);
    }
    const Book empty;
    CHECK_FALSE(addRecord(empty, "feathers"));
    CHECK_FALSE(addRecord(empty, "teams"));
    CHECK_FALSE(addRecord(book, "no such list"));
    CHECK_FALSE(addRecord(book, "days", "the day after"));
}

TEST_CASE("what needs a record keeps it in the book and is named: what is nothing without it goes along") {
    const Book book = demoBook();
    const auto hook = removeRecord(book, {"hooks", "wet-10"});
    REQUIRE_FALSE(hook);
    CHECK(hook.error().front().what.find("Kelp Lantern") != std::string::npos);
    const auto holders = heldBy(book, {"hooks", "wet-10"});
    CHECK(std::ranges::any_of(holders, [](const Holder& h) { return h.title == "Kelp Lantern" && h.record.list == "patterns"; }));
    // A material that nothing is tied from takes its stock and feathers with it.
    Book more = addRecord(book, "materials", "flank")->edit.after;
    const std::string flank = more.materials.back().id;
    more = addRecord(more, "feathers", flank)->edit.after;
    more = addRecord(more, "stock", flank)->edit.after;
    CHECK(removeRecord(more, {"materials", flank})->after == book);
    // A card leaves its water without one; past days keep telling of a water that is gone.
    const std::string card = book.ruleCards.front().id;
    const auto without = removeRecord(book, {"rule_cards", card});
    REQUIRE(without);
    CHECK(std::ranges::none_of(without->after.waters, [&](const WaterSpec& w) { return w.rules == card; }));
    CHECK(removeRecord(book, {"waters", book.waters.front().id}));
    CHECK_FALSE(removeRecord(book, {"waters", "nowhere"}));
}

TEST_CASE("a team is copied, named and taken out: a name may be in any script and is not nothing") {
    const Book book = demoBook();
    const std::string team = book.teams.front().id;
    const auto copy = copyRecord(book, {"teams", team}).value();
    CHECK(copy.edit.after.teams.back().flies == book.teams.front().flies);
    CHECK(copy.edit.after.teams.back().id != team);
    const auto named = renameRecord(copy.edit.after, {"teams", copy.id}, "  Μικρή θάλασσα  ").value();
    CHECK(named.after.teams.back().title() == "Μικρή θάλασσα");
    CHECK_FALSE(renameRecord(book, {"teams", team}, "   "));
    CHECK_FALSE(renameRecord(book, {"days", book.days.front().id}, "a day"));
    CHECK(removeRecord(named.after, {"teams", copy.id})->after == book);
    CHECK_FALSE(copyRecord(book, {"days", book.days.front().id}));
}

TEST_CASE("several are changed at once, or none of them") {
    const Book book = demoBook();
    const std::vector<RecordId> two = {{"materials", "fur-olive"}, {"materials", "fur-claret"}};
    const auto edit = changeRecords(book, two, "texture", "hare").value();
    for (const RecordId& record : two)
        CHECK(std::get<DubbingTraits>(edit.after.findMaterial(MaterialId(record.id))->traits).texture == DubbingTexture::hare);
    CHECK_FALSE(changeRecords(book, {two[0], {"materials", "wet-10"}}, "texture", "hare"));
    CHECK_FALSE(changeRecords(book, two, "texture", "velvet"));
}

TEST_CASE("a part is made of another kind: the method follows and what no longer fits is said") {
    const Book book = demoBook();
    const Pattern* lantern = book.findPattern("kelp-lantern");
    const auto body = static_cast<std::size_t>(std::ranges::find(lantern->parts, PartKind::body, &Part::kind) - lantern->parts.begin());
    Book noodle = changeField(book, "kelp-lantern", body, "method", "noodle")->after;
    const auto tinsel = std::ranges::find(book.materials, MaterialKind::tinsel, &Material::kind)->id;
    const auto edit = changeMaterial(noodle, "kelp-lantern", body, tinsel).value();
    CHECK_FALSE(std::get<BodyPart>(edit.after.findPattern("kelp-lantern")->parts[body].detail).method);
    CHECK(edit.words.find("method noodle") != std::string::npos);
    CHECK(planPattern(edit.after, "kelp-lantern"));
    const auto palmer = static_cast<std::size_t>(std::ranges::find(lantern->parts, PartKind::palmer, &Part::kind) - lantern->parts.begin());
    CHECK_FALSE(planPattern(changeMaterial(book, "kelp-lantern", palmer, tinsel)->after, "kelp-lantern"));  // a palmer is a hackle
}

TEST_CASE("whatever a part can be made of, it is planned from it") {
    Book book = demoBook();
    for (const auto& entry : Names<MaterialKind>::entries)
        if (std::ranges::find(book.materials, entry.value, &Material::kind) == book.materials.end())
            book = addMaterial(book, entry.value)->after;
    int tried = 0;
    for (const auto& part : Names<PartKind>::entries)
        for (const MaterialKind kind : kindsFor(part.value)) {
            CHECK(canBeMadeOf(part.value, kind));
            const NewDressing started = startFromKind(book, FlyKind::wingedWet, book.hooks.front().id).value();
            Book with = started.edit.after;
            const DressingId& fly = started.id;
            auto at = std::ranges::find(with.patterns.back().parts, part.value, &Part::kind) - with.patterns.back().parts.begin();
            if (at == std::ssize(with.patterns.back().parts)) {
                with = addPart(with, fly, part.value)->after;
                at = std::ranges::find(with.patterns.back().parts, part.value, &Part::kind) - with.patterns.back().parts.begin();
            }
            const auto material = std::ranges::find(with.materials, kind, &Material::kind)->id;
            INFO(part.name << " of " << material);
            const auto edit = changeMaterial(with, fly, static_cast<std::size_t>(at), material);
            if (!edit) FAIL(edit.error().front().line());
            const auto plan = planWhatCan(edit->after, fly);
            REQUIRE(plan);
            for (const Fault& fault : plan->faults)
                FAIL_CHECK(fault.line());
            ++tried;
        }
    CHECK(tried >= 60);
}

TEST_CASE("a dressing is shared with all it needs and nothing else, and taken in where it is new") {
    const Book book = demoBook();
    const Book shared = shareOf(book, {{"patterns", "kelp-lantern"}}).value();
    CHECK(check(shared).empty());
    CHECK(shared.patterns.size() == 1);
    CHECK(shared.hooks.size() == 1);
    CHECK(shared.days.empty());
    CHECK(planPattern(shared, "kelp-lantern"));
    CHECK_FALSE(shareOf(book, {{"patterns", "nobody"}}));
    const Book empty;
    const auto arrivals = arrivalsOf(empty, shared);
    CHECK(std::ranges::all_of(arrivals, [](const Arriving& a) { return a.how == Arrival::fresh; }));
    CHECK(takeIn(empty, shared, {{"patterns", "kelp-lantern"}}, "in")->after == shared);
    CHECK(std::ranges::all_of(arrivalsOf(book, shared), [](const Arriving& a) { return a.how == Arrival::same; }));
    CHECK(takeIn(book, shared, {{"patterns", "kelp-lantern"}}, "in")->after == book);  // all of it is here
}

TEST_CASE("what differs stands beside ours under an id of its own, and its references follow it") {
    const Book book = demoBook();
    const auto own = std::ranges::find_if(book.teams, [](const TeamSpec& t) { return t.at(Position::bob) == Fly("kelp-lantern"); });
    REQUIRE(own != book.teams.end());
    Book theirs = shareOf(book, {{"teams", own->id}}).value();
    const std::string hook = theirs.findPattern("kelp-lantern")->hook;
    for (HookSpec& h : theirs.hooks)
        if (h.id == hook) h.size = 8, h.measured.reset();
    theirs.findPattern("kelp-lantern")->note = "theirs";
    const auto arrivals = arrivalsOf(book, theirs);
    const auto lantern = std::ranges::find(arrivals, RecordId{"patterns", "kelp-lantern"}, &Arriving::record);
    REQUIRE(lantern != arrivals.end());
    CHECK(lantern->how == Arrival::differs);
    CHECK_FALSE(lantern->differences.empty());
    const Edit taken = takeIn(book, theirs, {{"teams", theirs.teams.front().id}}, "in").value();
    CHECK(check(taken.after).empty());
    CHECK(*taken.after.findPattern("kelp-lantern") == *book.findPattern("kelp-lantern"));
    const Pattern* beside = taken.after.findPattern("kelp-lantern-2");
    REQUIRE(beside);
    CHECK(taken.after.findHook(beside->hook)->size == 8);
    CHECK(beside->hook != hook);
    const TeamSpec& team = taken.after.teams.back();
    CHECK(team.at(Position::bob)->pattern == "kelp-lantern-2");
}

TEST_CASE("the usual drawers that ship are sound, all nominal with their reason, and every kind of material is among them") {
    const auto text = store::readWhole(MACHAIR_USUAL, 1 << 20);
    REQUIRE(text);
    const auto read = store::readBench(*text);
    if (!read) FAIL(read.error().front().line());
    CHECK(read->warnings.empty());
    const Book& book = read->book;
    CHECK(check(book).empty());
    CHECK(book.materials.size() + book.hooks.size() >= 150);
    for (const auto& kind : Names<MaterialKind>::entries) {
        INFO(kind.name);
        CHECK(std::ranges::any_of(book.materials, [&](const Material& m) { return m.kind == kind.value; }));
    }
    for (const Material& m : book.materials) {
        INFO(m.id);
        CHECK(m.measured.empty());
        CHECK(m.note.value_or("").starts_with("nominal: "));
        CHECK(m.name);
    }
    for (const HookSpec& h : book.hooks) {
        CHECK_FALSE(h.measured);
        CHECK(h.note.value_or("").starts_with("nominal: "));
    }
}

TEST_CASE("any kind started from the usual drawers is silent, on each of their hooks") {
    const Book usual = store::readBench(store::readWhole(MACHAIR_USUAL, 1 << 20).value())->book;
    int looked = 0;
    for (const auto& kind : Names<FlyKind>::entries)
        for (const HookSpec& hook : usual.hooks) {
            const auto made = startFromKind(usual, kind.value, hook.id).value();
            const auto plan = planWhatCan(made.edit.after, made.id);
            INFO(kind.name << " on " << hook.id);
            REQUIRE(plan);
            CHECK(plan->faults.empty());
            for (const Warning& w : plan->warnings) {
                INFO(nameOf(w.concern) << ": " << w.what);
                CHECK(w.severity == Severity::note);
            }
            ++looked;
        }
    CHECK(looked == 13 * 32);
}

TEST_CASE("an outing made longer on the day's page keeps within the day, as a new one does") {
    const Book book = demoBook();
    const RecordId day{"days", book.days.front().id};
    const auto longer = changeRow(book, day, {"outings", 0}, "hours", "23");
    REQUIRE(longer);
    CHECK(addRow(longer->after, day, "outings").error().front().what.find("at most 24 in a day") != std::string::npos);
    CHECK_FALSE(addOuting(longer->after, DayId(day.id), 2.0, book.days.front().outings[0].flies));
    const Book two = addOuting(book, DayId(day.id), 2.0, book.days.front().outings[0].flies)->after;
    const auto over = changeRow(two, day, {"outings", 1}, "hours", "23");
    REQUIRE_FALSE(over);
    CHECK(over.error().front().place.text() == "days[0].outings");
}
