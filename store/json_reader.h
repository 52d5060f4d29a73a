// Reads described records from JSON, collecting every fault. Inside store only.
#pragma once

#include <algorithm>
#include <array>
#include <span>
#include <string>
#include <vector>

#include "book/describe.h"
#include "faults/trail.h"
#include "language/say.h"
#include "store/json_parse.h"

namespace machair::store {

// "got …" for a fault: short, whatever it is.
[[nodiscard]] std::string shown(const Json& json);

class JsonReader {
  public:
    Faults faults;
    Faults warnings;

    void expected(const Trail& place, const std::string& what, const Json& got) {
        faults.push_back({place, say("expected {}, got {}", say(what), shown(got)), ""});
    }

    void read(const Json& json, const Trail& place, std::string& out, const Rule& rule);
    template <class Record>
    void read(const Json& json, const Trail& place, Id<Record>& out, const Rule& rule) {
        std::string text;
        read(json, place, text, rule);
        out = Id<Record>(std::move(text));
    }
    void read(const Json& json, const Trail& place, bool& out, const Rule& rule);
    void read(const Json& json, const Trail& place, int& out, const Rule& rule);
    void read(const Json& json, const Trail& place, double& out, const Rule& rule);
    void read(const Json& json, const Trail& place, Angle& out, const Rule& rule);
    void read(const Json& json, const Trail& place, Count& out, const Rule& rule);
    void read(const Json& json, const Trail& place, PartRef& out, const Rule& rule);
    void read(const Json& json, const Trail& place, AnyLandmark& out, const Rule& rule);
    void read(const Json& json, const Trail& place, LengthSpec& out, const Rule& rule);
    [[nodiscard]] Ratio readRatio(const Json& json, const Trail& place);
    [[nodiscard]] Reach readReach(const Json& json, const Trail& place);
    void read(const Json& json, const Trail& place, std::variant<WholeBody, std::size_t>& out, const Rule& rule);
    void read(const Json& json, const Trail& place, Full& out, const Rule& rule);
    void read(const Json& json, const Trail& place, Fly& out, const Rule& rule);

    template <int L, int M, int T>
    void read(const Json& json, const Trail& place, Quantity<L, M, T>& out, const Rule& rule) {
        double value = 0.0;
        read(json, place, value, rule);
        out = Quantity<L, M, T>::fromBase(value * rule.scale);
    }
    template <class T>
    void read(const Json& json, const Trail& place, std::array<T, 2>& out, const Rule& rule) {
        if (!json.is_array() || json.size() != 2) return expected(place, say("a pair of numbers"), json);
        read(json[0], place.at(0), out[0], rule);
        read(json[1], place.at(1), out[1], rule);
    }
    template <class Enum>
    requires std::is_enum_v<Enum>
    void read(const Json& json, const Trail& place, Enum& out, const Rule&) {
        const auto value = json.is_string() ? fromName<Enum>(json.get_ref<const std::string&>()) : std::nullopt;
        if (value)
            out = *value;
        else
            expected(place, listOfNames<Enum>(), json);
    }
    template <class Record>
    requires std::is_class_v<Record>
    void read(const Json& json, const Trail& place, Record& out, const Rule& rule);

    // Whether the parts that a dressing names by neither kind nor place are there under their own ids.
    void resolveNames(const Pattern& pattern);

    void unknownKeys(const Json& object, const Trail& place, std::span<const char* const> known, Carried& carried);

  private:
    std::vector<std::pair<Place, std::string>> named_;  // where in the dressing that is being read, and what
};

// One object on its way into a record.
class ObjectReader {
  public:
    ObjectReader(JsonReader& reader, const Json& object, const Trail& place) : reader_(reader), object_(object), place_(place) {}

    template <class T>
    void operator()(const char* key, T& member, const Rule& rule = {}) {
        known_.push_back(key);
        const auto found = object_.find(key);
        if (found == object_.end()) {
            reader_.faults.push_back({place_.key(key), say("expected {}, got nothing", say(rule.noun)), say("this key must be there")});
            return;
        }
        reader_.read(*found, place_.key(key), member, rule);
    }
    void operator()(const char* key, std::string& member, const Rule& rule = {}) {
        Rule named = rule;
        if (std::string_view(rule.noun) == Rule{}.noun) named.noun = unsaid("a text");
        operator()<std::string>(key, member, named);
    }
    template <class Record>
    void operator()(const char* key, Id<Record>& member, const Rule& rule = {}) {
        std::string text = member;
        (*this)(key, text, rule);
        member = Id<Record>(std::move(text));
    }
    template <class T>
    void operator()(const char* key, std::optional<T>& member, const Rule& rule = {}) {
        known_.push_back(key);
        const auto found = object_.find(key);
        if (found == object_.end()) return;
        T value{};
        reader_.read(*found, place_.key(key), value, rule);
        member = std::move(value);
    }
    template <class T>
    void operator()(const char* key, std::vector<T>& member, const Rule& rule = {}) {
        known_.push_back(key);
        const auto found = object_.find(key);
        if (found == object_.end()) return;
        if (!found->is_array()) return reader_.expected(place_.key(key), say("a list"), *found);
        for (std::size_t i = 0; i < found->size(); ++i) {
            T value{};
            reader_.read((*found)[i], place_.key(key).at(i), value, rule);
            member.push_back(std::move(value));
        }
    }
    template <class Kind, class Variant>
    void byKind(Kind kind, Variant& member, Variant (*make)(Kind)) {
        member = make(kind);
        std::visit([this](auto& alternative) { describe(*this, alternative); }, member);
    }
    void rest(Carried& carried) { reader_.unknownKeys(object_, place_, known_, carried); }

  private:
    JsonReader& reader_;
    const Json& object_;
    const Trail& place_;
    std::vector<const char*> known_;
};

template <class Record>
requires std::is_class_v<Record>
void JsonReader::read(const Json& json, const Trail& place, Record& out, const Rule&) {
    if (!json.is_object()) return expected(place, say("an object in { }"), json);
    ObjectReader object(*this, json, place);
    describe(object, out);
    if constexpr (std::is_same_v<Record, Pattern>) resolveNames(out);
}

}  // namespace machair::store
