#include "book/team_edits.h"

#include <algorithm>

#include "book/fields.h"
#include "book/find.h"
#include "book/lists.h"
#include "language/say.h"
#include "units/text.h"

namespace machair {

namespace {

// One field of a record of one of the book's lists.
template <class Record>
Result<Edit> changeIn(const Book& book, std::vector<Record> Book::*list, const char* name, const char* what, std::string_view id,
                      std::string_view key, std::string_view text) {
    const auto found = findIn(book.*list, name, what, id);
    if (!found) return tl::unexpected(found.error());
    auto changed = withField(*found->record, key, text, found->place);
    if (!changed) return tl::unexpected(changed.error());
    Edit edit{found->record->title() + ": " + sayField(fieldsOf(*changed), key, text, say("left open")), book};
    (edit.after.*list)[found->index] = std::move(*changed);
    if (Faults faults = check(edit.after); !faults.empty()) return tl::unexpected(std::move(faults));
    return edit;
}

std::string nameOr(const Book& book, const std::optional<Fly>& fly) {
    const Pattern* found = fly ? book.findPattern(fly->pattern) : nullptr;
    return found ? found->title() : say("nothing");
}

// Whether a fly in the box is this dressing on this hook; on its own where none is named.
bool isOn(const BoxFly& fly, const Pattern& dressing, const std::optional<HookId>& hook) {
    return fly.pattern == dressing.id && fly.hook.value_or(dressing.hook) == hook.value_or(dressing.hook);
}

}  // namespace

Result<Edit> swapTeamFlies(const Book& book, const TeamId& team, Position a, Position b) {
    const auto found = findIn(book.teams, "teams", "team", team);
    if (!found) return tl::unexpected(found.error());
    Edit edit{{}, book};
    TeamSpec& changed = edit.after.teams[found->index];
    std::swap(changed.at(a), changed.at(b));
    edit.words = say("{} on the {}, {} on the {}", nameOr(book, changed.at(a)), sayName(a), nameOr(book, changed.at(b)), sayName(b));
    return edit;
}

Result<Edit> changePresentation(const Book& book, const TeamId& team, Position position, std::string_view text) {
    const auto found = findIn(book.teams, "teams", "team", team);
    if (!found) return tl::unexpected(found.error());
    if (!found->record->at(position))
        return fail(found->place.key(nameOf(position)), say("expected a fly on the {}, got none", sayName(position)),
                    say("hang one there first"));
    Edit edit{{}, book};
    Fly& fly = *edit.after.teams[found->index].at(position);
    const std::string said(trimmed(text));
    fly.presentation = said.empty() ? std::nullopt : std::optional(said);
    edit.words = say("{} on the {}{}", nameOr(book, fly), sayName(position), said.empty() ? say(": fished as usual") : ": " + said);
    return edit;
}

Result<Edit> addTeam(const Book& book, std::string_view name, const FliesByPosition& flies) {
    TeamSpec team;
    team.id = freeIdIn(book.teams, "team");
    team.name = std::string(name);
    team.flies = flies;
    if (!book.teams.empty()) {
        team.school = book.teams.front().school;
        team.leader = book.teams.front().leader;
    }
    Edit edit{say("team: {}", team.title()), book};
    edit.after.teams.push_back(std::move(team));
    if (Faults faults = check(edit.after); !faults.empty()) return tl::unexpected(std::move(faults));
    return edit;
}

Result<Edit> changeTeamSchool(const Book& book, const TeamId& team, std::string_view school) {
    const auto found = findIn(book.teams, "teams", "team", team);
    if (!found) return tl::unexpected(found.error());
    Edit edit{{}, book};
    TeamSpec& changed = edit.after.teams[found->index];
    if (const auto known = fromName<School>(school)) {
        changed.school = *known;
        changed.ownSchool.reset();
    } else if (const TeamSchool* own = book.findTeamSchool(SchoolId(school))) {
        changed.school = own->like;
        changed.ownSchool = own->id;
    } else {
        return noSuch(found->place.key("school"), "school", school);
    }
    edit.words = say("{} after the school {}", changed.title(), std::string(school));
    return edit;
}

Result<Edit> copySchool(const Book& book, const TeamId& team) {
    const auto found = findIn(book.teams, "teams", "team", team);
    if (!found) return tl::unexpected(found.error());
    Edit edit{{}, book};
    TeamSpec& changed = edit.after.teams[found->index];
    const TeamSchool* from = changed.ownSchool ? book.findTeamSchool(*changed.ownSchool) : nullptr;
    TeamSchool own = from ? *from : TeamSchool{};
    if (!from) {
        own.like = changed.school.value_or(School::stepped);
        own.name = say("My {}", sayName(own.like));
    }
    own.id = freeIdIn(book.teamSchools, "school");
    edit.words = say("a school of my own, like {}", sayName(own.like));
    changed.ownSchool = own.id;
    edit.after.teamSchools.push_back(std::move(own));
    return edit;
}

Result<Edit> changeSchoolField(const Book& book, const SchoolId& school, std::string_view key, std::string_view text) {
    return changeIn(book, &Book::teamSchools, "team_schools", "school", school, key, text);
}

Result<Edit> changeLeaderField(const Book& book, const TeamId& team, std::string_view key, std::string_view text) {
    const auto found = findIn(book.teams, "teams", "team", team);
    if (!found) return tl::unexpected(found.error());
    auto leader = withField(found->record->leader.value_or(LeaderSpec{}), key, text, found->place.key("leader"));
    if (!leader) return tl::unexpected(leader.error());
    Edit edit{say("leader: {}", sayField(fieldsOf(*leader), key, text, say("as usual"))), book};
    edit.after.teams[found->index].leader = std::move(*leader);
    return edit;
}

Result<Edit> addWater(const Book& book) {
    WaterSpec water;
    water.id = freeIdIn(book.waters, "water");
    water.name = say("New water");
    Edit edit{say("a new water"), book};
    edit.after.waters.push_back(std::move(water));
    return edit;
}

Result<Edit> changeWaterField(const Book& book, const WaterId& water, std::string_view key, std::string_view text) {
    return changeIn(book, &Book::waters, "waters", "water", water, key, text);
}

Result<Edit> changeOutline(const Book& book, const WaterId& water, std::vector<std::array<Length, 2>> outline) {
    const auto found = findIn(book.waters, "waters", "water", water);
    if (!found) return tl::unexpected(found.error());
    Edit edit{say("{}: its shore, {} corners", found->record->title(), std::to_string(outline.size())), book};
    edit.after.waters[found->index].outline = std::move(outline);
    return edit;
}

Result<Edit> addRuleCard(const Book& book, const WaterId& water) {
    const auto found = findIn(book.waters, "waters", "water", water);
    if (!found) return tl::unexpected(found.error());
    Edit edit{say("a rule card for {}", found->record->title()), book};
    RuleCard card;
    card.id = freeIdIn(book.ruleCards, "rules");
    card.name = say("Rules of {}", found->record->title());
    edit.after.waters[found->index].rules = card.id;
    edit.after.ruleCards.push_back(std::move(card));
    return edit;
}

Result<Edit> changeRuleField(const Book& book, const RuleCardId& card, std::string_view key, std::string_view text) {
    return changeIn(book, &Book::ruleCards, "rule_cards", unsaid("rule card"), card, key, text);
}

Result<Edit> addSeasonRow(const Book& book, int month) {
    Edit edit{say("a row in the season's table"), book};
    SeasonRow row;
    row.id = freeIdIn(book.season, "season");
    row.creature = say("something");
    row.fromMonth = row.toMonth = month;
    edit.after.season.push_back(std::move(row));
    return edit;
}

Result<Edit> changeSeasonField(const Book& book, std::string_view row, std::string_view key, std::string_view text) {
    return changeIn(book, &Book::season, "season_table", unsaid("row of the season"), row, key, text);
}

Result<Edit> removeSeasonRow(const Book& book, std::string_view row) {
    const auto found = findIn(book.season, "season_table", unsaid("row of the season"), row);
    if (!found) return tl::unexpected(found.error());
    Edit edit{say("{} out of the season's table", found->record->creature), book};
    edit.after.season.erase(edit.after.season.begin() + static_cast<std::ptrdiff_t>(found->index));
    return edit;
}

Edit countMishap(const Book& book, const MishapId& id, const std::string& shows) {
    Edit edit{"", book};
    Mishap* found = findById(edit.after.mishaps, id);
    if (!found) {
        found = &edit.after.mishaps.emplace_back();
        found->id = id;
        found->shows = shows;
    }
    ++found->count;
    edit.words = say(shows) + ": " + std::to_string(found->count) + (found->count == 1 ? say(" time so far") : say(" times so far"));
    return edit;
}

Edit takeBackMishap(const Book& book, const MishapId& id, const std::string& shows) {
    Edit edit{say("not counted after all: {}", say(shows)), book};
    Mishap* found = findById(edit.after.mishaps, id);
    if (!found) return edit;
    found->count = std::max(0, found->count - 1);
    if (found->count == 0 && !found->isOwnCard()) std::erase_if(edit.after.mishaps, [&](const Mishap& m) { return m.id == id; });
    return edit;
}

New<Mishap> addMishapCard(const Book& book, const std::string& shows, PartKind part) {
    Edit edit{say("a card of my own: {}", shows), book};
    const MishapId id = freeIdIn(edit.after.mishaps, std::string(nameOf(part)) + ".own");
    Mishap card;
    card.id = id;
    card.count = 1;
    card.shows = shows;
    card.part = part;
    edit.after.mishaps.push_back(std::move(card));
    return {id, std::move(edit)};
}

int boxCount(const Book& book, const DressingId& pattern, const std::optional<HookId>& hook) {
    const Pattern* dressing = book.findPattern(pattern);
    int count = 0;
    for (const BoxFly& fly : book.box)
        if (dressing && isOn(fly, *dressing, hook)) count += fly.tied.value_or(1);
    return count;
}

Result<Edit> changeBoxCount(const Book& book, const DressingId& pattern, int tied, const std::optional<HookId>& hook) {
    const Pattern* dressing = book.findPattern(pattern);
    if (!dressing) return noSuch(Place("patterns"), "dressing", pattern);
    constexpr int kMost = 100000;
    if (tied < 0 || tied > kMost) return fail(Place("box"), say("expected from 0 to 100000 flies, got {}", std::to_string(tied)));
    Edit edit{say("{}: {} in the box", dressing->title(), std::to_string(tied)), book};
    const auto found = std::ranges::find_if(edit.after.box, [&](const BoxFly& fly) { return isOn(fly, *dressing, hook); });
    if (found != edit.after.box.end()) {
        found->tied = tied;
    } else {
        BoxFly& fly = edit.after.box.emplace_back();
        fly.id = freeIdIn(book.box, dressing->id);
        fly.pattern = dressing->id;
        fly.hook = hook.value_or(dressing->hook);
        fly.tied = tied;
    }
    return edit;
}

}  // namespace machair
