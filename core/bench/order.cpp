#include "bench/order.h"
#include "language/say.h"
#include "units/visit.h"

#include <algorithm>
#include <numeric>
#include <optional>

namespace machair {

namespace {

constexpr Length kTouch = 0.3 * mm;

struct Stretch {  // the stretch of shank that a part is wound or bound over
    Length front, end;
};

std::optional<Stretch> boundOver(const Plan& plan, std::size_t i) {
    const PartPlan& part = plan.parts[i];
    using Bound = std::optional<Stretch>;
    return std::visit(
        Overloaded{
            [](const BodyPlan& body) -> Bound {
                return Stretch{body.front, body.end};
            },
            [](const RibPlan& rib) -> Bound {
                return Stretch{rib.front, rib.end};
            },
            [](const UnderbodyPlan& under) -> Bound {
                return Stretch{under.front, under.end};
            },
            [&](const PalmerPlan& palmer) -> Bound {
                return Stretch{part.station, palmer.end};
            },
            // These stand at a place, not along a stretch.
            [](const OneOf<Impossible, TagPlan, TailPlan, HacklePlan, WingPlan, PiecePlan, BeadPlan, ThreadPlan, HeadPlan> auto&) -> Bound {
                return std::nullopt;
            },
        },
        part.detail);
}

bool touches(const Stretch& a, const Stretch& b) { return a.front < b.end - kTouch && b.front < a.end - kTouch; }

class Order {
  public:
    explicit Order(const Plan& plan) : plan_(plan) {}

    std::vector<OrderFault> run() {
        const std::size_t n = plan_.parts.size();
        for (std::size_t later = 0; later < n; ++later)
            for (std::size_t earlier = 0; earlier < later; ++earlier)
                judge(later, earlier);  // `earlier` stands first: may it?
        return std::move(faults_);
    }

    // Every pair that has to stand so, however the parts stand now.
    std::vector<OrderFault> everyDependency() {
        const std::size_t n = plan_.parts.size();
        for (std::size_t first = 0; first < n; ++first)
            for (std::size_t then = 0; then < n; ++then)
                if (first != then) judge(first, then);
        return std::move(faults_);
    }

  private:
    [[nodiscard]] PartKind kind(std::size_t i) const { return plan_.parts[i].kind; }
    template <class Detail>
    [[nodiscard]] const Detail& written(std::size_t i) const {
        return std::get<Detail>(plan_.pattern.parts[i].detail);
    }
    [[nodiscard]] bool tied(std::size_t i) const { return !std::holds_alternative<Impossible>(plan_.parts[i].detail); }
    void fault(std::size_t first, std::size_t then, const char* because) {
        const auto name = [&](std::size_t i) { return sayName(kind(i)); };
        faults_.push_back({first, then, say(because), say("tie the {} before the {}", name(first), name(then))});
    }
    // The first of its kind: a second tail, wing or rib may come when it likes.
    [[nodiscard]] bool isFirst(std::size_t i) const {
        for (std::size_t k = 0; k < i; ++k)
            if (kind(k) == kind(i)) return false;
        return true;
    }

    // `second` stands after `first` in the dressing. Is there a reason that it should have come before?
    void judge(std::size_t second, std::size_t first) {
        if (!tied(second) || !tied(first)) return;
        if (plan_.pattern.parts[second].from) {  // what goes on from another comes after it, wherever that is
            if (const auto source = find(plan_.pattern, *plan_.pattern.parts[second].from); source == first) return;
        }
        const auto a = boundOver(plan_, second), b = boundOver(plan_, first);
        switch (kind(second)) {
            case PartKind::tag:
                if (kind(first) == PartKind::tail && isFirst(first)) afterTail(second, first);
                break;
            case PartKind::tail: ofTail(second, first); break;
            case PartKind::rib: ofRib(second, first); break;
            case PartKind::underbody:
                if (kind(first) == PartKind::body && a && b && touches(*a, *b))
                    fault(second, first, unsaid("an underbody lies under the body: it can't come later"));
                break;
            case PartKind::body:
            case PartKind::thorax: ofBody(second, first); break;
            case PartKind::palmer:
            case PartKind::butt:
            case PartKind::collar:
            case PartKind::throat:
            case PartKind::bead:
            case PartKind::thread:
            case PartKind::head:
            case PartKind::cheek: break;
            case PartKind::legs:
                if (kind(first) == PartKind::collar && plan_.parts[second].station > plan_.parts[first].station + kTouch)
                    fault(second, first, unsaid("the legs lie under the hackle: wound first, it hides where they are tied in"));
                break;
            case PartKind::wing:
                if (kind(first) == PartKind::wing && written<WingPart>(first).position.value_or(WingPosition::over) == WingPosition::over &&
                    written<WingPart>(second).position == WingPosition::under)
                    fault(second, first, unsaid("the under-wing lies below the over-wing"));
                if (kind(first) == PartKind::cheek) fault(second, first, unsaid("the cheeks lie on the wing"));
                break;
        }
        if (kind(first) == PartKind::head && kind(second) != PartKind::head && kind(second) != PartKind::bead &&
            kind(second) != PartKind::thread && kind(second) != PartKind::cheek)
            fault(second, first, unsaid("the head is finished over everything: nothing can be tied in after it"));
    }

    // A narrow band over the root is a butt; a tag proper has the tail's turns over its edge.
    void afterTail(std::size_t tag, std::size_t tail) {
        constexpr double kBandTurns = 3.0;
        const auto* plan = std::get_if<TagPlan>(&plan_.parts[tag].detail);
        const auto& own = written<TagPart>(tag);
        if (plan && (plan->turns > kBandTurns || own.passes.value_or(1) > 1))
            fault(tag, tail, unsaid("the tail's turns cover the tag's edge"));
    }

    void ofTail(std::size_t tail, std::size_t first) {
        if (kind(first) == PartKind::wing && written<TailPart>(tail).cut.value_or(false) && !mayStandFirst(first))
            fault(tail, first, unsaid("scissors can't get at the tail past the wing"));
        if (kind(first) != PartKind::body || !isFirst(tail)) return;
        const auto* body = std::get_if<BodyPlan>(&plan_.parts[first].detail);
        const auto* own = std::get_if<TailPlan>(&plan_.parts[tail].detail);
        if (!body || !own || plan_.bodyEnd > body->end + kTouch) return;
        const bool firm = body->method == BodyMethod::tube || body->method == BodyMethod::wire;
        const bool tuft = own->style == TailStyle::floss || own->style == TailStyle::plume;
        if (!firm && !tuft) fault(tail, first, unsaid("the tail's butts are the body's underbody, its root lies under the first turn"));
    }

    void ofRib(std::size_t rib, std::size_t first) {
        if (kind(first) != PartKind::body) return;
        const auto& along = written<RibPart>(rib).along;
        const auto* section = along ? std::get_if<std::size_t>(&*along) : nullptr;
        std::size_t own = 0;
        for (std::size_t k = 0; k < first; ++k)
            if (kind(k) == PartKind::body) ++own;
        if (section && *section != own) return;
        const auto a = boundOver(plan_, rib), b = boundOver(plan_, first);
        if (plan_.pattern.parts[rib].from) return;  // a body's ribbon bent back
        if (a && b && touches(*a, *b))
            fault(rib, first, unsaid("the rib's end lies under the body: wound first, there is nowhere to tie it in"));
    }

    void ofBody(std::size_t body, std::size_t first) {
        const auto own = boundOver(plan_, body);
        if (!own) return;
        const auto other = boundOver(plan_, first);
        switch (kind(first)) {
            case PartKind::palmer: {
                const bool thorax = written<PalmerPart>(first).along == PalmerAlong::thorax;
                const bool waits = std::get<PalmerPlan>(plan_.parts[first].detail).wound == PalmerWound::forward;
                if (!waits && thorax == (kind(body) == PartKind::thorax) && other && touches(*own, *other))
                    fault(body, first, unsaid("there is no body yet for the hackle to be wound over"));
                break;
            }
            case PartKind::body:
                if (kind(body) == PartKind::body && other && other->end < own->end - kTouch && own->front < other->end + 2.0 * mm &&
                    other->front < own->front - kTouch)
                    fault(body, first, unsaid("the front half laps over the rear half's end"));
                break;
            case PartKind::collar:
            case PartKind::throat:
                if (kind(body) == PartKind::body && plan_.parts[first].station > own->front + kTouch &&
                    plan_.parts[first].station < own->end - kTouch)
                    fault(body, first, unsaid("the hackle stands where the body still has to be wound"));
                break;
            case PartKind::wing:
                if (kind(body) == PartKind::body && !mayStandFirst(first))
                    fault(body, first, unsaid("a low wing lies on the body's shoulder: the ramp for it can't be made later"));
                break;
            default: break;
        }
    }

    // Upright, film tuft, lifted plume, tips over the eye: tied in first by many, well ahead of every body.
    [[nodiscard]] bool mayStandFirst(std::size_t wing) const {
        const auto& own = written<WingPart>(wing);
        constexpr double kRaised = 60.0;
        const bool raised =
            (own.angle && own.angle->inDegrees() >= kRaised) || own.style == WingStyle::upright || own.style == WingStyle::plume;
        if (!raised) return plan_.schools.held.wingTied == WingTied::first;  // the tier's own order
        return std::ranges::all_of(plan_.parts, [&](const PartPlan& part) {
            const auto* body = std::get_if<BodyPlan>(&part.detail);
            return !body || plan_.parts[wing].station <= body->front + kTouch;
        });
    }

    const Plan& plan_;
    std::vector<OrderFault> faults_;
};

}  // namespace

std::vector<OrderFault> orderFaults(const Plan& plan) { return Order(plan).run(); }

Pattern inSoundOrder(const Plan& plan) {
    if (orderFaults(plan).empty()) return plan.pattern;
    const std::vector<OrderFault> dependencies = Order(plan).everyDependency();
    const std::size_t n = plan.pattern.parts.size();
    // Always the first part in the written order that nothing left has to come before.
    std::vector<char> placed(n, 0);
    Pattern sound = plan.pattern;
    sound.parts.clear();
    while (sound.parts.size() < n) {
        std::size_t next = n;
        for (std::size_t i = 0; i < n && next == n; ++i) {
            if (placed[i]) continue;
            const bool waits = std::ranges::any_of(dependencies, [&](const OrderFault& f) { return f.then == i && !placed[f.first]; });
            if (!waits) next = i;
        }
        if (next == n)  // a circle, which the rules don't make: as written
            next = static_cast<std::size_t>(std::ranges::find(placed, 0) - placed.begin());
        placed[next] = 1;
        sound.parts.push_back(plan.pattern.parts[next]);
    }
    return sound;
}

}  // namespace machair
