#include "book/records.h"

#include <algorithm>
#include <functional>
#include <set>

#include "book/describe.h"
#include "book/find.h"
#include "book/fitting.h"
#include "book/flies.h"
#include "book/kinds.h"
#include "book/lists.h"
#include "book/record_edits.h"
#include "book/references.h"
#include "book/team_edits.h"
#include "language/say.h"
#include "units/text.h"

namespace machair {

namespace {

template <class BookLike, class Done>
bool withRecord(BookLike& book, const RecordId& record, Done done) {
    return visitRecord(book, record.list, record.id, std::move(done));
}

tl::unexpected<Faults> noRecord(const RecordId& record) { return noSuch(Place(record.list), nameOfOne(record.list), record.id); }

std::string dressingOf(const Book& book, const DressingId& id) {
    const Pattern* found = book.findPattern(id);
    return found ? found->title() : id;
}
std::string materialOf(const Book& book, const MaterialId& id) {
    const Material* found = book.findMaterial(id);
    return found ? found->title() : id;
}
std::string monthName(int month) {
    constexpr std::array kMonths = {unsaid("January"),   unsaid("February"), unsaid("March"),    unsaid("April"),
                                    unsaid("May"),       unsaid("June"),     unsaid("July"),     unsaid("August"),
                                    unsaid("September"), unsaid("October"),  unsaid("November"), unsaid("December")};
    return month >= 1 && month <= 12 ? say(kMonths[static_cast<std::size_t>(month - 1)]) : std::to_string(month);
}
std::string counted(std::size_t n, const std::string& one, const std::string& many) {
    return std::to_string(n) + " " + sayCount(one, many, static_cast<double>(n));
}

// What people call a record; one overload a kind, a kind without one doesn't compile.
struct Title {
    const Book& book;
    std::string operator()(const HookSpec& hook) const { return hook.name.value_or(describeHook(hook)); }
    std::string operator()(const Material& material) const { return material.title(); }
    std::string operator()(const Pattern& pattern) const { return pattern.title(); }
    std::string operator()(const TeamSpec& team) const { return team.title(); }
    std::string operator()(const TeamSchool& school) const { return school.title(); }
    std::string operator()(const WaterSpec& water) const { return water.title(); }
    std::string operator()(const RuleCard& card) const { return card.title(); }
    std::string operator()(const VaneFeather& f) const {
        return materialOf(book, f.material) + ", " + sayName(f.side) + ", " + formatNumber(f.vane / mm, 0) + " mm";
    }
    std::string operator()(const CutList& list) const { return say("list of {}", counted(list.slips.size(), "slip", "slips")); }
    std::string operator()(const Cape& cape) const {
        int feathers = 0;
        for (const CapeBand& band : cape.bands)
            feathers += band.count;
        return materialOf(book, cape.material) + ", " + counted(static_cast<std::size_t>(std::max(0, feathers)), "feather", "feathers");
    }
    std::string operator()(const Stock& stock) const { return materialOf(book, stock.material); }
    std::string operator()(const SeasonRow& row) const {
        return row.creature + ", " + monthName(row.fromMonth) + (row.toMonth == row.fromMonth ? "" : say(" to {}", monthName(row.toMonth)));
    }
    std::string operator()(const Mishap& mishap) const {
        return say(mishap.shows.value_or(mishap.id)) + ", " + counted(static_cast<std::size_t>(std::max(0, mishap.count)), "time", "times");
    }
    std::string operator()(const Batch& batch) const {
        return say("{} of {}{}", std::to_string(batch.wanted), sayFly(book, flyOf(batch)), batch.day ? say(" by {}", *batch.day) : "");
    }
    std::string operator()(const BoxFly& fly) const {
        return say("{} of {}", std::to_string(fly.tied.value_or(1)), sayFly(book, flyOf(fly)));
    }
    std::string operator()(const CheckedFly& check) const {
        return dressingOf(book, check.pattern) + (check.date ? ", " + *check.date : "");
    }
    std::string operator()(const Day& day) const {
        const WaterSpec* water = day.water ? book.findWater(*day.water) : nullptr;
        return day.date + (day.water ? ", " + (water ? water->title() : *day.water) : "");
    }
    // Rows.
    std::string operator()(const CapeBand& band) const {
        return say("{} to {} mm: {}", formatNumber(band.from / mm, 1), formatNumber(band.to / mm, 1), std::to_string(band.count));
    }
    std::string operator()(const SlipWanted& slip) const {
        return say("{}, {} mm wide", materialOf(book, slip.material), formatNumber(slip.width / mm, 1));
    }
    std::string operator()(const CheckReading& reading) const {
        return say("{} {}: {} for {}", reading.kind ? sayName(*reading.kind) : say("part"), sayMeasure(reading.figure),
                   formatLength(reading.measured, LengthUnit::millimetres, 2), formatLength(reading.aimed, LengthUnit::millimetres, 2));
    }
    std::string operator()(const Outing& outing) const {
        std::string flies;
        for (const Position position : kPositions)
            if (outing.at(position)) flies += (flies.empty() ? "" : ", ") + sayFly(book, *outing.at(position));
        return formatShort(outing.hours, 2) + " h" + (flies.empty() ? "" : ": " + flies);
    }
    std::string operator()(const Fish& fish) const {
        const char* fate = fish.lost.value_or(false) ? unsaid("lost") : fish.kept.value_or(false) ? unsaid("kept") : unsaid("returned");
        return say("{}{} on the {}, {}", fish.time ? *fish.time + ", " : "", sayFly(book, flyOf(fish)), sayName(fish.position), fate);
    }
    std::string operator()(const OwnWanted& wanted) const { return sayName(wanted.term); }
    std::string operator()(const OwnRange& range) const {
        return say("{} in {} m", sayName(range.place), formatShort(range.wave / metre, 3));
    }
    std::string operator()(const OwnStyle& style) const { return say("{} on the {}", sayName(style.style), sayName(style.place)); }
    std::string operator()(const BlendPart& part) const {
        return say("{} of {}", formatShort(part.parts, 3), materialOf(book, part.material));
    }
};

// What a row of each table is called.
template <TableRow T>
constexpr const char* nameOfRow() {
    if constexpr (std::same_as<T, OwnWanted>) return unsaid("wanted range");
    if constexpr (std::same_as<T, OwnRange>) return unsaid("range of a wave");
    if constexpr (std::same_as<T, OwnStyle>) return unsaid("style");
    if constexpr (std::same_as<T, Outing>) return unsaid("outing");
    if constexpr (std::same_as<T, Fish>) return unsaid("fish");
    if constexpr (std::same_as<T, CapeBand>) return unsaid("band");
    if constexpr (std::same_as<T, SlipWanted>) return unsaid("slip");
    if constexpr (std::same_as<T, CheckReading>) return unsaid("reading");
    if constexpr (std::same_as<T, BlendPart>) return unsaid("fur");
    return unsaid("row");
}

// done(key, rows) for each table of a record.
template <class Done>
class Tables {
  public:
    explicit Tables(Done done) : done_(std::move(done)) {}
    template <TableRow T>
    void operator()(const char* key, std::vector<T>& rows, const Rule& = {}) {
        done_(key, rows);
    }
    template <TableRow T>
    void operator()(const char* key, const std::vector<T>& rows, const Rule& = {}) {
        done_(key, rows);
    }
    template <class T>
    void operator()(const char*, const T&, const Rule& = {}) {}
    template <class Kind, class Variant>
    void byKind(Kind, Variant& member, std::remove_const_t<Variant> (*)(Kind)) {
        std::visit([this](auto& alternative) { describe(*this, alternative); }, member);
    }
    void rest(const Carried&) {}

  private:
    Done done_;
};
template <class Record, class Done>
void eachTable(Record& record, Done done) {
    Tables<Done> tables(std::move(done));
    describe(tables, record);
}

// Where a record and its row stand.
Place placeOf(const RecordId& record, std::size_t index) { return Place(record.list).at(index); }

// The first record of a list that a row or a new record could be about.
MaterialId firstOf(const Book& book, const std::function<bool(const Material&)>& fits) {
    const auto found = std::ranges::find_if(book.materials, fits);
    return found == book.materials.end() ? MaterialId() : found->id;
}

// A new row, with what it can't be without. Nothing where the book lacks that.
struct FreshRow {
    const Book& book;
    const std::string& of;  // the record that it is in
    std::optional<OwnWanted> operator()(OwnWanted row) const { return row; }
    std::optional<OwnRange> operator()(OwnRange row) const { return row; }
    std::optional<OwnStyle> operator()(OwnStyle row) const { return row; }
    std::optional<Outing> operator()(Outing row) const { return row; }
    std::optional<CapeBand> operator()(CapeBand row) const {
        row.from = 5.0 * mm;
        row.to = 6.0 * mm;
        return row;
    }
    std::optional<CheckReading> operator()(CheckReading row) const {
        row.figure = "length_mm";
        row.aimed = row.measured = 10.0 * mm;
        return row;
    }
    std::optional<Fish> operator()(Fish row) const {
        if (book.patterns.empty()) return std::nullopt;
        row.pattern = book.patterns.front().id;
        return row;
    }
    std::optional<SlipWanted> operator()(SlipWanted row) const {
        row.material = firstOf(book, [](const Material& m) { return std::holds_alternative<VaneTraits>(m.traits); });
        row.width = 3.0 * mm;
        row.barb = 15.0 * mm;
        return row.material.empty() ? std::nullopt : std::optional(row);
    }
    std::optional<BlendPart> operator()(BlendPart row) const {
        row.material = firstOf(book, [this](const Material& m) { return m.kind == MaterialKind::dubbing && m.id != of; });
        return row.material.empty() ? std::nullopt : std::optional(row);
    }
};
const char* lackOf(std::string_view table) {
    return table == "fish" ? unsaid("a dressing") : table == "slips" ? unsaid("a flank or quill") : unsaid("another fur");
}

Result<Edit> sound(Edit edit) {
    if (Faults faults = check(edit.after); !faults.empty()) return tl::unexpected(std::move(faults));
    return edit;
}
// The same, and what is asked only of the record that was changed: older files may have it otherwise.
Result<Edit> soundWith(Edit edit, const RecordId& record) {
    const auto& days = edit.after.days;
    if (const Day* day = record.list == "days" ? findById(days, record.id) : nullptr)
        if (Faults faults = checkHours(*day, placeOf(record, indexById(days, record.id))); !faults.empty())
            return tl::unexpected(std::move(faults));
    return sound(std::move(edit));
}

std::string sayValue(const Book& book, const Field& field, std::string_view text) {
    if (trimmed(text).empty()) return say("left open");
    if (field.kind == FieldKind::record) return titleOf(book, {field.refersTo, std::string(text)});
    if (field.kind == FieldKind::fly) return sayFly(book, readFly(text));
    return std::string(text);
}

}  // namespace

const std::vector<ListName>& listNames() {
    static const std::vector<ListName> kNames = {{"hooks", unsaid("hook")},
                                                 {"materials", unsaid("material")},
                                                 {"feathers", unsaid("feather")},
                                                 {"capes", unsaid("cape")},
                                                 {"stock", unsaid("stock of a material")},
                                                 {"patterns", unsaid("dressing")},
                                                 {"cut_lists", unsaid("list of slips")},
                                                 {"teams", unsaid("team")},
                                                 {"team_schools", unsaid("school")},
                                                 {"waters", unsaid("water")},
                                                 {"rule_cards", unsaid("rule card")},
                                                 {"season_table", unsaid("row of the season")},
                                                 {"box", unsaid("fly of the box")},
                                                 {"batches", unsaid("batch")},
                                                 {"checks", unsaid("checked fly")},
                                                 {"mishaps", unsaid("mishap")},
                                                 {"days", unsaid("day")}};
    return kNames;
}

std::string_view nameOfOne(std::string_view list) {
    const auto found = std::ranges::find(listNames(), list, &ListName::list);
    return found == listNames().end() ? list : found->one;
}

std::vector<std::string> idsIn(const Book& book, std::string_view list) {
    std::vector<std::string> ids;
    eachList([&](const char* name, auto records) {
        if (name == list)
            for (const auto& record : book.*records)
                ids.push_back(record.id);
    });
    return ids;
}

bool isIn(const Book& book, const RecordId& record) {
    return withRecord(book, record, [](auto, const auto&, std::size_t) {});
}

std::string titleOf(const Book& book, const RecordId& record) {
    std::string title = record.id;
    withRecord(book, record, [&](auto, const auto& found, std::size_t) { title = Title{book}(found); });
    return title;
}

template <class Record>
std::string titleOf(const Book& book, const Record& record) {
    return Title{book}(record);
}
template std::string titleOf(const Book&, const HookSpec&);
template std::string titleOf(const Book&, const Material&);
template std::string titleOf(const Book&, const Pattern&);
template std::string titleOf(const Book&, const TeamSpec&);
template std::string titleOf(const Book&, const TeamSchool&);
template std::string titleOf(const Book&, const WaterSpec&);
template std::string titleOf(const Book&, const RuleCard&);
template std::string titleOf(const Book&, const VaneFeather&);
template std::string titleOf(const Book&, const CutList&);
template std::string titleOf(const Book&, const Cape&);
template std::string titleOf(const Book&, const Stock&);
template std::string titleOf(const Book&, const SeasonRow&);
template std::string titleOf(const Book&, const Mishap&);
template std::string titleOf(const Book&, const Batch&);
template std::string titleOf(const Book&, const BoxFly&);
template std::string titleOf(const Book&, const CheckedFly&);
template std::string titleOf(const Book&, const Day&);
template std::string titleOf(const Book&, const Outing&);
template std::string titleOf(const Book&, const Fish&);

std::vector<RecordTable> tablesOf(const Book& book, const RecordId& record) {
    std::vector<RecordTable> tables;
    withRecord(book, record, [&](auto, const auto& found, std::size_t) {
        eachTable(found, [&]<class T>(const char* key, const std::vector<T>& rows) {
            RecordTable table{key, say(spaced(key)), nameOfRow<T>(), {}};
            for (const T& row : rows)
                table.rows.push_back(Title{book}(row));
            tables.push_back(std::move(table));
        });
    });
    return tables;
}

Result<std::vector<Field>> fieldsAt(const Book& book, const RecordId& record) {
    std::vector<Field> fields;
    std::vector<std::string> tables;
    const bool found = withRecord(book, record, [&](auto, const auto& own, std::size_t) {
        fields = fieldsOf(own);
        eachTable(own, [&](const char* key, const auto&) { tables.emplace_back(key); });
    });
    if (!found) return noRecord(record);
    std::erase_if(fields, [&](const Field& field) { return std::ranges::find(tables, field.key) != tables.end(); });
    return fields;
}

Result<std::vector<Field>> fieldsAt(const Book& book, const RecordId& record, const RowId& row) {
    std::optional<std::vector<Field>> fields;
    const bool found = withRecord(book, record, [&](auto, const auto& own, std::size_t) {
        eachTable(own, [&](const char* key, const auto& rows) {
            if (key == row.table && row.row < rows.size()) fields = fieldsOf(rows[row.row]);
        });
    });
    if (!found) return noRecord(record);
    if (!fields)
        return fail(Place(record.list).key(row.table).at(row.row), say("expected a row of {}, got none there", titleOf(book, record)));
    return *fields;
}

Result<Edit> changeRecord(const Book& book, const RecordId& record, std::string_view key, std::string_view text, Source source) {
    if (record.list == "hooks") return changeHookField(book, HookId(record.id), key, text);
    if (record.list == "materials") return changeMaterialField(book, MaterialId(record.id), key, text, source);
    if (record.list == "patterns") return changePatternField(book, DressingId(record.id), key, text);
    Result<Edit> edit = noRecord(record);
    withRecord(book, record, [&]<class Record>(std::vector<Record> Book::*list, const Record& own, std::size_t index) {
        auto changed = withField(own, key, text, placeOf(record, index));
        if (!changed) {
            edit = tl::unexpected(changed.error());
            return;
        }
        const auto fields = fieldsOf(own);
        const auto field = std::ranges::find(fields, key, &Field::key);
        edit = Edit{Title{book}(own) + ": " + fieldLabel(fields, key) + " " +
                        (field == fields.end() ? std::string(text) : sayValue(book, *field, text)),
                    book};
        (edit->after.*list)[index] = std::move(*changed);
    });
    return edit.and_then(sound);
}

Result<Edit> changeRow(const Book& book, const RecordId& record, const RowId& row, std::string_view key, std::string_view text) {
    const auto before = fieldsAt(book, record, row);
    if (!before) return tl::unexpected(before.error());
    Edit edit{{}, book};
    Faults faults;
    withRecord(edit.after, record, [&](auto, auto& own, std::size_t index) {
        eachTable(own, [&](const char* table, auto& rows) {
            if (table != row.table) return;
            auto changed = withField(rows[row.row], key, text, placeOf(record, index).key(row.table).at(row.row));
            if (!changed) {
                faults = changed.error();
                return;
            }
            rows[row.row] = std::move(*changed);
        });
    });
    if (!faults.empty()) return tl::unexpected(faults);
    const auto field = std::ranges::find(*before, key, &Field::key);
    edit.words = titleOf(book, record) + ": " + fieldLabel(*before, key) + " " +
                 (field == before->end() ? std::string(text) : sayValue(book, *field, text));
    return soundWith(std::move(edit), record);
}

Result<Edit> changeRecords(const Book& book, const std::vector<RecordId>& records, std::string_view key, std::string_view text) {
    Edit all{{}, book};
    for (const RecordId& record : records) {
        auto one = changeRecord(all.after, record, key, text);
        if (!one) return one;
        all.words = std::move(one->words);
        all.after = std::move(one->after);
    }
    if (records.size() > 1) all.words = say("{} at once: {}", std::to_string(records.size()), all.words);
    return all;
}

Result<Edit> addRow(const Book& book, const RecordId& record, std::string_view table) {
    Edit edit{{}, book};
    bool made = false, known = false;
    const bool found = withRecord(edit.after, record, [&](auto, auto& own, std::size_t) {
        eachTable(own, [&]<class T>(const char* key, std::vector<T>& rows) {
            if (key != table) return;
            known = true;
            std::optional<T> fresh = rows.empty() ? FreshRow{book, record.id}(T{}) : std::optional<T>(rows.back());
            if (!fresh) return;
            if constexpr (std::same_as<T, SlipWanted>) {
                fresh->id = "slip-" + std::to_string(rows.size() + 1);
                while (findById(rows, fresh->id))
                    fresh->id += "b";
            }
            if constexpr (std::same_as<T, CapeBand>)
                if (!rows.empty()) {  // the next band up
                    const Length width = fresh->to - fresh->from;
                    fresh->from = fresh->to;
                    fresh->to = fresh->to + width;
                }
            rows.push_back(std::move(*fresh));
            made = true;
            edit.words = say("{}: one more {}", titleOf(book, record), say(nameOfRow<T>()));
        });
    });
    if (!found) return noRecord(record);
    if (!known) return fail(Place(record.list).key(table), say("expected a table of {}, got none of that name", titleOf(book, record)));
    if (!made)
        return fail(Place(record.list).key(table), say("expected {} in the book, got none", say(lackOf(table))),
                    say("put one into the drawers first"));
    return soundWith(std::move(edit), record);
}

Result<Edit> removeRow(const Book& book, const RecordId& record, const RowId& row) {
    if (const auto there = fieldsAt(book, record, row); !there) return tl::unexpected(there.error());
    Edit edit{{}, book};
    withRecord(edit.after, record, [&](auto, auto& own, std::size_t) {
        eachTable(own, [&](const char* key, auto& rows) {
            if (key != row.table) return;
            edit.words = titleOf(book, record) + ": " + Title{book}(rows[row.row]) + say(" taken out");
            rows.erase(rows.begin() + static_cast<std::ptrdiff_t>(row.row));
        });
    });
    return sound(std::move(edit));
}

namespace {

template <class Record>
Result<NewRecord> put(const Book& book, std::vector<Record> Book::*list, Record record, const std::string& id, std::string words) {
    record.id = freeIdIn(book.*list, id);
    NewRecord made{record.id, {std::move(words), book}};
    (made.edit.after.*list).push_back(std::move(record));
    auto whole = sound(std::move(made.edit));
    if (!whole) return tl::unexpected(whole.error());
    made.edit = std::move(*whole);
    return made;
}

// The edit, with the id of what stands at the end of the list then.
template <class Record>
Result<NewRecord> lastOf(std::vector<Record> Book::*list, Result<Edit> edit) {
    if (!edit) return tl::unexpected(edit.error());
    std::string id = (edit->after.*list).back().id;
    return NewRecord{std::move(id), std::move(*edit)};
}

tl::unexpected<Faults> lacks(std::string_view list, const char* what) {
    return fail(Place(std::string(list)), say("{}{} to make it of, got none in the book", std::string("expected "), what),
                say("put one into the drawers first"));
}

Result<NewRecord> addAboutMaterial(const Book& book, std::string_view list, std::string_view about) {
    const auto of = [&](const std::function<bool(const Material&)>& fits) {
        const Material* asked = book.findMaterial(MaterialId(about));
        return asked && fits(*asked) ? asked->id : about.empty() ? firstOf(book, fits) : MaterialId();
    };
    if (list == "feathers") {
        VaneFeather feather;
        feather.material = of([](const Material& m) { return std::holds_alternative<VaneTraits>(m.traits); });
        if (feather.material.empty()) return lacks(list, unsaid("a flank or quill"));
        const auto& vane = std::get<VaneTraits>(book.findMaterial(feather.material)->traits);
        feather.vane = vane.vane.value_or(60.0 * mm);
        feather.barbs = vane.barbs.size() == 3 ? vane.barbs : std::vector<Length>{16.0 * mm, 24.0 * mm, 20.0 * mm};
        feather.side = vane.side == FeatherSide::right ? VaneSide::right : VaneSide::left;
        return put(book, &Book::feathers, feather, "feather", say("a feather of {}", materialOf(book, feather.material)));
    }
    if (list == "capes") {
        Cape cape;
        cape.material = of([](const Material& m) { return m.kind == MaterialKind::hackle; });
        if (cape.material.empty()) return lacks(list, unsaid("a hackle"));
        return put(book, &Book::capes, cape, "cape", say("a cape of {}", materialOf(book, cape.material)));
    }
    Stock stock;
    stock.material = of([&](const Material& m) { return !book.findStock(m.id); });
    if (stock.material.empty()) return lacks(list, unsaid("a material that is not counted yet"));
    return put(book, &Book::stock, stock, "stock-" + stock.material, say("what there is of {}", materialOf(book, stock.material)));
}

Result<NewRecord> addAboutDressing(const Book& book, std::string_view list, std::string_view about) {
    const Pattern* asked = book.findPattern(DressingId(about));
    if (!asked && about.empty() && !book.patterns.empty()) asked = &book.patterns.front();
    if (!asked)
        return about.empty() ? Result<NewRecord>(lacks(list, unsaid("a dressing")))
                             : Result<NewRecord>(noSuch(Place(std::string(list)), "dressing", about));
    if (list == "teams") {
        FliesByPosition flies;
        flies[asked->role == TeamRole::bob      ? Position::bob
              : asked->role == TeamRole::middle ? Position::middle
                                                : Position::point] = Fly(asked->id);
        return lastOf(&Book::teams, addTeam(book, say("New team"), flies));
    }
    if (list == "batches") return lastOf(&Book::batches, addBatch(book, asked->id, 3));
    if (list == "box") {
        BoxFly fly;
        fly.pattern = asked->id;
        fly.hook = asked->hook;
        fly.tied = 1;
        return put(book, &Book::box, fly, asked->id, say("one of {} in the box", asked->title()));
    }
    CheckedFly checked;
    checked.pattern = asked->id;
    return put(book, &Book::checks, checked, "check", say("a check of {}", asked->title()));
}

}  // namespace

Result<NewRecord> addRecord(const Book& book, std::string_view list, std::string_view about) {
    if (list == "hooks") {
        const HookSpec* like = book.findHook(HookId(about));
        return lastOf(&Book::hooks, addHook(book, like ? *like : HookSpec{}));
    }
    if (list == "materials")
        return lastOf(&Book::materials, addMaterial(book, fromName<MaterialKind>(about).value_or(MaterialKind::thread)));
    if (list == "patterns") {
        return startFromKind(book, fromName<FlyKind>(about).value_or(FlyKind::spider), usualHook(book));
    }
    if (list == "feathers" || list == "capes" || list == "stock") return addAboutMaterial(book, list, about);
    if (list == "teams" || list == "batches" || list == "box" || list == "checks") return addAboutDressing(book, list, about);
    if (list == "waters") return lastOf(&Book::waters, addWater(book));
    if (list == "rule_cards") {
        RuleCard card;
        card.name = say("New rule card");
        return put(book, &Book::ruleCards, card, "rules", say("a new rule card"));
    }
    if (list == "team_schools") {
        TeamSchool school;
        school.name = say("My school");
        return put(book, &Book::teamSchools, school, "school", say("a school of my own"));
    }
    if (list == "season_table") return lastOf(&Book::season, addSeasonRow(book, 6));
    if (list == "cut_lists") return put(book, &Book::cutLists, CutList{}, "list", say("a new list of slips"));
    if (list == "days") return lastOf(&Book::days, addDay(book, about, std::nullopt));
    if (list == "mishaps") {
        const MishapId id = about.empty() ? MishapId("wing.rolls") : MishapId(about);
        return NewRecord{id, countMishap(book, id, id)};
    }
    return fail(Place(std::string(list)), say("expected one of the book's lists, got \"{}\"", std::string(list)));
}

Result<NewRecord> copyRecord(const Book& book, const RecordId& record) {
    if (record.list == "patterns") return duplicate(book, DressingId(record.id));
    if (record.list == "days" || record.list == "mishaps")
        return fail(Place(record.list), say("expected something that there can be two of, got {}", say(nameOfOne(record.list))),
                    say("a date has one day"));
    Result<NewRecord> made = noRecord(record);
    withRecord(book, record, [&]<class Record>(std::vector<Record> Book::*list, const Record& own, std::size_t) {
        Record copy = own;
        if constexpr (requires { copy.name; }) copy.name = Title{book}(own) + say(", copy");
        made = put(book, list, std::move(copy), own.id, say("copy of ") + Title{book}(own));
    });
    return made;
}

Result<Edit> renameRecord(const Book& book, const RecordId& record, std::string_view name) {
    if (record.list == "patterns") return renamePattern(book, DressingId(record.id), name);
    const std::string wanted(trimmed(name));
    Result<Edit> edit = noRecord(record);
    withRecord(book, record, [&]<class Record>(std::vector<Record> Book::*list, const Record& own, std::size_t index) {
        if constexpr (requires { own.name; }) {
            if (wanted.empty()) {
                edit = fail(placeOf(record, index).key("name"), say("expected a name, got nothing"));
                return;
            }
            edit = Edit{Title{book}(own) + say(" is now ") + wanted, book};
            (edit->after.*list)[index].name = wanted;
        } else {
            edit = fail(placeOf(record, index), say("expected something with a name, got ") + Title{book}(own));
        }
    });
    return edit;
}

std::vector<Holder> heldBy(const Book& book, const RecordId& record) {
    std::vector<Holder> holders;
    std::set<std::pair<std::string_view, std::size_t>> seen;
    eachReference(book, [&](const Reference& reference) {
        if (reference.past || reference.to != record.list || reference.id != record.id ||
            !seen.emplace(reference.list, reference.index).second)
            return;
        eachList([&](const char* name, auto list) {
            if (name != reference.list) return;
            const auto& holder = (book.*list)[reference.index];
            if (record.list == name && holder.id == record.id) return;
            holders.push_back({{name, holder.id}, Title{book}(holder)});
        });
    });
    return holders;
}

Result<Edit> removeRecord(const Book& book, const RecordId& record) {
    if (record.list == "patterns") return removePattern(book, DressingId(record.id));
    Book without = book;
    if (record.list == "materials") {
        const auto gone = [&](const auto& held) { return held.material == record.id; };
        std::erase_if(without.stock, gone);
        std::erase_if(without.feathers, gone);
        std::erase_if(without.capes, gone);
    }
    if (record.list == "rule_cards")
        for (WaterSpec& water : without.waters)
            if (water.rules == record.id) water.rules.reset();
    if (record.list == "team_schools")
        for (TeamSpec& team : without.teams)
            if (team.ownSchool == record.id) team.ownSchool.reset();
    Result<Edit> edit = noRecord(record);
    withRecord(book, record, [&]<class Record>(std::vector<Record> Book::*list, const Record& own, std::size_t index) {
        const auto holders = heldBy(without, record);
        if (!holders.empty()) {
            std::string names;
            for (std::size_t i = 0; i < holders.size(); ++i)
                names += (i == 0 ? "" : i + 1 == holders.size() ? say(" and ") : ", ") + holders[i].title;
            edit = fail(placeOf(record, index), say("expected nothing that needs ") + Title{book}(own) + say(", got ") + names,
                        holders.size() == 1 ? say("change that first") : say("change those first"));
            return;
        }
        edit = Edit{Title{book}(own) + say(" taken out"), std::move(without)};
        std::erase_if(edit->after.*list, [&](const Record& other) { return other.id == record.id; });
    });
    return edit.and_then(sound);
}

}  // namespace machair
