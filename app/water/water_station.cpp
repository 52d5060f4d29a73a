#include "water/water_station.h"

#include <QHBoxLayout>
#include <QVBoxLayout>

#include "frame/panel.h"
#include "language/say.h"
#include "parts/when_seen.h"
#include "store/geojson.h"
#include "units/text.h"
#include "water/choice_panel.h"
#include "water/day_panel.h"
#include "water/rules_panel.h"
#include "water/sea_view.h"

namespace machair::app {

namespace {
constexpr int kDayWidth = 290;
constexpr int kRulesWidth = 390;
}  // namespace

WaterStation::WaterStation(Document& document, const Theme& theme, devices::Hub& devices, QWidget* parent)
    : QWidget(parent),
      document_(document),
      sea_(new SeaView(document, theme)),
      day_(new DayPanel(document, theme, devices)),
      choice_(new ChoicePanel(document, theme)),
      rules_(new RulesPanel(document, theme)) {
    setObjectName(QStringLiteral("water"));
    auto* right = new QWidget;
    auto* column = new QVBoxLayout(right);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(0);
    column->addWidget(choice_, 1);
    column->addWidget(rules_);
    auto* layout = sideBySide(this);
    layout->addWidget(scrolled(day_, kDayWidth));
    layout->addWidget(sea_, 1);
    layout->addWidget(scrolled(right, kRulesWidth));
    (new WhenSeen(this, [this] { refresh(); }))->on(&document_, &Document::teamChanged, &Document::bookOpened);
    connect(sea_, &SeaView::fetchMeasured, this,
            [this](double metres) { document_.refuse(day_->writeWater("fetch_m", formatNumber(metres, 0))); });
    connect(sea_, &SeaView::shoreDrawn, this, &WaterStation::setShore);
    connect(sea_, &SeaView::shoreDrawn, day_, &DayPanel::shoreIsDrawn);
    connect(sea_, &SeaView::windDrawn, this, [this](double speed, double from) {
        day_->writeAll({{"wind_m_s", formatShort(speed, 1)}, {"wind_from_deg", formatShort(from, 0)}}, unsaid("the wind, as it was drawn"));
    });
    connect(day_, &DayPanel::drawShoreWanted, sea_, &SeaView::drawShore);
    connect(sea_, &SeaView::waterWanted, day_, &DayPanel::beginWater);
    connect(sea_, &SeaView::shoreWanted, day_, &DayPanel::beginShore);
    connect(day_, &DayPanel::shoreFileChosen, this, &WaterStation::bringShore);
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
    choice_->chooseIfOld();
}

void WaterStation::refresh() {
    day_->refresh();
    if (!document_.isOpen()) return;
    choice_->refresh();
    rules_->refresh();
}

}  // namespace machair::app
