#include "frame/station_bar.h"

#include <QHBoxLayout>
#include <QMenu>
#include <QToolButton>

namespace machair::app {

QString titleOf(Station station) {
    switch (station) {
        case Station::plan: return QObject::tr("Plan");
        case Station::cut: return QObject::tr("Cut");
        case Station::tie: return QObject::tr("Tie");
        case Station::check: return QObject::tr("Check");
        case Station::balance: return QObject::tr("Balance");
        case Station::drift: return QObject::tr("Drift");
        case Station::water: return QObject::tr("Water");
        case Station::evening: return QObject::tr("Evening");
        case Station::daybook: return QObject::tr("Daybook");
        case Station::drawers: return QObject::tr("Drawers");
    }
    return {};
}

QString purposeOf(Station station) {
    switch (station) {
        case Station::plan: return QObject::tr("size the fly");
        case Station::cut: return QObject::tr("what to cut from which feather");
        case Station::tie: return QObject::tr("at the vice, step by step");
        case Station::check: return QObject::tr("is it as planned, and what your hand always does");
        case Station::balance: return QObject::tr("the three as a team");
        case Station::drift: return QObject::tr("how they fish");
        case Station::water: return QObject::tr("the day, its rules, and which three to choose");
        case Station::evening: return QObject::tr("batches, and what fits before bedtime");
        case Station::daybook: return QObject::tr("what happened, and what it tells");
        case Station::drawers: return QObject::tr("hooks, feathers, threads and the rest, and measuring them");
    }
    return {};
}

StationBar::StationBar(Document& document, Theme& theme, QWidget* parent)
    : QWidget(parent), document_(document), undo_(new QToolButton(this)), redo_(new QToolButton(this)), menu_(new QMenu(this)) {
    auto* layout = new QHBoxLayout(this);
    layout->setContentsMargins(14, 6, 14, 5);
    layout->setSpacing(4);
    int number = 1;
    for (const auto& entry : Names<Station>::entries) {
        auto* tab = new QToolButton(this);
        tab->setObjectName(QStringLiteral("station-") + QString::fromLatin1(entry.name.data(), static_cast<qsizetype>(entry.name.size())));
        tab->setText(titleOf(entry.value));
        tab->setToolTip(tr("%1 (Ctrl+%2)").arg(purposeOf(entry.value)).arg(number++ % 10));
        tab->setAccessibleName(titleOf(entry.value));
        tab->setCheckable(true);
        tab->setAutoExclusive(true);
        connect(tab, &QToolButton::clicked, this, [this, station = entry.value] { emit stationWanted(station); });
        layout->addWidget(tab);
        tabs_.push_back(tab);
    }
    tabs_.front()->setChecked(true);
    layout->addStretch(1);
    const auto button = [&](QToolButton* made, const char* id, const QString& text, const QString& spoken, const QString& tip) {
        made->setObjectName(QString::fromLatin1(id));
        made->setText(text);
        made->setAccessibleName(spoken);
        made->setToolTip(tip);
        layout->addWidget(made);
        return made;
    };
    button(undo_, "undo", tr("↶"), tr("Undo"), tr("Undo the last change (Ctrl+Z)"));
    button(redo_, "redo", tr("↷"), tr("Redo"), tr("Do it again (Ctrl+Shift+Z)"));
    auto* bench = button(new QToolButton(this), "bench", tr("◐"), tr("Light or dark bench"), tr("Light or dark bench (Ctrl+L)"));
    auto* book = button(new QToolButton(this), "book", tr("&Book ▾"), tr("Book"), tr("Open another bench file, and more (Alt+B)"));
    book->setMenu(menu_);
    book->setPopupMode(QToolButton::InstantPopup);
    connect(undo_, &QToolButton::clicked, &document_.undoStack(), &QUndoStack::undo);
    connect(redo_, &QToolButton::clicked, &document_.undoStack(), &QUndoStack::redo);
    connect(bench, &QToolButton::clicked, this,
            [&theme] { theme.light(theme.bench() == drawing::Bench::sand ? drawing::Bench::slate : drawing::Bench::sand); });
    connect(&document_.undoStack(), &QUndoStack::indexChanged, this, &StationBar::refresh);
    connect(&document_, &Document::bookOpened, this, &StationBar::refresh);
    refresh();
}

void StationBar::showStation(Station station) { tabs_[static_cast<std::size_t>(station)]->setChecked(true); }

void StationBar::refresh() {
    undo_->setEnabled(document_.undoStack().canUndo());
    redo_->setEnabled(document_.undoStack().canRedo());
    undo_->setToolTip(tr("Undo (Ctrl+Z): %1").arg(document_.undoStack().undoText()));
    redo_->setToolTip(tr("Do again (Ctrl+Shift+Z): %1").arg(document_.undoStack().redoText()));
}

}  // namespace machair::app
