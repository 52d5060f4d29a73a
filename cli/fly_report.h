// A fly in a report: its dressing, and its hook where it is not the dressing's own.
#pragma once

#include "cli/report.h"
#include "team/choose.h"

namespace machair::cli {

[[nodiscard]] inline Json flyReport(const Fly& fly) {
    Json json = {{"pattern", fly.pattern.text()}};
    if (fly.hook) json["hook"] = fly.hook->text();
    return json;
}
[[nodiscard]] inline Json flyReport(const BoxCandidate& fly) {
    Json json = flyReport(fly.fly);
    json["id"] = fly.id;
    json["title"] = fly.title;
    json["tied"] = fly.tied;
    return json;
}

}  // namespace machair::cli
