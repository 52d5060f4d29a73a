#include "store/recipe.h"

#include <algorithm>
#include <array>
#include <cctype>
#include <optional>

#include "book/fields.h"
#include "book/fitting.h"
#include "book/spec_words.h"
#include "store/text_encoding.h"
#include "units/text.h"

namespace machair::store {

namespace {

std::string lower(std::string_view text) {
    std::string out(text);
    for (char& c : out)
        if (c >= 'A' && c <= 'Z') c = static_cast<char>(c - 'A' + 'a');
    return out;
}

std::vector<std::string> wordsOf(std::string_view text) {
    std::vector<std::string> words;
    std::string word;
    for (const char c : lower(text)) {
        if (std::isalnum(static_cast<unsigned char>(c)) || static_cast<unsigned char>(c) >= 0x80)
            word += c;
        else if (!word.empty())
            words.push_back(std::exchange(word, {}));
    }
    if (!word.empty()) words.push_back(word);
    return words;
}

struct PartName {
    std::string_view name;
    PartKind kind;
};
// What printed recipes call the parts.
constexpr std::array kPartNames = {PartName{"body hackle", PartKind::palmer},
                                   PartName{"palmer", PartKind::palmer},
                                   PartName{"palmered hackle", PartKind::palmer},
                                   PartName{"head hackle", PartKind::collar},
                                   PartName{"collar", PartKind::collar},
                                   PartName{"hackle", PartKind::collar},
                                   PartName{"throat", PartKind::throat},
                                   PartName{"beard", PartKind::throat},
                                   PartName{"tag", PartKind::tag},
                                   PartName{"tip", PartKind::tag},
                                   PartName{"butt", PartKind::butt},
                                   PartName{"tail", PartKind::tail},
                                   PartName{"tails", PartKind::tail},
                                   PartName{"ribbing", PartKind::rib},
                                   PartName{"rib", PartKind::rib},
                                   PartName{"underbody", PartKind::underbody},
                                   PartName{"body", PartKind::body},
                                   PartName{"thorax", PartKind::thorax},
                                   PartName{"wings", PartKind::wing},
                                   PartName{"wing", PartKind::wing},
                                   PartName{"legs", PartKind::legs},
                                   PartName{"cheeks", PartKind::cheek},
                                   PartName{"cheek", PartKind::cheek},
                                   PartName{"bead", PartKind::bead},
                                   PartName{"head", PartKind::head}};

constexpr std::array<std::string_view, 13> kNumberWords = {"none",  "one",   "two",  "three", "four",   "five",  "six",
                                                           "seven", "eight", "nine", "ten",   "eleven", "twelve"};

// "5", "five", "2 1/2", "two to three".
std::optional<double> numberAt(const std::vector<std::string>& words, std::size_t i) {
    if (i >= words.size()) return std::nullopt;
    if (const auto value = parseNumber(words[i])) return value;
    const auto named = std::ranges::find(kNumberWords, words[i]);
    return named == kNumberWords.end() ? std::nullopt : std::optional(static_cast<double>(named - kNumberWords.begin()));
}

// The count that stands before one of these words, as "5 turns", "two or three turns", "2½ turns" (written 2 1/2).
std::optional<Count> countBefore(std::string_view clause, const std::vector<std::string_view>& nouns) {
    const auto words = wordsOf(clause);
    for (std::size_t i = 1; i < words.size(); ++i) {
        if (std::ranges::find(nouns, std::string_view(words[i])) == nouns.end()) continue;
        const auto last = numberAt(words, i - 1);
        if (!last) continue;
        if (i >= 3 && (words[i - 2] == "or" || words[i - 2] == "to"))
            if (const auto first = numberAt(words, i - 3); first && *first < *last) return Count{*first, *last, true};
        if (i >= 3 && clause.find(words[i - 2] + "/" + words[i - 1]) != std::string_view::npos)
            if (const auto whole = numberAt(words, i - 3), top = numberAt(words, i - 2); whole && top && *last > 0.0)
                return exactly(*whole + *top / *last);
        return exactly(*last);
    }
    return std::nullopt;
}

class Reader {
  public:
    Reader(std::string text, const Book& book) : text_(std::move(text)), book_(book) {}

    Result<ReadRecipe> run() {
        if (book_.hooks.empty())
            return fail(Place("hooks"), "expected a hook in the book to tie it on, got none", "put one into the drawers first");
        const auto thread = std::ranges::find(book_.materials, MaterialKind::thread, &Material::kind);
        if (thread == book_.materials.end())
            return fail(Place("materials"), "expected a thread in the book, got none", "put one into the drawers first");
        read_.pattern.hook = book_.hooks.front().id;
        read_.pattern.thread = thread->id;
        std::size_t start = 0;
        for (std::size_t line = 1; start <= text_.size(); ++line) {
            const std::size_t end = std::min(text_.find('\n', start), text_.size());
            readLine(std::string_view(text_).substr(start, end - start), line);
            start = end + 1;
        }
        if (read_.pattern.parts.empty())
            return fail(Place("line 1"), "expected a recipe with a part a line, as \"tail: ten fibres of orange tippet\", got no part");
        if (!read_.pattern.name) {
            read_.pattern.name = "Untitled";
            doubt(1, 1, "", "What is it called?");
        }
        if (!findKind(read_.pattern, PartKind::head)) {
            Part head;
            head.kind = PartKind::head;
            head.detail = HeadPart{};
            read_.pattern.parts.push_back(std::move(head));
        }
        read_.pattern.id = "recipe";
        for (int n = 2; book_.findPattern(read_.pattern.id); ++n)
            read_.pattern.id = "recipe-" + std::to_string(n);
        return std::move(read_);
    }

  private:
    void doubt(std::size_t line, std::size_t column, std::string_view words, std::string question) {
        constexpr std::size_t kMost = 80;
        read_.doubts.push_back({line, column, std::string(shortened(words, kMost)), std::move(question)});
    }

    void readLine(std::string_view raw, std::size_t line) {
        std::string_view text = trimmed(raw);
        while (!text.empty() && (text.front() == '-' || text.front() == '*' || text.front() == '#'))
            text = trimmed(text.substr(1));
        if (text.empty()) return;
        const auto column = static_cast<std::size_t>(text.data() - raw.data()) + 1;
        const auto colon = text.find(':');
        const std::string key = lower(trimmed(text.substr(0, colon == std::string_view::npos ? 0 : colon)));
        if (colon == std::string_view::npos) {
            if (!read_.pattern.name && read_.pattern.parts.empty())
                read_.pattern.name = std::string(text);
            else
                doubt(line, column, text, "Which part is this of? It stands without a name and a colon.");
            return;
        }
        const std::string_view says = trimmed(text.substr(colon + 1));
        const std::size_t at = column + static_cast<std::size_t>(says.data() - text.data());
        if (key == "name" || key == "pattern" || key == "fly") {
            read_.pattern.name = std::string(says);
        } else if (key == "hook") {
            readHook(says, line, at);
        } else if (key == "thread" || key == "tying thread" || key == "silk") {
            if (const auto* made = bestMaterial(says, [](const Material& m) { return m.kind == MaterialKind::thread; }))
                read_.pattern.thread = made->id;
            else
                doubt(line, at, says, "Which thread of the drawers is this?");
        } else if (const auto part = std::ranges::find(kPartNames, std::string_view(key), &PartName::name); part != kPartNames.end()) {
            readPart(part->kind, says, line, at);
        } else {
            doubt(line, column, text, "Which part is \"" + key + "\"?");
        }
    }

    void readHook(std::string_view says, std::size_t line, std::size_t column) {
        std::optional<int> size;
        for (const std::string& word : wordsOf(says))
            if (const auto value = parseNumber(word); value && *value >= kLargestHookSize && *value <= kSmallestHookSize)
                size = static_cast<int>(*value);
        if (!size) return doubt(line, column, says, "Which size of hook?");
        const HookSpec* best = nullptr;
        std::size_t most = 0;
        for (const HookSpec& hook : book_.hooks) {
            if (hook.size != *size) continue;
            const std::size_t alike = 1 + common(wordsOf(says), wordsOf(hook.name.value_or(hook.id)));
            if (alike > most) {
                most = alike;
                best = &hook;
            }
        }
        if (best)
            read_.pattern.hook = best->id;
        else
            doubt(line, column, says, "No hook of size " + std::to_string(*size) + " lies in the drawers: which one shall it be?");
    }

    static std::size_t common(const std::vector<std::string>& a, const std::vector<std::string>& b) {
        return static_cast<std::size_t>(std::ranges::count_if(b, [&](const std::string& word) {
            return word.size() > 2 &&
                   std::ranges::any_of(a, [&](const std::string& own) { return own == word || own == word + "s" || own + "s" == word; });
        }));
    }
    // The material whose name shares most words with the text, and half of its own words at least.
    template <class Fits>
    const Material* bestMaterial(std::string_view says, Fits fits) const {
        const Material* best = nullptr;
        double most = 0.0;
        const auto words = wordsOf(says);
        for (const Material& material : book_.materials) {
            if (!fits(material)) continue;
            const auto own = wordsOf(material.title());
            const double alike = static_cast<double>(common(words, own));
            const double share = own.empty() ? 0.0 : alike / static_cast<double>(own.size());
            if (share >= 0.5 && alike + share > most) {
                most = alike + share;
                best = &material;
            }
        }
        return best;
    }

    void readPart(PartKind kind, std::string_view says, std::size_t line, std::size_t column) {
        Part part;
        part.kind = kind;
        part.detail = detailFor(kind);
        std::vector<std::string> left;
        std::size_t start = 0;
        while (start <= says.size()) {
            const std::size_t end = std::min(says.find_first_of(",;", start), says.size());
            const std::string_view clause = trimmed(says.substr(start, end - start));
            if (!clause.empty() && !readClause(part, clause)) {
                left.emplace_back(clause);
                doubt(line, column + static_cast<std::size_t>(clause.data() - says.data()), clause,
                      "What does \"" + std::string(shortened(clause, 60)) + "\" mean for the " + std::string(nameOf(kind)) + "?");
            }
            start = end + 1;
        }
        if (!part.material && kind != PartKind::head)
            doubt(line, column, says,
                  "Which material of the drawers makes the " + std::string(nameOf(kind)) + "? The usual one stands in for it.");
        if (!left.empty()) {
            std::string note;
            for (const std::string& words : left)
                note += (note.empty() ? "" : "; ") + words;
            part.note = note;
        }
        read_.pattern.parts.push_back(std::move(part));
    }

    // A clause may hold a count, a length and the material's name at once. False where nothing in it was understood.
    bool readClause(Part& part, std::string_view clause) {
        bool understood = false;
        const auto set = [&](const char* key, const std::string& text) {
            auto changed = withField(part, key, text, Place());
            if (!changed) return;
            part = std::move(*changed);
            understood = true;
        };
        const auto countText = [](const Count& c) {
            return c.pair ? formatExact(c.low) + " to " + formatExact(c.high) : formatExact(c.low);
        };
        if (const auto turns = countBefore(clause, {"turns", "turn"}))
            set(part.kind == PartKind::palmer ? "open_turns" : part.kind == PartKind::head ? "whip_turns" : "turns", countText(*turns));
        if (const auto fibres = countBefore(clause, {"fibres", "fibre", "fibers", "strands", "strand"}))
            set(part.kind == PartKind::body ? "strands" : "fibres", countText(*fibres));
        if (const auto coats = countBefore(clause, {"coats", "coat"})) set("coats", countText(*coats));
        if (auto length = readLength(clause)) {
            set("length", writeSpec(*length));
        }
        const std::string words = lower(clause);
        if (words.find("counter") != std::string::npos || words.find("against the body") != std::string::npos) set("direction", "counter");
        for (const std::string_view style : {"rolled", "paired", "upright", "cloak", "hair", "plume", "slip", "tippet"})
            if (words.find(style) != std::string::npos && (part.kind == PartKind::wing || part.kind == PartKind::tail))
                set("style", std::string(style));
        if (!part.material && part.kind != PartKind::head) {
            if (const Material* made = bestMaterial(clause, [&](const Material& m) { return fits(part.kind, m.kind); })) {
                part.material = made->id;
                understood = true;
            }
        }
        return understood;
    }
    static bool fits(PartKind part, MaterialKind material) {
        switch (part) {
            case PartKind::palmer:
            case PartKind::collar:
            case PartKind::throat: return material == MaterialKind::hackle;
            case PartKind::bead: return material == MaterialKind::bead;
            default: return material != MaterialKind::thread && material != MaterialKind::bead;
        }
    }
    // A length anywhere in the clause: all of it, or from one of the words that begin one.
    static std::optional<LengthSpec> readLength(std::string_view clause) {
        const auto whole = [](std::string_view words) -> std::optional<LengthSpec> {
            auto spec = readSpec(words, Place());
            return spec ? std::optional(std::move(*spec)) : std::nullopt;
        };
        if (auto spec = whole(clause)) return spec;
        const std::string words = lower(clause);
        for (const std::string_view begin :
             {"length of the ", "as long as the ", "to the ", "to ", "as long as ", "past the ", "half the ", "two thirds of the "}) {
            const auto at = words.find(begin);
            if (at == std::string::npos) continue;
            if (begin == std::string_view("length of the ")) {
                if (auto spec = whole("as long as the " + words.substr(at + begin.size()))) return spec;
            } else if (auto spec = whole(std::string_view(words).substr(at))) {
                return spec;
            }
        }
        // A number with a unit or a yardstick: "9 mm", "0.8 of the shank".
        for (std::size_t i = 0; i < words.size(); ++i)
            if (std::isdigit(static_cast<unsigned char>(words[i])) && (i == 0 || words[i - 1] == ' '))
                if (auto spec = whole(std::string_view(words).substr(i))) return spec;
        return std::nullopt;
    }

    std::string text_;
    const Book& book_;
    ReadRecipe read_;
};

std::string capital(std::string_view word) {
    std::string text(word);
    if (!text.empty()) text[0] = static_cast<char>(std::toupper(static_cast<unsigned char>(text[0])));
    return text;
}

std::string htmlEscaped(std::string_view text) {
    std::string out;
    for (const char c : text)
        out += c == '&' ? "&amp;" : c == '<' ? "&lt;" : c == '>' ? "&gt;" : c == '"' ? "&quot;" : std::string(1, c);
    return out;
}

struct Row {
    std::string part;
    std::string says;
};

std::vector<Row> rowsOf(const Pattern& pattern, const Book& book) {
    std::vector<Row> rows;
    if (const HookSpec* hook = book.findHook(pattern.hook))
        rows.push_back({"Hook", hook->name.value_or(describeHook(*hook)) + ", size " + std::to_string(hook->size)});
    if (const Material* thread = book.findMaterial(pattern.thread)) rows.push_back({"Thread", thread->title()});
    for (const Part& part : pattern.parts) {
        std::vector<std::string> words;
        const Material* made = part.material ? book.findMaterial(*part.material) : nullptr;
        if (made) words.push_back(made->title());
        for (const Field& field : fieldsOf(part)) {
            if (field.text.empty()) continue;
            if (field.key == "turns" || field.key == "open_turns" || field.key == "whip_turns")
                words.push_back(field.text + " turns");
            else if (field.key == "fibres" || field.key == "strands")
                words.push_back(field.text + (field.key == "fibres" ? " fibres" : " strands"));
            else if (field.key == "coats")
                words.push_back(field.text + " coats");
            else if (field.key == "length")
                words.push_back(field.text);
            else if (field.key == "style")
                words.push_back(field.text);
            else if (field.key == "direction" && field.text == "counter")
                words.emplace_back("wound against the body");
        }
        if (part.note) words.push_back(*part.note);
        std::string says;
        for (const std::string& word : words)
            says += (says.empty() ? "" : ", ") + word;
        const std::string name = part.kind == PartKind::palmer   ? "Body hackle"
                                 : part.kind == PartKind::collar ? "Hackle"
                                                                 : capital(nameOf(part.kind));
        rows.push_back({name, says.empty() ? "as usual" : says});
    }
    return rows;
}

}  // namespace

Result<ReadRecipe> readRecipe(std::string_view text, const Book& book) {
    if (text.size() > kLongestRecipe)
        return fail(Place("line 1"), "expected a recipe of at most 64 KiB, got " + std::to_string(text.size() / 1024) + " KiB");
    std::string readable = decodeText(text).text;
    std::erase(readable, '\r');
    std::erase(readable, '\0');
    return Reader(std::move(readable), book).run();
}

std::string writeRecipe(const Pattern& pattern, const Book& book, RecipeFormat format) {
    const auto rows = rowsOf(pattern, book);
    std::string text;
    switch (format) {
        case RecipeFormat::text:
            text = pattern.title() + "\n";
            for (const Row& row : rows)
                text += row.part + ": " + row.says + "\n";
            return text;
        case RecipeFormat::markdown:
            text = "# " + pattern.title() + "\n\n";
            for (const Row& row : rows)
                text += "- " + row.part + ": " + row.says + "\n";
            return text;
        case RecipeFormat::html:
            text = "<!doctype html>\n<meta charset=\"utf-8\">\n<title>" + htmlEscaped(pattern.title()) + "</title>\n<h1>" +
                   htmlEscaped(pattern.title()) + "</h1>\n<table>\n";
            for (const Row& row : rows)
                text += "<tr><th>" + htmlEscaped(row.part) + "</th><td>" + htmlEscaped(row.says) + "</td></tr>\n";
            return text + "</table>\n";
    }
    throw BrokenContract("unknown recipe format");
}

}  // namespace machair::store
