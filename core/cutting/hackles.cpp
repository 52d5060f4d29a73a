#include "cutting/hackles.h"

#include <algorithm>
#include <map>

#include "cutting/cutting.h"
#include "language/say.h"
#include "units/text.h"

namespace machair {

namespace {

struct OneFeather {
    std::size_t cape;
    std::size_t band;
    Length fibre;
};

std::string effectOf(Length error, const HackleWanted& wanted) {
    constexpr Length kUnseen = 0.1 * mm;
    if (abs(error) < kUnseen) return {};
    const bool longer = error > Length{};
    return say("{} mm {} than planned: it reaches so much {}, {} %", formatNumber(abs(error) / mm, 1),
               longer ? say("longer") : say("shorter"), longer ? say("further") : say("less far"),
               formatNumber(100.0 * abs(error) / wanted.fibre, 0));
}

// Feathers of one material against the flies that want it.
void pair(const std::vector<Cape>& capes, const std::vector<HackleWanted>& wanted, const MaterialId& material,
          std::vector<std::size_t> flies, HacklesChosen& chosen) {
    std::vector<OneFeather> feathers;
    Length longestStem;
    for (const std::size_t i : flies)
        longestStem = std::max(longestStem, wanted[i].stem);
    bool any = false;
    for (std::size_t c = 0; c < capes.size(); ++c) {
        if (capes[c].material != material) continue;
        any = true;
        // A feather long enough for two flies serves two.
        const Length stem = capes[c].usableStem.value_or(longestStem);
        const int each =
            longestStem > Length{} ? std::max(stem < longestStem ? 0 : 1, std::min(2, static_cast<int>(stem / longestStem))) : 1;
        for (std::size_t b = 0; b < capes[c].bands.size(); ++b)
            for (int n = 0; n < capes[c].bands[b].count * each && feathers.size() < 4 * flies.size() + 4000; ++n)
                feathers.push_back({c, b, capes[c].bands[b].middle()});
    }
    std::ranges::stable_sort(feathers, {}, &OneFeather::fibre);
    std::ranges::stable_sort(flies, {}, [&](std::size_t i) { return wanted[i].fibre; });
    const std::size_t n = flies.size(), m = feathers.size();
    // best[i][j]: of the first i flies and j feathers, most served, then least error.
    struct Best {
        int served = 0;
        double error = 0.0;  // mm
        bool operator<(const Best& o) const { return served != o.served ? served < o.served : error > o.error; }
    };
    std::vector<Best> best((n + 1) * (m + 1));
    const auto at = [&](std::size_t i, std::size_t j) -> Best& { return best[i * (m + 1) + j]; };
    const auto paired = [&](std::size_t i, std::size_t j) {
        Best b = at(i - 1, j - 1);
        ++b.served;
        b.error += abs(feathers[j - 1].fibre - wanted[flies[i - 1]].fibre) / mm;
        return b;
    };
    for (std::size_t i = 1; i <= n; ++i)
        for (std::size_t j = 1; j <= m; ++j)
            at(i, j) = std::max({at(i - 1, j), at(i, j - 1), paired(i, j)});
    std::size_t i = n, j = m;
    while (i > 0) {
        const auto same = [](const Best& a, const Best& b) { return !(a < b) && !(b < a); };
        if (j == 0 || same(at(i, j), at(i - 1, j))) {
            --i;
            chosen.unserved.emplace_back(flies[i], !any     ? say("no cape of {} is counted", material)
                                                   : m == 0 ? say("no feather of {} has stem enough, or all are used", material)
                                                            : say("every feather of {} serves another fly", material));
        } else if (same(at(i, j), at(i, j - 1))) {
            --j;
        } else {
            const Length error = feathers[j - 1].fibre - wanted[flies[i - 1]].fibre;
            chosen.served.push_back(
                {flies[i - 1], feathers[j - 1].cape, feathers[j - 1].band, error, effectOf(error, wanted[flies[i - 1]])});
            chosen.totalError += abs(error);
            --i;
            --j;
        }
    }
}

}  // namespace

std::vector<HackleWanted> hacklesFor(const Plan& plan, int flies) {
    require(flies >= 1 && flies <= kMostFlies, "a batch has from 1 to 10000 flies");
    std::vector<HackleWanted> list;
    for (int fly = 1; fly <= flies; ++fly)
        for (std::size_t i = 0; i < plan.parts.size(); ++i) {
            const PartPlan& part = plan.parts[i];
            const auto* collar = std::get_if<HacklePlan>(&part.detail);
            const auto* palmer = std::get_if<PalmerPlan>(&part.detail);
            if ((!collar && !palmer) || !part.material) continue;
            const HacklePlan& h = collar ? *collar : palmer->hackle;
            list.push_back({plan.pattern.id + "." + std::to_string(i) + "#" + std::to_string(fly), *part.material, h.fibre, h.stem, h.turns,
                            plan.hook.gape()});
        }
    return list;
}

HacklesChosen chooseHackles(const std::vector<Cape>& capes, const std::vector<HackleWanted>& wanted) {
    std::map<MaterialId, std::vector<std::size_t>> byMaterial;
    for (std::size_t i = 0; i < wanted.size(); ++i)
        byMaterial[wanted[i].material].push_back(i);
    HacklesChosen chosen;
    for (auto& [material, flies] : byMaterial)
        pair(capes, wanted, material, std::move(flies), chosen);
    std::ranges::sort(chosen.served, {}, &HackleServed::wanted);
    std::ranges::sort(chosen.unserved);
    return chosen;
}

}  // namespace machair
