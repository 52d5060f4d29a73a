// What the writers of steps share: inside bench only. It keeps where the thread hangs and what is on the hook, and words
// counts, faces, senses and pieces the one way.
#pragma once

#include "bench/steps.h"

namespace machair {

// One number with its unit; both empty for what comes out at nothing.
struct Amount {
    std::string number;
    std::string unit;
};
[[nodiscard]] Amount inMillimetres(Length length);
[[nodiscard]] Amount counted(double n, std::string_view one, std::string_view many);
// A written pair is said as a pair: "2 to 3".
[[nodiscard]] Amount counted(const std::optional<Count>& written, double planned, std::string_view one, std::string_view many);
// Turns that nobody wrote: to the half, as they are counted at the vice; of many to the whole.
[[nodiscard]] Amount turnsOf(const std::optional<Count>& written, double planned);
[[nodiscard]] std::string said(const Amount& amount);

class StepWriter {
  public:
    StepWriter(const Plan& plan, Hand hand);

    [[nodiscard]] std::vector<TyingStep> run();

  private:
    struct Deed {
        std::string verb;
        std::string object;
        Amount amount = {};
    };
    TyingStep& add(int part, Deed deed, Length threadAfter);
    TyingStep& makeReady(int part, Deed deed);
    TyingStep& threadless(int part, Deed deed);  // once the thread is off
    void finished(std::size_t part);
    // Its tie-in; of what goes on from another part, its taking up.
    [[nodiscard]] Deed tyingIn(std::size_t part, Amount amount) const;
    void tieOff(std::size_t part, const std::string& what);

    // Before the thread (steps_before.cpp).
    void layOut();
    void hookFirst();
    void beadsOn();
    void makeReady(std::size_t part);
    struct Readied;
    void waxThread();
    void markVanes();

    // Bed, tag, tail, rib (steps_rear.cpp).
    void startThread();
    void tie(std::size_t part, const TagPlan& tag);
    void tie(std::size_t part, const TailPlan& tail);
    void tie(std::size_t part, const RibPlan& rib);
    void tieInRibsBefore(std::size_t tail);
    void tie(std::size_t part, const UnderbodyPlan& underbody);
    void windRib(std::size_t part);
    void windRibs();
    void windRibsAlong(std::size_t section);

    // Bodies (steps_body.cpp).
    void tie(std::size_t part, const BodyPlan& body);
    void dub(std::size_t part, const BodyPlan& body);
    void windStrip(std::size_t part, const BodyPlan& body);
    void windThread(std::size_t part, const BodyPlan& body);
    void tieInStrip(std::size_t part, const BodyPlan& body, bool doubled);
    void windStrands(std::size_t part, const BodyPlan& body);
    void brushOut(bool beforeCollar);

    // Palmers, collars, legs (steps_hackle.cpp).
    void tie(std::size_t part, const PalmerPlan& palmer);
    void tieInPalmer(std::size_t part, const PalmerPlan& palmer);
    void tieInForwardPalmers(std::size_t body);
    void windPalmer(std::size_t part, const PalmerPlan& palmer);
    void tie(std::size_t part, const HacklePlan& hackle);
    void throat(std::size_t part, const HacklePlan& hackle);
    void tieInCollar(std::size_t part, const HacklePlan& hackle);
    void windCollar(std::size_t part, const HacklePlan& hackle);
    void tieOffCollar(std::size_t part, const HacklePlan& hackle);
    void tieInCollarsBefore(std::size_t body);
    void windWaiting(PartKind kind);
    [[nodiscard]] bool bodyComes(std::size_t after, bool thorax) const;
    void legs(std::size_t part, const PiecePlan& piece);

    // Wings, cheeks (steps_wing.cpp).
    void tie(std::size_t part, const WingPlan& wing);
    void rampFor(std::size_t part, const WingPlan& wing);
    void prepareSlips(std::size_t part, const WingPlan& wing);
    void sayManner(TyingStep& in, std::size_t part, const WingPlan& wing) const;
    void setAtItsAngle(std::size_t part, const WingPlan& wing);
    void tie(std::size_t part, const PiecePlan& piece);
    void trimButts(std::size_t part, const WingPlan& wing);

    // Bead, thread, head (steps_finish.cpp).
    void tie(std::size_t part, const BeadPlan& bead);
    void tie(std::size_t part, const ThreadPlan& thread);
    void startAhead(int part, const std::string& thread);  // of a bead that was pushed back
    void tie(std::size_t part, const HeadPlan& head);
    void tie(std::size_t, const Impossible&) {}
    void finishHead(int part, const HeadPlan& head);
    void dressNeck();  // of a bead at the eye
    void coats(int part, const HeadPlan& head);
    void lastLooks();
    void sayWhatWaits();

    [[nodiscard]] const SchoolChoices& held() const { return plan_.schools.held; }
    [[nodiscard]] const PartPlan& at(std::size_t part) const { return plan_.parts[part]; }
    [[nodiscard]] const Part& written(std::size_t part) const { return plan_.pattern.parts[part]; }
    template <class Detail>
    [[nodiscard]] const Detail& writtenAs(std::size_t part) const {
        return std::get<Detail>(written(part).detail);
    }
    [[nodiscard]] std::string nameOfPart(std::size_t part) const;  // "the rib", "the second tail"
    [[nodiscard]] std::string pieceOf(std::size_t part) const;     // "the rib, Oval gold"
    [[nodiscard]] bool continues(std::size_t part) const { return written(part).from.has_value(); }
    [[nodiscard]] std::string continued(std::size_t part) const;  // the part that it goes on from: "the tail"
    // Of a two-faced strip, by the face's word; tied in along the shank it is creased once, so the face that will show lies below.
    [[nodiscard]] std::string shownFace(std::size_t part) const;
    [[nodiscard]] std::string faceAgainst(std::size_t part) const;
    [[nodiscard]] std::string faceOut(std::size_t part) const;
    [[nodiscard]] std::string sense(std::size_t part) const;
    [[nodiscard]] bool isMetal(std::size_t part) const;
    [[nodiscard]] bool standsBeforeBody(std::size_t part) const;
    [[nodiscard]] Length eye() const;
    [[nodiscard]] Length rear() const { return plan_.bodyEnd; }

    const Plan& plan_;
    Hand hand_;
    std::vector<TyingStep> steps_;
    std::vector<char> done_;
    std::vector<char> tiedIn_;
    std::vector<std::size_t> ribs_;     // tied in, not wound yet
    std::vector<std::size_t> hackles_;  // the same: palmers and collars tied in before the body
    std::optional<Length> ahead_;       // where work goes on from, ahead of a bead that was pushed back; before what is begun from it
    Length thread_;
    bool threadOn_ = false;
    bool bed_ = false;
    bool head_ = false;
    bool brushed_ = false;
};

}  // namespace machair
