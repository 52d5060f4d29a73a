#include "drift/drift_station.h"

#include <QCheckBox>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QHBoxLayout>
#include <QLabel>
#include <QSignalBlocker>
#include <QSlider>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>
#include <cmath>
#include <numbers>

#include "daybook/boat.h"
#include "drift/handling_strip.h"
#include "drift/water_section.h"
#include "frame/panel.h"
#include "parts/flow_layout.h"
#include "parts/label.h"
#include "theme/said.h"
#include "units/text.h"

namespace machair::app {

namespace {

constexpr int kDriftPanel = 340;
constexpr int kFrame = 16;     // ms
constexpr int kSettles = 250;  // ms after the last change

}  // namespace

DriftStation::DriftStation(Document& document, const Theme& theme, QWidget* parent)
    : QWidget(parent),
      document_(document),
      theme_(theme),
      section_(new WaterSection(document, theme)),
      style_(new QComboBox),
      words_(new Label),
      answer_(new Label),
      play_(new QToolButton),
      waves_(new QCheckBox),
      ofDay_(new QCheckBox),
      scrub_(new QSlider(Qt::Horizontal)) {
    setObjectName(QStringLiteral("drift"));
    auto* layout = sideBySide(this);
    auto* left = new QVBoxLayout;
    left->setSpacing(0);
    left->addWidget(section_, 1);
    auto* player = new QHBoxLayout;
    player->setContentsMargins(14, 5, 14, 5);
    play_->setObjectName(QStringLiteral("play"));
    play_->setText(tr("▶"));
    play_->setAccessibleName(tr("Play"));
    play_->setToolTip(tr("Play the drift at its own pace (Space)"));
    pressedBy(play_, Qt::Key_Space);
    play_->setCheckable(true);
    scrub_->setObjectName(QStringLiteral("scrub"));
    scrub_->setAccessibleName(tr("Time in the drift"));
    player->addWidget(play_);
    player->addWidget(scrub_, 1);
    left->addLayout(player);
    layout->addLayout(left, 1);
    layout->addWidget(scrolled(makePanel(), kDriftPanel));
    connect(&document_, &Document::teamChanged, this, [this] {
        if (isVisible() && !document_.teamPreviewing()) handlingChanged();
    });
    connect(section_, &WaterSection::timeChanged, this, [this](double seconds) {
        const QSignalBlocker quiet(scrub_);
        scrub_->setValue(static_cast<int>(std::lround(seconds * 20.0)));
    });
    connect(&section_->strip(), &HandlingStrip::changed, this, &DriftStation::handlingChanged);
    connect(&section_->strip(), &HandlingStrip::said, &document_, &Document::say);
    connect(scrub_, &QSlider::valueChanged, this, [this](int value) { section_->setTime(value / 20.0); });
    connect(play_, &QToolButton::toggled, this, [this](bool on) {
        if (on && section_->time() >= section_->length() - 1e-6) section_->setTime(0.0);
        on ? playing_.start(kFrame) : playing_.stop();
        play_->setText(on ? tr("❚❚") : tr("▶"));
    });
    connect(&playing_, &QTimer::timeout, this, [this] {
        if (section_->length() <= 0.0) return;  // pressed before the first run was there: it plays as it comes
        section_->setTime(section_->time() + kFrame / 1000.0);
        if (section_->time() >= section_->length()) play_->setChecked(false);
    });
    settle_.setSingleShot(true);
    settle_.setInterval(kSettles);
    connect(&settle_, &QTimer::timeout, this, [this] { run({}); });
}

// Of the retrieve as it is broken up; nothing for a steady one.
std::pair<std::optional<Time>, std::optional<Time>> DriftStation::pulls() const {
    switch (static_cast<Style>(style_->currentData().toInt())) {
        case Style::steady: return {};
        case Style::pulls: return {numbers_.at("pull")->value() * second, numbers_.at("pause")->value() * second};
        case Style::figureOfEight: return {0.5 * second, 0.15 * second};
    }
    return {};
}

Handling DriftStation::handling() const {
    const auto value = [this](const char* name) { return numbers_.at(name)->value(); };
    Handling h = section_->strip().handling();
    const auto [pull, pause] = pulls();
    h.pull = pull;
    h.pause = pause;
    h.drift = ofDay_->isChecked() && dayDrift() ? *dayDrift() : value("drift") * metrePerSecond;
    return h;
}

WaveSurface DriftStation::dayWave() const {
    const WaterSpec* water = document_.water();
    if (!water || !water->wind || !water->fetch) return {};
    const Sea sea = seaOf(document_.book(), *water);
    if (sea.height <= Length{}) return {};
    const double frequency = 2.0 * std::numbers::pi / (sea.period / second);
    return {0.5 * (sea.height / metre), frequency * frequency / (kGravity / metrePerSecond2), frequency, 0.0};
}

std::optional<Speed> DriftStation::dayDrift() const {
    const WaterSpec* water = document_.water();
    if (!water || !water->wind) return std::nullopt;
    return seaOf(document_.book(), *water).drift;
}

std::optional<Rig> DriftStation::rig() const {
    const auto& report = document_.teamReport();
    if (!report || !document_.team()) return std::nullopt;
    return rigOf(report->flies, measuresOf(document_.team()->leader), document_.setting().celsius);
}

void DriftStation::showEvent(QShowEvent*) {
    showDay();
    run({});
}
void DriftStation::hideEvent(QHideEvent*) { play_->setChecked(false); }

// The boat's drift as the day has it, where it is to follow that.
void DriftStation::showDay() {
    const auto drift = dayDrift();
    ofDay_->setEnabled(drift.has_value());
    numbers_.at("drift")->setEnabled(!drift || !ofDay_->isChecked());
    if (drift && ofDay_->isChecked()) {
        const QSignalBlocker quiet(numbers_.at("drift"));
        numbers_.at("drift")->setValue(*drift / metrePerSecond);
    }
}

// While a control moves the run is rougher and quicker; the full one follows when it rests.
void DriftStation::handlingChanged() {
    pulls_->setVisible(static_cast<Style>(style_->currentData().toInt()) == Style::pulls);
    const auto [pull, pause] = pulls();
    section_->strip().setPulls(pull, pause);
    showDay();
    if (!isVisible()) return;
    DriftOptions rough;
    rough.link = kDraggingLink;
    rough.step = kDraggingStep;
    run(rough);
    settle_.start();
}

void DriftStation::run(const DriftOptions& options) {
    const Handling h = handling();
    const auto rigged = rig();
    const auto no = [this](const QString& why) {
        background_.stop();
        play_->setChecked(false);
        words_->setText(why);
    };
    if (!rigged) return no(tr("No team hangs on the cast."));
    if (const Faults faults = check(h); !faults.empty()) return no(qt(faults.front().line()));
    const WaveSurface wave = waves_->isChecked() ? dayWave() : WaveSurface{};
    const std::optional<Length> bottom = document_.water() ? document_.water()->depth : std::nullopt;
    const auto work = [rig = *rigged, h, options, wave, bottom](const std::stop_token& stop, const Background::Progress&) {
        DriftOptions how = options;
        how.stop = stop;
        how.surface = wave;
        how.bottom = bottom;
        std::pair<DriftReport, WaveSpread> both{runDrift(rig, h, how), {}};
        if (wave.amplitude > 0.0 && !both.first.stopped) both.second = otherPhases(rig, h, how, both.first);
        return both;
    };
    background_.start(work, [this](std::pair<DriftReport, WaveSpread> both) {
        if (both.first.stopped || both.second.stopped) return;
        section_->show(std::move(both.first), std::move(both.second));
        const QSignalBlocker quiet(scrub_);
        scrub_->setRange(0, static_cast<int>(std::lround(section_->length() * 20.0)));
        scrub_->setValue(static_cast<int>(std::lround(section_->time() * 20.0)));
        report();
    });
}

// How deep each fly is when the draw is over; nothing where nothing is drawn.
QStringList DriftStation::depthsAtEndOfDraw(const DriftReport& run) const {
    const Handling h = handling();
    QStringList said;
    if (h.retrieveFor <= Time{}) return said;
    const auto after = std::ranges::upper_bound(run.samples, h.count + h.retrieveFor, {}, &DriftSample::time);
    if (after == run.samples.begin()) return said;
    for (const Position position : kPositions)
        if (const auto& depth = std::prev(after)->depth[position]) said << tr("%1 %2 m").arg(titleOf(position), number(*depth / metre, 2));
    return said;
}

void DriftStation::report() {
    const DriftReport& run = *section_->run();
    QStringList words;
    const auto seconds = [](Time time) { return number(time / second, 1); };
    if (run.bobBreaks)
        words << tr("The bob breaks the surface %1 s into the lift, with the line's end %2 m high; it holds there %3 s, works within 2 cm "
                    "and a quarter of the wave %4 s and is clear of it %5 s.")
                     .arg(seconds(*run.bobBreaks), number(run.tipAtBreak.value_or(Length{}) / metre, 2), seconds(*run.bobHolds),
                          seconds(run.bobWorks.value_or(Time{})), seconds(*run.bobClear));
    else if (run.bobHolds)
        words << tr("The bob does not break the surface.");
    QStringList depths;
    for (const Position position : kPositions)
        if (const auto& depth = section_->waves().depth[position])
            depths << tr("%1 %2 ± %3 m").arg(titleOf(position), number(depth->mean / metre, 2), number(depth->spread / metre, 2));
    if (!depths.isEmpty())
        words << tr("In the wave, at the end of the draw: %1.").arg(depths.join(tr(", ")));
    else if (const QStringList still = depthsAtEndOfDraw(run); !still.isEmpty())
        words << tr("At the end of the draw: %1.").arg(still.join(tr(", ")));
    for (const std::string& warning : run.warnings)
        words << qt(warning) + QLatin1Char('.');
    words_->setText(words.join(QLatin1Char('\n')));
}

void DriftStation::ask(Question which) {
    const auto rigged = rig();
    if (!rigged) return;
    const Length depth = depths_.contains(which) ? depths_.at(which)->value() * metre : Length{};
    const Handling h = handling();
    if (const Faults faults = check(h); !faults.empty()) return answer_->setText(qt(faults.front().line()));
    answer_->setText(tr("Trying it…"));
    const auto work = [rig = *rigged, h, which, depth](const std::stop_token& stop, const Background::Progress&) {
        switch (which) {
            case Question::count: return countFor(rig, Position::point, depth, stop);
            case Question::draw: return retrieveFor(rig, h, Position::point, depth, stop);
            case Question::spacing: return spacingFor(rig, h, stop);
            case Question::touch: return touchFor(rig, h, stop);
            case Question::hold: return holdingFor(rig, h, h.hold > Time{} ? h.hold : 5.0 * second, stop).answer;
        }
        throw BrokenContract("unknown question");
    };
    asking_.start(work, [this](const Answer& answer) { answer_->setText(answer.stopped ? tr("Stopped.") : qt(answer.words)); });
}

}  // namespace machair::app
