#include "book/schools.h"

#include <algorithm>

#include "book/describe.h"
#include "book/fields.h"
#include "book/school_turns.h"
#include "language/say.h"

namespace machair {

namespace {

std::string textOf(const SchoolChoices& choices, std::string_view key) {
    for (const Field& field : fieldsOf(choices))
        if (field.key == key) return field.text;
    return {};
}

// Two walks over the same description meet their members in the same order.
class Chosen {
  public:
    template <class T>
    void operator()(const char*, const std::optional<T>& member, const Rule& = {}) {
        members_.push_back(&member);
    }
    void rest(const Carried&) {}
    [[nodiscard]] const std::vector<const void*>& members() const { return members_; }

  private:
    std::vector<const void*> members_;
};
class Lay {
  public:
    explicit Lay(const Chosen& over) : over_(over) {}
    template <class T>
    void operator()(const char*, std::optional<T>& member, const Rule& = {}) {
        const auto& own = *static_cast<const std::optional<T>*>(over_.members().at(next_++));
        if (own) member = own;
    }
    void rest(const Carried&) {}

  private:
    const Chosen& over_;
    std::size_t next_ = 0;
};

bool standsInParts(const SchoolFacts& facts) { return facts.home == SchoolHome::parts; }

// Keeps one answer of a dressing, or lets go of it.
Result<SchoolChoices> kept(const std::optional<SchoolChoices>& before, std::string_view key, std::string_view text, const Place& place) {
    return withField(before.value_or(SchoolChoices{}), key, text, place);
}

Result<Edit> turn(const Book& book, Edit edit, const DressingId& pattern, const SchoolFacts& facts, std::string_view text,
                  const Place& place) {
    const auto wanted = kept({}, facts.key, text, place);
    if (!wanted) return tl::unexpected(wanted.error());
    const bool chosen = !text.empty(), beside = chosen && isKeptBeside(facts.key, *wanted);
    if (facts.key == "hook_barb" && chosen && !beside) {
        auto barb = resizeHook(book, pattern, {{}, {}, *wanted->barb == BarbSchool::barbed});
        if (!barb) return barb;
        edit = std::move(*barb);
    }
    Pattern& own = *edit.after.findPattern(pattern);
    if (!chosen && standsInParts(facts) && !(own.schools && !textOf(*own.schools, facts.key).empty()))
        return edit;  // the parts go on saying what they say
    if (chosen && facts.key != "hook_barb") {
        const auto lost = turnParts(edit.after, pattern, facts.key, *wanted);
        if (!lost)
            return fail(place.key(std::string(facts.key)), say("this dressing has nothing that could follow it"),
                        say("add the part first"));
        for (const std::string& word : *lost)
            edit.words += say("; back to the usual: {}", word);
    }
    auto choices = kept(own.schools, facts.key, standsInParts(facts) && !beside ? std::string_view() : text, place);
    if (!choices) return tl::unexpected(choices.error());
    own.schools = *choices == SchoolChoices{} ? std::nullopt : std::optional(std::move(*choices));
    return edit;
}

}  // namespace

SchoolChoices over(const SchoolChoices& own, const SchoolChoices& all) {
    SchoolChoices laid = all;
    Chosen chosen;
    describe(chosen, own);
    Lay lay(chosen);
    describe(lay, laid);
    return laid;
}

StationSpec stationOf(BodyEndSchool school) {
    constexpr double kHalfway = 0.5, kHair = 0.08;  // of the point's spear; of the gape
    StationSpec station;
    switch (school) {
        case BodyEndSchool::point: station.at = Landmark::point; break;
        case BodyEndSchool::barb: station.at = Landmark::barb; break;
        case BodyEndSchool::bend: station.at = Landmark::bend; break;
        case BodyEndSchool::midway:
            station.at = Landmark::point;
            station.behind = ratioOf(kHalfway, Yardstick::spear);
            break;
        case BodyEndSchool::roundBend:
            station.at = Landmark::bend;
            station.behind = ratioOf(kHair, Yardstick::gape);
            break;
    }
    return station;
}

Result<Edit> changeSchool(const Book& book, const std::optional<DressingId>& pattern, std::string_view key, std::string_view text) {
    Edit edit{fieldLabel(fieldsOf(SchoolChoices{}), key), book};
    edit.words += text.empty() ? say(": the usual again") : " ";
    edit.words += text;
    if (pattern && !book.findPattern(*pattern)) return noSuch(Place("patterns"), "dressing", *pattern);
    const Place place = pattern ? Place("patterns").at(book.indexOfPattern(*pattern)).key("schools") : Place("schools");
    const SchoolFacts* facts = factsOfSchool(key);
    if (!facts) return noSuch(place, "school", key);
    if (pattern) return turn(book, std::move(edit), *pattern, *facts, text, place);
    if (facts->scope == SchoolScope::dressing && !text.empty())
        return fail(place.key(std::string(key)), say("this is each dressing's to say"), say("choose it for the dressing"));
    auto changed = kept(edit.after.schools, key, text, place);
    if (!changed) return tl::unexpected(changed.error());
    edit.after.schools = *changed == SchoolChoices{} ? std::nullopt : std::optional(std::move(*changed));
    return edit;
}

SchoolChoices heldChoices(const Book& book, const Pattern& pattern) {
    return over(pattern.schools.value_or(SchoolChoices{}), readOff(book, pattern));
}

std::string heldSchool(const Book& book, const DressingId& pattern, std::string_view key) {
    const Pattern* found = book.findPattern(pattern);
    return found ? textOf(heldChoices(book, *found), key) : std::string();
}

void followOwnSchools(Book& book, const DressingId& pattern, std::optional<std::size_t> part) {
    if (!book.findPattern(pattern) || !book.schools) return;
    const SchoolChoices own = *book.schools;
    for (const SchoolFacts& facts : schoolTable()) {
        // Body end and fullness are read wherever a part is silent, so a new part just stays silent.
        if (!standsInParts(facts) || facts.scope == SchoolScope::dressing || facts.key == "body_end" || facts.key == "collar_fullness")
            continue;
        if (textOf(own, facts.key).empty() || facts.key == "hook_barb") continue;
        if (facts.key != "collar_place" || !part) turnParts(book, pattern, facts.key, own, part);
    }
    if (own.barb && *own.barb != BarbSchool::flattened && !part)
        if (const auto barb = resizeHook(book, pattern, {{}, {}, *own.barb == BarbSchool::barbed})) book = barb->after;
}

}  // namespace machair
