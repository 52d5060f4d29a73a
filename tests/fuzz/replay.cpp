// Runs every file of the corpus through its target: tests/fuzz/corpus/TARGET/*. What once broke stays here.
#include <catch2/catch.hpp>
#include <filesystem>
#include <fstream>

#include "tests/fuzz/targets.h"

TEST_CASE("the fuzzers' corpus comes back, every file of it") {
    std::size_t files = 0;
    for (const machair::fuzz::Target& target : machair::fuzz::targets())
        for (const auto& entry : std::filesystem::directory_iterator(std::filesystem::path(MACHAIR_CORPUS) / target.name)) {
            CAPTURE(entry.path());
            std::ifstream in(entry.path(), std::ios::binary);
            const std::string bytes{std::istreambuf_iterator<char>(in), {}};
            CHECK_NOTHROW(target.run(bytes));
            ++files;
        }
    CHECK(files > 40);
}
