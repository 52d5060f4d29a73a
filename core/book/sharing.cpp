#include "book/sharing.h"

#include <algorithm>
#include <map>
#include <set>

#include "book/describe.h"
#include "book/lists.h"
#include "book/references.h"
#include "language/say.h"

namespace machair {

namespace {

using Key = std::pair<std::string, std::string>;  // list and id

// Each record with what it can't be without.
std::map<Key, std::vector<Key>> needsOf(const Book& book) {
    std::map<Key, std::vector<Key>> needs;
    std::map<std::string, std::vector<std::string>, std::less<>> ids;
    eachList([&](const char* name, auto list) {
        for (const auto& record : book.*list)
            ids[name].push_back(record.id);
    });
    eachReference(book, [&](const Reference& reference) {
        if (reference.past) return;
        needs[{std::string(reference.list), ids.at(std::string(reference.list))[reference.index]}].emplace_back(reference.to, reference.id);
    });
    return needs;
}

std::set<Key> closureOf(const Book& book, const std::vector<RecordId>& wanted) {
    const auto needs = needsOf(book);
    std::set<Key> closed;
    std::vector<Key> open;
    for (const RecordId& record : wanted)
        open.emplace_back(record.list, record.id);
    while (!open.empty()) {
        Key key = std::move(open.back());
        open.pop_back();
        if (!closed.insert(key).second) continue;
        if (const auto found = needs.find(key); found != needs.end()) open.insert(open.end(), found->second.begin(), found->second.end());
    }
    return closed;
}

// Goes over a record and gives every id that it refers to its new name.
class Renames {
  public:
    explicit Renames(const std::map<Key, std::string>& names) : names_(names) {}

    template <class Record>
    void operator()(const char*, Id<Record>& member, const Rule& rule = {}) {
        rename(member, rule);
    }
    void operator()(const char*, Fly& fly, const Rule& rule = {}) {
        rename(fly.pattern, rule);
        if (fly.hook) rename(*fly.hook, kHookId);
    }
    template <class Record>
    void operator()(const char*, std::vector<Id<Record>>& members, const Rule& rule = {}) {
        for (Id<Record>& member : members)
            rename(member, rule);
    }
    template <class T>
    void operator()(const char*, T& member, const Rule& = {}) {
        into(member);
    }
    template <class T>
    void operator()(const char* key, std::optional<T>& member, const Rule& rule = {}) {
        if (member) (*this)(key, *member, rule);
    }
    template <class T>
    void operator()(const char*, std::vector<T>& members, const Rule& = {}) {
        for (T& member : members)
            into(member);
    }
    template <class Kind, class Variant>
    void byKind(Kind, Variant& member, Variant (*)(Kind)) {
        std::visit([this](auto& alternative) { describe(*this, alternative); }, member);
    }
    void rest(const Carried&) {}

  private:
    template <class T>
    void into(T& member) {
        if constexpr (requires { describe(*this, member); }) describe(*this, member);
    }
    template <class Record>
    void rename(Id<Record>& id, const Rule& rule) const {
        if (!rule.refersTo) return;
        if (const auto found = names_.find({rule.refersTo, id}); found != names_.end()) id = Id<Record>(found->second);
    }
    const std::map<Key, std::string>& names_;
};

// What differs between two of a kind, in words; their ids apart.
template <class Record>
std::vector<std::string> differencesOf(const Record& theirs, const Record& ours) {
    std::vector<std::string> said;
    const auto a = fieldsOf(theirs), b = fieldsOf(ours);
    constexpr std::size_t kMost = 4;
    for (const Field& field : a) {
        if (said.size() >= kMost) break;
        const auto other = std::ranges::find(b, field.key, &Field::key);
        const std::string here = other == b.end() ? "" : other->text;
        if (field.text != here)
            said.push_back(say("{} {}, here {}", field.label, field.text.empty() ? say("as usual") : field.text,
                               here.empty() ? say("as usual") : here));
    }
    if (said.empty()) said.emplace_back(say("what stands within it"));
    return said;
}

template <class Record>
bool sameBut(Record a, const Record& b) {
    a.id = b.id;
    return a == b;
}

}  // namespace

Result<Book> shareOf(const Book& book, const std::vector<RecordId>& wanted) {
    for (const RecordId& record : wanted)
        if (!isIn(book, record)) return noSuch(Place(record.list), nameOfOne(record.list), record.id);
    const auto closed = closureOf(book, wanted);
    Book shared;
    eachList([&](const char* name, auto list) {
        for (const auto& record : book.*list)
            if (closed.contains({name, record.id})) (shared.*list).push_back(record);
    });
    return shared;
}

namespace {

// What of the other book is here already, and under which id: the same in itself, and so is all that it refers to.
std::map<Key, std::string> sameHere(const Book& book, const Book& other) {
    std::map<Key, std::string> same;
    eachList([&](const char* name, auto list) {
        for (const auto& theirs : other.*list) {
            const auto& ours = book.*list;
            const auto own = std::ranges::find_if(ours, [&](const auto& o) { return o.id == theirs.id && o == theirs; });
            const auto found = own != ours.end() ? own : std::ranges::find_if(ours, [&](const auto& o) { return sameBut(theirs, o); });
            if (found != ours.end()) same[{name, theirs.id}] = found->id;
        }
    });
    const auto needs = needsOf(other);
    // Equal texts that mean another thing here are not the same, nor is what refers to them.
    const auto isOther = [&](const Key& need) {
        const auto found = same.find(need);
        return found == same.end() || found->second != need.second;
    };
    for (bool settled = false; !settled;) {
        settled = true;
        for (const auto& [key, wanted] : needs)
            if (same.contains(key) && std::ranges::any_of(wanted, isOther)) {
                same.erase(key);
                settled = false;
            }
    }
    return same;
}

}  // namespace

std::vector<Arriving> arrivalsOf(const Book& book, const Book& other) {
    const auto same = sameHere(book, other);
    std::vector<Arriving> arrivals;
    eachList([&](const char* name, auto list) {
        for (const auto& theirs : other.*list) {
            Arriving arriving{{name, theirs.id}, titleOf(other, theirs), Arrival::fresh, {}};
            const auto& ours = book.*list;
            const auto found = std::ranges::find_if(ours, [&](const auto& own) { return own.id == theirs.id; });
            if (same.contains({name, theirs.id})) {
                arriving.how = Arrival::same;
            } else if (found != ours.end()) {
                arriving.how = Arrival::differs;
                arriving.differences =
                    *found == theirs ? std::vector<std::string>{say("what it is made of")} : differencesOf(theirs, *found);
            }
            arrivals.push_back(std::move(arriving));
        }
    });
    return arrivals;
}

Result<Edit> takeIn(const Book& book, const Book& other, const std::vector<RecordId>& wanted, std::string words) {
    const auto closed = closureOf(other, wanted);
    Edit edit{std::move(words), book};
    std::map<Key, std::string> names;  // what theirs are called here
    const auto same = sameHere(book, other);
    std::set<Key> taken;
    eachList([&](const char* name, auto list) {
        const auto& ours = book.*list;
        for (const auto& theirs : other.*list) {
            const Key key{name, theirs.id};
            if (!closed.contains(key)) continue;
            if (const auto here = same.find(key); here != same.end()) {
                names[key] = here->second;
                continue;
            }
            const auto isHere = [&](const std::string& id) {
                const auto has = [&](const auto& records) {
                    return std::ranges::any_of(records, [&](const auto& r) { return r.id == id; });
                };
                return has(ours) ||
                       std::ranges::any_of(names, [&](const auto& entry) { return entry.first.first == name && entry.second == id; });
            };
            std::string id = theirs.id;
            for (int n = 2; isHere(id); ++n)
                id = theirs.id + "-" + std::to_string(n);
            names[key] = id;
            taken.insert(key);
        }
    });
    eachList([&](const char* name, auto list) {
        for (auto theirs : other.*list) {
            const Key key{name, theirs.id};
            if (!taken.contains(key)) continue;
            Renames renames(names);
            describe(renames, theirs);
            theirs.id = decltype(theirs.id)(names.at(key));
            (edit.after.*list).push_back(std::move(theirs));
        }
    });
    if (Faults faults = checkToRead(edit.after); !faults.empty()) return tl::unexpected(std::move(faults));
    return edit;
}

}  // namespace machair
