// The real program, run as a shell would.
#include <unistd.h>
#include <catch2/catch.hpp>
#include <filesystem>
#include <fstream>
#include <nlohmann/json.hpp>

#include "tests/cli/run.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;
using Json = nlohmann::json;

namespace {

void requireKeys(const Json& json, std::initializer_list<const char*> keys) {
    for (const char* key : keys) {
        INFO(key);
        CHECK(json.contains(key));
    }
}

}  // namespace

TEST_CASE("hook gives every measure that formats.md lists, the same as the core") {
    const Json json = jsonOf(demo("hook", "--hook wet-12"));
    requireKeys(json, {"shank_mm", "gape_mm", "wire_mm", "overall_mm", "point_mm", "barb_mm", "bend_mm", "rearmost_mm", "eye_width_mm",
                       "wire_length_mm", "mass_mg", "measured"});
    CHECK(json["shank_mm"].get<double>() == nominalShank(12) / mm);  // unrounded
    CHECK(jsonOf(demo("hook", "--hook limerick-10"))["measured"] == Json({"clear_gape_mm", "wire_mm", "overall_mm"}));
}

TEST_CASE("plan gives every key that formats.md lists for its parts") {
    const Json json = jsonOf(demo("plan", "--pattern heather-tinker"));
    requireKeys(json, {"pattern", "hook", "parts", "profile", "head", "thread_mm", "bulk", "warnings", "length_mm", "needs"});
    requireKeys(json["head"], {"needed_mm", "available_mm", "margin_mm", "diameter_mm", "remedies"});
    requireKeys(json["parts"][0], {"part", "material", "station_mm", "words", "length_mm", "fibre_needed_mm", "fibres"});
    requireKeys(json["parts"][1], {"turns", "length_mm", "cut_mm", "pitch_mm", "angle_deg"});
    requireKeys(json["parts"][3],
                {"end_mm", "front_mm", "volume_mm3", "mass_mg", "noodle_mm", "noodle_turns", "rear_diameter_mm", "front_diameter_mm"});
    requireKeys(json["parts"][4],
                {"length_mm", "slip_mm", "depth_mm", "barbs", "lift_deg", "seat", "ramp_turns", "supports", "bed_mm", "bend_mm"});
    requireKeys(json["parts"][5], {"fibre_mm", "lay_back_mm", "line_of_sight_mm", "stem_mm", "fibres", "fullness", "fullness_class",
                                   "fibre_shortest_mm", "fibre_longest_mm", "most_turns", "turns", "bed_mm"});
    requireKeys(json["parts"][6], {"whip_turns", "thread_mm"});
    requireKeys(json["profile"][0], {"s_mm", "under_mm", "diameter_mm"});
}

TEST_CASE("sink and team give their keys, and the team's sink rates are those of its flies") {
    const Json sink = jsonOf(demo("sink", "--pattern rush-piper"));
    requireKeys(sink, {"mass_mg", "submerged_mN", "sink_m_s", "presence_mN", "silhouette_mm2", "floats"});
    const Json team = jsonOf(demo("team", "--team west-shore"));
    requireKeys(team["checks"][0], {"check", "value", "low", "verdict", "mend"});
    CHECK(team["flies"][2]["sink_m_s"] == sink["sink_m_s"]);
    CHECK(team["verdict"] == "pass");
    CHECK(jsonOf(demo("sink", "--pattern rush-piper --celsius 25"))["sink_m_s"] > sink["sink_m_s"]);
}

TEST_CASE("text for people is the default and says numbers with their units") {
    const Ran ran = runCli(demo("plan", "--pattern kelp-lantern"));
    CHECK(ran.code == 0);
    CHECK(ran.out.find("Kelp Lantern on Heavy wet 10") != std::string::npos);
    CHECK(ran.out.find(" mm") != std::string::npos);
}

TEST_CASE("an input at fault exits 1 with its faults on standard error, wrong usage exits 2") {
    const std::string broken =
        (std::filesystem::temp_directory_path() / ("machair-broken-" + std::to_string(::getpid()) + ".machair.json")).string();
    std::string text = demoText();
    text.replace(text.find("\"size\": 10"), 10, "\"size\": 99");
    std::ofstream(broken) << text;
    const Ran fault = runCli("validate '" + broken + "'");
    CHECK(fault.code == 1);
    CHECK(fault.out.empty());
    CHECK(fault.err.find("hooks[0].size: expected a hook size from 2 to 20, got 99") != std::string::npos);
    std::filesystem::remove(broken);
    CHECK(runCli("validate /nowhere.machair.json").code == 1);
    CHECK(runCli(demo("plan", "--pattern no-such")).code == 1);
    CHECK(runCli(demo("plan")).code == 2);
    CHECK(runCli("dance").code == 2);
    CHECK(runCli("").code == 2);
    CHECK(runCli("--help").code == 0);
}

TEST_CASE("validate passes the demo, and convert gives an equal book") {
    CHECK(jsonOf(demo("validate"))["valid"] == true);
    const std::string out =
        (std::filesystem::temp_directory_path() / ("machair-out-" + std::to_string(::getpid()) + ".machair.json")).string();
    REQUIRE(runCli(demo("convert", "'" + out + "'")).code == 0);
    CHECK(store::readBenchFile(out)->book == demoBook());
    std::filesystem::remove(out);
}

TEST_CASE("schema prints JSON") { CHECK(Json::parse(runCli("schema").out).contains("definitions")); }

TEST_CASE("books and files give the same numbers, and convert goes both ways without a loss") {
    const auto folder = std::filesystem::temp_directory_path();
    const std::string book = (folder / ("machair-both-" + std::to_string(::getpid()) + ".machair")).string();
    const std::string file = book + ".json";
    REQUIRE(runCli(demo("convert", "'" + book + "'")).code == 0);
    REQUIRE(runCli("convert '" + book + "' '" + file + "'").code == 0);
    CHECK(store::readBenchFile(file)->book == demoBook());
    CHECK(jsonOf("plan '" + book + "' --pattern ferry-bell") == jsonOf(demo("plan", "--pattern ferry-bell")));
    CHECK(jsonOf("validate '" + book + "'")["valid"] == true);
    CHECK(runCli(demo("convert", "/tmp/machair-no-ending.txt")).code == 2);
    CHECK(runCli(demo("convert", "/no/such/folder/x.machair")).code == 1);
    for (const char* end : {"", ".json", "-wal", "-shm"})
        std::filesystem::remove(book + end);
}
