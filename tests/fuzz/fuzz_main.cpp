// libFuzzer's way in; the target is chosen when it is built.
#include <cstdlib>
#include <exception>

#include "tests/fuzz/targets.h"

extern "C" int LLVMFuzzerTestOneInput(const std::uint8_t* data, std::size_t size) {
    static const machair::fuzz::Target* chosen = [] {
        const char* name = std::getenv("MACHAIR_FUZZ");
        for (const machair::fuzz::Target& target : machair::fuzz::targets())
            if (name && std::string_view(target.name) == name) return &target;
        std::abort();  // MACHAIR_FUZZ names one of them
    }();
    chosen->run({reinterpret_cast<const char*>(data), size});
    return 0;
}
