// The single fields of a part, hook or material, as text: what the ticket and the drawers show and edit. Built from the
// same descriptions that read the files, so that every key of every part can be edited and has the same limits in both
// places.
#pragma once

#include <string>
#include <string_view>
#include <vector>

#include "book/book.h"
#include "faults/faults.h"

namespace machair {

enum class FieldKind { length, station, count, number, choice, text, date, record, records, fly };

struct Field {
    std::string key;    // as in the file
    std::string label;  // for people
    FieldKind kind = FieldKind::number;
    std::string text;  // empty where nothing is written and the usual holds
    std::vector<std::string> choices;
    bool optional = true;  // may be left empty
    bool primary = false;  // what a tier reaches for first in such a part
    // The list that a record, each of several with commas, or a fly's dressing is in: its text is the id.
    std::string refersTo = {};
};

[[nodiscard]] std::vector<Field> fieldsOf(const Part& part);

// The part with one field changed; empty text goes back to the usual. Faults stand at `place`.key(key): a text that
// can't be read, a number outside its limits, an empty field that must be there.
[[nodiscard]] Result<Part> withField(const Part& part, std::string_view key, std::string_view text, const Place& place);

// The same for every record of a book, and for the rows within one: without what names it or decides its shape (id,
// kind, measured), its parts and its tables. Those of a record within it stand among its own: a hook's
// "measured.shank_mm", a team's "leader.dropper_m". Fields in metres or metres a second are read and shown as plain
// numbers of those.
template <class Record>
[[nodiscard]] std::vector<Field> fieldsOf(const Record& record);
template <class Record>
[[nodiscard]] Result<Record> withField(const Record& record, std::string_view key, std::string_view text, const Place& place);

// What a key without words of its own is called: "from_mm" is "from, mm".
[[nodiscard]] std::string sayKey(std::string_view key);
// Without its unit, where that stands beside its number: "from".
[[nodiscard]] std::string sayMeasure(std::string_view key);
// What a key of one record is called: "rear_diameter" is "thick at the rear". The words stand beside the key in
// describe.h.
[[nodiscard]] std::string fieldLabel(const std::vector<Field>& fields, std::string_view key);
// What an edit of that key says: "wind, m/s 7", "a drogue out", "not a drogue out"; `unsaid` where the text is empty ("left open").
[[nodiscard]] std::string sayField(const std::vector<Field>& fields, std::string_view key, std::string_view text, std::string_view unsaid);

}  // namespace machair
