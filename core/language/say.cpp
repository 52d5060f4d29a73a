#include "language/say.h"

#include <utility>

namespace machair {

namespace {

std::shared_ptr<const Language>& spoken() {
    static std::shared_ptr<const Language> language;
    return language;
}

}  // namespace

void sayEverythingIn(std::shared_ptr<const Language> language) { spoken() = std::move(language); }

std::string inLanguage(std::string_view english) {
    const auto& language = spoken();
    return language && !english.empty() ? language->said(std::string(english)) : std::string(english);
}

std::string inLanguage(std::string_view one, std::string_view many, double number) {
    if (const auto& language = spoken()) return language->said(std::string(one), std::string(many), number);
    return std::string(number == 1.0 ? one : many);
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
        filled += which < values.size() ? values.begin()[which] : sentence.substr(0, taken);
        sentence.remove_prefix(taken);
    }
    return filled;
}

}  // namespace machair
