// Puts a dressing together from a recipe that is laid out: its parts, its materials, its doubts. Inside store only.
#pragma once

#include <algorithm>
#include <optional>
#include <set>

#include "store/recipe.h"
#include "store/recipe_layout.h"
#include "store/recipe_materials.h"
#include "units/text.h"

namespace machair::store {

[[nodiscard]] inline std::string sayCount(const Count& count) {
    return count.pair ? formatExact(count.low) + " to " + formatExact(count.high) : formatExact(count.low);
}

// The part made of this; what was said of it and has no meaning there is left for its note. Its method and style follow the material.
[[nodiscard]] std::vector<std::string> leftByMaterial(Part& part, const Material& of);

// The first such word that nobody understood yet; and a stretch of them, understood now.
[[nodiscard]] inline std::optional<std::size_t> wordAt(const std::vector<Word>& words, std::string_view text) {
    const auto found = std::ranges::find_if(words, [&](const Word& w) { return !w.used && w.text == text; });
    return found == words.end() ? std::nullopt : std::optional(static_cast<std::size_t>(found - words.begin()));
}

inline void use(std::vector<Word>& words, std::size_t from, std::size_t count) {
    for (std::size_t i = from; i < std::min(from + count, words.size()); ++i)
        words[i].used = true;
}

inline void addTo(std::optional<std::string>& note, const std::string& words) { note = note ? *note + "; " + words : words; }

[[nodiscard]] inline bool isHackled(PartKind kind) {
    return kind == PartKind::collar || kind == PartKind::palmer || kind == PartKind::throat;
}

class RecipeReader {
  public:
    RecipeReader(std::string text, const Book& book) : text_(std::move(text)), book_(book) {}
    [[nodiscard]] Result<ReadRecipe> run();

  private:
    // One stretch of a part's words, with its place in the text.
    struct Clause {
        std::string text;
        std::size_t at = 0;
        std::vector<Word> words;
        bool apart = false;  // another thing than the clause before
    };
    struct Made {  // a part on its way
        Part part;
        std::size_t at = 0;
        std::string says;
        std::vector<std::string> left;  // words kept as its note
        MaterialWords material;
        std::optional<MaterialKind> kind;
        std::optional<double> diameter;  // of a bead, mm
        bool styled = false;             // its style was said
    };

    void readName();
    void readHook(const RecipeEntry& entry);
    void takeHook(const HookSpec* hook, int size, const std::string& says, std::size_t at);
    void readThread(const RecipeEntry& entry);
    void readLike(const RecipeEntry& entry);
    void readEntry(const RecipeEntry& entry);
    void readHead(const RecipeEntry& entry);
    void takeFinish(Made& made, std::vector<Word>& words) const;
    void takeHeadColour(Made& made, Clause& clause, const RecipeEntry& entry);
    void askOfHook(const RecipeEntry& entry, const std::vector<Word>& words);
    void addNote(const std::string& words);

    [[nodiscard]] Made begin(PartKind kind, const RecipeEntry& entry, std::size_t at) const;
    void finish(Made made);
    [[nodiscard]] static std::vector<Clause> clausesOf(const std::string& text, std::size_t at);
    [[nodiscard]] static Clause clauseOf(std::string text, std::size_t at);
    [[nodiscard]] static std::vector<Clause> partedClausesOf(PartKind kind, const std::string& text, std::size_t at);
    [[nodiscard]] static bool beginsAnother(const Made& made, const Clause& clause);
    static void takeGround(Made& made, Clause& clause);
    bool takeCount(Made& made, const char* key, const Count& count) const;
    bool takeCountOfUnit(Made& made, Clause& clause, std::size_t word, const CountRead& count);
    bool takeLoneCount(Made& made, Clause& clause, std::size_t word, const CountRead& count) const;
    void takeCountOfMaterial(Made& made, Clause& clause, std::size_t word, const CountRead& count) const;
    void readClause(Made& made, Clause clause);
    void takeCounts(Made& made, Clause& clause);
    void takeHackleTurns(Made& made, Clause& clause);
    void takeLength(Made& made, Clause& clause);
    void takeMeasure(Made& made, Clause& clause, std::size_t word);
    void setIfTaken(Made& made, const char* key, const std::string& text, Clause& clause, std::size_t from, std::size_t to) const;
    bool takeLengthOfMark(Made& made, Clause& clause);
    bool takeLengthOfHook(Made& made, Clause& clause, const std::string& said, std::size_t from, std::size_t to);
    bool takeComparison(Made& made, Clause& clause);
    void takePath(Made& made, Clause& clause);
    void takeBodyEnd(Made& made, Clause& clause);
    static void becomePalmer(Made& made);
    void takeManner(Made& made, Clause& clause);
    void takeSense(Made& made, Clause& clause);
    void mannerOfHackle(Made& made, Clause& clause);
    void mannerOfBody(Made& made, Clause& clause);
    void mannerOfWing(Made& made, Clause& clause);
    static bool takePhrase(Clause& clause, std::string_view text);  // and marks its words as used
    void takeMaterial(Made& made, Clause& clause);
    void takeFirstOfTwo(Made& made, Clause& clause);
    void decideKind(Made& made, const std::vector<Word>& words) const;
    void takeDescription(Made& made, std::vector<Word>& words) const;
    void keepRest(Made& made, const Clause& clause);
    void chooseMaterial(Made& made);
    [[nodiscard]] MaterialFound beadOf(double diameter, const MaterialWords& words) const;
    void sameAs(Made& made, const Clause& clause, std::string_view which);
    bool splitOff(const RecipeEntry& entry);
    bool halves(const RecipeEntry& entry);
    void set(Made& made, const char* key, const std::string& text) const;

    void doubt(std::size_t at, std::string_view words, std::string question, std::vector<RecipeChoice> choices = {}, int part = -1,
               std::string key = {});
    void order();
    void leaveOutWhatIsNowhere();
    void missing();
    [[nodiscard]] const Material* known(const MaterialId& id) const;

    std::string text_;
    const Book& book_;
    ReadRecipe read_;
    std::set<std::size_t> ofThread_;  // parts of the tying thread, which may be said later
    bool hookSaid_ = false, threadSaid_ = false;
};

}  // namespace machair::store
