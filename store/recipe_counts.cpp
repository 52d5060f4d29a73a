// Counts as recipes say them: "five evenly spaced turns", "tail fibres (6)", "claret hen x 2.5", "2 cream plumes".
#include <algorithm>
#include <array>

#include "language/say.h"
#include "store/recipe_reader.h"

namespace machair::store {

namespace {

// Says how turns lie, between their number and their noun.
bool isMannerOfTurns(std::string_view word) {
    constexpr std::array<std::string_view, 14> kManners = {"extra", "open", "even",  "evenly", "spaced", "close",    "touching",
                                                           "full",  "firm", "tight", "neat",   "wide",   "complete", "equal"};
    return isOneOf(kManners, word);
}

struct Unit {
    std::string_view word;
    const char* key;
};

// What a unit counts in such a part; nothing where it is no unit.
const char* keyOf(std::string_view unit, PartKind kind) {
    const bool strands = kind == PartKind::body || kind == PartKind::thorax;
    if (unit == "turns" || unit == "turn") return kind == PartKind::palmer ? "open_turns" : "turns";
    if (unit == "fibres" || unit == "fibre" || unit == "fibers" || unit == "strands" || unit == "strand")
        return strands ? "strands" : "fibres";
    if (unit == "hairs") return kind == PartKind::wing ? "count" : "fibres";
    constexpr std::array kUnits = {Unit{"herls", "strands"}, Unit{"knots", "knots"}, Unit{"layers", "layers"}, Unit{"widths", "layers"},
                                   Unit{"degrees", "angle_deg"}};
    const auto found = std::ranges::find(kUnits, unit, &Unit::word);
    return found == kUnits.end() ? nullptr : found->key;
}

}  // namespace

// Whether the part has such a number, and takes this one.
bool RecipeReader::takeCount(Made& made, const char* key, const Count& count) const {
    const Part before = made.part;
    set(made, key, sayCount(count));
    return !(made.part == before);
}

void RecipeReader::takeCounts(Made& made, Clause& clause) {
    auto& words = clause.words;
    for (std::size_t i = 0; i < words.size(); ++i) {
        const auto count = words[i].used ? std::nullopt : countAt(words, i);
        if (!count) continue;
        if (takeCountOfUnit(made, clause, i, *count) || takeLoneCount(made, clause, i, *count)) continue;
        takeCountOfMaterial(made, clause, i, *count);
    }
    for (std::size_t i = 0; i + 1 < words.size(); ++i)  // "evenly spaced turns", without a number
        if (!words[i].used && isMannerOfTurns(words[i].text) && (isMannerOfTurns(words[i + 1].text) || words[i + 1].text == "turns"))
            use(words, i, 2);
    for (std::size_t i = 0; i < words.size(); ++i) {  // the nouns of counts that stay are no materials
        const bool counted = i > 0 && !words[i - 1].used && countAt(words, i - 1);
        if (!words[i].used && !counted && (words[i].text == "strands" || words[i].text == "turns" || words[i].text == "turn"))
            words[i].used = true;
    }
}

// "Five open turns", "about 20 hairs"
bool RecipeReader::takeCountOfUnit(Made& made, Clause& clause, std::size_t i, const CountRead& count) {
    auto& words = clause.words;
    std::size_t noun = i + count.words;
    while (noun < words.size() && isMannerOfTurns(words[noun].text))
        ++noun;
    const char* key = noun < words.size() ? keyOf(words[noun].text, made.part.kind) : nullptr;
    if (!key || !takeCount(made, key, count.count)) return false;
    use(words, i, noun + 1 - i);
    const bool about = i > 0 && (words[i - 1].text == "about" || words[i - 1].text == "around" || words[i - 1].text == "some");
    if (about) use(words, i - 1, 1);
    if (count.about || about) doubt(clause.at + words[i].from, clause.text, say("\"Or so\": is {} right?", sayCount(count.count)));
    return true;
}

// "Pheasant tail fibres (5)", "teal fibres, 6 to 8", "claret hen x 2.5".
bool RecipeReader::takeLoneCount(Made& made, Clause& clause, std::size_t i, const CountRead& count) const {
    auto& words = clause.words;
    const std::size_t next = i + count.words, end = words[next - 1].to;
    const bool times = i > 0 && (words[i - 1].text == "x" || words[i - 1].text == "×") && next == words.size() &&
                       (isHackled(made.part.kind) || made.part.kind == PartKind::rib);
    const bool bracketed =
        words[i].from > 0 && clause.text[words[i].from - 1] == '(' && end < clause.text.size() && clause.text[end] == ')';
    if (!times && !bracketed && count.words != words.size()) return false;
    const std::array keys = {"strands", "fibres", "open_turns", "turns", "count"};
    if (std::ranges::none_of(keys, [&](const char* key) { return takeCount(made, key, count.count); })) return false;
    use(words, times ? i - 1 : i, count.words + (times ? 1 : 0));
    return true;
}

// A number before the material counts it: "2 cream plumes", "five turkey tail fibres", "6 knotted turkey".
void RecipeReader::takeCountOfMaterial(Made& made, Clause& clause, std::size_t i, const CountRead& count) const {
    auto& words = clause.words;
    const PartKind kind = made.part.kind;
    const std::size_t next = i + count.words;
    const bool many = kind == PartKind::wing || kind == PartKind::legs || kind == PartKind::cheek;
    if ((!many && kind != PartKind::tail) || next >= words.size()) return;
    if (words[next].text == "mm" || words[next].text == "cm" || words[next].text == "in") return;
    const bool counts = std::any_of(words.begin() + static_cast<std::ptrdiff_t>(next), words.end(),
                                    [&](const Word& w) { return kindOfNoun(w.text, kind) || isBird(w.text) || isColour(w.text); });
    if (!counts || !takeCount(made, many ? "count" : "fibres", count.count)) return;
    use(words, i, count.words + (words[next].text == "of" ? 1 : 0));
}

}  // namespace machair::store
