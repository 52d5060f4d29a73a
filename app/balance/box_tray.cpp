#include "balance/box_tray.h"

#include <QApplication>
#include <QDrag>
#include <QMimeData>
#include <QMouseEvent>
#include <set>

#include "balance/team_view.h"
#include "book/find.h"

namespace machair::app {

namespace {

// The fly that a thing of the box is.
Fly flyIn(const Book& book, const Thing& thing) {
    if (thing.record.list != "box") return DressingId(thing.record.id);
    const BoxFly* found = findById(book.box, thing.record.id);
    return found ? flyOf(*found) : Fly();
}

}  // namespace

BoxTray::BoxTray(Document& document, const Theme& theme) : Tray(document, theme, QSize(148, 104)), document_(document) {
    setWrapping(false);
    setFlow(QListView::LeftToRight);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAsNeeded);
    setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    setFixedHeight(122);
    setObjectName(QStringLiteral("team-box"));
    setAccessibleName(tr("The box: drag a fly to its place, or Enter hangs it where the chosen one is"));
    setToolTip(tr("Drag a fly to its place on the leader; Enter puts it where the chosen one hangs"));
}

void BoxTray::refresh() {
    std::vector<Thing> flies;
    if (document_.isOpen()) {
        const Book& book = document_.book();
        std::set<std::string> tied;
        for (Thing& thing : thingsIn(book, "box")) {
            const BoxFly* fly = findById(book.box, thing.record.id);
            if (!fly || fly->tied.value_or(1) == 0) continue;
            tied.insert(fly->pattern);
            flies.push_back(std::move(thing));
        }
        for (Thing& thing : thingsIn(book, "patterns"))
            if (!tied.contains(thing.record.id)) flies.push_back(std::move(thing));
    }
    things().show(std::move(flies));
}

std::optional<Fly> BoxTray::chosen() const {
    const Thing* thing = current();
    return thing ? std::optional(flyIn(document_.book(), *thing)) : std::nullopt;
}

void BoxTray::mousePressEvent(QMouseEvent* event) {
    pressed_ = event->position().toPoint();
    Tray::mousePressEvent(event);
}

void BoxTray::mouseMoveEvent(QMouseEvent* event) {
    const Thing* thing = things().at(indexAt(pressed_).row());
    if (!(event->buttons() & Qt::LeftButton) || !thing ||
        (event->position().toPoint() - pressed_).manhattanLength() < QApplication::startDragDistance())
        return Tray::mouseMoveEvent(event);
    auto* drag = new QDrag(this);
    auto* mime = new QMimeData;
    mime->setData(QString::fromLatin1(TeamView::kDressing), TeamView::dragged(flyIn(document_.book(), *thing)).toUtf8());
    drag->setMimeData(mime);
    drag->setPixmap(viewport()->grab(visualRect(indexAt(pressed_))));
    drag->exec(Qt::CopyAction);
}

}  // namespace machair::app
