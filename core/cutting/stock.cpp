#include "cutting/stock.h"

#include <algorithm>
#include <functional>

#include "book/fields.h"
#include "book/find.h"
#include "book/lists.h"
#include "book/record_edits.h"
#include "book/rule.h"
#include "book/team_edits.h"
#include "language/say.h"
#include "units/text.h"

namespace machair {

namespace {

// Lengths, counts and weights of so many flies out of the stock.
void takeOut(std::vector<Stock>& stock, const Plan& plan, int flies) {
    for (const LaidOut& laid : layOut(plan, flies)) {
        const auto found = std::ranges::find(stock, laid.material, &Stock::material);
        if (found == stock.end()) continue;
        if (laid.length) {
            FromOffcuts cut = cutFrom(found->offcuts, *laid.length, flies);
            found->offcuts = std::move(cut.left);
            if (found->length) found->length = std::max(0.0 * mm, *found->length - static_cast<double>(cut.offSpool) * *laid.length);
        }
        if (laid.count && found->count) found->count = std::max(0.0, *found->count - *laid.count * flies);
        if (laid.mass && found->mass) found->mass = std::max(0.0, *found->mass - *laid.mass / mg * flies);
    }
}

// How much of it there is, in the unit it is laid out by.
std::optional<double> amountThere(const Stock& stock, const LaidOut& laid) {
    if (laid.length) {
        if (!stock.length && stock.offcuts.empty()) return std::nullopt;
        Length sum = stock.length.value_or(0.0 * mm);
        for (const Length offcut : stock.offcuts)
            sum += offcut;
        return sum / metre;
    }
    return laid.mass ? stock.mass : stock.count;
}
double wantedOf(const LaidOut& laid) { return laid.length ? *laid.length / metre : laid.mass ? *laid.mass / mg : laid.count.value_or(0.0); }
std::string unitOfStock(const LaidOut& laid) { return laid.length ? " m" : laid.mass ? " mg" : ""; }
int decimalsOf(const LaidOut& laid) { return laid.length ? 2 : 0; }

}  // namespace

FromOffcuts cutFrom(std::vector<Length> offcuts, Length piece, int pieces) {
    FromOffcuts cut;
    std::ranges::sort(offcuts);
    std::vector<bool> touched(offcuts.size(), false);
    const std::vector<Length> whole = offcuts;
    for (; cut.pieces < pieces; ++cut.pieces) {
        std::size_t best = offcuts.size();  // what is left after cuts is no longer in order
        for (std::size_t i = 0; i < offcuts.size(); ++i)
            if (offcuts[i] >= piece && (best == offcuts.size() || offcuts[i] < offcuts[best])) best = i;
        if (best == offcuts.size()) break;
        offcuts[best] -= piece;
        touched[best] = true;
    }
    cut.offSpool = pieces - cut.pieces;
    for (std::size_t i = 0; i < offcuts.size(); ++i) {
        if (touched[i]) cut.from.push_back(whole[i]);
        if (!touched[i] || offcuts[i] >= kLeastOffcut) cut.left.push_back(offcuts[i]);
    }
    std::ranges::sort(cut.left, std::greater{});
    return cut;
}

namespace {

// "wing of Kelp Lantern, Slate quill" of the slip "kelp-lantern.4#2"; a slip of a list by its own name.
std::string saySlip(const Book& book, std::string_view slip) {
    const auto titled = [&](const std::string& what, const MaterialId& of) {
        const Material* made = book.findMaterial(of);
        return made ? what + ", " + made->title() : what;
    };
    const std::size_t fly = slip.rfind('#'), dot = slip.substr(0, fly).rfind('.');
    const auto place = dot == std::string_view::npos ? std::nullopt : parseNumber(slip.substr(dot + 1, fly - dot - 1));
    if (const Pattern* pattern = place ? book.findPattern(DressingId(slip.substr(0, dot))) : nullptr;
        pattern && *place >= 0.0 && *place < static_cast<double>(pattern->parts.size())) {
        const Part& part = pattern->parts[static_cast<std::size_t>(*place)];
        return titled(say("{} of {}", sayName(part.kind), pattern->title()), part.material.value_or(""));
    }
    for (const CutList& list : book.cutLists)
        if (const SlipWanted* own = findById(list.slips, slip)) return titled(own->id, own->material);
    return std::string(slip);
}

}  // namespace

std::vector<std::string> sayUncut(const Book& book, const CuttingPlan& plan) {
    struct Alike {
        std::string what, why;
        int slips = 0;
    };
    std::vector<Alike> list;
    for (const Uncut& uncut : plan.uncut) {
        const std::string what = saySlip(book, uncut.slip);
        const auto same = std::ranges::find_if(list, [&](const Alike& one) { return one.what == what && one.why == uncut.why; });
        ++(same == list.end() ? list.emplace_back(Alike{what, uncut.why}) : *same).slips;
    }
    std::vector<std::string> said;
    for (const Alike& one : list)
        said.push_back((one.slips > 1 ? std::to_string(one.slips) + " × " : "") + one.what + ": " + one.why);
    return said;
}

Result<Edit> tieOneOf(const Book& book, const BatchId& batch, std::optional<double> minutes) {
    auto edit = tieOne(book, batch);
    if (!edit) return edit;
    if (const auto plan = planFly(book, flyOf(*findById(book.batches, batch)), Place("batches"))) takeOut(edit->after.stock, *plan, 1);
    if (minutes) findById(edit->after.batches, batch)->minutes.push_back(*minutes);
    return edit;
}

Result<std::vector<StockWanted>> stockWanted(const Book& book) {
    std::vector<StockWanted> list;
    std::vector<double> wanted;
    Faults faults;
    for (const Batch& batch : book.batches) {
        const int left = std::min(kMostFlies, batch.left());
        if (left <= 0) continue;
        const auto plan = planFly(book, flyOf(batch), Place("batches"));
        if (!plan) {
            append(faults, plan.error());  // what can be tied is bought for all the same
            continue;
        }
        for (const LaidOut& laid : layOut(*plan, left)) {
            if (laid.material.empty()) continue;
            auto at = std::ranges::find(list, laid.material, &StockWanted::material);
            if (at == list.end()) {
                const Material* material = book.findMaterial(laid.material);
                list.push_back(
                    {laid.material, material ? material->title() : laid.material, say("not counted"), {}, {}, {}, {}, {}, {}, {}});
                wanted.push_back(0.0);
                at = list.end() - 1;
            }
            double& sum = wanted[static_cast<std::size_t>(at - list.begin())];
            sum += wantedOf(laid) * left;
            at->uses.push_back(say("{} for {}", laid.all, plan->pattern.title()));
            at->wants = formatNumber(sum, decimalsOf(laid)) + unitOfStock(laid);
            at->buy = at->wants;
            const Stock* stock = book.findStock(laid.material);
            const auto there = stock ? amountThere(*stock, laid) : std::nullopt;
            if (!there) continue;
            at->has = formatNumber(*there, decimalsOf(laid)) + unitOfStock(laid);
            at->lasts = sum > 0.0 ? *there / sum : 1.0;
            at->leftAfter.push_back(*there > 0.0 ? 1.0 - sum / *there : -1.0);
            at->buy = *there >= sum ? "" : formatNumber(sum - *there, decimalsOf(laid)) + unitOfStock(laid);
            if (*there < sum && !at->runsOutIn) {
                at->runsOutIn = plan->pattern.title();
                at->buyBy = batch.day;
            }
        }
    }
    if (list.empty() && !faults.empty()) return tl::unexpected(std::move(faults));
    std::ranges::stable_sort(list, [](const StockWanted& a, const StockWanted& b) {
        return a.lasts.has_value() != b.lasts.has_value() ? a.lasts.has_value() : a.lasts.value_or(0.0) < b.lasts.value_or(0.0);
    });
    return list;
}

Result<Edit> changeStock(const Book& book, const MaterialId& material, std::string_view key, std::string_view text) {
    const Material* found = book.findMaterial(material);
    if (!found) return noSuch(Place("stock"), "material", material);
    const auto at = std::ranges::find(book.stock, material, &Stock::material);
    const auto index = static_cast<std::size_t>(at - book.stock.begin());
    Stock stock;
    stock.id = freeIdIn(book.stock, "stock-" + found->id);
    stock.material = found->id;
    if (at != book.stock.end()) stock = *at;
    auto changed = withField(stock, key, text, Place("stock").at(index));
    if (!changed) return tl::unexpected(changed.error());
    const std::string label = fieldLabel(fieldsOf(*changed), key);
    Edit edit{found->title() + ": " + (text.empty() ? say("{} not counted", label) : std::string(text) + " " + label), book};
    if (at == book.stock.end())
        edit.after.stock.push_back(std::move(*changed));
    else
        edit.after.stock[index] = std::move(*changed);
    return edit;
}

Result<Edit> recordTied(const Book& book, const std::vector<TiedFlies>& tied, const CuttingPlan& cuts, const HacklesChosen& hackles) {
    Edit edit{{}, book};
    for (const TiedFlies& some : tied) {
        const Pattern* dressing = book.findPattern(some.pattern);
        if (!dressing) return noSuch(Place("patterns"), "dressing", some.pattern);
        // On the batch's own hook: cut for it, taken out of stock for it, boxed on it.
        const Batch* batch = findById(book.batches, some.batch);
        const std::optional<HookId> hook = batch ? batch->hook : std::nullopt;
        const int before = boxCount(edit.after, some.pattern, hook);
        auto boxed = changeBoxCount(edit.after, some.pattern, before + some.flies, hook);
        if (!boxed) return boxed;
        edit.after = std::move(boxed->after);
        edit.words += say("{}{}: {} tied, {} in the box", edit.words.empty() ? "" : ", ", dressing->title(), std::to_string(some.flies),
                          std::to_string(before + some.flies));
        if (const auto plan = batch ? planFly(book, flyOf(*batch), Place("batches")) : planFly(book, Fly(some.pattern), Place("patterns")))
            takeOut(edit.after.stock, *plan, some.flies);
        for (Batch& tiedOf : edit.after.batches)
            if (tiedOf.id == some.batch) tiedOf.tied = tiedOf.tied.value_or(0) + some.flies;
    }
    edit.after.feathers = afterCutting(std::move(edit.after.feathers), cuts);
    for (const HackleServed& served : hackles.served) {
        CapeBand& band = edit.after.capes.at(served.cape).bands.at(served.band);
        if (band.count == 0)
            return fail(Place("capes").at(served.cape).key("bands").at(served.band), say("expected a feather in this band, got none"),
                        say("plan the batch again"));
        --band.count;
    }
    return edit;
}

Result<Edit> learnFromLeftover(const Book& book, const Fly& fly, std::size_t part, Length left, std::optional<Length> made) {
    const auto plan = planFly(book, fly, Place("patterns"));
    if (!plan) return tl::unexpected(plan.error());
    const Place place = Place("patterns").at(book.indexOfPattern(fly.pattern)).key("parts").at(part);
    const auto* body = part < plan->parts.size() ? std::get_if<BodyPlan>(&plan->parts[part].detail) : nullptr;
    const auto* fur = body && plan->parts[part].material ? std::get_if<DubbingTraits>(&plan->parts[part].made.traits) : nullptr;
    if (!fur || !body->made) return fail(place, say("expected a body that is dubbed from a fur of the drawers"));
    const Length wound = made.value_or(*body->made) - left;
    const double share = wound / *body->noodle;
    if (!kCorrection.allows(share))
        return fail(place,
                    say("expected from {} to {} times the {} mm reckoned to be wound, got {} mm", formatNumber(kCorrection.low, 1),
                        formatNumber(kCorrection.high, 0), formatNumber(*body->noodle / mm, 0), formatNumber(wound / mm, 0)),
                    say("say how long it was made as well"));
    DubbingTraits taught = *fur;
    taught.wound = withWound(std::move(taught.wound), {body->method, plan->hook.size(), std::round(1000.0 * share) / 1000.0});
    Material material = *book.findMaterial(*plan->parts[part].material);
    material.traits = taught;
    const auto fields = fieldsOf(material);
    const auto field = std::ranges::find(fields, "wound", &Field::key);
    return changeMaterialField(book, material.id, "wound", field->text, Source::measured);
}

}  // namespace machair
