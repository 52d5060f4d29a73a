// Edits of what was tied and what happened (book/edits.h tells what an edit is).
#pragma once

#include <array>
#include <optional>
#include <string_view>

#include "book/edits.h"

namespace machair {

// Faults: no such date, a day that is in the book already.
// What the water's day says comes along: wind, light, colour, temperature, what is about; `wave` as that wind makes it.
[[nodiscard]] Result<Edit> addDay(const Book& book, std::string_view date, const std::optional<WaterId>& water,
                                  std::optional<Length> wave = std::nullopt);
// What the day was like, corrected afterwards: its wave, wind, light and so on.
[[nodiscard]] Result<Edit> changeDayField(const Book& book, const DayId& day, std::string_view key, std::string_view text);
// In the water, over all its outings.
[[nodiscard]] double hoursOf(const Day& day);
// Into the daybook in the order of the calendar, after what is of the same date.
Day& putByDate(std::vector<Day>& days, Day day);
// A fault where they are more than a day has, or one of them is none.
[[nodiscard]] Faults checkHours(const Day& day, const Place& place);
// A team in the water for so many hours of a day; over 24 in all is a fault.
[[nodiscard]] Result<Edit> addOuting(const Book& book, const DayId& day, double hours, const FliesByPosition& team);
enum class Fate { kept, returned, lost };
[[nodiscard]] Result<Edit> addFish(const Book& book, const DayId& day, Position position, const Fly& fly, Fate fate,
                                   std::optional<Length> depth = std::nullopt);
// A photograph's file; the picture itself stays where it is. A fault where the day has it already.
[[nodiscard]] Result<Edit> addPhoto(const Book& book, const DayId& day, std::string_view file);
[[nodiscard]] Result<Edit> changeDayNote(const Book& book, const DayId& day, std::string_view note);

[[nodiscard]] Result<Edit> addBatch(const Book& book, const DressingId& pattern, int wanted);
// What a batch is for: its day (YYYY-MM-DD), its team, a note.
[[nodiscard]] Result<Edit> changeBatchField(const Book& book, const BatchId& batch, std::string_view key, std::string_view text);
// One more of a batch is tied, and in the box. A fault where all are.
[[nodiscard]] Result<Edit> tieOne(const Book& book, const BatchId& batch);

}  // namespace machair
