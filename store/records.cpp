#include "store/records.h"

#include <algorithm>
#include <atomic>
#include <thread>
#include <utility>

#include "language/say.h"
#include "sizing/plan.h"
#include "store/json_parse.h"
#include "store/json_reader.h"

namespace machair::store {

Result<OpenedBench> readBench(std::string_view text) {
    Result<Json> parsed = parseJson(text);
    if (!parsed) return tl::unexpected(parsed.error());
    Json& document = *parsed;
    JsonReader reader;
    if (!document.is_object()) {
        reader.expected(Trail(say("line {}, column {}", "1", "1")), say("an object in { }"), document);
        return tl::unexpected(reader.faults);
    }
    if (!document.contains("format") || document["format"] != "machair-bench")
        return fail(
            Place("format"),
            say("expected \"machair-bench\", got {}", document.contains("format") ? shown(document["format"]) : std::string("nothing")),
            say("this is not a bench file"));
    const Json version = document.contains("version") ? document["version"] : Json();
    if (!version.is_number_integer() || version < 1) {
        reader.expected(Trail("version"), say("a version from 1 up"), version);
        return tl::unexpected(reader.faults);
    }
    if (version > kBenchVersion)
        return fail(Place("version"), say("expected version {} or older, got {}", std::to_string(kBenchVersion), version.dump()),
                    say("a newer Machair wrote this file; nothing was changed"));
    document.erase("format");
    document.erase("version");

    OpenedBench opened;
    reader.read(document, Trail(), opened.book, {});
    if (!reader.faults.empty()) return tl::unexpected(reader.faults);
    Faults faults = checkToRead(opened.book);
    if (!faults.empty()) return tl::unexpected(faults);
    opened.warnings = std::move(reader.warnings);
    return opened;
}

namespace {

constexpr std::size_t kChunk = 1000;  // records that a thread takes at a time; starting one costs about what ten of them do

// What one thread reads of a list.
struct Share {
    JsonReader reader;
    std::map<std::size_t, Faults> spoilt;
};

// The records from `first` up to `last`, into their places.
template <class Record>
void readSome(const Trail& list, std::span<const std::string> texts, std::size_t first, std::size_t last, std::vector<Record>& records,
              Share& share) {
    for (std::size_t i = first; i < last; ++i) {
        const Trail place = list.at(i);
        const Result<Json> json = parseJson(texts[i]);
        if (!json)
            for (const Fault& fault : json.error())
                share.reader.faults.push_back({place, fault.line(), ""});  // its own place and remedy are in the line
        else
            share.reader.read(*json, place, records[i], {});
        if (!share.reader.faults.empty()) share.spoilt[i] = std::exchange(share.reader.faults, {});
    }
}

}  // namespace

template <class Record>
ReadRecords<Record> readRecords(std::string_view list, std::span<const std::string> texts) {
    const Trail place(list);
    ReadRecords<Record> read;
    read.records.resize(texts.size());
    // Chunk by chunk, whoever is free: a core that has something else to do doesn't hold up the others.
    std::vector<Share> shares((texts.size() + kChunk - 1) / kChunk);
    std::atomic<std::size_t> next = 0;
    const auto work = [&] {
        for (std::size_t n = next++; n < shares.size(); n = next++)
            readSome(place, texts, n * kChunk, std::min(texts.size(), (n + 1) * kChunk), read.records, shares[n]);
    };
    {
        std::vector<std::jthread> others;
        for (std::size_t n = 1; n < std::min<std::size_t>(shares.size(), std::max(1U, std::thread::hardware_concurrency())); ++n)
            others.emplace_back(work);
        work();
    }
    for (Share& share : shares) {
        append(read.warnings, share.reader.warnings);
        read.spoilt.merge(share.spoilt);
    }
    return read;
}

template ReadRecords<HookSpec> readRecords(std::string_view, std::span<const std::string>);
template ReadRecords<Material> readRecords(std::string_view, std::span<const std::string>);
template ReadRecords<Pattern> readRecords(std::string_view, std::span<const std::string>);
template ReadRecords<TeamSpec> readRecords(std::string_view, std::span<const std::string>);
template ReadRecords<VaneFeather> readRecords(std::string_view, std::span<const std::string>);
template ReadRecords<CutList> readRecords(std::string_view, std::span<const std::string>);
template ReadRecords<TeamSchool> readRecords(std::string_view, std::span<const std::string>);
template ReadRecords<WaterSpec> readRecords(std::string_view, std::span<const std::string>);
template ReadRecords<RuleCard> readRecords(std::string_view, std::span<const std::string>);
template ReadRecords<BoxFly> readRecords(std::string_view, std::span<const std::string>);
template ReadRecords<Cape> readRecords(std::string_view, std::span<const std::string>);
template ReadRecords<Stock> readRecords(std::string_view, std::span<const std::string>);
template ReadRecords<SeasonRow> readRecords(std::string_view, std::span<const std::string>);
template ReadRecords<Mishap> readRecords(std::string_view, std::span<const std::string>);
template ReadRecords<Batch> readRecords(std::string_view, std::span<const std::string>);
template ReadRecords<CheckedFly> readRecords(std::string_view, std::span<const std::string>);
template ReadRecords<Day> readRecords(std::string_view, std::span<const std::string>);

}  // namespace machair::store
