#include "frame/guide_view.h"

#include <QDir>
#include <QFile>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QScrollBar>
#include <QTextBlock>
#include <QTextBrowser>
#include <QToolButton>
#include <QUrl>
#include <QVBoxLayout>
#include <algorithm>

#include "frame/language.h"
#include "frame/panel.h"
#include "parts/label.h"

namespace machair::app {

namespace {

// A chapter's pictures are the window's own, larger than the guide is wide.
class GuideText : public QTextBrowser {
  protected:
    QVariant loadResource(int type, const QUrl& name) override {
        if (type != QTextDocument::ImageResource) return QTextBrowser::loadResource(type, name);
        constexpr int kMargins = 30;
        const QImage whole(QStringLiteral(":/screenshots/") + name.fileName());
        const int room = std::max(200, viewport()->width() - kMargins);
        return whole.isNull() || whole.width() <= room ? QVariant(whole) : QVariant(whole.scaledToWidth(room, Qt::SmoothTransformation));
    }
};

// Where the chapters are in the language of the window; in English where it has none.
QDir guideFolder() {
    const QDir own(QStringLiteral(":/guide/") + spokenLanguage());
    return own.exists() ? own : QDir(QStringLiteral(":/guide"));
}

// The beginning first, then the chapters by their names.
QString wholeGuide() {
    const QDir folder = guideFolder();
    QStringList names = folder.entryList({QStringLiteral("*.md")}, QDir::Files, QDir::Name);
    std::stable_partition(names.begin(), names.end(), [](const QString& name) { return name == QLatin1String("README.md"); });
    QString text;
    for (const QString& name : names) {
        QFile file(folder.filePath(name));
        if (file.open(QIODevice::ReadOnly)) text += QString::fromUtf8(file.readAll()) + QStringLiteral("\n\n");
    }
    if (text.isEmpty()) qFatal("the guide is not in the program");
    return text;
}

}  // namespace

GuideView::GuideView(QWidget* parent) : QFrame(parent), text_(new GuideText) {
    setObjectName(QStringLiteral("guide"));
    setAccessibleName(tr("The guide"));
    setFrameShape(QFrame::StyledPanel);
    setAutoFillBackground(true);
    text_->setObjectName(QStringLiteral("guide-text"));
    text_->setOpenLinks(false);
    connect(text_, &QTextBrowser::anchorClicked, this, &GuideView::follow);
    text_->setFrameShape(QFrame::NoFrame);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(12, 8, 8, 8);
    auto* head = new QHBoxLayout;
    head->addWidget(heading(tr("The guide")), 1);
    auto* away = toolButton("guide-away", tr("Put away"), tr("Esc"));
    connect(away, &QToolButton::clicked, this, &QWidget::hide);
    head->addWidget(away);
    column->addLayout(head);
    column->addWidget(text_, 1);
    hide();
}

// Read when it is first wanted, not at every start.
void GuideView::load() {
    if (!text_->document()->isEmpty()) return;
    text_->document()->setMarkdown(wholeGuide(), QTextDocument::MarkdownDialectGitHub);
    // Commands are longer than a column is wide: they break too, or the whole guide is pushed aside.
    QTextBlockFormat breaks;
    breaks.setNonBreakableLines(false);
    QTextCursor all(text_->document());
    all.select(QTextCursor::Document);
    all.mergeBlockFormat(breaks);
}

void GuideView::openAt(const QString& chapter) {
    const int wide = std::min(620, parentWidget()->width() - 40);
    setGeometry(parentWidget()->width() - wide - 10, 10, wide, parentWidget()->height() - 20);
    show();
    load();  // once it is known how wide its pictures may be
    raise();
    text_->setFocus();
    chapter_.clear();
    text_->moveCursor(QTextCursor::Start);
    for (QTextBlock block = text_->document()->begin(); block.isValid(); block = block.next()) {
        if (block.blockFormat().headingLevel() == 0 || block.text() != chapter) continue;
        chapter_ = chapter;
        QTextCursor at(block);
        text_->moveCursor(QTextCursor::End);  // so that the heading ends up at the top
        text_->setTextCursor(at);
        text_->verticalScrollBar()->setValue(text_->verticalScrollBar()->value() + text_->cursorRect(at).top() - 4);
        return;
    }
}

// From the list of chapters to one of them: its first heading.
void GuideView::follow(const QUrl& link) {
    QFile chapter(guideFolder().filePath(link.fileName()));
    if (!chapter.open(QIODevice::ReadOnly)) return;
    openAt(QString::fromUtf8(chapter.readLine()).remove(QLatin1Char('#')).trimmed());
}

void GuideView::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape) return hide();
    QFrame::keyPressEvent(event);
}

std::vector<KeyWords> keysEverywhere() {
    return {{QObject::tr("Ctrl+K"), QObject::tr("find anything: a dressing, hook, material, team, day, station")},
            {QObject::tr("Ctrl+1 … Ctrl+9, Ctrl+0"), QObject::tr("the stations, in the order of the work")},
            {QObject::tr("Alt+1 … Alt+5"), QObject::tr("the flies of the cast, from the bob down")},
            {QObject::tr("Alt+C, Alt+D, Alt+B"), QObject::tr("to the cast, the Dressing and the Book menu")},
            {QObject::tr("on the cast: ← →, Enter, Delete, Insert"),
             QObject::tr("choose a fly, hang another there, take it off, hang one in an empty place")},
            {QObject::tr("Ctrl+Z, Ctrl+Shift+Z"), QObject::tr("undo, redo")},
            {QObject::tr("Ctrl+L"), QObject::tr("light or dark bench")},
            {QObject::tr("F1, Shift+F1"), QObject::tr("the guide at this station, this sheet")},
            {QObject::tr("Alt and a click, ?"), QObject::tr("ask where a number comes from")},
            {QObject::tr("Ctrl+P"), QObject::tr("on paper: the card, recipe, team, gauge, season")},
            {QObject::tr("Ctrl+N"), QObject::tr("the doors: begin a book, or go back to one")},
            {QObject::tr("Ctrl+O, Ctrl+Q"), QObject::tr("open a book, leave")}};
}

std::vector<KeyWords> keysAt(Station station) {
    const auto key = [](const QString& keys, const QString& does) { return KeyWords{keys, does}; };
    switch (station) {
        case Station::plan:
            return {
                key(QObject::tr("Alt+T, ↑ ↓, Enter"), QObject::tr("to the ticket, from part to part, into its fields")),
                key(QObject::tr("Insert, Delete"), QObject::tr("add a part where tying order wants it, take one off")),
                key(QObject::tr("Alt+↑, Alt+↓"), QObject::tr("tie it earlier or later")),
                key(QObject::tr("Tab, arrows, Page keys"),
                    QObject::tr("on the drawing: from handle to handle, 0.1 mm, to the next landmark")),
                key(QObject::tr("Alt while dragging"), QObject::tr("between the landmarks")),
                key(QObject::tr("wheel, + −, 0"), QObject::tr("larger or smaller where the cursor is, all of it again")),
                key(QObject::tr("Space or middle button, drag"), QObject::tr("move the drawing")),
                key(QObject::tr("T, U, E"), QObject::tr("on the drawing: turn it half round, look down on it, look at it from the eye")),
                key(QObject::tr("Alt+H, Alt+S"), QObject::tr("the hook, its size")),
                key(QObject::tr("Esc"), QObject::tr("put the ghost away, then the chosen part"))};
        case Station::cut:
            return {key(QObject::tr("drag on the card outline"), QObject::tr("calibrate this screen, so that the gauge is true"))};
        case Station::tie:
            return {key(QObject::tr("Space, Page Down, →"), QObject::tr("the next step")),
                    key(QObject::tr("Backspace, ←"), QObject::tr("the step before")),
                    key(QObject::tr("digits, +"), QObject::tr("count turns")),
                    key(QObject::tr("W"), QObject::tr("what went wrong, and what mends it")),
                    key(QObject::tr("Home, End"), QObject::tr("the first and the last step"))};
        case Station::check: return {key(QObject::tr("Ctrl+Return"), QObject::tr("keep this fly's check"))};
        case Station::balance:
            return {key(QObject::tr("F5"), QObject::tr("find the smallest change")),
                    key(QObject::tr("drag a fly"), QObject::tr("to another place, or out of the box")),
                    key(QObject::tr("drag on the leader, ↑ ↓ ← →"), QObject::tr("how far apart two flies hang"))};
        case Station::drift: return {};
        case Station::water:
            return {key(QObject::tr("drag the arrow"), QObject::tr("the wind: where from, and how much")),
                    key(QObject::tr("F6"), QObject::tr("choose three"))};
        case Station::evening:
            return {key(QObject::tr("drag a lane or block, ↑ ↓ ← →"), QObject::tr("your own order of the evening")),
                    key(QObject::tr("drag the end"), QObject::tr("when it must be over"))};
        case Station::daybook:
            return {key(QObject::tr("B, U, M, W or P"), QObject::tr("where the fish took: bob, upper, middle, lower, point")),
                    key(QObject::tr("K, R or L, then Enter"), QObject::tr("kept, returned or lost")),
                    key(QObject::tr("on the day: ← →, Delete"), QObject::tr("from mark to mark, take one out"))};
        case Station::drawers:
            return {key(QObject::tr("double click"), QObject::tr("go to where it is worked with")),
                    key(QObject::tr("draw on a feather"), QObject::tr("along the ends of its barbs; its marks by ← → ↑ ↓")),
                    key(QObject::tr("Ctrl or Shift click"), QObject::tr("several, to be changed at once")),
                    key(QObject::tr("the calliper"), QObject::tr("reads into the field that has the cursor"))};
    }
    return {};
}

KeySheet::KeySheet(Station station, QWidget* parent) : QFrame(parent, Qt::Popup) {
    setObjectName(QStringLiteral("keys"));
    setAccessibleName(tr("Keys of this station"));
    setAttribute(Qt::WA_DeleteOnClose);
    setFrameShape(QFrame::StyledPanel);
    auto* grid = new QGridLayout(this);
    grid->setContentsMargins(22, 16, 22, 16);
    grid->setHorizontalSpacing(20);
    int row = 0;
    const auto list = [&](const QString& title, const std::vector<KeyWords>& keys) {
        if (keys.empty()) return;
        grid->addWidget(heading(title), row++, 0, 1, 2);
        for (const KeyWords& one : keys) {
            auto* name = new Label(one.keys);
            name->setFont(faceScaled(1.0, true));
            grid->addWidget(name, row, 0);
            grid->addWidget(new Label(one.does), row++, 1);
        }
    };
    list(titleOf(station), keysAt(station));
    list(tr("Everywhere"), keysEverywhere());
}

void KeySheet::keyPressEvent(QKeyEvent*) { close(); }

}  // namespace machair::app
