#include "plan/part_row.h"

#include <QComboBox>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QMouseEvent>
#include <QPainter>
#include <QSignalBlocker>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>

#include "book/part_material.h"
#include "book/spec_words.h"
#include "drawing/things.h"
#include "frame/retire.h"
#include "parts/chooser.h"
#include "parts/flow_layout.h"
#include "parts/label.h"
#include "sizing/figures.h"
#include "sizing/mending.h"

namespace machair::app {

// A part's own; those of the whole fly stand at its head, or at the last part where no head is written.
bool warningIsHere(const Plan& plan, const Warning& warning, std::size_t part) {
    if (warning.part) return *warning.part == part;
    return part == findKind(plan.pattern, PartKind::head).value_or(plan.parts.size() - 1);
}

PartRow::PartRow(Document& document, const Theme& theme, std::size_t part, QWidget* parent)
    : QFrame(parent),
      document_(document),
      theme_(theme),
      part_(part),
      kind_(new Label(this)),
      material_(new Label(this)),
      headline_(new Label(this)),
      words_(new Label(this)),
      warning_(new Label(this)) {
    setObjectName(QStringLiteral("row-%1").arg(part));
    setCursor(Qt::PointingHandCursor);
    kind_->setFont(faceScaled(1.05, true));
    headline_->setObjectName(QStringLiteral("headline-%1").arg(part));
    headline_->setFont(faceScaled(1.2, true));
    words_->setObjectName(QStringLiteral("words-%1").arg(part));
    for (Label* label : {words_, warning_}) {
        label->setWordWrap(true);
        label->setFont(faceScaled(0.96));
    }
    auto* line = new QHBoxLayout;
    line->setSpacing(8);
    line->addWidget(kind_);
    line->addWidget(material_, 1);
    line->addWidget(headline_);
    auto* layout = new QVBoxLayout(this);
    layout->setContentsMargins(14, 7, 12, 8);
    layout->setSpacing(2);
    layout->addLayout(line);
    layout->addWidget(words_);
    layout->addWidget(warning_);
    connect(&theme_, &Theme::changed, this, &PartRow::dress);
    dress();
}

void PartRow::dress() {
    const Colours& c = theme_.colours();
    update();
    setInk(material_, c.inkSoft);
    setInk(words_, c.inkSoft);
    setInk(warning_, c.warn);
    if (fault_) setInk(fault_, c.fault);
    if (figures_)
        for (auto* figure : figures_->findChildren<Label*>())
            setInk(figure, c.inkSoft);
}

void PartRow::paintEvent(QPaintEvent*) {
    constexpr int kEdge = 4;  // px: the open one has it in the accent
    const Colours& c = theme_.colours();
    QPainter painter(this);
    painter.fillRect(rect(), isOpen() ? c.raised : c.panel);
    painter.fillRect(QRect(0, height() - 1, width(), 1), c.line);
    if (isOpen()) painter.fillRect(QRect(0, 0, kEdge, height()), c.accent);
}

void PartRow::refresh(const std::vector<CheckItem>& measured) {
    const auto& plan = document_.plan();
    if (!plan || part_ >= plan->parts.size()) return;
    const PartPlan& part = plan->parts[part_];
    kind_->setText(capitalised(qt(sayName(part.kind))));
    material_->setText(part.material ? qt(part.made.title()) : QString());
    headline_->setText(qt(headlineOf(*plan, part_)));
    QString words = qt(part.words);
    const QString kind = qt(sayName(part.kind));
    if (words.startsWith(kind + QLatin1Char(' '))) words.remove(0, kind.size() + 1);  // its name stands above already
    if (const std::string aim = sayAim(measured, part_); !aim.empty()) words += tr(" (your hand: %1)").arg(qt(aim));
    words_->setText(words);
    QString because;
    for (const std::string& driver : part.drivers)
        because += (because.isEmpty() ? QString() : QStringLiteral("\n")) + qt(driver);
    setToolTip(because.isEmpty() ? QString() : tr("From:\n%1").arg(because));
    // What can't be tied first, then what a tier would change, then what is only worth knowing.
    QStringList lines;
    const auto line = [&lines](const QString& mark, const Fault& fault) {
        lines << mark + qt(fault.what + (fault.remedy.empty() ? "" : " — " + fault.remedy));
    };
    for (const Fault& fault : plan->faults)
        if (fault.place.text().starts_with(part.place.text() + ".")) line(QStringLiteral("✗ "), fault);
    for (const Warning& warning : plan->warnings)
        if (warningIsHere(*plan, warning, part_))
            line(warning.severity == Severity::warning ? QStringLiteral("! ") : QStringLiteral("· "), warning);
    warning_->setText(lines.join(QLatin1Char('\n')));
    warning_->setVisible(!lines.isEmpty());
    if (isOpen()) fillEditor();
}

// The figure under the cursor where there is one, else what its line is headed with.
std::optional<Question> PartRow::questionAt(std::optional<QPoint> at) const {
    const auto& plan = document_.plan();
    if (!plan || part_ >= plan->parts.size()) return std::nullopt;
    const QWidget* under = at ? childAt(*at) : nullptr;
    const QString key = under ? under->property(kFigureKey).toString() : QString();
    if (!key.isEmpty()) return FigureRef{AskedOf::part, part_, key.toStdString()};
    return mainFigure(*plan, part_);
}

bool PartRow::eventFilter(QObject* watched, QEvent* event) {
    auto* line = qobject_cast<QLineEdit*>(watched);
    if (!line || event->type() != QEvent::KeyPress) return QFrame::eventFilter(watched, event);
    const auto* key = static_cast<QKeyEvent*>(event);
    const auto found = std::ranges::find_if(lines_, [&](const auto& entry) { return entry.second == line; });
    if (found == lines_.end()) return false;
    if (key->key() == Qt::Key_Escape) {
        fillEditor();
        return true;
    }
    if (key->key() == Qt::Key_Up || key->key() == Qt::Key_Down) {
        const int by = (key->modifiers() & Qt::ShiftModifier) ? 5 : 1;
        step(line, std::string(found->first), key->key() == Qt::Key_Up ? by : -by);
        return true;
    }
    return false;
}

void PartRow::mousePressEvent(QMouseEvent* event) {
    if (event->button() == Qt::LeftButton) document_.choosePart(part_);
}

}  // namespace machair::app
