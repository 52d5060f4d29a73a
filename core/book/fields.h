// The single fields of a part, hook or material, as text: what the ticket and the drawers show and edit. Built from the same descriptions that read
// the files, so that every key of every part can be edited and has the same limits in both places.
#pragma once

#include <string>
#include <string_view>
#include <vector>

#include "book/book.h"
#include "faults/faults.h"

namespace machair {

enum class FieldKind { length, station, count, number, choice, text };

struct Field {
    std::string key;    // as in the file
    std::string label;  // for people
    FieldKind kind = FieldKind::number;
    std::string text;   // empty where nothing is written and the usual holds
    std::vector<std::string> choices;
    bool optional = true;  // may be left empty
    bool primary = false;  // what a tier reaches for first in such a part
};

[[nodiscard]] std::vector<Field> fieldsOf(const Part& part);

// The part with one field changed; empty text goes back to the usual. Faults stand at `place`.key(key): a text that
// can't be read, a number outside its limits, an empty field that must be there.
[[nodiscard]] Result<Part> withField(const Part& part, std::string_view key, std::string_view text, const Place& place);

// The same for what lies in the drawers. A hook's measures stand among its fields ("measured.shank_mm").
[[nodiscard]] std::vector<Field> fieldsOf(const HookSpec& hook);
[[nodiscard]] std::vector<Field> fieldsOf(const Material& material);
[[nodiscard]] std::vector<Field> fieldsOf(const SchoolChoices& schools);
[[nodiscard]] Result<SchoolChoices> withField(const SchoolChoices& schools, std::string_view key, std::string_view text, const Place& place);
[[nodiscard]] Result<HookSpec> withField(const HookSpec& hook, std::string_view key, std::string_view text, const Place& place);
[[nodiscard]] Result<Material> withField(const Material& material, std::string_view key, std::string_view text, const Place& place);

// A dressing's own: its thread, role, limit, notes and what it was varied from; not its parts and schools.
[[nodiscard]] std::vector<Field> fieldsOf(const Pattern& pattern);
[[nodiscard]] Result<Pattern> withField(const Pattern& pattern, std::string_view key, std::string_view text, const Place& place);

// Of teams and waters. Fields in metres or metres a second are read and shown as plain numbers of those.
[[nodiscard]] std::vector<Field> fieldsOf(const LeaderSpec& leader);
[[nodiscard]] std::vector<Field> fieldsOf(const TeamSchool& school);
[[nodiscard]] std::vector<Field> fieldsOf(const WaterSpec& water);
[[nodiscard]] std::vector<Field> fieldsOf(const RuleCard& card);
[[nodiscard]] std::vector<Field> fieldsOf(const SeasonRow& row);
[[nodiscard]] Result<SeasonRow> withField(const SeasonRow& row, std::string_view key, std::string_view text, const Place& place);
[[nodiscard]] Result<LeaderSpec> withField(const LeaderSpec& leader, std::string_view key, std::string_view text, const Place& place);
[[nodiscard]] Result<TeamSchool> withField(const TeamSchool& school, std::string_view key, std::string_view text, const Place& place);
[[nodiscard]] Result<WaterSpec> withField(const WaterSpec& water, std::string_view key, std::string_view text, const Place& place);
[[nodiscard]] Result<RuleCard> withField(const RuleCard& card, std::string_view key, std::string_view text, const Place& place);

// Of a day on the water, without what was fished and caught.
[[nodiscard]] std::vector<Field> fieldsOf(const Day& day);
[[nodiscard]] Result<Day> withField(const Day& day, std::string_view key, std::string_view text, const Place& place);

[[nodiscard]] std::vector<Field> fieldsOf(const Stock& stock);
[[nodiscard]] Result<Stock> withField(const Stock& stock, std::string_view key, std::string_view text, const Place& place);
[[nodiscard]] std::vector<Field> fieldsOf(const Batch& batch);
[[nodiscard]] Result<Batch> withField(const Batch& batch, std::string_view key, std::string_view text, const Place& place);

// What a key of one record is called: "rear_diameter" is "thick at the rear". The words stand beside the key in describe.h.
[[nodiscard]] std::string fieldLabel(const std::vector<Field>& fields, std::string_view key);

}  // namespace machair
