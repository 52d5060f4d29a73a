#include "asking/asking.h"

#include <algorithm>
#include <cctype>
#include <cmath>
#include <map>

#include "asking/rules.h"
#include "book/fields.h"
#include "language/say.h"
#include "sizing/figures.h"
#include "units/text.h"
#include "units/visit.h"
#include "water/sink.h"

namespace machair {

namespace {

// What a part is called in the rules; empty for one that can't be tied.
std::string_view subjectOf(const PartPlan& part) {
    return std::visit(Overloaded{
                          [](const TagPlan&) -> std::string_view { return "tag"; },
                          [](const TailPlan&) -> std::string_view { return "tail"; },
                          [](const RibPlan&) -> std::string_view { return "rib"; },
                          [](const UnderbodyPlan&) -> std::string_view { return "underbody"; },
                          [](const BodyPlan&) -> std::string_view { return "body"; },
                          [](const PalmerPlan&) -> std::string_view { return "palmer"; },
                          [](const HacklePlan&) -> std::string_view { return "collar"; },
                          [](const WingPlan&) -> std::string_view { return "wing"; },
                          [](const PiecePlan&) -> std::string_view { return "piece"; },
                          [](const BeadPlan&) -> std::string_view { return "bead"; },
                          [](const HeadPlan&) -> std::string_view { return "head"; },
                          [](const OneOf<ThreadPlan, Impossible> auto&) -> std::string_view { return ""; },
                      },
                      part.detail);
}

struct Value {
    std::string text;
    bool measured = false;
};

std::optional<Value> lengthValue(Length length, bool measured) { return Value{displayOf({"x_mm", length / mm, 0.0, {}}), measured}; }
std::optional<Value> numberValue(double value, int decimals, const char* unit) {
    return Value{formatNumber(value, decimals) + unit, false};
}

std::optional<Value> hookValue(const Hook& hook, std::string_view key) {
    if (key == "size") return Value{std::to_string(hook.size()), false};
    if (key == "shank_mm") return lengthValue(hook.shank(), hook.shankMeasured());
    if (key == "gape_mm") return lengthValue(hook.gape(), hook.gapeMeasured());
    if (key == "wire_mm") return lengthValue(hook.wire(), hook.wireMeasured());
    return std::nullopt;
}

std::optional<Value> threadValue(const Plan& plan, std::string_view key) {
    if (key == "width_mm") return lengthValue(plan.thread.width, false);
    if (key == "thickness_mm") return lengthValue(plan.thread.thickness, false);
    return std::nullopt;
}

// Of the whole fly; how it sinks is reckoned in water of the usual warmth.
std::optional<Value> flyValue(const Plan& plan, std::string_view key) {
    if (key == "length_mm") return lengthValue(plan.length, false);
    if (key == "body_end_mm") return lengthValue(plan.bodyEnd, false);
    if (key == "body_front_mm") return lengthValue(plan.bodyFront, false);
    if (key == "room_mm") return lengthValue(plan.head.available, false);
    if (key == "room_needed_mm") return lengthValue(plan.head.needed, false);
    if (key == "full") return numberValue(fullnessOf(plan).full, 2, say(" usual collars").c_str());
    if (!plan.faults.empty()) return std::nullopt;  // how it sinks isn't known of a fly that lacks a part
    const SinkReport sink = sinkReport(plan);
    if (key == "mass_mg") return numberValue(sink.mass / mg, 1, " mg");
    if (key == "weight_mN") return numberValue(sink.submerged / millinewton, 3, " mN");
    if (key == "sink_m_s") return numberValue(sink.sinkRate / metrePerSecond, 3, " m/s");
    if (key == "presence_mN") return numberValue(sink.presence / millinewton, 2, " mN");
    return std::nullopt;
}

std::optional<Figure> partFigure(const Plan& plan, std::size_t part, std::string_view key) {
    if (part >= plan.parts.size()) return std::nullopt;
    for (Figure& figure : figuresOf(plan, part))
        if (figure.key == key) return std::move(figure);
    return std::nullopt;
}

constexpr std::string_view kFly[] = {"length_mm", "body_end_mm", "body_front_mm", "room_mm",  "room_needed_mm",
                                     "mass_mg",   "weight_mN",   "presence_mN",   "sink_m_s", "full"};
constexpr std::string_view kHookKeys[] = {"size", "shank_mm", "gape_mm", "wire_mm"};
constexpr std::string_view kThreadKeys[] = {"width_mm", "thickness_mm"};

std::string_view subjectOf(const Plan& plan, const FigureRef& figure) {
    switch (figure.of) {
        case AskedOf::hook: return "hook";
        case AskedOf::thread: return "thread";
        case AskedOf::fly: return "fly";
        case AskedOf::part: return figure.part < plan.parts.size() ? subjectOf(plan.parts[figure.part]) : std::string_view();
    }
    throw BrokenContract("a figure of nothing");
}

std::optional<Value> valueOf(const Plan& plan, const FigureRef& figure) {
    switch (figure.of) {
        case AskedOf::hook: return hookValue(plan.hook, figure.key);
        case AskedOf::thread: return threadValue(plan, figure.key);
        case AskedOf::fly: return flyValue(plan, figure.key);
        case AskedOf::part:
            if (const auto known = partFigure(plan, figure.part, figure.key)) return Value{displayOf(*known), false};
            return std::nullopt;
    }
    throw BrokenContract("a figure of nothing");
}

// "sink_m_s" for people; a part's keys have their labels already.
std::string nameOfKey(const FigureRef& figure) {
    static const std::map<std::string_view, std::string_view> kNames = {{"size", unsaid("size")},
                                                                        {"shank_mm", unsaid("shank")},
                                                                        {"gape_mm", unsaid("gape")},
                                                                        {"wire_mm", unsaid("wire thickness")},
                                                                        {"width_mm", unsaid("width")},
                                                                        {"thickness_mm", unsaid("thickness")},
                                                                        {"body_end_mm", unsaid("body's end")},
                                                                        {"body_front_mm", unsaid("body's front")},
                                                                        {"room_mm", unsaid("room in front of the body")},
                                                                        {"room_needed_mm", unsaid("room that is needed")},
                                                                        {"mass_mg", unsaid("mass, wet")},
                                                                        {"weight_mN", unsaid("weight under water")},
                                                                        {"sink_m_s", unsaid("sink rate")},
                                                                        {"presence_mN", unsaid("water pushed")},
                                                                        {"full", unsaid("fullness")}};
    if (figure.of != AskedOf::part)
        if (const auto found = kNames.find(figure.key); found != kNames.end()) return say(found->second);
    return labelOf(figure.key);
}

std::string nameOf(const Plan& plan, const FigureRef& figure) {
    const std::string name = nameOfKey(figure);
    switch (figure.of) {
        case AskedOf::hook: return say("{} of the hook", name);
        case AskedOf::thread: return say("{} of the thread", name);
        case AskedOf::fly: return say("{} of the fly", name);
        case AskedOf::part: return say("{} of the {}", name, sayName(plan.parts[figure.part].kind));
    }
    throw BrokenContract("a figure of nothing");
}

AskedInput asFigure(const Plan& plan, const FigureRef& figure) {
    const auto value = valueOf(plan, figure);
    const bool isHooks = figure.of == AskedOf::hook && figure.key != "size";
    return {nameOfKey(figure), value ? value->text + (isHooks ? (value->measured ? say(", measured") : say(", nominal")) : "") : "",
            figure};
}

// One input of a rule, as this plan has it; nothing where this part has none (a collar that names no landmark).
std::optional<AskedInput> inputOf(const Plan& plan, const FigureRef& of, std::string_view input) {
    const auto colon = input.find(':');
    const std::string_view where = input.substr(0, colon);
    const std::string key(input.substr(colon + 1));
    const auto figure = [&](AskedOf kind) -> std::optional<AskedInput> {
        const FigureRef ref{kind, of.part, key};
        if (!valueOf(plan, ref)) return std::nullopt;
        return asFigure(plan, ref);
    };
    if (where == "hook") return figure(AskedOf::hook);
    if (where == "thread") return figure(AskedOf::thread);
    if (where == "fly") return figure(AskedOf::fly);
    if (where == "own") return figure(AskedOf::part);
    if (of.of != AskedOf::part) return std::nullopt;
    const bool made = where == "made";
    const auto fields = made ? fieldsOf(plan.parts[of.part].made) : fieldsOf(plan.pattern.parts[of.part]);
    const auto field = std::ranges::find(fields, key, &Field::key);
    if (field == fields.end() || (made && field->text.empty())) return std::nullopt;
    if (!made)
        return AskedInput{
            say("{}, as written", fieldLabel(fields, key)), field->text.empty() ? say("nothing: the usual") : field->text, {}};
    const bool measured = std::ranges::find(plan.parts[of.part].made.measured, key) != plan.parts[of.part].made.measured.end();
    return AskedInput{say("{} of {}", fieldLabel(fields, key), plan.parts[of.part].made.title()),
                      field->text + (measured ? say(", measured") : say(", as the kind has it")),
                      {}};
}

}  // namespace

std::string_view sayTrust(Trust trust) {
    switch (trust) {
        case Trust::measured: return unsaid("Measured: as good as the calliper and the hand on it.");
        case Trust::written: return unsaid("As the dressing says it: it is what is wanted, not what came out.");
        case Trust::geometry: return unsaid("Geometry on the sizes above: as good as they are.");
        case Trust::physics:
            return unsaid("Physics on stated shapes, not checked against measured flies: trust how flies compare, not the last figure.");
        case Trust::ruleOfThumb: return unsaid("A rule of thumb: right for an ordinary fly, and yours to overrule.");
        case Trust::school: return unsaid("Where tiers disagree: as the school that you hold to has it.");
    }
    throw BrokenContract("no such trust");
}

std::vector<FigureRef> figuresToAsk(const Plan& plan) {
    std::vector<FigureRef> all;
    for (const auto key : kHookKeys)
        all.push_back({AskedOf::hook, 0, std::string(key)});
    for (const auto key : kThreadKeys)
        all.push_back({AskedOf::thread, 0, std::string(key)});
    for (std::size_t part = 0; part < plan.parts.size(); ++part)
        for (const Figure& figure : figuresOf(plan, part))
            all.push_back({AskedOf::part, part, figure.key});
    for (const auto key : kFly)
        if (flyValue(plan, key)) all.push_back({AskedOf::fly, 0, std::string(key)});
    return all;
}

std::optional<FigureRef> mainFigure(const Plan& plan, std::size_t part) {
    const auto figures = figuresOf(plan, part);
    for (const char* key : {"fibre_mm", "diameter_mm", "front_diameter_mm", "turns", "length_mm"})
        if (std::ranges::find(figures, key, &Figure::key) != figures.end()) return FigureRef{AskedOf::part, part, key};
    if (figures.empty()) return std::nullopt;
    return FigureRef{AskedOf::part, part, figures.front().key};
}

std::optional<Derivation> ask(const Plan& plan, const FigureRef& figure) {
    const auto value = valueOf(plan, figure);
    const AskRule* rule = value ? askRule(subjectOf(plan, figure), figure.key) : nullptr;
    if (!rule) return std::nullopt;
    Derivation made{nameOf(plan, figure), value->text, say(rule->formula), {}, say(rule->source), rule->trust, {}};
    if (value->measured) made.trust = Trust::measured;
    for (const std::string_view input : rule->inputs)
        if (auto known = inputOf(plan, figure, input)) made.inputs.push_back(std::move(*known));
    made.howFar = say(sayTrust(made.trust));
    if (figure.of == AskedOf::part)
        if (const auto known = partFigure(plan, figure.part, figure.key); known && known->tolerance > 0.0)
            made.howFar += say(" A hand is held to {} mm either way.", formatNumber(known->tolerance, 1));
    if (figure.of == AskedOf::fly && (figure.key == "sink_m_s" || figure.key == "presence_mN"))
        made.howFar += say(" Give or take {} %.", formatNumber(100.0 * kSinkUncertainty, 0));
    return made;
}

Derivation ask(const TeamReport& report, const TeamCheck& check) {
    const TermRule& rule = termRule(check.term);
    const bool pair = check.upper != check.lower;
    const auto place = [](Position position) { return sayName(position); };
    Derivation made{
        say(rule.name) + (pair ? say(", {} to {}", place(check.upper), place(check.lower)) : say(" of the {}", place(check.upper))),
        check.value ? formatShort(*check.value, 3) : sayName(check.verdict),
        say(rule.formula),
        {},
        say(rule.source),
        rule.trust,
        say(sayTrust(rule.trust))};
    for (const TeamFly& fly : report.flies)
        if (fly.position == check.upper || fly.position == check.lower)
            made.inputs.push_back({place(fly.position),
                                   say("{}: sinks {} m/s, pushes {} mN, {} usual collars", fly.plan.pattern.title(),
                                       formatNumber(fly.figures.sink / metrePerSecond, 3),
                                       formatNumber(fly.figures.presence / millinewton, 2), formatNumber(fly.figures.full, 1)),
                                   {}});
    if (check.low) made.inputs.push_back({say("wanted at least"), formatShort(*check.low, 3), {}});
    if (check.high) made.inputs.push_back({say("wanted at most"), formatShort(*check.high, 3), {}});
    made.inputs.push_back(
        {report.waveGiven ? say("in a wave of") : say("in the wave that suits it best, of"), formatShort(report.wave, 2) + " m", {}});
    return made;
}

std::string rulesHead(std::string title) {
    if (!title.empty()) title[0] = static_cast<char>(std::toupper(static_cast<unsigned char>(title[0])));
    return "\n## " + title + "\n\n| " + say("figure") + " | " + say("how") + " | " + say("rests on") + " |\n|---|---|---|\n";
}

std::string rulesRow(std::string_view name, std::string_view formula, Trust trust) {
    return "| " + std::string(name) + " | " + say(formula) + " | " + sayName(trust) + " |\n";
}

std::string whereTheNumbersComeFrom() {
    std::string text =
        "# " + say("Where the numbers come from") + "\n\n" +
        say("Every figure can be asked: Alt and a click on it, or `?` where the keyboard is. A card says how it is reckoned, "
            "from what (each to be asked in turn), where that stands and how far to trust it. This chapter is the same, all at "
            "once.") +
        "\n\n";
    for (const Trust trust : {Trust::measured, Trust::written, Trust::geometry, Trust::physics, Trust::ruleOfThumb, Trust::school})
        text += "- *" + sayName(trust) + "*: " + say(sayTrust(trust)) + "\n";
    std::string_view subject;
    for (const AskRule& rule : askRules()) {
        if (rule.subject != subject) {
            subject = rule.subject;
            text += rulesHead(say("the {}", subject == "piece" ? say("legs and cheeks") : say(subject)));
        }
        const AskedOf of = subject == "hook"     ? AskedOf::hook
                           : subject == "thread" ? AskedOf::thread
                           : subject == "fly"    ? AskedOf::fly
                                                 : AskedOf::part;
        text += rulesRow(nameOfKey({of, 0, std::string(rule.key)}), rule.formula, rule.trust);
    }
    text += "\n## " + say("The team") + "\n\n| " + say("check") + " | " + say("how") + " |\n|---|---|\n";
    for (const TermRule& rule : termRules())
        text += "| " + say(rule.name) + " | " + say(rule.formula) + " |\n";
    return text;
}

}  // namespace machair
