#include "book/school_table.h"

#include <algorithm>
#include <array>

#include "language/say.h"

namespace machair {

namespace {

constexpr auto kAll = SchoolScope::allAndDressing, kOne = SchoolScope::dressing;
constexpr auto kChoice = SchoolHome::choice, kParts = SchoolHome::parts;

constexpr std::array kTable = {
    SchoolFacts{1, "fibre", "hackle", "line of sight", unsaid("as it stands when it fishes"), kAll, kChoice, "numbers, words"},
    SchoolFacts{2, "tie_in", "hackle", "tip", unsaid("the thin stem lies at the head"), kAll, kChoice, "numbers, steps"},
    SchoolFacts{3, "collar_place", "hackle", "before wing", unsaid("the wing lies on it"), kAll, kParts, "numbers, picture, steps"},
    SchoolFacts{4, "hackle", "hackle", "full", unsaid("it moves all round"), kAll, kParts, "picture, steps"},
    SchoolFacts{5, "fibres_ready", "hackle", "stroked", unsaid("quick, at each turn"), kAll, kChoice, "numbers, steps"},
    SchoolFacts{6, "reach", "hackle", "point", unsaid("suits most wets"), kAll, kParts, "numbers, picture"},
    SchoolFacts{7, "collar_fullness", "hackle", "standard", unsaid("by kind and size"), kAll, kParts, "numbers, judgement"},
    SchoolFacts{8, "two_hackles", "hackle", "soft in front", unsaid("the soft one stays free"), kOne, kParts, "picture, steps"},
    SchoolFacts{9, "film_hackle", "hackle", "soft", unsaid("it lies in the film; a stiff one floats"), kOne, kParts, "numbers, judgement"},
    SchoolFacts{10, "feather_end", "hackle", "folded", unsaid("it lasts"), kAll, kChoice, "steps, judgement"},
    SchoolFacts{11, "fluff", "hackle", "by bird", unsaid("the stems of game birds split"), kAll, kChoice, "steps"},
    SchoolFacts{12, "collar_tied_in", "hackle", "when wound", unsaid("its size is chosen late"), kAll, kChoice, "steps, judgement"},
    SchoolFacts{21, "palmer", "hackle", "rearward", unsaid("the long fibres stand in front, the rib locks it"), kAll, kChoice,
                "numbers, picture, steps, judgement"},
    SchoolFacts{13, "rib", "rib", "counter", unsaid("against the strands it locks them"), kAll, kChoice, "picture, steps, judgement"},
    SchoolFacts{14, "palmer_rib", "rib", "crossing", unsaid("the hand that crosses the stem locks it"), kAll, kChoice,
                "picture, steps, judgement"},
    SchoolFacts{15, "rib_for", "rib", "by material", unsaid("brittle bodies and hackles want holding"), kOne, kChoice, "judgement"},
    SchoolFacts{16, "rib_side", "rib", "near", unsaid("it is seen"), kAll, kChoice, "picture, steps"},
    SchoolFacts{17, "ribbed", "rib", "whole", unsaid("it protects all of it"), kAll, kParts, "numbers, picture"},
    SchoolFacts{18, "rib_pitch", "rib", "even", unsaid("as it is seen"), kAll, kChoice, "numbers, picture"},
    SchoolFacts{19, "rib_tied_in", "rib", "after tail", unsaid("the tail sits on the bare bed"), kAll, kChoice, "steps"},
    SchoolFacts{20, "lock_turn", "rib", "one", unsaid("it holds the tail's root and the hackle's tip"), kAll, kChoice, "numbers, steps"},
    SchoolFacts{22, "tail", "tail", "shank", unsaid("it is seen at once"), kAll, kParts, "numbers"},
    SchoolFacts{23, "tail_cut", "tail", "never", unsaid("natural tips"), kAll, kParts, "steps"},
    SchoolFacts{24, "tail_butts", "tail", "to front", unsaid("no step under the body"), kAll, kChoice, "numbers"},
    SchoolFacts{25, "body_end", "body", "barb", unsaid("as most bodies are proportioned"), kAll, kParts, "numbers, picture"},
    SchoolFacts{26, "taper", "body", "slight", unsaid("the wing lies on it"), kAll, kChoice, "numbers, picture, judgement"},
    SchoolFacts{27, "coarse_fur", "body", "noodle", unsaid("by its taper; a loop holds it better"), kAll, kChoice, "numbers, steps"},
    SchoolFacts{28, "fur", "body", "as written", unsaid("the recipe's"), kOne, kParts, "numbers, picture"},
    SchoolFacts{29, "brushing", "body", "before collar", unsaid("no torn fibres"), kAll, kChoice, "steps"},
    SchoolFacts{49, "grip", "body", "fingers", unsaid("the strands lie flat"), kAll, kChoice, "numbers"},
    SchoolFacts{30, "wing", "wing", "rolled", unsaid("it lasts"), kAll, kParts, "numbers, picture, steps"},
    SchoolFacts{31, "fold", "wing", "thirds", unsaid("three layers, one of them the middle"), kAll, kParts, "numbers, steps"},
    SchoolFacts{32, "wing_weight", "wing", "thin", unsaid("it opens in the water"), kAll, kParts, "numbers, picture"},
    SchoolFacts{33, "wing_reach", "wing", "mid tail", unsaid("it covers the body and clears the bend"), kAll, kParts, "numbers, picture"},
    SchoolFacts{34, "slip_tips", "wing", "down", unsaid("they hug the body"), kAll, kChoice, "picture, steps"},
    SchoolFacts{35, "upright_wings", "wing", "as they part", unsaid("fewer turns"), kOne, kChoice, "picture, steps"},
    SchoolFacts{36, "plume", "wing", "wing", unsaid("as it is written"), kOne, kParts, "picture, steps"},
    SchoolFacts{37, "wing_tied", "wing", "last", unsaid("nothing stands in its way"), kOne, kParts, "steps, judgement"},
    SchoolFacts{38, "tufts", "wing", "raised", unsaid("it floats the head"), kOne, kParts, "picture, steps"},
    SchoolFacts{39, "legs_set", "wing", "bunch", unsaid("parted, they come out even"), kAll, kChoice, "steps"},
    SchoolFacts{45, "cheeks", "cheek", "as written", unsaid("the recipe's"), kOne, kParts, "judgement"},
    SchoolFacts{40, "bead_neck", "bead", "bare", unsaid("quick"), kAll, kChoice, "steps"},
    SchoolFacts{40, "bead_thread", "bead", "cut", unsaid("clean"), kAll, kChoice, "steps"},
    SchoolFacts{41, "hook_barb", "hook", "barbless", unsaid("rules, and trust"), kAll, kParts, "steps, judgement"},
    SchoolFacts{42, "finish", "head", "varnish", unsaid("it soaks in"), kAll, kChoice, "steps"},
    SchoolFacts{43, "coats", "head", "two", unsaid("gloss, and they hold"), kAll, kChoice, "steps, judgement"},
    SchoolFacts{44, "whip", "head", "five", unsaid("they hold; four make a smaller head"), kAll, kChoice, "numbers, steps"},
    SchoolFacts{50, "thread_colour", "head", "as head", unsaid("no change of thread"), kOne, kParts, "steps"},
    SchoolFacts{46, "metal", "fly", "as written", unsaid("the recipe's"), kOne, kParts, "picture"},
    SchoolFacts{47, "faithful", "fly", "freely", unsaid("the drawers decide"), kOne, kChoice, "judgement"},
    SchoolFacts{48, "standard", "fly", "to fish", unsaid("fish don't judge"), kAll, kChoice, "judgement"},
    SchoolFacts{51, "nymph_or_wet", "fly", "wet", unsaid("it is hackled"), kOne, kParts, "judgement"},
};

}  // namespace

std::span<const SchoolFacts> schoolTable() { return kTable; }

const SchoolFacts* factsOfSchool(std::string_view key) {
    const auto found = std::ranges::find(kTable, key, &SchoolFacts::key);
    return found == kTable.end() ? nullptr : &*found;
}

}  // namespace machair
