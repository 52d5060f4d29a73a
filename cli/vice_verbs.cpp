// What is asked at the vice: steps, order, recipe, standins.
#include <fstream>
#include <iterator>

#include "bench/order.h"
#include "bench/steps.h"
#include "cli/verbs.h"
#include "store/recipe.h"
#include "units/text.h"
#include "water/standins.h"

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

// The dressing, on its own hook or on another.
Result<Plan> planAsked(const Book& book, const Options& options) {
    if (options.hook.empty()) return planWhatCan(book, options.pattern);
    return planFly(book, Fly{options.pattern, options.hook}, Place("patterns"));
}

std::optional<std::string> textOf(const std::string& path) {
    if (path == "-") return std::string(std::istreambuf_iterator<char>(std::cin), {});
    std::ifstream in(path, std::ios::binary);
    if (!in) return std::nullopt;
    std::string text;
    text.resize(store::kLongestRecipe + 1);
    in.read(text.data(), static_cast<std::streamsize>(text.size()));
    text.resize(static_cast<std::size_t>(in.gcount()));
    return text;
}

Json recipeJson(const store::ReadRecipe& recipe) {
    Book alone;
    alone.patterns.push_back(recipe.pattern);
    alone.materials = recipe.materials;
    alone.hooks = recipe.hooks;
    const Json bench = Json::parse(store::writeBench(alone));
    Json json;
    json["pattern"] = bench.at("patterns").at(0);
    json["materials"] = bench.contains("materials") ? bench.at("materials") : Json::array();
    json["hooks"] = bench.contains("hooks") ? bench.at("hooks") : Json::array();
    json["doubts"] = Json::array();
    for (const store::RecipeDoubt& doubt : recipe.doubts) {
        Json choices = Json::array();
        for (const store::RecipeChoice& choice : doubt.choices)
            choices.push_back(choice.words);
        Json one = {
            {"line", doubt.line}, {"column", doubt.column}, {"text", doubt.words}, {"question", doubt.question}, {"choices", choices}};
        if (doubt.part >= 0) one["part"] = doubt.part;
        if (!doubt.key.empty()) one["key"] = doubt.key;
        json["doubts"].push_back(std::move(one));
    }
    return json;
}

std::string recipeText(const store::ReadRecipe& recipe, const Book& book) {
    std::string text = store::writeRecipe(recipe.pattern, store::withRecipe(book, recipe), store::RecipeFormat::text);
    for (const Material& material : recipe.materials)
        text += "new in the drawers: " + material.title() + " (" + std::string(nameOf(material.kind)) + ")\n";
    for (const HookSpec& hook : recipe.hooks)
        text += "new in the drawers: " + hook.name.value_or(hook.id) + " (hook)\n";
    for (const store::RecipeDoubt& doubt : recipe.doubts) {
        text += "line " + std::to_string(doubt.line) + ", column " + std::to_string(doubt.column) + ": " + doubt.question;
        std::string choices;
        for (const store::RecipeChoice& choice : doubt.choices)
            choices += (choices.empty() ? " (" : ", ") + choice.words;
        text += choices.empty() ? "\n" : choices + ")\n";
    }
    return text;
}

}  // namespace

int showSteps(const Options& options) {
    return withBook(options, [&](const Book& book) {
        const auto plan = planAsked(book, options);
        if (!plan) return refuse(plan.error());
        const auto steps = stepsOf(*plan, options.left ? Hand::left : Hand::right);
        Json json = {{"pattern", options.pattern}, {"steps", Json::array()}};
        std::string text;
        for (std::size_t i = 0; i < steps.size(); ++i) {
            json["steps"].push_back(stepJson(*plan, steps[i], i + 1));
            text += stepText(steps[i], i + 1);
        }
        const int shown = print(options, json, text);
        return plan->faults.empty() ? shown : refuse(plan->faults);
    });
}

int showOrder(const Options& options) {
    return withBook(options, [&](const Book& book) {
        const auto plan = planWhatCan(book, options.pattern);
        if (!plan) return refuse(plan.error());
        Json json = {{"pattern", options.pattern}, {"faults", Json::array()}};
        std::string text;
        const auto name = [&](std::size_t part) { return std::string(nameOf(plan->parts[part].kind)); };
        for (const OrderFault& fault : orderFaults(*plan)) {
            json["faults"].push_back({{"first", name(fault.first)},
                                      {"first_part", fault.first},
                                      {"then", name(fault.then)},
                                      {"then_part", fault.then},
                                      {"because", fault.because},
                                      {"mend", fault.mend}});
            text += fault.because + ": " + fault.mend + "\n";
        }
        return print(options, json, text.empty() ? "the order is sound\n" : text);
    });
}

int showRecipe(const Options& options) {
    return withBook(options, [&](const Book& book) {
        const auto text = textOf(options.text);
        if (!text) return refuse(fail(Place(options.text), "expected a file that can be read").value());
        const auto recipe = store::readRecipe(*text, book);
        if (!recipe) return refuse(recipe.error());
        if (!options.into.empty()) {
            const Book with = store::withRecipe(book, *recipe);
            if (const Faults faults = check(with); !faults.empty()) return refuse(faults);
            if (const int wrong = writeInto(options.into, with); wrong != kDone) return wrong;
        }
        return print(options, recipeJson(*recipe), recipeText(*recipe, book));
    });
}

int showStandIns(const Options& options) {
    return withBook(options, [&](const Book& book) {
        std::optional<UsedIn> used;
        if (!options.pattern.empty())
            used = UsedIn{options.pattern, options.partSaid ? std::optional(static_cast<std::size_t>(options.part)) : std::nullopt};
        const auto list = standInsFor(book, options.material, used);
        if (!list) return refuse(list.error());
        Json json = {{"material", options.material}, {"standins", Json::array()}};
        std::string text;
        for (const StandIn& s : *list) {
            Json changes = Json::array();
            text += s.title;
            bool first = true;
            for (const StandInChange& change : s.changes) {
                changes.push_back({{"what", change.what}, {"from", change.from}, {"to", change.to}, {"rule_of_thumb", change.ruleOfThumb}});
                text += (first ? ": " : ", ") + change.words() + (change.ruleOfThumb ? " (rule of thumb)" : "");
                first = false;
            }
            if (!s.mind.empty()) text += "; " + s.mind;
            text += "\n";
            Json one = {{"material", s.material}, {"changes", std::move(changes)}};
            if (!s.mind.empty()) one["mind"] = s.mind;
            json["standins"].push_back(std::move(one));
        }
        return print(options, json, text.empty() ? "nothing in the drawers could stand in for it\n" : text);
    });
}

}  // namespace machair::cli
