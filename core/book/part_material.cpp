#include "book/part_material.h"

#include <algorithm>
#include <array>

#include "book/fields.h"
#include "language/say.h"

namespace machair {

namespace {

using M = MaterialKind;

bool isAny(MaterialKind kind, std::initializer_list<MaterialKind> kinds) { return std::ranges::find(kinds, kind) != kinds.end(); }

bool fits(BodyMethod method, MaterialKind kind) {
    switch (method) {
        case BodyMethod::noodle:
        case BodyMethod::level:
        case BodyMethod::loop:
        case BodyMethod::rope: return kind == M::dubbing;
        case BodyMethod::herl: return isAny(kind, {M::herl, M::fibres, M::plume});
        case BodyMethod::fibres: return isAny(kind, {M::fibres, M::herl, M::flank, M::quill, M::tippet, M::hackle});
        case BodyMethod::floss: return isAny(kind, {M::floss, M::ribbon});
        case BodyMethod::tinsel: return isAny(kind, {M::tinsel, M::ribbon});
        case BodyMethod::wire: return isAny(kind, {M::wire, M::oval});
        case BodyMethod::chenille: return kind == M::chenille;
        case BodyMethod::tube: return kind == M::tube;
        case BodyMethod::thread: return kind == M::thread;
    }
    return false;
}
bool fits(TailStyle style, MaterialKind kind) {
    switch (style) {
        case TailStyle::fibres: return isAny(kind, {M::fibres, M::hackle, M::tippet, M::flank, M::quill, M::herl});
        case TailStyle::slip:
        case TailStyle::cloak: return isAny(kind, {M::flank, M::quill});
        case TailStyle::tippet: return kind == M::tippet;
        case TailStyle::hair: return kind == M::hair;
        case TailStyle::floss: return isAny(kind, {M::floss, M::ribbon, M::tinsel});
        case TailStyle::plume: return kind == M::plume;
    }
    return false;
}
bool fits(WingStyle style, MaterialKind kind) {
    switch (style) {
        case WingStyle::paired:
        case WingStyle::upright: return isAny(kind, {M::quill, M::flank});
        case WingStyle::rolled: return isAny(kind, {M::flank, M::quill});
        case WingStyle::cloak: return isAny(kind, {M::flank, M::quill});
        case WingStyle::hair: return isAny(kind, {M::hair, M::fibres, M::tippet});
        case WingStyle::plume: return kind == M::plume;
        case WingStyle::tips: return isAny(kind, {M::tip, M::hackle});
    }
    return false;
}
WingStyle usualWing(MaterialKind kind) {
    switch (kind) {
        case M::quill: return WingStyle::paired;
        case M::hair:
        case M::fibres:
        case M::tippet: return WingStyle::hair;
        case M::plume: return WingStyle::plume;
        case M::tip:
        case M::hackle: return WingStyle::tips;
        default: return WingStyle::rolled;
    }
}

class Fit {
  public:
    explicit Fit(const Material& now) : kind_(now.kind) {}
    std::vector<FellAway> fell;

    void operator()(BodyPart& body) {
        if (body.method && !fits(*body.method, kind_)) drop(body.method, "method", say("method {}", sayName(*body.method)));
        if (kind_ != M::dubbing) drop(body.noodleDiameter, "noodle_diameter_mm", say("noodle thickness"));
        if (!isAny(kind_, {M::herl, M::fibres, M::floss, M::flank, M::quill, M::tippet, M::hackle, M::plume}))
            drop(body.strands, "strands", say("strands"));
        if (!isAny(kind_, {M::floss, M::tinsel, M::ribbon})) drop(body.passes, "passes", say("passes"));
        if (isAny(kind_, {M::wire, M::oval, M::chenille, M::tube})) drop(body.overlap, "overlap", say("overlap"));
        if (kind_ == M::dubbing || kind_ == M::chenille) drop(body.twisted, "twisted", say("twisted"));
    }
    void operator()(TailPart& tail) {
        if (tail.style && !fits(*tail.style, kind_)) drop(tail.style, "style", say("style {}", sayName(*tail.style)));
        if (!isAny(kind_, {M::flank, M::quill})) drop(tail.width, "width", say("slip width"));
        if (kind_ != M::tippet && std::holds_alternative<Bars>(tail.length.value)) {
            tail.length = ratioOf(0.75, Yardstick::shank);
            fell.push_back({"length", say("length by bars")});
        }
    }
    void operator()(WingPart& wing) {
        if (!fits(wing.style, kind_)) {
            fell.push_back({"style", say("style {}", sayName(wing.style))});
            wing.style = usualWing(kind_);
        }
        if (!isAny(kind_, {M::flank, M::quill})) {
            drop(wing.depth, "depth", say("depth"));
            drop(wing.layers, "layers", say("layers"));
            drop(wing.folds, "folds", say("folds"));
            drop(wing.width, "width", say("slip width"));
            drop(wing.round, "round", say("barbs round"));
        }
    }
    void operator()(HeadPart& head) {
        if (kind_ != M::herl) drop(head.strands, "strands", say("strands"));
    }
    void operator()(RibPart& rib) {
        if (!isAny(kind_, {M::tinsel, M::ribbon, M::floss})) drop(rib.face, "face", say("face"));
    }
    void operator()(TagPart&) {}
    void operator()(UnderbodyPart&) {}
    void operator()(PalmerPart&) {}
    void operator()(CollarPart&) {}
    void operator()(LegsPart&) {}
    void operator()(CheekPart&) {}
    void operator()(BeadPart&) {}
    void operator()(ThreadPart&) {}

  private:
    template <class T>
    void drop(std::optional<T>& member, std::string_view key, std::string said) {
        if (!member) return;
        member.reset();
        fell.push_back({key, std::move(said)});
    }
    MaterialKind kind_;
};

}  // namespace

const std::vector<MaterialKind>& kindsFor(PartKind part) {
    static const std::vector<MaterialKind> kTag = {M::tinsel, M::floss, M::ribbon, M::oval, M::wire, M::thread, M::herl};
    static const std::vector<MaterialKind> kButt = {M::herl, M::floss, M::tinsel, M::ribbon, M::dubbing, M::chenille, M::fibres, M::thread};
    static const std::vector<MaterialKind> kTail = {M::fibres, M::tippet, M::hackle, M::hair,   M::flank, M::quill,
                                                    M::plume,  M::floss,  M::ribbon, M::tinsel, M::herl};
    static const std::vector<MaterialKind> kRib = {M::oval, M::wire, M::tinsel, M::ribbon, M::floss, M::thread};
    static const std::vector<MaterialKind> kUnder = {M::floss, M::thread, M::dubbing, M::wire, M::tinsel, M::herl};
    static const std::vector<MaterialKind> kBody = {M::dubbing, M::floss,  M::herl,   M::tinsel, M::fibres, M::chenille,
                                                    M::ribbon,  M::tube,   M::wire,   M::oval,   M::thread, M::flank,
                                                    M::quill,   M::tippet, M::hackle, M::plume};
    static const std::vector<MaterialKind> kPalmer = {M::hackle};
    static const std::vector<MaterialKind> kCollar = {M::hackle, M::plume, M::dubbing};
    static const std::vector<MaterialKind> kLegs = {M::leg, M::fibres, M::hackle, M::hair, M::flank};
    static const std::vector<MaterialKind> kWing = {M::flank, M::quill, M::hair, M::plume, M::tip, M::fibres, M::tippet, M::hackle};
    static const std::vector<MaterialKind> kCheek = {M::cheek, M::tip, M::hackle, M::flank};
    static const std::vector<MaterialKind> kBead = {M::bead};
    static const std::vector<MaterialKind> kThread = {M::thread};
    static const std::vector<MaterialKind> kHead = {M::thread, M::herl, M::dubbing};
    switch (part) {
        case PartKind::tag: return kTag;
        case PartKind::butt: return kButt;
        case PartKind::tail: return kTail;
        case PartKind::rib: return kRib;
        case PartKind::underbody: return kUnder;
        case PartKind::body:
        case PartKind::thorax: return kBody;
        case PartKind::palmer: return kPalmer;
        case PartKind::collar:
        case PartKind::throat: return kCollar;
        case PartKind::legs: return kLegs;
        case PartKind::wing: return kWing;
        case PartKind::cheek: return kCheek;
        case PartKind::bead: return kBead;
        case PartKind::thread: return kThread;
        case PartKind::head: return kHead;
    }
    return kBody;
}

std::vector<FellAway> fitToMaterial(Part& part, const Material& now) {
    Fit fit(now);
    std::visit(fit, part.detail);
    return std::move(fit.fell);
}

}  // namespace machair
