// What lies in the drawers falls as flies are tied: part-used feathers, capes by band, spools, packets and off-cuts; and
// what will run out, and when to buy.
#pragma once

#include "book/edits.h"
#include "cutting/cutting.h"
#include "cutting/hackles.h"
#include "cutting/laying_out.h"

namespace machair {

// So many of a dressing that were tied, of a batch or beside one.
struct TiedFlies {
    DressingId pattern;
    int flies = 1;
    std::optional<BatchId> batch = {};
};

// The slips out of their feathers, the hackles out of their bands, lengths and counts out of the stock, the flies into the
// box: one edit. Faults: no such dressing, a band that has no feather left. Stock never falls under nothing: what the tier
// had and did not count is not invented.
[[nodiscard]] Result<Edit> recordTied(const Book& book, const std::vector<TiedFlies>& tied, const CuttingPlan& cuts,
                                      const HacklesChosen& hackles);

// What a plan leaves uncut, as a tier says it: "3 × wing of Kelp Lantern, Slate quill: there is no left feather of it". What is
// alike, and for the same reason, is said once; a slip of a list of one's own by its id.
[[nodiscard]] std::vector<std::string> sayUncut(const Book& book, const CuttingPlan& plan);

// One more of a batch is tied: in the box, and out of the stock. A fault where all are.
// Minutes of hands, where they were timed, teach how long one takes.
[[nodiscard]] Result<Edit> tieOneOf(const Book& book, const BatchId& batch, std::optional<double> minutes = std::nullopt);

// Pieces of one length out of the off-cuts, the shortest that does it each time, and the rest off the spool. Off-cuts under
// kLeastOffcut are thrown away.
inline constexpr Length kLeastOffcut = 60.0 * mm;
struct FromOffcuts {
    std::vector<Length> left;  // the off-cuts that remain, longest first
    std::vector<Length> from;  // the off-cuts that pieces are taken of, as they were
    int pieces = 0;            // out of off-cuts
    int offSpool = 0;
};
[[nodiscard]] FromOffcuts cutFrom(std::vector<Length> offcuts, Length piece, int pieces);

// What the waiting batches want of each material that is counted, and whether it is there: what runs out first comes first,
// materials that aren't counted last.
struct StockWanted {
    MaterialId material;  // id
    std::string title;
    std::string has;  // "3.2 m", "12", "40 mg"; "not counted"
    std::string wants;
    std::optional<double> lasts;           // share of the want that is there, 1 or more where it is enough
    std::optional<std::string> runsOutIn;  // the batch's dressing in which it gives out
    std::optional<std::string> buyBy;      // that batch's day
    std::string buy;                       // how much is missing
    std::vector<double> leftAfter;         // after each batch that uses it, in their order: of what is there; below 0 it is out
    std::vector<std::string> uses;         // "12 of 96 mm, 1.15 m for Kelp Lantern"
};
[[nodiscard]] Result<std::vector<StockWanted>> stockWanted(const Book& book);

// Of a material: a record for it is added where there is none; empty text forgets it. `key` as in the file: length_m, count,
// mass_mg, offcuts_mm.
[[nodiscard]] Result<Edit> changeStock(const Book& book, const MaterialId& material, std::string_view key, std::string_view text);

// So much of a noodle, loop or rope was left over after a body, negative where it ran short; `made` is how long it was made
// where that isn't what the plan says. What was wound over what was reckoned is kept with the fur, by method and hook size,
// and the next one is made by it (models.md section 4). Faults: a part that is not dubbed from a fur of the drawers, less or
// more wound than any noodle could need.
[[nodiscard]] Result<Edit> learnFromLeftover(const Book& book, const Fly& fly, std::size_t part, Length left,
                                             std::optional<Length> made = {});

}  // namespace machair
