#include "sizing/plan.h"

#include <algorithm>
#include <cmath>
#include <ranges>

#include "sizing/bench.h"
#include "sizing/figures.h"
#include "sizing/head.h"
#include "sizing/resolver.h"
#include "units/text.h"

namespace machair {

namespace {

// What a part is made of when nothing is written.
Material usualMaterial(PartKind kind, const Material& thread) {
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
        case PartKind::head: return thread;
    }
    m.traits = traitsFor(m.kind);
    return m;
}

class Planner {
  public:
    Planner(const Pattern& pattern, const Hook& hook, const Book& book, const Place& place, const Schools& schools)
        : pattern_(pattern), hook_(hook), book_(book), place_(place), schools_(schoolsFor(pattern, book, schools)) {}

    Result<Plan> run() {
        const Material* thread = book_.findMaterial(pattern_.thread);
        if (!thread || thread->kind != MaterialKind::thread)
            return noSuch(place_.key("thread"), "thread", pattern_.thread);
        threadMaterial_ = *thread;
        thread_ = laidThread(*thread);
        // The body's front waits for the room that the head wants, and that room for the turns of hackles standing at
        // the front. Turns are rounded, so this settles in two or three rounds.
        constexpr int kMostRounds = 8;
        Resolver::Room room{0.0 * mm, 0.0 * mm};
        for (int round = 0;; ++round) {
            auto planned = once(room);
            if (!planned) return planned;
            const Resolver::Room wanted{roomNeeded(*planned, thread_), bindingRoom(*planned, thread_)};
            constexpr Length kSettled = 1e-9 * mm;
            if (planned->foremostBody + kSettled >= room.atEye && abs(wanted.atEye - room.atEye) < kSettled) return planned;
            if (round == kMostRounds) return planned;  // turns that flicker between two halves: either is right
            room = wanted;
        }
    }

  private:
    Result<Plan> once(const Resolver::Room& room) {
        Plan plan(pattern_, hook_);
        plan.schools = schools_;
        plan.thread = thread_;
        plan.threadMaterial = threadMaterial_;
        Resolver resolver(pattern_, hook_, book_, place_, schools_, room);
        plan.bodyEnd = resolver.bodyEnd();
        plan.foremostBody = resolver.foremostBody();
        plan.bodyFront = resolver.bodyFront();
        Bench bench{pattern_, hook_, book_, resolver, plan, thread_, false, resolver.foremostBody()};
        if (plan.bodyEnd <= plan.bodyFront && resolver.faults().empty())
            resolver.fault(bodyPlace("end"),
                           "expected a body end behind its front, got the end at " + formatShort(plan.bodyEnd / mm, 2) +
                               " mm and the front at " + formatShort(plan.bodyFront / mm, 2) + " mm from the eye",
                           "end it further back or start it further forward");
        if (!resolver.faults().empty()) return tl::unexpected(resolver.faults());

        const Length eyeBead = resolver.beadAtEye();
        bench.bindThread(-1, eyeBead + thread_.width, plan.bodyEnd, 1.0);
        for (std::size_t i = 0; i < pattern_.parts.size(); ++i) sizePart(bench, i);
        for (std::size_t i = 0; i < pattern_.parts.size(); ++i)
            if (auto* rib = std::get_if<RibPlan>(&plan.parts[i].detail))
                windRib(bench, *rib, i, std::get<RibPart>(pattern_.parts[i].detail));
        plan.head = budgetHead(bench);
        plan.threadUsed = threadUsed(plan, thread_);
        for (PartPlan& part : plan.parts)
            if (auto* head = std::get_if<HeadPlan>(&part.detail)) head->thread = plan.threadUsed;
        finish(bench);
        if (!resolver.faults().empty()) return tl::unexpected(resolver.faults());
        describeParts(plan);
        return plan;
    }

    [[nodiscard]] Place bodyPlace(const char* key) const {
        const auto body = findKind(pattern_, PartKind::body);
        return body ? place_.key("parts").at(*body).key(key) : place_;
    }

    void sizePart(Bench& bench, std::size_t i) {
        const Part& written = pattern_.parts[i];
        PartPlan part;
        part.kind = written.kind;
        part.place = bench.resolver.partPlace(i);
        part.material = written.material;
        if (!part.material && written.from)
            if (const auto source = find(pattern_, *written.from)) part.material = pattern_.parts[*source].material;
        part.made = usualMaterial(written.kind, threadMaterial_);
        if (part.material) {
            if (const Material* found = book_.findMaterial(*part.material))
                part.made = *found;
            else
                bench.resolver.fault(part.place.key("material"), "expected the id of a material, got \"" + *part.material + "\"");
        }
        if ((written.kind == PartKind::palmer || written.kind == PartKind::collar || written.kind == PartKind::throat) &&
            part.made.kind != MaterialKind::hackle) {
            bench.resolver.fault(part.place.key("material"),
                                 "expected a hackle, got a " + std::string(nameOf(part.made.kind)));
            part.made = usualMaterial(PartKind::collar, threadMaterial_);
        }
        placeAtFront(bench, i);
        part.station = bench.resolver.tieIn(i);

        struct Size {
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
                const bool wingFollows = std::any_of(bench.pattern.parts.begin() + static_cast<std::ptrdiff_t>(i),
                                                     bench.pattern.parts.end(),
                                                     [](const Part& q) { return q.kind == PartKind::wing; });
                h.behindWing = wingFollows && !bench.wingTied;
                if (!h.behindWing) bench.hackleFront = std::min(bench.hackleFront, part.station - kHackleSpread * h.width);
                part.detail = h;
            }
            void operator()(const WingPart& p) {
                WingPlan wing = sizeWing(bench, i, p, part.made);
                bench.hackleFront = std::min(bench.hackleFront, part.station);
                part.detail = wing;
            }
            void operator()(const LegsPart& p) {
                part.detail = PiecePlan{bench.resolver.lengthOf(i), p.count ? p.count->wholeMiddle() : 2.0};
            }
            void operator()(const CheekPart& p) {
                part.detail = PiecePlan{bench.resolver.lengthOf(i), p.count ? p.count->wholeMiddle() : 2.0};
            }
            void operator()(const BeadPart&) {
                const Length d = bench.resolver.beadDiameter().value_or(0.0 * mm);
                part.detail = BeadPlan{d, d};
                if (i == 0) {
                    part.station = 0.0 * mm;
                } else {  // pushed back on what is before it: the rest stands ahead
                    bench.hackleFront = std::max(0.0 * mm, bench.hackleFront - d);
                    part.station = bench.hackleFront;
                }
            }
            void operator()(const ThreadPart&) {
                if (part.made.kind == MaterialKind::thread) bench.thread = laidThread(part.made);
                part.detail = ThreadPlan{};
            }
            void operator()(const HeadPart& p) { part.detail = sizeHead(bench, p); }
        };
        std::visit(Size{bench, i, part}, written.detail);
        bench.plan.parts.push_back(std::move(part));
    }

    // Stations of what is tied in ahead of the body, in tying order (plan.h says where they stand).
    void placeAtFront(Bench& bench, std::size_t i) {
        const Part& written = pattern_.parts[i];
        if (written.station) return;
        const Length front = bench.resolver.foremostBody();
        const bool isWing = written.kind == PartKind::wing || written.kind == PartKind::cheek || written.kind == PartKind::legs;
        const bool isCollar = written.kind == PartKind::collar || written.kind == PartKind::throat;
        if (isWing) bench.resolver.placeFrontPart(i, std::max(0.0 * mm, front - kWingGapTurns * bench.thread.width));
        if (!isCollar) return;
        const PartPlan* before = hackleWoundThrough(bench, written);
        bench.resolver.placeFrontPart(i, before ? before->station : std::max(0.0 * mm, bench.hackleFront));
    }

    // The collar that `written` is wound through, its turns sunk between that one's: the one before it, unless a wing
    // stands between. Null when it has a place of its own.
    static const PartPlan* hackleWoundThrough(const Bench& bench, const Part& written) {
        const auto* collar = std::get_if<CollarPart>(&written.detail);
        if (!collar || !collar->through.value_or(false)) return nullptr;
        for (const PartPlan& part : bench.plan.parts | std::views::reverse) {
            if (std::holds_alternative<WingPlan>(part.detail)) return nullptr;
            if (std::holds_alternative<HacklePlan>(part.detail)) return &part;
        }
        return nullptr;
    }

    void finish(Bench& bench) {
        Plan& plan = bench.plan;
        Length rear = hook_.overall() - hook_.eyeWidth();
        std::string furthest = "the hook itself is that long: take a smaller one";
        for (std::size_t i = 0; i < plan.parts.size(); ++i) {
            const WirePoint root = hook_.at(plan.parts[i].station);
            Length reach;
            if (const auto* tail = std::get_if<TailPlan>(&plan.parts[i].detail)) {
                reach = tail->length * cos(root.heading);
                if (!plan.tailTip) plan.tailTip = root.position.x + reach;
            } else if (const auto* wing = std::get_if<WingPlan>(&plan.parts[i].detail))
                reach = wing->length;
            if (root.position.x + reach > rear) {
                rear = root.position.x + reach;
                furthest = "shorten the " + std::string(nameOf(plan.parts[i].kind));
            }
        }
        plan.length = hook_.eyeWidth() + rear;
        warnOfFixedStops(bench);
        warnOfBrittleBody(bench);
        warnOfOddPairs(bench);
        if (pattern_.maxLength && plan.length > *pattern_.maxLength)
            plan.warnings.push_back({{place_.key("max_length_mm"),
                                     "this fly is " + formatLength(plan.length) + " long, " +
                                         formatLength(plan.length - *pattern_.maxLength) + " over its limit",
                                     furthest + " by " + formatLength(plan.length - *pattern_.maxLength)},
                                    Concern::tooLong, {}, (plan.length - *pattern_.maxLength) / mm, "mm"});
        if (plan.head.margin() < 0.0 * mm)
            plan.warnings.push_back({{place_, "the head is crowded by " + formatLength(-plan.head.margin(), LengthUnit::millimetres, 2),
                                     plan.head.remedies.empty() ? "" : plan.head.remedies.front().words},
                                    Concern::crowdedHead, {}, -plan.head.margin() / mm, "mm"});
        collectNeeds(plan);
    }

    void warnOfFixedStops(Bench& bench) const {
        constexpr double kShareOfShank = 0.40;
        for (std::size_t i = 0; i < pattern_.parts.size(); ++i) {
            const auto* body = std::get_if<BodyPart>(&pattern_.parts[i].detail);
            if (!body) continue;
            for (const auto& [spec, key] : {std::pair{&body->end, "end"}, std::pair{&body->front, "front"}}) {
                if (!*spec) continue;
                for (const auto* offset : {&(*spec)->ahead, &(*spec)->behind}) {
                    const Length* fixed = *offset ? std::get_if<Length>(&(*offset)->value) : nullptr;
                    if (fixed && *fixed > kShareOfShank * hook_.shank())
                        bench.warn(i, key, Concern::fixedStop, {1.0, ""}, "a fixed stop of " + formatLength(*fixed) + " is over two fifths of this shank",
                                   "a ratio of the shank moves with the hook");
                }
            }
        }
    }

    static void warnOfOddPairs(Bench& bench) {
        const auto odd = [](double n) { return std::fmod(std::round(n), 2.0) != 0.0; };
        for (std::size_t i = 0; i < bench.plan.parts.size(); ++i) {
            const PartPlan& part = bench.plan.parts[i];
            const auto* pieces = std::get_if<PiecePlan>(&part.detail);
            const auto* wing = std::get_if<WingPlan>(&part.detail);
            const bool tips = wing && wing->style == WingStyle::tips && wing->count && odd(*wing->count);
            if (tips || (pieces && part.kind == PartKind::cheek && odd(pieces->count)))
                bench.warn(i, "count", Concern::oddPair, {1.0, ""}, "an odd number where a pair is meant", "one more, or one less, so that left and right match");
        }
    }

    // A brittle body is locked by a rib that crosses it, not by one that lies in its turns.
    void warnOfBrittleBody(Bench& bench) const {
        const auto rib = findKind(pattern_, PartKind::rib);
        if (!rib) return;
        const Winding ribbed = std::get<RibPart>(pattern_.parts[*rib].detail).direction.value_or(schools_.rib);
        for (std::size_t i = 0; i < bench.plan.parts.size(); ++i) {
            const auto* body = std::get_if<BodyPlan>(&bench.plan.parts[i].detail);
            if (!body || (body->method != BodyMethod::herl && body->method != BodyMethod::fibres)) continue;
            const Winding wound = std::get<BodyPart>(pattern_.parts[i].detail).direction.value_or(Winding::with);
            if (wound == ribbed)
                bench.warn(i, "direction", Concern::brittleBody, {1.0, ""}, "a brittle body with the rib wound the same way is not locked by it",
                           "wind one of the two against the other");
        }
    }

    static void collectNeeds(Plan& plan) {
        for (std::size_t i = 0; i < plan.parts.size(); ++i) {
            const PartPlan& part = plan.parts[i];
            if (!part.material) continue;
            Need need{*part.material, {}, {}, {}, {}, {}};
            if (const auto* tail = std::get_if<TailPlan>(&part.detail)) {
                need.length = tail->fibreNeeded;
                need.fibres = tail->fibres;
            } else if (const auto* rib = std::get_if<RibPlan>(&part.detail))
                need.length = rib->cut;
            else if (const auto* tag = std::get_if<TagPlan>(&part.detail))
                need.length = tag->length;
            else if (const auto* body = std::get_if<BodyPlan>(&part.detail)) {
                if (body->noodle) need.mass = body->mass;
                if (body->length) need.length = body->length;
                if (body->strands) need.fibres = body->strands;
            } else if (const auto* palmer = std::get_if<PalmerPlan>(&part.detail))
                need.stem = palmer->hackle.stem;
            else if (const auto* hackle = std::get_if<HacklePlan>(&part.detail))
                need.stem = hackle->stem;
            else if (const auto* wing = std::get_if<WingPlan>(&part.detail)) {
                if (wing->slip > 0.0 * mm) need.slip = wing->slip;
                need.length = wing->length;
            } else if (const auto* piece = std::get_if<PiecePlan>(&part.detail)) {
                need.length = piece->length;
                need.fibres = piece->count;
            }
            addNeed(plan.needs, need, plan.pattern.parts[i].from.has_value());
        }
    }

    // One feather for several parts is counted together: lengths take the longest, amounts add up. Where a part goes on
    // with another's strands (`from`) they are the same strands, long enough for both.
    static void addNeed(std::vector<Need>& needs, const Need& more, bool continued) {
        const auto same = std::ranges::find(needs, more.material, &Need::material);
        if (same == needs.end()) {
            needs.push_back(more);
            return;
        }
        const auto add = [](auto& to, const auto& from) {
            if (from) to = to ? *to + *from : *from;
        };
        if (continued) {
            add(same->length, more.length);
            add(same->mass, more.mass);
            return;
        }
        if (more.length) same->length = same->length ? std::max(*same->length, *more.length) : *more.length;
        add(same->fibres, more.fibres);
        add(same->slip, more.slip);
        add(same->stem, more.stem);
        add(same->mass, more.mass);
    }

    const Pattern& pattern_;
    const Hook& hook_;
    const Book& book_;
    Place place_;
    Schools schools_;
    LaidThread thread_;
    Material threadMaterial_;
};

}  // namespace

void Bench::bindThread(int index, Length from, Length to, double layers) {
    if (to > from) plan.bulk.add({index, from, to, ThreadLayers{layers, thread.thickness, thread.width}});
}

void Bench::bindBundle(int index, Length from, Length to, double count, Length diameter) {
    if (to > from && count > 0.0) plan.bulk.add({index, from, to, BoundBundle{count, diameter}});
}

void Bench::warn(std::size_t index, const char* key, Concern concern, Excess excess, std::string what, std::string remedy) {
    plan.warnings.push_back({{resolver.partPlace(index).key(key), std::move(what), std::move(remedy)}, concern, index, excess.over, excess.unit});
}

const BodyPlan* Plan::bodyAt(Length station) const {
    const BodyPlan* found = nullptr;  // where bodies overlap, the later one lies outside
    for (const PartPlan& part : parts)
        if (const auto* body = std::get_if<BodyPlan>(&part.detail))
            if (body->front <= station && station <= body->end) found = body;
    return found;
}

Length Plan::bodyDiameter(const BodyPlan& body, Length s) const {
    if (body.overUnderbody) return bulk.diameter(s, body.rowsUnder) + 2.0 * body.noodleDiameter;
    if (body.exponent == 0.0) return body.frontDiameter;
    const double t = std::clamp((body.end - s) / (body.end - body.front), 0.0, 1.0);
    return body.rearDiameter + (body.frontDiameter - body.rearDiameter) * std::pow(t, body.exponent);
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

Schools schoolsFor(const Pattern& pattern, const Book& book, const Schools& usual) {
    Schools schools = usual;
    for (const auto* choices : {&book.schools, &pattern.schools}) {  // the dressing's own last
        if (!*choices) continue;
        const SchoolChoices& c = **choices;
        schools = {c.fibre.value_or(schools.fibre), c.tieIn.value_or(schools.tieIn), c.rib.value_or(schools.rib),
                   c.pitch.value_or(schools.pitch), c.finish.value_or(schools.finish),
                   c.bodyEnd ? c.bodyEnd : schools.bodyEnd, c.fullness ? c.fullness : schools.fullness};
    }
    return schools;
}

Result<Plan> plan(const Pattern& pattern, const Hook& hook, const Book& book, const Place& place, const Schools& schools) {
    try {
        return Planner(pattern, hook, book, place, schools).run();
    } catch (const BrokenContract&) {
        throw;  // ours to mend, not the tier's
    } catch (const std::exception&) {  // of a solver or an allocation, at measures that no material has
        return fail(place, "expected measures that a fly can be worked out from", "look for a very large or very small number in this dressing, its hook or its materials");
    }
}

Result<Plan> planPattern(const Book& book, std::string_view patternId, const Schools& schools) {
    const Pattern* pattern = book.findPattern(patternId);
    if (!pattern)
        return noSuch(Place("patterns"), "dressing", patternId);
    const Place place = Place("patterns").at(book.indexOfPattern(patternId));
    const HookSpec* spec = book.findHook(pattern->hook);
    if (!spec) return noSuch(place.key("hook"), "hook", pattern->hook);
    const auto hook = makeHook(*spec, Place("hooks").at(static_cast<std::size_t>(spec - book.hooks.data())));
    if (!hook) return tl::unexpected(hook.error());
    return plan(*pattern, *hook, book, place, schools);
}

Result<Plan> planBatch(const Book& book, const Batch& batch) {
    if (!batch.hook) return planPattern(book, batch.pattern);
    const Pattern* pattern = book.findPattern(batch.pattern);
    if (!pattern) return noSuch(Place("patterns"), "dressing", batch.pattern);
    const HookSpec* spec = book.findHook(*batch.hook);
    if (!spec) return noSuch(Place("batches").key("hook"), "hook", *batch.hook);
    const auto hook = makeHook(*spec, Place("hooks").at(static_cast<std::size_t>(spec - book.hooks.data())));
    if (!hook) return tl::unexpected(hook.error());
    return plan(*pattern, *hook, book, Place("patterns").at(book.indexOfPattern(batch.pattern)));
}

Faults checkWithPlans(const Book& book) {
    Faults faults = check(book);
    if (!faults.empty()) return faults;  // plans over broken references would only repeat them
    for (const Pattern& pattern : book.patterns)
        if (const auto planned = planPattern(book, pattern.id); !planned) append(faults, planned.error());
    return faults;
}

}  // namespace machair
