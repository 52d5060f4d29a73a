#include "sizing/figures.h"

#include <algorithm>
#include <cmath>

#include "book/spec_words.h"
#include "language/say.h"
#include "sizing/budget.h"
#include "units/text.h"
#include "words/words.h"

namespace machair {

namespace {

// What a hand can hold a part to; the tolerance band of checks and gauges. Rules of thumb, of the length wanted.
constexpr double kTailTolerance = 0.08;
constexpr double kHackleTolerance = 0.10;
constexpr double kWingTolerance = 0.08;
constexpr double kBodyTolerance = 0.05;
constexpr double kDiameterTolerance = 0.10;
constexpr double kHeadTolerance = 0.15;
constexpr double kSlipTolerance = 0.05;

// Who ties to show holds to half of it.
double strictness(const Plan& plan) { return plan.schools.held.standard == Standard::toShow ? 0.5 : 1.0; }

class Sheet {
  public:
    explicit Sheet(double strictness) : strictness_(strictness) {}
    void length(const char* key, Length l, double tolerance = 0.0, std::string words = {}) {
        figures_.push_back({key, l / mm, strictness_ * tolerance * (l / mm), std::move(words)});
    }
    void length(const char* key, const std::optional<Length>& l) {
        if (l) length(key, *l);
    }
    void number(const char* key, double value) { figures_.push_back({key, value, 0.0, {}}); }
    void number(const char* key, const std::optional<double>& value) {
        if (value) number(key, *value);
    }
    void text(const char* key, std::string value) { figures_.push_back({key, std::move(value), 0.0, {}}); }
    [[nodiscard]] std::vector<Figure> take() { return std::move(figures_); }

  private:
    double strictness_;
    std::vector<Figure> figures_;
};

struct WriteFigures {
    const Plan& plan;
    const PartPlan& part;
    Sheet& sheet;

    void operator()(const Impossible&) const {}
    void operator()(const TagPlan& tag) const {
        sheet.length("length_mm", tag.along, kTailTolerance);
        sheet.number("turns", tag.turns);
        sheet.length("strip_mm", tag.length);
    }
    void operator()(const TailPlan& tail) const {
        sheet.length("length_mm", tail.length, kTailTolerance, sayLength(tail.length, plan.hook).text);
        sheet.number("fibres", tail.fibres);
        sheet.length("fibre_needed_mm", tail.fibreNeeded);
        sheet.length("bar_spacing_mm", tail.barSpacing);
        sheet.length("slip_mm", tail.slip);
        sheet.number("barbs", tail.barbs);
        sheet.number("fibres_to_take", tail.fibresToTake);
    }
    void operator()(const RibPlan& rib) const {
        sheet.number("turns", rib.turns);
        sheet.length("pitch_mm", rib.pitch);
        sheet.number("angle_deg", rib.angle.inDegrees());
        sheet.length("length_mm", rib.wound);
        sheet.length("cut_mm", rib.cut);
        sheet.number("crosses_palmer", rib.crossesPalmer);
        sheet.number("crosses_body", rib.crossesBody);
    }
    void operator()(const UnderbodyPlan& under) const {
        sheet.length("end_mm", under.end);
        sheet.length("front_mm", under.front);
        sheet.number("layers", under.layers);
        sheet.number("turns", under.turns);
        sheet.length("length_mm", under.length);
    }
    void operator()(const BodyPlan& body) const {
        sheet.length("end_mm", body.end, kBodyTolerance, sayStation(body.end, plan.hook).text);
        sheet.length("front_mm", body.front, kBodyTolerance, sayStation(body.front, plan.hook).text);
        if (body.swelling) sheet.length("diameter_mm", *body.swelling, kDiameterTolerance);
        sheet.length("rear_diameter_mm", body.rearDiameter, kDiameterTolerance);
        sheet.length("front_diameter_mm", body.frontDiameter, kDiameterTolerance);
        sheet.number("volume_mm3", body.volume / mm3);
        if (body.noodle) sheet.number("mass_mg", body.mass / mg);
        sheet.length("noodle_mm", body.noodle);
        sheet.number("noodle_turns", body.noodleTurns);
        sheet.length("rope_mm", body.rope);
        sheet.number("turns", body.turns);
        sheet.number("strands", body.strands);
        sheet.length("length_mm", body.length);
        sheet.length("per_strand_mm", body.perStrand);
        if (body.yield) sheet.number("yield", static_cast<double>(*body.yield));
    }
    void hackle(const HacklePlan& h) const {
        const std::string words = h.target ? sayReach(h.target->x, plan.hook).text : sayLength(h.fibre, plan.hook).text;
        sheet.length("fibre_mm", h.fibre, kHackleTolerance, words);
        sheet.length("line_of_sight_mm", h.lineOfSight);
        sheet.length("lay_back_mm", h.layBack);
        sheet.length("stem_mm", h.stem);
        sheet.number("fibres", h.fibres);
        sheet.number("fullness", h.fullness);
        sheet.text("fullness_class", sayName(classOf(h.worth)));
        sheet.length("fibre_shortest_mm", h.shortest);
        sheet.length("fibre_longest_mm", h.longest);
        sheet.length("fibre_tie_in_mm", h.tieInFibre);
        sheet.number("most_turns", h.mostTurns);
        sheet.length("bed_mm", h.bed);
    }
    void operator()(const PalmerPlan& palmer) const {
        sheet.number("shoulder_turns", palmer.shoulderTurns);
        sheet.number("open_turns", palmer.openTurns);
        hackle(palmer.hackle);
    }
    void operator()(const HacklePlan& h) const {
        sheet.number("turns", h.turns);
        hackle(h);
    }
    void operator()(const WingPlan& wing) const {
        const Length tip = plan.hook.at(part.station).position.x + wing.length;
        sheet.length("length_mm", wing.length, kWingTolerance, sayReach(tip, plan.hook).text);
        if (wing.slip > 0.0 * mm) sheet.length("slip_mm", wing.slip, kSlipTolerance, sayLength(wing.slip, plan.hook).text);
        sheet.length("depth_mm", wing.depth, kWingTolerance, sayLength(wing.depth, plan.hook).text);
        sheet.number("barbs", wing.barbs);
        sheet.number("count", wing.count);
        sheet.number("fibres_to_take", wing.toTake);
        sheet.number("lift_deg", wing.lift.inDegrees());
        if (wing.seat != Seat::stated) {
            sheet.text("seat", sayName(wing.seat));
            sheet.number("ramp_turns", wing.rampTurns);
            sheet.length("bend_mm", wing.bend);
        }
        sheet.length("bed_mm", wing.bed);
    }
    void operator()(const PiecePlan& piece) const {
        sheet.length("length_mm", piece.length, kWingTolerance, sayLength(piece.length, plan.hook).text);
        sheet.number("count", piece.count);
        sheet.length("piece_mm", piece.piece);
    }
    void operator()(const BeadPlan& bead) const {
        sheet.length("diameter_mm", bead.diameter);
        sheet.length("room_mm", bead.room);
        sheet.length("hole_mm", bead.hole);
        sheet.text("ball", bead.ball ? "yes" : "no");
    }
    void operator()(const ThreadPlan&) const {}
    void operator()(const HeadPlan& head) const {
        sheet.number("whip_turns", head.whipTurns);
        sheet.length("diameter_mm", plan.head.diameter, kHeadTolerance);
        sheet.length("thread_mm", head.thread);
    }
};

std::string lengthText(Length l) { return formatLength(l); }
std::string turnsText(double turns) { return formatShort(turns, 1) + (turns == 1.0 ? say(" turn") : say(" turns")); }

struct SayPart {
    const Plan& plan;
    const PartPlan& part;
    const Part& written;

    // First in the yardstick that it was written in, else in the nearest.
    [[nodiscard]] std::string yardstick(const std::optional<LengthSpec>& spec, Length length) const {
        return spec && std::holds_alternative<Ratio>(spec->value) ? specInLanguage(saySpec(*spec)) : sayLength(length, plan.hook).text;
    }
    // A station after "from" or "to": "the bend", not "at the bend".
    [[nodiscard]] std::string place(Length station) const {
        std::string text = sayStation(station, plan.hook).text;
        if (text.starts_with("at ")) text.erase(0, 3);
        return text;
    }
    std::string operator()(const Impossible&) const { return say("can't be tied as it is written"); }
    std::string operator()(const TagPlan& tag) const { return say("{}, {} of the hook", turnsText(tag.turns), lengthText(tag.along)); }
    std::string operator()(const TailPlan& tail) const {
        const WirePoint root = plan.hook.at(part.station);
        const Length tip = root.position.x + tail.length * cos(root.heading);
        return say("tail {}: {}, ends {}", lengthText(tail.length), yardstick(std::get<TailPart>(written.detail).length, tail.length),
                   sayReach(tip, plan.hook).text);
    }
    std::string operator()(const RibPlan& rib) const {
        return say("{}{}{}, one every {}; cut {}", turnsText(rib.turns),
                   rib.direction == Winding::counter ? say(" against the ") : say(" with the "),
                   rib.crossesPalmer ? say("palmer")
                   : rib.crossesBody ? say("body")
                                     : say("thread"),
                   lengthText(rib.pitch), lengthText(rib.cut));
    }
    std::string operator()(const UnderbodyPlan& under) const { return say("from {} to {}", place(under.end), place(under.front)); }
    std::string operator()(const BodyPlan& body) const {
        std::string text = say("from {} forward to {}, {} to {} thick", place(body.end), place(body.front),
                               formatNumber(body.rearDiameter / mm, 1), lengthText(body.frontDiameter));
        if (body.noodle)
            text += "; " + say("{} mg in {}", formatNumber(body.mass / mg, 1), body.rope ? say("a rope of ") : say("a noodle of ")) +
                    lengthText(*body.made);
        return text;
    }
    std::string fibre(const HacklePlan& h) const {
        const auto* collar = std::get_if<CollarPart>(&written.detail);
        const auto& spec = collar ? collar->length : std::get<PalmerPart>(written.detail).length;
        const std::string end = h.target ? sayReach(h.target->x, plan.hook).text : yardstick(spec, h.fibre);
        std::string text = say("fibres {}{}{}", lengthText(h.fibre), h.target ? " " : ": ", end);
        // Where the schools differ by more than a tier would overlook, both numbers are said.
        constexpr Length kNoticed = 0.5 * mm;
        const bool laidBack = plan.schools.fibre == FibreSchool::layBack;
        if (h.target && abs(h.layBack - h.lineOfSight) > kNoticed)
            text +=
                laidBack ? say(" laid back ({} as it stands)", lengthText(h.lineOfSight)) : say(" ({} laid back)", lengthText(h.layBack));
        return text;
    }
    std::string operator()(const PalmerPlan& palmer) const {
        return say("{}, {} at the shoulder and {} down the body: {}", fibre(palmer.hackle), formatShort(palmer.shoulderTurns, 1),
                   turnsText(palmer.openTurns), sayName(classOf(palmer.hackle.worth)));
    }
    std::string operator()(const HacklePlan& h) const {
        return say("{}, {} by the {}: {}", fibre(h), turnsText(h.turns), sayName(h.tieIn), sayName(classOf(h.worth)));
    }
    std::string operator()(const WingPlan& wing) const {
        const Length tip = plan.hook.at(part.station).position.x + wing.length;
        const LengthSpec& spec = std::get<WingPart>(written.detail).length;
        const auto* reach = std::get_if<Reach>(&spec.value);
        const bool stands = std::get<WingPart>(written.detail).angle.has_value() && wing.lift > Angle::degrees(60.0);
        const auto& position = std::get<WingPart>(written.detail).position;
        std::string text = (position == WingPosition::under  ? say("under-wing ")
                            : position == WingPosition::over ? say("over-wing ")
                                                             : say("wing ")) +
                           lengthText(wing.length);
        if (std::holds_alternative<Ratio>(spec.value) || (reach && reach->fraction)) text += ", " + specInLanguage(saySpec(spec));
        text += stands ? say(", standing at {}°", formatNumber(wing.lift.inDegrees(), 0)) : say(", tips {}", sayReach(tip, plan.hook).text);
        if (wing.count && wing.style != WingStyle::hair)
            text += "; " + formatShort(*wing.count, 0) +
                    (wing.style == WingStyle::tips    ? say(" points")
                     : wing.style == WingStyle::plume ? (*wing.count == 1.0 ? say(" plume") : say(" plumes"))
                                                      : "");
        if (wing.toTake) text += say("; {} hairs stay, {} to take", formatShort(*wing.count, 0), formatShort(*wing.toTake, 0));
        if (wing.style == WingStyle::rolled)
            text += say("; slip {} wide, rolled to {}", lengthText(wing.slip), lengthText(wing.depth));
        else if (wing.slip > 0.0 * mm)
            text += say("; slip {} wide", lengthText(wing.slip));
        return text;
    }
    std::string operator()(const PiecePlan& piece) const {
        const auto* legs = std::get_if<LegsPart>(&written.detail);
        return say("{} of {}: {}", formatShort(piece.count, 0), lengthText(piece.length),
                   yardstick(legs ? std::optional(legs->length) : std::get<CheekPart>(written.detail).length, piece.length));
    }
    std::string operator()(const BeadPlan& bead) const { return say("{} bead", lengthText(bead.diameter)); }
    std::string operator()(const ThreadPlan&) const { return say("finish off and start {}", part.made.title()); }
    std::string operator()(const HeadPlan& head) const {
        return say("{}-turn whip, head {} thick, {}", formatShort(head.whipTurns, 1), lengthText(plan.head.diameter), sayMargin(plan));
    }
};

std::string measuredText(const char* what, Length value, bool measured) {
    return measured ? say("{} {} measured", say(what), lengthText(value)) : say("{} {} nominal", say(what), lengthText(value));
}

// What a feather's kind stands in for, where it was not measured; the rest is called as the figures are.
std::string sayAssumed(const std::string& key) {
    struct Assumed {
        std::string_view key;
        std::string_view words;
    };
    constexpr std::array kAssumed = {Assumed{"density_per_mm", unsaid("barbs a mm")},
                                     Assumed{"sides", unsaid("sides")},
                                     Assumed{"stem_mm", unsaid("stem")},
                                     Assumed{"gamma", unsaid("growth of fibre")},
                                     Assumed{"fibre_mm", unsaid("fibre thickness")},
                                     Assumed{"stiffness", unsaid("stiffness")},
                                     Assumed{"usable_stem_mm", unsaid("usable stem")}};
    const auto found = std::ranges::find(kAssumed, key, &Assumed::key);
    return found == kAssumed.end() ? labelOf(key) : say(found->words);
}

std::vector<std::string> driversOf(const Plan& plan, const PartPlan& part) {
    const Hook& hook = plan.hook;
    std::vector<std::string> drivers;
    const std::string shank = measuredText(unsaid("shank"), hook.shank(), hook.shankMeasured());
    const std::string gape = measuredText(unsaid("gape"), hook.gape(), hook.gapeMeasured());
    const auto addFeather = [&](const HacklePlan& h) {
        drivers = {shank, gape, say("bed {}", formatLength(h.bed, LengthUnit::millimetres, 2))};
        for (const std::string& key : h.feather.assumed)
            drivers.push_back(say("{} assumed for the feather's kind", sayAssumed(key)));
    };
    if (std::holds_alternative<TailPlan>(part.detail))
        drivers = {shank, say("body end {} from the eye", lengthText(plan.bodyEnd))};
    else if (std::holds_alternative<BodyPlan>(part.detail))
        drivers = {shank, gape, say("what is bound under it")};
    else if (std::holds_alternative<RibPlan>(part.detail))
        drivers = {say("body {} long", lengthText(plan.bodyEnd - plan.bodyFront)), gape};
    else if (const auto* palmer = std::get_if<PalmerPlan>(&part.detail))
        addFeather(palmer->hackle);
    else if (const auto* h = std::get_if<HacklePlan>(&part.detail))
        addFeather(*h);
    else if (std::holds_alternative<WingPlan>(part.detail))
        drivers = {shank, gape, say("body front {} from the eye", lengthText(plan.foremostBody))};
    else if (std::holds_alternative<HeadPlan>(part.detail))
        drivers = {say("thread {} wide", formatLength(plan.thread.width, LengthUnit::millimetres, 2)),
                   say("body front {} from the eye", lengthText(plan.foremostBody))};
    return drivers;
}

struct Label {
    std::string_view key;
    std::string_view label;
};
constexpr std::array kLabels = {Label{"length_mm", unsaid("length")},
                                Label{"fibre_needed_mm", unsaid("fibre to take")},
                                Label{"fibres", unsaid("fibres")},
                                Label{"bar_spacing_mm", unsaid("bar spacing")},
                                Label{"slip_mm", unsaid("slip width")},
                                Label{"barbs", unsaid("barbs")},
                                Label{"fibres_to_take", unsaid("fibres to take")},
                                Label{"turns", unsaid("turns")},
                                Label{"pitch_mm", unsaid("pitch")},
                                Label{"angle_deg", unsaid("angle")},
                                Label{"cut_mm", unsaid("length to cut")},
                                Label{"end_mm", unsaid("end")},
                                Label{"front_mm", unsaid("front")},
                                Label{"rear_diameter_mm", unsaid("thick at the rear")},
                                Label{"front_diameter_mm", unsaid("thick in front")},
                                Label{"volume_mm3", unsaid("volume")},
                                Label{"mass_mg", unsaid("weight")},
                                Label{"noodle_mm", unsaid("noodle")},
                                Label{"noodle_turns", unsaid("noodle turns")},
                                Label{"rope_mm", unsaid("rope")},
                                Label{"strands", unsaid("strands")},
                                Label{"per_strand_mm", unsaid("each strand")},
                                Label{"yield", unsaid("bodies a set")},
                                Label{"fibre_mm", unsaid("fibre length")},
                                Label{"line_of_sight_mm", unsaid("line of sight")},
                                Label{"lay_back_mm", unsaid("laid back")},
                                Label{"stem_mm", unsaid("stem")},
                                Label{"fullness", unsaid("fibres per mm of gape")},
                                Label{"fullness_class", unsaid("fullness")},
                                Label{"fibre_shortest_mm", unsaid("shortest fibre")},
                                Label{"fibre_longest_mm", unsaid("longest fibre")},
                                Label{"most_turns", unsaid("most turns")},
                                Label{"bed_mm", unsaid("bed under it")},
                                Label{"shoulder_turns", unsaid("shoulder turns")},
                                Label{"open_turns", unsaid("open turns")},
                                Label{"depth_mm", unsaid("depth")},
                                Label{"lift_deg", unsaid("lift")},
                                Label{"seat", unsaid("how it sits")},
                                Label{"ramp_turns", unsaid("turns of ramp")},
                                Label{"bend_mm", unsaid("level again after")},
                                Label{"strip_mm", unsaid("to wind")},
                                Label{"crosses_palmer", unsaid("palmer turns crossed")},
                                Label{"crosses_body", unsaid("body turns crossed")},
                                Label{"fibre_tie_in_mm", unsaid("fibre at the tie-in")},
                                Label{"piece_mm", unsaid("the piece as sold")},
                                Label{"hole_mm", unsaid("hole")},
                                Label{"ball", unsaid("on a ball")},
                                Label{"count", unsaid("count")},
                                Label{"diameter_mm", unsaid("diameter")},
                                Label{"room_mm", unsaid("room taken")},
                                Label{"whip_turns", unsaid("whip turns")},
                                Label{"thread_mm", unsaid("thread in all")},
                                Label{"layers", unsaid("layers")}};

}  // namespace

std::vector<Figure> figuresOf(const Plan& plan, std::size_t part) {
    Sheet sheet(strictness(plan));
    std::visit(WriteFigures{plan, plan.parts[part], sheet}, plan.parts[part].detail);
    return sheet.take();
}

std::string labelOf(const std::string& key) {
    const auto found = std::ranges::find(kLabels, key, &Label::key);
    return found == kLabels.end() ? key : say(found->label);
}

std::string unitOf(const std::string& key) {
    if (key.ends_with("_mm")) return "mm";
    if (key.ends_with("_mm3")) return "mm³";
    if (key.ends_with("_mg")) return "mg";
    if (key.ends_with("_deg")) return "°";
    return "";
}

std::string displayOf(const Figure& figure) {
    if (const auto* text = std::get_if<std::string>(&figure.value)) return *text;
    const double value = std::get<double>(figure.value);
    const std::string unit = unitOf(figure.key);
    if (unit == "°") return formatNumber(value, 0) + "°";
    if (unit == "mm") return formatNumber(value, std::abs(value) < 0.95 ? 2 : 1) + " mm";
    if (!unit.empty()) return formatNumber(value, 1) + " " + unit;
    if (figure.key == "fibres" || figure.key == "barbs") return formatNumber(value, 0);
    return formatShort(value, 1);
}

void describeParts(Plan& plan) {
    for (std::size_t i = 0; i < plan.parts.size(); ++i) {
        PartPlan& part = plan.parts[i];
        part.words = std::visit(SayPart{plan, part, plan.pattern.parts[i]}, part.detail);
        part.drivers = driversOf(plan, part);
    }
}

std::string headlineOf(const Plan& plan, std::size_t part) {
    struct Headline {
        const Plan& plan;
        std::string operator()(const Impossible&) const { return say("impossible"); }
        std::string operator()(const TagPlan& p) const { return turnsText(p.turns); }
        std::string operator()(const TailPlan& p) const { return lengthText(p.length); }
        std::string operator()(const RibPlan& p) const { return turnsText(p.turns); }
        std::string operator()(const UnderbodyPlan& p) const {
            return p.turns ? turnsText(*p.turns) : formatShort(p.layers, 0) + (p.layers == 1.0 ? say(" layer") : say(" layers"));
        }
        std::string operator()(const BodyPlan& p) const {
            if (p.swelling) return lengthText(*p.swelling);
            return formatNumber(p.rearDiameter / mm, 1) + "–" + lengthText(p.frontDiameter);
        }
        std::string operator()(const PalmerPlan& p) const { return lengthText(p.hackle.fibre); }
        std::string operator()(const HacklePlan& p) const { return lengthText(p.fibre); }
        std::string operator()(const WingPlan& p) const { return lengthText(p.length); }
        std::string operator()(const PiecePlan& p) const { return lengthText(p.length); }
        std::string operator()(const BeadPlan& p) const { return lengthText(p.diameter); }
        std::string operator()(const ThreadPlan&) const { return {}; }
        std::string operator()(const HeadPlan&) const { return lengthText(plan.head.diameter); }
    };
    return std::visit(Headline{plan}, plan.parts[part].detail);
}

std::string plannedValue(const Plan& plan, std::size_t part, std::string_view fieldKey) {
    struct Match {
        std::string_view field;
        std::string_view figure;
    };
    constexpr std::array kMatches = {
        Match{"length", "fibre_mm"},          Match{"length", "length_mm"},           Match{"width", "slip_mm"},
        Match{"rear_mm", "rear_diameter_mm"}, Match{"front_mm", "front_diameter_mm"}, Match{"spacing", "pitch_mm"}};
    const auto figures = figuresOf(plan, part);
    const auto named = [&](std::string_view key) -> std::string {
        const auto found = std::ranges::find(figures, key, &Figure::key);
        return found == figures.end() ? std::string() : displayOf(*found);
    };
    for (const Match& match : kMatches)
        if (match.field == fieldKey)
            if (std::string value = named(match.figure); !value.empty()) return value;
    if (std::string value = named(std::string(fieldKey) + "_mm"); !value.empty()) return value;
    return named(fieldKey);
}

}  // namespace machair
