#include "book/edits.h"

#include <algorithm>
#include <array>
#include <functional>

#include "book/describe.h"
#include "book/fields.h"
#include "book/find.h"
#include "book/fitting.h"
#include "book/lists.h"
#include "book/part_material.h"
#include "book/part_order.h"
#include "book/references.h"
#include "book/schools.h"
#include "language/say.h"
#include "units/visit.h"

namespace machair {

namespace {

Place placeOf(const Book& book, const DressingId& pattern) { return Place("patterns").at(book.indexOfPattern(pattern)); }

Result<std::size_t> findPart(const Book& book, const DressingId& pattern, std::size_t part) {
    const Pattern* found = book.findPattern(pattern);
    if (!found) return noSuch(Place("patterns"), "dressing", pattern);
    if (part >= found->parts.size())
        return fail(placeOf(book, pattern).key("parts"),
                    say("expected one of its {} parts, got number {}", std::to_string(found->parts.size()), std::to_string(part)));
    return part;
}

std::string titleOf(PartKind kind) { return sayName(kind); }

// Where the kinds usually stand from back to front (practice.md, "a fixed order").
int rankOf(PartKind kind) {
    constexpr std::array kOrder = {PartKind::bead,   PartKind::tag,       PartKind::butt,   PartKind::tail,
                                   PartKind::rib,    PartKind::underbody, PartKind::body,   PartKind::thorax,
                                   PartKind::palmer, PartKind::legs,      PartKind::wing,   PartKind::throat,
                                   PartKind::collar, PartKind::cheek,     PartKind::thread, PartKind::head};
    return static_cast<int>(std::ranges::find(kOrder, kind) - kOrder.begin());
}

std::vector<MaterialKind> usualKinds(PartKind kind) {
    switch (kind) {
        case PartKind::tag:
        case PartKind::butt: return {MaterialKind::tinsel, MaterialKind::floss, MaterialKind::herl};
        case PartKind::tail: return {MaterialKind::fibres, MaterialKind::tippet, MaterialKind::hair, MaterialKind::hackle};
        case PartKind::rib: return {MaterialKind::oval, MaterialKind::wire, MaterialKind::tinsel};
        case PartKind::body:
        case PartKind::thorax: return {MaterialKind::dubbing, MaterialKind::herl, MaterialKind::floss};
        case PartKind::palmer:
        case PartKind::collar:
        case PartKind::throat: return {MaterialKind::hackle};
        case PartKind::wing: return {MaterialKind::flank, MaterialKind::quill, MaterialKind::hair};
        case PartKind::cheek: return {MaterialKind::cheek, MaterialKind::tip};
        case PartKind::legs: return {MaterialKind::leg, MaterialKind::fibres};
        case PartKind::bead: return {MaterialKind::bead};
        case PartKind::thread: return {MaterialKind::thread};
        case PartKind::underbody:
        case PartKind::head: return {};
    }
    return {};
}

bool prefersStiff(PartKind kind) { return kind == PartKind::palmer; }

std::optional<MaterialId> usualMaterial(const Book& book, PartKind kind) {
    return firstFitting(book, usualKinds(kind), prefersStiff(kind));
}

PartDetail usualDetail(PartKind kind) {
    PartDetail detail = detailFor(kind);
    std::visit(Overloaded{
                   [](TagPart& tag) { tag.turns = exactly(3); },
                   [](TailPart& tail) { tail.length = ratioOf(0.75, Yardstick::shank); },
                   [](RibPart& rib) { rib.direction = Winding::counter; },
                   [](PalmerPart& palmer) {
                       palmer.shoulderTurns = exactly(2);
                       palmer.openTurns = exactly(5);
                   },
                   [](CollarPart& collar) { collar.turns = exactly(2); },
                   [](LegsPart& legs) { legs.count = exactly(6); },
                   [](const OneOf<UnderbodyPart, BodyPart, WingPart, CheekPart, BeadPart, ThreadPart, HeadPart> auto&) {},
               },
               detail);
    return detail;
}

std::string hookId(const HookSpec& spec) {
    std::string id(nameOf(spec.family));
    std::ranges::replace(id, '_', '-');
    id += "-" + std::to_string(spec.size);
    const auto steps = [&](int n, const char* more, const char* less) {
        if (n != 0) id += "-" + std::to_string(std::abs(n)) + "-" + (n > 0 ? more : less);
    };
    steps(spec.longer.value_or(0), "long", "short");
    steps(spec.heavier.value_or(0), "heavy", "fine");
    if (!spec.barb.value_or(true)) id += "-barbless";
    return id;
}

}  // namespace

bool sameModel(const HookSpec& a, const HookSpec& b) {
    return a.size == b.size && a.family == b.family && a.longer.value_or(0) == b.longer.value_or(0) &&
           a.heavier.value_or(0) == b.heavier.value_or(0) && a.barb.value_or(true) == b.barb.value_or(true) &&
           a.eye.value_or(EyeTurn::down) == b.eye.value_or(EyeTurn::down);
}

HookId takeHook(Book& book, HookSpec hook) {
    for (const HookSpec& known : book.hooks)
        if (known.id == hook.id || sameModel(known, hook)) return known.id;
    hook.name = describeHook(hook);
    hook.id = freeIdIn(book.hooks, hookId(hook));
    book.hooks.push_back(hook);
    return hook.id;
}

Result<Edit> changeField(const Book& book, const DressingId& pattern, std::size_t part, std::string_view key, std::string_view text) {
    if (const auto found = findPart(book, pattern, part); !found) return tl::unexpected(found.error());
    Edit edit{{}, book};
    Pattern& changed = *edit.after.findPattern(pattern);
    const auto field = withField(changed.parts[part], key, text, placeOf(book, pattern).key("parts").at(part));
    if (!field) return tl::unexpected(field.error());
    const std::string name = titleOf(changed.parts[part].kind) + " " + fieldLabel(fieldsOf(changed.parts[part]), key);
    changed.parts[part] = *field;
    if (key == "from" && changed.parts[part].from) changed.parts[part].material.reset();  // it is the other part's
    edit.words = name + (text.empty() ? say(" back to the usual") : say(" to {}", std::string(text)));
    return edit;
}

Result<Edit> changePatternField(const Book& book, const DressingId& pattern, std::string_view key, std::string_view text) {
    const Pattern* found = book.findPattern(pattern);
    if (!found) return noSuch(Place("patterns"), "dressing", pattern);
    const Place place = placeOf(book, pattern);
    auto changed = withField(*found, key, text, place);
    if (!changed) return tl::unexpected(changed.error());
    const Material* thread = book.findMaterial(changed->thread);
    if (key == "thread" && (!thread || thread->kind != MaterialKind::thread)) return noSuch(place.key("thread"), "thread", text);
    if (key == "hook" && !book.findHook(changed->hook)) return noSuch(place.key("hook"), "hook", text);
    if (key == "varied_from" && changed->variedFrom && (*changed->variedFrom == changed->id || !book.findPattern(*changed->variedFrom)))
        return noSuch(place.key("varied_from"), "dressing other than this one", text);
    Edit edit{fieldLabel(fieldsOf(*changed), key) +
                  (text.empty() ? say(" not said") : say(" to {}", key == "thread" ? thread->title() : std::string(text))),
              book};
    *edit.after.findPattern(pattern) = std::move(*changed);
    return edit;
}

Result<Edit> changeMaterial(const Book& book, const DressingId& pattern, std::size_t part, const MaterialId& material) {
    if (const auto found = findPart(book, pattern, part); !found) return tl::unexpected(found.error());
    const Material* made = book.findMaterial(material);
    if (!made) return noSuch(placeOf(book, pattern).key("parts").at(part).key("material"), "material", material);
    Edit edit{{}, book};
    Part& changed = edit.after.findPattern(pattern)->parts[part];
    changed.material = made->id;
    changed.from.reset();
    edit.words = say("{} of {}", titleOf(changed.kind), made->title());
    std::string fell;
    for (const FellAway& what : fitToMaterial(changed, *made))
        fell += (fell.empty() ? say("; back to the usual: ") : ", ") + what.words;
    edit.words += fell;
    const auto& schools = book.findPattern(pattern)->schools;
    const Material* before =
        book.findPattern(pattern)->parts[part].material ? book.findMaterial(*book.findPattern(pattern)->parts[part].material) : nullptr;
    if (schools && schools->faithful == Faithfulness::toTheLetter && before && before->id != made->id)
        edit.words += say("; this dressing is held to the letter, and its recipe says {}", before->title());
    return edit;
}

Result<Edit> changeHookField(const Book& book, const HookId& hook, std::string_view key, std::string_view text) {
    const HookSpec* found = book.findHook(hook);
    if (!found) return noSuch(Place("hooks"), "hook", hook);
    const auto index = static_cast<std::size_t>(found - book.hooks.data());
    const auto changed = withField(*found, key, text, Place("hooks").at(index));
    if (!changed) return tl::unexpected(changed.error());
    if (const auto made = makeHook(*changed, Place("hooks").at(index)); !made) return tl::unexpected(made.error());
    Edit edit{found->name.value_or(found->id) + ": " + fieldLabel(fieldsOf(*found), key) +
                  (text.empty() ? say(" back to nominal") : " " + std::string(text)),
              book};
    edit.after.hooks[index] = *changed;
    return edit;
}

Result<Edit> changeMaterialField(const Book& book, const MaterialId& material, std::string_view key, std::string_view text, Source source) {
    const Material* found = book.findMaterial(material);
    if (!found) return noSuch(Place("materials"), "material", material);
    const auto index = static_cast<std::size_t>(found - book.materials.data());
    auto changed = withField(*found, key, text, Place("materials").at(index));
    if (!changed) return tl::unexpected(changed.error());
    std::erase(changed->measured, std::string(key));
    if (source == Source::measured && !text.empty()) changed->measured.emplace_back(key);
    Edit edit{
        found->title() + ": " + fieldLabel(fieldsOf(*found), key) + (text.empty() ? say(" back to the usual") : " " + std::string(text)),
        book};
    edit.after.materials[index] = std::move(*changed);
    if (key == "blend")  // names other materials
        if (Faults faults = check(edit.after); !faults.empty()) return tl::unexpected(std::move(faults));
    return edit;
}

Result<Edit> addHook(const Book& book, const HookSpec& like) {
    Edit edit{say("a new hook"), book};
    HookSpec fresh = like;
    fresh.measured.reset();
    fresh.note.reset();
    fresh.carried.clear();
    fresh.name = describeHook(fresh);
    fresh.id = freeIdIn(book.hooks, hookId(fresh));
    if (const auto made = makeHook(fresh, Place("hooks").at(book.hooks.size())); !made) return tl::unexpected(made.error());
    edit.after.hooks.push_back(std::move(fresh));
    return edit;
}

Result<Edit> addMaterial(const Book& book, MaterialKind kind) {
    Edit edit{say("a new {}", sayName(kind)), book};
    Material fresh;
    fresh.kind = kind;
    fresh.traits = traitsFor(kind);
    fresh.name = say("New {}", sayName(kind));
    fresh.id = freeIdIn(book.materials, std::string(nameOf(kind)) + "-new");
    edit.after.materials.push_back(std::move(fresh));
    return edit;
}

std::vector<DressingId> dressingsOn(const Book& book, const HookId& hook) {
    std::vector<DressingId> ids;
    for (const Pattern& pattern : book.patterns)
        if (pattern.hook == hook) ids.push_back(pattern.id);
    return ids;
}

std::vector<DressingId> dressingsFrom(const Book& book, const MaterialId& material) {
    std::vector<DressingId> ids;
    for (const Pattern& pattern : book.patterns)
        if (pattern.thread == material || std::ranges::any_of(pattern.parts, [&](const Part& p) { return p.material == material; }))
            ids.push_back(pattern.id);
    return ids;
}

namespace {

Result<Edit> stillUsed(const Book& book, const Place& place, const std::vector<DressingId>& ids) {
    std::vector<std::string> names;
    for (const DressingId& id : ids)
        names.push_back(book.findPattern(id)->title());
    return fail(place, say("expected nothing tied from it, got {}", sayNames(names)), say("tie those from something else first"));
}

}  // namespace

Result<Edit> removeHook(const Book& book, const HookId& hook) {
    const HookSpec* found = book.findHook(hook);
    if (!found) return noSuch(Place("hooks"), "hook", hook);
    const auto index = found - book.hooks.data();
    if (const auto ids = dressingsOn(book, hook); !ids.empty())
        return stillUsed(book, Place("hooks").at(static_cast<std::size_t>(index)), ids);
    std::string in;  // flies of the box, of a team or of a batch are on it
    eachReference(book, [&](const Reference& reference) {
        if (!reference.past && reference.to == "hooks" && reference.id == hook) in = reference.place().text();
    });
    if (!in.empty())
        return fail(Place("hooks").at(static_cast<std::size_t>(index)), say("expected nothing tied on it, got {}", in),
                    say("put that fly on another hook first"));
    Edit edit{say("{} taken out", found->name.value_or(found->id)), book};
    edit.after.hooks.erase(edit.after.hooks.begin() + index);
    return edit;
}

Result<Edit> removeMaterial(const Book& book, const MaterialId& material) {
    const Material* found = book.findMaterial(material);
    if (!found) return noSuch(Place("materials"), "material", material);
    const auto index = found - book.materials.data();
    if (const auto ids = dressingsFrom(book, material); !ids.empty())
        return stillUsed(book, Place("materials").at(static_cast<std::size_t>(index)), ids);
    Edit edit{say("{} taken out", found->title()), book};
    edit.after.materials.erase(edit.after.materials.begin() + index);
    if (Faults faults = check(edit.after); !faults.empty()) return tl::unexpected(faults);  // a blend may still name it
    return edit;
}

Result<Edit> addPart(const Book& book, const DressingId& pattern, PartKind kind) {
    if (!book.findPattern(pattern)) return noSuch(Place("patterns"), "dressing", pattern);
    Edit edit{say("add a {}", titleOf(kind)), book};
    Pattern& changed = *edit.after.findPattern(pattern);
    Part part;
    part.kind = kind;
    part.detail = usualDetail(kind);
    part.material = usualMaterial(book, kind);
    std::size_t at = 0;
    while (at < changed.parts.size() && rankOf(changed.parts[at].kind) <= rankOf(kind))
        ++at;
    rearrange(edit.after, pattern, orderWithNewAt(changed, at), part);
    followOwnSchools(edit.after, pattern, at);
    return edit;
}

Result<Edit> removePart(const Book& book, const DressingId& pattern, std::size_t part) {
    if (const auto found = findPart(book, pattern, part); !found) return tl::unexpected(found.error());
    Edit edit{{}, book};
    Pattern& changed = *edit.after.findPattern(pattern);
    const PartKind kind = changed.parts[part].kind;
    Faults faults;
    for (std::size_t i = 0; i < changed.parts.size(); ++i) {
        if (i == part) continue;
        eachPartRef(changed.parts[i], [&](PartRef& ref) {
            if (find(changed, ref) != part) return;
            faults.push_back({placeOf(book, pattern).key("parts").at(i),
                              say("expected to keep the {}: the {} is measured against it", titleOf(kind), titleOf(changed.parts[i].kind)),
                              say("measure the {} against the hook first", titleOf(changed.parts[i].kind))});
        });
    }
    if (!faults.empty()) return tl::unexpected(faults);
    PartOrder from = orderOf(changed);
    from.erase(from.begin() + static_cast<std::ptrdiff_t>(part));
    rearrange(edit.after, pattern, from);
    edit.words = say("take the {} off", titleOf(kind));
    return edit;
}

Result<Edit> movePart(const Book& book, const DressingId& pattern, std::size_t part, std::size_t to) {
    if (const auto found = findPart(book, pattern, part); !found) return tl::unexpected(found.error());
    if (const auto found = findPart(book, pattern, to); !found) return tl::unexpected(found.error());
    Edit edit{{}, book};
    Pattern& changed = *edit.after.findPattern(pattern);
    PartOrder from = orderOf(changed);
    from.erase(from.begin() + static_cast<std::ptrdiff_t>(part));
    from.insert(from.begin() + static_cast<std::ptrdiff_t>(to), part);
    edit.words = say("tie the {}{}", titleOf(changed.parts[part].kind), to < part ? say(" earlier") : say(" later"));
    rearrange(edit.after, pattern, from);
    return edit;
}

Result<Edit> changeHook(const Book& book, const DressingId& pattern, const HookId& hook) {
    if (!book.findPattern(pattern)) return noSuch(Place("patterns"), "dressing", pattern);
    const HookSpec* spec = book.findHook(hook);
    if (!spec) return noSuch(placeOf(book, pattern).key("hook"), "hook", hook);
    Edit edit{say("on {}", spec->name.value_or(describeHook(*spec))), book};
    edit.after.findPattern(pattern)->hook = spec->id;
    return edit;
}

Result<Edit> resizeHook(const Book& book, const DressingId& pattern, const HookChange& change) {
    const Pattern* found = book.findPattern(pattern);
    if (!found) return noSuch(Place("patterns"), "dressing", pattern);
    const HookSpec* now = book.findHook(found->hook);
    if (!now) return noSuch(placeOf(book, pattern).key("hook"), "hook", found->hook);
    HookSpec wanted = *now;
    if (change.size) wanted.size = *change.size;
    if (change.heavier) wanted.heavier = *change.heavier == 0 ? std::nullopt : change.heavier;
    if (change.barb) wanted.barb = change.barb;
    if (sameModel(wanted, *now)) return changeHook(book, pattern, now->id);
    for (const HookSpec& hook : book.hooks)
        if (sameModel(hook, wanted)) return changeHook(book, pattern, hook.id);
    // Another size or wire was not measured: it is the nominal one until it is.
    wanted.measured.reset();
    wanted.note.reset();
    wanted.carried.clear();
    wanted.id = {};
    if (const auto valid = makeHook(wanted, placeOf(book, pattern).key("hook")); !valid) return tl::unexpected(valid.error());
    Book with = book;
    return changeHook(with, pattern, takeHook(with, wanted));
}

Result<Edit> changeTeamFly(const Book& book, const TeamId& team, Position position, const std::optional<Fly>& fly) {
    const auto found = findIn(book.teams, "teams", "team", team);
    if (!found) return tl::unexpected(found.error());
    const auto& [index, place, spec] = *found;
    if (fly && !book.findPattern(fly->pattern)) return noSuch(place.key(nameOf(position)), "dressing", fly->pattern);
    if (fly && fly->hook && !book.findHook(*fly->hook)) return noSuch(place.key(nameOf(position)).key("hook"), "hook", *fly->hook);
    Edit edit{{}, book};
    edit.after.teams[index].at(position) = fly;
    if (edit.after.teams[index].empty())
        return fail(place, say("expected at least one fly, as bob, middle or point, got an empty team"), say("keep one fly on the leader"));
    edit.words = sayName(position) + (fly ? ": " + book.findPattern(fly->pattern)->title() : say(" taken off"));
    return edit;
}

}  // namespace machair
