#include "daybook/box.h"

#include <algorithm>
#include <functional>
#include <map>

#include "book/find.h"
#include "book/flies.h"
#include "daybook/rates.h"
#include "language/say.h"
#include "units/text.h"

namespace machair {

std::vector<BoxRow> boxRows(const Book& book) {
    std::vector<BoxRow> rows;
    for (const BoxFly& fly : book.box) {
        const Pattern* pattern = book.findPattern(fly.pattern);
        const HookSpec* hook = pattern ? hookOf(book, flyOf(fly)) : nullptr;
        rows.push_back({fly.id, fly.pattern, pattern ? pattern->title() : fly.pattern, hook ? hook->size : 0,
                        !hook || hook->barb.value_or(true), fly.tied.value_or(1), std::min(fly.chewed.value_or(0), fly.tied.value_or(1)),
                        fly.lost.value_or(0)});
    }
    return rows;
}

std::string sayAnswers(const Book& book, int month) {
    std::map<std::string, int> sound;
    for (const BoxRow& row : boxRows(book))
        sound[row.pattern] += row.sound();
    std::string said;
    for (const SeasonRow& row : book.season) {
        if (!row.includes(month)) continue;
        std::vector<std::string> has, wants;
        for (const Pattern& pattern : book.patterns) {
            const bool named = std::ranges::find(row.dressings, pattern.id) != row.dressings.end() ||
                               (row.suits && row.suits->find(pattern.title()) != std::string::npos);
            if (!named) continue;
            if (const int left = sound[pattern.id]; left > 0)
                has.push_back(pattern.title() + " (" + std::to_string(left) + ")");
            else
                wants.push_back(pattern.title());
        }
        if (has.empty() && wants.empty()) continue;
        said += (said.empty() ? "" : "\n") + row.creature + ": " +
                (has.empty() ? say("nothing in the box, tie {}", sayNames(wants))
                             : say("the box has {}{}", sayNames(has), wants.empty() ? "" : say("; to tie: {}", sayNames(wants))));
    }
    return said;
}

Result<Edit> boxEvent(const Book& book, std::string_view boxFly, BoxEvent event) {
    const auto found = findIn(book.box, "box", unsaid("fly of the box"), boxFly);
    if (!found) return tl::unexpected(found.error());
    const auto& [index, place, inBox] = *found;
    const Pattern* pattern = book.findPattern(inBox->pattern);
    const std::string title = pattern ? pattern->title() : inBox->pattern;
    Edit edit{{}, book};
    BoxFly& fly = edit.after.box[index];
    int tied = fly.tied.value_or(1), chewed = std::min(fly.chewed.value_or(0), tied), lost = fly.lost.value_or(0);
    const auto none = [&, index = index](const char* what) {
        return fail(Place("box").at(index), say("{}{} fly of {} in the box, got none", say("expected a "), what, title),
                    say("put one in first"));
    };
    switch (event) {
        case BoxEvent::tied: ++tied; break;
        case BoxEvent::chewed:
            if (chewed == tied) return none("sound");
            ++chewed;
            break;
        case BoxEvent::mended:
            if (chewed == 0) return none("chewed");
            --chewed;
            break;
        case BoxEvent::lost:
            if (tied == 0) return none("tied");
            if (chewed == tied) --chewed;  // no sound one is left: it was a chewed one
            --tied;
            ++lost;
            break;
        case BoxEvent::thrownAway:
            if (chewed == 0) return none("chewed");
            --chewed;
            --tied;
            break;
    }
    fly.tied = tied;
    fly.chewed = chewed > 0 ? std::optional(chewed) : std::nullopt;
    fly.lost = lost > 0 ? std::optional(lost) : std::nullopt;
    edit.words = say("{}: {} in the box{}{}", title, std::to_string(tied), chewed > 0 ? say(", {} chewed", std::to_string(chewed)) : "",
                     lost > 0 ? say(", {} lost", std::to_string(lost)) : "");
    return edit;
}

std::vector<TieNext> tieNext(const Book& book, int month) {
    const auto rates = ratesBy(book, Factor::fly);
    double hours = 0.0, mean = 0.0;
    for (const Rate& rate : rates) {
        hours += rate.hours;
        mean += rate.mean() / static_cast<double>(rates.size());
    }
    std::map<std::string, int> sound, waiting;
    for (const BoxRow& row : boxRows(book))
        sound[row.pattern] += row.sound();
    for (const Batch& batch : book.batches)
        waiting[batch.pattern] += batch.left();
    std::string suits;
    for (const SeasonRow& row : book.season)
        if (row.includes(month)) suits += row.suits.value_or("") + "\n";
    std::vector<TieNext> list;
    for (const Pattern& pattern : book.patterns) {
        TieNext next{pattern.id, pattern.title(), 0.0, sound[pattern.id], waiting[pattern.id], {}};
        const auto rate = std::ranges::find(rates, pattern.title(), &Rate::name);
        const bool fished = rate != rates.end();
        const double use = ((fished ? rate->hours : 0.0) + 1.0) / (hours + 1.0);
        const double worth = fished && mean > 0.0 ? rate->mean() / mean : 1.0;
        const bool named = suits.find(pattern.title()) != std::string::npos;
        const bool others =
            !named && std::ranges::any_of(book.patterns, [&](const Pattern& p) { return suits.find(p.title()) != std::string::npos; });
        next.want = use * worth * (others ? 0.5 : 1.0) / (1.0 + std::max(0, next.sound));
        next.why = say("{} sound left", std::to_string(next.sound));
        if (next.waiting > 0) next.why += say(", {} wait to be tied", std::to_string(next.waiting));
        next.why += fished ? say(", fished {} h, {} fish a rod-hour", formatShort(rate->hours, 1), formatNumber(rate->mean(), 2))
                           : say(", never fished");
        if (named) next.why += say(", in season");
        list.push_back(std::move(next));
    }
    std::ranges::stable_sort(list, std::greater{}, &TieNext::want);
    return list;
}

}  // namespace machair
