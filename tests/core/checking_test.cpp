// What is measured on a tied fly, the verdicts, pairs out of a heap, and the eye trainer.
#include "checking/checking.h"

#include <algorithm>
#include <catch2/catch.hpp>
#include <numeric>

#include "checking/eye_trainer.h"
#include "hand/hand.h"
#include "tests/samples.h"
#include "units/random.h"

using namespace machair;
using namespace machair::tests;

namespace {

// The least sum over every way to pair a heap, by trying all.
double leastSum(std::vector<double> heap) {
    if (heap.size() < 2) return 0.0;
    double best = 1e300;
    if (heap.size() % 2 == 1) {
        for (std::size_t i = 0; i < heap.size(); ++i) {
            std::vector<double> rest = heap;
            rest.erase(rest.begin() + static_cast<std::ptrdiff_t>(i));
            best = std::min(best, leastSum(rest));
        }
        return best;
    }
    for (std::size_t i = 1; i < heap.size(); ++i) {
        std::vector<double> rest;
        for (std::size_t k = 1; k < heap.size(); ++k)
            if (k != i) rest.push_back(heap[k]);
        best = std::min(best, std::abs(heap[0] - heap[i]) + leastSum(rest));
    }
    return best;
}
double leastSum(std::vector<double> lefts, std::vector<double> rights) {
    if (lefts.size() > rights.size()) std::swap(lefts, rights);
    std::ranges::sort(rights);
    double best = 1e300;
    do {
        double sum = 0.0;
        for (std::size_t i = 0; i < lefts.size(); ++i)
            sum += std::abs(lefts[i] - rights[i]);
        best = std::min(best, sum);
    } while (std::ranges::next_permutation(rights).found);
    return best;
}
std::vector<double> someLengths(Random& random, std::size_t n) {
    std::vector<double> list(n);
    for (double& l : list)
        l = random.uniform(8.0, 14.0);
    return list;
}
std::vector<Length> lengthsOf(const std::vector<double>& list) {
    std::vector<Length> lengths;
    for (const double l : list)
        lengths.push_back(l * mm);
    return lengths;
}

}  // namespace

TEST_CASE("a heap is paired as well as trying every pairing does") {
    Random random(20261125);
    for (int round = 0; round < 60; ++round) {
        const auto heap = someLengths(random, 1 + random.next() % 9);
        const Pairing pairing = bestPairs(lengthsOf(heap));
        CHECK(pairing.pairs.size() == heap.size() / 2);
        CHECK(pairing.left.has_value() == (heap.size() % 2 == 1));
        CHECK(std::abs(mmOf(pairing.sum) - leastSum(heap)) < 1e-9);
    }
}

TEST_CASE("lefts and rights are paired as well as trying every assignment does") {
    Random random(42);
    for (int round = 0; round < 60; ++round) {
        const auto lefts = someLengths(random, 1 + random.next() % 5), rights = someLengths(random, 1 + random.next() % 7);
        const Pairing pairing = bestPairs(lengthsOf(lefts), lengthsOf(rights));
        CHECK(pairing.pairs.size() == std::min(lefts.size(), rights.size()));
        CHECK(std::abs(mmOf(pairing.sum) - leastSum(lefts, rights)) < 1e-9);
        for (const auto& [l, r] : pairing.pairs)
            CHECK((l < lefts.size() && r < rights.size()));
    }
}

TEST_CASE("each tip and edge of a fly is measured, judged against its tolerance and kept against its aim") {
    Book book = demoBook();
    const Plan plan = planPattern(book, "kelp-lantern").value();
    const auto items = checkItems(plan, book);
    REQUIRE(items.size() >= 4);
    CHECK(items.front().name == "tail length");
    CHECK(judge(items.front(), items.front().planned + 0.9 * items.front().tolerance).finding == Finding::asPlanned);
    CHECK(judge(items.front(), items.front().planned + 1.1 * items.front().tolerance).finding == Finding::tooLong);
    CHECK(judge(items.front(), items.front().planned - 1.1 * items.front().tolerance).finding == Finding::tooShort);
    // The demo's hand ties tails long, so it is told to aim short.
    CHECK(items.front().aim < items.front().planned);
    CHECK(items.front().flies > 5);
    CheckEntry entry{"kelp-lantern", "2026-11-25", std::vector<std::optional<Length>>(items.size()), {}, {}};
    CHECK_FALSE(recordCheck(book, items, entry));
    entry.readings[0] = 9.5 * mm;
    entry.faults = {"wing central"};
    const auto edit = recordCheck(book, items, entry);
    REQUIRE(edit);
    CHECK(edit->after.checks.size() == book.checks.size() + 1);
    CHECK(edit->after.checks.back().readings.front().aimed == items.front().aim);
    CHECK(deviationsOf(edit->after)["tail length_mm"].size() == deviationsOf(book)["tail length_mm"].size() + 1);
    entry.date = "tomorrow";
    CHECK_FALSE(recordCheck(book, items, entry));
}

TEST_CASE("a place on a photograph says the length that the plan would say of it") {
    const Plan plan = planPattern(demoBook(), "heather-tinker").value();
    int measured = 0;
    for (const Handle& handle : handlesOf(plan)) {
        const auto here = measuredAt(plan, handle, handle.at);
        if (!here) continue;
        ++measured;
        for (const CheckItem& item : checkItems(plan, demoBook()))
            if (item.part == handle.part && item.figure == here->figure) CHECK(std::abs(mmOf(here->length - item.planned)) < 1e-9);
        const auto further = measuredAt(plan, handle, {handle.at.x + 1.0 * mm, handle.at.y + 0.5 * mm});
        REQUIRE(further);
        CHECK(further->length > here->length);
    }
    CHECK(measured >= 4);
}

TEST_CASE("what to look for follows from the dressing's own parts") {
    const auto looks = [](const char* fly) {
        std::string all;
        for (const Look& look : looksOf(planPattern(demoBook(), fly).value()))
            all += look.what + "\n";
        return all;
    };
    CHECK(looks("heather-tinker").find("wing central") != std::string::npos);
    CHECK(looks("rush-piper").find("wing central") == std::string::npos);
    CHECK(looks("kelp-lantern").find("palmer") != std::string::npos);
    CHECK(looks("rush-piper").find("point sharp") != std::string::npos);
}

TEST_CASE("the eye trainer gets finer with right answers, coarser with wrong ones, and finds a bias") {
    const Book book = demoBook();
    EyeTrainer trainer(5);
    for (int i = 0; i < 12; ++i) {
        const auto question = trainer.next(book, "kelp-lantern");
        REQUIRE(question);
        Book shown = book;
        *shown.findPattern("kelp-lantern") = question->shown;
        REQUIRE(planPattern(shown, "kelp-lantern"));
        trainer.answer(*question, question->truth());
    }
    CHECK(trainer.score().right == 12);
    CHECK(trainer.score().fineness < EyeTrainer::kFirst);
    CHECK(trainer.score().bias == 0.0);
    EyeTrainer longEye(6);
    for (int i = 0; i < 20; ++i)
        longEye.answer(longEye.next(book, "heather-tinker").value(), EyeAnswer::tooLong);
    CHECK(longEye.score().bias > 0.0);
    CHECK(longEye.score().fineness > EyeTrainer::kFirst);
    CHECK(longEye.score().fineness <= EyeTrainer::kCoarsest);
    CHECK_FALSE(EyeTrainer(1).next(book, "no-such"));
}

TEST_CASE("of two tails the second's measures are called so") {
    const Plan plan = planOf({part(PartKind::tail, TailPart{}, "tippet"), part(PartKind::tail, TailPart{}, "tippet"),
                              part(PartKind::body, BodyPart{}, "seal")})
                          .value();
    std::vector<std::string> tails;
    for (const CheckItem& item : checkItems(plan, Book{}))
        if (item.figure == "length_mm" && item.part < 2) tails.push_back(item.name);
    CHECK(tails == std::vector<std::string>{"tail length", "second tail length"});
}
