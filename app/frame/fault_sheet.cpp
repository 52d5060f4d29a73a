#include "frame/fault_sheet.h"
#include "parts/label.h"

#include <QHBoxLayout>
#include <QLabel>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QVBoxLayout>
#include <algorithm>

namespace machair::app {

FaultSheet::FaultSheet(const Theme& theme, QWidget* parent)
    : QFrame(parent), theme_(theme), title_(new Label(this)), list_(new QPlainTextEdit(this)) {
    setObjectName(QStringLiteral("fault-sheet"));
    title_->setObjectName(QStringLiteral("fault-title"));
    title_->setFont(faceScaled(1.15, true));
    title_->setWordWrap(true);
    list_->setObjectName(QStringLiteral("fault-list"));
    list_->setAccessibleName(tr("Every fault and its place"));
    list_->setReadOnly(true);
    const auto button = [this](const char* name, const QString& text, const QString& tip) {
        auto* made = new QPushButton(text, this);
        made->setObjectName(QString::fromLatin1(name));
        made->setToolTip(tip);
        return made;
    };
    auto* another = button("fault-another", tr("Open &another file…"), tr("Choose another bench file"));
    auto* dismiss = button("fault-dismiss", tr("&Go on with the open book"), tr("Close this list; the book behind it was not touched"));
    mend_ =
        button("fault-mend", tr("&Mend from the copies"), tr("Takes what is damaged from the newest copy of the book that has it whole"));
    out_ = button("fault-take-out", tr("&Take them out"), tr("Leaves what is damaged out of the book for good; a copy is kept first"));
    connect(mend_, &QPushButton::clicked, this, &FaultSheet::mendFromCopies);
    connect(out_, &QPushButton::clicked, this, &FaultSheet::takeOut);
    connect(another, &QPushButton::clicked, this, &FaultSheet::openAnother);
    connect(dismiss, &QPushButton::clicked, this, &QWidget::hide);
    auto* buttons = new QHBoxLayout;
    buttons->addWidget(dismiss);
    buttons->addWidget(mend_);
    buttons->addWidget(out_);
    buttons->addWidget(another);
    buttons->addStretch(1);
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(16, 12, 16, 12);
    layout->addWidget(title_);
    layout->addWidget(list_);
    layout->addLayout(buttons);
    connect(&theme_, &Theme::changed, this, &FaultSheet::refresh);
    refresh();
    hide();
}

void FaultSheet::refresh() {
    const Colours& c = theme_.colours();
    setAutoFillBackground(true);
    QPalette own = palette();
    own.setColor(QPalette::Window, c.panel);
    setPalette(own);
    setInk(title_, c.fault);
}

void FaultSheet::showSetAside(const QString& file, const Faults& faults, bool copies) {
    title_->setText((faults.size() == 1 ? tr("%1 is damaged in one place. ").arg(file)
                                        : tr("%1 is damaged in %2 places. ").arg(file).arg(faults.size())) +
                    tr("What is whole is open; what is not was left where it is."));
    list(faults);
    mend_->setVisible(copies);
    out_->setVisible(true);
    QWidget::show();
}

void FaultSheet::list(const Faults& faults) {
    QStringList lines;
    for (const Fault& fault : faults)
        lines << QString::fromStdString(fault.line());
    list_->setPlainText(lines.join(QLatin1Char('\n')));
    constexpr int kMostLines = 9;  // the rest scrolls
    list_->setFixedHeight(static_cast<int>(std::min<qsizetype>(kMostLines, lines.size())) * list_->fontMetrics().lineSpacing() + 16);
}

void FaultSheet::show(const QString& file, const Faults& faults) {
    title_->setText(faults.size() == 1 ? tr("%1 was not opened: one fault. The open book is as it was.").arg(file)
                                       : tr("%1 was not opened: %2 faults. The open book is as it was.").arg(file).arg(faults.size()));
    list(faults);
    mend_->hide();
    out_->hide();
    QWidget::show();
}

QString FaultSheet::faultText() const { return list_->toPlainText(); }

}  // namespace machair::app
