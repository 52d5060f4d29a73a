// The verbs of teams, water and cutting: what formats.md promises of their JSON, and how they refuse.
#include <catch2/catch.hpp>
#include <nlohmann/json.hpp>

#include "tests/cli/run.h"
#include "tests/samples.h"
#include "tests/temp_folder.h"

using namespace machair::tests;
using Json = nlohmann::json;

namespace {

bool hasKeys(const Json& json, const std::vector<const char*>& keys) {
    for (const char* key : keys) {
        INFO(key);
        CHECK(json.contains(key));
    }
    return true;
}

}  // namespace

TEST_CASE("water gives the wave and always a caution, and refuses a wind that isn't one") {
    const Json water = jsonOf("water --wind 6 --fetch 2000");
    hasKeys(water, {"wave_m", "period_s", "drift_m_s", "builds_min", "class", "full", "cautions"});
    CHECK(water["class"] == "wave");
    CHECK(water["cautions"].size() == 1);
    hasKeys(water["full"], {"bob", "middle", "point"});
    CHECK(water["full"]["bob"]["low"] < water["full"]["bob"]["high"]);
    CHECK(jsonOf("water --wind 6 --fetch 2000 --light bright")["full"]["bob"]["high"] < water["full"]["bob"]["high"]);
    CHECK(jsonOf("water --wind 6 --fetch 2000 --drogue")["drift_m_s"] < water["drift_m_s"]);
    CHECK(runCli("water --wind -1 --fetch 2000").code == 2);
    CHECK(runCli("water --wind nan --fetch 2000").code == 2);
    CHECK(runCli("water --wind 6").code == 2);
}

TEST_CASE("balance and choose give teams, best first") {
    CHECK(jsonOf(demo("balance", "--team west-shore --wind 6 --fetch 1900"))["passes"] == true);
    const Json balanced = jsonOf(demo("balance", "--team first-evening --wind 6 --fetch 1900"));
    hasKeys(balanced, {"box", "redressed", "conflict"});
    for (const char* list : {"box", "redressed"})
        for (const Json& proposal : balanced[list]) {
            hasKeys(proposal, {"cost", "changes", "instead", "verdict"});
            CHECK(proposal["cost"] <= 8);
            CHECK(proposal["verdict"] == "pass");
            for (const Json& change : proposal["changes"])
                hasKeys(change, {"position", "kind", "words", "pattern"});
        }
    const Json chosen = jsonOf(demo("choose", "--wind 6 --fetch 2000"));
    REQUIRE(chosen["teams"].size() == 5);
    CHECK(chosen["examined"] > 0);
    for (std::size_t i = 1; i < 5; ++i)
        CHECK(chosen["teams"][i]["score"] <= chosen["teams"][i - 1]["score"]);
    const Json ruled = jsonOf(demo("choose", "--wind 6 --fetch 2000 --rules skerrin-rules"));
    for (const Json& out : ruled["left_out"])
        CHECK(out["id"] == "box-brass-buoy");
    CHECK(jsonOf(demo("choose", "--wind 6 --fetch 2000 --include soot-ember"))["teams"][0].dump().find("soot-ember") != std::string::npos);
    for (const Json& team : chosen["teams"]) {
        hasKeys(team, {"score", "verdict", "flies", "reasons", "could_be"});
        for (const Json& fly : team["flies"])
            hasKeys(fly, {"position", "pattern", "hook"});
    }
    const Json ranked = jsonOf(demo("choose", "--wind 6 --fetch 2000 --place bob"))["flies"];
    hasKeys(ranked[0], {"pattern", "hook", "score", "reasons"});
    CHECK(ranked.back().contains("kept_out"));
    CHECK(jsonOf(demo("choose", "--wind 6 --fetch 2000 --book --month 6"))["teams"].size() == 5);
    CHECK(runCli(demo("choose", "--wind 6 --fetch 2000 --place stern")).code == 2);
    CHECK(runCli(demo("choose", "--wind 6 --fetch 2000 --school nobody")).code == 1);
    CHECK(runCli(demo("choose", "--wind 6 --fetch 2000 --include nobody")).err.find("nobody") != std::string::npos);
    CHECK(runCli(demo("balance", "--team nobody")).code == 1);
}

TEST_CASE("window, team, balance and choose say one verdict: the same line judged three ways") {
    for (const char* wind : {"0", "2", "4", "6", "9", "12"}) {
        const std::string day = std::string("--wind ") + wind + " --fetch 1900";
        const Json chosen = jsonOf(demo("choose", day))["teams"][0];
        const TempFolder folder;
        const auto file = folder.file("b.machair.json");
        Json book = Json::parse(demoText());
        for (const Json& fly : chosen["flies"])
            book["teams"][0][fly["position"].get<std::string>()] = {{"pattern", fly["pattern"]}, {"hook", fly["hook"]}};
        std::ofstream(file) << book.dump();
        const Json team = jsonOf("team '" + file.string() + "' --team west-shore " + day);
        CHECK(team["verdict"] == chosen["verdict"]);
        CHECK(jsonOf("balance '" + file.string() + "' --team west-shore " + day)["passes"] == (team["verdict"] == "pass"));
    }
}

TEST_CASE("without a day a team says which waves suit it, with one what that wave is") {
    const Json any = jsonOf(demo("team", "--team west-shore"));
    REQUIRE(any["suits"].size() == 5);
    const Json day = jsonOf(demo("team", "--team west-shore --wind 6 --fetch 1900 --light bright --colour clear --month 6"));
    CHECK_FALSE(day.contains("suits"));
    CHECK(day["wave_m"].get<double>() == Approx(0.1336021754));
    for (const Json& fly : day["flies"])
        hasKeys(fly, {"position", "pattern", "hook", "style", "full"});
    CHECK(runCli(demo("team", "--team west-shore --wind 6")).code == 2);
}

TEST_CASE("a dressing that can't be tied goes into a book and out of it again, and is named") {
    const TempFolder folder;
    const auto file = folder.file("b.machair.json"), book = folder.file("b.machair"), back = folder.file("c.machair.json");
    Json json = Json::parse(demoText());
    json["patterns"][0]["hook"] = "no-such";
    json["patterns"][1]["parts"][1]["material"] = "no-such";
    std::ofstream(file) << json.dump();
    CHECK(runCli("convert '" + file.string() + "' '" + book.string() + "'").code == 0);
    CHECK(runCli("convert '" + book.string() + "' '" + back.string() + "'").code == 0);
    std::ifstream in(back);
    CHECK(Json::parse(in)["patterns"] == json["patterns"]);
    const Ran said = runCli("validate '" + book.string() + "'");
    CHECK(said.code == 1);
    CHECK(said.err.find("patterns[0].hook") != std::string::npos);
    CHECK(said.err.find("patterns[1].parts[1].material") != std::string::npos);
}

TEST_CASE("a team's checks have what they are judged by, and a water brings its rules") {
    const Json team = jsonOf(demo("team", "--team first-evening"));
    CHECK(team["verdict"] == "off");
    for (const Json& check : team["checks"]) {
        hasKeys(check, {"check", "verdict", "mend"});
        CHECK((check["verdict"] == "pass") == check["mend"].get<std::string>().empty());
    }
    const Json ruled = jsonOf(demo("team", "--team west-shore --water skerrin"));
    CHECK(std::any_of(ruled["checks"].begin(), ruled["checks"].end(), [](const Json& c) { return c["check"] == "rules"; }));
}

TEST_CASE("a drift is told every 0.05 s, with its bands and what the bob does") {
    const Json drift = jsonOf(demo("drift", "--team west-shore --count 5 --retrieve 0.3 --for 6 --lift 0.4 --height 1.6 --hang 2"));
    hasKeys(drift, {"series", "bands", "bob_breaks_s", "bob_holds_s", "bob_clear_s", "warnings"});
    const Json& series = drift["series"];
    CHECK(series[0]["t_s"] == 0.0);
    CHECK(series[100]["t_s"].get<double>() == Approx(5.0));
    CHECK(series[100]["point_m"] > series[100]["middle_m"]);
    const Json plain = jsonOf(demo("drift", "--team west-shore --count 2 --retrieve 0.3 --for 2"));
    CHECK_FALSE(plain.contains("bob_breaks_s"));
    double whole = 0.0;
    for (const Json& seconds : plain["bands"]["point"])
        whole += seconds.get<double>();
    CHECK(whole == Approx(4.0));
    const Ran bad = runCli(demo("drift", "--team west-shore --count 5 --retrieve 0.3 --for 9999"));
    CHECK(bad.code == 1);
    CHECK(bad.err.find("600 s") != std::string::npos);
    CHECK(runCli(demo("drift", "--team west-shore --count 5 --retrieve 0.3 --for 5 --lift 0.5")).err.starts_with("height: "));
}

TEST_CASE("cuts name feathers and stretches: what can't be cut is no failure") {
    const Json cuts = jsonOf(demo("cuts", "--list three-pairs"));
    hasKeys(cuts, {"feathers", "feathers_used", "waste_mm", "optimal", "bound", "uncut"});
    CHECK(cuts["optimal"] == true);
    CHECK(cuts["bound"] == cuts["feathers_used"]);
    CHECK(jsonOf(demo("cuts", "--pattern heather-tinker --count 2"))["feathers_used"] == 1);
    const Json none = jsonOf(demo("cuts", "--pattern heather-tinker --count 500"));
    CHECK(none["uncut"].size() > 400);
    CHECK(runCli(demo("cuts", "")).code == 2);
    CHECK(runCli(demo("cuts", "--pattern heather-tinker --count 0")).code == 2);
    CHECK(runCli(demo("cuts", "--list nobody")).code == 1);
}

TEST_CASE("a card is written where it was asked, and nowhere else") {
    const TempFolder folder;
    const auto pdf = folder.file("card.pdf");
    const Json card = jsonOf(demo("card", "--pattern kelp-lantern --out '" + pdf.string() + "'"));
    CHECK(card["proving_bar_mm"] == 50.0);
    CHECK(std::filesystem::file_size(pdf) > 2000);
    CHECK(runCli(demo("card", "--pattern kelp-lantern --out /nowhere/card.pdf")).code == 1);
    CHECK(runCli(demo("card", "--pattern kelp-lantern --out card.txt")).code == 2);
}

TEST_CASE("the records are read: the hand, the daybook, the evening, the box and what to buy") {
    const Json hand = jsonOf(demo("hand", ""));
    REQUIRE(hand["parts"].size() == 1);  // tails
    const Json& tail = hand["parts"][0];
    CHECK(tail["part"] == "tail length_mm");
    CHECK(tail["flies"] == 48);
    CHECK(tail["bias"] > 0.02);
    CHECK(tail["dozen_at_aim"] > tail["dozen_as_tied"]);
    CHECK(tail["shift"]["real"] == true);  // the tails were too long at first
    const Json book = jsonOf(demo("daybook", ""));
    CHECK(book["days"] == 30);
    for (const char* factor : {"fly", "position", "fly_and_position", "wave", "light", "month"}) {
        const Json& cells = book["factors"][factor];
        REQUIRE(cells.size() >= 2);
        for (const Json& cell : cells) {
            CHECK(cell["low"] <= cell["rate"]);
            CHECK(cell["rate"] <= cell["high"]);
        }
    }
    const Json evening = jsonOf(demo("evening", "--minutes 90"));
    CHECK(evening["best"]["all_dry_min"] <= evening["fly_by_fly"]["all_dry_min"]);
    CHECK(evening["best"]["all_dry_min"] <= evening["stage_by_stage"]["all_dry_min"]);
    CHECK(evening["bound_min"] <= evening["best"]["all_dry_min"]);
    CHECK(evening.contains("fit"));
    CHECK(jsonOf(demo("box", ""))["flies"].size() == 13);
    CHECK(jsonOf(demo("buy", ""))["materials"].size() > 5);
}

TEST_CASE("a measured length is as planned or off, and a part without one is refused") {
    const Json plan = jsonOf(demo("plan", "--pattern kelp-lantern"));
    const double planned = plan["parts"][0]["length_mm"].get<double>();
    const auto verdict = [&](double measured) {
        return jsonOf(demo("check", "--pattern kelp-lantern --part 0 --figure length_mm --mm " + std::to_string(measured)))["verdict"];
    };
    CHECK(verdict(planned) == "pass");
    CHECK(verdict(planned * 1.2) == "off");
    CHECK(verdict(planned * 0.8) == "off");
    CHECK(runCli(demo("check", "--pattern kelp-lantern --part 99 --figure length_mm --mm 5")).code == 1);
    CHECK(runCli(demo("check", "--pattern kelp-lantern --part 0 --figure moonlight --mm 5")).err.find("moonlight") != std::string::npos);
    CHECK(runCli(demo("check", "--pattern kelp-lantern --part 0 --figure length_mm --mm nan")).code == 2);
}

TEST_CASE("what can't come out whole is cut in halves where that is asked, and the plan says how far from best it is") {
    const TempFolder folder;
    const auto file = folder.file("wide.machair.json");
    Json book = Json::parse(demoText());
    book["feathers"] = {{{
                             "id",
                             "f",
                         },
                         {"material", "flank-bronze"},
                         {"side", "left"},
                         {"vane_mm", 60},
                         {"barbs_mm", {20, 20, 20}},
                         {"taken_mm", {{20, 40}}}}};
    book["cut_lists"] = {
        {{"id", "list"}, {"slips", {{{"id", "wide"}, {"material", "flank-bronze"}, {"width_mm", 24}, {"barb_mm", 10}, {"side", "any"}}}}}};
    std::ofstream(file) << book.dump();
    const Json whole = jsonOf("cuts '" + file.string() + "' --list list");
    REQUIRE(whole["uncut"].size() == 1);
    CHECK(whole["uncut"][0]["halves_mm"] == 12.0);
    const Json halves = jsonOf("cuts '" + file.string() + "' --list list --halves");
    CHECK(halves["uncut"].empty());
    CHECK(halves["feathers"][0]["cuts"].size() == 2);
    CHECK(halves["least_waste_mm"] == halves["waste_mm"]);
    CHECK(runCli("cuts '" + file.string() + "' --list list").out.find("married") != std::string::npos);
}

TEST_CASE("a rule card's length gauge is written, and a card without a length says so") {
    const TempFolder folder;
    const auto pdf = folder.file("gauge.pdf");
    const Json gauge = jsonOf(demo("card", "--rules skerrin-rules --out '" + pdf.string() + "'"));
    CHECK(gauge["longest_fly_mm"] == 24.0);
    CHECK(gauge["proving_bar_mm"] == 50.0);
    CHECK(std::filesystem::file_size(pdf) > 1500);
    const auto file = folder.file("bare.machair.json");
    Json book = Json::parse(demoText());
    book["rule_cards"][0].erase("longest_fly_mm");
    std::ofstream(file) << book.dump();
    CHECK(runCli("card '" + file.string() + "' --rules skerrin-rules --out '" + folder.file("none.pdf").string() + "'")
              .err.find("no longest fly") != std::string::npos);
    CHECK_FALSE(std::filesystem::exists(folder.file("none.pdf")));
    CHECK(runCli(demo("card", "--out x.pdf")).code == 2);
    CHECK(runCli(demo("card", "--rules nobody --out x.pdf")).code == 1);
    CHECK(runCli(demo("card", "--rules skerrin-rules --pattern kelp-lantern --out x.pdf")).code == 2);
}

TEST_CASE("an evening names what it leaves undone") {
    const Json evening = jsonOf(demo("evening", "--minutes 30"));
    int left = 0;
    for (const Json& fly : evening["left"])
        left += fly["count"].get<int>();
    CHECK(left > 0);
    const Json longer = jsonOf(demo("evening", "--minutes 120"));
    CHECK(longer["flies"].size() == longer["fit"]);
    for (const Json& fly : longer["flies"]) {
        hasKeys(fly, {"pattern", "hook", "starts_min", "whole_min", "dry_min"});
        CHECK(fly["dry_min"] <= 120.0 + 1e-9);
    }
    CHECK(runCli(demo("evening", "--by 25:00")).code == 1);
    CHECK(runCli(demo("evening", "--by 23:59 --minutes 10")).code == 2);
    CHECK(jsonOf(demo("evening", "--minutes 6000"))["left"].empty());
    CHECK(runCli(demo("evening", "--minutes 30")).out.find("not by then: ") != std::string::npos);
}

TEST_CASE("teams of one to five flies are weighed and drifted, each position by its name") {
    const TempFolder folder;
    const auto file = folder.file("five.machair.json");
    Json book = Json::parse(demoText());
    Json& team = book["teams"][0];
    const auto team5 = [&] {
        std::ofstream(file) << book.dump();
        return jsonOf("team '" + file.string() + "' --team west-shore");
    };
    team["upper"] = "shingle-wren";
    team["lower"] = "dune-bell";
    const Json five = team5();
    REQUIRE(five["flies"].size() == 5);
    const char* order[] = {"bob", "upper", "middle", "lower", "point"};
    for (std::size_t i = 0; i < 5; ++i)
        CHECK(five["flies"][i]["position"] == order[i]);
    const Json drift = jsonOf("drift '" + file.string() + "' --team west-shore --count 3 --retrieve 0.3 --for 2");
    for (const char* position : order) {
        CHECK(drift["series"][10].contains(std::string(position) + "_m"));
        CHECK(drift["bands"].contains(position));
    }
    CHECK(runCli("drift '" + file.string() + "' --team west-shore --count 3 --retrieve 0.3 --for 2").out.find("upper") !=
          std::string::npos);
    for (const char* gone : {"bob", "upper", "middle", "lower"})
        team.erase(gone);
    const Json one = team5();
    CHECK(one["flies"].size() == 1);
    CHECK(one["verdict"] == "pass");
    team.erase("point");
    std::ofstream(file) << book.dump();
    CHECK(runCli("team '" + file.string() + "' --team west-shore").err.find("expected at least one fly") != std::string::npos);
    team["leader"] = {{"bob_to_upper_m", 3.0}};
    team["bob"] = "kelp-lantern";
    std::ofstream(file) << book.dump();
    CHECK(runCli("team '" + file.string() + "' --team west-shore").err.find("bob_to_upper_m") != std::string::npos);
}

TEST_CASE("a water that isn't there is refused by every verb that takes one") {
    for (const auto& [verb, options] :
         {std::pair("team", "--team west-shore"), std::pair("balance", "--team west-shore"), std::pair("choose", "--wind 4 --fetch 900")}) {
        CAPTURE(verb);
        const Ran refused = runCli(demo(verb, std::string(options) + " --water NONSENSE"));
        CHECK(refused.code == 1);
        CHECK(refused.err.find("waters: expected the id of a water, got \"NONSENSE\"") != std::string::npos);
    }
}

TEST_CASE("a water of the book is a day of its own, and what is told beside it stands over it") {
    const Json book = Json::parse(demoText());
    const std::string water = book["waters"][0]["id"];
    CHECK(jsonOf(demo("choose", "--water " + water))["teams"].size() == 5);
    const Ran none = runCli(demo("choose", ""));
    CHECK(none.code == 2);
    CHECK(none.err.find("--wind or --water") != std::string::npos);
    const auto sinks = [&](const std::string& more) {
        return jsonOf(demo("team", "--team west-shore --water " + water + more))["flies"][0]["sink_m_s"].get<double>();
    };
    CHECK(sinks(" --celsius 2") < sinks(" --celsius 20"));
    CHECK(sinks("") == sinks(" --celsius " + book["waters"][0]["celsius"].dump()));
}

TEST_CASE("doctor and rescue tell and save, and write over nothing") {
    const TempFolder folder;
    const std::string book = folder.file("b.machair").string(), out = folder.file("saved.machair").string();
    REQUIRE(runCli(demo("convert", "'" + book + "'")).code == 0);
    CHECK(jsonOf("doctor '" + book + "'")["sound"] == true);
    {
        std::fstream file(book, std::ios::in | std::ios::out | std::ios::binary);
        file.seekp(4096 * 3);
        file << std::string(8000, '\xff');
    }
    CHECK(runCli("doctor '" + book + "'").code == 1);
    const Ran saved = runCli("rescue '" + book + "' '" + out + "'");
    CHECK(saved.code == 0);
    CHECK(saved.out.find("what could be read is in") != std::string::npos);
    // What was on a hook or from a material that is lost is there, marked; nothing else is amiss.
    const std::string amiss = runCli("validate '" + out + "'").err;
    std::istringstream lines(amiss);
    for (std::string line; std::getline(lines, line);)
        CHECK(line.find("patterns[") != std::string::npos);
    CHECK(runCli("rescue '" + book + "' '" + out + "'").code == 2);
}

TEST_CASE("steps come with their numbers, the thread's places and the ids of what goes wrong") {
    const Json json = jsonOf(demo("steps", "--pattern kelp-lantern"));
    REQUIRE(json["steps"].size() > 15);
    bool before = true, tied = false;
    for (std::size_t i = 0; i < json["steps"].size(); ++i) {
        const Json& step = json["steps"][i];
        hasKeys(step, {"n", "verb", "object", "number", "unit", "part", "before", "thread_before_mm", "thread_after_mm", "how", "face",
                       "side", "direction", "locks", "look", "wrong", "note", "minutes"});
        CHECK(step["n"] == i + 1);
        CHECK((before || !step["before"].get<bool>()));
        before = step["before"];
        tied = tied || step["verb"] == "tie off";
        CHECK(step["wrong"].is_array());
    }
    CHECK(tied);
    CHECK(runCli(demo("steps", "--pattern kelp-lantern --hook round-14 --left")).code <= 1);
    CHECK(runCli(demo("steps", "--pattern nobody")).code == 1);
    CHECK(runCli(demo("steps")).code == 2);
    CHECK(runCli(demo("steps", "--pattern kelp-lantern")).out.find("1. lay out the tray") == 0);
}

TEST_CASE("a sound order is empty") {
    const Json json = jsonOf(demo("order", "--pattern kelp-lantern"));
    CHECK(json["faults"].empty());
    CHECK(runCli(demo("order", "--pattern kelp-lantern")).out == "the order is sound\n");
    CHECK(runCli(demo("order", "--pattern nobody")).code == 1);
}

TEST_CASE("a recipe is read from a file or standard input, and written only where it is told to") {
    const std::filesystem::path folder = std::filesystem::temp_directory_path() / ("machair-recipe-" + std::to_string(::getpid()));
    std::filesystem::create_directories(folder);
    const std::string recipe = (folder / "recipe.txt").string(), into = (folder / "with.machair.json").string();
    std::ofstream(recipe) << "Ebb Spark\nHook: 10\nThread: black 72\nBody: magenta fur\nHackle: ginger hen, 2 or 3 turns\n";
    const Json json = jsonOf(demo("recipe", "--text '" + recipe + "'"));
    hasKeys(json, {"pattern", "materials", "hooks", "doubts"});
    CHECK(json["pattern"]["name"] == "Ebb Spark");
    CHECK(json["pattern"]["parts"][1]["turns"] == Json::array({2, 3}));
    REQUIRE(json["doubts"].size() == 1);
    hasKeys(json["doubts"][0], {"line", "column", "text", "question", "choices"});
    CHECK(json["doubts"][0]["line"] == 4);
    CHECK(json["materials"].size() == 1);
    CHECK(jsonOf(demo("recipe", "--text - < '" + recipe + "'")) == json);
    CHECK(runCli(demo("recipe", "--text '" + recipe + "' --into '" + into + "'")).code == 0);
    CHECK(runCli("validate '" + into + "'").code == 0);
    CHECK(jsonOf("plan '" + into + "' --pattern ebb-spark")["pattern"] == "ebb-spark");
    CHECK(runCli(demo("recipe", "--text '" + recipe + "' --into nowhere.txt")).code == 2);
    CHECK(runCli(demo("recipe", "--text /nobody/here")).code == 1);
    std::filesystem::remove_all(folder);
}

TEST_CASE("stand-ins say what changes and which of it is a rule of thumb") {
    const Json json = jsonOf(demo("standins", "--material oval-gold --pattern kelp-lantern --part 1"));
    REQUIRE_FALSE(json["standins"].empty());
    bool thumb = false;
    for (const Json& standIn : json["standins"]) {
        hasKeys(standIn, {"material", "changes"});
        for (const Json& change : standIn["changes"]) {
            hasKeys(change, {"what", "from", "to", "rule_of_thumb"});
            thumb = thumb || change["rule_of_thumb"];
        }
    }
    CHECK(thumb);
    CHECK_FALSE(jsonOf(demo("standins", "--material thread-black --pattern kelp-lantern"))["standins"].empty());
    CHECK(runCli(demo("standins", "--material nobody")).code == 1);
    CHECK(runCli(demo("standins", "--material oval-gold --part 1")).code == 2);
}
