#include "store/calendar.h"

#include <chrono>
#include <cmath>

#include "faults/faults.h"
#include "units/text.h"

namespace machair::store {

namespace {

std::string escapedText(std::string_view text) {
    std::string out;
    for (const char c : text) {
        if (c == '\\' || c == ';' || c == ',') out += '\\';
        if (c == '\n')
            out += "\\n";
        else if (c != '\r')
            out += c;
    }
    return out;
}

// A line of at most 75 octets, the rest on lines that begin with a blank; never within a UTF-8 character.
void fold(std::string& to, const std::string& line) {
    constexpr std::size_t kMost = 75;
    std::size_t from = 0, room = kMost;
    while (line.size() - from > room) {
        std::size_t cut = from + room;
        while ((static_cast<unsigned char>(line[cut]) & 0xC0u) == 0x80u)
            --cut;
        to += line.substr(from, cut - from) + "\r\n ";
        from = cut;
        room = kMost - 1;
    }
    to += line.substr(from) + "\r\n";
}

int digits(std::string_view text, std::size_t from, std::size_t count) {
    int value = 0;
    for (std::size_t i = from; i < from + count; ++i) {
        if (i >= text.size() || text[i] < '0' || text[i] > '9') return -1;
        value = 10 * value + (text[i] - '0');
    }
    return value;
}

std::string two(int value) { return (value < 10 ? "0" : "") + std::to_string(value); }

std::string timeAfter(std::string_view start, double minutes) {
    using namespace std::chrono;
    const sys_days day = year_month_day(year(digits(start, 0, 4)), month(static_cast<unsigned>(digits(start, 5, 2))),
                                        std::chrono::day(static_cast<unsigned>(digits(start, 8, 2))));
    const auto at = sys_seconds(day) + hours(digits(start, 11, 2)) + std::chrono::minutes(digits(start, 14, 2)) +
                    seconds(static_cast<long>(std::lround(60.0 * minutes)));
    const auto date = floor<days>(at);
    const year_month_day on(date);
    const hh_mm_ss clock(at - date);
    return std::to_string(static_cast<int>(on.year())) + two(static_cast<int>(static_cast<unsigned>(on.month()))) +
           two(static_cast<int>(static_cast<unsigned>(on.day()))) + "T" + two(static_cast<int>(clock.hours().count())) +
           two(static_cast<int>(clock.minutes().count())) + two(static_cast<int>(clock.seconds().count()));
}

}  // namespace

bool isStart(std::string_view start) {
    return start.size() == 16 && start[10] == 'T' && start[13] == ':' && isDate(start.substr(0, 10)) && digits(start, 11, 2) >= 0 &&
           digits(start, 11, 2) < 24 && digits(start, 14, 2) >= 0 && digits(start, 14, 2) < 60;
}

std::string toCalendar(const std::vector<CalendarEvent>& events, std::string_view start, std::string_view stamp) {
    require(isStart(start), "a start as 2026-11-25T20:00");
    std::string text;
    const auto line = [&](const std::string& one) { fold(text, one); };
    line("BEGIN:VCALENDAR");
    line("VERSION:2.0");
    line("PRODID:-//Machair//Evening//EN");
    for (const CalendarEvent& event : events) {
        line("BEGIN:VEVENT");
        line("UID:" + event.uid);
        line("DTSTAMP:" + std::string(stamp));
        line("DTSTART:" + timeAfter(start, event.startMinute));
        line("DTEND:" + timeAfter(start, event.endMinute));
        line("SUMMARY:" + escapedText(event.summary));
        if (!event.description.empty()) line("DESCRIPTION:" + escapedText(event.description));
        if (event.rings) {
            line("BEGIN:VALARM");
            line("ACTION:DISPLAY");
            line("TRIGGER:PT0S");
            line("DESCRIPTION:" + escapedText(event.summary));
            line("END:VALARM");
        }
        line("END:VEVENT");
    }
    line("END:VCALENDAR");
    return text;
}

}  // namespace machair::store
