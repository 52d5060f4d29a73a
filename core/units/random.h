// A small generator with the same numbers on every machine and library (the standard's distributions differ).
// Seeded from (pattern, part, index), so that changing one part never re-deals another.
#pragma once

#include <cmath>
#include <cstdint>
#include <numbers>
#include <string_view>

namespace machair {

class Random {
  public:
    explicit Random(std::uint64_t seed) : state_(seed) {}

    std::uint64_t next() {  // SplitMix64 (Steele, Lea, Flood 2014)
        std::uint64_t z = (state_ += 0x9e3779b97f4a7c15ull);
        z = (z ^ (z >> 30)) * 0xbf58476d1ce4e5b9ull;
        z = (z ^ (z >> 27)) * 0x94d049bb133111ebull;
        return z ^ (z >> 31);
    }
    double uniform() { return static_cast<double>(next() >> 11) * 0x1.0p-53; }
    double uniform(double low, double high) { return low + (high - low) * uniform(); }
    // Normal with standard deviation `sd`, by Irwin–Hall over four: quick, and no tails to make a freak of a fibre.
    double normal(double sd) {
        const double sum = uniform() + uniform() + uniform() + uniform();
        return sd * (sum - 2.0) * std::numbers::sqrt3;
    }

  private:
    std::uint64_t state_;
};

[[nodiscard]] inline std::uint64_t seedOf(std::string_view text) {  // FNV-1a
    std::uint64_t hash = 1469598103934665603ull;
    for (const char c : text)
        hash = (hash ^ static_cast<unsigned char>(c)) * 1099511628211ull;
    return hash;
}
[[nodiscard]] inline std::uint64_t seedOf(std::uint64_t seed, std::uint64_t index) {
    return Random(seed ^ (index * 0xd1342543de82ef95ull + 0x2545f4914f6cdd1dull)).next();
}

}  // namespace machair
