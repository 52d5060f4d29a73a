#include "book/schools.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <type_traits>

#include "book/fields.h"
#include "book/fitting.h"
#include "book/part_order.h"

namespace machair {

namespace {

constexpr double kPastThePoint = 0.10;  // of the gape

// Schools that stand in the parts.
constexpr std::array<std::string_view, 9> kWritten = {"body_end", "collar_fullness", "tail",  "reach", "hackle", "collar_place",
                                                      "wing",     "wing_reach",      "ribbed"};

LengthSpec reachOf(ReachSchool school) {
    if (school == ReachSchool::barb) return reachTo(Landmark::barb);
    if (school == ReachSchool::point) return reachTo(Landmark::point);
    return {Reach{AnyLandmark(Landmark::point), {}, Held<LengthSpec>(ratioOf(kPastThePoint, Yardstick::gape)), {}}, {}};
}
LengthSpec toTheTail() { return {Reach{PartRef{PartKind::tail}, 1.0, {}, {}}, {}}; }
Landmark landmarkOf(BodyEndSchool school) {
    return school == BodyEndSchool::point ? Landmark::point : school == BodyEndSchool::barb ? Landmark::barb : Landmark::bend;
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

// Writes the choices that parts always say into the parts; true where a part was there to be written.
class Follow {
  public:
    Follow(Book& book, Pattern& pattern, std::optional<std::size_t> only) : book_(book), pattern_(pattern), only_(only) {}

    bool apply(std::string_view key, const SchoolChoices& s) {
        if (key == "tail")
            return s.tail && each<TailPart>([&](Part&, TailPart& t) {
                       t.length = ratioOf(1.0, *s.tail == TailSchool::body ? Yardstick::body : Yardstick::shank);
                   });
        if (key == "body_end") return s.bodyEnd && bodyEnd(landmarkOf(*s.bodyEnd));
        if (key == "collar_fullness")
            return s.fullness && each<CollarPart>([&](Part&, CollarPart& c) {
                       c.turns.reset();
                       c.until.reset();
                       c.fullness = fullnessOf(*s.fullness);
                   });
        if (key == "reach") return s.reach && each<CollarPart>([&](Part&, CollarPart& c) { return reach(c, *s.reach); });
        if (key == "hackle")
            return s.hackle && each<CollarPart>([&](Part& part, CollarPart&) {
                       part.kind = *s.hackle == HackleSchool::throat ? PartKind::throat : PartKind::collar;
                   });
        if (key == "collar_place") return s.collarPlace && collarPlace(*s.collarPlace);
        if (key == "wing") return s.wing && each<WingPart>([&](Part& part, WingPart& w) { return wing(part, w, *s.wing); });
        if (key == "wing_reach")
            return s.wingReach && (*s.wingReach == WingReach::bend || findKind(pattern_, PartKind::tail)) &&
                   each<WingPart>(
                       [&](Part&, WingPart& w) { w.length = *s.wingReach == WingReach::bend ? reachTo(Landmark::bend) : toTheTail(); });
        if (key == "ribbed") return s.ribbed && ribbed(*s.ribbed);
        return false;
    }

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
    bool bodyEnd(Landmark landmark) {
        const auto body = findKind(pattern_, PartKind::body);  // the first section ends the body
        if (!body || (only_ && *only_ != *body)) return false;
        StationSpec end;
        end.at = landmark;
        std::get<BodyPart>(pattern_.parts[*body].detail).end = end;
        return true;
    }
    // Between paired slips of quill and a rolled slip of flank; other wings stay what they are.
    bool wing(Part& part, WingPart& w, WingSchool school) const {
        const WingStyle style = school == WingSchool::paired ? WingStyle::paired : WingStyle::rolled;
        if (w.style != WingStyle::paired && w.style != WingStyle::rolled) return false;
        if (w.style == style) return true;
        w.style = style;
        w.layers.reset();
        w.folds.reset();
        w.width.reset();
        const auto made = firstFitting(book_, {school == WingSchool::paired ? MaterialKind::quill : MaterialKind::flank}, false);
        if (made) part.material = made;
        return true;
    }
    static bool reach(CollarPart& collar, ReachSchool school) {
        if (collar.angle == FibreStand::upright) return false;  // stands, and reaches nothing
        collar.length = reachOf(school);
        return true;
    }
    bool ribbed(RibbedSchool school) {
        const auto section = tinselSection(book_, pattern_);
        if (school == RibbedSchool::tinselOnly && !section) return false;
        return each<RibPart>([&](Part&, RibPart& r) {
            if (school == RibbedSchool::whole)
                r.along = WholeBody{};
            else
                r.along = *section;
        });
    }
    bool collarPlace(CollarPlace place) {
        const auto isWing = [](const Part& p) { return p.kind == PartKind::wing; };
        if (std::ranges::none_of(pattern_.parts, isWing)) return false;
        PartOrder collars, rest;
        for (std::size_t i = 0; i < pattern_.parts.size(); ++i)
            (std::holds_alternative<CollarPart>(pattern_.parts[i].detail) ? collars : rest).emplace_back(i);
        if (collars.empty()) return false;
        const auto wing = [&](const std::optional<std::size_t>& at) { return isWing(pattern_.parts[*at]); };
        auto at = std::ranges::find_if(rest, wing);
        if (place == CollarPlace::afterWing) at = std::ranges::find_if(rest.rbegin(), rest.rend(), wing).base();
        rest.insert(at, collars.begin(), collars.end());
        rearrange(book_, pattern_.id, rest);  // whatever is named by its place follows
        return true;
    }

    Book& book_;  // the one that the dressing is of
    Pattern& pattern_;
    std::optional<std::size_t> only_;
};

// The first part of a kind, of those a school is about.
template <class Detail>
const Part* firstOf(const Pattern& pattern) {
    const auto found = std::ranges::find_if(pattern.parts, [](const Part& p) { return std::holds_alternative<Detail>(p.detail); });
    return found == pattern.parts.end() ? nullptr : &*found;
}
template <class Detail>
const Detail* detailOf(const Part* part) {
    return part ? &std::get<Detail>(part->detail) : nullptr;
}

// What the parts say.
SchoolChoices readOff(const Book& book, const Pattern& pattern) {
    SchoolChoices s;
    if (const auto* tail = detailOf<TailPart>(firstOf<TailPart>(pattern)))
        if (const auto* ratio = std::get_if<Ratio>(&tail->length.value)) {
            if (ratio->of == decltype(ratio->of){Yardstick::shank}) s.tail = TailSchool::shank;
            if (ratio->of == decltype(ratio->of){Yardstick::body}) s.tail = TailSchool::body;
        }
    if (const auto body = findKind(pattern, PartKind::body))
        if (const auto& end = std::get<BodyPart>(pattern.parts[*body].detail).end; end && !end->ahead && !end->behind)
            for (const auto school : {BodyEndSchool::point, BodyEndSchool::barb, BodyEndSchool::bend})
                if (end->at == AnyLandmark(landmarkOf(school))) s.bodyEnd = school;
    if (const Part* part = firstOf<CollarPart>(pattern)) {
        const auto& collar = std::get<CollarPart>(part->detail);
        s.hackle = part->kind == PartKind::throat ? HackleSchool::throat : HackleSchool::full;
        for (const auto school : {ReachSchool::barb, ReachSchool::point, ReachSchool::pastPoint})
            if (collar.length == reachOf(school)) s.reach = school;
        for (const auto& entry : Names<FullnessSchool>::entries)
            if (collar.fullness && std::abs(*collar.fullness - fullnessOf(entry.value)) < 1e-9) s.fullness = entry.value;
        const auto wing = findKind(pattern, PartKind::wing);
        if (wing) s.collarPlace = part < &pattern.parts[*wing] ? CollarPlace::beforeWing : CollarPlace::afterWing;
    }
    if (const auto* wing = detailOf<WingPart>(firstOf<WingPart>(pattern))) {
        if (wing->style == WingStyle::paired) s.wing = WingSchool::paired;
        if (wing->style == WingStyle::rolled) s.wing = WingSchool::rolled;
        if (wing->length == reachTo(Landmark::bend)) s.wingReach = WingReach::bend;
        if (wing->length == toTheTail()) s.wingReach = WingReach::tail;
    }
    if (const auto* rib = detailOf<RibPart>(firstOf<RibPart>(pattern))) {
        const auto* section = rib->along ? std::get_if<std::size_t>(&*rib->along) : nullptr;
        if (!section)
            s.ribbed = RibbedSchool::whole;
        else if (tinselSection(book, pattern) == *section)
            s.ribbed = RibbedSchool::tinselOnly;
    }
    if (const HookSpec* hook = book.findHook(pattern.hook)) s.barb = hook->barb.value_or(true) ? BarbSchool::barbed : BarbSchool::barbless;
    return s;
}

std::string textOf(const SchoolChoices& choices, std::string_view key) {
    for (const Field& field : fieldsOf(choices))
        if (field.key == key) return field.text;
    return {};
}

}  // namespace

bool schoolStandsInParts(std::string_view key) { return key == "hook_barb" || std::ranges::find(kWritten, key) != kWritten.end(); }

double fullnessOf(FullnessSchool school) {
    switch (school) {
        case FullnessSchool::sparse: return 7.0;
        case FullnessSchool::standard: return 12.0;
        case FullnessSchool::full: return 20.0;
        case FullnessSchool::bushy: return 30.0;
    }
    throw BrokenContract("unknown fullness");
}

Result<Edit> changeSchool(const Book& book, const std::optional<std::string>& pattern, std::string_view key, std::string_view text) {
    Edit edit{fieldLabel(fieldsOf(SchoolChoices{}), key), book};
    edit.words += text.empty() ? ": the usual again" : " ";
    edit.words += text;
    Pattern* own = pattern ? edit.after.findPattern(*pattern) : nullptr;
    if (pattern && !own) return noSuch(Place("patterns"), "dressing", *pattern);
    const Place place = own ? Place("patterns").at(book.indexOfPattern(*pattern)).key("schools") : Place("schools");
    if (own && schoolStandsInParts(key)) {
        const auto wanted = withField(SchoolChoices{}, key, text, place);
        if (!wanted) return tl::unexpected(wanted.error());
        if (key == "hook_barb" && wanted->barb) return resizeHook(book, *pattern, {{}, {}, *wanted->barb == BarbSchool::barbed});
        if (*wanted == SchoolChoices{}) return edit;  // the parts go on saying what they say
        if (!Follow(edit.after, *own, {}).apply(key, *wanted))
            return fail(place.key(key), "this dressing has nothing that could follow it", "add the part first");
        return edit;
    }
    std::optional<SchoolChoices>& choices = own ? own->schools : edit.after.schools;
    auto changed = withField(choices.value_or(SchoolChoices{}), key, text, place);
    if (!changed) return tl::unexpected(changed.error());
    choices = *changed == SchoolChoices{} ? std::nullopt : std::optional(std::move(*changed));
    return edit;
}

std::string heldSchool(const Book& book, std::string_view pattern, std::string_view key) {
    const Pattern* found = book.findPattern(pattern);
    if (!found) return {};
    if (schoolStandsInParts(key)) return textOf(readOff(book, *found), key);
    return textOf(found->schools.value_or(SchoolChoices{}), key);
}

void followOwnSchools(Book& book, std::string_view pattern, std::optional<std::size_t> part) {
    Pattern* found = book.findPattern(pattern);
    if (!found || !book.schools) return;
    const SchoolChoices own = *book.schools;
    // Body end and fullness are read wherever a part is silent, so a new part just stays silent.
    for (const std::string_view key : kWritten)
        if (key != "body_end" && key != "collar_fullness" && (key != "collar_place" || !part))
            (void)Follow(book, *found, part).apply(key, own);
    if (own.barb && !part)
        if (const auto barb = resizeHook(book, pattern, {{}, {}, *own.barb == BarbSchool::barbed})) book = barb->after;
}

}  // namespace machair
