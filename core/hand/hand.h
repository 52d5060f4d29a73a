// What a tier's hand always does: bias and spread of each part, where to aim, and whether a change is real (models.md
// section 14). Deviations are measured / aimed − 1.
#pragma once

#include <map>
#include <string>
#include <vector>

#include "book/book.h"

namespace machair {

// Normal–inverse-gamma posterior of a part's deviation.
struct HandPosterior {
    int flies = 0;
    double mean = 0.0;  // μ
    double kappa = 0.0;
    double alpha = 0.0;
    double beta = 0.0;
    [[nodiscard]] double spread() const;      // sqrt(β/α)
    [[nodiscard]] double predictive() const;  // scale of the next fly, t with 2α degrees
};
// A hand that is not known yet errs by 6 %, with no bias.
[[nodiscard]] HandPosterior handOf(const std::vector<double>& deviations);

// Where to aim so that it lands where it is planned.
[[nodiscard]] Length aimFor(Length planned, const HandPosterior& hand);

// The chance that the next twelve are all within the tolerance (a share), tied to this aim: integrated over what the
// hand may be, never the single fly's chance to the twelfth.
inline constexpr int kDozen = 12;
[[nodiscard]] double dozenWithin(const HandPosterior& hand, Length planned, double tolerance, Length aim);

struct ControlLimits {
    double low;
    double high;
};
inline constexpr int kFliesForLimits = 5;  // shown from so many on
[[nodiscard]] ControlLimits controlLimits(const HandPosterior& hand);

// The shift from one run of flies to another, and whether its 95 % interval leaves 0 out.
struct HandShift {
    double shift = 0.0;
    double low = 0.0;
    double high = 0.0;
    [[nodiscard]] bool real() const { return low > 0.0 || high < 0.0; }
};
[[nodiscard]] HandShift shiftBetween(const std::vector<double>& before, const std::vector<double>& after);

// The book's checks by part and figure: "tail length_mm" to its deviations in the order of the checks.
[[nodiscard]] std::map<std::string, std::vector<double>> deviationsOf(const Book& book);

}  // namespace machair
