#include "frame/quiet_line.h"
#include "parts/label.h"

#include <QHBoxLayout>
#include <QLabel>

namespace machair::app {

QuietLine::QuietLine(const Theme& theme, QWidget* parent)
    : QWidget(parent), theme_(theme), words_(new Label(this)), warning_(new Label(this)) {
    words_->setObjectName(QStringLiteral("quiet"));
    words_->setAccessibleName(tr("What just changed"));
    words_->setTextInteractionFlags(Qt::TextSelectableByMouse);
    words_->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Preferred);
    warning_->setObjectName(QStringLiteral("not-kept"));
    warning_->setFont(faceScaled(1.0, true));
    warning_->hide();
    auto* layout = new QHBoxLayout(this);
    layout->setContentsMargins(14, 5, 14, 6);
    layout->addWidget(warning_);
    layout->addWidget(words_, 1);
    connect(&theme_, &Theme::changed, this, &QuietLine::refresh);
    refresh();
}

void QuietLine::refresh() { setInk(warning_, theme_.colours().fault); }

void QuietLine::say(const QString& words) {
    words_->setText(words);
    words_->setToolTip(words);
}

void QuietLine::warn(const QString& words) {
    warning_->setText(words);
    warning_->setVisible(!words.isEmpty());
}

QString QuietLine::text() const { return words_->text(); }

}  // namespace machair::app
