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
            doubt(entry.at, entry.says, say("Is the thread {}, or only the head?", colour), std::move(choices), -1, "thread");
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
                     say("It is tied on sizes {} to {}: which is on the bench?", std::to_string(from), std::to_string(to)), std::move(all),
                     -1, "hook");
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
        for (const Word& word : wordsIn(says))
            (isColour(word.text) || word.text == "silk" ? words.hard : words.soft).push_back(word.text);
        std::erase(words.hard, "silk");
        words.said = says;
        if (low.find("silk") != std::string::npos || entry.heading.find("silk") != std::string::npos) words.soft.emplace_back("silk");
        const MaterialFound found = findMaterial(book_, MaterialKind::thread, words);
        if (found.made && !words.hard.empty()) return found.made->id;
        if (words.hard.empty()) {
            doubt(at, says, say("Which thread of the drawers is this?"), found.choices, part, part < 0 ? "thread" : "material");
            return found.choices.empty() ? read_.pattern.thread : MaterialId(found.choices.front().value);
        }
        Material fresh = newMaterial(book_, read_.materials, MaterialKind::thread, words);
        doubt(at, says, say("The drawers have no {} thread: it is new and nominal. Or is it one of these?", fresh.title()), found.choices,
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
