#include "check/pairs_view.h"

#include <QLineEdit>
#include <QVBoxLayout>
#include <tuple>

#include "checking/checking.h"
#include "frame/panel.h"
#include "parts/label.h"
#include "theme/said.h"
#include "units/text.h"

namespace machair::app {

namespace {

// "11.2, 11.6 11.4" as lengths; nothing where something else stands there.
std::optional<std::vector<Length>> lengthsIn(const QString& text) {
    std::vector<Length> list;
    for (const QString& word : QString(text).replace(QLatin1Char(','), QLatin1Char(' ')).split(QLatin1Char(' '), Qt::SkipEmptyParts)) {
        const auto length = parseLength(word.toStdString(), lengthsSaidIn());
        if (!length || *length <= 0.0 * mm) return std::nullopt;
        list.push_back(*length);
    }
    return list;
}

}  // namespace

PairsView::PairsView(QWidget* parent) : QWidget(parent), lefts_(new QLineEdit), rights_(new QLineEdit), paired_(new Label) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(40, 30, 40, 30);
    column->setSpacing(10);
    auto* title = heading(tr("Pairs out of a heap"));
    title->setFont(faceScaled(1.5, true));
    column->addWidget(title);
    auto* how =
        new Label(tr("Measure wings, cheeks or flies one by one; the calliper writes where the cursor is. With lefts and rights apart, "
                     "each pair takes one of both."));
    how->setWordWrap(true);
    column->addWidget(how);
    for (const auto& [line, name, label] :
         {std::tuple{lefts_, "lefts", tr("the heap, or the lefts (%1)").arg(lengthUnitName())},
          std::tuple{rights_, "rights", tr("the rights (%1); empty where there are no sides").arg(lengthUnitName())}}) {
        line->setObjectName(QString::fromLatin1(name));
        line->setAccessibleName(label);
        line->setPlaceholderText(QStringLiteral("11.2  11.6  11.4 …"));
        column->addWidget(new Label(label));
        column->addWidget(line);
        connect(line, &QLineEdit::textChanged, this, &PairsView::pair);
    }
    paired_->setObjectName(QStringLiteral("paired"));
    paired_->setFont(faceScaled(1.2));
    paired_->setWordWrap(true);
    column->addWidget(paired_);
    column->addStretch(1);
}

void PairsView::take(Length length) {
    QLineEdit* to = rights_->hasFocus() ? rights_ : lefts_;
    to->setText((to->text() + QLatin1Char(' ') + lengthFigure(length, 2)).trimmed());
    pair();
}

void PairsView::pair() {
    const auto lefts = lengthsIn(lefts_->text()), rights = lengthsIn(rights_->text());
    if (!lefts || !rights) return paired_->setText(tr("✗ Expected lengths with spaces between them, as 11.2 11.6 11.4"));
    if (lefts->size() + rights->size() < 2) return paired_->setText({});
    const bool sides = !rights->empty();
    if (sides && lefts->empty()) return paired_->setText(tr("Measure the lefts as well"));
    const Pairing pairing = sides ? bestPairs(*lefts, *rights) : bestPairs(*lefts);
    QStringList said;
    for (const auto& [a, b] : pairing.pairs) {
        const Length one = (*lefts)[a], two = sides ? (*rights)[b] : (*lefts)[b];
        said << tr("%1 mm with %2 mm: %3 mm apart").arg(number(one / mm, 2), number(two / mm, 2), number(abs(one - two) / mm, 2));
    }
    if (pairing.left) said << tr("%1 mm is left over").arg(number((*lefts)[*pairing.left] / mm, 2));
    said << tr("Worst pair %1 mm apart; no other pairing has a smaller sum.").arg(number(pairing.worst / mm, 2));
    paired_->setText(said.join(QLatin1Char('\n')));
}

}  // namespace machair::app
