// The cutting plan against an integer programme of the same question, solved by GLPK: larger sets than everything can be
// tried on. Feathers here have barbs of one length, so that a free stretch is a bin and the programme is a plain one:
//   least  1000 Σ y_f + Σ room_f y_f   (fewest feathers, then least free vane on them)
//   Σ_b x_sb = 1 for each slip,  Σ_s w_s x_sb ≤ length_b y_f for each stretch b of feather f,  x, y ∈ {0, 1}.
#include <glpk.h>

#include <catch2/catch.hpp>
#include <random>

#include "cutting/cutting.h"
#include "cutting/vane.h"
#include "tests/feathers.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;

namespace {

struct Optimum {
    int feathers = 0;
    double room = 0.0;  // mm
};

class Programme {
  public:
    Programme(const std::vector<VaneFeather>& feathers, const std::vector<SlipWanted>& slips) : problem_(glp_create_prob()) {
        glp_set_obj_dir(problem_, GLP_MIN);
        struct Bin {
            std::size_t feather;
            double length;
        };
        std::vector<Bin> bins;
        std::vector<double> rooms;
        for (std::size_t f = 0; f < feathers.size(); ++f) {
            rooms.push_back(mmOf(freeVane(feathers[f])));
            for (const auto& [from, to] : freeStretches(feathers[f]))
                bins.push_back({f, mmOf(to - from)});
        }
        constexpr double kFeather = 1000.0;
        std::vector<int> used;
        for (const double room : rooms)
            used.push_back(addBinary(kFeather + room));
        std::vector<std::vector<std::pair<int, double>>> inBin(bins.size());
        for (const SlipWanted& slip : slips) {
            std::vector<std::pair<int, double>> somewhere;
            for (std::size_t b = 0; b < bins.size(); ++b) {
                const VaneFeather& feather = feathers[bins[b].feather];
                const bool side = slip.side == SlipSide::any || (slip.side == SlipSide::left) == (feather.side == VaneSide::left);
                if (!side || slip.barb > feather.barbs.front() || mmOf(slip.width) > bins[b].length) continue;
                const int column = addBinary(0.0);
                somewhere.emplace_back(column, 1.0);
                inBin[b].emplace_back(column, mmOf(slip.width));
            }
            addRow(somewhere, GLP_FX, 1.0);
        }
        for (std::size_t b = 0; b < bins.size(); ++b) {
            inBin[b].emplace_back(used[bins[b].feather], -bins[b].length);
            addRow(inBin[b], GLP_UP, 0.0);
        }
    }
    ~Programme() { glp_delete_prob(problem_); }
    Programme(const Programme&) = delete;
    Programme& operator=(const Programme&) = delete;

    // Nothing where not all slips can be cut.
    std::optional<Optimum> solve() {
        glp_term_out(GLP_OFF);
        glp_iocp how;
        glp_init_iocp(&how);
        how.presolve = GLP_ON;
        how.gmi_cuts = how.mir_cuts = how.cov_cuts = GLP_ON;
        constexpr int kMost = 60'000;  // ms; none of these takes a tenth of it
        how.tm_lim = kMost;
        const int ended = glp_intopt(problem_, &how);
        if (ended == GLP_ENOPFS || ended == GLP_ENODFS) return std::nullopt;
        REQUIRE(ended == 0);
        if (glp_mip_status(problem_) == GLP_NOFEAS) return std::nullopt;
        REQUIRE(glp_mip_status(problem_) == GLP_OPT);
        const double value = glp_mip_obj_val(problem_);
        const int feathers = static_cast<int>(value / 1000.0);
        return Optimum{feathers, value - 1000.0 * feathers};
    }

  private:
    int addBinary(double cost) {
        const int column = glp_add_cols(problem_, 1);
        glp_set_col_kind(problem_, column, GLP_BV);
        glp_set_obj_coef(problem_, column, cost);
        return column;
    }
    void addRow(const std::vector<std::pair<int, double>>& terms, int kind, double bound) {
        const int row = glp_add_rows(problem_, 1);
        glp_set_row_bnds(problem_, row, kind, bound, bound);
        std::vector<int> columns{0};
        std::vector<double> values{0.0};
        for (const auto& [column, value] : terms) {
            columns.push_back(column);
            values.push_back(value);
        }
        glp_set_mat_row(problem_, row, static_cast<int>(terms.size()), columns.data(), values.data());
    }
    glp_prob* problem_;
};

}  // namespace

TEST_CASE("the plan is as good as an integer programme's, on sets too large to try everything") {
    constexpr unsigned kSeed = 20261126;
    std::mt19937 random(kSeed);
    const auto whole = [&](int low, int high) { return std::uniform_int_distribution<int>(low, high)(random); };
    int cut = 0, refused = 0;
    for (int round = 0; round < 40; ++round) {
        CAPTURE(kSeed, round);
        std::vector<VaneFeather> feathers;
        for (int f = 0, n = whole(3, 7); f < n; ++f) {
            const Length barb = whole(12, 20) * mm;
            feathers.push_back(vaneFeather("f" + std::to_string(f), "m", whole(0, 1) ? VaneSide::left : VaneSide::right, whole(30, 60) * mm,
                                           {barb, barb, barb}));
            if (whole(0, 1)) feathers.back().taken = {{12.0 * mm, whole(14, 20) * mm}};
        }
        std::vector<SlipWanted> slips;
        for (int s = 0, n = whole(8, 18); s < n; ++s)
            slips.push_back({"s" + std::to_string(s),
                             "m",
                             whole(3, 11) * mm,
                             whole(8, 15) * mm,
                             whole(0, 3) ? SlipSide::any : static_cast<SlipSide>(whole(0, 2)),
                             {},
                             {}});
        const auto optimum = Programme(feathers, slips).solve();
        const CuttingPlan plan = planCuts(feathers, slips);
        REQUIRE(plan.uncut.empty() == optimum.has_value());
        if (!optimum) {
            ++refused;
            continue;
        }
        ++cut;
        CHECK(plan.optimal);
        CHECK(plan.feathersUsed() == optimum->feathers);
        double room = 0.0;
        for (const FeatherCuts& cuts : plan.feathers)
            room += mmOf(freeVane(*std::ranges::find(feathers, cuts.feather, &VaneFeather::id)));
        CHECK(room == Approx(optimum->room).margin(1e-6));
    }
    CHECK(cut > 15);
    CHECK(refused > 0);
}
