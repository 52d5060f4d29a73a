// JSON text as it comes from outside, and a book's records read each from its own text.
#include "store/json_parse.h"

#include <catch2/catch.hpp>

#include "store/records.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::store;

namespace {

std::string faultOf(const std::string& text) {
    const auto parsed = parseJson(text);
    return parsed ? std::string() : parsed.error().front().line();
}
std::string checkText(const std::string& id, const std::string& rest = {}) {
    return R"({"id": ")" + id + R"(", "pattern": "kelp-lantern", "date": "2026-05-02")" + rest + "}";
}

}  // namespace

TEST_CASE("a key that is given twice in one object is refused, in another it is not") {
    CHECK(faultOf(R"({"a": 1, "b": {"a": 2}, "c": [{"a": 3}, {"a": 4}]})").empty());
    CHECK(faultOf(R"({"a": 1, "b": 2, "a": 3})").find("\"a\" twice") != std::string::npos);
    CHECK(faultOf(R"([{"x": {"k": 1, "k": 1}}])").find("\"k\" twice") != std::string::npos);
    CHECK(faultOf(R"({"z": 1, "inner": {"y": 1}, "z": 2})").find("\"z\" twice") != std::string::npos);
}

TEST_CASE("an object of very many keys is looked through in no time that matters") {
    std::string text = "{";
    for (int i = 0; i < 200'000; ++i)
        text += (i ? ",\"k" : "\"k") + std::to_string(i) + "\":0";
    CHECK(faultOf(text + "}").empty());
    CHECK(faultOf(text + ",\"k77\":1}").find("\"k77\" twice") != std::string::npos);
}

TEST_CASE("nesting stops where it is too deep, and not before") {
    const auto nested = [](int depth) {
        return std::string(static_cast<std::size_t>(depth), '[') + std::string(static_cast<std::size_t>(depth), ']');
    };
    CHECK(faultOf(nested(kDeepestNesting)).empty());
    CHECK(faultOf(nested(kDeepestNesting + 40)).find("nesting") != std::string::npos);
    CHECK_FALSE(faultOf(nested(200'000)).empty());
}

TEST_CASE("what is no JSON says line and column") {
    CHECK(faultOf("{\n  \"a\": 1,\n  b\n}").starts_with("line 3, column 3"));
    CHECK(faultOf("").starts_with("line 1"));
    CHECK(faultOf("{\"a\": \"\xff\"}").starts_with("line 1"));
    CHECK(faultOf("{\"a\": 1e999}").find("numbers that a computer can hold") != std::string::npos);
}

TEST_CASE("records come back in order, however many threads read them") {
    std::vector<std::string> texts;
    for (int i = 0; i < 9001; ++i)
        texts.push_back(checkText("c" + std::to_string(i)));
    const auto read = readRecords<CheckedFly>("checks", texts);
    REQUIRE(read.spoilt.empty());
    REQUIRE(read.records.size() == texts.size());
    for (std::size_t i = 0; i < texts.size(); ++i)
        REQUIRE(read.records[i].id == "c" + std::to_string(i));
    CHECK(read.warnings.empty());
}

TEST_CASE("a record's fault stands at its list and place, and all of them are told") {
    std::vector<std::string> texts;
    for (int i = 0; i < 5000; ++i)
        texts.push_back(checkText("c" + std::to_string(i)));
    texts[3] = checkText("c3", R"(, "readings": 7)");
    texts[4990] = "{ not json";
    texts[4999] = R"({"id": ""})";
    const auto read = readRecords<CheckedFly>("checks", texts);
    REQUIRE(read.spoilt.size() == 3);
    CHECK(read.records.size() == texts.size());
    CHECK(read.records[2].id == "c2");  // the others are there
    std::vector<std::string> places;
    for (const auto& [index, faults] : read.spoilt)
        for (const Fault& fault : faults)
            places.push_back(fault.place.text());
    CHECK(std::ranges::any_of(places, [](const std::string& p) { return p == "checks[3].readings"; }));
    CHECK(std::ranges::any_of(places, [](const std::string& p) { return p == "checks[4990]"; }));
    CHECK(std::ranges::any_of(places, [](const std::string& p) { return p.starts_with("checks[4999]"); }));
}

TEST_CASE("what is wrong with a record's text is said once, remedy and all") {
    const std::vector<std::string> texts = {checkText("c", R"(, "id": "d")")};
    const auto read = readRecords<CheckedFly>("checks", texts);
    REQUIRE(read.spoilt.size() == 1);
    REQUIRE(read.spoilt.at(0).size() == 1);
    CHECK(read.spoilt.at(0).front().line() == "checks[0]: expected each key once in its object, got \"id\" twice; delete one of the two");
}

TEST_CASE("keys that this version doesn't know are kept with the record and told of") {
    const std::vector<std::string> texts = {checkText("c", R"(, "mood": {"of": ["the day"]})")};
    const auto read = readRecords<CheckedFly>("checks", texts);
    REQUIRE(read.spoilt.empty());
    REQUIRE(read.warnings.size() == 1);
    CHECK(read.warnings[0].place.text() == "checks[0].mood");
    const std::vector<std::string> again = {writeRecord(read.records[0])};
    CHECK(again[0].find("the day") != std::string::npos);
    CHECK(readRecords<CheckedFly>("checks", again).records[0] == read.records[0]);
}
