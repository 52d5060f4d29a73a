// The written names of enumerations: one table each, read by the files, the command line and the schema.
#pragma once

#include <array>
#include <cstddef>
#include <optional>
#include <string>
#include <string_view>
#include <utility>

#include "language/say.h"

namespace machair {

// Specialised for each enumeration that is written down: `static constexpr std::array entries = {NameOf{…}, …}`.
template <class Enum>
struct Names;

template <class Enum>
struct NameOf {
    Enum value;
    std::string_view name;
};
template <class Enum>
NameOf(Enum, const char*) -> NameOf<Enum>;  // Clang 14 guesses none for an aggregate

template <class Enum>
[[nodiscard]] constexpr std::string_view nameOf(Enum value) {
    for (const auto& entry : Names<Enum>::entries)
        if (entry.value == value) return entry.name;
    return "?";
}

template <class Enum>
[[nodiscard]] constexpr std::optional<Enum> fromName(std::string_view name) {
    for (const auto& entry : Names<Enum>::entries)
        if (entry.name == name) return entry.value;
    return std::nullopt;
}

// A written name as words: "wide_gape" is "wide gape".
[[nodiscard]] inline std::string spaced(std::string_view name) {
    std::string words(name);
    for (char& c : words)
        if (c == '_') c = ' ';
    return words;
}
// The same for people, in their language.
template <class Enum>
[[nodiscard]] std::string sayName(Enum value) {
    return say(spaced(nameOf(value)));
}

// "point, barb or bend": for faults.
template <class Enum>
[[nodiscard]] std::string listOfNames() {
    std::string list;
    const auto& entries = Names<Enum>::entries;
    for (std::size_t i = 0; i < entries.size(); ++i) {
        if (i > 0) list += i + 1 == entries.size() ? say(" or ") : ", ";
        list += entries[i].name;
    }
    return list;
}

}  // namespace machair
