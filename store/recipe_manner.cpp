// The manner of a part: which way round it is wound, how it is tied in and stands, what style it has.
#include <array>

#include "book/fields.h"
#include "language/say.h"
#include "store/recipe_reader.h"
#include "units/text.h"

namespace machair::store {

bool RecipeReader::takePhrase(Clause& clause, std::string_view text) {
    const std::size_t at = lowered(clause.text).find(text);
    if (at == std::string::npos) return false;
    for (Word& word : clause.words)
        if (word.from >= at && word.to <= at + text.size()) word.used = true;
    return true;
}

void RecipeReader::takeManner(Made& made, Clause& clause) {
    const PartKind kind = made.part.kind;
    takeSense(made, clause);
    if (isHackled(kind)) return mannerOfHackle(made, clause);
    if (kind == PartKind::body || kind == PartKind::thorax) return mannerOfBody(made, clause);
    if (kind == PartKind::wing || kind == PartKind::tail) return mannerOfWing(made, clause);
    if (kind == PartKind::legs && takePhrase(clause, "knotted") && !std::get<LegsPart>(made.part.detail).knots)
        doubt(clause.at, clause.text, say("How many knots has each leg?"), {{"one", "1"}, {"two", "2"}},
              static_cast<int>(read_.pattern.parts.size()), "knots");
    if (kind == PartKind::cheek)
        for (const std::string_view usual : {"on each side", "each side", "either side", "eyes", "nails"})
            takePhrase(clause, usual);
}

// Which way round it is wound, and along what.
void RecipeReader::takeSense(Made& made, Clause& clause) {
    auto& words = clause.words;
    const PartKind kind = made.part.kind;
    for (const std::string_view counter : {"against the thread", "against the body", "counter-wound", "counterwound", "counter"})
        if (takePhrase(clause, counter)) {
            set(made, "direction", "counter");
            break;
        }
    if (kind == PartKind::rib || kind == PartKind::body)
        if (const auto opposite = wordAt(words, "opposite")) {
            use(words, *opposite, 1);
            doubt(clause.at + words[*opposite].from, clause.text, say("Opposite: the other sense, or the other travel?"),
                  {{"the other sense", "counter"}, {"the same sense, the other way along", "with"}},
                  static_cast<int>(read_.pattern.parts.size()), "direction");
        }
    if (kind != PartKind::rib) return;
    for (const std::string_view all : {"over all", "over both", "over the whole body", "over the lot"})
        if (takePhrase(clause, all)) set(made, "along", "all");
    if (takePhrase(clause, "over the tinsel only") || takePhrase(clause, "tinsel part only") || takePhrase(clause, "over the tinsel"))
        set(made, "along", "0");
}

void RecipeReader::mannerOfHackle(Made& made, Clause& clause) {
    if (takePhrase(clause, "by the tip")) set(made, "tie_in", "tip");
    if (takePhrase(clause, "by the butt")) set(made, "tie_in", "butt");
    if (takePhrase(clause, "hollow side in") || takePhrase(clause, "good side out")) return;
    const std::string low = lowered(clause.text);
    if (wordAt(clause.words, "palmered") || low.find("down the body") != std::string::npos ||
        low.find("palmered down it") != std::string::npos) {
        becomePalmer(made);
        for (const std::string_view way : {"palmered down it", "down the body", "palmered"})
            takePhrase(clause, way);
    }
    // Drawn or tied in below the hook, it is no collar any more.
    for (const std::string_view below : {"beard style", "as a beard", "false hackle", "false", "beard", "pulled under", "pulled down",
                                         "pulled below", "drawn under", "drawn down", "tied under", "underneath", "beneath"})
        if (takePhrase(clause, below)) {
            if (made.part.kind == PartKind::collar) made.part.kind = PartKind::throat;
            break;
        }
    for (const std::string_view swept : {"swept well back", "well swept back", "swept back", "sloping back", "swept"})
        if (takePhrase(clause, swept)) {
            set(made, "angle", "swept");
            break;
        }
    for (const std::string_view usual : {"in front", "at the head", "upright"})
        if (takePhrase(clause, usual)) return;
}

void RecipeReader::mannerOfBody(Made& made, Clause& clause) {
    for (const std::string_view twisted : {"twisted together with the thread", "twisted together with the silk", "twisted together",
                                           "twisted with the silk", "twisted with the thread", "twisted with thread", "twisted"})
        if (takePhrase(clause, twisted)) {
            set(made, "twisted", "yes");
            break;
        }
    if (takePhrase(clause, "no taper") || takePhrase(clause, "level")) set(made, "method", "level");
    if (takePhrase(clause, "in a loop") || takePhrase(clause, "dubbing loop")) set(made, "method", "loop");
    for (const std::string_view manner :
         {"well picked out", "well brushed out", "picked out", "brushed out", "teased out", "dubbed rough", "roughly dubbed"})
        if (takePhrase(clause, manner)) {
            made.left.emplace_back(manner);  // understood: it is how the fly is finished
            break;
        }
    for (const std::string_view usual : {"touching turns", "tapered", "with a taper"})
        takePhrase(clause, usual);
    if (takePhrase(clause, "small bump") || takePhrase(clause, "a bump") || takePhrase(clause, "hot spot"))
        made.kind = MaterialKind::thread;  // a bump is no ball: thread alone
}

void RecipeReader::mannerOfWing(Made& made, Clause& clause) {
    for (const std::string_view style : {"rolled", "paired", "upright", "cloak", "slip"})
        if (wordAt(clause.words, style)) {
            set(made, "style", std::string(style));
            made.styled = true;
            if (style != "slip" && !takePhrase(clause, std::string(style) + " style")) takePhrase(clause, style);
        }
    for (const std::string_view round : {"all round the fly", "all round", "around the fly", "around the body", "round the fly"})
        if (takePhrase(clause, round)) {
            set(made, "round", "all");
            break;
        }
    // One each side, or a tuft: how it is set, which no figure hangs on.
    for (const std::string_view set : {"on either side", "either side", "on each side", "each side", "tuft"})
        if (takePhrase(clause, set)) {
            made.left.emplace_back(set);
            break;
        }
    if (made.part.kind != PartKind::wing) return;
    struct Manner {
        std::string_view said, style;
    };
    for (const Manner& one : {Manner{"divided", "upright"}, Manner{"bunched", "rolled"}, Manner{"matched", "paired"}})
        if (takePhrase(clause, one.said) && !made.styled) {
            set(made, "style", std::string(one.style));
            made.styled = true;
        }
    for (const std::string_view lie : {"over the underwing", "over the under-wing", "over the under wing"})
        takePhrase(clause, lie);
    for (const std::string_view low : {"tied low", "low over the body", "low", "tied flat", "flat"})
        if (takePhrase(clause, low)) return;
}

}  // namespace machair::store
