#include "cutting/stock.h"

#include <algorithm>

#include "book/team_edits.h"
#include "units/text.h"

namespace machair {

Result<Edit> recordTied(const Book& book, std::string_view pattern, int flies, const CuttingPlan& cuts, const HacklesChosen& hackles) {
    int before = 0;
    const Pattern* dressing = book.findPattern(pattern);
    if (!dressing) return noSuch(Place("patterns"), "dressing", pattern);
    for (const BoxFly& fly : book.box)
        if (fly.pattern == pattern && fly.hook.value_or(dressing->hook) == dressing->hook) before += fly.tied.value_or(1);
    auto edit = changeBoxCount(book, pattern, before + flies);
    if (!edit) return edit;
    edit->after.feathers = afterCutting(std::move(edit->after.feathers), cuts);
    for (const HackleServed& served : hackles.served) {
        CapeBand& band = edit->after.capes.at(served.cape).bands.at(served.band);
        if (band.count == 0) return fail(Place("capes").at(served.cape).key("bands").at(served.band), "expected a feather in this band, got none", "plan the batch again");
        --band.count;
    }
    edit->words = dressing->title() + ": " + std::to_string(flies) + " tied, " + std::to_string(before + flies) + " in the box";
    return edit;
}

Result<Edit> learnFromLeftover(const Book& book, std::string_view pattern, std::size_t part, Length left) {
    const auto plan = planPattern(book, pattern);
    if (!plan) return tl::unexpected(plan.error());
    const Place place = Place("patterns").at(book.indexOfPattern(pattern)).key("parts").at(part);
    const auto* body = part < plan->parts.size() ? std::get_if<BodyPlan>(&plan->parts[part].detail) : nullptr;
    const auto* fur = body && plan->parts[part].material ? std::get_if<DubbingTraits>(&plan->parts[part].made.traits) : nullptr;
    if (!fur || !(body->noodle || body->rope)) return fail(place, "expected a body that is dubbed from a fur of the drawers");
    const double before = fur->correction.value_or(1.0);
    const Length made = before * (body->rope ? *body->rope : *body->noodle);
    if (left >= made) return fail(place, "expected less left over than the " + formatNumber(made / mm, 0) + " mm that were made, got " + formatNumber(left / mm, 0) + " mm");
    constexpr double kTrust = 0.5;
    const double after = std::clamp(before * (1.0 - kTrust * (left / made)), 0.2, 3.0);
    return changeMaterialField(book, *plan->parts[part].material, "correction", formatNumber(after, 3), Source::measured);
}

}  // namespace machair
