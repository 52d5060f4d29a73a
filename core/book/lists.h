// The lists of a book and the difference of two books, for whoever goes over all of them: the stores, undo, rescue.
#pragma once

#include <algorithm>
#include <map>
#include <string_view>
#include <tuple>
#include <type_traits>

#include "book/book.h"
#include "book/find.h"

namespace machair {

// done(name as in the bench file, list of the book) for each list, what others refer to first.
template <class Done>
void eachList(Done done) {
    done("hooks", &Book::hooks);
    done("materials", &Book::materials);
    done("patterns", &Book::patterns);
    done("team_schools", &Book::teamSchools);
    done("teams", &Book::teams);
    done("feathers", &Book::feathers);
    done("cut_lists", &Book::cutLists);
    done("rule_cards", &Book::ruleCards);
    done("waters", &Book::waters);
    done("box", &Book::box);
    done("capes", &Book::capes);
    done("stock", &Book::stock);
    done("season_table", &Book::season);
    done("mishaps", &Book::mishaps);
    done("batches", &Book::batches);
    done("checks", &Book::checks);
    done("days", &Book::days);
}

// done(the list, the record, its index) for the record of this id in this list; whether there is one.
template <class BookLike, class Done>
bool visitRecord(BookLike& book, std::string_view wanted, std::string_view id, Done done) {
    bool found = false;
    eachList([&](const char* name, auto list) {
        if (found || name != wanted) return;
        auto& records = book.*list;
        for (std::size_t i = 0; i < records.size() && !found; ++i)
            if (records[i].id == id) {
                found = true;
                done(list, records[i], i);
            }
    });
    return found;
}

// "ness-teal" of "Ness Teal": its plain letters and figures, at most 32 of them and what parts them; `otherwise` where it has none.
[[nodiscard]] std::string idOfName(std::string_view name, std::string_view otherwise);
// "school", "school-2", …: an id that the list doesn't have yet.
template <class Record>
[[nodiscard]] auto freeIdIn(const std::vector<Record>& list, const std::string& wanted) {
    using OwnId = decltype(Record::id);
    OwnId id(wanted);
    for (int n = 2; findById(list, id); ++n)
        id = OwnId(wanted + "-" + std::to_string(n));
    return id;
}

// The name of the list that a record stands in.
template <class Record>
[[nodiscard]] const char* listOf() {
    const char* found = nullptr;
    eachList([&]<class Other>(const char* name, std::vector<Other> Book::*) {
        if constexpr (std::is_same_v<Record, Other>) found = name;
    });
    return found;
}

// Where two states of a list differ: what they begin and end with alike is passed over, which after an edit is nearly all.
struct Differing {
    std::size_t from = 0;
    std::size_t endBefore = 0;
    std::size_t endAfter = 0;
};
template <class Record>
[[nodiscard]] Differing differing(const std::vector<Record>& before, const std::vector<Record>& after) {
    const std::size_t least = std::min(before.size(), after.size());
    std::size_t head = 0, tail = 0;
    while (head < least && before[head] == after[head])
        ++head;
    while (tail < least - head && before[before.size() - 1 - tail] == after[after.size() - 1 - tail])
        ++tail;
    return {head, before.size() - tail, after.size() - tail};
}

// The records of `after` that are new or other than they were under their id.
template <class Record>
[[nodiscard]] std::vector<const Record*> changedIn(const std::vector<Record>& before, const std::vector<Record>& after) {
    const Differing where = differing(before, after);
    std::map<std::string_view, const Record*> was;
    for (std::size_t i = where.from; i < where.endBefore; ++i)
        was.emplace(before[i].id, &before[i]);
    std::vector<const Record*> changed;
    for (std::size_t i = where.from; i < where.endAfter; ++i)
        if (const auto old = was.find(after[i].id); old == was.end() || !(*old->second == after[i])) changed.push_back(&after[i]);
    return changed;
}

// One stretch of a list: `was` stood from `at` on, where `is` stands now.
template <class Record>
struct Splice {
    std::size_t at = 0;
    std::vector<Record> was;
    std::vector<Record> is;
};

// What changed from one book to the next, and nothing else: undo keeps thousands of these, and each holds only the
// records that its edit touched.
class BookDifference {
  public:
    BookDifference() = default;
    BookDifference(const Book& before, const Book& after);

    // `book` was `before`: makes it `after`; and the other way round.
    void apply(Book& book) const { turn(book, true); }
    void takeBack(Book& book) const { turn(book, false); }

    [[nodiscard]] bool empty() const;
    [[nodiscard]] std::size_t records() const;  // how many it holds, before and after

  private:
    template <class Record>
    using Splices = std::vector<Splice<Record>>;
    using All = std::tuple<Splices<HookSpec>, Splices<Material>, Splices<Pattern>, Splices<TeamSchool>, Splices<TeamSpec>,
                           Splices<VaneFeather>, Splices<CutList>, Splices<RuleCard>, Splices<WaterSpec>, Splices<BoxFly>, Splices<Cape>,
                           Splices<Stock>, Splices<SeasonRow>, Splices<Mishap>, Splices<Batch>, Splices<CheckedFly>, Splices<Day>>;
    template <class T>
    struct Changed {
        T was, is;
    };
    void turn(Book& book, bool forth) const;
    All lists_;
    std::optional<Changed<std::optional<SchoolChoices>>> schools_;
    std::optional<Changed<Carried>> carried_;
};

}  // namespace machair
