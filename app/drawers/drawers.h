// The drawers there are: hooks, materials by their kind, and every other list of the book, so that all that a book holds lies somewhere.
#pragma once

#include <string_view>
#include <vector>

#include "book/book.h"

namespace machair::app {

enum class Drawer {
    hooks,
    threads,
    hackles,
    wings,
    furs,
    metals,
    flosses,
    strands,
    beads,
    small,
    feathers,
    capes,
    stock,
    dressings,
    teams,
    box,
    batches,
    waters,
    cards,
    season,
    days,
    checks,
    schools,
    slips,
    mishaps
};
struct DrawerName {
    Drawer drawer;
    const char* title;
    const char* list;  // of the book
    const char* note;  // what an empty one says
};
[[nodiscard]] const std::vector<DrawerName>& drawers();
[[nodiscard]] const DrawerName& drawerName(Drawer drawer);
// Of materials: whether this kind lies in it, and what kinds a new one can be.
[[nodiscard]] bool liesIn(Drawer drawer, MaterialKind kind);
[[nodiscard]] std::vector<MaterialKind> kindsIn(Drawer drawer);
// Where a record lies.
[[nodiscard]] Drawer drawerOf(const Book& book, std::string_view list, std::string_view id);

}  // namespace machair::app
