// The steps of tying a dressing, derived from it and its schools: nothing is typed in by hand. Each tells what to do,
// the number that matters, where the thread hangs, and what to look for.
#pragma once

#include <optional>
#include <string>
#include <vector>

#include "sizing/plan.h"

namespace machair {

enum class Caution { points, glue, resin, solvents, lead, dust, birds };

struct TyingStep {
    std::string verb;     // "tie in"
    std::string object;   // "the rib, Oval gold"
    std::string number;   // very large: "6"
    std::string unit;     // "turns"
    std::string detail;   // "pitch 1.7 mm, against the body"
    Length threadBefore;  // stations
    Length threadAfter;
    std::string threadWords;           // "the thread hangs opposite the barb, 9.1 mm behind the eye"
    std::string face;                  // which side of a tinsel or feather is out
    std::string winding;               // direction
    std::string locks;                 // what it holds down
    std::string look;                  // before going on
    std::string wrong;                 // what goes wrong here
    std::optional<double> dryMinutes;  // a coat that dries while the next fly is tied
    std::optional<Caution> caution;
    int part = -1;  // in `parts`; -1 for the thread's own steps
    // What is on the hook when it is done: parts tied in but not wound are not.
    std::vector<char> done;
    bool head = false;  // the head is wound
    bool bed = true;    // the thread bed is laid
};

// Which hand: a left-handed tier sees near and far side, and the drawing, mirrored.
enum class Hand { right, left };

[[nodiscard]] std::vector<TyingStep> stepsOf(const Plan& plan, Hand hand = Hand::right);

[[nodiscard]] std::string sayCaution(Caution caution);

}  // namespace machair
