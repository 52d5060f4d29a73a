// Which hook a fly is on, and what it is called.
#pragma once

#include <string>
#include <string_view>

#include "book/book.h"

namespace machair {

// The fly with its hook said: a bare one is on its dressing's own. As it is where the book has no such dressing.
[[nodiscard]] Fly onItsHook(const Book& book, const Fly& fly);
// Nothing where the book lacks the dressing or the hook.
[[nodiscard]] const HookSpec* hookOf(const Book& book, const Fly& fly);

// A fly as people call it: its dressing, its size, and its barb where it has none: "Kelp Lantern, 10 barbless".
[[nodiscard]] std::string sayFly(std::string_view dressing, const HookSpec& hook);
// The id of the dressing where the book has none of it.
[[nodiscard]] std::string sayFly(const Book& book, const Fly& fly);

// A fly as the text of a field: the dressing's id, and the hook's behind a tab. Nobody types or reads it.
[[nodiscard]] std::string writeFly(const Fly& fly);
[[nodiscard]] Fly readFly(std::string_view text);

}  // namespace machair
