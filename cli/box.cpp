// box: the flies that are tied, and what to tie next.
#include "daybook/box.h"
#include "cli/report.h"
#include "cli/verb.h"

namespace machair::cli {

namespace {

struct BoxVerb : OnBook {
    static constexpr const char* kName = "box";
    static constexpr const char* kHelp = "the flies that are tied, and what to tie next";
    static constexpr const char* kExample = "machair-cli box skerrin.machair --month 6";

    int month = 5;

    void arguments(CLI::App& verb) { verb.add_option("--month", month, "for which month, 1 to 12")->check(CLI::Range(1, 12)); }
    [[nodiscard]] int run() const {
        return withBook(*this, [&](const Book& book) {
            Json list = Json::array(), next = Json::array();
            std::string text;
            for (const BoxRow& row : boxRows(book)) {
                list.push_back({{"id", row.id},
                                {"pattern", row.pattern},
                                {"size", row.size},
                                {"barb", row.barb},
                                {"tied", row.tied},
                                {"chewed", row.chewed},
                                {"lost", row.lost}});
                text += row.title + ", " + std::to_string(row.size) + (row.barb ? "" : " barbless") + ": " + std::to_string(row.tied) +
                        (row.chewed > 0 ? ", " + std::to_string(row.chewed) + " chewed" : "") +
                        (row.lost > 0 ? ", " + std::to_string(row.lost) + " lost so far" : "") + "\n";
            }
            if (text.empty()) text = "The box is empty.\n";
            text += "tie next (rule of thumb):\n";
            for (const TieNext& row : tieNext(book, month)) {
                next.push_back(
                    {{"pattern", row.pattern}, {"want", row.want}, {"sound", row.sound}, {"waiting", row.waiting}, {"why", row.why}});
                if (next.size() <= 5) text += "  " + row.title + ": " + row.why + "\n";
            }
            return print(*this, {{"flies", list}, {"tie_next", next}}, text);
        });
    }
};

}  // namespace

void addBoxVerb(CLI::App& app, int& result) { addVerb<BoxVerb>(app, result); }

}  // namespace machair::cli
