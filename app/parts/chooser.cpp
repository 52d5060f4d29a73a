#include "parts/chooser.h"

#include <QCoreApplication>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLineEdit>
#include <QScreen>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>

#include "parts/label.h"

namespace machair::app {

namespace {

constexpr QSize kCell(148, 112);
constexpr int kColumns = 5, kRows = 4, kTraits = 9;

}  // namespace

Chooser* Chooser::ask(QWidget* under, Document& document, const Theme& theme, Asked asked, std::function<void(const RecordId&)> chosen,
                      std::function<void()> fresh) {
    auto* chooser = new Chooser(under, document, theme, std::move(asked), std::move(chosen), std::move(fresh));
    chooser->place(under);
    chooser->show();
    chooser->search_->setFocus(Qt::PopupFocusReason);
    return chooser;
}

Chooser::Chooser(QWidget* under, Document& document, const Theme& theme, Asked asked, std::function<void(const RecordId&)> chosen,
                 std::function<void()> fresh)
    : QFrame(under, Qt::Popup), chosen_(std::move(chosen)), search_(new QLineEdit), tray_(new Tray(document, theme, kCell)) {
    setObjectName(QStringLiteral("chooser"));
    setAccessibleName(asked.title);
    setAttribute(Qt::WA_DeleteOnClose);
    setFrameShape(QFrame::StyledPanel);
    setAutoFillBackground(true);
    search_->setObjectName(QStringLiteral("chooser-search"));
    search_->setAccessibleName(asked.title);
    search_->setPlaceholderText(tr("%1 Type a few letters").arg(asked.title));
    search_->setClearButtonEnabled(true);
    search_->installEventFilter(this);
    tray_->setObjectName(QStringLiteral("chooser-tray"));
    tray_->setAccessibleName(asked.title);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(10, 10, 10, 10);
    column->setSpacing(6);
    auto* head = new QHBoxLayout;
    head->addWidget(search_, 1);
    const auto button = [&](const char* name, const QString& text, auto work) {
        auto* made = new QToolButton;
        made->setObjectName(QString::fromLatin1(name));
        made->setText(text);
        connect(made, &QToolButton::clicked, this, [this, work] {
            close();
            work();
        });
        head->addWidget(made);
    };
    if (!asked.nothing.isEmpty()) button("chooser-nothing", asked.nothing, [chosen = chosen_] { chosen({}); });
    if (!asked.fresh.isEmpty()) button("chooser-new", asked.fresh, [fresh = std::move(fresh)] { fresh(); });
    column->addLayout(head);
    auto* words = new QHBoxLayout;
    column->addLayout(words);  // before anything is put into it: a layout that nobody holds is never let go
    words->setSpacing(4);
    for (const QString& trait : commonTraits(asked.things, kTraits)) {
        auto* made = new QToolButton;
        made->setObjectName(QStringLiteral("trait-") + trait);
        made->setText(trait);
        made->setCheckable(true);
        made->setFocusPolicy(Qt::TabFocus);
        connect(made, &QToolButton::toggled, this, &Chooser::sift);
        traits_.push_back(made);
        words->addWidget(made);
    }
    if (!traits_.empty()) words->addStretch(1);
    column->addWidget(tray_, 1);
    tray_->things().show(std::move(asked.things));
    if (!tray_->choose(asked.now)) tray_->chooseFirst();
    connect(tray_, &QListView::clicked, this, [this](const QModelIndex& index) { take(tray_->things().at(index.row())); });
    connect(tray_, &QListView::activated, this, [this](const QModelIndex& index) { take(tray_->things().at(index.row())); });
    tray_->installEventFilter(this);
    connect(search_, &QLineEdit::textChanged, this, &Chooser::sift);
}

void Chooser::place(QWidget* under) {
    const QWidget* window = under->window();
    const QSize room = window->size() - QSize(40, 60);
    const int rows = std::clamp((tray_->model()->rowCount() + kColumns - 1) / kColumns, 2, kRows);
    resize(QSize(kColumns * kCell.width() + 44, rows * kCell.height() + 96).boundedTo(room));
    QPoint at = under->mapToGlobal(QPoint(0, under->height() + 2));
    const QRect frame(window->mapToGlobal(QPoint(0, 0)), window->size());
    at.setX(std::clamp(at.x(), frame.left() + 10, std::max(frame.left() + 10, frame.right() - width() - 10)));
    if (at.y() + height() > frame.bottom() - 10) at.setY(std::max(frame.top() + 10, frame.bottom() - height() - 10));
    move(at);
}

void Chooser::sift() {
    QStringList wanted;
    for (const QToolButton* trait : traits_)
        if (trait->isChecked()) wanted << trait->text();
    tray_->things().filter(search_->text(), wanted);
    tray_->chooseFirst();
}

void Chooser::take(const Thing* thing) {
    if (!thing) return;
    const RecordId record = thing->record;
    const auto chosen = chosen_;
    close();
    chosen(record);
}

bool Chooser::eventFilter(QObject* watched, QEvent* event) {
    if (event->type() != QEvent::KeyPress) return QFrame::eventFilter(watched, event);
    const auto* key = static_cast<QKeyEvent*>(event);
    const bool enter = key->key() == Qt::Key_Return || key->key() == Qt::Key_Enter;
    if (enter) {
        take(tray_->current());
        return true;
    }
    if (watched == search_ &&
        (key->key() == Qt::Key_Down || key->key() == Qt::Key_Up || key->key() == Qt::Key_PageDown || key->key() == Qt::Key_PageUp)) {
        tray_->setFocus();
        QKeyEvent copy(key->type(), key->key(), key->modifiers(), key->text());
        QCoreApplication::sendEvent(tray_, &copy);
        return true;
    }
    if (watched == tray_ && !key->text().isEmpty() && key->text().at(0).isPrint() &&
        key->text().at(0) != QLatin1Char(' ')) {  // typing goes on in the search
        search_->setFocus();
        search_->setText(search_->text() + key->text());
        return true;
    }
    return QFrame::eventFilter(watched, event);
}

// Nameless until it is deleted: another may be open by then.
void Chooser::closeEvent(QCloseEvent* event) {
    for (QWidget* child : findChildren<QWidget*>())
        child->setObjectName(QString());
    setObjectName(QString());
    QFrame::closeEvent(event);
}

void Chooser::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape) {
        close();
        return;
    }
    QFrame::keyPressEvent(event);
}

}  // namespace machair::app
