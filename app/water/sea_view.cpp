#include "water/sea_view.h"

#include <QMouseEvent>
#include <QPainter>
#include <QToolButton>
#include <algorithm>
#include <cmath>
#include <numbers>

#include "asking/day.h"
#include "daybook/boat.h"
#include "language/say.h"
#include "parts/lengths.h"
#include "parts/when_seen.h"
#include "theme/said.h"
#include "units/text.h"
#include "water/wave_picture.h"

namespace machair::app {

namespace {

constexpr double kWaveShare = 0.30;
constexpr double kFullnessHeight = 132.0;

}  // namespace

SeaView::SeaView(Document& document, const Theme& theme, QWidget* parent) : QWidget(parent), document_(document), theme_(theme) {
    setObjectName(QStringLiteral("sea"));
    setAccessibleName(tr("The loch, its wave and how full to dress"));
    setMinimumWidth(420);
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    setToolTip(
        tr("Drag the arrow for the wind, its length is its force; drag the boat for the fetch. Keys: Left and Right turn the wind, Up and "
           "Down make it stronger or weaker"));
    begin_ = new QToolButton(this);
    begin_->setObjectName(QStringLiteral("begin-water"));
    connect(begin_, &QToolButton::clicked, this, [this] { document_.water() ? emit shoreWanted() : emit waterWanted(); });
    connect(&document_, &Document::bookOpened, this, [this] { boat_.reset(); });
    (new WhenSeen(this, [this] { refresh(); }))->on(&document_, &Document::teamChanged, &Document::bookOpened);
    connect(&theme_, &Theme::changed, this, qOverload<>(&QWidget::update));
}

void SeaView::refresh() {
    sea_.reset();
    if (const WaterSpec* water = document_.water(); water && water->wind && water->fetch) sea_ = seaOf(document_.book(), *water);
    offerBeginning();
    update();
}

// What a station without its thing has: the one button that begins it, under the words that say what for.
void SeaView::offerBeginning() {
    const WaterSpec* water = document_.isOpen() ? document_.water() : nullptr;
    begin_->setVisible(document_.isOpen() && !drawing_ && !(water && water->outline.size() > 2));
    begin_->setText(water ? tr("Draw the shore") : tr("Begin a water"));
    begin_->setToolTip(water ? tr("Click corner after corner on the map, twice at the last")
                             : tr("A loch of yours: its wind and fetch give the wave"));
    begin_->adjustSize();
    const QPoint under = mapFrame().center().toPoint() + QPoint(0, 2 * fontMetrics().height());
    begin_->move(under.x() - begin_->width() / 2, under.y());
}

void SeaView::resizeEvent(QResizeEvent*) { offerBeginning(); }

void SeaView::drawShore(bool drawing) {
    drawing_ = drawing;
    drawn_.clear();
    setCursor(drawing ? Qt::CrossCursor : Qt::ArrowCursor);
    update();
    offerBeginning();
}

QRectF SeaView::mapFrame() const { return QRectF(16.0, 34.0, width() - 32.0, height() * (1.0 - kWaveShare) - kFullnessHeight - 46.0); }

QPointF SeaView::toScreen(const MapPoint& at) const {
    const QRectF frame = mapFrame();
    double east = kDrawnSpan, north = kDrawnSpan * frame.height() / std::max(frame.width(), 1.0);
    if (const WaterSpec* water = document_.water(); water && water->outline.size() > 2 && !drawing_) {
        east = north = 1.0;
        for (const auto& corner : water->outline) {
            east = std::max(east, corner[0] / metre);
            north = std::max(north, corner[1] / metre);
        }
    }
    const double scale = std::min(frame.width() / (1.06 * east), frame.height() / (1.06 * north));
    const double left = frame.center().x() - 0.5 * scale * east, bottom = frame.center().y() + 0.5 * scale * north;
    return {left + scale * (at[0] / metre), bottom - scale * (at[1] / metre)};
}

MapPoint SeaView::toMap(QPointF at) const {
    const QPointF zero = toScreen({Length{}, Length{}}), one = toScreen({100.0 * metre, 100.0 * metre});
    return {100.0 * (at.x() - zero.x()) / (one.x() - zero.x()) * metre, 100.0 * (at.y() - zero.y()) / (one.y() - zero.y()) * metre};
}

QPointF SeaView::rose() const { return {width() - 16.0 - kRoseRadius, 40.0 + kRoseRadius}; }

QPointF SeaView::arrowTip(double speed, double from) const {
    const double bearing = from * std::numbers::pi / 180.0;
    return rose() + std::min(kRoseRadius, kStill + kPxPerSpeed * speed) * QPointF(-std::sin(bearing), std::cos(bearing));
}

SeaView::Blowing SeaView::windTo(QPointF tip) const {
    const QPointF off = tip - rose();
    const double far = std::hypot(off.x(), off.y());
    const double from = std::fmod(std::atan2(-off.x(), off.y()) * 180.0 / std::numbers::pi + 360.0, 360.0);
    constexpr double kHalf = 0.5, kWholes = 5.0;  // m/s; degrees
    return {std::round(std::max(0.0, (far - kStill) / kPxPerSpeed) / kHalf) * kHalf,
            std::fmod(std::round(from / kWholes) * kWholes, 360.0)};
}

std::optional<SeaView::Blowing> SeaView::wind() const {
    if (drawnWind_) return drawnWind_;
    const WaterSpec* water = document_.water();
    if (!water || !water->wind) return std::nullopt;
    return Blowing{*water->wind / metrePerSecond, water->windFrom.value_or(0.0)};
}

namespace {

constexpr double kWaveLineLeft = 16.0, kWaveLine = 38.0;  // px from the frame's corner to the base of the words

// The line that says the wave and the boat, in pieces that each say one figure.
std::vector<std::pair<QString, SeaTerm>> waveWords(const Sea& sea, const WaterSpec& water) {
    return {{SeaView::tr("wave %1 cm").arg(number(100.0 * (sea.height / metre), 0)), SeaTerm::height},
            {SeaView::tr(" every %1 s").arg(number(sea.period / second, 1)), SeaTerm::period},
            {SeaView::tr(", once it has blown %1 min").arg(number(sea.builds / second / 60.0, 0)), SeaTerm::builds},
            {SeaView::tr(" · the boat drifts at %1 m/s%2")
                 .arg(number(sea.drift / metrePerSecond, 2), water.drogue.value_or(false) ? SeaView::tr(" on the drogue") : QString()),
             SeaTerm::drift}};
}

void sayWave(QPainter& painter, const QRectF& frame, const Sea& sea, const WaterSpec& water, const Colours& c) {
    const int force = beaufort(*water.wind);
    painter.setFont(faceScaled(1.05, true));
    painter.setPen(c.ink);
    painter.drawText(QPointF(frame.left() + 16.0, frame.top() + 18.0),
                     SeaView::tr("Force %1, %2: %3").arg(force).arg(qt(say(windWords(force))), qt(sayName(sea.kind))));
    painter.setFont(faceScaled(0.95));
    painter.setPen(c.inkSoft);
    double x = frame.left() + kWaveLineLeft;
    for (const auto& [words, term] : waveWords(sea, water)) {
        painter.drawText(QPointF(x, frame.top() + kWaveLine), words);
        x += QFontMetricsF(painter.font()).horizontalAdvance(words);
    }
}

}  // namespace

void SeaView::paintWave(QPainter& painter, const QRectF& frame) const {
    const Colours& c = theme_.colours();
    if (!sea_) {
        painter.setPen(c.inkSoft);
        painter.drawText(frame, Qt::AlignCenter, tr("Wind and fetch make the wave."));
        return;
    }
    const DrawnWave wave = drawnWave(*sea_, frame);
    paintWater(painter, wave, c);
    paintBoat(painter, wave, c);
    if (const WaterSpec* water = document_.water(); water && water->wind) sayWave(painter, frame, *sea_, *water, c);
}

void SeaView::paintFullness(QPainter& painter, const QRectF& frame) const {
    const Colours& c = theme_.colours();
    painter.setFont(faceScaled(0.95, true));
    painter.setPen(c.ink);
    const auto& report = document_.teamReport();
    // The verdict of the day in the words that the cast has for it: the same report.
    painter.drawText(QPointF(frame.left(), frame.top() + 14.0),
                     report ? tr("How full, in usual collars · %1 %2").arg(signOf(report->verdict), qt(sayVerdict(*report)))
                            : tr("How full, in usual collars"));
    painter.setFont(faceScaled(0.88));
    if (!sea_ || !report) return;
    constexpr double kMost = 5.0;
    const double said = 190.0;
    const double left = frame.left() + 70.0, room = frame.width() - 70.0 - said;
    double y = frame.top() + 26.0;
    const TeamDay day = document_.setting().day;
    for (const Position position : positionsShown(document_.team()->flies)) {
        const PlaceWants wants = wantsOf(report->rules, position, report->wave, day);
        painter.setPen(c.inkSoft);
        painter.drawText(QRectF(frame.left(), y, 64.0, 26.0), Qt::AlignVCenter | Qt::AlignLeft, titleOf(position));
        const auto x = [&](double full) { return left + room * std::min(full, kMost) / kMost; };
        painter.setPen(Qt::NoPen);
        QColor band = c.grass;
        band.setAlpha(70);
        painter.setBrush(band);
        painter.drawRect(QRectF(x(wants.fullness.low), y + 3.0, x(wants.fullness.high) - x(wants.fullness.low), 20.0));
        painter.setPen(QPen(c.grass, 1.6));
        painter.drawLine(QPointF(x(wants.best), y + 1.0), QPointF(x(wants.best), y + 25.0));
        QString text = tr("%1 to %2").arg(number(wants.fullness.low, 1), number(wants.fullness.high, 1));
        for (const TeamFly& fly : report->flies)
            if (fly.position == position) {
                const double own = fly.figures.full;
                painter.setPen(Qt::NoPen);
                painter.setBrush(c.accent);
                painter.drawEllipse(QPointF(x(own), y + 13.0), 5.0, 5.0);
                const auto so = dressItSo(fly.plan, wants);
                text += tr(", has %1%2").arg(number(own, 1), so ? QStringLiteral(": ") + inHouseWords(so->words) : tr(" ✓"));
            }
        painter.setPen(c.ink);
        painter.drawText(QRectF(left + room + 10.0, y - 2.0, said - 6.0, 30.0), Qt::AlignVCenter | Qt::AlignLeft | Qt::TextWordWrap, text);
        y += 29.0;
    }
    painter.setPen(c.inkSoft);
    painter.drawText(QRectF(frame.left(), y - 1.0, frame.width(), 18.0), Qt::AlignLeft,
                     tr("green: what this wave wants · dot: the fly as it is dressed. A rule of thumb."));
}

void SeaView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(rect(), theme_.colours().paper);
    if (!document_.isOpen()) return;
    paintMap(painter);
    paintWind(painter);
    paintWave(painter, waveFrame());
    painter.fillRect(QRectF(0.0, height() - kFullnessHeight, width(), kFullnessHeight), theme_.colours().panel);
    paintFullness(painter, QRectF(16.0, height() - kFullnessHeight + 6.0, width() - 32.0, kFullnessHeight - 8.0));
}

QRectF SeaView::waveFrame() const {
    const double wave = kWaveShare * height();
    return {0.0, height() - wave - kFullnessHeight, static_cast<double>(width()), wave};
}

std::optional<Question> SeaView::questionAt(std::optional<QPoint> at) const {
    const WaterSpec* water = document_.isOpen() ? document_.water() : nullptr;
    if (!sea_ || !water || !water->wind || !water->fetch) return std::nullopt;
    SeaTerm asked = SeaTerm::height;
    if (at) {
        if (!waveFrame().contains(*at)) return std::nullopt;
        const QFontMetricsF metrics(faceScaled(0.95));
        double right = kWaveLineLeft;
        for (const auto& [words, term] : waveWords(*sea_, *water)) {
            right += metrics.horizontalAdvance(words);
            if (at->x() >= right) continue;
            asked = term;
            break;
        }
        if (std::abs(at->y() - waveFrame().top() - kWaveLine) > metrics.height()) asked = SeaTerm::height;
    }
    return AnsweredThere{[this, asked]() -> std::optional<Derivation> {
        const WaterSpec* now = document_.water();
        if (!now || !now->wind || !now->fetch) return std::nullopt;
        const Wind wind = windOf(*now);
        const BoatLearned own = boatOf(document_.book(), *now);
        return ask(wind, own.drift, wind.drogue ? own.drogueDays : own.days, asked);
    }};
}

}  // namespace machair::app
