// A part of a book with all it needs, to give away as a small bench file; and taking one in: what of it is new here, what is
// here already, what differs. Nothing is taken in silence.
#pragma once

#include <string>
#include <vector>

#include "book/records.h"

namespace machair {

// These records and all that they refer to, and so on: a book that is sound by itself. What only tells of the past is left out.
// A fault for a record that isn't there.
[[nodiscard]] Result<Book> shareOf(const Book& book, const std::vector<RecordId>& wanted);

enum class Arrival { fresh, same, differs };
struct Arriving {
    RecordId record;  // as the other book has it
    std::string title;
    Arrival how = Arrival::fresh;
    std::vector<std::string> differences;  // "denier 72, here 70"; a few
};
// All records of the other book in the order of the lists. The same things are the same whatever this book calls them.
[[nodiscard]] std::vector<Arriving> arrivalsOf(const Book& book, const Book& other);

// These records of the other book, with what they need of it: fresh ones under their ids, those that differ beside ours under ids of
// their own, and all references follow. What is here already is ours. A fault where that would not be a sound book.
[[nodiscard]] Result<Edit> takeIn(const Book& book, const Book& other, const std::vector<RecordId>& wanted, std::string words);

}  // namespace machair
