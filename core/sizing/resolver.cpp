#include "sizing/resolver.h"

#include <algorithm>

#include "book/schools.h"
#include "language/say.h"
#include "units/text.h"

namespace machair {

namespace {

constexpr double kFrontShare = 0.22;   // of the shank kept ahead of the body, models.md section 4
constexpr double kBehindBead = 0.06;   // of the shank, at least, behind a bead at the eye: the whip lies there
constexpr double kThoraxShare = 0.15;  // of the shank
constexpr double kLeastThorax = 0.05;  // of the shank
constexpr double kTippetBar = 0.12;    // of the bar spacing, models.md section 2

std::string mmText(Length l) { return formatShort(l / mm, 2) + " mm"; }

}  // namespace

Resolver::Resolver(const Pattern& pattern, const Hook& hook, const Book& book, Place place, Schools schools, Room room,
                   std::vector<bool> leftOut)
    : pattern_(pattern),
      hook_(hook),
      book_(book),
      place_(std::move(place)),
      schools_(schools),
      room_(std::move(room)),
      lengths_(pattern.parts.size()),
      tieIns_(pattern.parts.size()),
      leftOut_(std::move(leftOut)) {}

std::optional<std::size_t> Resolver::first(PartKind kind) const {
    for (std::size_t i = 0; i < pattern_.parts.size(); ++i)
        if (pattern_.parts[i].kind == kind && !isLeftOut(i)) return i;
    return std::nullopt;
}

std::optional<std::size_t> Resolver::partMeant(const PartRef& ref, const Place& place) {
    const auto part = find(pattern_, ref);
    if (!part)
        fault(place, say("expected a part of this dressing, got {}", describe(ref)));
    else if (isLeftOut(*part))
        fault(place, say("expected a part that can be sized, got {}, which can't be", describe(ref)));
    else
        return part;
    return std::nullopt;
}

Material Resolver::madeOf(std::size_t part) const {
    const Part& written = pattern_.parts[part];
    std::optional<MaterialId> id = written.material;
    if (!id && written.from)
        if (const auto source = find(pattern_, *written.from)) id = pattern_.parts[*source].material;
    if (id)
        if (const Material* made = book_.findMaterial(*id)) return *made;
    return usualMaterial(written.kind, pattern_, book_);
}

void Resolver::fault(Place place, std::string what, std::string remedy) {
    Fault fault{std::move(place), std::move(what), std::move(remedy)};
    if (std::ranges::find(faults_, fault) == faults_.end()) faults_.push_back(std::move(fault));
}

template <class Compute>
Length Resolver::once(Node& node, const std::string& name, const Place& place, Compute compute) {
    if (node.state == State::done) return node.value;
    if (node.state == State::open) {
        std::string circle;
        for (auto it = std::ranges::find(open_, name); it != open_.end(); ++it)
            circle += *it + " → ";
        fault(place, say("these lengths refer to each other in a circle: {}{}", circle, name),
              say("give one of them against the hook or in mm"));
        return node.value;
    }
    node.state = State::open;
    open_.push_back(name);
    node.value = compute();
    open_.pop_back();
    node.state = State::done;
    return node.value;
}

std::vector<std::size_t> Resolver::bodies() const {
    std::vector<std::size_t> found;
    for (std::size_t i = 0; i < pattern_.parts.size(); ++i)
        if (pattern_.parts[i].kind == PartKind::body && !isLeftOut(i)) found.push_back(i);
    return found;
}

std::vector<std::size_t> Resolver::thoraxes() const {
    std::vector<std::size_t> found;
    for (std::size_t i = 0; i < pattern_.parts.size(); ++i)
        if (pattern_.parts[i].kind == PartKind::thorax && !isLeftOut(i)) found.push_back(i);
    return found;
}

Length Resolver::bodyEnd() {
    const auto first_ = first(PartKind::body);
    return once(bodyEnd_, say("body end"), first_ ? partPlace(*first_).key("end") : place_, [this] {
        const auto sections = bodies();
        if (!sections.empty()) {
            const auto& body = std::get<BodyPart>(pattern_.parts[sections.front()].detail);
            if (body.end) return station(*body.end, partPlace(sections.front()).key("end"));
        }
        if (schools_.bodyEnd) return station(stationOf(*schools_.bodyEnd), place_);
        return hook_.landmarkStation(hook_.curved() ? Landmark::bend : Landmark::barb);
    });
}

bool Resolver::frontIsWritten() const {
    const auto thorax = thoraxes();
    for (const std::size_t part : thorax)
        if (!standsFree(part)) return true;
    const auto sections = bodies();
    return !sections.empty() && std::get<BodyPart>(pattern_.parts[sections.back()].detail).front.has_value();
}

bool Resolver::standsFree(std::size_t thorax) const {
    const auto& written = std::get<BodyPart>(pattern_.parts[thorax].detail);
    return !written.end && !written.front;
}

std::optional<std::size_t> Resolver::beadPropped(std::size_t thorax) const {
    if (madeOf(thorax).kind != MaterialKind::dubbing) return std::nullopt;
    for (std::size_t i = thorax + 1; i < pattern_.parts.size(); ++i) {
        if (isLeftOut(i) || pattern_.parts[i].kind == PartKind::thread) continue;
        return pattern_.parts[i].kind == PartKind::bead ? std::optional(i) : std::nullopt;
    }
    return std::nullopt;
}

BodyMethod Resolver::methodOf(std::size_t part) const {
    const auto& written = std::get<BodyPart>(pattern_.parts[part].detail);
    if (written.method) return *written.method;
    const Material made = madeOf(part);
    if (schools_.held.coarseFur && isCoarseFur(made)) {
        switch (*schools_.held.coarseFur) {
            case CoarseFur::noodle: return BodyMethod::noodle;
            case CoarseFur::loop:
            case CoarseFur::splitThread: return BodyMethod::loop;
            case CoarseFur::rope: return BodyMethod::rope;
        }
    }
    return usualMethod(made.kind);
}

Length Resolver::thoraxLength(std::size_t part) {
    const auto& written = std::get<BodyPart>(pattern_.parts[part].detail);
    const Material made = madeOf(part);
    const BodyMethod method = methodOf(part);
    constexpr double kTwoTurns = 2.5, kBallToBead = 0.6, kHotSpot = 0.03, kHotSpotTurns = 3.0;
    if (method == BodyMethod::level || method == BodyMethod::loop || method == BodyMethod::rope)
        return kTwoTurns * written.noodleDiameter.value_or(usualNoodle(method, hook_));
    if (method == BodyMethod::thread) {
        const Material* thread = made.kind == MaterialKind::thread ? &made : book_.findMaterial(pattern_.thread);
        return std::max(kHotSpot * hook_.shank(), thread ? kHotSpotTurns * laidThread(*thread).width : 0.0 * mm);
    }
    if (method == BodyMethod::noodle)
        if (const auto bead = beadPropped(part)) return kBallToBead * beadDiameter(*bead);
    return kThoraxShare * hook_.shank();
}

Length Resolver::ownRoom() {
    const Length bead = beadAtEye();
    for (std::size_t i = 0; i < pattern_.parts.size(); ++i) {
        const auto* collar = std::get_if<CollarPart>(&pattern_.parts[i].detail);
        if (!collar || !collar->until || isLeftOut(i)) continue;
        // A collar wound as far as a station: it, its binding and three stems stand ahead of the body.
        constexpr double kStems = 3.0;
        const Material made = madeOf(i);
        const Length stem = canBeWound(made.kind) ? feather(made, hook_).stem : 0.3 * mm;
        return std::max(kFrontShare * hook_.shank(), station(*collar->until, partPlace(i).key("until")) + room_.bindings + kStems * stem) +
               bead;
    }
    return bead > 0.0 * mm ? bead + std::max(room_.atEye, kBehindBead * hook_.shank()) : std::max(kFrontShare * hook_.shank(), room_.atEye);
}

Length Resolver::hacklesBehind(std::size_t thorax) const {
    Length room;
    bool bodyTied = false;
    for (std::size_t i = 0; i < thorax; ++i) {
        const PartKind kind = pattern_.parts[i].kind;
        bodyTied = bodyTied || kind == PartKind::body;
        if (kind == PartKind::thorax) room = 0.0 * mm;  // that one lies ahead of them already
        if (bodyTied && !pattern_.parts[i].station && i < room_.hackles.size()) room += room_.hackles[i];
    }
    return room;
}

// Section 4, "where the body lies": a thorax without stations lies ahead of the body as far as the room goes, and on it for
// the rest; what was wound between them stands between them.
std::vector<Section> Resolver::placeThoraxes() {
    std::vector<Section> placed;
    Length ahead = bodyFront();
    for (const std::size_t part : thoraxes()) {
        const auto& written = std::get<BodyPart>(pattern_.parts[part].detail);
        Section s{part, ahead, ahead};
        if (written.end) s.end = station(*written.end, partPlace(part).key("end"));
        if (written.front) s.front = station(*written.front, partPlace(part).key("front"));
        if (written.front && !written.end)
            s.end = s.front + thoraxLength(part);
        else if (written.end && !written.front)
            s.front = std::min(ownRoom(), s.end - kLeastThorax * hook_.shank());
        else if (!written.end) {
            const Length length = thoraxLength(part);
            const Length from = ahead - hacklesBehind(part);
            s.front = std::max(from - length, std::min(from, room_.atEye + beadAtEye()));
            s.end = std::max(from, s.front + length);
            if (s.end > from) s.end = s.front + length;
        }
        ahead = s.front;
        placed.push_back(s);
    }
    return placed;
}

Length Resolver::foremostBody() {
    return once(foremost_, say("body front"), place_, [this] {
        if (thoraxes().empty()) return bodyFront();
        if (!thoraxes_) thoraxes_ = placeThoraxes();
        return std::ranges::min_element(*thoraxes_, {}, &Section::front)->front;
    });
}

Length Resolver::bodyFront() {
    const auto sections = bodies();
    return once(bodyFront_, say("body front"), sections.empty() ? place_ : partPlace(sections.back()).key("front"), [this, &sections] {
        if (!sections.empty()) {
            const auto& body = std::get<BodyPart>(pattern_.parts[sections.back()].detail);
            if (body.front) return station(*body.front, partPlace(sections.back()).key("front"));
        }
        Length free, written;
        for (const std::size_t part : thoraxes()) {
            const auto& thorax = std::get<BodyPart>(pattern_.parts[part].detail);
            if (standsFree(part))
                free += thoraxLength(part) + hacklesBehind(part);
            else
                written = std::max(written, thorax.end ? station(*thorax.end, partPlace(part).key("end"))
                                                       : station(*thorax.front, partPlace(part).key("front")) + thoraxLength(part));
        }
        return std::max(ownRoom() + free, written);
    });
}

Section Resolver::section(std::size_t part) {
    const auto sections = bodies();
    const auto here = std::ranges::find(sections, part);
    require(here != sections.end(), "section wants a body");
    const auto& body = std::get<BodyPart>(pattern_.parts[part].detail);
    const auto position = static_cast<std::size_t>(here - sections.begin());
    Section result{part, bodyEnd(), bodyFront()};
    // Between sections: what is written at either side of the join, else an even split.
    const auto join = [&](std::size_t rear) {
        const auto& ahead = std::get<BodyPart>(pattern_.parts[sections[rear + 1]].detail);
        const auto& behind = std::get<BodyPart>(pattern_.parts[sections[rear]].detail);
        if (behind.front) return station(*behind.front, partPlace(sections[rear]).key("front"));
        if (ahead.end) return station(*ahead.end, partPlace(sections[rear + 1]).key("end"));
        const double share = static_cast<double>(rear + 1) / static_cast<double>(sections.size());
        return bodyEnd() + share * (bodyFront() - bodyEnd());
    };
    if (position > 0) result.end = body.end ? station(*body.end, partPlace(part).key("end")) : join(position - 1);
    if (position + 1 < sections.size()) result.front = join(position);
    if (result.end <= result.front)
        fault(partPlace(part).key(body.end ? "end" : "front"),
              say("expected a body end behind its front, got the end at {} and the front at {} from the eye", mmText(result.end),
                  mmText(result.front)),
              say("end it further back or start it further forward"));
    return result;
}

Section Resolver::thorax(std::size_t part) {
    if (!thoraxes_) thoraxes_ = placeThoraxes();
    const auto found = std::ranges::find(*thoraxes_, part, &Section::part);
    require(found != thoraxes_->end(), "thorax wants a thorax");
    if (found->end <= found->front)
        fault(partPlace(part).key("end"), say("expected a thorax end behind its front, got the end at {} and the front at {} from the eye",
                                              mmText(found->end), mmText(found->front)));
    return *found;
}

Length Resolver::beadDiameter(std::size_t bead) const { return machair::beadDiameter(madeOf(bead), hook_.size()); }

std::optional<Length> Resolver::beadDiameter() const {
    const auto bead = first(PartKind::bead);
    return bead ? std::optional(beadDiameter(*bead)) : std::nullopt;
}

Length Resolver::beadAtEye() const {
    // A bead tied first is seated at the eye; later ones are pushed back on what is before them.
    if (pattern_.parts.empty() || pattern_.parts.front().kind != PartKind::bead || isLeftOut(0)) return 0.0 * mm;
    return beadDiameter(0);
}

Length Resolver::tieIn(std::size_t part) {
    if (tieIns_[part]) return *tieIns_[part];
    const Part& written = pattern_.parts[part];
    if (written.station) return station(*written.station, partPlace(part).key("station"));
    switch (written.kind) {
        case PartKind::tag:
        case PartKind::tail:
        case PartKind::butt:
        case PartKind::rib: return bodyEnd();
        case PartKind::palmer:
            if (std::get<PalmerPart>(written.detail).along == PalmerAlong::thorax)
                if (const auto on = first(PartKind::thorax)) return thorax(*on).front;
            return bodyFront();
        default: return foremostBody();
    }
}

Length Resolver::lengthOf(std::size_t part) {
    const Part& written = pattern_.parts[part];
    const Place place = partPlace(part);
    const std::string name(nameOf(written.kind));
    return once(lengths_[part], name, place.key("length"), [&]() -> Length {
        struct Visit {
            Resolver& r;
            std::size_t part;
            Place place;
            Length along(const std::optional<LengthSpec>& spec, Length usual) const {
                return spec ? r.length(*spec, r.tieIn(part), place.key("length")) : usual;
            }
            Length operator()(const TagPart& p) const { return along(p.length, 0.08 * r.hook_.shank()); }
            Length operator()(const TailPart& p) const { return along(p.length, 0.0 * mm); }
            Length operator()(const PalmerPart& p) const { return r.fibreLength(p.length, part); }
            Length operator()(const CollarPart& p) const { return r.fibreLength(p.length, part); }
            Length operator()(const WingPart& p) const { return along(p.length, 0.0 * mm); }
            Length operator()(const LegsPart& p) const { return along(p.length, 0.0 * mm); }
            Length operator()(const CheekPart& p) const { return along(p.length, 0.35 * r.hook_.shank()); }
            Length operator()(const BodyPart&) const {
                const Section s = r.pattern_.parts[part].kind == PartKind::body ? r.section(part) : r.thorax(part);
                return s.end - s.front;
            }
            Length operator()(const RibPart&) const { return r.bodyEnd() - r.bodyFront(); }
            Length operator()(const BeadPart&) const { return r.beadDiameter().value_or(0.0 * mm); }
            Length none() const {
                r.fault(place, say("expected a part that has a length, got a {}", sayName(r.pattern_.parts[part].kind)));
                return 1.0 * mm;
            }
            Length operator()(const UnderbodyPart&) const { return none(); }
            Length operator()(const ThreadPart&) const { return none(); }
            Length operator()(const HeadPart&) const { return none(); }
        };
        const std::size_t before = faults_.size();
        const Length result = std::visit(Visit{*this, part, place}, written.detail);
        if (faults_.size() > before) return 1.0 * mm;  // said already: what comes out of it means nothing
        constexpr Length kMost = 1000.0 * mm;          // formats.md
        if (result > 0.0 * mm && result <= kMost) return result;
        if (result > kMost) {
            fault(place.key("length"), say("expected a length of at most 1000 mm, got {}", mmText(result)));
            return 1.0 * mm;
        }
        fault(place.key("length"), say("expected a length that leaves something behind its tie-in, got {}", mmText(result)),
              say("the end is at or ahead of where the {} is tied in", name));
        return 1.0 * mm;
    });
}

// Both schools are in the plan; here the one that is in force. The bed under the hackle is sizing's to know: against
// another part's length its few tenths are left out.
Length Resolver::fibreLength(const LengthSpec& spec, std::size_t part) {
    const Length origin = tieIn(part);
    const auto aim = target(spec, partPlace(part).key("length"));
    if (!aim) return length(spec, origin, partPlace(part).key("length"));
    const Point2 root = hook_.at(origin).position;
    if (schools_.fibre == FibreSchool::layBack) return aim->x - root.x;
    return kFibreCurve * hypot(aim->x - root.x, aim->y - root.y);
}

Length Resolver::yardstick(const Ratio& ratio, const Place& place) {
    if (const auto* ref = std::get_if<PartRef>(&ratio.of)) {
        const auto part = partMeant(*ref, place.key("of"));
        return part ? lengthOf(*part) : 1.0 * mm;
    }
    switch (std::get<Yardstick>(ratio.of)) {
        case Yardstick::shank: return hook_.shank();
        case Yardstick::gape: return hook_.gape();
        case Yardstick::body: return bodyEnd() - bodyFront();
        case Yardstick::overall: return hook_.overall();
        case Yardstick::eyeWidth: return hook_.eyeWidth();
        case Yardstick::spear: return hook_.spear();
        case Yardstick::bead: return beadDiameter().value_or(0.60 * nominalGape(hook_.size()));
    }
    throw BrokenContract("unknown yardstick");
}

Length Resolver::tailTipX() {
    const auto tail = first(PartKind::tail);
    const WirePoint root = hook_.at(bodyEnd());
    return root.position.x + (tail ? lengthOf(*tail) * cos(root.heading) : 0.0 * mm);
}

Length Resolver::reachX(const Reach& reach, const Place& place) {
    Length x;
    if (const auto* ref = std::get_if<PartRef>(&reach.to)) {
        const auto part = partMeant(*ref, place.key("to"));
        const double fraction = reach.fraction.value_or(1.0);
        if (!part) return 1.0 * mm;
        const WirePoint root = hook_.at(tieIn(*part));
        x = root.position.x + fraction * lengthOf(*part) * cos(root.heading);
    } else {
        const AnyLandmark& landmark = std::get<AnyLandmark>(reach.to);
        if (const auto* onHook = std::get_if<Landmark>(&landmark))
            x = hook_.landmarkTarget(*onHook).x;
        else
            x = std::get<FlyLandmark>(landmark) == FlyLandmark::bodyEnd ? hook_.at(bodyEnd()).position.x : tailTipX();
    }
    if (reach.past) x += size(**reach.past, place.key("past"));
    if (reach.shortBy) x -= size(**reach.shortBy, place.key("short"));
    return x;
}

std::optional<Point2> Resolver::target(const LengthSpec& spec, const Place& place) {
    const auto* reach = std::get_if<Reach>(&spec.value);
    if (!reach) return std::nullopt;
    Point2 aim{reachX(*reach, place), 0.0 * mm};
    if (const auto* landmark = std::get_if<AnyLandmark>(&reach->to)) {
        if (const auto* onHook = std::get_if<Landmark>(landmark))
            aim.y = hook_.landmarkTarget(*onHook).y;
        else if (std::get<FlyLandmark>(*landmark) == FlyLandmark::bodyEnd)
            aim.y = hook_.at(bodyEnd()).position.y;
    }
    return aim;
}

Length Resolver::length(const LengthSpec& spec, Length origin, const Place& place) {
    struct Visit {
        Resolver& r;
        Length origin;
        const Place& place;
        Length operator()(Length l) const { return l; }
        Length operator()(const Ratio& ratio) const { return ratio.ratio * r.yardstick(ratio, place); }
        Length operator()(const Reach& reach) const { return r.reachX(reach, place) - r.hook_.at(origin).position.x; }
        Length operator()(const Bars& bars) const {
            // To the far edge of the n-th bar from the tips: n - 1 spacings and one bar.
            const auto spacing = r.tippetSpacing();
            if (!spacing) {
                r.fault(place.key("bars"), say("expected a tippet with a bar_spacing_mm to count bars on"),
                        say("measure the bar spacing of the feather and give it on the material"));
                return 1.0 * mm;
            }
            return (bars.count - 1 + kTippetBar) * *spacing;
        }
    };
    return std::visit(Visit{*this, origin, place}, spec.value);
}

std::optional<Length> Resolver::tippetSpacing() const {
    for (std::size_t i = 0; i < pattern_.parts.size(); ++i) {
        if (pattern_.parts[i].kind != PartKind::tail || isLeftOut(i)) continue;
        const Material made = madeOf(i);
        if (const auto* tippet = std::get_if<TippetTraits>(&made.traits)) return tippet->barSpacing;
    }
    return std::nullopt;
}

Length Resolver::size(const LengthSpec& spec, const Place& place) {
    if (std::holds_alternative<Reach>(spec.value)) {
        fault(place, say("expected a ratio or millimetres, got a reach to a landmark"), say("a size has no place to reach from"));
        return 1.0 * mm;
    }
    return length(spec, 0.0 * mm, place);
}

Length Resolver::station(const StationSpec& spec, const Place& place) {
    Length s;
    if (const auto* landmark = std::get_if<Landmark>(&spec.at))
        s = hook_.landmarkStation(*landmark);
    else
        s = std::get<FlyLandmark>(spec.at) == FlyLandmark::bodyEnd ? bodyEnd() : tailTipX();
    if (spec.ahead) s -= size(*spec.ahead, place.key("ahead"));
    if (spec.behind) s += size(*spec.behind, place.key("behind"));
    if (s >= 0.0 * mm && s <= hook_.rearmostStation()) return s;
    fault(place, say("expected a place on the hook from the eye to the back of the bend (0 to {}), got {}", mmText(hook_.rearmostStation()),
                     mmText(s)));
    return std::clamp(s, 0.0 * mm, hook_.shank());
}

}  // namespace machair
