#include "leader/drift.h"

#include <algorithm>
#include <cmath>
#include <numbers>

#include "language/say.h"
#include "units/text.h"

namespace machair {

namespace {

constexpr double kRamp = 0.2;  // s, half the phase if that is shorter

// From the cast to the end of the hang, where the bob is held as long as it may be: the path ends before the hold then.
Time longestOf(const TipPath& path, const Handling& h) { return path.length() + h.hold + (h.hold > Time{} ? h.hang : Time{}); }

}  // namespace

Faults check(const Handling& h) {
    Faults faults;
    const auto atLeastNothing = [&](const char* key, Time time) {
        if (!(time >= Time{}) || !std::isfinite(time / second)) faults.push_back({Place(key), say("expected seconds from 0 up"), ""});
    };
    atLeastNothing("count", h.count);
    atLeastNothing("for", h.retrieveFor);
    atLeastNothing("hold", h.hold);
    atLeastNothing("hang", h.hang);
    const auto speed = [&](const char* key, Speed value) {
        if (!(value >= Speed{}) || value > 5.0 * metrePerSecond)
            faults.push_back({Place(key), say("expected a speed from 0 to 5 m/s"), ""});
    };
    speed("retrieve", h.retrieve);
    speed("drift", h.drift);
    speed("lift", h.lift);
    speed("draw", h.draw);
    if (h.pull.has_value() != h.pause.has_value())
        faults.push_back({Place(h.pull ? "pause" : "pull"), say("expected both a pull and a pause, got one of them"), ""});
    if (h.pull && h.pause && (*h.pull <= Time{} || *h.pause < Time{}))
        faults.push_back({Place("pull"), say("expected a pull over 0 s and a pause from 0 s"), ""});
    if (h.lift > Speed{} && h.height <= Length{})
        faults.push_back({Place("height"), say("expected the height of the rod tip at the end of the lift"), ""});
    if (h.height > 20.0 * metre || h.height < Length{}) faults.push_back({Place("height"), say("expected a height from 0 to 20 m"), ""});
    if (h.elevation.inDegrees() < 5.0 || h.elevation.inDegrees() > 90.0)
        faults.push_back({Place("elevation"), say("expected an elevation from 5 to 90 degrees"), ""});
    if (!faults.empty()) return faults;
    if (h.hold > Time{} && h.height <= Length{})
        faults.push_back({Place("height"), say("expected the height that the line's end can be held to, got none"), ""});
    const Time whole = longestOf(TipPath(h), h);
    if (whole > kLongestDrift)
        faults.push_back({Place(),
                          say("expected at most 600 s from the cast to the end of the hang, got {}", formatNumber(whole / second, 0)),
                          say("a shorter count, retrieve, hold or hang")});
    if (whole <= Time{})
        faults.push_back({Place(), say("expected some time in the water, got none"), say("a count, a retrieve or a hang")});
    return faults;
}

Vec2 TipPath::Phase::at(double seconds) const {
    const double t = seconds - start;
    if (t >= ramp) return from + (0.5 * ramp) * (before + during) + (t - ramp) * during;
    return from + t * before + (0.5 * t * t / ramp) * (during - before);
}

Vec2 TipPath::Phase::speedAt(double seconds) const {
    const double t = seconds - start;
    return t >= ramp ? during : before + (t / ramp) * (during - before);
}

void TipPath::add(double length, Vec2 speed) {
    if (length <= 0.0) return;
    const Vec2 before = phases_.empty() ? Vec2{} : phases_.back().during;
    const Vec2 from = phases_.empty() ? Vec2{} : phases_.back().at(end_);
    phases_.push_back({end_, std::min(kRamp, 0.5 * length), before, speed, from});
    end_ += length;
}

namespace {
double riseOf(const Handling& h) { return h.lift / metrePerSecond * sin(h.elevation); }  // m/s
}  // namespace

// Half of the ramp is lost to it, so a lift lasts so much longer.
Time liftTime(const Handling& h) {
    if (h.lift <= Speed{}) return {};
    const double even = h.height / metre / riseOf(h);
    return (even >= 0.5 * kRamp ? even + 0.5 * kRamp : even / 0.75) * second;
}

Length liftedIn(const Handling& h, Time time) {
    const double t = std::max(0.0, time / second);
    return (t >= kRamp ? t - 0.5 * kRamp : 0.75 * t) * riseOf(h) * metre;
}

TipPath::TipPath(const Handling& h) {
    const double drift = h.drift / metrePerSecond;
    const Vec2 drawn{-std::max(h.retrieve / metrePerSecond - drift, 0.0), 0.0};
    add(h.count / second, {});
    if (h.pull) {
        double left = h.retrieveFor / second;
        for (bool pulling = true; left > 1e-9; pulling = !pulling) {
            const double length = std::min(left, (pulling ? *h.pull : *h.pause) / second);
            add(length, pulling ? drawn : Vec2{});
            left -= length;
            if (length <= 0.0 && *h.pull + *h.pause <= Time{}) break;
        }
    } else {
        add(h.retrieveFor / second, drawn);
    }
    if (h.lift > Speed{}) {
        lift_ = end_;
        add(liftTime(h) / second, {drift - h.lift / metrePerSecond * cos(h.elevation), riseOf(h)});
    }
    if (h.hold <= Time{}) add(h.hang / second, {drift, 0.0});
}

Vec2 TipPath::at(double seconds) const { return phases_.empty() ? Vec2{} : phaseAt(seconds).at(seconds); }

Vec2 TipPath::speedAt(double seconds) const { return phases_.empty() ? Vec2{} : phaseAt(seconds).speedAt(seconds); }

const TipPath::Phase& TipPath::phaseAt(double seconds) const {
    const auto after = std::ranges::upper_bound(phases_, seconds, {}, &Phase::start);
    return after == phases_.begin() ? phases_.front() : *(after - 1);
}

std::optional<Time> TipPath::liftStart() const {
    if (!lift_) return std::nullopt;
    return *lift_ * second;
}

namespace {

// The rod as it is held: along its path until the bob is up, then with the boat and upwards as fast as the bob sinks back
// (models-team.md section G). The hand answers the mean surface, not each crest.
class Rod {
  public:
    Rod(const Handling& handling, const TipPath& path, std::optional<Length> bobFibre)
        : path_(path),
          holds_(handling.hold > Time{} && bobFibre),
          half_(bobFibre ? 0.5 * (*bobFibre / metre) : 0.0),
          reach_(handling.height / metre),
          along_((handling.drift - handling.draw) / metrePerSecond),
          drift_(handling.drift / metrePerSecond),
          hold_(handling.hold / second),
          hang_(handling.hang / second) {}

    // Where the tip is `dt` later, the bob being at this height over the mean surface.
    Vec2 next(double now, double dt, double bob) {
        if (phase_ == Phase::path) {
            const bool lifting = path_.liftStart() && now > *path_.liftStart() / second;
            const bool over = now > path_.length() / second + 1e-9;
            if (!holds_ || (!over && !(lifting && bob >= -half_))) {
                at_ = path_.at(now);
                return at_;
            }
            speed_ = path_.speedAt(now - dt);
            phase_ = Phase::hold;
            since_ = now - dt;
            heldFrom_ = since_ * second;
        }
        if (phase_ == Phase::hold && now - since_ > hold_ + 1e-9) {
            phase_ = Phase::hang;
            since_ = now - dt;
        }
        towards(phase_ == Phase::hold ? held(bob, dt) : Vec2{drift_, 0.0}, dt);
        at_ = at_ + dt * speed_;
        return at_;
    }
    [[nodiscard]] std::optional<Time> heldFrom() const { return heldFrom_; }
    [[nodiscard]] bool done(double now) const {
        constexpr double kDust = 1e-9;
        if (!holds_) return now > path_.length() / second - kDust;
        if (phase_ == Phase::hang) return now - since_ > hang_ - kDust;
        return phase_ == Phase::hold && hang_ <= 0.0 && now - since_ > hold_ - kDust;
    }

  private:
    enum class Phase { path, hold, hang };
    Vec2 held(double bob, double dt) {
        constexpr double kGain = 4.0, kFastestDown = -0.2, kFastestUp = 0.4;  // per s, per s², m/s
        const double off = -half_ - bob;
        const double wanted = kGain * off + sum_;
        double rise = std::clamp(wanted, kFastestDown, kFastestUp);
        if (wanted == rise) sum_ += kGain * off * dt;
        if (at_.z >= reach_) rise = std::min(rise, 0.0);
        return {along_, rise};
    }
    void towards(Vec2 wanted, double dt) {
        constexpr double kMostChange = 3.0;  // m/s²
        const Vec2 change = wanted - speed_;
        const double much = std::hypot(change.x, change.z), most = kMostChange * dt;
        speed_ = much <= most ? wanted : speed_ + (most / much) * change;
    }

    const TipPath& path_;
    bool holds_;
    double half_, reach_, along_, drift_, hold_, hang_;
    Phase phase_ = Phase::path;
    double since_ = 0.0;
    std::optional<Time> heldFrom_;
    Vec2 at_, speed_;
    double sum_ = 0.0;
};

// What is read off while the chain moves.
class Reading {
  public:
    Reading(const Rig& rig, const Chain& chain, const Handling& handling, const TipPath& path, const DriftOptions& options)
        : rig_(rig), chain_(chain), options_(options) {
        // From the lift on the bob works the surface; without a lift or a hold nothing rises on purpose.
        if (path.liftStart())
            working_ = *path.liftStart() / second;
        else if (handling.hold > Time{})
            working_ = path.length() / second;
        for (std::size_t f = 0; f < rig_.flies.size(); ++f)
            report.flyNode[rig_.flies[f].position] = chain_.nodeOf(f);
        for (const Chain::Node& node : chain_.nodes())
            report.parents.push_back(node.parent);
        if (working_ && bob()) report.bobHolds = report.bobClear = report.bobWorks = Time{};
    }

    void sample(double now) {
        DriftSample sample;
        sample.time = now * second;
        sample.tip = -chain_.nodes()[0].place.z * metre;
        for (std::size_t f = 0; f < rig_.flies.size(); ++f) {
            const double z = height(f, now);
            const bool inTheAir = working_ && now > *working_ && z > 0.0;
            if (!inTheAir) sample.depth[rig_.flies[f].position] = -z * metre;
        }
        if (options_.keepNodes)
            for (const Chain::Node& node : chain_.nodes())
                sample.nodes.push_back({node.place.x * metre, node.place.z * metre});
        report.samples.push_back(std::move(sample));
    }

    void spend(double dt, double now) {
        for (std::size_t f = 0; f < rig_.flies.size(); ++f) {
            const double depth = std::max(0.0, -height(f, now));
            auto& bands = report.bands[rig_.flies[f].position];
            const auto band = static_cast<std::size_t>(depth / (kDepthBand / metre));
            if (bands.size() <= band) bands.resize(band + 1);
            bands[band] += dt * second;
            if (options_.bottom && depth >= *options_.bottom / metre && !onBottom_[rig_.flies[f].position])
                onBottom_[rig_.flies[f].position] = now;
        }
        if (!working_ || now <= *working_ || !bob()) return;
        const double z = height(*bob(), now);
        const double f = rig_.flies[*bob()].fibre / metre;
        if (!report.bobBreaks && z >= -f) {
            report.bobBreaks = (now - *working_) * second;
            report.tipAtBreak = chain_.nodes()[0].place.z * metre;
        }
        constexpr double kWorking = 0.02;  // m
        if (std::abs(z) <= kWorking + 0.5 * std::abs(options_.surface.amplitude)) *report.bobWorks += dt * second;
        if (std::abs(z) <= f) *report.bobHolds += dt * second;
        if (z > f) *report.bobClear += dt * second;
    }

    DriftReport report;

    // Over the mean surface; 0 where there is no bob.
    [[nodiscard]] double bobOverMean() const { return bob() ? chain_.nodes()[chain_.nodeOf(*bob())].place.z : 0.0; }
    [[nodiscard]] const ByPosition<std::optional<double>>& onBottom() const { return onBottom_; }

  private:
    [[nodiscard]] std::optional<std::size_t> bob() const {
        if (rig_.flies.empty() || rig_.flies.front().position != Position::bob) return std::nullopt;
        return 0;
    }
    [[nodiscard]] double height(std::size_t fly, double now) const {
        const Vec2 place = chain_.nodes()[chain_.nodeOf(fly)].place;
        return place.z - options_.surface.height(place.x, now);
    }

    const Rig& rig_;
    const Chain& chain_;
    const DriftOptions& options_;
    std::optional<double> working_;
    ByPosition<std::optional<double>> onBottom_;  // since when, s
};

}  // namespace

DriftReport runDrift(const Rig& rig, const Handling& handling, const DriftOptions& options) {
    require(check(handling).empty(), "a drift is checked before it is run");
    const TipPath path(handling);
    Chain chain(rig, options.link, options.start, options.surface);
    Reading reading(rig, chain, handling, path, options);
    DriftReport& report = reading.report;
    const double dt = options.step / second;
    const double longest = longestOf(path, handling) / second;
    const auto steps = static_cast<std::uint64_t>(std::llround(longest / dt));
    const auto every = std::max<std::uint64_t>(1, static_cast<std::uint64_t>(std::llround(kSampleEvery / options.step)));
    const bool hasBob = !rig.flies.empty() && rig.flies.front().position == Position::bob;
    Rod rod(handling, path, hasBob ? std::optional(rig.flies.front().fibre) : std::nullopt);
    const auto riding = [&](Vec2 tip, double t) {
        constexpr double kLeavesTheWave = 0.3;  // m of lift over which the tip stops riding it
        if (options.surface.amplitude != 0.0)
            tip.z += options.surface.height(tip.x, t) * std::clamp(1.0 - tip.z / kLeavesTheWave, 0.0, 1.0);
        return tip;
    };
    reading.sample(0.0);
    Vec2 tip = riding(path.at(0.0), 0.0);
    for (std::uint64_t i = 1; i <= steps; ++i) {
        if (i % every == 0 && options.stop.stop_requested()) {
            report.stopped = true;
            break;
        }
        const double now = static_cast<double>(i) * dt;
        if (rod.done(now - dt)) break;
        const Vec2 next = riding(rod.next(now, dt, reading.bobOverMean()), now);
        chain.advanceSurely(dt, tip, next, now - dt, report.count);
        tip = next;
        reading.spend(dt, now);
        if (i % every == 0) {
            reading.sample(now);
            if (options.progress) options.progress(static_cast<double>(i) / static_cast<double>(steps));
        }
    }
    report.heldFrom = rod.heldFrom();
    for (const Position position : kPositions)
        if (const auto since = reading.onBottom()[position])
            report.warnings.push_back(say("the {} is on the bottom from {} s on: the water is {} m deep", sayName(position),
                                          formatNumber(*since, 0), formatNumber(*options.bottom / metre, 1)));
    if (handling.retrieve <= handling.drift && handling.retrieveFor > Time{} && handling.drift > Speed{})
        report.warnings.push_back(say("you are not in touch below {} m/s: the boat drifts as fast as you draw",
                                      formatNumber(handling.drift / metrePerSecond, 2)));
    for (const RiggedFly& fly : rig.flies)
        if (fly.submerged <= Force{} && fly.position != Position::bob)
            report.warnings.push_back(say("the {} floats: it holds the leader up", sayName(fly.position)));
    if (report.count.failed > 0)
        report.warnings.push_back(
            say("{} of {} steps did not converge", std::to_string(report.count.failed), std::to_string(report.count.steps)));
    return std::move(report);
}

WaveSpread otherPhases(const Rig& rig, const Handling& handling, DriftOptions options, const DriftReport& run) {
    WaveSpread spread;
    options.keepNodes = false;
    for (const double third : {1.0, 2.0}) {
        DriftOptions own = options;
        own.surface.phase += third * 2.0 * std::numbers::pi / 3.0;
        spread.others.push_back(runDrift(rig, handling, own));
        spread.stopped = spread.stopped || spread.others.back().stopped;
    }
    const auto atEnd = static_cast<std::size_t>(std::llround((handling.count + handling.retrieveFor) / kSampleEvery));
    for (const Position position : kPositions) {
        std::vector<double> depths;
        const auto take = [&](const DriftReport& one) {
            if (one.samples.empty()) return;
            const auto& depth = one.samples[std::min(atEnd, one.samples.size() - 1)].depth[position];
            if (depth) depths.push_back(*depth / metre);
        };
        take(run);
        for (const DriftReport& other : spread.others)
            take(other);
        if (depths.empty()) continue;
        const auto [low, high] = std::ranges::minmax(depths);
        double sum = 0.0;
        for (const double depth : depths)
            sum += depth;
        spread.depth[position] = {sum / static_cast<double>(depths.size()) * metre, 0.5 * (high - low) * metre};
    }
    return spread;
}

namespace {

// A strand in a steady tow, followed from its lower end up: the pull on it, and how far it has come.
struct TowState {
    double h = 0.0;  // horizontal pull, N
    double v = 0.0;  // vertical pull
    double x = 0.0;  // ahead of its lower end
    double z = 0.0;  // above it
};

class TowedStrand {
  public:
    TowedStrand(const Rig& rig, double speed)
        : rig_(rig), speed_(speed), d_(rig.leader.diameter / metre), mu_(viscosity(rig.celsius) / pascalSecond) {
        weight_ =
            (strandDensity(rig.leader.strand) / mgPerMm3 - 1.0) * 1000.0 * (kGravity / metrePerSecond2) * 0.25 * std::numbers::pi * d_ * d_;
    }
    // Up `length` of it, by the classical Runge-Kutta method.
    TowState up(TowState s, double length, std::vector<Point2>* trace = nullptr) const {
        const int steps = std::max(8, static_cast<int>(std::ceil(length / 0.01)));
        const double ds = length / steps;
        for (int i = 0; i < steps; ++i) {
            const TowState a = slope(s), b = slope(moved(s, a, 0.5 * ds)), c = slope(moved(s, b, 0.5 * ds)), d = slope(moved(s, c, ds));
            const auto mean = [&](double TowState::*m) { return ds / 6.0 * (a.*m + 2.0 * (b.*m) + 2.0 * (c.*m) + d.*m); };
            s = {s.h + mean(&TowState::h), s.v + mean(&TowState::v), s.x + mean(&TowState::x), s.z + mean(&TowState::z)};
            if (trace) trace->push_back({s.x * metre, s.z * metre});
        }
        return s;
    }
    // The pull of a fly by itself: its weight and its drag in the attitude that this pull gives it.
    TowState fly(const RiggedFly& fly) const {
        const double w = fly.submerged / newton;
        double a = 0.5;
        double drag = 0.0;
        for (int i = 0; i < 100; ++i) {
            const double flat = fly.flat.at(speed_).perSpeed * speed_, along = fly.along.at(speed_).perSpeed * speed_;
            drag = (1.0 - a) * flat + a * along;
            const double pull = std::hypot(drag, w);
            const double next = pull / (pull + std::max(std::abs(w), 10e-6));
            if (std::abs(next - a) < 1e-12) break;
            a = next;
        }
        return {drag, w, 0.0, 0.0};
    }

  private:
    static TowState moved(const TowState& s, const TowState& by, double ds) {
        return {s.h + ds * by.h, s.v + ds * by.v, s.x + ds * by.x, s.z + ds * by.z};
    }
    TowState slope(const TowState& s) const {
        const double pull = std::max(std::hypot(s.h, s.v), 1e-12);
        const double c = s.h / pull, sn = s.v / pull;
        const double across = speed_ * std::abs(sn), along = speed_ * c;
        const double held = std::max(across, 1e-3);
        const double re = 1000.0 * held * d_ / mu_;
        const double fn = rig_.strandDrag * 0.5 * 1000.0 * d_ * (1.0 + 10.0 / std::cbrt(re * re)) * held * across * (sn < 0.0 ? -1.0 : 1.0);
        const double ft = rig_.strandDrag * std::numbers::pi * mu_ * along * (0.45 + 0.55 * std::sqrt(1000.0 * across * d_ / mu_));
        return {ft * c + fn * sn, weight_ + ft * sn - fn * c, c, sn};
    }
    const Rig& rig_;
    double speed_;
    double d_;
    double mu_;
    double weight_;
};

}  // namespace

Tow settledTow(const Rig& rig, Speed speed) {
    const TowedStrand strand(rig, std::max(speed / metrePerSecond, 1e-6));
    const LeaderMeasures& m = rig.leader;
    const auto flyAt = [&](Position p) -> const RiggedFly* {
        const auto found = std::ranges::find(rig.flies, p, &RiggedFly::position);
        return found == rig.flies.end() ? nullptr : &*found;
    };
    struct Hung {
        Position position;
        double x, z;  // of the fly, from the foot of the strand
    };
    std::vector<Hung> hung;
    std::vector<Point2> trace{{}};
    TowState at;
    const auto section = [&](Position position, Length length, bool dropper) {
        if (const RiggedFly* fly = flyAt(position)) {
            TowState own = strand.fly(*fly);
            if (dropper) own = strand.up(own, m.dropper / metre);
            hung.push_back({position, at.x - own.x, at.z - own.z});
            at.h += own.h;
            at.v += own.v;
        }
        at = strand.up(at, length / metre, &trace);
    };
    const std::vector<Position> knots = knotsOf(rig);
    for (std::size_t k = knots.size(); k-- > 0;)
        section(knots[k], m.fromTip(knots[k]) - (k > 0 ? m.fromTip(knots[k - 1]) : Length{}), knots[k] != Position::point);
    Tow tow;
    for (auto it = hung.rbegin(); it != hung.rend(); ++it)
        tow.flies.push_back({it->position, (at.z - it->z) * metre, (at.x - it->x) * metre});
    for (auto it = trace.rbegin(); it != trace.rend(); ++it)
        tow.strand.push_back({at.x * metre - it->x, it->y - at.z * metre});
    return tow;
}

}  // namespace machair
