#include "store/bench_file.h"

#include <fcntl.h>
#include <sys/stat.h>
#include <unistd.h>

#include <cerrno>
#include <cstring>
#include <fstream>

#include "store/home.h"
#include "store/records.h"

namespace machair::store {

namespace {

std::string systemError() { return std::strerror(errno); }  // NOLINT: one thread reads it at once

}  // namespace

Result<OpenedBench> readBench(std::string_view text) { return readBench(text, Checking::plansToo); }

Result<OpenedBench> readBenchFile(const std::filesystem::path& path) {
    const Place name(path.string());
    if (Faults faults = ordinaryFile(path); !faults.empty()) return tl::unexpected(faults);
    std::error_code error;
    const auto size = std::filesystem::file_size(path, error);
    if (error) return fail(name, "can't be read: " + error.message());
    if (size > kLargestBenchFile)
        return fail(name, "expected a file of at most 64 MiB, got " + std::to_string(size >> 20) + " MiB",
                    "a bench file is rarely over two");
    std::ifstream file(path, std::ios::binary);
    if (!file) return fail(name, "can't be read: " + systemError(), "see who may read it");
    std::string text(size, '\0');
    file.read(text.data(), static_cast<std::streamsize>(size));
    if (file.bad()) return fail(name, "can't be read to its end: " + systemError());
    text.resize(static_cast<std::size_t>(file.gcount()));
    return readBench(text);
}

void saveBenchFile(const std::filesystem::path& path, const Book& book) {
    const std::string text = writeBench(book);
    const std::filesystem::path beside = path.string() + ".new";
    const auto refuse = [&](const char* doing) {
        const std::string reason = systemError();
        std::error_code ignored;
        std::filesystem::remove(beside, ignored);
        throw DiskError(path.string() + ": " + doing + ": " + reason);
    };
    constexpr mode_t kMode = 0644;
    const int file = ::open(beside.c_str(), O_WRONLY | O_CREAT | O_TRUNC | O_CLOEXEC, kMode);
    if (file < 0) refuse("can't be written");
    std::size_t done = 0;
    while (done < text.size()) {
        const ssize_t n = ::write(file, text.data() + done, text.size() - done);
        if (n < 0 && errno == EINTR) continue;
        if (n < 0) {
            ::close(file);
            refuse("can't be written");
        }
        done += static_cast<std::size_t>(n);
    }
    if (::fsync(file) != 0) {
        ::close(file);
        refuse("can't be flushed to the disk");
    }
    if (::close(file) != 0) refuse("can't be closed");
    if (::rename(beside.c_str(), path.c_str()) != 0) refuse("can't be replaced");
    const std::filesystem::path folder = path.has_parent_path() ? path.parent_path() : ".";
    if (const int handle = ::open(folder.c_str(), O_RDONLY | O_DIRECTORY | O_CLOEXEC); handle >= 0) {
        ::fsync(handle);  // so that the rename itself outlives a power cut
        ::close(handle);
    }
}

}  // namespace machair::store
