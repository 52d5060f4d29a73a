#include "water/day_panel.h"

#include <QComboBox>
#include <QHBoxLayout>
#include <QListWidget>
#include <QSignalBlocker>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>

#include "daybook/boat.h"
#include "daybook/box.h"
#include "frame/ask_file.h"
#include "frame/fields_form.h"
#include "frame/panel.h"
#include "language/say.h"
#include "parts/folded.h"
#include "parts/label.h"
#include "theme/said.h"
#include "units/text.h"
#include "water/day_picker.h"
#include "water/sea.h"

namespace machair::app {

namespace {

// "sedge, 10-12, brown, surface: palmer; fished pulled"
QString seasonWords(const SeasonRow& row) {
    QStringList of{qt(row.creature)};
    for (const auto* word : {&row.size, &row.colour})
        if (*word) of << qt(**word);
    if (row.where) of << qt(sayName(*row.where));
    QString text = of.join(QStringLiteral(", "));
    QStringList suits;
    if (row.suits) suits << qt(*row.suits);
    for (const FlyStyle style : row.styles)
        suits << qt(sayName(style));
    if (!suits.isEmpty()) text += QStringLiteral(": ") + suits.join(QStringLiteral(", "));
    if (row.fished) text += QObject::tr("; fished %1").arg(qt(*row.fished));
    return text;
}

}  // namespace

DayPanel::DayPanel(Document& document, const Theme& theme, devices::Hub& devices, QWidget* parent)
    : QWidget(parent),
      document_(document),
      theme_(theme),
      hub_(devices),
      waters_(new QComboBox),
      force_(new QComboBox),
      season_(new QListWidget),
      answers_(new Label),
      boat_(new Label),
      cautions_(new Label) {
    auto* column = panelColumn(this, 14, 12);
    auto* line = new QHBoxLayout;
    waters_->setObjectName(QStringLiteral("waters"));
    waters_->setAccessibleName(tr("Water"));
    waters_->setFont(faceScaled(1.05, true));
    line->addWidget(waters_, 1);
    auto* add = toolButton("add-water", tr("+"), tr("Another water"));
    line->addWidget(add);
    column->addLayout(line);
    looks_ = new DayPicker(document_, theme_);
    column->addWidget(looks_);
    connect(looks_, &DayPicker::chose, this,
            [this](const std::string& key, const std::string& text) { document_.refuse(writeWater(key, text)); });
    boat_->setObjectName(QStringLiteral("own-boat"));
    boat_->setWordWrap(true);
    column->addWidget(boat_);
    Scale::Range warmth{tr("the water's warmth"), tr("°C"), 0.0, 25.0, 0.5, 1, Scale::Range::Manner::warmth};
    Scale::Range deep{tr("how deep it is there"), tr("m"), 0.0, 10.0, 0.1, 1, Scale::Range::Manner::deep};
    celsius_ = addScale(column, "celsius", std::move(warmth));
    depth_ = addScale(column, "depth_m", std::move(deep));
    weatherButton_ = toolButton("weather", tr("Weather station: look again"),
                                tr("Fills wind, direction, temperature and light from a weather station; the stand-in is machair-weather"));
    column->addWidget(weatherButton_);
    addSeason(column);
    addNumbers(column);
    cautions_->setObjectName(QStringLiteral("water-cautions"));
    cautions_->setWordWrap(true);
    cautions_->setFont(faceScaled(0.9));
    column->addStretch(1);
    column->addWidget(cautions_);
    connect(waters_, &QComboBox::activated, this,
            [this](int i) { document_.chooseWater(WaterId(waters_->itemData(i).toString().toStdString())); });
    connect(add, &QToolButton::clicked, this, &DayPanel::beginWater);
    connect(weatherButton_, &QToolButton::clicked, this, [this] {
        if (reading_)
            takeWeather();
        else
            hub_.connectNow();
    });
    watchWeather();
}

Scale* DayPanel::addScale(QVBoxLayout* column, const char* key, Scale::Range range) {
    auto* scale = new Scale(theme_, QStringLiteral("scale-") + QString::fromLatin1(key), std::move(range));
    column->addWidget(scale);
    connect(scale, &Scale::moved, this,
            [this, key = std::string(key)](double value) { document_.refuse(writeWater(key, formatShort(value, 1))); });
    connect(scale, &Scale::letGo, this, [this, key = std::string(key)] { document_.refuse(writeWater(key, "")); });
    return scale;
}

// The exact way in, beside map, scales and pictures: every number of the day to type.
void DayPanel::addNumbers(QVBoxLayout* column) {
    auto* content = new QWidget;
    auto* rows = new QVBoxLayout(content);
    rows->setContentsMargins(0, 0, 0, 0);
    day_ = new FieldsForm(document_, theme_, "water",
                          {"name", "wind_m_s", "wind_from_deg", "fetch_m", "depth_m", "celsius", "hatching", "drogue", "own_drift"},
                          [this](const std::string& key, const std::string& text) { return writeWater(key, text); });
    rows->addWidget(day_);
    auto* byForce = new QHBoxLayout;
    byForce->addWidget(new Label(tr("or by force")));
    force_->setObjectName(QStringLiteral("force"));
    force_->setAccessibleName(tr("Wind by Beaufort's force"));
    for (int force = 0; force <= 12; ++force)
        force_->addItem(tr("%1  %2").arg(force).arg(qt(say(windWords(force)))), force);
    byForce->addWidget(force_, 1);
    rows->addLayout(byForce);
    auto* shore = new QHBoxLayout;
    draw_ = toolButton("draw-shore", tr("Draw the shore"), tr("Click corner after corner on the map, twice at the last"));
    draw_->setCheckable(true);
    auto* bring = toolButton("bring-shore", tr("GeoJSON…"), tr("The shore from a file"));
    shore->addWidget(draw_);
    shore->addWidget(bring);
    shore->addStretch(1);
    rows->addLayout(shore);
    numbers_ = new Folded("fold-day", tr("Name, numbers, shore"), content);
    column->addWidget(numbers_);
    connect(force_, &QComboBox::activated, this, [this](int i) {
        document_.refuse(writeWater("wind_m_s", formatShort(windOfForce(force_->itemData(i).toInt()) / metrePerSecond, 1)));
    });
    connect(draw_, &QToolButton::toggled, this, &DayPanel::drawShoreWanted);
    connect(bring, &QToolButton::clicked, this, [this] {
        askWhatToRead(this, tr("The loch's shore"), QString(), tr("GeoJSON (*.geojson *.json);;All files (*)"), &DayPanel::shoreFileChosen);
    });
}

// What is about in the month, each row opened by a press.
void DayPanel::addSeason(QVBoxLayout* column) {
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
}

void DayPanel::shoreIsDrawn() { draw_->setChecked(false); }
void DayPanel::beginShore() { draw_->setChecked(true); }
void DayPanel::beginWater() {
    if (!document_.isOpen()) return;
    if (document_.done(document_.apply(addWater(document_.book())))) document_.chooseWater(document_.book().waters.back().id);
}

// Several of the day's fields as one edit; whether it took.
bool DayPanel::writeAll(const std::vector<std::pair<const char*, std::string>>& fields, const char* words) {
    if (!document_.water()) return false;
    Result<Edit> edit = Edit{machair::say(words), document_.book()};
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

// What the weather station last said, as one step.
void DayPanel::takeWeather() {
    if (!document_.water()) return;
    std::vector<std::pair<const char*, std::string>> fields = {{"wind_m_s", formatShort(reading_->wind / metrePerSecond, 1)},
                                                               {"wind_from_deg", formatShort(reading_->from, 0)}};
    if (reading_->celsius) fields.emplace_back("celsius", formatShort(*reading_->celsius, 1));
    if (reading_->light) fields.emplace_back("light", reading_->light->toStdString());
    if (!writeAll(fields, unsaid("the weather station's day"))) return;
    document_.say(
        tr("Wind, direction, temperature and light from the weather station, %1 s old").arg(readAt_.secsTo(QDateTime::currentDateTime())));
}

void DayPanel::watchWeather() {
    connect(&hub_, &devices::Hub::weatherRead, this, [this](const devices::Weather& read) {
        reading_ = read;
        readAt_ = QDateTime::currentDateTime();
        weatherButton_->setText(tr("Take: wind %1 m/s from %2°").arg(number(read.wind / metrePerSecond, 1), number(read.from, 0)));
    });
    connect(&hub_, &devices::Hub::changed, this, [this] {
        if (!hub_.weatherReady() && !reading_) weatherButton_->setText(tr("Weather station: look again"));
    });
}

Faults DayPanel::writeWater(const std::string& key, const std::string& text) {
    if (!document_.water()) return {};
    return document_.apply(changeWaterField(document_.book(), document_.water()->id, key, text));
}

void DayPanel::refreshSeason() {
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

void DayPanel::refresh() {
    const QSignalBlocker quiet(waters_), quietForce(force_);
    waters_->clear();
    if (!document_.isOpen()) return;
    for (const WaterSpec& water : document_.book().waters)
        waters_->addItem(qt(water.title()), qt(water.id));
    const WaterSpec* water = document_.water();
    for (QWidget* one : std::initializer_list<QWidget*>{day_, celsius_, depth_})
        one->setEnabled(water != nullptr);
    looks_->refresh();
    boat_->clear();
    if (!water) {
        cautions_->setText(tr("+ makes a water: its wind and fetch give the wave, the wave says how full to dress."));
    } else {
        waters_->setCurrentIndex(waters_->findData(qt(water->id)));
        day_->show(fieldsOf(*water));
        celsius_->show(water->celsius);
        depth_->show(water->depth ? std::optional(*water->depth / metre) : std::nullopt);
        QStringList said;
        if (water->wind) said << tr("%1 m/s").arg(number(*water->wind / metrePerSecond, 1));
        if (water->fetch) said << tr("fetch %1 m").arg(number(*water->fetch / metre, 0));
        if (water->hatching) said << qt(*water->hatching);
        numbers_->say(said.join(QStringLiteral(" · ")));
        if (water->wind) force_->setCurrentIndex(beaufort(*water->wind));
        boat_->setText(qt(learnedDrift(document_.book()).words()));
        QStringList cautions;
        for (const std::string& caution : seaOf(document_.book(), *water).cautions)
            cautions << QStringLiteral("! ") + qt(caution);
        cautions_->setText(cautions.join(QLatin1Char('\n')));
    }
    refreshSeason();
}

}  // namespace machair::app
