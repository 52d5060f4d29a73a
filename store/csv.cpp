#include "store/csv.h"

#include <algorithm>
#include <map>
#include <set>

#include "book/fields.h"
#include "book/find.h"
#include "book/lists.h"
#include "book/record_edits.h"
#include "book/rule.h"
#include "language/say.h"
#include "units/text.h"

namespace machair::store {

namespace {

constexpr std::string_view kOnHook = " @ ";  // between a dressing and the hook that it is on

constexpr std::string_view kMeasuredPrefix = "measured.";

// A hook's measures have columns of their own plain names.
std::string columnOf(const std::string& key) { return key.starts_with(kMeasuredPrefix) ? key.substr(kMeasuredPrefix.size()) : key; }

template <class Record>
std::vector<CsvRow> rowsOf(const std::vector<Record>& records, CsvRow header) {
    std::vector<std::map<std::string, std::string>> cells;
    for (const Record& record : records) {
        auto& own = cells.emplace_back();
        own["id"] = record.id;
        if constexpr (std::is_same_v<Record, Material>) own["kind"] = nameOf(record.kind);
        for (const Field& field : fieldsOf(record)) {
            const std::string column = columnOf(field.key);
            own[column] = field.text;
            if (std::ranges::find(header, column) == header.end()) header.push_back(column);
        }
    }
    std::vector<CsvRow> rows{header};
    for (auto& own : cells) {
        CsvRow row;
        for (const std::string& column : header)
            row.push_back(own[column]);
        rows.push_back(std::move(row));
    }
    return rows;
}

Place cellPlace(std::size_t row, const std::string& column) { return Place("line " + std::to_string(row + 1) + ", " + column); }

// One row's cells written into a record, field by field.
template <class Record>
void fill(Record& record, const CsvRow& header, const CsvRow& row, std::size_t line, Faults& faults) {
    std::map<std::string, std::string> keyOf;
    for (const Field& field : fieldsOf(record))
        keyOf[columnOf(field.key)] = field.key;
    for (std::size_t c = 0; c < header.size() && c < row.size(); ++c) {
        if (header[c] == "id" || header[c] == "kind" || row[c].empty()) continue;
        const auto key = keyOf.find(header[c]);
        if (key == keyOf.end()) {
            faults.push_back(
                {cellPlace(line, header[c]), say("expected nothing here for this kind, got \"{}\"", row[c]), say("leave the cell empty")});
            continue;
        }
        const auto changed = withField(record, key->second, row[c], Place());
        if (changed)
            record = *changed;
        else
            for (const Fault& fault : changed.error())
                faults.push_back({cellPlace(line, header[c]), fault.what, fault.remedy});
    }
}

template <class Record>
void take(std::vector<Record>& into, Record record, Imported& imported) {
    Record* there = findById(into, record.id);
    if (!there) {
        into.push_back(std::move(record));
        ++imported.added;
    } else if (!(*there == record)) {
        *there = std::move(record);
        ++imported.changed;
    }
}

}  // namespace

Result<std::vector<CsvRow>> parseCsv(std::string_view bytes) {
    const std::string text = decodeText(bytes).text;
    std::vector<CsvRow> rows;
    CsvRow row;
    std::string cell;
    bool quoted = false;
    std::size_t line = 1, opened = 1;
    const auto endRow = [&] {
        row.push_back(std::move(cell));
        cell.clear();
        if (row.size() > 1 || !row.front().empty()) rows.push_back(std::move(row));
        row.clear();
    };
    for (std::size_t i = 0; i < text.size(); ++i) {
        const char c = text[i];
        if (c == '\n') ++line;
        if (quoted) {
            if (c != '"')
                cell += c;
            else if (i + 1 < text.size() && text[i + 1] == '"')
                cell += text[++i];
            else
                quoted = false;
        } else if (c == '"' && cell.empty()) {
            quoted = true;
            opened = line;
        } else if (c == ',') {
            row.push_back(std::move(cell));
            cell.clear();
        } else if (c == '\n')
            endRow();
        else if (c != '\r')
            cell += c;
    }
    if (quoted) return fail(Place("line " + std::to_string(opened)), say("expected the quote that opens here to close"));
    if (!cell.empty() || !row.empty()) endRow();
    return rows;
}

std::string writeCsv(const std::vector<CsvRow>& rows) {
    std::string text;
    for (const CsvRow& row : rows) {
        for (std::size_t i = 0; i < row.size(); ++i) {
            if (i > 0) text += ',';
            if (row[i].find_first_of(",\"\r\n") == std::string::npos) {
                text += row[i];
                continue;
            }
            text += '"';
            for (const char c : row[i])
                text += c == '"' ? std::string("\"\"") : std::string(1, c);
            text += '"';
        }
        text += "\r\n";
    }
    return text;
}

std::string hooksToCsv(const std::vector<HookSpec>& hooks) { return writeCsv(rowsOf(hooks, {"id", "name", "size", "family"})); }
std::string materialsToCsv(const std::vector<Material>& materials) { return writeCsv(rowsOf(materials, {"id", "kind", "name"})); }

Result<Imported> importCsv(const Book& book, std::string_view text) {
    const auto rows = parseCsv(text);
    if (!rows) return tl::unexpected(rows.error());
    if (rows->empty()) return fail(Place("line 1"), say("expected a header row, got nothing"));
    const CsvRow& header = rows->front();
    const auto column = [&](std::string_view name) { return static_cast<std::size_t>(std::ranges::find(header, name) - header.begin()); };
    const std::size_t id = column("id");
    const std::size_t kind = column("kind");
    const bool hooks = column("size") < header.size() && kind == header.size();
    if (id == header.size() || (!hooks && kind == header.size()))
        return fail(Place("line 1"), say("expected a column id and either size (hooks) or kind (materials)"));
    Imported imported{book, 0, 0, decodeText(text).encoding};
    Faults faults;
    std::set<std::string> seen;
    for (std::size_t r = 1; r < rows->size(); ++r) {
        const CsvRow& row = (*rows)[r];
        const std::string own = id < row.size() ? std::string(trimmed(row[id])) : std::string();
        if (own.empty() || !seen.insert(own).second) {
            faults.push_back({cellPlace(r, "id"),
                              own.empty() ? say("expected an id, got nothing") : say("expected each id once, got \"{}\" again", own), ""});
            continue;
        }
        if (hooks) {
            HookSpec hook;
            hook.id = HookId(own);
            fill(hook, header, row, r, faults);
            take(imported.book.hooks, std::move(hook), imported);
        } else {
            const auto made = kind < row.size() ? fromName<MaterialKind>(trimmed(row[kind])) : std::nullopt;
            if (!made) {
                faults.push_back(notAsExpected(cellPlace(r, "kind"), listOfNames<MaterialKind>(), kind < row.size() ? row[kind] : ""));
                continue;
            }
            Material material;
            material.id = MaterialId(own);
            material.kind = *made;
            material.traits = traitsFor(*made);
            fill(material, header, row, r, faults);
            take(imported.book.materials, std::move(material), imported);
        }
    }
    if (faults.empty()) faults = check(imported.book);
    if (!faults.empty()) return tl::unexpected(faults);
    return imported;
}

namespace {

std::string lettersOf(std::string_view text) {
    std::string plain;
    for (const char c : text) {
        if (c >= 'A' && c <= 'Z')
            plain += static_cast<char>(c - 'A' + 'a');
        else if ((c >= 'a' && c <= 'z') || (c >= '0' && c <= '9'))
            plain += c;
    }
    return plain;
}

// A row of a table of days, by our names.
class DayRow {
  public:
    DayRow(const Book& book, const CsvRow& header, const CsvRow& row, std::size_t line, const ColumnMapping& mapping, Faults& faults)
        : book_(book), line_(line), faults_(faults) {
        for (std::size_t c = 0; c < header.size() && c < row.size(); ++c)
            if (const auto ours = mapping.find(header[c]); ours != mapping.end() && !trimmed(row[c]).empty())
                cells_[ours->second] = {header[c], std::string(trimmed(row[c]))};
    }
    [[nodiscard]] bool has(const char* column) const { return cells_.contains(column); }
    [[nodiscard]] std::string text(const char* column) const { return has(column) ? cells_.at(column).second : std::string(); }
    [[nodiscard]] std::optional<double> number(const char* column, double least, double most) const {
        if (!has(column)) return std::nullopt;
        const auto value = parseNumber(text(column));
        if (!value || *value < least || *value > most) {
            wrong(column, say("a number from {} to {}", formatShort(least, 2), formatShort(most, 2)));
            return std::nullopt;
        }
        return value;
    }
    template <class Enum>
    [[nodiscard]] std::optional<Enum> named(const char* column) const {
        if (!has(column)) return std::nullopt;
        const auto value = fromName<Enum>(text(column));
        if (!value) wrong(column, listOfNames<Enum>());
        return value;
    }
    // A dressing by id or by its name, and after an @ the hook that it was on, by id or name.
    [[nodiscard]] std::optional<Fly> fly(const char* column) const {
        if (!has(column)) return std::nullopt;
        const std::string all = text(column);
        const std::size_t at = all.rfind(kOnHook);
        const std::string dressing = all.substr(0, at);
        for (const Pattern& pattern : book_.patterns) {
            if (pattern.id == all || pattern.title() == all) return Fly(pattern.id);
            if (at == std::string::npos || (pattern.id != dressing && pattern.title() != dressing)) continue;
            const std::string on = all.substr(at + kOnHook.size());
            for (const HookSpec& hook : book_.hooks)
                if (hook.id == on || hook.name == on) return Fly(pattern.id, hook.id);
        }
        wrong(column, say("a dressing of the book, or one on a hook of it as \"dressing @ hook\""));
        return std::nullopt;
    }
    [[nodiscard]] std::optional<WaterId> water() const {
        if (!has("water")) return std::nullopt;
        for (const WaterSpec& water : book_.waters)
            if (water.id == text("water") || water.title() == text("water")) return water.id;
        wrong("water", say("a water of the book"));
        return std::nullopt;
    }
    [[nodiscard]] std::optional<bool> yes(const char* column) const {
        if (!has(column)) return std::nullopt;
        const std::string word = lettersOf(text(column));
        if (word == "yes" || word == "true" || word == "1" || word == "kept") return true;
        if (word == "no" || word == "false" || word == "0" || word == "returned") return false;
        wrong(column, say("yes or no"));
        return std::nullopt;
    }
    void wrong(const char* column, const std::string& expected) const {
        faults_.push_back(notAsExpected(cellPlace(line_, has(column) ? cells_.at(column).first : column), expected, text(column)));
    }

  private:
    const Book& book_;
    std::size_t line_;
    Faults& faults_;
    std::map<std::string, std::pair<std::string, std::string>> cells_;  // our column to theirs and the text
};

}  // namespace

namespace {
std::string flyText(const std::optional<Fly>& fly) {
    return !fly ? std::string() : fly->hook ? fly->pattern + std::string(kOnHook) + *fly->hook : fly->pattern;
}
}  // namespace

std::string daysToCsv(const Book& book) {
    CsvRow header(kDayColumns.begin(), kDayColumns.end());
    header.insert(header.end(), {"depth_m", "note", "upper", "lower"});
    std::vector<CsvRow> rows{header};
    const auto number = [](const auto& value, auto unit) { return value ? formatShort(*value / unit, 9) : std::string(); };
    for (const Day& day : book.days) {
        const CsvRow common = {day.date,
                               "",
                               day.water.value_or(""),
                               day.rods ? std::to_string(*day.rods) : "",
                               number(day.wind, metrePerSecond),
                               number(day.wave, metre),
                               day.light ? std::string(nameOf(*day.light)) : ""};
        const auto row = [&](const char* kind, const CsvRow& own) {
            CsvRow whole = common;
            whole[1] = kind;
            whole.insert(whole.end(), own.begin(), own.end());
            rows.push_back(std::move(whole));
        };
        for (const Outing& outing : day.outings)
            row("outing", {formatShort(outing.hours, 9), flyText(outing.at(Position::bob)), flyText(outing.at(Position::middle)),
                           flyText(outing.at(Position::point)), "", "", "", "", day.note.value_or(""), flyText(outing.at(Position::upper)),
                           flyText(outing.at(Position::lower))});
        for (const Fish& fish : day.fish)
            row("fish", {"", "", "", "", flyText(flyOf(fish)), std::string(nameOf(fish.position)),
                         fish.lost.value_or(false) ? "lost"
                         : fish.kept               ? (*fish.kept ? "yes" : "no")
                                                   : "",
                         number(fish.depth, metre), "", "", ""});
        if (day.outings.empty() && day.fish.empty()) row("day", {"", "", "", "", "", "", "", "", day.note.value_or(""), "", ""});
    }
    return writeCsv(rows);
}

Result<ColumnMapping> guessColumns(std::string_view text) {
    const auto rows = parseCsv(text);
    if (!rows) return tl::unexpected(rows.error());
    if (rows->empty()) return fail(Place("line 1"), say("expected a header row, got nothing"));
    ColumnMapping mapping;
    for (const std::string& column : rows->front()) {
        mapping[column] = {};
        for (const std::string_view ours : kDayColumns)
            if (lettersOf(column) == lettersOf(ours)) mapping[column] = std::string(ours);
        if (lettersOf(column) == "depthm") mapping[column] = "depth_m";
        for (const char* more : {"note", "upper", "lower"})
            if (lettersOf(column) == more) mapping[column] = more;
    }
    return mapping;
}

namespace {

void takeConditions(const DayRow& row, Day& day) {
    if (const auto water = row.water()) day.water = water;
    if (const auto rods = row.number("rods", 1, 64)) day.rods = static_cast<int>(*rods);
    if (const auto wind = row.number("wind_m_s", 0, 60)) day.wind = *wind * metrePerSecond;
    if (const auto wave = row.number("wave_m", 0, 20)) day.wave = *wave * metre;
    if (const auto light = row.named<Light>("light")) day.light = light;
    if (row.has("note")) day.note = row.text("note");
}

void takeOuting(const DayRow& row, Day& day) {
    constexpr double kDay = 24.0;  // h
    if (const auto hours = row.number("hours", 0.01, kDay)) {
        Outing outing{*hours, {}};
        for (const auto& position : Names<Position>::entries)
            outing.flies[position.value] = row.fly(position.name.data());
        day.outings.push_back(std::move(outing));
    }
    if (hoursOf(day) > kDay) row.wrong("hours", say("at most 24 hours in a day"));
}

void takeFish(const DayRow& row, Day& day) {
    const auto fly = row.fly("fly");
    const auto position = row.named<Position>("position");
    if (!row.has("position")) row.wrong("position", say("a position for a fish: {}", listOfNames<Position>()));
    const auto depth = row.number("depth_m", 0.0, 1000.0);
    if (!fly || !position) return;
    const bool lost = lettersOf(row.text("kept")) == "lost";
    Fish fish;
    fish.pattern = fly->pattern;
    fish.hook = fly->hook;
    fish.position = *position;
    fish.kept = lost ? std::optional(false) : row.yes("kept");
    if (depth) fish.depth = *depth * metre;
    if (lost) fish.lost = true;
    day.fish.push_back(std::move(fish));
}

// The day of a date, begun where there is none, among the others by its date.
std::pair<Day&, bool> dayOf(std::vector<Day>& days, const std::string& date) {
    if (const auto day = std::ranges::find(days, date, &Day::date); day != days.end()) return {*day, false};
    Day fresh;
    fresh.date = date;
    fresh.id = freeIdIn(days, date);
    return {putByDate(days, std::move(fresh)), true};
}

}  // namespace

Result<Imported> importDays(const Book& book, std::string_view text, const ColumnMapping& mapping) {
    const auto rows = parseCsv(text);
    if (!rows) return tl::unexpected(rows.error());
    if (rows->empty()) return fail(Place("line 1"), say("expected a header row, got nothing"));
    if (std::ranges::none_of(mapping, [](const auto& m) { return m.second == "date"; }))
        return fail(Place("line 1"), say("expected one of the columns to be the date"), say("say which column is the date"));
    Imported imported{book, 0, 0, decodeText(text).encoding};
    Faults faults;
    std::set<std::string> touched;
    for (std::size_t r = 1; r < rows->size(); ++r) {
        if ((*rows)[r].size() == 1 && trimmed((*rows)[r].front()).empty()) continue;  // an empty line
        const DayRow row(book, rows->front(), (*rows)[r], r, mapping, faults);
        const std::string date = row.text("date");
        if (!isDate(date)) {
            row.wrong("date", say(kDate.noun));
            continue;
        }
        const auto [day, begun] = dayOf(imported.book.days, date);
        if (touched.insert(date).second) ++(begun ? imported.added : imported.changed);
        takeConditions(row, day);
        const std::string kind = row.text("row");
        if (row.has("hours") && kind != "fish") takeOuting(row, day);
        if (row.has("fly") && kind != "outing") takeFish(row, day);
    }
    if (!faults.empty()) return tl::unexpected(faults);
    return imported;
}

}  // namespace machair::store
