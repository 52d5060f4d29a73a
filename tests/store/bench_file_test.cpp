#include <sys/stat.h>
#include <unistd.h>
#include <catch2/catch.hpp>
#include <filesystem>
#include <fstream>
#include <nlohmann/json.hpp>
#include <random>

#include "tests/samples.h"
#include "tests/temp_folder.h"

using namespace machair;
using namespace machair::tests;
using OrderedJson = nlohmann::ordered_json;

namespace {

constexpr unsigned kFileSeed = 20261125;

OrderedJson demoJson() { return OrderedJson::parse(demoText()); }

std::vector<std::string> linesOf(const std::string& text) {
    std::vector<std::string> lines;
    const auto opened = store::readBench(text);
    if (!opened)
        for (const Fault& fault : opened.error())
            lines.push_back(fault.line());
    return lines;
}
std::vector<std::string> linesOf(const OrderedJson& json) { return linesOf(json.dump()); }

bool has(const std::vector<std::string>& lines, std::string_view start) {
    return std::ranges::any_of(lines, [&](const std::string& line) { return line.starts_with(start); });
}

}  // namespace

TEST_CASE("the demo is sound and says what the issue asks of it") {
    const Book book = demoBook();
    CHECK(book.patterns.size() >= 8);
    CHECK(book.hooks.size() >= 5);
    CHECK(std::ranges::count_if(book.hooks, [](const HookSpec& h) { return h.measured.has_value(); }) >= 2);
    CHECK(book.teams.size() == 2);
}

TEST_CASE("a book written and read again is the same book") {
    const Book book = demoBook();
    CHECK(store::readBench(store::writeBench(book)).value().book == book);
}

TEST_CASE("unknown keys at every depth are warned of, kept and written back") {
    OrderedJson json = demoJson();
    json["season"] = {{"from", 3}};
    json["hooks"][0]["maker"] = "somebody";
    json["patterns"][0]["parts"][0]["length"]["why"] = "habit";
    json["teams"][0]["leader"]["knots"] = OrderedJson::array({1, 2});
    const auto opened = store::readBench(json.dump());
    REQUIRE(opened);
    CHECK(opened->warnings.size() == 4);
    const OrderedJson back = OrderedJson::parse(store::writeBench(opened->book));
    CHECK(back["season"] == json["season"]);
    CHECK(back["hooks"][0]["maker"] == "somebody");
    CHECK(back["patterns"][0]["parts"][0]["length"]["why"] == "habit");
    CHECK(back["teams"][0]["leader"]["knots"] == json["teams"][0]["leader"]["knots"]);
}

TEST_CASE("a part is named by its id as well, and stays so") {
    OrderedJson json = OrderedJson::parse(demoText());
    json["patterns"][0]["parts"][1]["id"] = "the-tail";
    json["patterns"][0]["parts"][3]["length"] = {{"to", "the-tail"}, {"fraction", 0.5}};
    const auto opened = store::readBench(json.dump());
    REQUIRE(opened);
    CHECK(OrderedJson::parse(store::writeBench(opened->book))["patterns"][0]["parts"][3]["length"] ==
          json["patterns"][0]["parts"][3]["length"]);
    json["patterns"][0]["parts"][3]["length"]["to"] = "the-tale";
    REQUIRE_FALSE(store::readBench(json.dump()));
    CHECK(store::readBench(json.dump()).error().front().place.text() == "patterns[0].parts[3].length.to");
}

TEST_CASE("all faults of a file are listed, each with its place") {
    OrderedJson json = demoJson();
    json["patterns"][2]["parts"][4]["layers"] = "many";
    json["hooks"][1]["size"] = 30;
    json["materials"][0]["denier"] = -5;
    json["patterns"][0]["parts"][3]["length"] = {{"to", "moon"}};
    const auto lines = linesOf(json);
    CHECK(lines.size() == 4);
    CHECK(has(lines, "patterns[2].parts[4].layers: expected a whole number from 1 to 64, got \"many\""));
    CHECK(has(lines, "hooks[1].size: expected a hook size from 2 to 20, got 30"));
    CHECK(has(lines, "materials[0].denier: "));
    CHECK(has(lines, "patterns[0].parts[3].length.to: expected a landmark"));
}

TEST_CASE("a dressing that can't be tied doesn't keep a file from being read: it is there, with its faults") {
    OrderedJson json = demoJson();
    json["patterns"][0]["parts"][1]["material"] = "no-such";
    json["patterns"][1]["hook"] = "gone";
    const auto opened = store::readBench(json.dump());
    REQUIRE(opened);
    const Book& book = opened->book;
    const auto plan = planWhatCan(book, book.patterns[0].id);
    REQUIRE(plan);
    REQUIRE(plan->faults.size() == 1);
    CHECK(plan->faults[0].line().starts_with("patterns[0].parts[1].material: "));
    const auto unplanned = planWhatCan(book, book.patterns[1].id);
    REQUIRE_FALSE(unplanned);
    CHECK(unplanned.error()[0].line().starts_with("patterns[1].hook: "));
    CHECK(planPattern(book, book.patterns[2].id));
    CHECK(checkWithPlans(book).size() == 2);
    OrderedJson circle = json;
    circle["patterns"][2]["parts"][0]["length"] = {{"ratio", 1.0}, {"of", "wing"}};
    CHECK(checkWithPlans(store::readBench(circle.dump())->book).size() >= 3);  // every fault, not only the first kind of them
}

TEST_CASE("missing flies, ids twice and empty teams are faults with their place") {
    OrderedJson json = demoJson();
    json["hooks"][2]["id"] = "wet-10";
    json["teams"][1] = {{"id", "empty"}};
    json["teams"][0]["bob"] = "nobody";
    const auto lines = linesOf(json);
    CHECK(has(lines, "hooks[2].id: "));
    CHECK(has(lines, "teams[1]: expected at least one fly, as bob, middle or point"));
    CHECK(has(lines, "teams[0].bob: "));
}

TEST_CASE("what is not JSON is placed by line and column") {
    CHECK(has(linesOf(std::string("{\n  \"format\": \"machair-bench\",\n  oops\n}")), "line 3, column 3: "));
    CHECK_FALSE(linesOf(std::string()).empty());
    CHECK_FALSE(linesOf(std::string("\xff\xfe{}")).empty());
    CHECK_FALSE(linesOf(std::string("{\"format\": \"machair-bench\", \"version\": 1, \"name\": \"\xc3\x28\"}")).empty());
}

TEST_CASE("another format, a newer version and nesting without end are refused") {
    CHECK(has(linesOf(std::string(R"({"format": "something", "version": 1})")), "format: "));
    CHECK(has(linesOf(std::string(R"({"format": "machair-bench", "version": 99})")), "version: "));
    CHECK(has(linesOf(std::string(R"([1, 2])")), ""));
    CHECK_FALSE(linesOf(std::string(200000, '[')).empty());
}

TEST_CASE("a file that is missing, a folder, unreadable or far too large is named and refused") {
    const TempFolder folder;
    const auto refused = [](const std::filesystem::path& path) {
        const auto opened = store::readBenchFile(path);
        REQUIRE_FALSE(opened);
        CHECK(opened.error().front().place.text() == path.string());
        return opened.error().front().what;
    };
    CHECK(refused(folder.file("none.machair.json")).find("no such file") != std::string::npos);
    std::filesystem::create_directory(folder.file("folder"));
    CHECK(refused(folder.file("folder")).find("folder") != std::string::npos);
    std::ofstream(folder.file("large.machair.json")) << "{";
    std::filesystem::resize_file(folder.file("large.machair.json"), 200u << 20);
    CHECK(refused(folder.file("large.machair.json")).find("64 MiB") != std::string::npos);
    if (::geteuid() != 0) {  // an administrator may read everything
        std::ofstream(folder.file("closed.machair.json")) << demoText();
        ::chmod(folder.file("closed.machair.json").c_str(), 0);
        CHECK(refused(folder.file("closed.machair.json")).find("can't be read") != std::string::npos);
    }
}

TEST_CASE("saving replaces the file in one step, and a folder that takes no file leaves the old one") {
    const TempFolder folder;
    const auto path = folder.file("book.machair.json");
    const Book book = demoBook();
    store::saveBenchFile(path, book);
    CHECK(store::readBenchFile(path)->book == book);
    CHECK_FALSE(std::filesystem::exists(path.string() + ".new"));
    CHECK_THROWS_AS(store::saveBenchFile(folder.file("missing/book.machair.json"), book), store::DiskError);
}

TEST_CASE("mangled files never crash, never give half a book") {
    CAPTURE(kFileSeed);
    std::mt19937 random(kFileSeed);
    const std::string sound = demoText();
    for (int i = 0; i < 300; ++i) {
        std::string text = sound;
        const int wounds = 1 + static_cast<int>(random() % 4);
        for (int k = 0; k < wounds; ++k) {
            const std::size_t at = random() % text.size();
            switch (random() % 3) {
                case 0: text[at] = static_cast<char>(random()); break;
                case 1: text.erase(at, 1 + random() % 40); break;
                default: text.insert(at, text.substr(random() % text.size(), random() % 30)); break;
            }
        }
        const auto opened = store::readBench(text);
        if (opened)
            CHECK(checkToRead(opened->book).empty());
        else
            CHECK_FALSE(opened.error().front().line().empty());
    }
}

TEST_CASE("values of the wrong type anywhere are faults, not crashes") {
    const std::vector<OrderedJson> wrong = {OrderedJson(),    OrderedJson(true),    OrderedJson(-1),       OrderedJson(1e308),
                                            OrderedJson("x"), OrderedJson::array(), OrderedJson::object(), OrderedJson(0)};
    const OrderedJson sound = demoJson();
    const OrderedJson flat = sound.flatten();
    std::mt19937 random(kFileSeed);
    for (const auto& [pointer, value] : flat.items()) {
        if (random() % 3 != 0) continue;  // a third of the places, each with one wrong value
        OrderedJson json = sound;
        json[OrderedJson::json_pointer(pointer)] = wrong[random() % wrong.size()];
        INFO(pointer);
        CHECK_NOTHROW(store::readBench(json.dump()));
    }
}

TEST_CASE("feathers, capes, days and cards that can't be are faults with their place") {
    OrderedJson json = OrderedJson::parse(demoText());
    json["feathers"][0]["taken_mm"] = OrderedJson::array({OrderedJson::array({50, 40})});
    json["feathers"][1]["barbs_mm"] = OrderedJson::array({10, 20});
    json["feathers"][2]["material"] = "nothing";
    json["feathers"][3]["side"] = "top";
    CHECK(has(linesOf(json), "feathers[3].side: "));  // a record that can't be read comes first
    json["feathers"][3]["side"] = "left";
    json["capes"][0]["bands"][1] = {{"from_mm", 9}, {"to_mm", 7}, {"count", 2}};
    json["days"][4]["date"] = "2026-13-01";
    json["waters"][0]["rules"] = "no-card";
    json["teams"][0]["own_school"] = "no-school";
    json["box"][0]["hook"] = "no-hook";
    json["cut_lists"][0]["slips"][1]["id"] = "pair-1";
    const auto lines = linesOf(json);
    for (const char* place :
         {"feathers[0].taken_mm[0]: ", "feathers[1].barbs_mm: ", "feathers[2].material: ", "capes[0].bands[1]: ", "days[4].date: ",
          "waters[0].rules: ", "teams[0].own_school: ", "box[0].hook: ", "cut_lists[0].slips[1].id: "}) {
        CAPTURE(place, lines);
        CHECK(has(lines, place));
    }
}
