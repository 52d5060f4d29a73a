// Ask any number: how a figure is reckoned, in words, with the numbers that went in (each of which can be asked in turn),
// where that comes from and how far to trust it. One table of rules serves the card in the window, the guide's chapter and
// the test that finds no figure without one.
#pragma once

#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "sizing/plan.h"
#include "team/team.h"

namespace machair {

// What a number rests on, from what can be held against a rule to what only opinions decide.
enum class Trust { measured, written, geometry, physics, ruleOfThumb, school };
template <>
struct Names<Trust> {
    static constexpr std::array entries = {NameOf{Trust::measured, "measured"},         NameOf{Trust::written, "written"},
                                           NameOf{Trust::geometry, "geometry"},         NameOf{Trust::physics, "physics"},
                                           NameOf{Trust::ruleOfThumb, "rule_of_thumb"}, NameOf{Trust::school, "school"}};
};
// "Geometry on the sizes above: as good as they are."
[[nodiscard]] std::string_view sayTrust(Trust trust);

// A figure of a plan: of its hook, its thread, a part by its place, or the fly as a whole. Keys as `plan --json` has them.
enum class AskedOf { hook, thread, part, fly };
struct FigureRef {
    AskedOf of = AskedOf::fly;
    std::size_t part = 0;  // where it is of one
    std::string key;
    bool operator==(const FigureRef&) const = default;
};

struct AskedInput {
    std::string name;              // "gape"
    std::string value;             // "5.3 mm, measured"
    std::optional<FigureRef> ask;  // where it is reckoned itself
};

struct Derivation {
    std::string name;     // "fibre length of the collar"
    std::string value;    // "7.7 mm"
    std::string formula;  // in words
    std::vector<AskedInput> inputs;
    std::string source;  // "models.md, section 5"
    Trust trust = Trust::geometry;
    std::string howFar;  // "a hand holds it to 0.8 mm either way", or how far the rule goes
};

// Every figure of a plan that can be asked, the hook's first, then part by part, then the fly's.
[[nodiscard]] std::vector<FigureRef> figuresToAsk(const Plan& plan);
// What a part is known by: a collar its fibre, a rib its turns. Nothing of a part that has no figure.
[[nodiscard]] std::optional<FigureRef> mainFigure(const Plan& plan, std::size_t part);
// Nothing where the plan has no such figure.
[[nodiscard]] std::optional<Derivation> ask(const Plan& plan, const FigureRef& figure);
// What a check of a team weighs.
[[nodiscard]] Derivation ask(const TeamReport& report, const TeamCheck& check);

// The guide's chapter "Where the numbers come from", in Markdown: every rule once.
[[nodiscard]] std::string whereTheNumbersComeFrom();

}  // namespace machair
