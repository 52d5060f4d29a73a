#include "team/choose.h"

#include <catch2/catch.hpp>
#include <random>

#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;

namespace {

BoxCandidate candidate(std::mt19937& random, int i);

FlyFigures randomFly(std::mt19937& random) {
    const auto real = [&](double low, double high) { return std::uniform_real_distribution<double>(low, high)(random); };
    FlyFigures f;
    f.sink = real(0.04, 0.3) * metrePerSecond;
    f.presence = real(0.5, 7.0) * millinewton;
    f.mass = real(30.0, 150.0) * mg;
    f.size = 8 + 2 * static_cast<int>(random() % 4);
    f.full = real(0.4, 4.0);
    f.stiff = real(0.0, 1.0);
    f.weight = real(0.05, 1.5) * millinewton;
    f.style = Names<FlyStyle>::entries[random() % Names<FlyStyle>::entries.size()].value;
    f.role = static_cast<TeamRole>(random() % 4);
    f.identity = random();
    f.lengths[static_cast<std::size_t>(Likeness::collar)] = real(0.9, 1.6);
    if (random() % 2) f.lengths[static_cast<std::size_t>(Likeness::fibreTail)] = real(1.0, 2.0);
    if (random() % 2) f.lengths[static_cast<std::size_t>(Likeness::leafWing)] = real(1.5, 2.5);
    f.seen = {real(5, 60), real(-20, 30), real(-20, 30)};
    return f;
}

BoxCandidate candidate(std::mt19937& random, int i) {
    BoxCandidate fly;
    fly.id = "f" + std::to_string(i);
    fly.fly = Fly(DressingId("p" + std::to_string(i)), "hook");
    fly.title = fly.dressing = "fly";
    fly.tied = static_cast<int>(random() % 4);
    fly.figures = randomFly(random);
    return fly;
}

TeamSetting windy() {
    TeamSetting setting;
    setting.day.wave = seaUnder({6.0 * metrePerSecond, 2000.0 * metre, false}).height;
    return setting;
}

// The plain triple loop.
std::vector<Triple> everyTriple(const TripleScores& s, std::size_t wanted) {
    const auto better = [](const Triple& a, const Triple& b) { return std::tuple(-a.score, a.at) < std::tuple(-b.score, b.at); };
    std::vector<Triple> best;
    for (std::size_t i = 0; i < s.single[0].size(); ++i)
        for (std::size_t j = 0; j < s.single[1].size(); ++j)
            for (std::size_t k = 0; k < s.single[2].size(); ++k) {
                const std::int64_t score = std::int64_t{s.single[0][i]} + s.single[1][j] + s.single[2][k] + s.first.at(i, j) +
                                           s.second.at(j, k) + s.across.at(i, k);
                if (best.size() == wanted && score < best.back().score) continue;
                if (isNever(score) || s.thriceTheSame(i, j, k)) continue;
                const Triple triple{{i, j, k}, score};
                best.insert(std::ranges::upper_bound(best, triple, better), triple);
                if (best.size() > wanted) best.pop_back();
            }
    return best;
}

BoxFly boxed(const std::string& id, const std::string& pattern, int tied) {
    BoxFly fly;
    fly.id = BoxFlyId(id);
    fly.pattern = DressingId(pattern);
    fly.tied = tied;
    return fly;
}

}  // namespace

TEST_CASE("the best ten teams are those of the plain triple loop, ties and all") {
    constexpr unsigned kSeed = 5;
    std::mt19937 random(kSeed);
    for (int round = 0; round < 25; ++round) {
        CAPTURE(kSeed, round);
        std::vector<BoxCandidate> box;
        for (int i = 0; i < 26; ++i)
            box.push_back(candidate(random, i));
        for (int i = 0; i < 4; ++i)
            box.push_back(box[static_cast<std::size_t>(i)]);  // ties
        std::vector<std::size_t> all(box.size());
        std::iota(all.begin(), all.end(), std::size_t{0});
        const TripleScores scores = scoresOf(box, rulesOf(School::stepped), windy(), {all, all, all});
        const BestTriples found = bestTriples(scores, 10);
        const auto plain = everyTriple(scores, 10);
        REQUIRE(found.best.size() == plain.size());
        for (std::size_t i = 0; i < plain.size(); ++i) {
            CHECK(found.best[i].score == plain[i].score);
            CHECK(found.best[i].at == plain[i].at);
        }
        CHECK(found.examined < 30u * 30u * 30u);
    }
}

TEST_CASE("of a large box the flies that can't be on the best teams are left out, and the best teams are the same") {
    std::mt19937 random(23);
    for (int round = 0; round < 2; ++round) {
        std::vector<BoxCandidate> box;
        for (int i = 0; i < 196; ++i)
            box.push_back(candidate(random, i));
        std::vector<std::size_t> all(box.size());
        std::iota(all.begin(), all.end(), std::size_t{0});
        const SchoolRules rules = rulesOf(School::stepped);
        // Each of the teams shown is the best that shares at most one place with those before it.
        const TripleScores scores = scoresOf(box, rules, windy(), {all, all, all});
        const auto plain = everyTriple(scores, 4000);
        std::vector<std::array<std::size_t, 3>> wanted;
        for (const Triple& triple : plain) {
            const bool near = std::ranges::any_of(
                wanted, [&](const auto& w) { return (w[0] == triple.at[0]) + (w[1] == triple.at[1]) + (w[2] == triple.at[2]) > 1; });
            if (!near && wanted.size() < 5) wanted.push_back(triple.at);
        }
        const ChoiceReport report = chooseTeams(box, rules, windy());
        REQUIRE(report.teams.size() == 5);
        REQUIRE(wanted.size() == 5);
        for (std::size_t i = 0; i < wanted.size(); ++i)
            CHECK(report.teams[i].flies == wanted[i]);
    }
}

TEST_CASE("a fly that is tied once is used once, one to be tied only breaks ties, and rules keep flies out") {
    Book book = demoBook();
    book.box.clear();
    for (const char* id : {"kelp-lantern", "heather-tinker", "rush-piper"})
        book.box.push_back(boxed(std::string("box-") + id, id, 1));
    const TeamSetting setting = windy();
    auto box = candidatesOf(book, setting).value();
    ChoiceReport report = chooseTeams(box, rulesOf(School::stepped), setting);
    REQUIRE_FALSE(report.teams.empty());
    CHECK(report.teams[0].flies == std::array<std::size_t, 3>{0, 1, 2});
    book.box.push_back(boxed("twin", "rush-piper", 0));  // the same fly again: still one
    CHECK(candidatesOf(book, setting)->size() == 3);
    RuleCard card;
    card.id = "card";
    card.barb = BarbRule::barbless;
    TeamSetting ruled = setting;
    ruled.card = &card;
    CHECK(chooseTeams(box, rulesOf(School::stepped), ruled).teams.empty());
    CHECK(chooseTeams(box, rulesOf(School::stepped), ruled).leftOut.size() == 3);
    box[0].tied = 0;
    CHECK(chooseTeams(box, rulesOf(School::stepped), setting).teams[0].toTie == 1);
}

TEST_CASE("a fly hangs in all three places only where three of it are tied") {
    Book book = demoBook();
    int thrice = 0;
    for (const Pattern& pattern : book.patterns)
        for (const int tied : {1, 2, 3}) {
            CAPTURE(pattern.id, tied);
            book.box = {boxed("own", pattern.id, tied)};
            const auto teams = chooseTeams(candidatesOf(book, windy()).value(), rulesOf(School::stepped), windy()).teams;
            if (tied < 3) CHECK(teams.empty());
            thrice += static_cast<int>(teams.size());
        }
    CHECK(thrice > 0);
}

TEST_CASE("a favourite can be asked for or kept out") {
    const Book book = demoBook();
    const TeamSetting setting = windy();
    const auto box = candidatesOf(book, setting).value();
    const auto place =
        static_cast<std::size_t>(std::ranges::find(box, "soot-ember", [](const BoxCandidate& c) { return c.fly.pattern; }) - box.begin());
    ChoiceWish with;
    with.include = place;
    const ChoiceReport favourite = chooseTeams(box, rulesOf(School::stepped), setting, with);
    for (const Choice& choice : favourite.teams)
        CHECK(std::ranges::find(choice.flies, place) != choice.flies.end());
    const ChoiceReport free = chooseTeams(box, rulesOf(School::stepped), setting);
    CHECK(free.teams[0].score >= favourite.teams[0].score);
    ChoiceWish without;
    without.avoid = {free.teams[0].flies[0]};
    const ChoiceReport others = chooseTeams(box, rulesOf(School::stepped), setting, without);
    for (const Choice& choice : others.teams)
        CHECK(std::ranges::find(choice.flies, without.avoid[0]) == choice.flies.end());
}

TEST_CASE("a dressing that can't be tied is never proposed, and keeps no other from being chosen") {
    Book book = demoBook();
    const auto before = candidatesOf(book, {}).value();
    book.findPattern("kelp-lantern")->parts[1].material = "no-such";
    const auto after = candidatesOf(book, {});
    REQUIRE(after);
    CHECK(after->size() < before.size());
    CHECK(std::ranges::none_of(*after, [](const BoxCandidate& fly) { return fly.fly.pattern == "kelp-lantern"; }));
}

TEST_CASE("could be: each of them in its place scores within a point, and none that is left out does") {
    const Book book = demoBook();
    const TeamSetting setting = windy();
    const auto box = candidatesOf(book, setting).value();
    const ChoiceReport report = chooseTeams(box, rulesOf(School::stepped), setting);
    REQUIRE_FALSE(report.teams.empty());
    const Choice& best = report.teams.front();
    std::size_t others = 0;
    for (std::size_t p = 0; p < 3; ++p)
        for (std::size_t fly = 0; fly < box.size(); ++fly) {
            if (std::ranges::find(best.flies, fly) != best.flies.end()) continue;
            ChoiceWish wish;
            wish.wanted = 1;
            for (std::size_t other = 0; other < box.size(); ++other)
                if (other != fly && std::ranges::find(best.flies, other) == best.flies.end()) wish.avoid.push_back(other);
            wish.avoid.push_back(best.flies[p]);
            wish.include = fly;
            wish.includeAt = kTrio[p];
            const ChoiceReport with = chooseTeams(box, rulesOf(School::stepped), setting, wish);
            const bool could = std::ranges::find(best.couldBe[p], fly) != best.couldBe[p].end();
            if (could) {
                ++others;
                REQUIRE_FALSE(with.teams.empty());
                CHECK(with.teams.front().score > best.score - 1.0);
            }
        }
    CHECK(others > 0);
}

TEST_CASE("why not: a fly that is kept out says why, another what it costs") {
    const Book book = demoBook();
    const TeamSetting setting = windy();
    const auto box = candidatesOf(book, setting).value();
    const auto at = [&](const char* id) {
        return static_cast<std::size_t>(std::ranges::find(box, id, [](const BoxCandidate& c) { return c.fly.pattern; }) - box.begin());
    };
    const WhyNot lure = whyNot(box, at("brass-buoy"), Position::bob, rulesOf(School::stepped), setting);
    CHECK(lure.keptOut.find("out of place") != std::string::npos);
    const WhyNot other = whyNot(box, at("kelp-strider"), Position::bob, rulesOf(School::stepped), setting);
    REQUIRE(other.with);
    CHECK(other.differences.size() >= 1);
    CHECK(other.differences.size() <= 3);
    // What they are said to cost is points of 100, and the dearest of all can't cost more than the whole.
    for (const std::string& difference : other.differences) {
        const double points = std::stod(difference.substr(difference.rfind('(') + 1));
        CHECK(points >= 0.05);
        CHECK(points < 60.0);
    }
    // What it costs beside its neighbours is among it, not only what it is in its place: here each should sink
    // a third faster than the last, and little else counts.
    SchoolRules steep = rulesOf(School::stepped);
    steep.sinkStep.low = 1.35;
    steep.sinkStep.nearWidth = 0.3;
    steep.sinkStep.weight = 40.0;
    bool besideOthers = false;
    for (std::size_t fly = 0; fly < box.size(); ++fly)
        for (const Position position : {Position::bob, Position::middle, Position::point})
            for (const std::string& difference : whyNot(box, fly, position, steep, setting).differences)
                besideOthers = besideOthers || difference.find("times as fast as") != std::string::npos;
    CHECK(besideOthers);
}

TEST_CASE("twins on two hooks are two flies of one dressing, each with its size and its barb") {
    Book book = demoBook();
    HookSpec twin = *book.findHook(book.findPattern("kelp-lantern")->hook);
    twin.id = "twin";
    twin.barb = false;
    book.hooks.push_back(twin);
    BoxFly barbless;
    barbless.id = "twin-fly";
    barbless.pattern = "kelp-lantern";
    barbless.hook = "twin";
    book.box.push_back(barbless);
    const auto box = candidatesOf(book, {}).value();
    const auto of = [&](const HookId& hook) { return std::ranges::find(box, Fly("kelp-lantern", hook), &BoxCandidate::fly); };
    REQUIRE(of("twin") != box.end());
    CHECK(of("twin")->title == "Kelp Lantern, 10 barbless");
    RuleCard card;
    card.id = "card";
    card.barb = BarbRule::barbless;
    TeamSetting setting = windy();
    setting.card = &card;
    const ChoiceReport report = chooseTeams(box, rulesOf(School::stepped), setting);
    for (const LeftOut& out : report.leftOut)
        CHECK(box[out.fly].id != "twin-fly");
}

TEST_CASE("a dressing suggests at each size what the season has of that size, by its name or its style") {
    const Book book = demoBook();
    SeasonRow midge, sedge;
    midge.id = "midge";
    midge.creature = "black midges";
    midge.size = "14-16";
    midge.styles = {FlyStyle::spider};
    sedge.id = "sedge";
    sedge.creature = "brown sedges";
    sedge.size = "8 to 12";
    sedge.dressings = {"kelp-lantern"};
    const std::vector<SeasonRow> season = {midge, sedge};
    const auto creatures = [&](const char* dressing, FlyStyle style, int size) {
        std::vector<std::string> names;
        for (const SeasonRow* row : suggestedBy(season, *book.findPattern(dressing), style, size))
            names.push_back(row->creature);
        return names;
    };
    CHECK(creatures("kelp-lantern", FlyStyle::palmer, 10) == std::vector<std::string>{"brown sedges"});
    CHECK(creatures("kelp-lantern", FlyStyle::palmer, 14).empty());
    CHECK(creatures("rush-piper", FlyStyle::spider, 16) == std::vector<std::string>{"black midges"});
    CHECK(creatures("rush-piper", FlyStyle::spider, 12).empty());
    SeasonRow any = midge;
    any.size.reset();
    CHECK(suggestedBy({any}, *book.findPattern("rush-piper"), FlyStyle::spider, 8).size() == 1);
}

TEST_CASE("a box is planned once: not again for another wind, again for what changed, and all of it for another material") {
    Book book = demoBook();
    TeamSetting setting = windy();
    setting.plans = std::make_shared<Plans>();
    const auto plain = [&] {
        TeamSetting without = setting;
        without.plans.reset();
        return candidatesOf(book, without).value();
    };
    const auto same = [](const std::vector<BoxCandidate>& a, const std::vector<BoxCandidate>& b) {
        return std::ranges::equal(a, b, [](const BoxCandidate& x, const BoxCandidate& y) {
            return x.fly == y.fly && x.figures.sink == y.figures.sink && x.figures.presence == y.figures.presence &&
                   x.figures.full == y.figures.full && x.figures.mass == y.figures.mass;
        });
    };
    CHECK(same(candidatesOf(book, setting).value(), plain()));
    const std::size_t first = setting.plans->made();
    REQUIRE(first > 5);
    setting.day.wave = 0.02 * metre;
    setting.celsius = 4.0;
    CHECK(same(candidatesOf(book, setting).value(), plain()));
    CHECK(setting.plans->made() == first);
    // A fly dressed otherwise, and a hook of another size: those alone.
    Pattern& kelp = *book.findPattern("kelp-lantern");
    std::erase_if(kelp.parts.own(), [](const Part& part) { return part.kind == PartKind::rib; });
    CHECK(same(candidatesOf(book, setting).value(), plain()));
    CHECK(setting.plans->made() == first + 1);
    // A material or a school is in all of them.
    book.materials.front().note = "old";
    (void)candidatesOf(book, setting);
    CHECK(setting.plans->made() >= 2 * first);
    book.schools = SchoolChoices{};
    book.schools->fibre = FibreSchool::layBack;
    CHECK(same(candidatesOf(book, setting).value(), plain()));
}
