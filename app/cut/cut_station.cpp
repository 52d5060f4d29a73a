#include "cut/cut_station.h"

#include <QComboBox>
#include <QDoubleSpinBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QListWidget>
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
#include <set>

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

constexpr int kCutPanel = 410;

// How good the plan is, as far as it is known.
QString sayProof(const CuttingPlan& plan) {
    if (plan.optimal) return CutStation::tr("proven best");
    if (plan.bound < plan.feathersUsed()) return CutStation::tr("at least %1 are needed, not proven best").arg(plan.bound);
    return CutStation::tr("no fewer would do; at best %1 mm less is left on them").arg(number((plan.waste - plan.leastWaste) / mm, 1));
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
      cuts_(new QListWidget),
      tied_(nullptr),
      left_(new QDoubleSpinBox),
      progress_(new QProgressBar) {
    setObjectName(QStringLiteral("cut"));
    auto* layout = sideBySide(this);
    auto* left = new QVBoxLayout;
    left->setSpacing(0);
    views_->addWidget(tray_);
    views_->addWidget(feathers_);
    left->addWidget(views_, 1);
    left->addWidget(gauge_);
    layout->addLayout(left, 1);
    layout->addWidget(scrolled(makePanel(), kCutPanel));
    connect(&document_, &Document::planChanged, this, [this] {
        if (isVisible() && !document_.previewing()) plan();
    });
    connect(&document_, &Document::bookChanged, this, [this] {
        if (isVisible()) plan();
    });
    connect(&background_, &Background::runningChanged, progress_, &QWidget::setVisible);
}

QWidget* CutStation::makePanel() {
    auto* panel = new QWidget;
    auto* column = panelColumn(panel);
    auto* top = new QHBoxLayout;
    top->addWidget(heading(tr("Lay out for")));
    scope_->setObjectName(QStringLiteral("scope"));
    scope_->setAccessibleName(tr("Lay out for"));
    scope_->addItem(tr("this fly"));
    scope_->addItem(tr("all that waits"));
    scope_->setToolTip(tr("The fly on the bench, or every batch of the Evening that isn't tied yet, cut from the same feathers"));
    top->addWidget(scope_);
    flies_->setObjectName(QStringLiteral("batch"));
    flies_->setAccessibleName(tr("How many flies"));
    flies_->setRange(1, kMostFlies);
    flies_->setValue(2);
    flies_->setSuffix(tr(" flies"));
    flies_->setKeyboardTracking(false);
    top->addWidget(flies_);
    top->addStretch(1);
    tied_ = toolButton("tied", tr("They are tied"),
                       tr("Takes the slips and hackles out of stock and puts the flies into the box; Ctrl+Z gives them back"));
    top->addWidget(tied_);
    column->addLayout(top);
    auto* which = new QHBoxLayout;
    const auto view = [&](const char* name, const QString& text, const QString& tip, QWidget* shown) {
        auto* made = toolButton(name, text, tip);
        made->setCheckable(true);
        made->setAutoExclusive(true);
        connect(made, &QToolButton::clicked, this, [this, shown] { views_->setCurrentWidget(shown); });
        which->addWidget(made);
        return made;
    };
    view("show-tray", tr("Tray"), tr("Everything laid out, as pictures in tying order"), tray_)->setChecked(true);
    view("show-feathers", tr("Feathers"), tr("The feathers to scale, and the slips laid on them"), feathers_);
    which->addStretch(1);
    column->addLayout(which);
    progress_->setRange(0, 0);
    progress_->setTextVisible(false);
    progress_->setMaximumHeight(5);
    progress_->hide();
    column->addWidget(progress_);
    said_->setObjectName(QStringLiteral("cut-said"));
    said_->setWordWrap(true);
    column->addWidget(said_);
    halves_ =
        toolButton("halves", tr("Cut as halves, to be married"),
                   tr("What can't come out whole is cut as two narrower slips that are married: one cut and one joint more for each"));
    halves_->setCheckable(true);
    halves_->hide();
    connect(halves_, &QToolButton::toggled, this, [this] { plan(); });
    column->addWidget(halves_);
    asLines(cuts_, "cuts", tr("What to lay out, in order"));
    column->addWidget(cuts_, 1);
    auto* rest = new QHBoxLayout;
    rest->addWidget(new Label(tr("left of the noodle or loop")));
    left_->setObjectName(QStringLiteral("leftover"));
    left_->setAccessibleName(tr("Left over of the noodle or loop"));
    left_->setToolTip(tr("What was left over teaches the next one of that fur; enter it after tying"));
    left_->setRange(-300.0, 300.0);
    left_->setSuffix(tr(" mm"));
    left_->setDecimals(0);
    rest->addWidget(left_);
    auto* learn = toolButton("learn", tr("Learn"), tr("The next noodle or loop of this fur is made so much shorter or longer, by half"));
    rest->addWidget(learn);
    rest->addStretch(1);
    column->addLayout(rest);
    connect(learn, &QToolButton::clicked, this, &CutStation::learn);
    auto* paper = new QHBoxLayout;
    auto* card = toolButton("card", tr("Card…"), tr("A true-scale card of this fly as PDF or SVG, with a bar to prove the printer"));
    auto* print = toolButton("print", tr("Print"), tr("The card on paper"));
    auto* calibrate = toolButton("calibrate", tr("Calibrate"), tr("Make the gauge true on this screen: lay a bank card on it"));
    calibrate->setCheckable(true);
    paper->addWidget(card);
    paper->addWidget(print);
    paper->addStretch(1);
    paper->addWidget(calibrate);
    column->addLayout(paper);
    connect(flies_, &QSpinBox::valueChanged, this, [this] { plan(); });
    connect(scope_, &QComboBox::currentIndexChanged, this, [this](int i) {
        flies_->setEnabled(i == 0);
        plan();
    });
    connect(tied_, &QToolButton::clicked, this, &CutStation::tied);
    connect(card, &QToolButton::clicked, this, &CutStation::askForCard);
    connect(print, &QToolButton::clicked, this, &CutStation::printCard);
    connect(calibrate, &QToolButton::toggled, gauge_, &GaugeView::calibrate);
    return panel;
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

// The lengths, counts and weights of one dressing, in laying-out order, and what comes out of off-cuts.
void CutStation::list(const Plan& plan, int flies) {
    for (const LaidOut& laid : layOut(plan, flies)) {
        QString text = tr("%1\n      %2").arg(qt(laid.what), qt(flies == 1 ? laid.each : laid.all));
        if (!laid.why.empty()) text += QStringLiteral("  ·  ") + qt(laid.why);
        const Stock* stock = laid.length ? document_.book().findStock(laid.material) : nullptr;
        if (stock && !stock->offcuts.empty()) {
            const FromOffcuts cut = cutFrom(stock->offcuts, *laid.length, flies);
            QStringList from;
            for (const Length offcut : cut.from)
                from << number(offcut / mm, 0);
            if (cut.pieces > 0)
                text += tr("\n      %1 out of the off-cuts of %2 mm, %3 off the spool")
                            .arg(cut.pieces)
                            .arg(from.join(tr(", ")))
                            .arg(cut.offSpool);
        }
        new QListWidgetItem(text, cuts_);
    }
}

void CutStation::show() {
    if (plans_.empty()) {
        cuts_->clear();
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
                if (cape.material == hackle.material && std::ranges::find(capes, cape.id, &Cape::id) == capes.end()) capes.push_back(cape);
        }
    }
    std::vector<VaneFeather> shown;
    std::ranges::copy_if(book.feathers, std::back_inserter(shown), [&](const VaneFeather& f) { return materials.contains(f.material); });
    feathers_->show(shown, *cutting_);
    feathers_->showCapes(std::move(capes), std::move(hackles));
    // The tray has room for one dressing: the one on the bench where it is laid out, else the first.
    std::size_t onTray = 0;
    for (std::size_t i = 0; i < plans_.size(); ++i)
        if (document_.pattern() && plans_[i].pattern.id == document_.pattern()->id) onTray = i;
    tray_->show(plans_[onTray], layOut(plans_[onTray], planned_[onTray].flies), planned_[onTray].flies);
    QStringList said;
    if (planned_.size() > 1) {
        int all = 0;
        for (const TiedFlies& some : planned_)
            all += some.flies;
        said << tr("%1 flies of %2 dressings; the tray shows %3.").arg(all).arg(planned_.size()).arg(qt(plans_[onTray].pattern.title()));
    }
    if (!materials.empty()) {
        const int used = cutting_->feathersUsed();
        said << (used == 0 ? tr("No slip could be cut.")
                           : tr("Slips from %1 %2, %3 mm of vane left on them: %4.")
                                 .arg(used)
                                 .arg(used == 1 ? tr("feather") : tr("feathers"), number(cutting_->waste / mm, 0), sayProof(*cutting_)));
        for (std::size_t i = 0; i < std::min<std::size_t>(2, cutting_->uncut.size()); ++i)
            said << tr("Not cut: %1: %2").arg(qt(cutting_->uncut[i].slip), qt(cutting_->uncut[i].why));
        if (cutting_->uncut.size() > 2) said << tr("and %1 more slips.").arg(cutting_->uncut.size() - 2);
    }
    halves_->setVisible(halves_->isChecked() ||
                        std::ranges::any_of(cutting_->uncut, [](const Uncut& uncut) { return uncut.halves.has_value(); }));
    said_->setText(said.join(QLatin1Char('\n')));
    cuts_->clear();
    for (std::size_t i = 0; i < plans_.size(); ++i) {
        if (plans_.size() > 1) {
            auto* head = new QListWidgetItem(tr("%1 × %2").arg(planned_[i].flies).arg(qt(plans_[i].pattern.title())), cuts_);
            head->setFont(faceScaled(1.0, true));
        }
        list(plans_[i], planned_[i].flies);
    }
    const Colours& c = theme_.colours();
    for (const HackleServed& served : hackles_.served) {
        const Cape& cape = book.capes[served.cape];
        const CapeBand& band = cape.bands[served.band];
        QString text = tr("hackle %1: %2, band %3 to %4 mm")
                           .arg(qt(hacklesWanted_[served.wanted].fly), qt(cape.id), number(band.from / mm, 1), number(band.to / mm, 1));
        if (!served.does.empty()) text += QStringLiteral("\n      ") + qt(served.does);
        (new QListWidgetItem(text, cuts_))->setForeground(c.inkSoft);
        if (cuts_->count() > 200) break;  // a long batch's bands repeat themselves
    }
    for (std::size_t i = 0; i < std::min<std::size_t>(6, hackles_.unserved.size()); ++i)
        (new QListWidgetItem(
             tr("no hackle for %1: %2").arg(qt(hacklesWanted_[hackles_.unserved[i].first].fly), qt(hackles_.unserved[i].second)), cuts_))
            ->setForeground(c.warn);
    tied_->setEnabled(true);
}

void CutStation::tied() {
    if (!cutting_ || planned_.empty()) return;
    const Faults faults = document_.apply(recordTied(document_.book(), planned_, *cutting_, hackles_));
    if (!faults.empty()) document_.say(qt(faults.front().line()));
}

// The chosen part where it is dubbed, else the first that is.
void CutStation::learn() {
    if (!document_.plan() || !document_.pattern()) return;
    const auto dubbed = [&](std::size_t i) {
        const auto* body = std::get_if<BodyPlan>(&document_.plan()->parts[i].detail);
        return body && (body->noodle || body->rope);
    };
    std::optional<std::size_t> part = document_.part();
    for (std::size_t i = 0; (!part || !dubbed(*part)) && i < document_.plan()->parts.size(); ++i)
        if (dubbed(i)) part = i;
    if (!part || !dubbed(*part)) return document_.say(tr("Nothing of this fly is dubbed"));
    const Faults faults = document_.apply(learnFromLeftover(document_.book(), document_.pattern()->id, *part, left_->value() * mm));
    if (!faults.empty()) document_.say(qt(faults.front().line()));
}

void CutStation::askForCard() {
    askWhereToWrite(this, tr("Keep the card as"), QString(), tr("PDF (*.pdf);;SVG (*.svg)"), QString(), &CutStation::writeCard);
}

void CutStation::writeCard(const QString& path) {
    if (!document_.plan()) return;
    const QString wrong = drawing::writeCard(path, *document_.plan());
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
        drawing::paintCard(painter, *document_.plan());
        document_.say(tr("The card went to %1; prove it by its 50 mm bar").arg(printer->printerName()));
    });
    dialog->open();
}

}  // namespace machair::app
