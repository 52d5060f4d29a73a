// standins: what could stand in for a material.
#include "water/standins.h"
#include "cli/report.h"
#include "cli/verb.h"

namespace machair::cli {

namespace {

struct StandInsVerb : OnBook {
    static constexpr const char* kName = "standins";
    static constexpr const char* kHelp = "what in the drawers could stand in for a material, and what that changes";
    static constexpr const char* kExample = "machair-cli standins skerrin.machair --material oval-gold --pattern kelp-lantern --part 1";

    std::string material, dressing;
    std::optional<int> part;

    void arguments(CLI::App& verb) {
        verb.add_option("--material", material, "its id")->required();
        CLI::Option* usedIn = verb.add_option("--pattern", dressing, "a dressing that it is used in; its thread where no part is said");
        verb.add_option("--part", part, "its place in parts, from 0")->check(CLI::Range(0, 1000))->needs(usedIn);
    }
    [[nodiscard]] int run() const {
        return withBook(*this, [&](const Book& book) {
            std::optional<UsedIn> used;
            if (!dressing.empty())
                used = UsedIn{DressingId(dressing), part ? std::optional(static_cast<std::size_t>(*part)) : std::nullopt};
            const auto list = standInsFor(book, MaterialId(material), used);
            if (!list) return refuse(list.error());
            Json json = {{"material", material}, {"standins", Json::array()}};
            std::string text;
            for (const StandIn& s : *list) {
                Json changes = Json::array();
                text += s.title;
                bool first = true;
                for (const StandInChange& change : s.changes) {
                    changes.push_back(
                        {{"what", change.what}, {"from", change.from}, {"to", change.to}, {"rule_of_thumb", change.ruleOfThumb}});
                    text += (first ? ": " : ", ") + change.words() + (change.ruleOfThumb ? " (rule of thumb)" : "");
                    first = false;
                }
                if (!s.mind.empty()) text += "; " + s.mind;
                text += "\n";
                Json one = {{"material", s.material}, {"changes", std::move(changes)}};
                if (!s.mind.empty()) one["mind"] = s.mind;
                json["standins"].push_back(std::move(one));
            }
            return print(*this, json, text.empty() ? "nothing in the drawers could stand in for it\n" : text);
        });
    }
};

}  // namespace

void addStandInsVerb(CLI::App& app, int& result) { addVerb<StandInsVerb>(app, result); }

}  // namespace machair::cli
