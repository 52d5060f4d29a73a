// A place while it is walked: a chain of what one stands in, of which nothing is written until a fault wants its words. Reading a book
// and checking it pass through a hundred thousand places and say one or none of them.
#pragma once

#include <cstddef>
#include <string_view>

#include "faults/faults.h"

namespace machair {

// Links up the walker's own stack: a trail lives no longer than the one it hangs on.
class Trail {
  public:
    Trail() = default;  // the document itself
    explicit Trail(std::string_view top) : key_(top) {}
    [[nodiscard]] Trail key(std::string_view name) const { return {this, name, kNoIndex}; }
    [[nodiscard]] Trail at(std::size_t index) const { return {this, {}, index}; }
    [[nodiscard]] bool isId() const { return key_ == "id"; }
    [[nodiscard]] operator Place() const;  // NOLINT: a place is what it says

  private:
    static constexpr std::size_t kNoIndex = static_cast<std::size_t>(-1);
    Trail(const Trail* up, std::string_view key, std::size_t index) : up_(up), key_(key), index_(index) {}
    const Trail* up_ = nullptr;
    std::string_view key_;
    std::size_t index_ = kNoIndex;
};

}  // namespace machair
