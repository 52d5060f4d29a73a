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
        all << qt(sayName(check.verdict) + ": " + check.words + (check.mend.empty() ? "" : " — " + check.mend));
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
