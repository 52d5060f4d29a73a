#include "parts/spoken.h"
#include "parts/lengths.h"

#include <QAccessible>
#include <QAccessibleActionInterface>
#include <QAccessibleWidget>
#include <QWidget>
#include <optional>

namespace machair::app {

namespace {

// One part. It holds nothing of it: what it says is asked of the widget each time, so that it can't be out of date.
class PartInterface : public QAccessibleInterface, public QAccessibleActionInterface {
  public:
    PartInterface(QWidget* widget, Spoken* spoken, std::size_t part) : widget_(widget), spoken_(spoken), part_(part) {}

    [[nodiscard]] bool isValid() const override { return self().has_value(); }
    [[nodiscard]] QObject* object() const override { return nullptr; }
    [[nodiscard]] QWindow* window() const override { return widget_->window()->windowHandle(); }
    [[nodiscard]] QAccessibleInterface* parent() const override { return QAccessible::queryAccessibleInterface(widget_); }
    [[nodiscard]] QAccessibleInterface* child(int) const override { return nullptr; }
    [[nodiscard]] QAccessibleInterface* childAt(int, int) const override { return nullptr; }
    [[nodiscard]] int childCount() const override { return 0; }
    [[nodiscard]] int indexOfChild(const QAccessibleInterface*) const override { return -1; }
    [[nodiscard]] QString text(QAccessible::Text kind) const override {
        const auto part = self();
        if (!part) return {};
        return inHouseWords(kind == QAccessible::Name ? part->name : kind == QAccessible::Value ? part->value : QString());
    }
    void setText(QAccessible::Text, const QString&) override {}
    [[nodiscard]] QRect rect() const override {
        const auto part = self();
        return part ? QRect(widget_->mapToGlobal(part->where.topLeft()), part->where.size()) : QRect();
    }
    [[nodiscard]] QAccessible::Role role() const override { return QAccessible::ListItem; }
    [[nodiscard]] QAccessible::State state() const override {
        QAccessible::State state;
        const auto part = self();
        state.selectable = state.focusable = true;
        state.selected = part && part->chosen;
        state.focused = state.selected && widget_->hasFocus();
        state.invisible = !part || part->where.isEmpty();
        return state;
    }
    void* interface_cast(QAccessible::InterfaceType type) override {
        return type == QAccessible::ActionInterface ? static_cast<QAccessibleActionInterface*>(this) : nullptr;
    }
    [[nodiscard]] QStringList actionNames() const override {
        const auto part = self();
        QStringList names = {pressAction()};
        if (part && part->canChange) names << increaseAction() << decreaseAction();
        return names;
    }
    void doAction(const QString& name) override {
        if (!self()) return;
        if (name == pressAction()) spoken_->choosePart(part_);
        if (name == increaseAction()) spoken_->nudgePart(part_, 1);
        if (name == decreaseAction()) spoken_->nudgePart(part_, -1);
    }
    [[nodiscard]] QStringList keyBindingsForAction(const QString&) const override { return {}; }

  private:
    [[nodiscard]] std::optional<SpokenPart> self() const {
        auto parts = spoken_->spokenParts();
        return part_ < parts.size() ? std::optional(std::move(parts[part_])) : std::nullopt;
    }
    QWidget* widget_;
    Spoken* spoken_;
    std::size_t part_;
};

class SpokenInterface : public QAccessibleWidget {
  public:
    SpokenInterface(QWidget* widget, Spoken* spoken) : QAccessibleWidget(widget, QAccessible::List), spoken_(spoken) {}
    ~SpokenInterface() override {
        for (const QAccessible::Id id : parts_)
            QAccessible::deleteAccessibleInterface(id);
    }
    SpokenInterface(const SpokenInterface&) = delete;
    SpokenInterface& operator=(const SpokenInterface&) = delete;

    [[nodiscard]] int childCount() const override { return own() + QAccessibleWidget::childCount(); }
    [[nodiscard]] QAccessibleInterface* child(int index) const override {
        if (index < 0 || index >= own()) return QAccessibleWidget::child(index - own());
        while (parts_.size() <= static_cast<std::size_t>(index))
            parts_.push_back(QAccessible::registerAccessibleInterface(new PartInterface(widget(), spoken_, parts_.size())));
        return QAccessible::accessibleInterface(parts_[static_cast<std::size_t>(index)]);
    }
    [[nodiscard]] int indexOfChild(const QAccessibleInterface* child) const override {
        for (std::size_t i = 0; i < parts_.size(); ++i)
            if (QAccessible::accessibleInterface(parts_[i]) == child) return static_cast<int>(i);
        const int there = QAccessibleWidget::indexOfChild(child);
        return there < 0 ? there : there + own();
    }
    [[nodiscard]] QAccessibleInterface* childAt(int x, int y) const override {
        for (int i = 0; i < own(); ++i)
            if (child(i)->rect().contains(x, y)) return child(i);
        return QAccessibleWidget::childAt(x, y);
    }

  private:
    [[nodiscard]] int own() const { return static_cast<int>(spoken_->spokenParts().size()); }
    Spoken* spoken_;
    mutable std::vector<QAccessible::Id> parts_;
};

QAccessibleInterface* spokenInterface(const QString&, QObject* object) {
    auto* widget = qobject_cast<QWidget*>(object);
    auto* spoken = widget ? dynamic_cast<Spoken*>(widget) : nullptr;
    return spoken ? new SpokenInterface(widget, spoken) : nullptr;
}

}  // namespace

void speakParts() {
    static const bool once = [] {
        QAccessible::installFactory(spokenInterface);
        return true;
    }();
    static_cast<void>(once);
}

}  // namespace machair::app
