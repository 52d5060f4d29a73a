// convert: the same book in another file.
#include "cli/report.h"
#include "cli/verb.h"

namespace machair::cli {

namespace {

struct ConvertVerb : OnBook {
    static constexpr const char* kName = "convert";
    static constexpr const char* kHelp = "the same book in another file";
    static constexpr const char* kExample = "machair-cli convert skerrin.machair skerrin.machair.json";

    std::string out;

    void arguments(CLI::App& verb) { verb.add_option("OUT", out, "*.machair or *.machair.json")->required(); }
    [[nodiscard]] int run() const {
        if (!isBookName(out)) return refuseName(out);
        return withBook(*this, [&](const Book& book) { return writeInto(out, book); });
    }
};

}  // namespace

void addConvertVerb(CLI::App& app, int& result) { addVerb<ConvertVerb>(app, result); }

}  // namespace machair::cli
