#include "store/json_reader.h"

#include <cmath>

#include "language/say.h"
#include "store/text_encoding.h"
#include "units/text.h"

namespace machair::store {

namespace {

constexpr const char* kLandmarks = unsaid("a landmark (eye, point, barb, bend, rearmost, body_end or tail_tip)");

bool isLandmark(const std::string& name) { return fromName<Landmark>(name) || fromName<FlyLandmark>(name); }

}  // namespace

std::string shown(const Json& json) {
    if (json.is_object()) return say("an object");
    if (json.is_array()) return say("a list");
    constexpr std::size_t kMost = 60;
    std::string text = json.dump(-1, ' ', false, Json::error_handler_t::replace);
    return text.size() <= kMost ? text : std::string(shortened(text, kMost)) + "…";
}

void JsonReader::read(const Json& json, const Trail& place, std::string& out, const Rule& rule) {
    const bool colour = std::string_view(rule.noun) == kColour.noun;
    if (!json.is_string() || (colour && !isColour(json.get_ref<const std::string&>())))
        return expected(place, colour ? kColour.noun : say("a text"), json);
    out = json.get<std::string>();
    if (place.isId() && trimmed(out).empty()) expected(place, say("an id"), json);
}

void JsonReader::read(const Json& json, const Trail& place, bool& out, const Rule&) {
    if (!json.is_boolean()) return expected(place, say("true or false"), json);
    out = json.get<bool>();
}

void JsonReader::read(const Json& json, const Trail& place, double& out, const Rule& rule) {
    if (!json.is_number()) return expected(place, rule.noun, json);
    const double value = json.get<double>();
    if (!rule.allows(value)) return expected(place, rule.noun, json);
    out = value;
}

void JsonReader::read(const Json& json, const Trail& place, int& out, const Rule& rule) {
    Rule whole = rule;
    whole.whole = true;
    whole.low = std::max(whole.low, -1e9);
    whole.high = std::min(whole.high, 1e9);
    double value = 0.0;
    read(json, place, value, whole);
    out = static_cast<int>(value);
}

void JsonReader::read(const Json& json, const Trail& place, Angle& out, const Rule& rule) {
    double degrees = 0.0;
    read(json, place, degrees, rule);
    out = Angle::degrees(degrees);
}

void JsonReader::read(const Json& json, const Trail& place, Count& out, const Rule& rule) {
    if (!json.is_array()) {
        double value = 0.0;
        read(json, place, value, rule);
        out = exactly(value);
        return;
    }
    if (json.size() != 2) return expected(place, say("{}, or a pair of them", say(rule.noun)), json);
    out.pair = true;
    read(json[0], place.at(0), out.low, rule);
    read(json[1], place.at(1), out.high, rule);
    if (out.high < out.low) faults.push_back({place, say("expected a pair with the smaller number first, got {}", json.dump()), ""});
}

void JsonReader::read(const Json& json, const Trail& place, PartRef& out, const Rule&) {
    if (json.is_number_unsigned()) {
        out.which = json.get<std::size_t>();
        return;
    }
    if (!json.is_string()) return expected(place, say("the name or id of a part, or its place in parts from 0"), json);
    const auto& name = json.get_ref<const std::string&>();
    if (const auto kind = fromName<PartKind>(name)) {
        out.which = *kind;
    } else {
        out.which = name;  // an id: whether there is such a part is known once the dressing is read
        named_.emplace_back(place, name);
    }
}

void JsonReader::resolveNames(const Pattern& pattern) {
    for (auto& [place, name] : named_)
        if (std::ranges::none_of(pattern.parts, [&name = name](const Part& part) { return part.id == name; }))
            faults.push_back(
                {std::move(place),
                 say("expected {}, or a part of this dressing by its name, place or id, got \"{}\"", std::string(kLandmarks), name), ""});
    named_.clear();
}

void JsonReader::read(const Json& json, const Trail& place, AnyLandmark& out, const Rule&) {
    if (json.is_string()) {
        const auto& name = json.get_ref<const std::string&>();
        if (const auto landmark = fromName<Landmark>(name)) {
            out = *landmark;
            return;
        }
        if (const auto landmark = fromName<FlyLandmark>(name)) {
            out = *landmark;
            return;
        }
    }
    expected(place, kLandmarks, json);
}

void JsonReader::read(const Json& json, const Trail& place, std::variant<WholeBody, std::size_t>& out, const Rule&) {
    if (json.is_number_unsigned())
        out = json.get<std::size_t>();
    else if (json == "all")
        out = WholeBody{};
    else
        expected(place, say("all, or a body section from 0"), json);
}

void JsonReader::read(const Json& json, const Trail& place, Full& out, const Rule& rule) {
    if (json.is_number()) {
        double worth = 0.0;
        read(json, place, worth, rule);
        out = worth;
        return;
    }
    const auto wanted = json.is_string() ? fromName<FullnessSchool>(json.get<std::string>()) : std::nullopt;
    if (!wanted) return expected(place, rule.noun, json);
    out = *wanted;
}

void JsonReader::read(const Json& json, const Trail& place, LengthSpec& out, const Rule&) {
    constexpr const char* kForms = unsaid("a length ({\"mm\": …}, {\"ratio\": …, \"of\": …}, {\"to\": …} or {\"bars\": …})");
    if (!json.is_object()) return expected(place, kForms, json);
    std::vector<const char*> known;
    int forms = 0;
    for (const char* key : {"mm", "ratio", "to", "bars"})
        forms += json.contains(key) ? 1 : 0;
    if (forms != 1) {
        faults.push_back(
            {place, forms == 0 ? say("expected {}, got none of these", say(kForms)) : say("expected {}, got several at once", say(kForms)),
             ""});
        return;
    }
    if (json.contains("mm")) {
        known = {"mm"};
        Length length;
        read(json["mm"], place.key("mm"), length, kLength);
        out.value = length;
    } else if (json.contains("bars")) {
        known = {"bars"};
        Bars bars;
        read(json["bars"], place.key("bars"), bars.count, kFew);
        out.value = bars;
    } else if (json.contains("ratio")) {
        known = {"ratio", "of"};
        out.value = readRatio(json, place);
    } else {
        known = {"to", "fraction", "past", "short"};
        out.value = readReach(json, place);
    }
    unknownKeys(json, place, known, out.carried);
}

Ratio JsonReader::readRatio(const Json& json, const Trail& place) {
    Ratio ratio;
    read(json["ratio"], place.key("ratio"), ratio.ratio, kRatio);
    const Json of = json.contains("of") ? json["of"] : Json();
    const auto yardstick = of.is_string() ? fromName<Yardstick>(of.get_ref<const std::string&>()) : std::nullopt;
    if (yardstick) {
        ratio.of = *yardstick;
    } else if (of.is_number_unsigned() || of.is_string()) {
        PartRef ref;
        read(of, place.key("of"), ref, {});
        ratio.of = ref;
    } else {
        expected(place.key("of"), say("{}, tail, wing or another part", listOfNames<Yardstick>()), of);
    }
    return ratio;
}

Reach JsonReader::readReach(const Json& json, const Trail& place) {
    Reach reach;
    const Json& to = json["to"];
    const bool part = to.is_number_unsigned() || (to.is_string() && !isLandmark(to.get_ref<const std::string&>()));
    if (part) {
        PartRef ref;
        read(to, place.key("to"), ref, {});
        reach.to = ref;
    } else {
        AnyLandmark landmark = Landmark::point;
        read(to, place.key("to"), landmark, {});
        reach.to = landmark;
    }
    if (json.contains("fraction")) {
        double fraction = 1.0;
        read(json["fraction"], place.key("fraction"), fraction, kFraction);
        reach.fraction = fraction;
        if (!part) expected(place.key("fraction"), say("a fraction only of a part such as the tail"), json["fraction"]);
    }
    const auto offset = [&](const char* key) -> std::optional<Held<LengthSpec>> {
        if (!json.contains(key)) return std::nullopt;
        LengthSpec spec;
        read(json[key], place.key(key), spec, {});
        return Held<LengthSpec>(std::move(spec));
    };
    reach.past = offset("past");
    reach.shortBy = offset("short");
    return reach;
}

void JsonReader::read(const Json& json, const Trail& place, Fly& out, const Rule& rule) {
    if (json.is_string()) return read(json, place, out.pattern, rule);
    if (!json.is_object()) return expected(place, std::string(rule.noun) + R"(, or {"pattern": …, "hook": …})", json);
    ObjectReader object(*this, json, place);
    describe(object, out);
}

void JsonReader::unknownKeys(const Json& object, const Trail& place, std::span<const char* const> known, Carried& carried) {
    for (const auto& [key, value] : object.items()) {
        if (std::ranges::find(known, std::string_view(key), [](const char* k) { return std::string_view(k); }) != known.end()) continue;
        carried[key] = value.dump();
        warnings.push_back({place.key(key), say("this version does not know this key; it is kept as it is"), ""});
    }
}

}  // namespace machair::store
