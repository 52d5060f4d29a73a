#include "cut/cut_station.h"

#include <QComboBox>
#include <QDoubleSpinBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QPainter>
#include <QPrintDialog>
#include <QPrinter>
#include <QPrinterInfo>
#include <QProgressBar>
#include <QSpinBox>
#include <QStackedWidget>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>
#include <cstdlib>
#include <set>

#include "book/find.h"
#include "cut/feather_view.h"
#include "cut/gauge_view.h"
#include "cut/tray_view.h"
#include "cutting/laying_out.h"
#include "drawing/card.h"
#include "frame/ask_file.h"
#include "frame/panel.h"
#include "parts/label.h"
#include "units/text.h"

namespace machair::app {

namespace {

// How good the plan is, as far as it is known.
QString sayProof(const CuttingPlan& plan) {
    if (plan.optimal) return CutStation::tr("proven best");
    if (plan.bound < plan.feathersUsed()) return CutStation::tr("at least %1 are needed, not proven best").arg(plan.bound);
    return CutStation::tr("no fewer would do; at best %1 less is left on them").arg(lengthSaid(plan.waste - plan.leastWaste));
}

}  // namespace

CutStation::CutStation(Document& document, const Theme& theme, QSettings& settings, QWidget* parent)
    : QWidget(parent),
      document_(document),
      theme_(theme),
      feathers_(new FeatherView(document, theme)),
      gauge_(new GaugeView(document, theme, settings)),
      tray_(new TrayView(document, theme)),
      views_(new QStackedWidget),
      scope_(new QComboBox),
      flies_(new QSpinBox),
      said_(new Label),
      laid_(new Label),
      tied_(nullptr),
      made_(new LengthSpin),
      left_(new LengthSpin),
      progress_(new QProgressBar) {
    setObjectName(QStringLiteral("cut"));
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(0);
    column->addWidget(makeBar());
    auto* table = new QScrollArea;
    table->setWidget(tray_);
    table->setWidgetResizable(true);
    table->setFrameShape(QFrame::NoFrame);
    table->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    views_->addWidget(table);
    views_->addWidget(feathers_);
    column->addWidget(views_, 1);
    column->addWidget(gauge_);
    connect(tray_, &TrayView::ticked, this, [this](int laid, int all) {
        laid_->setText(laid == all ? tr("✓ All of it is laid out.") : tr("%1 of %2 laid out; Space ticks the next.").arg(laid).arg(all));
    });
    connect(&document_, &Document::planChanged, this, [this] {
        if (isVisible() && !document_.previewing()) plan();
    });
    connect(&document_, &Document::bookChanged, this, [this] {
        if (isVisible()) plan();
    });
    connect(&background_, &Background::runningChanged, progress_, &QWidget::setVisible);
}

void CutStation::showEvent(QShowEvent*) { plan(); }

std::vector<TiedFlies> CutStation::wanted() const {
    if (scope_->currentIndex() == 0)
        return document_.pattern() ? std::vector<TiedFlies>{{document_.pattern()->id, flies_->value()}} : std::vector<TiedFlies>();
    std::vector<TiedFlies> all;
    for (const Batch& batch : document_.book().batches)
        if (const int left = batch.left(); left > 0) all.push_back({batch.pattern, std::min(left, kMostFlies), batch.id});
    return all;
}

void CutStation::plan() {
    if (!document_.isOpen()) return;
    tied_->setEnabled(false);
    struct Found {
        CuttingPlan cutting;
        HacklesChosen hackles;
        std::vector<HackleWanted> wanted;
    };
    std::vector<TiedFlies> flies = wanted();
    std::vector<Plan> plans;
    for (const TiedFlies& some : flies) {
        const auto batch = std::ranges::find(document_.book().batches, some.batch, [](const Batch& b) { return std::optional(b.id); });
        auto sized = some.batch && batch != document_.book().batches.end()
                         ? planFly(document_.book(), flyOf(*batch), Place("batches"))
                         : planFly(document_.book(), Fly(some.pattern), Place("patterns"));
        if (!sized) return document_.say(qt(sized.error().front().line()));
        plans.push_back(std::move(*sized));
    }
    const auto work = [plans, flies, halves = halves_->isChecked(), feathers = document_.book().feathers, capes = document_.book().capes](
                          const std::stop_token& stop, const Background::Progress&) {
        Found found;
        std::vector<SlipWanted> slips;
        for (std::size_t i = 0; i < plans.size(); ++i) {
            std::ranges::move(slipsFor(plans[i], flies[i].flies), std::back_inserter(slips));
            std::ranges::move(hacklesFor(plans[i], flies[i].flies), std::back_inserter(found.wanted));
        }
        found.cutting = planCuts(feathers, slips, {kCuttingSteps, stop});
        if (halves) found.cutting = planCuts(feathers, inHalves(slips, found.cutting), {kCuttingSteps, stop});
        found.hackles = chooseHackles(capes, found.wanted);
        return found;
    };
    background_.start(work, [this, plans, flies](Found found) {
        cutting_ = std::move(found.cutting);
        hackles_ = std::move(found.hackles);
        hacklesWanted_ = std::move(found.wanted);
        planned_ = flies;
        plans_ = plans;
        show();
    });
}

// From which band of which cape each part's hackles come, and what that does; by the dressing and the part.
std::map<std::size_t, QStringList> CutStation::bandsFor(const Plan& plan) const {
    std::map<std::size_t, QStringList> notes;
    const auto say = [&](const std::string& fly, const QString& words) {  // "kelp-lantern.4#2"
        const std::string own = plan.pattern.id + ".";
        if (!fly.starts_with(own)) return;
        const auto part = static_cast<std::size_t>(std::strtoul(fly.c_str() + own.size(), nullptr, 10));
        constexpr qsizetype kMost = 3;
        QStringList& said = notes[part];
        if (!said.contains(words) && said.size() < kMost) said << words;
    };
    for (const HackleServed& served : hackles_.served) {
        const Cape& cape = document_.book().capes[served.cape];
        const CapeBand& band = cape.bands[served.band];
        const Material* made = document_.book().findMaterial(cape.material);
        QString text = tr("%1, band %2 to %3").arg(qt(made ? made->title() : cape.id), lengthFigure(band.from), lengthSaid(band.to));
        if (!served.does.empty()) text += tr(": ") + inHouseWords(served.does);
        say(hacklesWanted_[served.wanted].fly, text);
    }
    for (const auto& [wanted, why] : hackles_.unserved) {
        const HackleWanted& hackle = hacklesWanted_[wanted];
        const bool counted = std::ranges::any_of(document_.book().capes, [&](const Cape& c) { return c.material == hackle.material; });
        say(hackle.fly, counted ? tr("✗ no feather of the cape is left for it") : tr("no cape of it is counted"));
    }
    return notes;
}

void CutStation::show() {
    if (plans_.empty()) {
        tray_->show({}, views_->height());
        said_->setText(tr("Nothing waits to be tied."));
        return;
    }
    const Book& book = document_.book();
    std::set<std::string> materials;
    std::vector<Cape> capes;
    std::vector<HackleWanted> hackles;
    for (const Plan& plan : plans_) {
        for (const SlipWanted& slip : slipsFor(plan, 1))
            materials.insert(slip.material);
        for (const HackleWanted& hackle : hacklesFor(plan, 1)) {
            hackles.push_back(hackle);
            for (const Cape& cape : book.capes)
                if (cape.material == hackle.material && !findById(capes, cape.id)) capes.push_back(cape);
        }
    }
    std::vector<VaneFeather> shown;
    std::ranges::copy_if(book.feathers, std::back_inserter(shown), [&](const VaneFeather& f) { return materials.contains(f.material); });
    feathers_->show(shown, *cutting_);
    feathers_->showCapes(std::move(capes), std::move(hackles));
    std::vector<TrayView::OnTable> table;
    for (std::size_t i = 0; i < plans_.size(); ++i)
        table.push_back({plans_[i], layOut(plans_[i], planned_[i].flies), planned_[i].flies, bandsFor(plans_[i])});
    tray_->show(std::move(table), views_->height());
    QStringList said;
    if (planned_.size() > 1) {
        int all = 0;
        for (const TiedFlies& some : planned_)
            all += some.flies;
        said << tr("%1 flies of %2 dressings.").arg(all).arg(planned_.size());
    }
    if (!materials.empty()) {
        const int used = cutting_->feathersUsed();
        said << (used == 0 ? tr("No slip could be cut.")
                           : tr("Slips from %1 %2, %3 of vane left on them: %4.")
                                 .arg(used)
                                 .arg(used == 1 ? tr("feather") : tr("feathers"), lengthSaid(cutting_->waste, 0), sayProof(*cutting_)));
        constexpr std::size_t kMost = 3;
        const std::vector<std::string> uncut = sayUncut(book, *cutting_);
        for (std::size_t i = 0; i < std::min(kMost, uncut.size()); ++i)
            said << tr("Not cut: %1").arg(qt(uncut[i]));
        if (uncut.size() > kMost) said << tr("and %1 more like these.").arg(uncut.size() - kMost);
    }
    halves_->setVisible(halves_->isChecked() ||
                        std::ranges::any_of(cutting_->uncut, [](const Uncut& uncut) { return uncut.halves.has_value(); }));
    said_->setText(said.join(QLatin1Char('\n')));
    tied_->setEnabled(true);
}

void CutStation::tied() {
    if (!cutting_ || planned_.empty()) return;
    const Faults faults = document_.apply(recordTied(document_.book(), planned_, *cutting_, hackles_));
    if (faults.empty()) tray_->layNoMore();
    if (!faults.empty()) document_.say(qt(faults.front().line()));
}

// The chosen part where it is dubbed, else the first that is.
void CutStation::learn() {
    if (!document_.plan() || !document_.pattern()) return;
    const auto dubbed = [&](std::size_t i) {
        const auto* body = std::get_if<BodyPlan>(&document_.plan()->parts[i].detail);
        return body && body->made;
    };
    std::optional<std::size_t> part = document_.part();
    for (std::size_t i = 0; (!part || !dubbed(*part)) && i < document_.plan()->parts.size(); ++i)
        if (dubbed(i)) part = i;
    if (!part || !dubbed(*part)) return document_.say(tr("Nothing of this fly is dubbed"));
    const auto made = made_->value() > 0.0 ? std::optional(made_->value() * mm) : std::nullopt;
    const Faults faults = document_.apply(learnFromLeftover(document_.book(), document_.pattern()->id, *part, left_->value() * mm, made));
    if (!faults.empty()) document_.say(qt(faults.front().line()));
}

void CutStation::askForCard() {
    askWhereToWrite(this, tr("Keep the card as"), QString(), tr("PDF (*.pdf);;SVG (*.svg)"), QString(), &CutStation::writeCard);
}

void CutStation::writeCard(const QString& path) {
    if (!document_.plan()) return;
    const QString wrong = drawing::writeCard(path, *document_.plan(), lengthsSaidIn());
    document_.say(wrong.isEmpty() ? tr("The card is in %1").arg(path) : tr("No card: %1 %2").arg(path, wrong));
}

void CutStation::printCard() {
    if (!document_.plan()) return;
    if (QPrinterInfo::availablePrinterNames().isEmpty())
        return document_.say(tr("No printer is set up on this computer; the card can be kept as a PDF instead"));
    auto printer = std::make_shared<QPrinter>(QPrinter::HighResolution);
    auto* dialog = new QPrintDialog(printer.get(), this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, qOverload<QPrinter*>(&QPrintDialog::accepted), this, [this, printer] {
        QPainter painter;
        if (!painter.begin(printer.get())) return document_.say(tr("The printer refused; nothing was printed"));
        constexpr double kInch = 25.4;
        painter.scale(printer->resolution() / kInch, printer->resolution() / kInch);
        drawing::paintCard(painter, *document_.plan(), lengthsSaidIn());
        document_.say(tr("The card went to %1; prove it by its 50 mm bar").arg(printer->printerName()));
    });
    dialog->open();
}

}  // namespace machair::app
