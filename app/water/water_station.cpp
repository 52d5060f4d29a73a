#include "water/water_station.h"

#include <QCheckBox>
#include <QComboBox>
#include <QFile>
#include <QHBoxLayout>
#include <QLabel>
#include <QListWidget>
#include <QScrollArea>
#include <QSignalBlocker>
#include <QSpinBox>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>

#include "book/flies.h"
#include "daybook/boat.h"
#include "daybook/box.h"
#include "drawing/card.h"
#include "frame/ask_file.h"
#include "frame/fields_form.h"
#include "frame/panel.h"
#include "parts/flow_layout.h"
#include "parts/label.h"
#include "parts/paper_card.h"
#include "store/geojson.h"
#include "theme/said.h"
#include "units/text.h"
#include "water/choice_casts.h"
#include "water/day_picker.h"
#include "water/sea_view.h"

namespace machair::app {

namespace {

// "sedge, 10-12, brown, surface: palmer; fished pulled"
QString seasonWords(const SeasonRow& row) {
    QStringList of{qt(row.creature)};
    for (const auto* word : {&row.size, &row.colour})
        if (*word) of << qt(**word);
    if (row.where) of << qt(std::string(nameOf(*row.where)));
    QString text = of.join(QStringLiteral(", "));
    QStringList suits;
    if (row.suits) suits << qt(*row.suits);
    for (const FlyStyle style : row.styles)
        suits << qt(std::string(nameOf(style)));
    if (!suits.isEmpty()) text += QStringLiteral(": ") + suits.join(QStringLiteral(", "));
    if (row.fished) text += QObject::tr("; fished %1").arg(qt(*row.fished));
    return text;
}

constexpr int kDayWidth = 290;
constexpr int kRulesWidth = 390;

}  // namespace

WaterStation::WaterStation(Document& document, const Theme& theme, devices::Hub& devices, QWidget* parent)
    : QWidget(parent),
      document_(document),
      theme_(theme),
      hub_(devices),
      sea_(new SeaView(document, theme)),
      waters_(new QComboBox),
      force_(new QComboBox),
      day_(nullptr),
      weatherButton_(nullptr),
      season_(new QListWidget),
      answers_(new Label),
      boat_(new Label),
      cautions_(new Label),
      card_(nullptr),
      addCard_(nullptr),
      kept_(new QSpinBox),
      ruled_(new Label),
      boxRuled_(new QListWidget),
      chooseButton_(nullptr),
      favourite_(new QComboBox),
      place_(new QComboBox),
      withBook_(new QCheckBox),
      chosen_(new Label),
      teams_(new QListWidget) {
    setObjectName(QStringLiteral("water"));
    auto* layout = sideBySide(this);
    layout->addWidget(scrolled(makeDay(), kDayWidth));
    layout->addWidget(sea_, 1);
    layout->addWidget(scrolled(makeRules(), kRulesWidth));
    connect(&document_, &Document::teamChanged, this, &WaterStation::refresh);
    connect(&document_, &Document::bookOpened, this, &WaterStation::refresh);
    connect(&document_, &Document::bookChanged, this, &WaterStation::refresh);
    connect(sea_, &SeaView::fetchMeasured, this,
            [this](double metres) { document_.refuse(writeWater("fetch_m", formatNumber(metres, 0))); });
    connect(sea_, &SeaView::shoreDrawn, this, &WaterStation::setShore);
    connect(sea_, &SeaView::windDrawn, this, [this](double speed, double from) {
        writeAll({{"wind_m_s", formatShort(speed, 1)}, {"wind_from_deg", formatShort(from, 0)}}, "the wind, as it was drawn");
    });
    connect(&background_, &Background::runningChanged, this,
            [this](bool running) { chooseButton_->setText(running ? tr("Stop") : tr("Choose")); });
    watchWeather();
}

QWidget* WaterStation::makeDay() {
    auto* panel = new QWidget;
    auto* column = panelColumn(panel, 14, 12);
    auto* line = new QHBoxLayout;
    waters_->setObjectName(QStringLiteral("waters"));
    waters_->setAccessibleName(tr("Water"));
    waters_->setFont(faceScaled(1.05, true));
    line->addWidget(waters_, 1);
    auto* add = toolButton("add-water", tr("+"), tr("Another water"));
    line->addWidget(add);
    column->addLayout(line);
    day_ = new FieldsForm(document_, theme_, "water",
                          {"name", "wind_m_s", "wind_from_deg", "fetch_m", "depth_m", "celsius", "hatching", "drogue", "own_drift"},
                          [this](const std::string& key, const std::string& text) { return writeWater(key, text); });
    column->addWidget(day_);
    looks_ = new DayPicker(document_, theme_);
    column->addWidget(looks_);
    connect(looks_, &DayPicker::chose, this,
            [this](const std::string& key, const std::string& text) { document_.refuse(writeWater(key, text)); });
    boat_->setObjectName(QStringLiteral("own-boat"));
    boat_->setWordWrap(true);
    column->addWidget(boat_);
    auto* byForce = new QHBoxLayout;
    byForce->addWidget(new Label(tr("or by force")));
    force_->setObjectName(QStringLiteral("force"));
    force_->setAccessibleName(tr("Wind by Beaufort's force"));
    for (int force = 0; force <= 12; ++force)
        force_->addItem(tr("%1  %2").arg(force).arg(qt(std::string(windWords(force)))), force);
    byForce->addWidget(force_, 1);
    column->addLayout(byForce);
    auto* shore = new QHBoxLayout;
    auto* draw = toolButton("draw-shore", tr("Draw the shore"), tr("Click corner after corner on the map, twice at the last"));
    draw->setCheckable(true);
    auto* bring = toolButton("bring-shore", tr("GeoJSON…"), tr("The shore from a file"));
    shore->addWidget(draw);
    shore->addWidget(bring);
    shore->addStretch(1);
    column->addLayout(shore);
    weatherButton_ = toolButton("weather", tr("Weather station: look again"),
                                tr("Fills wind, direction, temperature and light from a weather station; the stand-in is machair-weather"));
    column->addWidget(weatherButton_);
    auto* about = new QHBoxLayout;
    about->addWidget(heading(tr("About in this month")));
    about->addStretch(1);
    auto* addRow = toolButton("add-season", tr("+"), tr("Another creature in the season's table"));
    about->addWidget(addRow);
    column->addLayout(about);
    asLines(season_, "season", tr("What is about in this month"));
    season_->setMaximumHeight(84);
    season_->setToolTip(tr("A click opens the row to edit it"));
    column->addWidget(season_);
    row_ =
        new FieldsForm(document_, theme_, "season-row",
                       {"creature", "from_month", "to_month", "size", "colour", "where", "fished", "styles", "dressings", "place", "suits"},
                       [this](const std::string& key, const std::string& text) {
                           return document_.apply(changeSeasonField(document_.book(), seasonRow_, key, text));
                       });
    row_->hide();
    column->addWidget(row_);
    answers_->setObjectName(QStringLiteral("season-answers"));
    answers_->setWordWrap(true);
    answers_->setFont(faceScaled(0.92));
    column->addWidget(answers_);
    connect(addRow, &QToolButton::clicked, this, [this] {
        if (!document_.isOpen() ||
            !document_.done(document_.apply(addSeasonRow(document_.book(), document_.water() ? document_.water()->month.value_or(6) : 6))))
            return;
        seasonRow_ = document_.book().season.back().id;
        refreshSeason();
    });
    connect(season_, &QListWidget::itemClicked, this, [this](QListWidgetItem* item) {
        const std::string id = item->data(Qt::UserRole).toString().toStdString();
        seasonRow_ = id == seasonRow_ ? std::string() : id;
        refreshSeason();
    });
    cautions_->setObjectName(QStringLiteral("water-cautions"));
    cautions_->setWordWrap(true);
    cautions_->setFont(faceScaled(0.9));
    column->addStretch(1);
    column->addWidget(cautions_);
    connect(waters_, &QComboBox::activated, this,
            [this](int i) { document_.chooseWater(WaterId(waters_->itemData(i).toString().toStdString())); });
    connect(add, &QToolButton::clicked, this, [this] {
        if (!document_.isOpen()) return;
        if (document_.done(document_.apply(addWater(document_.book())))) document_.chooseWater(document_.book().waters.back().id);
    });
    connect(force_, &QComboBox::activated, this, [this](int i) {
        document_.refuse(writeWater("wind_m_s", formatShort(windOfForce(force_->itemData(i).toInt()) / metrePerSecond, 1)));
    });
    connect(draw, &QToolButton::toggled, sea_, &SeaView::drawShore);
    connect(sea_, &SeaView::shoreDrawn, draw, [draw] { draw->setChecked(false); });
    connect(bring, &QToolButton::clicked, this, [this] {
        askWhatToRead(this, tr("The loch's shore"), QString(), tr("GeoJSON (*.geojson *.json);;All files (*)"), &WaterStation::bringShore);
    });
    connect(weatherButton_, &QToolButton::clicked, this, [this] {
        if (reading_)
            takeWeather();
        else
            hub_.connectNow();
    });
    return panel;
}

QWidget* WaterStation::makeRules() {
    auto* panel = new QWidget;
    auto* column = panelColumn(panel, 12, 14);
    auto* line = new FlowLayout;
    line->addWidget(heading(tr("Choose from the box")));
    favourite_->setObjectName(QStringLiteral("favourite"));
    favourite_->setAccessibleName(tr("A fly that has to be on the team"));
    favourite_->setToolTip(tr("Why not my favourite: the best teams that have it"));
    favourite_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
    favourite_->setMinimumContentsLength(9);
    line->addWidget(favourite_);
    chooseButton_ = toolButton("choose", tr("Choose"), tr("The best ordered three of the box for this wave, school and card; exact (F6)"));
    chooseButton_->setShortcut(QKeySequence(Qt::Key_F6));
    line->addWidget(chooseButton_);
    column->addLayout(line);
    auto* for_ = new QHBoxLayout;
    place_->setObjectName(QStringLiteral("choose-place"));
    place_->setAccessibleName(tr("For the whole team or one place"));
    place_->addItem(tr("for the whole team"), -1);
    for (const Position position : kPositions)
        place_->addItem(tr("for the %1").arg(titleOf(position).toLower()), static_cast<int>(position));
    for_->addWidget(place_, 1);
    withBook_->setObjectName(QStringLiteral("with-daybook"));
    withBook_->setText(tr("and my daybook"));
    withBook_->setToolTip(tr(
        "Flies that did better than others in their place on the same days count for more, and the wave's wants are moved by what caught"));
    for_->addWidget(withBook_);
    column->addLayout(for_);
    connect(place_, &QComboBox::activated, this, [this] { choose(); });
    connect(withBook_, &QCheckBox::toggled, this, [this] { choose(); });
    chosen_->setObjectName(QStringLiteral("chosen"));
    chosen_->setWordWrap(true);
    column->addWidget(chosen_);
    asLines(teams_, "choices", tr("Teams, best first"));
    teams_->setToolTip(tr("Enter or a double click makes it a team of the book"));
    teams_->setMinimumHeight(300);
    teams_->setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
    Pictures& pictures = Pictures::of(document_, theme_);
    teams_->setItemDelegate(new ChoiceCasts(pictures, theme_, teams_));
    connect(&pictures, &Pictures::painted, teams_->viewport(), qOverload<>(&QWidget::update));
    column->addWidget(teams_, 1);
    auto* top = new QHBoxLayout;
    top->addWidget(heading(tr("Rule card")));
    top->addStretch(1);
    addCard_ = toolButton("add-card", tr("Write one"), tr("A card of this water's or contest's rules"));
    top->addWidget(addCard_);
    top->addWidget(new Label(tr("kept today")));
    kept_->setObjectName(QStringLiteral("kept"));
    kept_->setAccessibleName(tr("Fish kept today"));
    kept_->setRange(0, 999);
    top->addWidget(kept_);
    auto* paper = new PaperCard(theme_);
    auto* written = new QVBoxLayout(paper);
    written->setContentsMargins(0, 0, 0, 0);
    written->addLayout(top);
    written->addSpacing(8);
    column->addWidget(paper);
    card_ = new FieldsForm(document_, theme_, "card",
                           {"name", "source", "date", "most_flies", "least_spacing_m", "largest_hook", "longest_fly_mm", "barb",
                            "kept_before_barbless", "beads"},
                           [this](const std::string& key, const std::string& text) {
                               const WaterSpec* water = document_.water();
                               return water && water->rules ? document_.apply(changeRuleField(document_.book(), *water->rules, key, text))
                                                            : Faults{};
                           });
    written->addWidget(card_);
    gaugeButton_ =
        toolButton("contest-gauge", tr("Length gauge…"), tr("The longest fly that this card allows, on paper at true size (PDF or SVG)"));
    connect(gaugeButton_, &QToolButton::clicked, this, [this] {
        askWhereToWrite(this, tr("Keep the gauge as"), QStringLiteral("gauge.pdf"), tr("PDF (*.pdf);;SVG (*.svg)"), QString(),
                        [this](const QString& path) {
                            const RuleCard* card = ruleCard();
                            if (!card) return;
                            const QString wrong = drawing::writeContestGauge(path, *card, qt(std::string(kRulesCaution)), lengthsSaidIn());
                            document_.say(wrong.isEmpty() ? tr("Kept as %1; measure its 50 mm bar before you trust it").arg(path)
                                                          : tr("%1: %2. Nothing was written").arg(path, wrong));
                        });
    });
    written->addWidget(gaugeButton_);
    ruled_->setObjectName(QStringLiteral("ruled"));
    ruled_->setWordWrap(true);
    written->addWidget(ruled_);
    twins_ = toolButton(
        "change-over", tr("Change them over"),
        tr("Takes off what the card forbids now and puts on what stands beside it: the twin of the dressing where the box has one"));
    twins_->hide();
    connect(twins_, &QToolButton::clicked, this, &WaterStation::changeOver);
    written->addWidget(twins_);
    asLines(boxRuled_, "box-ruled", tr("The whole box under this card"));
    boxRuled_->setMaximumHeight(110);
    column->addWidget(boxRuled_);
    column->addStretch(0);
    connect(addCard_, &QToolButton::clicked, this, [this] {
        if (document_.water()) document_.refuse(document_.apply(addRuleCard(document_.book(), document_.water()->id)));
    });
    connect(kept_, &QSpinBox::valueChanged, &document_, &Document::keepFish);
    connect(chooseButton_, &QToolButton::clicked, this, [this] {
        if (background_.running())
            background_.stop();
        else
            choose();
    });
    connect(teams_, &QListWidget::itemActivated, this, [this](QListWidgetItem* item) { takeChoice(teams_->row(item)); });
    return panel;
}

// What the weather station last said, as one step.
// Several of the day's fields as one edit; whether it took.
bool WaterStation::writeAll(const std::vector<std::pair<const char*, std::string>>& fields, const char* words) {
    if (!document_.water()) return false;
    Result<Edit> edit = Edit{words, document_.book()};
    for (const auto& [key, text] : fields) {
        edit = changeWaterField(edit->after, document_.water()->id, key, text);
        if (!edit) {
            document_.refuse(edit.error());
            return false;
        }
    }
    edit->words = words;
    const Faults faults = document_.apply(std::move(edit));
    if (!faults.empty()) document_.refuse(faults);
    return faults.empty();
}

void WaterStation::takeWeather() {
    if (!document_.water()) return;
    std::vector<std::pair<const char*, std::string>> fields = {{"wind_m_s", formatShort(reading_->wind / metrePerSecond, 1)},
                                                               {"wind_from_deg", formatShort(reading_->from, 0)}};
    if (reading_->celsius) fields.emplace_back("celsius", formatShort(*reading_->celsius, 1));
    if (reading_->light) fields.emplace_back("light", reading_->light->toStdString());
    if (!writeAll(fields, "the weather station's day")) return;
    document_.say(
        tr("Wind, direction, temperature and light from the weather station, %1 s old").arg(readAt_.secsTo(QDateTime::currentDateTime())));
}

void WaterStation::watchWeather() {
    connect(&hub_, &devices::Hub::weatherRead, this, [this](const devices::Weather& read) {
        reading_ = read;
        readAt_ = QDateTime::currentDateTime();
        weatherButton_->setText(tr("Take: wind %1 m/s from %2°").arg(number(read.wind / metrePerSecond, 1), number(read.from, 0)));
    });
    connect(&hub_, &devices::Hub::changed, this, [this] {
        if (!hub_.weatherReady() && !reading_) weatherButton_->setText(tr("Weather station: look again"));
    });
}

Faults WaterStation::writeWater(const std::string& key, const std::string& text) {
    if (!document_.water()) return {};
    return document_.apply(changeWaterField(document_.book(), document_.water()->id, key, text));
}

void WaterStation::setShore(const std::vector<MapPoint>& outline) {
    if (!document_.water()) return;
    if (const Faults faults = checkOutline(outline); !faults.empty()) return document_.say(qt(faults.front().line()));
    document_.refuse(document_.apply(changeOutline(document_.book(), document_.water()->id, outline)));
}

void WaterStation::bringShore(const QString& name) {
    constexpr std::size_t kLargest = 16 << 20;
    const auto shore =
        store::readWhole(name.toStdString(), kLargest).and_then([](const std::string& text) { return store::readShore(text); });
    if (!shore) return document_.say(tr("%1: %2").arg(name, qt(shore.error().front().line())));
    if (document_.water()) document_.refuse(document_.apply(changeOutline(document_.book(), document_.water()->id, *shore)));
}

void WaterStation::showEvent(QShowEvent*) {
    refresh();
    if (stale_ || (choices_.empty() && placed_.empty())) choose();
}

void WaterStation::refresh() {
    const QSignalBlocker quiet(waters_), quietForce(force_), quietFavourite(favourite_);
    waters_->clear();
    if (!document_.isOpen()) return;
    for (const WaterSpec& water : document_.book().waters)
        waters_->addItem(qt(water.title()), qt(water.id));
    const WaterSpec* water = document_.water();
    day_->setEnabled(water != nullptr);
    looks_->refresh();
    boat_->clear();
    if (!water) {
        cautions_->setText(tr("+ makes a water: its wind and fetch give the wave, the wave says how full to dress."));
    } else {
        waters_->setCurrentIndex(waters_->findData(qt(water->id)));
        day_->show(fieldsOf(*water));
        if (water->wind) force_->setCurrentIndex(beaufort(*water->wind));
        boat_->setText(qt(learnedDrift(document_.book()).words()));
        QStringList cautions;
        for (const std::string& caution : seaOf(document_.book(), *water).cautions)
            cautions << QStringLiteral("! ") + qt(caution);
        cautions_->setText(cautions.join(QLatin1Char('\n')));
    }
    const QString was = favourite_->currentData().toString();
    favourite_->clear();
    favourite_->addItem(tr("any fly"), QString());
    if (document_.book().box.empty())
        for (const Pattern& pattern : document_.book().patterns)
            favourite_->addItem(qt(pattern.title()), qt(pattern.id));
    for (const BoxFly& fly : document_.book().box)
        favourite_->addItem(qt(sayFly(document_.book(), flyOf(fly))), qt(fly.id));
    favourite_->setCurrentIndex(std::max(0, favourite_->findData(was)));
    refreshSeason();
    refreshRules();
    makeStale();
}

void WaterStation::refreshSeason() {
    const QSignalBlocker quiet(season_);
    season_->clear();
    const int month = document_.water() ? document_.water()->month.value_or(0) : 0;
    const SeasonRow* open = nullptr;
    for (const SeasonRow& row : document_.book().season) {
        if (row.id == seasonRow_) open = &row;
        if (month != 0 && !row.includes(month) && row.id != seasonRow_) continue;
        auto* item = new QListWidgetItem(seasonWords(row), season_);
        item->setData(Qt::UserRole, qt(row.id));
        item->setToolTip(item->text());
    }
    row_->setVisible(open != nullptr);
    if (open) row_->show(fieldsOf(*open));
    answers_->setText(qt(sayAnswers(document_.book(), month)));
}

const RuleCard* WaterStation::ruleCard() const {
    const WaterSpec* water = document_.water();
    return water && water->rules ? document_.book().findRuleCard(*water->rules) : nullptr;
}

void WaterStation::refreshRules() {
    const WaterSpec* water = document_.water();
    const RuleCard* card = ruleCard();
    card_->setVisible(card != nullptr);
    boxRuled_->setVisible(card != nullptr);
    addCard_->setVisible(water && !card);
    kept_->setVisible(card && card->barb == BarbRule::barbedUntilKept);
    gaugeButton_->setVisible(card && card->longestFly);
    if (!card) {
        boxWork_.stop();
        twins_->hide();
        ruled_->setText(tr("No card: nothing is ruled here. %1").arg(qt(std::string(kRulesCaution))));
        return;
    }
    card_->show(fieldsOf(*card));
    sayRuled({});
    // The whole box under this card: each fly with what breaks it and what to change, and what comes off the leader.
    struct Ruled {
        std::vector<std::pair<std::string, std::vector<Breach>>> flies;
        std::vector<ComesOff> comesOff;
        Faults faults;
    };
    boxWork_.start(
        [book = document_.book(), plans = document_.plans(), on = water->id, team = document_.team() ? document_.team()->id : TeamId()](
            const std::stop_token& stop, const Background::Progress&) {
            Ruled ruled;
            const TeamSetting setting = settingOf(book, book.findWater(on), plans);
            const auto box = candidatesOf(book, setting);
            if (!box) {
                ruled.faults = box.error();
                return ruled;
            }
            for (std::size_t i = 0; i < box->size() && !stop.stop_requested(); ++i)
                ruled.flies.emplace_back((*box)[i].title, breachesOf((*box)[i].figures, *setting.card, setting.contest));
            ruled.comesOff = underTheCard(book, team, setting, *box);
            return ruled;
        },
        [this](const Ruled& ruled) {
            sayRuled(ruled.comesOff);
            boxRuled_->clear();
            for (const Fault& fault : ruled.faults)
                new QListWidgetItem(QStringLiteral("✗ ") + qt(fault.line()), boxRuled_);
            for (const bool passing : {false, true})  // what fails first
                for (const auto& [title, breaches] : ruled.flies) {
                    if (breaches.empty() != passing) continue;
                    QString text = (passing ? QStringLiteral("✓ ") : QStringLiteral("✗ ")) + qt(title);
                    for (const Breach& breach : breaches)
                        text += tr(": %1; %2").arg(qt(breach.words), qt(breach.mend));
                    (new QListWidgetItem(text, boxRuled_))->setForeground(passing ? theme_.colours().ink : theme_.colours().fault);
                }
        });
}

void WaterStation::sayRuled(std::vector<ComesOff> comesOff) {
    const RuleCard* card = document_.isOpen() ? ruleCard() : nullptr;
    if (!card) return;  // the book was closed meanwhile
    comesOff_ = std::move(comesOff);
    QStringList said;
    if (const auto& report = document_.teamReport())
        for (const TeamCheck& check : report->checks)
            if (check.term == TeamTerm::rules)
                said << signOf(check.verdict) + QLatin1Char(' ') + qt(check.words) +
                            (check.mend.empty() ? QString() : QStringLiteral(" → ") + qt(check.mend));
    for (const ComesOff& one : comesOff_)
        said << QStringLiteral("→ ") + qt(one.words);
    twins_->setVisible(std::ranges::any_of(comesOff_, [](const ComesOff& one) { return one.on.has_value(); }));
    if (!card->source || !card->date) said << tr("Say where and when this card was read.");
    said << qt(std::string(kRulesCaution));
    ruled_->setText(said.join(QLatin1Char('\n')));
}

// What is chosen for: a team of three, or one place; with a fly that has to be there, and with or without the daybook.
struct WaterStation::Wanted {
    std::string water;
    SchoolRules rules;
    std::string favourite;  // a box fly's id
    std::optional<Position> place;
    ByPosition<std::optional<Fly>> beside;
    bool daybook = false;
};

void WaterStation::changeOver() {
    if (!document_.team()) return;
    const TeamId team = document_.team()->id;
    Edit edit{"under the card: ", document_.book()};
    for (const ComesOff& one : comesOff_) {
        if (!one.on) continue;
        auto changed = changeTeamFly(edit.after, team, one.position, one.on);
        if (!changed) return document_.refuse(changed.error());
        edit.after = std::move(changed->after);
        edit.words +=
            (edit.words.ends_with(": ") ? "" : "; ") + sayFly(document_.book(), *one.on) + " on the " + std::string(nameOf(one.position));
    }
    document_.refuse(document_.apply(std::move(edit)));
}

void WaterStation::choose() {
    if (!document_.isOpen()) return;
    const TeamSpec* team = document_.team();
    Wanted wanted{document_.water() ? document_.water()->id : std::string(),
                  team ? rulesFor(document_.book(), *team) : rulesOf(School::stepped),
                  favourite_->currentData().toString().toStdString(),
                  {},
                  {},
                  withBook_->isChecked()};
    if (const int place = place_->currentData().toInt(); place >= 0) {
        wanted.place = kPositions[static_cast<std::size_t>(place)];
        if (team) wanted.beside = team->flies;
    }
    stale_ = false;
    const auto work = [book = document_.book(), plans = document_.plans(), wanted](const std::stop_token& stop,
                                                                                   const Background::Progress&) {
        const TeamSetting setting = settingOf(book, book.findWater(WaterId(wanted.water)), plans);
        Found found;
        auto box = candidatesOf(book, setting);
        if (!box) {
            found.faults = box.error();
            return found;
        }
        found.box = std::move(*box);
        const SchoolRules rules = wanted.daybook ? shifted(wanted.rules, curveShifts(book)) : wanted.rules;
        const auto candidate = [&](const Fly& fly) -> std::optional<std::size_t> {
            const auto at = std::ranges::find(found.box, onItsHook(book, fly), &BoxCandidate::fly);
            return at == found.box.end() ? std::nullopt : std::optional(static_cast<std::size_t>(at - found.box.begin()));
        };
        ChoiceWish wish;
        wish.stop = stop;
        if (wanted.daybook) wish.daybook = daybookTerms(book, found.box);
        if (wanted.place) {
            ByPosition<std::optional<std::size_t>> beside;
            for (const Position other : kPositions)
                if (other != *wanted.place && wanted.beside[other]) beside[other] = candidate(*wanted.beside[other]);
            found.placed = rankPlace(found.box, *wanted.place, rules, setting, beside, wish.daybook);
            return found;
        }
        if (const auto fly = std::ranges::find(found.box, wanted.favourite, &BoxCandidate::id); fly != found.box.end()) {
            wish.include = static_cast<std::size_t>(fly - found.box.begin());
            found.why = whyNot(found.box, *wish.include, {}, rules, setting, wish.daybook);
        }
        found.report = chooseTeams(found.box, rules, setting, wish);
        return found;
    };
    background_.start(work, [this](Found found) { show(std::move(found)); });
}

// Whatever changes of the day, the box or the school makes what is listed old.
void WaterStation::makeStale() {
    if (choices_.empty() && placed_.empty()) return;
    if (isVisible() && !background_.running()) return choose();
    stale_ = true;
}

void WaterStation::show(Found found) {
    if (!found.faults.empty()) return chosen_->setText(qt(found.faults.front().line()));
    box_ = std::move(found.box);
    choices_ = std::move(found.report.teams);
    placed_ = std::move(found.placed);
    teams_->clear();
    if (!placed_.empty()) return showPlaced();
    QString said = choices_.empty() ? tr("No team of three can be made up from the box under these rules.")
                                    : tr("Of %1 orders of three, %2 had to be looked at. A rule of thumb.")
                                          .arg(box_.size() * box_.size() * box_.size())
                                          .arg(found.report.examined);
    if (found.why) {
        if (!found.why->keptOut.empty()) said += QStringLiteral("\n") + tr("Why not: %1").arg(qt(found.why->keptOut));
        for (const std::string& difference : found.why->differences)
            said += QStringLiteral("\n") + tr("It costs: %1").arg(qt(difference));
    }
    for (std::size_t i = 0; i < std::min<std::size_t>(2, found.report.leftOut.size()); ++i)
        said += tr("\nLeft out: %1: %2").arg(qt(box_[found.report.leftOut[i].fly].title), qt(found.report.leftOut[i].why));
    chosen_->setText(said);
    int rank = 1;
    for (const Choice& choice : choices_) {
        QString text = tr("%1.  %2 · %3 · %4\n      %5 %6 of 100")
                           .arg(rank++)
                           .arg(qt(box_[choice.flies[0]].title), qt(box_[choice.flies[1]].title), qt(box_[choice.flies[2]].title),
                                signOf(choice.verdict), number(choice.score, 0));
        for (std::size_t p = 0; p < kTrio.size(); ++p) {
            QStringList others;
            for (const std::size_t other : choice.couldBe[p])
                others << qt(box_[other].title);
            if (!others.isEmpty())
                text +=
                    QStringLiteral("\n      ") + tr("or on the %1 %2").arg(titleOf(kTrio[p]).toLower(), others.join(QStringLiteral(", ")));
        }
        for (std::size_t i = 0; i < std::min<std::size_t>(3, choice.reasons.size()); ++i)
            text += QStringLiteral("\n      ") + qt(choice.reasons[i]);
        auto* item = new QListWidgetItem(inHouseUnit(text), teams_);
        QStringList all;
        for (const std::string& reason : choice.reasons)
            all << inHouseUnit(reason);
        item->setToolTip(all.join(QLatin1Char('\n')));
        ChoiceCasts::Shown shown;
        for (std::size_t p = 0; p < kTrio.size(); ++p) {
            shown.flies[p] = box_[choice.flies[p]].fly;
            shown.names[p] = qt(box_[choice.flies[p]].title);
        }
        shown.score = tr("%1.  %2 %3 of 100").arg(rank - 1).arg(signOf(choice.verdict), number(choice.score, 0));
        shown.verdict = choice.verdict;
        for (std::size_t i = 0; i < std::min<std::size_t>(2, choice.reasons.size()); ++i)
            shown.why << qt(choice.reasons[i]).section(QStringLiteral(": "), 1);  // its name stands above
        ChoiceCasts::set(*item, shown);
    }
}

// The flies for one place, those kept out last and with the reason.
void WaterStation::showPlaced() {
    chosen_->setText(tr("Beside the flies that hang there. Enter puts one in its place."));
    for (const Placed& placed : placed_) {
        QString text = tr("%1  %2").arg(number(placed.score(), 0), qt(box_[placed.fly].title));
        if (!placed.keptOut.empty())
            text += QStringLiteral("\n      ") + tr("kept out: %1").arg(qt(placed.keptOut));
        else
            for (std::size_t i = 0; i < std::min<std::size_t>(2, placed.reasons.size()); ++i)
                text += QStringLiteral("\n      ") + qt(placed.reasons[i]);
        auto* item = new QListWidgetItem(inHouseUnit(text), teams_);
        item->setForeground(placed.keptOut.empty() ? theme_.colours().ink : theme_.colours().inkSoft);
    }
}

void WaterStation::takeChoice(int row) {
    if (row < 0) return;
    if (!placed_.empty()) {
        if (row >= static_cast<int>(placed_.size()) || !document_.team() || place_->currentData().toInt() < 0) return;
        const Position position = kPositions[static_cast<std::size_t>(place_->currentData().toInt())];
        return document_.refuse(document_.apply(
            changeTeamFly(document_.book(), document_.team()->id, position, box_[placed_[static_cast<std::size_t>(row)].fly].fly)));
    }
    if (row >= static_cast<int>(choices_.size())) return;
    const Choice& choice = choices_[static_cast<std::size_t>(row)];
    const auto fly = [&](std::size_t p) { return std::optional(box_[choice.flies[p]].fly); };
    const std::string name = document_.water() ? "Chosen for " + document_.water()->title() : std::string("Chosen");
    if (document_.done(document_.apply(addTeam(document_.book(), name, trioOf(fly(0), fly(1), fly(2))))))
        document_.chooseTeam(document_.book().teams.back().id);
}

}  // namespace machair::app
