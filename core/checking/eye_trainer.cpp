#include "checking/eye_trainer.h"

#include <algorithm>

#include "language/say.h"
#include "units/random.h"
#include "units/visit.h"

namespace machair {

namespace {

// The length that a part is written with; null for parts whose length isn't judged by eye.
LengthSpec* lengthOf(Part& part) {
    return std::visit(Overloaded{
                          [](TailPart& tail) { return &tail.length; },
                          [](WingPart& wing) { return &wing.length; },
                          [](CollarPart& collar) { return &collar.length; },
                          [](const OneOf<TagPart, RibPart, UnderbodyPart, BodyPart, PalmerPart, LegsPart, CheekPart, BeadPart, ThreadPart,
                                         HeadPart> auto&) -> LengthSpec* { return nullptr; },
                      },
                      part.detail);
}
std::optional<Length> plannedLength(const PartPlan& part) {
    using Seen = std::optional<Length>;
    return std::visit(Overloaded{
                          [](const TailPlan& tail) -> Seen { return tail.length; },
                          [](const WingPlan& wing) -> Seen { return wing.length; },
                          [](const HacklePlan& hackle) -> Seen { return hackle.fibre; },
                          [](const OneOf<Impossible, TagPlan, RibPlan, UnderbodyPlan, BodyPlan, PalmerPlan, PiecePlan, BeadPlan, ThreadPlan,
                                         HeadPlan> auto&) -> Seen { return std::nullopt; },
                      },
                      part.detail);
}

}  // namespace

std::optional<EyeQuestion> EyeTrainer::next(const Book& book, const DressingId& pattern) {
    const auto plan = planPattern(book, pattern);
    if (!plan) return std::nullopt;
    Random random(seedOf(seed_, ++asked_));
    std::vector<std::size_t> judged;
    EyeQuestion question;
    question.shown = *book.findPattern(pattern);
    for (std::size_t i = 0; i < plan->parts.size(); ++i)
        if (lengthOf(question.shown.parts[i]) && plannedLength(plan->parts[i])) judged.push_back(i);
    if (judged.empty()) return std::nullopt;
    question.part = judged[random.next() % judged.size()];
    question.asked = say("the {}", sayName(question.shown.parts[question.part].kind));
    const auto kind = random.next() % 3;
    question.off = kind == 0 ? -fineness_ : kind == 1 ? fineness_ : 0.0;
    if (question.off != 0.0)
        *lengthOf(question.shown.parts[question.part]) = inMm((1.0 + question.off) * *plannedLength(plan->parts[question.part]));
    return question;
}

void EyeTrainer::answer(const EyeQuestion& question, EyeAnswer given) {
    ++answered_;
    if (given == question.truth()) {
        ++right_;
        fineness_ = std::max(kFinest, 0.9 * fineness_);
        return;
    }
    // Said to be longer than it is counts up, by how far off it was shown.
    const int said = static_cast<int>(given), is = static_cast<int>(question.truth());
    signedErrors_ += (said > is ? 1.0 : -1.0) * fineness_;
    fineness_ = std::min(kCoarsest, 1.25 * fineness_);
}

EyeScore EyeTrainer::score() const { return {answered_, right_, fineness_, answered_ > 0 ? signedErrors_ / answered_ : 0.0}; }

}  // namespace machair
