// ids: what the records of a book are called, for a shell that completes a line.
#include <algorithm>

#include "book/records.h"
#include "cli/report.h"
#include "cli/verb.h"

namespace machair::cli {

namespace {

struct IdsVerb : OnBook {
    static constexpr const char* kName = "ids";
    static constexpr const char* kHelp = "the ids of a list of the book, one a line";
    static constexpr const char* kExample = "machair-cli ids skerrin.machair --of hooks";

    std::string list = "patterns";

    void arguments(CLI::App& verb) {
        verb.add_option("--of", list, "hooks, materials, patterns, teams, waters, rule_cards, cut_lists, team_schools, …")
            ->capture_default_str();
    }
    [[nodiscard]] int run() const {
        return withBook(*this, [&](const Book& book) {
            const auto& known = listNames();
            if (std::ranges::find(known, list, &ListName::list) == known.end())
                return refuse(
                    fail(Place("of"), "expected one of the book's lists, got \"" + list + "\"", "patterns, hooks, materials …").value());
            std::string text;
            const auto ids = idsIn(book, list);
            for (const std::string& id : ids)
                text += id + "\n";
            return print(*this, {{list, ids}}, text);
        });
    }
};

}  // namespace

void addIdsVerb(CLI::App& app, int& result) { addVerb<IdsVerb>(app, result); }

}  // namespace machair::cli
