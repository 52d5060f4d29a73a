// What would mend a team, as cards: each fly that changes as it is and as it would be, at one scale, what that costs and what it
// buys. Painted into the lines of a list, which keeps its keys, its pointing and its taking.
#pragma once

#include <QImage>
#include <QStyledItemDelegate>
#include <stop_token>
#include <vector>

#include "team/balance.h"
#include "theme/theme.h"

class QListWidgetItem;

namespace machair::app {

struct MendFly {
    Position position = Position::bob;
    QImage before, after;  // null where nothing hangs there
};

class MendCards : public QStyledItemDelegate {
    Q_OBJECT
  public:
    static constexpr int kHigh = 196;  // px of a card: two flies that change, their words, and what they buy
    explicit MendCards(const Theme& theme, QObject* parent = nullptr) : QStyledItemDelegate(parent), theme_(theme) {}
    // The words of a card; its pictures may follow.
    static void set(QListWidgetItem& item, const QString& buys);
    static void setFlies(QListWidgetItem& item, std::vector<MendFly> flies);
    [[nodiscard]] static std::size_t fliesOn(const QListWidgetItem& item);

    void paint(QPainter* painter, const QStyleOptionViewItem& option, const QModelIndex& index) const override;
    [[nodiscard]] QSize sizeHint(const QStyleOptionViewItem& option, const QModelIndex& index) const override;

  private:
    const Theme& theme_;
};

// The flies that a proposal changes, painted; away from the window's thread.
[[nodiscard]] std::vector<MendFly> changedBy(const Book& book, const TeamId& team, const Proposal& proposal, drawing::Bench bench,
                                             double devicePixelRatio, const std::stop_token& stop);
// "mends 3 of 4", and what it would put off instead.
[[nodiscard]] QString whatItBuys(const std::vector<TeamCheck>& now, const std::vector<TeamCheck>& then);

}  // namespace machair::app
