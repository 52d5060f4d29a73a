// What runs out, as a line: how much of a material is left after each batch that waits, and where that meets nothing. Painted
// beside the words of the list.
#pragma once

#include <QStyledItemDelegate>

#include "cutting/stock.h"
#include "theme/theme.h"

class QListWidgetItem;

namespace machair::app {

class StockLines : public QStyledItemDelegate {
    Q_OBJECT
  public:
    explicit StockLines(const Theme& theme, QObject* parent = nullptr) : QStyledItemDelegate(parent), theme_(theme) {}
    static void set(QListWidgetItem& item, const StockWanted& wanted);

    void paint(QPainter* painter, const QStyleOptionViewItem& option, const QModelIndex& index) const override;
    [[nodiscard]] QSize sizeHint(const QStyleOptionViewItem& option, const QModelIndex& index) const override;

  private:
    const Theme& theme_;
};

}  // namespace machair::app
