#include "sizing/plan.h"

#include <algorithm>
#include <cmath>

#include "book/schools.h"
#include "language/say.h"
#include "sizing/bench.h"
#include "sizing/counts.h"
#include "sizing/figures.h"
#include "sizing/head.h"
#include "sizing/limits.h"
#include "sizing/needs.h"
#include "sizing/resolver.h"
#include "units/text.h"

namespace machair {

// Copied, moved and compared here once, not in every source that does so.
PartPlan::PartPlan() = default;
PartPlan::PartPlan(const PartPlan&) = default;
PartPlan::PartPlan(PartPlan&&) noexcept = default;
PartPlan& PartPlan::operator=(const PartPlan&) = default;
PartPlan& PartPlan::operator=(PartPlan&&) noexcept = default;
PartPlan::~PartPlan() = default;

const HacklePlan* hackleOf(const PartPlan& part) {
    if (const auto* palmer = std::get_if<PalmerPlan>(&part.detail)) return &palmer->hackle;
    return std::get_if<HacklePlan>(&part.detail);
}

Plan::Plan(Pattern p, Hook h) : pattern(std::move(p)), hook(std::move(h)), bulk(hook.wire()) {}
Plan::Plan(const Plan&) = default;
Plan::Plan(Plan&&) noexcept = default;
Plan& Plan::operator=(const Plan&) = default;
Plan& Plan::operator=(Plan&&) noexcept = default;
Plan::~Plan() = default;

namespace {

// One part sized as it is tied in: its detail, and what it takes of the room for those that come after it.
struct SizedOnBench {
    Bench& bench;
    std::size_t i;
    PartPlan& part;

    void operator()(const TagPart& p) { part.detail = sizeTag(bench, i, p, part.made); }
    void operator()(const TailPart& p) { part.detail = sizeTail(bench, i, p, part.made); }
    void operator()(const RibPart& p) { part.detail = tieInRib(bench, i, p, part.made); }
    void operator()(const UnderbodyPart& p) { part.detail = sizeUnderbody(bench, i, p, part.made); }
    void operator()(const BodyPart& p) {
        BodyPlan body = sizeBody(bench, i, p, part.made);
        part.station = body.end;
        part.detail = body;
    }
    void operator()(const PalmerPart& p) { part.detail = sizePalmer(bench, i, p, part.made); }
    void operator()(const CollarPart& p) {
        HacklePlan h = sizeCollar(bench, i, p, part.made);
        h.behindWing = std::any_of(bench.pattern.parts.begin() + static_cast<std::ptrdiff_t>(i), bench.pattern.parts.end(),
                                   [](const Part& q) { return q.kind == PartKind::wing; });
        if (!isPlaced() && !h.through) {
            const Length ahead = part.station - h.roomShare * h.width;
            if (part.station > bench.resolver.foremostBody())
                bench.betweenFront = ahead;
            else
                bench.hackleFront = std::min(bench.hackleFront, ahead);
        }
        part.detail = h;
    }
    void operator()(const WingPart& p) {
        const WingPlan wing = sizeWing(bench, i, p, part.made);
        const Length b = bench.thread.width;
        if (bench.bodyTied()) {
            if (!bench.wingAt) bench.wingAt = part.station;
            // A hackle after it is wound over the rest of its binding.
            if (!isPlaced()) bench.hackleFront = std::min(bench.hackleFront, part.station - b);
        } else if (wing.propped)
            bench.hackleFront = std::min(bench.hackleFront, bench.resolver.foremostBody() - kWingGapTurns * b);
        part.detail = wing;
    }
    void operator()(const LegsPart& p) {
        const double count = p.count ? p.count->wholeMiddle() : kUsualLegs;
        part.detail = PiecePlan{bench.resolver.lengthOf(i), count, {}};
        constexpr Length kLeg = 0.20 * mm;
        bindAtFront(count, part.made.kind == MaterialKind::leg ? kLeg : fibreDiameter(part.made));
    }
    void operator()(const CheekPart& p) {
        const double count = p.count ? p.count->wholeMiddle() : 2.0;
        const auto* piece = std::get_if<PieceTraits>(&part.made.traits);
        part.detail = PiecePlan{bench.resolver.lengthOf(i), count, piece ? piece->length : std::nullopt};
        constexpr Length kStalk = 0.30 * mm;
        bindAtFront(count, kStalk);
    }
    void operator()(const BeadPart&) {
        const Length d = bench.resolver.beadDiameter(i);
        const auto* traits = std::get_if<BeadTraits>(&part.made.traits);
        constexpr double kHole = 0.36;
        BeadPlan bead{d, d, traits && traits->hole ? *traits->hole : kHole * d, false, i == 0};
        if (i == 0)
            part.station = 0.0 * mm;
        else
            pushBack(bead);
        part.detail = bead;
    }
    void operator()(const ThreadPart&) {
        if (part.made.kind == MaterialKind::thread) bench.thread = laidThread(part.made);
        part.detail = ThreadPlan{};
    }
    void operator()(const HeadPart& p) { part.detail = sizeHead(bench.plan, p); }

  private:
    // The dressing says where it stands.
    [[nodiscard]] bool isPlaced() const { return bench.pattern.parts[i].station.has_value(); }

    // On what is before it: the rest stands ahead.
    void pushBack(BeadPlan& bead) {
        for (std::size_t k = 0; k < i; ++k)
            if (const auto* body = std::get_if<BodyPlan>(&bench.plan.parts[k].detail); body && body->props == i) bead.ball = true;
        if (isPlaced()) {
            bench.hackleFront = std::min(bench.hackleFront, part.station);
        } else {
            bench.hackleFront = std::max(0.0 * mm, bench.hackleFront - bead.diameter);
            part.station = bench.hackleFront;
        }
    }

    // Butts bound down from the eye to the body's front, or to where it stands.
    void bindAtFront(double count, Length diameter) const {
        bench.bindBundle(static_cast<int>(i), bench.resolver.beadAtEye() + bench.thread.width,
                         std::max(bench.resolver.foremostBody(), part.station), count, diameter);
    }
};

class Planner {
  public:
    Planner(const Pattern& pattern, const Hook& hook, const Book& book, const Place& place, const Schools& schools)
        : pattern_(pattern),
          hook_(hook),
          book_(book),
          place_(place),
          schools_(schoolsFor(pattern, book, schools)),
          leftOut_(pattern.parts.size(), false) {}

    Result<Plan> run() {
        const Material* thread = book_.findMaterial(pattern_.thread);
        if (!thread || thread->kind != MaterialKind::thread) return noSuch(place_.key("thread"), "thread", pattern_.thread);
        threadMaterial_ = *thread;
        thread_ = laidThread(*thread);
        // What can't be sized is left out with its faults, and then what hangs on it, until the rest stands.
        Faults kept;
        for (;;) {
            Plan planned = settled();
            if (planned.faults.empty()) {
                planned.faults = std::move(kept);
                return planned;
            }
            append(kept, planned.faults);
            if (!leaveOut(planned.faults)) return tl::unexpected(std::move(kept));
        }
    }

  private:
    // The body's front waits for the room that the head wants, and that room for the turns of hackles standing at the front.
    // Turns are rounded, so this settles in two or three rounds.
    Plan settled() {
        constexpr int kMostRounds = 8;
        Resolver::Room room{0.0 * mm, 0.0 * mm};
        for (int round = 0;; ++round) {
            Plan planned = once(room);
            if (!planned.faults.empty()) return planned;
            Resolver::Room wanted{roomNeeded(planned, planned.finishThread) - roomGiven(planned),
                                  bindingRoom(planned, planned.finishThread), hackleRooms(planned)};
            static constexpr Length kSettled = 1e-9 * mm;
            const auto same = [](Length a, Length b) { return abs(a - b) < kSettled; };
            const bool still = same(wanted.atEye, room.atEye) && std::ranges::equal(wanted.hackles, room.hackles, same);
            if (still && planned.foremostBody + kSettled >= room.atEye) return planned;
            if (round == kMostRounds) return planned;  // turns that flicker between two halves: either is right
            room = std::move(wanted);
        }
    }

    // Marks the parts that the faults stand at; whether there was one that wasn't marked already.
    bool leaveOut(const Faults& faults) {
        bool any = false;
        for (std::size_t i = 0; i < leftOut_.size(); ++i) {
            const std::string part = place_.key("parts").at(i).text();
            const auto at = [&](const Fault& fault) {
                const std::string where = fault.place.text();
                return where.starts_with(part) && (where.size() == part.size() || where[part.size()] == '.');
            };
            if (leftOut_[i] || std::ranges::none_of(faults, at)) continue;
            leftOut_[i] = any = true;
        }
        return any;
    }

    Plan once(const Resolver::Room& room) {
        Plan plan(pattern_, hook_);
        plan.schools = schools_;
        plan.thread = thread_;
        plan.threadMaterial = threadMaterial_;
        plan.finishThread = thread_;
        Resolver resolver(pattern_, hook_, book_, place_, schools_, room, leftOut_);
        plan.bodyEnd = resolver.bodyEnd();
        plan.bodyFront = resolver.bodyFront();
        plan.foremostBody = resolver.foremostBody();
        plan.frontIsWritten = resolver.frontIsWritten();
        Bench bench{pattern_, hook_, book_, resolver, plan, thread_, resolver.foremostBody()};
        if (plan.bodyEnd <= plan.bodyFront && resolver.faults().empty())
            resolver.fault(bodyPlace(resolver),
                           say("expected a body end behind its front, got the end at {} mm and the front at {} mm from the eye",
                               formatShort(plan.bodyEnd / mm, 2), formatShort(plan.bodyFront / mm, 2)),
                           say("end it further back or start it further forward"));
        if (resolver.faults().empty()) size(bench);
        plan.faults = resolver.faults();
        return plan;
    }

    void size(Bench& bench) {
        Plan& plan = bench.plan;
        bench.bindThread(-1, bench.resolver.beadAtEye() + thread_.width, plan.bodyEnd, 1.0);
        for (std::size_t i = 0; i < pattern_.parts.size(); ++i)
            sizePart(bench, i);
        for (std::size_t i = 0; i < pattern_.parts.size(); ++i)
            if (auto* rib = std::get_if<RibPlan>(&plan.parts[i].detail))
                windRib(bench, *rib, i, std::get<RibPart>(pattern_.parts[i].detail));
        plan.finishThread = bench.thread;
        plan.head = budgetHead(bench);
        plan.threadUsed = threadUsed(plan, bench.thread);
        for (PartPlan& part : plan.parts)
            if (auto* head = std::get_if<HeadPlan>(&part.detail)) head->thread = plan.threadUsed;
        measureFly(plan);
        sayOfPlan(bench);
        std::ranges::stable_sort(plan.warnings, std::ranges::greater(), &Warning::severity);
        plan.needs = needsOf(plan);
        if (bench.resolver.faults().empty()) describeParts(plan);
    }

    // Where a body's end or front is to be changed: the last section's, else where a thorax leaves no room for one.
    [[nodiscard]] Place bodyPlace(const Resolver& resolver) const {
        std::optional<std::size_t> last;
        for (std::size_t i = 0; i < pattern_.parts.size(); ++i)
            if ((pattern_.parts[i].kind == PartKind::body || pattern_.parts[i].kind == PartKind::thorax) && !resolver.isLeftOut(i))
                last = i;
        return last ? place_.key("parts").at(*last).key("end") : place_;
    }

    void sizePart(Bench& bench, std::size_t i) {
        const Part& written = pattern_.parts[i];
        PartPlan part;
        part.kind = written.kind;
        part.place = bench.resolver.partPlace(i);
        if (bench.resolver.isLeftOut(i)) {
            part.detail = Impossible{};
            bench.plan.parts.push_back(std::move(part));
            return;
        }
        findMaterial(bench, i, part);
        placeAtFront(bench, i);
        part.station = bench.resolver.tieIn(i);
        std::visit(SizedOnBench{bench, i, part}, written.detail);
        bench.plan.parts.push_back(std::move(part));
    }

    // What the part is made of; the usual stands in for what such a part can't be made of.
    void findMaterial(Bench& bench, std::size_t i, PartPlan& part) const {
        const Part& written = pattern_.parts[i];
        part.material = written.material;
        if (written.from) {
            const auto source = find(pattern_, *written.from);
            if (!source)
                bench.resolver.fault(part.place.key("from"), say("expected a part of this dressing, got {}", describe(*written.from)));
            else if (!part.material)
                part.material = pattern_.parts[*source].material;
        }
        part.made = bench.resolver.madeOf(i);
        if (part.material && !book_.findMaterial(*part.material))
            bench.resolver.fault(part.place.key("material"), say("expected the id of a material, got \"{}\"", *part.material),
                                 say("add that material, or name one of the drawers"));
        if (!canBeMadeOf(written.kind, part.made.kind)) {
            bench.resolver.fault(part.place.key("material"),
                                 say("expected something that makes a {}, got a {}", sayName(written.kind), sayName(part.made.kind)));
            part.made = usualMaterial(written.kind, pattern_, book_);
        }
    }

    // Stations of what is tied in ahead of the body, in tying order (plan.h says where they stand).
    void placeAtFront(Bench& bench, std::size_t i) {
        const Part& written = pattern_.parts[i];
        if (written.station) return;
        const bool isWing = written.kind == PartKind::wing || written.kind == PartKind::cheek || written.kind == PartKind::legs;
        const bool isCollar = written.kind == PartKind::collar || written.kind == PartKind::throat;
        const auto* wing = std::get_if<WingPart>(&written.detail);
        constexpr double kUprightShare = 0.25;  // of the shank, of an upright wing tied before the body
        if (wing && wing->style == WingStyle::upright && !bench.bodyTied())
            bench.resolver.placeFrontPart(i, kUprightShare * hook_.shank());
        else if (isWing)
            bench.resolver.placeFrontPart(
                i, bench.wingAt.value_or(std::max(0.0 * mm, bench.hackleFront - kWingGapTurns * bench.thread.width)));
        if (!isCollar) return;
        const PartPlan* before = hackleWoundThrough(bench, written);
        // Wound between the body and a thorax that stands ahead of it, it stands on the body's front.
        bool thoraxFollows = false;
        for (std::size_t k = i; k < pattern_.parts.size(); ++k)
            if (const auto* body = std::get_if<BodyPart>(&pattern_.parts[k].detail))
                thoraxFollows = thoraxFollows || (!body->end && !body->front && pattern_.parts[k].kind == PartKind::thorax);
        const Length front = thoraxFollows ? std::min(bench.betweenFront, bench.resolver.bodyFront()) : bench.hackleFront;
        bench.resolver.placeFrontPart(i, before ? before->station : std::max(0.0 * mm, front));
    }

    // The collar that `written` is wound through, its turns sunk between that one's: the one before it, unless a wing
    // stands between. Null when it has a place of its own.
    static const PartPlan* hackleWoundThrough(const Bench& bench, const Part& written) {
        const auto* collar = std::get_if<CollarPart>(&written.detail);
        if (!collar || !collar->through.value_or(false)) return nullptr;
        const auto& parts = bench.plan.parts;
        for (auto part = parts.rbegin(); part != parts.rend(); ++part) {
            if (std::holds_alternative<WingPlan>(part->detail)) return nullptr;
            if (std::holds_alternative<HacklePlan>(part->detail)) return &*part;
        }
        return nullptr;
    }

    const Pattern& pattern_;
    const Hook& hook_;
    const Book& book_;
    Place place_;
    Schools schools_;
    LaidThread thread_;
    Material threadMaterial_;
    std::vector<bool> leftOut_;
};

// Counts as they are written for the dressing's own hook, scaled to another size: fibres and plumes with the gape, hairs with
// its square. Turns, strands, legs, cheeks and tips stay.
Pattern countedFor(const Pattern& written, const Hook& hook, const Book& book) {
    const HookSpec* own = book.findHook(written.hook);
    if (!own || own->size == hook.size()) return written;
    Pattern scaled = written;
    for (Part& part : scaled.parts) {
        const Material* made = part.material ? book.findMaterial(*part.material) : nullptr;
        const bool hair = made && made->kind == MaterialKind::hair;
        if (auto* tail = std::get_if<TailPart>(&part.detail); tail && tail->fibres)
            *tail->fibres = scaledCount(*tail->fibres, hair || tail->style == TailStyle::hair ? 2.0 : 1.0, own->size, hook.size());
        if (auto* wing = std::get_if<WingPart>(&part.detail);
            wing && wing->count && wing->style != WingStyle::tips && wing->style != WingStyle::upright && wing->style != WingStyle::paired)
            *wing->count = scaledCount(*wing->count, wing->style == WingStyle::hair ? 2.0 : 1.0, own->size, hook.size());
    }
    return scaled;
}

Result<HookSpec> hookOf(const Book& book, const Pattern& pattern, const Place& place) {
    const HookSpec* spec = book.findHook(pattern.hook);
    if (!spec) return noSuch(place.key("hook"), "hook", pattern.hook);
    return *spec;
}
Place hookPlace(const Book& book, std::string_view id) {
    for (std::size_t i = 0; i < book.hooks.size(); ++i)
        if (book.hooks[i].id == id) return Place("hooks").at(i);
    return Place("hooks");
}

}  // namespace

Material usualMaterial(PartKind kind, const Pattern& pattern, const Book& book) {
    Material m;
    switch (kind) {
        case PartKind::rib: m.kind = MaterialKind::wire; break;
        case PartKind::palmer: {
            m.kind = MaterialKind::hackle;
            HackleTraits cock;
            cock.bird = Bird::cockSaddle;
            m.traits = cock;
            return m;
        }
        case PartKind::tail:
        case PartKind::collar:
        case PartKind::throat: m.kind = MaterialKind::hackle; break;
        case PartKind::wing: m.kind = MaterialKind::flank; break;
        case PartKind::cheek: m.kind = MaterialKind::cheek; break;
        case PartKind::legs: m.kind = MaterialKind::leg; break;
        case PartKind::bead: m.kind = MaterialKind::bead; break;
        case PartKind::tag:
        case PartKind::butt: m.kind = MaterialKind::tinsel; break;
        case PartKind::thorax: m.kind = MaterialKind::dubbing; break;
        case PartKind::underbody:
        case PartKind::body:
        case PartKind::thread:
        case PartKind::head:
            if (const Material* thread = book.findMaterial(pattern.thread)) return *thread;
            m.kind = MaterialKind::thread;
            break;
    }
    m.traits = traitsFor(m.kind);
    return m;
}

Length usualNoodle(BodyMethod method, const Hook& hook) {
    constexpr double kLevel = 0.07, kRope = 0.085;  // of the gape: a rope of 0.47 mm on a 10
    return (method == BodyMethod::loop || method == BodyMethod::rope ? kRope : kLevel) * hook.gape();
}

bool Bench::bodyTied() const {
    return std::ranges::any_of(plan.parts, [](const PartPlan& p) { return std::holds_alternative<BodyPlan>(p.detail); });
}

void Bench::bindThread(int index, Length from, Length to, double layers) {
    if (to > from) plan.bulk.add({index, from, to, ThreadLayers{layers, thread.thickness, thread.width}});
}

void Bench::bindBundle(int index, Length from, Length to, double count, Length diameter) {
    if (to > from && count > 0.0) plan.bulk.add({index, from, to, BoundBundle{count, diameter}});
}

void Bench::warn(std::size_t index, const char* key, Concern concern, Excess excess, std::string what, std::string remedy) {
    plan.warnings.push_back({{resolver.partPlace(index).key(key), std::move(what), std::move(remedy)},
                             concern,
                             index,
                             excess.over,
                             excess.unit,
                             key,
                             excess.severity});
}

const BodyPlan* Plan::bodyAt(Length station) const {
    const BodyPlan* found = nullptr;  // where bodies overlap, the later one lies outside
    for (const PartPlan& part : parts)
        if (const auto* body = std::get_if<BodyPlan>(&part.detail))
            if (body->front <= station && station <= body->end) found = body;
    return found;
}

Length Plan::bodyDiameter(const BodyPlan& body, Length s) const {
    const Length under = bulk.diameter(s, body.rowsUnder);
    if (body.overUnderbody) return under + body.covers;
    if (body.swelling) {
        const double u = std::clamp((s - body.front) / (body.end - body.front) * 2.0 - 1.0, -1.0, 1.0);
        return under + std::max(0.0 * mm, *body.swelling - under) * std::sqrt(1.0 - u * u);
    }
    return std::max(under, taperedDiameter(body, s));  // nowhere less than is bound there
}

Length Plan::under(Length station) const {
    for (const PartPlan& part : parts)
        if (const auto* body = std::get_if<BodyPlan>(&part.detail)) return bulk.diameter(station, body->rowsUnder);
    return bulk.diameter(station);
}

Length Plan::diameter(Length station) const {
    const BodyPlan* body = bodyAt(station);
    return body ? bodyDiameter(*body, station) : bulk.diameter(station);
}

std::vector<ProfileRow> Plan::profile() const {
    constexpr Length kStep = 0.1 * mm;
    static constexpr Length kSide = 1e-6 * mm;  // to look at either side of a step
    std::vector<Length> steps;
    for (const BulkRow& row : bulk.rows()) {
        steps.push_back(row.from);
        steps.push_back(row.to);
    }
    for (const PartPlan& part : parts)
        if (const auto* body = std::get_if<BodyPlan>(&part.detail)) {
            steps.push_back(body->front);
            steps.push_back(body->end);
        }
    const Length last = hook.shank();
    std::erase_if(steps, [&](Length s) { return s <= 0.0 * mm || s >= last; });
    std::ranges::sort(steps);
    steps.erase(std::unique(steps.begin(), steps.end(), [](Length a, Length b) { return b - a < 2.0 * kSide; }), steps.end());
    std::vector<ProfileRow> rows;
    const auto row = [&](Length at, Length look) { rows.push_back({at, under(look), diameter(look)}); };
    row(0.0 * mm, 0.0 * mm);
    Length from;
    steps.push_back(last);
    for (const Length step : steps) {
        const int parts_ = std::max(1, static_cast<int>(std::ceil((step - from) / kStep)));
        for (int i = 1; i < parts_; ++i) {
            const Length s = from + (step - from) * (static_cast<double>(i) / parts_);
            row(s, s);
        }
        row(step, step == last ? last : step - kSide);
        if (step != last) row(step, step + kSide);
        from = step;
    }
    return rows;
}

namespace {
// Hitches only: nothing goes over them.
Finish finishOf(FinishSchool school) {
    switch (school) {
        case FinishSchool::varnish: return Finish::varnish;
        case FinishSchool::resin: return Finish::resin;
        case FinishSchool::glue: return Finish::glue;
        case FinishSchool::wax: return Finish::wax;
        case FinishSchool::none:
        case FinishSchool::hitches: return Finish::none;
    }
    throw BrokenContract("unknown finish");
}
}  // namespace

Schools schoolsFor(const Pattern& pattern, const Book& book, const Schools& usual) {
    Schools schools = usual;
    const SchoolChoices none;
    SchoolChoices& held = schools.held;
    held = over(pattern.schools ? *pattern.schools : none, over(book.schools ? *book.schools : none, usual.held));
    schools.fibre = held.fibre.value_or(usual.fibre);
    schools.tieIn = held.tieIn.value_or(usual.tieIn);
    if (held.rib) schools.rib = *held.rib == RibSchool::counter ? Winding::counter : Winding::with;
    if (held.pitch) schools.pitch = *held.pitch == RibSpacing::angle ? RibPitch::angle : RibPitch::even;
    if (held.finish) schools.finish = finishOf(*held.finish);
    if (held.bodyEnd) schools.bodyEnd = held.bodyEnd;
    if (held.fullness) schools.fullness = held.fullness;
    return schools;
}

Result<Plan> planWhatCan(const Pattern& pattern, const Hook& hook, const Book& book, const Place& place, const Schools& schools) {
    try {
        return Planner(countedFor(pattern, hook, book), hook, book, place, schools).run();
    } catch (const BrokenContract&) {
        throw;                         // ours to mend, not the tier's
    } catch (const std::exception&) {  // of a solver or an allocation, at measures that no material has
        return fail(place, say("expected measures that a fly can be worked out from"),
                    say("look for a very large or very small number in this dressing, its hook or its materials"));
    }
}

namespace {

Result<Plan> soundOnly(Result<Plan> planned) {
    if (planned && !planned->faults.empty()) return tl::unexpected(std::move(planned->faults));
    return planned;
}

struct Found {
    const Pattern* pattern = nullptr;
    HookSpec spec;
    Place place;
};
Result<Found> findDressing(const Book& book, const DressingId& id) {
    const Pattern* pattern = book.findPattern(id);
    if (!pattern) return noSuch(Place("patterns"), "dressing", id);
    const Place place = Place("patterns").at(book.indexOfPattern(id));
    auto spec = hookOf(book, *pattern, place);
    if (!spec) return tl::unexpected(std::move(spec.error()));
    return Found{pattern, std::move(*spec), place};
}

Result<Plan> planOn(const Book& book, const Found& found, const Schools& schools = {}) {
    const auto hook = makeHook(found.spec, hookPlace(book, found.spec.id));
    if (!hook) return tl::unexpected(hook.error());
    return planWhatCan(*found.pattern, *hook, book, found.place, schools);
}

}  // namespace

Result<Plan> plan(const Pattern& pattern, const Hook& hook, const Book& book, const Place& place, const Schools& schools) {
    return soundOnly(planWhatCan(pattern, hook, book, place, schools));
}

Result<Plan> planWhatCan(const Book& book, const DressingId& patternId) {
    const auto found = findDressing(book, patternId);
    return found ? planOn(book, *found) : tl::unexpected(found.error());
}

Result<Plan> planPattern(const Book& book, const DressingId& patternId, const Schools& schools) {
    const auto found = findDressing(book, patternId);
    return found ? soundOnly(planOn(book, *found, schools)) : tl::unexpected(found.error());
}

Result<Plan> planOnSize(const Book& book, const DressingId& patternId, int size) {
    auto found = findDressing(book, patternId);
    if (!found) return tl::unexpected(found.error());
    if (found->spec.size != size) {
        found->spec.size = size;
        found->spec.measured.reset();
    }
    return planOn(book, *found);
}

Result<Plan> planFly(const Book& book, const Fly& fly, const Place& place) {
    if (!book.findPattern(fly.pattern)) return noSuch(place, "dressing", fly.pattern);
    auto found = findDressing(book, fly.pattern);
    if (!found) return tl::unexpected(found.error());
    if (fly.hook) {
        const HookSpec* spec = book.findHook(*fly.hook);
        if (!spec) return noSuch(place.key("hook"), "hook", *fly.hook);
        found->spec = *spec;
    }
    return planOn(book, *found);
}

Faults checkWithPlans(const Book& book) {
    Faults faults = check(book);
    for (const Pattern& pattern : book.patterns) {
        const auto planned = planPattern(book, pattern.id);
        if (planned) continue;
        for (const Fault& fault : planned.error())  // a broken reference is said once
            if (std::ranges::find(faults, fault.place, &Fault::place) == faults.end()) faults.push_back(fault);
    }
    return faults;
}

}  // namespace machair
