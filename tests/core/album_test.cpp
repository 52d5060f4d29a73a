// The album: what the plan says of ordinary dressings, what it is silent about, and what must hold of any fly.
#include <catch2/catch.hpp>
#include <fstream>
#include <map>
#include <regex>
#include <sstream>

#include "tests/album.h"

using namespace machair;
using namespace machair::tests;
using Catch::Matchers::WithinAbs;
using Catch::Matchers::WithinRel;

namespace {

const Plan& planned(const std::string& id) {
    static const Book book = albumBook();
    static std::map<std::string, Plan> plans;
    const auto known = plans.find(id);
    return known != plans.end() ? known->second : plans.emplace(id, planPattern(book, DressingId(id)).value()).first->second;
}

template <class Detail>
const Detail& partOf(const std::string& id, PartKind kind, std::size_t which = 0) {
    for (const PartPlan& part : planned(id).parts)
        if (part.kind == kind && which-- == 0) return std::get<Detail>(part.detail);
    throw std::runtime_error(id + " has no such part");
}

}  // namespace

TEST_CASE("every dressing of the album can be tied as it is written") {
    const Book book = albumBook();
    REQUIRE(book.patterns.size() == 34);
    for (const Pattern& pattern : book.patterns) {
        INFO(pattern.id);
        const auto plan = planWhatCan(book, pattern.id);
        REQUIRE(plan);
        CHECK(plan->faults.empty());
    }
}

TEST_CASE("the album raises its three warnings and no more") {
    const Book book = albumBook();
    std::map<std::string, std::string> warned;
    for (const Pattern& pattern : book.patterns) {
        const Plan plan = planPattern(book, pattern.id).value();
        for (const Warning& w : plan.warnings)
            if (w.severity == Severity::warning) warned[pattern.id] += std::string(nameOf(w.concern)) + " ";
    }
    CHECK(warned == std::map<std::string, std::string>{
                        {"beacon-apprentice", "brittle_body "}, {"rust-corsair", "too_long "}, {"eel-porter", "fixed_stop "}});
}

TEST_CASE("what is said of the album on sizes 6 to 16 is what was looked at") {
    std::ifstream file(MACHAIR_ALBUM_WORDS);
    std::stringstream kept;
    kept << file.rdbuf();
    std::stringstream now(wordsOf(albumBook()));
    std::string was, is;
    int line = 0;
    while (std::getline(kept, was)) {
        ++line;
        INFO("line " << line << " of album-words.txt; tools/album --words says it anew");
        REQUIRE(std::getline(now, is));
        REQUIRE(is == was);
    }
    CHECK(line > 50);
    CHECK_FALSE(std::getline(now, is));
}

TEST_CASE("no text of a plan holds two equal numbers") {
    std::stringstream words(wordsOf(albumBook()));
    const std::regex number(R"(\d+\.\d+)");
    std::string line;
    int looked = 0;
    while (std::getline(words, line)) {
        const std::string what = line.substr(line.find(": ") + 2, line.find("; ") - line.find(": ") - 2);
        std::vector<std::string> numbers(std::sregex_token_iterator(what.begin(), what.end(), number), {});
        std::ranges::sort(numbers);
        INFO(line);
        CHECK(std::ranges::adjacent_find(numbers) == numbers.end());
        ++looked;
    }
    CHECK(looked > 50);
}

TEST_CASE("a finer thread never raises a wing, and the lift hardly depends on the hook's size") {
    Book book = albumBook();
    int judged = 0;
    for (const std::string id : {"sedge-curate", "plover-notary", "tarn-chandler", "loam-chorister", "kestrel-almoner", "otter-verger"}) {
        double least = 90.0, most = 0.0;
        for (int size = 8; size <= 16; ++size) {
            const Plan plan = planOnSize(book, DressingId(id), size).value();
            Book finer = book;
            for (Material& m : finer.materials)
                if (auto* thread = std::get_if<ThreadTraits>(&m.traits)) {
                    thread->denier = 30.0;
                    thread->dtex.reset();
                }
            const Plan fine = planOnSize(finer, DressingId(id), size).value();
            for (std::size_t i = 0; i < plan.parts.size(); ++i) {
                const auto* wing = std::get_if<WingPlan>(&plan.parts[i].detail);
                if (!wing || wing->seat == Seat::stated) continue;
                INFO(id << " " << size);
                const double lift = wing->lift.inDegrees();
                CHECK(std::get<WingPlan>(fine.parts[i].detail).lift.inDegrees() <= lift + 1.2);
                least = std::min(least, lift);
                most = std::max(most, lift);
                ++judged;
            }
        }
        INFO(id);
        CHECK(most - least < 6.0);
    }
    CHECK(judged == 54);
}

TEST_CASE("a wing over a collar rises by half its step over its run") {
    // Plover Notary: 2.5 turns of hen, d 0.30 · 0.5124/0.60 by the fine wire of a 13 scaled on its nominal one; g_w = 0.15 G.
    const auto& wing = partOf<WingPlan>("plover-notary", PartKind::wing);
    const auto& hackle = partOf<HacklePlan>("plover-notary", PartKind::collar);
    const double d = hackle.feather.stem / mm, g = 0.15 * (planned("plover-notary").hook.gape() / mm);
    REQUIRE(wing.supports.size() == 2);
    const WingSupport* collar = nullptr;
    for (const WingSupport& support : wing.supports)
        if (planned("plover-notary").parts[support.part].kind == PartKind::collar) collar = &support;
    REQUIRE(collar);
    CHECK_THAT(collar->run / mm, WithinAbs(g + 0.5 * 1.15 * 2.5 * d, 1e-9));
    CHECK(collar->step / mm <= d * (1.0 - 1.0 / 7.5) + 1e-9);
    CHECK(wing.lift.inDegrees() > 10.9);
    CHECK(wing.lift.inDegrees() < 12.4);
    CHECK(wing.rampTurns == static_cast<int>(std::ceil(1.5 * wing.rampLayers)));
}

TEST_CASE("the album's figures, worked out a second time") {
    struct Row {
        const char* fly;
        double is, low, high;
    };
    const auto tail = [](const char* id) { return mmOf(partOf<TailPlan>(id, PartKind::tail).length); };
    const auto collar = [](const char* id) { return mmOf(partOf<HacklePlan>(id, PartKind::collar).fibre); };
    const auto mass = [](const char* id) { return partOf<BodyPlan>(id, PartKind::body).mass / mg; };
    const std::vector<Row> rows = {{"gorse-bailiff", tail("gorse-bailiff"), 5.8, 6.1},
                                   {"gorse-bailiff", collar("gorse-bailiff"), 7.5, 7.9},
                                   {"gorse-bailiff", mass("gorse-bailiff"), 2.0, 2.9},
                                   {"otter-verger", tail("otter-verger"), 7.1, 7.3},
                                   {"sedge-curate", collar("sedge-curate"), 6.6, 6.9},
                                   {"sedge-curate", mass("sedge-curate"), 0.5, 0.8},
                                   {"tarn-chandler", mass("tarn-chandler"), 1.1, 1.9},
                                   {"loam-chorister", collar("loam-chorister"), 4.5, 4.8},
                                   {"marl-duchess", tail("marl-duchess"), 29.8, 30.2},
                                   {"lichen-usher", collar("lichen-usher"), 7.5, 7.7},
                                   {"moth-tollkeeper", collar("moth-tollkeeper"), 15.9, 16.1},
                                   {"rust-corsair", tail("rust-corsair"), 27.5, 27.9},
                                   {"bulb-sacristan", collar("bulb-sacristan"), 4.0, 4.4},
                                   {"drift-vicar", partOf<HacklePlan>("drift-vicar", PartKind::collar, 1).fibre / mm, 8.0, 8.5},
                                   {"clover-friar", *partOf<BodyPlan>("clover-friar", PartKind::body).length / mm, 44.0, 53.0},
                                   {"cable-warden", *partOf<BodyPlan>("cable-warden", PartKind::body).length / mm, 37.0, 41.0},
                                   {"bottle-pilgrim", *partOf<BodyPlan>("bottle-pilgrim", PartKind::body).turns, 8.0, 13.0},
                                   {"stilt-bosun", *partOf<BodyPlan>("stilt-bosun", PartKind::body).rope / mm, 85.0, 96.0},
                                   {"gannet-hermit", partOf<WingPlan>("gannet-hermit", PartKind::wing, 1).depth / mm, 3.1, 4.6},
                                   {"marl-duchess", partOf<HacklePlan>("marl-duchess", PartKind::collar).turns, 6.5, 7.0}};
    for (const Row& row : rows) {
        INFO(row.fly << " " << row.low << " to " << row.high);
        CHECK(row.is >= row.low);
        CHECK(row.is <= row.high);
    }
}

TEST_CASE("ball, bead and hackle stand in a row that touches, each ahead of what was tied before") {
    for (const std::string id : {"drift-vicar", "bulb-sacristan"}) {
        INFO(id);
        const Plan& plan = planned(id);
        const PartPlan *ball = nullptr, *bead = nullptr, *hackle = nullptr;
        for (const PartPlan& part : plan.parts) {
            if (part.kind == PartKind::thorax) ball = &part;
            if (part.kind == PartKind::bead) bead = &part;
            if (part.kind == PartKind::collar && bead) hackle = &part;
        }
        REQUIRE(ball);
        REQUIRE(bead);
        REQUIRE(hackle);
        const auto& body = std::get<BodyPlan>(ball->detail);
        const auto& metal = std::get<BeadPlan>(bead->detail);
        CHECK_THAT(mmOf(body.end - body.front), WithinAbs(0.6 * mmOf(metal.diameter), 1e-9));
        CHECK_THAT(mmOf(bead->station + metal.diameter), WithinAbs(mmOf(body.front), 1e-9));
        CHECK_THAT(mmOf(hackle->station), WithinAbs(mmOf(bead->station), 1e-9));
        CHECK(metal.ball);
        CHECK(hackle->station > 0.0 * mm);
    }
}

TEST_CASE("a cloaked fly takes the sum of its slips, and a longer cloak is no deeper") {
    Book book = albumBook();
    const Plan plan = planPattern(book, "gannet-hermit").value();
    const auto need = std::ranges::find(plan.needs, std::string("flank-gannet"), &Need::material);
    REQUIRE(need != plan.needs.end());
    CHECK_THAT(mmOf(*need->slip), WithinAbs(48.0, 1e-9));
    Pattern& pattern = *book.findPattern("gannet-hermit");
    for (Part& part : pattern.parts)
        if (auto* wing = std::get_if<WingPart>(&part.detail)) wing->length = inMm(25.0 * mm);
    const Plan longer = planPattern(book, "gannet-hermit").value();
    for (std::size_t i = 0; i < plan.parts.size(); ++i)
        if (const auto* wing = std::get_if<WingPlan>(&plan.parts[i].detail))
            CHECK_THAT(mmOf(std::get<WingPlan>(longer.parts[i].detail).depth), WithinAbs(mmOf(wing->depth), 1e-9));
}

TEST_CASE("one part never refuses a fly") {
    Book book = albumBook();
    Pattern& pattern = *book.findPattern("sedge-curate");
    SECTION("a material that isn't there") {
        pattern.parts[3].material = "no-such-flank";
        const Plan plan = planWhatCan(book, "sedge-curate").value();
        REQUIRE(plan.faults.size() == 1);
        CHECK(plan.faults.front().place.text().ends_with("parts[3].material"));
        CHECK(std::holds_alternative<Impossible>(plan.parts[3].detail));
        CHECK(std::get<HacklePlan>(plan.parts[4].detail).turns == 2.5);
    }
    SECTION("what hangs on it is left out with it") {
        std::get<TailPart>(pattern.parts[0].detail).length = {Bars{2}, {}};
        std::get<WingPart>(pattern.parts[3].detail).length = {Reach{PartRef{PartKind::tail}, 0.5, {}, {}}, {}};
        const Plan plan = planWhatCan(book, "sedge-curate").value();
        CHECK(std::holds_alternative<Impossible>(plan.parts[0].detail));
        CHECK(std::holds_alternative<Impossible>(plan.parts[3].detail));
        CHECK(plan.faults.size() == 2);
        CHECK_FALSE(planPattern(book, "sedge-curate"));
    }
    SECTION("a body whose end lies ahead of its front") {
        auto& body = std::get<BodyPart>(pattern.parts[2].detail);
        body.front = StationSpec{Landmark::bend, {}, {}, {}};
        const Plan plan = planWhatCan(book, "sedge-curate").value();
        CHECK(std::holds_alternative<Impossible>(plan.parts[2].detail));
        CHECK(std::get<TailPlan>(plan.parts[0].detail).length > 0.0 * mm);
    }
    SECTION("without a thread nothing can be") {
        pattern.thread = "gone";
        CHECK_FALSE(planWhatCan(book, "sedge-curate"));
    }
}

TEST_CASE("counts step with the hook, and doubling the hook scales what is a ratio") {
    const Book book = albumBook();
    const auto fibres = [&](const char* id, int size) {
        return std::get<TailPlan>(planOnSize(book, id, size).value().parts[0].detail).fibres;
    };
    CHECK(fibres("gorse-bailiff", 9) == 12.0);                                               // its own size: as written
    CHECK(fibres("gorse-bailiff", 15) == std::floor(12.0 * std::pow(0.855, 3.0) + 0.5));     // 12 · G0(15)/G0(9)
    CHECK(fibres("harbour-thatcher", 12) == std::floor(20.0 * std::pow(0.855, 4.0) + 0.5));  // hair: with the square
    CHECK(planOnSize(book, "gorse-bailiff", 15).value().hook.size() == 15);
}

TEST_CASE("a rib locks a palmer when it crosses its open turns") {
    const auto& rib = partOf<RibPlan>("gorse-bailiff", PartKind::rib);
    CHECK(rib.crossesPalmer == 10.0);  // 5 turns one way over 5 the other
    Book book = albumBook();
    std::get<RibPart>(book.findPattern("gorse-bailiff")->parts[1].detail).direction = Winding::with;
    const Plan with = planPattern(book, "gorse-bailiff").value();
    CHECK(std::get<RibPlan>(with.parts[1].detail).crossesPalmer == 0.0);
    CHECK(std::ranges::any_of(with.warnings,
                              [](const Warning& w) { return w.concern == Concern::ribWithPalmer && w.severity == Severity::note; }));
}
