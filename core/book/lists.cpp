#include "book/lists.h"

#include <iterator>

#include "language/say.h"

namespace machair {

namespace {

// Lists of one length: a stretch for each run of records that differ. Else one stretch between what both begin and end with.
template <class Record>
std::vector<Splice<Record>> splicesOf(const std::vector<Record>& before, const std::vector<Record>& after) {
    std::vector<Splice<Record>> splices;
    const auto copy = [](const std::vector<Record>& from, std::size_t first, std::size_t last) {
        return std::vector<Record>(from.begin() + static_cast<std::ptrdiff_t>(first), from.begin() + static_cast<std::ptrdiff_t>(last));
    };
    if (before.size() == after.size()) {
        for (std::size_t i = 0; i < after.size(); ++i) {
            if (before[i] == after[i]) continue;
            std::size_t end = i + 1;
            while (end < after.size() && !(before[end] == after[end]))
                ++end;
            splices.push_back({i, copy(before, i, end), copy(after, i, end)});
            i = end;
        }
        return splices;
    }
    const Differing where = differing(before, after);
    splices.push_back({where.from, copy(before, where.from, where.endBefore), copy(after, where.from, where.endAfter)});
    return splices;
}

template <class Record>
void replace(std::vector<Record>& list, std::size_t at, const std::vector<Record>& was, const std::vector<Record>& is) {
    require(at + was.size() <= list.size(), unsaid("a difference of books belongs to the book it was made from"));
    const auto first = list.begin() + static_cast<std::ptrdiff_t>(at);
    if (was.size() == is.size()) {
        std::ranges::copy(is, first);
        return;
    }
    list.insert(list.erase(first, first + static_cast<std::ptrdiff_t>(was.size())), is.begin(), is.end());
}

}  // namespace

std::string idOfName(std::string_view name, std::string_view otherwise) {
    std::string id;
    for (const char c : name) {
        const bool capital = c >= 'A' && c <= 'Z', plain = capital || (c >= 'a' && c <= 'z') || (c >= '0' && c <= '9');
        if (plain)
            id += capital ? static_cast<char>(c - 'A' + 'a') : c;
        else if (!id.empty() && id.back() != '-')
            id += '-';
    }
    constexpr std::size_t kLongest = 32;
    id = id.substr(0, kLongest);
    while (!id.empty() && id.back() == '-')
        id.pop_back();
    return id.empty() ? std::string(otherwise) : id;
}

BookDifference::BookDifference(const Book& before, const Book& after) {
    eachList([&]<class Record>(const char*, std::vector<Record> Book::*list) {
        std::get<Splices<Record>>(lists_) = splicesOf(before.*list, after.*list);
    });
    if (!(before.schools == after.schools)) schools_ = {before.schools, after.schools};
    if (before.carried != after.carried) carried_ = {before.carried, after.carried};
}

void BookDifference::turn(Book& book, bool forth) const {
    eachList([&]<class Record>(const char*, std::vector<Record> Book::*list) {
        for (const Splice<Record>& splice : std::get<Splices<Record>>(lists_))
            forth ? replace(book.*list, splice.at, splice.was, splice.is) : replace(book.*list, splice.at, splice.is, splice.was);
    });
    if (schools_) book.schools = forth ? schools_->is : schools_->was;
    if (carried_) book.carried = forth ? carried_->is : carried_->was;
}

std::size_t BookDifference::records() const {
    std::size_t count = 0;
    eachList([&]<class Record>(const char*, std::vector<Record> Book::*) {
        for (const Splice<Record>& splice : std::get<Splices<Record>>(lists_))
            count += splice.was.size() + splice.is.size();
    });
    return count;
}

bool BookDifference::empty() const { return records() == 0 && !schools_ && !carried_; }

}  // namespace machair
