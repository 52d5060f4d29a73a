#include "water/day_picker.h"

#include <QHelpEvent>
#include <QKeyEvent>
#include <QLocale>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <QToolTip>
#include <algorithm>
#include <cmath>
#include <numbers>
#include <utility>

#include "language/say.h"
#include "theme/light.h"
#include "units/text.h"
#include "water/sight.h"

namespace machair::app {

namespace {

constexpr double kTile = 38.0, kApart = 6.0, kRow = kTile + 20.0, kRing = 66.0, kMonth = 12.0;  // px
constexpr double kRows = 3.0;                                                                   // of tiles
constexpr std::size_t kMonths = 12;

// The row of tiles that a key stands in, and how many stand there.
struct TileRow {
    double row;
    double count;
};
TileRow rowOf(std::string_view key) {
    if (key == "light") return {0.0, 3.0};
    if (key == "colour") return {1.0, 4.0};
    return {2.0, 2.0};
}

}  // namespace

DayPicker::DayPicker(Document& document, const Theme& theme, QWidget* parent) : QWidget(parent), document_(document), theme_(theme) {
    setObjectName(QStringLiteral("day-picker"));
    setAccessibleName(tr("Light, colour of the water, the boat and the month"));
    setFocusPolicy(Qt::StrongFocus);
    setSizePolicy(QSizePolicy::Preferred, QSizePolicy::Fixed);
    for (const auto& entry : Names<Light>::entries)
        choices_.push_back({"light", std::string(entry.name), qt(say(spaced(entry.name))), {}});
    for (const auto& entry : Names<WaterColour>::entries)
        choices_.push_back({"colour", std::string(entry.name), tr("%1 water").arg(qt(say(spaced(entry.name)))), {}});
    choices_.push_back({"drogue", "yes", tr("a drogue out"), {}});
    choices_.push_back({"own_drift", "yes", tr("as your own boat drifts"), {}});
    for (std::size_t m = 1; m <= kMonths; ++m)
        choices_.push_back({"month", std::to_string(m), QLocale().standaloneMonthName(static_cast<int>(m)), {}});
    connect(&theme_, &Theme::changed, this, qOverload<>(&QWidget::update));
}

QPointF DayPicker::ring() const { return {0.5 * width(), kRows * kRow + kRing + kMonth}; }

void DayPicker::place() {
    double x = 0.0, row = 0.0;
    std::size_t month = 0;
    for (Choice& choice : choices_) {
        if (std::string_view(choice.key) == "month") {
            const double a = 2.0 * std::numbers::pi * static_cast<double>(month++) / static_cast<double>(kMonths);
            const QPointF at = ring() + kRing * QPointF(std::sin(a), -std::cos(a));
            choice.place = QRectF(at - QPointF(kMonth, kMonth), QSizeF(2.0 * kMonth, 2.0 * kMonth));
            continue;
        }
        const TileRow in = rowOf(choice.key);
        if (std::exchange(row, in.row) != in.row) x = 0.0;
        const double wide = (width() - (in.count - 1.0) * kApart) / in.count;
        choice.place = QRectF(x, in.row * kRow, wide, kTile);
        x += wide + kApart;
    }
}

void DayPicker::resizeEvent(QResizeEvent*) { place(); }

void DayPicker::refresh() {
    const WaterSpec* water = document_.isOpen() ? document_.water() : nullptr;
    setEnabled(water != nullptr);
    QStringList said;
    for (Choice& choice : choices_) {
        const std::string_view key = choice.key;
        choice.chosen =
            water && ((key == "light" && water->light && nameOf(*water->light) == choice.text) ||
                      (key == "colour" && water->colour && nameOf(*water->colour) == choice.text) ||
                      (key == "drogue" && water->drogue.value_or(false)) || (key == "own_drift" && water->ownDrift.value_or(false)) ||
                      (key == "month" && water->month && std::to_string(*water->month) == choice.text));
        if (choice.chosen) said << choice.name;
        choice.about = 0;
        if (key == "month" && document_.isOpen())
            choice.about = static_cast<int>(
                std::ranges::count_if(document_.book().season, [&](const SeasonRow& row) { return row.includes(std::stoi(choice.text)); }));
    }
    setAccessibleDescription(said.join(tr(", ")));
    update();
}

void DayPicker::paintTile(QPainter& painter, const Choice& choice) const {
    const Colours& c = theme_.colours();
    const QRectF box = choice.place;
    QPainterPath clip;
    clip.addRoundedRect(box, 5.0, 5.0);
    painter.save();
    painter.setClipPath(clip);
    if (std::string_view(choice.key) == "light") {
        QLinearGradient sky(box.topLeft(), box.bottomLeft());
        if (choice.text == "bright") {
            sky.setColorAt(0.0, QColor(0x9c, 0xc4, 0xe4));
            sky.setColorAt(1.0, QColor(0xf2, 0xf4, 0xe6));
        } else if (choice.text == "cloud") {
            sky.setColorAt(0.0, QColor(0xa9, 0xae, 0xb2));
            sky.setColorAt(1.0, QColor(0xd4, 0xd5, 0xd2));
        } else {
            sky.setColorAt(0.0, QColor(0x2c, 0x33, 0x4a));
            sky.setColorAt(1.0, QColor(0xc2, 0x7d, 0x52));
        }
        painter.fillRect(box, sky);
        painter.setPen(Qt::NoPen);
        painter.setBrush(QColor(0xff, 0xf2, 0xb8));
        if (choice.text == "bright") painter.drawEllipse(QPointF(box.right() - 16.0, box.top() + 14.0), 7.0, 7.0);
        painter.setBrush(QColor(0xec, 0xed, 0xec, 190));
        if (choice.text == "cloud")
            for (const auto& [dx, dy, r] : {std::tuple(0.30, 0.52, 9.0), std::tuple(0.45, 0.42, 11.0), std::tuple(0.62, 0.52, 9.0)})
                painter.drawEllipse(QPointF(box.left() + dx * box.width(), box.top() + dy * box.height()), 1.5 * r, r);
    } else if (rowOf(choice.key).row > 1.0) {
        paintBoat(painter, box, std::string_view(choice.key) == "drogue");
    } else {
        // Lit from above, as deep as an arm reaches.
        const Clarity clarity = clarityOf(fromName<WaterColour>(choice.text).value_or(WaterColour::tea));
        const double exposure = 0.45 / std::max({clarity.scattered.r, clarity.scattered.g, clarity.scattered.b, 1e-6});
        QLinearGradient water(box.topLeft(), box.bottomLeft());
        for (int i = 0; i <= 4; ++i) {
            const Seen there = seen({0.5, 0.5, 0.5}, clarity, {0.4 * i * metre, 0.5 * metre, 0.83});
            // Less of it than a lamp under water would show: what an angler sees over the side has the bottom's grey in it.
            const QColor own = shownLight(there.water, exposure * (1.0 - 0.14 * i));
            const auto greyed = [](int channel) { return static_cast<int>(0.62 * channel + 0.38 * 84.0); };
            water.setColorAt(0.25 * i, QColor(greyed(own.red()), greyed(own.green()), greyed(own.blue())));
        }
        painter.fillRect(box, water);
    }
    painter.restore();
    painter.setBrush(Qt::NoBrush);
    painter.setPen(QPen(choice.chosen ? c.accent : c.line, choice.chosen ? 3.0 : 1.0));
    painter.drawRoundedRect(box, 5.0, 5.0);
    painter.setFont(faceScaled(0.82, choice.chosen));
    painter.setPen(choice.chosen ? c.ink : c.inkSoft);
    const QString words = rowOf(choice.key).row > 1.0 ? choice.name : qt(say(spaced(choice.text)));
    painter.drawText(QRectF(box.left() - 4.0, box.bottom() + 1.0, box.width() + 8.0, 16.0), Qt::AlignCenter,
                     QFontMetricsF(painter.font()).elidedText(words, Qt::ElideRight, box.width() + 8.0));
}

// A boat on the water: holding to its drogue, or with the wake of its own drift.
void DayPicker::paintBoat(QPainter& painter, const QRectF& box, bool drogue) const {
    const Colours& c = theme_.colours();
    const double level = box.top() + 0.55 * box.height();
    painter.fillRect(box, c.raised);
    QColor water = c.slate;
    water.setAlpha(60);
    painter.fillRect(QRectF(box.left(), level, box.width(), box.bottom() - level), water);
    const double bow = box.left() + (drogue ? 0.18 : 0.40) * box.width(), hull = 0.30 * box.width();
    QPainterPath boat(QPointF(bow, level - 8.0));
    boat.cubicTo(QPointF(bow + 2.0, level + 1.0), QPointF(bow + 0.2 * hull, level + 5.0), QPointF(bow + 0.4 * hull, level + 5.0));
    boat.lineTo(QPointF(bow + 0.8 * hull, level + 5.0));
    boat.cubicTo(QPointF(bow + 0.95 * hull, level + 3.0), QPointF(bow + hull, level - 4.0), QPointF(bow + hull, level - 7.0));
    boat.cubicTo(QPointF(bow + 0.7 * hull, level - 4.0), QPointF(bow + 0.3 * hull, level - 4.0), QPointF(bow, level - 8.0));
    painter.setPen(QPen(c.ink, 1.1));
    painter.setBrush(c.paper);
    painter.drawPath(boat);
    painter.setBrush(Qt::NoBrush);
    if (drogue) {  // its mouth towards the boat
        const double mouth = box.left() + 0.70 * box.width(), deep = level + 9.0;
        painter.drawLine(QPointF(bow + hull, level - 4.0), QPointF(mouth, deep));
        painter.setBrush(c.accent);
        painter.drawPolygon(QPolygonF{QPointF(mouth, deep - 7.0), QPointF(mouth, deep + 6.0), QPointF(mouth + 0.16 * box.width(), deep)});
        return;
    }
    painter.setPen(QPen(c.slate, 1.4));
    for (const double back : {0.10, 0.19, 0.28})
        painter.drawArc(QRectF(bow - (back + 0.05) * box.width(), level + 1.0, 0.07 * box.width(), 6.0), 60 * 16, 240 * 16);
}

void DayPicker::paintMonth(QPainter& painter, const Choice& choice, std::size_t month) const {
    const Colours& c = theme_.colours();
    painter.setPen(QPen(choice.chosen ? c.accent : c.line, choice.chosen ? 2.5 : 1.0));
    painter.setBrush(choice.chosen ? c.accent : c.raised);
    painter.drawEllipse(choice.place.center(), kMonth - 1.0, kMonth - 1.0);
    painter.setFont(faceScaled(0.80, true));
    painter.setPen(choice.chosen ? c.accentInk : c.ink);
    painter.drawText(choice.place, Qt::AlignCenter, choice.name.left(3));
    // A dot for each creature that is about, inwards of its month.
    const double a = 2.0 * std::numbers::pi * static_cast<double>(month) / static_cast<double>(kMonths);
    painter.setPen(Qt::NoPen);
    painter.setBrush(c.grass);
    constexpr int kMostDots = 4;
    for (int i = 0; i < std::min(kMostDots, choice.about); ++i)
        painter.drawEllipse(ring() + (kRing - kMonth - 6.0 - 6.0 * i) * QPointF(std::sin(a), -std::cos(a)), 2.2, 2.2);
}

void DayPicker::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    if (!isEnabled()) painter.setOpacity(0.5);
    std::size_t month = 0;
    for (const Choice& choice : choices_)
        std::string_view(choice.key) == "month" ? paintMonth(painter, choice, month++) : paintTile(painter, choice);
    if (!hasFocus()) return;
    painter.setBrush(Qt::NoBrush);
    painter.setPen(QPen(theme_.colours().accent, 1.4, Qt::DotLine));
    painter.drawRect(choices_[current_].place.adjusted(-2.5, -2.5, 2.5, 2.5));
}

std::optional<std::size_t> DayPicker::at(QPointF at) const {
    for (std::size_t i = 0; i < choices_.size(); ++i)
        if (choices_[i].place.contains(at)) return i;
    return std::nullopt;
}

std::vector<SpokenPart> DayPicker::spokenParts() const {
    std::vector<SpokenPart> parts;
    for (const Choice& choice : choices_)
        parts.push_back(
            {choice.name, choice.about > 0 ? tr("%1 about").arg(choice.about) : QString(), choice.place.toRect(), choice.chosen});
    return parts;
}

void DayPicker::choosePart(std::size_t part) {
    if (part >= choices_.size() || !isEnabled()) return;
    current_ = part;
    emit chose(choices_[part].key, choices_[part].chosen ? std::string() : choices_[part].text);
}

void DayPicker::mousePressEvent(QMouseEvent* event) {
    if (const auto part = event->button() == Qt::LeftButton ? at(event->position()) : std::nullopt) choosePart(*part);
}

void DayPicker::keyPressEvent(QKeyEvent* event) {
    const std::size_t n = choices_.size();
    switch (event->key()) {
        case Qt::Key_Right: current_ = (current_ + 1) % n; break;
        case Qt::Key_Left: current_ = (current_ + n - 1) % n; break;
        case Qt::Key_Space:
        case Qt::Key_Return:
        case Qt::Key_Enter: return choosePart(current_);
        default: return QWidget::keyPressEvent(event);
    }
    update();
}

bool DayPicker::event(QEvent* event) {
    if (event->type() != QEvent::ToolTip) return QWidget::event(event);
    auto* help = static_cast<QHelpEvent*>(event);
    const auto part = at(help->pos());
    const Choice* choice = part ? &choices_[*part] : nullptr;
    QToolTip::showText(help->globalPos(),
                       !choice             ? QString()
                       : choice->about > 0 ? tr("%1: %2 of your season's table about").arg(choice->name).arg(choice->about)
                                           : choice->name,
                       this);
    return true;
}

}  // namespace machair::app
