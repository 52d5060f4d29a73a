// Trains the eye: a fly is drawn as planned or with one part a little wrong, and the tier says which. What is asked gets
// finer as the answers get better, and the tier's own bias is told.
#pragma once

#include <cstdint>
#include <optional>
#include <string>
#include <vector>

#include "book/edits.h"
#include "sizing/plan.h"

namespace machair {

enum class EyeAnswer { tooShort, right, tooLong };

struct EyeQuestion {
    Pattern shown;  // the dressing to draw, on its own hook
    std::size_t part = 0;
    std::string asked;  // "the tail"
    double off = 0.0;   // a share of the length: −0.12 is 12 % too short; 0 is as planned
    [[nodiscard]] EyeAnswer truth() const { return off < 0.0 ? EyeAnswer::tooShort : off > 0.0 ? EyeAnswer::tooLong : EyeAnswer::right; }
};

struct EyeScore {
    int asked = 0;
    int right = 0;
    double fineness = 0.0;  // share of a length that is asked next
    double bias = 0.0;      // over 0: things look longer to this eye than they are; in shares of a length
};

class EyeTrainer {
  public:
    static constexpr double kFirst = 0.20;  // shares of a length
    static constexpr double kFinest = 0.02;
    static constexpr double kCoarsest = 0.40;

    explicit EyeTrainer(std::uint64_t seed) : seed_(seed) {}

    // Of a dressing of the book; a third are as planned. Nothing for one that has no length to judge, or that can't be
    // planned.
    [[nodiscard]] std::optional<EyeQuestion> next(const Book& book, const DressingId& pattern);
    // Finer by a tenth after a right answer, coarser by a quarter after a wrong one, which settles where about seven of
    // ten are right.
    void answer(const EyeQuestion& question, EyeAnswer given);
    [[nodiscard]] EyeScore score() const;

  private:
    std::uint64_t seed_;
    std::uint64_t asked_ = 0;
    double fineness_ = kFirst;
    int answered_ = 0;
    int right_ = 0;
    double signedErrors_ = 0.0;
};

}  // namespace machair
