// Days of the calendar as the system writes them. The book, its files and the core's words have them as 2026-05-02; here, at the
// edge to people, they are put into the manner of the window's language and country, and what is typed is read in it. Where the
// system has no manner of its own they stay as they are.
#pragma once

#include <QString>
#include <string>

namespace machair::app {

[[nodiscard]] std::string today();  // as the book has it

// "02/05/2026", and of a month, "2026-05": "May 2026". What is no day or month stays as it is.
[[nodiscard]] QString dateSaid(const QString& day);
[[nodiscard]] QString dateSaid(const std::string& day);
[[nodiscard]] QString monthSaid(const std::string& month);
// Words with every day in them said so.
[[nodiscard]] QString datesSaid(QString words);

// What was typed as the book has it: "2/5/26", "02.05.2026" or "2026-05-02", with the numbers in the order of the language. What
// is no day of the calendar stays as it was typed, for the core to say so.
[[nodiscard]] std::string dateWritten(const QString& typed);

}  // namespace machair::app
