// machair-cli: a thin reader of arguments over core and store (formats.md, "The command line").
#include <exception>

#include "cli/verb.h"
#include "store/about.h"

int main(int argc, char** argv) {
    using namespace machair::cli;
    try {
        CLI::App app;
        app.set_version_flag("--version", "machair-cli " + machair::store::about());
        int result = kDone;
        addVerbs(app, result);
        try {
            app.parse(argc, argv);
        } catch (const CLI::ParseError& error) {
            return app.exit(error) == 0 ? kDone : kWrongUsage;
        }
        return result;
    } catch (const machair::store::DiskError& error) {
        std::cerr << error.what() << "\n";
    } catch (const std::bad_alloc&) {
        std::cerr << "there is not enough memory for that\n";
    } catch (const std::exception& error) {
        std::cerr << "machair-cli could not do that (for its makers: " << error.what() << ")\n";
    }
    return kInputAtFault;
}
