// What is fuzzed: each takes any bytes and must come back, with faults or with a book. One binary a target under libFuzzer;
// under GCC one program replays the corpus.
#pragma once

#include <cstddef>
#include <cstdint>
#include <string_view>
#include <vector>

namespace machair::fuzz {

struct Target {
    const char* name;
    void (*run)(std::string_view bytes);
};
[[nodiscard]] const std::vector<Target>& targets();

}  // namespace machair::fuzz
