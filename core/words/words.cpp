#include "words/words.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <vector>

#include "language/say.h"
#include "units/text.h"

namespace machair {

namespace {

struct Phrase {
    std::string text;
    Length stands;
    double oddness;                           // 0 for what a tier says first; weighed against the error
    std::string_view share = {}, stick = {};  // what a length's text is made of

    // For people; `text` is what is read back.
    [[nodiscard]] std::string words() const { return share.empty() ? say(text) : say(share) + " " + say(stick); }
};

struct Share {
    std::string_view words;  // followed by the yardstick
    double share;
    double oddness;
};

constexpr std::array kShares = {Share{unsaid("as long as"), 1.0, 0.0},
                                Share{unsaid("half"), 0.5, 0.10},
                                Share{unsaid("twice"), 2.0, 0.15},
                                Share{unsaid("two thirds of"), 2.0 / 3.0, 0.20},
                                Share{unsaid("a third of"), 1.0 / 3.0, 0.20},
                                Share{unsaid("three quarters of"), 0.75, 0.25},
                                Share{unsaid("a quarter of"), 0.25, 0.25},
                                Share{unsaid("four fifths of"), 0.8, 0.30},
                                Share{unsaid("one and a half times"), 1.5, 0.25},
                                Share{unsaid("three times"), 3.0, 0.35},
                                Share{unsaid("one and a quarter times"), 1.25, 0.40},
                                Share{unsaid("two and a half times"), 2.5, 0.45},
                                Share{unsaid("an eighth of"), 0.125, 0.60}};

std::vector<Phrase> lengthPhrases(const Hook& hook) {
    struct Stick {
        std::string_view words;
        Length length;
        double oddness;
    };
    const std::array sticks = {Stick{unsaid("the shank"), hook.shank(), 0.0}, Stick{unsaid("the gape"), hook.gape(), 0.1},
                               Stick{unsaid("an eye's width"), hook.eyeWidth(), 0.3}};
    std::vector<Phrase> phrases;
    phrases.reserve(sticks.size() * kShares.size());
    for (const auto& stick : sticks)
        for (const auto& share : kShares)
            phrases.push_back({std::string(share.words) + " " + std::string(stick.words), share.share * stick.length,
                               share.oddness + stick.oddness, share.words, stick.words});
    return phrases;
}

std::vector<Phrase> stationPhrases(const Hook& hook) {
    const Length point = hook.landmarkStation(Landmark::point);
    const Length barb = hook.landmarkStation(Landmark::barb);
    const Length bend = hook.landmarkStation(Landmark::bend);
    return {{unsaid("at the eye"), 0.0 * mm, 0.0},
            {unsaid("opposite the point"), point, 0.0},
            {unsaid("opposite the barb"), barb, 0.0},
            {unsaid("at the bend"), bend, 0.0},
            {unsaid("halfway between point and barb"), 0.5 * (point + barb), 0.15},
            {unsaid("halfway between barb and bend"), 0.5 * (barb + bend), 0.2},
            {unsaid("a quarter of the way back from the eye"), 0.25 * hook.shank(), 0.2},
            {unsaid("a third of the way back from the eye"), hook.shank() / 3.0, 0.1},
            {unsaid("halfway back from the eye"), 0.5 * hook.shank(), 0.1},
            {unsaid("two thirds of the way back from the eye"), 2.0 / 3.0 * hook.shank(), 0.15},
            {unsaid("three quarters of the way back from the eye"), 0.75 * hook.shank(), 0.2}};
}

std::vector<Phrase> reachPhrases(const Hook& hook) {
    return {{unsaid("the eye"), 0.0 * mm, 0.1},
            {unsaid("the point"), hook.landmarkTarget(Landmark::point).x, 0.0},
            {unsaid("the barb"), hook.landmarkTarget(Landmark::barb).x, 0.0},
            {unsaid("the bend"), hook.landmarkTarget(Landmark::bend).x, 0.0},
            {unsaid("the back of the bend"), hook.landmarkTarget(Landmark::rearmost).x, 0.1}};
}

// How far a phrase may be from the number unsaid: a quarter of a millimetre, closer for what is short.
Length allowance(Length value) { return std::min(kPhraseTolerance, std::max(0.03 * mm, 0.05 * abs(value))); }

const Phrase& bestWithin(const std::vector<Phrase>& phrases, Length value, Length allowed) {
    const auto weight = [&](const Phrase& p) {
        const double error = abs(p.stands - value) / allowed;
        return error <= 1.0 ? error + p.oddness : 10.0 + error + p.oddness;
    };
    return *std::ranges::min_element(phrases, {}, weight);
}

constexpr std::string_view kBlank = " ";

// "0.4": offsets are said to a tenth, or to a hundredth where a tenth would be nothing.
std::string offsetText(Length offset) {
    const double size = abs(offset) / mm;
    return formatShort(size, size < 0.095 ? 2 : 1) + " mm";
}

Length offsetMeant(Length offset) {
    const double sign = offset < 0.0 * mm ? -1.0 : 1.0;
    const std::string text = offsetText(offset);
    return sign * parseLength(text).value_or(0.0 * mm);
}

bool eat(std::string_view& text, std::string_view word) {
    if (!text.starts_with(word)) return false;
    text = trimmed(text.substr(word.size()));
    return true;
}

const Phrase* phraseSaying(const std::vector<Phrase>& phrases, std::string_view text) {
    const auto found = std::ranges::find(phrases, text, &Phrase::text);
    return found == phrases.end() ? nullptr : &*found;
}

}  // namespace

Said sayLength(Length length, const Hook& hook) {
    const auto phrases = lengthPhrases(hook);
    const Phrase& best = bestWithin(phrases, length, allowance(length));
    const Length off = length - best.stands;
    if (abs(off) <= allowance(length)) return {best.words(), best.stands};
    const Length meant = offsetMeant(off);
    return {off > 0.0 * mm ? say("{}, and {}", best.words(), offsetText(off)) : say("{}, less {}", best.words(), offsetText(off)),
            best.stands + meant};
}

Said sayStation(Length station, const Hook& hook) {
    const auto phrases = stationPhrases(hook);
    constexpr Length kStationAllowance = 0.12 * mm;
    const Phrase& best = bestWithin(phrases, station, kStationAllowance);
    const Length off = station - best.stands;
    if (abs(off) <= kStationAllowance) return {best.words(), best.stands};
    // An offset is said from a landmark, not from a fraction.
    const auto landmarks = std::vector<Phrase>(phrases.begin(), phrases.begin() + 4);
    const Phrase& near = *std::ranges::min_element(landmarks, {}, [&](const Phrase& p) { return abs(p.stands - station); });
    const Length offset = station - near.stands;
    const std::string name = say(near.text.substr(near.text.find("the ")));
    return {offset < 0.0 * mm ? say("{} ahead of {}", offsetText(offset), name) : say("{} behind {}", offsetText(offset), name),
            near.stands + offsetMeant(offset)};
}

Said sayReach(Length x, const Hook& hook) {
    const auto phrases = reachPhrases(hook);
    const Phrase& near = *std::ranges::min_element(phrases, {}, [&](const Phrase& p) { return abs(p.stands - x) / mm + 0.2 * p.oddness; });
    const Length offset = x - near.stands;
    constexpr Length kReachAllowance = 0.05 * mm;
    if (abs(offset) <= kReachAllowance) return {say("to {}", near.words()), near.stands};
    const std::string name = near.words();
    return {offset > 0.0 * mm ? say("{} past {}", offsetText(offset), name) : say("{} short of {}", offsetText(offset), name),
            near.stands + offsetMeant(offset)};
}

std::optional<Length> readLength(std::string_view phrase, const Hook& hook) {
    phrase = trimmed(phrase);
    if (const auto plain = parseLength(phrase)) return plain;
    Length offset;
    if (const auto comma = phrase.find(','); comma != std::string_view::npos) {
        std::string_view tail = trimmed(phrase.substr(comma + 1));
        const double sign = eat(tail, "less ") ? -1.0 : 1.0;
        if (sign > 0.0 && !eat(tail, "and ")) return std::nullopt;
        const auto amount = parseLength(tail);
        if (!amount) return std::nullopt;
        offset = sign * *amount;
        phrase = trimmed(phrase.substr(0, comma));
    }
    const auto phrases = lengthPhrases(hook);
    if (const Phrase* said = phraseSaying(phrases, phrase)) return said->stands + offset;
    return std::nullopt;
}

std::optional<Length> readStation(std::string_view phrase, const Hook& hook) {
    phrase = trimmed(phrase);
    if (const auto plain = parseLength(phrase)) return plain;
    const auto phrases = stationPhrases(hook);
    if (const Phrase* said = phraseSaying(phrases, phrase)) return said->stands;
    for (const auto& [word, sign] : {std::pair{std::string_view(" ahead of "), -1.0}, std::pair{std::string_view(" behind "), 1.0}}) {
        const auto at = phrase.find(word);
        if (at == std::string_view::npos) continue;
        const auto amount = parseLength(phrase.substr(0, at));
        const std::string_view name = trimmed(phrase.substr(at + word.size()));
        if (!amount) return std::nullopt;
        for (const Phrase& p : phrases)
            if (p.text.ends_with(std::string(kBlank) + std::string(name)) && p.text.find("way") == std::string::npos)
                return p.stands + sign * *amount;
    }
    return std::nullopt;
}

std::optional<Length> readReach(std::string_view phrase, const Hook& hook) {
    phrase = trimmed(phrase);
    const auto phrases = reachPhrases(hook);
    if (eat(phrase, "to ")) {
        const Phrase* said = phraseSaying(phrases, phrase);
        return said ? std::optional(said->stands) : std::nullopt;
    }
    for (const auto& [word, sign] : {std::pair{std::string_view(" past "), 1.0}, std::pair{std::string_view(" short of "), -1.0}}) {
        const auto at = phrase.find(word);
        if (at == std::string_view::npos) continue;
        const auto amount = parseLength(phrase.substr(0, at));
        const Phrase* said = phraseSaying(phrases, trimmed(phrase.substr(at + word.size())));
        if (amount && said) return said->stands + sign * *amount;
    }
    return std::nullopt;
}

}  // namespace machair
