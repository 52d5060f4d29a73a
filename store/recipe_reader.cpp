// The recipe as a whole: its entries in turn, what is missing, the order of tying.
#include "store/recipe_reader.h"

#include <algorithm>
#include <array>
#include <cctype>
#include <cmath>
#include <tuple>

#include "book/fields.h"
#include "book/find.h"
#include "book/fitting.h"
#include "book/lists.h"
#include "book/part_material.h"
#include "book/spec_words.h"
#include "language/say.h"
#include "store/text_encoding.h"
#include "units/text.h"

namespace machair::store {

namespace {

bool isNone(std::string_view says) {
    const std::string low = lowered(trimmed(says));
    return low == "none" || low == "no" || low == "nil" || low == "-" || low.starts_with("none ") || low.starts_with("no ");
}

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
        return fail(Place("hooks"), say("expected a hook in the book to tie it on, got none"), say("put one into the drawers first"));
    const auto thread = std::ranges::find(book_.materials, MaterialKind::thread, &Material::kind);
    if (thread == book_.materials.end())
        return fail(Place("materials"), say("expected a thread in the book, got none"), say("put one into the drawers first"));
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
        doubt(entry.headAt, words, entry.heading.empty() ? say("Which part is this of?") : say("Which part is \"{}\"?", entry.heading));
        addNote(words);
    }
    if (read_.pattern.parts.empty())
        return fail(Place("line 1"), say("expected a recipe with its parts, as \"tail: ten fibres of orange tippet\", got no part"));
    missing();
    order();
    leaveOutWhatIsNowhere();
    read_.pattern.id = freeIdIn(book_.patterns, idOfName(*read_.pattern.name, "recipe"));
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

const Material* RecipeReader::known(const MaterialId& id) const {
    const Material* own = book_.findMaterial(id);
    return own ? own : findById(read_.materials, id);
}

void RecipeReader::readEntry(const RecipeEntry& entry) {
    if (entry.other == OtherHeading::hook) return readHook(entry);
    if (entry.other == OtherHeading::thread) return readThread(entry);
    if (entry.other == OtherHeading::note) return addNote(entry.says);
    if (!entry.part || entry.says.empty() || isNone(entry.says)) return;
    if (entry.part->kind == PartKind::head) return readHead(entry);
    if (splitOff(entry)) return;
    Made made = begin(entry.part->kind, entry, entry.at);
    for (Clause& clause : partedClausesOf(entry.part->kind, entry.says, entry.at)) {
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

std::vector<std::string> leftByMaterial(Part& part, const Material& of) {
    std::vector<std::string> left;
    for (const FellAway& fell : fitToMaterial(part, of))
        if (fell.key != "style" && fell.key != "method") left.push_back(say("{} as it was said", fell.words));
    return left;
}

void RecipeReader::finish(Made made) {
    chooseMaterial(made);
    if (auto* wing = std::get_if<WingPart>(&made.part.detail); wing && !made.styled && made.kind == MaterialKind::quill)
        wing->style = WingStyle::paired;
    if (made.part.material)
        if (const Material* of = known(*made.part.material)) {
            std::ranges::move(leftByMaterial(made.part, *of), std::back_inserter(made.left));
        }
    if (!made.left.empty()) {
        std::string note;
        for (const std::string& words : made.left)
            note += (note.empty() ? "" : "; ") + words;
        made.part.note = note;
    }
    read_.pattern.parts.push_back(std::move(made.part));
}

void RecipeReader::missing() {
    Pattern& pattern = read_.pattern;
    if (!pattern.name) {
        pattern.name = "Untitled";
        doubt(0, "", say("What is it called?"), {}, -1, "name");
    }
    std::vector<RecipeChoice> choices;
    if (!hookSaid_) {
        for (const HookSpec& hook : book_.hooks)
            if (choices.size() < 8) choices.push_back({hook.name.value_or(hook.id), hook.id});
        doubt(0, "", say("On which hook?"), std::exchange(choices, {}), -1, "hook");
    }
    if (!threadSaid_) {
        for (const Material& material : book_.materials)
            if (material.kind == MaterialKind::thread && choices.size() < 8) choices.push_back({material.title(), material.id});
        doubt(0, "", say("With which thread?"), std::exchange(choices, {}), -1, "thread");
    }
    if (!findKind(pattern, PartKind::body)) doubt(text_.size(), "", say("There is no body: is that so?"));
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

// "To the end of the tail" of a dressing that has none: what refers to nothing, or in a circle, is planned as usual and asked for.
void RecipeReader::leaveOutWhatIsNowhere() {
    Book drawers;
    drawers.hooks = book_.hooks;
    drawers.materials = book_.materials;
    constexpr std::string_view kParts = "patterns[0].parts[";
    for (const Fault& fault : check(withRecipe(std::move(drawers), read_))) {
        std::string_view place = fault.place.text();
        if (!place.starts_with(kParts)) continue;
        place.remove_prefix(kParts.size());
        const std::size_t close = place.find("].");
        const auto index = parseNumber(place.substr(0, close));
        if (close == std::string_view::npos || !index || *index >= static_cast<double>(read_.pattern.parts.size())) continue;
        Part& part = read_.pattern.parts[static_cast<std::size_t>(*index)];
        const std::string key(place.substr(close + 2, place.find('.', close + 2) - close - 2));
        Part usual = part;
        usual.detail = detailFor(part.kind);
        const auto textOf = [&](const Part& of) {
            const auto fields = fieldsOf(of);
            const auto field = std::ranges::find(fields, key, &Field::key);
            return field == fields.end() ? std::string() : field->text;
        };
        const std::string was = textOf(part);
        auto changed = withField(part, key, textOf(usual), Place());
        if (!changed) continue;
        part = std::move(*changed);
        addTo(part.note, was);
        doubt(0, "", say("\"{}\": this dressing has nothing of the kind. The usual is planned for the {}.", was, sayName(part.kind)), {},
              static_cast<int>(*index));
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

}  // namespace machair::store
