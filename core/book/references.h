// What refers to what in a book: one visitor over the descriptions of its records (describe.h), for checking, taking out
// and whatever else has to know.
#pragma once

#include <functional>

#include "book/book.h"

namespace machair {

// One id in one record that is the id of another.
class Reference {
  public:
    std::string_view list;  // where the record that refers stands: "batches"
    std::size_t index = 0;  // its place there
    std::string_view to;    // the list of what it refers to: "patterns"
    std::string_view noun;  // "the id of a dressing"
    std::string_view id;
    bool past = false;  // it may be gone: the record tells of what was

    // "batches[2].pattern". Made only where somebody asks: there may be very many references.
    [[nodiscard]] Place place() const { return place_(); }

    Reference(std::string_view list_, std::size_t index_, std::string_view to_, std::string_view noun_, std::string_view id_, bool past_,
              std::function<Place()> place)
        : list(list_), index(index_), to(to_), noun(noun_), id(id_), past(past_), place_(std::move(place)) {}

  private:
    std::function<Place()> place_;
};

void eachReference(const Book& book, const std::function<void(const Reference&)>& visit);

}  // namespace machair
