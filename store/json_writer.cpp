// Writes described records as JSON: what was read goes out again, what was absent stays absent.
#include <cmath>
#include <nlohmann/json.hpp>

#include "book/describe.h"
#include "store/bench_file.h"
#include "store/records.h"
#include "units/text.h"

namespace machair::store {

namespace {

using OrderedJson = nlohmann::ordered_json;

OrderedJson number(double value) {
    constexpr double kExactWhole = 9e15;
    if (value == std::round(value) && std::abs(value) < kExactWhole) return static_cast<std::int64_t>(value);
    return value;
}

// A number that is scaled on reading, so that reading it gives the same to the last bit: of those that do, the one with
// 15 digits where it is among them, so that 1.1 m comes back as 1.1 and not as 1.1000000000000001. `read` is what the
// reader will make of it.
template <class Read>
OrderedJson unscaled(double value, double base, Read read) {
    constexpr int kDigits = 15;
    const double magnitude = value == 0.0 ? 0.0 : std::floor(std::log10(std::abs(value)));
    const int decimals = std::max(0, kDigits - 1 - static_cast<int>(magnitude));
    const double round = parseNumber(formatNumber(value, decimals)).value_or(value);
    constexpr double kFar = 1e300;
    for (const double candidate : {round, value, std::nextafter(value, kFar), std::nextafter(value, -kFar)})
        if (read(candidate) == base) return number(candidate);
    return number(value);
}

OrderedJson toJson(const std::string& text, const Rule&) { return text; }
template <class Record>
OrderedJson toJson(const Id<Record>& id, const Rule&) {
    return id.text();
}
OrderedJson toJson(bool value, const Rule&) { return value; }
OrderedJson toJson(int value, const Rule&) { return value; }
OrderedJson toJson(double value, const Rule&) { return number(value); }
OrderedJson toJson(Angle angle, const Rule&) {
    return unscaled(angle.inDegrees(), angle.inRadians(), [](double degrees) { return Angle::degrees(degrees).inRadians(); });
}
template <int L, int M, int T>
OrderedJson toJson(Quantity<L, M, T> quantity, const Rule& rule) {
    if (rule.scale == 1.0) return number(quantity.base());
    return unscaled(quantity.base() / rule.scale, quantity.base(), [&](double written) { return written * rule.scale; });
}
template <class T>
OrderedJson toJson(const std::array<T, 2>& pair, const Rule& rule) {
    return OrderedJson::array({toJson(pair[0], rule), toJson(pair[1], rule)});
}
template <class Enum>
requires std::is_enum_v<Enum> OrderedJson toJson(Enum value, const Rule&) { return std::string(nameOf(value)); }
OrderedJson toJson(const Count& count, const Rule&) {
    if (!count.pair) return number(count.low);
    return OrderedJson::array({number(count.low), number(count.high)});
}
OrderedJson toJson(const PartRef& ref, const Rule&) {
    if (const auto* kind = std::get_if<PartKind>(&ref.which)) return std::string(nameOf(*kind));
    if (const auto* id = std::get_if<std::string>(&ref.which)) return *id;
    return std::get<std::size_t>(ref.which);
}
OrderedJson toJson(const AnyLandmark& landmark, const Rule&) {
    return std::visit([](auto l) { return OrderedJson(std::string(nameOf(l))); }, landmark);
}
OrderedJson toJson(const Full& full, const Rule&) {
    if (const auto* worth = std::get_if<double>(&full)) return *worth;
    return std::string(nameOf(std::get<FullnessSchool>(full)));
}
OrderedJson toJson(const std::variant<WholeBody, std::size_t>& along, const Rule&) {
    if (const auto* index = std::get_if<std::size_t>(&along)) return *index;
    return "all";
}
void addCarried(OrderedJson& object, const Carried& carried) {
    for (const auto& [key, text] : carried)
        object[key] = OrderedJson::parse(text);
}
OrderedJson toJson(const LengthSpec& spec, const Rule& rule) {
    struct Visit {
        const Rule& rule;
        OrderedJson operator()(Length length) const { return {{"mm", number(length / mm)}}; }
        OrderedJson operator()(const Ratio& ratio) const {
            OrderedJson of;
            if (const auto* ref = std::get_if<PartRef>(&ratio.of))
                of = toJson(*ref, rule);
            else
                of = std::string(nameOf(std::get<Yardstick>(ratio.of)));
            return {{"ratio", number(ratio.ratio)}, {"of", of}};
        }
        OrderedJson operator()(const Reach& reach) const {
            OrderedJson json = OrderedJson::object();
            if (const auto* ref = std::get_if<PartRef>(&reach.to))
                json["to"] = toJson(*ref, rule);
            else
                json["to"] = toJson(std::get<AnyLandmark>(reach.to), rule);
            if (reach.fraction) json["fraction"] = number(*reach.fraction);
            if (reach.past) json["past"] = toJson(**reach.past, rule);
            if (reach.shortBy) json["short"] = toJson(**reach.shortBy, rule);
            return json;
        }
        OrderedJson operator()(const Bars& bars) const { return {{"bars", bars.count}}; }
    };
    OrderedJson json = std::visit(Visit{rule}, spec.value);
    addCarried(json, spec.carried);
    return json;
}

OrderedJson toJson(const Fly& fly, const Rule&);

class ObjectWriter {
  public:
    template <class T>
    void operator()(const char* key, const T& member, const Rule& rule = {}) {
        object_[key] = value(member, rule);
    }
    template <class T>
    void operator()(const char* key, const std::optional<T>& member, const Rule& rule = {}) {
        if (member) object_[key] = value(*member, rule);
    }
    template <class T>
    void operator()(const char* key, const std::vector<T>& member, const Rule& rule = {}) {
        if (member.empty()) return;
        OrderedJson list = OrderedJson::array();
        for (const T& item : member)
            list.push_back(value(item, rule));
        object_[key] = std::move(list);
    }
    template <class Kind, class Variant>
    void byKind(Kind, const Variant& member, Variant (*)(Kind)) {
        std::visit([this](const auto& alternative) { describe(*this, alternative); }, member);
    }
    void rest(const Carried& carried) { addCarried(object_, carried); }
    [[nodiscard]] OrderedJson take() { return std::move(object_); }

  private:
    template <class T>
    static OrderedJson value(const T& member, const Rule& rule) {
        if constexpr (requires { toJson(member, rule); })
            return toJson(member, rule);
        else {
            ObjectWriter writer;
            describe(writer, member);
            return writer.take();
        }
    }
    OrderedJson object_ = OrderedJson::object();
};

// A dressing on its own hook is its bare id.
OrderedJson toJson(const Fly& fly, const Rule&) {
    if (fly == Fly(fly.pattern)) return fly.pattern;
    ObjectWriter writer;
    describe(writer, fly);
    return writer.take();
}

}  // namespace

template <class Record>
std::string writeRecord(const Record& record) {
    ObjectWriter writer;
    describe(writer, record);
    return writer.take().dump();
}
template std::string writeRecord(const HookSpec&);
template std::string writeRecord(const Material&);
template std::string writeRecord(const Pattern&);
template std::string writeRecord(const SchoolChoices&);
template std::string writeRecord(const TeamSpec&);
template std::string writeRecord(const VaneFeather&);
template std::string writeRecord(const CutList&);
template std::string writeRecord(const TeamSchool&);
template std::string writeRecord(const WaterSpec&);
template std::string writeRecord(const RuleCard&);
template std::string writeRecord(const BoxFly&);
template std::string writeRecord(const Cape&);
template std::string writeRecord(const Stock&);
template std::string writeRecord(const SeasonRow&);
template std::string writeRecord(const Mishap&);
template std::string writeRecord(const Batch&);
template std::string writeRecord(const CheckedFly&);
template std::string writeRecord(const Day&);

std::string writeCarried(const Carried& carried) {
    OrderedJson object = OrderedJson::object();
    addCarried(object, carried);
    return object.dump();
}

std::string writeBench(const Book& book) {
    OrderedJson document = {{"format", "machair-bench"}, {"version", kBenchVersion}};
    ObjectWriter writer;
    describe(writer, book);
    document.update(writer.take());
    return document.dump(2) + "\n";
}

}  // namespace machair::store
