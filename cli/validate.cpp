// validate: every fault of a file.
#include "book/flies.h"
#include "cli/report.h"
#include "cli/verb.h"

namespace machair::cli {

namespace {

struct ValidateVerb : OnBook {
    static constexpr const char* kName = "validate";
    static constexpr const char* kHelp = "every fault of a file, or that it is sound";
    static constexpr const char* kExample = "machair-cli validate skerrin.machair";

    [[nodiscard]] int run() const {
        return withBook(*this, [&](const Book& book) {
            if (const Faults faults = checkWithPlans(book); !faults.empty()) return refuse(faults);  // a book is read without its plans
            const Json counts = {{"valid", true},
                                 {"hooks", book.hooks.size()},
                                 {"materials", book.materials.size()},
                                 {"patterns", book.patterns.size()},
                                 {"teams", book.teams.size()}};
            const std::string text = file + ": sound. " + std::to_string(book.hooks.size()) + " hooks, " +
                                     std::to_string(book.materials.size()) + " materials, " + std::to_string(book.patterns.size()) +
                                     " dressings, " + std::to_string(book.teams.size()) + " teams\n";
            return print(*this, counts, text);
        });
    }
};

}  // namespace

void addValidateVerb(CLI::App& app, int& result) { addVerb<ValidateVerb>(app, result); }

}  // namespace machair::cli
