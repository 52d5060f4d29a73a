// A fly: a dressing on a hook. Barbed and barbless twins, and a dressing in three sizes, are flies of one dressing.
#pragma once

#include <optional>
#include <string>

#include "hook/hook.h"
#include "units/id.h"

namespace machair {

struct Fly {
    DressingId pattern;
    std::optional<HookId> hook;               // the dressing's own where absent
    std::optional<std::string> presentation;  // how it is fished where it hangs; the same fly however it is fished
    Carried carried;

    Fly() = default;
    Fly(DressingId dressing, std::optional<HookId> on = {})
        : pattern(std::move(dressing)), hook(std::move(on)) {}  // NOLINT: a bare id is the dressing on its own hook
    Fly(const char* dressing) : pattern(dressing) {}            // NOLINT
    bool operator==(const Fly&) const = default;
};

}  // namespace machair
