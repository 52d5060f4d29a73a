// How long a fly lasts: what protects what, and what gives way first. Ten, less each weakness that it has and has not cured;
// nine and over hard-wearing, seven sound, five a few fish, below that tender. Rules of thumb.
#pragma once

#include <string>
#include <vector>

#include "sizing/plan.h"

namespace machair {

struct Weakness {
    std::size_t part = 0;
    std::string words;  // what gives way
    double off = 0.0;   // the score
    std::string cure;   // that buys most; empty where there is none
    double buys = 0.0;
};
struct Durability {
    double score = 10.0;                             // 0 … 10
    std::vector<std::string> protects;               // what protects what
    std::vector<Weakness> weak;                      // the greatest first
    [[nodiscard]] const Weakness* cheapest() const;  // whose cure buys most; nothing where none has one
};
[[nodiscard]] Durability durabilityOf(const Plan& plan);
[[nodiscard]] std::string sayDurability(double score);

}  // namespace machair
