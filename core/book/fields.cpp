#include "book/fields.h"

#include <algorithm>
#include <array>

#include "book/describe.h"
#include "book/flies.h"
#include "book/spec_words.h"
#include "language/say.h"
#include "units/text.h"

namespace machair {

namespace {

struct Primary {
    PartKind kind;
    std::string_view key;
};
constexpr std::array kPrimary = {Primary{PartKind::tag, "turns"},
                                 Primary{PartKind::butt, "turns"},
                                 Primary{PartKind::tail, "length"},
                                 Primary{PartKind::tail, "fibres"},
                                 Primary{PartKind::rib, "turns"},
                                 Primary{PartKind::rib, "direction"},
                                 Primary{PartKind::underbody, "layers"},
                                 Primary{PartKind::body, "end"},
                                 Primary{PartKind::body, "rear_diameter"},
                                 Primary{PartKind::body, "front_diameter"},
                                 Primary{PartKind::body, "exponent"},
                                 Primary{PartKind::thorax, "rear_diameter"},
                                 Primary{PartKind::thorax, "front_diameter"},
                                 Primary{PartKind::palmer, "length"},
                                 Primary{PartKind::palmer, "shoulder_turns"},
                                 Primary{PartKind::palmer, "open_turns"},
                                 Primary{PartKind::collar, "length"},
                                 Primary{PartKind::collar, "turns"},
                                 Primary{PartKind::collar, "tie_in"},
                                 Primary{PartKind::throat, "length"},
                                 Primary{PartKind::throat, "turns"},
                                 Primary{PartKind::legs, "length"},
                                 Primary{PartKind::legs, "count"},
                                 Primary{PartKind::wing, "style"},
                                 Primary{PartKind::wing, "length"},
                                 Primary{PartKind::wing, "depth"},
                                 Primary{PartKind::cheek, "length"},
                                 Primary{PartKind::head, "whip_turns"},
                                 Primary{PartKind::head, "coats"}};

// The words of its rule, else the key's own: "from_mm" is "from, mm".
std::string nameFor(std::string_view key, const Rule& rule) { return rule.label ? say(rule.label) : sayKey(key); }
std::string enumName(std::string_view text) {
    std::string name(trimmed(text));
    std::ranges::replace(name, ' ', '_');
    return name;
}

std::string countText(const Count& count) {
    if (!count.pair) return formatExact(count.low);
    return formatExact(count.low) + " to " + formatExact(count.high);
}

// How each type of member is shown and read. One overload a type; a type without one doesn't compile.
struct Show {
    static Field make(const LengthSpec& v) { return {{}, {}, FieldKind::length, writeSpec(v), {}}; }
    static Field make(const StationSpec& v) { return {{}, {}, FieldKind::station, writeSpec(v), {}}; }
    static Field make(const Count& v) { return {{}, {}, FieldKind::count, countText(v), {}}; }
    static Field make(const Length& v) { return {{}, {}, FieldKind::number, formatExact(v / mm), {}}; }
    static Field make(const Angle& v) { return {{}, {}, FieldKind::number, formatShort(v.inDegrees(), 6), {}}; }
    static Field make(int v) { return {{}, {}, FieldKind::number, std::to_string(v), {}}; }
    static Field make(double v) { return {{}, {}, FieldKind::number, formatExact(v), {}}; }
    static Field make(bool v) { return {{}, {}, FieldKind::choice, v ? unsaid("yes") : unsaid("no"), {"yes", "no"}}; }
    static Field make(const Full& v) {
        const auto* worth = std::get_if<double>(&v);
        return {{}, {}, FieldKind::text, worth ? formatExact(*worth) : std::string(nameOf(std::get<FullnessSchool>(v))), {}};
    }
    static Field make(const std::variant<WholeBody, std::size_t>& v) {
        const auto* section = std::get_if<std::size_t>(&v);
        return {{}, {}, FieldKind::number, section ? std::to_string(*section) : "all", {}};
    }
    static Field make(const std::string& v) { return {{}, {}, FieldKind::text, v, {}}; }
    template <class Record>
    static Field make(const Id<Record>& v) {
        return make(v.text());
    }
    template <class Record>
    static Field make(const std::vector<Id<Record>>& v) {
        return {{}, {}, FieldKind::text, joined(v, [](const Id<Record>& id) { return id.text(); }), {}};
    }
    static Field make(const std::vector<std::string>& v) {
        return {{}, {}, FieldKind::text, joined(v, [](const std::string& s) { return s; }), {}};
    }
    static Field make(const std::vector<double>& v) {
        return {{}, {}, FieldKind::text, joined(v, [](double d) { return formatExact(d); }), {}};
    }
    static Field make(const std::vector<std::array<Length, 2>>& v) {
        return {{},
                {},
                FieldKind::text,
                joined(v, [](const std::array<Length, 2>& s) { return formatExact(s[0] / mm) + " to " + formatExact(s[1] / mm); }),
                {}};
    }
    static Field make(const PartRef& v) { return {{}, {}, FieldKind::text, partName(v), {}}; }
    static Field make(const Fly& v) { return {{}, {}, FieldKind::fly, writeFly(v), {}}; }
    static Field make(const std::vector<Length>& v) {
        return {{}, {}, FieldKind::text, joined(v, [](Length l) { return formatExact(l / mm); }), {}};
    }
    static Field make(const std::vector<BlendPart>& v) {
        return {{}, {}, FieldKind::text, joined(v, [](const BlendPart& b) { return b.material + " " + formatExact(b.parts); }), {}};
    }
    static Field make(const std::vector<WoundFur>& v) {
        return {{},
                {},
                FieldKind::text,
                joined(v,
                       [](const WoundFur& w) {
                           return spaced(nameOf(w.method)) + " " + std::to_string(w.size) + " " + formatExact(w.ofReckoned);
                       }),
                {}};
    }
    static Field make(const PerLength& v) { return {{}, {}, FieldKind::number, formatExact(v * mm), {}}; }
    static Field make(const Speed& v) { return {{}, {}, FieldKind::number, formatShort(v / metrePerSecond, 9), {}}; }
    static Field make(const Density& v) { return {{}, {}, FieldKind::number, formatExact(v / mgPerMm3), {}}; }
    template <class Enum>
    requires std::is_enum_v<Enum>
    static Field make(const std::vector<Enum>& v) {
        return {{}, {}, FieldKind::text, joined(v, [](Enum e) { return spaced(nameOf(e)); }), {}};
    }
    template <class List, class Text>
    static std::string joined(const List& list, Text text) {
        std::string all;
        for (const auto& item : list)
            all += (all.empty() ? "" : ", ") + text(item);
        return all;
    }
    template <class Enum>
    requires std::is_enum_v<Enum>
    static Field make(Enum v) {
        Field field{{}, {}, FieldKind::choice, spaced(nameOf(v)), {}};
        for (const auto& entry : Names<Enum>::entries)
            field.choices.push_back(spaced(entry.name));
        return field;
    }
};

class Read {
  public:
    Read(std::string_view text, Place place, const Rule& rule) : text_(trimmed(text)), place_(std::move(place)), rule_(rule) {}

    Faults into(LengthSpec& v) const { return take(readSpec(text_, place_), v); }
    Faults into(StationSpec& v) const { return take(readStationSpec(text_, place_), v); }
    Faults into(Count& v) const {
        const auto join = text_.find(" to ");
        Count count;
        const std::string_view low = join == std::string_view::npos ? text_ : text_.substr(0, join);
        const std::string_view high = join == std::string_view::npos ? text_ : text_.substr(join + 4);
        const auto a = number(low);
        const auto b = number(high);
        if (!a || !b || *b < *a) return wrong(say("{}, or two of them as \"2 to 3\"", say(rule_.noun)));
        count = {*a, *b, join != std::string_view::npos};
        v = count;
        return {};
    }
    Faults into(Length& v) const {
        if (rule_.scale != 1.0) return scaled(v);
        const auto length = parseLength(text_);
        if (!length || !rule_.allows(*length / mm / rule_.scale)) return wrong();
        v = *length;
        return {};
    }
    Faults into(Speed& v) const { return scaled(v); }
    Faults into(Angle& v) const {
        const auto degrees = number(text_);
        if (!degrees) return wrong();
        v = Angle::degrees(*degrees);
        return {};
    }
    Faults into(int& v) const {
        Rule whole = rule_;
        whole.whole = true;
        const auto value = parseNumber(text_);
        if (!value || !whole.allows(*value)) return wrong();
        v = static_cast<int>(*value);
        return {};
    }
    Faults into(double& v) const {
        const auto value = number(text_);
        if (!value) return wrong();
        v = *value;
        return {};
    }
    Faults into(bool& v) const {
        if (text_ != "yes" && text_ != "no") return wrong(say("yes or no"));
        v = text_ == "yes";
        return {};
    }
    Faults into(Full& v) const {
        if (const auto wanted = fromName<FullnessSchool>(text_))
            v = *wanted;
        else if (const auto worth = parseNumber(text_); worth && rule_.allows(*worth))
            v = *worth;
        else
            return wrong();
        return {};
    }
    Faults into(std::variant<WholeBody, std::size_t>& v) const {
        if (text_ == "all") {
            v = WholeBody{};
            return {};
        }
        const auto value = parseNumber(text_);
        constexpr double kMostSections = 64.0;
        if (!value || *value < 0.0 || *value > kMostSections || *value != std::floor(*value))
            return wrong(say("all, or a body section from 0"));
        v = static_cast<std::size_t>(*value);
        return {};
    }
    Faults into(std::string& v) const {
        if (rule_.form && !rule_.form(text_)) return wrong();
        v = std::string(text_);
        return {};
    }
    template <class Record>
    Faults into(Id<Record>& v) const {
        v = Id<Record>(text_);
        return {};
    }
    template <class Record>
    Faults into(std::vector<Id<Record>>& v) const {
        v.clear();
        for (const std::string_view item : items())
            v.emplace_back(item);
        return {};
    }
    Faults into(std::vector<std::string>& v) const {
        std::vector<std::string> list;
        for (const std::string_view item : items()) {
            if (rule_.form && !rule_.form(item)) return wrong(say("{}, or several with commas", say(rule_.noun)));
            list.emplace_back(item);
        }
        v = std::move(list);
        return {};
    }
    Faults into(std::vector<Length>& v) const {
        std::vector<Length> list;
        for (const std::string_view item : items()) {
            const auto length = parseLength(item);
            if (!length || !rule_.allows(*length / mm)) return wrong(say("lengths with commas between them, as \"16, 24, 20\""));
            list.push_back(*length);
        }
        v = std::move(list);
        return {};
    }
    Faults into(std::vector<std::array<Length, 2>>& v) const {
        std::vector<std::array<Length, 2>> list;
        for (const std::string_view item : items()) {
            const auto join = item.find(" to ");
            const auto from = join == std::string_view::npos ? std::nullopt : number(item.substr(0, join));
            const auto to = join == std::string_view::npos ? std::nullopt : number(item.substr(join + 4));
            if (!from || !to) return wrong(say("stretches with commas between them, as \"0 to 9, 20 to 24\""));
            list.push_back({*from * mm, *to * mm});
        }
        v = std::move(list);
        return {};
    }
    Faults into(PartRef& v) const {
        const auto read = readPart(text_);
        if (!read) return wrong(say("a part of this dressing by its name, as \"tail\""));
        v = *read;
        return {};
    }
    // Of the same dressing it keeps how it is fished.
    Faults into(Fly& v) const {
        Fly read = readFly(text_);
        if (read.pattern == v.pattern) {
            read.presentation = v.presentation;
            read.carried = v.carried;
        }
        v = std::move(read);
        return {};
    }
    Faults into(std::vector<double>& v) const {
        std::vector<double> list;
        for (const std::string_view item : items()) {
            const auto value = number(item);
            if (!value) return wrong(say("numbers with commas between them, as \"12, 14.5\""));
            list.push_back(*value);
        }
        v = std::move(list);
        return {};
    }
    template <class Enum>
    requires std::is_enum_v<Enum> Faults into(std::vector<Enum>& v)
    const {
        std::vector<Enum> list;
        for (const std::string_view item : items()) {
            const auto value = fromName<Enum>(enumName(item));
            if (!value) return wrong(listOfNames<Enum>() + say(", or several with commas"));
            list.push_back(*value);
        }
        v = std::move(list);
        return {};
    }
    // "noodle 10 0.93, loop 12 1.05": by which method, on which size, how much of what was reckoned was wound.
    Faults into(std::vector<WoundFur>& v) const {
        std::vector<WoundFur> list;
        for (const std::string_view item : items()) {
            const auto first = item.find(' '), last = item.rfind(' ');
            const auto method = first == std::string_view::npos ? std::nullopt : fromName<BodyMethod>(item.substr(0, first));
            const auto size = method && last > first ? parseNumber(item.substr(first + 1, last - first - 1)) : std::nullopt;
            const auto share = size ? parseNumber(item.substr(last + 1)) : std::nullopt;
            if (!share || !kSize.allows(*size) || !kCorrection.allows(*share))
                return wrong(
                    say("how it was wound, on which size and its share of what was reckoned, as \"noodle 10 0.93, loop 12 1.05\""));
            list.push_back({*method, static_cast<int>(*size), *share});
        }
        v = std::move(list);
        return {};
    }
    // "fur-olive 2, fur-hare 1": furs of the book by id, with their parts.
    Faults into(std::vector<BlendPart>& v) const {
        std::vector<BlendPart> list;
        for (const std::string_view item : items()) {
            const auto space = item.rfind(' ');
            const auto parts = space == std::string_view::npos ? std::nullopt : parseNumber(item.substr(space + 1));
            if (!parts || !kPositive.allows(*parts)) return wrong(say("furs with their parts, as \"fur-olive 2, fur-hare 1\""));
            BlendPart part;
            part.material = MaterialId(trimmed(item.substr(0, space)));
            part.parts = *parts;
            list.push_back(std::move(part));
        }
        v = std::move(list);
        return {};
    }
    Faults into(PerLength& v) const {
        const auto value = number(text_);
        if (!value) return wrong();
        v = *value * perMm;
        return {};
    }
    Faults into(Density& v) const {
        const auto value = number(text_);
        if (!value) return wrong();
        v = *value * mgPerMm3;
        return {};
    }
    template <class Enum>
    requires std::is_enum_v<Enum> Faults into(Enum& v)
    const {
        const auto value = fromName<Enum>(enumName(text_));
        if (!value) return wrong(listOfNames<Enum>());
        v = *value;
        return {};
    }

  private:
    [[nodiscard]] std::vector<std::string_view> items() const {
        std::vector<std::string_view> list;
        std::string_view rest = text_;
        while (!rest.empty()) {
            const auto comma = rest.find(',');
            if (const auto item = trimmed(rest.substr(0, comma)); !item.empty()) list.push_back(item);
            rest = comma == std::string_view::npos ? std::string_view() : rest.substr(comma + 1);
        }
        return list;
    }
    [[nodiscard]] std::optional<double> number(std::string_view text) const {
        const auto value = parseNumber(text);
        return value && rule_.allows(*value) ? value : std::nullopt;
    }
    // A plain number in the unit that the file has it in.
    template <class Quantity>
    Faults scaled(Quantity& v) const {
        const auto value = number(text_);
        if (!value) return wrong();
        v = Quantity::fromBase(*value * rule_.scale);
        return {};
    }
    [[nodiscard]] Faults wrong() const { return wrong(say(rule_.noun)); }
    [[nodiscard]] Faults wrong(const std::string& what) const { return {notAsExpected(place_, what, text_)}; }
    template <class T>
    static Faults take(Result<T> result, T& v) {
        if (!result) return result.error();
        v = std::move(*result);
        return {};
    }

    std::string_view text_;
    Place place_;
    const Rule& rule_;
};

// Records within a record, whose fields stand among its own: "measured.shank_mm".
template <class T>
concept Within = std::same_as<T, HookMeasures> || std::same_as<T, LeaderSpec>;

// Rows of a table within a record: no single field. A blend is both, a text and a table.
template <class T>
concept Tabled = TableRow<T> && !std::same_as<T, BlendPart>;

// How the fly of a place is fished there stands beside it: "bob.presentation".
std::string fishedKey(const char* key) { return std::string(key) + ".presentation"; }

class FieldLister {
  public:
    std::vector<Field> fields;

    template <class T>
    void operator()(const char* key, const T& member, const Rule& rule = {}) {
        add(key, rule, Show::make(member), false);
    }
    template <class T>
    void operator()(const char* key, const std::optional<T>& member, const Rule& rule = {}) {
        Field field = Show::make(member.value_or(T{}));
        if (!member) field.text.clear();
        add(key, rule, std::move(field), true);
    }
    template <class T>
    void operator()(const char* key, const std::vector<T>& member, const Rule& rule = {}) {
        add(key, rule, Show::make(member), true, true);
    }
    template <int L, int M, int T>
    void operator()(const char* key, const std::optional<Quantity<L, M, T>>& member, const Rule& rule = {}) {
        Field field{{}, {}, FieldKind::number, {}, {}};
        if (member) field.text = rule.scale == 1.0 ? Show::make(*member).text : formatShort(member->base() / rule.scale, 9);
        add(key, rule, std::move(field), true);
    }
    void operator()(const char*, const std::vector<Part>&, const Rule& = {}) {}  // edited one by one
    template <Tabled T>
    void operator()(const char*, const std::vector<T>&, const Rule& = {}) {}
    void operator()(const char*, const std::optional<SchoolChoices>&, const Rule& = {}) {}  // a list of their own
    template <Within T>
    void operator()(const char* key, const std::optional<T>& member, const Rule& = {}) {
        within_ = std::string(key) + ".";
        const T inner = member.value_or(T{});
        describe(*this, inner);
        within_.clear();
    }
    void operator()(const char* key, const std::optional<Fly>& member, const Rule& rule = {}) {
        Field field = Show::make(member.value_or(Fly()));
        if (!member) field.text.clear();
        add(key, rule, std::move(field), true);
        if (!member) return;
        add(fishedKey(key).c_str(), kPlain, Show::make(member->presentation.value_or("")), true);
        fields.back().label = say("{}, how fished", say(spaced(key)));
    }
    void operator()(const char* key, const std::vector<std::array<Length, 2>>& member, const Rule& rule = {}) {
        if (rule.scale == 1.0) add(key, rule, Show::make(member), true);  // a shore, in metres, is drawn on a map
    }
    template <class Kind, class Variant>
    void byKind(Kind, const Variant& member, Variant (*)(Kind)) {
        std::visit([this](const auto& alternative) { describe(*this, alternative); }, member);
    }
    void rest(const Carried&) {}

  private:
    void add(const char* key, const Rule& rule, Field field, bool optional, bool several = false) {
        field.key = within_ + key;
        field.label = nameFor(key, rule);
        field.optional = optional;
        if (rule.day) field.kind = FieldKind::date;
        if (rule.refersTo) field.refersTo = rule.refersTo;
        if (rule.refersTo && field.kind == FieldKind::text) field.kind = several ? FieldKind::records : FieldKind::record;
        fields.push_back(std::move(field));
    }
    std::string within_;
};

class FieldWriter {
  public:
    FieldWriter(std::string_view key, std::string_view text, const Place& place) : key_(key), text_(text), place_(place) {}
    Faults faults;
    bool found = false;

    template <class T>
    void operator()(const char* key, T& member, const Rule& rule = {}) {
        if (key != key_) return;
        found = true;
        if (trimmed(text_).empty())
            faults = {Fault{place_.key(key), say("expected {}, got nothing", nameFor(key, rule)), say("this can't be left empty")}};
        else
            faults = Read(text_, place_.key(key), rule).into(member);
    }
    template <class T>
    void operator()(const char* key, std::optional<T>& member, const Rule& rule = {}) {
        if (key != key_) return;
        found = true;
        if (trimmed(text_).empty()) {
            member.reset();
            return;
        }
        T value = member.value_or(T{});
        faults = Read(text_, place_.key(key), rule).into(value);
        if (faults.empty()) member = std::move(value);
    }

    template <class T>
    void operator()(const char* key, std::vector<T>& member, const Rule& rule = {}) {
        if (key != key_) return;
        found = true;
        faults = Read(text_, place_.key(key), rule).into(member);
    }
    template <Within T>
    void operator()(const char* key, std::optional<T>& member, const Rule& = {}) {
        const std::string within = std::string(key) + ".";
        if (!key_.starts_with(within)) return;
        T held = member.value_or(T{});
        FieldWriter inner(key_.substr(within.size()), text_, place_);
        describe(inner, held);
        found = inner.found;
        faults = std::move(inner.faults);
        if (!found || !faults.empty()) return;
        member = held == T{} ? std::nullopt : std::optional(std::move(held));
    }
    void operator()(const char* key, std::optional<Fly>& member, const Rule& rule = {}) {
        if (key_ == fishedKey(key) && member) {
            found = true;
            member->presentation = trimmed(text_).empty() ? std::nullopt : std::optional(std::string(trimmed(text_)));
        }
        if (key != key_) return;
        found = true;
        if (trimmed(text_).empty()) return member.reset();
        Fly fly = member.value_or(Fly());
        faults = Read(text_, place_.key(key), rule).into(fly);
        if (faults.empty()) member = std::move(fly);
    }
    void operator()(const char* key, std::vector<std::array<Length, 2>>& member, const Rule& rule = {}) {
        if (key != key_ || rule.scale != 1.0) return;
        found = true;
        faults = Read(text_, place_.key(key), rule).into(member);
    }
    void operator()(const char*, std::vector<Part>&, const Rule& = {}) {}
    template <Tabled T>
    void operator()(const char*, std::vector<T>&, const Rule& = {}) {}
    void operator()(const char*, std::optional<SchoolChoices>&, const Rule& = {}) {}
    template <class Kind, class Variant>
    void byKind(Kind, Variant& member, Variant (*)(Kind)) {
        std::visit([this](auto& alternative) { describe(*this, alternative); }, member);
    }
    void rest(const Carried&) {}

  private:
    std::string_view key_;
    std::string_view text_;
    const Place& place_;
};

// What names a record or decides its shape is not changed like a field.
bool isIdentity(std::string_view key) { return key == "id" || key == "kind" || key == "measured"; }

// "length" and "mm" of "length_mm".
std::pair<std::string_view, std::string_view> withoutUnit(std::string_view key) {
    for (const std::string_view unit : {"_mm", "_m"})
        if (key.ends_with(unit)) return {key.substr(0, key.size() - unit.size()), unit.substr(1)};
    return {key, {}};
}

}  // namespace

std::string sayKey(std::string_view key) {
    const auto [name, unit] = withoutUnit(key);
    return say(spaced(name)) + (unit.empty() ? "" : ", " + std::string(unit));
}

std::string sayMeasure(std::string_view key) { return say(spaced(withoutUnit(key).first)); }

std::string fieldLabel(const std::vector<Field>& fields, std::string_view key) {
    const auto found = std::ranges::find(fields, key, &Field::key);
    return found == fields.end() ? say(spaced(key)) : found->label;
}

std::string sayField(const std::vector<Field>& fields, std::string_view key, std::string_view text, std::string_view unsaid) {
    const std::string label = fieldLabel(fields, key);
    if (text == "yes") return label;
    if (text == "no") return say("not {}", label);
    return label + " " + std::string(text.empty() ? unsaid : text);
}

std::vector<Field> fieldsOf(const Part& part) {
    FieldLister lister;
    std::visit([&](const auto& detail) { describe(lister, detail); }, part.detail);
    lister("station", part.station);
    lister("from", part.from, kPlain.says(unsaid("of what is left of the")));
    lister("note", part.note);
    for (Field& field : lister.fields)
        field.primary = std::ranges::any_of(kPrimary, [&](const Primary& p) { return p.kind == part.kind && p.key == field.key; });
    return std::move(lister.fields);
}

Result<Part> withField(const Part& part, std::string_view key, std::string_view text, const Place& place) {
    Part changed = part;
    FieldWriter writer(key, text, place);
    std::visit([&](auto& detail) { describe(writer, detail); }, changed.detail);
    writer("station", changed.station);
    writer("from", changed.from);
    writer("note", changed.note);
    if (!writer.found) return fail(place.key(key), say("expected a field of a {}, got none of that name", sayName(part.kind)));
    if (!writer.faults.empty()) return tl::unexpected(writer.faults);
    return changed;
}

template <class Record>
std::vector<Field> fieldsOf(const Record& record) {
    FieldLister lister;
    describe(lister, record);
    std::erase_if(lister.fields, [](const Field& field) { return isIdentity(field.key); });
    return std::move(lister.fields);
}

template <class Record>
Result<Record> withField(const Record& record, std::string_view key, std::string_view text, const Place& place) {
    Record changed = record;
    FieldWriter writer(key, text, place);
    if (!isIdentity(key)) describe(writer, changed);
    if (!writer.found) return fail(place.key(key), say("expected one of its fields, got none of that name"));
    if (!writer.faults.empty()) return tl::unexpected(writer.faults);
    return changed;
}

template std::vector<Field> fieldsOf(const SchoolChoices&);
template std::vector<Field> fieldsOf(const HookSpec&);
template std::vector<Field> fieldsOf(const Material&);
template std::vector<Field> fieldsOf(const Pattern&);
template std::vector<Field> fieldsOf(const LeaderSpec&);
template std::vector<Field> fieldsOf(const TeamSpec&);
template std::vector<Field> fieldsOf(const TeamSchool&);
template std::vector<Field> fieldsOf(const OwnWanted&);
template std::vector<Field> fieldsOf(const OwnRange&);
template std::vector<Field> fieldsOf(const OwnStyle&);
template std::vector<Field> fieldsOf(const WaterSpec&);
template std::vector<Field> fieldsOf(const RuleCard&);
template std::vector<Field> fieldsOf(const SeasonRow&);
template std::vector<Field> fieldsOf(const VaneFeather&);
template std::vector<Field> fieldsOf(const CutList&);
template std::vector<Field> fieldsOf(const SlipWanted&);
template std::vector<Field> fieldsOf(const Cape&);
template std::vector<Field> fieldsOf(const CapeBand&);
template std::vector<Field> fieldsOf(const Stock&);
template std::vector<Field> fieldsOf(const BoxFly&);
template std::vector<Field> fieldsOf(const Mishap&);
template std::vector<Field> fieldsOf(const Batch&);
template std::vector<Field> fieldsOf(const CheckedFly&);
template std::vector<Field> fieldsOf(const CheckReading&);
template std::vector<Field> fieldsOf(const Day&);
template std::vector<Field> fieldsOf(const Outing&);
template std::vector<Field> fieldsOf(const Fish&);
template std::vector<Field> fieldsOf(const BlendPart&);
template Result<SchoolChoices> withField(const SchoolChoices&, std::string_view, std::string_view, const Place&);
template Result<HookSpec> withField(const HookSpec&, std::string_view, std::string_view, const Place&);
template Result<Material> withField(const Material&, std::string_view, std::string_view, const Place&);
template Result<Pattern> withField(const Pattern&, std::string_view, std::string_view, const Place&);
template Result<LeaderSpec> withField(const LeaderSpec&, std::string_view, std::string_view, const Place&);
template Result<TeamSpec> withField(const TeamSpec&, std::string_view, std::string_view, const Place&);
template Result<TeamSchool> withField(const TeamSchool&, std::string_view, std::string_view, const Place&);
template Result<OwnWanted> withField(const OwnWanted&, std::string_view, std::string_view, const Place&);
template Result<OwnRange> withField(const OwnRange&, std::string_view, std::string_view, const Place&);
template Result<OwnStyle> withField(const OwnStyle&, std::string_view, std::string_view, const Place&);
template Result<WaterSpec> withField(const WaterSpec&, std::string_view, std::string_view, const Place&);
template Result<RuleCard> withField(const RuleCard&, std::string_view, std::string_view, const Place&);
template Result<SeasonRow> withField(const SeasonRow&, std::string_view, std::string_view, const Place&);
template Result<VaneFeather> withField(const VaneFeather&, std::string_view, std::string_view, const Place&);
template Result<CutList> withField(const CutList&, std::string_view, std::string_view, const Place&);
template Result<SlipWanted> withField(const SlipWanted&, std::string_view, std::string_view, const Place&);
template Result<Cape> withField(const Cape&, std::string_view, std::string_view, const Place&);
template Result<CapeBand> withField(const CapeBand&, std::string_view, std::string_view, const Place&);
template Result<Stock> withField(const Stock&, std::string_view, std::string_view, const Place&);
template Result<BoxFly> withField(const BoxFly&, std::string_view, std::string_view, const Place&);
template Result<Mishap> withField(const Mishap&, std::string_view, std::string_view, const Place&);
template Result<Batch> withField(const Batch&, std::string_view, std::string_view, const Place&);
template Result<CheckedFly> withField(const CheckedFly&, std::string_view, std::string_view, const Place&);
template Result<CheckReading> withField(const CheckReading&, std::string_view, std::string_view, const Place&);
template Result<Day> withField(const Day&, std::string_view, std::string_view, const Place&);
template Result<Outing> withField(const Outing&, std::string_view, std::string_view, const Place&);
template Result<Fish> withField(const Fish&, std::string_view, std::string_view, const Place&);
template Result<BlendPart> withField(const BlendPart&, std::string_view, std::string_view, const Place&);

}  // namespace machair
