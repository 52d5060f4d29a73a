// recipe: a printed recipe read as a dressing.
#include "store/recipe.h"
#include <fstream>
#include <iterator>
#include "cli/report.h"
#include "cli/verb.h"

namespace machair::cli {

namespace {

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

struct RecipeVerb : OnBook {
    static constexpr const char* kName = "recipe";
    static constexpr const char* kHelp = "a printed recipe read as a dressing, with what it leaves open";
    static constexpr const char* kExample = "machair-cli recipe skerrin.machair --text recipe.txt --into with-it.machair";

    std::string written;  // a path, "-" for standard input
    std::string into;

    void arguments(CLI::App& verb) {
        verb.add_option("--text", written, "the recipe's file; - for standard input")->required();
        verb.add_option("--into", into, "write the book with the dressing in it: *.machair or *.machair.json");
    }
    [[nodiscard]] int run() const {
        return withBook(*this, [&](const Book& book) {
            const auto text = textOf(written);
            if (!text) return refuse(fail(Place(written), "expected a file that can be read").value());
            const auto recipe = store::readRecipe(*text, book);
            if (!recipe) return refuse(recipe.error());
            if (!into.empty()) {
                const Book with = store::withRecipe(book, *recipe);
                if (const Faults faults = check(with); !faults.empty()) return refuse(faults);
                if (const int wrong = writeInto(into, with); wrong != kDone) return wrong;
            }
            return print(*this, recipeJson(*recipe), recipeText(*recipe, book));
        });
    }
};

}  // namespace

void addRecipeVerb(CLI::App& app, int& result) { addVerb<RecipeVerb>(app, result); }

}  // namespace machair::cli
