#include "frame/house.h"

#include <QApplication>
#include <QGuiApplication>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLocale>
#include <QScrollArea>
#include <QSettings>
#include <QSlider>
#include <QToolButton>
#include <QVBoxLayout>

#include "editing/tying_hand.h"
#include "frame/language.h"
#include "frame/panel.h"
#include "parts/label.h"
#include "parts/motion.h"
#include "parts/schools_panel.h"
#include "theme/screens.h"
#include "units/text.h"

namespace machair::app {

namespace {

const QString kBench = QStringLiteral("window/bench");
const QString kText = QStringLiteral("house/text");
const QString kLengths = QStringLiteral("house/lengths");
const QString kStill = QStringLiteral("house/still");
constexpr int kLeastText = 80, kMostText = 200, kStep = 10, kUsual = 100;

struct LightingName {
    Lighting lighting;
    const char* name;
    const char* text;
};
constexpr std::array kLightings = {
    LightingName{Lighting::sand, "sand", QT_TRANSLATE_NOOP("machair::app::House", "Light")},
    LightingName{Lighting::slate, "slate", QT_TRANSLATE_NOOP("machair::app::House", "Dark")},
    LightingName{Lighting::contrast, "contrast", QT_TRANSLATE_NOOP("machair::app::House", "High contrast")},
    LightingName{Lighting::darkContrast, "dark-contrast", QT_TRANSLATE_NOOP("machair::app::House", "High contrast, dark")},
    LightingName{Lighting::system, "system", QT_TRANSLATE_NOOP("machair::app::House", "As the system")}};

struct UnitName {
    LengthUnit unit;
    const char* name;
    const char* text;
};
constexpr std::array kUnits = {UnitName{LengthUnit::millimetres, "mm", QT_TRANSLATE_NOOP("machair::app::House", "Millimetres")},
                               UnitName{LengthUnit::inches, "in64", QT_TRANSLATE_NOOP("machair::app::House", "Inches to 1/64")},
                               UnitName{LengthUnit::decimalInches, "in", QT_TRANSLATE_NOOP("machair::app::House", "Decimal inches")}};

LengthUnit lengthsOf(const QSettings& settings) {
    const QString name = settings.value(kLengths).toString();
    const auto known = std::ranges::find_if(kUnits, [&](const UnitName& one) { return name == QLatin1String(one.name); });
    return known == kUnits.end() ? LengthUnit::millimetres : known->unit;
}

// The system's own palette, before ours is laid over it.
bool systemIsDark() {
    static const bool kDark = QApplication::palette().color(QPalette::Window).lightness() < 128;
    return kDark;
}

}  // namespace

Lighting lightingOf(const QSettings& settings) {
    const QString name = settings.value(kBench).toString();
    for (const LightingName& known : kLightings)
        if (name == QLatin1String(known.name)) return known.lighting;
    return Lighting::sand;
}

void useLighting(Theme& theme, Lighting lighting) {
    const bool dark = systemIsDark();
    switch (lighting) {
        case Lighting::sand: return theme.light(drawing::Bench::sand);
        case Lighting::slate: return theme.light(drawing::Bench::slate);
        case Lighting::contrast: return theme.light(drawing::Bench::sand, Contrast::high);
        case Lighting::darkContrast: return theme.light(drawing::Bench::slate, Contrast::high);
        case Lighting::system: return theme.light(dark ? drawing::Bench::slate : drawing::Bench::sand);
    }
}

void useTextSize(int percent) {
    const double before = QApplication::font().pointSizeF(), after = before / textScale() * percent / 100.0;
    if (std::abs(before - after) < 0.01) return;
    QFont font = QApplication::font();
    font.setPointSizeF(after);
    QApplication::setFont(font);
    // Those with a font of their own keep their share of it.
    for (QWidget* widget : QApplication::allWidgets()) {
        if (widget->testAttribute(Qt::WA_SetFont)) {
            QFont own = widget->font();
            own.setPointSizeF(own.pointSizeF() * after / before);
            widget->setFont(own);
        }
        widget->updateGeometry();
        widget->update();
    }
}

House::House(Document& document, Theme& theme, devices::Hub& devices, QSettings& settings, QWidget* parent)
    : QFrame(parent),
      document_(document),
      theme_(theme),
      devices_(devices),
      settings_(settings),
      text_(new QSlider(Qt::Horizontal)),
      textSaid_(new Label),
      left_(toolButton("house-left", tr("I tie with the left hand"), tr("The bench is mirrored, and its words follow"))),
      far_(toolButton("house-far", tr("I look from the far side"), tr("At the vice: as the fly is seen from across it"))),
      still_(toolButton("house-still", tr("Nothing moves by itself"),
                        tr("Flies hang where they hang at once, as where the system has its animations off"))),
      screensSaid_(new Label),
      devicesSaid_(new Label) {
    setObjectName(QStringLiteral("house"));
    setAccessibleName(tr("The house"));
    setFrameShape(QFrame::StyledPanel);
    setAutoFillBackground(true);
    auto* inside = new QWidget;
    auto* column = panelColumn(inside, 16, 16);
    auto* head = new QHBoxLayout;
    head->addWidget(heading(tr("The house")), 1);
    auto* away = toolButton("house-away", tr("Put away"), tr("Esc"));
    connect(away, &QToolButton::clicked, this, &QWidget::hide);
    head->addWidget(away);
    column->addLayout(head);
    column->addWidget(heading(tr("The bench")));
    for (const LightingName& one : kLightings) {
        auto* made = toolButton((std::string("house-") + one.name).c_str(), tr(one.text), tr("Kept for the next start"));
        made->setCheckable(true);
        connect(made, &QToolButton::clicked, this, [this, lighting = one.lighting] { light(lighting); });
        lights_.emplace_back(one.lighting, made);
        column->addWidget(made);
    }
    column->addWidget(heading(tr("Text")));
    text_->setObjectName(QStringLiteral("house-text"));
    text_->setAccessibleName(tr("Size of text, per cent of the system's"));
    text_->setRange(kLeastText / kStep, kMostText / kStep);
    auto* size = new QHBoxLayout;
    size->addWidget(text_, 1);
    size->addWidget(textSaid_);
    column->addLayout(size);
    connect(text_, &QSlider::valueChanged, this, [this](int tenths) {
        settings_.setValue(kText, tenths * kStep);
        textSaid_->setText(tr("%1 %").arg(tenths * kStep));
        useTextSize(tenths * kStep);
    });
    column->addWidget(heading(tr("Lengths")));
    auto* units = new QHBoxLayout;
    for (const UnitName& one : kUnits) {
        auto* made = toolButton((std::string("house-lengths-") + one.name).c_str(), tr(one.text),
                                tr("Everywhere at once: figures, fields, steps, cards, speech. Waters and leaders stay in metres"));
        made->setCheckable(true);
        connect(made, &QToolButton::clicked, this, [this, one] {
            settings_.setValue(kLengths, QString::fromLatin1(one.name));
            sayIn(one.unit);
        });
        units_.emplace_back(one.unit, made);
        units->addWidget(made);
    }
    units->addStretch(1);
    column->addLayout(units);
    addLanguages(column);
    column->addWidget(heading(tr("At the vice")));
    left_->setCheckable(true);
    connect(left_, &QToolButton::clicked, this, [this](bool left) {
        keepLeftHanded(settings_, left);
        emit leftHandChosen(left);
    });
    column->addWidget(left_, 0, Qt::AlignLeft);
    still_->setCheckable(true);
    connect(still_, &QToolButton::clicked, this, [this](bool still) {
        settings_.setValue(kStill, still);
        keepStill(still);
    });
    column->addWidget(still_, 0, Qt::AlignLeft);
    far_->setCheckable(true);
    connect(far_, &QToolButton::clicked, this, &House::farSideChosen);
    column->addWidget(far_, 0, Qt::AlignLeft);
    column->addWidget(heading(tr("Screens")));
    screensSaid_->setObjectName(QStringLiteral("house-screens"));
    screensSaid_->setWordWrap(true);
    column->addWidget(screensSaid_);
    auto* calibrate = toolButton("house-calibrate", tr("Calibrate this one"), tr("A bank card laid on the gauge in Cut makes it true"));
    connect(calibrate, &QToolButton::clicked, this, [this] {
        hide();
        emit calibrationWanted();
    });
    column->addWidget(calibrate, 0, Qt::AlignLeft);
    column->addWidget(heading(tr("Devices")));
    devicesSaid_->setObjectName(QStringLiteral("house-devices"));
    devicesSaid_->setWordWrap(true);
    column->addWidget(devicesSaid_);
    auto* look = toolButton("house-look", tr("Look for them again"),
                            tr("Calliper, weather station, pedal and camera, by the sockets of their stand-ins"));
    connect(look, &QToolButton::clicked, this, [this] {
        devices_.connectNow();
        sayDevices();
    });
    column->addWidget(look, 0, Qt::AlignLeft);
    column->addWidget(new SchoolsPanel(document, SchoolsPanel::Of::allOnly));
    column->addStretch(1);
    auto* whole = new QVBoxLayout(this);
    whole->setContentsMargins(0, 0, 0, 0);
    auto* area = new QScrollArea;
    area->setWidget(inside);
    area->setWidgetResizable(true);
    area->setFrameShape(QFrame::NoFrame);
    area->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    whole->addWidget(area);
    connect(&devices_, &devices::Hub::changed, this, &House::sayDevices);
    connect(&theme_, &Theme::changed, this, [this] {  // turned by its key: between light and dark
        if (lightingOf(settings_) <= Lighting::slate) keep(theme_.bench() == drawing::Bench::slate ? Lighting::slate : Lighting::sand);
    });
    connect(&document_, &Document::bookChanged, this, [this] {
        if (isVisible()) refresh();
    });
    hide();
}

void House::addLanguages(QVBoxLayout* column) {
    if (knownLanguages().size() < 2) return;
    column->addWidget(heading(tr("Language")));
    auto* all = new QHBoxLayout;
    const auto add = [&](const QString& code, const QString& name, const char* object) {
        auto* made = toolButton(object, name, tr("The window's; files and the command line stay as they are. It begins again at once"));
        made->setCheckable(true);
        connect(made, &QToolButton::clicked, this, [this, code] {
            const QString spoken = languageOf(settings_);
            chooseLanguage(settings_, code);
            refresh();
            if (languageOf(settings_) != spoken) emit languageChosen();
        });
        languages_.emplace_back(code, made);
        all->addWidget(made);
    };
    for (const KnownLanguage& one : knownLanguages())
        add(one.code, one.name, ("house-language-" + one.code.toStdString()).c_str());
    add({}, tr("As the system"), "house-language-system");
    all->addStretch(1);
    column->addLayout(all);
}

void House::keep(Lighting lighting) {
    for (const LightingName& known : kLightings)
        if (known.lighting == lighting) settings_.setValue(kBench, QString::fromLatin1(known.name));
}

void House::light(Lighting lighting) {
    keep(lighting);
    useLighting(theme_, lighting);
    refresh();
}

void House::sayIn(LengthUnit unit) {
    sayLengthsIn(unit);
    document_.sayAnew();
    refresh();
}

// Each screen with whether a millimetre on it is one.
void House::sayScreens() {
    QStringList said;
    for (const QScreen* one : QGuiApplication::screens()) {
        const auto scale = calibratedScale(settings_, one);
        const QString name = one->name().isEmpty() ? tr("the screen") : one->name();
        said << (scale ? tr("✓ %1: true, %2 px a mm").arg(name, number(*scale, 2)) : tr("– %1: never calibrated").arg(name)) +
                    (one == screen() ? tr(" (this one)") : QString());
    }
    screensSaid_->setText(said.join(QLatin1Char('\n')));
}

void House::sayDevices() {
    const auto say = [this](const QString& what, bool ready) {
        QString line = (ready ? QStringLiteral("✓ ") : QStringLiteral("– ")) + what + (ready ? tr(": ready") : tr(": not there"));
        const auto& all = devices_.lastSaid();
        if (const auto last = std::ranges::find(all, what, &devices::Hub::LastSaid::device); last != all.end())
            line += tr("; said %1 at %2").arg(last->words, QLocale().toString(last->at.time(), QLocale::ShortFormat));
        return line;
    };
    devicesSaid_->setText(QStringList{say(tr("calliper"), devices_.calliperReady()), say(tr("weather station"), devices_.weatherReady()),
                                      say(tr("pedal"), devices_.pedalReady()), say(tr("camera"), devices_.cameraReady())}
                              .join(QLatin1Char('\n')));
}

void House::refresh() {
    sayScreens();
    const Lighting now = lightingOf(settings_);
    for (const auto& [lighting, button] : lights_)
        button->setChecked(lighting == now);
    for (const auto& [unit, button] : units_)
        button->setChecked(unit == lengthsSaidIn());
    for (const auto& [code, button] : languages_)
        button->setChecked(code == chosenLanguage(settings_));
    const int percent = settings_.value(kText, kUsual).toInt();
    const QSignalBlocker quiet(text_);
    text_->setValue(percent / kStep);
    textSaid_->setText(tr("%1 %").arg(percent));
    left_->setChecked(tiesLeftHanded(settings_));
    far_->setChecked(seesFarSide(settings_));
    still_->setChecked(settings_.value(kStill, false).toBool());
    sayDevices();
}

void House::restore() {
    useTextSize(settings_.value(kText, kUsual).toInt());
    sayLengthsIn(lengthsOf(settings_));
    keepStill(settings_.value(kStill, false).toBool());
    if (tiesLeftHanded(settings_)) emit leftHandChosen(true);
}

void House::open() {
    constexpr int kWidth = 400;
    setGeometry(parentWidget()->width() - kWidth - 10, 10, kWidth, parentWidget()->height() - 20);
    refresh();
    show();
    raise();
    text_->setFocus();
}

void House::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape) return hide();
    QFrame::keyPressEvent(event);
}

}  // namespace machair::app
