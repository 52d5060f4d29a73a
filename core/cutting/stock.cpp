#include "cutting/stock.h"

#include <algorithm>

#include "book/team_edits.h"

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

}  // namespace machair
