#include "sizing/needs.h"

#include <algorithm>

namespace machair {

namespace {

// What a part takes by itself; nothing of a material that it doesn't.
struct Takes {
    const PartPlan& part;
    Need need;

    void operator()(const TailPlan& tail) {
        if (tail.style == TailStyle::slip || tail.style == TailStyle::cloak) {
            need.slip = tail.slip;
            need.fibres = tail.barbs;
        } else if (tail.style == TailStyle::plume)
            need.feathers = tail.fibres;
        else
            need.fibres = tail.fibresToTake.value_or(tail.fibres);
        need.length = tail.fibreNeeded;
    }
    void operator()(const RibPlan& rib) { need.length = rib.cut; }
    void operator()(const TagPlan& tag) { need.length = tag.length; }
    void operator()(const UnderbodyPlan& under) { need.length = under.length; }
    void operator()(const BodyPlan& body) {
        if (body.noodle) need.mass = body.mass;
        if (body.length) need.length = body.length;
        if (body.strands) {
            need.fibres = body.strands;
            need.perSet = body.strands;
            need.yield = body.yield;
        }
    }
    void operator()(const PalmerPlan& palmer) {
        need.stem = palmer.hackle.stem;
        need.feathers = static_cast<double>(palmer.feathers);
    }
    void operator()(const HacklePlan& h) {
        need.stem = h.stem;
        if (part.made.kind != MaterialKind::dubbing) need.feathers = 1.0;
    }
    void operator()(const WingPlan& wing) {
        if (wing.slip > 0.0 * mm) need.slip = wing.slip;  // of a pair one from each side
        if (wing.style == WingStyle::plume || wing.style == WingStyle::tips)
            need.feathers = wing.count;
        else if (wing.style == WingStyle::hair)
            need.fibres = wing.toTake;
        need.length = wing.length;
    }
    void operator()(const PiecePlan& piece) {
        need.length = piece.length;
        need.fibres = piece.count;
    }
    void operator()(const Impossible&) {}
    void operator()(const BeadPlan&) { need.fibres = 1.0; }
    void operator()(const ThreadPlan&) {}
    void operator()(const HeadPlan&) {}
};

template <class T>
void add(std::optional<T>& to, const std::optional<T>& from) {
    if (from) to = to ? *to + *from : *from;
}
template <class T>
void longest(std::optional<T>& to, const std::optional<T>& from) {
    if (from) to = to ? std::max(*to, *from) : *from;
}

// Lengths of one piece add up, pieces of their own take the longest; counts, slips, stems and masses add up, but the strands,
// the feather or the slip of a `from` part are those that were counted already.
void addNeed(Need& to, const Need& more, bool continued) {
    to.parts.insert(to.parts.end(), more.parts.begin(), more.parts.end());
    add(to.stem, more.stem);
    add(to.mass, more.mass);
    if (continued) {
        add(to.length, more.length);
        if (!to.perSet) to.perSet = more.perSet;
        if (!to.yield) to.yield = more.yield;
        return;
    }
    longest(to.length, more.length);
    add(to.fibres, more.fibres);
    add(to.slip, more.slip);
    add(to.feathers, more.feathers);
    if (!to.perSet) to.perSet = more.perSet;
    if (!to.yield) to.yield = more.yield;
}

// Some that go on with another part's piece take more, or less, than the part by itself.
void ofContinued(const Plan& plan, std::size_t i, Need& need) {
    const Part& written = plan.pattern.parts[i];
    if (!written.from) return;
    const auto source = find(plan.pattern, *written.from);
    if (!source) return;
    if (const auto* tail = std::get_if<TailPlan>(&plan.parts[*source].detail); tail && tail->woundOn)
        need.length = 0.0 * mm;  // the tail's own need has it all
    if (std::holds_alternative<UnderbodyPlan>(plan.parts[i].detail) && plan.pattern.parts[*source].kind == PartKind::wing)
        need = {need.material, {}, {}, {}, {}, {}, need.parts};
}

}  // namespace

std::vector<Need> needsOf(const Plan& plan) {
    std::vector<Need> needs;
    for (std::size_t i = 0; i < plan.parts.size(); ++i) {
        const PartPlan& part = plan.parts[i];
        if (!part.material || std::holds_alternative<Impossible>(part.detail) || std::holds_alternative<ThreadPlan>(part.detail)) continue;
        Takes takes{part, {*part.material, {}, {}, {}, {}, {}, {i}}};
        std::visit(takes, part.detail);
        ofContinued(plan, i, takes.need);
        const auto same = std::ranges::find(needs, *part.material, &Need::material);
        if (same == needs.end())
            needs.push_back(std::move(takes.need));
        else
            addNeed(*same, takes.need, plan.pattern.parts[i].from.has_value());
    }
    return needs;
}

}  // namespace machair
