#include "book/school_turns.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <type_traits>

#include "book/fitting.h"
#include "book/part_material.h"
#include "book/part_order.h"
#include "book/school_parts.h"
#include "book/schools.h"
#include "colour/colour.h"

namespace machair {

namespace {

// Of the book's materials that pass, the nearest in colour.
template <class Passes>
std::optional<MaterialId> nearest(const Book& book, Lab colour, Passes passes) {
    const Material* best = nullptr;
    for (const Material& m : book.materials)
        if (passes(m) && (!best || apart(mainColourOf(m), colour) < apart(mainColourOf(*best), colour))) best = &m;
    return best ? std::optional(best->id) : std::nullopt;
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
            for (FellAway& lost : fitToMaterial(part, *made))
                lost_.push_back(std::move(lost.words));
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
            const auto other = nearest(book_, mainColourOf(*made),
                                       [&](const Material& m) { return m.kind == MaterialKind::hackle && isStiff(m) == stiff; });
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
        const auto other = nearest(book_, mainColourOf(*madeOf(second)),
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
            const auto other = nearest(book_, mainColourOf(*made), suits);
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
        const auto own = nearest(book_, mainColourOf(*made), [](const Material& m) { return m.kind == MaterialKind::thread; });
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

}  // namespace

std::optional<std::vector<std::string>> turnParts(Book& book, const DressingId& pattern, std::string_view key, const SchoolChoices& to,
                                                  std::optional<std::size_t> only) {
    Pattern* own = book.findPattern(pattern);
    if (!own) return std::nullopt;
    Follow follow(book, *own, only);
    if (!follow.apply(key, to)) return std::nullopt;
    return follow.takeLost();
}

}  // namespace machair
