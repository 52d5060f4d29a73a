// Runs the real command line, as a shell would.
#pragma once

#include <sys/wait.h>
#include <unistd.h>

#include <array>
#include <catch2/catch.hpp>
#include <cstdio>
#include <filesystem>
#include <fstream>
#include <iterator>
#include <nlohmann/json.hpp>
#include <string>

namespace machair::tests {

struct Ran {
    int code;
    std::string out;
    std::string err;
};

inline Ran runCli(const std::string& arguments) {
    const std::string errors = (std::filesystem::temp_directory_path() / ("machair-cli-err-" + std::to_string(::getpid()))).string();
    const std::string command = std::string("'") + MACHAIR_CLI + "' " + arguments + " 2>'" + errors + "'";
    FILE* pipe = ::popen(command.c_str(), "r");
    REQUIRE(pipe != nullptr);
    std::string out;
    std::array<char, 4096> buffer{};
    while (const std::size_t n = std::fread(buffer.data(), 1, buffer.size(), pipe))
        out.append(buffer.data(), n);
    const int status = ::pclose(pipe);
    std::ifstream in(errors);
    std::string err{std::istreambuf_iterator<char>(in), {}};
    std::filesystem::remove(errors);
    return {WEXITSTATUS(status), out, err};
}

// A verb on the demo's file.
inline std::string demo(const std::string& verb, const std::string& options = {}) { return verb + " '" + MACHAIR_DEMO + "' " + options; }

// What a verb prints with --json; it must succeed and hold no number that is none.
inline nlohmann::json jsonOf(const std::string& arguments) {
    const Ran ran = runCli(arguments + " --json");
    INFO(arguments << "\n" << ran.err);
    REQUIRE(ran.code == 0);
    CHECK(ran.out.find("nan") == std::string::npos);
    return nlohmann::json::parse(ran.out);
}

}  // namespace machair::tests
