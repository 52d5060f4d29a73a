#include "book/references.h"

#include "book/describe.h"
#include "book/lists.h"

namespace machair {

namespace {

// Goes over one record, knowing where it is by links up its own stack.
class Walk {
  public:
    struct Root {
        const std::function<void(const Reference&)>& visit;
        std::string_view list;
        std::size_t index;
    };
    explicit Walk(const Root& root) : root_(root) {}

    template <class Record>
    void operator()(const char* key, const Id<Record>& member, const Rule& rule = {}) {
        if (!rule.refersTo) return;  // its own
        root_.visit(
            Reference(root_.list, root_.index, rule.refersTo, rule.noun, member, rule.past, [this, key] { return place().key(key); }));
    }
    // Its dressing stands under the fly's own key where nothing else is said of it.
    void operator()(const char* key, const Fly& fly, const Rule& rule = {}) {
        const bool bare = fly == Fly(fly.pattern);
        root_.visit(Reference(root_.list, root_.index, rule.refersTo, rule.noun, fly.pattern, rule.past,
                              [this, key, bare] { return bare ? place().key(key) : place().key(key).key("pattern"); }));
        if (fly.hook)
            root_.visit(Reference(root_.list, root_.index, kHookId.refersTo, kHookId.noun, *fly.hook, rule.past,
                                  [this, key] { return place().key(key).key("hook"); }));
    }
    template <class Record>
    void operator()(const char* key, const std::vector<Id<Record>>& members, const Rule& rule = {}) {
        for (std::size_t i = 0; i < members.size(); ++i)
            root_.visit(Reference(root_.list, root_.index, rule.refersTo, rule.noun, members[i], rule.past,
                                  [this, key, i] { return place().key(key).at(i); }));
    }
    template <class T>
    void operator()(const char* key, const T& member, const Rule& = {}) {
        into(key, member);
    }
    template <class T>
    void operator()(const char* key, const std::optional<T>& member, const Rule& rule = {}) {
        if (member) (*this)(key, *member, rule);
    }
    template <class T>
    void operator()(const char* key, const std::vector<T>& member, const Rule& = {}) {
        if constexpr (requires(Walk & walk, const T& item) { describe(walk, item); })
            for (std::size_t i = 0; i < member.size(); ++i)
                Walk(*this, key, i).describeOne(member[i]);
    }
    template <class Kind, class Variant>
    void byKind(Kind, const Variant& member, Variant (*)(Kind)) {
        std::visit([this](const auto& alternative) { describe(*this, alternative); }, member);
    }
    void rest(const Carried&) {}
    template <class T>
    void describeOne(const T& record) {
        describe(*this, record);
    }

  private:
    static constexpr std::size_t kNoIndex = static_cast<std::size_t>(-1);
    Walk(const Walk& up, const char* key, std::size_t index) : root_(up.root_), up_(&up), key_(key), index_(index) {}
    template <class T>
    void into(const char* key, const T& member) {
        if constexpr (requires(Walk & walk) { describe(walk, member); }) Walk(*this, key, kNoIndex).describeOne(member);
    }
    [[nodiscard]] Place place() const {
        if (!up_) return Place(std::string(root_.list)).at(root_.index);
        const Place own = up_->place().key(key_);
        return index_ == kNoIndex ? own : own.at(index_);
    }
    const Root& root_;
    const Walk* up_ = nullptr;
    const char* key_ = "";
    std::size_t index_ = kNoIndex;
};

}  // namespace

void eachReference(const Book& book, const std::function<void(const Reference&)>& visit) {
    eachList([&]<class Record>(const char* name, std::vector<Record> Book::*list) {
        const std::vector<Record>& records = book.*list;
        for (std::size_t i = 0; i < records.size(); ++i) {
            const Walk::Root root{visit, name, i};
            Walk(root).describeOne(records[i]);
        }
    });
}

}  // namespace machair
