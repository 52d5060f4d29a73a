#include "drawers/drawers.h"

#include <QtGlobal>
#include <algorithm>

namespace machair::app {

const std::vector<DrawerName>& drawers() {
    static const std::vector<DrawerName> all = {
        {Drawer::hooks, QT_TRANSLATE_NOOP("machair::app::DrawersStation", "Hooks"), "hooks",
         QT_TRANSLATE_NOOP("machair::app::DrawersStation", "Put the hook in your vice in, and measure its shank and gape.")},
        {Drawer::threads, QT_TRANSLATE_NOOP("machair::app::DrawersStation", "Threads"), "materials",
         QT_TRANSLATE_NOOP("machair::app::DrawersStation", "A thread, by its label or denier.")},
        {Drawer::hackles, QT_TRANSLATE_NOOP("machair::app::DrawersStation", "Hackles"), "materials",
         QT_TRANSLATE_NOOP("machair::app::DrawersStation", "A hackle, by its bird and colour.")},
        {Drawer::wings, QT_TRANSLATE_NOOP("machair::app::DrawersStation", "Flanks, quills and plumes"), "materials",
         QT_TRANSLATE_NOOP("machair::app::DrawersStation", "A flank, quill, tippet or plume.")},
        {Drawer::furs, QT_TRANSLATE_NOOP("machair::app::DrawersStation", "Furs and dubbings"), "materials",
         QT_TRANSLATE_NOOP("machair::app::DrawersStation", "A fur by its texture, or a blend of others.")},
        {Drawer::metals, QT_TRANSLATE_NOOP("machair::app::DrawersStation", "Wires and tinsels"), "materials",
         QT_TRANSLATE_NOOP("machair::app::DrawersStation", "A wire, an oval or a flat tinsel.")},
        {Drawer::flosses, QT_TRANSLATE_NOOP("machair::app::DrawersStation", "Flosses and chenilles"), "materials",
         QT_TRANSLATE_NOOP("machair::app::DrawersStation", "A floss, ribbon, chenille or tube.")},
        {Drawer::strands, QT_TRANSLATE_NOOP("machair::app::DrawersStation", "Herls, fibres and hair"), "materials",
         QT_TRANSLATE_NOOP("machair::app::DrawersStation", "Herl, tail fibres or hair.")},
        {Drawer::beads, QT_TRANSLATE_NOOP("machair::app::DrawersStation", "Beads"), "materials",
         QT_TRANSLATE_NOOP("machair::app::DrawersStation", "A bead, by its diameter and metal.")},
        {Drawer::small, QT_TRANSLATE_NOOP("machair::app::DrawersStation", "Cheeks, tips and legs"), "materials",
         QT_TRANSLATE_NOOP("machair::app::DrawersStation", "Cheeks, hackle points or legs.")},
        {Drawer::feathers, QT_TRANSLATE_NOOP("machair::app::DrawersStation", "My feathers"), "feathers",
         QT_TRANSLATE_NOOP(
             "machair::app::DrawersStation",
             "A feather of your own: lay it on the screen or photograph it, draw along the ends of its barbs, and Cut lays slips on "
             "it exactly.")},
        {Drawer::capes, QT_TRANSLATE_NOOP("machair::app::DrawersStation", "My capes"), "capes",
         QT_TRANSLATE_NOOP("machair::app::DrawersStation",
                           "A cape, by how many feathers of which fibre length it has: count a few bands.")},
        {Drawer::stock, QT_TRANSLATE_NOOP("machair::app::DrawersStation", "What there is"), "stock",
         QT_TRANSLATE_NOOP("machair::app::DrawersStation", "How much of a material is on the spool, in the packet or in the bag.")},
        {Drawer::dressings, QT_TRANSLATE_NOOP("machair::app::DrawersStation", "Dressings"), "patterns",
         QT_TRANSLATE_NOOP("machair::app::DrawersStation", "A dressing starts from its kind at Plan.")},
        {Drawer::teams, QT_TRANSLATE_NOOP("machair::app::DrawersStation", "Teams"), "teams",
         QT_TRANSLATE_NOOP("machair::app::DrawersStation", "A team begins with one fly.")},
        {Drawer::box, QT_TRANSLATE_NOOP("machair::app::DrawersStation", "The fly box"), "box",
         QT_TRANSLATE_NOOP("machair::app::DrawersStation", "Flies that are tied already: how many of which.")},
        {Drawer::batches, QT_TRANSLATE_NOOP("machair::app::DrawersStation", "Batches"), "batches",
         QT_TRANSLATE_NOOP("machair::app::DrawersStation", "So many of a dressing to be tied by a day.")},
        {Drawer::waters, QT_TRANSLATE_NOOP("machair::app::DrawersStation", "Waters"), "waters",
         QT_TRANSLATE_NOOP("machair::app::DrawersStation", "A water with its fetch, depth and colour; its shore is drawn at Water.")},
        {Drawer::cards, QT_TRANSLATE_NOOP("machair::app::DrawersStation", "Rule cards"), "rule_cards",
         QT_TRANSLATE_NOOP("machair::app::DrawersStation", "The rules of a water or a contest, as you read them.")},
        {Drawer::season, QT_TRANSLATE_NOOP("machair::app::DrawersStation", "The season"), "season_table",
         QT_TRANSLATE_NOOP("machair::app::DrawersStation", "What is about in which months, and what suits it.")},
        {Drawer::days, QT_TRANSLATE_NOOP("machair::app::DrawersStation", "Days"), "days",
         QT_TRANSLATE_NOOP("machair::app::DrawersStation", "A day begins at Daybook.")},
        {Drawer::checks, QT_TRANSLATE_NOOP("machair::app::DrawersStation", "Checked flies"), "checks",
         QT_TRANSLATE_NOOP("machair::app::DrawersStation", "Flies that were measured at Check.")},
        {Drawer::schools, QT_TRANSLATE_NOOP("machair::app::DrawersStation", "Schools of my own"), "team_schools",
         QT_TRANSLATE_NOOP("machair::app::DrawersStation", "What a team is weighed by, where you hold otherwise than the four.")},
        {Drawer::slips, QT_TRANSLATE_NOOP("machair::app::DrawersStation", "Lists of slips"), "cut_lists",
         QT_TRANSLATE_NOOP("machair::app::DrawersStation", "Slips to be cut that are no dressing's.")},
        {Drawer::mishaps, QT_TRANSLATE_NOOP("machair::app::DrawersStation", "What went wrong"), "mishaps",
         QT_TRANSLATE_NOOP("machair::app::DrawersStation", "Faults that were chosen at Tie are counted here.")}};
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
