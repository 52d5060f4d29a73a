// Files that are never half there, never another's, and never more open than they were.
#include "store/disk.h"

#include <sys/stat.h>
#include <sys/wait.h>
#include <unistd.h>

#include <catch2/catch.hpp>
#include <fstream>
#include <random>

#include "book/edits.h"
#include "store/copies.h"
#include "store/home.h"
#include "tests/samples.h"
#include "tests/temp_folder.h"

using namespace machair;
using namespace machair::tests;
using namespace machair::store;

namespace {

mode_t modeOf(const std::filesystem::path& path) {
    struct stat status {};
    return ::stat(path.c_str(), &status) == 0 ? status.st_mode & 07777 : 0;
}

}  // namespace

TEST_CASE("a file that is replaced keeps its mode, and a link stays a link to it") {
    const TempFolder folder;
    const auto file = folder.file("mine.txt"), link = folder.file("link.txt");
    std::ofstream(file) << "old";
    ::chmod(file.c_str(), 0600);
    std::filesystem::create_symlink(file, link);
    REQUIRE(replaceFile(link, "new"));
    CHECK(std::filesystem::is_symlink(link));
    CHECK(contentOf(file) == "new");
    CHECK(modeOf(file) == 0600);
    CHECK(std::distance(std::filesystem::directory_iterator(file.parent_path()), {}) == 2);  // nothing is left beside it
}

TEST_CASE("nothing that lies in the way is written through") {
    const TempFolder folder;
    const auto file = folder.file("b.machair.json"), other = folder.file("precious");
    std::ofstream(other) << "precious";
    std::filesystem::create_symlink(other, folder.file("b.machair.json.new"));
    std::filesystem::create_symlink(other, folder.file(".b.machair.json.lock"));
    CHECK_THROWS_AS(replaceFile(file, "x"), DiskError);  // somebody planted a link where the lock belongs
    CHECK(contentOf(other) == "precious");
    std::filesystem::remove(folder.file(".b.machair.json.lock"));
    REQUIRE(replaceFile(file, "x"));
    CHECK(contentOf(other) == "precious");
}

TEST_CASE("a file is replaced only from the state that was known") {
    const TempFolder folder;
    const auto file = folder.file("a.txt");
    std::ofstream(file) << "one";
    const Stamp known = stampOf(file);
    const auto written = replaceFile(file, "two", known);
    REQUIRE(written);
    CHECK_FALSE(replaceFile(file, "three", known));
    CHECK(contentOf(file) == "two");
    REQUIRE(replaceFile(file, "three", *written));
}

TEST_CASE("pipes, devices and folders are no files, and nothing waits for them") {
    const TempFolder folder;
    const auto pipe = folder.file("pipe");
    REQUIRE(::mkfifo(pipe.c_str(), 0600) == 0);
    for (const std::filesystem::path& none : {pipe, std::filesystem::path("/dev/zero"), folder.file("."), folder.file("missing")}) {
        CAPTURE(none);
        CHECK_FALSE(readWhole(none, 1000));
    }
    std::ofstream(folder.file("big")) << std::string(2000, 'x');
    CHECK_FALSE(readWhole(folder.file("big"), 1000));
    CHECK(readWhole(folder.file("big"), 2000).value().size() == 2000);
}

TEST_CASE("what a killed writer left is swept, what a living one writes is not") {
    const TempFolder folder;
    const auto file = folder.file("a.txt");
    const pid_t child = ::fork();
    if (child == 0) {
        createLike(nameBeside(file), file);
        ::_exit(0);
    }
    ::waitpid(child, nullptr, 0);
    const auto mine = nameBeside(file);
    createLike(mine, file);
    CHECK(std::distance(std::filesystem::directory_iterator(file.parent_path()), {}) == 2);
    sweepBeside(file);
    CHECK(std::filesystem::exists(mine));
    CHECK(std::distance(std::filesystem::directory_iterator(file.parent_path()), {}) == 1);
}

// Each of several programs sets its own dressing's tail on and on; what one was told is kept must be there at the end.
TEST_CASE("several windows on one bench file lose nothing that was acknowledged, and nobody reads half of it") {
    const TempFolder folder;
    const auto path = folder.file("b.machair.json");
    saveBenchFile(path, demoBook());
    constexpr int kWriters = 3, kEdits = 25;
    const std::vector<DressingId> dressings = {"kelp-lantern", "soot-ember", "heather-tinker"};
    std::vector<pid_t> children;
    for (int writer = 0; writer < kWriters; ++writer) {
        const pid_t child = ::fork();
        if (child != 0) {
            children.push_back(child);
            continue;
        }
        auto home = openHome(path, Access::readWrite);
        if (!home) ::_exit(2);
        for (int n = 1; n <= kEdits;) {
            const auto now = (*home)->read();
            if (!now) ::_exit(3);  // half of a file, or none
            const auto edit =
                changePatternField(now->book, dressings[static_cast<std::size_t>(writer)], "note", "edit " + std::to_string(n));
            try {
                (*home)->keep(now->book, edit->after, edit->words);
                ++n;
            } catch (const ChangedElsewhere&) {
            }
        }
        ::_exit(0);
    }
    for (const pid_t child : children) {
        int status = 0;
        ::waitpid(child, &status, 0);
        CHECK(WEXITSTATUS(status) == 0);
    }
    const Book last = readBook(path)->book;
    for (int writer = 0; writer < kWriters; ++writer)
        CHECK(last.findPattern(dressings[static_cast<std::size_t>(writer)])->note == "edit " + std::to_string(kEdits));
}

TEST_CASE("copies thin with age: three sessions, seven days, four weeks, twelve months") {
    constexpr std::time_t kDay = 24 * 60 * 60, kNow = 1'795'000'000;
    std::vector<std::time_t> made;
    for (int day = 0; day < 700; ++day)
        for (int hour : {20, 12, 8})
            made.push_back(kNow - day * kDay - (20 - hour) * 60 * 60);
    const std::vector<bool> kept = keptCopies(made);
    const auto count = std::count(kept.begin(), kept.end(), true);
    CHECK(kept[0]);
    CHECK(kept[1]);
    CHECK(kept[2]);
    CHECK(count >= 3 + 6 + 3 + 10);
    CHECK(count <= 3 + 7 + 4 + 12);
    // The oldest that is kept is about a year old.
    std::size_t last = 0;
    for (std::size_t i = 0; i < kept.size(); ++i)
        if (kept[i]) last = i;
    CHECK(kNow - made[last] > 300 * kDay);
    CHECK(kNow - made[last] < 400 * kDay);
    CHECK(keptCopies({}).empty());
}
