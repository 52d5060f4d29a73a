// A folder of a test's own, gone when the test ends.
#pragma once

#include <unistd.h>

#include <filesystem>
#include <string>

namespace machair::tests {

class TempFolder {
  public:
    TempFolder()
        : path_(std::filesystem::temp_directory_path() / ("machair-" + std::to_string(::getpid()) + "-" + std::to_string(counter++))) {
        std::filesystem::create_directories(path_);
    }
    ~TempFolder() { std::filesystem::remove_all(path_); }
    TempFolder(const TempFolder&) = delete;
    TempFolder& operator=(const TempFolder&) = delete;
    [[nodiscard]] std::filesystem::path file(const char* name) const { return path_ / name; }

  private:
    static inline int counter = 0;
    std::filesystem::path path_;
};

}  // namespace machair::tests
