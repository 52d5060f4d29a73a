// The outside contract of `plan --json` (formats.md), recomputed here from what it prints alone: a program that reads
// the numbers can follow how each came about.
#include <unistd.h>
#include <catch2/catch.hpp>
#include <cmath>
#include <filesystem>
#include <fstream>
#include <nlohmann/json.hpp>
#include <numbers>

#include "tests/cli/run.h"
#include "tests/samples.h"

using namespace machair::tests;
using Catch::Matchers::WithinAbs;
using Catch::Matchers::WithinRel;
using Json = nlohmann::json;

namespace {

// A dressing with a part of nearly every kind, beside the demo's materials.
std::string fullFile() {
    Json book = Json::parse(demoText());
    book["patterns"].push_back(Json::parse(R"json({
      "id": "everything", "hook": "wet-10", "thread": "thread-black", "max_length_mm": 90,
      "parts": [
        {"part": "tag", "material": "tinsel-silver", "turns": 3},
        {"part": "tail", "material": "tippet-orange", "fibres": 10, "length": {"ratio": 0.8, "of": "shank"}},
        {"part": "butt", "material": "herl-bronze", "turns": 2},
        {"part": "rib", "material": "wire-copper", "turns": 5, "direction": "counter"},
        {"part": "underbody", "material": "wire-silver", "turns": 12},
        {"part": "body", "material": "fur-olive", "rear_diameter": {"ratio": 0.25, "of": "gape"}, "front_diameter": {"ratio": 0.36, "of": "gape"}},
        {"part": "palmer", "material": "cock-fox", "shoulder_turns": 2, "open_turns": 4, "length": {"to": "point"}},
        {"part": "legs", "material": "legs-brown", "count": 4, "length": {"ratio": 1, "of": "shank"}},
        {"part": "wing", "material": "flank-bronze", "style": "rolled", "layers": 4, "length": {"to": "tail", "fraction": 0.5}},
        {"part": "cheek", "material": "cheek-spot", "length": {"mm": 4}},
        {"part": "collar", "material": "hen-soot", "turns": [2, 3], "length": {"to": "barb"}},
        {"part": "thread", "material": "thread-fine"},
        {"part": "head", "whip_turns": 4, "coats": 2}
      ]})json"));
    const std::string path =
        (std::filesystem::temp_directory_path() / ("machair-contract-" + std::to_string(::getpid()) + ".machair.json")).string();
    std::ofstream(path) << book.dump();
    return path;
}

class Everything {
  public:
    Everything() : file_(fullFile()) {
        const Ran plan = runCli("plan '" + file_ + "' --pattern everything --json");
        INFO(plan.err);
        REQUIRE(plan.code == 0);
        json = Json::parse(plan.out);
        hook = Json::parse(runCli("hook '" + file_ + "' --hook wet-10 --json").out);
    }
    ~Everything() { std::filesystem::remove(file_); }
    Everything(const Everything&) = delete;
    Everything& operator=(const Everything&) = delete;

    const Json& part(const std::string& kind) const {
        for (const Json& p : json["parts"])
            if (p["part"] == kind) return p;
        FAIL("no " << kind);
        return json;
    }
    int indexOf(const std::string& kind) const {
        for (std::size_t i = 0; i < json["parts"].size(); ++i)
            if (json["parts"][i]["part"] == kind) return static_cast<int>(i);
        return -1;
    }
    // The wire and all of bulk tied in before a part, at a station (formats.md).
    double diameter(double s, int before) const {
        double d = hook["wire_mm"];
        for (const Json& row : json["bulk"]) {
            if (row["part"].get<int>() >= before || s < row["from_mm"].get<double>() || s > row["to_mm"].get<double>()) continue;
            if (row.contains("thread_layers"))
                d += 2.0 * row["thread_layers"].get<double>() * row["thread_thickness_mm"].get<double>();
            else if (row.contains("wrap_mm"))
                d += 2.0 * row["wrap_mm"].get<double>();
            else
                d = std::sqrt(d * d + row["count"].get<double>() * std::pow(row["diameter_mm"].get<double>(), 2) / 0.75);
        }
        return d;
    }

    Json json;
    Json hook;

  private:
    std::string file_;
};

}  // namespace

TEST_CASE("every part of the contract has its keys, numbers that are numbers, and words") {
    const Everything all;
    const std::map<std::string, std::vector<const char*>> keys = {
        {"tag", {"turns", "length_mm", "strip_mm"}},
        {"butt", {"turns", "length_mm", "strip_mm"}},
        {"tail", {"length_mm", "fibre_needed_mm", "fibres", "bar_spacing_mm"}},
        {"rib", {"turns", "length_mm", "cut_mm", "pitch_mm", "angle_deg"}},
        {"body", {"end_mm", "front_mm", "volume_mm3", "mass_mg", "noodle_mm", "noodle_turns", "rear_diameter_mm", "front_diameter_mm"}},
        {"palmer",
         {"fibre_mm", "lay_back_mm", "line_of_sight_mm", "stem_mm", "fibres", "fullness", "fullness_class", "shoulder_turns", "open_turns",
          "bed_mm", "most_turns"}},
        {"collar",
         {"fibre_mm", "lay_back_mm", "line_of_sight_mm", "stem_mm", "fibres", "fullness", "fullness_class", "fibre_shortest_mm",
          "fibre_longest_mm", "most_turns", "turns", "bed_mm"}},
        {"legs", {"length_mm", "count"}},
        {"cheek", {"length_mm", "count"}},
        {"wing", {"length_mm", "slip_mm", "depth_mm", "barbs", "lift_deg", "seat", "ramp_turns", "supports", "bed_mm", "bend_mm"}},
        {"head", {"whip_turns", "thread_mm"}}};
    for (const auto& [kind, wanted] : keys) {
        const Json& part = all.part(kind);
        CHECK(part.contains("station_mm"));
        CHECK_FALSE(part["words"].get<std::string>().empty());
        for (const char* key : wanted) {
            INFO(kind << "." << key);
            REQUIRE(part.contains(key));
            if (part[key].is_number()) CHECK(std::isfinite(part[key].get<double>()));
        }
    }
}

TEST_CASE("under_mm of the profile is the wire and all of bulk tied in before the body") {
    const Everything all;
    const int body = all.indexOf("body");
    double last = -1.0;
    for (const Json& row : all.json["profile"]) {
        const double s = row["s_mm"];
        const bool step = s == last;  // two rows stand at a step: one of each side
        last = s;
        bool atStep = step;
        for (const Json& bulk : all.json["bulk"])
            atStep = atStep || std::abs(s - bulk["from_mm"].get<double>()) < 1e-6 || std::abs(s - bulk["to_mm"].get<double>()) < 1e-6;
        if (atStep) continue;
        INFO(s);
        CHECK_THAT(row["under_mm"].get<double>(), WithinAbs(all.diameter(s, body), 1e-6));
    }
}

TEST_CASE("bed_mm of wing and collar is the wire and all of bulk before that part, just ahead of its station") {
    const Everything all;
    for (const char* kind : {"wing", "collar"}) {
        const Json& part = all.part(kind);
        INFO(kind);
        CHECK_THAT(part["bed_mm"].get<double>(), WithinAbs(all.diameter(part["station_mm"].get<double>() - 1e-6, all.indexOf(kind)), 1e-6));
    }
    const Json& wing = all.part("wing");
    double lift = 0.0;
    for (const Json& support : wing["supports"])
        lift = std::max(lift, std::atan2(support["step_mm"].get<double>(), support["run_mm"].get<double>()) * 180.0 / kPi);
    CHECK(lift > 0.0);
    CHECK_THAT(wing["lift_deg"].get<double>(), WithinAbs(lift, 1e-9));
}

TEST_CASE("thread_mm is the sum over all thread layers of bulk, the whip and the handling") {
    const Everything all;
    double sum = 150.0;
    double thickness = 0.0;
    const auto& rows = all.json["bulk"];
    for (std::size_t r = 0; r < rows.size(); ++r) {
        if (!rows[r].contains("thread_layers")) continue;
        const double from = rows[r]["from_mm"], to = rows[r]["to_mm"], n = rows[r]["thread_layers"];
        const double t = rows[r]["thread_thickness_mm"], b = rows[r]["thread_width_mm"];
        thickness = t;
        // Numerically, a step at a time: the diameter under this row is what rows before it make.
        constexpr int kSteps = 4000;
        for (int i = 0; i < kSteps; ++i) {
            const double s = from + (to - from) * (i + 0.5) / kSteps;
            double d = all.hook["wire_mm"];
            for (std::size_t k = 0; k < r; ++k) {
                if (s < rows[k]["from_mm"].get<double>() || s > rows[k]["to_mm"].get<double>()) continue;
                if (rows[k].contains("thread_layers"))
                    d += 2.0 * rows[k]["thread_layers"].get<double>() * rows[k]["thread_thickness_mm"].get<double>();
                else if (rows[k].contains("wrap_mm"))
                    d += 2.0 * rows[k]["wrap_mm"].get<double>();
                else
                    d = std::sqrt(d * d + rows[k]["count"].get<double>() * std::pow(rows[k]["diameter_mm"].get<double>(), 2) / 0.75);
            }
            for (int layer = 0; layer < static_cast<int>(n); ++layer)
                sum += (to - from) / kSteps / b * kPi * (d + 2.0 * t * layer + t);
        }
    }
    sum += 4.0 * kPi * (all.json["head"]["diameter_mm"].get<double>() + thickness);
    CHECK_THAT(all.json["thread_mm"].get<double>(), WithinRel(sum, 2e-3));
    CHECK(all.part("head")["thread_mm"] == all.json["thread_mm"]);
}

TEST_CASE("a pair of counts is planned at its middle, and room at the eye follows the turns") {
    const Everything all;
    CHECK(all.part("collar")["turns"] == 2.5);
    const double stem = 0.31;  // measured in the demo
    // Wing and cheek bindings 10 turns, one clear, of the thread then in use.
    double b = 0.0;
    for (const Json& row : all.json["bulk"])
        if (row.contains("thread_width_mm")) b = row["thread_width_mm"];
    CHECK_THAT(all.json["head"]["needed_mm"].get<double>(), WithinAbs(1.15 * 2.5 * stem + 11.0 * b, 1e-6));
    CHECK_THAT(all.json["head"]["margin_mm"].get<double>(),
               WithinAbs(all.json["head"]["available_mm"].get<double>() - all.json["head"]["needed_mm"].get<double>(), 1e-9));
}
