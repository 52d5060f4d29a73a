// The leader as a tree of nodes and links, and one implicit Euler step of it: models.md section 10.
//
// Unknowns are the nodes' velocities and the links' tensions at the end of the step. Newton's linear system has one
// 3x3 block a node (v_x, v_z, T of the link to its parent) and is eliminated from the leaves to the tip and back, O(n).
// Held by the limits of tests/core/leader_test.cpp: free sink, settled tow, energy, hanging straight.
//
// SI inside: metres, seconds, kilograms, newtons.
#pragma once

#include <vector>

#include "leader/rig.h"

namespace machair {

struct Vec2 {
    double x = 0.0;
    double z = 0.0;
    friend Vec2 operator+(Vec2 a, Vec2 b) { return {a.x + b.x, a.z + b.z}; }
    friend Vec2 operator-(Vec2 a, Vec2 b) { return {a.x - b.x, a.z - b.z}; }
    friend Vec2 operator*(double k, Vec2 a) { return {k * a.x, k * a.z}; }
    [[nodiscard]] double dot(Vec2 o) const { return x * o.x + z * o.z; }
    [[nodiscard]] double length() const { return std::sqrt(x * x + z * z); }
};

enum class LeaderStart { straight, heap };

struct WaveSurface {         // a wave on still water; no wave where amplitude is 0
    double amplitude = 0.0;  // half its height
    double wavenumber = 0.0;
    double frequency = 0.0;  // rad/s
    double phase = 0.0;
    [[nodiscard]] double height(double x, double t) const;
    [[nodiscard]] Vec2 velocity(Vec2 at, double t) const;
};

class Chain {
  public:
    Chain(const Rig& rig, Length longestLink, LeaderStart start, const WaveSurface& surface = {});

    struct Node {
        Vec2 place;
        Vec2 velocity;
        int parent = -1;
        double mass = 0.0;      // with what it carries along
        double weight = 0.0;    // in air, N
        double buoyancy = 0.0;  // N when wholly under
        int fly = -1;           // index into the rig's flies
        bool knot = false;      // a dropper leaves here
    };
    [[nodiscard]] const std::vector<Node>& nodes() const { return nodes_; }
    [[nodiscard]] std::size_t nodeOf(std::size_t fly) const { return flyNode_[fly]; }
    [[nodiscard]] double tension(std::size_t node) const { return links_[node].tension; }
    [[nodiscard]] double strandLength(std::size_t node) const { return links_[node].length; }
    [[nodiscard]] double attitude(std::size_t fly) const { return attitude_[fly]; }
    // Kinetic, potential and stretch, J; for the test that it never rises while the tip is still.
    [[nodiscard]] double energy() const;

    struct Step {
        bool converged = false;
        int iterations = 0;
    };
    // Moves everything on by `dt`, the tip to `tip`. A step that doesn't converge leaves the chain as it was.
    Step advance(double dt, Vec2 tip, double now);
    // The same, taken as halves (up to 6 times) where a whole one doesn't converge. `failed` counts what never did.
    struct Count {
        std::uint64_t steps = 0, iterations = 0, halved = 0, failed = 0;
    };
    void advanceSurely(double dt, Vec2 tipBefore, Vec2 tip, double now, Count& count, int halvings = 6);

  private:
    struct Link {  // to the parent
        double length = 0.0;
        double compliance = 0.0;
        double tension = 0.0;
        Vec2 direction{1.0, 0.0};       // at the start of the step, from the parent
        double tangential[2] = {0, 0};  // drag per speed along it, at the child's and the parent's end
    };
    struct Row {               // a node's equations in the Newton system
        double axx, axz, azz;  // momentum by its own velocity
        double rx, rz;         // residuals
        Vec2 n;                // of its link, at the end of the step
        double pull;           // dt T / l
        double rc;             // the link's residual
        bool taut;
        double bxx, bxz, bzz;  // inverse of the momentum block, once its children are in it
        double s;              // Schur complement of the tension
        double looseness;      // of a slack link: how far its ends may still part, m
        double toFilmEdge;     // how far up or down the node's share under water bends, m
        double bend;           // half of the drag's second derivative by speed, at most, N per (m/s)^2
    };
    std::size_t add(int parent, double length, Vec2 place);
    [[nodiscard]] Vec2 laidOn(Vec2 from, double apart) const;
    void addStrand(std::size_t& end, double length, double longest, std::size_t least, double turn);
    void beginStep(double now);
    void assemble(double dt, double rho);
    void addDrag(std::size_t child, std::size_t parent, const Link& link);
    void addFlyDrag(std::size_t fly);
    // One of Newton's corrections: from the leaves to the tip, then from the tip (which moves as it is led) back out.
    // Whether what the correction leaves (its second order, bounded term by term) is within the tolerances, so that
    // nothing need be worked out again to see that it converged.
    void eliminate(double dt);
    [[nodiscard]] bool correct(double dt);
    [[nodiscard]] double worstForce() const;

    const Rig rig_;
    WaveSurface surface_;
    double diameter_;
    double mu_;
    double modulusArea_;
    double dragScale_;  // 1/2 rho d
    double thinScale_;  // 10 (d/nu)^(-2/3)
    std::vector<Node> nodes_;
    std::vector<Link> links_;  // by child node; [0] unused
    std::vector<std::size_t> flyNode_;
    std::vector<double> attitude_;
    // Of the step under way.
    std::vector<Vec2> start_;
    std::vector<Vec2> startVelocity_;
    std::vector<double> startTension_;
    std::vector<Vec2> acceleration_;  // of the last step
    std::vector<double> tightening_;
    std::vector<double> wet_;  // share under the surface at its start
    std::vector<double> surfaceAt_;
    std::vector<Vec2> current_;  // of the water
    std::vector<Row> rows_;
    Vec2 tip_;
};

}  // namespace machair
