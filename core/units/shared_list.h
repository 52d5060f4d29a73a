// A list that its copies share until one of them changes. An edit copies the book; nearly all of it stays as it was, and then two
// copies are known to be alike without being compared.
#pragma once

#include <atomic>
#include <cstddef>
#include <initializer_list>
#include <memory>
#include <utility>
#include <vector>

namespace machair {

// A std::vector to whoever reads it. Who may change it gets a list of its own first (`own`); references and iterators that were taken
// before stay with the shared one, so nothing that can be written through is held while its owner is copied. As safe between
// threads as a vector is: each copy is one thread's.
template <class T>
class SharedList {
  public:
    using value_type = T;
    using const_iterator = typename std::vector<T>::const_iterator;
    using iterator = typename std::vector<T>::iterator;

    SharedList() = default;
    SharedList(std::vector<T> list) : list_(std::make_shared<std::vector<T>>(std::move(list))) {}
    SharedList(std::initializer_list<T> list) : SharedList(std::vector<T>(list)) {}

    [[nodiscard]] const std::vector<T>& all() const {
        static const std::vector<T> kNone;
        return list_ ? *list_ : kNone;
    }
    operator const std::vector<T>&() const { return all(); }

    [[nodiscard]] std::vector<T>& own() {
        if (!list_)
            list_ = std::make_shared<std::vector<T>>();
        else if (list_.use_count() > 1)
            list_ = std::make_shared<std::vector<T>>(*list_);
        std::atomic_thread_fence(std::memory_order_acquire);  // what another thread read of it, it read before it let go
        return *list_;
    }

    [[nodiscard]] std::size_t size() const { return all().size(); }
    [[nodiscard]] bool empty() const { return all().empty(); }
    [[nodiscard]] const_iterator begin() const { return all().begin(); }
    [[nodiscard]] const_iterator end() const { return all().end(); }
    [[nodiscard]] const T& operator[](std::size_t i) const { return all()[i]; }
    [[nodiscard]] const T& at(std::size_t i) const { return all().at(i); }
    [[nodiscard]] const T& front() const { return all().front(); }
    [[nodiscard]] const T& back() const { return all().back(); }

    [[nodiscard]] iterator begin() { return own().begin(); }
    [[nodiscard]] iterator end() { return own().end(); }
    [[nodiscard]] T& operator[](std::size_t i) { return own()[i]; }
    [[nodiscard]] T& at(std::size_t i) { return own().at(i); }
    [[nodiscard]] T& front() { return own().front(); }
    [[nodiscard]] T& back() { return own().back(); }
    void push_back(T one) { own().push_back(std::move(one)); }
    template <class... Values>
    T& emplace_back(Values&&... values) {
        return own().emplace_back(std::forward<Values>(values)...);
    }
    template <class... Values>
    iterator insert(const_iterator at, Values&&... values) {
        const auto offset = at - all().begin();
        return own().insert(own().begin() + offset, std::forward<Values>(values)...);
    }
    iterator erase(const_iterator at) { return erase(at, at + 1); }
    iterator erase(const_iterator from, const_iterator to) {
        const auto first = from - all().begin(), last = to - all().begin();
        return own().erase(own().begin() + first, own().begin() + last);
    }
    void pop_back() { own().pop_back(); }
    void clear() { list_.reset(); }

    bool operator==(const SharedList& other) const { return list_ == other.list_ || all() == other.all(); }
    bool operator==(const std::vector<T>& other) const { return all() == other; }

  private:
    std::shared_ptr<std::vector<T>> list_;
};

template <class T>
[[nodiscard]] const std::vector<T>& wholeOf(const SharedList<T>& list) {
    return list.all();
}
template <class T>
[[nodiscard]] std::vector<T>& wholeOf(SharedList<T>& list) {
    return list.own();
}

}  // namespace machair
