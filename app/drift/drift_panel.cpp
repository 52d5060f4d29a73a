// The panel beside the water: how the line comes in, the day, and the questions as sentences with their blanks.
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

QDoubleSpinBox* DriftStation::blank(const char* name, const QString& label, double low, double high, double step, int decimals,
                                    double value, const QString& unit) {
    auto* box = new QDoubleSpinBox;
    box->setObjectName(QStringLiteral("drift-") + QString::fromLatin1(name));
    box->setAccessibleName(label);
    box->setRange(low, high);
    box->setSingleStep(step);
    box->setDecimals(decimals);
    box->setValue(value);
    box->setSuffix(unit);
    connect(box, &QDoubleSpinBox::valueChanged, this, [this] { handlingChanged(); });
    numbers_[name] = box;
    return box;
}

QWidget* DriftStation::makePanel() {
    auto* panel = new QWidget;
    auto* column = panelColumn(panel);
    addRetrieve(column);
    addDay(column);
    addAnswers(column);
    return panel;
}

void DriftStation::addRetrieve(QVBoxLayout* column) {
    column->addWidget(heading(tr("The retrieve")));
    style_->setObjectName(QStringLiteral("drift-style"));
    style_->setAccessibleName(tr("How it is retrieved"));
    style_->addItem(tr("steady"), static_cast<int>(Style::steady));
    style_->addItem(tr("pulls and pauses"), static_cast<int>(Style::pulls));
    style_->addItem(tr("figure of eight"), static_cast<int>(Style::figureOfEight));
    style_->setToolTip(tr("A figure of eight is a slow steady draw with short rests"));
    column->addWidget(style_);
    pulls_ = new QWidget;
    auto* pulls = new QHBoxLayout(pulls_);
    pulls->setContentsMargins(0, 0, 0, 0);
    pulls->addWidget(new Label(tr("pulls of")));
    pulls->addWidget(blank("pull", tr("pulls of"), 0.1, 5, 0.1, 1, 0.6, tr(" s")));
    pulls->addWidget(new Label(tr("pauses of")));
    pulls->addWidget(blank("pause", tr("pauses of"), 0, 5, 0.1, 1, 0.8, tr(" s")));
    pulls_->hide();
    column->addWidget(pulls_);
    column->addSpacing(4);
    connect(style_, &QComboBox::currentIndexChanged, this, [this] { handlingChanged(); });
}

void DriftStation::addDay(QVBoxLayout* column) {
    column->addWidget(heading(tr("The day")));
    auto* boat = new FlowLayout;
    ofDay_->setObjectName(QStringLiteral("drift-of-day"));
    ofDay_->setText(tr("drifts with the day's wind"));
    ofDay_->setToolTip(tr("The drift of the water's wind, with its drogue where one is out"));
    ofDay_->setChecked(true);
    boat->addWidget(ofDay_);
    boat->addWidget(blank("drift", tr("Boat drifts"), 0, 2, 0.01, 2, 0.10, tr(" m/s")));
    column->addLayout(boat);
    connect(ofDay_, &QCheckBox::toggled, this, [this] { handlingChanged(); });
    waves_->setObjectName(QStringLiteral("drift-waves"));
    waves_->setText(tr("in the day's wave"));
    waves_->setToolTip(tr("Runs the wave at three of its phases and says how much it moves the flies"));
    column->addWidget(waves_);
    column->addSpacing(4);
    connect(waves_, &QCheckBox::toggled, this, [this] { handlingChanged(); });
}

// What comes of it, and what it can be asked.
void DriftStation::addAnswers(QVBoxLayout* column) {
    column->addWidget(heading(tr("What comes of it")));
    words_->setObjectName(QStringLiteral("drift-words"));
    words_->setWordWrap(true);
    column->addWidget(words_);
    column->addSpacing(4);
    column->addWidget(heading(tr("Ask it")));
    addQuestion(column, Question::count, "ask-count", tr("How long a count puts the point at"), true);
    addQuestion(column, Question::draw, "ask-draw", tr("How fast a draw brings the point to"), true);
    addQuestion(column, Question::spacing, "ask-spacing", tr("Which spacing keeps the bob up longest?"), false);
    addQuestion(column, Question::touch, "ask-touch", tr("How fast to draw to stay in touch?"), false);
    addQuestion(column, Question::hold, "ask-hold", tr("How high and how slow to hold the bob?"), false);
    answer_->setObjectName(QStringLiteral("answer"));
    answer_->setWordWrap(true);
    answer_->setFont(faceScaled(1.0, true));
    column->addWidget(answer_);
    column->addStretch(1);
    auto* why =
        new Label(tr("The leader's own drag, not the flies' weight, sets the depth, and within 12 s the count is almost forgotten. Physics "
                     "on stated shapes, on a floating line: trust the differences."));
    why->setWordWrap(true);
    why->setFont(faceScaled(0.88));
    column->addWidget(why);
}

// A sentence to press, with its blank where it has one. Pressed while it is being tried it stops.
void DriftStation::addQuestion(QVBoxLayout* column, Question question, const char* name, const QString& sentence, bool atDepth) {
    auto* line = new QHBoxLayout;
    auto* sentenced = toolButton(name, sentence, tr("Tries it, by running the drift again and again; once more stops"));
    sentenced->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Preferred);  // a large type clips it rather than the panel
    line->addWidget(sentenced, 1);
    if (atDepth) {
        auto* depth = new QDoubleSpinBox;
        depth->setObjectName(QString::fromLatin1(name) + QStringLiteral("-depth"));
        depth->setAccessibleName(tr("%1 so many metres deep").arg(sentence));
        depth->setRange(0.05, 10.0);
        depth->setSingleStep(0.05);
        depth->setValue(0.5);
        depth->setSuffix(tr(" m?"));
        depths_[question] = depth;
        line->addWidget(depth);
    }
    column->addLayout(line);
    connect(sentenced, &QToolButton::clicked, this, [this, question] {
        if (asking_.running())
            asking_.stop();
        else
            ask(question);
    });
}

}  // namespace machair::app
