// An evening at the vice as iCalendar (RFC 5545): one event for the tying, an alarm for each coat that is due.
#pragma once

#include <string>
#include <string_view>
#include <vector>

namespace machair::store {

struct CalendarEvent {
    std::string uid;
    std::string summary;
    std::string description;
    double startMinute = 0.0;  // after the evening's start
    double endMinute = 0.0;
    bool rings = false;  // an alarm at its start
};
// `start` as 2026-11-25T20:00, in the tier's own time of day; `stamp` as 20261125T193000Z. Faults: a start that is none.
// Lines are folded at 75 octets and end in CRLF.
[[nodiscard]] bool isStart(std::string_view start);
[[nodiscard]] std::string toCalendar(const std::vector<CalendarEvent>& events, std::string_view start, std::string_view stamp);

}  // namespace machair::store
