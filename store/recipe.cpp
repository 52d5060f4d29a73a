#include "store/recipe.h"

#include <algorithm>
#include <array>
#include <cctype>
#include <tuple>

#include "book/fields.h"
#include "book/fitting.h"
#include "book/lists.h"
#include "book/part_material.h"
#include "book/spec_words.h"
#include "store/recipe_reader.h"
#include "store/text_encoding.h"
#include "units/text.h"

namespace machair::store {

namespace {

std::string sayCount(const Count& count) {
    return count.pair ? formatExact(count.low) + " to " + formatExact(count.high) : formatExact(count.low);
}

bool isNone(std::string_view says) {
    const std::string low = lowered(trimmed(says));
    return low == "none" || low == "no" || low == "nil" || low == "-" || low.starts_with("none ") || low.starts_with("no ");
}

std::optional<std::size_t> wordAt(const std::vector<Word>& words, std::string_view text) {
    const auto found = std::ranges::find_if(words, [&](const Word& w) { return !w.used && w.text == text; });
    return found == words.end() ? std::nullopt : std::optional(static_cast<std::size_t>(found - words.begin()));
}

void use(std::vector<Word>& words, std::size_t from, std::size_t count) {
    for (std::size_t i = from; i < std::min(from + count, words.size()); ++i)
        words[i].used = true;
}

bool isHackled(PartKind kind) { return kind == PartKind::collar || kind == PartKind::palmer || kind == PartKind::throat; }

// Where a part stands in the tying, whatever order the recipe prints; those of one rank stay as they are printed, for schools
// differ.
int rankOf(const Part& part) {
    switch (part.kind) {
        case PartKind::bead: return 0;
        case PartKind::tag: return 1;
        case PartKind::tail: return 2;
        case PartKind::butt:
        case PartKind::rib: return 3;
        case PartKind::underbody:
        case PartKind::body: return 4;
        case PartKind::palmer: return std::get<PalmerPart>(part.detail).along == PalmerAlong::thorax ? 8 : 5;
        case PartKind::thread: return 6;
        case PartKind::thorax: return 7;
        case PartKind::legs:
        case PartKind::throat:
        case PartKind::wing:
        case PartKind::cheek:
        case PartKind::collar: return 9;
        case PartKind::head: return 10;
    }
    throw BrokenContract("unknown part");
}

}  // namespace

Result<ReadRecipe> RecipeReader::run() {
    if (book_.hooks.empty())
        return fail(Place("hooks"), "expected a hook in the book to tie it on, got none", "put one into the drawers first");
    const auto thread = std::ranges::find(book_.materials, MaterialKind::thread, &Material::kind);
    if (thread == book_.materials.end())
        return fail(Place("materials"), "expected a thread in the book, got none", "put one into the drawers first");
    read_.pattern.hook = usualHook(book_);
    read_.pattern.thread = thread->id;
    const RecipeLayout layout = layOutRecipe(text_);
    read_.pattern.name = layout.name;
    for (const RecipeEntry& entry : layout.strange)
        if (entry.heading == "as") readLike(entry);
    for (const RecipeEntry& entry : layout.entries)
        readEntry(entry);
    for (const RecipeEntry& entry : layout.strange) {
        if (entry.heading == "as") continue;
        const std::string words = entry.heading.empty() ? entry.says : entry.heading + ": " + entry.says;
        doubt(entry.headAt, words, entry.heading.empty() ? "Which part is this of?" : "Which part is \"" + entry.heading + "\"?");
        read_.pattern.note = read_.pattern.note ? *read_.pattern.note + "; " + words : words;
    }
    if (read_.pattern.parts.empty())
        return fail(Place("line 1"), "expected a recipe with its parts, as \"tail: ten fibres of orange tippet\", got no part");
    missing();
    order();
    read_.pattern.id = freeIdIn(book_.patterns, "recipe");
    std::ranges::stable_sort(
        read_.doubts, [](const RecipeDoubt& a, const RecipeDoubt& b) { return a.line != b.line ? a.line < b.line : a.column < b.column; });
    return std::move(read_);
}

void RecipeReader::doubt(std::size_t at, std::string_view words, std::string question, std::vector<RecipeChoice> choices, int part,
                         std::string key) {
    constexpr std::size_t kMost = 80;
    RecipeDoubt made;
    at = std::min(at, text_.size());
    made.line = 1 + static_cast<std::size_t>(std::count(text_.begin(), text_.begin() + static_cast<std::ptrdiff_t>(at), '\n'));
    const std::size_t start = at == 0 ? std::string::npos : text_.rfind('\n', at - 1);
    made.column = at - (start == std::string::npos ? 0 : start + 1) + 1;
    made.words = std::string(shortened(words, kMost));
    made.question = std::move(question);
    made.choices = std::move(choices);
    made.part = part;
    made.key = std::move(key);
    read_.doubts.push_back(std::move(made));
}

const Material* RecipeReader::known(const std::string& id) const {
    if (const Material* own = book_.findMaterial(id)) return own;
    const auto found = std::ranges::find(read_.materials, id, &Material::id);
    return found == read_.materials.end() ? nullptr : &*found;
}

void RecipeReader::readEntry(const RecipeEntry& entry) {
    if (entry.other == OtherHeading::hook) return readHook(entry);
    if (entry.other == OtherHeading::thread) return readThread(entry);
    if (entry.other == OtherHeading::note) {
        read_.pattern.note = read_.pattern.note ? *read_.pattern.note + "; " + entry.says : entry.says;
        return;
    }
    if (!entry.part || entry.says.empty() || isNone(entry.says)) return;
    if (entry.part->kind == PartKind::head) return readHead(entry);
    if (splitOff(entry)) return;
    Made made = begin(entry.part->kind, entry, entry.at);
    for (Clause& clause : clausesOf(entry.says, entry.at)) {
        if (beginsAnother(made, clause)) {
            const PartKind next = isHackled(made.part.kind) ? PartKind::collar : made.part.kind;
            finish(std::exchange(made, begin(next, entry, clause.at)));
        }
        readClause(made, std::move(clause));
    }
    finish(std::move(made));
}

RecipeReader::Made RecipeReader::begin(PartKind kind, const RecipeEntry& entry, std::size_t at) const {
    Made made;
    made.part.kind = kind;
    made.part.detail = detailFor(kind);
    made.at = at;
    made.says = entry.says;
    if (auto* wing = std::get_if<WingPart>(&made.part.detail); wing && entry.part && entry.part->wing) wing->position = entry.part->wing;
    return made;
}

void RecipeReader::set(Made& made, const char* key, const std::string& text) const {
    if (auto changed = withField(made.part, key, text, Place())) made.part = std::move(*changed);
}

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

// "ribbed …" in a body, "the rest wound on as body" in a tail, halves of a body, a hackle through a thorax.
bool RecipeReader::splitOff(const RecipeEntry& entry) {
    const std::string low = lowered(entry.says);
    const auto again = [&](PartKind kind, std::size_t from, std::size_t to) {
        RecipeEntry own = entry;
        own.part = PartHeading{kind};
        own.says = entry.says.substr(from, to - from);
        own.at = entry.at + from;
        while (!own.says.empty() && (own.says.back() == ' ' || own.says.back() == ',' || own.says.back() == ';'))
            own.says.pop_back();
        if (!own.says.empty()) readEntry(own);
    };
    const PartKind kind = entry.part->kind;
    if (kind == PartKind::body) {
        if (const std::size_t at = low.find("ribbed"); at != std::string::npos && at > 0) {
            again(PartKind::body, 0, at);
            std::size_t from = at + 6;
            if (low.substr(from).starts_with(" with")) from += 5;
            again(PartKind::rib, from, entry.says.size());
            return true;
        }
        if (halves(entry)) return true;
    }
    if (kind == PartKind::tail) {
        const std::size_t rest = low.find("the rest wound on as body");
        if (rest != std::string::npos) {
            again(PartKind::tail, 0, rest);
            Part body;
            body.kind = PartKind::body;
            BodyPart own;
            own.method = BodyMethod::fibres;
            own.direction = low.find("against", rest) != std::string::npos || low.find("counter", rest) != std::string::npos
                                ? std::optional(Winding::counter)
                                : std::nullopt;
            body.detail = own;
            body.from = PartRef{PartKind::tail};
            for (const Part& part : read_.pattern.parts)
                if (const auto* tail = std::get_if<TailPart>(&part.detail); tail && tail->fibres)
                    std::get<BodyPart>(body.detail).strands = tail->fibres;
            read_.pattern.parts.push_back(std::move(body));
            return true;
        }
    }
    if (isHackled(kind)) {
        if (const std::size_t at = low.find("through thorax of "); at != std::string::npos) {
            again(PartKind::thorax, at + 18, entry.says.size());
            Made made = begin(PartKind::palmer, entry, entry.at);
            std::get<PalmerPart>(made.part.detail).along = PalmerAlong::thorax;
            for (Clause& clause : clausesOf(entry.says.substr(0, at), entry.at))
                readClause(made, std::move(clause));
            finish(std::move(made));
            return true;
        }
    }
    return false;
}

// "Rear half flat silver, front half black fur", thirds and quarters too. Nothing where it isn't said so.
bool RecipeReader::halves(const RecipeEntry& entry) {
    struct Share {
        std::string_view words;
        double share;
    };
    constexpr std::array kShares = {Share{"two-thirds", 2.0 / 3.0},
                                    Share{"two thirds", 2.0 / 3.0},
                                    Share{"three-quarters", 0.75},
                                    Share{"three quarters", 0.75},
                                    Share{"half", 0.5},
                                    Share{"third", 1.0 / 3.0},
                                    Share{"quarter", 0.25}};
    const std::string low = lowered(entry.says);
    const auto partOf = [&](std::string_view end) -> std::optional<std::tuple<std::size_t, std::size_t, double>> {
        for (const Share& share : kShares) {
            const std::string words = std::string(end) + " " + std::string(share.words);
            if (const std::size_t at = low.find(words); at != std::string::npos) return std::tuple(at, at + words.size(), share.share);
        }
        return std::nullopt;
    };
    const auto rear = partOf("rear"), front = partOf("front");
    if (!rear || !front) return false;
    // The body usually lies from 0.78 to 0.28 of the shank behind the eye; the front piece laps over the rear one.
    constexpr double kEnd = 0.78, kRun = 0.5, kLap = 0.03;
    const double meet = kEnd - kRun * std::get<2>(*rear);
    const auto piece = [&](std::size_t from, std::size_t to, bool isRear) {
        std::string_view says = trimmed(std::string_view(entry.says).substr(from, to - from));
        while (says.ends_with(",") || says.ends_with(";"))
            says = trimmed(says.substr(0, says.size() - 1));
        const std::size_t at = entry.at + static_cast<std::size_t>(says.data() - entry.says.data());
        Made made = begin(PartKind::body, entry, at);
        made.says = std::string(says);
        set(made, isRear ? "front" : "end", formatShort(isRear ? meet : meet + kLap, 2) + " of the shank behind the eye");
        for (Clause& clause : clausesOf(made.says, at))
            readClause(made, std::move(clause));
        finish(std::move(made));
    };
    const auto [rearAt, rearFrom, rearShare] = *rear;
    const auto [frontAt, frontFrom, frontShare] = *front;
    piece(rearFrom, rearAt < frontAt ? frontAt : entry.says.size(), true);
    piece(frontFrom, rearAt < frontAt ? entry.says.size() : rearAt, false);
    return true;
}

void RecipeReader::readClause(Made& made, Clause clause) {
    // What is named exactly is known, however short its words.
    if (!made.part.material) {
        const NamedMaterial named = materialNamedIn(book_, clause.text, made.part.kind);
        if (named.made) {
            made.part.material = named.made->id;
            made.kind = named.made->kind;
            for (Word& word : clause.words)
                if (word.from >= named.from && word.to <= named.to) word.used = true;
        }
    }
    if (const auto same = wordAt(clause.words, "same"); same && !made.part.material) sameAs(made, clause, "");
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
        doubt(clause.at, clause.text, "The same as what?");
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
        for (const std::string& fell : fitToMaterial(made.part, *of))
            made.left.push_back(fell + " as it was said");
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
                if (count->about) doubt(clause.at + words[i].from, clause.text, "\"Or so\": is " + sayCount(count->count) + " right?");
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

void RecipeReader::takeLength(Made& made, Clause& clause) {
    auto& words = clause.words;
    const bool lengthy = made.part.kind != PartKind::rib && made.part.kind != PartKind::underbody && made.part.kind != PartKind::body &&
                         made.part.kind != PartKind::thorax && made.part.kind != PartKind::thread && made.part.kind != PartKind::bead;
    const auto whole = [](std::string_view text) -> std::optional<LengthSpec> {
        auto spec = readSpec(text, Place());
        return spec ? std::optional(std::move(*spec)) : std::nullopt;
    };
    for (std::size_t i = 0; i < words.size(); ++i) {
        const auto count = countAt(words, i);
        if (!count || words[i].used) continue;
        const std::size_t next = i + count->words;
        const std::string_view unit = next < words.size() ? std::string_view(words[next].text) : std::string_view();
        const std::size_t end = words[next - 1].to;
        const bool quote = clause.text.substr(end).starts_with("\"") || clause.text.substr(end).starts_with("″") ||
                           clause.text.substr(end).starts_with("”");
        const bool inches = quote || unit == "in" || unit == "inch" || unit == "inches";
        if (unit != "mm" && unit != "cm" && !inches) {
            // "one and a half bodies"
            const std::string_view yard = unit == "bodies"   ? "body"
                                          : unit == "shanks" ? "shank"
                                          : unit == "gapes"  ? "gape"
                                                             : std::string_view();
            if (yard.empty() || !lengthy) continue;
            set(made, "length", formatExact(count->count.middle()) + " of the " + std::string(yard));
            use(words, i, count->words + 1);
            continue;
        }
        const double length = count->count.middle() * (inches ? 25.4 : unit == "cm" ? 10.0 : 1.0);
        use(words, i, count->words + (quote ? 0 : 1));
        if (!lengthy) continue;
        set(made, "length", formatExact(length) + " mm");
        if (const auto overall = wordAt(words, "overall")) {
            use(words, *overall, 1);
            doubt(clause.at + words[i].from, clause.text, "Overall: is that the tail's length, or the whole fly's?",
                  {{"the tail", formatExact(length) + " mm"}}, static_cast<int>(read_.pattern.parts.size()), "length");
        }
        if (const auto of = wordAt(words, "it")) use(words, *of, 1);
    }
    if (!lengthy) return;
    for (const std::string_view begin : {"length of the", "as long as the", "to the", "to", "past the", "half the", "two thirds of the",
                                         "a third of the", "three quarters of the"}) {
        const std::size_t at = lowered(clause.text).find(begin);
        if (at == std::string::npos || (at > 0 && clause.text[at - 1] != ' ')) continue;
        std::string phrase = lowered(clause.text).substr(at);
        if (begin == std::string_view("length of the")) phrase = "as long as the" + phrase.substr(begin.size());
        auto spec = whole(phrase);
        if (!spec && begin == std::string_view("to")) spec = whole("to the" + phrase.substr(2));
        if (!spec) continue;
        set(made, "length", writeSpec(*spec));
        for (Word& word : words)
            if (word.from >= at) word.used = true;
        return;
    }
    // "0.8 of the shank", "0.8 shank"
    for (std::size_t i = 0; i < words.size(); ++i)
        if (!words[i].used && std::isdigit(static_cast<unsigned char>(words[i].text[0])))
            if (auto spec = whole(lowered(clause.text).substr(words[i].from))) {
                set(made, "length", writeSpec(*spec));
                for (std::size_t k = i; k < words.size(); ++k)
                    words[k].used = true;
                return;
            }
}

void RecipeReader::takeManner(Made& made, Clause& clause) {
    auto& words = clause.words;
    const PartKind kind = made.part.kind;
    const std::string low = lowered(clause.text);
    const auto phrase = [&](std::string_view text) {
        const std::size_t at = low.find(text);
        if (at == std::string::npos) return false;
        for (Word& word : words)
            if (word.from >= at && word.to <= at + text.size()) word.used = true;
        return true;
    };
    if (phrase("against the thread") || phrase("against the body") || phrase("counter-wound") || phrase("counterwound") ||
        phrase("counter"))
        set(made, "direction", "counter");
    if (kind == PartKind::rib || kind == PartKind::body)
        if (const auto opposite = wordAt(words, "opposite")) {
            use(words, *opposite, 1);
            doubt(clause.at + words[*opposite].from, clause.text, "Opposite: the other sense, or the other travel?",
                  {{"the other sense", "counter"}, {"the same sense, the other way along", "with"}},
                  static_cast<int>(read_.pattern.parts.size()), "direction");
        }
    if (kind == PartKind::rib && phrase("over all")) set(made, "along", "all");
    if (kind == PartKind::rib && (phrase("over the tinsel only") || phrase("tinsel part only") || phrase("over the tinsel")))
        set(made, "along", "0");
    if (isHackled(kind)) {
        if (phrase("by the tip")) set(made, "tie_in", "tip");
        if (phrase("by the butt")) set(made, "tie_in", "butt");
        if (phrase("hollow side in") || phrase("good side out")) return;
        if (wordAt(words, "palmered") || low.find("down the body") != std::string::npos ||
            low.find("palmered down it") != std::string::npos) {
            made.part.kind = PartKind::palmer;
            if (!std::holds_alternative<PalmerPart>(made.part.detail)) made.part.detail = detailFor(PartKind::palmer);
            phrase("palmered down it");
            phrase("down the body");
            phrase("palmered");
        }
        if (phrase("in front") || phrase("at the head") || phrase("upright")) return;
    }
    if (kind == PartKind::body || kind == PartKind::thorax) {
        if (phrase("twisted with the silk") || phrase("twisted with the thread") || phrase("twisted with thread") || phrase("twisted"))
            set(made, "twisted", "yes");
        if (phrase("no taper") || phrase("level")) set(made, "method", "level");
        if (phrase("in a loop") || phrase("dubbing loop")) set(made, "method", "loop");
        for (const std::string_view manner : {"picked out", "brushed out", "teased out", "well picked out"})
            if (phrase(manner)) made.left.emplace_back(manner);  // understood: it is how the fly is finished
        if (phrase("small bump") || phrase("a bump")) return;
    }
    if (kind == PartKind::wing || kind == PartKind::tail)
        for (const std::string_view style : {"rolled", "paired", "upright", "cloak", "slip"})
            if (wordAt(words, style)) {
                set(made, "style", std::string(style));
                made.styled = true;
                if (style != "slip") phrase(style);
            }
    if (kind == PartKind::wing && phrase("divided")) set(made, "style", "upright");
    if (kind == PartKind::wing && (phrase("tied low") || phrase("low over the body") || phrase("low"))) return;
    if (kind == PartKind::legs) phrase("knotted");
    if (kind == PartKind::cheek) phrase("each side");
}

void RecipeReader::takeMaterial(Made& made, Clause& clause) {
    auto& words = clause.words;
    // "dark partridge or grouse": the first is taken, the second kept and asked.
    if (const auto either = wordAt(words, "or"); either && *either > 0 && *either + 1 < words.size() && !made.part.material) {
        const std::string rest = clause.text.substr(words[*either + 1].from);
        if (std::any_of(words.begin() + static_cast<std::ptrdiff_t>(*either), words.end(), [&](const Word& w) {
                return !w.used && (isBird(w.text) || isColour(w.text) || kindOfNoun(w.text, made.part.kind));
            })) {
            doubt(clause.at + words[*either].from, clause.text, "Which of the two? The first is taken; \"" + rest + "\" stays as a note.",
                  {{clause.text.substr(0, words[*either].from), ""}, {rest, ""}}, static_cast<int>(read_.pattern.parts.size()), "");
            made.left.push_back("or " + rest);
            use(words, *either, words.size());
        }
    }
    if (made.part.material) return;
    std::optional<std::size_t> decides;
    for (std::size_t i = 0; i < words.size(); ++i) {
        if (words[i].used) continue;
        // "turkey tail fibres", "pheasant tail": the last noun decides; a bird only where there is none.
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
    for (std::size_t i = 0; i < words.size(); ++i) {
        Word& word = words[i];
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
          vague ? "How much is \"" + words + "\" for the " + part + "? It stays as a note; the usual is planned."
                : "What does \"" + words + "\" mean for the " + part + "?",
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
        doubt(made.at, made.says, "What is the " + part + " made of? The usual stands in for it.", std::move(choices), index, "material");
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
    const MaterialFound found = findMaterial(book_, *made.kind, made.material);
    if (found.made && !found.doubtful && !(bird && found.choices.size() > 1)) {
        made.part.material = found.made->id;
    } else if (found.made) {
        made.part.material = found.made->id;
        doubt(made.at, made.says,
              bird ? "Of which bird is the hackle? " + found.made->title() + " stands in."
                   : "Which " + std::string(nameOf(*made.kind)) + " is it? " + found.made->title() + " stands in.",
              found.choices, index, "material");
    } else {
        Material fresh = newMaterial(book_, read_.materials, *made.kind, made.material);
        const auto there =
            std::ranges::find_if(read_.materials, [&](const Material& m) { return m.name == fresh.name && m.kind == fresh.kind; });
        made.part.material = there == read_.materials.end() ? fresh.id : there->id;
        doubt(made.at, made.says, "The drawers have no " + fresh.title() + ": it is new and nominal. Or is it one of these?", found.choices,
              index, "material");
        if (there == read_.materials.end()) read_.materials.push_back(std::move(fresh));
    }
}

void RecipeReader::finish(Made made) {
    chooseMaterial(made);
    if (auto* wing = std::get_if<WingPart>(&made.part.detail); wing && !made.styled && made.kind == MaterialKind::quill)
        wing->style = WingStyle::paired;
    if (made.part.material)
        if (const Material* of = known(*made.part.material)) {
            for (const std::string& fell : fitToMaterial(made.part, *of))
                if (!fell.starts_with("style") && !fell.starts_with("method"))  // they follow the material
                    made.left.push_back(fell + " as it was said");
        }
    if (!made.left.empty()) {
        std::string note;
        for (const std::string& words : made.left)
            note += (note.empty() ? "" : "; ") + words;
        made.part.note = note;
    }
    named_[std::string(nameOf(made.part.kind))] = read_.pattern.parts.size();
    read_.pattern.parts.push_back(std::move(made.part));
}

void RecipeReader::readHead(const RecipeEntry& entry) {
    Made made = begin(PartKind::head, entry, entry.at);
    for (Clause& clause : clausesOf(entry.says, entry.at)) {
        auto& words = clause.words;
        for (std::size_t i = 0; i < words.size(); ++i) {
            const auto count = countAt(words, i);
            if (!count || words[i].used) continue;
            const std::size_t next = i + count->words;
            const bool coats = next < words.size() && (words[next].text == "coats" || words[next].text == "coat");
            const bool whips = (i > 0 && words[i - 1].text == "whip") ||
                               (next < words.size() && (words[next].text == "turns" || words[next].text == "turn"));
            if (coats) set(made, "coats", sayCount(count->count));
            if (whips && !coats) set(made, "whip_turns", sayCount(count->count));
            if (coats || whips) use(words, i, count->words + 1);
        }
        for (const std::string_view finish : {"varnish", "resin", "glue", "wax"})
            if (const auto at = wordAt(words, finish)) {
                set(made, "finish", std::string(finish));
                use(words, *at, 1);
            }
        for (Word& word : words)
            if (word.text == "whip" || word.text == "head" || word.text == "finish" || word.text == "small" || word.text == "neat")
                word.used = true;
        if (std::ranges::any_of(words, [](const Word& w) { return !w.used && isColour(w.text); })) {
            std::string colour;
            for (Word& word : words)
                if (!word.used && isColour(word.text)) {
                    colour += (colour.empty() ? "" : " ") + word.text;
                    word.used = true;
                }
            std::vector<RecipeChoice> choices;
            for (const Material& material : book_.materials)
                if (material.kind == MaterialKind::thread && lowered(material.title()).find(colour) != std::string::npos)
                    choices.push_back({material.title(), material.id});
            made.left.push_back("head " + colour);
            doubt(entry.at, entry.says, "Is the thread " + colour + ", or only the head?", std::move(choices), -1, "thread");
        }
        keepRest(made, clause);
    }
    finish(std::move(made));
}

void RecipeReader::readHook(const RecipeEntry& entry) {
    hookSaid_ = true;
    const auto words = wordsIn(entry.says);
    std::optional<Count> sizes;
    for (std::size_t i = 0; i < words.size(); ++i) {
        const auto count = countAt(words, i);
        if (!count || count->count.low < kLargestHookSize || count->count.high > kSmallestHookSize) continue;
        const bool said = i > 0 && (words[i - 1].text == "size" || words[i - 1].text == "no");
        if (!sizes || said) sizes = count->count;
        if (said) break;
        i += count->words - 1;
    }
    std::vector<RecipeChoice> all;
    if (!sizes) {
        for (const HookSpec& hook : book_.hooks)
            if (all.size() < 8) all.push_back({hook.name.value_or(hook.id), hook.id});
        return doubt(entry.at, entry.says, "Which size of hook?", std::move(all), -1, "hook");
    }
    const auto best = [&](int size) {
        const HookSpec* found = nullptr;
        double most = -1.0;
        const std::string low = lowered(entry.says);
        for (const HookSpec& hook : book_.hooks) {
            if (hook.size != size) continue;
            const bool barbless = !hook.barb.value_or(true);
            if (barbless != (low.find("barbless") != std::string::npos)) continue;
            double alike = 0.0;
            for (const Word& word : wordsIn(hook.name.value_or(hook.id)))
                if (word.text != "shank" && std::ranges::any_of(words, [&](const Word& w) { return w.text == word.text; })) alike += 1.0;
            alike -= 0.1 * (std::abs(hook.longer.value_or(0)) + std::abs(hook.heavier.value_or(0))) +
                     (hook.family == HookFamily::sproat ? 0.0 : 0.05);
            if (!found || alike > most) {
                found = &hook;
                most = alike;
            }
        }
        return found;
    };
    const int from = static_cast<int>(sizes->low), to = static_cast<int>(sizes->high);
    if (to > from) {
        const HookSpec* first = nullptr;
        for (int size = from; size <= to; ++size)
            if (const HookSpec* hook = best(size)) {
                all.push_back({hook->name.value_or(hook->id) + ", size " + std::to_string(size), hook->id});
                if (!first) first = hook;
            }
        if (first) read_.pattern.hook = first->id;
        read_.pattern.note = "hooks " + std::to_string(from) + " to " + std::to_string(to);
        return doubt(entry.at, entry.says,
                     "It is tied on sizes " + std::to_string(from) + " to " + std::to_string(to) + ": which is on the bench?",
                     std::move(all), -1, "hook");
    }
    takeHook(best(from), from, entry.says, entry.at);
}

void RecipeReader::takeHook(const HookSpec* hook, int size, const std::string& says, std::size_t at) {
    if (hook) {
        read_.pattern.hook = hook->id;
        return;
    }
    HookSpec fresh;
    fresh.size = size;
    const bool barbless = lowered(says).find("barbless") != std::string::npos;
    fresh.name = "Wet " + std::to_string(size) + (barbless ? ", barbless" : "");
    if (barbless) fresh.barb = false;
    fresh.note = "nominal: from a recipe; measure yours";
    fresh.id = freeIdIn(book_.hooks, "wet-" + std::to_string(size) + (barbless ? "-barbless" : ""));
    std::vector<RecipeChoice> others;
    for (const HookSpec& other : book_.hooks)
        if (std::abs(other.size - size) <= 2 && others.size() < 6) others.push_back({other.name.value_or(other.id), other.id});
    read_.pattern.hook = fresh.id;
    read_.hooks.push_back(std::move(fresh));
    doubt(at, says, "No such hook of size " + std::to_string(size) + " lies in the drawers: a nominal one is new. Or is it one of these?",
          std::move(others), -1, "hook");
}

void RecipeReader::readThread(const RecipeEntry& entry) {
    threadSaid_ = true;
    const std::string low = lowered(entry.says);
    const std::size_t then = low.find("then ");
    const auto one = [&](const std::string& says, std::size_t at, int part) -> std::string {
        const NamedMaterial named = materialNamedIn(book_, says, PartKind::thread);
        if (named.made) return named.made->id;
        MaterialWords words;
        for (const Word& word : wordsIn(says))
            (isColour(word.text) || word.text == "silk" ? words.hard : words.soft).push_back(word.text);
        std::erase(words.hard, "silk");
        words.said = says;
        if (low.find("silk") != std::string::npos || entry.heading.find("silk") != std::string::npos) words.soft.emplace_back("silk");
        const MaterialFound found = findMaterial(book_, MaterialKind::thread, words);
        if (found.made && !words.hard.empty()) return found.made->id;
        if (words.hard.empty()) {
            doubt(at, says, "Which thread of the drawers is this?", found.choices, part, part < 0 ? "thread" : "material");
            return found.choices.empty() ? read_.pattern.thread : found.choices.front().value;
        }
        Material fresh = newMaterial(book_, read_.materials, MaterialKind::thread, words);
        doubt(at, says, "The drawers have no " + fresh.title() + " thread: it is new and nominal. Or is it one of these?", found.choices,
              part, part < 0 ? "thread" : "material");
        read_.materials.push_back(fresh);
        return fresh.id;
    };
    std::string first = entry.says.substr(0, then == std::string::npos ? entry.says.size() : then);
    while (!first.empty() && (first.back() == ' ' || first.back() == ','))
        first.pop_back();
    if (!first.empty()) read_.pattern.thread = one(first, entry.at, -1);
    if (then == std::string::npos) return;
    Part change;
    change.kind = PartKind::thread;
    change.detail = ThreadPart{};
    change.material = one(entry.says.substr(then + 5), entry.at + then + 5, static_cast<int>(read_.pattern.parts.size()));
    read_.pattern.parts.push_back(std::move(change));
}

// "as Weir Candle but body claret and hot orange tag"
void RecipeReader::readLike(const RecipeEntry& entry) {
    const std::string low = lowered(entry.says);
    const Pattern* like = nullptr;
    for (const Pattern& pattern : book_.patterns)
        if (low.starts_with(lowered(pattern.title()))) like = &pattern;
    const std::size_t but = low.find(" but ");
    if (!like) {
        std::vector<RecipeChoice> choices;
        for (const Pattern& pattern : book_.patterns)
            if (choices.size() < 6) choices.push_back({pattern.title(), pattern.id});
        doubt(entry.at, entry.says, "There is no such dressing in the book: like which is it?", std::move(choices), -1, "like");
    } else {
        const auto name = read_.pattern.name;
        read_.pattern = *like;
        read_.pattern.name = name;
        read_.pattern.variedFrom = like->id;
        read_.pattern.carried = {};
        hookSaid_ = threadSaid_ = true;
    }
    if (but == std::string::npos) return;
    const std::string changes = entry.says.substr(but + 5);
    std::size_t start = 0;
    while (start < changes.size()) {
        const std::size_t both = std::min(changes.find(" and ", start), changes.find(", ", start));
        const std::size_t end = std::min(both, changes.size());
        Clause clause = clauseOf(changes.substr(start, end - start), entry.at + but + 5 + start);
        start = both == std::string::npos ? changes.size() : end + (changes.compare(end, 5, " and ") == 0 ? 5 : 2);
        const auto heading = std::ranges::find_if(clause.words, [](const Word& w) { return partHeading(w.text).has_value(); });
        if (heading == clause.words.end()) {
            doubt(clause.at, clause.text, "Which part is this of?");
            continue;
        }
        RecipeEntry own;
        own.part = partHeading(heading->text);
        own.heading = heading->text;
        own.says =
            std::string(trimmed(heading == clause.words.begin() ? clause.text.substr(heading->to) : clause.text.substr(0, heading->from)));
        own.at = clause.at;
        const auto there = std::ranges::find(read_.pattern.parts, own.part->kind, &Part::kind);
        if (there == read_.pattern.parts.end()) {
            readEntry(own);
            continue;
        }
        // The same part in another colour: its kind stays.
        Made made = begin(own.part->kind, own, own.at);
        if (there->material)
            if (const Material* of = known(*there->material)) made.kind = of->kind;
        readClause(made, clauseOf(own.says, own.at));
        chooseMaterial(made);
        if (made.part.material) there->material = made.part.material;
    }
}

void RecipeReader::missing() {
    Pattern& pattern = read_.pattern;
    if (!pattern.name) {
        pattern.name = "Untitled";
        doubt(0, "", "What is it called?", {}, -1, "name");
    }
    std::vector<RecipeChoice> choices;
    if (!hookSaid_) {
        for (const HookSpec& hook : book_.hooks)
            if (choices.size() < 8) choices.push_back({hook.name.value_or(hook.id), hook.id});
        doubt(0, "", "On which hook?", std::exchange(choices, {}), -1, "hook");
    }
    if (!threadSaid_) {
        for (const Material& material : book_.materials)
            if (material.kind == MaterialKind::thread && choices.size() < 8) choices.push_back({material.title(), material.id});
        doubt(0, "", "With which thread?", std::exchange(choices, {}), -1, "thread");
    }
    if (!findKind(pattern, PartKind::body) && !findKind(pattern, PartKind::thorax))
        doubt(text_.size(), "", "There is no body: is that so?");
    if (!findKind(pattern, PartKind::head)) {
        Part head;
        head.kind = PartKind::head;
        head.detail = HeadPart{};
        pattern.parts.push_back(std::move(head));
    }
    for (const std::size_t i : ofThread_)
        pattern.parts[i].material = pattern.thread;
    // A body of the tying silk is the thread itself.
    for (Part& part : pattern.parts)
        if (part.kind == PartKind::body && part.material == pattern.thread) {
            std::get<BodyPart>(part.detail).method = BodyMethod::thread;
        }
}

void RecipeReader::order() {
    auto& parts = read_.pattern.parts;
    std::vector<std::size_t> order(parts.size());
    for (std::size_t i = 0; i < order.size(); ++i)
        order[i] = i;
    std::ranges::stable_sort(order, {}, [&](std::size_t i) { return rankOf(parts[i]); });
    std::vector<Part> sorted;
    std::vector<int> place(parts.size());
    for (std::size_t i = 0; i < order.size(); ++i) {
        place[order[i]] = static_cast<int>(i);
        sorted.push_back(std::move(parts[order[i]]));
    }
    parts = std::move(sorted);
    for (RecipeDoubt& doubt : read_.doubts)
        if (doubt.part >= 0)
            doubt.part = static_cast<std::size_t>(doubt.part) < place.size() ? place[static_cast<std::size_t>(doubt.part)] : -1;
}

Result<ReadRecipe> readRecipe(std::string_view text, const Book& book) {
    if (text.size() > kLongestRecipe)
        return fail(Place("line 1"), "expected a recipe of at most 64 KiB, got " + std::to_string(text.size() / 1024) + " KiB");
    std::string readable = decodeText(text).text;
    std::erase(readable, '\r');
    std::erase(readable, '\0');
    return RecipeReader(std::move(readable), book).run();
}

Book withRecipe(Book book, const ReadRecipe& recipe) {
    book.hooks.insert(book.hooks.end(), recipe.hooks.begin(), recipe.hooks.end());
    book.materials.insert(book.materials.end(), recipe.materials.begin(), recipe.materials.end());
    book.patterns.push_back(recipe.pattern);
    return book;
}

Result<ReadRecipe> answered(const ReadRecipe& recipe, const Book& book, std::size_t which, std::string_view value) {
    if (which >= recipe.doubts.size()) return fail(Place("doubts"), "expected one of its doubts, got number " + std::to_string(which));
    ReadRecipe now = recipe;
    const RecipeDoubt& doubt = recipe.doubts[which];
    if (doubt.key == "hook") {
        now.pattern.hook = value;
    } else if (doubt.key == "thread") {
        now.pattern.thread = value;
    } else if (doubt.key == "name") {
        now.pattern.name = std::string(value);
    } else if (doubt.part >= 0 && static_cast<std::size_t>(doubt.part) < now.pattern.parts.size() && !doubt.key.empty()) {
        Part& part = now.pattern.parts[static_cast<std::size_t>(doubt.part)];
        if (doubt.key == "material") {
            part.material = std::string(value);
            if (const Material* of = book.findMaterial(value)) {
                const auto fell = fitToMaterial(part, *of);
                if (!fell.empty()) part.note = part.note.value_or("");
            }
        } else {
            auto changed = withField(part, doubt.key, value, Place("parts").at(static_cast<std::size_t>(doubt.part)));
            if (!changed) return tl::unexpected(changed.error());
            part = std::move(*changed);
        }
    }
    now.doubts.erase(now.doubts.begin() + static_cast<std::ptrdiff_t>(which));
    // What nothing needs any more isn't brought along.
    const auto needed = [&](const std::string& id) {
        return now.pattern.thread == id || std::ranges::any_of(now.pattern.parts, [&](const Part& p) { return p.material == id; });
    };
    std::erase_if(now.materials, [&](const Material& m) { return !needed(m.id); });
    std::erase_if(now.hooks, [&](const HookSpec& h) { return h.id != now.pattern.hook; });
    return now;
}

}  // namespace machair::store
