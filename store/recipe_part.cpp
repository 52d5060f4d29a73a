// The words of one part: counts, lengths, manners and what it is made of, each marked as understood.
#include "store/recipe_reader.h"

#include <algorithm>
#include <array>
#include <cctype>
#include <cmath>
#include <tuple>

#include "book/fields.h"
#include "book/fitting.h"
#include "book/lists.h"
#include "book/part_material.h"
#include "book/spec_words.h"
#include "language/say.h"
#include "units/text.h"

namespace machair::store {

RecipeReader::Clause RecipeReader::clauseOf(std::string text, std::size_t at) {
    Clause clause{std::move(text), at, {}};
    clause.words = wordsIn(clause.text);
    return clause;
}

std::vector<RecipeReader::Clause> RecipeReader::clausesOf(const std::string& text, std::size_t at) {
    std::vector<Clause> list;
    std::size_t start = 0;
    while (start <= text.size()) {
        const std::size_t end = std::min(text.find_first_of(",;", start), text.size());
        const std::string_view own = trimmed(std::string_view(text).substr(start, end - start));
        if (!own.empty()) list.push_back(clauseOf(std::string(own), at + static_cast<std::size_t>(own.data() - text.data())));
        start = end + 1;
    }
    return list;
}

// Two things in a line make two parts: a second noun, once the first has its material.
bool RecipeReader::beginsAnother(const Made& made, const Clause& clause) const {
    if (!made.kind && !made.part.material) return false;
    if (made.part.kind != PartKind::tail && !isHackled(made.part.kind)) return false;
    for (const Word& word : clause.words) {
        if (isHackled(made.part.kind) && kindOfBird(word.text, PartKind::collar) == MaterialKind::hackle) return true;
        if (made.part.kind == PartKind::tail &&
            (word.text == "flash" || word.text == "crest" || kindOfNoun(word.text, PartKind::tail) == MaterialKind::plume))
            return true;
    }
    return false;
}

void RecipeReader::readClause(Made& made, Clause clause) {
    // What is named exactly is known, however short its words.
    if (!made.part.material) {
        const NamedMaterial named = materialNamedIn(book_, clause.text, made.part.kind);
        // "black hen fibres" are fibres, though Black hen is a hackle of the drawers.
        const bool other = named.made && std::ranges::any_of(clause.words, [&](const Word& word) {
                               const auto kind = kindOfNoun(word.text, made.part.kind);
                               return (word.from < named.from || word.to > named.to) && kind && *kind != named.made->kind;
                           });
        if (named.made && !other) {
            made.part.material = named.made->id;
            made.kind = named.made->kind;
            for (Word& word : clause.words)
                if (word.from >= named.from && word.to <= named.to) word.used = true;
        }
    }
    if (const auto same = wordAt(clause.words, "same"); same && !made.part.material) sameAs(made, clause, "");
    if (const auto it = wordAt(clause.words, "it"); it && *it > 0 && clause.words[*it - 1].text == "of" && !made.part.material) {
        sameAs(made, clause, "");
        use(clause.words, *it, 1);
    }
    if (const auto same = wordAt(clause.words, "do"); same && clause.words.size() == 1) sameAs(made, clause, "");
    for (std::size_t i = 0; i + 1 < clause.words.size(); ++i)
        if (clause.words[i].text == "as" && partHeading(clause.words[i + 1].text) && !made.part.material && i == 0) {
            sameAs(made, clause, clause.words[i + 1].text);
            use(clause.words, i, 2);
        }
    if (const auto same = wordAt(clause.words, "same")) use(clause.words, *same, 1);
    takeHackleTurns(made, clause);
    takeLength(made, clause);
    takeCounts(made, clause);
    takeManner(made, clause);
    takeMaterial(made, clause);
    keepRest(made, clause);
}

// "same", "as body": the material of the part named, or of the part before. "as tail, hen" takes only its colour.
void RecipeReader::sameAs(Made& made, const Clause& clause, std::string_view which) {
    const auto heading = which.empty() ? std::nullopt : partHeading(which);
    const Part* source = nullptr;
    for (const Part& part : read_.pattern.parts)
        if (!heading || part.kind == heading->kind) source = &part;
    if (!source || !source->material) {
        doubt(clause.at, clause.text, say("The same as what?"));
        return;
    }
    const Material* of = known(*source->material);
    if (of && isHackled(made.part.kind) && of->kind != MaterialKind::hackle) {
        for (const Word& word : wordsIn(of->title()))
            if (isColour(word.text)) {
                made.material.hard.push_back(word.text);
                made.material.said += (made.material.said.empty() ? "" : " ") + word.text;
            }
        return;
    }
    made.part.material = source->material;
    if (of) {
        made.kind = of->kind;
        std::ranges::move(leftByMaterial(made.part, *of), std::back_inserter(made.left));
    }
}

void RecipeReader::takeHackleTurns(Made& made, Clause& clause) {
    auto& words = clause.words;
    if (!isHackled(made.part.kind)) return;
    // "3 + 5"
    const std::size_t plus = clause.text.find('+');
    for (std::size_t i = 0; i + 1 < words.size(); ++i) {
        const auto first = countAt(words, i);
        if (!first || words[i].used) continue;
        const std::size_t next = i + first->words;
        const auto second = next < words.size() ? countAt(words, next) : std::nullopt;
        if (plus != std::string::npos && second && words[next - 1].to <= plus && words[next].from > plus) {
            made.part.kind = PartKind::palmer;
            if (!std::holds_alternative<PalmerPart>(made.part.detail)) made.part.detail = detailFor(PartKind::palmer);
            set(made, "shoulder_turns", sayCount(first->count));
            set(made, "open_turns", sayCount(second->count));
            return use(words, i, first->words + second->words);
        }
    }
    // "2-3 turns at shoulder then 3 open"
    const auto shoulder = wordAt(words, "shoulder"), open = wordAt(words, "open");
    if (!shoulder && !open) return;
    made.part.kind = PartKind::palmer;
    if (!std::holds_alternative<PalmerPart>(made.part.detail)) made.part.detail = detailFor(PartKind::palmer);
    const auto before = [&](std::size_t mark, const char* key) {
        for (std::size_t i = 0; i < mark; ++i) {
            const auto count = countAt(words, i);
            if (!count || words[i].used) continue;
            const std::size_t after = i + count->words;
            const bool near = mark - after <= 3;
            if (!near) continue;
            set(made, key, sayCount(count->count));
            use(words, i, mark + 1 - i);
            return;
        }
    };
    if (shoulder) before(*shoulder, "shoulder_turns");
    if (open) before(*open, "open_turns");
}

void RecipeReader::takeCounts(Made& made, Clause& clause) {
    auto& words = clause.words;
    const PartKind kind = made.part.kind;
    const bool strands = kind == PartKind::body || kind == PartKind::thorax;
    struct Unit {
        std::string_view word;
        const char* key;
    };
    const std::vector<Unit> units = {{"turns", kind == PartKind::palmer ? "open_turns" : "turns"},
                                     {"turn", kind == PartKind::palmer ? "open_turns" : "turns"},
                                     {"fibres", strands ? "strands" : "fibres"},
                                     {"fibre", strands ? "strands" : "fibres"},
                                     {"fibers", strands ? "strands" : "fibres"},
                                     {"strands", strands ? "strands" : "fibres"},
                                     {"strand", strands ? "strands" : "fibres"},
                                     {"knots", "knots"},
                                     {"layers", "layers"},
                                     {"degrees", "angle_deg"},
                                     {"widths", "layers"}};
    for (std::size_t i = 0; i < words.size(); ++i) {
        if (words[i].used) continue;
        const auto count = countAt(words, i);
        if (!count) continue;
        const std::size_t next = i + count->words;
        const auto unit = next < words.size() ? std::ranges::find(units, std::string_view(words[next].text), &Unit::word) : units.end();
        if (unit != units.end()) {
            const Part before = made.part;
            set(made, unit->key, sayCount(count->count));
            if (!(made.part == before)) {
                use(words, i, count->words + 1);
                if (count->about) doubt(clause.at + words[i].from, clause.text, say("\"Or so\": is {} right?", sayCount(count->count)));
                continue;
            }
        }
        // A number before the material counts it: "2 cream plumes", "five turkey tail fibres", "6 knotted turkey".
        const char* key = kind == PartKind::wing                              ? "count"
                          : kind == PartKind::legs || kind == PartKind::cheek ? "count"
                          : kind == PartKind::tail                            ? "fibres"
                                                                              : nullptr;
        if (!key || next >= words.size() || words[next].text == "mm" || words[next].text == "cm" || words[next].text == "in") continue;
        const Part before = made.part;
        set(made, key, sayCount(count->count));
        if (!(made.part == before)) {
            use(words, i, count->words);
            if (i + count->words < words.size() && words[i + count->words].text == "of") use(words, i + count->words, 1);
        }
    }
    for (Word& word : words)  // the nouns of counts that stay are no materials
        if (!word.used && (word.text == "strands" || word.text == "turns" || word.text == "turn")) word.used = true;
}

namespace {

// A part whose length can be said of itself; the others' lengths are those of what they lie on.
bool hasLength(PartKind kind) {
    return kind != PartKind::rib && kind != PartKind::underbody && kind != PartKind::body && kind != PartKind::thorax &&
           kind != PartKind::thread && kind != PartKind::bead;
}

std::optional<LengthSpec> specIn(std::string_view text) {
    auto spec = readSpec(text, Place());
    return spec ? std::optional(std::move(*spec)) : std::nullopt;
}

std::string_view yardstickIn(std::string_view plural) {
    return plural == "bodies" ? "body" : plural == "shanks" ? "shank" : plural == "gapes" ? "gape" : std::string_view();
}

}  // namespace

void RecipeReader::takeLength(Made& made, Clause& clause) {
    for (std::size_t i = 0; i < clause.words.size(); ++i)
        takeMeasure(made, clause, i);
    if (hasLength(made.part.kind) && !takeLengthToMark(made, clause)) takeLengthOfPart(made, clause);
}

// "4 mm", "1/4 in", "one and a half bodies" at a word.
void RecipeReader::takeMeasure(Made& made, Clause& clause, std::size_t i) {
    auto& words = clause.words;
    const auto count = countAt(words, i);
    if (!count || words[i].used) return;
    const bool lengthy = hasLength(made.part.kind);
    const std::size_t next = i + count->words;
    const std::string_view unit = next < words.size() ? std::string_view(words[next].text) : std::string_view();
    const auto after = clause.text.substr(words[next - 1].to);
    const bool quote = after.starts_with("\"") || after.starts_with("″") || after.starts_with("”");
    const bool inches = quote || unit == "in" || unit == "inch" || unit == "inches";
    if (unit != "mm" && unit != "cm" && !inches) {
        const std::string_view yard = yardstickIn(unit);
        if (yard.empty() || !lengthy) return;
        set(made, "length", formatExact(count->count.middle()) + " of the " + std::string(yard));
        return use(words, i, count->words + 1);
    }
    constexpr double kFine = 1e6;  // no digits that an inch in binary adds
    const double length = std::round(kFine * count->count.middle() * (inches ? 25.4 : unit == "cm" ? 10.0 : 1.0)) / kFine;
    if (made.part.kind == PartKind::bead) made.diameter = length;
    use(words, i, count->words + (quote ? 0 : 1));
    if (!lengthy) return;
    set(made, "length", formatExact(length) + " mm");
    if (const auto overall = wordAt(words, "overall")) {
        use(words, *overall, 1);
        doubt(clause.at + words[i].from, clause.text, say("Overall: is that the tail's length, or the whole fly's?"),
              {{"the tail", formatExact(length) + " mm"}}, static_cast<int>(read_.pattern.parts.size()), "length");
    }
    if (const auto of = wordAt(words, "it")) use(words, *of, 1);
}

// "to the point", "half the body", "as long as the shank".
bool RecipeReader::takeLengthToMark(Made& made, Clause& clause) {
    const std::string low = lowered(clause.text);
    for (const std::string_view begin : {"length of the", "as long as the", "to the", "to", "past the", "half the", "two thirds of the",
                                         "a third of the", "three quarters of the"}) {
        const std::size_t at = low.find(begin);
        if (at == std::string::npos || (at > 0 && clause.text[at - 1] != ' ')) continue;
        std::string phrase = low.substr(at);
        if (begin == "length of the") phrase = "as long as the" + phrase.substr(begin.size());
        auto spec = specIn(phrase);
        if (!spec && begin == "to") spec = specIn("to the" + phrase.substr(begin.size()));
        if (!spec) continue;
        set(made, "length", writeSpec(*spec));
        for (Word& word : clause.words)
            if (word.from >= at) word.used = true;
        return true;
    }
    return false;
}

// "0.8 of the shank", "0.8 shank"
void RecipeReader::takeLengthOfPart(Made& made, Clause& clause) {
    auto& words = clause.words;
    for (std::size_t i = 0; i < words.size(); ++i) {
        if (words[i].used || !std::isdigit(static_cast<unsigned char>(words[i].text[0]))) continue;
        const auto spec = specIn(lowered(clause.text).substr(words[i].from));
        if (!spec) continue;
        set(made, "length", writeSpec(*spec));
        return use(words, i, words.size() - i);
    }
}

bool RecipeReader::takePhrase(Clause& clause, std::string_view text) {
    const std::size_t at = lowered(clause.text).find(text);
    if (at == std::string::npos) return false;
    for (Word& word : clause.words)
        if (word.from >= at && word.to <= at + text.size()) word.used = true;
    return true;
}

void RecipeReader::takeManner(Made& made, Clause& clause) {
    const PartKind kind = made.part.kind;
    takeSense(made, clause);
    if (isHackled(kind)) return mannerOfHackle(made, clause);
    if (kind == PartKind::body || kind == PartKind::thorax) return mannerOfBody(made, clause);
    if (kind == PartKind::wing || kind == PartKind::tail) return mannerOfWing(made, clause);
    if (kind == PartKind::legs && takePhrase(clause, "knotted") && !std::get<LegsPart>(made.part.detail).knots)
        doubt(clause.at, clause.text, say("How many knots has each leg?"), {{"one", "1"}, {"two", "2"}},
              static_cast<int>(read_.pattern.parts.size()), "knots");
    if (kind == PartKind::cheek) takePhrase(clause, "each side");
}

// Which way round it is wound, and along what.
void RecipeReader::takeSense(Made& made, Clause& clause) {
    auto& words = clause.words;
    const PartKind kind = made.part.kind;
    for (const std::string_view counter : {"against the thread", "against the body", "counter-wound", "counterwound", "counter"})
        if (takePhrase(clause, counter)) {
            set(made, "direction", "counter");
            break;
        }
    if (kind == PartKind::rib || kind == PartKind::body)
        if (const auto opposite = wordAt(words, "opposite")) {
            use(words, *opposite, 1);
            doubt(clause.at + words[*opposite].from, clause.text, say("Opposite: the other sense, or the other travel?"),
                  {{"the other sense", "counter"}, {"the same sense, the other way along", "with"}},
                  static_cast<int>(read_.pattern.parts.size()), "direction");
        }
    if (kind != PartKind::rib) return;
    if (takePhrase(clause, "over all")) set(made, "along", "all");
    if (takePhrase(clause, "over the tinsel only") || takePhrase(clause, "tinsel part only") || takePhrase(clause, "over the tinsel"))
        set(made, "along", "0");
}

void RecipeReader::mannerOfHackle(Made& made, Clause& clause) {
    if (takePhrase(clause, "by the tip")) set(made, "tie_in", "tip");
    if (takePhrase(clause, "by the butt")) set(made, "tie_in", "butt");
    if (takePhrase(clause, "hollow side in") || takePhrase(clause, "good side out")) return;
    const std::string low = lowered(clause.text);
    if (wordAt(clause.words, "palmered") || low.find("down the body") != std::string::npos ||
        low.find("palmered down it") != std::string::npos) {
        made.part.kind = PartKind::palmer;
        if (!std::holds_alternative<PalmerPart>(made.part.detail)) made.part.detail = detailFor(PartKind::palmer);
        for (const std::string_view way : {"palmered down it", "down the body", "palmered"})
            takePhrase(clause, way);
    }
    for (const std::string_view usual : {"in front", "at the head", "upright"})
        if (takePhrase(clause, usual)) return;
}

void RecipeReader::mannerOfBody(Made& made, Clause& clause) {
    for (const std::string_view twisted : {"twisted with the silk", "twisted with the thread", "twisted with thread", "twisted"})
        if (takePhrase(clause, twisted)) {
            set(made, "twisted", "yes");
            break;
        }
    if (takePhrase(clause, "no taper") || takePhrase(clause, "level")) set(made, "method", "level");
    if (takePhrase(clause, "in a loop") || takePhrase(clause, "dubbing loop")) set(made, "method", "loop");
    for (const std::string_view manner : {"picked out", "brushed out", "teased out", "well picked out"})
        if (takePhrase(clause, manner)) made.left.emplace_back(manner);  // understood: it is how the fly is finished
    if (takePhrase(clause, "small bump") || takePhrase(clause, "a bump") || takePhrase(clause, "hot spot"))
        made.kind = MaterialKind::thread;  // a bump is no ball: thread alone
}

void RecipeReader::mannerOfWing(Made& made, Clause& clause) {
    for (const std::string_view style : {"rolled", "paired", "upright", "cloak", "slip"})
        if (wordAt(clause.words, style)) {
            set(made, "style", std::string(style));
            made.styled = true;
            if (style != "slip") takePhrase(clause, style);
        }
    if (made.part.kind != PartKind::wing) return;
    if (takePhrase(clause, "divided")) set(made, "style", "upright");
    for (const std::string_view low : {"tied low", "low over the body", "low"})
        if (takePhrase(clause, low)) return;
}

void RecipeReader::takeMaterial(Made& made, Clause& clause) {
    takeFirstOfTwo(made, clause);
    if (made.part.material) return;
    decideKind(made, clause.words);
    takeDescription(made, clause.words);
}

// "dark partridge or grouse": the first is taken, the second kept and asked.
void RecipeReader::takeFirstOfTwo(Made& made, Clause& clause) {
    auto& words = clause.words;
    if (const auto either = wordAt(words, "or"); either && *either > 0 && *either + 1 < words.size() && !made.part.material) {
        const std::string rest = clause.text.substr(words[*either + 1].from);
        if (std::any_of(words.begin() + static_cast<std::ptrdiff_t>(*either), words.end(), [&](const Word& w) {
                return !w.used && (isBird(w.text) || isColour(w.text) || kindOfNoun(w.text, made.part.kind));
            })) {
            doubt(clause.at + words[*either].from, clause.text, say("Which of the two? The first is taken; \"{}\" stays as a note.", rest),
                  {{clause.text.substr(0, words[*either].from), ""}, {rest, ""}}, static_cast<int>(read_.pattern.parts.size()), "");
            made.left.push_back("or " + rest);
            use(words, *either, words.size());
        }
    }
}

// "turkey tail fibres", "pheasant tail": the last noun decides; a bird only where there is none.
void RecipeReader::decideKind(Made& made, const std::vector<Word>& words) const {
    std::optional<std::size_t> decides;
    for (std::size_t i = 0; i < words.size(); ++i) {
        if (words[i].used) continue;
        if (const auto kind = kindOfNoun(words[i].text, made.part.kind)) {
            const bool weak = words[i].text == "flat" || (words[i].text == "tinsel" && made.kind == MaterialKind::oval) ||
                              words[i].text == "mask" || words[i].text == "hare's" || words[i].text == "seal's" ||
                              words[i].text == "brass" || words[i].text == "tungsten" || words[i].text == "slip";
            if (!decides || !weak) {
                made.kind = kind;
                made.material.noun = words[i].text;
                decides = i;
            }
        }
    }
    if (!decides)
        for (std::size_t i = 0; i < words.size(); ++i)
            if (!words[i].used && !made.kind)
                if (const auto kind = kindOfBird(words[i].text, made.part.kind)) {
                    made.kind = kind;
                    decides = i;
                }
    if (isHackled(made.part.kind) && !made.kind)  // a hackle it is; of what bird is asked
        if (std::ranges::any_of(words, [](const Word& w) { return !w.used && isColour(w.text); })) made.kind = MaterialKind::hackle;
}

// What is said of it besides: colours, birds and metals it must have, the rest it had better.
void RecipeReader::takeDescription(Made& made, std::vector<Word>& words) const {
    for (Word& word : words) {
        if (word.used) continue;
        const bool noun = kindOfNoun(word.text, made.part.kind).has_value();
        const bool hard = isColour(word.text) || isBird(word.text) || word.text == "saddle" || word.text == "cape";
        const bool metal = word.text == "brass" || word.text == "tungsten" || word.text == "steel" || word.text == "lead";
        if (hard || metal)
            made.material.hard.push_back(word.text);
        else if (isSoftAdjective(word.text) || noun)
            made.material.soft.push_back(word.text);
        else
            continue;
        if (word.text != "thin" && word.text != "thick" && word.text != "small") {
            word.used = true;
            const bool piece = word.text == "slip" || word.text == "slips";
            if (!piece) made.material.said += (made.material.said.empty() ? "" : " ") + word.text;
        }
    }
}

// Words that nobody understood: the part's note, and a doubt.
void RecipeReader::keepRest(Made& made, const Clause& clause) {
    std::size_t from = std::string::npos, to = 0;
    bool vague = false;
    for (const Word& word : clause.words) {
        if (word.used || isFiller(word.text)) continue;
        from = std::min(from, word.from);
        to = std::max(to, word.to);
        vague = vague || isVague(word.text);
    }
    if (from == std::string::npos) return;
    const std::string words = clause.text.substr(from, to - from);
    made.left.push_back(words);
    const std::string part(nameOf(made.part.kind));
    doubt(clause.at + from, words,
          vague ? say("How much is \"{}\" for the {}? It stays as a note; the usual is planned.", words, part)
                : say("What does \"{}\" mean for the {}?", words, part),
          {}, static_cast<int>(read_.pattern.parts.size()));
}

void RecipeReader::chooseMaterial(Made& made) {
    const PartKind kind = made.part.kind;
    const int index = static_cast<int>(read_.pattern.parts.size());
    const std::string part(nameOf(kind));
    if (made.part.material || made.part.from) return;
    if (!made.kind && kind == PartKind::head) return;  // of the thread
    if (!made.kind) {                                  // no noun: the kinds that it may be, from the drawers
        MaterialWords words = made.material;
        std::vector<RecipeChoice> choices;
        for (const MaterialKind one : kindsFor(kind)) {
            const MaterialFound found = findMaterial(book_, one, words);
            if (found.made && !words.hard.empty()) choices.push_back({found.made->title(), found.made->id});
        }
        constexpr std::size_t kMost = 6;
        if (choices.size() > kMost) choices.resize(kMost);
        doubt(made.at, made.says, say("What is the {} made of? The usual stands in for it.", part), std::move(choices), index, "material");
        if (!made.material.said.empty()) made.left.push_back(made.material.said);
        return;
    }
    if (*made.kind == MaterialKind::thread && made.material.hard.empty()) {  // the tying silk itself
        ofThread_.insert(read_.pattern.parts.size());
        return;
    }
    const bool bird = *made.kind == MaterialKind::hackle && std::ranges::none_of(made.material.hard, [](const std::string& w) {
        return isBird(w) || w == "saddle" || w == "cape";
    });
    MaterialFound found = findMaterial(book_, *made.kind, made.material);
    if (*made.kind == MaterialKind::bead && made.diameter) found = beadOf(*made.diameter, made.material);
    if (found.made && !found.doubtful && !(bird && found.choices.size() > 1)) {
        made.part.material = found.made->id;
    } else if (found.made) {
        made.part.material = found.made->id;
        doubt(made.at, made.says,
              bird ? say("Of which bird is the hackle? {} stands in.", found.made->title())
                   : say("Which {} is it? {} stands in.", std::string(nameOf(*made.kind)), found.made->title()),
              found.choices, index, "material");
    } else {
        Material fresh = newMaterial(book_, read_.materials, *made.kind, made.material);
        if (auto* bead = std::get_if<BeadTraits>(&fresh.traits); bead && made.diameter) {
            bead->diameter = *made.diameter * mm;
            fresh.name = fresh.title() + " " + formatShort(*made.diameter, 2);
        }
        const auto there =
            std::ranges::find_if(read_.materials, [&](const Material& m) { return m.name == fresh.name && m.kind == fresh.kind; });
        made.part.material = there == read_.materials.end() ? fresh.id : there->id;
        doubt(made.at, made.says, say("The drawers have no {}: it is new and nominal. Or is it one of these?", fresh.title()),
              found.choices, index, "material");
        if (there == read_.materials.end()) read_.materials.push_back(std::move(fresh));
    }
}

// The bead of that size whose metal and colour are as said.
MaterialFound RecipeReader::beadOf(double diameter, const MaterialWords& words) const {
    constexpr double kSame = 0.1;  // mm
    Book sized;
    for (const Material& material : book_.materials) {
        const auto* bead = std::get_if<BeadTraits>(&material.traits);
        if (bead && bead->diameter && std::abs(*bead->diameter / mm - diameter) <= kSame) sized.materials.push_back(material);
    }
    MaterialFound found = findMaterial(sized, MaterialKind::bead, words);
    if (found.made) found.made = book_.findMaterial(found.made->id);
    if (!found.made) found.choices = findMaterial(book_, MaterialKind::bead, words).choices;
    return found;
}

}  // namespace machair::store
