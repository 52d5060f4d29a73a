// The one place where words for people are made: a sentence with gaps, and the values that go into them.
//
// The code writes its sentences in English, whole, with `{}` where a value stands: say("{} turns over {}", turns, what). Whoever speaks
// another language (the window) hands in a Language once, before anything is said; the command line and the files never do. Words
// stored in a table are marked with unsaid() where they are written and go through say() where they are shown. What is read back
// or compared (keys, ids, names in files) never goes through here. `tools/words` gathers all of it for the translators.
#pragma once

#include <initializer_list>
#include <memory>
#include <string>
#include <string_view>
#include <vector>

namespace machair {

class Language {
  public:
    virtual ~Language() = default;
    // The sentence in this language, with its gaps; as it is where it has no words for it. `{2}` is the second value, `{}` the next.
    [[nodiscard]] virtual std::string said(const std::string& english) const = 0;
    // What stands between a number's ones and tenths.
    [[nodiscard]] virtual char point() const = 0;
    // The same of so many (0 or more), by this language's rule for one and many.
    [[nodiscard]] virtual std::string said(const std::string& one, const std::string& many, double number) const = 0;
};

// From now on everything is said in it; nothing: in English. Not while others speak: once, at the start.
void sayEverythingIn(std::shared_ptr<const Language> language);
// Another number each time: what was made of a language's words is made anew.
[[nodiscard]] unsigned languageNumber();

// A sentence's gaps filled; a value that is a number ("0.4", "0.4 mm") gets the language's point. A gap without a value stays as it is.
[[nodiscard]] std::string fill(std::string_view sentence, std::initializer_list<std::string_view> values);

// Words that are kept in English and said later.
[[nodiscard]] constexpr const char* unsaid(const char* words) { return words; }

[[nodiscard]] std::string inLanguage(std::string_view english);
[[nodiscard]] std::string inLanguage(std::string_view one, std::string_view many, double number);

template <class... Values>
[[nodiscard]] std::string say(std::string_view english, const Values&... values) {
    return fill(inLanguage(english), {std::string_view(values)...});
}
[[nodiscard]] inline std::string say(std::string_view english) { return inLanguage(english); }

// "{} turn" of 1, "{} turns" of 2 and of 0.5: the number itself is among the values, as it is to be shown.
template <class... Values>
[[nodiscard]] std::string sayCount(std::string_view one, std::string_view many, double number, const Values&... values) {
    return fill(inLanguage(one, many, number), {std::string_view(values)...});
}

// " and 31 more", of so many things of which so many were named; nothing where all were.
[[nodiscard]] std::string andMore(std::size_t things, std::size_t named);
inline constexpr std::size_t kMostNamed = 6;  // in one sentence
// "Rush Piper, Kelp Lantern and 31 more": all of them, or the first so many and how many there are beside.
[[nodiscard]] std::string sayNames(const std::vector<std::string>& names, std::size_t most = kMostNamed);

}  // namespace machair
