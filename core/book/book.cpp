#include "book/book.h"

#include <algorithm>
#include <unordered_map>
#include <unordered_set>

#include "book/find.h"
#include "book/lists.h"
#include "book/references.h"
#include "book/rule.h"
#include "faults/trail.h"
#include "language/say.h"
#include "units/text.h"

namespace machair {

namespace {

using Ids = std::unordered_set<std::string_view>;  // views into the book that is checked

template <class Records>
void checkIds(const Records& records, const char* list, Faults& faults) {
    Ids ids;
    ids.reserve(records.size());
    for (std::size_t i = 0; i < records.size(); ++i)
        if (!ids.insert(records[i].id).second)
            faults.push_back({Place(list).at(i).key("id"), say("expected an id of its own, got \"") + records[i].id + say("\" again"),
                              say("give one of the two another id")});
}

// Every id that has to be there is: one fault for each that isn't.
void checkReferences(const Book& book, bool dressingsToo, Faults& faults) {
    std::unordered_map<std::string_view, Ids> known;
    const auto idsOf = [&](std::string_view wanted) -> const Ids& {
        const auto [there, fresh] = known.try_emplace(wanted);
        if (fresh)
            eachList([&, ids = &there->second](const char* name, auto list) {
                if (name == wanted)
                    for (const auto& record : book.*list)
                        ids->insert(record.id);
            });
        return there->second;
    };
    eachReference(book, [&](const Reference& reference) {
        if (!dressingsToo && reference.list == std::string_view("patterns")) return;  // it opens, marked as what can't be tied
        if (reference.past || idsOf(reference.to).contains(reference.id)) return;
        faults.push_back(notAsExpected(reference.place(), say(reference.noun), reference.id));
    });
}

// References from one part's lengths to other parts.
class RefCheck {
  public:
    RefCheck(const Pattern& pattern, Faults& faults) : pattern_(pattern), faults_(faults) {}

    void ref(const PartRef& ref, const Trail& place) {
        if (find(pattern_, ref)) return;
        faults_.push_back(
            {place, say("expected a part of this dressing by its name, place or id, or a landmark, got {}", describe(ref)), ""});
    }
    void length(const LengthSpec& spec, const Trail& place) {
        if (const auto* ratio = std::get_if<Ratio>(&spec.value)) {
            if (const auto* part = std::get_if<PartRef>(&ratio->of)) ref(*part, place.key("of"));
        } else if (const auto* reach = std::get_if<Reach>(&spec.value)) {
            if (const auto* part = std::get_if<PartRef>(&reach->to)) ref(*part, place.key("to"));
            if (reach->past) length(**reach->past, place.key("past"));
            if (reach->shortBy) length(**reach->shortBy, place.key("short"));
        }
    }
    void length(const std::optional<LengthSpec>& spec, const Trail& place) {
        if (spec) length(*spec, place);
    }
    void station(const std::optional<StationSpec>& spec, const Trail& place) {
        if (!spec) return;
        length(spec->ahead, place.key("ahead"));
        length(spec->behind, place.key("behind"));
    }

    void part(const Part& part, const Trail& place) {
        if (part.from) ref(*part.from, place.key("from"));
        station(part.station, place.key("station"));
        struct Visit {
            RefCheck& check;
            const Trail& place;
            void operator()(const TagPart& p) { check.length(p.length, place.key("length")); }
            void operator()(const TailPart& p) {
                check.length(p.length, place.key("length"));
                check.length(p.width, place.key("width"));
            }
            void operator()(const RibPart& p) { check.length(p.spacing, place.key("spacing")); }
            void operator()(const UnderbodyPart& p) {
                check.station(p.end, place.key("end"));
                check.station(p.front, place.key("front"));
            }
            void operator()(const BodyPart& p) {
                check.station(p.end, place.key("end"));
                check.station(p.front, place.key("front"));
                check.length(p.rearDiameter, place.key("rear_diameter"));
                check.length(p.frontDiameter, place.key("front_diameter"));
            }
            void operator()(const PalmerPart& p) { check.length(p.length, place.key("length")); }
            void operator()(const CollarPart& p) {
                check.length(p.length, place.key("length"));
                check.station(p.until, place.key("until"));
            }
            void operator()(const WingPart& p) {
                check.length(p.length, place.key("length"));
                check.length(p.depth, place.key("depth"));
                check.length(p.width, place.key("width"));
            }
            void operator()(const LegsPart& p) { check.length(p.length, place.key("length")); }
            void operator()(const CheekPart& p) { check.length(p.length, place.key("length")); }
            void operator()(const BeadPart&) {}
            void operator()(const ThreadPart&) {}
            void operator()(const HeadPart&) {}
        };
        std::visit(Visit{*this, place}, part.detail);
    }

  private:
    const Pattern& pattern_;
    Faults& faults_;
};

// A feather's own measures against each other.
void checkFeather(const VaneFeather& feather, const Place& place, Faults& faults) {
    if (feather.barbs.size() != 3)
        faults.push_back({place.key("barbs_mm"),
                          say("expected three barb lengths (base, middle, tip), got {}", std::to_string(feather.barbs.size())), ""});
    const auto checkStretches = [&](const char* key, const std::vector<Stretch>& stretches) {
        for (std::size_t i = 0; i < stretches.size(); ++i) {
            const auto& [from, to] = stretches[i];
            if (from < to && from >= 0.0 * mm && to <= feather.vane) continue;
            faults.push_back({place.key(key).at(i),
                              say("expected a stretch of this vane, from its base towards its tip, got {} to {} of {} mm",
                                  formatNumber(from / mm, 2), formatNumber(to / mm, 2), formatNumber(feather.vane / mm, 2)),
                              ""});
        }
    };
    checkStretches("taken_mm", feather.taken);
    checkStretches("spoiled_mm", feather.spoiled);
}

// A fly between two others hangs between them.
void checkLeader(const TeamSpec& team, const Place& place, Faults& faults) {
    if (!team.leader) return;
    const LeaderMeasures m = measuresOf(team.leader);
    const auto between = [&](const std::optional<Length>& part, Length whole, const char* key, const char* ends) {
        if (part && *part >= whole)
            faults.push_back({place.key(key),
                              say("expected less than the {} m from {}, got {}", formatNumber(whole / metre, 2), say(ends),
                                  formatNumber(*part / metre, 2)),
                              ""});
    };
    between(m.bobToUpper, m.bobToMiddle, "bob_to_upper_m", unsaid("bob to middle"));
    between(m.middleToLower, m.middleToPoint, "middle_to_lower_m", unsaid("middle to point"));
}

void checkTeams(const Book& book, Faults& faults) {
    for (std::size_t i = 0; i < book.teams.size(); ++i) {
        const Place place = Place("teams").at(i);
        if (book.teams[i].empty())
            faults.push_back({place, say("expected at least one fly, as bob, middle or point, got an empty team"), ""});
        checkLeader(book.teams[i], place.key("leader"), faults);
    }
}

void checkFeathers(const Book& book, Faults& faults) {
    for (std::size_t i = 0; i < book.feathers.size(); ++i)
        checkFeather(book.feathers[i], Place("feathers").at(i), faults);
    for (std::size_t i = 0; i < book.cutLists.size(); ++i)
        checkIds(book.cutLists[i].slips, Place("cut_lists").at(i).key("slips").text().c_str(), faults);
    for (std::size_t i = 0; i < book.capes.size(); ++i)
        for (std::size_t k = 0; k < book.capes[i].bands.size(); ++k)
            if (const CapeBand& band = book.capes[i].bands[k]; band.to < band.from)
                faults.push_back({Place("capes").at(i).key("bands").at(k),
                                  say("expected a band from the shorter to the longer fibre, got {} to {} mm",
                                      formatNumber(band.from / mm, 1), formatNumber(band.to / mm, 1)),
                                  ""});
}

// `where` makes the place, for a date that is none: there may be very many that are.
template <class Where>
void checkDate(const std::string& date, Where where, Faults& faults) {
    if (!isDate(date)) faults.push_back(notAsExpected(where(), say(kDate.noun), date));
}

void checkDates(const Book& book, Faults& faults) {
    for (std::size_t i = 0; i < book.batches.size(); ++i)
        if (const auto& date = book.batches[i].day)
            checkDate(
                *date, [i] { return Place("batches").at(i).key("day"); }, faults);
    for (std::size_t i = 0; i < book.checks.size(); ++i)
        if (const auto& date = book.checks[i].date)
            checkDate(
                *date, [i] { return Place("checks").at(i).key("date"); }, faults);
    for (std::size_t i = 0; i < book.days.size(); ++i)
        checkDate(
            book.days[i].date, [i] { return Place("days").at(i).key("date"); }, faults);
}

void checkParts(const Pattern& pattern, const Trail& place, Faults& faults) {
    RefCheck refs(pattern, faults);
    const Trail parts = place.key("parts");
    for (std::size_t k = 0; k < pattern.parts.size(); ++k)
        refs.part(pattern.parts[k], parts.at(k));
}

}  // namespace

bool canBeMadeOf(PartKind part, MaterialKind material) {
    switch (part) {
        case PartKind::thread: return material == MaterialKind::thread;
        case PartKind::bead: return material == MaterialKind::bead;
        case PartKind::palmer: return material == MaterialKind::hackle;
        case PartKind::collar:
        case PartKind::throat: return canBeWound(material);
        default: return true;
    }
}

Density packedDensity(const Material& fur, const Book& book) {
    const auto* traits = std::get_if<DubbingTraits>(&fur.traits);
    if (!traits) return packedDensity(DubbingTraits{});
    if (traits->packed || traits->blend.empty()) return packedDensity(*traits);
    double parts = 0.0, volume = 0.0;
    for (const BlendPart& part : traits->blend) {
        const Material* of = book.findMaterial(part.material);
        const auto* own = of ? std::get_if<DubbingTraits>(&of->traits) : nullptr;
        parts += part.parts;
        volume += part.parts / (packedDensity(own ? *own : DubbingTraits{}) / mgPerMm3);  // a blend of blends by its texture
    }
    return volume > 0.0 ? parts / volume * mgPerMm3 : packedDensity(*traits);
}

std::vector<Position> positionsShown(const FliesByPosition& flies) {
    std::vector<Position> shown;
    for (const Position position : kPositions)
        if (flies[position] || std::ranges::find(kTrio, position) != kTrio.end()) shown.push_back(position);
    return shown;
}

Length LeaderMeasures::fromTip(Position position) const {
    switch (position) {
        case Position::bob: return tipToBob;
        case Position::upper: return tipToBob + bobToUpper.value_or(0.5 * bobToMiddle);
        case Position::middle: return tipToBob + bobToMiddle;
        case Position::lower: return tipToBob + bobToMiddle + middleToLower.value_or(0.5 * middleToPoint);
        case Position::point: return overall();
    }
    throw BrokenContract("unknown position");
}

LeaderMeasures measuresOf(const std::optional<LeaderSpec>& spec) {
    LeaderMeasures m;
    if (!spec) return m;
    m.strand = spec->material.value_or(m.strand);
    m.diameter = spec->diameter.value_or(m.diameter);
    m.tipToBob = spec->tipToBob.value_or(m.tipToBob);
    m.bobToMiddle = spec->bobToMiddle.value_or(m.bobToMiddle);
    m.middleToPoint = spec->middleToPoint.value_or(m.middleToPoint);
    m.dropper = spec->dropper.value_or(m.dropper);
    m.bobToUpper = spec->bobToUpper;
    m.middleToLower = spec->middleToLower;
    return m;
}

const HookSpec* Book::findHook(const HookId& id) const { return findById(hooks, id); }
const Material* Book::findMaterial(const MaterialId& id) const { return findById(materials, id); }
const Pattern* Book::findPattern(const DressingId& id) const { return findById(patterns, id); }
const TeamSpec* Book::findTeam(const TeamId& id) const { return findById(teams, id); }
const Stock* Book::findStock(const MaterialId& material) const {
    const auto found = std::ranges::find(stock, material, &Stock::material);
    return found == stock.end() ? nullptr : &*found;
}
const CutList* Book::findCutList(const CutListId& id) const { return findById(cutLists, id); }
const TeamSchool* Book::findTeamSchool(const SchoolId& id) const { return findById(teamSchools, id); }
const WaterSpec* Book::findWater(const WaterId& id) const { return findById(waters, id); }
const RuleCard* Book::findRuleCard(const RuleCardId& id) const { return findById(ruleCards, id); }
Pattern* Book::findPattern(const DressingId& id) { return findById(patterns, id); }
std::size_t Book::indexOfPattern(const DressingId& id) const { return indexById(patterns, id); }

namespace {

Faults checkRecords(const Book& book, bool dressingsToo) {
    Faults faults;
    eachList([&](const char* name, auto list) { checkIds(book.*list, name, faults); });
    checkReferences(book, dressingsToo, faults);
    for (std::size_t i = 0; i < book.hooks.size(); ++i)
        if (const auto hook = makeHook(book.hooks[i], Place("hooks").at(i)); !hook) append(faults, hook.error());
    const Trail patterns("patterns");
    if (dressingsToo)
        for (std::size_t i = 0; i < book.patterns.size(); ++i)
            checkParts(book.patterns[i], patterns.at(i), faults);
    checkTeams(book, faults);
    checkFeathers(book, faults);
    checkDates(book, faults);
    return faults;
}

}  // namespace

Faults check(const Book& book) { return checkRecords(book, true); }

Faults checkToRead(const Book& book) { return checkRecords(book, false); }

}  // namespace machair
