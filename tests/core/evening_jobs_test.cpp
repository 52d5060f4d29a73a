// The batches that wait, as an evening: own times, least change of thread and material, what is left undone, what rings.
#include <catch2/catch.hpp>
#include <fstream>
#include <nlohmann/json.hpp>
#include <numeric>
#include <random>

#include "bench/batches.h"
#include "book/record_edits.h"
#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;

namespace {

std::vector<TyingJob> jobsOf(const std::vector<std::string>& flies) {
    std::vector<TyingJob> jobs;
    for (const std::string& fly : flies)
        jobs.push_back({DressingId(fly), {{"tie", 10.0, 0.0}, {"coat 1", 0.5, 20.0}}, 1});
    return jobs;
}
int costOf(const Book& book, const std::vector<TyingJob>& jobs, const std::vector<std::size_t>& order) {
    int cost = 0;
    for (std::size_t i = 1; i < order.size(); ++i)
        cost += changesBetween(book, jobs[order[i - 1]].fly, jobs[order[i]].fly);
    return cost;
}

}  // namespace

TEST_CASE("own times are the median and the middle half, from three flies on") {
    Book book = demoBook();
    book.batches.clear();
    Batch batch;
    batch.id = "b";
    batch.pattern = "rush-piper";
    batch.wanted = 9;
    batch.minutes = {10.0, 14.0};
    book.batches = {batch};
    CHECK_FALSE(ownMinutes(book, "rush-piper"));
    book.batches[0].minutes = {20.0, 10.0, 14.0, 12.0, 30.0};
    const OwnMinutes own = ownMinutes(book, "rush-piper").value();
    CHECK(own.median == 14.0);
    CHECK(own.low == 12.0);
    CHECK(own.high == 20.0);
    CHECK(own.flies == 5);
    CHECK_FALSE(ownMinutes(book, "kelp-lantern"));
    // Then they are what a fly's first stage takes, and no coat.
    const Plan plan = planPattern(book, "rush-piper").value();
    const auto thumb = stagesOf(plan), mine = stagesOf(plan, own);
    REQUIRE(thumb.size() == mine.size());
    double hands = 0.0;
    for (const Stage& stage : mine)
        hands += stage.hands;
    CHECK(hands == Approx(14.0).margin(1e-9));
    for (std::size_t i = 1; i < mine.size(); ++i)
        CHECK(mine[i].dry == thumb[i].dry);
}

TEST_CASE("the order of least change is that of every order tried, and nobody is forgotten") {
    const Book book = demoBook();
    std::mt19937 random(7);
    for (int round = 0; round < 12; ++round) {
        std::vector<std::string> flies;
        for (const Pattern& pattern : book.patterns)
            flies.push_back(pattern.id);
        std::shuffle(flies.begin(), flies.end(), random);
        flies.resize(6);
        const auto jobs = jobsOf(flies);
        const auto order = groupedOrder(book, jobs);
        std::vector<std::size_t> each(jobs.size());
        std::iota(each.begin(), each.end(), std::size_t{0});
        CHECK(std::ranges::is_permutation(order, each));
        int least = 1 << 20;
        do
            least = std::min(least, costOf(book, jobs, each));
        while (std::ranges::next_permutation(each).found);
        CHECK(costOf(book, jobs, order) == least);
    }
    CHECK(groupedOrder(book, {}).empty());
    for (const Pattern& pattern : book.patterns)
        CHECK(changesBetween(book, pattern.id, pattern.id) == 0);
    // More than twelve are put in order by the nearest, and all are there.
    std::vector<std::string> many;
    for (int i = 0; i < 3; ++i)
        for (const Pattern& pattern : book.patterns)
            many.push_back(pattern.id);
    CHECK(groupedOrder(book, jobsOf(many)).size() == many.size());
}

TEST_CASE("what an evening leaves undone is named with how many, and nothing is where all is dry") {
    const Book book = demoBook();
    std::vector<TyingJob> jobs = jobsOf({"rush-piper", "kelp-lantern"});
    jobs[0].count = 3;
    jobs[1].count = 2;
    CHECK(leftUndone(book, jobs, {3, 2}).empty());
    CHECK(leftUndone(book, jobs, {1, 2}) == "2 of Rush Piper");
    CHECK(leftUndone(book, jobs, {0, 1}) == "3 of Rush Piper, 1 of Kelp Lantern");
    std::vector<TyingJob> many(20, jobs[0]);
    CHECK(leftUndone(book, many, std::vector<int>(20, 2)) ==
          "1 of Rush Piper, 1 of Rush Piper, 1 of Rush Piper, 1 of Rush Piper, 1 of Rush Piper, "
          "1 of Rush Piper and 14 more");
    const Timetable table = flyByFly(jobs);
    int before = 0;
    for (double minutes = 0.0; minutes <= table.allDry + 1.0; minutes += 1.0) {  // never fewer with more time
        const auto dried = driedBefore(table, jobs, minutes);
        const int all = std::reduce(dried.begin(), dried.end());
        CHECK(all >= before);
        before = all;
    }
    CHECK(before == 5);
}

TEST_CASE("the evening's events are the tying as a whole, then each coat in the order in which it is due, and only coats ring") {
    const Book book = demoBook();
    std::vector<TyingJob> jobs = jobsOf({"rush-piper", "kelp-lantern"});
    jobs[0].count = 3;
    const Timetable table = flyByFly(jobs);
    const auto events = eventsOf(book, table, jobs);
    REQUIRE(events.size() == 1 + 4);
    CHECK_FALSE(events.front().rings);
    CHECK(events.front().end == table.handsFree);
    CHECK(events.front().how.find("3 of Rush Piper") != std::string::npos);
    for (std::size_t i = 1; i < events.size(); ++i) {
        CHECK(events[i].rings);
        CHECK(events[i].what.starts_with("coat 1: "));
        if (i > 1) CHECK(events[i].start >= events[i - 1].start);
        CHECK(events[i].start >= 10.0);
    }
    CHECK(eventsOf(book, {}, {}).empty());
}

TEST_CASE("what waits is what is wanted less what is tied, and never less than nothing") {
    Batch batch;
    batch.wanted = 6;
    CHECK(batch.left() == 6);
    batch.tied = 4;
    CHECK(batch.left() == 2);
    batch.tied = 9;
    CHECK(batch.left() == 0);
    Book book = demoBook();
    book.batches.clear();
    CHECK(waitingJobs(book)->empty());
    book = addBatch(book, "rush-piper", 4)->after;
    REQUIRE(waitingJobs(book)->size() == 1);
    CHECK(waitingJobs(book)->front().count == 4);
    book.batches.front().tied = 4;
    CHECK(waitingJobs(book)->empty());
}

TEST_CASE("the evening that is asked for: the most flies whole and dry by then, the earlier day's first") {
    std::ifstream file(MACHAIR_ANCHORS);
    const nlohmann::json anchors = nlohmann::json::parse(file);
    const auto jobsOf = [](const std::string& which) -> std::vector<TyingJob> {
        if (which == "A") return {{"a", {{"tie", 12, 0}, {"coat 1", 0.5, 20}, {"coat 2", 0.5, 30}}, 6}};
        if (which == "B")
            return {{"a", {{"tie", 13.25, 0}, {"coat 1", 0.5, 20}}, 9, {}, "2026-05-01"},
                    {"b", {{"tie", 16.7, 0}, {"coat 1", 0.5, 20}, {"coat 2", 0.5, 20}, {"coat 3", 0.5, 20}}, 6, {}, "2026-05-02"}};
        return {{"a", {{"tie", 20, 0}, {"coat 1", 1, 30}}, 2, {}, "2026-05-01"}, {"b", {{"tie", 8, 0}, {"coat 1", 1, 10}}, 6}};
    };
    std::size_t checked = 0;
    for (const auto& one : anchors["evening"]) {
        const AskedEvening evening = mostBy(jobsOf(one["case"]), one["minutes"], one["set_up_min"]);
        INFO(one.dump());
        CHECK(evening.counts == one["counts"].get<std::vector<int>>());
        CHECK(evening.best.table.allDry == Approx(one["all_dry_min"].get<double>()));
        CHECK(evening.proven == one["proven"].get<bool>());
        ++checked;
    }
    CHECK(checked == anchors["evening"].size());
    CHECK(mostBy({}, 60.0).flies() == 0);
}

namespace {

// Twenty dressings wait, no two of them tied in the same time: two hundred and more ways to choose three.
std::vector<TyingJob> manyJobs() {
    std::vector<TyingJob> jobs;
    for (int j = 0; j < 20; ++j)
        jobs.push_back(
            {DressingId("fly-" + std::to_string(j)), {{"tie", 12.0 - 0.25 * j, 0.0}, {"coat 1", 0.5, 20.0}, {"coat 2", 0.5, 30.0}}, 6});
    return jobs;
}

}  // namespace

TEST_CASE("an evening of many batches is found in so many steps, no later and no fewer flies than the quickest ones give") {
    const std::vector<TyingJob> jobs = manyJobs();
    for (const double minutes : {90.0, 150.0, 240.0}) {
        const AskedEvening evening = mostBy(jobs, minutes);
        INFO(minutes);
        CHECK(evening.steps < 5'000'000);
        CHECK_FALSE(evening.proven);
        CHECK(evening.best.table.allDry <= minutes + 1e-6);
        std::vector<TyingJob> quickest(1, jobs.back());
        for (quickest.front().count = 1; quickest.front().count <= 6; ++quickest.front().count)
            if (flyByFly(quickest).allDry <= minutes) CHECK(evening.flies() >= quickest.front().count);
    }
}

TEST_CASE("of batches that take the same the earlier is tied first, and it is proven however many they are") {
    std::vector<TyingJob> jobs = manyJobs();
    for (TyingJob& job : jobs) {
        job.stages = jobs.front().stages;
        job.count = 3;
    }
    const AskedEvening evening = mostBy(jobs, 120.0);
    CHECK(evening.proven);
    std::vector<TyingJob> one(1, jobs.front());
    one.front().count = 60;
    CHECK(evening.flies() == mostBy(one, 120.0).flies());
    REQUIRE(evening.flies() == 5);
    CHECK(evening.counts[0] == 3);
    CHECK(evening.counts[1] == 2);
}
