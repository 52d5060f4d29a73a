// The leader by a general stiff integrator, beside our own step: CVODE's variable-order BDF with Newton and a dense
// matrix (SUNDIALS, Hindmarsh et al. 2005). The forces are those of models.md section 10, written here once more and
// plainly, with links as springs of their own stiffness that can't push. Built where Debian's libsundials-dev is there;
// nothing else of Machair needs it.
#include <benchmark/benchmark.h>
#include <cvode/cvode.h>
#include <nvector/nvector_serial.h>
#include <sunlinsol/sunlinsol_dense.h>
#include <sunmatrix/sunmatrix_dense.h>

#include <cmath>
#include <numbers>

#include "benchmarks/demo_book.h"
#include "leader/chain.h"
#include "leader/drift.h"

namespace machair::benchmarks {

namespace {

constexpr double kSeconds = 0.9;  // of it 0.6 of count: CVODE takes most of a minute
constexpr Length kLink = kDraggingLink;

Rig rig() {
    const Book& book = demoBook();
    return rigOf(weighTeam(book, "west-shore")->flies, measuresOf(book.findTeam("west-shore")->leader));
}
Handling handling() {
    Handling h;
    h.count = 0.6 * second;
    h.retrieveFor = (kSeconds - 0.6) * second;
    return h;
}

// x and z of all nodes but the tip, their velocities, then the flies' attitudes.
class Forces {
  public:
    Forces(const Rig& rig, const TipPath& path) : rig_(rig), chain_(rig, kLink, LeaderStart::straight), path_(path) {}
    [[nodiscard]] std::size_t moving() const { return chain_.nodes().size() - 1; }
    [[nodiscard]] std::size_t unknowns() const { return 4 * moving() + rig_.flies.size(); }

    void start(double* y) const {
        for (std::size_t i = 1; i < chain_.nodes().size(); ++i) {
            y[2 * (i - 1)] = chain_.nodes()[i].place.x;
            y[2 * (i - 1) + 1] = 0.0;
        }
        std::fill(y + 2 * moving(), y + unknowns(), 0.0);
    }
    [[nodiscard]] double depth(const double* y, std::size_t fly) const { return -y[2 * (chain_.nodeOf(fly) - 1) + 1]; }

    void rate(double t, const double* y, double* dy) const {
        const auto& nodes = chain_.nodes();
        const std::size_t n = moving();
        const double d = rig_.leader.diameter / metre, mu = viscosity(rig_.celsius) / pascalSecond;
        const double stiff = 2.5e9 * 0.25 * std::numbers::pi * d * d;
        const auto place = [&](std::size_t i) { return i == 0 ? path_.at(t) : Vec2{y[2 * (i - 1)], y[2 * (i - 1) + 1]}; };
        constexpr double kDifference = 1e-6;
        const auto velocity = [&](std::size_t i) {
            if (i == 0) return (1.0 / kDifference) * (path_.at(t + kDifference) - path_.at(t));
            return Vec2{y[2 * n + 2 * (i - 1)], y[2 * n + 2 * (i - 1) + 1]};
        };
        const auto wet = [&](std::size_t i) { return std::clamp(0.5 - place(i).z / 0.01, 0.0, 1.0); };
        std::vector<Vec2> force(nodes.size());
        std::vector<double> pull(nodes.size(), 0.0);
        for (std::size_t i = 1; i < nodes.size(); ++i) {
            force[i].z += wet(i) * nodes[i].buoyancy - nodes[i].weight;
            const auto p = static_cast<std::size_t>(nodes[i].parent);
            const double own = chain_.strandLength(i);
            const Vec2 span = place(i) - place(p);
            const double length = std::max(span.length(), 1e-9);
            const Vec2 along = (1.0 / length) * span;
            pull[i] = std::max(0.0, stiff * (length - own) / own);
            force[i] = force[i] - pull[i] * along;
            force[p] = force[p] + pull[i] * along;
            for (const std::size_t end : {i, p}) {
                const Vec2 v = velocity(end);
                const double vt = v.dot(along);
                const Vec2 across = v - vt * along;
                const double held = std::max(across.length(), 1e-3);
                const double re = 1000.0 * held * d / mu;
                const double normal = 500.0 * d * (1.0 + 10.0 / std::cbrt(re * re)) * held;
                const double skin = std::numbers::pi * mu * (0.45 + 0.55 * std::sqrt(1000.0 * across.length() * d / mu));
                force[end] = force[end] - wet(end) * 0.5 * own * (normal * across + skin * vt * along);
            }
        }
        for (std::size_t f = 0; f < rig_.flies.size(); ++f) {
            const std::size_t i = chain_.nodeOf(f);
            const double a = y[4 * n + f];
            const Vec2 v = velocity(i);
            const double drag = (1.0 - a) * rig_.flies[f].flat.at(v.length()).perSpeed + a * rig_.flies[f].along.at(v.length()).perSpeed;
            force[i] = force[i] - wet(i) * drag * v;
            dy[4 * n + f] = (pull[i] / (pull[i] + std::max(std::abs(rig_.flies[f].submerged / newton), 10e-6)) - a) / 0.1;
        }
        for (std::size_t i = 1; i < nodes.size(); ++i) {
            const Vec2 v = velocity(i);
            dy[2 * (i - 1)] = v.x;
            dy[2 * (i - 1) + 1] = v.z;
            dy[2 * n + 2 * (i - 1)] = force[i].x / nodes[i].mass;
            dy[2 * n + 2 * (i - 1) + 1] = force[i].z / nodes[i].mass;
        }
    }

  private:
    const Rig rig_;
    Chain chain_;
    TipPath path_;
};

int rate(realtype t, N_Vector y, N_Vector dy, void* forces) {
    static_cast<const Forces*>(forces)->rate(t, N_VGetArrayPointer(y), N_VGetArrayPointer(dy));
    return 0;
}

// The flies' depths at the end, m; and the steps taken. Nothing where CVODE gives up.
struct Integrated {
    std::vector<double> depths;
    long steps = 0;
};
std::optional<Integrated> byCvode(double relative, double absolute) {
    Forces forces(rig(), TipPath(handling()));
    sundials::Context context;
    const auto n = static_cast<sunindextype>(forces.unknowns());
    N_Vector y = N_VNew_Serial(n, context);
    forces.start(N_VGetArrayPointer(y));
    SUNMatrix matrix = SUNDenseMatrix(n, n, context);
    SUNLinearSolver solver = SUNLinSol_Dense(y, matrix, context);
    void* cvode = CVodeCreate(CV_BDF, context);
    CVodeInit(cvode, rate, 0.0, y);
    CVodeSetUserData(cvode, &forces);
    CVodeSStolerances(cvode, relative, absolute);
    CVodeSetLinearSolver(cvode, solver, matrix);
    CVodeSetMaxNumSteps(cvode, 2'000'000);
    CVodeSetErrFile(cvode, nullptr);
    realtype reached = 0.0;
    Integrated result;
    const int flag = CVode(cvode, kSeconds, y, &reached, CV_NORMAL);
    for (std::size_t f = 0; f < 3; ++f)
        result.depths.push_back(forces.depth(N_VGetArrayPointer(y), f));
    CVodeGetNumSteps(cvode, &result.steps);
    CVodeFree(&cvode);
    SUNLinSolFree(solver);
    SUNMatDestroy(matrix);
    N_VDestroy(y);
    return flag < 0 ? std::nullopt : std::optional(result);
}
std::vector<double> byOurs(Time step) {
    DriftOptions options;
    options.link = kLink;
    options.step = step;
    options.keepNodes = false;
    const DriftReport run = runDrift(rig(), handling(), options);
    std::vector<double> depths;
    for (const Position position : kTrio)
        depths.push_back(*run.samples.back().depth[position] / metre);
    return depths;
}

}  // namespace

// What CVODE takes for the same stretch, and how far its flies end from ours, in mm: at our contract's step, and at a
// twentieth of it.
static void driftByCvode(benchmark::State& state) {
    std::optional<Integrated> result;
    for (auto _ : state)
        result = byCvode(1e-4, 1e-7);
    if (!result) return state.SkipWithError("CVODE gave up");
    const auto apart = [&](const std::vector<double>& ours) {
        double most = 0.0;
        for (std::size_t f = 0; f < ours.size(); ++f)
            most = std::max(most, 1000.0 * std::abs(ours[f] - result->depths[f]));
        return most;
    };
    state.counters["steps"] = static_cast<double>(result->steps);
    state.counters["mm from ours at 5 ms"] = apart(byOurs(kContractStep));
    state.counters["at 0.25 ms"] = apart(byOurs(0.05 * kContractStep));
}
BENCHMARK(driftByCvode)->Unit(benchmark::kMillisecond)->Iterations(1);

static void driftByOurStep(benchmark::State& state) {
    for (auto _ : state)
        benchmark::DoNotOptimize(byOurs(kContractStep));
}
BENCHMARK(driftByOurStep)->Unit(benchmark::kMillisecond);

}  // namespace machair::benchmarks
