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
// The same where it is known of what kind it is.
template <class Record>
struct New {
    Id<Record> id;
    Edit edit;
    operator NewRecord() && { return {id, std::move(edit)}; }
};
using NewDressing = New<Pattern>;

// A field of a part of a dressing, as book/fields.h shows it.
[[nodiscard]] Result<Edit> changeField(const Book& book, const DressingId& pattern, std::size_t part, std::string_view key,
                                       std::string_view text);
[[nodiscard]] Result<Edit> changeMaterial(const Book& book, const DressingId& pattern, std::size_t part, const MaterialId& material);

// What a dressing says of itself as a whole. Faults: a thread that the book lacks or that is none, a dressing varied from
// itself or from one that isn't there.
[[nodiscard]] Result<Edit> changePatternField(const Book& book, const DressingId& pattern, std::string_view key, std::string_view text);

// What lies in the drawers. A physical field set by measuring is noted in `measured`.
enum class Source { typed, measured };
[[nodiscard]] Result<Edit> changeHookField(const Book& book, const HookId& hook, std::string_view key, std::string_view text);
[[nodiscard]] Result<Edit> changeMaterialField(const Book& book, const MaterialId& material, std::string_view key, std::string_view text,
                                               Source source);
[[nodiscard]] Result<Edit> addHook(const Book& book, const HookSpec& like);
[[nodiscard]] Result<Edit> addMaterial(const Book& book, MaterialKind kind);
// Faults name the dressings that are tied on or from it.
[[nodiscard]] Result<Edit> removeHook(const Book& book, const HookId& hook);
[[nodiscard]] Result<Edit> removeMaterial(const Book& book, const MaterialId& material);

// The dressings that are tied on this hook, or from this material.
[[nodiscard]] std::vector<DressingId> dressingsOn(const Book& book, const HookId& hook);
[[nodiscard]] std::vector<DressingId> dressingsFrom(const Book& book, const MaterialId& material);

// A part of this kind with sensible proportions and the first fitting material of the book, where tying order wants it.
[[nodiscard]] Result<Edit> addPart(const Book& book, const DressingId& pattern, PartKind kind);
// References to parts behind it move along. A fault where another part is measured against it.
[[nodiscard]] Result<Edit> removePart(const Book& book, const DressingId& pattern, std::size_t part);
[[nodiscard]] Result<Edit> movePart(const Book& book, const DressingId& pattern, std::size_t part, std::size_t to);

// The dressing on another hook of the book.
[[nodiscard]] Result<Edit> changeHook(const Book& book, const DressingId& pattern, const HookId& hook);

// The same hook in another size or wire: one of the book where it has one, else a nominal one is added to it.
[[nodiscard]] bool sameModel(const HookSpec& a, const HookSpec& b);
// The id of this hook in the book, put in where it has no such model.
HookId takeHook(Book& book, HookSpec hook);
struct HookChange {
    std::optional<int> size;
    std::optional<int> heavier;
    std::optional<bool> barb = {};
};
[[nodiscard]] Result<Edit> resizeHook(const Book& book, const DressingId& pattern, const HookChange& change);

[[nodiscard]] Result<Edit> changeTeamFly(const Book& book, const TeamId& team, Position position, const std::optional<Fly>& fly);

}  // namespace machair
