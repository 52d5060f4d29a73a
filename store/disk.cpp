#include "store/disk.h"
#include "language/say.h"

#include <fcntl.h>
#include <signal.h>
#include <sys/file.h>
#include <sys/stat.h>
#include <unistd.h>

#include <atomic>
#include <cerrno>
#include <charconv>
#include <system_error>
#include <utility>

namespace machair::store {

namespace fs = std::filesystem;

namespace {

std::string systemError(int code) { return std::generic_category().message(code); }

[[noreturn]] void refuse(const fs::path& path, const char* doing, int code) {
    throw DiskError(path.string() + ": " + say(doing) + ": " + systemError(code));
}

// An open file that closes itself.
class Handle {
  public:
    explicit Handle(int number) : number_(number) {}
    ~Handle() {
        if (number_ >= 0) ::close(number_);
    }
    Handle(const Handle&) = delete;
    Handle& operator=(const Handle&) = delete;
    [[nodiscard]] explicit operator bool() const { return number_ >= 0; }
    [[nodiscard]] int operator*() const { return number_; }
    [[nodiscard]] int close() { return ::close(std::exchange(number_, -1)); }

  private:
    int number_;
};

bool same(const timespec& a, const timespec& b) { return a.tv_sec == b.tv_sec && a.tv_nsec == b.tv_nsec; }

Stamp stampFrom(const struct stat& status) { return {status.st_dev, status.st_ino, status.st_size, status.st_mtim, status.st_ctim}; }

fs::path folderOf(const fs::path& path) { return path.has_parent_path() ? path.parent_path() : fs::path("."); }

void flushFolder(const fs::path& path) {
    const Handle folder(::open(folderOf(path).c_str(), O_RDONLY | O_DIRECTORY | O_CLOEXEC));
    if (folder) ::fsync(*folder);  // so that the rename itself outlives a power cut
}

// The name of the file with the lock: the file itself can't hold it, since each writing replaces the file. Gone again
// when the writing is done, so that folders stay tidy: a waiter whose lock was taken away finds that and tries anew.
class WritersLock {
  public:
    explicit WritersLock(const fs::path& path) : path_((folderOf(path) / ("." + path.filename().string() + ".lock")).string()) {
        for (;;) {
            number_ = ::open(path_.c_str(), O_RDWR | O_CREAT | O_NOFOLLOW | O_CLOEXEC, S_IRUSR | S_IWUSR);
            if (number_ < 0) refuse(path, unsaid("can't be locked"), errno);
            while (::flock(number_, LOCK_EX) != 0)
                if (errno != EINTR) {
                    const int code = errno;
                    ::close(number_);
                    refuse(path, unsaid("can't be locked"), code);
                }
            struct stat own {
            }, there{};
            if (::fstat(number_, &own) == 0 && ::lstat(path_.c_str(), &there) == 0 && own.st_ino == there.st_ino &&
                own.st_dev == there.st_dev)
                return;
            ::close(number_);
        }
    }
    ~WritersLock() {
        ::unlink(path_.c_str());
        ::close(number_);
    }
    WritersLock(const WritersLock&) = delete;
    WritersLock& operator=(const WritersLock&) = delete;

  private:
    std::string path_;
    int number_ = -1;
};

constexpr std::string_view kUnfinished = ".new";

// A file of our own that is taken away again unless it was put in its place.
class Unfinished {
  public:
    explicit Unfinished(const fs::path& path) : path_(nameBeside(path)) {}
    ~Unfinished() {
        if (!finished) ::unlink(path_.c_str());
    }
    Unfinished(const Unfinished&) = delete;
    Unfinished& operator=(const Unfinished&) = delete;
    [[nodiscard]] const fs::path& path() const { return path_; }
    bool finished = false;

  private:
    fs::path path_;
};

void writeAll(int file, std::string_view bytes, const fs::path& path) {
    for (std::size_t done = 0; done < bytes.size();) {
        const ssize_t n = ::write(file, bytes.data() + done, bytes.size() - done);
        if (n < 0 && errno == EINTR) continue;
        if (n < 0) refuse(path, unsaid("can't be written"), errno);
        done += static_cast<std::size_t>(n);
    }
}

}  // namespace

bool Stamp::operator==(const Stamp& other) const {
    return device == other.device && inode == other.inode && size == other.size && same(written, other.written) &&
           same(changed, other.changed);
}

Stamp stampOf(const fs::path& path) {
    struct stat status {};
    return ::stat(path.c_str(), &status) == 0 ? stampFrom(status) : Stamp{};
}

Faults ordinaryFile(const fs::path& path) {
    const Place name(path.string());
    std::error_code error;
    const auto status = fs::status(path, error);
    if (!fs::exists(status)) return {Fault{name, say("there is no such file"), say("look at the name and the folder")}};
    if (fs::is_directory(status)) return {Fault{name, say("this is a folder, not a book"), say("name a file in it")}};
    if (!fs::is_regular_file(status)) return {Fault{name, say("this is not an ordinary file"), ""}};
    if (::access(path.c_str(), R_OK) != 0) return {Fault{name, say("can't be read: permission denied"), say("see who may read it")}};
    return {};
}

Result<std::string> readWhole(const fs::path& path, std::size_t most) {
    const Place name(path.string());
    if (Faults faults = ordinaryFile(path); !faults.empty()) return tl::unexpected(faults);
    const Handle file(::open(path.c_str(), O_RDONLY | O_NONBLOCK | O_CLOEXEC));
    if (!file) return fail(name, say("can't be read: {}", systemError(errno)), say("see who may read it"));
    struct stat status {};
    if (::fstat(*file, &status) != 0 || !S_ISREG(status.st_mode)) return fail(name, say("this is not an ordinary file"));
    const std::string limit = say("expected a file of at most {} MiB, got ", std::to_string(most >> 20));
    if (static_cast<std::size_t>(status.st_size) > most) return fail(name, say("{}{} MiB", limit, std::to_string(status.st_size >> 20)));
    std::string text;
    text.reserve(static_cast<std::size_t>(status.st_size));
    std::string chunk(1u << 16, '\0');
    for (;;) {
        const ssize_t n = ::read(*file, chunk.data(), chunk.size());
        if (n < 0 && errno == EINTR) continue;
        if (n < 0) return fail(name, say("can't be read to its end: {}", systemError(errno)));
        if (n == 0) return text;
        text.append(chunk, 0, static_cast<std::size_t>(n));
        if (text.size() > most) return fail(name, say("{}more", limit));  // it grows while it is read
    }
}

fs::path resolved(const fs::path& path) {
    std::error_code error;
    const fs::path found = fs::weakly_canonical(path, error);
    return error ? path : found;
}

fs::path nameBeside(const fs::path& path) {
    static std::atomic<unsigned> count = 0;  // of this process: its number is in the name too
    return folderOf(path) /
           ("." + path.filename().string() + "." + std::to_string(::getpid()) + "-" + std::to_string(count++) + std::string(kUnfinished));
}

void sweepBeside(const fs::path& path) {
    const std::string head = "." + path.filename().string() + ".";
    std::error_code ignored;
    for (const auto& entry : fs::directory_iterator(folderOf(path), ignored)) {
        const std::string name = entry.path().filename().string();
        if (!name.starts_with(head) || !name.ends_with(kUnfinished)) continue;
        pid_t writer = 0;
        const char* from = name.data() + head.size();
        const auto read = std::from_chars(from, name.data() + name.size(), writer);
        if (read.ec != std::errc() || read.ptr == from || *read.ptr != '-' || writer <= 0) continue;
        if (writer != ::getpid() && ::kill(writer, 0) != 0 && errno == ESRCH) fs::remove(entry.path(), ignored);
    }
}

void createLike(const fs::path& path, const fs::path& like) {
    struct stat status {};
    const bool there = ::stat(like.c_str(), &status) == 0;
    constexpr mode_t kMask = S_IRUSR | S_IWUSR | S_IRGRP | S_IWGRP | S_IROTH | S_IWOTH;
    constexpr mode_t kPrivate = S_IRUSR | S_IWUSR;  // until it has the mode of what it stands for
    const Handle file(::open(path.c_str(), O_WRONLY | O_CREAT | O_EXCL | O_NOFOLLOW | O_CLOEXEC, there ? kPrivate : kMask));
    if (!file) refuse(path, unsaid("can't be made"), errno);
    if (!there) return;
    if (::fchown(*file, static_cast<uid_t>(-1), status.st_gid) != 0 || ::fchown(*file, status.st_uid, static_cast<gid_t>(-1)) != 0) {
        // Another's file in a folder of ours: the new one is ours, and nobody sees more of it than before.
    }
    if (::fchmod(*file, status.st_mode & 07777) != 0) refuse(path, unsaid("can't be given its mode"), errno);
}

void putInPlace(const fs::path& finished, const fs::path& path) {
    {
        const Handle file(::open(finished.c_str(), O_RDONLY | O_CLOEXEC));
        if (!file || ::fsync(*file) != 0) refuse(path, unsaid("can't be flushed to the disk"), errno);
    }
    if (::rename(finished.c_str(), path.c_str()) != 0) refuse(path, unsaid("can't be replaced"), errno);
    flushFolder(path);
}

std::optional<Stamp> replaceFile(const fs::path& link, std::string_view bytes, const std::optional<Stamp>& unlessChangedFrom) {
    const fs::path path = resolved(link);
    const WritersLock lock(path);
    if (unlessChangedFrom && !(stampOf(path) == *unlessChangedFrom)) return std::nullopt;
    Unfinished beside(path);
    createLike(beside.path(), path);
    {
        Handle file(::open(beside.path().c_str(), O_WRONLY | O_NOFOLLOW | O_CLOEXEC));
        if (!file) refuse(path, unsaid("can't be written"), errno);
        writeAll(*file, bytes, path);
        if (file.close() != 0) refuse(path, unsaid("can't be closed"), errno);
    }
    putInPlace(beside.path(), path);
    beside.finished = true;
    return stampOf(path);
}

}  // namespace machair::store
