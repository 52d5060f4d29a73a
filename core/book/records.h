// Any record of a book by its list and id: what it is called, what it says of itself, the rows that stand in it, who
// refers to it; and the edits that make, change and take out any of them. All of it runs over the descriptions of
// describe.h, so that whatever a bench file can hold can be made, changed and taken out.
//
// Where a kind of record has edits of its own (edits.h, team_edits.h, record_edits.h, kinds.h), these go through them.
#pragma once

#include <string>
#include <string_view>
#include <vector>

#include "book/edits.h"
#include "book/fields.h"

namespace machair {

struct RecordId {
    std::string list;  // as in the bench file: "rule_cards"
    std::string id;
    bool operator==(const RecordId&) const = default;
};

// A row of a table within a record: the third fish of a day, the first band of a cape.
struct RowId {
    std::string table;  // its key: "fish"
    std::size_t row = 0;
    bool operator==(const RowId&) const = default;
};

// What people call a record of a list: {"rule_cards", "rule card"}, in the order of a tier's day.
struct ListName {
    std::string_view list;
    std::string_view one;
};
[[nodiscard]] const std::vector<ListName>& listNames();
[[nodiscard]] std::string_view nameOfOne(std::string_view list);  // the list's own name where it has none

// Ids in the order of the book; empty for no such list.
[[nodiscard]] std::vector<std::string> idsIn(const Book& book, std::string_view list);
[[nodiscard]] bool isIn(const Book& book, const RecordId& record);
// "Kelp Lantern", "6 of Kelp Lantern", "Bronze flank, left, 70 mm", "2026-06-12, Loch Skerrin"; its id where the book
// lacks it.
[[nodiscard]] std::string titleOf(const Book& book, const RecordId& record);
// Of one that is at hand.
template <class Record>
[[nodiscard]] std::string titleOf(const Book& book, const Record& record);

// A table within a record.
struct RecordTable {
    std::string key;
    std::string label;
    std::string one;                // what a row of it is: "fish"
    std::vector<std::string> rows;  // each in a few words
};
[[nodiscard]] std::vector<RecordTable> tablesOf(const Book& book, const RecordId& record);

// Faults: no such record, table or row.
[[nodiscard]] Result<std::vector<Field>> fieldsAt(const Book& book, const RecordId& record);
[[nodiscard]] Result<std::vector<Field>> fieldsAt(const Book& book, const RecordId& record, const RowId& row);

// One field of it; empty text goes back to the usual. Faults as withField, and whatever check() says of the book then.
[[nodiscard]] Result<Edit> changeRecord(const Book& book, const RecordId& record, std::string_view key, std::string_view text,
                                        Source source = Source::typed);
// The same of several of one kind, as one edit; none where one refuses it.
[[nodiscard]] Result<Edit> changeRecords(const Book& book, const std::vector<RecordId>& records, std::string_view key,
                                         std::string_view text);
[[nodiscard]] Result<Edit> changeRow(const Book& book, const RecordId& record, const RowId& row, std::string_view key,
                                     std::string_view text);

// A row at the end of a table, like the last one there or with what the book has first. A fault where it needs
// something that the book lacks.
[[nodiscard]] Result<Edit> addRow(const Book& book, const RecordId& record, std::string_view table);
[[nodiscard]] Result<Edit> removeRow(const Book& book, const RecordId& record, const RowId& row);

// A new record of a list, about something: a feather of a material, a team with a fly, a batch of a dressing, a
// material of a kind by its name, a day by its date. Without it, about the first thing of the book that will do.
[[nodiscard]] Result<NewRecord> addRecord(const Book& book, std::string_view list, std::string_view about = {});
// The same once more, under an id and, where it has one, a name of its own. A fault for a day: there is one of a date.
[[nodiscard]] Result<NewRecord> copyRecord(const Book& book, const RecordId& record);
// Named anew. A fault where such a record has no name.
[[nodiscard]] Result<Edit> renameRecord(const Book& book, const RecordId& record, std::string_view name);

// Records that would be broken without this one, each once, in the order of the book. What only tells of the past is
// not among them.
struct Holder {
    RecordId record;
    std::string title;
};
[[nodiscard]] std::vector<Holder> heldBy(const Book& book, const RecordId& record);
// A fault that names its holders where it has any. A dressing leaves teams, box and batches of itself; a material its
// stock, feathers and capes, which are nothing without it.
[[nodiscard]] Result<Edit> removeRecord(const Book& book, const RecordId& record);

}  // namespace machair
