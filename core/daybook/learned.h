// What the days give back: which fly did better in a place than the others there on the same days, whether the bobs that
// caught were fuller than those that were fished, and which swap would teach most (models-team.md section I).
#pragma once

#include <map>
#include <optional>
#include <string>
#include <utility>
#include <vector>

#include "daybook/rates.h"
#include "team/choose.h"

namespace machair {

// A fly in a place against what the same days gave in that place, so that a fly is not praised for a good day. The ratio is
// Gamma(a, b): 1 for a fly that was never fished.
struct FlyRatio {
    double a = 2.0;
    double b = 2.0;
    double fish = 0.0;
    double hours = 0.0;
    double spread = 1.5;  // φ
    [[nodiscard]] double mean() const { return a / b; }
    [[nodiscard]] double low() const;         // 10 %
    [[nodiscard]] double high() const;        // 90 %
    [[nodiscard]] double correction() const;  // C's daybook term, from -1 to 1
    [[nodiscard]] std::string words() const;  // "your book: 1.3 times the others here (0.9 - 1.8)"
};

class Learned {
  public:
    explicit Learned(const Book& book);
    // Of a dressing on a hook: `fly.hook` is said, or the dressing's own stands for it.
    [[nodiscard]] FlyRatio ratio(const Fly& fly, Position position) const;
    [[nodiscard]] double usualRate() const { return rate_; }  // r₀, fish per rod and hour of one place
    [[nodiscard]] double share(Position position) const { return shares_[static_cast<std::size_t>(position)]; }  // π
    [[nodiscard]] bool empty() const { return ratios_.empty(); }

  private:
    using Key = std::pair<std::pair<std::string, std::string>, Position>;
    [[nodiscard]] Key keyOf(const Fly& fly, Position position) const;
    const Book& book_;
    double rate_ = 0.5;
    std::array<double, kPositions.size()> shares_{};
    std::map<Key, FlyRatio> ratios_;
};

[[nodiscard]] DaybookTerms daybookTerms(const Book& book, const std::vector<BoxCandidate>& box);

// How much fuller the bobs that caught were than those fished, by class of wave; the range of the wave's wants is moved by it
// only when asked.
struct CurveShift {
    WaveClass wave = WaveClass::ripple;
    double shift = 0.0;  // usual collars
    int fish = 0;
    [[nodiscard]] std::string words() const;
};
// Only those of 0.1 collars or more.
[[nodiscard]] std::vector<CurveShift> curveShifts(const Book& book);
// The school's rules with the bob's ranges moved by what the book says.
[[nodiscard]] SchoolRules shifted(SchoolRules rules, const std::vector<CurveShift>& shifts);

// The rates of the flies' styles.
[[nodiscard]] std::vector<Rate> ratesByStyle(const Book& book);

// The swap on a team that would teach most about which of two flies is better in a place.
struct SwapAdvice {
    std::optional<Position> position;  // nothing where no swap of the box would teach enough
    Fly in, out;
    double now = 0.5;   // the chance of naming the better today
    double then = 0.5;  // and after so many hours with each
    std::string words;
};
inline constexpr double kSwapHours = 3.0;
[[nodiscard]] SwapAdvice swapAdvice(const Book& book, const TeamId& team, const TeamSetting& setting, double hours = kSwapHours);

}  // namespace machair
