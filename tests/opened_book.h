// Bench books as the tests of the store open, refuse and edit them.
#pragma once

#include <catch2/catch.hpp>
#include <memory>

#include "book/edits.h"
#include "store/home.h"

namespace machair::tests {

inline std::unique_ptr<store::Home> opened(const std::filesystem::path& path, store::Access access = store::Access::readWrite) {
    auto home = store::openHome(path, access);
    if (!home) FAIL(home.error().front().line());
    return std::move(*home);
}

// What is said where a book does not open.
inline std::string refusal(const std::filesystem::path& path) {
    const auto home = store::openHome(path, store::Access::readWrite);
    return home ? "opened" : home.error().front().line();
}

inline Book withTail(const Book& book, double ratio) {
    return changeField(book, "kelp-lantern", 0, "length", std::to_string(ratio) + " of the shank")->after;
}

}  // namespace machair::tests
