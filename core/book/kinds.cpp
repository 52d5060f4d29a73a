#include "book/kinds.h"

#include <algorithm>
#include <cmath>

#include "book/fitting.h"
#include "book/lists.h"
#include "book/schools.h"
#include "language/say.h"
#include "units/text.h"

namespace machair {

namespace {

std::string freeName(const Book& book, const std::string& wanted) {
    const auto taken = [&](const std::string& name) {
        return std::ranges::any_of(book.patterns, [&](const Pattern& p) { return p.title() == name; });
    };
    if (!taken(wanted)) return wanted;
    for (int n = 2;; ++n)
        if (std::string name = wanted + " " + std::to_string(n); !taken(name)) return name;
}

DressingId idOf(const Book& book, const std::string& name) { return freeIdIn(book.patterns, idOfName(name, "dressing")); }

StationSpec shareBack(double share) { return {Landmark::eye, {}, ratioOf(share, Yardstick::shank), {}}; }

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

CollarPart collarTo(LengthSpec length) {
    CollarPart collar;
    collar.length = std::move(length);
    return collar;
}
CollarPart collarOf(double turns, LengthSpec length) {
    CollarPart collar = collarTo(std::move(length));
    collar.turns = exactly(turns);
    return collar;
}

WingPart wingOf(WingStyle style, LengthSpec length) {
    WingPart wing;
    wing.style = style;
    wing.length = std::move(length);
    return wing;
}
LengthSpec ofTail(double fraction) { return {Reach{PartRef{PartKind::tail}, fraction, {}, {}}, {}}; }
LengthSpec past(Landmark landmark, LengthSpec by) { return {Reach{AnyLandmark(landmark), {}, Held<LengthSpec>(std::move(by)), {}}, {}}; }

// Counts, turns and diameters that a tier would leave to the hook are left unwritten: they step with it.
// The parts that a kind of fly is started with, of what the book has.
class Maker {
  public:
    Maker(const Book& book, int size) : book_(book), size_(size) {}

    void palmeredBob() {
        tail(0.8, {M::tippet, M::fibres, M::hair});
        rib({M::oval, M::wire});
        body(0.24, 0.37, {M::dubbing});
        add(PartKind::palmer, PalmerPart{ratioOf(1.0, Yardstick::gape), {}, {}, {}, {}, {}, {}}, {M::hackle});
        collar(ratioOf(1.1, Yardstick::gape));
    }
    void wingedWet() {
        tail(0.75, {M::fibres, M::hair});
        rib({M::oval, M::wire});
        body(0.22, 0.28, {M::dubbing, M::floss});
        add(PartKind::wing, wingOf(WingStyle::rolled, ofTail(0.55)), {M::flank}).depth = ratioOf(0.45, Yardstick::gape);
        collar(reachTo(Landmark::point));
    }
    void spider() {
        BodyPart silk;
        silk.method = BodyMethod::thread;
        silk.end = StationSpec{Landmark::point, {}, {}, {}};
        add(PartKind::body, silk);
        BodyPart herl;
        herl.strands = exactly(1);
        add(PartKind::thorax, herl, {M::herl, M::dubbing});
        collar(past(Landmark::point, ratioOf(0.1, Yardstick::gape))).full = FullnessSchool::sparse;
    }
    void cloakedLochFly() {
        tail(0.7, {M::fibres, M::tippet});
        rib({M::oval, M::wire});
        body(0.22, 0.30, {M::dubbing});
        add(PartKind::wing, wingOf(WingStyle::cloak, reachTo(Landmark::bend)), {M::flank, M::quill}).position = WingPosition::under;
        add(PartKind::wing, wingOf(WingStyle::cloak, past(Landmark::bend, ratioOf(0.1, Yardstick::shank))), {M::flank, M::quill});
        collar(reachTo(Landmark::point));
    }
    void filmEmerger() {
        rib({M::wire});
        body(0.22, 0.28, {M::dubbing});
        add(PartKind::wing, wingOf(WingStyle::plume, ratioOf(0.8, Yardstick::shank)), {M::plume, M::hair}).angle = Angle::degrees(40.0);
        collar(ratioOf(1.3, Yardstick::gape)).angle = FibreStand::upright;
    }
    void beadSoftHackle() {
        add(PartKind::bead, BeadPart{}, {M::bead});
        rib({M::wire});
        body(0.22, 0.28, {M::dubbing, M::floss});
        collar(reachTo(Landmark::barb)).full = FullnessSchool::sparse;
    }
    void hairWing() {
        tail(0.6, {M::tippet, M::fibres});
        rib({M::oval, M::wire, M::tinsel});
        add(PartKind::body, BodyPart{}, {M::floss, M::dubbing});
        add(PartKind::throat, collarTo(ratioOf(1.05, Yardstick::gape)), {M::hackle});
        add(PartKind::wing, wingOf(WingStyle::hair, reachTo(Landmark::rearmost)), {M::hair});
    }
    void uprightWing() {
        WingPart& wing = add(PartKind::wing, wingOf(WingStyle::upright, ratioOf(0.85, Yardstick::shank)), {M::quill, M::flank});
        wing.angle = Angle::degrees(85.0);
        wing.width = ratioOf(0.75, Yardstick::gape);
        parts.back().station = shareBack(0.29);
        tail(0.9, {M::fibres, M::hair});
        BodyPart fur;
        fur.method = BodyMethod::level;
        fur.front = shareBack(0.37);
        add(PartKind::body, fur, {M::dubbing});
        CollarPart hackle = collarOf(2.0, ratioOf(1.4, Yardstick::gape));
        hackle.angle = FibreStand::upright;
        add(PartKind::collar, hackle, {M::hackle});
        parts.back().station = shareBack(0.34);
        add(PartKind::collar, hackle);
        parts.back().from = PartRef{PartKind::collar};
        parts.back().station = shareBack(0.24);
    }
    void plumeEmerger() {
        rib({M::wire});
        body(0.24, 0.32, {M::dubbing});
        add(PartKind::wing, wingOf(WingStyle::plume, ratioOf(0.85, Yardstick::shank)), {M::plume});
        collar(reachTo(Landmark::point)).full = FullnessSchool::sparse;
    }
    void fibreSpider() {
        TailPart tips;
        tips.length = ratioOf(0.9, Yardstick::gape);
        // More strands on a larger hook, for they come no longer.
        const Count strands = exactly(std::max(4.0, std::round(4.0 * (nominalGape(size_) / nominalGape(14)))));
        tips.fibres = strands;
        add(PartKind::tail, tips, {M::fibres, M::herl});
        rib({M::wire});
        BodyPart wound;
        wound.method = BodyMethod::fibres;
        wound.strands = strands;
        wound.held = Grip::pliers;
        add(PartKind::body, wound);
        parts.back().from = PartRef{PartKind::tail};
        collar(reachTo(Landmark::point)).full = FullnessSchool::sparse;
    }
    void tagAndPalmer() {
        add(PartKind::tag, TagPart{}, {M::tinsel, M::floss});
        tail(0.65, {M::tippet, M::fibres});
        rib({M::oval, M::wire});
        body(0.24, 0.36, {M::dubbing});
        add(PartKind::palmer, PalmerPart{ratioOf(1.0, Yardstick::gape), {}, {}, {}, {}, {}, {}}, {M::hackle});
        collar(reachTo(Landmark::point));
    }
    void beadedLure() {
        add(PartKind::bead, BeadPart{}, {M::bead});
        TailPart soft;
        soft.length = ratioOf(1.4, Yardstick::shank);
        soft.style = TailStyle::plume;
        add(PartKind::tail, soft, {M::plume});
        rib({M::wire});
        BodyPart pile;
        pile.end = StationSpec{Landmark::bend, {}, {}, {}};
        add(PartKind::body, pile, {M::chenille, M::dubbing});
        add(PartKind::palmer, PalmerPart{ratioOf(1.1, Yardstick::gape), {}, {}, {}, {}, {}, {}}, {M::hackle});
    }
    void mayfly() {
        TailPart tails;
        tails.length = ratioOf(2.0, Yardstick::shank);
        tails.fibres = exactly(3);
        add(PartKind::tail, tails, {M::fibres, M::herl});
        rib({M::wire});
        body(0.20, 0.30, {M::dubbing});
        CollarPart& hackle = collar(ratioOf(1.2, Yardstick::gape));
        hackle.angle = FibreStand::upright;
        hackle.tieIn = TieIn::butt;
        hackle.until = StationSpec{Landmark::eye, {}, ratioOf(0.45, Yardstick::eyeWidth), {}};
    }

    template <class Detail>
    Detail& add(PartKind kind, Detail detail, std::initializer_list<MaterialKind> madeOf = {}) {
        Part part;
        part.kind = kind;
        part.detail = std::move(detail);
        part.material = kind == PartKind::bead ? beadFitting(book_, size_) : firstFitting(book_, madeOf, kind == PartKind::palmer);
        parts.push_back(std::move(part));
        return std::get<Detail>(parts.back().detail);
    }
    std::vector<Part> parts;

  private:
    using M = MaterialKind;
    void tail(double share, std::initializer_list<M> of) {
        TailPart written;
        written.length = ratioOf(share, Yardstick::shank);
        add(PartKind::tail, written, of);
    }
    void rib(std::initializer_list<M> of) { add(PartKind::rib, RibPart{}, of); }
    void body(double rear, double front, std::initializer_list<M> of) { add(PartKind::body, taperedBody(rear, front), of); }
    CollarPart& collar(LengthSpec length) { return add(PartKind::collar, collarTo(std::move(length)), {M::hackle}); }

    const Book& book_;
    int size_;  // of the hook
};

std::vector<Part> partsOf(const Book& book, FlyKind kind, int size) {
    Maker make(book, size);
    switch (kind) {
        case FlyKind::palmeredBob: make.palmeredBob(); break;
        case FlyKind::wingedWet: make.wingedWet(); break;
        case FlyKind::spider: make.spider(); break;
        case FlyKind::cloakedLochFly: make.cloakedLochFly(); break;
        case FlyKind::filmEmerger: make.filmEmerger(); break;
        case FlyKind::beadSoftHackle: make.beadSoftHackle(); break;
        case FlyKind::hairWing: make.hairWing(); break;
        case FlyKind::uprightWing: make.uprightWing(); break;
        case FlyKind::plumeEmerger: make.plumeEmerger(); break;
        case FlyKind::fibreSpider: make.fibreSpider(); break;
        case FlyKind::tagAndPalmer: make.tagAndPalmer(); break;
        case FlyKind::beadedLure: make.beadedLure(); break;
        case FlyKind::mayfly: make.mayfly(); break;
    }
    HeadPart head;
    if (kind == FlyKind::mayfly) head.whipTurns = exactly(3.0);  // the hackle runs to the eye
    make.add(PartKind::head, head);
    return std::move(make.parts);
}

TeamRole roleOf(FlyKind kind) {
    switch (kind) {
        case FlyKind::palmeredBob:
        case FlyKind::tagAndPalmer: return TeamRole::bob;
        case FlyKind::wingedWet:
        case FlyKind::hairWing:
        case FlyKind::cloakedLochFly: return TeamRole::middle;
        case FlyKind::spider:
        case FlyKind::fibreSpider:
        case FlyKind::beadedLure:
        case FlyKind::beadSoftHackle: return TeamRole::point;
        case FlyKind::uprightWing:
        case FlyKind::plumeEmerger:
        case FlyKind::mayfly:
        case FlyKind::filmEmerger: return TeamRole::any;
    }
    throw BrokenContract("unknown kind of fly");
}

}  // namespace

Result<NewDressing> startFromKind(const Book& book, FlyKind kind, const HookId& hook) {
    if (!book.findHook(hook))
        return fail(Place("hooks"), say("expected the id of a hook, got \"{}\"", std::string(hook)),
                    say("add a hook in the drawers first"));
    NewDressing made{{}, {{}, book}};
    Book& after = made.edit.after;
    const auto thread = std::ranges::find(book.materials, MaterialKind::thread, &Material::kind);
    Pattern pattern;
    if (thread != book.materials.end())
        pattern.thread = thread->id;
    else {
        Material usual;
        usual.id = book.findMaterial("thread-usual") ? "thread-usual-2" : "thread-usual";
        usual.name = say("Usual thread");
        usual.kind = MaterialKind::thread;
        usual.traits = traitsFor(MaterialKind::thread);
        pattern.thread = usual.id;
        after.materials.push_back(std::move(usual));
    }
    pattern.name = freeName(book, say("New {}", sayName(kind)));
    pattern.id = idOf(book, *pattern.name);
    made.id = pattern.id;
    pattern.role = roleOf(kind);
    pattern.hook = hook;
    pattern.parts = partsOf(book, kind, book.findHook(hook)->size);
    made.edit.words = say("start a {}", sayName(kind));
    after.patterns.push_back(std::move(pattern));
    followOwnSchools(after, made.id);
    return made;
}

namespace {

// What shows a material best on a hook, and whether a body of bare silk is wound after or before it, or not at all.
struct Shown {
    enum class Silk { after, before, none };
    PartKind kind;
    PartDetail detail;
    Silk silk = Silk::after;
};

Shown wingOf(std::optional<WingStyle> style, double degrees) {
    WingPart wing;
    if (style) wing.style = *style;
    wing.angle = Angle::degrees(degrees);
    return {PartKind::wing, wing, Shown::Silk::before};
}

BodyPart bareSilk() {
    BodyPart silk = taperedBody(0.18, 0.22);
    silk.method = BodyMethod::thread;
    return silk;
}

Shown showing(MaterialKind kind) {
    using M = MaterialKind;
    switch (kind) {
        case M::hackle: return {PartKind::collar, collarOf(2.5, reachTo(Landmark::point)), Shown::Silk::before};
        case M::flank: return wingOf({}, 4.0);
        case M::quill: return wingOf(WingStyle::paired, 4.0);
        case M::hair: return wingOf(WingStyle::hair, 8.0);
        case M::plume: return wingOf(WingStyle::plume, 8.0);
        case M::tippet:
        case M::fibres: return {PartKind::tail, tailOf(0.8, 12)};
        case M::wire:
        case M::oval: return {PartKind::rib, counterRib(6)};
        case M::bead: return {PartKind::bead, BeadPart{}};
        case M::cheek:
        case M::tip: return {PartKind::cheek, CheekPart{}, Shown::Silk::before};
        case M::leg: {
            LegsPart legs;
            legs.count = exactly(6);
            return {PartKind::legs, legs, Shown::Silk::before};
        }
        case M::thread: return {PartKind::body, bareSilk(), Shown::Silk::none};
        case M::tinsel:
        case M::floss:
        case M::ribbon:
        case M::dubbing:
        case M::herl:
        case M::chenille:
        case M::tube: return {PartKind::body, taperedBody(0.24, 0.34), Shown::Silk::none};
    }
    throw BrokenContract("unknown kind of material");
}

}  // namespace

Pattern sampleOf(const Material& material, const HookId& hook, const MaterialId& thread) {
    Pattern sample;
    sample.id = DressingId("sample of " + material.id);
    sample.hook = hook;
    sample.thread = material.kind == MaterialKind::thread ? material.id : thread;
    const auto add = [&](PartKind kind, PartDetail detail, bool own) {
        Part part;
        part.kind = kind;
        part.detail = std::move(detail);
        if (own) part.material = material.id;
        sample.parts.push_back(std::move(part));
    };
    Shown shown = showing(material.kind);
    if (shown.silk == Shown::Silk::before) add(PartKind::body, bareSilk(), false);
    add(shown.kind, std::move(shown.detail), material.kind != MaterialKind::thread);
    if (shown.silk == Shown::Silk::after) add(PartKind::body, bareSilk(), false);
    add(PartKind::head, HeadPart{}, false);
    return sample;
}

Result<NewDressing> duplicate(const Book& book, const DressingId& pattern) {
    const Pattern* found = book.findPattern(pattern);
    if (!found) return noSuch(Place("patterns"), "dressing", pattern);
    NewDressing made{{}, {say("copy of {}", found->title()), book}};
    Pattern copy = *found;
    copy.variedFrom = found->id;
    copy.name = freeName(book, found->title());
    copy.id = idOf(book, *copy.name);
    made.id = copy.id;
    made.edit.after.patterns.push_back(std::move(copy));
    return made;
}

Result<Edit> renamePattern(const Book& book, const DressingId& pattern, std::string_view name) {
    const Pattern* found = book.findPattern(pattern);
    if (!found) return noSuch(Place("patterns"), "dressing", pattern);
    const std::string wanted(trimmed(name));
    if (wanted.empty()) return fail(Place("patterns").at(book.indexOfPattern(pattern)).key("name"), say("expected a name, got nothing"));
    Edit edit{say("{} is now {}", found->title(), wanted), book};
    edit.after.findPattern(pattern)->name = wanted;
    return edit;
}

Result<Edit> removePattern(const Book& book, const DressingId& pattern) {
    const Pattern* found = book.findPattern(pattern);
    if (!found) return noSuch(Place("patterns"), "dressing", pattern);
    Edit edit{say("{} taken out of the book", found->title()), book};
    Book& after = edit.after;
    after.patterns.erase(after.patterns.begin() + static_cast<std::ptrdiff_t>(book.indexOfPattern(pattern)));
    std::erase_if(after.box, [&](const BoxFly& fly) { return fly.pattern == pattern; });
    std::erase_if(after.batches, [&](const Batch& batch) { return batch.pattern == pattern; });
    Faults faults;
    for (std::size_t i = 0; i < after.teams.size(); ++i) {
        TeamSpec& team = after.teams[i];
        for (const Position position : kPositions)
            if (team.at(position) && team.at(position)->pattern == pattern) team.at(position).reset();
        if (team.empty())
            faults.push_back({Place("teams").at(i), say("expected another fly in {} before {} goes", team.title(), found->title()),
                              say("put another dressing there first")});
    }
    if (!faults.empty()) return tl::unexpected(faults);
    return edit;
}

}  // namespace machair
