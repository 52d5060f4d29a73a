#include "frame/first_evening.h"

#include <QFileInfo>
#include <QHBoxLayout>
#include <QLabel>
#include <QSettings>
#include <QToolButton>

#include "frame/panel.h"
#include "parts/label.h"

namespace machair::app {

FirstEvening::FirstEvening(Document& document, QSettings& settings, std::vector<EveningStep> steps, QWidget* parent)
    : QFrame(parent),
      document_(document),
      settings_(settings),
      steps_(std::move(steps)),
      words_(new Label),
      do_(toolButton("evening-do", {}, {})) {
    setObjectName(QStringLiteral("first-evening"));
    setAutoFillBackground(true);
    words_->setObjectName(QStringLiteral("evening-words"));
    words_->setFont(faceScaled(1.05, true));
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(14, 4, 14, 4);
    row->addWidget(words_);
    row->addWidget(do_);
    auto* skip = toolButton("evening-skip", tr("Skip it"), tr("On to the next step"));
    auto* stop = toolButton("evening-end", tr("No more of this"), tr("The guide says the same: F1"));
    row->addWidget(skip);
    row->addStretch(1);
    row->addWidget(stop);
    connect(do_, &QToolButton::clicked, this, [this] {
        if (step_ < 0) return;
        const auto at = static_cast<std::size_t>(step_);
        steps_[at].work();
        if (!steps_[at].done) next();
    });
    connect(skip, &QToolButton::clicked, this, &FirstEvening::next);
    connect(stop, &QToolButton::clicked, this, &FirstEvening::end);
    connect(&document_, &Document::bookChanged, this, &FirstEvening::look);
    connect(&document_, &Document::bookOpened, this, &FirstEvening::goOn);
    hide();
}

QString FirstEvening::key() const {
    return QStringLiteral("evening/") + QFileInfo(QString::fromStdString(document_.path().string())).fileName();
}

void FirstEvening::begin() {
    settings_.setValue(key(), 0);
    goOn();
}

void FirstEvening::goOn() {
    step_ = document_.isOpen() ? settings_.value(key(), -1).toInt() : -1;
    if (step_ >= static_cast<int>(steps_.size())) step_ = -1;
    say();
    look();
}

void FirstEvening::look() {
    while (step_ >= 0 && document_.isOpen()) {
        const EveningStep& now = steps_[static_cast<std::size_t>(step_)];
        if (!now.done || !now.done(document_.book())) return;
        next();
    }
}

void FirstEvening::next() {
    if (step_ < 0) return;
    ++step_;
    if (step_ >= static_cast<int>(steps_.size())) {
        end();
        return document_.say(tr("That was the first evening. All of it is in the guide too: F1"));
    }
    settings_.setValue(key(), step_);
    say();
}

void FirstEvening::end() {
    step_ = -1;
    settings_.remove(key());
    say();
}

void FirstEvening::say() {
    setVisible(step_ >= 0);
    if (step_ < 0) return;
    const EveningStep& now = steps_[static_cast<std::size_t>(step_)];
    words_->setText(tr("%1 of %2: %3").arg(step_ + 1).arg(steps_.size()).arg(now.words));
    do_->setText(now.button);
    do_->setAccessibleName(now.button);
    do_->setToolTip(now.words);
}

}  // namespace machair::app
