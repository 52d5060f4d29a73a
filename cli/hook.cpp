// hook: a hook and its landmarks.
#include "cli/report.h"
#include "cli/verb.h"

namespace machair::cli {

namespace {

struct HookVerb : OnBook {
    static constexpr const char* kName = "hook";
    static constexpr const char* kHelp = "a hook's measures and landmarks";
    static constexpr const char* kExample = "machair-cli hook skerrin.machair --hook wet-10";

    std::string asked;

    void arguments(CLI::App& verb) { verb.add_option("--hook", asked, "its id")->required(); }
    [[nodiscard]] int run() const {
        return withBook(*this, [&](const Book& book) {
            const HookSpec* spec = book.findHook(HookId(asked));
            if (!spec) return refuse(noSuch(Place("hooks"), "hook", asked).value());
            const auto hook = makeHook(*spec);
            if (!hook) return refuse(hook.error());
            return print(*this, hookReport(*hook), hookText(*hook));
        });
    }
};

}  // namespace

void addHookVerb(CLI::App& app, int& result) { addVerb<HookVerb>(app, result); }

}  // namespace machair::cli
