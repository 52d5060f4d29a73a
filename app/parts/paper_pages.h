// What of a book can be put on paper, as pages at their true size: the bench's own data turned into what drawing/ paints.
#pragma once

#include <QString>
#include <optional>
#include <string>
#include <variant>

#include "drawing/card.h"
#include "drawing/page.h"
#include "editing/document.h"

namespace machair::app {

enum class PaperKind { card, recipe, team, gauge, season };

// Of the team on the cast as it is judged now; nothing where there is none.
[[nodiscard]] std::optional<drawing::TeamSheet> teamSheetOf(const Document& document);

// A rule card as it goes onto paper, its day as the language writes it.
[[nodiscard]] RuleCard asPrinted(RuleCard card);

// The page, or why there is none in a few words. `year` is asked of a season alone.
[[nodiscard]] std::variant<drawing::Page, QString> pageOf(const Document& document, PaperKind kind, const std::string& year = {});

}  // namespace machair::app
