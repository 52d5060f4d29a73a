#include "bench/steps.h"

#include <algorithm>

#include "bench/step_writer.h"
#include "language/say.h"

namespace machair {

std::vector<TyingStep> StepWriter::run() {
    layOut();
    hookFirst();
    for (std::size_t i = 0; i < plan_.parts.size(); ++i)
        makeReady(i);
    markVanes();
    waxThread();
    beadsOn();
    startThread();
    for (std::size_t i = 0; i < plan_.parts.size(); ++i)
        std::visit([&](const auto& detail) { tie(i, detail); }, at(i).detail);
    if (!head_) finishHead(-1, headOf(plan_));
    for (std::size_t k = 0; k + 1 < steps_.size(); ++k)  // what to pick up next
        if (steps_[k].next.empty() && steps_[k + 1].part != steps_[k].part && steps_[k + 1].part >= 0)
            steps_[k].next = at(static_cast<std::size_t>(steps_[k + 1].part)).made.title();
    sayWhatWaits();
    return std::move(steps_);
}

void StepWriter::sayWhatWaits() {
    std::vector<TyingStep::Waiting> waiting;
    for (TyingStep& step : steps_) {
        const bool tiesIn = step.part >= 0 && (step.verb == "tie in" || step.verb == "bend back");
        const auto part = static_cast<std::size_t>(std::max(0, step.part));
        if (tiesIn && std::ranges::find(waiting, part, &TyingStep::Waiting::part) == waiting.end())
            waiting.push_back({part, step.threadAfter});
        std::erase_if(waiting, [&](const TyingStep::Waiting& w) { return step.done[w.part] != 0; });
        step.waiting = waiting;
    }
}

std::vector<TyingStep> stepsOf(const Plan& plan, Hand hand) { return StepWriter(plan, hand).run(); }

std::size_t firstAtTheVice(const std::vector<TyingStep>& steps) {
    const auto found = std::ranges::find(steps, false, &TyingStep::before);
    return found == steps.end() ? (steps.empty() ? 0 : steps.size() - 1) : static_cast<std::size_t>(found - steps.begin());
}

std::string sayCaution(Caution caution) {
    switch (caution) {
        case Caution::points: return say("Hook points and eyes: glasses on, point away.");
        case Caution::glue: return say("Instant glue bonds skin and eyes at once, no sleeve near; its label decides.");
        case Caution::resin: return say("Resin and its lamp: not on skin, not into eyes; the maker's instructions decide.");
        case Caution::solvents: return say("Varnish and solvents: fresh air, no flame; the label decides.");
        case Caution::lead: return say("Heavy metal: wash hands, keep it from mouths; some waters forbid it. The fishery's rules decide.");
        case Caution::dust: return say("Fur dust: don't breathe it in; dampen or air the room.");
        case Caution::birds: return say("Feathers and furs: some kinds are protected; a lawful source, local law decides.");
        case Caution::wire: return say("Ends of wire and tinsel fly off: eyes; never with good scissors.");
    }
    throw BrokenContract("unknown caution");
}

}  // namespace machair
