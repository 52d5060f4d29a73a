// The book's records, each described once: their keys, meaning and limits. Reading, writing, the JSON Schema and the
// editing of single fields all run over these descriptions, so they can't disagree (formats.md is the source).
//
// A visitor is called as v(key, member, rule) for each key, v.rest(carried) for the keys nobody knows. A member that
// is neither optional nor a list must be there.
#pragma once

#include <concepts>

#include "book/book.h"
#include "book/rule.h"

namespace machair {

template <class T, class Record>
concept Is = std::same_as<std::remove_const_t<T>, Record>;

// Rows of a table within a record.
template <class T>
concept TableRow = std::same_as<T, OwnWanted> || std::same_as<T, OwnRange> || std::same_as<T, OwnStyle> || std::same_as<T, Outing> ||
    std::same_as<T, Fish> || std::same_as<T, CapeBand> || std::same_as<T, SlipWanted> || std::same_as<T, CheckReading> ||
    std::same_as<T, BlendPart>;

template <class V, Is<HookMeasures> T>
void describe(V& v, T& m) {
    v("shank_mm", m.shank, kLength.says("shank, mm"));
    v("gape_mm", m.gape, kLength.says("gape, mm"));
    v("clear_gape_mm", m.clearGape, kLength.says("clear gape, mm"));
    v("wire_mm", m.wire, kLength.says("wire, mm"));
    v("overall_mm", m.overall, kLength.says("overall, mm"));
    v("point_mm", m.point, kLength.says("eye to point, mm"));
    v.rest(m.carried);
}

template <class V, Is<HookSpec> T>
void describe(V& v, T& h) {
    v("id", h.id);
    v("name", h.name);
    v("size", h.size, kSize);
    v("family", h.family);
    v("long", h.longer, kSteps);
    v("heavy", h.heavier, kSteps);
    v("barb", h.barb, kPlain.says("barb"));
    v("eye", h.eye);
    v("finish", h.finish);
    v("measured", h.measured);
    v("note", h.note);
    v.rest(h.carried);
}

template <class V, Is<ThreadTraits> T>
void describe(V& v, T& t) {
    v("denier", t.denier, kPositive);
    v("dtex", t.dtex, kPositive);
    v("fibre", t.fibre);
    v("lay", t.lay);
}
template <class V, Is<WireTraits> T>
void describe(V& v, T& t) {
    v("diameter_mm", t.diameter, kLength.says("diameter, mm"));
    v("metal", t.metal);
    v("core", t.core);
}
template <class V, Is<StripTraits> T>
void describe(V& v, T& t) {
    v("width_mm", t.width, kLength.says("width, mm"));
    v("thickness_mm", t.thickness, kLength.says("thickness, mm"));
    v("faces", t.faces, kColour);
}
template <class V, Is<BlendPart> T>
void describe(V& v, T& b) {
    v("material", b.material, kMaterialId);
    v("parts", b.parts, kPositive);
    v.rest(b.carried);
}
template <class V, Is<WoundFur> T>
void describe(V& v, T& w) {
    v("method", w.method);
    v("size", w.size, kSize);
    v("of_reckoned", w.ofReckoned, kCorrection);
}
template <class V, Is<DubbingTraits> T>
void describe(V& v, T& t) {
    v("texture", t.texture);
    v("packed_mg_per_mm3", t.packed, kPositive.says("packed, mg a mm³"));
    v("blend", t.blend, kPlain.says("blend (fur and parts, …)"));
    v("correction", t.correction, kCorrection.says("noodle correction"));
    v("wound", t.wound, kPlain.says("wound of what was reckoned (method, size, share; …)"));
}
template <class V, Is<StrandTraits> T>
void describe(V& v, T& t) {
    v("width_mm", t.width, kLength.says("width, mm"));
    v("thickness_mm", t.thickness, kLength.says("thickness, mm"));
    v("flue_mm", t.flue, kLength.says("flue, mm"));
    v("natural_mm", t.natural, kLength.says("natural length, mm"));
    v("density_per_mm", t.density, kPositive.says("strands a mm"));
    v("fibre_mm", t.fibre, kLength.says("fibre thickness, mm"));
}
template <class V, Is<RopeTraits> T>
void describe(V& v, T& t) {
    v("diameter_mm", t.diameter, kLength.says("diameter, mm"));
    v("core_mm", t.core, kLength.says("core, mm"));
}
template <class V, Is<HackleTraits> T>
void describe(V& v, T& t) {
    v("bird", t.bird);
    v("density_per_mm", t.density, kPositive.says("barbs a mm"));
    v("sides", t.sides, kSides);
    v("stem_mm", t.stem, kLength.says("stem, mm"));
    v("gamma", t.gamma, kGamma.says("growth of fibre a mm of stem"));
    v("fibre_mm", t.fibre, kLength.says("fibre thickness, mm"));
    v("stiffness", t.stiffness);
    v("fibre_shortest_mm", t.fibreShortest, kLength.says("shortest fibre, mm"));
    v("fibre_longest_mm", t.fibreLongest, kLength.says("longest fibre, mm"));
    v("usable_stem_mm", t.usableStem, kLength.says("usable stem, mm"));
    v("usual_turns", t.usualTurns, kTurns.says("usual turns of a collar"));
}
template <class V, Is<VaneTraits> T>
void describe(V& v, T& t) {
    v("side", t.side);
    v("vane_mm", t.vane, kLength.says("vane, mm"));
    v("barbs_mm", t.barbs, kLength.says("barbs at base, middle, tip, mm"));
    v("density_per_mm", t.density, kPositive.says("barbs a mm"));
    v("barb_mm", t.barb, kLength.says("barb thickness, mm"));
}
template <class V, Is<TippetTraits> T>
void describe(V& v, T& t) {
    v("bar_spacing_mm", t.barSpacing, kLength.says("bar spacing, mm"));
    v("bar_mm", t.bar, kLength.says("bar, mm"));
    v("fibre_mm", t.fibre, kLength.says("fibre thickness, mm"));
}
template <class V, Is<PlumeTraits> T>
void describe(V& v, T& t) {
    v("fibre_mm", t.fibre, kLength.says("barb thickness, mm"));
    v("fibre_length_mm", t.fibreLength, kLength);
    v("fibres", t.fibres, kFibres.says("barbs of one feather"));
    v("shaft_mm", t.shaft, kLength.says("shaft, mm"));
    v("down", t.down);
}
template <class V, Is<HairTraits> T>
void describe(V& v, T& t) {
    v("fibre_mm", t.fibre, kLength.says("hair thickness, mm"));
    v("length_mm", t.length, kLength.says("length, mm"));
    v("loss", t.loss, kShare);
}
template <class V, Is<PieceTraits> T>
void describe(V& v, T& t) {
    v("length_mm", t.length, kLength.says("length, mm"));
    v("width_mm", t.width, kLength.says("width, mm"));
    v("thickness_mm", t.thickness, kLength.says("thickness, mm"));
}
template <class V, Is<BeadTraits> T>
void describe(V& v, T& t) {
    v("diameter_mm", t.diameter, kLength.says("diameter, mm"));
    v("hole_mm", t.hole, kLength.says("hole, mm"));
    v("metal", t.metal);
}

template <class V, Is<Material> T>
void describe(V& v, T& m) {
    v("id", m.id);
    v("kind", m.kind);
    v("name", m.name);
    v("label", m.label);
    v("colour", m.colour, kColour);
    v("colours", m.colours, kColour);
    v("marking", m.marking);
    v.byKind(m.kind, m.traits, traitsFor);
    v("measured", m.measured);
    v("pack", m.pack, kPositive.says("sold together"));
    v("note", m.note);
    v.rest(m.carried);
}

template <class V, Is<StationSpec> T>
void describe(V& v, T& s) {
    v("at", s.at);
    v("ahead", s.ahead);
    v("behind", s.behind);
    v.rest(s.carried);
}

template <class V, Is<TagPart> T>
void describe(V& v, T& p) {
    v("length", p.length);
    v("turns", p.turns, kTurns);
    v("passes", p.passes, kTagPasses);
    v("protect", p.protect);
}
template <class V, Is<TailPart> T>
void describe(V& v, T& p) {
    v("length", p.length);
    v("fibres", p.fibres, kFibres);
    v("style", p.style);
    v("width", p.width, kPlain.says("slip width"));
    v("doubled", p.doubled);
    v("cut", p.cut);
}
template <class V, Is<RibPart> T>
void describe(V& v, T& p) {
    v("turns", p.turns, kTurns);
    v("spacing", p.spacing);
    v("direction", p.direction);
    v("pitch", p.pitch);
    v("along", p.along);
    v("face", p.face, kFewOrNone);
}
template <class V, Is<UnderbodyPart> T>
void describe(V& v, T& p) {
    v("layers", p.layers, kFew);
    v("end", p.end);
    v("front", p.front);
    v("turns", p.turns, kTurns);
    v("overlap", p.overlap, kShare);
}
template <class V, Is<BodyPart> T>
void describe(V& v, T& p) {
    v("method", p.method);
    v("end", p.end);
    v("front", p.front);
    v("rear_mm", p.rear, kLength.says("thick at the rear, mm"));
    v("rear_diameter", p.rearDiameter, kPlain.says("thick at the rear"));
    v("front_mm", p.foremost, kLength.says("thick in front, mm"));
    v("front_diameter", p.frontDiameter, kPlain.says("thick in front"));
    v("exponent", p.exponent, kExponent.says("taper (1 cone, 0 even)"));
    v("noodle_diameter_mm", p.noodleDiameter, kLength.says("noodle thickness, mm"));
    v("strands", p.strands, kCount);
    v("twisted", p.twisted);
    v("held", p.held);
    v("overlap", p.overlap, kShare);
    v("passes", p.passes, kPasses);
    v("direction", p.direction);
}
template <class V, Is<PalmerPart> T>
void describe(V& v, T& p) {
    v("length", p.length);
    v("shoulder_turns", p.shoulderTurns, kTurnsOrNone.says("turns at the shoulder"));
    v("open_turns", p.openTurns, kTurns.says("open turns"));
    v("feathers", p.feathers, kFeathers);
    v("wound", p.wound);
    v("direction", p.direction);
    v("along", p.along);
}
template <class V, Is<CollarPart> T>
void describe(V& v, T& p) {
    v("length", p.length);
    v("turns", p.turns, kTurns);
    v("full", p.full, kFull);
    v("fullness", p.fullness, kPositive.says("fullness, fibres a mm of gape"));
    v("tie_in", p.tieIn, kPlain.says("tied in by"));
    v("angle", p.angle, kPlain.says("fibres stand"));
    v("until", p.until);
    v("cut", p.cut);
    v("through", p.through);
}
template <class V, Is<WingPart> T>
void describe(V& v, T& p) {
    v("style", p.style);
    v("length", p.length);
    v("depth", p.depth);
    v("layers", p.layers, kFew);
    v("folds", p.folds);
    v("width", p.width, kPlain.says("slip width"));
    v("position", p.position);
    v("round", p.round, kPlain.says("barbs round"));
    v("count", p.count, kFibres.says("plumes, hairs or tips"));
    v("cut", p.cut);
    v("angle_deg", p.angle, kDegrees.says("angle, degrees"));
}
template <class V, Is<LegsPart> T>
void describe(V& v, T& p) {
    v("length", p.length);
    v("count", p.count, kCount.says("legs"));
    v("knots", p.knots, kFewOrNone);
    v("style", p.style);
}
template <class V, Is<CheekPart> T>
void describe(V& v, T& p) {
    v("length", p.length);
    v("count", p.count, kCount.says("cheeks"));
}
template <class V, Is<BeadPart> T>
void describe(V&, T&) {}
template <class V, Is<ThreadPart> T>
void describe(V&, T&) {}
template <class V, Is<HeadPart> T>
void describe(V& v, T& p) {
    v("method", p.method);
    v("strands", p.strands, kCount);
    v("whip_turns", p.whipTurns, kTurnsOrNone.says("whip turns"));
    v("knot", p.knot);
    v("coats", p.coats, kFewOrNone);
    v("finish", p.finish);
    v("layers", p.layers, kFewOrNone);
}

template <class V, Is<Part> T>
void describe(V& v, T& p) {
    v("part", p.kind);
    v("id", p.id);
    v("material", p.material, kMaterialId);
    v("from", p.from);
    v("station", p.station);
    v.byKind(p.kind, p.detail, detailFor);
    v("note", p.note);
    v.rest(p.carried);
}

template <class V, Is<SchoolChoices> T>
void describe(V& v, T& s) {
    v("fibre", s.fibre, kPlain.says("hackle fibre measured"));
    v("tie_in", s.tieIn, kPlain.says("hackle tied in by"));
    v("rib", s.rib, kPlain.says("rib wound"));
    v("rib_pitch", s.pitch, kPlain.says("rib turns of even"));
    v("finish", s.finish, kPlain.says("head finished with"));
    v("body_end", s.bodyEnd, kPlain.says("body ends at the"));
    v("collar_fullness", s.fullness, kPlain.says("collar"));
    v("tail", s.tail, kPlain.says("tail as long as the"));
    v("reach", s.reach, kPlain.says("hackle reaches the"));
    v("hackle", s.hackle, kPlain.says("hackle wound"));
    v("collar_place", s.collarPlace, kPlain.says("collar and wing"));
    v("wing", s.wing, kPlain.says("wings"));
    v("wing_reach", s.wingReach, kPlain.says("wing reaches the"));
    v("ribbed", s.ribbed, kPlain.says("rib covers"));
    v("hook_barb", s.barb, kPlain.says("hooks"));
    v("fibres_ready", s.fibresReady, kPlain.says("hackle made ready"));
    v("two_hackles", s.twoHackles, kPlain.says("of two hackles"));
    v("film_hackle", s.filmHackle, kPlain.says("hackle in the film"));
    v("feather_end", s.featherEnd, kPlain.says("the feather's end"));
    v("fluff", s.fluff, kPlain.says("fluff"));
    v("collar_tied_in", s.collarTiedIn, kPlain.says("collar tied in"));
    v("palmer_rib", s.palmerRib, kPlain.says("rib through a body hackle"));
    v("rib_for", s.ribFor, kPlain.says("a rib is for"));
    v("rib_side", s.ribSide, kPlain.says("rib's side"));
    v("rib_tied_in", s.ribTiedIn, kPlain.says("rib tied in"));
    v("lock_turn", s.lockTurn, kPlain.says("square turn at the rear"));
    v("palmer", s.palmer, kPlain.says("body hackle wound"));
    v("tail_cut", s.tailCut, kPlain.says("tail trimmed"));
    v("tail_butts", s.tailButts, kPlain.says("tail's butts"));
    v("taper", s.taper, kPlain.says("body's taper"));
    v("coarse_fur", s.coarseFur, kPlain.says("coarse fur by"));
    v("fur", s.fur, kPlain.says("fur"));
    v("brushing", s.brushing, kPlain.says("fur brushed out"));
    v("fold", s.fold, kPlain.says("wing folded"));
    v("wing_weight", s.wingWeight, kPlain.says("wing's weight"));
    v("slip_tips", s.slipTips, kPlain.says("slips' tips"));
    v("upright_wings", s.uprightWings, kPlain.says("upright wings"));
    v("plume", s.plume, kPlain.says("a plume is"));
    v("wing_tied", s.wingTied, kPlain.says("wing tied in"));
    v("tufts", s.tufts, kPlain.says("tufts"));
    v("legs_set", s.legsSet, kPlain.says("legs set"));
    v("bead_neck", s.beadNeck, kPlain.says("behind the bead"));
    v("bead_thread", s.beadThread, kPlain.says("thread at a bead"));
    v("coats", s.coats, kPlain.says("coats"));
    v("whip", s.whip, kPlain.says("turns of the whip"));
    v("cheeks", s.cheeks, kPlain.says("cheeks"));
    v("metal", s.metal, kPlain.says("metal"));
    v("faithful", s.faithful, kPlain.says("recipe varied"));
    v("standard", s.standard, kPlain.says("tied"));
    v("grip", s.grip, kPlain.says("strands held by"));
    v("thread_colour", s.threadColour, kPlain.says("thread's colour"));
    v("nymph_or_wet", s.nymphOrWet, kPlain.says("fished as a"));
    v.rest(s.carried);
}

template <class V, Is<Pattern> T>
void describe(V& v, T& p) {
    v("id", p.id);
    v("name", p.name);
    v("role", p.role);
    v("hook", p.hook, kHookId);
    v("thread", p.thread, kMaterialId);
    v("max_length_mm", p.maxLength, kLength.says("no longer than, mm"));
    v("buoyancy_mN", p.buoyancyMillinewton, kBuoyancy.says("buoyancy, mN"));
    v("treated", p.treated);
    v("style", p.style);
    v("presentation", p.presentation);
    v("schools", p.schools);
    v("varied_from", p.variedFrom, kPatternOnce.says("varied from"));
    v("varied_why", p.variedWhy, kPlain.says("varied why"));
    v("note", p.note);
    v("parts", wholeOf(p.parts));
    v.rest(p.carried);
}

template <class V, Is<LeaderSpec> T>
void describe(V& v, T& l) {
    v("material", l.material);
    v("diameter_mm", l.diameter, kLength.says("diameter, mm"));
    v("tip_to_bob_m", l.tipToBob, kLeaderLength.says("rod tip to bob, m"));
    v("bob_to_middle_m", l.bobToMiddle, kLeaderLength.says("bob to middle, m"));
    v("middle_to_point_m", l.middleToPoint, kLeaderLength.says("middle to point, m"));
    v("dropper_m", l.dropper, kLeaderLength.says("droppers, m"));
    v("bob_to_upper_m", l.bobToUpper, kLeaderLength);
    v("middle_to_lower_m", l.middleToLower, kLeaderLength);
    v.rest(l.carried);
}

template <class V, Is<Fly> T>
void describe(V& v, T& f) {
    v("pattern", f.pattern, kPatternId);
    v("hook", f.hook, kHookId);
    v("presentation", f.presentation);
    v.rest(f.carried);
}

template <class V, Is<TeamSpec> T>
void describe(V& v, T& t) {
    v("id", t.id);
    v("name", t.name);
    for (const auto& position : Names<Position>::entries)
        v(position.name.data(), t.flies[position.value], kPatternId);
    v("school", t.school);
    v("own_school", t.ownSchool, kSchoolId);
    v("leader", t.leader);
    v("note", t.note);
    v.rest(t.carried);
}

template <class V, Is<OwnWanted> T>
void describe(V& v, T& w) {
    v("term", w.term);
    v("low", w.low, kLimit);
    v("high", w.high, kLimit);
    v("near", w.nearWidth, kPositive);
    v("weight", w.weight, kWeight);
    v.rest(w.carried);
}
template <class V, Is<OwnRange> T>
void describe(V& v, T& r) {
    v("place", r.place);
    v("wave_m", r.wave, kWave);
    v("low", r.low, kCollars);
    v("high", r.high, kCollars);
    v.rest(r.carried);
}
template <class V, Is<OwnStyle> T>
void describe(V& v, T& s) {
    v("style", s.style);
    v("place", s.place);
    v("calm", s.calm, kSuits);
    v("wave", s.wave, kSuits);
    v.rest(s.carried);
}

template <class V, Is<TeamSchool> T>
void describe(V& v, T& s) {
    v("id", s.id);
    v("name", s.name);
    v("like", s.like);
    v("belief", s.belief);
    v("sink_step", s.sinkStep, kRatio.says("sink step at least"));
    v("presence_step", s.presenceStep, kRatio.says("water pushed, upper to lower"));
    v("turnover_step", s.turnoverStep, kRatio.says("turnover step at least"));
    v("point_share", s.pointShare, kRatio.says("point's weight to the heaviest"));
    v("family_spread", s.familySpread, kRatio.says("lengths may differ by"));
    v("spacing_least_m", s.spacingLeast, kLeaderLength.says("spacing at least, m"));
    v("spacing_most_m", s.spacingMost, kLeaderLength.says("spacing at most, m"));
    v("dropper_least_m", s.dropperLeast, kLeaderLength.says("droppers at least, m"));
    v("dropper_most_m", s.dropperMost, kLeaderLength.says("droppers at most, m"));
    v("fullness", s.fullness, kRatio.says("fullness, times the wave's"));
    v("wanted", s.wanted);
    v("ranges", s.ranges);
    v("styles", s.styles);
    v.rest(s.carried);
}

template <class V, Is<VaneFeather> T>
void describe(V& v, T& f) {
    v("id", f.id);
    v("material", f.material, kMaterialId);
    v("side", f.side);
    v("vane_mm", f.vane, kLength.says("vane, mm"));
    v("barbs_mm", f.barbs, kLength.says("barbs at base, middle, tip, mm"));
    v("taken_mm", f.taken, kPlaceOnVane);
    v("shade", f.shade);
    v("spoiled_mm", f.spoiled, kPlaceOnVane.says("broken, split or pale, mm"));
    v("match", f.match, kPlain.says("paired by the mark"));
    v.rest(f.carried);
}
template <class V, Is<SlipWanted> T>
void describe(V& v, T& s) {
    v("id", s.id);
    v("material", s.material, kMaterialId);
    v("width_mm", s.width, kLength.says("width, mm"));
    v("barb_mm", s.barb, kLength.says("barb thickness, mm"));
    v("side", s.side);
    v("pair", s.pair);
    v.rest(s.carried);
}
template <class V, Is<CutList> T>
void describe(V& v, T& l) {
    v("id", l.id);
    v("slips", l.slips);
    v.rest(l.carried);
}

template <class V, Is<CapeBand> T>
void describe(V& v, T& b) {
    v("from_mm", b.from, kLength);
    v("to_mm", b.to, kLength);
    v("count", b.count, kTied.says("feathers"));
    v.rest(b.carried);
}
template <class V, Is<Cape> T>
void describe(V& v, T& c) {
    v("id", c.id);
    v("material", c.material, kMaterialId);
    v("usable_stem_mm", c.usableStem, kLength.says("usable stem, mm"));
    v("bands", c.bands);
    v.rest(c.carried);
}

template <class V, Is<Stock> T>
void describe(V& v, T& s) {
    v("id", s.id);
    v("material", s.material, kMaterialId);
    v("length_m", s.length, kStockLength.says("m on the spool"));
    v("count", s.count, kStock.says("in the packet"));
    v("mass_mg", s.mass, kStock.says("mg in the bag"));
    v("offcuts_mm", s.offcuts, kLength.says("off-cuts, mm"));
    v.rest(s.carried);
}

template <class V, Is<SeasonRow> T>
void describe(V& v, T& s) {
    v("id", s.id);
    v("creature", s.creature);
    v("from_month", s.fromMonth, kMonth.says("from month"));
    v("to_month", s.toMonth, kMonth.says("to month"));
    v("suits", s.suits);
    v("size", s.size);
    v("colour", s.colour);
    v("where", s.where);
    v("fished", s.fished);
    v("dressings", s.dressings, kPatternOnce);
    v("styles", s.styles);
    v("place", s.place);
    v("note", s.note);
    v.rest(s.carried);
}
template <class V, Is<Mishap> T>
void describe(V& v, T& m) {
    v("id", m.id);
    v("count", m.count, kTied.says("times"));
    v("shows", m.shows);
    v("part", m.part, kPlain.says("befalls the"));
    v("this_fly", m.thisFly, kPlain.says("mend"));
    v("next_fly", m.nextFly, kPlain.says("prevented by"));
    v.rest(m.carried);
}

template <class V, Is<Batch> T>
void describe(V& v, T& b) {
    v("id", b.id);
    v("pattern", b.pattern, kPatternId);
    v("hook", b.hook, kHookId);
    v("wanted", b.wanted, kTied);
    v("tied", b.tied, kTied);
    v("day", b.day, kDate);
    v("team", b.team, kTeamOnce);
    v("minutes", b.minutes, kStock);
    v("note", b.note);
    v.rest(b.carried);
}
template <class V, Is<CheckReading> T>
void describe(V& v, T& r) {
    v("part", r.part, kFewOrNone);
    v("kind", r.kind);
    v("figure", r.figure);
    v("aimed_mm", r.aimed, kLength);
    v("measured_mm", r.measured, kLength);
    v.rest(r.carried);
}
template <class V, Is<CheckedFly> T>
void describe(V& v, T& c) {
    v("id", c.id);
    v("pattern", c.pattern, kPatternOnce);
    v("date", c.date, kDate.says("date"));
    v("readings", c.readings);
    v("faults", c.faults);
    v("photo", c.photo);
    v.rest(c.carried);
}
template <class V, Is<Outing> T>
void describe(V& v, T& o) {
    v("hours", o.hours, kHours);
    for (const auto& position : Names<Position>::entries)
        v(position.name.data(), o.flies[position.value], kPatternOnce);
    v.rest(o.carried);
}
template <class V, Is<Fish> T>
void describe(V& v, T& f) {
    v("pattern", f.pattern, kPatternOnce);
    v("position", f.position);
    v("kept", f.kept);
    v("depth_m", f.depth, kLeaderLength.says("depth, m"));
    v("lost", f.lost);
    v("hook", f.hook, kHookOnce);
    v("time", f.time, kTime);
    v.rest(f.carried);
}
template <class V, Is<Day> T>
void describe(V& v, T& d) {
    v("id", d.id);
    v("date", d.date, kDate.says("date"));
    v("water", d.water, kWaterOnce);
    v("rods", d.rods, kFew);
    v("wind_m_s", d.wind, kWind.says("wind, m/s"));
    v("wave_m", d.wave, kWave);
    v("light", d.light);
    v("colour", d.colour);
    v("celsius", d.celsius, kWaterWarmth.says("water, °C"));
    v("hatching", d.hatching);
    v("drift_m_s", d.drift, kBoatSpeed.says("boat's drift, m/s"));
    v("drogue", d.drogue, kPlain.says("a drogue out"));
    v("outings", d.outings);
    v("fish", d.fish);
    v("photos", d.photos);
    v("note", d.note);
    v.rest(d.carried);
}

template <class V, Is<WaterSpec> T>
void describe(V& v, T& w) {
    v("id", w.id);
    v("name", w.name);
    v("wind_m_s", w.wind, kWind.says("wind, m/s"));
    v("wind_from_deg", w.windFrom, kBearing.says("wind from, degrees"));
    v("fetch_m", w.fetch, kFetch.says("fetch, m"));
    v("depth_m", w.depth, kLeaderLength.says("depth, m"));
    v("colour", w.colour);
    v("light", w.light);
    v("celsius", w.celsius, kWaterWarmth.says("water, °C"));
    v("month", w.month, kMonth);
    v("hatching", w.hatching);
    v("drogue", w.drogue, kPlain.says("a drogue out"));
    v("own_drift", w.ownDrift, kPlain.says("drift of your own boat"));
    v("kept", w.kept, kFewOrNone.says("fish kept so far"));
    v("rules", w.rules, kCardId);
    v("outline_m", w.outline, kOnMap);
    v("note", w.note);
    v.rest(w.carried);
}
template <class V, Is<RuleCard> T>
void describe(V& v, T& r) {
    v("id", r.id);
    v("name", r.name);
    v("source", r.source, kPlain.says("read where"));
    v("date", r.date, kPlain.onDay().says("read on"));
    v("most_flies", r.mostFlies, kFew.says("flies at most"));
    v("least_spacing_m", r.leastSpacing, kLeaderLength.says("spacing at least, m"));
    v("longest_leader_m", r.longestLeader, kLeaderLength.says("leader at most, m"));
    v("longest_fly_mm", r.longestFly, kLength.says("fly at most, mm"));
    v("largest_hook", r.largestHook, kSize.says("hook no larger than"));
    v("smallest_hook", r.smallestHook, kSize.says("hook no smaller than"));
    v("barb", r.barb, kPlain.says("barbs"));
    v("kept_before_barbless", r.keptBeforeBarbless, kFewOrNone.says("fish kept, then barbless"));
    v("beads", r.beads, kPlain.says("beads allowed"));
    v("note", r.note);
    v.rest(r.carried);
}
template <class V, Is<BoxFly> T>
void describe(V& v, T& b) {
    v("id", b.id);
    v("pattern", b.pattern, kPatternId);
    v("hook", b.hook, kHookId);
    v("tied", b.tied, kTied);
    v("chewed", b.chewed, kTied);
    v("lost", b.lost, kTied);
    v.rest(b.carried);
}

template <class V, Is<Book> T>
void describe(V& v, T& b) {
    v("hooks", b.hooks);
    v("materials", b.materials);
    v("patterns", b.patterns);
    v("teams", b.teams);
    v("feathers", b.feathers);
    v("cut_lists", b.cutLists);
    v("capes", b.capes);
    v("stock", b.stock);
    v("team_schools", b.teamSchools);
    v("waters", b.waters);
    v("rule_cards", b.ruleCards);
    v("box", b.box);
    v("season_table", b.season);
    v("mishaps", b.mishaps);
    v("batches", b.batches);
    v("checks", b.checks);
    v("days", b.days);
    v("schools", b.schools);
    v.rest(b.carried);
}

}  // namespace machair
