// Where tiers disagree: one choice a question (catalogue.md section 6), each named as the bench file names it.
//
// A choice is held for one dressing, or for all of a tier's. What a part says of itself comes before both, then the
// dressing's, then the tier's; where nobody chose, sizing and steps do what most do. book/schools.h tells the reason of
// each usual choice and what it changes, and turns a dressing to one.
#pragma once

#include <optional>

#include "dressing/parts.h"

namespace machair {

enum class FibreSchool { lineOfSight, layBack };
template <>
struct Names<FibreSchool> {
    static constexpr std::array entries = {NameOf{FibreSchool::lineOfSight, "line_of_sight"}, NameOf{FibreSchool::layBack, "lay_back"}};
};
enum class RibSchool { counter, with, bodyCounter };
template <>
struct Names<RibSchool> {
    static constexpr std::array entries = {NameOf{RibSchool::counter, "counter"}, NameOf{RibSchool::with, "with"},
                                           NameOf{RibSchool::bodyCounter, "body_counter"}};
};
enum class RibSpacing { even, angle, byMm };
template <>
struct Names<RibSpacing> {
    static constexpr std::array entries = {NameOf{RibSpacing::even, "even"}, NameOf{RibSpacing::angle, "angle"},
                                           NameOf{RibSpacing::byMm, "by_mm"}};
};
enum class FinishSchool { varnish, resin, glue, wax, none, hitches };
template <>
struct Names<FinishSchool> {
    static constexpr std::array entries = {NameOf{FinishSchool::varnish, "varnish"}, NameOf{FinishSchool::resin, "resin"},
                                           NameOf{FinishSchool::glue, "glue"},       NameOf{FinishSchool::wax, "wax"},
                                           NameOf{FinishSchool::none, "none"},       NameOf{FinishSchool::hitches, "hitches"}};
};
enum class BodyEndSchool { point, barb, bend, midway, roundBend };
template <>
struct Names<BodyEndSchool> {
    static constexpr std::array entries = {NameOf{BodyEndSchool::point, "point"}, NameOf{BodyEndSchool::barb, "barb"},
                                           NameOf{BodyEndSchool::bend, "bend"}, NameOf{BodyEndSchool::midway, "midway"},
                                           NameOf{BodyEndSchool::roundBend, "round_bend"}};
};
enum class TailSchool { shank, body, twice, spear, bars, taste };
template <>
struct Names<TailSchool> {
    static constexpr std::array entries = {NameOf{TailSchool::shank, "shank"}, NameOf{TailSchool::body, "body"},
                                           NameOf{TailSchool::twice, "twice"}, NameOf{TailSchool::spear, "spear"},
                                           NameOf{TailSchool::bars, "bars"},   NameOf{TailSchool::taste, "taste"}};
};
enum class ReachSchool { barb, point, pastPoint, bend, upright };
template <>
struct Names<ReachSchool> {
    static constexpr std::array entries = {NameOf{ReachSchool::barb, "barb"}, NameOf{ReachSchool::point, "point"},
                                           NameOf{ReachSchool::pastPoint, "past_point"}, NameOf{ReachSchool::bend, "bend"},
                                           NameOf{ReachSchool::upright, "upright"}};
};
enum class HackleSchool { full, throat, drawnDown };
template <>
struct Names<HackleSchool> {
    static constexpr std::array entries = {NameOf{HackleSchool::full, "full"}, NameOf{HackleSchool::throat, "throat"},
                                           NameOf{HackleSchool::drawnDown, "drawn_down"}};
};
enum class CollarPlace { beforeWing, afterWing, both };
template <>
struct Names<CollarPlace> {
    static constexpr std::array entries = {NameOf{CollarPlace::beforeWing, "before_wing"}, NameOf{CollarPlace::afterWing, "after_wing"},
                                           NameOf{CollarPlace::both, "both"}};
};
enum class WingSchool { paired, rolled };
template <>
struct Names<WingSchool> {
    static constexpr std::array entries = {NameOf{WingSchool::paired, "paired"}, NameOf{WingSchool::rolled, "rolled"}};
};
enum class WingReach { bend, tail, midTail, twoThirds };
template <>
struct Names<WingReach> {
    static constexpr std::array entries = {NameOf{WingReach::bend, "bend"}, NameOf{WingReach::tail, "tail"},
                                           NameOf{WingReach::midTail, "mid_tail"}, NameOf{WingReach::twoThirds, "two_thirds"}};
};
enum class RibbedSchool { whole, tinselOnly, none };
template <>
struct Names<RibbedSchool> {
    static constexpr std::array entries = {NameOf{RibbedSchool::whole, "whole"}, NameOf{RibbedSchool::tinselOnly, "tinsel_only"},
                                           NameOf{RibbedSchool::none, "none"}};
};
enum class BarbSchool { barbed, barbless, flattened };
template <>
struct Names<BarbSchool> {
    static constexpr std::array entries = {NameOf{BarbSchool::barbed, "barbed"}, NameOf{BarbSchool::barbless, "barbless"},
                                           NameOf{BarbSchool::flattened, "flattened"}};
};
enum class FibresReady { stroked, folded, oneSide };
template <>
struct Names<FibresReady> {
    static constexpr std::array entries = {NameOf{FibresReady::stroked, "stroked"}, NameOf{FibresReady::folded, "folded"},
                                           NameOf{FibresReady::oneSide, "one_side"}};
};
enum class TwoHackles { softInFront, stiffInFront, through };
template <>
struct Names<TwoHackles> {
    static constexpr std::array entries = {NameOf{TwoHackles::softInFront, "soft_in_front"},
                                           NameOf{TwoHackles::stiffInFront, "stiff_in_front"}, NameOf{TwoHackles::through, "through"}};
};
enum class FilmHackle { soft, stiff, both };
template <>
struct Names<FilmHackle> {
    static constexpr std::array entries = {NameOf{FilmHackle::soft, "soft"}, NameOf{FilmHackle::stiff, "stiff"},
                                           NameOf{FilmHackle::both, "both"}};
};
enum class FeatherEnd { folded, cut, broken, left };
template <>
struct Names<FeatherEnd> {
    static constexpr std::array entries = {NameOf{FeatherEnd::folded, "folded"}, NameOf{FeatherEnd::cut, "cut"},
                                           NameOf{FeatherEnd::broken, "broken"}, NameOf{FeatherEnd::left, "left"}};
};
enum class FluffSchool { byBird, stripped, trimmed };
template <>
struct Names<FluffSchool> {
    static constexpr std::array entries = {NameOf{FluffSchool::byBird, "by_bird"}, NameOf{FluffSchool::stripped, "stripped"},
                                           NameOf{FluffSchool::trimmed, "trimmed"}};
};
enum class CollarTiedIn { whenWound, beforeBody };
template <>
struct Names<CollarTiedIn> {
    static constexpr std::array entries = {NameOf{CollarTiedIn::whenWound, "when_wound"}, NameOf{CollarTiedIn::beforeBody, "before_body"}};
};
enum class PalmerRib { crossing, asTold };
template <>
struct Names<PalmerRib> {
    static constexpr std::array entries = {NameOf{PalmerRib::crossing, "crossing"}, NameOf{PalmerRib::asTold, "as_told"}};
};
enum class RibFor { byMaterial, hold, shine, segments, tameFur };
template <>
struct Names<RibFor> {
    static constexpr std::array entries = {NameOf{RibFor::byMaterial, "by_material"}, NameOf{RibFor::hold, "hold"},
                                           NameOf{RibFor::shine, "shine"}, NameOf{RibFor::segments, "segments"},
                                           NameOf{RibFor::tameFur, "tame_fur"}};
};
enum class RibSide { near, far, under, top };
template <>
struct Names<RibSide> {
    static constexpr std::array entries = {NameOf{RibSide::near, "near"}, NameOf{RibSide::far, "far"}, NameOf{RibSide::under, "under"},
                                           NameOf{RibSide::top, "top"}};
};
enum class RibTiedIn { afterTail, beforeTail, atFront };
template <>
struct Names<RibTiedIn> {
    static constexpr std::array entries = {NameOf{RibTiedIn::afterTail, "after_tail"}, NameOf{RibTiedIn::beforeTail, "before_tail"},
                                           NameOf{RibTiedIn::atFront, "at_front"}};
};
enum class LockTurn { one, none };
template <>
struct Names<LockTurn> {
    static constexpr std::array entries = {NameOf{LockTurn::one, "one"}, NameOf{LockTurn::none, "none"}};
};
enum class TailCut { never, cut };
template <>
struct Names<TailCut> {
    static constexpr std::array entries = {NameOf{TailCut::never, "never"}, NameOf{TailCut::cut, "cut"}};
};
enum class TailButts { toFront, shortSlope };
template <>
struct Names<TailButts> {
    static constexpr std::array entries = {NameOf{TailButts::toFront, "to_front"}, NameOf{TailButts::shortSlope, "short_slope"}};
};
enum class TaperSchool { slight, none, slimmerFront, strong };
template <>
struct Names<TaperSchool> {
    static constexpr std::array entries = {NameOf{TaperSchool::slight, "slight"}, NameOf{TaperSchool::none, "none"},
                                           NameOf{TaperSchool::slimmerFront, "slimmer_front"}, NameOf{TaperSchool::strong, "strong"}};
};
enum class CoarseFur { noodle, loop, splitThread, rope };
template <>
struct Names<CoarseFur> {
    static constexpr std::array entries = {NameOf{CoarseFur::noodle, "noodle"}, NameOf{CoarseFur::loop, "loop"},
                                           NameOf{CoarseFur::splitThread, "split_thread"}, NameOf{CoarseFur::rope, "rope"}};
};
enum class FurSchool { asWritten, blend, synthetic };
template <>
struct Names<FurSchool> {
    static constexpr std::array entries = {NameOf{FurSchool::asWritten, "as_written"}, NameOf{FurSchool::blend, "blend"},
                                           NameOf{FurSchool::synthetic, "synthetic"}};
};
enum class Brushing { beforeCollar, last, never };
template <>
struct Names<Brushing> {
    static constexpr std::array entries = {NameOf{Brushing::beforeCollar, "before_collar"}, NameOf{Brushing::last, "last"},
                                           NameOf{Brushing::never, "never"}};
};
enum class FoldSchool { thirds, halves, threeWidths, fourWidths };
template <>
struct Names<FoldSchool> {
    static constexpr std::array entries = {NameOf{FoldSchool::thirds, "thirds"}, NameOf{FoldSchool::halves, "halves"},
                                           NameOf{FoldSchool::threeWidths, "three_widths"}, NameOf{FoldSchool::fourWidths, "four_widths"}};
};
enum class WingWeight { thin, heavy };
template <>
struct Names<WingWeight> {
    static constexpr std::array entries = {NameOf{WingWeight::thin, "thin"}, NameOf{WingWeight::heavy, "heavy"}};
};
enum class SlipTips { down, up };
template <>
struct Names<SlipTips> {
    static constexpr std::array entries = {NameOf{SlipTips::down, "down"}, NameOf{SlipTips::up, "up"}};
};
enum class UprightWings { asTheyPart, divided };
template <>
struct Names<UprightWings> {
    static constexpr std::array entries = {NameOf{UprightWings::asTheyPart, "as_they_part"}, NameOf{UprightWings::divided, "divided"}};
};
enum class PlumeSchool { wing, cover, collar };
template <>
struct Names<PlumeSchool> {
    static constexpr std::array entries = {NameOf{PlumeSchool::wing, "wing"}, NameOf{PlumeSchool::cover, "cover"},
                                           NameOf{PlumeSchool::collar, "collar"}};
};
enum class WingTied { last, first };
template <>
struct Names<WingTied> {
    static constexpr std::array entries = {NameOf{WingTied::last, "last"}, NameOf{WingTied::first, "first"}};
};
enum class Tufts { raised, flat };
template <>
struct Names<Tufts> {
    static constexpr std::array entries = {NameOf{Tufts::raised, "raised"}, NameOf{Tufts::flat, "flat"}};
};
enum class LegsSet { bunch, singly };
template <>
struct Names<LegsSet> {
    static constexpr std::array entries = {NameOf{LegsSet::bunch, "bunch"}, NameOf{LegsSet::singly, "singly"}};
};
enum class BeadNeck { bare, veiled, wrapped };
template <>
struct Names<BeadNeck> {
    static constexpr std::array entries = {NameOf{BeadNeck::bare, "bare"}, NameOf{BeadNeck::veiled, "veiled"},
                                           NameOf{BeadNeck::wrapped, "wrapped"}};
};
enum class BeadThread { cut, jumped };
template <>
struct Names<BeadThread> {
    static constexpr std::array entries = {NameOf{BeadThread::cut, "cut"}, NameOf{BeadThread::jumped, "jumped"}};
};
enum class CoatsSchool { two, one };
template <>
struct Names<CoatsSchool> {
    static constexpr std::array entries = {NameOf{CoatsSchool::two, "two"}, NameOf{CoatsSchool::one, "one"}};
};
enum class WhipSchool { four, three, five, twice };
template <>
struct Names<WhipSchool> {
    static constexpr std::array entries = {NameOf{WhipSchool::four, "four"}, NameOf{WhipSchool::three, "three"},
                                           NameOf{WhipSchool::five, "five"}, NameOf{WhipSchool::twice, "twice"}};
};
enum class CheekSchool { asWritten, natural, made, split, none };
template <>
struct Names<CheekSchool> {
    static constexpr std::array entries = {NameOf{CheekSchool::asWritten, "as_written"}, NameOf{CheekSchool::natural, "natural"},
                                           NameOf{CheekSchool::made, "made"}, NameOf{CheekSchool::split, "split"},
                                           NameOf{CheekSchool::none, "none"}};
};
enum class MetalSchool { asWritten, gold, silver };
template <>
struct Names<MetalSchool> {
    static constexpr std::array entries = {NameOf{MetalSchool::asWritten, "as_written"}, NameOf{MetalSchool::gold, "gold"},
                                           NameOf{MetalSchool::silver, "silver"}};
};
enum class Faithfulness { freely, toTheLetter };
template <>
struct Names<Faithfulness> {
    static constexpr std::array entries = {NameOf{Faithfulness::freely, "freely"}, NameOf{Faithfulness::toTheLetter, "to_the_letter"}};
};
enum class Standard { toFish, toShow };
template <>
struct Names<Standard> {
    static constexpr std::array entries = {NameOf{Standard::toFish, "to_fish"}, NameOf{Standard::toShow, "to_show"}};
};
enum class ThreadColour { asHead, asBody };
template <>
struct Names<ThreadColour> {
    static constexpr std::array entries = {NameOf{ThreadColour::asHead, "as_head"}, NameOf{ThreadColour::asBody, "as_body"}};
};
enum class NymphOrWet { wet, nymph };
template <>
struct Names<NymphOrWet> {
    static constexpr std::array entries = {NameOf{NymphOrWet::wet, "wet"}, NameOf{NymphOrWet::nymph, "nymph"}};
};

struct SchoolChoices {
    std::optional<FibreSchool> fibre;
    std::optional<TieIn> tieIn;
    std::optional<RibSchool> rib;
    std::optional<RibSpacing> pitch;
    std::optional<FinishSchool> finish;
    std::optional<BodyEndSchool> bodyEnd;
    std::optional<FullnessSchool> fullness;
    std::optional<TailSchool> tail;
    std::optional<ReachSchool> reach;
    std::optional<HackleSchool> hackle;
    std::optional<CollarPlace> collarPlace;
    std::optional<WingSchool> wing;
    std::optional<WingReach> wingReach;
    std::optional<RibbedSchool> ribbed;
    std::optional<BarbSchool> barb;
    std::optional<FibresReady> fibresReady;
    std::optional<TwoHackles> twoHackles;
    std::optional<FilmHackle> filmHackle;
    std::optional<FeatherEnd> featherEnd;
    std::optional<FluffSchool> fluff;
    std::optional<CollarTiedIn> collarTiedIn;
    std::optional<PalmerRib> palmerRib;
    std::optional<RibFor> ribFor;
    std::optional<RibSide> ribSide;
    std::optional<RibTiedIn> ribTiedIn;
    std::optional<LockTurn> lockTurn;
    std::optional<PalmerWound> palmer;
    std::optional<TailCut> tailCut;
    std::optional<TailButts> tailButts;
    std::optional<TaperSchool> taper;
    std::optional<CoarseFur> coarseFur;
    std::optional<FurSchool> fur;
    std::optional<Brushing> brushing;
    std::optional<FoldSchool> fold;
    std::optional<WingWeight> wingWeight;
    std::optional<SlipTips> slipTips;
    std::optional<UprightWings> uprightWings;
    std::optional<PlumeSchool> plume;
    std::optional<WingTied> wingTied;
    std::optional<Tufts> tufts;
    std::optional<LegsSet> legsSet;
    std::optional<BeadNeck> beadNeck;
    std::optional<BeadThread> beadThread;
    std::optional<CoatsSchool> coats;
    std::optional<WhipSchool> whip;
    std::optional<CheekSchool> cheeks;
    std::optional<MetalSchool> metal;
    std::optional<Faithfulness> faithful;
    std::optional<Standard> standard;
    std::optional<Grip> grip;
    std::optional<ThreadColour> threadColour;
    std::optional<NymphOrWet> nymphOrWet;
    Carried carried;
    bool operator==(const SchoolChoices&) const = default;
};

}  // namespace machair
