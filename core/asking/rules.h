// The rules behind the figures, as words: a row a figure of a kind of part. Inside asking only.
#pragma once

#include <span>
#include <string_view>
#include <vector>

#include "asking/asking.h"

namespace machair {

// What goes into a figure, by where it is found: "hook:gape_mm", "own:length_mm" (of the same part), "written:length" (as the
// dressing says it), "made:density_per_mm" (of what the part is made of), "thread:width_mm", "fly:body_end_mm".
struct AskRule {
    std::string_view subject;  // "hook", "tail", "hackle", "fly" …
    std::string_view key;
    std::string_view formula;
    std::vector<std::string_view> inputs;
    std::string_view source;
    Trust trust = Trust::geometry;
};
[[nodiscard]] std::span<const AskRule> askRules();
[[nodiscard]] const AskRule* askRule(std::string_view subject, std::string_view key);

// The guide's table of some rules: its heading with what stands over the columns, and a row, of a name that is said already.
[[nodiscard]] std::string rulesHead(std::string title);
[[nodiscard]] std::string rulesRow(std::string_view name, std::string_view formula, Trust trust);

struct TermRule {
    TeamTerm term;
    std::string_view name;
    std::string_view formula;
    std::string_view source;
    Trust trust = Trust::school;
};
[[nodiscard]] const TermRule& termRule(TeamTerm term);
[[nodiscard]] std::span<const TermRule> termRules();

}  // namespace machair
