// Plans of flies, each made once for as long as what it is made from stays the same: a box of a thousand is planned when the
// first question about it is asked, and not again for the next wind.
#pragma once

#include <map>
#include <memory>
#include <mutex>
#include <string>
#include <utility>
#include <vector>

#include "sizing/plan.h"

namespace machair {

// Asked from any thread.
class Plans {
  public:
    // One book's. What plans are made from beside a dressing and its hook (materials, schools) is compared once, when it is asked for.
    class Of {
      public:
        // As planFly(); the book must still be there.
        [[nodiscard]] Result<std::shared_ptr<const Plan>> fly(const Fly& fly, const Place& place);

      private:
        friend class Plans;
        Of(Plans* plans, const Book& book, std::size_t edition) : plans_(plans), book_(book), edition_(edition) {}
        Plans* plans_;  // nothing is kept where nobody keeps them
        const Book& book_;
        std::size_t edition_;
    };
    [[nodiscard]] Of of(const Book& book);
    // The same where nobody keeps them.
    [[nodiscard]] static Of of(const Book& book, Plans* kept) { return kept ? kept->of(book) : Of(nullptr, book, 0); }

    [[nodiscard]] std::size_t made() const;  // plans so far

  private:
    struct Kept {
        Pattern pattern;
        std::size_t place = 0;  // of the dressing in its book: its faults name it
        HookSpec hook;
        std::shared_ptr<const Plan> plan;
    };
    static constexpr std::size_t kMost = 4096;
    mutable std::mutex mutex_;
    std::vector<Material> materials_;
    std::optional<SchoolChoices> schools_;
    std::map<std::pair<std::string, std::string>, Kept> kept_;  // by dressing and hook
    std::size_t made_ = 0;
    std::size_t edition_ = 0;  // of materials and schools
};

}  // namespace machair
