// rescue: what can be read of a damaged book.
#include "cli/report.h"
#include "cli/verb.h"
#include "store/bench_book.h"

namespace machair::cli {

namespace {

struct RescueVerb : OnBook {
    static constexpr const char* kName = "rescue";
    static constexpr const char* kHelp = "what can be read of a damaged book, into a new one";
    static constexpr const char* kExample = "machair-cli rescue skerrin.machair rescued.machair";

    std::string out;

    void arguments(CLI::App& verb) { verb.add_option("OUT", out, "*.machair or *.machair.json, which must not be there yet")->required(); }
    [[nodiscard]] int run() const {
        if (store::stampOf(out).inode != 0) {
            std::cerr << out << ": is there already; rescue writes to a new file only\n";
            return kWrongUsage;
        }
        const auto rescued = store::rescueBook(file);
        if (!rescued) return refuse(rescued.error());
        if (const Faults faults = store::writeBook(out, rescued->book); !faults.empty()) return refuse(faults);
        std::string text;
        for (const std::string& line : rescued->said)
            text += line + "\n";
        return print(*this, {{"said", rescued->said}, {"out", out}}, text + "what could be read is in " + out + "\n");
    }
};

}  // namespace

void addRescueVerb(CLI::App& app, int& result) { addVerb<RescueVerb>(app, result); }

}  // namespace machair::cli
