// Single records as JSON text, for the bench book. Inside store only.
#pragma once

#include <string>

#include "book/book.h"

namespace machair::store {

// For every record that formats.md lists; json_writer.cpp has their instances.
template <class Record>
[[nodiscard]] std::string writeRecord(const Record& record);
// What a book carries beside its lists.
[[nodiscard]] std::string writeCarried(const Carried& carried);

// How far a book is checked when it is read.
enum class Checking { records, plansToo };
[[nodiscard]] Result<OpenedBench> readBench(std::string_view text, Checking checking);

}  // namespace machair::store
