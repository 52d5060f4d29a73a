// Faults are values: where something is wrong, what is wrong there, and what would mend it.
//
// A function that can fail on its input returns a Result. A broken environment (disk, memory) throws instead.
#pragma once

#include <cstddef>
#include <stdexcept>
#include <string>
#include <string_view>
#include <tl/expected.hpp>
#include <vector>

#include "language/say.h"

namespace machair {

// A place in a document as formats.md writes it: `patterns[2].parts[4].turns`.
class Place {
  public:
    Place() = default;
    explicit Place(std::string text) : text_(std::move(text)) {}

    [[nodiscard]] Place key(std::string_view name) const;
    [[nodiscard]] Place at(std::size_t index) const;
    [[nodiscard]] const std::string& text() const { return text_; }
    bool operator==(const Place&) const = default;

  private:
    std::string text_;
};

struct Fault {
    Place place;
    std::string what;    // what was expected and what was found
    std::string remedy;  // what would do; empty where `what` says it all

    // One line, `PLACE: what; remedy`.
    [[nodiscard]] std::string line() const;
    bool operator==(const Fault&) const = default;
};

using Faults = std::vector<Fault>;

template <class T>
using Result = tl::expected<T, Faults>;

[[nodiscard]] inline tl::unexpected<Faults> fail(Fault fault) { return tl::unexpected<Faults>(Faults{std::move(fault)}); }
[[nodiscard]] inline tl::unexpected<Faults> fail(Place place, std::string what, std::string remedy = {}) {
    return fail(Fault{std::move(place), std::move(what), std::move(remedy)});
}

// A text that isn't what it should be: `what` as people read it, "a date as 2026-05-02".
[[nodiscard]] inline Fault notAsExpected(Place place, std::string_view what, std::string_view got) {
    return {std::move(place), say("expected {}, got \"{}\"", what, got), ""};
}

// A name that nothing has: `what` is "hook", "dressing", …
[[nodiscard]] inline tl::unexpected<Faults> noSuch(Place place, std::string_view what, std::string_view id) {
    return fail(std::move(place), say("expected the id of a {}, got \"{}\"", say(what), id));
}

void append(Faults& to, const Faults& more);

// A broken contract between our own functions: a programming error, never an input's fault. Stays on in release.
class BrokenContract : public std::logic_error {
  public:
    using std::logic_error::logic_error;
};

inline void require(bool holds, const char* what) {
    if (!holds) throw BrokenContract(what);
}

}  // namespace machair
