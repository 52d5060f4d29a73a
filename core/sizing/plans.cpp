#include "sizing/plans.h"

namespace machair {

Plans::Of Plans::of(const Book& book) {
    const std::scoped_lock lock(mutex_);
    if (!(materials_ == book.materials && schools_ == book.schools)) {
        materials_ = book.materials;
        schools_ = book.schools;
        kept_.clear();
        ++edition_;
    }
    return {this, book, edition_};
}

std::size_t Plans::made() const {
    const std::scoped_lock lock(mutex_);
    return made_;
}

Result<std::shared_ptr<const Plan>> Plans::Of::fly(const Fly& fly, const Place& place) {
    const Pattern* pattern = book_.findPattern(fly.pattern);
    const HookSpec* hook = pattern ? book_.findHook(fly.hook.value_or(pattern->hook)) : nullptr;
    const auto key = std::pair(fly.pattern, hook ? hook->id : std::string());
    const auto index = static_cast<std::size_t>(pattern ? pattern - book_.patterns.data() : 0);
    if (plans_ && hook) {
        const std::scoped_lock lock(plans_->mutex_);
        const auto found = plans_->kept_.find(key);
        if (plans_->edition_ == edition_ && found != plans_->kept_.end() && found->second.place == index &&
            found->second.pattern == *pattern && found->second.hook == *hook)
            return found->second.plan;
    }
    auto planned = planFly(book_, fly, place);
    if (!planned) return tl::unexpected(std::move(planned.error()));
    auto plan = std::make_shared<const Plan>(std::move(*planned));
    if (plans_ && hook) {
        const std::scoped_lock lock(plans_->mutex_);
        ++plans_->made_;
        if (plans_->edition_ == edition_) {  // else somebody asked for a book with other materials meanwhile
            if (plans_->kept_.size() >= kMost) plans_->kept_.clear();
            plans_->kept_.insert_or_assign(key, Kept{*pattern, index, *hook, plan});
        }
    }
    return plan;
}

}  // namespace machair
