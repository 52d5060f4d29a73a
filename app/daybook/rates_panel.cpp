#include "daybook/rates_panel.h"

#include <QComboBox>
#include <QHBoxLayout>
#include <QSignalBlocker>
#include <QVBoxLayout>
#include <algorithm>

#include "daybook/learned.h"
#include "daybook/rate_view.h"
#include "language/say.h"
#include "leader/exposure.h"
#include "parts/label.h"
#include "theme/said.h"
#include "units/text.h"

namespace machair::app {

RatesPanel::RatesPanel(Document& document, RateView& view, QWidget* parent)
    : QWidget(parent),
      document_(document),
      rates_(view),
      factor_(new QComboBox),
      swap_(new Label),
      one_(new QComboBox),
      two_(new QComboBox),
      compared_(new Label) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    auto* by = new QHBoxLayout;
    by->addWidget(new Label(tr("Rates by")));
    factor_->setObjectName(QStringLiteral("factor"));
    for (const auto& entry : Names<Factor>::entries)
        factor_->addItem(qt(say(spaced(entry.name))));
    factor_->addItem(tr("style"));
    factor_->addItem(tr("depth"));
    by->addWidget(factor_, 1);
    column->addLayout(by);
    swap_->setObjectName(QStringLiteral("swap"));
    swap_->setWordWrap(true);
    column->addWidget(swap_);
    auto* pair = new QHBoxLayout;
    for (QComboBox* box : {one_, two_}) {
        box->setObjectName(box == one_ ? QStringLiteral("compare-one") : QStringLiteral("compare-two"));
        box->setAccessibleName(tr("A fly to compare"));
        box->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
        box->setMinimumContentsLength(9);
        pair->addWidget(box, 1);
        connect(box, &QComboBox::activated, this, &RatesPanel::sayComparison);
    }
    column->addLayout(pair);
    compared_->setObjectName(QStringLiteral("compared"));
    compared_->setWordWrap(true);
    column->addWidget(compared_);
    connect(factor_, &QComboBox::currentIndexChanged, this, &RatesPanel::refreshRates);
}

void RatesPanel::refresh() {
    for (QComboBox* box : {one_, two_}) {
        const QString chosenFly = box->currentData().toString();
        const QSignalBlocker quiet(box);
        box->clear();
        for (const Pattern& pattern : document_.book().patterns)
            box->addItem(qt(pattern.title()), qt(pattern.id));
        if (const int at = box->findData(chosenFly); at >= 0)
            box->setCurrentIndex(at);
        else if (box == two_ && box->count() > 1)
            box->setCurrentIndex(1);
    }
    refreshRates();
    sayComparison();
}

void RatesPanel::sayComparison() {
    const std::string one = one_->currentData().toString().toStdString(), two = two_->currentData().toString().toStdString();
    if (one.empty() || one == two) return compared_->setText(tr("Choose two flies to compare."));
    const FlyComparison c = compareFlies(document_.book(), one, two);
    const auto rate = [](const Rate& r) {
        return r.fished ? tr("%1 (%2 to %3)").arg(number(r.mean(), 2), number(r.low, 2), number(r.high, 2)) : tr("not fished");
    };
    QString said = c.told() ? tr("%1 takes more: %2 % sure.")
                                  .arg(c.better > 0.5 ? one_->currentText() : two_->currentText(),
                                       number(100.0 * std::max(c.better, 1.0 - c.better), 0))
                            : tr("Not enough to tell which takes more.");
    said += tr(" %1 against %2 fish a rod-hour, ").arg(rate(c.one), rate(c.two));
    said += c.within ? tr("within the %1 days both were on.").arg(c.days) : tr("over all days: they shared only %1.").arg(c.days);
    compared_->setText(said);
}

void RatesPanel::refreshRates() {
    if (!document_.isOpen()) return;
    const auto chosen = static_cast<std::size_t>(std::max(0, factor_->currentIndex()));
    const std::optional<Factor> factor =
        chosen < Names<Factor>::entries.size() ? std::optional(Names<Factor>::entries[chosen].value) : std::nullopt;  // else by depth
    const TeamSpec* team = document_.team();
    struct Found {
        std::vector<Rate> rates;
        SwapAdvice swap;
        std::vector<CurveShift> shifts;
    };
    const bool style = factor_->currentText() == tr("style");
    background_.start(
        [book = document_.book(), factor, style, team = team ? team->id : TeamId(),
         water = document_.water() ? document_.water()->id : WaterId()](const std::stop_token& stop, const Background::Progress&) {
            return Found{factor  ? ratesBy(book, *factor)
                         : style ? ratesByStyle(book)
                                 : ratesByDepth(book, DepthExposure(book, stop)),
                         swapAdvice(book, team, settingOf(book, book.findWater(water))), curveShifts(book)};
        },
        [this, factor](Found found) {
            const bool ownNames = factor == Factor::fly || factor == Factor::flyAndPosition;
            for (Rate& rate : found.rates)
                if (!ownNames) rate.name = say(spaced(rate.name));
            rates_.show(std::move(found.rates));
            QStringList said{qt(found.swap.words)};
            for (const CurveShift& shift : found.shifts)
                said << qt(shift.words());
            swap_->setText(said.join(QLatin1Char('\n')));
        });
}

}  // namespace machair::app
