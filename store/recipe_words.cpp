#include "store/recipe_words.h"

#include <algorithm>
#include <array>
#include <cctype>

#include "units/text.h"

namespace machair::store {

namespace {

bool isWordByte(char c) {
    return std::isalnum(static_cast<unsigned char>(c)) || static_cast<unsigned char>(c) >= 0x80 || c == '\'' || c == '#';
}

constexpr std::array<std::string_view, 13> kNumbers = {"none",  "one",   "two",  "three", "four",   "five",  "six",
                                                       "seven", "eight", "nine", "ten",   "eleven", "twelve"};

struct Tinted {
    std::string_view word;
    std::string_view code;
};
constexpr std::array kColours = {
    Tinted{"black", "#1b1b1b"},     Tinted{"white", "#f4f3ee"},    Tinted{"cream", "#ece0bf"},   Tinted{"grey", "#84878a"},
    Tinted{"gray", "#84878a"},      Tinted{"silver", "#bcc0c4"},   Tinted{"gold", "#c39a3f"},    Tinted{"golden", "#c39a3f"},
    Tinted{"copper", "#b06a3b"},    Tinted{"brown", "#5b3a21"},    Tinted{"ginger", "#ad6b2e"},  Tinted{"red", "#a52a22"},
    Tinted{"scarlet", "#c01f1f"},   Tinted{"crimson", "#9b1b30"},  Tinted{"claret", "#5c1626"},  Tinted{"orange", "#e0701c"},
    Tinted{"yellow", "#e2c62f"},    Tinted{"primrose", "#e9dd8f"}, Tinted{"lemon", "#dcc95a"},   Tinted{"olive", "#6b6a2c"},
    Tinted{"green", "#2f7a42"},     Tinted{"lime", "#9ccc2e"},     Tinted{"blue", "#345f9e"},    Tinted{"teal-blue", "#2a6f7f"},
    Tinted{"purple", "#5b2a7a"},    Tinted{"violet", "#5b2a7a"},   Tinted{"lilac", "#a99cc4"},   Tinted{"pink", "#e58fa8"},
    Tinted{"dun", "#70757d"},       Tinted{"rust", "#8a4526"},     Tinted{"rusty", "#8a4526"},   Tinted{"fiery", "#9a3f1c"},
    Tinted{"amber", "#bd7a25"},     Tinted{"tan", "#a98355"},      Tinted{"buff", "#c6a877"},    Tinted{"slate", "#59626b"},
    Tinted{"cinnamon", "#8b5a33"},  Tinted{"chestnut", "#6b3a24"}, Tinted{"badger", "#cfc4a6"},  Tinted{"grizzle", "#8b8b86"},
    Tinted{"furnace", "#5d2f1a"},   Tinted{"mustard", "#b58c2b"},  Tinted{"straw", "#d8c489"},   Tinted{"moss", "#5f6b35"},
    Tinted{"sand", "#cdb78c"},      Tinted{"pearl", "#e6e6e0"},    Tinted{"magenta", "#a62a72"}, Tinted{"fuchsia", "#b0307e"},
    Tinted{"bronze", "#7a5a35"},    Tinted{"plum", "#55304a"},     Tinted{"navy", "#22304f"},    Tinted{"peach", "#e7b48d"},
    Tinted{"smoke", "#7f7f83"},     Tinted{"wine", "#5c1626"},     Tinted{"coral", "#e0735f"},   Tinted{"rose", "#c97b86"},
    Tinted{"turquoise", "#3c9aa0"}, Tinted{"natural", "#8a7458"}};

constexpr std::array<std::string_view, 36> kBirds = {
    "crow", "rook",     "jackdaw", "magpie", "pigeon",   "hen",     "cock",    "partridge", "grouse", "snipe",    "starling", "mallard",
    "teal", "wigeon",   "duck",    "turkey", "pheasant", "peacock", "ostrich", "goose",     "swan",   "woodcock", "moorhen",  "coot",
    "jay",  "squirrel", "fox",     "hare",   "rabbit",   "mole",    "seal",    "calf",      "goat",   "deer",     "guinea",   "jungle"};

constexpr std::array<std::string_view, 86> kFillers = {
    "of",        "the",      "a",        "an",       "and",    "with",  "in",      "on",       "at",     "by",      "for",
    "from",      "it",       "its",      "as",       "to",     "is",    "are",     "be",       "or",     "then",    "wound",
    "tied",      "tie",      "dress",    "dressed",  "dubbed", "dub",   "made",    "one",      "over",   "under",   "front",
    "behind",    "rear",     "half",     "down",     "turns",  "turn",  "fibres",  "fibre",    "fibers", "strand",  "strands",
    "side",      "shoulder", "open",     "palmered", "ribbed", "wing",  "tail",    "body",     "hackle", "feather", "rest",
    "set",       "size",     "per",      "this",     "that",   "round", "winding", "tying",    "itself", "all",     "tinsel's",
    "slide",     "put",      "add",      "use",      "whole",  "up",    "back",    "feathers", "style",  "taken",   "finish",
    "finishing", "start",    "starting", "make",     "only",   "about", "roughly", "x",        "drop"};

constexpr std::array<std::string_view, 20> kVague = {"little", "few",  "pinch",   "sparse", "sparsely",    "bushy",       "bunch",
                                                     "thick",  "thin", "slim",    "wisp",   "small",       "fat",         "touch",
                                                     "short",  "long", "longish", "fibred", "long-fibred", "short-fibred"};
// Where on the bird a hackle grew: it chooses among them, no more.
constexpr std::array<std::string_view, 11> kPlacesOfFeathers = {
    "covert", "coverts", "underwing", "under-wing", "undercovert", "under-covert", "marginal", "breast", "shoulder", "rump", "fowl"};
constexpr std::array<std::string_view, 24> kSoft = {"oak",  "mottled", "speckled", "barred",  "fine",  "medium", "small", "large",
                                                    "thin", "thick",   "dyed",     "natural", "good",  "soft",   "hot",   "dark",
                                                    "pale", "light",   "bright",   "heavy",   "dense", "stiff",  "long",  "short"};

std::optional<double> wholeNumber(std::string_view text) {
    if (text.starts_with("#")) text.remove_prefix(1);  // "#12"
    if (const auto value = parseNumber(text)) return value;
    if (text == "a" || text == "an") return std::nullopt;
    if (text == "dozen") return 12.0;
    const auto named = std::ranges::find(kNumbers, text);
    return named == kNumbers.end() || named == kNumbers.begin() ? std::nullopt
                                                                : std::optional(static_cast<double>(named - kNumbers.begin()));
}

// "1/2", "3/8".
std::optional<double> fraction(std::string_view text) {
    const auto slash = text.find('/');
    if (slash == std::string_view::npos) return std::nullopt;
    const auto top = parseNumber(text.substr(0, slash)), bottom = parseNumber(text.substr(slash + 1));
    if (!top || !bottom || *bottom <= 0.0 || *bottom > 64.0 || *top <= 0.0) return std::nullopt;
    return *top / *bottom;
}

struct Half {
    std::string_view sign;
    double value;
};
constexpr std::array kHalves = {Half{"½", 0.5}, Half{"¼", 0.25}, Half{"¾", 0.75}, Half{"⅜", 0.375}, Half{"⅝", 0.625}, Half{"⅛", 0.125}};

// One number, with the fraction that may follow it.
std::optional<std::pair<double, std::size_t>> oneNumber(const std::vector<Word>& words, std::size_t i) {
    if (i >= words.size()) return std::nullopt;
    const std::string& first = words[i].text;
    for (const Half& half : kHalves)
        if (first.ends_with(half.sign)) {
            const std::string whole = first.substr(0, first.size() - half.sign.size());
            if (whole.empty()) return std::pair(half.value, std::size_t{1});
            if (const auto n = parseNumber(whole)) return std::pair(*n + half.value, std::size_t{1});
        }
    if (const auto part = fraction(first)) return std::pair(*part, std::size_t{1});
    if (first == "a" && i + 1 < words.size() && (words[i + 1].text == "dozen" || words[i + 1].text == "pair"))
        return std::pair(words[i + 1].text == "pair" ? 2.0 : 12.0, std::size_t{2});
    if (first == "a" && i + 1 < words.size() && words[i + 1].text == "turn") return std::pair(1.0, std::size_t{1});
    const auto whole = wholeNumber(first);
    if (!whole) return std::nullopt;
    if (i + 1 < words.size())
        if (const auto part = fraction(words[i + 1].text); part && *part < 1.0) return std::pair(*whole + *part, std::size_t{2});
    if (i + 3 < words.size() && words[i + 1].text == "and" && words[i + 2].text == "a" && words[i + 3].text == "half")
        return std::pair(*whole + 0.5, std::size_t{4});
    if (i + 2 < words.size() && words[i + 1].text == "and" && (words[i + 2].text == "half" || words[i + 2].text == "½"))
        return std::pair(*whole + 0.5, std::size_t{3});
    return std::pair(*whole, std::size_t{1});
}

}  // namespace

std::string lowered(std::string_view text) {
    std::string out(text);
    for (char& c : out)
        if (c >= 'A' && c <= 'Z') c = static_cast<char>(c - 'A' + 'a');
    return out;
}

std::vector<Word> wordsIn(std::string_view text, std::size_t offset) {
    std::vector<Word> words;
    for (std::size_t i = 0; i < text.size();) {
        if (!isWordByte(text[i])) {
            if (text[i] == '&') words.push_back({"and", offset + i, offset + i + 1});
            ++i;
            continue;
        }
        std::size_t end = i + 1;
        const auto digit = [&](std::size_t k) { return k < text.size() && std::isdigit(static_cast<unsigned char>(text[k])); };
        while (end < text.size()) {
            // A point, a slash or a hyphen holds a word together only between its letters or figures.
            const bool joins =
                (text[end] == '.' && digit(end - 1) && digit(end + 1)) || (text[end] == '/' && digit(end - 1) && digit(end + 1)) ||
                (text[end] == '-' && end + 1 < text.size() && isWordByte(text[end + 1]) && !digit(end - 1) && !digit(end + 1));
            if (!isWordByte(text[end]) && !joins) break;
            // A dash of three bytes is no letter.
            if (text.substr(end).starts_with("–") || text.substr(end).starts_with("—") || text.substr(end).starts_with("•")) break;
            ++end;
        }
        const std::string_view own = text.substr(i, end - i);
        if (own.starts_with("–") || own.starts_with("—") || own.starts_with("•") || own.starts_with("”") || own.starts_with("“") ||
            own.starts_with("″")) {
            i += 3;
            continue;
        }
        // A figure and its unit written together: "9mm".
        std::size_t split = 0;
        while (split < own.size() && (std::isdigit(static_cast<unsigned char>(own[split])) || own[split] == '.'))
            ++split;
        if (split > 0 && split < own.size() &&
            (own.substr(split) == "mm" || own.substr(split) == "cm" || own.substr(split) == "in" || own.substr(split) == "x")) {
            words.push_back({lowered(own.substr(0, split)), offset + i, offset + i + split});
            words.push_back({lowered(own.substr(split)), offset + i + split, offset + end});
        } else {
            words.push_back({lowered(own), offset + i, offset + end});
        }
        i = end;
    }
    for (std::size_t k = 1; k < words.size(); ++k) {
        const std::string_view between = trimmed(text.substr(words[k - 1].to - offset, words[k].from - words[k - 1].to));
        words[k].dashed = between == "-" || between == "–" || between == "—";
    }
    return words;
}

std::optional<CountRead> countAt(const std::vector<Word>& words, std::size_t i) {
    const auto first = oneNumber(words, i);
    if (!first) return std::nullopt;
    CountRead read{exactly(first->first), first->second};
    std::size_t next = i + read.words;
    const bool joined = next < words.size() && (words[next].text == "or" || words[next].text == "to");
    if (joined && next + 1 < words.size() && words[next + 1].text == "so") return CountRead{read.count, read.words + 2, true};
    const bool hyphen = next < words.size() && words[next].dashed;  // "2-3"
    if (joined || hyphen) {
        const std::size_t at = joined ? next + 1 : next;
        const auto second = oneNumber(words, at);
        const bool fractioned = hyphen && words[next].text.find('/') != std::string::npos;
        if (second && second->first > first->first && !fractioned) {
            read.count = Count{first->first, second->first, true};
            read.words = at + second->second - i;
        }
    }
    return read;
}

bool isColour(std::string_view word) { return colourCode(word).has_value(); }

std::optional<std::string> colourCode(std::string_view word) {
    const auto found = std::ranges::find(kColours, word, &Tinted::word);
    if (const std::size_t hyphen = word.rfind('-'); found == kColours.end() && hyphen != std::string_view::npos)
        return colourCode(word.substr(hyphen + 1));  // "kingfisher-blue"
    return found == kColours.end() ? std::nullopt : std::optional(std::string(found->code));
}

bool isBird(std::string_view word) {
    const std::string_view own = word.ends_with("'s") ? word.substr(0, word.size() - 2) : word;
    return isOneOf(kBirds, own);
}
bool isFiller(std::string_view word) { return isOneOf(kFillers, word); }
bool isVague(std::string_view word) { return isOneOf(kVague, word); }
bool isPlaceOfFeather(std::string_view word) { return isOneOf(kPlacesOfFeathers, word); }
bool isSoftAdjective(std::string_view word) { return isOneOf(kSoft, word); }

std::optional<MaterialKind> kindOfNoun(std::string_view noun, PartKind part) {
    struct Noun {
        std::string_view word;
        MaterialKind kind;
    };
    const bool tail = part == PartKind::tail, body = part == PartKind::body || part == PartKind::thorax;
    if (noun == "silk")
        return body || part == PartKind::thread || part == PartKind::tag ? std::optional(MaterialKind::thread) : std::nullopt;
    if (noun == "wool" || noun == "yarn")
        return tail || part == PartKind::wing ? std::optional(MaterialKind::floss)
               : body                         ? std::optional(MaterialKind::dubbing)
                                              : std::nullopt;
    if (noun == "hackle" || noun == "hackles" || noun == "cape" || noun == "neck" || noun == "saddle")
        return tail ? MaterialKind::fibres : MaterialKind::hackle;
    const bool wound = part == PartKind::collar || part == PartKind::palmer || part == PartKind::throat;
    if (wound && (noun == "fibres" || noun == "fibers" || noun == "fiber")) return std::nullopt;  // every hackle has some
    if (noun == "fibers" || noun == "fiber") return MaterialKind::fibres;
    if (noun == "crest" || noun == "topping" || noun == "whisks" || noun == "whisk") return MaterialKind::fibres;
    if (noun == "strands" || noun == "flash") return noun == "flash" ? std::optional(MaterialKind::tinsel) : std::nullopt;
    if (noun == "points" || noun == "tips" || noun == "point" || noun == "tip")
        return part == PartKind::wing ? std::optional(MaterialKind::tip) : std::nullopt;
    constexpr std::array kNouns = {
        Noun{"thread", MaterialKind::thread},    Noun{"floss", MaterialKind::floss},        Noun{"tinsel", MaterialKind::tinsel},
        Noun{"flat", MaterialKind::tinsel},      Noun{"holographic", MaterialKind::tinsel}, Noun{"oval", MaterialKind::oval},
        Noun{"twist", MaterialKind::oval},       Noun{"wire", MaterialKind::wire},          Noun{"fur", MaterialKind::dubbing},
        Noun{"dubbing", MaterialKind::dubbing},  Noun{"seal's", MaterialKind::dubbing},     Noun{"seal-like", MaterialKind::dubbing},
        Noun{"hare's", MaterialKind::dubbing},   Noun{"mask", MaterialKind::dubbing},       Noun{"ear", MaterialKind::dubbing},
        Noun{"rabbit", MaterialKind::dubbing},   Noun{"mole", MaterialKind::dubbing},       Noun{"seals", MaterialKind::dubbing},
        Noun{"underfur", MaterialKind::dubbing}, Noun{"synthetic", MaterialKind::dubbing},  Noun{"herl", MaterialKind::herl},
        Noun{"herls", MaterialKind::herl},       Noun{"sword", MaterialKind::herl},         Noun{"ostrich", MaterialKind::herl},
        Noun{"fibres", MaterialKind::fibres},    Noun{"chenille", MaterialKind::chenille},  Noun{"tube", MaterialKind::tube},
        Noun{"tubing", MaterialKind::tube},      Noun{"stretch", MaterialKind::tube},       Noun{"flank", MaterialKind::flank},
        Noun{"quill", MaterialKind::quill},      Noun{"quills", MaterialKind::quill},       Noun{"slip", MaterialKind::quill},
        Noun{"slips", MaterialKind::quill},      Noun{"primary", MaterialKind::quill},      Noun{"secondary", MaterialKind::quill},
        Noun{"tippet", MaterialKind::tippet},    Noun{"tippets", MaterialKind::tippet},     Noun{"plume", MaterialKind::plume},
        Noun{"plumes", MaterialKind::plume},     Noun{"preen", MaterialKind::plume},        Noun{"marabou", MaterialKind::plume},
        Noun{"down", MaterialKind::plume},       Noun{"hair", MaterialKind::hair},          Noun{"bucktail", MaterialKind::hair},
        Noun{"squirrel", MaterialKind::hair},    Noun{"calf", MaterialKind::hair},          Noun{"cheek", MaterialKind::cheek},
        Noun{"cheeks", MaterialKind::cheek},     Noun{"nail", MaterialKind::cheek},         Noun{"ribbon", MaterialKind::ribbon},
        Noun{"bead", MaterialKind::bead},        Noun{"tungsten", MaterialKind::bead},      Noun{"brass", MaterialKind::bead}};
    if (noun == "down" && part != PartKind::wing && part != PartKind::collar && part != PartKind::tail) return std::nullopt;
    const auto found = std::ranges::find(kNouns, noun, &Noun::word);
    if (found == kNouns.end()) return std::nullopt;
    if (found->kind == MaterialKind::bead && noun == "brass" && part != PartKind::bead) return std::nullopt;
    if (found->kind == MaterialKind::thread && part == PartKind::tail) return std::nullopt;
    if (noun == "flat" && (part == PartKind::wing || part == PartKind::cheek)) return std::nullopt;  // how it lies
    return found->kind;
}

std::optional<MaterialKind> kindOfBird(std::string_view word, PartKind part) {
    const std::string_view bird = word.ends_with("'s") ? word.substr(0, word.size() - 2) : word;
    const bool wound = part == PartKind::collar || part == PartKind::palmer || part == PartKind::throat;
    if (bird == "hen" || bird == "cock" || bird == "partridge" || bird == "grouse" || bird == "snipe" || bird == "starling" ||
        bird == "woodcock" || bird == "crow" || bird == "rook" || bird == "jackdaw" || bird == "magpie" || bird == "pigeon" ||
        bird == "moorhen" || bird == "coot" || bird == "guinea") {
        if (wound) return MaterialKind::hackle;
        if (part == PartKind::tail) return MaterialKind::fibres;
        if (part == PartKind::wing) return MaterialKind::quill;
        return std::nullopt;
    }
    if (bird == "mallard" || bird == "teal" || bird == "wigeon" || bird == "duck")
        return part == PartKind::wing || part == PartKind::tail || part == PartKind::cheek ? std::optional(MaterialKind::flank)
               : wound                                                                     ? std::optional(MaterialKind::hackle)
                                                                                           : std::nullopt;
    if (bird == "turkey")
        return part == PartKind::legs                             ? std::optional(MaterialKind::fibres)
               : part == PartKind::wing                           ? std::optional(MaterialKind::quill)
               : part == PartKind::tail || part == PartKind::body ? std::optional(MaterialKind::fibres)
                                                                  : std::nullopt;
    if (bird == "goose" || bird == "swan")
        return part == PartKind::wing || part == PartKind::tail ? std::optional(MaterialKind::quill)
               : part == PartKind::body                         ? std::optional(MaterialKind::fibres)
                                                                : std::nullopt;
    if (bird == "peacock" || bird == "ostrich") return MaterialKind::herl;
    if (bird == "squirrel" || bird == "fox" || bird == "calf" || bird == "deer")
        return part == PartKind::wing || part == PartKind::tail ? std::optional(MaterialKind::hair) : std::optional(MaterialKind::dubbing);
    if (bird == "hare" || bird == "rabbit" || bird == "mole" || bird == "seal" || bird == "goat")
        return part == PartKind::body || part == PartKind::thorax || wound ? std::optional(MaterialKind::dubbing) : std::nullopt;
    if (bird == "jungle")
        return part == PartKind::cheek ? std::optional(MaterialKind::cheek) : wound ? std::optional(MaterialKind::hackle) : std::nullopt;
    if (bird == "jay")
        return wound ? std::optional(MaterialKind::hackle) : part == PartKind::cheek ? std::optional(MaterialKind::cheek) : std::nullopt;
    return std::nullopt;  // a pheasant has too many feathers
}

std::optional<PartHeading> partHeading(std::string_view words) {
    struct Heading {
        std::string_view words;
        PartHeading means;
    };
    static const std::array kHeadings = {Heading{"body hackle", {PartKind::palmer}},
                                         Heading{"body hackles", {PartKind::palmer}},
                                         Heading{"palmer", {PartKind::palmer}},
                                         Heading{"palmered hackle", {PartKind::palmer}},
                                         Heading{"palmer hackle", {PartKind::palmer}},
                                         Heading{"head hackle", {PartKind::collar}},
                                         Heading{"shoulder hackle", {PartKind::collar}},
                                         Heading{"front hackle", {PartKind::collar}},
                                         Heading{"collar", {PartKind::collar}},
                                         Heading{"hackle", {PartKind::collar}},
                                         Heading{"hackles", {PartKind::collar}},
                                         Heading{"throat", {PartKind::throat}},
                                         Heading{"throat hackle", {PartKind::throat}},
                                         Heading{"beard hackle", {PartKind::throat}},
                                         Heading{"false hackle", {PartKind::throat}},
                                         Heading{"abdomen", {PartKind::body}},
                                         Heading{"beard", {PartKind::throat}},
                                         Heading{"tag", {PartKind::tag}},
                                         Heading{"tip", {PartKind::tag}},
                                         Heading{"butt", {PartKind::butt}},
                                         Heading{"tail", {PartKind::tail}},
                                         Heading{"tails", {PartKind::tail}},
                                         Heading{"whisks", {PartKind::tail}},
                                         Heading{"whisk", {PartKind::tail}},
                                         Heading{"ribbing", {PartKind::rib}},
                                         Heading{"rib", {PartKind::rib}},
                                         Heading{"ribs", {PartKind::rib}},
                                         Heading{"underbody", {PartKind::underbody}},
                                         Heading{"body", {PartKind::body}},
                                         Heading{"bodies", {PartKind::body}},
                                         Heading{"dressing", {PartKind::body}},
                                         Heading{"dubbing", {PartKind::body}},
                                         Heading{"thorax", {PartKind::thorax}},
                                         Heading{"wings", {PartKind::wing}},
                                         Heading{"wing", {PartKind::wing}},
                                         Heading{"topping", {PartKind::wing, false, WingPosition::over}},
                                         Heading{"underwing", {PartKind::wing, false, WingPosition::under}},
                                         Heading{"under-wing", {PartKind::wing, false, WingPosition::under}},
                                         Heading{"under wing", {PartKind::wing, false, WingPosition::under}},
                                         Heading{"overwing", {PartKind::wing, false, WingPosition::over}},
                                         Heading{"over-wing", {PartKind::wing, false, WingPosition::over}},
                                         Heading{"over wing", {PartKind::wing, false, WingPosition::over}},
                                         Heading{"legs", {PartKind::legs}},
                                         Heading{"feet", {PartKind::throat, true}},
                                         Heading{"cheeks", {PartKind::cheek}},
                                         Heading{"cheek", {PartKind::cheek}},
                                         Heading{"sides", {PartKind::cheek}},
                                         Heading{"eyes", {PartKind::cheek}},
                                         Heading{"bead", {PartKind::bead}},
                                         Heading{"head", {PartKind::head}},
                                         Heading{"colour of head", {PartKind::head}}};
    const auto found = std::ranges::find(kHeadings, words, &Heading::words);
    return found == kHeadings.end() ? std::nullopt : std::optional(found->means);
}

std::optional<OtherHeading> otherHeading(std::string_view words) {
    if (words == "hook" || words == "hooks") return OtherHeading::hook;
    if (words == "thread" || words == "tying thread" || words == "tying silk" || words == "silk" || words == "threads")
        return OtherHeading::thread;
    if (words == "name" || words == "pattern" || words == "fly" || words == "title") return OtherHeading::name;
    if (words == "note" || words == "notes" || words == "remarks") return OtherHeading::note;
    return std::nullopt;
}

}  // namespace machair::store
