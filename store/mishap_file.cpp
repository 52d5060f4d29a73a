#include "store/mishap_file.h"

#include <algorithm>

#include "language/say.h"
#include "store/json_parse.h"

namespace machair::store {

namespace {

std::string textAt(const Json& record, const char* key) {
    const auto found = record.find(key);
    return found != record.end() && found->is_string() ? found->get<std::string>() : std::string();
}

template <class Enum>
std::optional<Enum> namedAt(const Json& record, const char* key, const Place& place, Faults& faults) {
    const std::string text = textAt(record, key);
    if (const auto known = fromName<Enum>(text)) return known;
    std::string names;
    for (const auto& entry : Names<Enum>::entries)
        names += (names.empty() ? "" : ", ") + std::string(entry.name);
    faults.push_back({place.key(key), say("expected one of {}, got \"{}\"", names, text), {}});
    return std::nullopt;
}

template <class Enum>
std::vector<Enum> listAt(const Json& record, const char* key, const Place& place, Faults& faults) {
    std::vector<Enum> list;
    const auto found = record.find(key);
    if (found == record.end() || !found->is_array()) return list;
    std::size_t i = 0;
    for (const Json& one : *found) {
        const std::string text = one.is_string() ? one.get<std::string>() : std::string();
        if (const auto known = fromName<Enum>(text))
            list.push_back(*known);
        else
            faults.push_back({place.key(key).at(i), say("expected a kind that is known, got \"{}\"", text), {}});
        ++i;
    }
    return list;
}

}  // namespace

Result<std::vector<MishapCard>> readMishaps(std::string_view json) {
    const auto parsed = parseJson(json);
    if (!parsed) return tl::unexpected(parsed.error());
    const Json& file = *parsed;
    if (!file.is_object() || textAt(file, "format") != "machair-mishaps") return fail(Place("format"), say("expected \"machair-mishaps\""));
    const auto list = file.find("mishaps");
    if (list == file.end() || !list->is_array()) return fail(Place("mishaps"), say("expected a list of cards"));
    std::vector<MishapCard> cards;
    Faults faults;
    std::size_t i = 0;
    for (const Json& record : *list) {
        const Place place = Place("mishaps").at(i++);
        if (!record.is_object()) {
            faults.push_back({place, say("expected a card, got something else"), {}});
            continue;
        }
        MishapCard card;
        card.id = textAt(record, "id");
        card.shows = textAt(record, "shows");
        card.thisFly = textAt(record, "this_fly");
        card.nextFly = textAt(record, "next_fly");
        card.seenBy = textAt(record, "seen_by");
        if (card.id.empty() || card.shows.empty())
            faults.push_back({place.key(card.id.empty() ? "id" : "shows"), say("expected words, got none"), {}});
        if (std::ranges::find(cards, card.id, &MishapCard::id) != cards.end())
            faults.push_back({place.key("id"), say("expected an id of its own, got \"{}\" again", card.id), {}});
        if (const auto when = namedAt<Shows>(record, "when", place, faults)) card.when = *when;
        if (const auto undo = namedAt<Undo>(record, "undo", place, faults)) card.undo = *undo;
        card.parts = listAt<PartKind>(record, "parts", place, faults);
        card.madeOf = listAt<MaterialKind>(record, "made_of", place, faults);
        cards.push_back(std::move(card));
    }
    if (!faults.empty()) return tl::unexpected(std::move(faults));
    return cards;
}

}  // namespace machair::store
