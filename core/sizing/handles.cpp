#include "sizing/handles.h"

#include <algorithm>
#include <array>
#include <cmath>

#include "book/spec_words.h"
#include "language/say.h"
#include "units/text.h"
#include "units/visit.h"

namespace machair {

namespace {

const PartDetail& written(const Plan& plan, const Handle& handle) { return plan.pattern.parts[handle.part].detail; }

// Where the fibres of a hackle are drawn to end in the profile, at the bottom.
Point2 hackleTip(const Plan& plan, std::size_t part, const HacklePlan& h) {
    if (h.target) return *h.target;
    const WirePoint root = plan.hook.at(plan.parts[part].station);
    const Angle sweep = h.stand == FibreStand::upright ? 85_deg : h.feather.fibreAngle();
    const Angle down = sweep + root.heading;
    return {root.position.x + h.fibre * cos(down), root.position.y - 0.5 * h.bed - h.fibre * sin(down)};
}

Point2 above(const Plan& plan, Length station, Length radius) {
    const WirePoint at = plan.hook.at(station);
    return {at.position.x + radius * sin(at.heading), at.position.y + radius * cos(at.heading)};
}

// How far a place stands off the axis over a station.
Length offAxis(const Plan& plan, Length station, Point2 to) {
    const WirePoint at = plan.hook.at(station);
    return (to.x - at.position.x) * sin(at.heading) + (to.y - at.position.y) * cos(at.heading);
}

// The station over a place: where the axis comes nearest to it.
Length stationNear(const Plan& plan, Point2 to) {
    Length best;
    double nearest = 1e300;
    constexpr int kLooks = 400;
    for (int i = 0; i <= kLooks; ++i) {
        const Length s = plan.hook.rearmostStation() * (static_cast<double>(i) / kLooks);
        const Point2 p = plan.hook.at(s).position;
        const double off = std::hypot((p.x - to.x) / mm, 0.2 * ((p.y - to.y) / mm));  // the pointer's x is what is meant
        if (off < nearest) {
            nearest = off;
            best = s;
        }
    }
    return best;
}

struct Candidate {
    Length at;  // x of a tip, a station or a size
    LengthSpec spec;
};

constexpr std::array kNiceShares = {0.25, 1.0 / 3.0, 0.5, 2.0 / 3.0, 0.75, 0.8, 1.0, 1.25, 1.5, 2.0};

std::vector<Candidate> shareCandidates(Length origin, Length yardstick, Yardstick of) {
    std::vector<Candidate> list;
    for (const double share : kNiceShares)
        list.push_back({origin + share * yardstick, ratioOf(std::round(share * 1000.0) / 1000.0, of)});
    return list;
}

std::vector<Candidate> reachCandidates(const Plan& plan) {
    std::vector<Candidate> list;
    for (const Landmark landmark : {Landmark::point, Landmark::barb, Landmark::bend, Landmark::rearmost})
        list.push_back({plan.hook.landmarkTarget(landmark).x, reachTo(landmark)});
    return list;
}

const Candidate* nearest(const std::vector<Candidate>& list, Length at, Length within) {
    const Candidate* found = nullptr;
    for (const Candidate& c : list)
        if (abs(c.at - at) <= within && (!found || abs(c.at - at) < abs(found->at - at))) found = &c;
    return found;
}

// The same kind of length, now `value` long: a ratio stays of its yardstick, a reach at its landmark.
LengthSpec keptKind(const LengthSpec& old, Length was, Length value) {
    constexpr double kFine = 1000.0;
    if (const auto* ratio = std::get_if<Ratio>(&old.value)) {
        Ratio changed = *ratio;
        changed.ratio = std::max(0.01, std::round(kFine * ratio->ratio * (value / was)) / kFine);
        return {changed, old.carried};
    }
    return {std::max(0.1, std::round(10.0 * (value / mm)) / 10.0) * mm, old.carried};
}

// A reach whose tip is now at x.
LengthSpec reachAt(const Plan& plan, const Reach& old, Length tip) {
    Reach changed = old;
    const auto* landmark = std::get_if<AnyLandmark>(&old.to);
    const auto* onHook = landmark ? std::get_if<Landmark>(landmark) : nullptr;
    const Landmark to = onHook ? *onHook : Landmark::point;
    changed.to = AnyLandmark(to);
    changed.fraction.reset();
    changed.past.reset();
    changed.shortBy.reset();
    const double off = std::round(10.0 * ((tip - plan.hook.landmarkTarget(to).x) / mm)) / 10.0;
    if (off > 0.0) changed.past = Held<LengthSpec>(inMm(off * mm));
    if (off < 0.0) changed.shortBy = Held<LengthSpec>(inMm(-off * mm));
    return {changed, {}};
}

// A length that runs from `origin` along the shank's direction and now ends at `tip`.
std::optional<Written> alongTip(const Plan& plan, const LengthSpec& old, Length origin, Length was, Length tip, Length snap,
                                const std::vector<Candidate>& candidates) {
    if (tip <= origin + 0.1 * mm) return std::nullopt;
    if (const Candidate* c = snap > 0.0 * mm ? nearest(candidates, tip, snap) : nullptr) return Written{"length", writeSpec(c->spec), true};
    if (const auto* reach = std::get_if<Reach>(&old.value)) {
        const Length tailRoot = plan.hook.at(plan.bodyEnd).position.x;
        if (!reach->fraction || !plan.tailTip || tip <= tailRoot) return Written{"length", writeSpec(reachAt(plan, *reach, tip)), false};
        Reach changed = *reach;  // a share of the tail, counted from the body end
        constexpr double kFine = 1000.0;
        changed.fraction = std::max(0.01, std::round(kFine * ((tip - tailRoot) / (*plan.tailTip - tailRoot))) / kFine);
        return Written{"length", writeSpec(LengthSpec{changed, old.carried}), false};
    }
    return Written{"length", writeSpec(keptKind(old, was, tip - origin)), false};
}

std::optional<Written> stationAt(const Plan& plan, const char* key, Length station, Length snap) {
    struct Place {
        Length at;
        StationSpec spec;
    };
    std::vector<Place> places;
    for (const Landmark landmark : {Landmark::point, Landmark::barb, Landmark::bend})
        places.push_back({plan.hook.landmarkStation(landmark), StationSpec{landmark, {}, {}, {}}});
    for (const double share : {0.15, 0.2, 0.22, 0.25, 1.0 / 3.0, 0.5})
        places.push_back({share * plan.hook.shank(),
                          StationSpec{Landmark::eye, {}, ratioOf(std::round(1000.0 * share) / 1000.0, Yardstick::shank), {}}});
    const auto close = std::ranges::min_element(places, {}, [&](const Place& p) { return abs(p.at - station) / mm; });
    if (snap > 0.0 * mm && abs(close->at - station) <= snap) return Written{key, writeSpec(close->spec), true};
    // Not at a landmark: a share of the shank from the eye, so that it moves with the hook.
    const double share = std::round(1000.0 * (station / plan.hook.shank())) / 1000.0;
    if (share <= 0.0) return std::nullopt;
    return Written{key, writeSpec(StationSpec{Landmark::eye, {}, ratioOf(share, Yardstick::shank), {}}), false};
}

// A diameter or depth: a share of the gape unless it was written in mm.
Written sizeAs(const Plan& plan, std::string key, Length size, Length snap, bool fixed) {
    size = std::max(0.1 * mm, size);
    if (fixed) return {std::move(key), formatShort(size / mm, 2) + " mm", false};
    const double share = size / plan.hook.gape();
    const double nice = std::round(20.0 * share) / 20.0;
    const bool snapped = snap > 0.0 * mm && nice > 0.0 && abs((nice - share) * plan.hook.gape()) <= snap;
    const double value = snapped ? nice : std::round(1000.0 * share) / 1000.0;
    return {std::move(key), writeSpec(ratioOf(std::max(0.01, value), Yardstick::gape)), snapped};
}

std::vector<Candidate> candidatesFor(const Plan& plan, const Handle& handle) {
    const PartPlan& part = plan.parts[handle.part];
    const Length origin = plan.hook.at(part.station).position.x;
    std::vector<Candidate> list;
    switch (handle.grab) {
        case Grab::tailTip: return shareCandidates(origin, plan.hook.shank(), Yardstick::shank);
        case Grab::pieceTip: return reachCandidates(plan);
        case Grab::wingTip:
        case Grab::hackleTip:
            list = reachCandidates(plan);
            if (plan.tailTip && handle.grab == Grab::wingTip)
                for (const double fraction : {0.5, 2.0 / 3.0, 1.0}) {
                    const Length root = plan.hook.at(plan.bodyEnd).position.x;
                    list.push_back({root + fraction * (*plan.tailTip - root),
                                    LengthSpec{Reach{PartRef{PartKind::tail}, std::round(1000.0 * fraction) / 1000.0, {}, {}}, {}}});
                }
            return list;
        default: return list;
    }
}

std::optional<Written> dragHackle(const Plan& plan, const Handle& handle, const LengthSpec& old, Point2 to, Length snap) {
    const HacklePlan& h = *hackleOf(plan.parts[handle.part]);
    const WirePoint root = plan.hook.at(plan.parts[handle.part].station);
    const auto candidates = candidatesFor(plan, handle);
    if (const Candidate* c = snap > 0.0 * mm ? nearest(candidates, to.x, snap) : nullptr)
        if (c->at > root.position.x) return Written{"length", writeSpec(c->spec), true};
    if (const auto* reach = std::get_if<Reach>(&old.value)) {
        if (to.x <= root.position.x + 0.1 * mm) return std::nullopt;
        return Written{"length", writeSpec(reachAt(plan, *reach, to.x)), false};
    }
    const Length fibre = hypot(to.x - root.position.x, to.y - root.position.y + 0.5 * h.bed);
    if (fibre < 0.5 * mm) return std::nullopt;
    if (const auto* ratio = std::get_if<Ratio>(&old.value); ratio && snap > 0.0 * mm) {
        const Length yardstick = h.fibre / ratio->ratio;
        const double nice = std::round(20.0 * (fibre / yardstick)) / 20.0;
        if (nice > 0.0 && abs(nice * yardstick - fibre) <= snap)
            return Written{"length", writeSpec(LengthSpec{Ratio{nice, ratio->of}, {}}), true};
    }
    return Written{"length", writeSpec(keptKind(old, h.fibre, fibre)), false};
}

}  // namespace

namespace {

// Where a piece's tip stands from its root, as shares of its length: a cheek rises a little, legs hang with a knee or, spread
// like a hackle, without one (the foremost pair, as scene/ draws it).
struct PieceLies {
    double along = 1.0, up = 0.0;
};
PieceLies piecesLie(const Plan& plan, std::size_t part) {
    const auto* legs = std::get_if<LegsPart>(&plan.pattern.parts[part].detail);
    if (!legs) return {std::cos(0.0873), std::sin(0.0873)};  // 5°
    const bool spread = legs->style == LegStyle::spread;
    if (spread) return {0.89, -0.45};                                                      // 27°
    return legs->knots.value_or(1) > 0 ? PieceLies{0.77, -0.53} : PieceLies{0.94, -0.32};  // 20°, and 34° more below the knee
}

// The handles of one part, each on what is drawn of it.
struct HandlesOn {
    const Plan& plan;
    std::size_t i;
    std::vector<Handle>& handles;
    const PartPlan& part = plan.parts[i];
    WirePoint root = plan.hook.at(part.station);
    std::string name = sayName(part.kind);

    void operator()(const TailPlan& tail) const {
        const double rise = 0.12;  // its fibres stand a little up
        add(Grab::tailTip, {root.position.x + tail.length * cos(root.heading), root.position.y + rise * tail.length}, Travel::along,
            unsaid(" tip"));
    }
    void operator()(const BodyPlan& body) const {
        const Length middle = 0.5 * (body.front + body.end);
        add(Grab::bodyEnd, plan.hook.at(body.end).position, Travel::along, unsaid(" end"));
        add(Grab::bodyFront, plan.hook.at(body.front).position, Travel::along, unsaid(" front"));
        if (body.overUnderbody) return;
        add(Grab::rearDiameter, above(plan, body.end - 0.15 * mm, 0.5 * body.rearDiameter), Travel::across, unsaid(" rear thickness"));
        add(Grab::shoulder, above(plan, body.front + 0.15 * mm, 0.5 * body.frontDiameter), Travel::across, unsaid(" shoulder"));
        if (body.frontDiameter > 1.05 * body.rearDiameter)
            add(Grab::taper, above(plan, middle, 0.5 * plan.bodyDiameter(body, middle)), Travel::across, unsaid(" taper"));
    }
    void operator()(const RibPlan& rib) const {
        if (rib.turns < 2.0) return;
        const Length secondTurn = rib.end - 1.5 * rib.pitch;
        add(Grab::ribTurn, above(plan, secondTurn, -0.5 * plan.diameter(secondTurn)), Travel::along, unsaid(" turns"));
    }
    void operator()(const HacklePlan& hackle) const {
        add(Grab::hackleTip, hackleTip(plan, i, hackle), hackle.target ? Travel::along : Travel::both, unsaid(" tip"));
    }
    void operator()(const PalmerPlan& palmer) const { (*this)(palmer.hackle); }
    void operator()(const WingPlan& wing) const {
        const Length lift = wing.length * sin(wing.lift);
        add(Grab::wingTip, {root.position.x + wing.length, root.position.y + 0.5 * wing.bed + lift + 0.35 * wing.depth}, Travel::along,
            unsaid(" tip"));
        if (wing.style != WingStyle::hair && wing.style != WingStyle::plume)
            add(Grab::wingDepth, {root.position.x + 0.6 * wing.length, root.position.y + 0.5 * wing.bed + 0.6 * lift + 0.72 * wing.depth},
                Travel::across, unsaid(" depth"));
    }
    void operator()(const HeadPlan&) const {
        const Length middle = plan.head.from + 0.58 * (plan.head.to - plan.head.from);
        add(Grab::head, above(plan, middle, 0.5 * plan.head.diameter), Travel::across, "");
    }
    void operator()(const TagPlan& tag) const {
        const Length end = tag.end + tag.along;
        add(Grab::tagEnd, above(plan, end, 0.5 * plan.diameter(end)), Travel::along, unsaid(" end"));
    }
    void operator()(const UnderbodyPlan& under) const {
        add(Grab::underEnd, above(plan, under.end, -0.5 * plan.diameter(under.end)), Travel::along, unsaid(" end"));
        add(Grab::underFront, above(plan, under.front, -0.5 * plan.diameter(under.front)), Travel::along, unsaid(" front"));
    }
    void operator()(const PiecePlan& piece) const {
        const PieceLies lies = piecesLie(plan, i);
        add(Grab::pieceTip, {root.position.x + lies.along * piece.length, root.position.y + lies.up * piece.length}, Travel::along,
            unsaid(" tip"));
    }
    // A bead is as large as it is sold, a thread as it lies.
    void operator()(const OneOf<BeadPlan, ThreadPlan, Impossible> auto&) const {}

    void add(Grab grab, Point2 at, Travel travel, const char* what) const { handles.push_back({grab, i, at, travel, name + say(what)}); }
};

}  // namespace

std::vector<Handle> handlesOf(const Plan& plan) {
    std::vector<Handle> handles;
    for (std::size_t i = 0; i < plan.parts.size(); ++i)
        std::visit(HandlesOn{plan, i, handles}, plan.parts[i].detail);
    return handles;
}

namespace {

// A tag by how much of the hook it covers: its length where that is written, else its turns to the half.
std::optional<Written> dragTag(const Plan& plan, const Handle& handle, Point2 to) {
    const auto& tag = std::get<TagPlan>(plan.parts[handle.part].detail);
    const auto& written = std::get<TagPart>(plan.pattern.parts[handle.part].detail);
    const Length along = stationNear(plan, to) - tag.end;
    if (along <= 0.1 * mm || tag.along <= Length{}) return std::nullopt;
    if (written.length) return Written{"length", writeSpec(keptKind(*written.length, tag.along, along)), false};
    constexpr double kMost = 60.0;
    const double turns = std::clamp(std::round(2.0 * tag.turns * (along / tag.along)) / 2.0, 0.5, kMost);
    return Written{"turns", formatShort(turns, 1), true};
}

// Legs and cheeks by the tip that is drawn.
std::optional<Written> dragPiece(const Plan& plan, const Handle& handle, Point2 to, Length snap) {
    const auto& piece = std::get<PiecePlan>(plan.parts[handle.part].detail);
    const auto& detail = plan.pattern.parts[handle.part].detail;
    const Length root = plan.hook.at(plan.parts[handle.part].station).position.x;
    const Length tip = root + (to.x - root) / piecesLie(plan, handle.part).along;
    const auto* legs = std::get_if<LegsPart>(&detail);
    const LengthSpec old = legs ? legs->length : std::get<CheekPart>(detail).length.value_or(LengthSpec{piece.length, {}});
    return alongTip(plan, old, root, piece.length, tip, snap, candidatesFor(plan, handle));
}

// By the middle of the body: hollower the lower it is.
std::optional<Written> dragTaper(const Plan& plan, const Handle& handle, Point2 to) {
    const PartPlan& part = plan.parts[handle.part];
    const auto& body = std::get<BodyPlan>(part.detail);
    const Length middle = 0.5 * (body.front + body.end);
    const double share = (2.0 * offAxis(plan, middle, to) - body.rearDiameter) / (body.frontDiameter - body.rearDiameter);
    constexpr double kFullest = 0.1;  // exponents that are still a taper
    constexpr double kHollowest = 4.0;
    double exponent = share >= 1.0 ? kFullest : share <= 0.0 ? kHollowest : std::log(share) / std::log(0.5);
    exponent = std::clamp(std::round(20.0 * exponent) / 20.0, kFullest, kHollowest);
    return Written{"exponent", formatShort(exponent, 2), false};
}

// By its second turn.
std::optional<Written> dragRib(const Plan& plan, const Handle& handle, Point2 to) {
    const PartPlan& part = plan.parts[handle.part];
    const auto& rib = std::get<RibPlan>(part.detail);
    const Length pitch = (rib.end - stationNear(plan, to)) / 1.5;
    if (pitch <= 0.1 * mm) return std::nullopt;
    const double turns = std::clamp(std::round((rib.end - rib.front) / pitch), 2.0, 30.0);
    return Written{"turns", formatShort(turns, 0), true};
}

std::optional<Written> dragDepth(const Plan& plan, const Handle& handle, Point2 to, Length snap) {
    const PartPlan& part = plan.parts[handle.part];
    const WirePoint root = plan.hook.at(part.station);
    const auto& wing = std::get<WingPlan>(part.detail);
    const Length rise = to.y - (root.position.y + 0.5 * wing.bed + 0.6 * wing.length * sin(wing.lift));
    const bool slip = wing.style != WingStyle::rolled && std::get<WingPart>(written(plan, handle)).width.has_value();
    return sizeAs(plan, slip ? "width" : "depth", rise / 0.72, 0.5 * snap, false);
}

// By layers of thread.
std::optional<Written> dragHead(const Plan& plan, const Handle& handle, Point2 to) {
    const Length middle = 0.5 * (plan.head.from + plan.head.to);
    const auto& head = std::get<HeadPart>(written(plan, handle));
    constexpr int kUsualLayers = 3;
    const double grown = std::round((2.0 * offAxis(plan, middle, to) - plan.head.diameter) / (2.0 * plan.thread.thickness));
    return Written{"layers", std::to_string(std::clamp(static_cast<int>(head.layers.value_or(kUsualLayers) + grown), 0, 30)), true};
}

}  // namespace

std::optional<Written> dragged(const Plan& plan, const Handle& handle, Point2 to, Length snap) {
    const PartPlan& part = plan.parts[handle.part];
    const WirePoint root = plan.hook.at(part.station);
    switch (handle.grab) {
        case Grab::tailTip: {
            const auto& tail = std::get<TailPlan>(part.detail);
            return alongTip(plan, std::get<TailPart>(written(plan, handle)).length, root.position.x, tail.length, to.x, snap,
                            candidatesFor(plan, handle));
        }
        case Grab::wingTip: {
            const auto& wing = std::get<WingPlan>(part.detail);
            return alongTip(plan, std::get<WingPart>(written(plan, handle)).length, root.position.x, wing.length, to.x, snap,
                            candidatesFor(plan, handle));
        }
        case Grab::hackleTip: {
            if (const auto* palmer = std::get_if<PalmerPart>(&written(plan, handle)))
                return dragHackle(plan, handle, palmer->length, to, snap);
            return dragHackle(plan, handle, std::get<CollarPart>(written(plan, handle)).length, to, snap);
        }
        case Grab::tagEnd: return dragTag(plan, handle, to);
        case Grab::pieceTip: return dragPiece(plan, handle, to, snap);
        case Grab::underEnd:
        case Grab::bodyEnd: return stationAt(plan, "end", stationNear(plan, to), snap);
        case Grab::underFront:
        case Grab::bodyFront: return stationAt(plan, "front", stationNear(plan, to), snap);
        case Grab::rearDiameter: {
            const auto& body = std::get<BodyPart>(written(plan, handle));
            return sizeAs(plan, body.rear ? "rear_mm" : "rear_diameter", 2.0 * offAxis(plan, std::get<BodyPlan>(part.detail).end, to),
                          0.5 * snap, body.rear.has_value());
        }
        case Grab::shoulder: {
            const auto& body = std::get<BodyPart>(written(plan, handle));
            return sizeAs(plan, body.foremost ? "front_mm" : "front_diameter",
                          2.0 * offAxis(plan, std::get<BodyPlan>(part.detail).front, to), 0.5 * snap, body.foremost.has_value());
        }
        case Grab::taper: return dragTaper(plan, handle, to);
        case Grab::ribTurn: return dragRib(plan, handle, to);
        case Grab::wingDepth: return dragDepth(plan, handle, to, snap);
        case Grab::head: return dragHead(plan, handle, to);
    }
    return std::nullopt;
}

std::optional<Point2> nextSnap(const Plan& plan, const Handle& handle, int direction) {
    constexpr Length kBeyond = 0.05 * mm;
    std::vector<Length> places;
    const bool station =
        handle.grab == Grab::bodyEnd || handle.grab == Grab::bodyFront || handle.grab == Grab::underEnd || handle.grab == Grab::underFront;
    if (station) {
        for (const Landmark landmark : {Landmark::point, Landmark::barb, Landmark::bend})
            places.push_back(plan.hook.at(plan.hook.landmarkStation(landmark)).position.x);
        for (const double share : {0.22, 0.25, 1.0 / 3.0, 0.5})
            places.push_back(share * plan.hook.shank());
    } else
        for (const Candidate& c : candidatesFor(plan, handle))
            places.push_back(c.at);
    std::optional<Length> next;
    for (const Length place : places) {
        const Length ahead = static_cast<double>(direction) * (place - handle.at.x);
        if (ahead > kBeyond && (!next || ahead < static_cast<double>(direction) * (*next - handle.at.x))) next = place;
    }
    if (!next) return std::nullopt;
    return Point2{*next, handle.at.y};
}

}  // namespace machair
