#include "store/csv.h"

#include <algorithm>
#include <map>
#include <set>

#include "book/fields.h"
#include "units/text.h"

namespace machair::store {

namespace {

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
        for (const std::string& column : header) row.push_back(own[column]);
        rows.push_back(std::move(row));
    }
    return rows;
}

Place cellPlace(std::size_t row, const std::string& column) { return Place("line " + std::to_string(row + 1) + ", " + column); }

// One row's cells written into a record, field by field.
template <class Record>
void fill(Record& record, const CsvRow& header, const CsvRow& row, std::size_t line, Faults& faults) {
    std::map<std::string, std::string> keyOf;
    for (const Field& field : fieldsOf(record)) keyOf[columnOf(field.key)] = field.key;
    for (std::size_t c = 0; c < header.size() && c < row.size(); ++c) {
        if (header[c] == "id" || header[c] == "kind" || row[c].empty()) continue;
        const auto key = keyOf.find(header[c]);
        if (key == keyOf.end()) {
            faults.push_back({cellPlace(line, header[c]), "expected nothing here for this kind, got \"" + row[c] + "\"", "leave the cell empty"});
            continue;
        }
        const auto changed = withField(record, key->second, row[c], Place());
        if (changed)
            record = *changed;
        else
            for (const Fault& fault : changed.error()) faults.push_back({cellPlace(line, header[c]), fault.what, fault.remedy});
    }
}

template <class Record>
void take(std::vector<Record>& into, Record record, Imported& imported) {
    const auto there = std::ranges::find(into, record.id, &Record::id);
    if (there == into.end()) {
        into.push_back(std::move(record));
        ++imported.added;
    } else if (!(*there == record)) {
        *there = std::move(record);
        ++imported.changed;
    }
}

}  // namespace

Result<std::vector<CsvRow>> parseCsv(std::string_view text) {
    std::vector<CsvRow> rows;
    CsvRow row;
    std::string cell;
    bool quoted = false;
    std::size_t line = 1, opened = 1;
    if (text.starts_with("\xef\xbb\xbf")) text.remove_prefix(3);  // spreadsheets put a mark there
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
    if (quoted) return fail(Place("line " + std::to_string(opened)), "expected the quote that opens here to close");
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
            for (const char c : row[i]) text += c == '"' ? std::string("\"\"") : std::string(1, c);
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
    if (rows->empty()) return fail(Place("line 1"), "expected a header row, got nothing");
    const CsvRow& header = rows->front();
    const auto column = [&](std::string_view name) { return static_cast<std::size_t>(std::ranges::find(header, name) - header.begin()); };
    const std::size_t id = column("id");
    const std::size_t kind = column("kind");
    const bool hooks = column("size") < header.size() && kind == header.size();
    if (id == header.size() || (!hooks && kind == header.size()))
        return fail(Place("line 1"), "expected a column id and either size (hooks) or kind (materials)");
    Imported imported{book, 0, 0};
    Faults faults;
    std::set<std::string> seen;
    for (std::size_t r = 1; r < rows->size(); ++r) {
        const CsvRow& row = (*rows)[r];
        const std::string own = id < row.size() ? std::string(trimmed(row[id])) : std::string();
        if (own.empty() || !seen.insert(own).second) {
            faults.push_back({cellPlace(r, "id"), own.empty() ? "expected an id, got nothing" : "expected each id once, got \"" + own + "\" again", ""});
            continue;
        }
        if (hooks) {
            HookSpec hook;
            hook.id = own;
            fill(hook, header, row, r, faults);
            take(imported.book.hooks, std::move(hook), imported);
        } else {
            const auto made = kind < row.size() ? fromName<MaterialKind>(trimmed(row[kind])) : std::nullopt;
            if (!made) {
                faults.push_back({cellPlace(r, "kind"), "expected " + listOfNames<MaterialKind>() + ", got \"" + (kind < row.size() ? row[kind] : "") + "\"", ""});
                continue;
            }
            Material material;
            material.id = own;
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

}  // namespace machair::store
