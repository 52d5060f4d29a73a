#include <catch2/catch.hpp>
#include <nlohmann/json.hpp>
#include <valijson/adapters/nlohmann_json_adapter.hpp>
#include <valijson/schema.hpp>
#include <valijson/schema_parser.hpp>
#include <valijson/validator.hpp>

#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;
using Adapter = valijson::adapters::NlohmannJsonAdapter;

namespace {

bool conforms(const nlohmann::json& document) {
    static const nlohmann::json text = nlohmann::json::parse(store::benchSchema());
    valijson::Schema schema;
    valijson::SchemaParser parser;
    parser.populateSchema(Adapter(text), schema);
    valijson::Validator validator;
    valijson::ValidationResults results;
    return validator.validate(schema, Adapter(document), &results);
}

}  // namespace

TEST_CASE("the schema in the repository is the one that the program prints") {
    std::ifstream in(MACHAIR_SCHEMA);
    const std::string kept{std::istreambuf_iterator<char>(in), {}};
    CHECK(kept == store::benchSchema());
}

TEST_CASE("the demo conforms to the schema, and what the reader refuses does not") {
    CHECK(conforms(nlohmann::json::parse(demoText())));
    CHECK(conforms(nlohmann::json::parse(store::writeBench(demoBook()))));
    const auto broken = [](const char* pointer, const nlohmann::json& value) {
        nlohmann::json json = nlohmann::json::parse(demoText());
        json[nlohmann::json::json_pointer(pointer)] = value;
        return json;
    };
    for (const nlohmann::json& json :
         {broken("/hooks/0/size", 30), broken("/patterns/0/parts/3/length", {{"to", 3.5}}), broken("/patterns/0/parts/0/part", "wheel"),
          broken("/materials/0/denier", 0), broken("/materials/0/colour", "red"), broken("/format", "else")}) {
        CHECK_FALSE(conforms(json));
        CHECK_FALSE(store::readBench(json.dump()));
    }
}
