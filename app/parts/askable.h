// What shows numbers that can be asked (interface.md, law 4): a widget says which of them lies under a point, or which one
// the keyboard is at.
#pragma once

#include <QPoint>
#include <functional>
#include <optional>
#include <variant>

#include "asking/asking.h"

namespace machair::app {

struct CheckAsked {
    std::size_t check = 0;  // its place in the team's report
    bool operator==(const CheckAsked&) const = default;
};
// What only the widget knows all of (a moment of a run, a line of the stock): it answers itself, anew whenever something changed.
struct AnsweredThere {
    std::function<std::optional<Derivation>()> answer;
};
using Question = std::variant<FigureRef, CheckAsked, AnsweredThere>;

// What a widget that shows one figure and nothing else has as a property: a press alone asks it. (Alt and a click may be the
// desktop's own, for moving windows.)
inline constexpr const char* kFigureKey = "figure";

class Askable {
  public:
    Askable() = default;
    virtual ~Askable() = default;
    Askable(const Askable&) = delete;
    Askable& operator=(const Askable&) = delete;
    // `at` in the widget's own pixels; none where the keyboard asks.
    [[nodiscard]] virtual std::optional<Question> questionAt(std::optional<QPoint> at) const = 0;
};

}  // namespace machair::app
