// Things side by side, in as many rows as the width asks for.
#pragma once

#include <QLayout>
#include <QLayoutItem>
#include <algorithm>
#include <memory>
#include <utility>
#include <vector>

namespace machair::app {

class FlowLayout : public QLayout {
    Q_OBJECT
  public:
    explicit FlowLayout(QWidget* parent = nullptr, int gap = 4) : QLayout(parent), gap_(gap) { setContentsMargins(0, 0, 0, 0); }

    void addItem(QLayoutItem* item) override { items_.emplace_back(item); }
    [[nodiscard]] int count() const override { return static_cast<int>(items_.size()); }
    [[nodiscard]] QLayoutItem* itemAt(int index) const override {
        return index >= 0 && index < count() ? items_[static_cast<std::size_t>(index)].get() : nullptr;
    }
    QLayoutItem* takeAt(int index) override {
        if (index < 0 || index >= count()) return nullptr;
        const auto at = items_.begin() + index;
        QLayoutItem* taken = at->release();
        items_.erase(at);
        return taken;
    }
    [[nodiscard]] Qt::Orientations expandingDirections() const override { return {}; }
    [[nodiscard]] bool hasHeightForWidth() const override { return true; }
    [[nodiscard]] int heightForWidth(int width) const override { return place(QRect(0, 0, width, 0), false); }
    [[nodiscard]] QSize sizeHint() const override { return minimumSize(); }
    [[nodiscard]] QSize minimumSize() const override {
        QSize size;
        for (const auto& item : items_)
            size = size.expandedTo(item->minimumSize());
        return size;
    }
    void setGeometry(const QRect& rect) override {
        QLayout::setGeometry(rect);
        place(rect, true);
    }

  private:
    // The height that it takes.
    int place(QRect room, bool move) const {
        int x = room.x(), y = room.y(), row = 0;
        std::vector<std::pair<QLayoutItem*, QRect>> line;  // what stands in this row
        const auto lay = [&] {
            for (const auto& [item, rect] : line)
                if (move) item->setGeometry(rect.translated(0, (row - rect.height()) / 2));
            line.clear();
        };
        for (const auto& item : items_) {
            if (item->isEmpty()) continue;
            const QSize wanted = item->sizeHint();
            if (x > room.x() && x + wanted.width() > room.right() + 1) {
                lay();
                x = room.x();
                y += row + gap_;
                row = 0;
            }
            line.emplace_back(item.get(), QRect(QPoint(x, y), wanted));
            x += wanted.width() + gap_;
            row = std::max(row, wanted.height());
        }
        lay();
        return y + row - room.y();
    }

    int gap_;
    std::vector<std::unique_ptr<QLayoutItem>> items_;
};

}  // namespace machair::app
