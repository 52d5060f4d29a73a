#include "hand/hand.h"

#include <boost/math/distributions/gamma.hpp>
#include <boost/math/distributions/normal.hpp>
#include <boost/math/distributions/students_t.hpp>
#include <boost/math/quadrature/gauss.hpp>
#include <cmath>
#include <numeric>

namespace machair {

namespace {

constexpr double kPriorKappa = 1.44;  // (6/5)²: a bias of 5 % is as likely as one fly's 6 %
constexpr double kPriorAlpha = 2.5;   // ν₀ = 5
constexpr double kPriorBeta = 2.5 * 0.06 * 0.06;

struct Sums {
    double n = 0.0;
    double mean = 0.0;
    double squares = 0.0;  // about the mean
};
Sums sumsOf(const std::vector<double>& x) {
    Sums s;
    s.n = static_cast<double>(x.size());
    if (x.empty()) return s;
    s.mean = std::accumulate(x.begin(), x.end(), 0.0) / s.n;
    for (const double v : x)
        s.squares += (v - s.mean) * (v - s.mean);
    return s;
}

}  // namespace

double HandPosterior::spread() const { return std::sqrt(beta / alpha); }
double HandPosterior::predictive() const { return std::sqrt(beta / alpha * (1.0 + 1.0 / kappa)); }

HandPosterior handOf(const std::vector<double>& deviations) {
    const Sums s = sumsOf(deviations);
    HandPosterior hand;
    hand.flies = static_cast<int>(deviations.size());
    hand.kappa = kPriorKappa + s.n;
    hand.mean = s.n * s.mean / hand.kappa;
    hand.alpha = kPriorAlpha + 0.5 * s.n;
    hand.beta = kPriorBeta + 0.5 * s.squares + kPriorKappa * s.n * s.mean * s.mean / (2.0 * hand.kappa);
    return hand;
}

Length aimFor(Length planned, const HandPosterior& hand) { return planned / (1.0 + hand.mean); }

double dozenWithin(const HandPosterior& hand, Length planned, double tolerance, Length aim) {
    const double low = planned * (1.0 - tolerance) / aim - 1.0, high = planned * (1.0 + tolerance) / aim - 1.0;
    const boost::math::gamma_distribution<double> precision(hand.alpha, 1.0 / hand.beta);
    const boost::math::normal_distribution<double> unit;
    // Over the precision by its quantiles, and over the bias given it by its own.
    using Rule = boost::math::quadrature::gauss<double, 60>;
    return Rule::integrate(
        [&](double p) {
            const double sigma = 1.0 / std::sqrt(boost::math::quantile(precision, p));
            return Rule::integrate(
                [&](double q) {
                    const double m = hand.mean + sigma / std::sqrt(hand.kappa) * boost::math::quantile(unit, q);
                    const double within = boost::math::cdf(unit, (high - m) / sigma) - boost::math::cdf(unit, (low - m) / sigma);
                    return std::pow(std::max(within, 0.0), kDozen);
                },
                0.0, 1.0);
        },
        0.0, 1.0);
}

ControlLimits controlLimits(const HandPosterior& hand) {
    constexpr double kSigmas = 3.0;
    return {hand.mean - kSigmas * hand.predictive(), hand.mean + kSigmas * hand.predictive()};
}

HandShift shiftBetween(const std::vector<double>& before, const std::vector<double>& after) {
    const Sums a = sumsOf(before), b = sumsOf(after);
    const auto shrunk = [](const Sums& s) { return s.n * s.mean / (kPriorKappa + s.n); };
    const double alpha = kPriorAlpha + 0.5 * (a.n + b.n);
    double beta = kPriorBeta;
    for (const Sums& s : {a, b})
        beta += 0.5 * s.squares + kPriorKappa * s.n * s.mean * s.mean / (2.0 * (kPriorKappa + s.n));
    const double scale = std::sqrt(beta / alpha * (1.0 / (kPriorKappa + a.n) + 1.0 / (kPriorKappa + b.n)));
    const double reach = boost::math::quantile(boost::math::students_t_distribution<double>(2.0 * alpha), 0.975) * scale;
    const double shift = shrunk(b) - shrunk(a);
    return {shift, shift - reach, shift + reach};
}

std::map<std::string, std::vector<double>> deviationsOf(const Book& book) {
    std::map<std::string, std::vector<double>> found;
    for (const CheckedFly& fly : book.checks) {
        const Pattern* pattern = book.findPattern(fly.pattern);
        for (const CheckReading& reading : fly.readings) {
            const auto part = static_cast<std::size_t>(reading.part);
            const std::optional<PartKind> known = reading.kind                              ? reading.kind
                                                  : pattern && part < pattern->parts.size() ? std::optional(pattern->parts[part].kind)
                                                                                            : std::nullopt;
            const std::string kind = known ? std::string(nameOf(*known)) : "part";
            found[kind + " " + reading.figure].push_back(reading.measured / reading.aimed - 1.0);
        }
    }
    return found;
}

}  // namespace machair
