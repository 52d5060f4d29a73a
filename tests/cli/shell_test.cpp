// The command line as a shell meets it: examples that work, standard input, the manual page and what is completed.
#include <algorithm>
#include <catch2/catch.hpp>
#include <filesystem>
#include <fstream>
#include <regex>

#include "tests/cli/run.h"
#include "tests/temp_folder.h"

using namespace machair::tests;

namespace {

std::vector<std::string> verbs() {
    const std::string help = runCli("--help").out;
    std::vector<std::string> names;
    std::istringstream lines(help.substr(help.find("Subcommands:")));
    std::string line;
    std::getline(lines, line);
    while (std::getline(lines, line))
        if (line.starts_with("  ") && line.size() > 3 && line[2] != ' ') names.push_back(line.substr(2, line.find(' ', 2) - 2));
    return names;
}

// A shell in a folder that holds what the examples name.
struct Bench {
    TempFolder folder;
    Bench() {
        REQUIRE(runCli("convert '" MACHAIR_DEMO "' '" + folder.file("skerrin.machair").string() + "'").code == 0);
        std::ofstream(folder.file("recipe.txt"))
            << "Shore Ember\nHook: 10, wet\nThread: black\nBody: claret fur\nHackle: brown hen, 2 turns\n";
    }
    [[nodiscard]] int run(const std::string& words) const {
        const std::string named = std::regex_replace(words, std::regex("^machair-cli"), "'" MACHAIR_CLI "'");
        const int status = std::system(("cd '" + folder.file("").string() + "' && " + named + " >said.txt 2>&1").c_str());
        return WEXITSTATUS(status);
    }
    [[nodiscard]] std::string said() const {
        std::ifstream in(folder.file("said.txt"));
        return {std::istreambuf_iterator<char>(in), {}};
    }
};

std::string page(const std::string& kind) {
    FILE* pipe = ::popen(("'" MACHAIR_CLI_PAGES "' " + kind).c_str(), "r");
    REQUIRE(pipe != nullptr);
    std::string out;
    std::array<char, 4096> buffer{};
    while (const std::size_t n = std::fread(buffer.data(), 1, buffer.size(), pipe))
        out.append(buffer.data(), n);
    REQUIRE(::pclose(pipe) == 0);
    return out;
}

}  // namespace

TEST_CASE("each verb's help shows an example, and it works on the demo as it stands") {
    const Bench bench;
    const auto names = verbs();
    REQUIRE(names.size() >= 26);
    for (const std::string& verb : names) {
        const std::string help = runCli(verb + " --help").out;
        const auto at = help.find("Example: ");
        INFO(verb);
        REQUIRE(at != std::string::npos);
        const std::string example = help.substr(at + 9, help.find('\n', at) - at - 9);
        CHECK(example.starts_with("machair-cli " + verb));
        const int code = bench.run(example);
        INFO(example << "\n" << bench.said());
        CHECK(code == 0);
    }
}

TEST_CASE("a bench file is read from standard input where the file is a dash") {
    const Bench bench;
    CHECK(bench.run("machair-cli plan - --pattern kelp-lantern < '" MACHAIR_DEMO "'") == 0);
    const std::string piped = bench.said();
    CHECK(bench.run("machair-cli plan '" MACHAIR_DEMO "' --pattern kelp-lantern") == 0);
    CHECK(bench.said() == piped);
    CHECK(bench.run("machair-cli validate - < /dev/null") == 1);
    CHECK(bench.run("echo '{\"hooks\": [' | '" MACHAIR_CLI "' validate -") == 1);
    CHECK_FALSE(bench.said().empty());
}

TEST_CASE("the version says the build and the libraries that matter") {
    const Ran ran = runCli("--version");
    CHECK(ran.code == 0);
    CHECK(std::regex_search(ran.out, std::regex("^machair-cli [0-9]+\\.[0-9]+\\.[0-9]+ \\(.*SQLite 3\\.")));
}

TEST_CASE("the ids of a list are said one a line, and a list that isn't one is refused in words") {
    const Ran ran = runCli(demo("ids", "--of patterns"));
    CHECK(ran.code == 0);
    CHECK(ran.out.find("kelp-lantern\n") != std::string::npos);
    CHECK(runCli(demo("ids", "--of moons")).err.find("moons") != std::string::npos);
}

TEST_CASE("the manual page tells of every verb and every option of it") {
    const std::string manual = page("man");
    int options = 0;
    for (const std::string& verb : verbs()) {
        INFO(verb);
        CHECK(manual.find(".SS " + verb) != std::string::npos);
        const std::string help = runCli(verb + " --help").out;
        const std::regex option("\n  (?:-.,)?--([a-z]+)");
        for (std::sregex_iterator at(help.begin(), help.end(), option), end; at != end; ++at) {
            if ((*at)[1] == "help") continue;
            ++options;
            INFO((*at)[1]);
            CHECK(manual.find("\\-\\-" + (*at)[1].str()) != std::string::npos);
        }
    }
    CHECK(options > 80);
}

TEST_CASE("bash completes verbs, options and the ids of the file that is named") {
    const Bench bench;
    std::ofstream(bench.folder.file("completion")) << page("bash");
    const auto completed = [&](const std::string& line, int word) {
        const std::string script = "PATH=\"$(dirname '" MACHAIR_CLI "'):$PATH\"; . ./completion; COMP_WORDS=(" + line +
                                   "); COMP_CWORD=" + std::to_string(word) + "; _machair_cli; printf '%s\\n' \"${COMPREPLY[@]}\"";
        std::ofstream(bench.folder.file("script")) << script;
        REQUIRE(bench.run("bash ./script") == 0);
        return bench.said();
    };
    CHECK(completed("machair-cli pl", 1) == "plan\n");
    CHECK(completed("machair-cli team skerrin.machair --wa", 3) == "--water\n");
    CHECK(completed("machair-cli plan skerrin.machair --pattern kelp-l", 4) == "kelp-lantern\n");
    CHECK(completed("machair-cli hook skerrin.machair --hook wet-1", 4).find("wet-10") != std::string::npos);
}

TEST_CASE("the guide names every verb of the command line, and none that isn't there, in each of its languages") {
    const std::filesystem::path folder = GENERATE(MACHAIR_GUIDE, MACHAIR_GUIDE "/fr");
    std::string guide;
    for (const auto& chapter : std::filesystem::directory_iterator(folder)) {
        if (chapter.is_directory()) continue;
        std::ifstream in(chapter.path());
        guide.append(std::istreambuf_iterator<char>(in), {});
    }
    const auto known = verbs();
    for (const std::string& verb : known) {
        INFO(verb);
        CHECK(guide.find("machair-cli " + verb) != std::string::npos);
    }
    const std::regex named("machair-cli ([a-z]+)");
    std::size_t found = 0;
    for (std::sregex_iterator at(guide.begin(), guide.end(), named), end; at != end; ++at, ++found) {
        INFO((*at)[1]);
        CHECK(std::ranges::find(known, (*at)[1].str()) != known.end());
    }
    CHECK(found >= known.size());
}

TEST_CASE("zsh's completion reads as zsh where it is installed") {
    const Bench bench;
    std::ofstream(bench.folder.file("completion")) << page("zsh");
    CHECK(bench.run("command -v zsh >/dev/null || exit 0; zsh -n completion") == 0);
}
