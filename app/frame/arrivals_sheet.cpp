#include "frame/arrivals_sheet.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QListWidget>
#include <QToolButton>
#include <QVBoxLayout>

#include "drawing/things.h"
#include "frame/panel.h"
#include "language/say.h"
#include "parts/label.h"

namespace machair::app {

ArrivalsSheet::ArrivalsSheet(Document& document, const Theme& theme, QWidget* parent)
    : QFrame(parent), document_(document), theme_(theme), title_(heading({})), list_(new QListWidget), said_(new Label) {
    setObjectName(QStringLiteral("arrivals"));
    setAutoFillBackground(true);
    setFrameShape(QFrame::StyledPanel);
    asLines(list_, "arrivals-list", tr("What would come in"));
    list_->setIconSize(QSize(84, 48));
    list_->setMinimumHeight(220);
    said_->setObjectName(QStringLiteral("arrivals-said"));
    said_->setWordWrap(true);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(16, 10, 16, 10);
    column->addWidget(title_);
    column->addWidget(list_, 1);
    column->addWidget(said_);
    auto* row = new QHBoxLayout;
    auto* take = toolButton("arrivals-take", tr("Take in what is ticked"), tr("With all that it needs, as one step that can be undone"));
    auto* leave = toolButton("arrivals-leave", tr("Leave it"), tr("Nothing is taken in"));
    row->addWidget(take);
    row->addWidget(leave);
    row->addStretch(1);
    column->addLayout(row);
    connect(take, &QToolButton::clicked, this, &ArrivalsSheet::takeIn);
    connect(leave, &QToolButton::clicked, this, &QWidget::hide);
    hide();
}

void ArrivalsSheet::show(Book other, const QString& name) {
    other_ = std::move(other);
    name_ = name;
    arrivals_ = arrivalsOf(document_.book(), other_);
    title_->setText(tr("In %1: tick what you want in your book").arg(name));
    said_->clear();
    list_->clear();
    constexpr QSize kPicture(84, 48);
    for (std::size_t i = 0; i < arrivals_.size(); ++i) {
        const Arriving& a = arrivals_[i];
        QString words = tr("%1, a %2: ").arg(qt(a.title), qt(say(nameOfOne(a.record.list))));
        words += a.how == Arrival::fresh  ? tr("new")
                 : a.how == Arrival::same ? tr("here already")
                                          : tr("differs from yours and would stand beside it");
        QStringList differences;
        for (const std::string& d : a.differences)
            differences << qt(d);
        if (!differences.isEmpty()) words += QStringLiteral(" (") + differences.join(QStringLiteral("; ")) + QLatin1Char(')');
        auto* item = new QListWidgetItem(words, list_);
        item->setIcon(QIcon(QPixmap::fromImage(drawing::pictureOf(other_, a.record, kPicture, devicePixelRatioF(), theme_.bench()))));
        item->setData(Qt::UserRole, static_cast<int>(i));
        const bool own = a.record.list == "patterns" || a.record.list == "teams";  // what somebody shares; the rest is what it needs
        item->setFlags(a.how == Arrival::same ? Qt::ItemIsEnabled : Qt::ItemIsEnabled | Qt::ItemIsUserCheckable);
        if (a.how != Arrival::same) item->setCheckState(own ? Qt::Checked : Qt::Unchecked);
    }
    if (arrivals_.empty()) said_->setText(tr("There is nothing in it."));
    QFrame::show();
    raise();
}

void ArrivalsSheet::takeIn() {
    std::vector<RecordId> wanted;
    for (int row = 0; row < list_->count(); ++row) {
        const QListWidgetItem* item = list_->item(row);
        if (item->checkState() == Qt::Checked)
            wanted.push_back(arrivals_[static_cast<std::size_t>(item->data(Qt::UserRole).toInt())].record);
    }
    if (wanted.empty()) return said_->setText(tr("Tick what you want, or leave it."));
    const auto before = document_.book().patterns.size();
    const Faults faults =
        document_.apply(machair::takeIn(document_.book(), other_, wanted, machair::say("taken in from {}", name_.toStdString())));
    if (!faults.empty()) return said_->setText(QStringLiteral("✗ ") + qt(faults.front().line()));
    hide();
    document_.say(tr("Taken in from %1: %2 dressings more. Undo takes all of it out again")
                      .arg(name_)
                      .arg(document_.book().patterns.size() - before));
}

}  // namespace machair::app
