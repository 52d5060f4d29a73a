#include "store/copies.h"

#include <sys/stat.h>
#include <unistd.h>

#include <algorithm>
#include <array>
#include <set>
#include <tuple>

#include "language/say.h"
#include "store/disk.h"

namespace machair::store {

namespace fs = std::filesystem;

namespace {

constexpr std::string_view kFolderEnding = ".copies";
constexpr std::string_view kCopyEnding = ".machair";
constexpr int kMostOldCopies = 9;  // NAME.backup-1 …, of versions before the folder

fs::path folderOfCopies(const fs::path& book) { return book.string() + std::string(kFolderEnding); }

std::string formatted(std::time_t time, const char* format) {
    std::tm parts{};
    ::gmtime_r(&time, &parts);
    std::array<char, 32> text{};
    return std::string(text.data(), std::strftime(text.data(), text.size(), format, &parts));
}

Copy copyAt(const fs::path& path) {
    const timespec written = stampOf(path).written;
    return {path, written.tv_sec, written.tv_nsec};
}

}  // namespace

std::string sayTime(std::time_t time) { return formatted(time, "%Y-%m-%d %H:%M"); }

std::vector<Copy> copiesOf(const fs::path& book) {
    std::vector<Copy> copies;
    std::error_code ignored;
    for (const auto& entry : fs::directory_iterator(folderOfCopies(book), ignored)) {
        const std::string name = entry.path().filename().string();
        if (!name.starts_with('.') && name.ends_with(kCopyEnding) && entry.is_regular_file(ignored)) copies.push_back(copyAt(entry.path()));
    }
    for (int n = 1; n <= kMostOldCopies; ++n)
        if (const fs::path old = book.string() + ".backup-" + std::to_string(n); fs::is_regular_file(old, ignored))
            copies.push_back(copyAt(old));
    std::ranges::sort(copies,
                      [](const Copy& a, const Copy& b) { return std::tie(a.made, a.nanoseconds) > std::tie(b.made, b.nanoseconds); });
    return copies;
}

fs::path nameOfCopy(const fs::path& book, std::time_t made) {
    const fs::path folder = folderOfCopies(book);
    struct stat status {};
    constexpr mode_t kReadable = S_IRUSR | S_IRGRP | S_IROTH;
    const mode_t read = ::stat(book.c_str(), &status) == 0 ? status.st_mode & kReadable : mode_t{S_IRUSR};
    if (::mkdir(folder.c_str(), S_IRWXU | read | (read >> 2)) != 0 && !fs::is_directory(folder))
        throw DiskError(say("{}: can't be made, and copies of the book lie there", folder.string()));
    const std::string stem =
        formatted(made, "%Y-%m-%dT%H-%M-%S") + "-" + std::to_string(::getpid());  // another window may make one in the same second
    fs::path name = folder / (stem + std::string(kCopyEnding));
    for (int n = 2; fs::exists(name); ++n)
        name = folder / (stem + "-" + std::to_string(n) + std::string(kCopyEnding));
    return name;
}

std::vector<bool> keptCopies(std::span<const std::time_t> newestFirst) {
    constexpr std::size_t kLast = 3;
    constexpr std::time_t kDay = 24 * 60 * 60, kWeek = 7 * kDay;
    struct Span {
        std::size_t most;
        std::set<std::string> seen;
        bool takes(const std::string& bucket) { return seen.size() < most && seen.insert(bucket).second; }
    };
    Span days{7, {}}, weeks{4, {}}, months{12, {}};
    std::vector<bool> kept;
    for (std::size_t i = 0; i < newestFirst.size(); ++i) {
        const std::time_t t = newestFirst[i];
        // Each is asked of all spans: the newest of a day may be that of its week and month too.
        const bool day = days.takes(std::to_string(t / kDay)), week = weeks.takes(std::to_string(t / kWeek)),
                   month = months.takes(formatted(t, "%Y-%m"));
        kept.push_back(i < kLast || day || week || month);
    }
    return kept;
}

void thinCopies(const fs::path& book) {
    const std::vector<Copy> copies = copiesOf(book);
    std::vector<std::time_t> made;
    for (const Copy& copy : copies)
        made.push_back(copy.made);
    const std::vector<bool> kept = keptCopies(made);
    std::error_code ignored;
    for (std::size_t i = 0; i < copies.size(); ++i)
        if (!kept[i]) fs::remove(copies[i].path, ignored);
}

std::string sayNewestCopy(const fs::path& book) {
    const std::vector<Copy> copies = copiesOf(book);
    return copies.empty() ? std::string() : say("its copy of {} is in {}", sayTime(copies.front().made), copies.front().path.string());
}

}  // namespace machair::store
