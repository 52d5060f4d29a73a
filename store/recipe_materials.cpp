#include "store/recipe_materials.h"

#include <algorithm>
#include <array>
#include <cctype>
#include <cmath>

#include "book/lists.h"
#include "book/part_material.h"
#include "colour/colour.h"
#include "units/text.h"

namespace machair::store {

namespace {

std::string bare(std::string_view word) {  // without a plural or possessive end
    std::string own(word);
    for (const std::string_view end : {"'s", "s'", "s"})
        if (own.size() > end.size() + 2 && own.ends_with(end)) {
            own.resize(own.size() - end.size());
            break;
        }
    return own;
}

// The words of a name, hyphens parted too: "Fox-red saddle" is red.
std::vector<std::string> nameWords(const Material& material) {
    std::vector<std::string> words;
    for (const Word& word : wordsIn(material.title())) {
        words.push_back(bare(word.text));
        for (std::size_t from = 0, at = word.text.find('-'); at != std::string::npos; at = word.text.find('-', from)) {
            words.push_back(bare(word.text.substr(from, at - from)));
            from = at + 1;
            if (word.text.find('-', from) == std::string::npos) words.push_back(bare(word.text.substr(from)));
        }
    }
    return words;
}

bool traitSays(const Material& material, std::string_view word) {
    if (const auto* hackle = std::get_if<HackleTraits>(&material.traits); hackle && hackle->bird) {
        switch (*hackle->bird) {
            case Bird::hen:
            case Bird::henDense: return word == "hen";
            case Bird::partridge: return word == "partridge";
            case Bird::grouse: return word == "grouse";
            case Bird::cockCape: return word == "cock" || word == "cape" || word == "neck";
            case Bird::cockSaddle: return word == "cock" || word == "saddle";
            case Bird::other: return false;
        }
    }
    if (const auto* wire = std::get_if<WireTraits>(&material.traits); wire && wire->metal)
        return nameOf(*wire->metal) == word || (word == "lead-free" && *wire->metal != Metal::lead);
    if (const auto* bead = std::get_if<BeadTraits>(&material.traits); bead && bead->metal) return nameOf(*bead->metal) == word;
    if (const auto* fur = std::get_if<DubbingTraits>(&material.traits); fur && fur->texture)
        return (*fur->texture == DubbingTexture::hare && (word == "hare" || word == "rabbit")) ||
               (*fur->texture == DubbingTexture::sealLike && word == "seal");
    if (material.kind == MaterialKind::hair) return word == "squirrel" || word == "fox" || word == "calf" || word == "deer";
    if (material.kind == MaterialKind::herl) {  // the one is green and bronze, the other any colour but that
        const std::vector<std::string> named = nameWords(material);
        const bool green = std::ranges::any_of(named, [](const std::string& w) { return w == "green" || w == "bronze"; });
        const bool plain = std::ranges::none_of(named, [](const std::string& w) { return isColour(w); });
        return (word == "peacock" && (green || plain)) || (word == "ostrich" && !green);
    }
    if (material.kind == MaterialKind::fibres)
        return word == "hen" || word == "cock" || word == "turkey" || word == "pheasant" || word == "crest" || word == "topping";
    if (material.kind == MaterialKind::tippet) return word == "pheasant" || word == "golden";
    if (material.kind == MaterialKind::cheek) return word == "jungle" || word == "cock" || word == "jay";
    if (material.kind == MaterialKind::flank) return word == "mallard" || word == "duck";
    if (material.kind == MaterialKind::plume) {
        const auto& plume = std::get<PlumeTraits>(material.traits);
        return plume.down == Down::marabou && word == "marabou";
    }
    return false;
}

bool says(const Material& material, const std::vector<std::string>& own, const std::string& word) {
    const std::string wanted = bare(word);
    if (std::ranges::find(own, wanted) != own.end() || traitSays(material, wanted)) return true;
    if (wanted == "gray") return std::ranges::find(own, "grey") != own.end();
    if (wanted == "golden" || wanted == "gold")
        return std::ranges::find(own, "gold") != own.end() || std::ranges::find(own, "golden") != own.end();
    return false;
}

// Only of one whose name says no colour: scarlet isn't red to a tier.
bool colourSays(const Material& material, std::string_view word) {
    if (!isColour(word) || !material.colour) return false;
    const auto named = nameWords(material);
    if (std::ranges::any_of(named, [](const std::string& w) { return isColour(w); })) return false;
    const auto own = parseColour(*material.colour), asked = parseColour(*colourCode(word));
    return own && asked && colourWord(*own) == word;
}

// From the colour that was asked for, 0 … 1; nothing where none was, or it has none.
double colourApart(const Material& material, const std::vector<std::string>& asked) {
    const auto own = parseColour(material.colour.value_or(""));
    const auto wanted = std::ranges::find_if(asked, [](const std::string& w) { return isColour(w); });
    if (!own || wanted == asked.end()) return 0.0;
    const Lab a = toLab(*own), b = toLab(*parseColour(*colourCode(*wanted)));
    return std::hypot(a.L - b.L, a.a - b.a, a.b - b.b);
}

struct Candidate {
    const Material* made;
    std::size_t missing;  // hard words that it lacks
    double near;          // the more the better
};

Candidate heldAgainst(const Material& material, const MaterialWords& words) {
    const std::vector<std::string> own = nameWords(material);
    Candidate candidate{&material, 0, 0.0};
    for (const std::string& word : words.hard)
        if (!says(material, own, word)) {
            if (colourSays(material, word))
                candidate.near -= 0.5;  // as good, but not by its name
            else
                ++candidate.missing;
        }
    for (const std::string& word : words.soft)
        if (says(material, own, word)) candidate.near += 1.0;
    // Of equals the one that says least besides.
    double others = 0.0;
    for (const std::string& word : own) {
        const auto asked = [&](const std::string& w) { return bare(w) == word; };
        if (!std::ranges::any_of(words.hard, asked) && !std::ranges::any_of(words.soft, asked)) others += isColour(word) ? 0.5 : 0.2;
    }
    constexpr double kColourCounts = 4.0;
    candidate.near -= others + kColourCounts * colourApart(material, words.hard);
    return candidate;
}

// Blue dun is not blue: a colour more than was said is asked.
bool hasColourMore(const Material& made, const MaterialWords& words) {
    if (std::ranges::none_of(words.hard, [](const std::string& w) { return isColour(w); })) return false;
    return std::ranges::any_of(nameWords(made), [&](const std::string& own) {
        const auto said = [&](const std::string& w) { return bare(w) == own; };
        const auto gilt = [&](const std::string& w) { return own == "golden" && w == "gold"; };
        return isColour(own) && std::ranges::none_of(words.hard, said) && std::ranges::none_of(words.hard, gilt) &&
               std::ranges::none_of(words.soft, said);
    });
}

}  // namespace

MaterialFound findMaterial(const Book& book, MaterialKind kind, const MaterialWords& words) {
    std::vector<Candidate> list;
    for (const Material& material : book.materials)
        if (material.kind == kind) list.push_back(heldAgainst(material, words));
    std::ranges::stable_sort(
        list, [](const Candidate& a, const Candidate& b) { return a.missing != b.missing ? a.missing < b.missing : a.near > b.near; });
    MaterialFound found;
    constexpr std::size_t kMostChoices = 6;
    for (std::size_t i = 0; i < std::min(list.size(), kMostChoices); ++i)
        found.choices.push_back({list[i].made->title(), list[i].made->id});
    if (list.empty() || list.front().missing > 0) return found;
    const bool undyed = std::ranges::all_of(words.hard, [](const std::string& w) { return w == "golden" || w == "pheasant"; });
    if (undyed && kind == MaterialKind::tippet) {  // the natural feather is orange
        const auto natural = std::ranges::find_if(
            list, [](const Candidate& c) { return says(*c.made, nameWords(*c.made), "orange") || colourSays(*c.made, "orange"); });
        found.made = natural == list.end() ? list.front().made : natural->made;
        return found;
    }
    found.made = list.front().made;
    found.doubtful = hasColourMore(*found.made, words);
    // A noun alone leaves open which of several; one that says nothing but the noun is meant.
    const bool open = std::ranges::all_of(words.hard, [](const std::string& w) { return w == "lead-free"; });
    if (open && list.size() > 1 && kind != MaterialKind::bead) {
        const bool soft = !words.soft.empty() && list[0].near > list[1].near + 0.5;
        const bool one = std::ranges::none_of(nameWords(*found.made), [](const std::string& w) { return isColour(w); });
        found.doubtful = found.doubtful || (!soft && !one);
    }
    return found;
}

Material newMaterial(const Book& book, const std::vector<Material>& others, MaterialKind kind, const MaterialWords& words) {
    Material made;
    made.kind = kind;
    made.traits = traitsFor(kind);
    std::string name(trimmed(words.said));
    if (!name.empty()) name[0] = static_cast<char>(std::toupper(static_cast<unsigned char>(name[0])));
    const auto has = [&](std::string_view word) {
        return (" " + lowered(name) + " ").find(" " + std::string(word) + " ") != std::string::npos;
    };
    // "Grey duck" in a wing is a quill: what it is called says so. A hen or a cape is known for a hackle.
    const auto plain = [](const std::string& w) {
        return w == "hen" || w == "cock" || w == "saddle" || w == "cape" || w == "partridge" || w == "grouse";
    };
    const bool known = kind == MaterialKind::bead || (kind == MaterialKind::thread && (has("silk") || has("thread"))) ||
                       (!words.noun.empty() && !words.noun.starts_with("slip")) ||
                       (kind == MaterialKind::hackle && std::ranges::any_of(words.hard, plain));
    made.name = name.empty() ? std::string(nameOf(kind)) : known ? name : name + " " + std::string(nameOf(kind));
    std::vector<Material> all = book.materials;
    all.insert(all.end(), others.begin(), others.end());
    made.id = freeIdIn(all, idOfName(*made.name, "material"));
    made.note = "nominal: from a recipe; measure yours";
    for (const std::string& word : words.hard) {
        const std::string own = bare(word);
        if (!made.colour)
            if (auto code = colourCode(word)) made.colour = std::move(code);
        if (auto* hackle = std::get_if<HackleTraits>(&made.traits)) {
            if (own == "hen") hackle->bird = Bird::hen;
            if (own == "partridge") hackle->bird = Bird::partridge;
            if (own == "grouse") hackle->bird = Bird::grouse;
            if (own == "cock" && hackle->bird != Bird::cockSaddle) hackle->bird = Bird::cockCape;
            if (own == "saddle") hackle->bird = Bird::cockSaddle;
        }
        if (auto* wire = std::get_if<WireTraits>(&made.traits))
            for (const auto& metal : Names<Metal>::entries)
                if (metal.name == own && metal.value != Metal::glass) wire->metal = metal.value;
        if (auto* bead = std::get_if<BeadTraits>(&made.traits))
            for (const auto& metal : Names<Metal>::entries)
                if (metal.name == own && (metal.value == Metal::tungsten || metal.value == Metal::brass || metal.value == Metal::glass))
                    bead->metal = metal.value;
        if (auto* fur = std::get_if<DubbingTraits>(&made.traits)) {
            if (own == "hare" || own == "rabbit") fur->texture = DubbingTexture::hare;
            if (own == "seal") fur->texture = DubbingTexture::sealLike;
        }
    }
    if (auto* plume = std::get_if<PlumeTraits>(&made.traits); plume && words.noun == "marabou") plume->down = Down::marabou;
    return made;
}

NamedMaterial materialNamedIn(const Book& book, std::string_view text, PartKind part) {
    const std::string low = lowered(text);
    NamedMaterial best;
    const std::vector<MaterialKind>& kinds = kindsFor(part);
    for (const Material& material : book.materials) {
        if (part != PartKind::thread && std::ranges::find(kinds, material.kind) == kinds.end()) continue;
        if (part == PartKind::thread && material.kind != MaterialKind::thread) continue;
        const std::string name = lowered(material.title());
        constexpr std::size_t kShortest = 3;
        if (name.size() < kShortest || name.size() <= best.to - best.from) continue;
        const std::size_t at = low.find(name);
        if (at == std::string::npos) continue;
        const auto letter = [&](std::size_t i) {
            return i < low.size() && (std::isalnum(static_cast<unsigned char>(low[i])) || low[i] == '-');
        };
        if ((at > 0 && letter(at - 1)) || letter(at + name.size())) continue;
        best = {&material, at, at + name.size()};
    }
    return best;
}

}  // namespace machair::store
