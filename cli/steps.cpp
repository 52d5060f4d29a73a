// steps: how a dressing is tied.
#include "bench/steps.h"
#include "cli/report.h"
#include "cli/verb.h"

namespace machair::cli {

namespace {

Json stepJson(const Plan& plan, const TyingStep& step, std::size_t n) {
    Json json = {{"n", n},
                 {"verb", step.verb},
                 {"object", step.object},
                 {"number", step.number},
                 {"unit", step.unit},
                 {"part", step.part},
                 {"before", step.before}};
    if (step.part >= 0)
        if (const auto& id = plan.pattern.parts[static_cast<std::size_t>(step.part)].id) json["part_id"] = *id;
    json["thread_before_mm"] = step.threadBefore / mm;
    json["thread_after_mm"] = step.threadAfter / mm;
    json["how"] = step.how;
    json["face"] = step.face;
    json["side"] = step.side;
    json["direction"] = step.direction;
    json["locks"] = step.locks;
    json["look"] = step.look;
    json["wrong"] = step.wrong;
    json["note"] = step.note;
    json["minutes"] = step.minutes;
    if (step.dryMinutes) json["dries_min"] = *step.dryMinutes;
    if (step.caution) json["caution"] = sayCaution(*step.caution);
    return json;
}

std::string stepText(const TyingStep& step, std::size_t n) {
    std::string line = std::to_string(n) + ". " + step.verb + " " + step.object;
    if (!step.number.empty()) line += ": " + step.number + " " + step.unit;
    line += "\n";
    const auto add = [&](const char* name, const std::string& words) {
        if (!words.empty()) line += std::string("     ") + name + ": " + words + "\n";
    };
    add("how", step.how);
    add("face", step.face);
    add("side", step.side);
    add("direction", step.direction);
    for (const std::string& locked : step.locks)
        add("locks", locked);
    add("look", step.look);
    add("note", step.note);
    if (!step.before) add("thread", step.threadWords);
    return line;
}

struct StepsVerb : OnBook {
    static constexpr const char* kName = "steps";
    static constexpr const char* kHelp = "how a dressing is tied, step by step";
    static constexpr const char* kExample = "machair-cli steps skerrin.machair --pattern kelp-lantern";

    std::string dressing, onHook;
    bool left = false;

    void arguments(CLI::App& verb) {
        dressingOption(verb, dressing)->required();
        verb.add_option("--hook", onHook, "on this hook instead of its own");
        verb.add_flag("--left", left, "for a left-handed tier");
    }
    [[nodiscard]] int run() const {
        return withBook(*this, [&](const Book& book) {
            const auto plan = onHook.empty() ? planWhatCan(book, DressingId(dressing))
                                             : planFly(book, Fly(DressingId(dressing), HookId(onHook)), Place("patterns"));
            if (!plan) return refuse(plan.error());
            const auto steps = stepsOf(*plan, left ? Hand::left : Hand::right);
            Json json = {{"pattern", dressing}, {"steps", Json::array()}};
            std::string text;
            for (std::size_t i = 0; i < steps.size(); ++i) {
                json["steps"].push_back(stepJson(*plan, steps[i], i + 1));
                text += stepText(steps[i], i + 1);
            }
            const int shown = print(*this, json, text);
            return plan->faults.empty() ? shown : refuse(plan->faults);
        });
    }
};

}  // namespace

void addStepsVerb(CLI::App& app, int& result) { addVerb<StepsVerb>(app, result); }

}  // namespace machair::cli
