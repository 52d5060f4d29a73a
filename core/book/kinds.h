// Complete dressings to start from: each plausible as it is, sized to its hook by shares, tied from what the book has.
#pragma once

#include <string>

#include "book/edits.h"

namespace machair {

enum class FlyKind {
    palmeredBob,
    wingedWet,
    spider,
    cloakedLochFly,
    filmEmerger,
    beadSoftHackle,
    hairWing,
    uprightWing,
    plumeEmerger,
    fibreSpider,
    tagAndPalmer,
    beadedLure,
    mayfly
};
template <>
struct Names<FlyKind> {
    static constexpr std::array entries = {NameOf{FlyKind::palmeredBob, "palmered bob"},
                                           NameOf{FlyKind::wingedWet, "winged wet"},
                                           NameOf{FlyKind::spider, "spider"},
                                           NameOf{FlyKind::cloakedLochFly, "cloaked loch fly"},
                                           NameOf{FlyKind::filmEmerger, "film emerger"},
                                           NameOf{FlyKind::beadSoftHackle, "bead soft hackle"},
                                           NameOf{FlyKind::hairWing, "hair wing"},
                                           NameOf{FlyKind::uprightWing, "upright quill wing"},
                                           NameOf{FlyKind::plumeEmerger, "plume-winged emerger"},
                                           NameOf{FlyKind::fibreSpider, "fibre-bodied spider"},
                                           NameOf{FlyKind::tagAndPalmer, "tag and palmer"},
                                           NameOf{FlyKind::beadedLure, "beaded lure"},
                                           NameOf{FlyKind::mayfly, "mayfly"}};
};

// A new dressing of this kind on a hook of the book. Materials are the first of the book that fit; where it has none the
// part is tied from the usual. A book without a thread gets one. A fault for an unknown hook.
[[nodiscard]] Result<NewDressing> startFromKind(const Book& book, FlyKind kind, const HookId& hook);

// The same dressing once more, under a name of its own; on another hook when one is given.
[[nodiscard]] Result<NewDressing> duplicate(const Book& book, const DressingId& pattern);
[[nodiscard]] Result<Edit> renamePattern(const Book& book, const DressingId& pattern, std::string_view name);
// Out of the book and out of its teams. A fault where a team would be left without a fly.
[[nodiscard]] Result<Edit> removePattern(const Book& book, const DressingId& pattern);

// A bit of a fly that shows what a material looks like tied: a body, hackle, wing or tail of it on a hook of the book's
// (or a nominal 10). It is nobody's dressing and not put into the book.
[[nodiscard]] Pattern sampleOf(const Material& material, const HookId& hook, const MaterialId& thread);

}  // namespace machair
