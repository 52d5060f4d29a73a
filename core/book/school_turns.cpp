#include "book/school_turns.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <type_traits>

#include "book/fitting.h"
#include "book/part_material.h"
#include "book/part_order.h"
#include "book/schools.h"
#include "colour/colour.h"

namespace machair {

namespace {

constexpr double kPastThePoint = 0.10;  // of the gape
constexpr int kThreeLayers = 3, kFourLayers = 4, kHeavyLayers = 6;
constexpr double kRaised = 70.0, kCoverLength = 0.35;

LengthSpec reachOf(ReachSchool school) {
    switch (school) {
        case ReachSchool::barb: return reachTo(Landmark::barb);
        case ReachSchool::point: return reachTo(Landmark::point);
        case ReachSchool::bend: return reachTo(Landmark::bend);
        case ReachSchool::pastPoint:
            return {Reach{AnyLandmark(Landmark::point), {}, Held<LengthSpec>(ratioOf(kPastThePoint, Yardstick::gape)), {}}, {}};
        case ReachSchool::upright: return ratioOf(1.0, Yardstick::gape);
    }
    throw BrokenContract("unknown reach");
}
LengthSpec toTheTail(double share) { return {Reach{PartRef{PartKind::tail}, share, {}, {}}, {}}; }
LengthSpec reachOf(WingReach school) {
    switch (school) {
        case WingReach::bend: return reachTo(Landmark::bend);
        case WingReach::tail: return toTheTail(1.0);
        case WingReach::midTail: return toTheTail(0.5);
        case WingReach::twoThirds: return toTheTail(2.0 / 3.0);
    }
    throw BrokenContract("unknown reach");
}
// Nothing for taste.
std::optional<LengthSpec> lengthOf(TailSchool school) {
    constexpr int kTwoBars = 2;
    switch (school) {
        case TailSchool::shank: return ratioOf(1.0, Yardstick::shank);
        case TailSchool::body: return ratioOf(1.0, Yardstick::body);
        case TailSchool::twice: return ratioOf(2.0, Yardstick::body);
        case TailSchool::spear: return ratioOf(1.0, Yardstick::spear);
        case TailSchool::bars: return LengthSpec{Bars{kTwoBars}, {}};
        case TailSchool::taste: return std::nullopt;
    }
    throw BrokenContract("unknown tail");
}

// By what it is measured against, whatever the share.
TailSchool tailSchoolOf(const LengthSpec& length) {
    if (length == lengthOf(TailSchool::twice)) return TailSchool::twice;
    if (std::holds_alternative<Bars>(length.value)) return TailSchool::bars;
    if (const auto* ratio = std::get_if<Ratio>(&length.value)) {
        if (ratio->of == decltype(ratio->of){Yardstick::shank}) return TailSchool::shank;
        if (ratio->of == decltype(ratio->of){Yardstick::body}) return TailSchool::body;
        if (ratio->of == decltype(ratio->of){Yardstick::spear}) return TailSchool::spear;
    }
    return TailSchool::taste;
}

bool isMetal(const Material& made) {
    return made.kind == MaterialKind::tinsel || made.kind == MaterialKind::oval || made.kind == MaterialKind::wire;
}
bool isFlatTinsel(const Book& book, const Part& part) {
    const Material* made = part.material ? book.findMaterial(*part.material) : nullptr;
    return part.kind == PartKind::body && made && (made->kind == MaterialKind::tinsel || made->kind == MaterialKind::oval);
}
// Index among the body sections of the one of tinsel.
std::optional<std::size_t> tinselSection(const Book& book, const Pattern& pattern) {
    std::size_t section = 0;
    for (const Part& part : pattern.parts) {
        if (part.kind != PartKind::body) continue;
        if (isFlatTinsel(book, part)) return section;
        ++section;
    }
    return std::nullopt;
}
bool isSynthetic(const DubbingTraits& fur) {
    return fur.texture == DubbingTexture::fineSynthetic || fur.texture == DubbingTexture::coarseSynthetic;
}

Lab colourOf(const Material& made) {
    constexpr Lab kMiddling{0.6, 0.0, 0.0};
    const std::string* written = made.mainColour();
    if (const auto* strip = std::get_if<StripTraits>(&made.traits); !written && strip && !strip->faces.empty())
        written = &strip->faces.front();
    const auto colour = written ? parseColour(*written) : std::nullopt;
    return colour ? toLab(*colour) : kMiddling;
}

// Of the book's materials that pass, the nearest in colour.
template <class Passes>
std::optional<MaterialId> nearest(const Book& book, Lab colour, Passes passes) {
    const Material* best = nullptr;
    for (const Material& m : book.materials)
        if (passes(m) && (!best || apart(colourOf(m), colour) < apart(colourOf(*best), colour))) best = &m;
    return best ? std::optional(best->id) : std::nullopt;
}

constexpr Lab kGold{0.72, 0.015, 0.10}, kSilver{0.79, 0.0, -0.005};
// Copper, bronze and the coloured ones are neither.
bool isOf(const Material& metal, MetalSchool school) {
    constexpr double kHue = 0.045;  // OKLab, across a and b: how bright it is says nothing
    const Lab own = colourOf(metal), wanted = school == MetalSchool::gold ? kGold : kSilver;
    return std::hypot(own.a - wanted.a, own.b - wanted.b) < kHue;
}

// Writes the choices that parts always say into the parts; true where a part was there to be written.
class Follow {
  public:
    Follow(Book& book, Pattern& pattern, std::optional<std::size_t> only) : book_(book), pattern_(pattern), only_(only) {}

    bool apply(std::string_view key, const SchoolChoices& to) {
        const auto known = std::ranges::find(kTurns, key, &Turn::key);
        return known != kTurns.end() && (this->*known->turn)(to);
    }

    [[nodiscard]] std::vector<std::string> takeLost() { return std::move(lost_); }

  private:
    template <class Detail, class Change>
    bool each(Change change) {
        bool found = false;
        for (std::size_t i = 0; i < pattern_.parts.size(); ++i) {
            auto* detail = std::get_if<Detail>(&pattern_.parts[i].detail);
            if (!detail || (only_ && *only_ != i)) continue;
            if constexpr (std::is_same_v<decltype(change(pattern_.parts[i], *detail)), bool>)
                found |= change(pattern_.parts[i], *detail);  // a part may have no use for it
            else {
                change(pattern_.parts[i], *detail);
                found = true;
            }
        }
        return found;
    }
    const Material* madeOf(const Part& part) const { return part.material ? book_.findMaterial(*part.material) : nullptr; }
    // Takes a part's new material and what follows from it.
    void make(Part& part, const MaterialId& material) {
        part.material = material;
        if (const Material* made = book_.findMaterial(material))
            for (std::string& lost : fitToMaterial(part, *made))
                lost_.push_back(std::move(lost));
    }

    // Hackles.
    bool tieIn(const SchoolChoices&) {
        return each<CollarPart>([](Part&, CollarPart& c) { c.tieIn.reset(); });
    }
    bool fibre(const SchoolChoices&) { return has<CollarPart>() || has<PalmerPart>(); }
    bool fullness(const SchoolChoices& to) {
        return each<CollarPart>([&](Part&, CollarPart& c) {
            c.turns.reset();
            c.until.reset();
            c.fullness.reset();
            c.full = *to.fullness;
        });
    }
    bool reach(const SchoolChoices& to) {
        return each<CollarPart>([&](Part& part, CollarPart& c) {
            if (*to.reach == ReachSchool::upright && part.kind == PartKind::throat) return false;
            if (*to.reach == ReachSchool::upright)
                c.angle = FibreStand::upright;
            else
                c.angle.reset();
            c.length = reachOf(*to.reach);
            return true;
        });
    }
    bool hackle(const SchoolChoices& to) {
        return each<CollarPart>(
            [&](Part& part, CollarPart&) { part.kind = *to.hackle == HackleSchool::throat ? PartKind::throat : PartKind::collar; });
    }
    bool collarPlace(const SchoolChoices& to) {
        const auto isWing = [](const Part& p) { return p.kind == PartKind::wing; };
        if (only_ || std::ranges::none_of(pattern_.parts, isWing)) return false;
        PartOrder collars, rest;
        for (std::size_t i = 0; i < pattern_.parts.size(); ++i)
            (std::holds_alternative<CollarPart>(pattern_.parts[i].detail) ? collars : rest).emplace_back(i);
        if (collars.empty()) return false;
        const auto wing = [&](const std::optional<std::size_t>& at) { return isWing(pattern_.parts[*at]); };
        const auto beforeWings = [&] { return std::ranges::find_if(rest, wing); };
        const auto afterWings = [&] { return std::ranges::find_if(rest.rbegin(), rest.rend(), wing).base(); };
        Part second;
        if (*to.collarPlace == CollarPlace::both) {  // one a side; where there is one only, a second like it
            if (collars.size() == 1) {
                second = pattern_.parts[*collars.front()];
                second.id.reset();
                rest.insert(afterWings(), std::nullopt);
            } else
                rest.insert(afterWings(), collars.begin() + 1, collars.end());
            rest.insert(std::ranges::find_if(rest, [&](const auto& at) { return at && isWing(pattern_.parts[*at]); }), collars.front());
        } else
            rest.insert(*to.collarPlace == CollarPlace::beforeWing ? beforeWings() : afterWings(), collars.begin(), collars.end());
        rearrange(book_, pattern_.id, rest, second);  // whatever is named by its place follows
        return true;
    }
    bool twoHackles(const SchoolChoices& to) {
        std::vector<std::size_t> collars;
        for (std::size_t i = 0; i < pattern_.parts.size(); ++i)
            if (std::holds_alternative<CollarPart>(pattern_.parts[i].detail)) collars.push_back(i);
        if (collars.size() != 2) return false;
        const auto detail = [&](std::size_t i) -> CollarPart& { return std::get<CollarPart>(pattern_.parts[collars[i]].detail); };
        detail(0).through.reset();
        detail(1).through.reset();
        if (*to.twoHackles == TwoHackles::through) {
            detail(1).through = true;
            return true;
        }
        const Material *rear = madeOf(pattern_.parts[collars[0]]), *front = madeOf(pattern_.parts[collars[1]]);
        if (!rear || !front || isStiff(*rear) == isStiff(*front)) return false;
        if (isStiff(*front) == (*to.twoHackles == TwoHackles::stiffInFront)) return true;
        PartOrder order = orderOf(pattern_);
        std::swap(order[collars[0]], order[collars[1]]);
        rearrange(book_, pattern_.id, order);
        return true;
    }
    bool filmHackle(const SchoolChoices& to) {
        if (*to.filmHackle == FilmHackle::both) return bothInFilm();
        const bool stiff = *to.filmHackle == FilmHackle::stiff;
        return each<CollarPart>([&](Part& part, CollarPart&) {
            const Material* made = madeOf(part);
            if (!made || made->kind != MaterialKind::hackle) return false;
            if (isStiff(*made) == stiff) return true;
            const auto other =
                nearest(book_, colourOf(*made), [&](const Material& m) { return m.kind == MaterialKind::hackle && isStiff(m) == stiff; });
            if (other) make(part, *other);
            return other.has_value();
        });
    }
    // A stiff one to float it and a soft one in front that lies in the film; where there is one of them, the other comes beside it.
    bool bothInFilm() {
        if (only_) return false;
        std::optional<std::size_t> soft, stiff;
        for (std::size_t i = 0; i < pattern_.parts.size(); ++i) {
            const Material* made = std::holds_alternative<CollarPart>(pattern_.parts[i].detail) ? madeOf(pattern_.parts[i]) : nullptr;
            if (made && made->kind == MaterialKind::hackle) (isStiff(*made) ? stiff : soft) = i;
        }
        if (soft && stiff) return true;
        const auto one = soft ? soft : stiff;
        if (!one) return false;
        Part second = pattern_.parts[*one];
        second.id.reset();
        const bool wanted = soft.has_value();
        const auto other = nearest(book_, colourOf(*madeOf(second)),
                                   [&](const Material& m) { return m.kind == MaterialKind::hackle && isStiff(m) == wanted; });
        if (!other) return false;
        make(second, *other);
        rearrange(book_, pattern_.id, orderWithNewAt(pattern_, soft ? *one : *one + 1), second);
        return true;
    }
    bool palmer(const SchoolChoices&) {
        return each<PalmerPart>([](Part&, PalmerPart& p) { p.wound.reset(); });
    }

    // Ribs and metal.
    bool ribDirection(const SchoolChoices& to) {
        return each<RibPart>([&](Part&, RibPart& r) { r.direction.reset(); }) && (*to.rib != RibSchool::bodyCounter || has<BodyPart>());
    }
    bool ribPitch(const SchoolChoices& to) {
        const HookSpec* hook = book_.findHook(pattern_.hook);
        return each<RibPart>([&](Part&, RibPart& r) {
            r.pitch.reset();
            r.spacing.reset();
            if (*to.pitch != RibSpacing::byMm || !hook) return;
            r.turns.reset();
            constexpr double kTenths = 10.0;
            r.spacing = inMm(std::round(kTenths * kRibPitchToGape * (nominalGape(hook->size) / mm)) / kTenths * mm);
        });
    }
    bool ribbed(const SchoolChoices& to) {
        if (*to.ribbed == RibbedSchool::none) {
            PartOrder order;
            for (std::size_t i = 0; i < pattern_.parts.size(); ++i)
                if (pattern_.parts[i].kind != PartKind::rib || (only_ && *only_ != i)) order.emplace_back(i);
            const bool any = order.size() < pattern_.parts.size();
            if (any && !only_) rearrange(book_, pattern_.id, order);
            return !only_;  // without one it holds to it already
        }
        const auto section = tinselSection(book_, pattern_);
        if (*to.ribbed == RibbedSchool::tinselOnly && !section) return false;
        return each<RibPart>([&](Part&, RibPart& r) {
            if (*to.ribbed == RibbedSchool::whole)
                r.along = WholeBody{};
            else
                r.along = *section;
        });
    }
    bool metal(const SchoolChoices& to) {
        if (*to.metal == MetalSchool::asWritten) return true;
        bool found = false;
        for (Part& part : pattern_.parts) {
            const Material* made = madeOf(part);
            if (!made || !isMetal(*made)) continue;
            if (isOf(*made, *to.metal)) {
                found = true;
                continue;
            }
            if (!isOf(*made, *to.metal == MetalSchool::gold ? MetalSchool::silver : MetalSchool::gold)) continue;
            const auto other = nearest(book_, *to.metal == MetalSchool::gold ? kGold : kSilver,
                                       [&](const Material& m) { return m.kind == made->kind && isOf(m, *to.metal); });
            if (!other) continue;
            part.material = other;
            if (auto* rib = std::get_if<RibPart>(&part.detail)) rib->face.reset();
            found = true;
        }
        return found;
    }

    // Tails, bodies.
    bool tail(const SchoolChoices& to) {
        const auto length = lengthOf(*to.tail);
        return each<TailPart>([&](Part& part, TailPart& t) {
            const Material* made = madeOf(part);
            if (*to.tail == TailSchool::bars) {
                const auto* tippet = made ? std::get_if<TippetTraits>(&made->traits) : nullptr;
                if (!tippet || !tippet->barSpacing) return false;
            }
            if (length) t.length = *length;
            return true;
        });
    }
    bool tailCut(const SchoolChoices& to) {
        return each<TailPart>([&](Part&, TailPart& t) {
            t.cut.reset();
            if (*to.tailCut == TailCut::cut) t.cut = true;
        });
    }
    bool tailButts(const SchoolChoices&) { return has<TailPart>(); }
    bool bodyEnd(const SchoolChoices& to) {
        const auto body = findKind(pattern_, PartKind::body);  // the first section ends the body
        if (!body || (only_ && *only_ != *body)) return false;
        std::get<BodyPart>(pattern_.parts[*body].detail).end = stationOf(*to.bodyEnd);
        return true;
    }
    bool isDubbed(const Part& part) const {
        const Material* made = madeOf(part);
        return made && made->kind == MaterialKind::dubbing;
    }
    bool taper(const SchoolChoices&) {
        return each<BodyPart>([&](Part& part, BodyPart& b) {
            if (part.kind != PartKind::body || !isDubbed(part)) return false;
            b.rear.reset();
            b.rearDiameter.reset();
            b.foremost.reset();
            b.frontDiameter.reset();
            b.exponent.reset();
            return true;
        });
    }
    bool coarseFur(const SchoolChoices&) {
        return each<BodyPart>([&](Part& part, BodyPart& b) {
            const Material* made = madeOf(part);
            if (!made || !isCoarseFur(*made)) return false;
            b.method.reset();
            return true;
        });
    }
    bool fur(const SchoolChoices& to) {
        if (*to.fur == FurSchool::asWritten) return true;
        return each<BodyPart>([&](Part& part, BodyPart&) {
            const Material* made = madeOf(part);
            if (!made || made->kind != MaterialKind::dubbing) return false;
            const auto suits = [&](const Material& m) {
                const auto* traits = std::get_if<DubbingTraits>(&m.traits);
                return traits && (*to.fur == FurSchool::blend ? !traits->blend.empty() : isSynthetic(*traits));
            };
            if (suits(*made)) return true;
            const auto other = nearest(book_, colourOf(*made), suits);
            if (other) make(part, *other);
            return other.has_value();
        });
    }
    bool grip(const SchoolChoices&) {
        return each<BodyPart>([](Part&, BodyPart& b) {
            b.held.reset();
            return true;
        });
    }

    // Wings.
    // Between paired slips of quill and a rolled slip of flank; other wings stay what they are.
    bool wing(const SchoolChoices& to) {
        const WingStyle style = *to.wing == WingSchool::paired ? WingStyle::paired : WingStyle::rolled;
        return each<WingPart>([&](Part& part, WingPart& w) {
            if (w.style != WingStyle::paired && w.style != WingStyle::rolled) return false;
            if (w.style == style) return true;
            w.style = style;
            w.layers.reset();
            w.folds.reset();
            w.width.reset();
            const auto made = firstFitting(book_, {style == WingStyle::paired ? MaterialKind::quill : MaterialKind::flank}, false);
            if (made) part.material = made;
            return true;
        });
    }
    template <class Change>
    bool eachRolled(Change change) {
        return each<WingPart>([&](Part&, WingPart& w) {
            if (w.style != WingStyle::rolled) return false;
            change(w);
            return true;
        });
    }
    bool fold(const SchoolChoices& to) {
        return eachRolled([&](WingPart& w) {
            w.width.reset();
            w.layers.reset();
            const bool thirds = *to.fold == FoldSchool::thirds || *to.fold == FoldSchool::threeWidths;
            w.folds = thirds ? Folds::thirds : Folds::halves;
            if (*to.fold == FoldSchool::threeWidths) w.layers = kThreeLayers;
            if (*to.fold == FoldSchool::fourWidths) w.layers = kFourLayers;
        });
    }
    bool wingWeight(const SchoolChoices& to) {
        return eachRolled([&](WingPart& w) {
            w.layers.reset();
            if (*to.wingWeight == WingWeight::heavy) w.layers = kHeavyLayers;
        });
    }
    bool wingReach(const SchoolChoices& to) {
        if (*to.wingReach != WingReach::bend && !findKind(pattern_, PartKind::tail)) return false;
        return each<WingPart>([&](Part&, WingPart& w) { w.length = reachOf(*to.wingReach); });
    }
    bool slips(const SchoolChoices&) {
        return each<WingPart>([](Part&, WingPart& w) { return w.style == WingStyle::paired; });
    }
    bool uprights(const SchoolChoices&) {
        return each<WingPart>([](Part&, WingPart& w) { return w.style == WingStyle::upright; });
    }
    bool plume(const SchoolChoices& to) {
        bool found = false;
        for (std::size_t i = 0; i < pattern_.parts.size(); ++i) {
            Part& part = pattern_.parts[i];
            const Material* made = madeOf(part);
            if (!made || made->kind != MaterialKind::plume || (only_ && *only_ != i)) continue;
            if (part.kind == PartKind::tail) continue;
            const bool collar = std::holds_alternative<CollarPart>(part.detail);
            if (*to.plume == PlumeSchool::collar && !collar) {
                part.kind = PartKind::collar;
                part.detail = CollarPart{};
            } else if (*to.plume != PlumeSchool::collar && (collar || std::holds_alternative<WingPart>(part.detail))) {
                if (collar) {
                    part.kind = PartKind::wing;
                    part.detail = WingPart{};
                }
                auto& wing = std::get<WingPart>(part.detail);
                wing.style = WingStyle::plume;
                if (*to.plume == PlumeSchool::cover) wing.length = ratioOf(kCoverLength, Yardstick::shank);
            }
            found = true;
        }
        return found;
    }
    bool wingTied(const SchoolChoices& to) {
        const auto wing = findKind(pattern_, PartKind::wing);
        if (!wing || only_) return false;
        PartOrder order = orderOf(pattern_);
        order.erase(order.begin() + static_cast<std::ptrdiff_t>(*wing));
        const auto kindAt = [&](const std::optional<std::size_t>& at) { return pattern_.parts[*at].kind; };
        if (*to.wingTied == WingTied::first)
            order.insert(std::ranges::find_if(order, [&](const auto& at) { return kindAt(at) != PartKind::bead; }), *wing);
        else {
            const auto after = [&](const auto& at) {
                const PartKind kind = kindAt(at);
                return kind == PartKind::head || kind == PartKind::cheek || kind == PartKind::bead || kind == PartKind::thread ||
                       (kind == PartKind::collar && *at > *wing && !bodyAfter(*wing));
            };
            const auto lastOther = std::ranges::find_if_not(order.rbegin(), order.rend(), after);
            order.insert(lastOther.base(), *wing);
        }
        rearrange(book_, pattern_.id, order);
        return true;
    }
    bool bodyAfter(std::size_t part) const {
        return std::any_of(pattern_.parts.begin() + static_cast<std::ptrdiff_t>(part), pattern_.parts.end(),
                           [](const Part& p) { return p.kind == PartKind::body; });
    }
    bool tufts(const SchoolChoices& to) {
        return each<WingPart>([&](Part&, WingPart& w) {
            if (w.style != WingStyle::plume) return false;
            w.angle.reset();
            if (*to.tufts == Tufts::raised) w.angle = Angle::degrees(kRaised);
            return true;
        });
    }
    bool cheeks(const SchoolChoices& to) {
        if (*to.cheeks != CheekSchool::none) return has<CheekPart>();
        PartOrder order;
        for (std::size_t i = 0; i < pattern_.parts.size(); ++i)
            if (pattern_.parts[i].kind != PartKind::cheek) order.emplace_back(i);
        if (order.size() < pattern_.parts.size()) rearrange(book_, pattern_.id, order);
        return true;
    }

    // Head and the fly itself.
    bool finish(const SchoolChoices& to) {
        each<HeadPart>([&](Part&, HeadPart& h) {
            h.finish.reset();
            h.knot.reset();
            if (*to.finish == FinishSchool::hitches) h.whipTurns.reset();
        });
        return true;
    }
    bool coats(const SchoolChoices&) {
        each<HeadPart>([](Part&, HeadPart& h) { h.coats.reset(); });
        return true;
    }
    bool whip(const SchoolChoices&) {
        each<HeadPart>([](Part&, HeadPart& h) { h.whipTurns.reset(); });
        return true;
    }
    // The thread that the body is tied with is the nearest to its colour; the one in use finishes the head.
    bool threadColour(const SchoolChoices& to) {
        const auto body = findKind(pattern_, PartKind::body);
        const auto change = findKind(pattern_, PartKind::thread);
        if (!body || only_) return false;
        if (*to.threadColour == ThreadColour::asHead) {
            PartOrder order;
            for (std::size_t i = 0; i < pattern_.parts.size(); ++i)
                if (pattern_.parts[i].kind != PartKind::thread)
                    order.emplace_back(i);
                else if (pattern_.parts[i].material)
                    pattern_.thread = *pattern_.parts[i].material;  // the last one finishes the head
            if (order.size() < pattern_.parts.size()) rearrange(book_, pattern_.id, order);
            return true;
        }
        if (change) return true;
        const Material* made = madeOf(pattern_.parts[*body]);
        if (!made) return false;
        const auto own = nearest(book_, colourOf(*made), [](const Material& m) { return m.kind == MaterialKind::thread; });
        if (!own || *own == pattern_.thread) return false;
        Part head;
        head.kind = PartKind::thread;
        head.detail = ThreadPart{};
        head.material = pattern_.thread;
        std::size_t last = *body;
        for (std::size_t i = 0; i < pattern_.parts.size(); ++i)
            if (pattern_.parts[i].kind == PartKind::body) last = i;
        pattern_.thread = *own;
        rearrange(book_, pattern_.id, orderWithNewAt(pattern_, last + 1), head);
        return true;
    }
    bool nymphOrWet(const SchoolChoices& to) {
        if (only_) return false;
        if (*to.nymphOrWet == NymphOrWet::nymph)
            pattern_.style = FlyStyle::nymph;
        else if (pattern_.style == FlyStyle::nymph)
            pattern_.style.reset();  // as its parts say
        return true;
    }

    template <class Detail>
    bool has() const {
        return std::ranges::any_of(pattern_.parts, [](const Part& p) { return std::holds_alternative<Detail>(p.detail); });
    }
    bool withCollar(const SchoolChoices&) { return has<CollarPart>(); }
    bool withRib(const SchoolChoices&) { return has<RibPart>(); }
    bool withLegs(const SchoolChoices&) { return has<LegsPart>(); }
    bool withBead(const SchoolChoices&) { return has<BeadPart>(); }
    bool withBody(const SchoolChoices&) { return has<BodyPart>(); }
    bool always(const SchoolChoices&) { return true; }
    bool throughPalmer(const SchoolChoices&) { return has<RibPart>() && has<PalmerPart>(); }

    struct Turn {
        std::string_view key;
        bool (Follow::*turn)(const SchoolChoices&);
    };
    static const std::array<Turn, 51> kTurns;

    Book& book_;  // the one that the dressing is of
    Pattern& pattern_;
    std::optional<std::size_t> only_;
    std::vector<std::string> lost_;
};

const std::array<Follow::Turn, 51> Follow::kTurns = {{
    {"fibre", &Follow::fibre},
    {"tie_in", &Follow::tieIn},
    {"rib", &Follow::ribDirection},
    {"rib_pitch", &Follow::ribPitch},
    {"finish", &Follow::finish},
    {"body_end", &Follow::bodyEnd},
    {"collar_fullness", &Follow::fullness},
    {"tail", &Follow::tail},
    {"reach", &Follow::reach},
    {"hackle", &Follow::hackle},
    {"collar_place", &Follow::collarPlace},
    {"wing", &Follow::wing},
    {"wing_reach", &Follow::wingReach},
    {"ribbed", &Follow::ribbed},
    {"fibres_ready", &Follow::withCollar},
    {"two_hackles", &Follow::twoHackles},
    {"film_hackle", &Follow::filmHackle},
    {"feather_end", &Follow::withCollar},
    {"fluff", &Follow::withCollar},
    {"collar_tied_in", &Follow::withCollar},
    {"palmer_rib", &Follow::throughPalmer},
    {"rib_for", &Follow::withRib},
    {"rib_side", &Follow::withRib},
    {"rib_tied_in", &Follow::withRib},
    {"lock_turn", &Follow::withRib},
    {"palmer", &Follow::palmer},
    {"tail_cut", &Follow::tailCut},
    {"tail_butts", &Follow::tailButts},
    {"taper", &Follow::taper},
    {"coarse_fur", &Follow::coarseFur},
    {"fur", &Follow::fur},
    {"brushing", &Follow::withBody},
    {"fold", &Follow::fold},
    {"wing_weight", &Follow::wingWeight},
    {"slip_tips", &Follow::slips},
    {"upright_wings", &Follow::uprights},
    {"plume", &Follow::plume},
    {"wing_tied", &Follow::wingTied},
    {"tufts", &Follow::tufts},
    {"legs_set", &Follow::withLegs},
    {"bead_neck", &Follow::withBead},
    {"bead_thread", &Follow::withBead},
    {"coats", &Follow::coats},
    {"whip", &Follow::whip},
    {"cheeks", &Follow::cheeks},
    {"metal", &Follow::metal},
    {"faithful", &Follow::always},
    {"standard", &Follow::always},
    {"grip", &Follow::grip},
    {"thread_colour", &Follow::threadColour},
    {"nymph_or_wet", &Follow::nymphOrWet},
}};

// The first part of a kind, of those a school is about.
template <class Detail>
const Part* firstOf(const Pattern& pattern) {
    const auto found = std::ranges::find_if(pattern.parts, [](const Part& p) { return std::holds_alternative<Detail>(p.detail); });
    return found == pattern.parts.end() ? nullptr : &*found;
}

void readHackles(const Book& book, const Pattern& pattern, SchoolChoices& s) {
    const Part* part = firstOf<CollarPart>(pattern);
    if (!part) return;
    const auto& collar = std::get<CollarPart>(part->detail);
    s.hackle = part->kind == PartKind::throat ? HackleSchool::throat : HackleSchool::full;
    for (const auto& entry : Names<ReachSchool>::entries)
        if (collar.length == reachOf(entry.value) && (entry.value == ReachSchool::upright) == (collar.angle == FibreStand::upright))
            s.reach = entry.value;
    if (collar.full) {
        if (const auto* named = std::get_if<FullnessSchool>(&*collar.full)) s.fullness = *named;
    }
    std::vector<const Part*> collars;
    for (const Part& p : pattern.parts)
        if (std::holds_alternative<CollarPart>(p.detail)) collars.push_back(&p);
    if (const auto wing = findKind(pattern, PartKind::wing)) {
        const Part* first = &pattern.parts[*wing];
        const auto before = std::ranges::count_if(collars, [&](const Part* p) { return p < first; });
        s.collarPlace = before == 0                                             ? CollarPlace::afterWing
                        : before == static_cast<std::ptrdiff_t>(collars.size()) ? CollarPlace::beforeWing
                                                                                : CollarPlace::both;
    }
    const auto madeOf = [&](const Part* p) { return p->material ? book.findMaterial(*p->material) : nullptr; };
    for (const Part* p : collars)
        if (const Material* made = madeOf(p); made && made->kind == MaterialKind::hackle && !s.filmHackle)
            s.filmHackle = isStiff(*made) ? FilmHackle::stiff : FilmHackle::soft;
    const auto hasOf = [&](bool stiff) {
        return std::ranges::any_of(collars, [&](const Part* p) {
            const Material* made = madeOf(p);
            return made && made->kind == MaterialKind::hackle && isStiff(*made) == stiff;
        });
    };
    if (hasOf(true) && hasOf(false)) s.filmHackle = FilmHackle::both;
    if (collars.size() == 2) {
        const Material *rear = madeOf(collars[0]), *front = madeOf(collars[1]);
        if (std::get<CollarPart>(collars[1]->detail).through.value_or(false))
            s.twoHackles = TwoHackles::through;
        else if (rear && front && isStiff(*rear) != isStiff(*front))
            s.twoHackles = isStiff(*front) ? TwoHackles::stiffInFront : TwoHackles::softInFront;
    }
}

void readWing(const Pattern& pattern, SchoolChoices& s) {
    const Part* part = firstOf<WingPart>(pattern);
    if (!part) return;
    const auto& wing = std::get<WingPart>(part->detail);
    if (wing.style == WingStyle::paired) s.wing = WingSchool::paired;
    if (wing.style == WingStyle::rolled) {
        s.wing = WingSchool::rolled;
        const bool thirds = wing.folds == Folds::thirds;
        if (wing.folds)
            s.fold = thirds ? (wing.layers == kThreeLayers ? FoldSchool::threeWidths : FoldSchool::thirds)
                            : (wing.layers == kFourLayers ? FoldSchool::fourWidths : FoldSchool::halves);
        s.wingWeight = wing.layers.value_or(0) >= kHeavyLayers ? WingWeight::heavy : WingWeight::thin;
    }
    for (const auto& entry : Names<WingReach>::entries)
        if (wing.length == reachOf(entry.value)) s.wingReach = entry.value;
    const auto bodyLater = std::any_of(pattern.parts.begin() + (part - pattern.parts.data()), pattern.parts.end(),
                                       [](const Part& p) { return p.kind == PartKind::body; });
    s.wingTied = bodyLater ? WingTied::first : WingTied::last;
    if (wing.style == WingStyle::plume) {
        s.tufts = wing.angle ? Tufts::raised : Tufts::flat;
        s.plume = PlumeSchool::wing;
    }
}

void readMaterials(const Book& book, const Pattern& pattern, SchoolChoices& s) {
    bool gold = false, silver = false;
    for (const Part& part : pattern.parts) {
        const Material* made = part.material ? book.findMaterial(*part.material) : nullptr;
        if (!made || !isMetal(*made)) {
            if (made && made->kind == MaterialKind::plume && std::holds_alternative<CollarPart>(part.detail)) s.plume = PlumeSchool::collar;
            continue;
        }
        gold = gold || isOf(*made, MetalSchool::gold);
        silver = silver || isOf(*made, MetalSchool::silver);
    }
    if (gold != silver) s.metal = gold ? MetalSchool::gold : MetalSchool::silver;
    for (const Part& part : pattern.parts) {
        const Material* made = std::holds_alternative<BodyPart>(part.detail) && part.material ? book.findMaterial(*part.material) : nullptr;
        const auto* fur = made ? std::get_if<DubbingTraits>(&made->traits) : nullptr;
        if (!fur || s.fur) continue;
        s.fur = !fur->blend.empty() ? FurSchool::blend : isSynthetic(*fur) ? FurSchool::synthetic : FurSchool::asWritten;
    }
}

}  // namespace

std::optional<std::vector<std::string>> turnParts(Book& book, const DressingId& pattern, std::string_view key, const SchoolChoices& to,
                                                  std::optional<std::size_t> only) {
    Pattern* own = book.findPattern(pattern);
    if (!own) return std::nullopt;
    Follow follow(book, *own, only);
    if (!follow.apply(key, to)) return std::nullopt;
    return follow.takeLost();
}

SchoolChoices readOff(const Book& book, const Pattern& pattern) {
    SchoolChoices s;
    if (const Part* part = firstOf<TailPart>(pattern)) {
        const auto& tail = std::get<TailPart>(part->detail);
        s.tail = tailSchoolOf(tail.length);
        s.tailCut = tail.cut.value_or(false) ? TailCut::cut : TailCut::never;
    }
    if (const auto body = findKind(pattern, PartKind::body)) {
        const auto& end = std::get<BodyPart>(pattern.parts[*body].detail).end;
        for (const auto& entry : Names<BodyEndSchool>::entries)
            if (end == stationOf(entry.value)) s.bodyEnd = entry.value;
        s.threadColour = findKind(pattern, PartKind::thread) ? ThreadColour::asBody : ThreadColour::asHead;
    }
    readHackles(book, pattern, s);
    readWing(pattern, s);
    readMaterials(book, pattern, s);
    if (const Part* part = firstOf<RibPart>(pattern)) {
        const auto& along = std::get<RibPart>(part->detail).along;
        const auto* section = along ? std::get_if<std::size_t>(&*along) : nullptr;
        if (!section)
            s.ribbed = RibbedSchool::whole;
        else if (tinselSection(book, pattern) == *section)
            s.ribbed = RibbedSchool::tinselOnly;
    } else
        s.ribbed = RibbedSchool::none;
    s.cheeks = firstOf<CheekPart>(pattern) ? CheekSchool::asWritten : CheekSchool::none;
    s.nymphOrWet = pattern.style == FlyStyle::nymph ? NymphOrWet::nymph : NymphOrWet::wet;
    if (const HookSpec* hook = book.findHook(pattern.hook)) s.barb = hook->barb.value_or(true) ? BarbSchool::barbed : BarbSchool::barbless;
    return s;
}

bool isKeptBeside(std::string_view key, const SchoolChoices& choice) {
    if (key == "hackle") return choice.hackle == HackleSchool::drawnDown;
    if (key == "tail") return choice.tail == TailSchool::taste;
    if (key == "cheeks") return choice.cheeks && *choice.cheeks != CheekSchool::none && *choice.cheeks != CheekSchool::asWritten;
    if (key == "plume") return choice.plume == PlumeSchool::cover;
    if (key == "hook_barb") return choice.barb == BarbSchool::flattened;
    if (key == "wing_tied") return choice.wingTied == WingTied::first;
    if (key == "fur") return choice.fur == FurSchool::asWritten;
    if (key == "metal") return choice.metal == MetalSchool::asWritten;
    return false;
}

}  // namespace machair
