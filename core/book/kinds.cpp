#include "book/kinds.h"

#include <algorithm>

#include "book/fitting.h"
#include "book/schools.h"
#include "units/text.h"

namespace machair {

namespace {

std::string freeName(const Book& book, const std::string& wanted) {
    const auto taken = [&](const std::string& name) { return std::ranges::any_of(book.patterns, [&](const Pattern& p) { return p.title() == name; }); };
    if (!taken(wanted)) return wanted;
    for (int n = 2;; ++n)
        if (std::string name = wanted + " " + std::to_string(n); !taken(name)) return name;
}

std::string idOf(const Book& book, const std::string& name) {
    std::string id;
    for (const char c : name) {
        const bool plain = (c >= 'a' && c <= 'z') || (c >= '0' && c <= '9');
        if (plain)
            id += c;
        else if (c >= 'A' && c <= 'Z')
            id += static_cast<char>(c - 'A' + 'a');
        else if (!id.empty() && id.back() != '-')
            id += '-';
    }
    while (!id.empty() && id.back() == '-') id.pop_back();
    if (id.empty()) id = "dressing";
    if (!book.findPattern(id)) return id;
    for (int n = 2;; ++n)
        if (std::string other = id + "-" + std::to_string(n); !book.findPattern(other)) return other;
}

class Maker {
  public:
    explicit Maker(const Book& book) : book_(book) {}

    template <class Detail>
    Detail& add(PartKind kind, Detail detail, std::initializer_list<MaterialKind> madeOf = {}) {
        Part part;
        part.kind = kind;
        part.detail = std::move(detail);
        part.material = firstFitting(book_, madeOf, kind == PartKind::palmer);
        parts.push_back(std::move(part));
        return std::get<Detail>(parts.back().detail);
    }
    std::vector<Part> parts;

  private:
    const Book& book_;
};

StationSpec shareBack(double share) { return {Landmark::eye, {}, ratioOf(share, Yardstick::shank), {}}; }

UnderbodyPart wingBed(int layers) {
    UnderbodyPart bed;
    bed.layers = layers;
    bed.end = shareBack(0.21);
    bed.front = shareBack(0.08);
    return bed;
}

BodyPart taperedBody(double rear, double front) {
    BodyPart body;
    body.rearDiameter = ratioOf(rear, Yardstick::gape);
    body.frontDiameter = ratioOf(front, Yardstick::gape);
    return body;
}

TailPart tailOf(double share, double fibres) {
    TailPart tail;
    tail.length = ratioOf(share, Yardstick::shank);
    tail.fibres = exactly(fibres);
    return tail;
}

RibPart counterRib(double turns) {
    RibPart rib;
    rib.turns = exactly(turns);
    rib.direction = Winding::counter;
    return rib;
}

CollarPart collarOf(double turns, LengthSpec length) {
    CollarPart collar;
    collar.turns = exactly(turns);
    collar.length = std::move(length);
    return collar;
}

std::vector<Part> partsOf(const Book& book, FlyKind kind) {
    using M = MaterialKind;
    Maker make(book);
    switch (kind) {
        case FlyKind::palmeredBob: {
            make.add(PartKind::tail, tailOf(0.8, 12), {M::tippet, M::fibres, M::hair});
            make.add(PartKind::rib, counterRib(6), {M::oval, M::wire});
            make.add(PartKind::body, taperedBody(0.24, 0.37), {M::dubbing});
            PalmerPart palmer;
            palmer.shoulderTurns = exactly(3);
            palmer.openTurns = exactly(5);
            make.add(PartKind::palmer, palmer, {M::hackle});
            make.add(PartKind::collar, collarOf(2, ratioOf(1.1, Yardstick::gape)), {M::hackle});
            break;
        }
        case FlyKind::wingedWet: {
            make.add(PartKind::tail, tailOf(0.75, 10), {M::fibres, M::hair});
            make.add(PartKind::rib, counterRib(5), {M::tinsel, M::oval});
            make.add(PartKind::underbody, wingBed(6));
            make.add(PartKind::body, taperedBody(0.22, 0.27), {M::dubbing, M::floss});
            WingPart wing;
            wing.length = {Reach{PartRef{PartKind::tail}, 0.55, {}, {}}, {}};
            wing.depth = ratioOf(0.48, Yardstick::gape);
            make.add(PartKind::wing, wing, {M::flank});
            make.add(PartKind::collar, collarOf(2, reachTo(Landmark::point)), {M::hackle});
            break;
        }
        case FlyKind::spider: {
            BodyPart silk = taperedBody(0.18, 0.22);
            silk.method = BodyMethod::thread;
            make.add(PartKind::body, silk);
            BodyPart herl = taperedBody(0.24, 0.24);
            herl.strands = exactly(1);
            make.add(PartKind::thorax, herl, {M::herl, M::dubbing});
            make.add(PartKind::collar, collarOf(1.5, {Reach{AnyLandmark(Landmark::point), {}, Held<LengthSpec>(ratioOf(0.1, Yardstick::gape)), {}}, {}}), {M::hackle});
            break;
        }
        case FlyKind::cloakedLochFly: {
            make.add(PartKind::tail, tailOf(0.7, 10), {M::fibres, M::tippet});
            make.add(PartKind::rib, counterRib(5), {M::oval, M::wire});
            make.add(PartKind::underbody, wingBed(6));
            make.add(PartKind::body, taperedBody(0.22, 0.27), {M::dubbing});
            WingPart under;
            under.style = WingStyle::plume;
            under.position = WingPosition::under;
            under.count = exactly(20);
            under.length = reachTo(Landmark::bend);
            make.add(PartKind::wing, under, {M::plume, M::hair});
            WingPart cloak;
            cloak.style = WingStyle::cloak;
            cloak.width = ratioOf(0.5, Yardstick::gape);
            cloak.length = {Reach{PartRef{PartKind::tail}, 0.5, {}, {}}, {}};
            make.add(PartKind::wing, cloak, {M::flank, M::quill});
            make.add(PartKind::collar, collarOf(2, reachTo(Landmark::point)), {M::hackle});
            break;
        }
        case FlyKind::filmEmerger: {
            make.add(PartKind::rib, counterRib(5), {M::wire});
            make.add(PartKind::body, taperedBody(0.22, 0.28), {M::dubbing});
            WingPart wing;
            wing.style = WingStyle::plume;
            wing.count = exactly(20);
            wing.angle = Angle::degrees(40.0);
            wing.length = ratioOf(0.8, Yardstick::shank);
            make.add(PartKind::wing, wing, {M::plume, M::hair});
            CollarPart& collar = make.add(PartKind::collar, collarOf(2, ratioOf(1.3, Yardstick::gape)), {M::hackle});
            collar.angle = FibreStand::upright;
            break;
        }
        case FlyKind::beadSoftHackle: {
            make.add(PartKind::bead, BeadPart{}, {M::bead});
            make.add(PartKind::rib, counterRib(5), {M::wire});
            make.add(PartKind::body, taperedBody(0.22, 0.28), {M::floss, M::dubbing});
            make.add(PartKind::thorax, BodyPart{}, {M::dubbing});
            make.add(PartKind::collar, collarOf(1.5, reachTo(Landmark::barb)), {M::hackle});
            break;
        }
    }
    make.add(PartKind::head, HeadPart{});
    return std::move(make.parts);
}

TeamRole roleOf(FlyKind kind) {
    switch (kind) {
        case FlyKind::palmeredBob: return TeamRole::bob;
        case FlyKind::wingedWet:
        case FlyKind::cloakedLochFly: return TeamRole::middle;
        case FlyKind::spider:
        case FlyKind::beadSoftHackle: return TeamRole::point;
        case FlyKind::filmEmerger: return TeamRole::any;
    }
    throw BrokenContract("unknown kind of fly");
}

}  // namespace

Result<NewDressing> startFromKind(const Book& book, FlyKind kind, std::string_view hook) {
    if (!book.findHook(hook)) return fail(Place("hooks"), "expected the id of a hook, got \"" + std::string(hook) + "\"", "add a hook in the drawers first");
    NewDressing made{{}, {{}, book}};
    Book& after = made.edit.after;
    const auto thread = std::ranges::find(book.materials, MaterialKind::thread, &Material::kind);
    Pattern pattern;
    if (thread != book.materials.end())
        pattern.thread = thread->id;
    else {
        Material usual;
        usual.id = book.findMaterial("thread-usual") ? "thread-usual-2" : "thread-usual";
        usual.name = "Usual thread";
        usual.kind = MaterialKind::thread;
        usual.traits = traitsFor(MaterialKind::thread);
        pattern.thread = usual.id;
        after.materials.push_back(std::move(usual));
    }
    pattern.name = freeName(book, "New " + std::string(nameOf(kind)));
    pattern.id = made.id = idOf(book, *pattern.name);
    pattern.role = roleOf(kind);
    pattern.hook = hook;
    pattern.parts = partsOf(book, kind);
    made.edit.words = "start a " + std::string(nameOf(kind));
    after.patterns.push_back(std::move(pattern));
    followOwnSchools(after, made.id);
    return made;
}

Pattern sampleOf(const Material& material, std::string_view hook, std::string_view thread) {
    Pattern sample;
    sample.id = "sample of " + material.id;
    sample.hook = hook;
    sample.thread = material.kind == MaterialKind::thread ? material.id : std::string(thread);
    const auto add = [&](PartKind kind, PartDetail detail, bool own) {
        Part part;
        part.kind = kind;
        part.detail = std::move(detail);
        if (own) part.material = material.id;
        sample.parts.push_back(std::move(part));
    };
    BodyPart silk = taperedBody(0.18, 0.22);
    silk.method = BodyMethod::thread;
    using M = MaterialKind;
    switch (material.kind) {
        case M::hackle:
            add(PartKind::body, silk, false);
            add(PartKind::collar, collarOf(2.5, reachTo(Landmark::point)), true);
            break;
        case M::flank:
        case M::quill: {
            WingPart wing;
            if (material.kind == M::quill) wing.style = WingStyle::paired;
            wing.angle = Angle::degrees(4.0);
            add(PartKind::body, silk, false);
            add(PartKind::wing, wing, true);
            break;
        }
        case M::tippet:
        case M::fibres:
            add(PartKind::tail, tailOf(0.8, 12), true);
            add(PartKind::body, silk, false);
            break;
        case M::plume:
        case M::hair: {
            WingPart wing;
            wing.style = material.kind == M::hair ? WingStyle::hair : WingStyle::plume;
            wing.angle = Angle::degrees(8.0);
            wing.count = exactly(30);
            add(PartKind::body, silk, false);
            add(PartKind::wing, wing, true);
            break;
        }
        case M::wire:
        case M::oval:
            add(PartKind::rib, counterRib(6), true);
            add(PartKind::body, silk, false);
            break;
        case M::bead:
            add(PartKind::bead, BeadPart{}, true);
            add(PartKind::body, silk, false);
            break;
        case M::cheek:
        case M::tip:
            add(PartKind::body, silk, false);
            add(PartKind::cheek, CheekPart{}, true);
            break;
        case M::leg: {
            LegsPart legs;
            legs.count = exactly(6);
            add(PartKind::body, silk, false);
            add(PartKind::legs, legs, true);
            break;
        }
        case M::thread: add(PartKind::body, silk, false); break;
        case M::tinsel:
        case M::floss:
        case M::ribbon:
        case M::dubbing:
        case M::herl:
        case M::chenille:
        case M::tube: add(PartKind::body, taperedBody(0.24, 0.34), true); break;
    }
    add(PartKind::head, HeadPart{}, false);
    return sample;
}

Result<NewDressing> duplicate(const Book& book, std::string_view pattern) {
    const Pattern* found = book.findPattern(pattern);
    if (!found) return noSuch(Place("patterns"), "dressing", pattern);
    NewDressing made{{}, {"copy of " + found->title(), book}};
    Pattern copy = *found;
    copy.variedFrom = found->id;
    copy.name = freeName(book, found->title());
    copy.id = made.id = idOf(book, *copy.name);
    made.edit.after.patterns.push_back(std::move(copy));
    return made;
}

Result<Edit> renamePattern(const Book& book, std::string_view pattern, std::string_view name) {
    const Pattern* found = book.findPattern(pattern);
    if (!found) return noSuch(Place("patterns"), "dressing", pattern);
    const std::string wanted(trimmed(name));
    if (wanted.empty()) return fail(Place("patterns").at(book.indexOfPattern(pattern)).key("name"), "expected a name, got nothing");
    Edit edit{found->title() + " is now " + wanted, book};
    edit.after.findPattern(pattern)->name = wanted;
    return edit;
}

Result<Edit> removePattern(const Book& book, std::string_view pattern) {
    const Pattern* found = book.findPattern(pattern);
    if (!found) return noSuch(Place("patterns"), "dressing", pattern);
    Edit edit{found->title() + " taken out of the book", book};
    Book& after = edit.after;
    after.patterns.erase(after.patterns.begin() + static_cast<std::ptrdiff_t>(book.indexOfPattern(pattern)));
    std::erase_if(after.box, [&](const BoxFly& fly) { return fly.pattern == pattern; });
    std::erase_if(after.batches, [&](const Batch& batch) { return batch.pattern == pattern; });
    Faults faults;
    for (std::size_t i = 0; i < after.teams.size(); ++i) {
        TeamSpec& team = after.teams[i];
        for (const Position position : kPositions)
            if (team.at(position) == std::string(pattern)) team.at(position).reset();
        if (team.empty())
            faults.push_back({Place("teams").at(i), "expected another fly in " + team.title() + " before " + found->title() + " goes", "put another dressing there first"});
    }
    if (!faults.empty()) return tl::unexpected(faults);
    return edit;
}

}  // namespace machair
