// The best triples of three lists under scores of single members and of pairs, exactly: models.md section 11, Choose.
//
// Pairs (first, second) are looked at in falling order of what any triple with them could reach,
// `u0[i] + u1[j] + P01[i,j] + max_k(P12[j,k] + u2[k]) + max_k P02[i,k]`, and the search stops where that falls below
// the last triple wanted. Compared with the plain triple loop in tests/core/choose_test.cpp.
#pragma once

#include <array>
#include <cstdint>
#include <functional>
#include <stop_token>
#include <vector>

namespace machair {

struct ScoreTable {
    std::size_t rows = 0;
    std::size_t columns = 0;
    std::vector<std::int32_t> values;
    ScoreTable() = default;
    ScoreTable(std::size_t r, std::size_t c) : rows(r), columns(c), values(r * c, 0) {}
    [[nodiscard]] std::int32_t at(std::size_t r, std::size_t c) const { return values[r * columns + c]; }
    [[nodiscard]] std::int32_t& at(std::size_t r, std::size_t c) { return values[r * columns + c]; }
    [[nodiscard]] const std::int32_t* row(std::size_t r) const { return values.data() + r * columns; }
};

// A score that no triple with this member or pair survives; sums of a few stay within 32 bits.
inline constexpr std::int32_t kNever = -400'000'000;
[[nodiscard]] constexpr bool isNever(std::int64_t score) { return score < kNever / 2; }

struct TripleScores {
    std::array<std::vector<std::int32_t>, 3> single;
    ScoreTable first;   // 0 with 1
    ScoreTable second;  // 1 with 2
    ScoreTable across;  // 0 with 2
    // By place and member: who it is, where the same one may not stand in all three places, else -1. Empty where all may.
    std::array<std::vector<std::int32_t>, 3> notThrice;
    // Whether a triple may be taken at all; asked only of those that would be. All may where it is empty.
    std::function<bool(std::size_t, std::size_t, std::size_t)> allowed = {};
    [[nodiscard]] bool thriceTheSame(std::size_t i, std::size_t j, std::size_t k) const {
        return !notThrice[0].empty() && notThrice[0][i] >= 0 && notThrice[0][i] == notThrice[1][j] && notThrice[0][i] == notThrice[2][k];
    }
};

struct Triple {
    std::array<std::size_t, 3> at{};
    std::int64_t score = 0;
};
struct BestTriples {
    std::vector<Triple> best;  // falling score, then rising members
    std::uint64_t pairsScanned = 0;
    std::uint64_t examined = 0;  // triples
    bool stopped = false;
};
[[nodiscard]] BestTriples bestTriples(const TripleScores& scores, std::size_t wanted, std::stop_token stop = {});

}  // namespace machair
