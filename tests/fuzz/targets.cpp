#include "tests/fuzz/targets.h"

#include <unistd.h>

#include <cstdlib>
#include <filesystem>
#include <fstream>

#include "book/fields.h"
#include "book/lists.h"
#include "book/spec_words.h"
#include "language/say.h"
#include "scene/scene.h"
#include "sizing/handles.h"
#include "store/bench_book.h"
#include "store/bench_file.h"
#include "store/csv.h"
#include "store/geojson.h"
#include "store/recipe.h"
#include "tests/samples.h"
#include "units/text.h"
#include "water/shore.h"
#include "water/sink.h"
#include "words/words.h"

namespace machair::fuzz {

namespace {

// A contract of ours that holds for any input; a fuzzer sees the abort.
void must(bool holds) {
    if (!holds) std::abort();
}

// What the stores may hand out: a sound book, but for dressings whose hook or materials are not there. Those stay, marked.
void mustBeReadable(const Book& book) {
    for (const Fault& fault : check(book))
        must(fault.place.text().starts_with("patterns["));
}

const Book& demo() {
    static const Book book = tests::demoBook();
    return book;
}

// Whatever a book holds is planned, drawn and sunk, and no number in it is none.
void walkPlans(const Book& book) {
    constexpr std::size_t kMost = 4;
    for (std::size_t i = 0; i < std::min(kMost, book.patterns.size()); ++i) {
        const auto plan = planPattern(book, book.patterns[i].id);
        if (!plan) continue;
        must(std::isfinite(plan->length / mm));
        const Scene scene = makeScene(*plan);
        must(std::isfinite(scene.left) && std::isfinite(scene.right) && std::isfinite(scene.top) && std::isfinite(scene.bottom));
        (void)handlesOf(*plan);
    }
}

void benchFile(std::string_view bytes) {
    const auto read = store::readBench(bytes);
    if (!read) {
        must(!read.error().empty());
        return;
    }
    const auto again = store::readBench(store::writeBench(read->book));
    must(again.has_value() && again->book == read->book);
    walkPlans(read->book);
}

void csv(std::string_view bytes) {
    if (const auto rows = store::parseCsv(bytes)) must(store::parseCsv(store::writeCsv(*rows)).has_value());
    if (const auto taken = store::importCsv(demo(), bytes)) (void)store::writeBench(taken->book);
    if (const auto columns = store::guessColumns(bytes))
        if (const auto taken = store::importDays(demo(), bytes, *columns)) (void)store::writeBench(taken->book);
}

void recipe(std::string_view bytes) {
    const auto read = store::readRecipe(bytes, demo());
    if (!read) return;
    Book with = demo();
    with.patterns.push_back(read->pattern);
    with.patterns.back().id = "fuzzed";
    (void)store::writeBench(with);
    (void)planPattern(with, "fuzzed");
    for (const auto format : {store::RecipeFormat::text, store::RecipeFormat::markdown, store::RecipeFormat::html})
        (void)store::writeRecipe(read->pattern, with, format);
}

void shore(std::string_view bytes) {
    if (const auto outline = store::readShore(bytes)) (void)fetchAt(*outline, outline->front(), 240.0);
}

void units(std::string_view bytes) {
    if (const auto number = parseNumber(bytes)) must(parseNumber(formatExact(*number)) == *number);
    if (const auto length = parseLength(bytes)) (void)formatLength(*length, LengthUnit::inches);
    must(specInEnglish(bytes) == bytes && specInLanguage(bytes) == bytes);  // where English is spoken
    (void)say(bytes, "0.4", bytes, "a");
    for (const Field& field : fieldsOf(demo().patterns.front().parts.front()))
        (void)withField(demo().patterns.front().parts.front(), field.key, std::string(bytes), Place());
}

// Bytes as a book on the disk: opened, read, rescued; never refused after it was written.
void bookFile(std::string_view bytes) {
    static const std::filesystem::path folder = [] {
        auto path = std::filesystem::temp_directory_path() / ("machair-fuzz-" + std::to_string(::getpid()));
        std::filesystem::create_directories(path);
        return path;
    }();
    const auto path = folder / "f.machair";
    for (const char* left : {"-wal", "-shm"})
        std::filesystem::remove(path.string() + left);
    std::ofstream(path, std::ios::binary) << bytes;
    if (auto home = store::openHome(path, store::Access::readWrite))
        if (const auto read = (*home)->read()) {
            mustBeReadable(read->book);
            walkPlans(read->book);
        }
    if (const auto rescued = store::rescueBook(path)) mustBeReadable(rescued->book);
}

// The demo with bytes of it changed: places and values by the fuzzer. What still reads is planned and drawn.
void mutatedDemo(std::string_view bytes) {
    static const std::string whole = store::writeBench([] {
        Book small = demo();
        small.days.clear();
        small.checks.clear();
        return small;
    }());
    std::string text = whole;
    for (std::size_t i = 0; i + 4 < bytes.size(); i += 5) {
        const std::size_t at = (static_cast<unsigned char>(bytes[i]) * 65536UL + static_cast<unsigned char>(bytes[i + 1]) * 256UL +
                                static_cast<unsigned char>(bytes[i + 2])) %
                               text.size();
        if (text[at] >= '0' && text[at] <= '9')
            text[at] = static_cast<char>('0' + static_cast<unsigned char>(bytes[i + 3]) % 10);
        else if ((static_cast<unsigned char>(bytes[i + 4]) & 7) == 0)
            text[at] = bytes[i + 3];
    }
    if (const auto read = store::readBench(text)) walkPlans(read->book);
}

}  // namespace

const std::vector<Target>& targets() {
    static const std::vector<Target> all = {{"bench-file", benchFile}, {"csv", csv},       {"recipe", recipe},   {"shore", shore},
                                            {"units", units},          {"book", bookFile}, {"demo", mutatedDemo}};
    return all;
}

}  // namespace machair::fuzz
