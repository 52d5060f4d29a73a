#include "bench/step_writer.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <utility>

#include "colour/colour.h"
#include "language/say.h"
#include "sizing/crossing.h"
#include "units/text.h"
#include "words/words.h"

namespace machair {

namespace {

// Minutes of hands an act takes, rules of thumb until the tier's own are logged.
double minutesOf(std::string_view verb) {
    struct Takes {
        std::string_view verb;
        double minutes;
    };
    constexpr std::array kTakes = {Takes{"dub", 1.5},
                                   Takes{"spin", 1.5},
                                   Takes{"twist", 1.2},
                                   Takes{"wind", 0.9},
                                   Takes{unsaid("tie in"), 0.7},
                                   Takes{"lay", 0.4},
                                   Takes{"fold", 0.5},
                                   Takes{"marry", 0.7},
                                   Takes{"pair", 0.6},
                                   Takes{"knot", 1.5},
                                   Takes{"whip", 0.5},
                                   Takes{"hitch", 0.4},
                                   Takes{"coat", 0.5},
                                   Takes{"seat", 0.6},
                                   Takes{"fix", 0.7},
                                   Takes{"part", 0.5},
                                   Takes{unsaid("brush out"), 0.4}};
    const auto found = std::ranges::find(kTakes, verb, &Takes::verb);
    constexpr double kShort = 0.2;
    return found == kTakes.end() ? kShort : found->minutes;
}

std::string ordinal(std::size_t n) {
    constexpr std::array kWords = {unsaid("first"), unsaid("second"), unsaid("third"), unsaid("fourth"), unsaid("fifth")};
    return n < kWords.size() ? say(kWords[n]) : say("{}th", std::to_string(n + 1));
}

// Words for a strip's two faces: their colours, or how bright where both have one word.
std::array<std::string, 2> faceWords(const StripTraits& strip) {
    std::array<std::string, 2> words;
    std::array<double, 2> light{};
    for (std::size_t f = 0; f < 2; ++f) {
        const auto colour = parseColour(strip.faces[f]);
        words[f] = colour ? say(colourWord(*colour)) : strip.faces[f];
        light[f] = colour ? toLab(*colour).L : 0.0;
    }
    if (words[0] == words[1])
        words = light[0] >= light[1] ? std::array<std::string, 2>{say("bright"), say("dull")}
                                     : std::array<std::string, 2>{say("dull"), say("bright")};
    return words;
}

}  // namespace

Amount inMillimetres(Length length) {
    const std::string number = formatNumber(length / mm, 1);
    return number == "0.0" ? Amount{} : Amount{number, "mm"};
}

Amount counted(double n, std::string_view one, std::string_view many) {
    const std::string number = formatShort(n, 1);
    if (number == "0") return {};
    return {number, sayCount(one, many, number == "1" ? 1.0 : n)};
}

Amount counted(const std::optional<Count>& written, double planned, std::string_view one, std::string_view many) {
    const bool own = written && written->pair && planned >= written->low - 1e-9 && planned <= written->high + 1e-9;
    if (own && written->low > 0.0)
        return {say("{} to {}", formatShort(written->low, 1), formatShort(written->high, 1)), sayCount(one, many, written->high)};
    return counted(planned, one, many);
}

Amount turnsOf(const std::optional<Count>& written, double planned) {
    constexpr double kMany = 6.0;
    const double half = planned > kMany ? std::round(planned) : std::max(0.5, std::round(2.0 * planned) / 2.0);
    return written ? counted(written, planned, "turn", "turns") : counted(half, "turn", "turns");
}

std::string said(const Amount& amount) { return amount.number.empty() ? std::string() : amount.number + " " + amount.unit; }

StepWriter::StepWriter(const Plan& plan, Hand hand)
    : plan_(plan), hand_(hand), done_(plan.parts.size(), 0), tiedIn_(plan.parts.size(), 0), thread_(eye()) {}

Length StepWriter::eye() const {
    const Length edge = std::min(std::max(plan_.thread.width, 0.1 * mm), plan_.bodyEnd);
    if (ahead_) return edge;
    for (const PartPlan& part : plan_.parts)
        if (const auto* bead = std::get_if<BeadPlan>(&part.detail); bead && bead->atEye) return std::min(edge + bead->room, plan_.bodyEnd);
    return edge;
}

TyingStep& StepWriter::add(int part, Deed deed, Length threadAfter) {
    TyingStep step;
    step.part = part;
    step.minutes = minutesOf(deed.verb);
    step.verb = std::move(deed.verb);
    step.object = std::move(deed.object);
    step.number = std::move(deed.amount.number);
    step.unit = std::move(deed.amount.unit);
    step.threadBefore = thread_;
    step.threadAfter = thread_ = threadAfter;
    step.threadOn = threadOn_;
    if (threadOn_) {
        const std::string place = sayStation(threadAfter, plan_.hook).text;
        const std::string behind = say("{} mm behind the eye", formatNumber(threadAfter / mm, 1));
        step.threadWords = say("the thread hangs {}", place.find(" mm ") == std::string::npos ? place + ", " + behind : behind);
    }
    step.done = done_;
    step.bed = bed_;
    step.head = head_;
    if (part >= 0) step.note = written(static_cast<std::size_t>(part)).note.value_or("");
    steps_.push_back(std::move(step));
    return steps_.back();
}

TyingStep& StepWriter::makeReady(int part, Deed deed) {
    TyingStep& step = add(part, std::move(deed), thread_);
    step.before = true;
    step.threadWords = say("before the thread is on");
    return step;
}

TyingStep& StepWriter::threadless(int part, Deed deed) {
    threadOn_ = false;
    TyingStep& step = add(part, std::move(deed), thread_);
    step.threadWords = say("the thread is off");
    return step;
}

void StepWriter::finished(std::size_t part) {
    done_[part] = 1;
    steps_.back().done = done_;
}

StepWriter::Deed StepWriter::tyingIn(std::size_t part, Amount amount) const {
    if (!continues(part)) return {unsaid("tie in"), pieceOf(part), std::move(amount)};
    return {unsaid("take up"), say("{} as {}", continued(part), nameOfPart(part)), std::move(amount)};
}

void StepWriter::tieOff(std::size_t part, const std::string& what) {
    TyingStep& step = add(static_cast<int>(part), {unsaid("tie off"), what, {"3", say("turns")}}, thread_);
    step.how = isMetal(part) ? say("fold the end back and lay 3 turns over it; worry metal off, never with good scissors")
                             : say("cut the end close, on a slope");
    step.locks.push_back(what);
    step.look = say("no end to scratch, no bump");
    step.wrong = isMetal(part) ? std::vector<std::string>{"rib.pulls", "scissors.dull"} : std::vector<std::string>{"thread.cut"};
    if (isMetal(part)) step.caution = Caution::wire;
}

std::string StepWriter::nameOfPart(std::size_t part) const {
    std::size_t alike = 0, before = 0;
    for (std::size_t i = 0; i < plan_.parts.size(); ++i)
        if (at(i).kind == at(part).kind) {
            ++alike;
            if (i < part) ++before;
        }
    const std::string name = sayName(at(part).kind);
    if (at(part).kind == PartKind::collar && alike == 1) return say("the hackle");
    return alike > 1 ? say("the {} {}", ordinal(before), name) : say("the {}", name);
}

std::string StepWriter::pieceOf(std::size_t part) const { return nameOfPart(part) + ", " + at(part).made.title(); }

std::string StepWriter::continued(std::size_t part) const {
    const auto source = find(plan_.pattern, *written(part).from);
    return source && *source < plan_.parts.size() ? nameOfPart(*source) : describe(*written(part).from);
}

std::string StepWriter::shownFace(std::size_t part) const {
    const auto* strip = std::get_if<StripTraits>(&at(part).made.traits);
    if (!strip || strip->faces.size() < 2) return {};
    const auto* rib = std::get_if<RibPart>(&written(part).detail);
    const auto face = static_cast<std::size_t>(rib ? std::clamp(rib->face.value_or(0), 0, 1) : 0);
    return say("the {} face", faceWords(*strip)[face]);
}

std::string StepWriter::faceAgainst(std::size_t part) const {
    const std::string face = shownFace(part);
    return face.empty() ? face : say("{} against the hook", face);
}

std::string StepWriter::faceOut(std::size_t part) const {
    const std::string face = shownFace(part);
    return face.empty() ? face : say("{} out", face);
}

std::string StepWriter::sense(std::size_t part) const {
    return senseOf(plan_, part) > 0 ? say("over the top and away from you") : say("over the top and towards you");
}

bool StepWriter::isMetal(std::size_t part) const {
    const MaterialKind kind = at(part).made.kind;
    return kind == MaterialKind::wire || kind == MaterialKind::oval || kind == MaterialKind::tinsel || kind == MaterialKind::ribbon;
}

}  // namespace machair
