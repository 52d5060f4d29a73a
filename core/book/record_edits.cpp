#include "book/record_edits.h"

#include <algorithm>

#include "book/fields.h"
#include "book/find.h"
#include "book/lists.h"
#include "book/rule.h"
#include "book/team_edits.h"
#include "language/say.h"
#include "units/text.h"

namespace machair {

namespace {

Result<Found<Day>> dayIn(const Book& book, const DayId& day) { return findIn(book.days, "days", "day", day); }
Result<Found<Batch>> batchIn(const Book& book, const BatchId& batch) { return findIn(book.batches, "batches", "batch", batch); }

std::string titleOf(const Book& book, const DressingId& pattern) {
    const Pattern* found = book.findPattern(pattern);
    return found ? found->title() : std::string(pattern);
}

}  // namespace

Result<Edit> addDay(const Book& book, std::string_view date, const std::optional<WaterId>& water, std::optional<Length> wave) {
    const Place place = Place("days").at(book.days.size());
    if (!isDate(date)) return fail(notAsExpected(place.key("date"), say(kDate.noun), date));
    if (findById(book.days, date))
        return fail(place.key("date"), say("expected a day of its own, {} is in the daybook already", std::string(date)));
    Edit edit{say("a day on the water: {}", std::string(date)), book};
    Day day;
    day.date = std::string(date);
    day.id = DayId(date);
    day.water = water;
    day.wave = wave;
    if (const WaterSpec* known = water ? book.findWater(*water) : nullptr) {
        day.wind = known->wind;
        day.light = known->light;
        day.colour = known->colour;
        day.celsius = known->celsius;
        day.hatching = known->hatching;
    }
    putByDate(edit.after.days, std::move(day));
    return edit;
}

Day& putByDate(std::vector<Day>& days, Day day) {
    const auto after = std::ranges::upper_bound(days, day.date, {}, &Day::date);
    return *days.insert(after, std::move(day));
}

double hoursOf(const Day& day) {
    double hours = 0.0;
    for (const Outing& outing : day.outings)
        hours += outing.hours;
    return hours;
}

Faults checkHours(const Day& day, const Place& place) {
    constexpr double kDayHours = 24.0;
    const bool sound = std::ranges::all_of(day.outings, [](const Outing& outing) { return outing.hours > 0.0; });
    if (sound && hoursOf(day) <= kDayHours) return {};
    return {{place.key("outings"), say("expected hours over 0 and at most 24 in a day, got {}", formatShort(hoursOf(day), 1)), ""}};
}

Result<Edit> addOuting(const Book& book, const DayId& day, double hours, const FliesByPosition& team) {
    const auto found = dayIn(book, day);
    if (!found) return tl::unexpected(found.error());
    Day longer = *found->record;
    longer.outings.push_back({hours, team});
    if (Faults faults = checkHours(longer, found->place); !faults.empty()) return tl::unexpected(std::move(faults));
    Edit edit{say("{} h in the water on {}", formatShort(hours, 1), std::string(day)), book};
    edit.after.days[found->index] = std::move(longer);
    return edit;
}

Result<Edit> addFish(const Book& book, const DayId& day, Position position, const Fly& fly, Fate fate, std::optional<Length> depth) {
    const auto found = dayIn(book, day);
    if (!found) return tl::unexpected(found.error());
    Edit edit{say("a fish to {} on the {}{}", titleOf(book, fly.pattern), sayName(position),
                  fate == Fate::kept       ? say(", kept")
                  : fate == Fate::returned ? say(", returned")
                                           : say(", lost")),
              book};
    Fish fish;
    fish.pattern = fly.pattern;
    fish.hook = fly.hook;
    fish.position = position;
    fish.kept = fate == Fate::kept;
    fish.depth = depth;
    if (fate == Fate::lost) fish.lost = true;
    edit.after.days[found->index].fish.push_back(std::move(fish));
    return edit;
}

Result<Edit> addPhoto(const Book& book, const DayId& day, std::string_view file) {
    const auto found = dayIn(book, day);
    if (!found) return tl::unexpected(found.error());
    const auto& photos = found->record->photos;
    if (file.empty() || std::ranges::find(photos, file) != photos.end())
        return fail(found->place.key("photos"), say("expected a picture that the day hasn't yet, got \"{}\"", std::string(file)));
    Edit edit{say("a photograph of {}", std::string(day)), book};
    edit.after.days[found->index].photos.emplace_back(file);
    return edit;
}

Result<Edit> changeDayField(const Book& book, const DayId& day, std::string_view key, std::string_view text) {
    const auto found = dayIn(book, day);
    if (!found) return tl::unexpected(found.error());
    auto changed = withField(*found->record, key, text, found->place);
    if (!changed) return tl::unexpected(changed.error());
    Edit edit{std::string(day) + ": " + sayField(fieldsOf(*changed), key, text, say("not said")), book};
    edit.after.days[found->index] = std::move(*changed);
    return edit;
}

Result<Edit> changeDayNote(const Book& book, const DayId& day, std::string_view note) {
    const auto found = dayIn(book, day);
    if (!found) return tl::unexpected(found.error());
    Edit edit{say("a note of {}", std::string(day)), book};
    edit.after.days[found->index].note = trimmed(note).empty() ? std::nullopt : std::optional(std::string(trimmed(note)));
    return edit;
}

Result<Edit> changeBatchField(const Book& book, const BatchId& batch, std::string_view key, std::string_view text) {
    const auto found = batchIn(book, batch);
    if (!found) return tl::unexpected(found.error());
    const Batch& was = *found->record;
    const Place& place = found->place;
    auto changed = withField(was, key, text, place);
    if (!changed) return tl::unexpected(changed.error());
    if (changed->hook && !book.findHook(*changed->hook)) return noSuch(place.key("hook"), "hook", *changed->hook);
    if (changed->team && !book.findTeam(*changed->team)) return noSuch(place.key("team"), "team", *changed->team);
    Edit edit{titleOf(book, was.pattern) + ": " + sayField(fieldsOf(was), key, text, say("not said")), book};
    edit.after.batches[found->index] = std::move(*changed);
    return edit;
}

Result<Edit> addBatch(const Book& book, const DressingId& pattern, int wanted) {
    if (!book.findPattern(pattern)) return noSuch(Place("patterns"), "dressing", pattern);
    constexpr int kMost = 10000;
    if (wanted < 1 || wanted > kMost) return fail(Place("batches"), say("expected from 1 to 10000 flies, got {}", std::to_string(wanted)));
    Edit edit{say("{} of {} to tie", std::to_string(wanted), titleOf(book, pattern)), book};
    Batch batch;
    batch.id = freeIdIn(book.batches, "batch-" + std::to_string(book.batches.size() + 1));
    batch.pattern = pattern;
    batch.wanted = wanted;
    edit.after.batches.push_back(std::move(batch));
    return edit;
}

Result<Edit> tieOne(const Book& book, const BatchId& batch) {
    const auto found = batchIn(book, batch);
    if (!found) return tl::unexpected(found.error());
    const Batch& was = *found->record;
    if (was.tied.value_or(0) >= was.wanted)
        return fail(found->place.key("tied"), say("expected a fly left to tie, all {} are", std::to_string(was.wanted)));
    auto edit = changeBoxCount(book, was.pattern, boxCount(book, was.pattern, was.hook) + 1, was.hook);  // on the batch's own hook
    if (!edit) return edit;
    Batch& changed = edit->after.batches[found->index];
    changed.tied = changed.tied.value_or(0) + 1;
    edit->words = say("{}: {} of {} tied", titleOf(book, was.pattern), std::to_string(*changed.tied), std::to_string(changed.wanted));
    return edit;
}

}  // namespace machair
