// A verb of the command line: a file and a struct each. The struct holds what is asked, says its arguments and does the work.
#pragma once

#include <CLI/CLI.hpp>
#include <iostream>
#include <memory>
#include <optional>
#include <string>
#include <vector>

#include "cli/report.h"
#include "store/home.h"

namespace machair::cli {

enum Exit { kDone = 0, kInputAtFault = 1, kWrongUsage = 2 };

// What every verb is asked, whether it reads a book or not.
struct Bare {
    void common(CLI::App&) {}
    void arguments(CLI::App&) {}
};
struct WithoutBook : Bare {
    bool asJson = false;
    void common(CLI::App& verb) { verb.add_flag("--json", asJson, "one JSON object for programs"); }
};
struct OnBook : WithoutBook {
    std::string file;
    void common(CLI::App& verb) {
        verb.add_option("FILE", file, "a bench book or bench file; - for a bench file on standard input")->required();
        WithoutBook::common(verb);
    }
};

// Adds a verb to the command line; `result` is what the program ends with where it was the one.
template <class Verb>
void addVerb(CLI::App& app, int& result) {
    const auto verb = std::make_shared<Verb>();
    CLI::App* sub = app.add_subcommand(Verb::kName, Verb::kHelp);
    verb->common(*sub);
    verb->arguments(*sub);
    sub->footer(std::string("Example: ") + Verb::kExample);
    sub->callback([verb, &result] { result = verb->run(); });
}

// Every verb, in the order of the work.
void addVerbs(CLI::App& app, int& result);

// A finite number from `low` to `high`; NaN, infinities and trailing text are refused like any other wrong usage.
[[nodiscard]] CLI::Validator between(double low, double high);
CLI::Option* numberOption(CLI::App& verb, const char* name, double& value, const char* help);  // from 0 to 100,000
CLI::Option* dressingOption(CLI::App& verb, std::string& id);                                  // --pattern
CLI::Option* celsiusOption(CLI::App& verb, std::optional<double>& celsius);
// One of the two has to be said.
void oneOf(CLI::App& verb, const CLI::Option* one, const CLI::Option* other);

[[nodiscard]] int refuse(const Faults& faults);
// The book of a file, or of standard input where it is "-"; what was left out or unknown is said on standard error.
[[nodiscard]] Result<Book> bookOf(const std::string& file);

[[nodiscard]] bool isBookName(const std::string& path);
[[nodiscard]] int refuseName(const std::string& path);
// A book written where the ending says which; 0, or how it failed, said on standard error.
[[nodiscard]] int writeInto(const std::string& path, const Book& book);

template <class Verb>
[[nodiscard]] int print(const Verb& asked, const Json& json, const std::string& text) {
    std::cout << (asked.asJson ? json.dump(2) + "\n" : text);
    return kDone;
}

template <class Work>
[[nodiscard]] int withBook(const OnBook& asked, Work work) {
    const auto book = bookOf(asked.file);
    return book ? work(*book) : refuse(book.error());
}

}  // namespace machair::cli
