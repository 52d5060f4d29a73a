#include "drawers/drawer_model.h"

#include <algorithm>
#include <map>

#include "units/text.h"

namespace machair::app {

namespace {

QString sizeOf(const Material& m) {
    struct Size {
        const Material& m;
        QString operator()(const ThreadTraits&) const {
            return QObject::tr("lies %1 wide").arg(qt(formatLength(laidThread(m).width, LengthUnit::millimetres, 2)));
        }
        QString operator()(const HackleTraits& t) const {
            return t.stem ? QObject::tr("stem %1").arg(qt(formatLength(*t.stem, LengthUnit::millimetres, 2))) : QObject::tr("usual stem");
        }
        QString operator()(const VaneTraits& t) const {
            return t.vane ? QObject::tr("vane %1").arg(qt(formatLength(*t.vane, LengthUnit::millimetres, 0))) : QString();
        }
        QString operator()(const TippetTraits& t) const {
            return t.barSpacing ? QObject::tr("bars %1 apart").arg(qt(formatLength(*t.barSpacing))) : QString();
        }
        QString operator()(const DubbingTraits& t) const {
            return QObject::tr("%1 mg/mm³").arg(qt(formatNumber(packedDensity(t) / mgPerMm3, 2)));
        }
        QString operator()(const BeadTraits& t) const { return t.diameter ? qt(formatLength(*t.diameter)) : QObject::tr("by the hook"); }
        QString operator()(const PlumeTraits&) const { return {}; }
        QString operator()(const HairTraits& t) const {
            return QObject::tr("loses %1 %").arg(qt(formatNumber(100.0 * t.loss.value_or(0.15), 0)));
        }
        QString operator()(const PieceTraits& t) const { return t.length ? qt(formatLength(*t.length)) : QString(); }
        QString wound() const { return QObject::tr("%1 wide").arg(qt(formatLength(windingWidth(m), LengthUnit::millimetres, 2))); }
        QString operator()(const WireTraits&) const { return wound(); }
        QString operator()(const StripTraits&) const { return wound(); }
        QString operator()(const StrandTraits&) const { return wound(); }
        QString operator()(const RopeTraits&) const { return wound(); }
    };
    return std::visit(Size{m}, m.traits);
}

QColor colourOf(const Material& m) {
    const std::string hex = m.colour.value_or(m.colours.empty() ? std::string() : m.colours.front());
    return hex.empty() ? QColor() : QColor(qt(hex));
}

}  // namespace

const std::vector<DrawerName>& drawers() {
    static const std::vector<DrawerName> all = {{Drawer::hooks, QT_TR_NOOP("Hooks")},
                                                {Drawer::threads, QT_TR_NOOP("Threads")},
                                                {Drawer::hackles, QT_TR_NOOP("Hackles")},
                                                {Drawer::wings, QT_TR_NOOP("Flanks and quills")},
                                                {Drawer::furs, QT_TR_NOOP("Furs and dubbings")},
                                                {Drawer::metals, QT_TR_NOOP("Wires and tinsels")},
                                                {Drawer::flosses, QT_TR_NOOP("Flosses and chenilles")},
                                                {Drawer::strands, QT_TR_NOOP("Herls, fibres and hair")},
                                                {Drawer::beads, QT_TR_NOOP("Beads")},
                                                {Drawer::small, QT_TR_NOOP("Cheeks, tips and legs")}};
    return all;
}

bool liesIn(Drawer drawer, MaterialKind kind) {
    const auto any = [kind](std::initializer_list<MaterialKind> kinds) { return std::ranges::find(kinds, kind) != kinds.end(); };
    using M = MaterialKind;
    switch (drawer) {
        case Drawer::hooks: return false;
        case Drawer::threads: return kind == M::thread;
        case Drawer::hackles: return kind == M::hackle;
        case Drawer::wings: return any({M::flank, M::quill, M::tippet, M::plume});
        case Drawer::furs: return kind == M::dubbing;
        case Drawer::metals: return any({M::wire, M::oval, M::tinsel});
        case Drawer::flosses: return any({M::floss, M::ribbon, M::chenille, M::tube});
        case Drawer::strands: return any({M::herl, M::fibres, M::hair});
        case Drawer::beads: return kind == M::bead;
        case Drawer::small: return any({M::tip, M::cheek, M::leg});
    }
    return false;
}

MaterialKind newIn(Drawer drawer) {
    for (const auto& entry : Names<MaterialKind>::entries)
        if (liesIn(drawer, entry.value)) return entry.value;
    return MaterialKind::thread;
}

DrawerModel::DrawerModel(Document& document, QObject* parent) : QAbstractTableModel(parent), document_(document) {
    connect(&document_, &Document::bookOpened, this, &DrawerModel::refresh);
    connect(&document_, &Document::bookChanged, this, &DrawerModel::refresh);
}

void DrawerModel::show(Drawer drawer, const QString& search) {
    drawer_ = drawer;
    search_ = search.trimmed();
    refresh();
}

void DrawerModel::refresh() {
    beginResetModel();
    rows_.clear();
    if (document_.isOpen()) {
        const Book& book = document_.book();
        std::map<std::string_view, std::size_t> used;  // one pass over the dressings, not one an item
        for (const Pattern& pattern : book.patterns) {
            std::vector<std::string_view> own;
            if (drawer_ == Drawer::hooks)
                own.push_back(pattern.hook);
            else {
                own.push_back(pattern.thread);
                for (const Part& part : pattern.parts)
                    if (part.material) own.push_back(*part.material);
            }
            std::ranges::sort(own);
            own.erase(std::unique(own.begin(), own.end()), own.end());
            for (const auto id : own)
                ++used[id];
        }
        const auto add = [&](Row row) {
            if (!search_.isEmpty() && !row.name.contains(search_, Qt::CaseInsensitive) && !row.what.contains(search_, Qt::CaseInsensitive))
                return;
            row.used = used[row.id];
            rows_.push_back(std::move(row));
        };
        if (drawer_ == Drawer::hooks)
            for (const HookSpec& hook : book.hooks) {
                const auto made = makeHook(hook);
                add({hook.id, qt(hook.name.value_or(hook.id)), qt(describeHook(hook)),
                     made ? tr("shank %1%2").arg(qt(formatLength(made->shank())), made->shankMeasured() ? tr(", measured") : QString())
                          : QString(),
                     0, QColor()});
            }
        else
            for (const Material& m : book.materials)
                if (liesIn(drawer_, m.kind)) add({m.id, qt(m.title()), qt(std::string(nameOf(m.kind))), sizeOf(m), 0, colourOf(m)});
    }
    endResetModel();
}

std::string DrawerModel::idAt(int row) const {
    return row >= 0 && row < static_cast<int>(rows_.size()) ? rows_[static_cast<std::size_t>(row)].id : std::string();
}

int DrawerModel::rowOf(const std::string& id) const {
    const auto found = std::ranges::find(rows_, id, &Row::id);
    return found == rows_.end() ? -1 : static_cast<int>(found - rows_.begin());
}

int DrawerModel::rowCount(const QModelIndex& parent) const { return parent.isValid() ? 0 : static_cast<int>(rows_.size()); }
int DrawerModel::columnCount(const QModelIndex& parent) const { return parent.isValid() ? 0 : kColumns; }

QVariant DrawerModel::data(const QModelIndex& index, int role) const {
    if (!checkIndex(index, CheckIndexOption::IndexIsValid)) return {};
    const Row& row = rows_[static_cast<std::size_t>(index.row())];
    if (role == Qt::DecorationRole && index.column() == kName && row.colour.isValid()) return row.colour;
    if (role == Qt::TextAlignmentRole && index.column() == kUsed) return QVariant(Qt::AlignCenter);
    if (role != Qt::DisplayRole) return {};
    switch (index.column()) {
        case kName: return row.name;
        case kWhat: return row.what;
        case kSize: return row.size;
        case kUsed: return row.used == 0 ? QString() : QString::number(row.used);
        default: return {};
    }
}

QVariant DrawerModel::headerData(int section, Qt::Orientation orientation, int role) const {
    if (orientation != Qt::Horizontal || role != Qt::DisplayRole) return {};
    switch (section) {
        case kName: return tr("what");
        case kWhat: return tr("kind");
        case kSize: return tr("size");
        case kUsed: return tr("dressings");
        default: return {};
    }
}

}  // namespace machair::app
