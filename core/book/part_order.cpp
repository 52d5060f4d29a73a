#include "book/part_order.h"

#include <algorithm>

#include "book/describe.h"

namespace machair {

namespace {

class RefVisitor {
  public:
    explicit RefVisitor(const std::function<void(PartRef&)>& f) : f_(f) {}
    template <class T>
    void operator()(const char*, T& member, const Rule& = {}) {
        visit(member);
    }
    void visit(StationSpec& spec) {
        visit(spec.ahead);
        visit(spec.behind);
    }

  private:
    template <class T>
    void visit(std::optional<T>& member) {
        if (member) visit(*member);
    }
    void visit(LengthSpec& spec) {
        if (auto* ratio = std::get_if<Ratio>(&spec.value))
            if (auto* ref = std::get_if<PartRef>(&ratio->of)) f_(*ref);
        if (auto* reach = std::get_if<Reach>(&spec.value)) {
            if (auto* ref = std::get_if<PartRef>(&reach->to)) f_(*ref);
            if (reach->past) visit(**reach->past);
            if (reach->shortBy) visit(**reach->shortBy);
        }
    }
    template <class T>
    void visit(T&) {}

    const std::function<void(PartRef&)>& f_;
};

// Which places the bodies have, in their order: a rib goes along the n-th of them.
std::vector<std::size_t> bodiesOf(const std::vector<Part>& parts) {
    std::vector<std::size_t> bodies;
    for (std::size_t i = 0; i < parts.size(); ++i)
        if (parts[i].kind == PartKind::body) bodies.push_back(i);
    return bodies;
}

}  // namespace

void eachPartRef(Part& part, const std::function<void(PartRef&)>& f) {
    RefVisitor visitor(f);
    if (part.from) f(*part.from);
    if (part.station) visitor.visit(*part.station);
    std::visit([&](auto& detail) { describe(visitor, detail); }, part.detail);
}

PartOrder orderOf(const Pattern& pattern) {
    PartOrder order;
    for (std::size_t i = 0; i < pattern.parts.size(); ++i)
        order.emplace_back(i);
    return order;
}

PartOrder orderWithNewAt(const Pattern& pattern, std::size_t at) {
    PartOrder order = orderOf(pattern);
    order.insert(order.begin() + static_cast<std::ptrdiff_t>(at), std::nullopt);
    return order;
}

void rearrange(Book& book, const DressingId& id, const PartOrder& from, const Part& fresh) {
    Pattern& pattern = *book.findPattern(id);
    const std::vector<Part> before = pattern.parts;
    std::vector<std::optional<std::size_t>> to(before.size());
    pattern.parts.clear();
    for (std::size_t i = 0; i < from.size(); ++i) {
        pattern.parts.push_back(from[i] ? before.at(*from[i]) : fresh);
        if (from[i]) to[*from[i]] = i;
    }
    const auto moved = [&](std::size_t old) { return old < to.size() && to[old] ? *to[old] : old; };
    const std::vector<std::size_t> bodiesWere = bodiesOf(before), bodiesAre = bodiesOf(pattern.parts);
    for (std::size_t i = 0; i < from.size(); ++i) {
        if (!from[i]) continue;  // what a new part says, it says of the new order
        Part& part = pattern.parts[i];
        eachPartRef(part, [&](PartRef& ref) {
            if (auto* index = std::get_if<std::size_t>(&ref.which)) *index = moved(*index);
        });
        auto* rib = std::get_if<RibPart>(&part.detail);
        auto* section = rib && rib->along ? std::get_if<std::size_t>(&*rib->along) : nullptr;
        if (!section || *section >= bodiesWere.size()) continue;
        const auto now = std::ranges::find(bodiesAre, moved(bodiesWere[*section]));
        if (now != bodiesAre.end()) *section = static_cast<std::size_t>(now - bodiesAre.begin());
    }
    for (CheckedFly& fly : book.checks) {
        if (fly.pattern != id) continue;
        for (CheckReading& reading : fly.readings) {
            const auto old = static_cast<std::size_t>(reading.part);
            if (!reading.kind && old < before.size()) reading.kind = before[old].kind;  // what it was measured on stays said
            reading.part = static_cast<int>(moved(old));
        }
    }
}

}  // namespace machair
