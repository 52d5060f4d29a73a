// The demo book and its fullest fly, for every benchmark.
#pragma once

#include <fstream>
#include <iterator>
#include <string>

#include "sizing/plan.h"
#include "store/bench_file.h"

namespace machair::benchmarks {

inline constexpr const char* kFullestFly = "kelp-lantern";

inline std::string demoText() {
    std::ifstream in(MACHAIR_DEMO, std::ios::binary);
    return {std::istreambuf_iterator<char>(in), {}};
}

inline const Book& demoBook() {
    static const Book book = store::readBench(demoText()).value().book;
    return book;
}

inline Plan demoPlan(const char* pattern) { return planPattern(demoBook(), pattern).value(); }

}  // namespace machair::benchmarks
