// validate and convert: whole files.
#include <algorithm>

#include "cli/verbs.h"

namespace machair::cli {

int validate(const Options& options) {
    return withBook(options, [&](const Book& book) {
        if (const Faults faults = checkWithPlans(book); !faults.empty()) return refuse(faults);  // a book is read without its plans
        const Json counts = {{"valid", true},
                             {"hooks", book.hooks.size()},
                             {"materials", book.materials.size()},
                             {"patterns", book.patterns.size()},
                             {"teams", book.teams.size()}};
        const std::string text = options.file + ": sound. " + std::to_string(book.hooks.size()) + " hooks, " +
                                 std::to_string(book.materials.size()) + " materials, " +
                                 std::to_string(book.patterns.size()) + " dressings, " +
                                 std::to_string(book.teams.size()) + " teams\n";
        return print(options, counts, text);
    });
}

int convert(const Options& options) {
    constexpr std::string_view kEndings[] = {".machair", ".machair.json"};
    if (std::ranges::none_of(kEndings, [&](std::string_view ending) { return options.out.ends_with(ending); })) {
        std::cerr << options.out << ": expected a name that ends in .machair (a bench book) or .machair.json (a bench file)\n";
        return kWrongUsage;
    }
    return withBook(options, [&](const Book& book) {
        const Faults faults = store::writeBook(options.out, book);
        return faults.empty() ? int(kDone) : refuse(faults);
    });
}

}  // namespace machair::cli
