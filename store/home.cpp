#include "store/home.h"

#include <sys/stat.h>
#include <unistd.h>

#include <array>
#include <fstream>

#include "store/bench_book.h"

namespace machair::store {

namespace {

constexpr std::string_view kSqliteHeader{"SQLite format 3\0", 16};
constexpr std::string_view kBookEnding = ".machair";
constexpr std::string_view kFileEnding = ".machair.json";

bool isSqlite(const std::filesystem::path& path) {
    std::ifstream file(path, std::ios::binary);
    std::array<char, kSqliteHeader.size()> head{};
    file.read(head.data(), head.size());
    return static_cast<std::size_t>(file.gcount()) == head.size() && std::string_view(head.data(), head.size()) == kSqliteHeader;
}

// What tells one state of a file from another without reading it.
struct Stamp {
    dev_t device = 0;
    ino_t inode = 0;
    off_t size = 0;
    timespec changed{};
    bool operator==(const Stamp& other) const {
        return device == other.device && inode == other.inode && size == other.size && changed.tv_sec == other.changed.tv_sec &&
               changed.tv_nsec == other.changed.tv_nsec;
    }
};

Stamp stampOf(const std::filesystem::path& path) {
    struct stat status{};
    if (::stat(path.c_str(), &status) != 0) return {};
    return {status.st_dev, status.st_ino, status.st_size, status.st_mtim};
}

class BenchFileHome : public Home {
  public:
    BenchFileHome(std::filesystem::path path, Access access)
        : path_(std::move(path)), readOnly_(access == Access::readOnly || ::access(path_.c_str(), W_OK) != 0), stamp_(stampOf(path_)) {}

    Result<OpenedBench> read() override {
        stamp_ = stampOf(path_);
        return readBenchFile(path_);
    }
    void keep(const Book&, const Book& after, std::string_view) override {
        if (readOnly_) throw DiskError(path_.string() + ": may only be read here; keep a copy elsewhere and work in that");
        if (changedElsewhere()) throw ChangedElsewhere(path_.string() + ": was changed or deleted by somebody else");
        saveBenchFile(path_, after);
        stamp_ = stampOf(path_);
    }
    bool changedElsewhere() override { return !(stampOf(path_) == stamp_); }
    bool readOnly() const override { return readOnly_; }

  private:
    std::filesystem::path path_;
    bool readOnly_;
    Stamp stamp_;
};

}  // namespace

Faults ordinaryFile(const std::filesystem::path& path) {
    const Place name(path.string());
    std::error_code error;
    const auto status = std::filesystem::status(path, error);
    if (!std::filesystem::exists(status)) return {Fault{name, "there is no such file", "look at the name and the folder"}};
    if (std::filesystem::is_directory(status)) return {Fault{name, "this is a folder, not a book", "name a file in it"}};
    if (!std::filesystem::is_regular_file(status)) return {Fault{name, "this is not an ordinary file", ""}};
    if (::access(path.c_str(), R_OK) != 0) return {Fault{name, "can't be read: permission denied", "see who may read it"}};
    return {};
}

Result<std::unique_ptr<Home>> openHome(const std::filesystem::path& path, Access access) {
    if (Faults faults = ordinaryFile(path); !faults.empty()) return tl::unexpected(faults);
    if (isSqlite(path)) return openBenchBook(path, access);
    if (path.string().ends_with(kBookEnding))
        return fail(Place(path.string()), "expected a bench book, got a file that is not one",
                    "a bench file ends in .machair.json; a damaged book has its copy in " + backupOf(path, 1).filename().string());
    return std::make_unique<BenchFileHome>(path, access);
}

Result<OpenedBench> readBook(const std::filesystem::path& path) {
    auto home = openHome(path, Access::readOnly);
    if (!home) return tl::unexpected(home.error());
    return (*home)->read();
}

Faults writeBook(const std::filesystem::path& path, const Book& book) {
    const std::string name = path.string();
    if (name.ends_with(kFileEnding))
        saveBenchFile(path, book);
    else if (name.ends_with(kBookEnding))
        writeBenchBook(path, book);
    else
        return {Fault{Place(name), "expected a name that ends in .machair (a bench book) or .machair.json (a bench file)", ""}};
    return {};
}

}  // namespace machair::store
