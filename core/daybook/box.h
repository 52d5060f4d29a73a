// The fly box: what lies in it and in which state, and what to tie next.
#pragma once

#include <string>
#include <vector>

#include "book/edits.h"

namespace machair {

struct BoxRow {
    std::string id;  // of the box's fly
    DressingId pattern;
    std::string title;
    int size = 0;
    bool barb = true;
    int tied = 0;
    int chewed = 0;  // of those
    int lost = 0;    // so far
    [[nodiscard]] int sound() const { return tied - chewed; }
};
// By dressing, size and barb state, in the book's order.
[[nodiscard]] std::vector<BoxRow> boxRows(const Book& book);

// Which of the season's creatures of a month the box answers, and which dressing to tie for those that it doesn't; empty
// where no row speaks of it.
[[nodiscard]] std::string sayAnswers(const Book& book, int month);

// What happened to one fly of the box. Faults: no such fly, none left that it could have happened to.
enum class BoxEvent { tied, chewed, lost, mended, thrownAway };
[[nodiscard]] Result<Edit> boxEvent(const Book& book, std::string_view boxFly, BoxEvent event);

// What to tie next, most wanted first. Want = use (share of the hours that the fly was fished, with one spare hour so that
// new ones count) × worth (its fish a rod-hour over all flies' mean) × season (half where the season table names others
// for that month and not this one) / (1 + sound flies left). Rule of thumb.
struct TieNext {
    DressingId pattern;
    std::string title;
    double want = 0.0;
    int sound = 0;
    int waiting = 0;  // in batches already
    std::string why;
};
[[nodiscard]] std::vector<TieNext> tieNext(const Book& book, int month);

}  // namespace machair
