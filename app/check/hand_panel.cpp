#include "check/hand_panel.h"

#include <QComboBox>
#include <QSignalBlocker>
#include <QVBoxLayout>
#include <cmath>

#include "check/hand_view.h"
#include "frame/panel.h"
#include "hand/hand.h"
#include "parts/label.h"
#include "theme/said.h"

namespace machair::app {

namespace {

QString percent(double share) { return number(100.0 * share, 1); }

}  // namespace

HandPanel::HandPanel(Document& document, HandView& view, QWidget* parent)
    : QWidget(parent), document_(document), view_(view), part_(new QComboBox), said_(new Label) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->addWidget(heading(tr("Your hand")));
    part_->setObjectName(QStringLiteral("hand-part"));
    part_->setAccessibleName(tr("Which part"));
    column->addWidget(part_);
    said_->setObjectName(QStringLiteral("hand-said"));
    said_->setWordWrap(true);
    column->addWidget(said_);
    column->addStretch(1);
    connect(part_, &QComboBox::activated, this, &HandPanel::say);
}

void HandPanel::show(const std::optional<Plan>& plan, const std::vector<CheckItem>& items) {
    plan_ = plan;
    items_ = items;
    say();
}

void HandPanel::say() {
    const auto all = deviationsOf(document_.book());
    const QString chosen = part_->currentText();
    const QSignalBlocker quiet(part_);
    part_->clear();
    for (const auto& [name, deviations] : all)
        part_->addItem(qt(sayMeasured(name)), qt(name));
    if (const int at = part_->findText(chosen); at >= 0) part_->setCurrentIndex(at);
    if (part_->count() == 0) {
        said_->setText(tr("No fly was checked yet: measure a few, and this tells what your hand always does."));
        return view_.show({}, {}, 0.08);
    }
    const auto& deviations = all.at(part_->currentData().toString().toStdString());
    double tolerance = 0.08;
    Length planned = 10.0 * mm;
    for (const CheckItem& item : items_)
        if (part_->currentData().toString() == qt(std::string(nameOf(plan_->parts[item.part].kind)) + " " + item.figure)) {
            tolerance = item.tolerance / item.planned;
            planned = item.planned;
        }
    const HandPosterior hand = handOf(deviations);
    view_.show(part_->currentText(), deviations, tolerance);
    QString said =
        tr("%1 flies: %2 % %3 on average, give or take %4 %. Aim for %5 mm to land at %6 mm. A dozen all within %7 %: %8 % as tied "
           "now, %9 % at that aim.")
            .arg(hand.flies)
            .arg(percent(std::abs(hand.mean)), hand.mean >= 0.0 ? tr("over") : tr("under"), percent(hand.spread()),
                 number(aimFor(planned, hand) / mm, 1), number(planned / mm, 1), percent(tolerance),
                 number(100.0 * dozenWithin(hand, planned, tolerance, planned), 0),
                 number(100.0 * dozenWithin(hand, planned, tolerance, aimFor(planned, hand)), 0));
    constexpr std::size_t kForShift = 8;
    if (deviations.size() >= kForShift) {
        const auto half = deviations.begin() + static_cast<std::ptrdiff_t>(deviations.size() / 2);
        const HandShift shift = shiftBetween({deviations.begin(), half}, {half, deviations.end()});
        said += shift.real() ? tr(" Since the first half it moved by %1 %: that is real.").arg(percent(shift.shift))
                             : tr(" No change since the first half that can be told from chance.");
    }
    // What to practise: the part least likely to come out right twelve times at its best aim.
    QString worst;
    double least = 1.0;
    for (const auto& [name, other] : all) {
        const HandPosterior h = handOf(other);
        const double chance = dozenWithin(h, 10.0 * mm, 0.08, aimFor(10.0 * mm, h));
        if (chance < least) {
            least = chance;
            worst = qt(name).section(QLatin1Char(' '), 0, 0);
        }
    }
    if (!worst.isEmpty() && all.size() > 1) said += tr(" Practise the %1 first.").arg(worst);
    said_->setText(said);
}

}  // namespace machair::app
