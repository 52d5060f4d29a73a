#include "bench/judgement.h"

#include <algorithm>
#include <optional>

namespace machair {

namespace {

std::optional<std::size_t> first(const Pattern& pattern, PartKind kind) { return findKind(pattern, kind); }
std::optional<std::size_t> last(const Pattern& pattern, PartKind kind) {
    std::optional<std::size_t> found;
    for (std::size_t i = 0; i < pattern.parts.size(); ++i)
        if (pattern.parts[i].kind == kind) found = i;
    return found;
}

struct OrderRule {
    PartKind earlier;
    PartKind later;
    const char* words;  // when the later one stands first
};
constexpr std::array kOrder = {
    OrderRule{PartKind::tag, PartKind::tail, "the tail would be tied over a place where the tag is not yet"},
    OrderRule{PartKind::tail, PartKind::body, "the body is wound before the tail is in: its butts have nowhere to go"},
    OrderRule{PartKind::tail, PartKind::wing, "the wing is in the way of tying and trimming the tail"},
    OrderRule{PartKind::rib, PartKind::body, "the rib is forgotten until the body is wound: it can't be tied in under it"},
    OrderRule{PartKind::body, PartKind::palmer, "the body hackle has no body to be wound on"},
    OrderRule{PartKind::body, PartKind::wing, "the wing would be tied under the body"},
    OrderRule{PartKind::body, PartKind::collar, "the hackle is wound before the body under it"},
    OrderRule{PartKind::body, PartKind::throat, "the throat is tied in before the body"},
    OrderRule{PartKind::body, PartKind::legs, "the legs are tied in before the body that they come out of"},
    OrderRule{PartKind::body, PartKind::cheek, "the cheeks are tied in before the body"},
};

struct ReworkRule {
    PartKind kind;
    Rework rework;
};
const std::vector<ReworkRule>& reworkRules() {
    static const std::vector<ReworkRule> rules = {
        {PartKind::tail,
         {"too long", true, "unwind three turns, draw it forward, bind again", "stretch it along the shank before the first turn"}},
        {PartKind::tail, {"too thick", true, "unwind, take fibres out, bind again", "count them before they leave the stem"}},
        {PartKind::rib, {"turns uneven", true, "unwind it and wind again, counting", "mark the gap against the hook's gape"}},
        {PartKind::rib,
         {"it broke", false, "tie in a new length at the front and wind it back with one turn less",
          "don't twist wire while it is under pull"}},
        {PartKind::body, {"too fat", true, "take it off to the thread and dub less", "dub a third of what seems right"}},
        {PartKind::body, {"too far forward", true, "unwind the last turns and take the fur off", "stop where the plan says, by the gauge"}},
        {PartKind::palmer, {"fibres trapped by the rib", true, "pick them out with a needle", "work the rib from side to side"}},
        {PartKind::palmer, {"the stem broke", false, "strip it off and wind another feather", "soak a dry feather; no jerk"}},
        {PartKind::collar, {"fibre too long", false, "take it off and choose a shorter feather", "hold the fibre against the hook first"}},
        {PartKind::collar, {"no room left at the eye", true, "unwind one turn", "body front further back next time"}},
        {PartKind::throat, {"it wraps round the sides", true, "pull it down and bind from above", "fewer fibres"}},
        {PartKind::wing, {"it rolls to the far side", true, "slacken two turns, bring it back, pinch again", "a flat bed and a soft loop"}},
        {PartKind::wing, {"it cocks up", true, "take it off, level the bed with thread, tie it again", "the plan's layers of bed"}},
        {PartKind::wing, {"the slips split", false, "new slips", "marry the edges with damp fingers; don't draw the loop sideways"}},
        {PartKind::cheek, {"they don't match", true, "slacken, turn the shorter one forward", "pair them by length on the desk"}},
        {PartKind::legs, {"one stands off", true, "two turns figure-of-eight about it", "knot them before tying in"}},
        {PartKind::tag, {"it creeps down the bend", true, "unwind, begin one turn further forward", "a drop of varnish under it"}},
        {PartKind::butt, {"it hides the tag", true, "unwind a turn", "thinner herl"}},
        {PartKind::underbody, {"a step at its end", true, "fill it with thread", "cut the end on a slope"}},
        {PartKind::thorax, {"too small for the bead", true, "dub more behind the bead", "ball not smaller than the bead"}},
        {PartKind::bead, {"it wobbles", true, "fill behind it with thread or lead-free wire", "a bead that fits the hook"}},
        {PartKind::thread, {"the end slipped", true, "start again over it", "draw the whip tight before cutting"}},
        {PartKind::head, {"the eye is blocked", true, "a needle while it is wet, a feather drawn through when tacky", "less varnish"}},
        {PartKind::head,
         {"the head is fat", false, "flatten the thread and use fewer turns on the next", "finer thread, butts cut on a slope"}},
    };
    return rules;
}

bool isBrittle(MaterialKind kind) { return kind == MaterialKind::herl || kind == MaterialKind::fibres; }

}  // namespace

std::vector<OrderFault> orderFaults(const Pattern& pattern) {
    std::vector<OrderFault> faults;
    for (const OrderRule& rule : kOrder) {
        const auto earlier = last(pattern, rule.earlier);
        const auto later = first(pattern, rule.later);
        if (earlier && later && *later < *earlier) faults.push_back({*earlier, rule.words, *later});
    }
    if (const auto head = first(pattern, PartKind::head); head && *head + 1 < pattern.parts.size())
        faults.push_back({*head, "the head is finished before everything is tied in", pattern.parts.size()});
    return faults;
}

std::vector<Rework> reworkOf(PartKind kind) {
    std::vector<Rework> list;
    for (const ReworkRule& rule : reworkRules())
        if (rule.kind == kind) list.push_back(rule.rework);
    return list;
}

Durability durabilityOf(const Plan& plan) {
    Durability d;
    const Pattern& pattern = plan.pattern;
    const auto rib = first(pattern, PartKind::rib);
    const auto* ribPlan = rib ? std::get_if<RibPlan>(&plan.parts[*rib].detail) : nullptr;
    for (std::size_t i = 0; i < plan.parts.size(); ++i) {
        const PartPlan& part = plan.parts[i];
        if (const auto* palmer = std::get_if<PalmerPlan>(&part.detail)) {
            if (!ribPlan && palmer->wound == PalmerWound::rearward)
                d.weak.push_back(
                    {i, "nothing locks the body hackle: one tooth through its stem and it unwinds", "a rib of fine wire through it"});
            else if (ribPlan)
                d.protects.emplace_back("the rib crosses the body hackle's stem and locks every turn");
        } else if (const auto* body = std::get_if<BodyPlan>(&part.detail); body && isBrittle(part.made.kind)) {
            const auto* written = std::get_if<BodyPart>(&pattern.parts[i].detail);
            const Winding own = written ? written->direction.value_or(Winding::with) : Winding::with;
            if (!ribPlan)
                d.weak.push_back({i, "a brittle body with nothing over it", "a counter-wound rib, or twist the strands with the thread"});
            else if (ribPlan->direction == own)
                d.weak.push_back({i, "rib and body are wound the same way, so the rib sinks between the strands and holds none",
                                  "wind the rib against the body"});
            else
                d.protects.emplace_back("the counter-wound rib crosses the strands of the body");
        } else if (std::holds_alternative<TagPlan>(part.detail)) {
            const auto* written = std::get_if<TagPart>(&pattern.parts[i].detail);
            if (!written || written->protect.value_or(Protection::none) == Protection::none)
                d.weak.push_back({i, "teeth cut the " + std::string(nameOf(part.kind)) + " first", "varnish or a touch of glue over it"});
            else
                d.protects.emplace_back(*written->protect == Protection::glue ? "glue over the tag" : "varnish over the tag");
        } else if (const auto* wing = std::get_if<WingPlan>(&part.detail);
                   wing && (wing->style == WingStyle::paired || wing->style == WingStyle::upright)) {
            d.weak.push_back({i, "slips split after a few fish", "that is what they do; a rolled wing lasts longer"});
        } else if (const auto* head = std::get_if<HeadPlan>(&part.detail)) {
            if (head->coats == 0 || head->finish == Finish::none)
                d.weak.push_back({i, "the whip alone holds the head", "one coat of varnish"});
            else
                d.protects.emplace_back(std::to_string(head->coats) + (head->coats == 1 ? " coat" : " coats") + " over the whip");
        }
    }
    // Ties that hold others come first; a wing that splits loses only itself.
    std::ranges::stable_sort(d.weak, {}, [&](const WeakPoint& w) { return plan.parts[w.part].kind == PartKind::wing ? 1 : 0; });
    return d;
}

}  // namespace machair
