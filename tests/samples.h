// Hooks, materials and dressings that tests are made of. The size 10 here is nominal, so that numbers can be worked by
// hand: shank 11.7, gape 5.5, wire 0.60.
#pragma once

#include <filesystem>
#include <fstream>
#include <iterator>
#include <random>
#include <string>

#include "sizing/plan.h"
#include "store/bench_file.h"

namespace machair::tests {

// Of a body of thread alone on the hook below: how thick, and how long between thorax and bend (mm).
inline constexpr double kBed = 0.698294;
inline constexpr double kBodyLength = 9.28 - 2.574;

template <class Detail>
const Detail& detail(const Plan& plan, std::size_t i) {
    return std::get<Detail>(plan.parts[i].detail);
}

inline HookSpec hookSpec(int size = 10, HookFamily family = HookFamily::sproat) {
    HookSpec spec;
    spec.id = "hook";
    spec.size = size;
    spec.family = family;
    return spec;
}

inline Hook hookOf(int size = 10, HookFamily family = HookFamily::sproat) {
    return makeHook(hookSpec(size, family), Place("hooks[0]")).value();
}

template <class Traits>
Material material(std::string id, MaterialKind kind, Traits traits) {
    Material m;
    m.id = MaterialId(std::move(id));
    m.kind = kind;
    m.traits = std::move(traits);
    return m;
}

inline Part part(PartKind kind, PartDetail detail, std::optional<MaterialId> made = std::nullopt) {
    Part p;
    p.kind = kind;
    p.detail = std::move(detail);
    p.material = std::move(made);
    return p;
}

// A book with one hook, a 72 denier flat polyester thread and the usual materials; tests add a dressing.
inline Book bench(HookSpec hook = hookSpec()) {
    Book book;
    book.hooks = {std::move(hook)};
    ThreadTraits thread;
    thread.denier = 72.0;
    thread.fibre = ThreadFibre::polyester;
    thread.lay = ThreadLay::flat;
    WireTraits wire;
    wire.diameter = 0.20 * mm;
    HackleTraits hen;
    hen.bird = Bird::hen;
    HackleTraits saddle;
    saddle.bird = Bird::cockSaddle;
    book.materials = {material("thread", MaterialKind::thread, thread),         material("wire", MaterialKind::wire, wire),
                      material("seal", MaterialKind::dubbing, DubbingTraits{}), material("hen", MaterialKind::hackle, hen),
                      material("saddle", MaterialKind::hackle, saddle),         material("flank", MaterialKind::flank, VaneTraits{}),
                      material("tippet", MaterialKind::tippet, TippetTraits{})};
    return book;
}

inline Pattern dressing(std::vector<Part> parts) {
    Pattern pattern;
    pattern.id = "fly";
    pattern.hook = "hook";
    pattern.thread = "thread";
    pattern.parts = std::move(parts);
    return pattern;
}

inline Result<Plan> planOf(std::vector<Part> parts, HookSpec hook = hookSpec()) {
    Book book = bench(std::move(hook));
    book.patterns = {dressing(std::move(parts))};
    return planPattern(book, "fly");
}

inline std::string contentOf(const std::filesystem::path& path) {
    std::ifstream in(path, std::ios::binary);
    return {std::istreambuf_iterator<char>(in), {}};
}
inline std::string demoText() { return contentOf(MACHAIR_DEMO); }
inline Book demoBook() { return store::readBench(demoText()).value().book; }

inline double mmOf(Length l) { return l / mm; }

}  // namespace machair::tests
