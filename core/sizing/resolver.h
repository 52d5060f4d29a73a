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
        Length atEye;
        Length bindings;
    };
    Resolver(const Pattern& pattern, const Hook& hook, const Book& book, Place place, Schools schools, Room room);

    [[nodiscard]] Length bodyEnd();
    [[nodiscard]] Length bodyFront();     // of the last body section
    [[nodiscard]] Length foremostBody();  // the thorax's front where there is one
    [[nodiscard]] bool frontIsWritten() const;
    [[nodiscard]] Section section(std::size_t part);
    [[nodiscard]] Section thorax(std::size_t part);

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
    std::vector<std::string> open_;  // names of what is being worked out, for a circle's fault
    Faults faults_;
};

}  // namespace machair
