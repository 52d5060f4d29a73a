#include "water/standins.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <functional>

#include "book/edits.h"
#include "book/fields.h"
#include "colour/colour.h"
#include "language/say.h"
#include "units/text.h"
#include "water/sink.h"

namespace machair {

namespace {

enum class Than { less, same, more };

// A row of the catalogue's table: what may stand in for what, and what that is known to change.
struct ThumbRule {
    bool (*of)(const Material&);
    bool (*by)(const Material&);
    std::array<Than, 6> effects;  // bulk, float, shine, movement, light through, lasts
    const char* mind;
};
constexpr std::array<const char*, 6> kEffects = {
    unsaid("bulk"), unsaid("float"), unsaid("shine"), unsaid("movement"), unsaid("light through it"), unsaid("wear")};

template <MaterialKind Kind>
bool is(const Material& m) {
    return m.kind == Kind;
}
template <Bird... Birds>
bool ofBird(const Material& m) {
    const auto* hackle = std::get_if<HackleTraits>(&m.traits);
    return hackle && hackle->bird && ((*hackle->bird == Birds) || ...);
}
template <DubbingTexture Texture>
bool ofTexture(const Material& m) {
    const auto* fur = std::get_if<DubbingTraits>(&m.traits);
    return fur && fur->texture == Texture;
}
bool isMarabou(const Material& m) {
    const auto* plume = std::get_if<PlumeTraits>(&m.traits);
    return plume && plume->down == Down::marabou;
}
bool isGlandPlume(const Material& m) { return m.kind == MaterialKind::plume && !isMarabou(m); }
bool isNarrowFlat(const Material& m) {
    constexpr Length kNarrow = 0.7 * mm;
    const auto* strip = std::get_if<StripTraits>(&m.traits);
    return m.kind == MaterialKind::tinsel && strip && windingWidth(m) <= kNarrow;
}
bool isLead(const Material& m) {
    const auto* wire = std::get_if<WireTraits>(&m.traits);
    return m.kind == MaterialKind::wire && wire && wire->metal == Metal::lead;
}
bool isUnleaded(const Material& m) { return m.kind == MaterialKind::wire && !isLead(m); }
bool isSlick(const Material& m) {
    const auto* thread = std::get_if<ThreadTraits>(&m.traits);
    return thread && thread->fibre == ThreadFibre::gelSpun;
}

constexpr Than kLess = Than::less, kSame = Than::same, kMore = Than::more;
const std::vector<ThumbRule>& rules() {
    using enum MaterialKind;
    static const std::vector<ThumbRule> list = {
        {is<oval>, is<wire>, {kLess, kSame, kLess, kSame, kSame, kMore}, unsaid("thinner segments: one turn more")},
        {is<oval>, isNarrowFlat, {kLess, kSame, kMore, kSame, kSame, kLess}, unsaid("mind its face; fold its end back")},
        {is<wire>, isNarrowFlat, {kLess, kSame, kMore, kSame, kSame, kLess}, unsaid("mind its face; fold its end back")},
        {is<wire>, is<oval>, {kMore, kSame, kMore, kSame, kSame, kLess}, unsaid("thicker segments: one turn less")},
        {is<tinsel>, is<floss>, {kSame, kSame, kLess, kSame, kMore, kLess}, unsaid("a film over it")},
        {is<tinsel>, is<wire>, {kMore, kLess, kLess, kSame, kSame, kMore}, unsaid("touching turns; it sinks faster")},
        {is<floss>, is<tinsel>, {kSame, kSame, kMore, kSame, kLess, kMore}, unsaid("square edges, no ruck")},
        {ofTexture<DubbingTexture::sealLike>,
         ofTexture<DubbingTexture::coarseSynthetic>,
         {kSame, kSame, kMore, kSame, kSame, kMore},
         unsaid("in a loop")},
        {ofTexture<DubbingTexture::sealLike>,
         ofTexture<DubbingTexture::hare>,
         {kSame, kMore, kLess, kMore, kLess, kSame},
         unsaid("blended with a sparkle")},
        {is<dubbing>, is<herl>, {kLess, kSame, kMore, kSame, kLess, kLess}, unsaid("a rib across it, or twisted with the thread")},
        {is<dubbing>, is<chenille>, {kMore, kLess, kMore, kSame, kLess, kMore}, unsaid("its core, and no taper")},
        {is<chenille>, is<dubbing>, {kLess, kMore, kLess, kSame, kMore, kLess}, unsaid("it can be tapered")},
        {is<herl>, ofTexture<DubbingTexture::fineSynthetic>, {kMore, kMore, kLess, kSame, kSame, kMore}, unsaid("not the flue's glint")},
        {is<herl>, ofTexture<DubbingTexture::hare>, {kMore, kMore, kLess, kSame, kSame, kMore}, unsaid("not the flue's glint")},
        {is<flank>, is<flank>, {kSame, kSame, kSame, kSame, kSame, kSame}, unsaid("it may be shorter")},
        {is<flank>, is<quill>, {kMore, kSame, kSame, kLess, kSame, kSame}, unsaid("slips split")},
        {is<flank>, is<hair>, {kLess, kMore, kSame, kMore, kSame, kMore}, unsaid("hair loses some on tightening")},
        {is<quill>, is<flank>, {kMore, kSame, kSame, kMore, kMore, kMore}, unsaid("rolled; mind its length")},
        {is<quill>, is<tip>, {kLess, kSame, kSame, kMore, kMore, kMore}, unsaid("mind their length")},
        {isGlandPlume, is<floss>, {kSame, kMore, kSame, kMore, kSame, kMore}, unsaid("soft yarn; float it")},
        {isMarabou, is<hair>, {kLess, kMore, kSame, kLess, kSame, kMore}, unsaid("mind its length")},
        {isMarabou, isGlandPlume, {kSame, kMore, kSame, kSame, kSame, kMore}, unsaid("mind its length")},
        {ofBird<Bird::hen, Bird::henDense>,
         ofBird<Bird::partridge>,
         {kLess, kLess, kSame, kMore, kSame, kLess},
         unsaid("half a turn less; it is mottled")},
        {ofBird<Bird::partridge>, ofBird<Bird::grouse>, {kSame, kSame, kSame, kSame, kSame, kSame}, "darker"},
        {ofBird<Bird::partridge>,
         ofBird<Bird::hen, Bird::henDense>,
         {kMore, kSame, kSame, kLess, kSame, kMore},
         unsaid("a speckled one comes nearest")},
        {ofBird<Bird::grouse>, ofBird<Bird::partridge>, {kSame, kSame, kSame, kSame, kSame, kSame}, "paler"},
        {ofBird<Bird::cockCape, Bird::cockSaddle>,
         ofBird<Bird::hen, Bird::henDense>,
         {kLess, kLess, kLess, kMore, kSame, kSame},
         unsaid("one turn less")},
        {ofBird<Bird::cockCape>,
         ofBird<Bird::cockSaddle>,
         {kLess, kSame, kSame, kSame, kSame, kMore},
         unsaid("the same fibre all along, less graded")},
        {ofBird<Bird::cockSaddle>, ofBird<Bird::cockCape>, {kMore, kSame, kSame, kSame, kSame, kLess}, unsaid("graded; a shorter stem")},
        {is<tippet>, is<fibres>, {kLess, kSame, kSame, kMore, kMore, kLess}, unsaid("no bars")},
        {is<tippet>, is<tippet>, {kSame, kSame, kSame, kSame, kSame, kSame}, unsaid("another colour")},
        {is<fibres>, is<tippet>, {kMore, kSame, kSame, kLess, kLess, kMore}, unsaid("it has bars")},
        {is<cheek>, is<tip>, {kSame, kSame, kSame, kLess, kLess, kMore}, unsaid("alike in pairs, under a third of the shank")},
        {isLead, isUnleaded, {kSame, kLess, kSame, kSame, kSame, kSame}, unsaid("0.65 to 0.8 of the weight")},
        {isLead, is<bead>, {kMore, kLess, kMore, kSame, kSame, kSame}, unsaid("the weight sits in front")},
    };
    return list;
}

const char* than(Than t) { return t == Than::less ? unsaid("less") : t == Than::more ? unsaid("more") : unsaid("the same"); }

double colourApart(const Material& a, const Material& b) {
    const auto x = parseColour(a.colour.value_or("")), y = parseColour(b.colour.value_or(""));
    if (!x || !y) return 0.0;
    const Lab p = toLab(*x), q = toLab(*y);
    return std::hypot(p.L - q.L, p.a - q.a, p.b - q.b);
}

double worthOfPart(const PartPlan& part) {
    if (const auto* collar = std::get_if<HacklePlan>(&part.detail)) return collar->worth;
    if (const auto* palmer = std::get_if<PalmerPlan>(&part.detail)) return palmer->hackle.worth;
    return 0.0;
}

void compute(StandIn& s, const Plan& before, const Plan& after, std::optional<std::size_t> part) {
    const SinkReport was = sinkReport(before), is = sinkReport(after);
    constexpr double kCm = 100.0;
    constexpr double kSeen = 0.02;  // a share of change that is worth a word
    const auto note = [&](const char* what, double a, double b, int decimals, const char* unit) {
        const double share = a > 0.0 ? std::abs(b / a - 1.0) : b > 0.0 ? 1.0 : 0.0;
        s.strangeness += share;
        const std::string from = formatNumber(a, decimals), to = formatNumber(b, decimals);
        if (share > kSeen && from != to) s.changes.push_back({say(what), from + unit, to + unit, false});
    };
    note(unsaid("sinks"), kCm * (was.sinkRate / metrePerSecond), kCm * (is.sinkRate / metrePerSecond), 1, " cm/s");
    note(unsaid("pushes"), was.presence / millinewton, is.presence / millinewton, 2, " mN");
    if (part) note(unsaid("fullness"), worthOfPart(before.parts[*part]), worthOfPart(after.parts[*part]), 1, "");
    note(unsaid("head"), before.head.diameter / mm, after.head.diameter / mm, 2, " mm");
    note(unsaid("room left at the eye"), std::max(0.0, before.head.margin() / mm), std::max(0.0, after.head.margin() / mm), 1, " mm");
    if (!part) note(unsaid("thread"), before.threadUsed / mm, after.threadUsed / mm, 0, " mm");
}

void judge(StandIn& s, const Material& own, const Material& instead) {
    for (const ThumbRule& rule : rules()) {
        if (!rule.of(own) || !rule.by(instead)) continue;
        for (std::size_t i = 0; i < kEffects.size(); ++i)
            if (rule.effects[i] != Than::same) s.changes.push_back({say(kEffects[i]), say("as it is"), say(than(rule.effects[i])), true});
        s.mind = say(rule.mind);
        break;
    }
    if (own.kind == MaterialKind::thread) {
        if (isSlick(instead) && !isSlick(own)) s.mind = say("slick: wax it, or glue on the shank");
        const double was = laidThread(own).width / mm, is = laidThread(instead).width / mm;
        if (is > 1.05 * was) s.mind = say("the head grows as the root of the denier: two turns less");
    }
    const double colour = colourApart(own, instead);
    s.strangeness += colour;
    constexpr double kOther = 0.08;
    if (colour > kOther) {
        const auto name = [](const Material& m) { return say(colourWord(parseColour(*m.colour).value())); };
        const std::string from = name(own), to = name(instead);
        s.changes.push_back({say("colour"), from, to == from ? say("another {}", to) : to, false});
    }
    if (own.marking != instead.marking)
        s.changes.push_back(
            {say("marking"), sayName(own.marking.value_or(Marking::plain)), sayName(instead.marking.value_or(Marking::plain)), false});
}

bool mayStandIn(const Material& own, const Material& instead) {
    if (own.id == instead.id) return false;
    if (own.kind == instead.kind) return true;
    return std::ranges::any_of(rules(), [&](const ThumbRule& rule) { return rule.of(own) && rule.by(instead); });
}

}  // namespace

std::string StandInChange::words() const {
    if (!ruleOfThumb) return what + " " + from + " → " + to;
    return to + " " + what;
}

Result<std::vector<StandIn>> standInsFor(const Book& book, const MaterialId& id, const std::optional<UsedIn>& used) {
    const Material* own = book.findMaterial(id);
    if (!own) return noSuch(Place("materials"), "material", id);
    std::optional<Plan> before;
    if (used) {
        const Pattern* pattern = book.findPattern(used->pattern);
        if (!pattern) return noSuch(Place("patterns"), "dressing", used->pattern);
        const Place place = Place("patterns").at(book.indexOfPattern(used->pattern));
        if (used->part && (*used->part >= pattern->parts.size() || pattern->parts[*used->part].material != own->id))
            return fail(place.key("parts"), say("expected a part that is made of {}", own->title()));
        if (!used->part && pattern->thread != own->id)
            return fail(place.key("thread"), say("expected a dressing that is tied with {}", own->title()));
        auto plan = planWhatCan(book, used->pattern);
        if (!plan) return tl::unexpected(plan.error());
        before = std::move(*plan);
    }
    std::vector<StandIn> list;
    for (const Material& material : book.materials) {
        if (!mayStandIn(*own, material)) continue;
        StandIn s{material.id, material.title(), {}, {}, own->kind == material.kind ? 0.0 : 1.0};
        if (before) {
            Book with = book;
            if (used->part) {
                const auto edit = changeMaterial(book, used->pattern, *used->part, material.id);
                if (!edit) continue;
                with = edit->after;
            } else {
                with.findPattern(used->pattern)->thread = material.id;
            }
            const auto after = planWhatCan(with, used->pattern);
            if (!after || (used->part && std::holds_alternative<Impossible>(after->parts[*used->part].detail))) continue;
            compute(s, *before, *after, used->part);
        }
        judge(s, *own, material);
        list.push_back(std::move(s));
    }
    std::ranges::stable_sort(list, {}, &StandIn::strangeness);
    return list;
}

}  // namespace machair
