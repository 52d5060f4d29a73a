#include "book/spec_words.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <functional>
#include <optional>
#include <vector>

#include "dressing/pattern.h"
#include "language/say.h"
#include "units/text.h"

namespace machair {

namespace {

template <class Value>
struct Word {
    std::string_view text;
    Value value;
};
template <class Value>
Word(const char*, Value) -> Word<Value>;

// The first spelling of a value is the one that is written.
constexpr std::array kYardsticks = {Word{"shank", Yardstick::shank},        Word{"gape", Yardstick::gape},
                                    Word{"body", Yardstick::body},          Word{"overall length", Yardstick::overall},
                                    Word{"overall", Yardstick::overall},    Word{"eye's width", Yardstick::eyeWidth},
                                    Word{"eye width", Yardstick::eyeWidth}, Word{"spear", Yardstick::spear},
                                    Word{"bead", Yardstick::bead}};
constexpr std::array kLandmarks = {Word{"back of the bend", Landmark::rearmost},
                                   Word{"rearmost", Landmark::rearmost},
                                   Word{"eye", Landmark::eye},
                                   Word{"point", Landmark::point},
                                   Word{"barb", Landmark::barb},
                                   Word{"bend", Landmark::bend}};
constexpr std::array kFlyLandmarks = {Word{"body end", FlyLandmark::bodyEnd}, Word{"body's end", FlyLandmark::bodyEnd},
                                      Word{"tail tip", FlyLandmark::tailTip}, Word{"tail's tip", FlyLandmark::tailTip}};
constexpr std::array kShares = {Word{"as long as", 1.0},
                                Word{"half of", 0.5},
                                Word{"half", 0.5},
                                Word{"twice", 2.0},
                                Word{"two thirds of", 2.0 / 3.0},
                                Word{"a third of", 1.0 / 3.0},
                                Word{"three quarters of", 0.75},
                                Word{"a quarter of", 0.25},
                                Word{"one and a half times", 1.5},
                                Word{"one and a quarter times", 1.25},
                                Word{"four fifths of", 0.8},
                                Word{"an eighth of", 0.125},
                                Word{"two and a half times", 2.5},
                                Word{"three times", 3.0}};

template <class Value, std::size_t N>
std::optional<Value> valueOf(const std::array<Word<Value>, N>& words, std::string_view text) {
    for (const auto& word : words)
        if (word.text == text) return word.value;
    return std::nullopt;
}

template <class Value, std::size_t N>
std::string_view wordOf(const std::array<Word<Value>, N>& words, Value value) {
    for (const auto& word : words)
        if (word.value == value) return word.text;
    return "?";
}

// As short as it reads back: what was computed in steps of a tenth must not show its binary dust.
std::string numberText(double value) {
    constexpr int kPlaces = 6;
    constexpr double kDust = 1e-9;
    const std::string rounded = formatShort(value, kPlaces);
    const auto back = parseNumber(rounded);
    return back && std::abs(*back - value) <= kDust * std::abs(value) ? rounded : formatExact(value);
}

}  // namespace

std::string partName(const PartRef& ref) {
    if (const auto* kind = std::get_if<PartKind>(&ref.which)) return std::string(nameOf(*kind));
    if (const auto* id = std::get_if<std::string>(&ref.which)) return "part " + *id;
    return "part " + std::to_string(std::get<std::size_t>(ref.which));
}

std::optional<PartRef> readPart(std::string_view text) {
    if (const auto kind = fromName<PartKind>(text)) return PartRef{*kind};
    constexpr std::string_view kPart = "part ";
    if (!text.starts_with(kPart)) return std::nullopt;
    const std::string_view which = text.substr(kPart.size());
    const auto number = parseNumber(which);
    constexpr double kMostParts = 1e6;
    if (!number && !which.empty() && which.find(' ') == std::string_view::npos) return PartRef{std::string(which)};
    if (!number || *number < 0.0 || *number > kMostParts || *number != std::floor(*number)) return std::nullopt;
    return PartRef{static_cast<std::size_t>(*number)};
}

namespace {

std::string landmarkName(const AnyLandmark& landmark) {
    if (const auto* onHook = std::get_if<Landmark>(&landmark)) return std::string(wordOf(kLandmarks, *onHook));
    return std::string(wordOf(kFlyLandmarks, std::get<FlyLandmark>(landmark)));
}

std::optional<AnyLandmark> readLandmark(std::string_view text) {
    if (const auto onHook = valueOf(kLandmarks, text)) return AnyLandmark(*onHook);
    if (const auto onFly = valueOf(kFlyLandmarks, text)) return AnyLandmark(*onFly);
    return std::nullopt;
}

bool eat(std::string_view& text, std::string_view word) {
    if (!text.starts_with(word)) return false;
    const std::string_view rest = text.substr(word.size());
    if (!rest.empty() && rest.front() != ' ' && word.back() != ' ') return false;
    text = trimmed(rest);
    return true;
}

void eatArticle(std::string_view& text) {
    if (!eat(text, "the ")) eat(text, "an ");
}

// "0.8 of the shank", "twice the gape", "as long as the body".
std::optional<LengthSpec> readRatio(std::string_view text) {
    std::optional<double> share;
    for (const auto& word : kShares)
        if (std::string_view rest = text; eat(rest, word.text)) {
            share = word.value;
            text = rest;
            break;
        }
    if (!share) {
        for (const std::string_view join : {" of ", " times ", " × ", " x "}) {
            const auto at = text.find(join);
            if (at == std::string_view::npos) continue;
            share = parseNumber(text.substr(0, at));
            if (!share) return std::nullopt;
            text = trimmed(text.substr(at + join.size()));
            break;
        }
    }
    constexpr double kMostRatio = 1000.0;
    if (!share || *share <= 0.0 || *share > kMostRatio) return std::nullopt;
    eatArticle(text);
    if (const auto yardstick = valueOf(kYardsticks, text)) return LengthSpec{Ratio{*share, *yardstick}, {}};
    if (const auto part = readPart(text)) return LengthSpec{Ratio{*share, *part}, {}};
    return std::nullopt;
}

std::optional<LengthSpec> readSize(std::string_view text) {
    text = trimmed(text);
    if (const auto plain = parseLength(text)) {
        constexpr Length kMost = 1000.0 * mm;
        if (*plain <= 0.0 * mm || *plain > kMost) return std::nullopt;
        return inMm(*plain);
    }
    return readRatio(text);
}

struct Offset {
    LengthSpec size;
    std::string_view from;
};
// "SIZE past the point": the size, and the name of what it is measured from.
std::optional<Offset> readOffset(std::string_view text, std::string_view join) {
    const auto at = text.find(join);
    if (at == std::string_view::npos) return std::nullopt;
    const auto size = readSize(text.substr(0, at));
    if (!size) return std::nullopt;
    std::string_view from = trimmed(text.substr(at + join.size()));
    eatArticle(from);
    return Offset{*size, from};
}

std::optional<LengthSpec> readReach(std::string_view text) {
    for (const bool past : {true, false}) {
        const auto offset = readOffset(text, past ? " past " : " short of ");
        if (!offset) continue;
        Reach reach;
        if (const auto landmark = readLandmark(offset->from))
            reach.to = *landmark;
        else if (const auto part = readPart(offset->from))
            reach.to = *part;
        else
            return std::nullopt;
        (past ? reach.past : reach.shortBy) = Held<LengthSpec>(offset->size);
        return LengthSpec{reach, {}};
    }
    if (!eat(text, "to ")) return std::nullopt;
    std::string_view name = text;
    eatArticle(name);
    if (const auto landmark = readLandmark(name)) return LengthSpec{Reach{*landmark, {}, {}, {}}, {}};
    if (const auto part = readPart(name)) return LengthSpec{Reach{*part, {}, {}, {}}, {}};
    const auto share = readRatio(text);  // "to 0.55 of the tail"
    const auto* ratio = share ? std::get_if<Ratio>(&share->value) : nullptr;
    constexpr double kMostFraction = 10.0;
    if (!ratio || ratio->ratio > kMostFraction) return std::nullopt;
    if (const auto* part = std::get_if<PartRef>(&ratio->of)) return LengthSpec{Reach{*part, ratio->ratio, {}, {}}, {}};
    // A body and a bead are yardsticks too, but nothing reaches to one.
    const auto* yardstick = std::get_if<Yardstick>(&ratio->of);
    if (yardstick && *yardstick == Yardstick::body) return LengthSpec{Reach{PartRef{PartKind::body}, ratio->ratio, {}, {}}, {}};
    if (yardstick && *yardstick == Yardstick::bead) return LengthSpec{Reach{PartRef{PartKind::bead}, ratio->ratio, {}, {}}, {}};
    return std::nullopt;
}

std::optional<LengthSpec> readBars(std::string_view text) {
    for (const std::string_view end : {" bars", " bar"}) {
        if (!text.ends_with(end)) continue;
        const auto n = parseNumber(text.substr(0, text.size() - end.size()));
        constexpr double kMostBars = 64.0;
        if (n && *n >= 1.0 && *n <= kMostBars && *n == std::floor(*n)) return LengthSpec{Bars{static_cast<int>(*n)}, {}};
    }
    return std::nullopt;
}

}  // namespace

std::string writeSpec(const LengthSpec& spec) {
    struct Write {
        std::string operator()(Length l) const { return numberText(l / mm) + " mm"; }
        std::string operator()(const Ratio& r) const {
            const auto* yardstick = std::get_if<Yardstick>(&r.of);
            const std::string of = yardstick ? std::string(wordOf(kYardsticks, *yardstick)) : partName(std::get<PartRef>(r.of));
            if (r.ratio == 1.0) return "as long as the " + of;
            return numberText(r.ratio) + " of the " + of;
        }
        std::string operator()(const Reach& r) const {
            const auto* part = std::get_if<PartRef>(&r.to);
            const std::string to = part ? partName(*part) : landmarkName(std::get<AnyLandmark>(r.to));
            if (r.past) return writeSpec(**r.past) + " past the " + to;
            if (r.shortBy) return writeSpec(**r.shortBy) + " short of the " + to;
            if (r.fraction) return "to " + numberText(*r.fraction) + " of the " + to;
            return "to the " + to;
        }
        std::string operator()(const Bars& b) const { return std::to_string(b.count) + (b.count == 1 ? " bar" : " bars"); }
    };
    return std::visit(Write{}, spec.value);
}

std::string saySpec(const LengthSpec& spec) {
    constexpr double kNamed = 1e-3;  // of the share
    const auto named = [](double share) -> std::string {
        for (const auto& word : kShares)
            if (std::abs(word.value - share) <= kNamed * share) return std::string(word.text);
        return numberText(share) + " of";
    };
    if (const auto* ratio = std::get_if<Ratio>(&spec.value)) {
        const auto* yardstick = std::get_if<Yardstick>(&ratio->of);
        return named(ratio->ratio) + " the " +
               (yardstick ? std::string(wordOf(kYardsticks, *yardstick)) : partName(std::get<PartRef>(ratio->of)));
    }
    if (const auto* reach = std::get_if<Reach>(&spec.value); reach && reach->fraction && !reach->past && !reach->shortBy)
        if (const auto* part = std::get_if<PartRef>(&reach->to)) return "to " + named(*reach->fraction) + " the " + partName(*part);
    return writeSpec(spec);
}

std::string writeSpec(const StationSpec& spec) {
    const std::string name = landmarkName(spec.at);
    if (spec.ahead) return writeSpec(*spec.ahead) + " ahead of the " + name;
    if (spec.behind) return writeSpec(*spec.behind) + " behind the " + name;
    return "at the " + name;
}

namespace {

// What such a text is put together from. Whole with its article, as languages join the two in their own way.
constexpr std::array kPieces = {unsaid("as long as"),
                                unsaid("half of"),
                                unsaid("half"),
                                unsaid("twice"),
                                unsaid("two thirds of"),
                                unsaid("a third of"),
                                unsaid("three quarters of"),
                                unsaid("a quarter of"),
                                unsaid("one and a half times"),
                                unsaid("one and a quarter times"),
                                unsaid("four fifths of"),
                                unsaid("an eighth of"),
                                unsaid("two and a half times"),
                                unsaid("three times"),
                                unsaid("times"),
                                unsaid("of"),
                                unsaid("past"),
                                unsaid("short of"),
                                unsaid("ahead of"),
                                unsaid("behind"),
                                unsaid("to"),
                                unsaid("at"),
                                unsaid("opposite"),
                                unsaid("bars"),
                                unsaid("bar"),
                                unsaid("the shank"),
                                unsaid("the gape"),
                                unsaid("the body"),
                                unsaid("the overall length"),
                                unsaid("the eye's width"),
                                unsaid("the spear"),
                                unsaid("the bead"),
                                unsaid("the back of the bend"),
                                unsaid("the eye"),
                                unsaid("the point"),
                                unsaid("the barb"),
                                unsaid("the bend"),
                                unsaid("the body end"),
                                unsaid("the tail tip"),
                                unsaid("the tag"),
                                unsaid("the butt"),
                                unsaid("the tail"),
                                unsaid("the rib"),
                                unsaid("the underbody"),
                                unsaid("the thorax"),
                                unsaid("the palmer"),
                                unsaid("the collar"),
                                unsaid("the throat"),
                                unsaid("the wing"),
                                unsaid("the legs"),
                                unsaid("the cheek"),
                                unsaid("the head"),
                                unsaid("the part")};

constexpr std::string_view kAPart = "the part";

// Where English is spoken each is its own word: every plan asks, and nothing is to be looked for.
bool isEnglish() { return say(kPieces.front()) == kPieces.front(); }

struct Piece {
    std::string from, to;
};

// In both directions, the longest first.
struct Dictionary {
    std::vector<Piece> own, english;
    unsigned language = languageNumber();

    Dictionary() {
        for (const char* piece : kPieces) {
            const std::string said = say(piece);
            own.push_back({piece, said});
            english.push_back({said, piece});
            // Without its article, as it is typed in haste: after a blank, or after the apostrophe of "l'eye".
            if (const auto end = said.find_first_of(" '");
                said != piece && std::string_view(piece).starts_with("the ") && end != std::string::npos)
                english.push_back({said.substr(end + 1), piece});
        }
        for (auto* pieces : {&own, &english})
            std::ranges::stable_sort(*pieces, std::ranges::greater(), [](const Piece& piece) { return piece.from.size(); });
    }
};

// Every field that is shown asks: looked up once for a language. Plans are made beside the window too, so each thread has its own.
const Dictionary& dictionary() {
    thread_local Dictionary made;
    if (made.language != languageNumber()) made = Dictionary();
    return made;
}

// Each piece that stands as whole words.
std::string replaced(std::string_view text, const std::vector<Piece>& pieces) {
    const auto isLetter = [](char c) {  // or what ids are made of beside
        return (c >= 'a' && c <= 'z') || (c >= 'A' && c <= 'Z') || (c >= '0' && c <= '9') || c == '-' || c == '_' || (c & 0x80) != 0;
    };
    std::string all;
    while (!text.empty()) {
        const bool begins = all.empty() || !isLetter(all.back());
        const auto found = std::ranges::find_if(pieces, [&](const Piece& piece) {
            const std::size_t end = piece.from.size();
            const bool ends = text.size() == end || piece.from.back() == '\'' || (text.size() > end && !isLetter(text[end]));
            return begins && !piece.from.empty() && text.starts_with(piece.from) && ends;
        });
        if (found == pieces.end()) {
            all += text.front();
            text.remove_prefix(1);
        } else {
            all += found->to;
            text.remove_prefix(found->from.size());
            if (found->to == kAPart || found->from == kAPart) {  // and its id, which is nobody's word
                const std::size_t end = std::min(text.find(' ', 1), text.size());
                all += text.substr(0, end);
                text.remove_prefix(end);
            }
        }
    }
    return all;
}

}  // namespace

std::string specInLanguage(std::string_view written) { return isEnglish() ? std::string(written) : replaced(written, dictionary().own); }

std::string specInEnglish(std::string_view typed) { return isEnglish() ? std::string(typed) : replaced(typed, dictionary().english); }

Result<LengthSpec> readSpec(std::string_view text, const Place& place) {
    text = trimmed(text);
    if (const auto reach = readReach(text)) return *reach;
    if (const auto bars = readBars(text)) return *bars;
    if (const auto size = readSize(text)) return *size;
    return fail(place, say("expected a length over 0 and at most 1000 mm, got \"{}\"", text),
                say("say it as \"11.7 mm\", \"0.8 of the shank\", \"to the point\" or \"0.4 mm past the barb\""));
}

Result<StationSpec> readStationSpec(std::string_view text, const Place& place) {
    text = trimmed(text);
    for (const bool ahead : {true, false}) {
        const auto offset = readOffset(text, ahead ? " ahead of " : " behind ");
        const auto from = offset ? readLandmark(offset->from) : std::nullopt;
        if (!from) continue;
        StationSpec spec{*from, {}, {}, {}};
        (ahead ? spec.ahead : spec.behind) = offset->size;
        return spec;
    }
    std::string_view name = text;
    if (!eat(name, "at ")) eat(name, "opposite ");
    eatArticle(name);
    if (const auto landmark = readLandmark(name)) return StationSpec{*landmark, {}, {}, {}};
    if (const auto size = readSize(text); size && std::holds_alternative<Length>(size->value))
        return StationSpec{Landmark::eye, {}, size, {}};
    return fail(place, say("expected a place on the hook, got \"{}\"", text),
                say("say it as \"at the barb\", \"0.5 mm ahead of the point\" or \"0.22 of the shank behind the eye\""));
}

LengthSpec stepped(const LengthSpec& spec, int steps) {
    static constexpr double kMmStep = 0.1;
    static constexpr double kRatioStep = 0.01;
    struct Step {
        const LengthSpec& spec;
        int steps;
        // In whole steps, so that a hundred small ones land where one large one does.
        [[nodiscard]] double move(double value, double step) const { return std::round(value / step + steps) * step; }
        LengthSpec operator()(Length l) const { return {std::max(kMmStep, move(l / mm, kMmStep)) * mm, spec.carried}; }
        LengthSpec operator()(Ratio r) const {
            r.ratio = std::max(kRatioStep, move(r.ratio, kRatioStep));
            return {r, spec.carried};
        }
        LengthSpec operator()(Reach r) const {
            if (r.fraction) {
                r.fraction = std::max(kRatioStep, move(*r.fraction, kRatioStep));
                return {r, spec.carried};
            }
            const bool relative = (r.past && !std::holds_alternative<Length>((*r.past)->value)) ||
                                  (r.shortBy && !std::holds_alternative<Length>((*r.shortBy)->value));
            if (relative) {
                auto& offset = r.past ? **r.past : **r.shortBy;
                offset = stepped(offset, r.past ? steps : -steps);
                return {r, spec.carried};
            }
            double past = r.past ? std::get<Length>((*r.past)->value) / mm : 0.0;
            if (r.shortBy) past -= std::get<Length>((*r.shortBy)->value) / mm;
            past = move(past, kMmStep);
            r.past.reset();
            r.shortBy.reset();
            if (past > kMmStep / 2.0) r.past = Held<LengthSpec>(inMm(past * mm));
            if (past < -kMmStep / 2.0) r.shortBy = Held<LengthSpec>(inMm(-past * mm));
            return {r, spec.carried};
        }
        LengthSpec operator()(Bars b) const {
            b.count = std::max(1, b.count + (steps > 0 ? 1 : -1));
            return {b, spec.carried};
        }
    };
    return std::visit(Step{spec, steps}, spec.value);
}

std::optional<LengthSpec> lengthened(const LengthSpec& spec, int steps) {
    if (steps == 0) return spec;
    LengthSpec longer = spec;
    if (auto* ratio = std::get_if<Ratio>(&longer.value)) {
        ratio->ratio *= 1.0 + kLengthStep * steps;
        return longer;
    }
    if (auto* length = std::get_if<Length>(&longer.value)) {
        *length *= 1.0 + kLengthStep * steps;
        return longer;
    }
    auto* reach = std::get_if<Reach>(&longer.value);
    if (!reach || (reach->past && reach->shortBy)) return std::nullopt;
    double past = 0.0;
    if (reach->past || reach->shortBy) {
        const auto* of = std::get_if<Ratio>(&(*(reach->past ? reach->past : reach->shortBy))->value);
        if (!of || of->of != decltype(of->of){Yardstick::gape}) return std::nullopt;
        past = reach->past ? of->ratio : -of->ratio;
    }
    past += kLengthStep * steps;
    reach->past.reset();
    reach->shortBy.reset();
    constexpr double kNone = 1e-9;
    if (past > kNone) reach->past = Held<LengthSpec>(ratioOf(past, Yardstick::gape));
    if (past < -kNone) reach->shortBy = Held<LengthSpec>(ratioOf(-past, Yardstick::gape));
    return longer;
}

}  // namespace machair
