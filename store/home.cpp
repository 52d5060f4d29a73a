#include "store/home.h"

#include <sys/stat.h>
#include <unistd.h>

#include <array>
#include <fstream>
#include <map>

#include "book/lists.h"
#include "language/say.h"
#include "store/bench_book.h"
#include "store/copies.h"
#include "store/records.h"

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

class BenchFileHome : public Home {
  public:
    BenchFileHome(std::filesystem::path path, Access access)
        : path_(std::move(path)), readOnly_(access == Access::readOnly || ::access(path_.c_str(), W_OK) != 0), stamp_(stampOf(path_)) {}

    Result<OpenedBench> read() override {
        stamp_ = stampOf(path_);
        return readBenchFile(path_);
    }
    void keep(const Book&, const Book& after, std::string_view) override {
        if (readOnly_) throw DiskError(say("{}: may only be read here; keep a copy elsewhere and work in that", path_.string()));
        // Looked at again under the writers' lock: another window may be writing at this moment.
        const auto written = replaceFile(path_, textToSave(path_, after), stamp_);
        if (!written) throw ChangedElsewhere(say("{}: was changed or deleted by somebody else", path_.string()));
        stamp_ = *written;
    }
    bool changedElsewhere() override { return !(stampOf(path_) == stamp_); }
    bool readOnly() const override { return readOnly_; }

  private:
    std::filesystem::path path_;
    bool readOnly_;
    Stamp stamp_;
};

}  // namespace

Result<std::unique_ptr<Home>> openHome(const std::filesystem::path& path, Access access) {
    if (Faults faults = ordinaryFile(path); !faults.empty()) return tl::unexpected(faults);
    if (isSqlite(path)) return openBenchBook(path, access);
    if (path.string().ends_with(kBookEnding))
        return fail(Place(path.string()), say("expected a bench book, got a file that is not one"),
                    copiesOf(path).empty() ? say("a bench file ends in .machair.json") : sayNewestCopy(path));
    return std::make_unique<BenchFileHome>(path, access);
}

Faults unreadableAgain(const Book& before, const Book& after) {
    Faults faults;
    eachList([&]<class Record>(const char* name, std::vector<Record> Book::*list) {
        std::vector<std::string> texts;
        std::vector<const Record*> changed;
        for (const Record* record : changedIn(before.*list, after.*list)) {
            texts.push_back(writeRecord(*record));
            changed.push_back(record);
        }
        if (changed.empty()) return;
        const ReadRecords<Record> read = readRecords<Record>(name, texts);
        for (const auto& [index, why] : read.spoilt)
            append(faults, why);
        for (std::size_t i = 0; i < changed.size(); ++i)
            if (!read.spoilt.contains(i) && !(read.records[i] == *changed[i]))
                faults.push_back({Place(name).key(changed[i]->id), say("would not be the same when it is read again"), ""});
    });
    return faults;
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
        return {Fault{Place(name), say("expected a name that ends in .machair (a bench book) or .machair.json (a bench file)"), ""}};
    return {};
}

}  // namespace machair::store
