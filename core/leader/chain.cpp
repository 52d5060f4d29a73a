#include "leader/chain.h"

#include <algorithm>
#include <bit>
#include <cmath>
#include <cstdint>
#include <experimental/simd>
#include <numbers>

namespace machair {

namespace {

constexpr double kGrav = kGravity / metrePerSecond2;
constexpr double kRho = 1000.0;
constexpr double kFilm = 5e-3;          // m, h: half the depth over which buoyancy sets in
constexpr double kYoung = 2.5e9;        // Pa
constexpr double kSlow = 1e-3;          // m/s; drag across is linear below
constexpr double kAttitudeLag = 0.1;    // s
constexpr double kLeastWeight = 10e-6;  // N, in the attitude
constexpr int kMostIterations = 16;
constexpr double kBendOfStrand = 9.0;      // C(Re) v² bends most at kSlow, where C is 36: 1 + 2/9 · 36 of it
constexpr double kLengthTolerance = 1e-8;  // m
constexpr double kForceTolerance = 1e-9;   // N
constexpr double kHeapStretch = 0.3;       // m, over which a heap lies
constexpr std::size_t kLeastDropperLinks = 3;

// The two ends of a link side by side: the processor works on both at once, which is most of what a drift costs.
namespace stdx = std::experimental;
using Two = stdx::fixed_size_simd<double, 2>;
Two both(double child, double parent) {
    return Two([&](auto end) { return end == 0 ? child : parent; });
}

// y^(-1/3) for y over 0, within 1e-13: a guess from the bits, then two of Householder's steps (third and second order).
// Several times as quick as the library's cube root.
inline Two inverseCubeRoot(Two y) {
    constexpr std::uint64_t kMagic = 0x553ef0ff289dd796;  // Moroz et al. 2021: the exponent's third, and the least error
    const auto guess = [](double v) { return std::bit_cast<double>(kMagic - std::bit_cast<std::uint64_t>(v) / 3); };
    Two r = both(guess(y[0]), guess(y[1]));
    Two e = 1.0 - y * r * (r * r);
    r *= 1.0 + e * (1.0 / 3.0 + e * (2.0 / 9.0 + e * (14.0 / 81.0)));
    e = 1.0 - y * r * (r * r);
    return r * (1.0 + e * (1.0 / 3.0 + e * (2.0 / 9.0)));
}

}  // namespace

double WaveSurface::height(double x, double t) const {
    return amplitude == 0.0 ? 0.0 : amplitude * std::cos(wavenumber * x - frequency * t + phase);
}

Vec2 WaveSurface::velocity(Vec2 at, double t) const {
    if (amplitude == 0.0) return {};
    const double angle = wavenumber * at.x - frequency * t + phase;
    const double speed = amplitude * frequency * std::exp(wavenumber * std::min(at.z - height(at.x, t), 0.0));
    return {speed * std::cos(angle), speed * std::sin(angle)};
}

std::size_t Chain::add(int parent, double length, Vec2 place) {
    Node node;
    node.parent = parent;
    node.place = place;
    nodes_.push_back(node);
    Link link;
    link.length = length;
    link.compliance = length / modulusArea_;
    links_.push_back(link);
    if (parent >= 0) {  // half of the link to each of its ends
        const double volume = 0.25 * kPi * diameter_ * diameter_ * length;
        const double mass = strandDensity(rig_.leader.strand) / mgPerMm3 * 1000.0 * volume;
        for (Node* end : {&nodes_.back(), &nodes_[static_cast<std::size_t>(parent)]}) {
            end->mass += 0.5 * (mass + kRho * volume);
            end->weight += 0.5 * mass * kGrav;
            end->buoyancy += 0.5 * kRho * volume * kGrav;
        }
    }
    return nodes_.size() - 1;
}

void Chain::addStrand(std::size_t& end, double length, double longest, std::size_t least, double turn) {
    const auto count = std::max(least, static_cast<std::size_t>(std::ceil(length / longest - 1e-9)));
    const double each = length / static_cast<double>(count);
    for (std::size_t i = 0; i < count; ++i) {
        end = add(static_cast<int>(end), each, laidOn(nodes_[end].place, turn * each));
    }
}

// So far on over the water from a place on it: in a wave along its slope, so that nothing is stretched before it is let go.
Vec2 Chain::laidOn(Vec2 from, double apart) const {
    double along = apart, rise = 0.0;
    constexpr int kSettles = 4;
    for (int i = 0; surface_.amplitude != 0.0 && i < kSettles; ++i) {
        rise = std::clamp(surface_.height(from.x + along, 0.0) - from.z, -apart, apart);
        along = std::sqrt(apart * apart - rise * rise);
    }
    return {from.x + along, from.z + rise};
}

Chain::Chain(const Rig& rig, Length longestLink, LeaderStart start, const WaveSurface& surface)
    : rig_(rig),
      surface_(surface),
      diameter_(rig.leader.diameter / metre),
      mu_(viscosity(rig.celsius) / pascalSecond),
      modulusArea_(kYoung * 0.25 * kPi * diameter_ * diameter_),
      dragScale_(0.5 * kRho * diameter_ * rig.strandDrag),
      thinScale_(10.0 * std::pow(kRho * diameter_ / mu_, -2.0 / 3.0)) {
    const double longest = longestLink / metre;
    const LeaderMeasures& m = rig_.leader;
    const double turn = start == LeaderStart::heap ? std::min(1.0, kHeapStretch / (m.overall() / metre)) : 1.0;
    std::size_t end = add(-1, 0.0, {0.0, surface_.height(0.0, 0.0)});
    flyNode_.assign(rig_.flies.size(), 0);
    std::vector<std::pair<std::size_t, std::size_t>> droppers;  // knot, fly
    Length reached;
    for (const Position position : knotsOf(rig_)) {
        addStrand(end, (m.fromTip(position) - reached) / metre, longest, 1, turn);
        reached = m.fromTip(position);
        const auto fly = std::ranges::find(rig_.flies, position, &RiggedFly::position);
        if (fly == rig_.flies.end()) continue;
        const auto index = static_cast<std::size_t>(fly - rig_.flies.begin());
        if (position == Position::point)
            flyNode_[index] = end;
        else
            droppers.emplace_back(end, index);
    }
    for (const auto& [knot, fly] : droppers) {
        nodes_[knot].knot = true;
        std::size_t tip = knot;
        addStrand(tip, m.dropper / metre, longest, kLeastDropperLinks, turn);
        flyNode_[fly] = tip;
    }
    for (std::size_t f = 0; f < rig_.flies.size(); ++f) {
        Node& node = nodes_[flyNode_[f]];
        const double mass = rig_.flies[f].mass / mg * 1e-6;
        node.fly = static_cast<int>(f);
        node.mass += 2.0 * mass;  // its own, and as much water
        node.weight += mass * kGrav;
        node.buoyancy += mass * kGrav - rig_.flies[f].submerged / newton;
    }
    attitude_.assign(rig_.flies.size(), 0.0);
    wet_.resize(nodes_.size());
    surfaceAt_.resize(nodes_.size());
    current_.resize(nodes_.size());
    rows_.resize(nodes_.size());
    start_.resize(nodes_.size());
    startVelocity_.resize(nodes_.size());
    startTension_.resize(nodes_.size());
    acceleration_.resize(nodes_.size());
    tightening_.resize(nodes_.size());
}

double Chain::energy() const {
    double sum = 0.0;
    for (std::size_t i = 1; i < nodes_.size(); ++i) {
        const Node& n = nodes_[i];
        const double z = n.place.z;
        // The buoyancy's potential: its force from above the film to z, integrated.
        const double under = z >= kFilm ? 0.0 : z <= -kFilm ? -z : 0.25 * (kFilm - z) * (kFilm - z) / kFilm;
        sum += 0.5 * n.mass * n.velocity.dot(n.velocity) + n.weight * z + n.buoyancy * under;
        sum += 0.5 * links_[i].compliance * links_[i].tension * links_[i].tension;
    }
    return sum;
}

void Chain::beginStep(double now) {
    for (std::size_t i = 0; i < nodes_.size(); ++i) {
        start_[i] = nodes_[i].place;
        startVelocity_[i] = nodes_[i].velocity;
        startTension_[i] = links_[i].tension;
        if (surface_.amplitude != 0.0) {
            surfaceAt_[i] = surface_.height(start_[i].x, now);
            current_[i] = surface_.velocity(start_[i], now);
        }
        wet_[i] = std::clamp(0.5 - (start_[i].z - surfaceAt_[i]) / (2.0 * kFilm), 0.0, 1.0);
    }
    for (std::size_t i = 1; i < nodes_.size(); ++i) {
        Link& link = links_[i];
        const auto p = static_cast<std::size_t>(nodes_[i].parent);
        const Vec2 span = start_[i] - start_[p];
        const double length = span.length();
        if (length > 1e-12) link.direction = (1.0 / length) * span;
        // π μ (0.45 + 0.55 sqrt(Re_n)) per metre, on half of the link each
        const Vec2 a = startVelocity_[i] - current_[i], b = startVelocity_[p] - current_[p];
        const Two vx = both(a.x, b.x), vz = both(a.z, b.z), vt = vx * link.direction.x + vz * link.direction.z;
        const Two acrossX = vx - vt * link.direction.x, acrossZ = vz - vt * link.direction.z;
        const Two re = stdx::sqrt(acrossX * acrossX + acrossZ * acrossZ) * (kRho * diameter_ / mu_);
        const Two skin = both(wet_[i], wet_[p]) * (rig_.strandDrag * 0.5 * link.length * kPi * mu_) * (0.45 + 0.55 * stdx::sqrt(re));
        link.tangential[0] = skin[0];
        link.tangential[1] = skin[1];
    }
}

// ½ρ d C(Re_n) |v_n| v_n per metre and the tangential part, on half of a link at each of its ends, with their tangents.
void Chain::addDrag(std::size_t child, std::size_t parent, const Link& link) {
    const double half = 0.5 * link.length;
    const Two wet = both(wet_[child], parent == 0 ? 0.0 : wet_[parent]);  // the tip is led: no force moves it
    if (wet[0] == 0.0 && wet[1] == 0.0) return;
    const Vec2 a = nodes_[child].velocity - current_[child], b = nodes_[parent].velocity - current_[parent];
    const double tx = link.direction.x, tz = link.direction.z;
    const Two vx = both(a.x, b.x), vz = both(a.z, b.z);
    const Two vt = vx * tx + vz * tz;
    const Two acrossX = vx - vt * tx, acrossZ = vz - vt * tz;
    const Two square = acrossX * acrossX + acrossZ * acrossZ;
    const Two heldSquare = stdx::max(square, Two(kSlow * kSlow));
    const Two root = inverseCubeRoot(heldSquare);
    const Two thin = thinScale_ * root;  // 10 Re^(-2/3)
    const Two scale = wet * (dragScale_ * half) * stdx::sqrt(heldSquare);
    const Two c = scale * (1.0 + thin);
    Two slope = scale * (1.0 + thin * (1.0 / 3.0)) * (root * root * root);
    stdx::where(square <= kSlow * kSlow, slope) = 0.0;
    const Two tangential = both(link.tangential[0], link.tangential[1]);
    const Two fx = c * acrossX + tangential * vt * tx, fz = c * acrossZ + tangential * vt * tz;
    const Two xx = c * (1.0 - tx * tx) + tangential * (tx * tx) + slope * acrossX * acrossX;
    const Two xz = (tangential - c) * (tx * tz) + slope * acrossX * acrossZ;
    const Two zz = c * (1.0 - tz * tz) + tangential * (tz * tz) + slope * acrossZ * acrossZ;
    for (const std::size_t end : {std::size_t{0}, std::size_t{1}}) {
        if (wet[end] == 0.0) continue;
        Row& row = rows_[end == 0 ? child : parent];
        row.rx += fx[end];
        row.rz += fz[end];
        row.axx += xx[end];
        row.axz += xz[end];
        row.azz += zz[end];
    }
}

void Chain::addFlyDrag(std::size_t fly) {
    const std::size_t node = flyNode_[fly];
    const double wet = wet_[node];
    if (wet == 0.0) return;
    Row& row = rows_[node];
    const Vec2 v = nodes_[node].velocity - current_[node];
    const double speed = v.length();
    const double a = attitude_[fly];
    const auto flat = rig_.flies[fly].flat.at(speed);
    const auto along = rig_.flies[fly].along.at(speed);
    const double c = wet * ((1.0 - a) * flat.perSpeed + a * along.perSpeed);
    const double slope = speed > kSlow ? wet * ((1.0 - a) * flat.slope + a * along.slope) / speed : 0.0;
    row.rx += c * v.x;
    row.rz += c * v.z;
    row.axx += c + slope * v.x * v.x;
    row.axz += slope * v.x * v.z;
    row.azz += c + slope * v.z * v.z;
    row.bend += c / std::max(speed, kSlow);
}

void Chain::assemble(double dt, double rho) {
    const std::size_t count = nodes_.size();
    for (std::size_t i = 0; i < count; ++i) {
        const Node& node = nodes_[i];
        Row& row = rows_[i];
        const double z = start_[i].z + dt * node.velocity.z - surfaceAt_[i];
        const double share = 0.5 - z / (2.0 * kFilm);
        const double under = std::clamp(share, 0.0, 1.0);
        row.rx = node.mass * (node.velocity.x - startVelocity_[i].x) / dt;
        row.rz = node.mass * (node.velocity.z - startVelocity_[i].z) / dt + node.weight - under * node.buoyancy;
        row.axx = node.mass / dt;
        row.axz = 0.0;
        row.azz = node.mass / dt + (share > 0.0 && share < 1.0 ? dt * node.buoyancy / (2.0 * kFilm) : 0.0);
        row.toFilmEdge = 2.0 * kFilm * std::min(std::abs(share), std::abs(1.0 - share));
        row.bend = 0.0;
    }
    for (std::size_t i = 1; i < count; ++i) {
        const auto p = static_cast<std::size_t>(nodes_[i].parent);
        const Link& link = links_[i];
        Row& row = rows_[i];
        Row& up = rows_[p];
        addDrag(i, p, link);
        const Vec2 child = start_[i] + dt * nodes_[i].velocity;
        const Vec2 parent = p == 0 ? tip_ : start_[p] + dt * nodes_[p].velocity;
        const Vec2 span = child - parent;
        const double length = std::max(span.length(), 1e-9);
        row.n = (1.0 / length) * span;
        const double stretch = length - link.length - link.compliance * link.tension;
        row.taut = link.tension + rho * stretch > 0.0;
        row.rc = row.taut ? stretch : link.tension;
        row.looseness = -stretch;
        row.rx += link.tension * row.n.x;
        row.rz += link.tension * row.n.z;
        up.rx -= link.tension * row.n.x;
        up.rz -= link.tension * row.n.z;
        row.pull = dt * std::max(link.tension, 0.0) / length;
        const double gxx = row.pull * (1.0 - row.n.x * row.n.x), gxz = -row.pull * row.n.x * row.n.z,
                     gzz = row.pull * (1.0 - row.n.z * row.n.z);
        row.axx += gxx;
        row.axz += gxz;
        row.azz += gzz;
        up.axx += gxx;
        up.axz += gxz;
        up.azz += gzz;
    }
    for (std::size_t f = 0; f < rig_.flies.size(); ++f)
        addFlyDrag(f);
}

double Chain::worstForce() const {
    double worst = 0.0;
    for (std::size_t i = 1; i < rows_.size(); ++i)
        worst = std::max({worst, std::abs(rows_[i].rx), std::abs(rows_[i].rz)});
    return worst;
}

// A node's block is [A n; dt nᵀ −α] (taut) or [A n; 0 1] (slack): solved through A's inverse and one Schur complement.
void Chain::eliminate(double dt) {
    for (std::size_t i = nodes_.size() - 1; i >= 1; --i) {
        Row& r = rows_[i];
        const double perDeterminant = 1.0 / (r.axx * r.azz - r.axz * r.axz);
        r.bxx = r.azz * perDeterminant;
        r.bxz = -r.axz * perDeterminant;
        r.bzz = r.axx * perDeterminant;
        const Vec2 bn{r.bxx * r.n.x + r.bxz * r.n.z, r.bxz * r.n.x + r.bzz * r.n.z};
        r.s = r.taut ? 1.0 / (dt * r.n.dot(bn) + links_[i].compliance) : 1.0;
        const auto p = static_cast<std::size_t>(nodes_[i].parent);
        if (p == 0) continue;
        Row& up = rows_[p];
        // The child's answer to its own residual, and to a unit of each of the parent's velocities.
        const auto answer = [&](double fx, double fz, double fc, double& vx, double& vz, double& tension) {
            const double yx = r.bxx * fx + r.bxz * fz, yz = r.bxz * fx + r.bzz * fz;
            tension = r.taut ? r.s * (dt * (r.n.x * yx + r.n.z * yz) - fc) : fc;
            vx = yx - bn.x * tension;
            vz = yz - bn.z * tension;
        };
        const double gxx = r.pull * (1.0 - r.n.x * r.n.x), gxz = -r.pull * r.n.x * r.n.z, gzz = r.pull * (1.0 - r.n.z * r.n.z);
        double vx, vz, tension;
        answer(r.rx, r.rz, r.rc, vx, vz, tension);
        up.rx += gxx * vx + gxz * vz + r.n.x * tension;
        up.rz += gxz * vx + gzz * vz + r.n.z * tension;
        const double link = r.taut ? -dt : 0.0;
        answer(-gxx, -gxz, link * r.n.x, vx, vz, tension);
        const double cxx = gxx * vx + gxz * vz + r.n.x * tension, czx = gxz * vx + gzz * vz + r.n.z * tension;
        answer(-gxz, -gzz, link * r.n.z, vx, vz, tension);
        const double czz = gxz * vx + gzz * vz + r.n.z * tension;
        up.axx += cxx;
        up.axz += czx;
        up.azz += czz;
    }
}

bool Chain::correct(double dt) {
    rows_[0].rx = rows_[0].rz = 0.0;  // now: the parent's change of velocity
    double leftLength = 0.0, leftTwist = 0.0, leftPull = 0.0, leftDrag = 0.0;
    bool known = true;
    for (std::size_t i = 1; i < nodes_.size(); ++i) {
        Row& r = rows_[i];
        const Row& up = rows_[static_cast<std::size_t>(nodes_[i].parent)];
        const double gxx = r.pull * (1.0 - r.n.x * r.n.x), gxz = -r.pull * r.n.x * r.n.z, gzz = r.pull * (1.0 - r.n.z * r.n.z);
        const double fx = -r.rx + gxx * up.rx + gxz * up.rz, fz = -r.rz + gxz * up.rx + gzz * up.rz;
        const double fc = -r.rc + (r.taut ? dt * (r.n.x * up.rx + r.n.z * up.rz) : 0.0);
        const double yx = r.bxx * fx + r.bxz * fz, yz = r.bxz * fx + r.bzz * fz;
        const Vec2 bn{r.bxx * r.n.x + r.bxz * r.n.z, r.bxz * r.n.x + r.bzz * r.n.z};
        const double tension = r.taut ? r.s * (dt * (r.n.x * yx + r.n.z * yz) - fc) : fc;
        r.rx = yx - bn.x * tension;
        r.rz = yz - bn.z * tension;
        nodes_[i].velocity.x += r.rx;
        nodes_[i].velocity.z += r.rz;
        links_[i].tension += tension;
        // What the correction leaves: the link's turn (squared, to save the roots), pull by turn, the drag's bend; and no
        // change of kind.
        const double length = links_[i].length;
        const double dx = dt * (r.rx - up.rx), dz = dt * (r.rz - up.rz), moved = dx * dx + dz * dz;
        const double turn = moved / (length * length), speed = r.rx * r.rx + r.rz * r.rz, rise = dt * std::abs(r.rz);
        leftLength = std::max(leftLength, length * turn);
        leftTwist = std::max(leftTwist, tension * tension * turn);
        leftPull = std::max(leftPull, links_[i].tension * turn);
        leftDrag = std::max(leftDrag, (r.bend + kBendOfStrand * dragScale_ * length) * speed);
        known = known && (r.taut ? links_[i].tension > 0.0 : r.looseness > 0.0 && moved < r.looseness * r.looseness) &&
                (rise < r.toFilmEdge || nodes_[i].buoyancy * rise < 2.0 * kFilm * kForceTolerance);
    }
    // A node has the forces of its link up, and of at most two links down.
    return known && leftLength <= kLengthTolerance && 3.0 * (std::sqrt(leftTwist) + leftPull + leftDrag) <= kForceTolerance;
}

Chain::Step Chain::advance(double dt, Vec2 tip, double now) {
    beginStep(now);
    // The step is expected to go on as the last one went: that is worth one of Newton's iterations.
    for (std::size_t i = 1; i < nodes_.size(); ++i) {
        nodes_[i].velocity = nodes_[i].velocity + dt * acceleration_[i];
        links_[i].tension = std::max(0.0, links_[i].tension + dt * tightening_[i]);
    }
    tip_ = tip;
    nodes_[0].velocity = (1.0 / dt) * (tip - start_[0]);
    double diagonal = 0.0;
    for (const Node& node : nodes_)
        diagonal += node.mass / dt;
    const double rho = diagonal / static_cast<double>(nodes_.size()) / dt;
    Step step;
    for (; step.iterations < kMostIterations; ++step.iterations) {
        assemble(dt, rho);
        double worstLink = 0.0;
        for (std::size_t i = 1; i < rows_.size(); ++i)
            worstLink = std::max(worstLink, rows_[i].taut                              ? std::abs(rows_[i].rc)
                                            : std::abs(rows_[i].rc) <= kForceTolerance ? 0.0  // of a link at its length, rounding
                                                                                       : 1.0);
        if (worstLink <= kLengthTolerance && worstForce() <= kForceTolerance) {
            step.converged = true;
            break;
        }
        eliminate(dt);
        if (correct(dt)) {
            ++step.iterations;
            step.converged = true;
            break;
        }
    }
    if (!step.converged) {
        for (std::size_t i = 0; i < nodes_.size(); ++i) {
            nodes_[i].velocity = startVelocity_[i];
            links_[i].tension = startTension_[i];
            acceleration_[i] = {};
            tightening_[i] = 0.0;
        }
        return step;
    }
    for (std::size_t i = 1; i < nodes_.size(); ++i) {
        nodes_[i].place = start_[i] + dt * nodes_[i].velocity;
        acceleration_[i] = (1.0 / dt) * (nodes_[i].velocity - startVelocity_[i]);
        tightening_[i] = (links_[i].tension - startTension_[i]) / dt;
    }
    nodes_[0].place = tip;
    for (std::size_t f = 0; f < attitude_.size(); ++f) {
        const double pull = links_[flyNode_[f]].tension;
        const double weight = std::max(std::abs(rig_.flies[f].submerged / newton), kLeastWeight);
        const double wanted = pull / (pull + weight);
        attitude_[f] = (attitude_[f] + dt / kAttitudeLag * wanted) / (1.0 + dt / kAttitudeLag);
    }
    return step;
}

void Chain::advanceSurely(double dt, Vec2 tipBefore, Vec2 tip, double now, Count& count, int halvings) {
    const Step step = advance(dt, tip, now);
    ++count.steps;
    count.iterations += static_cast<std::uint64_t>(step.iterations);
    if (step.converged) return;
    if (halvings == 0) {
        // Kept as it is: carried on with what it had, so that the run can end; the caller says how often.
        ++count.failed;
        for (std::size_t i = 1; i < nodes_.size(); ++i)
            nodes_[i].place = nodes_[i].place + dt * nodes_[i].velocity;
        nodes_[0].place = tip;
        return;
    }
    ++count.halved;
    const Vec2 middle = 0.5 * (tipBefore + tip);
    advanceSurely(0.5 * dt, tipBefore, middle, now, count, halvings - 1);
    advanceSurely(0.5 * dt, middle, tip, now + 0.5 * dt, count, halvings - 1);
}

}  // namespace machair
