// A variant visited by what each of its kinds does. The kinds that a rule has nothing to say about are named too, as in
// `[](const OneOf<BeadPlan, HeadPlan> auto&) {}`, so that a new kind doesn't compile until somebody has decided where it
// belongs.
#pragma once

#include <concepts>
#include <variant>

namespace machair {

template <class... Each>
struct Overloaded : Each... {
    using Each::operator()...;
};
template <class... Each>
Overloaded(Each...) -> Overloaded<Each...>;

template <class T, class... Kinds>
concept OneOf = (std::same_as<T, Kinds> || ...);

}  // namespace machair
