// The steps of tying a dressing, derived from its plan and its schools: nothing is typed in by hand. Each has one verb, one
// object and one number, and tells where the thread hangs, which face, side and way round, what it locks, what to look for
// and what goes wrong there.
//
// What is made ready comes first, before the thread is on; then each part as it is written: what is wound was tied in, what
// was tied in is tied off, and where the thread hangs after one step it hangs before the next. A rib waits for the bodies
// and the palmer that it is wound over; a palmer wound forward is tied in under its body; a bead is on the hook from the start.
// Cost: well under a millisecond for the fullest fly (benchmarks/).
#pragma once

#include <optional>
#include <string>
#include <vector>

#include "sizing/plan.h"

namespace machair {

enum class Caution { points, glue, resin, solvents, lead, dust, birds, wire };
template <>
struct Names<Caution> {
    static constexpr std::array entries = {NameOf{Caution::points, "points"}, NameOf{Caution::glue, "glue"},
                                           NameOf{Caution::resin, "resin"},   NameOf{Caution::solvents, "solvents"},
                                           NameOf{Caution::lead, "lead"},     NameOf{Caution::dust, "dust"},
                                           NameOf{Caution::birds, "birds"},   NameOf{Caution::wire, "wire"}};
};

struct TyingStep {
    std::string verb;       // "tie in"
    std::string object;     // "the rib, Oval gold"
    std::string number;     // very large: "6", "2 to 3"; empty where nothing is counted
    std::string unit;       // "turns"
    std::string how;        // "bound along from the front, so that it makes no step"
    std::string face;       // "gold face against the hook"
    std::string side;       // "near side"
    std::string direction;  // "over the top and away from you"
    std::vector<std::string> locks;
    std::string look;                // before going on
    std::vector<std::string> wrong;  // mishaps by their ids (bench/mishaps.h), the likeliest first
    std::string next;                // what to pick up after it
    std::string note;                // the part's own
    double minutes = 0.0;            // of hands, rule of thumb
    std::optional<double> dryMinutes;
    std::optional<Caution> caution;
    bool before = false;    // done before the thread is on
    bool threadOn = false;  // the thread is on the hook when it is done
    Length threadBefore;    // stations
    Length threadAfter;
    std::string threadWords;  // "the thread hangs opposite the barb, 9.1 mm behind the eye"
    int part = -1;            // in `parts`; −1 for what belongs to none
    // What is on the hook when it is done: parts tied in but not wound are not.
    std::vector<char> done;
    // Tied in and not wound yet: it hangs from there.
    struct Waiting {
        std::size_t part = 0;
        Length at;
    };
    std::vector<Waiting> waiting;
    bool bed = false;   // the thread bed is laid
    bool head = false;  // the head is wound
};

// Which hand: a left-hander's bench is the mirror image; near and far, over and under, away and towards stay as they are.
enum class Hand { right, left };

[[nodiscard]] std::vector<TyingStep> stepsOf(const Plan& plan, Hand hand = Hand::right);

// The first step that is done with the thread on, or the last.
[[nodiscard]] std::size_t firstAtTheVice(const std::vector<TyingStep>& steps);

[[nodiscard]] std::string sayCaution(Caution caution);

}  // namespace machair
