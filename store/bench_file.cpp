#include "store/bench_file.h"

#include <fcntl.h>
#include <sys/stat.h>
#include <unistd.h>

#include <cerrno>
#include <cstring>
#include <fstream>
#include <nlohmann/json.hpp>
#include <set>

#include "sizing/plan.h"
#include "store/home.h"
#include "store/json_reader.h"
#include "store/records.h"

namespace machair::store {

namespace {

// "line 3, column 14" of a byte that JSON's parser stopped at (counted from 1).
std::string lineAndColumn(std::string_view text, std::size_t byte) {
    const std::string_view before = text.substr(0, byte == 0 ? 0 : std::min(byte - 1, text.size()));
    const auto line = 1 + std::ranges::count(before, '\n');
    const auto start = before.rfind('\n');
    const std::size_t column = start == std::string_view::npos ? before.size() + 1 : before.size() - start;
    return "line " + std::to_string(line) + ", column " + std::to_string(column);
}

// Stands between the parser and the document it makes, for what a finished one no longer shows: keys given twice, and
// nesting too deep, where it stops. (The parser's own callback does the same in time quadratic in a list's length.)
class ParseWatch final : public nlohmann::json_sax<Json> {
  public:
    explicit ParseWatch(Json& document) : document_(document, true) {}
    bool null() override { return value() && document_.null(); }
    bool boolean(bool v) override { return value() && document_.boolean(v); }
    bool number_integer(number_integer_t v) override { return value() && document_.number_integer(v); }
    bool number_unsigned(number_unsigned_t v) override { return value() && document_.number_unsigned(v); }
    bool number_float(number_float_t v, const string_t& text) override { return value() && document_.number_float(v, text); }
    bool string(string_t& v) override { return value() && document_.string(v); }
    bool binary(binary_t& v) override { return value() && document_.binary(v); }
    bool start_object(std::size_t size) override {
        if (!value()) return false;
        ++depth_;
        keys_.emplace_back();
        return document_.start_object(size);
    }
    bool key(string_t& key) override {
        if (!keys_.back().insert(key).second) twice_.insert(key);
        return value() && document_.key(key);
    }
    bool end_object() override {
        --depth_;
        keys_.pop_back();
        return document_.end_object();
    }
    bool start_array(std::size_t size) override {
        if (!value()) return false;
        ++depth_;
        return document_.start_array(size);
    }
    bool end_array() override {
        --depth_;
        return document_.end_array();
    }
    bool parse_error(std::size_t at, const std::string& token, const nlohmann::detail::exception& error) override {
        const auto* parse = dynamic_cast<const Json::parse_error*>(&error);
        if (parse) return document_.parse_error(at, token, *parse);  // throws it
        const auto* range = dynamic_cast<const Json::out_of_range*>(&error);
        if (range) return document_.parse_error(at, token, *range);
        return false;
    }
    void report(Faults& faults) const {
        if (tooDeep_)
            faults.push_back({Place(), "expected nesting at most " + std::to_string(kDeepestNesting) + " deep, got more", ""});
        for (const std::string& key : twice_)
            faults.push_back({Place(), "expected each key once in its object, got \"" + key + "\" twice",
                              "delete one of the two"});
    }

  private:
    bool value() {
        tooDeep_ = tooDeep_ || depth_ > kDeepestNesting;
        return !tooDeep_;
    }
    nlohmann::detail::json_sax_dom_parser<Json> document_;
    std::vector<std::set<std::string>> keys_;
    std::set<std::string> twice_;
    int depth_ = 0;
    bool tooDeep_ = false;
};

std::string systemError() { return std::strerror(errno); }  // NOLINT: one thread reads it at once

// The parser's own words after its own place and code, which ours replaces.
std::string parserReason(const std::string& what) {
    const auto colon = what.rfind("; last read");
    const auto start = what.find(": ", what.find("parse error") == std::string::npos ? 0 : what.find("parse error"));
    std::string reason = start == std::string::npos ? what : what.substr(start + 2);
    if (colon != std::string::npos && start != std::string::npos && colon > start) reason = what.substr(start + 2, colon - start - 2);
    return reason;
}

}  // namespace

Result<OpenedBench> readBench(std::string_view text) { return readBench(text, Checking::plansToo); }

Result<OpenedBench> readBench(std::string_view text, Checking checking) {
    Json document;
    ParseWatch watch(document);
    try {
        Json::sax_parse(text, &watch);
    } catch (const Json::parse_error& error) {
        return fail(Place(lineAndColumn(text, error.byte)), "expected JSON in UTF-8, got " + parserReason(error.what()));
    } catch (const Json::out_of_range& error) {
        return fail(Place("line 1, column 1"), std::string("expected numbers that a computer can hold: ") + error.what());
    }
    JsonReader reader;
    watch.report(reader.faults);
    if (!reader.faults.empty()) return tl::unexpected(reader.faults);
    if (!document.is_object()) {
        reader.expected(Place("line 1, column 1"), "an object in { }", document);
        return tl::unexpected(reader.faults);
    }
    if (!document.contains("format") || document["format"] != "machair-bench")
        return fail(Place("format"), "expected \"machair-bench\", got " +
                                         (document.contains("format") ? shown(document["format"]) : std::string("nothing")),
                    "this is not a bench file");
    const Json version = document.contains("version") ? document["version"] : Json();
    if (!version.is_number_integer() || version < 1) {
        reader.expected(Place("version"), "a version from 1 up", version);
        return tl::unexpected(reader.faults);
    }
    if (version > kBenchVersion)
        return fail(Place("version"), "expected version " + std::to_string(kBenchVersion) + " or older, got " + version.dump(),
                    "a newer Machair wrote this file; nothing was changed");
    document.erase("format");
    document.erase("version");

    OpenedBench opened;
    reader.read(document, Place(), opened.book, {});
    if (!reader.faults.empty()) return tl::unexpected(reader.faults);
    Faults faults = checking == Checking::plansToo ? checkWithPlans(opened.book) : check(opened.book);
    if (!faults.empty()) return tl::unexpected(faults);
    opened.warnings = std::move(reader.warnings);
    return opened;
}

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
