// The product's own documents say the numbers that the code has: where both hold one, neither may move alone.
#include <catch2/catch.hpp>
#include <fstream>
#include <sstream>

#include "material/material.h"
#include "tests/samples.h"
#include "units/text.h"

using namespace machair;
using namespace machair::tests;

namespace {

std::string document(const char* name) {
    std::ifstream in(std::string(MACHAIR_DOCS) + "/" + name);
    std::stringstream text;
    text << in.rdbuf();
    return text.str();
}

// The rows of the table whose heading begins so, cells trimmed.
std::vector<std::vector<std::string>> tableOf(const std::string& text, const std::string& heading) {
    std::vector<std::vector<std::string>> rows;
    std::istringstream lines(text.substr(std::min(text.find("| " + heading + " |"), text.size())));
    std::string line;
    for (int n = 0; std::getline(lines, line) && line.starts_with("|"); ++n) {
        if (n < 2) continue;  // heading and ruling
        std::vector<std::string> cells;
        std::istringstream own(line.substr(1));
        for (std::string cell; std::getline(own, cell, '|');)
            cells.emplace_back(trimmed(cell));
        rows.push_back(std::move(cells));
    }
    return rows;
}

double numberOf(const std::string& cell) { return parseNumber(cell).value(); }

}  // namespace

TEST_CASE("the families of hooks stand in the document as they are computed") {
    const auto rows = tableOf(document("models.md"), "family");
    CHECK(rows.size() == Names<HookFamily>::entries.size());
    for (const auto& row : rows) {
        CAPTURE(row[0]);
        const auto family = fromName<HookFamily>(row[0]);
        REQUIRE(family);
        const FamilyShape shape = shapeOf(*family);
        CHECK(shape.gapeFactor == numberOf(row[1]));
        CHECK(shape.bendRadius == numberOf(row[2]));
        CHECK(shape.spear == numberOf(row[3]));
        CHECK(shape.turn.inDegrees() == Approx(numberOf(row[4])));
    }
}

TEST_CASE("sizes as sold stand in the document as they are taken") {
    const auto rows = tableOf(document("models.md"), "kind");
    CHECK(rows.size() > 10);
    for (const auto& row : rows) {
        CAPTURE(row[0], row[1]);
        const auto kind = fromName<MaterialKind>(row[0]);
        REQUIRE(kind);
        const auto size = sizeOfLabel(*kind, row[1]);
        REQUIRE(size);
        CHECK(*size / mm == Approx(numberOf(row[2])));
    }
}

TEST_CASE("feathers stand in the document as they are assumed") {
    const auto rows = tableOf(document("models.md"), "bird");
    CHECK(rows.size() == Names<Bird>::entries.size() - 1);  // all but "other", which is hen's
    for (const auto& row : rows) {
        CAPTURE(row[0]);
        HackleTraits traits;
        traits.bird = fromName<Bird>(row[0]);
        REQUIRE(traits.bird);
        const Feather own = feather(material("h", MaterialKind::hackle, traits), hookOf(10));
        CHECK(own.gamma == numberOf(row[1]));
        CHECK(own.stem / mm == Approx(numberOf(row[2])));
        CHECK(own.density * mm == Approx(numberOf(row[3])));
        CHECK(own.fibre / mm == Approx(numberOf(row[4])));
    }
}

TEST_CASE("every document that the code names is there") {
    for (const char* name : {"models.md", "models-team.md", "formats.md", "drawing.md", "architecture.md", "decisions/README.md"}) {
        CAPTURE(name);
        CHECK(document(name).size() > 500);
    }
    const std::string models = document("models.md");
    for (int section = 1; section <= 15; ++section)
        CHECK(models.find("\n## " + std::to_string(section) + ". ") != std::string::npos);
    const std::string team = document("models-team.md");
    for (char section = 'A'; section <= 'J'; ++section)
        CHECK(team.find(std::string("\n## ") + section + ". ") != std::string::npos);
}
