// Lengths and places as recipes say them: "4 mm", "one gape long", "tips level with the bend", "just longer than the body".
#include <algorithm>
#include <array>
#include <cmath>

#include "book/fields.h"
#include "book/spec_words.h"
#include "language/say.h"
#include "store/recipe_reader.h"
#include "units/text.h"

namespace machair::store {

namespace {

// A part whose length can be said of itself; the others' lengths are those of what they lie on.
bool hasLength(PartKind kind) {
    return kind != PartKind::rib && kind != PartKind::underbody && kind != PartKind::body && kind != PartKind::thorax &&
           kind != PartKind::thread && kind != PartKind::bead;
}

struct Rewording {
    std::string_view said, means;
};
// In turn, each wherever it stands as whole words.
constexpr std::array kRewordings = {Rewording{"half the length of", "half"},
                                    Rewording{"twice the length of", "twice"},
                                    Rewording{"times the length of", "times"},
                                    Rewording{"thirds the length of", "thirds of"},
                                    Rewording{"thirds of the length of", "thirds of"},
                                    Rewording{"quarters the length of", "quarters of"},
                                    Rewording{"quarters of the length of", "quarters of"},
                                    Rewording{"thirds the", "thirds of the"},
                                    Rewording{"quarters the", "quarters of the"},
                                    Rewording{"gap", "gape"},
                                    Rewording{"gape width", "gape"},
                                    Rewording{"hook gape", "gape"},
                                    Rewording{"hook point", "point"},
                                    Rewording{"hook's point", "point"},
                                    Rewording{"hook bend", "bend"},
                                    Rewording{"hook's bend", "bend"},
                                    Rewording{"hook barb", "barb"},
                                    Rewording{"hook shank", "shank"},
                                    Rewording{"hook's shank", "shank"},
                                    Rewording{"of the hook", ""},
                                    Rewording{"of hook", ""},
                                    Rewording{"end of the tail", "tail"},
                                    Rewording{"tip of the tail", "tail"},
                                    Rewording{"tips of the tail", "tail"},
                                    Rewording{"tail's end", "tail"},
                                    Rewording{"end of tail", "tail"},
                                    Rewording{"tip of tail", "tail"},
                                    Rewording{"end of body", "body end"},
                                    Rewording{"end of the body", "body end"},
                                    Rewording{"outside of the bend", "back of the bend"},
                                    Rewording{"rear of the bend", "back of the bend"},
                                    Rewording{"end of the bend", "back of the bend"},
                                    Rewording{"start of the bend", "bend"},
                                    Rewording{"to reach", "to"},
                                    Rewording{"reaching to", "to"},
                                    Rewording{"reaching", "to"},
                                    Rewording{"extending to", "to"},
                                    Rewording{"as far as", "to"},
                                    Rewording{"level with", "to"},
                                    Rewording{"in line with", "to"},
                                    Rewording{"up to", "to"},
                                    Rewording{"back to", "to"},
                                    Rewording{"just to", "to"},
                                    Rewording{"ending at", "to"},
                                    Rewording{"the same length as", "as long as"},
                                    Rewording{"same length as", "as long as"},
                                    Rewording{"equal in length to", "as long as"},
                                    Rewording{"equal to", "as long as"},
                                    Rewording{"the length of", "as long as"},
                                    Rewording{"length of", "as long as"},
                                    Rewording{"a shank length", "as long as the shank"},
                                    Rewording{"shank length", "as long as the shank"},
                                    Rewording{"a body length", "as long as the body"},
                                    Rewording{"body length", "as long as the body"},
                                    Rewording{"in length", ""},
                                    Rewording{"long", ""}};

std::string reworded(std::string text) {
    text = " " + text + " ";
    for (const Rewording& one : kRewordings) {
        if (one.said == "long" && !text.ends_with(" long ")) continue;  // "as long as" is none
        const std::string said = " " + std::string(one.said) + " ";
        for (std::size_t at = text.find(said); at != std::string::npos; at = text.find(said, at))
            text.replace(at, said.size(), one.means.empty() ? " " : " " + std::string(one.means) + " ");
    }
    return std::string(trimmed(text));
}

// A length measured by the fly or the hook; one in mm is read apart, as "wide" may follow it, or "overall".
std::optional<LengthSpec> specIn(const std::string& said) {
    auto spec = readSpec(reworded(said), Place());
    if (!spec || std::holds_alternative<Length>(spec->value)) return std::nullopt;
    return std::move(*spec);
}

// A tail as long as the tail says nothing.
bool isOf(const LengthSpec& spec, PartKind kind) {
    const PartRef* ref = nullptr;
    if (const auto* ratio = std::get_if<Ratio>(&spec.value)) ref = std::get_if<PartRef>(&ratio->of);
    if (const auto* reach = std::get_if<Reach>(&spec.value)) ref = std::get_if<PartRef>(&reach->to);
    const auto* own = ref ? std::get_if<PartKind>(&ref->which) : nullptr;
    return own && *own == kind;
}

std::string wordsOf(const std::vector<Word>& words, std::size_t from, std::size_t to) {
    std::string text;
    for (std::size_t i = from; i < to; ++i)
        text += (i == from ? "" : " ") + words[i].text;
    return text;
}

bool anyUsed(const std::vector<Word>& words, std::size_t from, std::size_t to) {
    return std::any_of(words.begin() + static_cast<std::ptrdiff_t>(from), words.begin() + static_cast<std::ptrdiff_t>(to),
                       [](const Word& w) { return w.used; });
}

std::string_view yardstickIn(std::string_view word) {
    if (word == "body" || word == "bodies") return "body";
    if (word == "shank" || word == "shanks") return "shank";
    if (word == "gape" || word == "gapes" || word == "gap" || word == "gaps") return "gape";
    return {};
}

// What a length is measured by stands last in it: the rest of a long recipe needn't be tried.
bool endsALength(std::string_view word) {
    constexpr std::array<std::string_view, 25> kEnds = {"shank", "gape",   "gap",    "body", "point",  "bend", "barb", "eye", "tail",
                                                        "hook",  "wing",   "collar", "rib",  "throat", "head", "butt", "tag", "thorax",
                                                        "bead",  "length", "long",   "bars", "bar",    "end",  "spear"};
    return isOneOf(kEnds, word);
}

constexpr std::size_t kLongestPhrase = 12;  // words: "one and a half times the length of the hook shank"

}  // namespace

void RecipeReader::takeLength(Made& made, Clause& clause) {
    const bool taken = hasLength(made.part.kind) && (takeComparison(made, clause) || takeLengthOfMark(made, clause));
    for (std::size_t i = 0; !taken && i < clause.words.size(); ++i)
        takeMeasure(made, clause, i);
    if (std::ranges::any_of(clause.words, [](const Word& w) { return w.used && endsALength(w.text); }))  // "fibre length = 1 gape"
        if (const auto length = wordAt(clause.words, "length")) use(clause.words, *length, 1);
}

// "4 mm", "1/4 in", "one and a half bodies", "one gape long", "1.5 times the shank", "3 mm wide" at a word.
void RecipeReader::takeMeasure(Made& made, Clause& clause, std::size_t i) {
    auto& words = clause.words;
    const auto count = countAt(words, i);
    if (!count || words[i].used) return;
    const bool lengthy = hasLength(made.part.kind);
    std::size_t next = i + count->words;
    const std::string_view unit = next < words.size() ? std::string_view(words[next].text) : std::string_view();
    const auto after = clause.text.substr(words[next - 1].to);
    const bool quote = after.starts_with("\"") || after.starts_with("″") || after.starts_with("”");
    const bool inches = quote || unit == "in" || unit == "inch" || unit == "inches";
    if (unit != "mm" && unit != "cm" && !inches) {
        constexpr std::array<std::string_view, 6> kBetween = {"times", "x", "×", "of", "the", "hook"};
        while (next < words.size() && isOneOf(kBetween, words[next].text))
            ++next;
        const std::string_view yard = next < words.size() ? yardstickIn(words[next].text) : std::string_view();
        if (yard.empty() || !lengthy) return;
        ++next;
        const bool half = next + 2 < words.size() && wordsOf(words, next, next + 3) == "and a half";  // "one gape and a half long"
        if (half) next += 3;
        const bool deep = next < words.size() && (words[next].text == "deep" || words[next].text == "wide");
        setIfTaken(made, deep ? words[next].text == "deep" ? "depth" : "width" : "length",
                   formatExact(count->count.middle() + (half ? 0.5 : 0.0)) + " of the " + std::string(yard), clause, i, next);
        if (next < words.size() && (deep || words[next].text == "long")) use(words, next, 1);
        return;
    }
    constexpr double kFine = 1e6;  // no digits that an inch in binary adds
    const double length = std::round(kFine * count->count.middle() * (inches ? 25.4 : unit == "cm" ? 10.0 : 1.0)) / kFine;
    if (made.part.kind == PartKind::bead) made.diameter = length;
    next += quote ? 0 : 1;
    const std::string_view along = next < words.size() ? std::string_view(words[next].text) : std::string_view();
    if (along == "wide" || along == "broad" || along == "deep") {
        setIfTaken(made, along == "deep" ? "depth" : "width", formatExact(length) + " mm", clause, i, next + 1);
        return;
    }
    if (along == "thick" || along == "diameter" || (!lengthy && !made.diameter)) return;  // no length: asked
    use(words, i, next - i);
    if (!lengthy) return;
    if (along == "long") use(words, next, 1);
    set(made, "length", formatExact(length) + " mm");
    if (const auto overall = wordAt(words, "overall")) {
        use(words, *overall, 1);
        doubt(clause.at + words[i].from, clause.text, say("Overall: is that the tail's length, or the whole fly's?"),
              {{"the tail", formatExact(length) + " mm"}}, static_cast<int>(read_.pattern.parts.size()), "length");
    }
    if (const auto of = wordAt(words, "it")) use(words, *of, 1);
}

void RecipeReader::setIfTaken(Made& made, const char* key, const std::string& text, Clause& clause, std::size_t from,
                              std::size_t to) const {
    auto changed = withField(made.part, key, text, Place());
    if (!changed) return;  // this part has no such measure: the words stay, and are asked
    made.part = std::move(*changed);
    use(clause.words, from, to - from);
}

// "to the point", "half the body", "tips reaching the end of the tail", "one and a half times the shank": the longest stretch of
// its words that says a length.
bool RecipeReader::takeLengthOfMark(Made& made, Clause& clause) {
    auto& words = clause.words;
    for (std::size_t from = 0; from < words.size(); ++from) {
        // "Over the front half of the body" is a place.
        constexpr std::array<std::string_view, 8> kPlaced = {"front", "rear", "over", "through", "along", "down", "last", "first"};
        if (from > 0 && (isOneOf(kPlaced, words[from - 1].text) || (!words[from - 1].used && countAt(words, from - 1)))) continue;
        for (std::size_t to = std::min(words.size(), from + kLongestPhrase); to > from; --to) {
            if (!endsALength(words[to - 1].text) || anyUsed(words, from, to)) continue;
            const std::string said = wordsOf(words, from, to);
            if (takeLengthOfHook(made, clause, said, from, to)) return true;
            const auto spec = specIn(said);
            if (!spec || isOf(*spec, made.part.kind)) continue;
            set(made, "length", writeSpec(*spec));
            use(words, from, to - from);
            for (Word& word : words)  // "tips of the wing", "fibres": what it is the length of
                if (word.to <= words[from].from && (word.text == "tips" || word.text == "ends" || word.text == "just")) word.used = true;
            return true;
        }
    }
    return false;
}

// "As long as the hook": from the eye to where? The shank stands in, and it is asked.
bool RecipeReader::takeLengthOfHook(Made& made, Clause& clause, const std::string& said, std::size_t from, std::size_t to) {
    if (reworded(said) != "as long as the hook") return false;
    const std::string shank = writeSpec(ratioOf(1.0, Yardstick::shank)), bend = writeSpec(reachTo(Landmark::rearmost));
    set(made, "length", shank);
    use(clause.words, from, to - from);
    doubt(clause.at + clause.words[from].from, clause.text, say("As long as the hook: as its shank, or back to its bend?"),
          {{specInLanguage(shank), shank}, {specInLanguage(bend), bend}}, static_cast<int>(read_.pattern.parts.size()), "length");
    return true;
}

namespace {

struct Comparison {
    std::string_view words, of;
    std::array<std::string_view, 2> byHowMuch;
};
constexpr std::array kComparisons = {Comparison{"past", "to the ", {"0.5 mm past the ", "1 mm past the "}},
                                     Comparison{"beyond", "to the ", {"0.5 mm past the ", "1 mm past the "}},
                                     Comparison{"short of", "to the ", {"0.5 mm short of the ", "1 mm short of the "}},
                                     Comparison{"longer than", "as long as the ", {"1.1 of the ", "1.25 of the "}},
                                     Comparison{"shorter than", "as long as the ", {"0.9 of the ", "0.75 of the "}}};

// A comparison in words[from, to): what it is with ("the body"), and the length that this has.
struct Compared {
    const Comparison* how = nullptr;
    std::string mark;
    LengthSpec with;
    std::size_t from = 0, to = 0;
};

std::optional<Compared> comparedAt(const std::vector<Word>& words, std::size_t i) {
    for (const Comparison& one : kComparisons) {
        const std::size_t own = one.words.find(' ') == std::string_view::npos ? 1 : 2;
        if (i + own >= words.size() || wordsOf(words, i, i + own) != one.words) continue;
        if (i > 0 && (words[i - 1].text == "mm" || countAt(words, i - 1))) continue;  // it says by how much
        for (std::size_t to = std::min(words.size(), i + own + kLongestPhrase / 2); to > i + own; --to) {
            std::string mark = reworded(wordsOf(words, i + own, to));
            for (const std::string_view article : {"the ", "its "})
                if (mark.starts_with(article)) mark.erase(0, article.size());
            if (mark == "hook") mark = one.of.starts_with("to") ? "back of the bend" : "shank";
            constexpr std::array<std::string_view, 9> kALittle = {"just",  "slightly", "little",    "a",    "well",
                                                                  "shade", "reaching", "extending", "touch"};
            std::size_t from = i;
            while (from > 0 && isOneOf(kALittle, words[from - 1].text))
                --from;
            if (const auto with = specIn(std::string(one.of) + mark)) return Compared{&one, mark, *with, from, to};
        }
    }
    return std::nullopt;
}

}  // namespace

// "Just past the point", "slightly longer than the body": its mark is taken, and by how much is asked.
bool RecipeReader::takeComparison(Made& made, Clause& clause) {
    auto& words = clause.words;
    for (std::size_t i = 0; i < words.size(); ++i) {
        const auto found = comparedAt(words, i);
        if (!found) continue;
        const std::string said = clause.text.substr(words[found->from].from, words[found->to - 1].to - words[found->from].from);
        set(made, "length", writeSpec(found->with));
        use(words, found->from, found->to - found->from);
        made.left.push_back(said);
        std::vector<RecipeChoice> choices;
        for (const std::string_view by : found->how->byHowMuch)
            if (const auto length = specIn(std::string(by) + found->mark))
                choices.push_back({specInLanguage(saySpec(*length)), writeSpec(*length)});
        doubt(clause.at + words[found->from].from, said,
              say("How much is \"{}\"? Planned is {}.", said, specInLanguage(saySpec(found->with))), std::move(choices),
              static_cast<int>(read_.pattern.parts.size()), "length");
        return true;
    }
    return false;
}

// "From the shoulder to the tail", "wound back to the bend": where a hackle is wound is no length of its fibres.
void RecipeReader::takePath(Made& made, Clause& clause) {
    auto& words = clause.words;
    constexpr std::array<std::string_view, 9> kWay = {"wound", "wind", "winding", "palmered", "palmer", "run", "taken", "back", "down"};
    constexpr std::array<std::string_view, 6> kMarks = {"tail", "rear", "bend", "tag", "butt", "end"};
    std::optional<std::size_t> starts;
    for (std::size_t i = 0; i < words.size(); ++i) {
        if (words[i].text == "from" || (!starts && isOneOf(kWay, words[i].text))) starts = i;
        if (words[i].text != "to" || !starts) continue;
        const std::size_t mark = i + (i + 1 < words.size() && words[i + 1].text == "the" ? 2 : 1);
        if (mark >= words.size()) return;
        const bool whole = isOneOf(kMarks, words[mark].text);
        if (!whole && words[*starts].text != "from" && words[mark].text != "body") return;
        if (whole && made.part.kind != PartKind::palmer) becomePalmer(made);
        const std::size_t first = words[*starts].text == "from" ? *starts : i;
        for (std::size_t k = first; k <= mark; ++k)
            if (!countAt(words, k) || words[k].text == "to") words[k].used = true;
        return;
    }
}

// "Stopping above the point", "to opposite the barb": where a body ends. "To the thorax" it reaches anyway.
void RecipeReader::takeBodyEnd(Made& made, Clause& clause) {
    if (made.part.kind != PartKind::body) return;
    auto& words = clause.words;
    for (const std::string_view usual : {"to the thorax", "to the head", "to the eye", "to the shoulder"})
        takePhrase(clause, usual);
    constexpr std::array<std::string_view, 6> kAt = {"at", "above", "opposite", "over", "to", "with"};
    constexpr std::array<std::string_view, 12> kBefore = {"stopping", "stopped", "stops",    "ending", "ends",  "end",
                                                          "finished", "taken",   "finishes", "level",  "wound", "down"};
    for (std::size_t i = 0; i < words.size(); ++i) {
        if (words[i].used || !isOneOf(kAt, words[i].text)) continue;
        for (std::size_t to = std::min(words.size(), i + 6); to > i + 1; --to) {
            std::size_t named = i + 1;
            while (named + 1 < to && (words[named].text == "the" || isOneOf(kAt, words[named].text)))
                ++named;
            const std::string mark = reworded(wordsOf(words, named, to));
            if (mark != "point" && mark != "barb" && mark != "bend") continue;
            set(made, "end", "at the " + mark);
            const std::size_t from = i > 0 && isOneOf(kBefore, words[i - 1].text) ? i - 1 : i;
            return use(words, from, to - from);
        }
    }
}

}  // namespace machair::store
