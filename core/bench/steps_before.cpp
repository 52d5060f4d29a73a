// What is made ready before the thread is on the hook (the tray, the hook, beads, feathers, furs).
#include <algorithm>
#include <map>

#include "bench/step_writer.h"
#include "language/say.h"
#include "units/text.h"
#include "units/visit.h"
#include "words/words.h"

namespace machair {

void StepWriter::layOut() {
    const auto things =
        static_cast<double>(std::ranges::count_if(plan_.parts, [](const PartPlan& p) { return p.material.has_value(); }) + 2);
    TyingStep& step = makeReady(-1, {unsaid("lay out"), say("the tray"), counted(things, "thing", "things")});
    step.how = say("in tying order: hook, thread, then what each part is made of, cut to its length");
    step.look = say("nothing to fetch later");
    step.wrong = {"tray.missing"};
    step.next = say("the hook");
}

void StepWriter::hookFirst() {
    const Hook& hook = plan_.hook;
    TyingStep& look =
        makeReady(-1, {unsaid("look over"), say("the hook, size {}", std::to_string(hook.spec().size)), inMillimetres(hook.shank())});
    look.how = say("measured from behind the eye to the start of the bend");
    look.look = say("the eye closed, the point sharp");
    look.wrong = {"hook.eye", "corrodes"};
    look.caution = Caution::points;
    const bool barbless = held().barb == BarbSchool::barbless || held().barb == BarbSchool::flattened;
    const bool stuck = std::ranges::any_of(plan_.warnings, [](const Warning& w) { return w.concern == Concern::beadHole; });
    if (hook.hasBarb() && (barbless || stuck)) {
        TyingStep& barb = makeReady(-1, {unsaid("flatten"), say("the barb"), {"1", say("squeeze")}});
        barb.how = say("jaws in line with the point, before bead and vice; the barb's place stays a landmark");
        barb.look = say("a cloth draws off it");
        barb.wrong = {"hook.barb"};
        barb.caution = Caution::points;
    }
}

void StepWriter::beadsOn() {
    for (std::size_t i = 0; i < plan_.parts.size(); ++i) {
        const auto* bead = std::get_if<BeadPlan>(&at(i).detail);
        if (!bead) continue;
        TyingStep& step = makeReady(static_cast<int>(i), {unsaid("slide on"), pieceOf(i), inMillimetres(bead->diameter)});
        step.how = say("small hole first over the point, so that it ends towards the eye, wide side to the rear") +
                   (bead->atEye ? "" : say("; it waits at the eye and is seated later"));
        step.look = say("it passes the bend and does not pass the eye");
        step.wrong = {"bead.pass", "bead.room"};
        const auto* traits = std::get_if<BeadTraits>(&at(i).made.traits);
        if (traits && (traits->metal == Metal::lead || traits->metal == Metal::tungsten)) step.caution = Caution::lead;
        if (bead->atEye) finished(i);
    }
    TyingStep& vice = makeReady(-1, {unsaid("set"), say("the hook in the vice"), {}});
    vice.how = say("jaws on the lower bend, the point free of the thread's way");
    vice.look = say("the shank level, no give");
    vice.wrong = {"hook.slips"};
    vice.caution = Caution::points;
}

// What is made ready of each kind of part before the hook goes into the vice.
struct StepWriter::Readied {
    StepWriter& steps;
    std::size_t i;
    const PartPlan& part = steps.at(i);
    int own = static_cast<int>(i);

    void operator()(const PiecePlan&) const {
        const auto* legs = std::get_if<LegsPart>(&steps.written(i).detail);
        if (!legs || legs->knots.value_or(0) <= 0) return;
        TyingStep& step = steps.makeReady(own, {unsaid("knot"), steps.nameOfPart(i), counted(*legs->knots, "knot each", "knots each")});
        step.how = *legs->knots > 1 ? say("at a third and two thirds, all bending one way") : say("at the middle, all bending one way");
        step.look = say("an even count, none cracked; two spare");
        step.wrong = {"legs.broken", "legs.odd"};
    }
    void operator()(const WingPlan& wing) const {
        const std::string what = steps.nameOfPart(i) + ", " + part.made.title();
        if (wing.style == WingStyle::paired || wing.style == WingStyle::upright || wing.style == WingStyle::tips) {
            TyingStep& step = steps.makeReady(own, {unsaid("pair"), what, {"1 + 1", say("left and right")}});
            step.how = wing.style == WingStyle::tips ? say("one left and one right, the second matched to the first on the bench")
                                                     : say("one slip of a left feather, one of a right, from the same place of both");
            step.look = say("width, curl and bars alike, lengths within 3 %");
            step.wrong = {"wing.unequal"};
            step.caution = Caution::birds;
        } else if (wing.style == WingStyle::hair && wing.toTake) {
            TyingStep& step = steps.makeReady(own, {unsaid("comb and stack"), what, counted(*wing.toTake, "hair", "hairs")});
            step.how = say("underfur out, tips level; some come away on tightening, so more is taken than stays");
            step.look = say("tips in one line");
            step.wrong = {"hair.pulls"};
        }
    }
    void operator()(const TailPlan& tail) const {
        const std::string what = steps.nameOfPart(i) + ", " + part.made.title();
        if (tail.style == TailStyle::hair && tail.fibresToTake) {
            TyingStep& step = steps.makeReady(own, {unsaid("comb and stack"), what, counted(*tail.fibresToTake, "hair", "hairs")});
            step.how = say("underfur out, tips level");
            step.look = say("tips in one line");
            step.wrong = {"hair.pulls"};
        } else if (tail.style == TailStyle::fibres || tail.style == TailStyle::tippet) {
            TyingStep& step = steps.makeReady(
                own, {unsaid("square"), what, counted(std::get<TailPart>(steps.written(i).detail).fibres, tail.fibres, "fibre", "fibres")});
            step.how = say("drawn out square to the stem till the tips are level, then torn or cut");
            step.look = tail.style == TailStyle::tippet ? say("tips and bars in one line") : say("tips in one line");
            step.wrong = {"tail.uneven", "tail.thick"};
        }
    }
    void operator()(const PalmerPlan& palmer) const { (*this)(palmer.hackle); }
    void operator()(const HacklePlan& hackle) const {
        if (part.made.kind != MaterialKind::hackle) return;
        const bool game = hackle.feather.bird == Bird::partridge || hackle.feather.bird == Bird::grouse;
        const bool tip = hackle.tieIn == TieIn::tip && part.kind != PartKind::palmer;
        const FluffSchool fluff = steps.held().fluff.value_or(FluffSchool::byBird);
        const bool trimmed = fluff == FluffSchool::trimmed || (fluff == FluffSchool::byBird && game);
        TyingStep& step = steps.makeReady(
            own, {trimmed ? unsaid("trim") : unsaid("strip"), steps.nameOfPart(i) + ", " + part.made.title(), inMillimetres(hackle.fibre)});
        step.how = say("fibre held against the hook first") +
                   (tip ? say("; the fibres parted back from the tip") : say("; bare for one turn")) +
                   (!trimmed ? say("; fluff off")
                    : game   ? say("; fluff cut, these stems split")
                             : say("; fluff cut"));
        const FibresReady ready = steps.held().fibresReady.value_or(FibresReady::stroked);
        if (part.kind != PartKind::palmer && ready == FibresReady::oneSide)
            step.how += say("; the side that would lie forward stripped off");
        if (part.kind != PartKind::palmer && ready == FibresReady::folded) step.how += say("; both sides folded back on the stem");
        step.look = tip ? say("no fluff near the tip") : say("bare stem for one turn, no fluff");
        step.wrong = {"hackle.long", "hackle.split", "hackle.short"};
        step.caution = Caution::birds;
    }
    void operator()(const BodyPlan& body) const {
        if (body.method == BodyMethod::herl && body.strands) {
            TyingStep& step =
                steps.makeReady(own, {unsaid("nip"), say("the tips of {}", part.made.title()),
                                      counted(std::get<BodyPart>(steps.written(i).detail).strands, *body.strands, "strand", "strands")});
            step.how = say("the brittle fifth of each off, the strands level");
            step.look = say("equal ends");
            step.wrong = {"herl.snaps"};
        } else if (body.method == BodyMethod::chenille || body.method == BodyMethod::tube) {
            TyingStep& step = steps.makeReady(own, {unsaid("bare"), say("the core of {}", part.made.title()), {"3", "mm"}});
            step.how = say("the fuzz off with nails or a blade, so that only the core is bound");
            step.look = say("a bare end");
            step.wrong = {"chenille.lump"};
        }
        if (const auto* fur = std::get_if<DubbingTraits>(&part.made.traits); fur && fur->blend.size() > 1) mix(*fur);
    }
    void operator()(const OneOf<TagPlan, RibPlan, UnderbodyPlan, BeadPlan, ThreadPlan, HeadPlan, Impossible> auto&) const {}

    void mix(const DubbingTraits& fur) const {
        double all = 0.0;
        for (const BlendPart& share : fur.blend)
            all += share.parts;
        TyingStep& step = steps.makeReady(own, {unsaid("mix"), part.made.title(), counted(all, "part by weight", "parts by weight")});
        step.how = say("enough for all the flies that are to match");
        step.look = say("one shade");
        step.wrong = {"fur.shade"};
        step.caution = Caution::dust;
    }
};

void StepWriter::makeReady(std::size_t i) {
    if (!continues(i)) std::visit(Readied{*this, i}, at(i).detail);
}

void StepWriter::markVanes() {
    std::map<std::string, std::pair<int, double>> slips;  // by material: how many, mm of vane in all
    std::map<std::string, int> first;
    for (std::size_t i = 0; i < plan_.parts.size(); ++i) {
        const auto* wing = std::get_if<WingPlan>(&at(i).detail);
        const auto* tail = std::get_if<TailPlan>(&at(i).detail);
        const Length slip = wing ? wing->slip : tail && tail->slip ? *tail->slip : Length{};
        if (slip <= Length{} || !at(i).material) continue;
        auto& [count, vane] = slips[*at(i).material];
        ++count;
        vane += slip / mm;
        first.try_emplace(*at(i).material, static_cast<int>(i));
    }
    for (const auto& [material, sum] : slips) {
        if (sum.first < 2) continue;
        const int part = first.at(material);
        TyingStep& step = makeReady(part, {unsaid("mark out"), say("the vane of {}", at(static_cast<std::size_t>(part)).made.title()),
                                           inMillimetres(sum.second * mm)});
        step.how = say("tail, under-wing and over-wing before the first cut; pale and broken parts left");
        step.look = say("the sum lies within the free vane");
        step.wrong = {"wing.vane"};
    }
}

void StepWriter::waxThread() {
    const auto* thread = std::get_if<ThreadTraits>(&plan_.threadMaterial.traits);
    if (!thread || thread->fibre != ThreadFibre::gelSpun) return;
    TyingStep& step = makeReady(-1, {unsaid("wax"), say("the thread, {}", plan_.threadMaterial.title()), {"1", say("film")}});
    step.how = say("or glue on the shank: one or the other, and a second turn round the bobbin's arm");
    step.look = say("tacky, not wet");
    step.wrong = {"thread.slick", "thread.slips"};
}

}  // namespace machair
