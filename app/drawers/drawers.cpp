#include "drawers/drawers.h"

#include <QtGlobal>
#include <algorithm>

namespace machair::app {

const std::vector<DrawerName>& drawers() {
    static const std::vector<DrawerName> all = {
        {Drawer::hooks, QT_TR_NOOP("Hooks"), "hooks", QT_TR_NOOP("Put the hook in your vice in, and measure its shank and gape.")},
        {Drawer::threads, QT_TR_NOOP("Threads"), "materials", QT_TR_NOOP("A thread, by its label or denier.")},
        {Drawer::hackles, QT_TR_NOOP("Hackles"), "materials", QT_TR_NOOP("A hackle, by its bird and colour.")},
        {Drawer::wings, QT_TR_NOOP("Flanks, quills and plumes"), "materials", QT_TR_NOOP("A flank, quill, tippet or plume.")},
        {Drawer::furs, QT_TR_NOOP("Furs and dubbings"), "materials", QT_TR_NOOP("A fur by its texture, or a blend of others.")},
        {Drawer::metals, QT_TR_NOOP("Wires and tinsels"), "materials", QT_TR_NOOP("A wire, an oval or a flat tinsel.")},
        {Drawer::flosses, QT_TR_NOOP("Flosses and chenilles"), "materials", QT_TR_NOOP("A floss, ribbon, chenille or tube.")},
        {Drawer::strands, QT_TR_NOOP("Herls, fibres and hair"), "materials", QT_TR_NOOP("Herl, tail fibres or hair.")},
        {Drawer::beads, QT_TR_NOOP("Beads"), "materials", QT_TR_NOOP("A bead, by its diameter and metal.")},
        {Drawer::small, QT_TR_NOOP("Cheeks, tips and legs"), "materials", QT_TR_NOOP("Cheeks, hackle points or legs.")},
        {Drawer::feathers, QT_TR_NOOP("My feathers"), "feathers",
         QT_TR_NOOP("A feather of your own: lay it on the screen or photograph it, draw along the ends of its barbs, and Cut lays slips on "
                    "it exactly.")},
        {Drawer::capes, QT_TR_NOOP("My capes"), "capes",
         QT_TR_NOOP("A cape, by how many feathers of which fibre length it has: count a few bands.")},
        {Drawer::stock, QT_TR_NOOP("What there is"), "stock",
         QT_TR_NOOP("How much of a material is on the spool, in the packet or in the bag.")},
        {Drawer::dressings, QT_TR_NOOP("Dressings"), "patterns", QT_TR_NOOP("A dressing starts from its kind at Plan.")},
        {Drawer::teams, QT_TR_NOOP("Teams"), "teams", QT_TR_NOOP("A team begins with one fly.")},
        {Drawer::box, QT_TR_NOOP("The fly box"), "box", QT_TR_NOOP("Flies that are tied already: how many of which.")},
        {Drawer::batches, QT_TR_NOOP("Batches"), "batches", QT_TR_NOOP("So many of a dressing to be tied by a day.")},
        {Drawer::waters, QT_TR_NOOP("Waters"), "waters",
         QT_TR_NOOP("A water with its fetch, depth and colour; its shore is drawn at Water.")},
        {Drawer::cards, QT_TR_NOOP("Rule cards"), "rule_cards", QT_TR_NOOP("The rules of a water or a contest, as you read them.")},
        {Drawer::season, QT_TR_NOOP("The season"), "season_table", QT_TR_NOOP("What is about in which months, and what suits it.")},
        {Drawer::days, QT_TR_NOOP("Days"), "days", QT_TR_NOOP("A day begins at Daybook.")},
        {Drawer::checks, QT_TR_NOOP("Checked flies"), "checks", QT_TR_NOOP("Flies that were measured at Check.")},
        {Drawer::schools, QT_TR_NOOP("Schools of my own"), "team_schools",
         QT_TR_NOOP("What a team is weighed by, where you hold otherwise than the four.")},
        {Drawer::slips, QT_TR_NOOP("Lists of slips"), "cut_lists", QT_TR_NOOP("Slips to be cut that are no dressing's.")},
        {Drawer::mishaps, QT_TR_NOOP("What went wrong"), "mishaps", QT_TR_NOOP("Faults that were chosen at Tie are counted here.")}};
    return all;
}

const DrawerName& drawerName(Drawer drawer) { return drawers()[static_cast<std::size_t>(drawer)]; }

std::vector<MaterialKind> kindsIn(Drawer drawer) {
    using M = MaterialKind;
    switch (drawer) {
        case Drawer::threads: return {M::thread};
        case Drawer::hackles: return {M::hackle};
        case Drawer::wings: return {M::flank, M::quill, M::tippet, M::plume};
        case Drawer::furs: return {M::dubbing};
        case Drawer::metals: return {M::wire, M::oval, M::tinsel};
        case Drawer::flosses: return {M::floss, M::ribbon, M::chenille, M::tube};
        case Drawer::strands: return {M::herl, M::fibres, M::hair};
        case Drawer::beads: return {M::bead};
        case Drawer::small: return {M::tip, M::cheek, M::leg};
        default: return {};
    }
}

bool liesIn(Drawer drawer, MaterialKind kind) {
    const auto kinds = kindsIn(drawer);
    return std::ranges::find(kinds, kind) != kinds.end();
}

Drawer drawerOf(const Book& book, std::string_view list, std::string_view id) {
    const Material* material = list == "materials" ? book.findMaterial(MaterialId(id)) : nullptr;
    for (const DrawerName& name : drawers()) {
        if (name.list != list) continue;
        if (list != "materials" || (material && liesIn(name.drawer, material->kind))) return name.drawer;
    }
    return Drawer::hooks;
}

}  // namespace machair::app
