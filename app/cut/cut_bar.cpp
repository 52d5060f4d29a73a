// The line over the table: what is laid out, how it is seen, the noodle that teaches the next, paper.
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
#include "parts/flow_layout.h"
#include "parts/label.h"
#include "units/text.h"

namespace machair::app {

// One line of what is laid out, of the views and of paper; below it what is to be said of them.
QWidget* CutStation::makeBar() {
    auto* bar = new QWidget;
    auto* column = panelColumn(bar);
    addScope(column);
    addSaid(column);
    return bar;
}

// What is laid out, the noodle that teaches the next, and the card.
void CutStation::addScope(QVBoxLayout* column) {
    auto* top = new FlowLayout(nullptr, 6);  // words of another language may take a second row
    addWhatIsLaidOut(top);
    addViews(top);
    tied_ = toolButton("tied", tr("They are tied"),
                       tr("Takes the slips and hackles out of stock and puts the flies into the box; Ctrl+Z gives them back"));
    top->addWidget(tied_);
    connect(tied_, &QToolButton::clicked, this, &CutStation::tied);
    addNoodle(top);
    addPaper(top);
    column->addLayout(top);
}

void CutStation::addWhatIsLaidOut(QLayout* top) {
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
    connect(flies_, &QSpinBox::valueChanged, this, [this] { plan(); });
    connect(scope_, &QComboBox::currentIndexChanged, this, [this](int i) {
        flies_->setEnabled(i == 0);
        plan();
    });
}

void CutStation::addViews(QLayout* top) {
    const auto view = [&](const char* name, const QString& text, const QString& tip, int shown) {
        auto* made = toolButton(name, text, tip);
        made->setCheckable(true);
        made->setAutoExclusive(true);
        connect(made, &QToolButton::clicked, this, [this, shown] { views_->setCurrentIndex(shown); });
        top->addWidget(made);
        return made;
    };
    view("show-tray", tr("Table"), tr("Everything laid out at one scale, in tying order"), 0)->setChecked(true);
    view("show-feathers", tr("Feathers"), tr("The feathers to scale, and the slips laid on them"), 1);
}

void CutStation::addNoodle(QLayout* top) {
    top->addWidget(new Label(tr("noodle or loop")));
    made_->setObjectName(QStringLiteral("noodle-made"));
    made_->setAccessibleName(tr("The noodle or loop as it was made"));
    made_->setToolTip(tr("How long it was made; leave it where it was made as reckoned"));
    made_->setRange(0.0, 2000.0);
    made_->setSpecialValueText(tr("made as reckoned"));
    made_->setPrefix(tr("made "));
    made_->setDecimals(0);
    top->addWidget(made_);
    top->addWidget(new Label(tr("left")));
    left_->setObjectName(QStringLiteral("leftover"));
    left_->setAccessibleName(tr("Left over of the noodle or loop"));
    left_->setToolTip(tr("What was left over teaches the next one of that fur; enter it after tying"));
    left_->setRange(-300.0, 300.0);
    left_->setDecimals(0);
    top->addWidget(left_);
    auto* learn = toolButton(
        "learn", tr("Learn"),
        tr("The next noodle or loop of this fur is made by the longest of the last three that were wound so on this size of hook"));
    top->addWidget(learn);
    connect(learn, &QToolButton::clicked, this, &CutStation::learn);
}

void CutStation::addPaper(QLayout* top) {
    auto* card = toolButton("card", tr("Card…"), tr("A true-scale card of this fly as PDF or SVG, with a bar to prove the printer"));
    auto* print = toolButton("print", tr("Print"), tr("The card on paper"));
    auto* calibrate = toolButton("calibrate", tr("Calibrate"), tr("Make the gauge true on this screen: lay a bank card on it"));
    calibrate->setCheckable(true);
    for (QToolButton* one : {card, print, calibrate})
        top->addWidget(one);
    connect(card, &QToolButton::clicked, this, &CutStation::askForCard);
    connect(print, &QToolButton::clicked, this, &CutStation::printCard);
    connect(calibrate, &QToolButton::toggled, gauge_, &GaugeView::calibrate);
}

void CutStation::addSaid(QVBoxLayout* column) {
    progress_->setObjectName(QStringLiteral("cut-searching"));
    progress_->setRange(0, 0);
    progress_->setTextVisible(false);
    progress_->setMaximumHeight(5);
    progress_->hide();
    column->addWidget(progress_);
    auto* below = new QHBoxLayout;
    said_->setObjectName(QStringLiteral("cut-said"));
    said_->setWordWrap(true);
    below->addWidget(said_, 1);
    halves_ =
        toolButton("halves", tr("Cut as halves, to be married"),
                   tr("What can't come out whole is cut as two narrower slips that are married: one cut and one joint more for each"));
    halves_->setCheckable(true);
    halves_->hide();
    connect(halves_, &QToolButton::toggled, this, [this] { plan(); });
    below->addWidget(halves_);
    laid_->setObjectName(QStringLiteral("cut-laid"));
    below->addWidget(laid_);
    column->addLayout(below);
}

}  // namespace machair::app
