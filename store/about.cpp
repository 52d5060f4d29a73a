#include "store/about.h"

#include <sqlite3.h>

namespace machair::store {

std::string about() {
#if defined(__clang__)
    const std::string compiler = "Clang " __clang_version__;
#else
    const std::string compiler = "GCC " __VERSION__;
#endif
    return std::string(MACHAIR_VERSION " (" MACHAIR_BUILD ", ") + compiler + ", SQLite " + sqlite3_libversion() + ")";
}

}  // namespace machair::store
