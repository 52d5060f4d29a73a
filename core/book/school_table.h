// The questions over which tiers disagree, as data: what most do and why, for whom it can be chosen, and what it changes.
#pragma once

#include <span>
#include <string_view>

namespace machair {

enum class SchoolScope { allAndDressing, dressing };
// Where its answer is kept: read wherever the parts are silent, or written into the parts.
enum class SchoolHome { choice, parts };

struct SchoolFacts {
    int number = 0;           // of catalogue.md section 6
    std::string_view key;     // of SchoolChoices
    std::string_view about;   // the part that it is about; "fly" for the whole
    std::string_view usual;   // what is done where nobody chose, in the words of the choices
    std::string_view reason;  // why most do
    SchoolScope scope = SchoolScope::allAndDressing;
    SchoolHome home = SchoolHome::choice;
    std::string_view changes;  // "numbers, picture, steps"
};

// In the order of the work: hackle, rib, tail, body, wing, bead, head, the fly itself.
[[nodiscard]] std::span<const SchoolFacts> schoolTable();
// Nothing where there is no such question.
[[nodiscard]] const SchoolFacts* factsOfSchool(std::string_view key);

}  // namespace machair
