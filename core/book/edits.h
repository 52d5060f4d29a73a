// Edits: functions from one book to the next, named in the user's words. Undo, the store and the quiet line live off
// them. None of them touches the book it is given.
#pragma once

#include <optional>
#include <string>
#include <string_view>

#include "book/book.h"

namespace machair {

struct Edit {
    std::string words;  // "Kelp Lantern: tail length to as long as the shank"
    Book after;
};

// A record that an edit makes.
struct NewRecord {
    std::string id;
    Edit edit;
};

// A field of a part of a dressing, as book/fields.h shows it.
[[nodiscard]] Result<Edit> changeField(const Book& book, std::string_view pattern, std::size_t part, std::string_view key,
                                       std::string_view text);
[[nodiscard]] Result<Edit> changeMaterial(const Book& book, std::string_view pattern, std::size_t part, std::string_view material);

// What a dressing says of itself as a whole. Faults: a thread that the book lacks or that is none, a dressing varied from
// itself or from one that isn't there.
[[nodiscard]] Result<Edit> changePatternField(const Book& book, std::string_view pattern, std::string_view key, std::string_view text);

// What lies in the drawers. A physical field set by measuring is noted in `measured`.
enum class Source { typed, measured };
[[nodiscard]] Result<Edit> changeHookField(const Book& book, std::string_view hook, std::string_view key, std::string_view text);
[[nodiscard]] Result<Edit> changeMaterialField(const Book& book, std::string_view material, std::string_view key, std::string_view text,
                                               Source source);
[[nodiscard]] Result<Edit> addHook(const Book& book, const HookSpec& like);
[[nodiscard]] Result<Edit> addMaterial(const Book& book, MaterialKind kind);
// Faults name the dressings that are tied on or from it.
[[nodiscard]] Result<Edit> removeHook(const Book& book, std::string_view hook);
[[nodiscard]] Result<Edit> removeMaterial(const Book& book, std::string_view material);

// The dressings that are tied on this hook, or from this material.
[[nodiscard]] std::vector<std::string> dressingsOn(const Book& book, std::string_view hook);
[[nodiscard]] std::vector<std::string> dressingsFrom(const Book& book, std::string_view material);

// A part of this kind with sensible proportions and the first fitting material of the book, where tying order wants it.
[[nodiscard]] Result<Edit> addPart(const Book& book, std::string_view pattern, PartKind kind);
// References to parts behind it move along. A fault where another part is measured against it.
[[nodiscard]] Result<Edit> removePart(const Book& book, std::string_view pattern, std::size_t part);
[[nodiscard]] Result<Edit> movePart(const Book& book, std::string_view pattern, std::size_t part, std::size_t to);

// The dressing on another hook of the book.
[[nodiscard]] Result<Edit> changeHook(const Book& book, std::string_view pattern, std::string_view hook);

// The same hook in another size or wire: one of the book where it has one, else a nominal one is added to it.
[[nodiscard]] bool sameModel(const HookSpec& a, const HookSpec& b);
// The id of this hook in the book, put in where it has no such model.
std::string takeHook(Book& book, HookSpec hook);
struct HookChange {
    std::optional<int> size;
    std::optional<int> heavier;
    std::optional<bool> barb = {};
};
[[nodiscard]] Result<Edit> resizeHook(const Book& book, std::string_view pattern, const HookChange& change);

[[nodiscard]] Result<Edit> changeTeamFly(const Book& book, std::string_view team, Position position, const std::optional<Fly>& fly);

}  // namespace machair
