// The cutting plan as an integer programme, solved by GLPK. Feathers here have barbs of one length, so that a free stretch is a bin
// and the programme is a plain one:
//   least  1000 Σ y_f + Σ room_f y_f   (fewest feathers, then least free vane on them)
//   Σ_b x_sb = 1 for each slip,  Σ_s w_s x_sb ≤ length_b y_f for each stretch b of feather f,  x, y ∈ {0, 1}.
#pragma once

#include <glpk.h>

#include <optional>
#include <utility>
#include <vector>

#include "cutting/cutting.h"
#include "cutting/vane.h"

namespace machair::tests {

inline double inMillimetres(Length length) { return length / mm; }

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
            rooms.push_back(inMillimetres(freeVane(feathers[f])));
            for (const auto& [from, to] : freeStretches(feathers[f]))
                bins.push_back({f, inMillimetres(to - from)});
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
                if (!side || slip.barb > feather.barbs.front() || inMillimetres(slip.width) > bins[b].length) continue;
                const int column = addBinary(0.0);
                somewhere.emplace_back(column, 1.0);
                inBin[b].emplace_back(column, inMillimetres(slip.width));
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
        require(ended == 0, "GLPK solves it");
        if (glp_mip_status(problem_) == GLP_NOFEAS) return std::nullopt;
        require(glp_mip_status(problem_) == GLP_OPT, "GLPK proves it");
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

}  // namespace machair::tests
