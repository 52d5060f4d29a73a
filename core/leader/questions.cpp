#include "leader/questions.h"

#include <algorithm>
#include <cmath>

#include "language/say.h"
#include "units/text.h"

namespace machair {

namespace {

constexpr Time kLongestCount = 120.0 * second;

DriftOptions roughly(std::stop_token stop) {
    DriftOptions options;
    options.link = kDraggingLink;
    options.step = kDraggingStep;
    options.keepNodes = false;
    options.stop = std::move(stop);
    return options;
}

std::optional<Length> depthOf(const DriftSample& sample, Position fly) { return sample.depth[fly]; }
std::string metres(Length depth) { return formatNumber(depth / metre, 2) + " m"; }

Answer notThere(Position fly) { return {false, 0.0, 0, false, say("there is no {} on this leader", name(fly))}; }

}  // namespace

Answer countFor(const Rig& rig, Position fly, Length depth, std::stop_token stop) {
    // One long count passes through every shorter one.
    Handling handling;
    handling.count = kLongestCount;
    handling.retrieveFor = Time{};
    const DriftReport run = runDrift(rig, handling, roughly(std::move(stop)));
    Answer answer{false, 0.0, 1, run.stopped, {}};
    if (run.stopped) return answer;
    if (!depthOf(run.samples.back(), fly)) return notThere(fly);
    for (std::size_t i = 1; i < run.samples.size(); ++i) {
        const Length before = *depthOf(run.samples[i - 1], fly), after = *depthOf(run.samples[i], fly);
        if (after < depth) continue;
        const double share = after > before ? (depth - before) / (after - before) : 0.0;
        answer.found = true;
        answer.value = (run.samples[i - 1].time + share * (run.samples[i].time - run.samples[i - 1].time)) / second;
        answer.words = say("count {} s and the {} is at {}", formatNumber(answer.value, 1), name(fly), metres(depth));
        return answer;
    }
    answer.words =
        say("the {} is not at {} within two minutes: it is at {}", name(fly), metres(depth), metres(*depthOf(run.samples.back(), fly)));
    return answer;
}

Answer retrieveFor(const Rig& rig, const Handling& handling, Position fly, Length depth, std::stop_token stop) {
    Answer answer;
    const auto depthAt = [&](double speed) -> std::optional<Length> {
        Handling h = handling;
        h.retrieve = speed * metrePerSecond;
        h.pull.reset();
        h.pause.reset();
        h.lift = Speed{};
        h.hang = Time{};
        ++answer.runs;
        const DriftReport run = runDrift(rig, h, roughly(stop));
        if (run.stopped) answer.stopped = true;
        return depthOf(run.samples.back(), fly);
    };
    double slow = handling.drift / metrePerSecond, fast = slow + 1.5;
    const auto deepest = depthAt(slow), shallowest = depthAt(fast);
    if (answer.stopped) return answer;
    if (!deepest || !shallowest) return notThere(fly);
    if (depth > *deepest || depth < *shallowest) {
        answer.words =
            say("after this retrieve the {} is between {} and {}, at any speed", name(fly), metres(*shallowest), metres(*deepest));
        return answer;
    }
    while (fast - slow > 1e-3 && !answer.stopped) {
        const double middle = 0.5 * (slow + fast);
        const auto at = depthAt(middle);
        (at && *at > depth ? slow : fast) = middle;
    }
    answer.found = !answer.stopped;
    answer.value = 0.5 * (slow + fast);
    answer.words = say("retrieve at {} m/s and the {} ends at {}", formatNumber(answer.value, 2), name(fly), metres(depth));
    return answer;
}

Answer touchFor(const Rig& rig, const Handling& handling, std::stop_token stop) {
    Answer answer;
    if (rig.flies.empty()) {
        answer.words = say("there is no fly on this leader to be in touch with");
        return answer;
    }
    if (handling.retrieveFor <= Time{}) {
        answer.words = say("a retrieve is needed before anything is in touch");
        return answer;
    }
    const Position last = rig.flies.back().position;
    const double length = (rig.leader.fromTip(last) + (last == Position::point ? Length{} : rig.leader.dropper)) / metre;
    // How far from straight the leader is at the end of the retrieve, as a share of its length.
    const auto sagAt = [&](double speed) {
        Handling h = handling;
        h.retrieve = speed * metrePerSecond;
        h.lift = Speed{};
        h.hang = Time{};
        DriftOptions options = roughly(stop);
        options.keepNodes = true;
        const DriftReport run = runDrift(rig, h, options);
        ++answer.runs;
        answer.stopped = answer.stopped || run.stopped;
        const auto& nodes = run.samples.back().nodes;
        const Point2 tip = nodes.front(), end = nodes[*run.flyNode[last]];
        return 1.0 - std::hypot((end.x - tip.x) / metre, (end.y - tip.y) / metre) / length;
    };
    const double drift = handling.drift / metrePerSecond;
    double slow = drift, fast = drift + 1.5;
    const double least = sagAt(fast);
    if (answer.stopped) return answer;
    if (least > kSagInTouch) {
        answer.words = say("in {} s no speed draws this leader straight: it still sags by {} % of its length",
                           formatNumber(handling.retrieveFor / second, 0), formatNumber(100.0 * least, 0));
        return answer;
    }
    while (fast - slow > 1e-3 && !answer.stopped) {
        const double middle = 0.5 * (slow + fast);
        (sagAt(middle) > kSagInTouch ? slow : fast) = middle;
    }
    answer.found = !answer.stopped;
    answer.value = fast;
    answer.words =
        say("draw at {} m/s or faster: slower, the leader sags by more than {} % of its length when the draw ends{} (a rule of thumb)",
            formatNumber(fast, 2), formatNumber(100.0 * kSagInTouch, 0),
            drift > 0.0 ? say(", and below {} you only take in what the boat gives", formatNumber(drift, 2)) : "");
    return answer;
}

HeldBob holdingFor(const Rig& rig, const Handling& handling, Time wanted, std::stop_token stop) {
    HeldBob held;
    if (handling.lift <= Speed{}) {
        held.answer.words = say("a lift is needed before anything holds in the surface");
        return held;
    }
    Handling h = handling;
    h.hold = wanted + 2.0 * second;
    h.hang = Time{};
    const DriftReport run = runDrift(rig, h, roughly(std::move(stop)));
    held.answer.runs = 1;
    held.answer.stopped = run.stopped;
    if (run.stopped) return held;
    if (!run.bobHolds) {
        held.answer = notThere(Position::bob);
        return held;
    }
    held.holds = run.bobHolds;
    held.breaks = run.bobBreaks;
    if (!run.bobBreaks) {
        held.answer.words =
            say("with the line's end no higher than {} the bob never comes up: a shorter first length, a drogue or a higher rod helps",
                metres(handling.height));
        return held;
    }
    held.atBreak = run.tipAtBreak;
    const Time lift = TipPath(h).liftStart().value_or(Time{});
    const Time end = lift + *run.bobBreaks + wanted;
    const auto last = std::ranges::lower_bound(run.samples, end, {}, &DriftSample::time);
    held.atEnd = -(last == run.samples.end() ? run.samples.back() : *last).tip;
    held.answer.value = std::max(0.0, (*held.atEnd - *held.atBreak) / wanted / metrePerSecond);
    // The reach gave out where the bob left the surface while the rod was as high as it goes.
    constexpr double kShort = 0.8;
    if (*run.bobHolds<kShort * wanted&& * held.atEnd> 0.98 * handling.height) {
        held.answer.words =
            say("the bob is up when the line's end is {} high, and a reach of {} holds it {} s: a shorter first length or a drogue helps",
                metres(*held.atBreak), metres(handling.height), formatNumber(*run.bobHolds / second, 1));
        return held;
    }
    held.answer.found = true;
    held.answer.words = say("the bob is up when the line's end is {} high; to hold it {} s raise to {}, {} m/s", metres(*held.atBreak),
                            formatNumber(wanted / second, 0), metres(*held.atEnd), formatNumber(held.answer.value, 2));
    return held;
}

Answer spacingFor(const Rig& rig, const Handling& handling, std::stop_token stop) {
    Answer answer;
    if (handling.lift <= Speed{}) {
        answer.words = say("a lift is needed before anything holds in the surface");
        return answer;
    }
    Rig tried = rig;
    Time longest = -1.0 * second;
    for (int tenths = 4; tenths <= 24; ++tenths) {
        tried.leader.bobToMiddle = 0.1 * tenths * metre;
        const DriftReport run = runDrift(tried, handling, roughly(stop));
        ++answer.runs;
        if (run.stopped) {
            answer.stopped = true;
            return answer;
        }
        if (!run.bobHolds) return notThere(Position::bob);
        if (*run.bobHolds > longest) {
            longest = *run.bobHolds;
            answer.value = 0.1 * tenths;
        }
    }
    answer.found = true;
    answer.words =
        say("with {} m from bob to middle the bob holds longest, {} s", formatNumber(answer.value, 1), formatNumber(longest / second, 1));
    return answer;
}

}  // namespace machair
