// A tier's data as one value. Two homes keep it (formats.md); both hold the same.
#pragma once

#include <optional>
#include <string>
#include <vector>

#include "book/days.h"
#include "book/feathers.h"
#include "book/teams.h"
#include "book/waters.h"
#include "dressing/pattern.h"
#include "hook/hook.h"
#include "material/material.h"

namespace machair {

struct Book {
    Book();
    Book(const Book&);
    Book(Book&&) noexcept;
    Book& operator=(const Book&);
    Book& operator=(Book&&) noexcept;
    ~Book();

    std::vector<HookSpec> hooks;
    std::vector<Material> materials;
    std::vector<Pattern> patterns;
    std::vector<TeamSpec> teams;
    std::vector<VaneFeather> feathers;
    std::vector<CutList> cutLists;
    std::vector<Cape> capes;
    std::vector<Stock> stock;
    std::vector<TeamSchool> teamSchools;  // of the tier's own, beside the four that ship
    std::vector<WaterSpec> waters;
    std::vector<RuleCard> ruleCards;
    std::vector<BoxFly> box;
    std::vector<SeasonRow> season;
    std::vector<Mishap> mishaps;
    std::vector<Batch> batches;
    std::vector<CheckedFly> checks;
    std::vector<Day> days;
    std::optional<SchoolChoices> schools;  // the tier's own, for every dressing that says nothing else
    Carried carried;
    bool operator==(const Book&) const;

    [[nodiscard]] const HookSpec* findHook(const HookId& id) const;
    [[nodiscard]] const Material* findMaterial(const MaterialId& id) const;
    [[nodiscard]] const Pattern* findPattern(const DressingId& id) const;
    [[nodiscard]] const TeamSpec* findTeam(const TeamId& id) const;
    [[nodiscard]] const Stock* findStock(const MaterialId& material) const;
    [[nodiscard]] const CutList* findCutList(const CutListId& id) const;
    [[nodiscard]] const TeamSchool* findTeamSchool(const SchoolId& id) const;
    [[nodiscard]] const WaterSpec* findWater(const WaterId& id) const;
    [[nodiscard]] const RuleCard* findRuleCard(const RuleCardId& id) const;
    [[nodiscard]] Pattern* findPattern(const DressingId& id);
    [[nodiscard]] std::size_t indexOfPattern(const DressingId& id) const;  // size() where there is none
};

// Everything that is wrong between the records: ids used twice (the fault stands at the second), hooks, materials and
// dressings that are named but missing, teams without a fly, parts referred to that the dressing hasn't, and hooks
// that contradict themselves. Empty for a sound book.
[[nodiscard]] Faults check(const Book& book);
// The same less what only keeps a dressing from being tied: a book with such a one is read, and it is marked.
[[nodiscard]] Faults checkToRead(const Book& book);

// Of fur as it lies on the hook: its own where it was measured, of a blend the mean by parts of weight, else its texture's.
[[nodiscard]] Density packedDensity(const Material& fur, const Book& book);

// What a part of a kind can be made of; a part of anything else would have no meaning there.
[[nodiscard]] bool canBeMadeOf(PartKind part, MaterialKind material);

}  // namespace machair
