// Which school a dressing holds to, read off its parts.
#include <algorithm>
#include <vector>

#include "book/fitting.h"
#include "book/part_material.h"
#include "book/part_order.h"
#include "book/school_parts.h"
#include "book/school_turns.h"

namespace machair {

namespace {

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
    const auto bodyLater = std::any_of(pattern.parts.begin() + (part - pattern.parts.all().data()), pattern.parts.end(),
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
