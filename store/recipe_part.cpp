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

namespace {

bool follows(const std::vector<Word>& words, const Word& word, std::string_view before) {
    return &word != words.data() && (&word - 1)->text == before;
}

// Nouns that make a thing of their own beside another in a tail or a wing; the rest may say more of the same.
std::optional<MaterialKind> kindApart(std::string_view word, PartKind part) {
    if (word == "fibres" || word == "fibers" || word == "fibre" || word == "tips" || word == "points" || word == "hackle")
        return std::nullopt;
    const auto kind = kindOfNoun(word, part);
    constexpr std::array kApart = {MaterialKind::hair,   MaterialKind::tippet, MaterialKind::plume,
                                   MaterialKind::tinsel, MaterialKind::fibres, MaterialKind::herl};
    return kind && std::ranges::find(kApart, *kind) != kApart.end() ? kind : std::nullopt;
}

}  // namespace

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
bool RecipeReader::beginsAnother(const Made& made, const Clause& clause) {
    if (!made.kind && !made.part.material) return false;
    if (clause.apart) return true;
    const bool laid = made.part.kind == PartKind::tail || made.part.kind == PartKind::wing;
    return std::ranges::any_of(clause.words, [&](const Word& word) {
        if (isHackled(made.part.kind)) return kindOfBird(word.text, PartKind::collar) == MaterialKind::hackle;
        const auto own = laid ? kindApart(word.text, made.part.kind) : std::nullopt;
        return own && own != made.kind;
    });
}

// "Golden crest with a strand of pearl flash": two clauses, where what stands behind is another thing.
std::vector<RecipeReader::Clause> RecipeReader::partedClausesOf(PartKind kind, const std::string& text, std::size_t at) {
    std::vector<Clause> list;
    const auto own = [&](auto from, auto to) {
        std::optional<MaterialKind> found;
        for (auto word = from; word != to; ++word) {
            if (const auto noun = kindOfNoun(word->text, kind)) found = noun;
            if (!found) found = kindOfBird(word->text, kind);
        }
        return found;
    };
    const bool laid = kind == PartKind::tail || kind == PartKind::wing;
    for (Clause& clause : clausesOf(text, at)) {
        auto& words = clause.words;
        const auto joint =
            std::ranges::find_if(words, [](const Word& w) { return w.text == "with" || w.text == "plus" || w.text == "and"; });
        const auto before = own(words.begin(), joint), behind = own(joint, words.end());
        // "And" joins two things; "with" may only say how.
        const auto isApart = [&](const Word& w) { return kindApart(w.text, kind).has_value(); };
        const bool apart = joint != words.end() && (joint->text == "and" || std::any_of(joint, words.end(), isApart));
        if (!laid || !apart || !before || !behind || *before == *behind) {
            list.push_back(std::move(clause));
            continue;
        }
        list.push_back(clauseOf(clause.text.substr(0, joint->from), clause.at));
        list.push_back(clauseOf(clause.text.substr(joint->to), clause.at + joint->to));
        list.back().apart = true;
    }
    return list;
}

void RecipeReader::readClause(Made& made, Clause clause) {
    takeGround(made, clause);
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
    const auto same = wordAt(clause.words, "same");
    const bool sameLength = same && *same + 1 < clause.words.size() && clause.words[*same + 1].text == "length";
    if (same && !sameLength && !made.part.material) sameAs(made, clause, "");
    if (const auto it = wordAt(clause.words, "it"); it && *it > 0 && clause.words[*it - 1].text == "of" && !made.part.material) {
        sameAs(made, clause, "");
        use(clause.words, *it, 1);
    }
    if (wordAt(clause.words, "do") && clause.words.size() == 1) sameAs(made, clause, "");
    for (std::size_t i = 0; i + 1 < clause.words.size(); ++i)
        if (clause.words[i].text == "as" && partHeading(clause.words[i + 1].text) && !made.part.material && i == 0) {
            sameAs(made, clause, clause.words[i + 1].text);
            use(clause.words, i, 2);
        }
    if (same && !sameLength) use(clause.words, *same, 1);
    if (isHackled(made.part.kind)) takePath(made, clause);
    takeHackleTurns(made, clause);
    takeBodyEnd(made, clause);
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

// "Primrose silk with a touch of hare's ear": the fur makes the body, the silk is what it is dubbed on.
void RecipeReader::takeGround(Made& made, Clause& clause) {
    if (made.part.kind != PartKind::body && made.part.kind != PartKind::thorax) return;
    auto& words = clause.words;
    const auto silk = std::ranges::find_if(words, [](const Word& w) { return w.text == "silk" || w.text == "thread"; });
    const auto with = std::find_if(silk, words.end(), [](const Word& w) { return w.text == "with" || w.text == "dubbed"; });
    const auto fur = std::find_if(with, words.end(), [&](const Word& w) {
        return kindOfNoun(w.text, made.part.kind) == MaterialKind::dubbing || kindOfBird(w.text, made.part.kind) == MaterialKind::dubbing;
    });
    if (fur == words.end()) return;
    made.left.push_back(say("on {}", clause.text.substr(words.front().from, silk->to - words.front().from)));
    use(words, 0, static_cast<std::size_t>(with - words.begin()) + 1);
}

void RecipeReader::becomePalmer(Made& made) {
    made.part.kind = PartKind::palmer;
    if (!std::holds_alternative<PalmerPart>(made.part.detail)) made.part.detail = detailFor(PartKind::palmer);
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
            becomePalmer(made);
            set(made, "shoulder_turns", sayCount(first->count));
            set(made, "open_turns", sayCount(second->count));
            return use(words, i, first->words + second->words);
        }
    }
    // "2-3 turns at shoulder then 3 open"
    auto shoulder = wordAt(words, "shoulder");
    if (!shoulder && made.part.kind == PartKind::palmer) shoulder = wordAt(words, "head");  // "2 extra turns at the head"
    const auto open = wordAt(words, "open");
    if (shoulder && (*shoulder == 0 || (words[*shoulder - 1].text != "at" && words[*shoulder - 1].text != "the")))
        shoulder.reset();  // of the bird
    if (!shoulder && !open) return;
    becomePalmer(made);
    const auto before = [&](std::size_t mark, const char* key) {
        for (std::size_t i = 0; i < mark; ++i) {
            const auto count = countAt(words, i);
            if (!count || words[i].used) continue;
            const std::size_t after = i + count->words;
            const bool near = mark - after <= 4;  // "2 extra turns at the head"
            if (!near) continue;
            set(made, key, sayCount(count->count));
            use(words, i, mark + 1 - i);
            return;
        }
    };
    if (shoulder) before(*shoulder, "shoulder_turns");
    if (open) before(*open, "open_turns");
}

void RecipeReader::takeMaterial(Made& made, Clause& clause) {
    takeFirstOfTwo(made, clause);
    if (made.part.material) return;
    // What is said of it afterwards in other words ("silk showing at the tail") makes it nothing else.
    const bool mixed = wordAt(clause.words, "mixed") || wordAt(clause.words, "blended");  // with what is asked
    if (!made.material.noun.empty() && mixed) return;
    if (!made.material.noun.empty() && std::ranges::any_of(clause.words, [&](const Word& w) {
            const auto kind = w.used ? std::nullopt : kindOfNoun(w.text, made.part.kind);
            return kind && kind != made.kind;
        }))
        return;
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
                  {{std::string(trimmed(std::string_view(clause.text).substr(0, words[*either].from))), ""}, {rest, ""}},
                  static_cast<int>(read_.pattern.parts.size()), "");
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
                              words[i].text == "brass" || words[i].text == "tungsten" || words[i].text == "slip" ||
                              words[i].text == "thread" || words[i].text == "silk";  // "herl twisted with the thread"
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
    const bool ofMaterial = std::ranges::any_of(
        words, [&](const Word& w) { return !w.used && (kindOfNoun(w.text, made.part.kind) || isColour(w.text) || isBird(w.text)); });
    for (Word& word : words) {
        if (word.used) continue;
        const bool length = word.text == "short" || word.text == "long";
        if (length && (!ofMaterial || isHackled(made.part.kind))) continue;  // of the part, or of its fibres
        if (word.text == "gp") {
            made.material.hard.insert(made.material.hard.end(), {"golden", "pheasant"});
            made.material.said += (made.material.said.empty() ? "" : " ") + std::string("golden pheasant");
            word.used = true;
            continue;
        }
        const auto means = kindOfNoun(word.text, made.part.kind);
        if (means == MaterialKind::thread && made.kind != MaterialKind::thread) continue;  // what it is twisted with
        const bool noun = means.has_value();
        const bool hard = isColour(word.text) || isBird(word.text) || word.text == "saddle" || word.text == "cape";
        const bool metal = word.text == "brass" || word.text == "tungsten" || word.text == "steel" || word.text == "lead" ||
                           word.text == "lead-free" || word.text == "tin";
        if (hard || metal)
            made.material.hard.push_back(word.text);
        else if (word.text == "finest")
            made.material.soft.emplace_back("fine");
        else if (word.text == "med")
            made.material.soft.emplace_back("medium");
        else if (isHackled(made.part.kind) && isPlaceOfFeather(word.text) && !follows(words, word, "the") && !follows(words, word, "at"))
            made.material.soft.push_back(word.text);
        else if (isSoftAdjective(word.text) || noun)
            made.material.soft.push_back(word.text);
        else
            continue;
        if (word.text != "thin" && word.text != "thick" && word.text != "small") {
            word.used = true;
            const bool piece = word.text == "slip" || word.text == "slips";
            const std::string& said = made.material.said;
            const bool again = (" " + said + " ").find(" " + word.text + " ") != std::string::npos;  // "red goose, dyed red"
            if (!piece && !again) made.material.said += (said.empty() ? "" : " ") + word.text;
        }
    }
}

// Words that nobody understood: the part's note, and a doubt.
void RecipeReader::keepRest(Made& made, const Clause& clause) {
    std::size_t from = std::string::npos, to = 0;
    bool vague = false;
    for (std::size_t i = 0; i < clause.words.size(); ++i) {
        const Word& word = clause.words[i];
        if (word.used || isFiller(word.text)) continue;
        const bool turns = i + 1 < clause.words.size() && !clause.words[i + 1].used && clause.words[i + 1].text.starts_with("turn");
        from = std::min(from, word.from);
        to = std::max(to, turns ? clause.words[i + 1].to : word.to);
        vague = vague || isVague(word.text);
    }
    if (from == std::string::npos) return;
    const std::string words = clause.text.substr(from, to - from);
    made.left.push_back(words);
    const std::string part = sayName(made.part.kind);
    doubt(clause.at + from, words,
          vague ? say("How much is \"{}\" for the {}? It stays as a note; the usual is planned.", words, part)
                : say("What does \"{}\" mean for the {}?", words, part),
          {}, static_cast<int>(read_.pattern.parts.size()));
}

void RecipeReader::chooseMaterial(Made& made) {
    const PartKind kind = made.part.kind;
    const int index = static_cast<int>(read_.pattern.parts.size());
    const std::string part = sayName(kind);
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
                   : say("Which {} is it? {} stands in.", sayName(*made.kind), found.made->title()),
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
