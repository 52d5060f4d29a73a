// Results as JSON for programs: names and units as formats.md lists them, numbers unrounded.
#pragma once

#include <nlohmann/json.hpp>

#include "sizing/plan.h"
#include "team/team.h"
#include "water/sink.h"

namespace machair::cli {

using Json = nlohmann::ordered_json;

[[nodiscard]] Json hookReport(const Hook& hook);
[[nodiscard]] Json planReport(const Book& book, const Plan& plan);
[[nodiscard]] Json sinkReportJson(const SinkReport& report);
[[nodiscard]] Json checksReport(const std::vector<TeamCheck>& checks);
[[nodiscard]] Json teamReport(const TeamReport& report);

// The same for people.
[[nodiscard]] std::string hookText(const Hook& hook);
[[nodiscard]] std::string planText(const Book& book, const Plan& plan);
[[nodiscard]] std::string sinkText(const Plan& plan, const SinkReport& report);
[[nodiscard]] std::string teamText(const TeamSpec& team, const TeamReport& report);

}  // namespace machair::cli
