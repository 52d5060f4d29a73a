// Copies of a bench book, made before the first edit of a session and thinned with age: the last three, and of each of
// the last seven days, four weeks and twelve months that have any, the newest. They lie in a folder beside the book,
// `NAME.machair.copies`, and are books that open by themselves.
#pragma once

#include <ctime>
#include <filesystem>
#include <span>
#include <string>
#include <vector>

namespace machair::store {

struct Copy {
    std::filesystem::path path;
    std::time_t made = 0;
    long nanoseconds = 0;  // of that second
};

// The copies that there are, newest first; those that older versions left beside the book (`NAME.backup-1` …) too.
[[nodiscard]] std::vector<Copy> copiesOf(const std::filesystem::path& book);

// A name for a copy made at that time, which nothing has yet; its folder is made where it is missing, as private as the book.
[[nodiscard]] std::filesystem::path nameOfCopy(const std::filesystem::path& book, std::time_t made);

// Which of these, newest first, are kept: true for each that is.
[[nodiscard]] std::vector<bool> keptCopies(std::span<const std::time_t> newestFirst);

// Takes away those in the folder that are not kept.
void thinCopies(const std::filesystem::path& book);

// "its copy of 2026-11-27 18:53 is in …"; empty where there is none: nobody is told of a copy that isn't there.
[[nodiscard]] std::string sayNewestCopy(const std::filesystem::path& book);

// "2026-11-27 18:53", UTC.
[[nodiscard]] std::string sayTime(std::time_t time);

}  // namespace machair::store
