#include "language/say.h"

#include <algorithm>
#include <utility>

namespace machair {

namespace {

std::shared_ptr<const Language>& spoken() {
    static std::shared_ptr<const Language> language;
    return language;
}

unsigned& number() {
    static unsigned times = 0;
    return times;
}

bool isDigit(char c) { return c >= '0' && c <= '9'; }

// Whether all of it is one number, or one and its unit: what has a second point is a version, a name or a path.
std::size_t pointOf(std::string_view value) {
    const std::size_t at = value.find('.');
    if (at == 0 || at == std::string_view::npos || at + 1 >= value.size() || value.find('.', at + 1) != std::string_view::npos)
        return std::string_view::npos;
    std::size_t from = at;
    while (from > 0 && isDigit(value[from - 1]))
        --from;
    const bool begins = from < at && (from == 0 || (from == 1 && (value[0] == '-' || value[0] == '+')));
    return begins && isDigit(value[at + 1]) ? at : std::string_view::npos;
}

void append(std::string& to, std::string_view value) {
    to += value;
    const auto& language = spoken();
    if (!language) return;
    if (const std::size_t at = pointOf(value); at != std::string_view::npos) to[to.size() - value.size() + at] = language->point();
}

}  // namespace

void sayEverythingIn(std::shared_ptr<const Language> language) {
    spoken() = std::move(language);
    ++number();
}

unsigned languageNumber() { return number(); }

std::string inLanguage(std::string_view english) {
    const auto& language = spoken();
    return language && !english.empty() ? language->said(std::string(english)) : std::string(english);
}

std::string inLanguage(std::string_view one, std::string_view many, double number) {
    if (const auto& language = spoken()) return language->said(std::string(one), std::string(many), number);
    return std::string(number == 1.0 ? one : many);
}

std::string andMore(std::size_t things, std::size_t named) {
    return things > named ? say(" and {} more", std::to_string(things - named)) : "";
}

std::string sayNames(const std::vector<std::string>& names, std::size_t most) {
    std::string text;
    for (std::size_t i = 0; i < std::min(most, names.size()); ++i)
        text += (i == 0 ? "" : ", ") + names[i];
    return text + andMore(names.size(), most);
}

std::string fill(std::string_view sentence, std::initializer_list<std::string_view> values) {
    std::string filled;
    filled.reserve(sentence.size() + 16);
    std::size_t next = 0;
    while (!sentence.empty()) {
        const std::size_t open = sentence.find('{');
        filled += sentence.substr(0, open);
        if (open == std::string_view::npos) break;
        sentence.remove_prefix(open);
        const bool numbered = sentence.size() > 2 && sentence[1] >= '1' && sentence[1] <= '9' && sentence[2] == '}';
        const bool plain = sentence.size() > 1 && sentence[1] == '}';
        const std::size_t which = numbered ? static_cast<std::size_t>(sentence[1] - '1') : plain ? next++ : values.size();
        const std::size_t taken = numbered ? 3 : plain ? 2 : 1;
        if (which < values.size())
            append(filled, values.begin()[which]);
        else
            filled += sentence.substr(0, taken);
        sentence.remove_prefix(taken);
    }
    return filled;
}

}  // namespace machair
