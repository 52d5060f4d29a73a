// The ids of a book's records, a type for each kind of record: where a dressing is asked for, a hook can't be handed in.
// An id is read as the text that it is kept as; a text becomes an id only where somebody says of what. A literal may
// stand for an id of any kind, since it says so itself.
#pragma once

#include <functional>
#include <iosfwd>
#include <string>
#include <string_view>
#include <utility>

namespace machair {

template <class Record>
class Id {
  public:
    Id() = default;
    explicit Id(std::string text) : text_(std::move(text)) {}
    explicit Id(std::string_view text) : text_(text) {}
    Id(const char* literal) : text_(literal) {}

    [[nodiscard]] const std::string& text() const { return text_; }
    operator const std::string&() const { return text_; }
    operator std::string_view() const { return text_; }
    [[nodiscard]] bool empty() const { return text_.empty(); }

    bool operator==(const Id&) const = default;
    auto operator<=>(const Id&) const = default;
    // Against a text that was read, where it doesn't matter of what it is the id.
    friend bool operator==(const Id& id, std::string_view text) { return id.text_ == text; }
    friend bool operator==(const Id& id, const std::string& text) { return id.text_ == text; }
    friend bool operator==(const Id& id, const char* text) { return id.text_ == text; }
    // An id of another kind is never the same thing, and asking is a mistake.
    template <class Other>
    friend bool operator==(const Id&, const Id<Other>&) = delete;

    friend std::string operator+(const Id& id, std::string_view more) { return id.text_ + std::string(more); }
    friend std::string operator+(std::string_view before, const Id& id) { return std::string(before) + id.text_; }

    template <class Char, class Traits>
    friend std::basic_ostream<Char, Traits>& operator<<(std::basic_ostream<Char, Traits>& out, const Id& id) {
        return out << id.text();
    }

  private:
    std::string text_;
};

template <class T>
inline constexpr bool isId = false;
template <class Record>
inline constexpr bool isId<Id<Record>> = true;

struct HookSpec;
struct Material;
struct Pattern;
struct TeamSpec;
struct TeamSchool;
struct VaneFeather;
struct CutList;
struct Cape;
struct Stock;
struct WaterSpec;
struct RuleCard;
struct BoxFly;
struct SeasonRow;
struct Mishap;
struct Batch;
struct CheckedFly;
struct Day;
using HookId = Id<HookSpec>;
using MaterialId = Id<Material>;
using DressingId = Id<Pattern>;
using TeamId = Id<TeamSpec>;
using SchoolId = Id<TeamSchool>;
using FeatherId = Id<VaneFeather>;
using CutListId = Id<CutList>;
using CapeId = Id<Cape>;
using StockId = Id<Stock>;
using WaterId = Id<WaterSpec>;
using RuleCardId = Id<RuleCard>;
using BoxFlyId = Id<BoxFly>;
using SeasonRowId = Id<SeasonRow>;
using MishapId = Id<Mishap>;
using BatchId = Id<Batch>;
using CheckId = Id<CheckedFly>;
using DayId = Id<Day>;

}  // namespace machair

template <class Record>
struct std::hash<machair::Id<Record>> {
    std::size_t operator()(const machair::Id<Record>& id) const noexcept { return std::hash<std::string>()(id.text()); }
};
