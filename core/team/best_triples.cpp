#include "team/best_triples.h"

#include <algorithm>
#include <tuple>

namespace machair {

namespace {

struct Pair {
    std::int32_t bound;
    std::uint32_t i;
    std::uint32_t j;
};

class TripleSearch {
  public:
    TripleSearch(const TripleScores& scores, std::size_t wanted, std::stop_token stop)
        : s_(scores), wanted_(wanted), stop_(std::move(stop)), onward_(s_.second) {
        const std::size_t n0 = s_.single[0].size(), n1 = s_.single[1].size(), n2 = s_.single[2].size();
        reach1_.assign(n1, kNever);
        for (std::size_t j = 0; j < n1; ++j)
            for (std::size_t k = 0; k < n2; ++k) {
                onward_.at(j, k) = std::max(onward_.at(j, k) + s_.single[2][k], kNever);
                reach1_[j] = std::max(reach1_[j], onward_.at(j, k));
            }
        reach0_.assign(n0, kNever);
        for (std::size_t i = 0; i < n0; ++i)
            for (std::size_t k = 0; k < n2; ++k)
                reach0_[i] = std::max(reach0_[i], s_.across.at(i, k));
    }

    BestTriples run() {
        // The best pair of each row first: they give a floor under which no other pair need be kept.
        std::vector<Pair> pairs;
        for (std::size_t i = 0; i < s_.single[0].size(); ++i) {
            Pair best{kNever, static_cast<std::uint32_t>(i), 0};
            const std::int32_t own = s_.single[0][i] + reach0_[i];
            const std::int32_t* row = s_.first.row(i);
            for (std::size_t j = 0; j < s_.single[1].size(); ++j)
                if (const std::int32_t bound = bounded(own, j, row[j]); bound > best.bound)
                    best = {bound, best.i, static_cast<std::uint32_t>(j)};
            if (!isNever(best.bound)) pairs.push_back(best);
        }
        constexpr std::size_t kFirstLook = 64;
        sortFalling(pairs);
        for (std::size_t p = 0; p < std::min(pairs.size(), kFirstLook); ++p)
            scan(pairs[p]);
        std::vector<Pair> rest;
        const std::int64_t floor = found_.best.size() == wanted_ ? found_.best.back().score : kNever;
        for (std::size_t i = 0; i < s_.single[0].size(); ++i) {
            const std::int32_t own = s_.single[0][i] + reach0_[i];
            const std::int32_t* row = s_.first.row(i);
            for (std::size_t j = 0; j < s_.single[1].size(); ++j)
                if (const std::int32_t bound = bounded(own, j, row[j]); bound >= floor && !isNever(bound))
                    rest.push_back({bound, static_cast<std::uint32_t>(i), static_cast<std::uint32_t>(j)});
        }
        sortFalling(rest);
        found_.best.clear();  // scanned again in order, so that ties are broken by the smaller members
        for (const Pair& pair : rest) {
            if (found_.best.size() == wanted_ && pair.bound < found_.best.back().score) break;
            if ((found_.pairsScanned & 0x3F) == 0 && stop_.stop_requested()) {
                found_.stopped = true;
                break;
            }
            scan(pair);
        }
        return std::move(found_);
    }

  private:
    [[nodiscard]] std::int32_t bounded(std::int32_t own, std::size_t j, std::int32_t pair) const {
        const std::int64_t sum = std::int64_t{own} + s_.single[1][j] + pair + reach1_[j];
        return static_cast<std::int32_t>(std::max<std::int64_t>(sum, kNever));
    }
    static void sortFalling(std::vector<Pair>& pairs) {
        std::ranges::sort(pairs, [](const Pair& a, const Pair& b) {
            return std::tuple(-std::int64_t{a.bound}, a.i, a.j) < std::tuple(-std::int64_t{b.bound}, b.i, b.j);
        });
    }
    void scan(const Pair& pair) {
        ++found_.pairsScanned;
        const std::int64_t base = std::int64_t{s_.single[0][pair.i]} + s_.single[1][pair.j] + s_.first.at(pair.i, pair.j);
        const std::int32_t* onward = onward_.row(pair.j);
        const std::int32_t* across = s_.across.row(pair.i);
        const std::size_t n = s_.single[2].size();
        found_.examined += n;
        for (std::size_t k = 0; k < n; ++k) {
            const std::int64_t score = base + onward[k] + across[k];
            if (isNever(score) || (found_.best.size() == wanted_ && score < found_.best.back().score)) continue;
            if (s_.thriceTheSame(pair.i, pair.j, k) || (s_.allowed && !s_.allowed(pair.i, pair.j, k))) continue;
            keep({{pair.i, pair.j, k}, score});
        }
    }
    void keep(const Triple& triple) {
        const auto key = [](const Triple& t) { return std::tuple(-t.score, t.at); };
        const auto place = std::ranges::lower_bound(found_.best, key(triple), {}, key);
        found_.best.insert(place, triple);
        if (found_.best.size() > wanted_) found_.best.pop_back();
    }

    const TripleScores& s_;
    std::size_t wanted_;
    std::stop_token stop_;
    ScoreTable onward_;  // second, with the third's own score
    std::vector<std::int32_t> reach0_;
    std::vector<std::int32_t> reach1_;
    BestTriples found_;
};

}  // namespace

BestTriples bestTriples(const TripleScores& scores, std::size_t wanted, std::stop_token stop) {
    if (wanted == 0 || scores.single[0].empty() || scores.single[1].empty() || scores.single[2].empty()) return {};
    return TripleSearch(scores, wanted, std::move(stop)).run();
}

}  // namespace machair
