#include "frame/empty_station.h"

#include <QLabel>
#include <QToolButton>
#include <QVBoxLayout>

#include "frame/panel.h"
#include "parts/label.h"

namespace machair::app {

EmptyStation::EmptyStation(QWidget* parent)
    : QWidget(parent), title_(new Label), words_(new Label), begin_(toolButton("station-begin", {}, {})) {
    setObjectName(QStringLiteral("empty-station"));
    title_->setFont(faceScaled(1.8, true));
    words_->setObjectName(QStringLiteral("empty-words"));
    words_->setFont(faceScaled(1.1));
    begin_->setFont(faceScaled(1.15, true));
    auto* column = new QVBoxLayout(this);
    column->setSpacing(14);
    column->addStretch(2);
    for (QWidget* one : std::initializer_list<QWidget*>{title_, words_, begin_})
        column->addWidget(one, 0, Qt::AlignHCenter);
    column->addStretch(3);
    connect(begin_, &QToolButton::clicked, this, &EmptyStation::begun);
}

void EmptyStation::say(const QString& title, const QString& words, const QString& button) {
    title_->setText(title);
    words_->setText(words);
    begin_->setText(button);
    begin_->setAccessibleName(button);
}

}  // namespace machair::app
