// schema: the JSON Schema of the bench file.
#include "cli/report.h"
#include "cli/verb.h"

namespace machair::cli {

namespace {

struct SchemaVerb : Bare {
    static constexpr const char* kName = "schema";
    static constexpr const char* kHelp = "the JSON Schema of the bench file";
    static constexpr const char* kExample = "machair-cli schema > bench.schema.json";

    [[nodiscard]] int run() const {
        std::cout << store::benchSchema();
        return kDone;
    }
};

}  // namespace

void addSchemaVerb(CLI::App& app, int& result) { addVerb<SchemaVerb>(app, result); }

}  // namespace machair::cli
