#include "store/recipe_layout.h"

#include <algorithm>
#include <array>
#include <cctype>

#include "units/text.h"

namespace machair::store {

namespace {

constexpr std::string_view kBullet = "•", kDash = "–", kLongDash = "—";

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

bool isHeading(std::string_view words) { return partHeading(words) || otherHeading(words); }

class Layout {
  public:
    explicit Layout(std::string_view text) : text_(text) {}

    RecipeLayout run() {
        std::size_t start = 0;
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
        const Piece piece = withoutBullet(whole);
        if (piece.text.empty()) return;
        if (namedAndHeaded(piece)) return;
        if (headed(piece)) return;
        if (oneLineOfHeadings(piece)) return;
        free(piece);
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
            entry(heading, piece.at, {piece.text.substr(at + mark.text.size()), piece.at + at + mark.text.size()});
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
            out_.name = std::string(piece.text);
            if (out_.name->ends_with(".")) out_.name->pop_back();
            // "Tarn Button, as Weir Candle but …" names itself and what it is like.
            if (const std::size_t comma = piece.text.find(", as "); comma != std::string_view::npos) {
                out_.name = std::string(piece.text.substr(0, comma));
                strange("as", {piece.text.substr(comma + 5), piece.at + comma + 5});
            }
            return;
        }
        sentence(piece);
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
                !piece.text.substr(both + 5).starts_with("a half") && !piece.text.substr(both + 5).starts_with("half")) {
                end = both;
                skip = 5;
            }
            if (end == std::string_view::npos) end = piece.text.size();
            phrase(trimmedPiece({piece.text.substr(start, end - start), piece.at + start}));
            start = end + skip;
        }
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
        const auto as = [&](std::string_view heading) { entry(heading, piece.at, piece); };
        if (has("hook")) return as("hook");
        const bool silk = has("silk") || has("thread");
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
            if (kindOfNoun(words[i].text, heading->kind)) return as(words[i].text);                            // "olive dubbing" is both
            // What a part is named by stands first, or after its own words: "a tail of …", "orange tail".
            const std::size_t from = i + 1 < words.size() && words[i + 1].text == "of"                        ? words[i + 1].to
                                     : i == 0 || (i == 1 && (words[0].text == "a" || words[0].text == "the")) ? words[i].to
                                                                                                              : std::string_view::npos;
            if (from == std::string_view::npos)
                entry(words[i].text, piece.at + words[i].from, {piece.text.substr(0, words[i].from), piece.at});
            else
                entry(words[i].text, piece.at + words[i].from, {piece.text.substr(from), piece.at + from});
            return;
        }
        if (has("palmered") || has("palmer")) return as("palmer");
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
    RecipeLayout out_;
};

}  // namespace

RecipeLayout layOutRecipe(std::string_view text) { return Layout(text).run(); }

}  // namespace machair::store
