// A dressing in words: what a round trip loses nothing of that words can carry.
#include <algorithm>
#include <cctype>

#include "book/fields.h"
#include "store/recipe.h"

namespace machair::store {

namespace {

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

std::string wordsOf(const Field& field) {
    const bool one = field.text == "1";
    if (field.key == "turns" || field.key == "whip_turns") return field.text + (one ? " turn" : " turns");
    if (field.key == "fibres") return field.text + (one ? " fibre" : " fibres");
    if (field.key == "strands") return field.text + (one ? " strand" : " strands");
    if (field.key == "coats") return field.text + (one ? " coat" : " coats");
    if (field.key == "knots") return field.text + (one ? " knot" : " knots");
    if (field.key == "layers") return field.text + " layers";
    if (field.key == "angle_deg") return field.text + " degrees";
    if (field.key == "length" || field.key == "style" || field.key == "finish") return field.text;
    const bool measured = field.text.ends_with(" mm") || field.text.find(" of the ") != std::string::npos;
    if ((field.key == "width" || field.key == "depth") && measured) return field.text + (field.key == "width" ? " wide" : " deep");
    if (field.key == "end" && (field.text == "at the point" || field.text == "at the barb" || field.text == "at the bend"))
        return "ending " + field.text;
    if (field.key == "along" && field.text == "all") return "over all";
    if (field.key == "angle" && field.text == "swept") return "swept back";
    if (field.key == "round" && field.text == "all") return "all round";
    if (field.key == "direction" && field.text == "counter") return "wound against the thread";
    if (field.key == "tie_in") return "by the " + field.text;
    if (field.key == "twisted" && field.text == "yes") return "twisted with the thread";
    if (field.key == "method" && field.text == "level") return "no taper";
    if (field.key == "method" && field.text == "loop") return "in a loop";
    return {};
}

std::string headingOf(const Part& part) {
    if (part.kind == PartKind::palmer) return "Body hackle";
    if (part.kind == PartKind::collar) return "Hackle";
    if (const auto* wing = std::get_if<WingPart>(&part.detail))
        if (wing->position) return *wing->position == WingPosition::under ? "Under-wing" : "Over-wing";
    return capital(nameOf(part.kind));
}

std::vector<Row> rowsOf(const Pattern& pattern, const Book& book) {
    std::vector<Row> rows;
    if (const HookSpec* hook = book.findHook(pattern.hook))
        rows.push_back({"Hook", hook->name.value_or(describeHook(*hook)) + ", size " + std::to_string(hook->size)});
    std::string threads;
    if (const Material* thread = book.findMaterial(pattern.thread)) threads = thread->title();
    for (const Part& part : pattern.parts)
        if (part.kind == PartKind::thread && part.material)
            if (const Material* then = book.findMaterial(*part.material)) threads += ", then " + then->title();
    if (!threads.empty()) rows.push_back({"Thread", threads});
    for (const Part& part : pattern.parts) {
        if (part.kind == PartKind::thread) continue;
        std::vector<std::string> words;
        if (const Material* made = part.material ? book.findMaterial(*part.material) : nullptr) words.push_back(made->title());
        std::string shoulder, open;
        for (const Field& field : fieldsOf(part)) {
            if (field.text.empty()) continue;
            if (field.key == "shoulder_turns") shoulder = field.text;
            if (field.key == "open_turns") open = field.text;
            const bool counts = field.key == "count" && !words.empty() &&
                                (part.kind == PartKind::wing || part.kind == PartKind::legs || part.kind == PartKind::cheek);
            if (counts)
                words.front() = field.text + " " + words.front();
            else if (std::string said = wordsOf(field); !said.empty())
                words.push_back(std::move(said));
        }
        if (part.kind == PartKind::palmer && !open.empty()) words.push_back(shoulder.empty() ? open + " turns" : shoulder + " + " + open);
        if (part.note) words.push_back(*part.note);
        std::string says;
        for (const std::string& word : words)
            says += (says.empty() ? "" : ", ") + word;
        rows.push_back({headingOf(part), says.empty() ? "as usual" : says});
    }
    if (pattern.note) rows.push_back({"Note", *pattern.note});
    return rows;
}

}  // namespace

std::string writeRecipe(const Pattern& pattern, const Book& book, RecipeFormat format, std::string_view picture) {
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
                   htmlEscaped(pattern.title()) + "</h1>\n";
            if (!picture.empty())
                text += "<p><img alt=\"" + htmlEscaped(pattern.title()) + "\" src=\"" + htmlEscaped(picture) + "\"></p>\n";
            text += "<table>\n";
            for (const Row& row : rows)
                text += "<tr><th>" + htmlEscaped(row.part) + "</th><td>" + htmlEscaped(row.says) + "</td></tr>\n";
            return text + "</table>\n";
    }
    throw BrokenContract("unknown recipe format");
}

}  // namespace machair::store
