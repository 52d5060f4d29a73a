// Teams to choose from, each as the cast it would be: three flies on their leader, the verdict, and why. Painted into the lines
// of a list, which keeps its keys and its words.
#pragma once

#include <QStyledItemDelegate>
#include <array>

#include "parts/pictures.h"
#include "team/choose.h"
#include "theme/theme.h"

class QListWidgetItem;

namespace machair::app {

class ChoiceCasts : public QStyledItemDelegate {
    Q_OBJECT
  public:
    ChoiceCasts(Pictures& pictures, const Theme& theme, QObject* parent = nullptr)
        : QStyledItemDelegate(parent), pictures_(pictures), theme_(theme) {}
    struct Shown {
        std::array<Fly, 3> flies;
        std::array<QString, 3> names;
        QString score;  // its rank, verdict and score
        QStringList why;
        Verdict verdict = Verdict::pass;
    };
    static void set(QListWidgetItem& item, const Shown& shown);
    [[nodiscard]] static bool isCast(const QListWidgetItem& item);

    void paint(QPainter* painter, const QStyleOptionViewItem& option, const QModelIndex& index) const override;
    [[nodiscard]] QSize sizeHint(const QStyleOptionViewItem& option, const QModelIndex& index) const override;

  private:
    Pictures& pictures_;
    const Theme& theme_;
};

}  // namespace machair::app
