// Sound books made at random, for properties of the stores: every record kind and nearly every key turns up.
#pragma once

#include <random>

#include "book/describe.h"
#include "tests/samples.h"

namespace machair::tests {

class RandomBook {
  public:
    explicit RandomBook(unsigned seed) : random_(seed) {}

    Book make() {
        Book book;
        const int hooks = whole(1, 4), materials = whole(6, 14), patterns = whole(0, 5);
        for (int i = 0; i < hooks; ++i)
            book.hooks.push_back(hook("hook-" + std::to_string(i)));
        for (int i = 0; i < materials; ++i) {
            const auto& kinds = Names<MaterialKind>::entries;
            book.materials.push_back(anyMaterial("material-" + std::to_string(i),
                                                 i == 0 ? MaterialKind::thread : kinds[static_cast<std::size_t>(i) % kinds.size()].value));
        }
        for (int i = 0; i < patterns; ++i)
            book.patterns.push_back(pattern(book, "pattern-" + std::to_string(i)));
        if (!book.patterns.empty()) {
            TeamSpec team;
            team.id = "team";
            team.at(Position::bob) = book.patterns.front().id;
            if (coin()) team.at(Position::upper) = book.patterns.front().id;
            if (coin()) team.at(Position::point) = book.patterns.back().id;
            team.leader = LeaderSpec{};
            team.leader->tipToBob = whole(50, 300) / 100.0 * metre;  // as people measure leaders
            book.teams.push_back(team);
        }
        for (int i = 0, n = whole(0, 3); i < n; ++i)
            book.feathers.push_back(feather(book, "feather-" + std::to_string(i)));
        if (coin()) {
            CutList& list = book.cutLists.emplace_back();
            list.id = "list";
            list.slips = {
                SlipWanted{"slip", book.materials.front().id, real(1.0, 6.0) * mm, real(5.0, 20.0) * mm, SlipSide::any, coin(), {}}};
        }
        fillList(book.teamSchools);
        fillList(book.ruleCards);
        fillList(book.waters);
        for (WaterSpec& water : book.waters) {
            water.rules.reset();
            if (!book.ruleCards.empty() && coin()) water.rules = book.ruleCards.front().id;
            water.outline = {{0.0 * mm, 0.0 * mm}, {whole(1, 900) * metre, whole(1, 900) * metre}};
        }
        if (coin())
            book.capes.push_back({"cape", book.materials.front().id, 40.0 * mm, {{real(5, 6) * mm, real(6, 7) * mm, whole(0, 9), {}}}, {}});
        if (coin()) {
            SeasonRow& row = book.season.emplace_back();
            row.id = "row";
            row.creature = "midges";
            row.fromMonth = whole(1, 12);
            row.toMonth = whole(1, 12);
            row.suits = "dark";
            row.size = "12-14";
            row.where = WaterLayer::film;
            row.dressings = {"somebody"};
            row.styles = {FlyStyle::spider, FlyStyle::winged};
            row.place = Position::point;
        }
        if (coin()) {
            Mishap mishap;
            mishap.id = "wing.cocks";
            mishap.count = whole(0, 40);
            if (coin()) mishap.shows = "stands up";
            if (coin()) mishap.part = PartKind::rib;
            if (coin()) mishap.nextFly = "look first";
            book.mishaps.push_back(std::move(mishap));
        }
        if (coin()) {
            Day& day = book.days.emplace_back();
            day.id = "day";
            day.date = "2026-06-0" + std::to_string(whole(1, 9));
            day.rods = 2;
            day.light = Light::cloud;
            if (coin()) day.drift = whole(1, 40) / 100.0 * metrePerSecond;
            day.outings = {{2.5, trioOf("somebody", {}, {})}};
            day.fish = {{"somebody", Position::bob, coin(), {}, {}}};
        }
        if (coin()) {
            CheckedFly& check = book.checks.emplace_back();
            check.id = "check";
            check.pattern = "somebody";
            check.date = "2026-01-31";
            check.readings = {{2, PartKind::body, "length_mm", real(5, 9) * mm, real(5, 9) * mm, {}}};
        }
        if (!book.patterns.empty() && coin())
            book.batches.push_back({"batch", book.patterns.front().id, {}, 12, whole(0, 12), {}, "for June", {}, {}, {}});
        if (!book.patterns.empty()) {
            BoxFly& fly = book.box.emplace_back();
            fly.id = "box-0";
            fly.pattern = book.patterns.front().id;
            fly.tied = whole(0, 12);
        }
        if (coin()) {
            book.schools = SchoolChoices{};
            book.schools->fibre = FibreSchool::layBack;
        }
        if (coin()) book.carried["season"] = R"({"from":3,"to":[4,"\"é"]})";
        return book;
    }

  private:
    bool coin() { return random_() % 2 == 0; }
    int whole(int low, int high) { return std::uniform_int_distribution<int>(low, high)(random_); }
    double real(double low, double high) { return std::uniform_real_distribution<double>(low, high)(random_); }

    HookSpec hook(const std::string& id) {
        // One call each: in which order arguments are made is the compiler's.
        const HookFamily family = Names<HookFamily>::entries[static_cast<std::size_t>(whole(0, 5))].value;
        HookSpec spec = hookSpec(whole(2, 20), family);
        spec.id = HookId(id);
        if (coin()) spec.name = "Häken \"" + id + "\"\n";
        if (coin()) spec.barb = coin();
        if (coin()) spec.longer = whole(-2, 4);
        if (coin()) {
            spec.measured = HookMeasures{};
            spec.measured->wire = real(0.2, 0.4) * mm;
        }
        if (coin()) spec.carried["maker"] = "\"nobody\"";
        return spec;
    }

    // Fills any described member with something its rule allows.
    struct Filler {
        RandomBook& r;
        template <class T>
        void operator()(const char*, T&, const Rule& = {}) {}
        void rest(const Carried&) {}
        template <class T>
        void operator()(const char* key, std::optional<T>& member, const Rule& rule = {}) {
            if (r.coin()) return;
            T value{};
            if (fill(value, rule)) member = value;
            (void)key;
        }
        bool fill(double& v, const Rule& rule) {
            v = r.real(std::max(rule.low, 0.001), std::min(rule.high, 3.0));
            return true;
        }
        bool fill(int& v, const Rule& rule) {
            v = static_cast<int>(std::max(rule.low, 1.0));
            return true;
        }
        bool fill(Length& v, const Rule& rule) {
            v = rule.scale == 1.0 ? r.real(0.05, 2.0) * mm : r.whole(1, 90) * metre;
            return true;
        }
        bool fill(PerLength& v, const Rule&) {
            v = r.real(1.0, 4.0) * perMm;
            return true;
        }
        bool fill(Speed& v, const Rule& rule) {
            v = r.whole(0, 20) * rule.scale * (mm / second);
            return true;
        }
        bool fill(bool& v, const Rule&) {
            v = r.coin();
            return true;
        }
        template <class Enum>
        requires std::is_enum_v<Enum>
        bool fill(Enum& v, const Rule&) {
            v = Names<Enum>::entries[static_cast<std::size_t>(r.whole(0, static_cast<int>(Names<Enum>::entries.size()) - 1))].value;
            return true;
        }
        template <class T>
        bool fill(T&, const Rule&) {
            return false;
        }
    };

    Material anyMaterial(const std::string& id, MaterialKind kind) {
        Material m;
        m.id = MaterialId(id);
        m.kind = kind;
        m.traits = traitsFor(kind);
        Filler filler{*this};
        std::visit([&](auto& traits) { describe(filler, traits); }, m.traits);
        if (coin()) m.colour = "#12ab9f";
        if (coin()) m.measured = {"stem_mm", "x"};
        if (coin()) m.carried["lot"] = "[1,2.5,null]";
        return m;
    }

    template <class Record>
    void fillList(std::vector<Record>& list) {
        for (int i = 0, n = whole(0, 2); i < n; ++i) {
            Record record;
            record.id = decltype(record.id)("record-" + std::to_string(i));
            Filler filler{*this};
            describe(filler, record);
            list.push_back(std::move(record));
        }
    }

    VaneFeather feather(const Book& book, const std::string& id) {
        VaneFeather f;
        f.id = FeatherId(id);
        f.material = book.materials.front().id;
        f.side = coin() ? VaneSide::left : VaneSide::right;
        f.vane = real(40.0, 90.0) * mm;
        f.barbs = {12.0 * mm, 20.0 * mm, 15.0 * mm};
        if (coin()) f.shade = FeatherShade::dark;
        if (coin()) f.spoiled.push_back({real(0.0, 5.0) * mm, real(6.0, 20.0) * mm});
        if (coin()) f.match = "pair A";
        if (coin()) f.taken.push_back({real(0.0, 10.0) * mm, real(11.0, 30.0) * mm});
        return f;
    }

    Pattern pattern(const Book& book, const std::string& id) {
        Pattern p = dressing({});
        p.id = DressingId(id);
        p.hook = book.hooks[random_() % book.hooks.size()].id;
        p.thread = book.materials.front().id;
        TailPart tail;
        tail.length = coin() ? ratioOf(real(0.3, 1.2), Yardstick::shank) : machair::inMm(real(2.0, 15.0) * mm);
        tail.length.carried["why"] = "\"habit\"";
        WingPart wing;
        wing.length = {Reach{PartRef{PartKind::tail}, real(0.3, 1.0), {}, {}}, {}};
        CollarPart collar;
        collar.length = {Reach{Landmark::barb, {}, Held<LengthSpec>(machair::inMm(real(0.1, 1.0) * mm)), {}}, {}};
        collar.turns = Count{2.0, 3.0, true};
        p.parts = {part(PartKind::tail, tail), part(PartKind::body, BodyPart{}), part(PartKind::wing, wing), part(PartKind::collar, collar),
                   part(PartKind::head, HeadPart{})};
        if (coin()) p.parts[1].material = book.materials[random_() % book.materials.size()].id;
        if (coin()) p.note = "note";
        if (coin()) {
            p.schools = SchoolChoices{};
            p.schools->rib = RibSchool::with;
        }
        return p;
    }

    std::mt19937 random_;
};

}  // namespace machair::tests
