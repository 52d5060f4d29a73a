#include "store/recipe_layout.h"

#include <algorithm>
#include <array>
#include <cctype>
#include <utility>

#include "units/text.h"

namespace machair::store {

namespace {

constexpr std::string_view kBullet = "•", kDash = "–";

bool isBulletStart(std::string_view text) {
    return text.starts_with("-") || text.starts_with("*") || text.starts_with("#") || text.starts_with(kBullet) || text.starts_with(kDash);
}

struct Piece {
    std::string_view text;
    std::size_t at = 0;
};

Piece trimmedPiece(Piece piece) {
    const std::string_view own = trimmed(piece.text);
    return {own, piece.at + static_cast<std::size_t>(own.empty() ? 0 : own.data() - piece.text.data())};
}

Piece withoutBullet(Piece piece) {
    piece = trimmedPiece(piece);
    while (isBulletStart(piece.text)) {
        const std::size_t bytes = piece.text.starts_with(kBullet) || piece.text.starts_with(kDash) ? 3 : 1;
        piece = trimmedPiece({piece.text.substr(bytes), piece.at + bytes});
    }
    while (!piece.text.empty() && (piece.text.back() == '*' || piece.text.back() == '#'))
        piece.text = trimmed(piece.text.substr(0, piece.text.size() - 1));
    return piece;
}

bool isPreposition(std::string_view word) {
    constexpr std::array<std::string_view, 17> kPrepositions = {"as",   "of",   "with", "at",     "behind", "over",  "under", "along", "to",
                                                                "from", "down", "up",   "around", "above",  "below", "near",  "than"};
    return isOneOf(kPrepositions, word);
}

bool isHeading(std::string_view words) { return partHeading(words) || otherHeading(words); }

std::string_view withoutColon(std::string_view text) {
    text = trimmed(text);
    return text.ends_with(":") ? trimmed(text.substr(0, text.size() - 1)) : text;
}

class Layout {
  public:
    explicit Layout(std::string_view text) : text_(text) {}

    RecipeLayout run() {
        std::size_t start = 0;
        bare_ = bareHeadings() > 1;
        while (start <= text_.size()) {
            const std::size_t end = std::min(text_.find('\n', start), text_.size());
            line({text_.substr(start, end - start), start});
            start = end + 1;
        }
        return std::move(out_);
    }

  private:
    void line(Piece raw) {
        const Piece whole = trimmedPiece(raw);
        if (whole.text.empty() || isRuling(whole.text)) return;
        if (whole.text.starts_with("|")) return tableRow(whole);
        // Several bullets on one line are several lines.
        if (const std::size_t bullet = whole.text.find(kBullet, 1); bullet != std::string_view::npos && bullet > 0) {
            line({whole.text.substr(0, bullet), whole.at});
            return line({whole.text.substr(bullet), whole.at + bullet});
        }
        if (isNumberedStep(whole.text)) return numbered(whole);
        if (barred(whole) || severalMarked(whole)) return;
        const Piece piece = withoutBullet(whole);
        if (piece.text.empty()) return;
        if (namedAndHeaded(piece)) return;
        if (isHeading(lowered(withoutColon(piece.text))) || !headed(piece)) {
            if (under(piece) || oneLineOfHeadings(piece)) return;
        } else {
            heading_ = {};
            return;
        }
        free(piece);
    }

    // "hook 12", "body primrose silk": lines that begin with a heading and no mark. One may be a name, or prose.
    int bareHeadings() const {
        int found = 0;
        for (std::size_t start = 0; start <= text_.size();) {
            const std::size_t end = std::min(text_.find('\n', start), text_.size());
            const Piece piece = withoutBullet({text_.substr(start, end - start), start});
            if (bareHeading(piece.text) > 0) ++found;
            start = end + 1;
        }
        return found;
    }
    // The bytes of the heading that a line begins with, of two words or one, and more behind it; 0 where it begins with none.
    static std::size_t bareHeading(std::string_view line) {
        const std::vector<Word> words = wordsIn(line);
        constexpr std::size_t kLongest = 24;  // words: longer is prose
        if (words.size() < 2 || words.size() > kLongest || words[0].from != 0) return 0;
        for (const std::size_t count : {std::size_t{2}, std::size_t{1}}) {
            if (count >= words.size()) continue;
            if (isHeading(lowered(line.substr(0, words[count - 1].to))) && line[words[count - 1].to] == ' ') return words[count - 1].to;
        }
        return 0;
    }

    // "Silk: yellow, Hook: 14, Body: silk; Hackle: …": a line for each known heading with its colon.
    bool severalMarked(Piece whole) {
        std::vector<std::size_t> starts;
        for (std::size_t colon = whole.text.find(':'); colon != std::string_view::npos; colon = whole.text.find(':', colon + 1)) {
            const std::size_t mark = colon == 0 ? std::string_view::npos : whole.text.find_last_of(",;.", colon - 1);
            const std::size_t from = mark == std::string_view::npos ? 0 : mark + 1;
            if (isHeading(lowered(trimmed(whole.text.substr(from, colon - from))))) starts.push_back(from);
        }
        if (starts.size() < 2) return false;
        if (starts.front() > 0) line({whole.text.substr(0, starts.front()), whole.at});
        for (std::size_t k = 0; k < starts.size(); ++k) {
            const std::size_t end = k + 1 < starts.size() ? starts[k + 1] : whole.text.size();
            Piece one = trimmedPiece({whole.text.substr(starts[k], end - starts[k]), whole.at + starts[k]});
            while (one.text.ends_with(",") || one.text.ends_with(";") || one.text.ends_with("."))
                one.text.remove_suffix(1);
            headed(one);
        }
        return true;
    }

    // "Tail" alone on its line: what stands under it is the tail.
    bool under(Piece piece) {
        const std::string_view own = withoutColon(piece.text);
        if (isHeading(lowered(own))) {
            heading_ = own;
            headingAt_ = piece.at;
            return true;
        }
        if (heading_.empty()) return false;
        entry(std::exchange(heading_, {}), headingAt_, piece);
        return true;
    }

    // "Weaver's Claret | hook 12 | silk claret | …": one line of lines.
    bool barred(Piece whole) {
        constexpr std::ptrdiff_t kEnough = 2;
        if (std::ranges::count(whole.text, '|') < kEnough) return false;
        bare_ = true;
        for (std::size_t start = 0; start < whole.text.size();) {
            const std::size_t end = std::min(whole.text.find('|', start), whole.text.size());
            line({whole.text.substr(start, end - start), whole.at + start});
            start = end + 1;
        }
        return true;
    }

    static bool isRuling(std::string_view text) { return text.find_first_not_of("|-: =+*_") == std::string_view::npos; }

    void entry(std::string_view heading, std::size_t headAt, Piece says) {
        says = trimmedPiece(says);
        RecipeEntry made;
        made.heading = lowered(trimmed(heading));
        made.headAt = headAt;
        made.part = partHeading(made.heading);
        made.other = otherHeading(made.heading);
        made.says = std::string(says.text);
        made.at = says.text.empty() ? headAt : says.at;
        if (made.other == OtherHeading::name) {
            out_.name = made.says;
            return;
        }
        (made.part || made.other ? out_.entries : out_.strange).push_back(std::move(made));
    }

    void tableRow(Piece row) {
        const std::size_t second = row.text.find('|', 1);
        if (second == std::string_view::npos) return;
        const std::string_view heading = trimmed(row.text.substr(1, second - 1));
        const std::size_t third = std::min(row.text.find('|', second + 1), row.text.size());
        const std::string low = lowered(heading);
        if (low == "part" || low == "material" || low.empty()) return;
        entry(heading, row.at + 1, {row.text.substr(second + 1, third - second - 1), row.at + second + 1});
    }

    // "Gorse Lamp<TAB>hook<TAB>10 heavy": its name, and a line of its own.
    bool namedAndHeaded(Piece piece) {
        const std::size_t first = piece.text.find('\t');
        const std::size_t second = first == std::string_view::npos ? first : piece.text.find('\t', first + 1);
        if (second == std::string_view::npos || out_.name || isHeading(lowered(trimmed(piece.text.substr(0, first))))) return false;
        const std::string_view heading = trimmed(piece.text.substr(first + 1, second - first - 1));
        if (!isHeading(lowered(heading))) return false;
        out_.name = std::string(trimmed(piece.text.substr(0, first)));
        entry(heading, piece.at + first + 1, {piece.text.substr(second + 1), piece.at + second + 1});
        return true;
    }

    // "Tail: …", "Tail - …", "Tail = …", "TAIL …", "tail<TAB>…", "tail  …".
    bool headed(Piece piece) {
        struct Mark {
            std::string_view text;
            bool loose;  // wants blanks round it, or a known heading before it
        };
        constexpr std::array kMarks = {Mark{":", false},  Mark{" = ", false}, Mark{"=", true},  Mark{" - ", true},
                                       Mark{" – ", true}, Mark{" — ", true},  Mark{"\t", true}, Mark{"  ", true}};
        for (const Mark& mark : kMarks) {
            const std::size_t at = piece.text.find(mark.text);
            if (at == std::string_view::npos || at == 0) continue;
            std::string_view heading = trimmed(piece.text.substr(0, at));
            while (!heading.empty() && (heading.front() == '*' || heading.front() == '#'))
                heading.remove_prefix(1);
            while (!heading.empty() && (heading.back() == '*' || heading.back() == '_'))
                heading.remove_suffix(1);
            const bool known = isHeading(lowered(heading));
            const bool short1 = wordsIn(heading).size() <= 3;
            if (!known && (mark.loose || !short1)) continue;
            if (!known && namesWhatFollows(heading, {piece.text.substr(at + mark.text.size()), piece.at + at + mark.text.size()}))
                return true;
            entry(heading, piece.at, {piece.text.substr(at + mark.text.size()), piece.at + at + mark.text.size()});
            return true;
        }
        if (const std::size_t bare = bare_ ? bareHeading(piece.text) : 0; bare > 0) {
            entry(piece.text.substr(0, bare), piece.at, {piece.text.substr(bare), piece.at + bare});
            return true;
        }
        // Capitals without a mark.
        const std::size_t blank = piece.text.find(' ');
        if (blank != std::string_view::npos) {
            const std::string_view heading = piece.text.substr(0, blank);
            const bool capitals = heading.size() > 2 && std::ranges::all_of(heading, [](char c) { return c >= 'A' && c <= 'Z'; });
            if (capitals && isHeading(lowered(heading))) {
                entry(heading, piece.at, {piece.text.substr(blank + 1), piece.at + blank + 1});
                return true;
            }
        }
        return false;
    }

    // "Skerrin Bumble: hook 10. thread black. tag gold …": a name, and the whole dressing behind it.
    bool namesWhatFollows(std::string_view heading, Piece rest) {
        if (out_.name || !out_.entries.empty()) return false;
        const std::vector<Word> words = wordsIn(rest.text);
        const auto headings = std::ranges::count_if(words, [](const Word& w) { return isHeading(w.text); });
        constexpr std::ptrdiff_t kEnough = 3;
        if (headings < kEnough) return false;
        out_.name = std::string(heading);
        rest = trimmedPiece(rest);
        if (oneLineOfHeadings(rest)) return true;
        for (std::size_t start = 0; start < rest.text.size();) {
            const std::size_t end = std::min(rest.text.find(". ", start), rest.text.size());
            Piece one = trimmedPiece({rest.text.substr(start, end - start), rest.at + start});
            if (one.text.ends_with(".")) one.text.remove_suffix(1);
            if (!one.text.empty()) sentence(one);
            start = end + 2;
        }
        return true;
    }

    // "Hook 12 Tag silver Tail red feather …": three headings at least, each with a capital.
    bool oneLineOfHeadings(Piece piece) {
        const std::vector<Word> words = wordsIn(piece.text);
        std::vector<std::size_t> heads;
        for (std::size_t i = 0; i < words.size(); ++i) {
            const char first = piece.text[words[i].from];
            if (first >= 'A' && first <= 'Z' && isHeading(words[i].text)) heads.push_back(i);
        }
        constexpr std::size_t kEnough = 3;
        if (heads.size() < kEnough || heads.front() != 0) return false;
        for (std::size_t k = 0; k < heads.size(); ++k) {
            const Word& head = words[heads[k]];
            const std::size_t end = k + 1 < heads.size() ? words[heads[k + 1]].from : piece.text.size();
            entry(piece.text.substr(head.from, head.to - head.from), piece.at + head.from,
                  {piece.text.substr(head.to, end - head.to), piece.at + head.to});
        }
        return true;
    }

    static bool isNumberedStep(std::string_view text) {
        std::size_t i = 0;
        while (i < text.size() && std::isdigit(static_cast<unsigned char>(text[i])))
            ++i;
        return i > 0 && i <= 2 && i + 1 < text.size() && (text[i] == '.' || text[i] == ')') && text[i + 1] == ' ';
    }

    // "1. Slide on a 2.8 mm brass bead. 2. Tail: none." Each step by itself.
    void numbered(Piece whole) {
        std::vector<std::size_t> starts;
        for (std::size_t i = 0; i < whole.text.size(); ++i)
            if ((i == 0 || whole.text[i - 1] == ' ') && isNumberedStep(whole.text.substr(i))) starts.push_back(i);
        for (std::size_t k = 0; k < starts.size(); ++k) {
            const std::size_t end = k + 1 < starts.size() ? starts[k + 1] : whole.text.size();
            const std::size_t from = whole.text.find(' ', starts[k]) + 1;
            Piece step = trimmedPiece({whole.text.substr(from, end - from), whole.at + from});
            if (step.text.ends_with(".")) step.text.remove_suffix(1);
            if (!step.text.empty() && !headed(step)) sentence(step);
        }
    }

    // Without a heading: the name, a copy of another dressing, or prose.
    void free(Piece piece) {
        const bool prose = piece.text.find(". ") != std::string_view::npos && wordsIn(piece.text).size() > 8;
        if (prose) {
            std::size_t start = 0;
            while (start < piece.text.size()) {
                std::size_t end = piece.text.find(". ", start);
                if (end == std::string_view::npos) end = piece.text.size();
                Piece one = trimmedPiece({piece.text.substr(start, end - start), piece.at + start});
                if (one.text.ends_with(".")) one.text.remove_suffix(1);
                if (!one.text.empty()) freeSentence(one);
                start = end + 2;
            }
            return;
        }
        freeSentence(piece);
    }

    void freeSentence(Piece piece) {
        const std::string low = lowered(piece.text);
        const bool sentenceLike =
            low.find(" is ") != std::string::npos || low.starts_with("take ") || low.starts_with("this ") || low.starts_with("the body");
        if (!out_.name && out_.entries.empty() && out_.strange.empty() && !sentenceLike) {
            takeName(piece);
            // "Tarn Button, as Weir Candle but …" names itself and what it is like.
            if (const std::size_t comma = piece.text.find(", as "); comma != std::string_view::npos) {
                out_.name = std::string(piece.text.substr(0, comma));
                strange("as", {piece.text.substr(comma + 5), piece.at + comma + 5});
            }
            return;
        }
        sentence(piece);
    }

    // "Mill Badger (wet, sizes 10 to 14)", "Kelp Drum, size 12", "Stack Lamp – for a big wave": the name, its hook, what is said of it.
    void takeName(Piece piece) {
        while (piece.text.ends_with(".") || piece.text.ends_with(":"))
            piece.text.remove_suffix(1);
        for (const std::string_view begin : {"Dressing for the ", "Dressing for ", "Tying a ", "Tying the ", "How to tie the "})
            if (piece.text.starts_with(begin)) {
                piece = {piece.text.substr(begin.size()), piece.at + begin.size()};
                break;
            }
        std::size_t end = piece.text.size();
        for (const std::string_view mark : {" (", ", ", " – ", " — ", " - "}) {
            const std::size_t at = piece.text.find(mark);
            if (at == std::string_view::npos || at == 0 || at >= end) continue;
            if (mark == ", " && piece.text.substr(at).starts_with(", as ")) continue;  // it is like another
            const std::vector<Word> words = wordsIn(piece.text.substr(at));
            const bool sized = std::ranges::any_of(words, [](const Word& w) {
                return w.text == "size" || w.text == "sizes" || w.text == "hook" || w.text == "hooks" || w.text[0] == '#';
            });
            if (mark == ", " && !sized) continue;  // a comma may belong to a name
            end = at;
            Piece rest = {piece.text.substr(at + mark.size()), piece.at + at + mark.size()};
            if (rest.text.ends_with(")")) rest.text.remove_suffix(1);
            entry(sized ? "hook" : "note", rest.at, rest);
        }
        std::string_view name = piece.text.substr(0, end);
        while (name.size() > 2 && (name.front() == '"' || name.front() == '*') && name.back() == name.front())
            name = name.substr(1, name.size() - 2);
        out_.name = std::string(name);
    }

    void strange(std::string_view heading, Piece says) {
        RecipeEntry made;
        made.heading = std::string(heading);
        made.says = std::string(says.text);
        made.at = made.headAt = says.at;
        out_.strange.push_back(std::move(made));
    }

    // Prose: each phrase up to a comma or an "and" goes to the part that it names. "a tail of orange tippet", "a body of
    // claret fur ribbed with oval gold", "a ginger cock palmered down it", "two turns of black hen in front".
    void sentence(Piece piece) {
        std::size_t start = 0;
        while (start < piece.text.size()) {
            std::size_t end = piece.text.find(',', start);
            std::size_t skip = 1;
            const std::size_t both = piece.text.find(" and ", start);
            if (both != std::string_view::npos && (end == std::string_view::npos || both < end) &&
                !piece.text.substr(both + 5).starts_with("a half") && !piece.text.substr(both + 5).starts_with("half") &&
                saysOfWhat(piece.text.substr(start, both - start))) {
                end = both;
                skip = 5;
            }
            if (end == std::string_view::npos) end = piece.text.size();
            phrase(trimmedPiece({piece.text.substr(start, end - start), piece.at + start}));
            start = end + skip;
        }
    }

    // "Rib with four turns", where the rib's wire was said before: more of the same part.
    bool saysMoreOf(const PartHeading& heading, const std::vector<Word>& words, Piece piece) {
        const auto made = [&](const Word& w) { return kindOfNoun(w.text, heading.kind) || isBird(w.text) || isColour(w.text); };
        if (std::ranges::any_of(words, made)) return false;
        const auto before =
            std::ranges::find_if(out_.entries, [&](const RecipeEntry& e) { return e.part && e.part->kind == heading.kind; });
        if (before == out_.entries.end()) return false;
        const auto name = std::ranges::find_if(words, [&](const Word& w) { return partHeading(w.text).has_value(); });
        std::string says(piece.text);
        says.replace(name->from, name->to - name->from, name->to - name->from, ' ');
        before->says += ", " + says;
        return true;
    }

    // "Six fibres of tippet for a tail as long as the gape": what stands before its name and what stands behind.
    void entryAround(const Word& heading, Piece piece) {
        entry(heading.text, piece.at + heading.from, {piece.text.substr(0, heading.from), piece.at});
        std::string_view behind = trimmed(piece.text.substr(heading.to));
        auto& list = partHeading(heading.text) || otherHeading(heading.text) ? out_.entries : out_.strange;
        if (!behind.empty() && !list.empty()) list.back().says += ", " + std::string(behind);
    }

    // "Body claret and black fur": what stands before the "and" is no thing yet.
    static bool saysOfWhat(std::string_view text) {
        const std::vector<Word> words = wordsIn(text);
        const auto heading = std::ranges::find_if(words, [](const Word& w) { return partHeading(w.text).has_value(); });
        if (heading == words.end()) return true;
        const PartKind kind = partHeading(heading->text)->kind;
        return std::ranges::any_of(words, [&](const Word& w) { return kindOfNoun(w.text, kind) || isBird(w.text); });
    }

    void phrase(Piece piece) {
        if (piece.text.empty()) return;
        const std::vector<Word> words = wordsIn(piece.text);
        if (words.empty()) return;
        const auto has = [&](std::string_view word) { return std::ranges::find(words, word, &Word::text) != words.end(); };
        // "On a 10 dress a tail of …": the hook, then the rest.
        if (words[0].text == "on" && (has("dress") || has("tie"))) {
            const auto dress = std::ranges::find_if(words, [](const Word& w) { return w.text == "dress" || w.text == "tie"; });
            entry("hook", piece.at, {piece.text.substr(words[0].to, dress->from - words[0].to), piece.at + words[0].to});
            return phrase(trimmedPiece({piece.text.substr(dress->to), piece.at + dress->to}));
        }
        const bool hooked = std::ranges::any_of(out_.entries, [](const RecipeEntry& e) { return e.other == OtherHeading::hook; });
        if (words[0].text == "on" && !hooked && std::ranges::any_of(words, [](const Word& w) { return parseNumber(w.text).has_value(); }))
            return entry("hook", piece.at, {piece.text.substr(words[0].to), piece.at + words[0].to});
        const auto as = [&](std::string_view heading) { entry(heading, piece.at, piece); };
        if (words.size() > 2 && partHeading(words[0].text + " " + words[1].text))  // "head hackle guinea fowl"
            return entry(words[0].text + " " + words[1].text, piece.at, {piece.text.substr(words[1].to), piece.at + words[1].to});
        const bool silk = has("silk") || has("thread");
        // "Start with red silk on a size 12 hook"
        if (const std::size_t on = piece.text.find(" on "); has("hook") && silk && on != std::string_view::npos) {
            phrase(trimmedPiece({piece.text.substr(0, on), piece.at}));
            return phrase(trimmedPiece({piece.text.substr(on + 4), piece.at + on + 4}));
        }
        if (has("hook")) return as("hook");
        if (silk && std::ranges::none_of(words, [](const Word& w) { return partHeading(w.text).has_value(); }) &&
            std::ranges::none_of(out_.entries, [](const RecipeEntry& e) { return e.other == OtherHeading::thread; }))
            return as("thread");
        if (has("bead")) return as("bead");
        if (words[0].text == "whip" || has("varnish") || has("coats")) return as("head");
        for (std::size_t i = 0; i < words.size(); ++i) {
            const auto heading = partHeading(words[i].text);
            if (!heading || (heading->kind == PartKind::collar && has("palmered"))) continue;
            if (words[i].text == "dressing" || words[i].text == "sides" || words[i].text == "eyes") continue;  // plain words here
            if (words[i].text == "tip" && i > 0 && words[i - 1].text == "the") continue;                       // "by the tip"
            if (i > 1 && words[i - 1].text == "the" && isPreposition(words[i - 2].text)) continue;             // "at the head"
            if (kindOfNoun(words[i].text, heading->kind)) return as(words[i].text);                            // "olive dubbing" is both
            if (saysMoreOf(*heading, words, piece)) return;
            // What a part is named by stands first, or after its own words: "a tail of …", "orange tail".
            const std::size_t from = i + 1 < words.size() && words[i + 1].text == "of"                        ? words[i + 1].to
                                     : i == 0 || (i == 1 && (words[0].text == "a" || words[0].text == "the")) ? words[i].to
                                                                                                              : std::string_view::npos;
            if (from == std::string_view::npos)
                entryAround(words[i], piece);
            else
                entry(words[i].text, piece.at + words[i].from, {piece.text.substr(from), piece.at + from});
            return;
        }
        if (has("palmered") || has("palmer")) return as("palmer");
        const auto ribbed = [&](const Word& w) {
            const auto kind = kindOfNoun(w.text, PartKind::rib);
            return kind == MaterialKind::wire || kind == MaterialKind::oval;
        };
        if (std::ranges::any_of(words, ribbed)) return as("rib");
        const auto wound = [&](const Word& w) { return kindOfBird(w.text, PartKind::collar) == MaterialKind::hackle; };
        if (std::ranges::any_of(words, wound) || has("hackle")) return as("hackle");
        const auto fur = [&](const Word& w) {
            return kindOfNoun(w.text, PartKind::body) == MaterialKind::dubbing || kindOfNoun(w.text, PartKind::body) == MaterialKind::herl;
        };
        if (std::ranges::any_of(words, fur)) return as("body");
        // It belongs to what was said before it, where that is a part.
        if (!out_.entries.empty() && out_.entries.back().part) {
            RecipeEntry& last = out_.entries.back();
            last.says += ", " + std::string(piece.text);
            return;
        }
        strange("", piece);
    }

    std::string_view text_;
    std::string_view heading_;  // that stood alone on its line
    std::size_t headingAt_ = 0;
    bool bare_ = false;  // its lines begin with headings, no mark behind them
    RecipeLayout out_;
};

}  // namespace

RecipeLayout layOutRecipe(std::string_view text) { return Layout(text).run(); }

}  // namespace machair::store
