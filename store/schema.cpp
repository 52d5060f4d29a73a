// The JSON Schema of the bench file, from the same descriptions that read and write it.
#include <cmath>
#include <nlohmann/json.hpp>

#include "book/describe.h"
#include "store/bench_file.h"

namespace machair::store {

namespace {

using OrderedJson = nlohmann::ordered_json;

OrderedJson reference(const char* name) { return {{"$ref", std::string("#/definitions/") + name}}; }

OrderedJson limited(const Rule& rule) {
    OrderedJson schema = {{"type", rule.whole ? "integer" : "number"}};
    constexpr double kUnlimited = 1e299;
    if (rule.low > -kUnlimited) schema[rule.overLow ? "exclusiveMinimum" : "minimum"] = rule.low;
    if (rule.high < kUnlimited) schema["maximum"] = rule.high;
    return schema;
}

template <class Enum>
OrderedJson namesOf() {
    OrderedJson list = OrderedJson::array();
    for (const auto& entry : Names<Enum>::entries)
        list.push_back(std::string(entry.name));
    return list;
}

template <class Record>
OrderedJson objectSchema();

template <class T>
struct SchemaOf {
    static OrderedJson make(const Rule& rule) {
        if constexpr (std::is_enum_v<T>)
            return {{"enum", namesOf<T>()}};
        else if constexpr (std::is_same_v<T, bool>)
            return {{"type", "boolean"}};
        else if constexpr (std::is_same_v<T, int>) {
            Rule whole = rule;
            whole.whole = true;
            return limited(whole);
        } else if constexpr (std::is_same_v<T, double> || std::is_same_v<T, Angle>)
            return limited(rule);
        else if constexpr (std::is_same_v<T, std::string>) {
            if (std::string_view(rule.noun) == kColour.noun) return {{"type", "string"}, {"pattern", "^#[0-9a-fA-F]{6}$"}};
            return {{"type", "string"}};
        } else if constexpr (isId<T>)
            return {{"type", "string"}};
        else if constexpr (std::is_same_v<T, Count>)
            return {{"anyOf", {limited(rule), {{"type", "array"}, {"items", limited(rule)}, {"minItems", 2}, {"maxItems", 2}}}}};
        else if constexpr (std::is_same_v<T, std::array<Length, 2>>)
            return {{"type", "array"}, {"items", limited(rule)}, {"minItems", 2}, {"maxItems", 2}};
        else if constexpr (std::is_same_v<T, LengthSpec>)
            return reference("length");
        else if constexpr (std::is_same_v<T, StationSpec>)
            return reference("station");
        else if constexpr (std::is_same_v<T, PartRef>)
            return reference("part_reference");
        else if constexpr (std::is_same_v<T, AnyLandmark>)
            return reference("landmark");
        else if constexpr (std::is_same_v<T, Full>)
            return {
                {"anyOf",
                 {{{"enum", {"sparse", "standard", "full", "bushy"}}}, {{"type", "number"}, {"exclusiveMinimum", 0}, {"maximum", 20}}}}};
        else if constexpr (std::is_same_v<T, std::variant<WholeBody, std::size_t>>)
            return {{"anyOf", {{{"enum", {"all"}}}, {{"type", "integer"}, {"minimum", 0}}}}};
        else if constexpr (std::is_same_v<T, Fly>)
            return {{"anyOf", {{{"type", "string"}}, objectSchema<Fly>()}}};
        else if constexpr (std::is_same_v<T, Material>)
            return reference("material");
        else if constexpr (std::is_same_v<T, Part>)
            return reference("part");
        else if constexpr (requires(T t) { t.base(); })
            return limited(rule);
        else
            return objectSchema<T>();
    }
};

class SchemaWriter {
  public:
    template <class T>
    void operator()(const char* key, const T&, const Rule& rule = {}) {
        properties[key] = SchemaOf<T>::make(rule);
        required.push_back(key);
    }
    template <class T>
    void operator()(const char* key, const std::optional<T>&, const Rule& rule = {}) {
        properties[key] = SchemaOf<T>::make(rule);
    }
    template <class T>
    void operator()(const char* key, const std::vector<T>&, const Rule& rule = {}) {
        properties[key] = {{"type", "array"}, {"items", SchemaOf<T>::make(rule)}};
    }
    template <class Kind, class Variant>
    void byKind(Kind kind, const Variant&, Variant (*make)(Kind)) {
        const Variant member = make(kind);
        std::visit([this](const auto& alternative) { describe(*this, alternative); }, member);
    }
    void rest(const Carried&) {}

    [[nodiscard]] OrderedJson take() {
        OrderedJson schema = {{"type", "object"}, {"properties", std::move(properties)}};
        if (!required.empty()) schema["required"] = std::move(required);
        return schema;
    }

    OrderedJson properties = OrderedJson::object();
    OrderedJson required = OrderedJson::array();
};

template <class Record>
OrderedJson objectSchema() {
    SchemaWriter writer;
    const Record record{};
    describe(writer, record);
    return writer.take();
}

// One schema for each kind of a record that has kinds, and one that is any of them.
template <class Record, class Kind>
OrderedJson byKindSchema(Kind Record::*kind, const char* key) {
    OrderedJson any = OrderedJson::array();
    for (const auto& entry : Names<Kind>::entries) {
        Record record{};
        record.*kind = entry.value;
        SchemaWriter writer;
        describe(writer, std::as_const(record));
        writer.properties[key] = {{"enum", {std::string(entry.name)}}};
        any.push_back(writer.take());
    }
    return {{"anyOf", std::move(any)}};
}

OrderedJson lengthSchema() {
    const OrderedJson offset = reference("length");
    const auto form = [](OrderedJson properties, OrderedJson required) {
        return OrderedJson{{"type", "object"}, {"properties", std::move(properties)}, {"required", std::move(required)}};
    };
    const OrderedJson of = {{"anyOf", {{{"enum", namesOf<Yardstick>()}}, reference("part_reference")}}};
    const OrderedJson to = {{"anyOf", {reference("landmark"), reference("part_reference")}}};
    return {{"anyOf",
             {form({{"mm", limited(kLength)}}, {"mm"}), form({{"ratio", limited(kRatio)}, {"of", of}}, {"ratio", "of"}),
              form({{"to", to}, {"fraction", limited(kFraction)}, {"past", offset}, {"short", offset}}, {"to"}),
              form({{"bars", limited(kFew)}}, {"bars"})}}};
}

}  // namespace

std::string benchSchema() {
    OrderedJson landmarks = namesOf<Landmark>();
    for (const OrderedJson& name : namesOf<FlyLandmark>())
        landmarks.push_back(name);
    OrderedJson schema = {{"$schema", "http://json-schema.org/draft-07/schema#"}, {"title", "Machair bench file"}};
    schema.update(objectSchema<Book>());
    OrderedJson properties = {{"format", {{"enum", {"machair-bench"}}}},
                              {"version", {{"type", "integer"}, {"minimum", 1}, {"maximum", kBenchVersion}}}};
    properties.update(schema["properties"]);
    schema["properties"] = std::move(properties);
    schema["required"] = {"format", "version"};
    schema["definitions"] = {
        {"length", lengthSchema()},
        {"landmark", {{"enum", landmarks}}},
        {"part_reference",
         {{"anyOf", {{{"enum", namesOf<PartKind>()}}, {{"type", "string"}, {"minLength", 1}}, {{"type", "integer"}, {"minimum", 0}}}}}},
        {"station", objectSchema<StationSpec>()},
        {"material", byKindSchema(&Material::kind, "kind")},
        {"part", byKindSchema(&Part::kind, "part")}};
    return schema.dump(2) + "\n";
}

}  // namespace machair::store
