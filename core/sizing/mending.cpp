#include "sizing/mending.h"

#include <algorithm>
#include <cmath>
#include <functional>
#include <map>

#include "book/part_order.h"
#include "book/spec_words.h"
#include "language/say.h"
#include "sizing/compare.h"
#include "sizing/crossing.h"
#include "units/text.h"

namespace machair {

namespace {

constexpr double kWorthwhile = 0.1;  // of what is too much
constexpr int kMaterialCost = 2;
constexpr int kHookCost = 4;
constexpr Length kBodyStep = 0.1 * mm;
constexpr Length kFrontStep = 0.5 * mm;
constexpr double kBedAhead = 3.0;  // turns, ahead of the wing's tie-in
constexpr std::size_t kMoves = 2;

const Warning* find(const Plan& plan, Concern concern, std::optional<std::size_t> part) {
    const auto found = std::ranges::find_if(plan.warnings, [&](const Warning& w) { return w.concern == concern && w.part == part; });
    return found == plan.warnings.end() ? nullptr : &*found;
}

// Where the part stands that `after` has more; past the last where it has none.
std::size_t addedAt(const Plan& before, const Plan& after) {
    std::size_t i = 0;
    if (after.parts.size() <= before.parts.size()) return before.parts.size();
    while (i < before.parts.size() && after.parts[i].kind == before.parts[i].kind)
        ++i;
    return i;
}

// Collects the changes that help, the best of each way.
class Trials {
  public:
    Trials(const Book& book, const Plan& plan, const Warning& warning) : book_(book), plan_(plan), warning_(warning) {}

    [[nodiscard]] const Book& book() const { return book_; }
    [[nodiscard]] const Plan& plan() const { return plan_; }
    [[nodiscard]] const Warning& warning() const { return warning_; }

    void pattern(const std::string& way, int cost, std::string words, const std::function<void(Pattern&)>& change) {
        Edit edit{std::move(words), book_};
        change(*edit.after.findPattern(plan_.pattern.id));
        take(way, cost, std::move(edit));
    }
    // Nothing where the part is of another kind than the change is for.
    template <class Detail>
    void part(const std::string& way, std::size_t index, int cost, std::string words, const std::function<void(Detail&)>& change) {
        if (!std::holds_alternative<Detail>(plan_.pattern.parts[index].detail)) return;
        pattern(way, cost, std::move(words), [&](Pattern& p) { change(std::get<Detail>(p.parts[index].detail)); });
    }
    void take(const std::string& way, int cost, Result<Edit> edit) {
        if (!edit) return;
        const auto after = planPattern(edit->after, plan_.pattern.id);
        if (!after) return;
        Mend mend{std::move(*edit), cost, warning_.over, true, {}, {}};
        // A part that is added moves on those behind it: what was said of them is still said of them there.
        const std::size_t added = addedAt(plan_, *after);
        const auto moved = [&](std::optional<std::size_t> part) { return part && *part >= added ? std::optional(*part + 1) : part; };
        if (const Warning* still = find(*after, warning_.concern, moved(warning_.part))) {
            mend.cures = false;
            mend.buys = warning_.over - still->over;
        }
        if (!mend.cures && mend.buys < kWorthwhile * warning_.over) return;
        for (const Warning& w : after->warnings) {
            const auto known = [&](const Warning& before) { return before.concern == w.concern && moved(before.part) == w.part; };
            if (w.concern != warning_.concern && std::ranges::none_of(plan_.warnings, known)) mend.brings.push_back(w.what);
        }
        for (const Difference& d : differences(plan_, *after)) {
            if (mend.moves.size() == kMoves) break;
            mend.moves.push_back(d.words());
        }
        const auto found = best_.find(way);
        if (found == best_.end())
            best_.emplace(way, std::move(mend));
        else if (before(mend, found->second))
            found->second = std::move(mend);
    }
    [[nodiscard]] std::vector<Mend> best(std::size_t most) {
        std::vector<Mend> list;
        for (auto& [way, mend] : best_)
            list.push_back(std::move(mend));
        std::ranges::stable_sort(list, before);
        if (list.size() > most) list.erase(list.begin() + static_cast<std::ptrdiff_t>(most), list.end());
        return list;
    }

  private:
    // Whole and clean before half; of two that cure the cheaper, of two that don't what buys more for its cost.
    static bool before(const Mend& a, const Mend& b) {
        const auto rank = [](const Mend& m) { return (m.cures ? 0 : 2) + (m.brings.empty() ? 0 : 1); };
        if (rank(a) != rank(b)) return rank(a) < rank(b);
        if (!a.cures) return a.buys * b.cost > b.buys * a.cost;
        return a.cost != b.cost ? a.cost < b.cost : a.buys > b.buys;
    }

    const Book& book_;
    const Plan& plan_;
    const Warning& warning_;
    std::map<std::string, Mend> best_;
};

std::string turnsWords(double turns) { return formatShort(turns, 1) + (turns == 1.0 ? say(" turn") : say(" turns")); }

// A soft hackle is no stand-in for a stiff one, nor the other way.
bool standsIn(const Material& m, const Material& now) {
    const auto* other = std::get_if<HackleTraits>(&m.traits);
    const auto* own = std::get_if<HackleTraits>(&now.traits);
    const auto stiff = [](const HackleTraits& h) { return h.bird == Bird::cockCape || h.bird == Bird::cockSaddle; };
    return m.kind == now.kind && m.id != now.id && (!other || !own || stiff(*other) == stiff(*own));
}

void tryMaterials(Trials& trials, std::size_t part) {
    const Part& written = trials.plan().pattern.parts[part];
    if (!written.material) return;
    for (const Material& m : trials.book().materials)
        if (standsIn(m, trials.plan().parts[part].made))
            trials.take("material", kMaterialCost, changeMaterial(trials.book(), trials.plan().pattern.id, part, m.id));
}

void tryThreads(Trials& trials) {
    for (const Material& m : trials.book().materials)
        if (m.kind == MaterialKind::thread && laidThread(m).width < trials.plan().thread.width)
            trials.pattern("thread", kMaterialCost, say("thread {}", m.title()), [&](Pattern& p) { p.thread = m.id; });
}

void tryFewerTurns(Trials& trials, std::size_t part) {
    const std::string name = sayName(trials.plan().parts[part].kind);
    if (const auto* h = std::get_if<HacklePlan>(&trials.plan().parts[part].detail))
        for (double fewer = 0.5; h->turns - fewer >= 1.0 && fewer <= 4.0; fewer += 0.5)
            trials.part<CollarPart>("turns " + std::to_string(part), part, static_cast<int>(std::ceil(fewer)),
                                    say("{} of {}", name, turnsWords(h->turns - fewer)), [&](CollarPart& c) {
                                        c.turns = exactly(h->turns - fewer);
                                        c.until.reset();
                                        c.fullness.reset();
                                    });
    if (const auto* p = std::get_if<PalmerPlan>(&trials.plan().parts[part].detail))
        for (int fewer = 1; p->openTurns - fewer >= 1.0 && fewer <= 3; ++fewer)
            trials.part<PalmerPart>("turns " + std::to_string(part), part, fewer,
                                    say("{} of {} open", name, turnsWords(p->openTurns - fewer)),
                                    [&](PalmerPart& w) { w.openTurns = exactly(p->openTurns - fewer); });
}

void tryLengths(Trials& trials, std::size_t part, int direction) {
    const Part& written = trials.plan().pattern.parts[part];
    const auto* length = std::visit(
        [](const auto& detail) -> const LengthSpec* {
            if constexpr (requires {
                              { detail.length } -> std::convertible_to<LengthSpec>;
                          })
                return &detail.length;
            else
                return nullptr;
        },
        written.detail);
    if (!length) return;
    constexpr int kFarthest = 8;  // 40 %
    for (int steps = 1; steps <= kFarthest; ++steps)
        if (const auto changed = lengthened(*length, direction * steps))
            trials.take("length " + std::to_string(part), steps,
                        changeField(trials.book(), trials.plan().pattern.id, part, "length", writeSpec(*changed)));
}

void tryThickerBody(Trials& trials, std::size_t part) {
    const auto* body = std::get_if<BodyPlan>(&trials.plan().parts[part].detail);
    if (!body) return;
    for (int steps = 1; steps <= 8; ++steps) {
        const Length rear = body->rearDiameter + static_cast<double>(steps) * kBodyStep;
        const Length front = std::max(body->frontDiameter, rear);
        trials.part<BodyPart>("thicker", part, steps, say("body from {} thick at the rear", formatLength(rear)), [&](BodyPart& b) {
            b.rearDiameter.reset();
            b.frontDiameter.reset();
            b.rear = rear;
            b.foremost = front;
        });
    }
}

void tryFewerTailFibres(Trials& trials) {
    const auto tail = findKind(trials.plan().pattern, PartKind::tail);
    const auto* sized = tail ? std::get_if<TailPlan>(&trials.plan().parts[*tail].detail) : nullptr;
    if (!sized || sized->style == TailStyle::slip || sized->style == TailStyle::cloak) return;
    for (int fewer = 2; sized->fibres - fewer >= 2.0 && fewer <= 8; fewer += 2)
        trials.part<TailPart>("fibres", *tail, fewer / 2, say("tail of {} fibres", formatShort(sized->fibres - fewer, 0)),
                              [&](TailPart& t) { t.fibres = exactly(sized->fibres - fewer); });
}

// The foremost body section ends sooner, so that the front has more room.
void tryFrontBack(Trials& trials) {
    const Plan& plan = trials.plan();
    for (std::size_t i = plan.parts.size(); i-- > 0;) {
        const auto* body = std::get_if<BodyPlan>(&plan.parts[i].detail);
        if (!body || body->front > plan.foremostBody + 0.001 * mm) continue;
        for (int steps = 1; steps <= 4; ++steps) {
            const Length front = body->front + static_cast<double>(steps) * kFrontStep;
            trials.part<BodyPart>("front", i, steps, say("body front back to {} behind the eye", formatLength(front)), [&](BodyPart& b) {
                StationSpec station;
                station.behind = ratioOf(front / plan.hook.shank(), Yardstick::shank);
                b.front = station;
            });
        }
        return;
    }
}

void tryFrontForward(Trials& trials) {
    const Plan& plan = trials.plan();
    const auto body = std::ranges::find_if(
        plan.parts, [](const PartPlan& p) { return p.kind == PartKind::body && std::holds_alternative<BodyPlan>(p.detail); });
    if (body == plan.parts.end()) return;
    for (int steps = 1; steps <= 8; ++steps) {
        const Length front = std::get<BodyPlan>(body->detail).front - static_cast<double>(steps) * kFrontStep;
        if (front <= 0.0 * mm) return;
        trials.part<BodyPart>("front", static_cast<std::size_t>(body - plan.parts.begin()), steps,
                              say("body front forward to {} behind the eye", formatLength(front)), [&](BodyPart& b) {
                                  StationSpec station;
                                  station.behind = ratioOf(front / plan.hook.shank(), Yardstick::shank);
                                  b.front = station;
                              });
    }
}

void trySlimmerShoulder(Trials& trials) {
    const Plan& plan = trials.plan();
    for (std::size_t i = 0; i < plan.parts.size(); ++i) {
        const auto* body = std::get_if<BodyPlan>(&plan.parts[i].detail);
        if (!body || body->front > plan.foremostBody + 0.001 * mm) continue;
        for (int steps = 1; steps <= 20; ++steps) {
            const Length front = body->frontDiameter - static_cast<double>(steps) * kBodyStep;
            if (front < body->rearDiameter) break;
            trials.part<BodyPart>("shoulder", i, steps, say("shoulder of {}", formatLength(front)), [&](BodyPart& b) {
                b.frontDiameter.reset();
                b.foremost = front;
            });
        }
    }
}

// Thread wound under the wing's place before it is tied in: levels its bed with what lies behind.
void tryBedUnderWing(Trials& trials, std::size_t wing) {
    const auto* sized = std::get_if<WingPlan>(&trials.plan().parts[wing].detail);
    if (!sized || sized->rampLayers < 1) return;
    const Length shank = trials.plan().hook.shank();
    const auto at = [&](Length station) {
        StationSpec spec;
        spec.behind = ratioOf(station / shank, Yardstick::shank);
        return spec;
    };
    const Length front = trials.plan().foremostBody;
    const Length fore = std::max(0.0 * mm, trials.plan().parts[wing].station - kBedAhead * trials.plan().thread.width);
    Part bed;
    bed.kind = PartKind::underbody;
    bed.detail = UnderbodyPart{sized->rampLayers, at(front), at(fore), {}, {}};
    Edit edit{say("{} turns of ramp under the wing", std::to_string(sized->rampTurns)), trials.book()};
    const Pattern& pattern = trials.plan().pattern;
    rearrange(edit.after, pattern.id, orderWithNewAt(pattern, wing), bed);
    trials.take("bed", 1, std::move(edit));
}

void tryHook(Trials& trials, int larger) {
    const int size = trials.plan().hook.spec().size - 2 * larger;
    trials.take("hook", kHookCost, resizeHook(trials.book(), trials.plan().pattern.id, {size, std::nullopt}));
}

void tryWing(Trials& trials, std::size_t part) {
    const auto* sized = std::get_if<WingPlan>(&trials.plan().parts[part].detail);
    if (!sized) return;
    for (int fewer = 1; sized->layers - fewer >= 1 && sized->style == WingStyle::rolled; ++fewer)
        trials.part<WingPart>("layers", part, fewer, say("wing of {} layers", std::to_string(sized->layers - fewer)), [&](WingPart& w) {
            w.layers = sized->layers - fewer;
            w.folds.reset();
        });
    for (int steps = 1; steps <= 8; ++steps) {
        const Length depth = (1.0 - kLengthStep * steps) * sized->depth;
        trials.part<WingPart>("depth", part, steps, say("wing {} deep", formatLength(depth)), [&](WingPart& w) {
            w.depth = ratioOf(depth / trials.plan().hook.gape(), Yardstick::gape);
            if (w.width) w.width = w.depth;
        });
    }
}

void tryStrands(Trials& trials, std::size_t part) {
    const auto* body = std::get_if<BodyPlan>(&trials.plan().parts[part].detail);
    if (!body || !body->strands) return;
    for (int more = 1; more <= 4; ++more)
        trials.part<BodyPart>("strands", part, more, say("body of {} strands together", formatShort(*body->strands + more, 0)),
                              [&](BodyPart& b) { b.strands = exactly(*body->strands + more); });
    trials.part<BodyPart>("held", part, 1, say("strands held with pliers"), [](BodyPart& b) { b.held = Grip::pliers; });
}

// Stops in mm as shares of this shank, so that they move with the hook.
void tryRatios(Trials& trials, std::size_t part) {
    const Length shank = trials.plan().hook.shank();
    const auto asShares = [&](auto& stopped) {
        for (auto* station : {&stopped.end, &stopped.front})
            for (const auto offset : {&StationSpec::ahead, &StationSpec::behind})
                if (*station && ((**station).*offset)) {
                    auto& spec = *((**station).*offset);
                    if (const Length* fixed = std::get_if<Length>(&spec.value)) spec = ratioOf(*fixed / shank, Yardstick::shank);
                }
    };
    const std::string words = say("its stops as shares of the shank");
    trials.part<BodyPart>("ratio", part, 1, words, [&](BodyPart& body) { asShares(body); });
    trials.part<UnderbodyPart>("ratio", part, 1, words, [&](UnderbodyPart& under) { asShares(under); });
}

void tryWindings(Trials& trials, std::size_t part) {
    const auto against = [](Winding w) { return w == Winding::with ? Winding::counter : Winding::with; };
    const Pattern& pattern = trials.plan().pattern;
    if (const auto rib = findKind(pattern, PartKind::rib)) {
        const Winding now = std::get<RibPart>(pattern.parts[*rib].detail).direction.value_or(trials.plan().schools.rib);
        trials.part<RibPart>("rib", *rib, 1, say("rib wound the other way"), [&](RibPart& r) { r.direction = against(now); });
    }
    if (!std::holds_alternative<BodyPart>(pattern.parts[part].detail)) return;
    const Winding now = senseOf(trials.plan(), part) > 0 ? Winding::with : Winding::counter;
    trials.part<BodyPart>("body", part, 1, say("body wound against the rib"), [&](BodyPart& b) { b.direction = against(now); });
}

void tryPairs(Trials& trials, std::size_t part) {
    for (const int by : {1, -1}) {
        const auto change = [&](auto& detail, double now) { detail.count = exactly(std::round(now) + by); };
        const auto* pieces = std::get_if<PiecePlan>(&trials.plan().parts[part].detail);
        const auto* wing = std::get_if<WingPlan>(&trials.plan().parts[part].detail);
        const double now = pieces ? pieces->count : wing && wing->count ? *wing->count : 0.0;
        if (now + by < 1.0) continue;
        const std::string words = say("{} of them", formatShort(std::round(now) + by, 0));
        if (wing) trials.part<WingPart>(by > 0 ? "more" : "fewer", part, 1, words, [&](WingPart& w) { change(w, now); });
        if (pieces) trials.part<CheekPart>(by > 0 ? "more" : "fewer", part, 1, words, [&](CheekPart& c) { change(c, now); });
    }
}

void tryBall(Trials& trials, std::size_t part) {
    const auto* body = std::get_if<BodyPlan>(&trials.plan().parts[part].detail);
    if (!body) return;
    const Length wanted = std::max(body->rearDiameter, body->frontDiameter) + trials.warning().over * mm;
    trials.part<BodyPart>("thicker", part, std::max(1, static_cast<int>(std::lround(trials.warning().over * mm / kBodyStep))),
                          say("ball of {}", formatLength(wanted)), [&](BodyPart& b) {
                              b.frontDiameter.reset();
                              b.foremost = wanted;
                          });
    if (const auto bead = findKind(trials.plan().pattern, PartKind::bead)) tryMaterials(trials, *bead);
}

void tryThinnerNoodle(Trials& trials, std::size_t part) {
    const auto* body = std::get_if<BodyPlan>(&trials.plan().parts[part].detail);
    constexpr Length kThinnest = 0.05 * mm;
    if (!body || body->noodleDiameter - trials.warning().over * mm < kThinnest) return;
    const Length thin = std::floor((body->noodleDiameter / mm - trials.warning().over) * 100.0) / 100.0 * mm;
    trials.part<BodyPart>("noodle", part, std::max(1, static_cast<int>(std::ceil((body->noodleDiameter - thin) / kBodyStep))),
                          say("noodle of {}", formatLength(thin, LengthUnit::millimetres, 2)),
                          [&](BodyPart& b) { b.noodleDiameter = thin; });
}

void tryShortening(Trials& trials) {
    for (std::size_t i = 0; i < trials.plan().parts.size(); ++i)
        tryLengths(trials, i, -1);
    tryHook(trials, -1);
}

}  // namespace

std::string Mend::words(const Warning& warning) const {
    std::string text = edit.words + ": ";
    const std::string bought = formatShort(buys, 2) + (warning.unit.empty() ? "" : (warning.unit == "°" ? "" : " ") + warning.unit);
    text += cures ? say("cures it") : say("takes off {} of {}", bought, formatShort(warning.over, 2));
    for (std::size_t i = 0; i < moves.size(); ++i)
        text += (i == 0 ? "; " : ", ") + moves[i];
    for (const std::string& trouble : brings)
        text += say("; but {}", trouble);
    return text;
}

std::vector<Mend> mendsOf(const Book& book, const Plan& plan, const Warning& warning, std::size_t most) {
    Trials trials(book, plan, warning);
    const std::size_t part = warning.part.value_or(0);
    switch (warning.concern) {
        case Concern::taper:
            tryFewerTailFibres(trials);
            tryThreads(trials);
            tryThickerBody(trials, part);
            break;
        case Concern::ball: tryBall(trials, part); break;
        case Concern::noodle:
            tryThinnerNoodle(trials, part);
            tryThickerBody(trials, part);
            break;
        case Concern::strandsShort:
            tryStrands(trials, part);
            tryMaterials(trials, part);
            break;
        case Concern::softness:
        case Concern::stemShort:
            tryFewerTurns(trials, part);
            tryMaterials(trials, part);
            break;
        case Concern::fibreTooLong:
        case Concern::fibreTooShort:
            tryLengths(trials, part, warning.concern == Concern::fibreTooLong ? -1 : 1);
            tryMaterials(trials, part);
            break;
        case Concern::vaneNarrow:
            tryWing(trials, part);
            tryMaterials(trials, part);
            break;
        case Concern::barbShort:
            tryLengths(trials, part, -1);
            tryMaterials(trials, part);
            break;
        case Concern::wingLift:
            tryBedUnderWing(trials, part);
            trySlimmerShoulder(trials);
            tryFrontBack(trials);
            for (std::size_t i = 0; i < part; ++i)
                tryFewerTurns(trials, i);
            break;
        case Concern::fixedStop: tryRatios(trials, part); break;
        case Concern::shortBody: tryFrontForward(trials); break;
        case Concern::proportion: tryLengths(trials, part, -1); break;
        case Concern::ribWithPalmer: tryWindings(trials, part); break;
        case Concern::headThick:
            tryThreads(trials);
            tryFewerTailFibres(trials);
            break;
        case Concern::bars:
        case Concern::beadSize:
        case Concern::beadHole:
        case Concern::beadEye: tryMaterials(trials, part); break;
        case Concern::contradiction:
        case Concern::label:
        case Concern::coats: break;  // the remedy's words say it
        case Concern::oddPair: tryPairs(trials, part); break;
        case Concern::brittleBody: tryWindings(trials, part); break;
        case Concern::tooLong: tryShortening(trials); break;
        case Concern::crowdedHead:
            tryThreads(trials);
            for (std::size_t i = 0; i < plan.parts.size(); ++i)
                tryFewerTurns(trials, i);
            tryFrontBack(trials);
            break;
    }
    return trials.best(most);
}

}  // namespace machair
