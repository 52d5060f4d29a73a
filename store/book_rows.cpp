#include "store/book_rows.h"

#include <SQLiteCpp/Statement.h>

#include <algorithm>
#include <array>
#include <charconv>
#include <map>
#include <set>

#include "book/lists.h"
#include "book/references.h"
#include "language/say.h"
#include "store/book_schema.h"
#include "store/checksum.h"
#include "store/json_parse.h"
#include "store/records.h"

namespace machair::store {

namespace {

std::optional<std::int64_t> sumIn(const SQLite::Column& column) {
    return column.isNull() ? std::nullopt : std::optional(column.getInt64());
}

bool hasSums(SQLite::Database& database) { return pragma(database, "user_version") >= kFirstWithSums; }

// The column of the checksums, or nothing under its name.
std::string sumColumn(SQLite::Database& database) { return hasSums(database) ? "sum" : "NULL"; }

// The column that names a row.
std::string keyColumn(const std::string& list) { return list == "book" ? "key" : "id"; }

// All rows of a list in their order.
std::vector<StoredRow> rowsOf(SQLite::Database& database, const std::string& list) {
    std::vector<StoredRow> rows;
    if (!database.tableExists(list)) return rows;  // an older book that may only be read keeps its own tables
    SQLite::Statement all(database, "SELECT id, place, record, " + sumColumn(database) + " FROM " + list + " ORDER BY place, id");
    while (all.executeStep())
        rows.push_back(
            {list, all.getColumn(0).getString(), all.getColumn(1).getInt64(), all.getColumn(2).getString(), sumIn(all.getColumn(3))});
    return rows;
}

std::vector<StoredRow> valueRows(SQLite::Database& database) {
    std::vector<StoredRow> rows;
    SQLite::Statement all(database, "SELECT key, value, " + sumColumn(database) + " FROM book ORDER BY key");
    while (all.executeStep())
        rows.push_back(valueRow(all.getColumn(0).getString(), all.getColumn(1).getString(), all.getColumn(2)));
    return rows;
}

// What a list has, against what its own line says it has.
void holdAgainstCount(SQLite::Database& database, const std::string& list, const std::vector<StoredRow>& rows,
                      std::vector<SetAside>& aside) {
    if (!hasSums(database)) return;
    const std::optional<ListTally> written = writtenTally(database, list);
    const Place place(list);
    if (!written) return aside.push_back({list, {}, 0, {{place, say("what the list comes to is not written down any more"), ""}}});
    ListTally found;
    for (const StoredRow& row : rows)
        found.came(row);
    const bool spoilt = !std::ranges::all_of(rows, [](const StoredRow& row) { return row.sum && row.sound(); });
    if (found.records != written->records)
        aside.push_back(
            {list,
             {},
             static_cast<std::size_t>(std::max<std::int64_t>(written->records - found.records, 0)),
             {{place, say("expected {} records, found {}", std::to_string(written->records), std::to_string(found.records)), ""}}});
    else if (!spoilt && found.sums != written->sums)
        aside.push_back({list, {}, 0, {{place, say("some of its records are older than those last written"), ""}}});
    else if (!spoilt && found.sequence != written->sequence)
        aside.push_back({list, {}, 0, {{place, say("its records do not stand in the order last written"), ""}}});
}

template <class Record>
void readList(SQLite::Database& database, const char* name, std::vector<Record>& list, OpenedBench& opened) {
    const std::vector<StoredRow> rows = rowsOf(database, name);
    holdAgainstCount(database, name, rows, opened.setAside);
    std::vector<std::string> texts;
    texts.reserve(rows.size());
    for (const StoredRow& row : rows)
        texts.push_back(row.sound() ? row.text : std::string());
    ReadRecords<Record> read = readRecords<Record>(name, texts);
    for (std::size_t i = 0; i < rows.size(); ++i) {
        Faults why;
        if (!rows[i].sound())
            why.push_back({Place(name).key(rows[i].id), say("is not what was written: its checksum differs"), ""});
        else if (const auto spoilt = read.spoilt.find(i); spoilt != read.spoilt.end())
            why = spoilt->second;
        else if (read.records[i].id != rows[i].id)
            why.push_back({Place(name).key(rows[i].id), say("says of itself to be \"") + read.records[i].id + "\"", ""});
        if (why.empty())
            list.push_back(std::move(read.records[i]));
        else
            opened.setAside.push_back({name, rows[i].id, 0, std::move(why)});
    }
    append(opened.warnings, read.warnings);
}

// The book without its lists: what it carries and the tier's schools.
Result<OpenedBench> readValues(SQLite::Database& database) {
    std::string text = R"({"format": "machair-bench", "version": )" + std::to_string(kBenchVersion);
    std::vector<SetAside> aside;
    const std::vector<StoredRow> rows = valueRows(database);
    holdAgainstCount(database, "book", rows, aside);
    for (const StoredRow& row : rows) {
        const auto parsed = parseJson(row.text);
        if (!row.sound() || !parsed || !parsed->is_object() || (row.id != "schools" && row.id != "carried")) {
            aside.push_back({"book", row.id, 0, {{Place("book").key(row.id), say("is not what was written"), ""}}});
            continue;
        }
        if (row.id == "schools") text += ", \"schools\": " + row.text;
        if (row.id == "carried" && !parsed->empty()) text += ", " + row.text.substr(1, row.text.size() - 2);  // without its braces
    }
    Result<OpenedBench> opened = readBench(text + "}");
    if (!opened) {  // whole as text, but not what a book may carry: left alone, and the rest works
        for (const StoredRow& row : rows)
            aside.push_back({"book", row.id, 0, opened.error()});
        opened = OpenedBench{};
    }
    opened->setAside = std::move(aside);
    return opened;
}

// "patterns[3].hook" is of the fourth of "patterns".
std::optional<std::pair<std::string, std::size_t>> recordAt(const Place& place) {
    const std::string& text = place.text();
    const auto open = text.find('['), close = text.find(']');
    std::size_t index = 0;
    if (open == std::string::npos || close == std::string::npos || close < open) return std::nullopt;
    const auto read = std::from_chars(text.data() + open + 1, text.data() + close, index);
    if (read.ec != std::errc() || read.ptr != text.data() + close) return std::nullopt;
    return std::pair(text.substr(0, open), index);
}

// done(list of the book, as its own type) for the list of that name.
template <class Done>
void inList(std::string_view wanted, Done done) {
    eachList([&](const char* name, auto list) {
        if (name == wanted) done(list);
    });
}

// Puts a row of another book into this one, whatever stands there under its id.
bool adopt(SQLite::Database& database, const StoredRow& row) {
    bool done = false;
    inList(row.list, [&]<class Record>(std::vector<Record> Book::*) {
        const std::array texts{row.text};
        const auto read = readRecords<Record>(row.list, texts);
        if (!row.sound() || !read.spoilt.empty() || read.records[0].id != row.id) return;
        dropRow(database, row.list, row.id);
        StoredRow own = row;
        own.sum = row.rightSum();
        putRow(database, read.records[0], own);
        done = true;
    });
    return done;
}

// What the record of a row refers to: list and id.
std::vector<std::pair<std::string, std::string>> referredTo(const StoredRow& row) {
    std::vector<std::pair<std::string, std::string>> found;
    inList(row.list, [&]<class Record>(std::vector<Record> Book::*list) {
        const std::array texts{row.text};
        Book alone;
        alone.*list = readRecords<Record>(row.list, texts).records;
        eachReference(alone, [&](const Reference& reference) {
            if (!reference.past) found.emplace_back(reference.to, reference.id);
        });
    });
    return found;
}

// Every row's first four columns: id, place, record, sum.
void bindRow(SQLite::Statement& put, const StoredRow& row) {
    put.bind(1, row.id);
    put.bind(2, row.place);
    put.bind(3, row.text);
    put.bind(4, row.ownSum());
}

}  // namespace

std::int64_t StoredRow::rightSum() const { return checksumOf(list, id, text); }
std::int64_t StoredRow::placeSum() const { return Checksum().add(id).add(std::to_string(place)).value(); }

StoredRow valueRow(const std::string& key, const std::string& value, const SQLite::Column& sum) {
    return {"book", key, 0, value, sumIn(sum)};
}

std::optional<ListTally> writtenTally(SQLite::Database& database, const std::string& list) {
    SQLite::Statement line(database, "SELECT records, sums, sequence FROM lists WHERE list = ?");
    line.bind(1, list);
    if (!line.executeStep()) return std::nullopt;
    ListTally tally;
    tally.records = line.getColumn(0).getInt64();
    tally.sums = line.getColumn(1).getInt64();
    tally.sequence = line.getColumn(2).getInt64();
    return tally;
}

void writeTally(SQLite::Database& database, const std::string& list, const ListTally& tally) {
    SQLite::Statement line(database, "INSERT OR REPLACE INTO lists (list, records, sums, sequence) VALUES (?, ?, ?, ?)");
    line.bind(1, list);
    line.bind(2, tally.records);
    line.bind(3, tally.sums);
    line.bind(4, tally.sequence);
    line.exec();
}

std::optional<StoredRow> rowOf(SQLite::Database& database, const std::string& list, const std::string& id) {
    if (!database.tableExists(list)) return std::nullopt;
    SQLite::Statement one(database, "SELECT place, record, " + sumColumn(database) + " FROM " + list + " WHERE id = ?");
    one.bind(1, id);
    if (!one.executeStep()) return std::nullopt;
    return StoredRow{list, id, one.getColumn(0).getInt64(), one.getColumn(1).getString(), sumIn(one.getColumn(2))};
}

template <class Record>
void putRow(SQLite::Database& database, const Record&, const StoredRow& row) {
    SQLite::Statement put(database, std::string("INSERT INTO ") + listOf<Record>() +
                                        " (id, place, record, sum) VALUES (?, ?, ?, ?) ON CONFLICT (id) DO UPDATE SET place = "
                                        "excluded.place, record = excluded.record, sum = excluded.sum");
    bindRow(put, row);
    put.exec();
}

// What the database holds to is what is there: a dressing that names what the book lacks is kept all the same.
template <>
void putRow(SQLite::Database& database, const Pattern& record, const StoredRow& row) {
    SQLite::Statement put(
        database,
        "INSERT INTO patterns (id, place, record, sum, hook, thread) "
        "VALUES (?, ?, ?, ?, (SELECT id FROM hooks WHERE id = ?), (SELECT id FROM materials WHERE id = ?)) ON CONFLICT (id) DO UPDATE SET "
        "place = excluded.place, record = excluded.record, sum = excluded.sum, hook = excluded.hook, thread = excluded.thread");
    bindRow(put, row);
    put.bind(5, record.hook);
    put.bind(6, record.thread);
    put.exec();
    SQLite::Statement old(database, "DELETE FROM pattern_materials WHERE pattern = ?");
    old.bind(1, record.id);
    old.exec();
    SQLite::Statement add(database, "INSERT INTO pattern_materials SELECT ?, ?, id FROM materials WHERE id = ?");
    for (std::size_t i = 0; i < record.parts.size(); ++i) {
        if (!record.parts[i].material) continue;
        add.reset();
        add.bind(1, record.id);
        add.bind(2, static_cast<std::int64_t>(i));
        add.bind(3, *record.parts[i].material);
        add.exec();
    }
}

template <>
void putRow(SQLite::Database& database, const TeamSpec& record, const StoredRow& row) {
    SQLite::Statement put(database,
                          "INSERT INTO teams (id, place, record, sum, bob, upper, middle, lower, point) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?) "
                          "ON CONFLICT (id) DO UPDATE SET "
                          "place = excluded.place, record = excluded.record, sum = excluded.sum, bob = excluded.bob, upper = "
                          "excluded.upper, middle = excluded.middle, "
                          "lower = excluded.lower, point = excluded.point");
    bindRow(put, row);
    int column = 5;
    for (const auto& fly : record.flies.each) {
        if (fly)
            put.bind(column, fly->pattern);
        else
            put.bind(column);
        ++column;
    }
    put.exec();
}

template void putRow(SQLite::Database&, const HookSpec&, const StoredRow&);
template void putRow(SQLite::Database&, const Material&, const StoredRow&);
template void putRow(SQLite::Database&, const TeamSchool&, const StoredRow&);
template void putRow(SQLite::Database&, const VaneFeather&, const StoredRow&);
template void putRow(SQLite::Database&, const CutList&, const StoredRow&);
template void putRow(SQLite::Database&, const RuleCard&, const StoredRow&);
template void putRow(SQLite::Database&, const WaterSpec&, const StoredRow&);
template void putRow(SQLite::Database&, const BoxFly&, const StoredRow&);
template void putRow(SQLite::Database&, const Cape&, const StoredRow&);
template void putRow(SQLite::Database&, const Stock&, const StoredRow&);
template void putRow(SQLite::Database&, const SeasonRow&, const StoredRow&);
template void putRow(SQLite::Database&, const Mishap&, const StoredRow&);
template void putRow(SQLite::Database&, const Batch&, const StoredRow&);
template void putRow(SQLite::Database&, const CheckedFly&, const StoredRow&);
template void putRow(SQLite::Database&, const Day&, const StoredRow&);

std::size_t dropRow(SQLite::Database& database, const std::string& list, const std::string& id) {
    if (id.empty() || !database.tableExists(list)) return 0;
    SQLite::Statement gone(database, "DELETE FROM " + list + " WHERE " + keyColumn(list) + " = ?");
    gone.bind(1, id);
    return static_cast<std::size_t>(gone.exec());
}

void recount(SQLite::Database& database) {
    const auto count = [&](const std::string& list, const std::vector<StoredRow>& rows) {
        SQLite::Statement put(database, "UPDATE " + list + " SET sum = ? WHERE " + keyColumn(list) + " = ?");
        ListTally tally;
        for (const StoredRow& row : rows) {
            tally.came(row);
            if (row.sum) continue;
            put.bind(1, row.rightSum());
            put.bind(2, row.id);
            put.exec();
            put.reset();
        }
        writeTally(database, list, tally);
    };
    count("book", valueRows(database));
    eachList([&](const char* name, auto) { count(name, rowsOf(database, name)); });
}

void setAsideUnsound(OpenedBench& opened) {
    for (Faults faults = checkToRead(opened.book); !faults.empty(); faults = checkToRead(opened.book)) {
        std::map<std::string, std::map<std::size_t, Faults>> wrong;
        for (const Fault& fault : faults)
            if (const auto at = recordAt(fault.place)) wrong[at->first][at->second].push_back(fault);
        require(!wrong.empty(), "every fault of a book stands in a record");
        eachList([&](const char* name, auto list) {
            const auto here = wrong.find(name);
            if (here == wrong.end()) return;
            auto& records = opened.book.*list;
            for (auto at = here->second.rbegin(); at != here->second.rend(); ++at) {  // the last first: the places before it stay
                opened.setAside.push_back({name, records[at->first].id, 0, at->second});
                records.erase(records.begin() + static_cast<std::ptrdiff_t>(at->first));
            }
        });
    }
}

Result<OpenedBench> readAll(SQLite::Database& database) {
    Result<OpenedBench> opened = readValues(database);
    if (!opened) return opened;
    eachList([&](const char* name, auto list) { readList(database, name, opened->book.*list, *opened); });
    setAsideUnsound(*opened);
    return opened;
}

std::size_t mendFrom(SQLite::Database& database, const std::filesystem::path& copy, const std::vector<SetAside>& aside) {
    GuardedDatabase from(copy, GuardedDatabase::Mode::asItLies);
    if (!schemaFaults(*from, copy).empty()) return 0;
    std::size_t mended = 0;
    const auto take = [&](const StoredRow& row) { mended += adopt(database, row) ? 1 : 0; };
    // Missing or unreadable rows of their own, then what they and those that were only left alone refer to.
    std::vector<StoredRow> wanted;
    for (const SetAside& record : aside) {
        if (record.id.empty()) {
            if (record.list == "book") continue;
            for (StoredRow& row : rowsOf(*from, record.list))
                if (!rowOf(database, record.list, row.id)) {
                    take(row);
                    wanted.push_back(std::move(row));
                }
            continue;
        }
        auto there = rowOf(database, record.list, record.id);
        auto row = rowOf(*from, record.list, record.id);
        if (row && row->sound() && (!there || !there->sound() || there->text != row->text)) {
            const bool dangling = there && there->sound();  // its text is whole, only what it names is gone
            if (!dangling) take(*row);
            wanted.push_back(dangling ? *there : *row);
        } else if (there)
            wanted.push_back(*there);
    }
    std::set<std::pair<std::string, std::string>> asked;
    for (std::size_t i = 0; i < wanted.size(); ++i)
        for (const auto& [list, id] : referredTo(wanted[i])) {
            if (!asked.emplace(list, id).second || rowOf(database, list, id)) continue;
            if (auto row = rowOf(*from, list, id)) {
                take(*row);
                wanted.push_back(std::move(*row));
            }
        }
    return mended;
}

}  // namespace machair::store
