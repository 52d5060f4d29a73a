#include "photo/registration.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>
#include <opencv2/imgproc.hpp>

namespace machair::photo {

namespace {

constexpr int kCoarseWidth = 170;  // px that the coarse search works on
constexpr int kFineWidth = 1400;
constexpr int kScales = 20;
constexpr double kSmallest = 0.25;  // of the picture's width that the hook spans
constexpr double kLargest = 0.92;
constexpr double kMostTurn = 24.0 * std::numbers::pi / 180.0;
constexpr int kTurns = 9;

cv::Mat matOf(const Picture& picture) {
    // The picture's bytes are only read.
    return {picture.height, picture.width, CV_8UC1, const_cast<std::uint8_t*>(picture.grey.data())};
}

cv::Mat shrunk(const cv::Mat& image, int width, double& factor) {
    factor = std::min(1.0, static_cast<double>(width) / image.cols);
    cv::Mat small;
    cv::resize(image, small, {}, factor, factor, cv::INTER_AREA);
    return small;
}

// What is not background, 0 to 1: the difference from a plane through the border, cut by Otsu. Empty where all is plain.
enum class Cut { wire, fibres };
cv::Mat silhouette(const cv::Mat& image, Cut kind = Cut::wire) {
    cv::Mat soft;
    cv::GaussianBlur(image, soft, {0, 0}, std::max(0.6, image.cols / 900.0));
    // Plane a + b x + c y by least squares over the border's pixels, once more without those that aren't background.
    std::vector<cv::Vec3d> border;
    const int rim = std::max(2, image.cols / 40);
    for (int y = 0; y < soft.rows; y += 2)
        for (int x = 0; x < soft.cols; x += 2)
            if (x < rim || y < rim || x >= soft.cols - rim || y >= soft.rows - rim) border.emplace_back(x, y, soft.at<std::uint8_t>(y, x));
    cv::Vec3d plane(0.0, 0.0, 0.0);
    double cut = 1e9;
    for (int round = 0; round < 3; ++round) {
        cv::Matx33d a = cv::Matx33d::zeros();
        cv::Vec3d b(0.0, 0.0, 0.0);
        for (const cv::Vec3d& p : border) {
            const double off = std::abs(p[2] - (plane[0] + plane[1] * p[0] + plane[2] * p[1]));
            if (off > cut) continue;
            const cv::Vec3d row(1.0, p[0], p[1]);
            a += row * row.t();
            b += row * p[2];
        }
        plane = a.solve(b, cv::DECOMP_SVD);
        cut = 14.0;
    }
    cv::Mat difference(soft.size(), CV_8UC1);
    for (int y = 0; y < soft.rows; ++y)
        for (int x = 0; x < soft.cols; ++x)
            difference.at<std::uint8_t>(y, x) =
                cv::saturate_cast<std::uint8_t>(std::abs(soft.at<std::uint8_t>(y, x) - (plane[0] + plane[1] * x + plane[2] * y)));
    cv::Mat mask;
    const double threshold = cv::threshold(difference, mask, 0.0, 1.0, cv::THRESH_BINARY | cv::THRESH_OTSU);
    constexpr double kLeastContrast = 12.0;  // of 255; less is noise on a plain card
    if (threshold < kLeastContrast) return {};
    // Otsu between wire and fine fibres cuts too high where the hook is black: what is clearly no background counts. Fibres
    // are narrower than a pixel's blur, so for them all that stands out of the border's own noise does.
    double noise = 0.0;
    for (const cv::Vec3d& p : border)
        noise += std::min(20.0, std::abs(p[2] - (plane[0] + plane[1] * p[0] + plane[2] * p[1])));
    noise = 1.25 * noise / std::max<double>(1.0, static_cast<double>(border.size()));
    cv::threshold(difference, mask, kind == Cut::wire ? std::min(threshold, 38.0) : std::clamp(4.5 * noise, 6.0, 30.0), 1.0,
                  cv::THRESH_BINARY);
    return mask;
}

// Bare places of the wire, in the hook's frame: the middle, and across it.
struct BarePlace {
    Point2 at;
    double acrossX = 0.0;  // unit normal
    double acrossY = 0.0;
};
std::vector<BarePlace> barePlaces(const Hook& hook, Length step) {
    std::vector<BarePlace> places;
    const Length from = hook.shank() + 0.12 * hook.bendArc();
    const Length to = hook.pointStation() - 0.30 * hook.spear();  // the needle of the point is thinner than the wire
    // The barb's hump is no middle of a wire.
    const Length barb = hook.pointStation() - 0.45 * hook.spear();
    for (Length s = from; s <= to; s += step) {
        if (hook.hasBarb() && s > barb - 0.16 * hook.spear() && s < barb + 0.14 * hook.spear()) continue;
        const WirePoint p = hook.at(s);
        places.push_back({p.position, std::sin(p.heading.inRadians()), std::cos(p.heading.inRadians())});
    }
    return places;
}

// The bare wire as a template: 1 on it, below 0 beside it.
cv::Mat wireTemplate(const std::vector<BarePlace>& places, const Hook& hook, double scale, double turn, bool mirrored, cv::Point2d& eye) {
    Registration placed{{0.0, 0.0}, scale, turn, mirrored, 0.0, 0.0};
    double left = 1e9, right = -1e9, top = 1e9, bottom = -1e9;
    const double margin = 2.0 * (hook.wire() / mm) * scale + 2.0;
    const auto extend = [&](Pixel p) {
        left = std::min(left, p.x - margin);
        right = std::max(right, p.x + margin);
        top = std::min(top, p.y - margin);
        bottom = std::max(bottom, p.y + margin);
    };
    for (const BarePlace& place : places)
        extend(placed.toPicture(place.at));
    const Point2 ring{-0.5 * hook.eyeWidth(), 0.0 * mm};
    extend(placed.toPicture(ring));
    cv::Mat drawn(std::max(3, static_cast<int>(std::ceil(bottom - top))), std::max(3, static_cast<int>(std::ceil(right - left))), CV_32FC1,
                  cv::Scalar(0.0));
    const double wire = (hook.wire() / mm) * scale;
    const auto line = [&](double width, double value) {
        for (std::size_t i = 0; i + 1 < places.size(); ++i) {
            const Pixel a = placed.toPicture(places[i].at), b = placed.toPicture(places[i + 1].at);
            cv::line(drawn, {static_cast<int>(std::lround(a.x - left)), static_cast<int>(std::lround(a.y - top))},
                     {static_cast<int>(std::lround(b.x - left)), static_cast<int>(std::lround(b.y - top))}, cv::Scalar(value),
                     std::max(1, static_cast<int>(std::lround(width))));
        }
    };
    line(3.6 * wire + 3.0, -0.5);
    line(wire, 1.0);
    const Pixel r = placed.toPicture(ring);
    cv::circle(drawn, {static_cast<int>(std::lround(r.x - left)), static_cast<int>(std::lround(r.y - top))},
               std::max(1, static_cast<int>(0.4 * (hook.eyeWidth() / mm) * scale)), cv::Scalar(0.6), -1);
    eye = {-left, -top};
    return drawn;
}

double sample(const cv::Mat& mask, double x, double y) {
    if (x < 0.0 || y < 0.0 || x >= mask.cols - 1.0 || y >= mask.rows - 1.0) return 0.0;
    const int ix = static_cast<int>(x), iy = static_cast<int>(y);
    const double fx = x - ix, fy = y - iy;
    const auto at = [&](int xx, int yy) { return static_cast<double>(mask.at<std::uint8_t>(yy, xx)); };
    return (at(ix, iy) * (1 - fx) + at(ix + 1, iy) * fx) * (1 - fy) + (at(ix, iy + 1) * (1 - fx) + at(ix + 1, iy + 1) * fx) * fy;
}

// How far across a bare place the wire's middle lies, px: midway between its edges, since a lamp's glint inside it is as
// light as the card. Nothing where it isn't a bare wire there.
std::optional<double> offAcross(const cv::Mat& mask, const Registration& r, const BarePlace& place, double wire, double reach) {
    const Pixel middle = r.toPicture(place.at);
    const Pixel out = r.toPicture({place.at.x + place.acrossX * mm, place.at.y + place.acrossY * mm});
    const double nx = (out.x - middle.x) / r.pxPerMm, ny = (out.y - middle.y) / r.pxPerMm;
    double first = 0.0, last = 0.0, sum = 0.0;
    bool any = false;
    const int steps = static_cast<int>(std::ceil(2.0 * reach));
    for (int k = -steps; k <= steps; ++k) {
        const double d = 0.5 * k;
        const double v = sample(mask, middle.x + d * nx, middle.y + d * ny);
        sum += 0.5 * v;
        if (v < 0.5) continue;
        if (!any) first = d;
        last = d;
        any = true;
    }
    const double width = last - first + 0.5;
    if (!any || width < 0.6 * wire || width > 1.55 * wire + 2.0 || sum < 0.4 * wire) return std::nullopt;
    return 0.5 * (first + last);
}

// Whether the eye is where it should be: something in its place, and nothing ahead of it.
double eyeScore(const cv::Mat& mask, const Registration& r, const Hook& hook) {
    const double e = hook.eyeWidth() / mm;
    double there = 0.0, ahead = 0.0;
    int n = 0, m = 0;
    for (double x = -0.9; x <= -0.1; x += 0.1)
        for (double y = -0.6; y <= 0.4; y += 0.1, ++n) {
            const Pixel p = r.toPicture({x * e * mm, y * e * mm});
            there += sample(mask, p.x, p.y);
        }
    for (double x = -2.2; x <= -1.3; x += 0.1)
        for (double y = -1.0; y <= 0.7; y += 0.1, ++m) {
            const Pixel p = r.toPicture({x * e * mm, y * e * mm});
            ahead += sample(mask, p.x, p.y);
        }
    return std::clamp(there / n * 3.0, 0.0, 1.0) * (1.0 - std::clamp(ahead / m * 3.0, 0.0, 1.0));
}

// Middle of the eye's ring, which is turned out of the shank's line.
constexpr double kRingTurn = 24.0 * std::numbers::pi / 180.0;
Point2 ringMiddle(const Hook& hook) {
    const double turn = hook.eyeTurn() == EyeTurn::down ? -kRingTurn : hook.eyeTurn() == EyeTurn::up ? kRingTurn : 0.0;
    return {-0.5 * std::cos(turn) * hook.eyeWidth(), 0.5 * std::sin(turn) * hook.eyeWidth()};
}

// Where it is seen: midway between the edges of what stands in its place. Nothing where that is empty, or where more
// stands there than a ring.
std::optional<Pixel> ringSeen(const cv::Mat& mask, const Registration& r, const Hook& hook) {
    const double e = hook.eyeWidth() / mm;
    const Point2 middle = ringMiddle(hook);
    double left = 1e9, low = 1e9, high = -1e9;
    const double step = 0.04;
    int inside = 0;
    for (double x = -1.1; x <= 0.30; x += step)
        for (double y = -0.8; y <= 0.8; y += step) {
            const Pixel p = r.toPicture({middle.x + x * e * mm, middle.y + y * e * mm});
            if (sample(mask, p.x, p.y) < 0.5) continue;
            ++inside;
            left = std::min(left, x);
            if (x > 0.15) continue;  // the shank and the head come in there
            low = std::min(low, y);
            high = std::max(high, y);
        }
    if (inside < 40 || left > -0.2 || left < -1.0 || high - low > 1.3) return std::nullopt;
    const double x = left + 0.5, y = 0.5 * (low + high);
    return r.toPicture({middle.x + x * e * mm, middle.y + y * e * mm});
}

struct Fit {
    int found = 0;
    double rms = 0.0;    // px
    double error = 0.0;  // mm over a shank
};

// Gauss–Newton over place, scale and turn.
Fit refine(const cv::Mat& mask, const Hook& hook, const std::vector<BarePlace>& places, Registration& r, double reach, bool withEye) {
    Fit fit;
    const double wire = (hook.wire() / mm) * r.pxPerMm;
    cv::Matx44d normal = cv::Matx44d::zeros();
    cv::Vec4d right;
    double squares = 0.0;
    for (const BarePlace& place : places) {
        const auto off = offAcross(mask, r, place, wire, reach * wire);
        if (!off) continue;
        const Pixel middle = r.toPicture(place.at);
        const Pixel out = r.toPicture({place.at.x + place.acrossX * mm, place.at.y + place.acrossY * mm});
        const double nx = (out.x - middle.x) / r.pxPerMm, ny = (out.y - middle.y) / r.pxPerMm;
        const double rx = middle.x - r.eye.x, ry = middle.y - r.eye.y;
        // d(middle)/d(eye x, eye y, ln scale, turn), across.
        const cv::Vec4d row(nx, ny, nx * rx + ny * ry, -nx * ry + ny * rx);
        const double huber = std::min(1.0, 0.5 * wire / std::max(1e-9, std::abs(*off)));
        normal += huber * (row * row.t());
        right += huber * *off * row;
        squares += huber * *off * *off;
        ++fit.found;
    }
    // The eye's ring, the other end of the lever: its middle, as if that were several places of the wire.
    if (withEye)
        if (const auto ring = ringSeen(mask, r, hook)) {
            const Pixel wanted = r.toPicture(ringMiddle(hook));
            const double rx = wanted.x - r.eye.x, ry = wanted.y - r.eye.y;
            const double weight = 0.35 * fit.found;
            // Across the shank only: makers' rings differ in length.
            const double nx = -std::sin(r.turn), ny = std::cos(r.turn);
            const cv::Vec4d row(nx, ny, nx * rx + ny * ry, -nx * ry + ny * rx);
            normal += weight * (row * row.t());
            right += weight * ((ring->x - wanted.x) * nx + (ring->y - wanted.y) * ny) * row;
        }
    if (fit.found < 8) return fit;
    const cv::Vec4d step = normal.solve(right, cv::DECOMP_SVD);
    r.eye.x += step[0];
    r.eye.y += step[1];
    r.pxPerMm *= std::exp(std::clamp(step[2], -0.2, 0.2));
    r.turn += std::clamp(step[3], -0.2, 0.2);
    fit.rms = std::sqrt(squares / fit.found);
    const cv::Matx44d covariance = normal.inv(cv::DECOMP_SVD);
    // Neighbouring places share their pixels: about one in a wire's width is its own witness.
    const double variance = fit.rms * fit.rms * std::max(1.0, wire / std::max(1.0, r.pxPerMm * (hook.bendArc() / mm) / fit.found));
    const double shank = hook.shank() / mm;
    fit.error = std::sqrt(variance * (covariance(2, 2) * shank * shank + (covariance(0, 0) + covariance(1, 1)) / (r.pxPerMm * r.pxPerMm)));
    return fit;
}

// Share of the bare wire, spear included, that is a bare wire there.
double scoreOf(const cv::Mat& mask, const Hook& hook, const std::vector<BarePlace>& places, const Registration& r) {
    const double wire = (hook.wire() / mm) * r.pxPerMm;
    int found = 0;
    for (const BarePlace& place : places) {
        const auto off = offAcross(mask, r, place, wire, 1.6 * wire);
        if (off && std::abs(*off) < 0.35 * wire + 0.5) ++found;
    }
    return places.empty() ? 0.0 : static_cast<double>(found) / static_cast<double>(places.size());
}

}  // namespace

Pixel Registration::toPicture(Point2 at) const {
    const double x = (mirrored ? -1.0 : 1.0) * (at.x / mm), y = -(at.y / mm);
    const double c = std::cos(turn), s = std::sin(turn);
    return {eye.x + pxPerMm * (c * x - s * y), eye.y + pxPerMm * (s * x + c * y)};
}

Point2 Registration::toHook(Pixel at) const {
    const double dx = (at.x - eye.x) / pxPerMm, dy = (at.y - eye.y) / pxPerMm;
    const double c = std::cos(turn), s = std::sin(turn);
    const double x = c * dx + s * dy, y = -s * dx + c * dy;
    return {(mirrored ? -x : x) * mm, -y * mm};
}

namespace {

// Where the coarse search has a hook, and how well the wire lies there.
struct Candidate {
    double value = -1e9;
    Registration at;
};

// The best place of each scale, turn and hand on a small silhouette; places in the fine one, whose pixels are `toFine` as many.
// Ends early, with what it has, where it is told to stop.
std::vector<Candidate> searchCoarse(const cv::Mat& coarse, const Hook& hook, double toFine, const std::stop_token& stop,
                                    const Progress& progress) {
    constexpr double kShareOfWork = 0.8;  // the rest is the refining of what is found
    const std::vector<BarePlace> places = barePlaces(hook, 0.08 * hook.bendArc());
    std::vector<Candidate> found;
    for (int i = 0; i < kScales && !stop.stop_requested(); ++i) {
        if (progress) progress(kShareOfWork * i / kScales);
        const double span = kSmallest * std::pow(kLargest / kSmallest, static_cast<double>(i) / (kScales - 1));
        const double scale = span * coarse.cols / (hook.overall() / mm);
        for (int k = 0; k < kTurns; ++k)
            for (const bool mirrored : {false, true}) {
                const double turn = kMostTurn * (2.0 * k / (kTurns - 1) - 1.0);
                cv::Point2d eye;
                const cv::Mat wanted = wireTemplate(places, hook, scale, turn, mirrored, eye);
                if (wanted.cols > coarse.cols || wanted.rows > coarse.rows) continue;
                cv::Mat answer;
                cv::matchTemplate(coarse, wanted, answer, cv::TM_CCORR);
                double value = 0.0;
                cv::Point where;
                cv::minMaxLoc(answer, nullptr, &value, nullptr, &where);
                const double most = cv::sum(cv::max(wanted, 0.0))[0];
                found.push_back({value / std::max(1.0, most) + 0.02 * std::log(span),  // of equals the larger: small ones fit anywhere
                                 {{(where.x + eye.x) * toFine, (where.y + eye.y) * toFine}, scale * toFine, turn, mirrored, 0.0, 0.0}});
            }
    }
    return found;
}

// The best ones that are apart from each other: neighbours of one already tried lead to the same place.
std::vector<Candidate> farApart(std::vector<Candidate> found, double width) {
    constexpr std::size_t kTried = 14;
    std::ranges::sort(found, std::greater{}, &Candidate::value);
    std::vector<Candidate> apart;
    for (const Candidate& c : found) {
        if (apart.size() == kTried) break;
        const bool near = std::ranges::any_of(apart, [&](const Candidate& a) {
            return a.at.mirrored == c.at.mirrored && std::abs(std::log(a.at.pxPerMm / c.at.pxPerMm)) < 0.11 &&
                   std::abs(a.at.turn - c.at.turn) < 0.12 && std::hypot(a.at.eye.x - c.at.eye.x, a.at.eye.y - c.at.eye.y) < 0.12 * width;
        });
        if (!near) apart.push_back(c);
    }
    return apart;
}

// Settled on the fine silhouette; nothing where it slid along the bend.
std::optional<Registration> settled(Registration r, const cv::Mat& mask, const Hook& hook, const std::vector<BarePlace>& dense) {
    constexpr int kRounds = 16;
    Fit fit;
    for (int round = 0; round < kRounds; ++round)
        fit = refine(mask, hook, dense, r, round < 6 ? 2.6 : round < 11 ? 1.8 : 1.4, round >= 4);
    if (std::abs(r.turn) > 1.4 * kMostTurn) return std::nullopt;
    r.score = scoreOf(mask, hook, dense, r) * (0.4 + 0.6 * eyeScore(mask, r, hook));
    r.error = fit.error;
    return r;
}

}  // namespace

std::optional<Registration> findHook(const Picture& picture, const Hook& hook, const std::stop_token& stop, const Progress& progress) {
    constexpr int kLeastSide = 48;
    if (picture.width < kLeastSide || picture.height < kLeastSide ||
        picture.grey.size() != static_cast<std::size_t>(picture.width) * static_cast<std::size_t>(picture.height))
        return std::nullopt;
    double fineFactor = 1.0, coarseFactor = 1.0;
    const cv::Mat fine = shrunk(matOf(picture), kFineWidth, fineFactor);
    const cv::Mat fineMask = silhouette(fine);
    if (fineMask.empty()) return std::nullopt;
    const cv::Mat coarseMask = silhouette(shrunk(fine, kCoarseWidth, coarseFactor));
    if (coarseMask.empty()) return std::nullopt;
    cv::Mat coarse;
    coarseMask.convertTo(coarse, CV_32FC1);
    const std::vector<BarePlace> dense = barePlaces(hook, 0.012 * hook.bendArc());
    std::optional<Registration> chosen;
    for (const Candidate& candidate : farApart(searchCoarse(coarse, hook, 1.0 / coarseFactor, stop, progress), fine.cols)) {
        if (stop.stop_requested()) return std::nullopt;
        const auto r = settled(candidate.at, fineMask, hook, dense);
        if (r && (!chosen || r->score > chosen->score)) chosen = r;
    }
    if (progress) progress(1.0);
    if (stop.stop_requested() || !chosen || chosen->score < kLeastScore) return std::nullopt;
    chosen->eye.x /= fineFactor;
    chosen->eye.y /= fineFactor;
    chosen->pxPerMm /= fineFactor;
    return chosen;
}

std::optional<Registration> fromMarks(const std::vector<Marked>& marks, bool mirrored) {
    if (marks.size() < 2) return std::nullopt;
    // Similarity a, b: x' = a x − b y + p, y' = b x + a y + q (y down, mirrored first).
    double sx = 0, sy = 0, su = 0, sv = 0;
    const auto hookX = [&](const Marked& m) { return (mirrored ? -1.0 : 1.0) * (m.at.x / mm); };
    const auto hookY = [](const Marked& m) { return -(m.at.y / mm); };
    const double n = static_cast<double>(marks.size());
    for (const Marked& m : marks) {
        sx += hookX(m) / n;
        sy += hookY(m) / n;
        su += m.seen.x / n;
        sv += m.seen.y / n;
    }
    double square = 0, a = 0, b = 0;
    for (const Marked& m : marks) {
        const double x = hookX(m) - sx, y = hookY(m) - sy, u = m.seen.x - su, v = m.seen.y - sv;
        square += x * x + y * y;
        a += x * u + y * v;
        b += x * v - y * u;
    }
    constexpr double kApart = 1e-6;  // mm²; marks on one place say nothing of the scale
    if (square < kApart) return std::nullopt;
    a /= square;
    b /= square;
    Registration r;
    r.pxPerMm = std::hypot(a, b);
    if (r.pxPerMm <= 0.0) return std::nullopt;
    r.turn = std::atan2(b, a);
    r.mirrored = mirrored;
    r.eye = {su - (a * sx - b * sy), sv - (b * sx + a * sy)};
    r.score = 1.0;
    double off = 0.0;
    for (const Marked& m : marks) {
        const Pixel at = r.toPicture(m.at);
        off += std::pow(at.x - m.seen.x, 2) + std::pow(at.y - m.seen.y, 2);
    }
    constexpr double kPointing = 1.5;  // px that a pointer is off at best
    r.error = std::hypot(std::sqrt(off / n), kPointing) / r.pxPerMm;
    return r;
}

Silhouette silhouetteOf(const Picture& picture, const Registration& registration, const Hook& hook) {
    Silhouette found;
    double factor = 1.0;
    const cv::Mat mask = silhouette(shrunk(matOf(picture), kFineWidth, factor), Cut::fibres);
    if (mask.empty()) return found;
    Registration r = registration;
    r.eye = {r.eye.x * factor, r.eye.y * factor};
    r.pxPerMm *= factor;
    const double gape = hook.gape() / mm;
    const double bin = 0.05;  // mm
    const double from = -2.0 * (hook.eyeWidth() / mm), to = 3.0 * (hook.overall() / mm);
    std::vector<double> behind(static_cast<std::size_t>((to - from) / bin) + 1, 0.0), all = behind;
    for (int y = 0; y < mask.rows; ++y)
        for (int x = 0; x < mask.cols; ++x) {
            if (mask.at<std::uint8_t>(y, x) == 0) continue;
            const Point2 at = r.toHook({static_cast<double>(x), static_cast<double>(y)});
            const double hx = at.x / mm, hy = at.y / mm;
            if (hx < from || hx >= to || hy < -2.2 * gape || hy > 2.2 * gape) continue;
            const auto slot = static_cast<std::size_t>((hx - from) / bin);
            all[slot] += 1.0;
            if (hy > -0.25 * gape) behind[slot] += 1.0;
        }
    const double pixels = r.pxPerMm * r.pxPerMm;
    constexpr double kFibre = 0.0035;  // mm² of silhouette in three bins: a fibre's end, and no speck
    const auto last = [&](const std::vector<double>& columns) -> std::optional<Length> {
        for (std::size_t i = columns.size() - 1; i >= 2; --i)
            if ((columns[i] + columns[i - 1] + columns[i - 2]) / pixels > kFibre && columns[i] > 0.0)
                return (from + bin * (static_cast<double>(i) + 0.5)) * mm;
        return std::nullopt;
    };
    const auto first = [&](const std::vector<double>& columns) -> std::optional<Length> {
        for (std::size_t i = 0; i + 2 < columns.size(); ++i)
            if ((columns[i] + columns[i + 1] + columns[i + 2]) / pixels > kFibre && columns[i] > 0.0)
                return (from + bin * (static_cast<double>(i) + 0.5)) * mm;
        return std::nullopt;
    };
    found.tailTip = last(behind);
    if (found.tailTip && *found.tailTip < hook.shank() + 0.5 * hook.bendRadius()) found.tailTip.reset();  // nothing stands behind the bend
    const auto front = first(all), rear = last(all);
    if (front && rear) found.overall = *rear - *front;
    return found;
}

std::optional<double> hackleEvenness(const Picture& picture, const Registration& registration, const Hook& hook) {
    double factor = 1.0;
    const cv::Mat mask = silhouette(shrunk(matOf(picture), kFineWidth, factor), Cut::fibres);
    if (mask.empty()) return std::nullopt;
    Registration r = registration;
    r.eye = {r.eye.x * factor, r.eye.y * factor};
    r.pxPerMm *= factor;
    double above = 0.0, below = 0.0;
    const double front = 0.45 * (hook.shank() / mm), wire = 2.5 * (hook.wire() / mm), gape = hook.gape() / mm;
    for (int y = 0; y < mask.rows; ++y)
        for (int x = 0; x < mask.cols; ++x) {
            if (mask.at<std::uint8_t>(y, x) == 0) continue;
            const Point2 at = r.toHook({static_cast<double>(x), static_cast<double>(y)});
            const double hx = at.x / mm, hy = at.y / mm;
            if (hx < 0.0 || hx > front || std::abs(hy) > 1.8 * gape) continue;
            if (hy > wire) above += hy;
            if (hy < -wire) below += -hy;
        }
    if (above <= 0.0) return std::nullopt;
    return below / above;
}

}  // namespace machair::photo
