// Single records as JSON text, for the bench book. Inside store only.
#pragma once

#include <map>
#include <span>
#include <string>
#include <vector>

#include "book/book.h"
#include "store/bench_file.h"

namespace machair::store {

// For every record that formats.md lists; json_writer.cpp has their instances.
template <class Record>
[[nodiscard]] std::string writeRecord(const Record& record);
// What a book carries beside its lists.
[[nodiscard]] std::string writeCarried(const Carried& carried);

template <class Record>
struct ReadRecords {
    std::vector<Record> records;           // one for each text; what stands at a spoilt one says nothing
    std::map<std::size_t, Faults> spoilt;  // which could not be read, and why
    Faults warnings;                       // keys that this version does not know
};
// The records of one list, each from its own text, in the same order; `list` names it in faults. Long lists are read on
// every core. records.cpp has the instances.
template <class Record>
[[nodiscard]] ReadRecords<Record> readRecords(std::string_view list, std::span<const std::string> texts);

}  // namespace machair::store
