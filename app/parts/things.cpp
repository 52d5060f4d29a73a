#include "parts/things.h"

#include <QPainter>
#include <algorithm>
#include <map>
#include <tuple>
#include <unordered_map>

#include "book/flies.h"
#include "book/lists.h"
#include "book/record_edits.h"
#include "language/say.h"
#include "parts/dates.h"
#include "parts/lengths.h"
#include "units/text.h"

namespace machair::app {

namespace {

QString words(std::string_view name) { return qt(say(spaced(name))); }

// What is looked up once for all things of a list.
class Teller {
  public:
    // What is looked up for the things of this list, and no more.
    Teller(const Book& book, std::string_view list) : book_(book) {
        if (list == "patterns") {
            for (const BoxFly& fly : book.box)
                tied_[fly.pattern] += fly.tied.value_or(1);
            for (const HookSpec& hook : book.hooks)
                hooks_[hook.id] = &hook;
            for (const Material& material : book.materials)
                materials_[material.id] = &material;
        }
        if (list != "materials") return;
        for (const Pattern& pattern : book.patterns) {
            ++used_[pattern.thread];
            for (const Part& part : pattern.parts)
                if (part.material) ++used_[*part.material];
        }
    }

    void operator()(const Pattern& p, Thing& thing) const {
        const auto hook = hooks_.find(p.hook);
        QStringList said;
        if (hook != hooks_.end())
            said << QString::number(hook->second->size) + (hook->second->barb.value_or(true) ? QString() : QObject::tr(" barbless"));
        if (p.role && *p.role != TeamRole::any) said << words(nameOf(*p.role));
        if (const auto tied = tied_.find(p.id); tied != tied_.end() && tied->second > 0) {
            said << QObject::tr("%1 tied").arg(tied->second);
            thing.traits << QObject::tr("in the box");
        }
        thing.detail = said.join(QStringLiteral(" · "));
        if (p.role && *p.role != TeamRole::any) thing.traits << words(nameOf(*p.role));
        bool wing = false, collar = false, palmer = false;
        for (const Part& part : p.parts) {
            wing |= part.kind == PartKind::wing;
            collar |= part.kind == PartKind::collar;
            palmer |= part.kind == PartKind::palmer;
            if (part.kind == PartKind::bead) thing.traits << QObject::tr("beaded");
            if (!part.material) continue;
            if (const auto made = materials_.find(*part.material); made != materials_.end())
                thing.hidden += QLatin1Char(' ') + qt(made->second->title());
        }
        if (palmer) thing.traits << QObject::tr("palmer");
        if (wing) thing.traits << QObject::tr("winged");
        if (collar && !wing && !palmer) thing.traits << QObject::tr("spider");
        if (p.note) thing.hidden += QLatin1Char(' ') + qt(*p.note);
    }
    void operator()(const HookSpec& h, Thing& thing) const {
        const auto made = makeHook(h);
        thing.detail = QObject::tr("%1, size %2%3")
                           .arg(words(nameOf(h.family)))
                           .arg(h.size)
                           .arg(h.barb.value_or(true) ? QString() : QObject::tr(", barbless"));
        if (made && (made->shankMeasured() || made->gapeMeasured() || made->wireMeasured())) thing.detail += QObject::tr(" · measured");
        thing.traits << words(nameOf(h.family)) << (h.barb.value_or(true) ? QObject::tr("barbed") : QObject::tr("barbless"));
    }
    void operator()(const Material& m, Thing& thing) const {
        thing.detail = words(nameOf(m.kind)) + (m.label ? QStringLiteral(", ") + qt(*m.label) : QString());
        const auto used = used_.find(m.id);
        if (used != used_.end()) thing.detail += QObject::tr(" · in %1").arg(used->second);
        thing.traits << words(nameOf(m.kind));
        if (const auto* hackle = std::get_if<HackleTraits>(&m.traits); hackle && hackle->bird) thing.traits << words(nameOf(*hackle->bird));
        if (!m.measured.empty()) thing.traits << QObject::tr("measured");
    }
    void operator()(const TeamSpec& team, Thing& thing) const {
        QStringList flies;
        for (const Position position : kPositions)
            if (team.at(position)) flies << qt(sayFly(book_, *team.at(position)));
        thing.detail = flies.join(QStringLiteral(" / "));
    }
    void operator()(const BoxFly& fly, Thing& thing) const {
        QStringList said;
        if (fly.chewed.value_or(0) > 0) said << QObject::tr("%1 chewed").arg(*fly.chewed);
        if (fly.lost.value_or(0) > 0) said << QObject::tr("%1 lost").arg(*fly.lost);
        thing.detail = said.isEmpty() ? QObject::tr("in the box") : said.join(QStringLiteral(", "));
    }
    void operator()(const Batch& batch, Thing& thing) const {
        thing.detail = QObject::tr("%1 of %2 tied").arg(batch.tied.value_or(0)).arg(batch.wanted);
    }
    void operator()(const WaterSpec& water, Thing& thing) const {
        if (water.fetch) thing.detail = QObject::tr("fetch %1 m").arg(number(*water.fetch / metre, 0));
    }
    void operator()(const Day& day, Thing& thing) const {
        thing.detail = QObject::tr("%1 h, %2 fish").arg(shortNumber(hoursOf(day), 2)).arg(day.fish.size());
        thing.traits << qt(day.date.substr(0, 4));
        thing.hidden = dateSaid(day.date);
        if (day.note) thing.hidden += QLatin1Char(' ') + qt(*day.note);
    }
    void operator()(const Stock& stock, Thing& thing) const {
        QStringList said;
        if (stock.length) said << QObject::tr("%1 m").arg(number(*stock.length / metre, 2));
        if (stock.count) said << QObject::tr("%1 there").arg(number(*stock.count, 0));
        if (stock.mass) said << QObject::tr("%1 mg").arg(number(*stock.mass, 0));
        if (!stock.offcuts.empty()) said << QObject::tr("%1 off-cuts").arg(stock.offcuts.size());
        thing.detail = said.isEmpty() ? QObject::tr("not counted") : said.join(QStringLiteral(", "));
    }
    void operator()(const VaneFeather& f, Thing& thing) const {
        Length taken;
        for (const Stretch& stretch : f.taken)
            taken = taken + (stretch[1] - stretch[0]);
        thing.detail = QObject::tr("%1 of %2 left").arg(lengthFigure(f.vane - taken, 0), lengthSaid(f.vane, 0));
    }
    void operator()(const Cape& cape, Thing& thing) const {
        if (!cape.bands.empty())
            thing.detail = QObject::tr("fibre %1 to %2").arg(lengthFigure(cape.bands.front().from), lengthSaid(cape.bands.back().to));
    }
    void operator()(const SeasonRow& row, Thing& thing) const {
        thing.detail = qt(row.suits.value_or(row.size ? say("size {}", *row.size) : ""));
    }
    void operator()(const CheckedFly& check, Thing& thing) const { thing.detail = QObject::tr("%1 readings").arg(check.readings.size()); }
    void operator()(const RuleCard& card, Thing& thing) const { thing.detail = qt(card.source.value_or("")); }
    void operator()(const TeamSchool& school, Thing& thing) const { thing.detail = QObject::tr("like %1").arg(words(nameOf(school.like))); }
    void operator()(const CutList&, Thing&) const {}
    void operator()(const Mishap&, Thing&) const {}

  private:
    const Book& book_;
    std::unordered_map<std::string_view, int> tied_, used_;
    std::unordered_map<std::string_view, const HookSpec*> hooks_;
    std::unordered_map<std::string_view, const Material*> materials_;
};

// A picture above its name and a few words.
class ThingDelegate : public QStyledItemDelegate {
  public:
    ThingDelegate(Tray& tray, Document& document, const Theme& theme, QSize cell)
        : QStyledItemDelegate(&tray), tray_(tray), pictures_(Pictures::of(document, theme)), theme_(theme), cell_(cell) {}

    QSize sizeHint(const QStyleOptionViewItem&, const QModelIndex&) const override { return cell_; }
    void paint(QPainter* painter, const QStyleOptionViewItem& option, const QModelIndex& index) const override {
        const Thing* thing = tray_.things().at(index.row());
        if (!thing) return;
        const Colours& c = theme_.colours();
        const bool chosen = option.state & QStyle::State_Selected, over = option.state & QStyle::State_MouseOver;
        const QRect cell = option.rect.adjusted(3, 3, -3, -3);
        painter->save();
        painter->setRenderHint(QPainter::Antialiasing);
        painter->setPen(QPen(chosen ? c.accent : over ? c.line : QColor(Qt::transparent), chosen ? 2.0 : 1.0));
        painter->setBrush(chosen || over ? c.raised : QColor(Qt::transparent));
        painter->drawRoundedRect(QRectF(cell).adjusted(0.5, 0.5, -0.5, -0.5), 5, 5);
        const QFont bold = faceScaled(0.94, true), soft = faceScaled(0.86);
        const int line = QFontMetrics(bold).height(), small = QFontMetrics(soft).height();
        const QRect picture = cell.adjusted(4, 4, -4, -(line + small + 6));
        if (const QImage image = pictures_.get(thing->record, picture.size(), tray_.devicePixelRatioF()); !image.isNull())
            painter->drawImage(picture.topLeft(), image);
        const auto write = [&](const QRect& where, const QFont& font, const QColor& ink, const QString& text) {
            painter->setFont(font);
            painter->setPen(ink);
            painter->drawText(where, Qt::AlignHCenter | Qt::AlignVCenter | Qt::TextSingleLine,
                              QFontMetrics(font).elidedText(text, Qt::ElideRight, where.width()));
        };
        write(QRect(cell.left() + 5, cell.bottom() - line - small - 2, cell.width() - 10, line), bold, c.ink, inHouseWords(thing->title));
        write(QRect(cell.left() + 5, cell.bottom() - small - 2, cell.width() - 10, small), soft, c.inkSoft, inHouseWords(thing->detail));
        painter->restore();
    }

  private:
    Tray& tray_;
    Pictures& pictures_;
    const Theme& theme_;
    QSize cell_;
};

}  // namespace

std::vector<Thing> thingsIn(const Book& book, std::string_view list) {
    const Teller tell(book, list);
    std::vector<Thing> things;
    eachList([&](const char* name, auto records) {
        if (name != list) return;
        things.reserve((book.*records).size());
        for (const auto& record : book.*records) {
            Thing thing{{name, record.id}, qt(titleOf(book, record)), {}, {}, {}};
            tell(record, thing);
            things.push_back(std::move(thing));
        }
    });
    if (list == "days") std::ranges::reverse(things);  // the latest first
    if (list == "hooks")                               // in rows by family, from large to small
        std::ranges::stable_sort(things, {}, [&](const Thing& thing) {
            const HookSpec* hook = book.findHook(HookId(thing.record.id));
            return std::tuple(static_cast<int>(hook->family), hook->longer.value_or(0), hook->size, hook->barb.value_or(true) ? 0 : 1);
        });
    return things;
}

std::vector<Thing> materialThings(const Book& book, const std::vector<MaterialKind>& kinds) {
    const Teller tell(book, "materials");
    std::vector<std::vector<Thing>> byKind(kinds.size());
    for (const Material& material : book.materials) {
        const auto kind = std::ranges::find(kinds, material.kind);
        if (kind == kinds.end()) continue;
        Thing thing{{"materials", material.id}, qt(material.title()), {}, {}, {}};
        tell(material, thing);
        byKind[static_cast<std::size_t>(kind - kinds.begin())].push_back(std::move(thing));
    }
    std::vector<Thing> things;
    for (std::vector<Thing>& some : byKind)
        std::ranges::move(some, std::back_inserter(things));
    return things;
}

QStringList commonTraits(const std::vector<Thing>& things, int most) {
    std::map<QString, std::size_t> counts;
    for (const Thing& thing : things)
        for (const QString& trait : thing.traits)
            ++counts[trait];
    std::vector<std::pair<std::size_t, QString>> ranked;
    for (const auto& [trait, count] : counts)
        if (count < things.size()) ranked.emplace_back(count, trait);
    std::ranges::stable_sort(ranked, std::greater{}, [](const auto& entry) { return entry.first; });
    QStringList list;
    for (const auto& [count, trait] : ranked)
        if (list.size() < most) list << trait;
    return list;
}

void ThingModel::show(std::vector<Thing> things) {
    beginResetModel();
    all_ = std::move(things);
    words_.clear();
    for (const Thing& thing : all_)
        words_.push_back((thing.title + QLatin1Char(' ') + thing.detail + QLatin1Char(' ') + thing.traits.join(QLatin1Char(' ')) +
                          QLatin1Char(' ') + thing.hidden)
                             .toLower());
    sift();
    endResetModel();
}

void ThingModel::filter(const QString& text, const QStringList& traits) {
    beginResetModel();
    text_ = text.toLower().simplified();
    traits_ = traits;
    sift();
    endResetModel();
}

// What begins with the text stands before what only has it.
void ThingModel::sift() {
    shown_.clear();
    const QStringList wanted = text_.split(QLatin1Char(' '), Qt::SkipEmptyParts);
    std::vector<std::size_t> rest;
    for (std::size_t i = 0; i < all_.size(); ++i) {
        const auto has = [&](const QString& word) { return words_[i].contains(word); };
        const auto is = [&](const QString& trait) { return all_[i].traits.contains(trait); };
        if (!std::ranges::all_of(wanted, has) || !std::ranges::all_of(traits_, is)) continue;
        (text_.isEmpty() || words_[i].startsWith(text_) ? shown_ : rest).push_back(i);
    }
    shown_.insert(shown_.end(), rest.begin(), rest.end());
}

const Thing* ThingModel::at(int row) const {
    return row >= 0 && static_cast<std::size_t>(row) < shown_.size() ? &all_[shown_[static_cast<std::size_t>(row)]] : nullptr;
}

int ThingModel::rowOf(const RecordId& record) const {
    const auto found = std::ranges::find_if(shown_, [&](std::size_t i) { return all_[i].record == record; });
    return found == shown_.end() ? -1 : static_cast<int>(found - shown_.begin());
}

int ThingModel::rowCount(const QModelIndex& parent) const { return parent.isValid() ? 0 : static_cast<int>(shown_.size()); }

QVariant ThingModel::data(const QModelIndex& index, int role) const {
    if (!checkIndex(index, CheckIndexOption::IndexIsValid)) return {};
    const Thing& thing = *at(index.row());
    switch (role) {
        case Qt::DisplayRole: return inHouseWords(thing.title);
        case Qt::AccessibleTextRole:
            return inHouseWords(thing.detail.isEmpty() ? thing.title : thing.title + QStringLiteral(", ") + thing.detail);
        case kDetail: return inHouseWords(thing.detail);
        default: return {};
    }
}

Tray::Tray(Document& document, const Theme& theme, QSize cell, QWidget* parent) : QListView(parent) {
    setModel(&model_);
    setItemDelegate(new ThingDelegate(*this, document, theme, cell));
    setViewMode(QListView::IconMode);
    setMovement(QListView::Static);
    setResizeMode(QListView::Adjust);
    setUniformItemSizes(true);
    setGridSize(cell);
    setFrameShape(QFrame::NoFrame);
    setMouseTracking(true);
    setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
    connect(&Pictures::of(document, theme), &Pictures::painted, viewport(), qOverload<>(&QWidget::update));
    connect(&theme, &Theme::changed, viewport(), qOverload<>(&QWidget::update));
}

std::vector<RecordId> Tray::selected() const {
    std::vector<RecordId> records;
    for (const QModelIndex& index : selectionModel()->selectedIndexes())
        if (const Thing* thing = model_.at(index.row())) records.push_back(thing->record);
    return records;
}

bool Tray::choose(const RecordId& record) {
    const int row = model_.rowOf(record);
    if (row < 0) return false;
    setCurrentIndex(model_.index(row));
    scrollTo(model_.index(row));
    return true;
}

void Tray::chooseFirst() {
    if (model_.rowCount() > 0) setCurrentIndex(model_.index(0));
}

}  // namespace machair::app
