#include "balance/mend_cards.h"

#include <QListWidget>
#include <QPainter>
#include <QRegularExpression>
#include <algorithm>

#include "drawing/fly_painter.h"
#include "editing/document.h"
#include "parts/card_frame.h"
#include "parts/lengths.h"
#include "theme/said.h"

namespace machair::app {

namespace {

constexpr int kBuys = Qt::UserRole + 10, kFlies = Qt::UserRole + 11;
constexpr QSize kFly(104, 54);
constexpr int kArrow = 22, kPlace = 16, kPad = 8;
constexpr double kMostPxPerMm = 6.0;

// Both at the scale at which the larger has room.
QImage painted(const std::optional<Scene>& scene, double pxPerMm, drawing::Bench bench, double devicePixelRatio) {
    if (!scene) return {};
    QImage image(kFly * devicePixelRatio, QImage::Format_ARGB32_Premultiplied);
    image.setDevicePixelRatio(devicePixelRatio);
    image.fill(Qt::transparent);
    QPainter painter(&image);
    drawing::paintFly(painter, *scene, drawing::fitView(*scene, QRectF(QPointF(), QSizeF(kFly)).adjusted(2, 2, -2, -2), bench, pxPerMm));
    return image;
}

std::optional<Scene> sceneOf(const Book& book, const std::optional<Fly>& fly) {
    if (!fly) return std::nullopt;
    const auto plan = planFly(book, *fly, Place("teams"));
    return plan ? std::optional(makeScene(*plan)) : std::nullopt;
}

// What else would do as well stands in the tip.
QString titleIn(const QModelIndex& index) {
    static const QRegularExpression kAlternatives(QStringLiteral(" \\(or [^)]*\\)"));
    return inHouseWords(index.data(Qt::DisplayRole).toString().remove(kAlternatives));
}

}  // namespace

void MendCards::set(QListWidgetItem& item, const QString& buys) {
    item.setData(kBuys, buys);
    item.setData(kFlies, QVariantList());
}

void MendCards::setFlies(QListWidgetItem& item, std::vector<MendFly> flies) {
    QVariantList list;
    for (MendFly& fly : flies)
        list << QVariant(QVariantList{titleOf(fly.position), std::move(fly.before), std::move(fly.after)});
    item.setData(kFlies, list);
}

std::size_t MendCards::fliesOn(const QListWidgetItem& item) { return static_cast<std::size_t>(item.data(kFlies).toList().size()); }

// Cards stand side by side, all as high as their list; a heading stands before its own.
QSize MendCards::sizeHint(const QStyleOptionViewItem& option, const QModelIndex& index) const {
    if (!index.data(kBuys).isValid())
        return {std::max(60, QFontMetrics(option.font).boundingRect(QRect(0, 0, 80, 1000), Qt::TextWordWrap, titleIn(index)).width() + 16),
                kHigh};
    return {kPad * 2 + kPlace + 2 * kFly.width() + kArrow + 8, kHigh};
}

void MendCards::paint(QPainter* painter, const QStyleOptionViewItem& option, const QModelIndex& index) const {
    const Colours& c = theme_.colours();
    if (!index.data(kBuys).isValid()) {
        painter->setFont(faceScaled(0.95, true));
        painter->setPen(c.inkSoft);
        return painter->drawText(option.rect.adjusted(8, 10, -4, -4), Qt::AlignLeft | Qt::AlignTop | Qt::TextWordWrap, titleIn(index));
    }
    const QRect card = cardOf(option);
    painter->save();
    paintCardFrame(*painter, option, c);
    QRect words = card.adjusted(kPad, kPad, -kPad, -kPad);
    painter->setFont(option.font);
    painter->setPen(c.ink);
    QRect used;
    painter->drawText(words, Qt::TextWordWrap, titleIn(index), &used);
    words.setTop(used.bottom() + 1);
    painter->setPen(c.grass);
    painter->setFont(faceScaled(0.9));
    painter->drawText(words, Qt::AlignLeft | Qt::AlignTop, index.data(kBuys).toString());
    int y = words.top() + QFontMetrics(option.font).height() + 2;
    painter->setClipRect(card.adjusted(1, 1, -1, -1));
    painter->setRenderHint(QPainter::SmoothPixmapTransform);
    const QVariantList flies = index.data(kFlies).toList();
    const int high = std::min(kFly.height(), (card.bottom() - 4 - y) / std::max(1, static_cast<int>(flies.size())) - 2);
    const int wide = kFly.width() * high / kFly.height();
    for (const QVariant& one : flies) {
        const QVariantList fly = one.toList();
        painter->save();
        painter->translate(words.left(), y + high);
        painter->rotate(-90.0);
        painter->setPen(c.inkSoft);
        painter->setFont(faceScaled(0.82));
        painter->drawText(QRect(-8, 0, high + 16, kPlace), Qt::AlignCenter, fly[0].toString());
        painter->restore();
        const auto before = fly[1].value<QImage>(), after = fly[2].value<QImage>();
        const int left = words.left() + kPlace;
        if (!before.isNull()) painter->drawImage(QRect(left, y, wide, high), before);
        painter->setPen(QPen(c.accent, 1.8));
        const int arrow = left + wide + 3, middle = y + high / 2;
        painter->drawLine(arrow, middle, arrow + kArrow - 6, middle);
        painter->drawLine(arrow + kArrow - 11, middle - 4, arrow + kArrow - 6, middle);
        painter->drawLine(arrow + kArrow - 11, middle + 4, arrow + kArrow - 6, middle);
        if (!after.isNull()) painter->drawImage(QRect(left + wide + kArrow, y, wide, high), after);
        y += high + 2;
    }
    painter->restore();
}

std::vector<MendFly> changedBy(const Book& book, const TeamId& team, const Proposal& proposal, drawing::Bench bench,
                               double devicePixelRatio, const std::stop_token& stop) {
    std::vector<MendFly> list;
    const auto edit = takeProposal(book, team, proposal);
    const TeamSpec* now = book.findTeam(team);
    const TeamSpec* then = edit ? edit->after.findTeam(team) : nullptr;
    if (!now || !then) return list;
    for (const Position position : kPositions) {
        if (stop.stop_requested()) return {};
        if (now->at(position) == then->at(position)) continue;
        const auto before = sceneOf(book, now->at(position)), after = sceneOf(edit->after, then->at(position));
        double scale = kMostPxPerMm;
        for (const auto* scene : {&before, &after})
            if (*scene)
                scale = std::min(scale,
                                 drawing::fitView(**scene, QRectF(QPointF(), QSizeF(kFly)).adjusted(2, 2, -2, -2), bench, scale).pxPerMm);
        list.push_back({position, painted(before, scale, bench, devicePixelRatio), painted(after, scale, bench, devicePixelRatio)});
    }
    return list;
}

QString whatItBuys(const std::vector<TeamCheck>& now, const std::vector<TeamCheck>& then) {
    const auto same = [](const TeamCheck& a, const TeamCheck& b) { return a.term == b.term && a.upper == b.upper && a.lower == b.lower; };
    int off = 0, mended = 0, spoilt = 0;
    for (const TeamCheck& check : now) {
        const auto later = std::ranges::find_if(then, [&](const TeamCheck& other) { return same(check, other); });
        const bool wrong = check.verdict != Verdict::pass, stays = later != then.end() && later->verdict != Verdict::pass;
        off += wrong ? 1 : 0;
        mended += wrong && !stays ? 1 : 0;
        spoilt += !wrong && stays ? 1 : 0;
    }
    QString words =
        mended == off ? MendCards::tr("mends all %1 that are off").arg(off) : MendCards::tr("mends %1 of %2").arg(mended).arg(off);
    if (spoilt > 0) words += MendCards::tr(", puts %1 off instead").arg(spoilt);
    return words;
}

}  // namespace machair::app
