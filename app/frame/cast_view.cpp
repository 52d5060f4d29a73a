#include "frame/cast_view.h"
#include "daybook/boat.h"

#include <QHelpEvent>
#include <QKeyEvent>
#include <QLabel>
#include <QMenu>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <QToolButton>
#include <QToolTip>
#include <QVBoxLayout>
#include <algorithm>
#include <cmath>
#include <numbers>

#include "book/flies.h"
#include "book/records.h"
#include "book/team_edits.h"
#include "parts/chooser.h"
#include "parts/field_editor.h"
#include "parts/label.h"
#include "parts/name_field.h"
#include "theme/said.h"
#include "units/text.h"

namespace machair::app {

namespace {

constexpr double kPxPerMm = 8.0;
constexpr double kSlimPxPerMm = 4.2, kSlimDrop = 10.0;
constexpr double kDeepestDrop = 56.0;      // px that the fastest fly of a team hangs below the leader's start
constexpr double kPxPerCmPerSecond = 3.4;  // of sink rate, until the deepest is reached
constexpr int kVerdictWidth = 270;

}  // namespace

CastView::CastView(Document& document, const Theme& theme, QWidget* parent)
    : QWidget(parent),
      document_(document),
      theme_(theme),
      teams_(new QToolButton(this)),
      name_(new NameField(teams_, this)),
      team_(new QToolButton(this)),
      begin_(new QToolButton(this)),
      verdict_(new Label(this)),
      reason_(new Label(this)) {
    setObjectName(QStringLiteral("cast"));
    setAccessibleName(tr("The cast: the team on its leader"));
    setFocusPolicy(Qt::StrongFocus);
    setMouseTracking(true);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    teams_->setObjectName(QStringLiteral("teams"));
    teams_->setAccessibleName(tr("Team"));
    teams_->setToolTip(tr("Which team hangs on the cast"));
    teams_->setFont(faceScaled(1.0, true));
    connect(teams_, &QToolButton::clicked, this, &CastView::chooseTeam);
    name_->setObjectName(QStringLiteral("team-name"));
    name_->setAccessibleName(tr("Name of the team"));
    connect(name_, &NameField::named, this, [this](const QString& name) {
        if (document_.team())
            document_.refuse(document_.apply(renameRecord(document_.book(), {"teams", document_.team()->id}, name.toStdString())));
    });
    team_->setObjectName(QStringLiteral("team"));
    team_->setAccessibleName(tr("Team: new, copy, rename, take out"));
    team_->setText(tr("▾"));
    team_->setToolTip(tr("Begin another team, name, copy or take out this one"));
    team_->setPopupMode(QToolButton::InstantPopup);
    begin_->setObjectName(QStringLiteral("begin-team"));
    begin_->setText(tr("Begin a team with the fly on the bench"));
    begin_->hide();
    connect(begin_, &QToolButton::clicked, this, &CastView::beginTeam);
    buildTeamMenu();
    verdict_->setObjectName(QStringLiteral("verdict"));
    verdict_->setFont(faceScaled(1.15, true));
    verdict_->setWordWrap(true);
    verdict_->setAlignment(Qt::AlignTop | Qt::AlignLeft);
    reason_->setObjectName(QStringLiteral("reason"));
    reason_->setWordWrap(true);
    reason_->setAlignment(Qt::AlignTop | Qt::AlignLeft);
    connect(&document_, &Document::bookOpened, this, &CastView::refreshTeams);
    connect(&document_, &Document::teamChanged, this, [this] {
        refreshTeams();
        rebuild();
    });
    connect(&document_, &Document::planChanged, this, qOverload<>(&QWidget::update));
    connect(&theme_, &Theme::changed, this, [this] { rebuild(); });
}

QSize CastView::sizeHint() const {
    constexpr int kFull = 158, kSlim = 66, kAround = 10, kBetween = 28;
    const int inside = verdictWidth() - 30;
    const int said = teams_->sizeHint().height() + verdict_->heightForWidth(inside);
    return {900, slim_ ? std::max(kSlim, said + kAround) : std::max(kFull, said + reason_->heightForWidth(inside) + kBetween)};
}

void CastView::setSlim(bool slim) {
    if (slim == slim_) return;
    slim_ = slim;
    updateGeometry();
    rebuild();
}

void CastView::refreshTeams() {
    const TeamSpec* team = document_.isOpen() ? document_.team() : nullptr;
    const QString title = team ? qt(team->title()) : tr("no team yet");
    teams_->setText(QStringLiteral(" "));
    const int frame = teams_->sizeHint().width();
    teams_->setText(teams_->fontMetrics().elidedText(title, Qt::ElideRight, std::max(40, teams_->width() - frame)));
    teams_->setToolTip(tr("%1: another team (it hangs on the cast)").arg(title));
    teams_->setVisible(team && name_->isHidden());
    team_->setVisible(team);
    begin_->setVisible(document_.isOpen() && !team && document_.pattern());
}

void CastView::buildTeamMenu() {
    auto* menu = new QMenu(this);
    const auto entry = [&](const char* name, const QString& text, auto work) {
        QAction* action = menu->addAction(text, this, [this, work] {
            if (document_.team()) work();
        });
        action->setObjectName(QString::fromLatin1(name));
    };
    entry("team-new", tr("&New team with the fly on the bench"), [this] { beginTeam(); });
    entry("team-copy", tr("&Copy it"), [this] { begin(copyRecord(document_.book(), {"teams", document_.team()->id})); });
    entry("team-rename", tr("&Rename it"), [this] { askForName(); });
    entry("team-out", tr("&Take it out of the book"), [this] {
        document_.refuse(document_.apply(removeRecord(document_.book(), {"teams", document_.team()->id})));
    });
    team_->setMenu(menu);
}

void CastView::beginTeam() {
    if (document_.isOpen()) begin(addRecord(document_.book(), "teams", document_.pattern() ? document_.pattern()->id : std::string()));
}

void CastView::chooseTeam() {
    if (!document_.isOpen()) return;
    Chooser::Asked asked;
    asked.title = tr("Which team?");
    asked.things = thingsIn(document_.book(), "teams");
    asked.fresh = tr("New team");
    if (document_.team()) asked.now = {"teams", document_.team()->id};
    Chooser::ask(
        teams_, document_, theme_, std::move(asked), [this](const RecordId& record) { document_.chooseTeam(TeamId(record.id)); },
        [this] { beginTeam(); });
}

// Onto the cast, with its name ready to be typed.
void CastView::begin(const Result<NewRecord>& made) {
    if (!made) return document_.refuse(made.error());
    if (!document_.done(document_.apply(made->edit))) return;
    document_.chooseTeam(TeamId(made->id));
    askForName();
}

void CastView::askForName() {
    if (document_.team()) name_->ask(qt(document_.team()->title()));
}

void CastView::hang(Position position) {
    const TeamSpec* team = document_.team();
    if (!team) return;
    Chooser::Asked asked;
    asked.title = tr("Which fly on the %1?").arg(titleOf(position));
    asked.things = flyThings(document_.book());
    if (team->at(position)) {
        asked.now = {"fly", writeFly(*team->at(position))};
        asked.nothing = tr("None there");
    }
    Chooser::ask(this, document_, theme_, std::move(asked), [this, position](const RecordId& record) {
        if (record.id.empty()) return takeOff(position);
        if (document_.done(document_.apply(changeTeamFly(document_.book(), document_.team()->id, position, readFly(record.id)))))
            document_.choosePosition(position);
    });
}

void CastView::takeOff(Position position) {
    if (document_.team()) document_.refuse(document_.apply(changeTeamFly(document_.book(), document_.team()->id, position, std::nullopt)));
}

void CastView::refreshVerdict() {
    const auto& report = document_.teamReport();
    if (!report) {
        verdict_->setText(tr("no team"));
        reason_->setText(!document_.isOpen() ? QString()
                         : document_.team()  ? tr("None of its flies can be planned: open one and see why.")
                                             : tr("A team is one to five flies on a leader, weighed against each other and the day."));
        return;
    }
    const Colours& c = theme_.colours();
    verdict_->setText(signOf(report->verdict) + QStringLiteral("  ") + qt(sayVerdict(*report)));
    setInk(verdict_, colourOf(c, report->verdict));
    QStringList all;
    const TeamCheck* worst = nullptr;
    for (const TeamCheck& check : report->checks) {
        all << qt(std::string(nameOf(check.verdict)) + ": " + check.words + (check.mend.empty() ? "" : " — " + check.mend));
        if (!worst || check.verdict > worst->verdict) worst = &check;
    }
    setInk(reason_, c.inkSoft);
    if (!worst)
        reason_->setText(tr("one fly: nothing to compare"));
    else if (worst->verdict == Verdict::pass)
        reason_->setText(report->waveGiven ? tr("every check of its school passes") : qt(saySuits(*report)));
    else
        reason_->setText(qt(worst->words));
    const auto rules = std::ranges::find(report->checks, TeamTerm::rules, &TeamCheck::term);
    if (rules != report->checks.end()) {
        const bool kept = std::ranges::none_of(
            report->checks, [](const TeamCheck& check) { return check.term == TeamTerm::rules && check.verdict != Verdict::pass; });
        reason_->setText(reason_->text() + QLatin1Char('\n') +
                         (kept ? tr("✓ within the water's rules") : tr("✗ against the water's rules")));
    }
    const QString tip =
        all.join(QLatin1Char('\n')) +
        tr("\nPhysics on stated shapes, not checked against measured flies: trust the ratios. The wanted steps are our rule of thumb.");
    verdict_->setToolTip(tip);
    reason_->setToolTip(tip);
}

void CastView::rebuild() {
    std::map<Position, double> hung;
    for (const Hanging& fly : flies_)
        hung[fly.position] = fly.view.origin.y();
    flies_.clear();
    if (const auto& report = document_.teamReport())
        for (const TeamFly& fly : report->flies) {
            Hanging hanging;
            hanging.position = fly.position;
            hanging.scene = makeScene(fly.plan);
            hanging.name = qt(sayFly(fly.plan.pattern.title(), fly.plan.hook.spec()));
            hanging.sinks =
                fly.sink.floats ? tr("floats") : tr("sinks %1 cm/s").arg(number(100.0 * (fly.sink.sinkRate / metrePerSecond), 1));
            flies_.push_back(std::move(hanging));
        }
    refreshVerdict();
    updateGeometry();
    place();
    settle(hung);
    update();
}

// From where each hung to where it hangs now, so that one sees which of them sinks otherwise.
void CastView::settle(const std::map<Position, double>& hung) {
    bool moved = false;
    for (Hanging& fly : flies_) {
        const auto before = hung.find(fly.position);
        fly.from = before == hung.end() ? 0.0 : fly.view.origin.y() - before->second;
        moved = moved || std::abs(fly.from) > 1.0;
    }
    if (moved) settles_->begin();
}

int CastView::verdictWidth() { return grownWithText(kVerdictWidth); }

void CastView::place() {
    const int right = width() - verdictWidth();
    const int high = teams_->sizeHint().height();
    const int menu = team_->sizeHint().width();
    const int top = slim_ ? 4 : 12;
    teams_->setGeometry(right + 14, top, verdictWidth() - 28 - menu - 4, high);
    name_->setGeometry(teams_->geometry());
    team_->setGeometry(right + verdictWidth() - 14 - menu, top, menu, high);
    begin_->setGeometry(right + 14, top, verdictWidth() - 28, high);
    reason_->setVisible(!slim_);
    verdict_->setGeometry(right + 16, teams_->geometry().bottom() + (slim_ ? 3 : 8), verdictWidth() - 30,
                          verdict_->heightForWidth(verdictWidth() - 30));
    reason_->setGeometry(right + 16, verdict_->geometry().bottom() + 4, verdictWidth() - 30, height() - verdict_->geometry().bottom() - 10);
    const auto& report = document_.teamReport();
    empty_.clear();
    if (!report || flies_.empty()) return;
    double fastest = 1e-9;
    for (const TeamFly& fly : report->flies)
        fastest = std::max(fastest, 100.0 * (fly.sink.sinkRate / metrePerSecond));
    const double slope = std::min(kPxPerCmPerSecond, (slim_ ? kSlimDrop : kDeepestDrop) / fastest);
    const TeamSpec* team = document_.team();
    const std::vector<Position> places = team ? positionsShown(team->flies) : std::vector<Position>(kTrio.begin(), kTrio.end());
    const double step = static_cast<double>(right) / static_cast<double>(places.size());
    const double usual = slim_ ? kSlimPxPerMm : kPxPerMm;
    const double scale = usual * std::min(1.0, 3.0 / static_cast<double>(places.size()));
    for (std::size_t i = 0; team && i < places.size(); ++i)
        if (!team->at(places[i]))
            empty_.emplace_back(places[i], QRectF(step * (static_cast<double>(i) + 0.18), slim_ ? 12.0 : 38.0, std::min(190.0, 0.66 * step),
                                                  slim_ ? height() - 20.0 : 84.0));
    for (std::size_t i = 0; i < flies_.size(); ++i) {
        Hanging& fly = flies_[i];
        const double rate = 100.0 * (report->flies[i].sink.sinkRate / metrePerSecond);
        const auto place = std::ranges::find(places, fly.position) - places.begin();
        const double x = step * (static_cast<double>(place) + 0.24 * scale / usual);
        const double y = (slim_ ? 24.0 : 40.0) + slope * rate;
        fly.view = {scale, QPointF(x, y), theme_.bench(), 0.0};
        fly.knot = QPointF(x - (slim_ ? 34.0 : 46.0), (slim_ ? 10.0 : 14.0) + 0.25 * slope * rate);
        const Scene& s = fly.scene;
        fly.rect = QRectF(QPointF(x + scale * s.left, y - scale * s.top), QPointF(x + scale * s.right, y - scale * s.bottom))
                       .adjusted(-6, -6, 6, 6);
        fly.picture = QImage();
    }
}

QRectF CastView::flyRect(Position position) const {
    for (const Hanging& fly : flies_)
        if (fly.position == position) return fly.rect;
    return {};
}

double CastView::eyeDepth(Position position) const {
    for (const Hanging& fly : flies_)
        if (fly.position == position) return fly.view.origin.y();
    return 0.0;
}

void CastView::paintLeader(QPainter& painter) const {
    if (flies_.empty()) return;
    const Colours& c = theme_.colours();
    const auto stroke = [&](const QPainterPath& path, double width) {
        painter.setPen(QPen(c.slate, width, Qt::SolidLine, Qt::RoundCap));
        painter.drawPath(path);
        painter.setPen(QPen(QColor(255, 255, 255, theme_.bench() == drawing::Bench::sand ? 90 : 30), 0.6));
        painter.drawPath(path.translated(0.0, -0.7));
    };
    painter.setBrush(Qt::NoBrush);
    QPainterPath main(QPointF(0.0, 8.0));
    QPointF last(0.0, 8.0);
    for (std::size_t i = 0; i < flies_.size(); ++i) {
        const Hanging& fly = flies_[i];
        const QPointF eye = fly.view.origin + QPointF(0.0, settling(fly)) +
                            fly.view.pxPerMm * QPointF(-2.6 * fly.scene.hook.wire, 0.7 * fly.scene.hook.wire);
        if (i + 1 == flies_.size()) {  // the leader itself runs to the last fly
            const double run = eye.x() - last.x();
            main.cubicTo(last + QPointF(0.45 * run, 4.0), eye - QPointF(0.30 * run, 0.55 * (eye.y() - last.y())), eye);
            continue;
        }
        main.cubicTo(last + QPointF(0.4 * (fly.knot.x() - last.x()), 1.0), fly.knot - QPointF(0.4 * (fly.knot.x() - last.x()), 1.0),
                     fly.knot);
        last = fly.knot;
        QPainterPath dropper(fly.knot);
        const double fall = eye.y() - fly.knot.y();
        dropper.cubicTo(fly.knot + QPointF(14.0, 0.12 * fall), eye - QPointF(16.0, 0.45 * fall), eye);
        stroke(dropper, 1.2);
        painter.setPen(QPen(c.slate, 1.1));
        for (int k = 0; k < 4; ++k)
            painter.drawLine(fly.knot + QPointF(-4.0 + 2.4 * k, -2.6), fly.knot + QPointF(-3.0 + 2.4 * k, 2.6));
    }
    stroke(main, 1.5);
}

void CastView::paintFly(QPainter& painter, Hanging& fly) {
    if (fly.picture.isNull() || fly.picture.devicePixelRatio() != devicePixelRatioF()) {
        fly.picture = QImage((fly.rect.size() * devicePixelRatioF()).toSize(), QImage::Format_ARGB32_Premultiplied);
        fly.picture.setDevicePixelRatio(devicePixelRatioF());
        fly.picture.fill(Qt::transparent);
        QPainter own(&fly.picture);
        drawing::View view = fly.view;
        view.origin -= fly.rect.topLeft();
        drawing::paintFly(own, fly.scene, view);
    }
    painter.drawImage(fly.rect.topLeft() + QPointF(0.0, settling(fly)), fly.picture);
    const Colours& c = theme_.colours();
    const bool chosen = document_.position() == fly.position;
    const double left = fly.rect.right() + 2.0;
    double y = slim_ ? 34.0 : fly.view.origin.y() - 2.0;  // clear of the leader
    const auto say = [&](const QString& text, const QFont& font, const QColor& colour) {
        painter.setFont(font);
        painter.setPen(colour);
        const QFontMetricsF metrics(font);
        double room = static_cast<double>(width() - verdictWidth()) - left - 8.0;
        for (const Hanging& other : flies_)
            if (other.rect.left() > left) room = std::min(room, other.rect.left() - left - 8.0);
        painter.drawText(QPointF(left, y), metrics.elidedText(inHouseUnit(text), Qt::ElideRight, std::max(60.0, room)));
        y += metrics.height() + 1.0;
    };
    const QColor soft = chosen ? c.accent : c.inkSoft;
    if (!slim_) say(titleOf(fly.position), faceScaled(0.92), soft);
    say(fly.name, faceScaled(1.0, true), c.ink);
    if (slim_)
        say(titleOf(fly.position) + QStringLiteral(" · ") + fly.sinks, faceScaled(0.92), soft);
    else
        say(fly.sinks, faceScaled(0.92), c.inkSoft);
    if (chosen || hovered_ == fly.position) {
        painter.setPen(QPen(chosen ? c.accent : c.line, chosen ? 2.5 : 1.5, Qt::SolidLine, Qt::RoundCap));
        const double below = height() - 7.0;
        painter.drawLine(QPointF(fly.rect.left() + 6.0, below), QPointF(left + 60.0, below));
    }
}

std::vector<SpokenPart> CastView::spokenParts() const {
    std::vector<SpokenPart> parts;
    for (const Hanging& fly : flies_)
        parts.push_back(
            {titleOf(fly.position), tr("%1, %2").arg(fly.name, fly.sinks), fly.rect.toRect(), document_.position() == fly.position});
    for (const auto& [position, rect] : empty_)
        parts.push_back({titleOf(position), tr("no fly hangs here"), rect.toRect()});
    return parts;
}
void CastView::choosePart(std::size_t part) {
    if (part < flies_.size())
        document_.choosePosition(flies_[part].position);
    else if (part - flies_.size() < empty_.size())
        hang(empty_[part - flies_.size()].first);
}

// The day's wave along the top, its height at the flies' own scale times a fortieth.
void CastView::paintWave(QPainter& painter) const {
    const WaterSpec* water = document_.isOpen() ? document_.water() : nullptr;
    if (!water || !water->wind || !water->fetch) return;
    const Sea sea = seaOf(document_.book(), *water);
    constexpr double kPxPerMetre = 36.0, kWavelength = 64.0, kMostHeight = 14.0;
    const double height = std::min(kPxPerMetre * (sea.height / metre), kMostHeight);
    QPainterPath path;
    for (double x = 0.0; x <= width() - verdictWidth(); x += 3.0) {
        const QPointF at(x, 5.0 - 0.5 * height * std::cos(2.0 * std::numbers::pi * x / kWavelength) + 0.5 * height);
        x == 0.0 ? path.moveTo(at) : path.lineTo(at);
    }
    QColor ink = theme_.colours().slate;
    ink.setAlpha(70);
    painter.setPen(QPen(ink, 1.2));
    painter.setBrush(Qt::NoBrush);
    painter.drawPath(path);
}

QRectF CastView::emptyRect(Position position) const {
    for (const auto& [at, rect] : empty_)
        if (at == position) return rect;
    return {};
}

std::optional<Position> CastView::emptyAt(QPointF at) const {
    for (const auto& [position, rect] : empty_)
        if (rect.contains(at)) return position;
    return std::nullopt;
}

// A place with nothing on it says so, and asks for a fly.
void CastView::paintEmpty(QPainter& painter) const {
    const Colours& c = theme_.colours();
    if (document_.isOpen() && !document_.team()) {
        painter.setPen(c.inkSoft);
        painter.setFont(faceScaled(1.05));
        painter.drawText(QRectF(0, 0, width() - verdictWidth(), height()), Qt::AlignCenter,
                         tr("Your team hangs here: start a dressing, then begin a team with it"));
    }
    for (const auto& [position, rect] : empty_) {
        painter.setPen(QPen(c.line, 1.3, Qt::DashLine));
        painter.setBrush(Qt::NoBrush);
        painter.drawRoundedRect(rect, 8, 8);
        painter.setPen(c.inkSoft);
        painter.setFont(faceScaled(0.94));
        painter.drawText(rect, Qt::AlignCenter | Qt::TextWordWrap, tr("%1\n+ hang a fly").arg(titleOf(position)));
    }
}

void CastView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const Colours& c = theme_.colours();
    painter.fillRect(rect(), c.paper);
    painter.fillRect(QRect(width() - verdictWidth(), 0, verdictWidth(), height()), c.panel);
    paintWave(painter);
    paintLeader(painter);
    for (Hanging& fly : flies_)
        paintFly(painter, fly);
    paintEmpty(painter);
    painter.setPen(QPen(c.line, 1.0));
    painter.drawLine(0, height() - 1, width(), height() - 1);
    if (hasFocus()) {
        painter.setPen(QPen(c.accent, 1.5));
        painter.setBrush(Qt::NoBrush);
        painter.drawRect(QRectF(rect()).adjusted(1, 1, -verdictWidth() - 1, -2));
    }
}

std::optional<Position> CastView::positionAt(QPointF at) const {
    for (const Hanging& fly : flies_)
        if (fly.rect.adjusted(-10, -10, 150, 24).contains(at)) return fly.position;
    return std::nullopt;
}

void CastView::mousePressEvent(QMouseEvent* event) {
    if (event->button() != Qt::LeftButton) return;
    if (const auto empty = emptyAt(event->position())) return hang(*empty);
    if (const auto position = positionAt(event->position())) document_.choosePosition(*position);
}

void CastView::mouseDoubleClickEvent(QMouseEvent* event) {
    if (const auto position = positionAt(event->position())) hang(*position);
}

void CastView::mouseMoveEvent(QMouseEvent* event) {
    const auto over = positionAt(event->position());
    setCursor(over || emptyAt(event->position()) ? Qt::PointingHandCursor : Qt::ArrowCursor);
    if (over == hovered_) return;
    hovered_ = over;
    update();
}

void CastView::leaveEvent(QEvent*) {
    hovered_.reset();
    update();
}

bool CastView::event(QEvent* event) {
    if (event->type() != QEvent::ToolTip) return QWidget::event(event);
    const auto* help = static_cast<QHelpEvent*>(event);
    const auto over = positionAt(help->pos());
    const auto& report = document_.teamReport();
    if (!over || !report) {
        QToolTip::hideText();
        return true;
    }
    for (const TeamFly& fly : report->flies)
        if (fly.position == *over) {
            QString text =
                tr("%1: sink rate give or take a quarter, pushes %2 mN of water, %3 mg wet")
                    .arg(qt(fly.plan.pattern.title()), number(fly.sink.presence / millinewton, 2), number(fly.sink.mass / mg, 0));
            for (const std::string& driver : fly.sink.drivers)
                text += QStringLiteral("\n") + qt(driver);
            QToolTip::showText(help->globalPos(), text, this);
        }
    return true;
}

void CastView::keyPressEvent(QKeyEvent* event) {
    // Enter hangs another fly in the chosen place, the first empty one with Insert; Delete takes the fly off.
    const auto chosen = document_.position();
    if (chosen && (event->key() == Qt::Key_Return || event->key() == Qt::Key_Enter)) return hang(*chosen);
    if (chosen && event->key() == Qt::Key_Delete) return takeOff(*chosen);
    if (event->key() == Qt::Key_Insert) return empty_.empty() ? beginTeam() : hang(empty_.front().first);
    const int step = event->key() == Qt::Key_Right ? 1 : event->key() == Qt::Key_Left ? -1 : 0;
    if (step == 0 || flies_.empty()) return QWidget::keyPressEvent(event);
    const auto now = document_.position();
    const auto found = std::ranges::find_if(flies_, [&](const Hanging& fly) { return now == fly.position; });
    const auto index = found == flies_.end() ? 0 : std::clamp<std::ptrdiff_t>(found - flies_.begin() + step, 0, std::ssize(flies_) - 1);
    document_.choosePosition(flies_[static_cast<std::size_t>(index)].position);
}

void CastView::changeEvent(QEvent* event) {
    QWidget::changeEvent(event);
    if (event->type() != QEvent::FontChange && event->type() != QEvent::ApplicationFontChange) return;
    updateGeometry();
    place();
}

void CastView::resizeEvent(QResizeEvent*) {
    updateGeometry();
    place();
    refreshTeams();
}

}  // namespace machair::app
