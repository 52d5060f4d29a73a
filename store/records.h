// Single records as JSON text, for the bench book. Inside store only.
#pragma once

#include <string>

#include "book/book.h"

namespace machair::store {

[[nodiscard]] std::string writeRecord(const HookSpec& record);
[[nodiscard]] std::string writeRecord(const Material& record);
[[nodiscard]] std::string writeRecord(const Pattern& record);
[[nodiscard]] std::string writeRecord(const TeamSpec& record);
[[nodiscard]] std::string writeRecord(const SchoolChoices& record);
// What a book carries beside its lists.
[[nodiscard]] std::string writeCarried(const Carried& carried);

// How far a book is checked when it is read.
enum class Checking { records, plansToo };
[[nodiscard]] Result<OpenedBench> readBench(std::string_view text, Checking checking);

}  // namespace machair::store
