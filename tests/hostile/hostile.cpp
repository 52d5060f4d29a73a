// Attacks on the stores that run as long as they are asked to: killed at random, corrupted at random, several writers at
// once, and a disk that is really full (the folder given lies on a small one). Each says its figures and what was lost;
// exit 1 where anything was.
#include <signal.h>
#include <sys/wait.h>
#include <unistd.h>

#include <array>
#include <cmath>
#include <filesystem>
#include <fstream>
#include <functional>
#include <iostream>
#include <map>
#include <random>
#include <string>
#include <vector>

#include "book/edits.h"
#include "store/bench_book.h"
#include "store/home.h"
#include "tests/samples.h"

namespace {

using namespace machair;
namespace fs = std::filesystem;

struct Asked {
    std::map<std::string, int> numbers;
    fs::path folder = fs::temp_directory_path() / ("machair-hostile-" + std::to_string(::getpid()));
    [[nodiscard]] int of(const char* name) const { return numbers.contains(name) ? numbers.at(name) : 0; }
};

const std::vector<std::string> kFlies = {"kelp-lantern", "soot-ember", "heather-tinker", "rush-piper"};
Book withNote(const Book& book, const std::string& fly, int n) {
    return changePatternField(book, DressingId(fly), "note", "edit " + std::to_string(n))->after;
}
int noteOf(const Book& book, const std::string& fly) {
    const std::string note = book.findPattern(DressingId(fly))->note.value_or("edit 0");
    return note.starts_with("edit ") ? std::stoi(note.substr(5)) : 0;
}
void clear(const fs::path& path) {
    for (const char* left : {"", "-wal", "-shm"})
        fs::remove(path.string() + left);
    fs::remove_all(path.string() + ".copies");
}

// A child that edits on and on and tells each number once it was kept.
pid_t editor(const fs::path& path, const std::string& fly, int first, int edits, int tell) {
    const pid_t child = ::fork();
    if (child != 0) return child;
    auto home = store::openHome(path, store::Access::readWrite);
    if (!home) ::_exit(3);
    auto opened = (*home)->read();
    for (int n = first; edits == 0 || n < first + edits;) {
        if (!opened) ::_exit(4);
        const Book next = withNote(opened->book, fly, n);
        try {
            (*home)->keep(opened->book, next, "edit");
            opened->book = next;
            if (::write(tell, &n, sizeof n) != sizeof n) ::_exit(5);
            ++n;
        } catch (const store::ChangedElsewhere&) {
            opened = (*home)->read();
        } catch (const store::DiskError&) {
            ::_exit(6);
        }
    }
    ::_exit(0);
}

// What a child told last.
int lastTold(int from) {
    int n = 0, last = 0;
    while (::read(from, &n, sizeof n) == sizeof n)
        last = n;
    return last;
}

int killed(const Asked& asked) {
    const fs::path path = asked.folder / "kill.machair";
    store::writeBenchBook(path, tests::demoBook());
    std::mt19937 random(static_cast<unsigned>(asked.of("seed")));
    int lost = 0, acknowledged = 0;
    for (int kill = 0; kill < asked.of("kills"); ++kill) {
        std::array<int, 2> pipe{};
        if (::pipe(pipe.data()) != 0) return 1;
        const int first = noteOf(store::readBook(path)->book, kFlies[0]) + 1;
        const pid_t child = editor(path, kFlies[0], first, 0, pipe[1]);
        ::close(pipe[1]);
        ::usleep(static_cast<useconds_t>(random() % 60'000));
        ::kill(child, SIGKILL);
        ::waitpid(child, nullptr, 0);
        const int last = lastTold(pipe[0]);
        ::close(pipe[0]);
        if (last > 0) acknowledged += last - first + 1;
        const auto read = store::readBook(path);
        if (!read || !read->setAside.empty() || (last > 0 && noteOf(read->book, kFlies[0]) < last)) ++lost;
    }
    std::cout << "killed " << asked.of("kills") << " times, " << acknowledged << " edits acknowledged, lost in " << lost << "\n";
    return lost;
}

int corrupted(const Asked& asked) {
    const fs::path path = asked.folder / "whole.machair", hurt = asked.folder / "hurt.machair";
    const Book book = tests::demoBook();
    store::writeBenchBook(path, book);
    const std::string whole = tests::contentOf(path);
    std::mt19937 random(static_cast<unsigned>(asked.of("seed")));
    int refused = 0, aside = 0, harmless = 0, silent = 0;
    for (int i = 0; i < asked.of("corruptions"); ++i) {
        std::string bytes = whole;
        const std::size_t pages = bytes.size() / 4096;
        switch (random() % 5) {
            case 0: bytes[random() % bytes.size()] ^= static_cast<char>(1U << random() % 8); break;
            case 1:
                for (int k = 0; k < 40; ++k)
                    bytes[random() % bytes.size()] = static_cast<char>(random());
                break;
            case 2: bytes.replace(4096 * (random() % pages), 4096, bytes.substr(4096 * (random() % pages), 4096)); break;
            case 3: bytes.replace(random() % bytes.size(), 64, std::string(64, '\0')); break;
            default: bytes.resize(4096 * (1 + random() % pages)); break;
        }
        clear(hurt);
        std::ofstream(hurt, std::ios::binary) << bytes;
        const auto home = store::openHome(hurt, store::Access::readWrite);
        const auto read = home ? (*home)->read() : tl::unexpected(home.error());
        if (!read)
            ++refused;
        else if (!read->setAside.empty())
            ++aside;
        else if (read->book == book)
            ++harmless;
        else
            ++silent;
        if (const auto rescued = store::rescueBook(hurt); rescued && !checkToRead(rescued->book).empty())
            ++silent;  // a dressing whose hook is lost is there, marked
    }
    std::cout << "corrupted " << asked.of("corruptions") << " times: refused " << refused << ", damaged records set aside " << aside
              << ", harmless " << harmless << ", other content and nothing said " << silent << "\n";
    return silent;
}

int writers(const Asked& asked, const char* name) {
    const fs::path path = asked.folder / name;
    clear(path);
    (void)store::writeBook(path, tests::demoBook());
    const int count = std::min<int>(asked.of("writers"), static_cast<int>(kFlies.size())), edits = asked.of("edits");
    std::vector<pid_t> children;
    std::vector<int> told;
    for (int w = 0; w < count; ++w) {
        std::array<int, 2> pipe{};
        if (::pipe(pipe.data()) != 0) return 1;
        children.push_back(editor(path, kFlies[static_cast<std::size_t>(w)], 1, edits, pipe[1]));
        ::close(pipe[1]);
        told.push_back(pipe[0]);
    }
    int lost = 0;
    std::vector<int> last;
    for (std::size_t w = 0; w < children.size(); ++w) {
        last.push_back(lastTold(told[w]));
        ::close(told[w]);
        int status = 0;
        ::waitpid(children[w], &status, 0);
        if (WEXITSTATUS(status) != 0) ++lost;
    }
    const auto read = store::readBook(path);
    for (std::size_t w = 0; w < children.size(); ++w)
        if (!read || !read->setAside.empty() || noteOf(read->book, kFlies[w]) < last[w]) ++lost;
    std::cout << name << ": " << count << " writers of " << edits << " edits each, lost " << lost << "\n";
    return lost;
}

// Edits until the disk is full, makes room, and goes on.
int fullDisk(const Asked& asked) {
    const fs::path path = asked.folder / "full.machair", fill = asked.folder / "fill";
    store::writeBenchBook(path, tests::demoBook());
    auto home = store::openHome(path, store::Access::readWrite);
    if (!home) return 1;
    Book book = (*home)->read()->book;
    int kept = 0, refused = 0;
    for (int n = 1; n <= 60; ++n) {
        if (n == 20) {  // whatever is left is taken
            std::ofstream out(fill, std::ios::binary);
            const std::string block(1 << 16, 'x');
            while (out.write(block.data(), static_cast<std::streamsize>(block.size())).flush()) {
            }
        }
        if (n == 40) fs::remove(fill);
        const Book next = withNote(book, kFlies[0], n);
        try {
            (*home)->keep(book, next, "edit");
            book = next;
            ++kept;
        } catch (const store::DiskError&) {
            ++refused;
        }
    }
    home->reset();
    const auto read = store::readBook(path);
    const int lost = !read || !(read->book == book) ? 1 : 0;
    std::cout << "a full disk: " << kept << " edits kept, " << refused << " refused in words, lost " << lost << "\n";
    return lost;
}

}  // namespace

int main(int argc, char** argv) {
    Asked asked;
    asked.numbers = {{"seed", 1}, {"edits", 100}};
    for (int i = 1; i + 1 < argc; i += 2) {
        const std::string name = std::string(argv[i]).substr(2);
        if (name == "folder")
            asked.folder = argv[i + 1];
        else
            asked.numbers[name] = std::atoi(argv[i + 1]);
    }
    fs::create_directories(asked.folder);
    int lost = 0;
    if (asked.of("kills") > 0) lost += killed(asked);
    if (asked.of("corruptions") > 0) lost += corrupted(asked);
    if (asked.of("writers") > 0) lost += writers(asked, "writers.machair") + writers(asked, "writers.machair.json");
    if (asked.of("full") > 0) lost += fullDisk(asked);
    fs::remove_all(asked.folder);
    return lost == 0 ? 0 : 1;
}
