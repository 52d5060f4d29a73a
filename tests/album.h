// The album: invented dressings that hold every construction, and what is said of each of them on every size of hook.
#pragma once

#include <cctype>
#include <string>

#include "tests/samples.h"

namespace machair::tests {

inline Book albumBook() { return store::readBenchFile(MACHAIR_ALBUM).value().book; }

inline constexpr int kSmallestHook = 16, kLargestHook = 6;

// One line for each note and warning of each dressing of a book on sizes 6 to 16: what a tier is told, and what mends it.
inline std::string wordsOf(const Book& book) {
    std::string text;
    for (const Pattern& pattern : book.patterns)
        for (int size = kLargestHook; size <= kSmallestHook; ++size) {
            const auto plan = planOnSize(book, pattern.id, size);
            const std::string head = pattern.id + " " + std::to_string(size) + " ";
            if (!plan) {
                for (const Fault& fault : plan.error())
                    text += head + "impossible " + fault.line() + "\n";
                continue;
            }
            for (const Fault& fault : plan->faults)
                text += head + "impossible " + fault.line() + "\n";
            for (const Warning& w : plan->warnings)
                text += head + std::string(nameOf(w.severity)) + " " + std::string(nameOf(w.concern)) + ": " + w.what +
                        (w.remedy.empty() ? "" : "; " + w.remedy) + "\n";
        }
    return text;
}

}  // namespace machair::tests
