// Is this fly as planned: what to measure on it and in which order, the verdict on each reading, what to look for, and
// which wings, cheeks or flies of a heap make the best pairs.
#pragma once

#include <map>
#include <optional>
#include <string>
#include <vector>

#include "book/edits.h"
#include "sizing/handles.h"
#include "sizing/plan.h"

namespace machair {

// One length that a calliper or a photograph can take.
struct CheckItem {
    std::size_t part = 0;
    std::string figure;  // as `plan --json` calls it
    std::string name;    // "tail length"
    Length planned;
    Length tolerance;
    Length aim;     // where this hand should aim so that it lands as planned
    int flies = 0;  // checked before, that the aim rests on
};
// In measuring order, from back to front. The aim is the plan's where none of this part were checked yet.
[[nodiscard]] std::vector<CheckItem> checkItems(const Plan& plan, const Book& book);
// What a measured thing is called, by its key among the deviations: "tail length" of "tail length_mm".
[[nodiscard]] std::string sayMeasured(const std::string& kindAndFigure);
// The same from deviations that are at hand (hand/hand.h): going over years of checks is not for every frame.
using Deviations = std::map<std::string, std::vector<double>>;
[[nodiscard]] std::vector<CheckItem> checkItems(const Plan& plan, const Deviations& deviations);

// "aim for 8.9 to land at 9.3 mm": of a part that this hand always ties long or short; empty where it doesn't.
[[nodiscard]] std::string sayAim(const std::vector<CheckItem>& items, std::size_t part);

enum class Finding { asPlanned, tooLong, tooShort };
struct Judged {
    Finding finding = Finding::asPlanned;
    Length off;
    std::string words;  // "11.9 mm, 0.2 over: as planned"
};
[[nodiscard]] Judged judge(const CheckItem& item, Length measured);

// The checks that are seen and not measured, from the dressing's own parts, each with what to do about it.
struct Look {
    std::string id;    // "wing": what the book keeps, however the words change
    std::string what;  // "wing central and low"
    std::string mend;
};
[[nodiscard]] std::vector<Look> looksOf(const Plan& plan);

// A checked fly into the book, with its readings (absent: not measured) against what was aimed for, and the looks that
// failed. Faults: nothing measured and nothing looked at; as many readings as items are wanted.
struct CheckEntry {
    DressingId pattern;
    std::string date;
    std::vector<std::optional<Length>> readings;  // by item
    std::vector<std::string> faults;              // ids of looks
    std::optional<std::string> photo;
};
[[nodiscard]] Result<Edit> recordCheck(const Book& book, const std::vector<CheckItem>& items, const CheckEntry& entry);

// What a place on a photograph says of a part: the tip or edge that `handle` is about lies at `to` in the hook's frame.
// Nothing for a handle that is no length of its own (a rib turn, a taper).
struct MeasuredLength {
    std::string figure;
    Length length;
};
[[nodiscard]] std::optional<MeasuredLength> measuredAt(const Plan& plan, const Handle& handle, Point2 to);
// Between which two places of the profile a calliper measures what this handle stands on; nothing for what isn't measured.
struct Jaws {
    Point2 from, to;
};
[[nodiscard]] std::optional<Jaws> jawsAt(const Plan& plan, const Handle& handle);

// The best pairing of a heap: most pairs, then the least sum of differences, exactly. On one measure neighbours in order
// make the best pairs, so with an odd heap only the one left out is searched for; O(n log n).
struct Pairing {
    std::vector<std::pair<std::size_t, std::size_t>> pairs;  // indices into the heap, the longer second
    std::optional<std::size_t> left;
    Length worst;  // difference
    Length sum;
};
[[nodiscard]] Pairing bestPairs(const std::vector<Length>& heap);
// Lefts against rights: each with the other at the same place in order; what is left over where one side has more is
// chosen so that the sum is least. O(n·m).
[[nodiscard]] Pairing bestPairs(const std::vector<Length>& lefts, const std::vector<Length>& rights);

}  // namespace machair
