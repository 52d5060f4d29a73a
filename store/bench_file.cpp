#include "store/bench_file.h"

#include "language/say.h"
#include "store/records.h"

namespace machair::store {

std::string SetAside::line() const {
    std::string text = id.empty() ? list : list + "." + id;
    for (const Fault& fault : why)
        text += (&fault == &why.front() ? ": " : "; ") + fault.what;
    return text;
}

Result<OpenedBench> readBenchFile(const std::filesystem::path& path) {
    const Result<std::string> text = readWhole(path, kLargestBenchFile);
    if (!text) return tl::unexpected(text.error());
    return readBench(*text);
}

std::string textToSave(const std::filesystem::path& path, const Book& book) {
    std::string text = writeBench(book);
    if (text.size() > kLargestBenchFile)
        throw DiskError(
            say("{}: the book is larger than the 64 MiB that a bench file holds; a bench book (*.machair) holds more", path.string()));
    return text;
}

void saveBenchFile(const std::filesystem::path& path, const Book& book) {
    require(replaceFile(path, textToSave(path, book)).has_value(), "a file that is replaced whatever it was, is");
}

}  // namespace machair::store
