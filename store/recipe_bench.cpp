// What a recipe says beside its parts: hook, thread, head, and which dressing it is like.
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

void RecipeReader::readHead(const RecipeEntry& entry) {
    Made made = begin(PartKind::head, entry, entry.at);
    const auto before = findKind(read_.pattern, PartKind::head);  // "Whip finish", then "two coats of varnish": there is one head
    if (before) {
        made.part = read_.pattern.parts[*before];
        if (made.part.note) made.left.push_back(*made.part.note);
    }
    for (Clause& clause : clausesOf(entry.says, entry.at)) {
        const bool dressed = std::ranges::any_of(clause.words, [](const Word& w) {
            const auto kind = kindOfNoun(w.text, PartKind::head);
            return kind == MaterialKind::herl || kind == MaterialKind::dubbing || kindOfBird(w.text, PartKind::head) == MaterialKind::herl;
        });
        if (dressed) {  // a head of herl or fur
            readClause(made, std::move(clause));
            continue;
        }
        takeFinish(made, clause.words);
        takeHeadColour(made, clause, entry);
        keepRest(made, clause);
    }
    finish(std::move(made));
    if (!before) return;
    read_.pattern.parts[*before] = std::move(read_.pattern.parts.back());
    read_.pattern.parts.pop_back();
}

void RecipeReader::takeFinish(Made& made, std::vector<Word>& words) const {
    for (std::size_t i = 0; i < words.size(); ++i) {
        const auto count = countAt(words, i);
        if (!count || words[i].used) continue;
        const std::size_t next = i + count->words;
        const bool coats = next < words.size() && (words[next].text == "coats" || words[next].text == "coat");
        const bool whips =
            (i > 0 && words[i - 1].text == "whip") || (next < words.size() && (words[next].text == "turns" || words[next].text == "turn"));
        if (coats) set(made, "coats", sayCount(count->count));
        if (whips && !coats) set(made, "whip_turns", sayCount(count->count));
        if (coats || whips) use(words, i, count->words + 1);
    }
    struct Finishing {
        std::string_view word, finish;
    };
    constexpr std::array kFinishes = {Finishing{"varnish", "varnish"}, Finishing{"varnished", "varnish"},
                                      Finishing{"lacquer", "varnish"}, Finishing{"lacquered", "varnish"},
                                      Finishing{"resin", "resin"},     Finishing{"glue", "glue"},
                                      Finishing{"glued", "glue"},      Finishing{"wax", "wax"}};
    for (const Finishing& one : kFinishes)
        if (const auto at = wordAt(words, one.word)) {
            set(made, "finish", std::string(one.finish));
            use(words, *at, 1);
        }
    constexpr std::array<std::string_view, 10> kOfHeads = {"drop",  "whip", "head",   "finish", "finished",
                                                           "small", "neat", "thread", "silk",   "clear"};
    for (Word& word : words)
        if (isOneOf(kOfHeads, word.text)) word.used = true;
}

// A head of another colour than the thread's is asked for; one of its own is only said again.
void RecipeReader::takeHeadColour(Made& made, Clause& clause, const RecipeEntry& entry) {
    std::string colour;
    for (Word& word : clause.words)
        if (!word.used && isColour(word.text)) {
            colour += (colour.empty() ? "" : " ") + word.text;
            word.used = true;
        }
    if (colour.empty()) return;
    const Material* thread = threadSaid_ ? known(read_.pattern.thread) : nullptr;
    if (thread && lowered(thread->title()).find(colour) != std::string::npos) return;
    std::vector<RecipeChoice> choices;
    for (const Material& material : book_.materials)
        if (material.kind == MaterialKind::thread && lowered(material.title()).find(colour) != std::string::npos)
            choices.push_back({material.title(), material.id});
    made.left.push_back("head " + colour);
    doubt(entry.at, entry.says, say("Is the thread {}, or only the head?", colour), std::move(choices), -1, "thread");
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
        return doubt(entry.at, entry.says, say("Which size of hook?"), std::move(all), -1, "hook");
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
                if (std::ranges::any_of(words, [&](const Word& w) { return w.text == word.text; }))
                    alike += word.text == "shank" ? 0.5 : 1.0;
            alike -= 0.1 * (std::abs(hook.longer.value_or(0)) + std::abs(hook.heavier.value_or(0))) +
                     (hook.family == HookFamily::sproat ? 0.0 : 0.05);
            if (!found || alike > most) {
                found = &hook;
                most = alike;
            }
        }
        return found;
    };
    askOfHook(entry, words);
    const int from = static_cast<int>(sizes->low), to = static_cast<int>(sizes->high);
    if (to > from) {
        const HookSpec* first = nullptr;
        for (int size = from; size <= to; ++size)
            if (const HookSpec* hook = best(size)) {
                all.push_back({hook->name.value_or(hook->id) + ", size " + std::to_string(size), hook->id});
                if (!first) first = hook;
            }
        if (first) read_.pattern.hook = first->id;
        addNote("hooks " + std::to_string(from) + " to " + std::to_string(to));
        return doubt(entry.at, entry.says,
                     say("It is tied on sizes {} to {}: which is on the bench?", std::to_string(from), std::to_string(to)), std::move(all),
                     -1, "hook");
    }
    takeHook(best(from), from, entry.says, entry.at);
}

void RecipeReader::addNote(const std::string& words) { addTo(read_.pattern.note, words); }

// What is said of a hook that neither the usual words nor one in the drawers has: a double, a maker's number.
void RecipeReader::askOfHook(const RecipeEntry& entry, const std::vector<Word>& words) {
    constexpr std::array<std::string_view, 29> kOfHooks = {
        "spider", "trout",    "river",  "hook",    "hooks",    "size",   "sizes",    "no",     "wet",   "fly",
        "wire",   "barbless", "barbed", "barb",    "standard", "normal", "light",    "medium", "heavy", "fine",
        "strong", "shank",    "bronze", "bronzed", "black",    "down",   "downeyed", "eye",    "eyed"};
    std::string strange;
    for (std::size_t i = 0; i < words.size(); ++i) {
        const Word& word = words[i];
        if (countAt(words, i) || isFiller(word.text) || isOneOf(kOfHooks, word.text)) continue;
        const bool known = std::ranges::any_of(book_.hooks, [&](const HookSpec& hook) {
            return std::ranges::any_of(wordsIn(hook.name.value_or(hook.id)), [&](const Word& own) { return own.text == word.text; });
        });
        if (!known) strange += (strange.empty() ? "" : " ") + entry.says.substr(word.from, word.to - word.from);
    }
    if (strange.empty()) return;
    addNote(say("hook: {}", strange));
    doubt(entry.at, strange, say("What does \"{}\" mean for the hook?", strange));
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
    read_.hooks = {std::move(fresh)};  // where two are said the last one holds
    doubt(at, says, say("No such hook of size {} lies in the drawers: a nominal one is new. Or is it one of these?", std::to_string(size)),
          std::move(others), -1, "hook");
}

void RecipeReader::readThread(const RecipeEntry& entry) {
    threadSaid_ = true;
    const std::string low = lowered(entry.says);
    const std::size_t then = low.find("then ");
    const auto one = [&](const std::string& says, std::size_t at, int part) -> MaterialId {
        const NamedMaterial named = materialNamedIn(book_, says, PartKind::thread);
        if (named.made) return named.made->id;
        MaterialWords words;
        for (const Word& word : wordsIn(says)) {
            if (word.text.ends_with("waxed") || word.text == "well" || isFiller(word.text)) continue;  // what is done with it
            (isColour(word.text) ? words.hard : words.soft).push_back(word.text);
            words.said += (words.said.empty() ? "" : " ") + word.text;
        }
        std::erase(words.soft, "silk");
        if (low.find("silk") != std::string::npos || entry.heading.find("silk") != std::string::npos) words.soft.emplace_back("silk");
        const MaterialFound found = findMaterial(book_, MaterialKind::thread, words);
        if (found.made && !words.hard.empty()) return found.made->id;
        if (words.hard.empty()) {
            doubt(at, says, say("Which thread of the drawers is this?"), found.choices, part, part < 0 ? "thread" : "material");
            return found.choices.empty() ? read_.pattern.thread : MaterialId(found.choices.front().value);
        }
        Material fresh = newMaterial(book_, read_.materials, MaterialKind::thread, words);
        doubt(at, says, say("The drawers have no {}: it is new and nominal. Or is it one of these?", fresh.title()), found.choices, part,
              part < 0 ? "thread" : "material");
        read_.materials.push_back(fresh);
        return fresh.id;
    };
    std::string first = entry.says.substr(0, then == std::string::npos ? entry.says.size() : then);
    while (!first.empty() && (first.back() == ' ' || first.back() == ','))
        first.pop_back();
    if (!first.empty()) read_.pattern.thread = one(first, entry.at, -1);
    if (low.find("waxed") != std::string::npos) addNote(say("thread: {}", entry.says));
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
        doubt(entry.at, entry.says, say("There is no such dressing in the book: like which is it?"), std::move(choices), -1, "like");
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
            doubt(clause.at, clause.text, say("Which part is this of?"));
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

}  // namespace machair::store
