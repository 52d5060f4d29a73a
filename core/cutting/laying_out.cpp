#include "cutting/laying_out.h"

#include <cmath>

#include "cutting/cutting.h"
#include "language/say.h"
#include "sizing/counts.h"
#include "units/text.h"

namespace machair {

namespace {

constexpr Length kHeld = 45.0 * mm;  // of anything wound, models.md section 4

std::string lengthText(Length length) {
    constexpr Length kLong = 1000.0 * mm;
    return length >= kLong ? formatNumber(length / metre, 2) + " m" : formatNumber(length / mm, 0) + " mm";
}

class Writer {
  public:
    Writer(const Plan& plan, int flies) : plan_(plan), flies_(flies) {}
    std::vector<LaidOut> list;

    void length(std::size_t part, const std::string& what, Length each, std::string why = {}) {
        list.push_back(
            {part,
             what,
             lengthText(each),
             flies_ == 1 ? lengthText(each) : say("{} of {}, {}", std::to_string(flies_), lengthText(each), lengthText(each * flies_)),
             std::move(why),
             materialOf(part),
             each,
             {},
             {}});
    }
    void pieces(std::size_t part, const std::string& what, double count, const std::string& of, std::string why = {}) {
        const auto text = [&](double n) { return formatShort(n, 0) + " " + of; };
        list.push_back({part, what, text(count), text(count * flies_), std::move(why), materialOf(part), {}, count, {}});
    }
    [[nodiscard]] MaterialId materialOf(std::size_t part) const {
        return part < plan_.parts.size() ? plan_.parts[part].material.value_or(MaterialId()) : plan_.threadMaterial.id;
    }
    void part(std::size_t i) {
        const PartPlan& p = plan_.parts[i];
        const std::string what = sayName(p.kind) + ": " + p.made.title();
        std::visit([&](const auto& detail) { write(i, what, p, detail); }, p.detail);
    }

  private:
    void write(std::size_t, const std::string&, const PartPlan&, const Impossible&) {}
    void write(std::size_t i, const std::string& what, const PartPlan&, const TagPlan& tag) {
        length(i, what, tag.length + kHeld, say("45 mm of it to hold"));
    }
    void write(std::size_t i, const std::string& what, const PartPlan&, const TailPlan& tail) {
        const std::string least = formatNumber(tail.fibreNeeded / mm, 1);
        const std::string need =
            tail.style == TailStyle::floss ? say("strands of {} mm or more", least) : say("fibres of {} mm or more", least);
        if (tail.slip)
            pieces(i, what, 1, say("slip of {} mm", formatNumber(*tail.slip / mm, 1)),
                   say("barbs of {} mm", formatNumber(tail.fibreNeeded / mm, 1)));
        else if (tail.fibresToTake)
            pieces(i, what, std::ceil(*tail.fibresToTake), need, say("{} stay after tightening", formatShort(tail.fibres, 0)));
        else
            pieces(i, what, tail.fibres, need, tail.barSpacing ? say("bars {} mm apart", formatNumber(*tail.barSpacing / mm, 1)) : "");
    }
    void write(std::size_t i, const std::string& what, const PartPlan&, const RibPlan& rib) {
        length(i, what, rib.cut, say("45 mm of it to hold, {} turns", formatShort(rib.turns, 1)));
    }
    void write(std::size_t i, const std::string& what, const PartPlan&, const UnderbodyPlan& under) {
        if (under.length) length(i, what, *under.length + kHeld, say("45 mm of it to hold"));
    }
    // A blend's furs by weight, for the whole batch.
    static std::string blendOf(const PartPlan& p, Mass all) {
        const auto* fur = std::get_if<DubbingTraits>(&p.made.traits);
        if (!fur || fur->blend.empty()) return {};
        double parts = 0.0;
        for (const BlendPart& part : fur->blend)
            parts += part.parts;
        std::string text = say("; blend for all");
        for (std::size_t i = 0; i < fur->blend.size(); ++i)
            text +=
                (i == 0 ? " " : say(" and ")) + formatNumber(all / mg * fur->blend[i].parts / parts, 1) + " mg " + fur->blend[i].material;
        return text;
    }
    void write(std::size_t i, const std::string& what, const PartPlan& p, const BodyPlan& body) {
        if (body.rope)
            length(i, say("{}, loop or rope", what), *body.made,
                   say("{} mg of fur; short is worse than long", formatNumber(body.mass / mg, 1)));
        else if (body.noodle)
            length(i, say("{}, noodle", what), *body.made, say("{} mg of fur", formatNumber(body.mass / mg, 1)));
        else if (body.strands && body.perStrand) {
            pieces(
                i, what, *body.strands, say("strands, {} mm wound of each", formatNumber(*body.perStrand / mm, 0)),
                body.yield ? say("a set gives {}{}", std::to_string(*body.yield), *body.yield == 1 ? say(" body") : say(" bodies")) : "");
            if (body.yield && *body.yield > 0)
                list.back().all =
                    say("{} sets of {}", std::to_string((flies_ + *body.yield - 1) / *body.yield), formatShort(*body.strands, 0));
        } else if (body.length)
            length(i, what, *body.length + kHeld, say("45 mm of it to hold"));
        if ((body.rope || body.noodle) && !list.empty()) {  // fur is weighed, not measured
            list.back().length.reset();
            list.back().mass = body.mass;
            list.back().why += blendOf(p, body.mass * static_cast<double>(flies_));
        }
    }
    void hackle(std::size_t i, const std::string& what, const HacklePlan& h, double feathers) {
        pieces(i, what, feathers, say("× feather, fibre {} mm", formatNumber(h.fibre / mm, 1)),
               say("{} mm of stem stripped and wound, {} to {} mm of fibre along it", formatNumber(h.stem / mm, 0),
                   formatNumber(h.shortest / mm, 1), formatNumber(h.longest / mm, 1)));
    }
    void write(std::size_t i, const std::string& what, const PartPlan&, const PalmerPlan& palmer) {
        hackle(i, what, palmer.hackle, palmer.feathers);
    }
    void write(std::size_t i, const std::string& what, const PartPlan&, const HacklePlan& h) { hackle(i, what, h, 1.0); }
    void write(std::size_t i, const std::string& what, const PartPlan&, const WingPlan& wing) {
        const bool pair = wing.style == WingStyle::paired || wing.style == WingStyle::upright;
        if (wing.slip > 0.0 * mm)
            pieces(i, what, pair ? 2 : 1,
                   say("{}{} mm wide", pair ? say("slips, half left and half right, ") : say("× slip, "), formatNumber(wing.slip / mm, 1)),
                   say("barbs of {} mm: 2 bound, 4 to hold{}", formatNumber((wing.length + 6.0 * mm) / mm, 1),
                       wing.layers > 1 ? say("; folded in {}", std::to_string(wing.layers)) : ""));
        else
            pieces(i, what, wing.count.value_or(1.0), say("of {} mm", formatNumber(wing.length / mm, 1)));
    }
    void write(std::size_t i, const std::string& what, const PartPlan&, const PiecePlan& piece) {
        pieces(i, what, piece.count, say("of {} mm", formatNumber(piece.length / mm, 1)));
    }
    void write(std::size_t i, const std::string& what, const PartPlan&, const BeadPlan& bead) {
        pieces(i, what, 1, say("of {} mm", formatNumber(bead.diameter / mm, 1)));
    }
    void write(std::size_t, const std::string&, const PartPlan&, const ThreadPlan&) {}
    void write(std::size_t, const std::string&, const PartPlan&, const HeadPlan&) {}

    const Plan& plan_;
    int flies_;
};

}  // namespace

std::vector<LaidOut> layOut(const Plan& plan, int flies) {
    require(flies >= 1 && flies <= kMostFlies, "a batch has from 1 to 10000 flies");
    Writer writer(plan, flies);
    writer.length(plan.parts.size(), say("thread: {}", plan.threadMaterial.title()), plan.threadUsed, say("15 cm of it to handle"));
    for (std::size_t i = 0; i < plan.parts.size(); ++i)
        writer.part(i);
    return std::move(writer.list);
}

}  // namespace machair
