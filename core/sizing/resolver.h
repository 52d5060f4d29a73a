// Turns lengths and stations as written into millimetres on this hook, in dependency order. Inside sizing only.
#pragma once

#include <optional>
#include <string>
#include <vector>

#include "dressing/pattern.h"
#include "sizing/plan.h"

namespace machair {

// Where a body section runs.
struct Section {
    std::size_t part = 0;
    Length end;
    Length front;
};

class Resolver {
  public:
    // Room for what stands ahead of a body whose front is not written: all of it, and the wing's and cheeks' bindings.
    struct Room {
        Length atEye;  // less what fur gives
        Length bindings;
        std::vector<Length> hackles = {};  // room that each part's turns take, where it is one
    };
    // `leftOut`: the parts that can't be sized; what refers to one of them can't be either.
    Resolver(const Pattern& pattern, const Hook& hook, const Book& book, Place place, Schools schools, Room room,
             std::vector<bool> leftOut = {});

    [[nodiscard]] Length bodyEnd();
    [[nodiscard]] Length bodyFront();           // of the last body section
    [[nodiscard]] Length foremostBody();        // the foremost thorax's front where there is one
    [[nodiscard]] bool frontIsWritten() const;  // or an end or station that the front hangs on
    [[nodiscard]] Section section(std::size_t part);
    [[nodiscard]] Section thorax(std::size_t part);

    // The first part of a kind; nothing where there is none that can be sized.
    [[nodiscard]] std::optional<std::size_t> first(PartKind kind) const;
    [[nodiscard]] bool isLeftOut(std::size_t part) const { return part < leftOut_.size() && leftOut_[part]; }
    // A dubbed thorax with nothing but a change of thread between it and a bead that is pushed back on it; that bead.
    [[nodiscard]] std::optional<std::size_t> beadPropped(std::size_t thorax) const;
    [[nodiscard]] Length beadDiameter(std::size_t bead) const;
    [[nodiscard]] BodyMethod methodOf(std::size_t part) const;  // of a body or thorax
    [[nodiscard]] Material madeOf(std::size_t part) const;      // itself or through `from`; the kind's usual where nothing is written

    // The part's own length: a tail's, a wing's, a hackle's fibre. A fault and 1 mm where it has none.
    [[nodiscard]] Length lengthOf(std::size_t part);

    // A length measured from `origin` on the shank, to a tip along it. `place` is where it is written.
    [[nodiscard]] Length length(const LengthSpec& spec, Length origin, const Place& place);
    // A length that is a size and reaches nowhere (a depth, a width, an overshoot).
    [[nodiscard]] Length size(const LengthSpec& spec, const Place& place);
    [[nodiscard]] Length station(const StationSpec& spec, const Place& place);

    // Where the tips of a reach are aimed in the profile; nothing for other lengths.
    [[nodiscard]] std::optional<Point2> target(const LengthSpec& spec, const Place& place);

    [[nodiscard]] Length tailTipX();
    [[nodiscard]] Length beadAtEye() const;
    [[nodiscard]] std::optional<Length> beadDiameter() const;
    [[nodiscard]] Length tieIn(std::size_t part);  // station where a part is tied in
    void placeFrontPart(std::size_t part, Length station) { tieIns_[part] = station; }

    [[nodiscard]] const Faults& faults() const { return faults_; }
    void fault(Place place, std::string what, std::string remedy = {});
    [[nodiscard]] const Place& flyPlace() const { return place_; }
    [[nodiscard]] Place partPlace(std::size_t part) const { return place_.key("parts").at(part); }

  private:
    enum class State { untouched, open, done };
    struct Node {
        State state = State::untouched;
        Length value = 1.0 * mm;
    };
    template <class Compute>
    Length once(Node& node, const std::string& name, const Place& place, Compute compute);
    [[nodiscard]] Length fibreLength(const LengthSpec& spec, std::size_t part);
    [[nodiscard]] Length yardstick(const Ratio& ratio, const Place& place);
    [[nodiscard]] Length reachX(const Reach& reach, const Place& place);
    [[nodiscard]] std::vector<std::size_t> bodies() const;
    [[nodiscard]] std::vector<std::size_t> thoraxes() const;
    [[nodiscard]] std::optional<std::size_t> partMeant(const PartRef& ref, const Place& place);
    [[nodiscard]] bool standsFree(std::size_t thorax) const;  // no station of its own
    [[nodiscard]] Length thoraxLength(std::size_t part);
    [[nodiscard]] Length ownRoom();                                // F of models.md section 4: the front that what stands ahead asks for
    [[nodiscard]] Length hacklesBehind(std::size_t thorax) const;  // room of those wound between the body and a thorax that stands free
    [[nodiscard]] std::vector<Section> placeThoraxes();
    [[nodiscard]] std::optional<Length> tippetSpacing() const;

    const Pattern& pattern_;
    const Hook& hook_;
    const Book& book_;
    Place place_;
    Schools schools_;
    Room room_;
    Node bodyEnd_;
    Node bodyFront_;
    Node foremost_;
    std::vector<Node> lengths_;
    std::vector<std::optional<Length>> tieIns_;
    std::vector<bool> leftOut_;
    std::optional<std::vector<Section>> thoraxes_;
    std::vector<std::string> open_;  // names of what is being worked out, for a circle's fault
    Faults faults_;
};

}  // namespace machair
