#include "cli/report.h"
#include "sizing/figures.h"
#include "sizing/mending.h"

namespace machair::cli {

namespace {

Json measuredKeys(const Hook& hook) {
    Json keys = Json::array();
    const HookMeasures m = hook.spec().measured.value_or(HookMeasures{});
    const auto add = [&](const char* key, const std::optional<Length>& value) {
        if (value) keys.push_back(key);
    };
    add("shank_mm", m.shank);
    add("gape_mm", m.gape);
    add("clear_gape_mm", m.clearGape);
    add("wire_mm", m.wire);
    add("overall_mm", m.overall);
    add("point_mm", m.point);
    return keys;
}

Json bulkRow(const BulkRow& row) {
    Json json = {{"part", row.part}, {"from_mm", row.from / mm}, {"to_mm", row.to / mm}};
    if (const auto* thread = std::get_if<ThreadLayers>(&row.what)) {
        json["thread_layers"] = thread->layers;
        json["thread_thickness_mm"] = thread->thickness / mm;
        json["thread_width_mm"] = thread->width / mm;
    } else if (const auto* bundle = std::get_if<BoundBundle>(&row.what)) {
        json["count"] = bundle->count;
        json["diameter_mm"] = bundle->diameter / mm;
    } else
        json["wrap_mm"] = std::get<WoundWire>(row.what).diameter / mm;
    return json;
}

Json partReport(const Plan& plan, std::size_t index) {
    const PartPlan& part = plan.parts[index];
    Json json = {{"part", std::string(nameOf(part.kind))}};
    if (part.material) json["material"] = *part.material;
    json["station_mm"] = part.station / mm;
    json["words"] = part.words;
    Json said = Json::object();
    Json tolerance = Json::object();
    for (const Figure& figure : figuresOf(plan, index)) {
        if (const auto* text = std::get_if<std::string>(&figure.value))
            json[figure.key] = *text;
        else
            json[figure.key] = std::get<double>(figure.value);
        if (!figure.words.empty()) said[figure.key] = figure.words;
        if (figure.tolerance > 0.0) tolerance[figure.key] = figure.tolerance;
    }
    if (const auto* bead = std::get_if<BeadPlan>(&part.detail)) json["ball"] = bead->ball;
    if (std::holds_alternative<Impossible>(part.detail)) json["impossible"] = true;
    if (!said.empty()) json["bench_words"] = said;
    if (!tolerance.empty()) json["tolerance"] = tolerance;
    if (!part.drivers.empty()) json["derived_from"] = part.drivers;
    if (const auto* wing = std::get_if<WingPlan>(&part.detail); wing && !wing->supports.empty()) {
        json["supports"] = Json::array();
        for (const WingSupport& support : wing->supports)
            json["supports"].push_back({{"part", support.part}, {"step_mm", support.step / mm}, {"run_mm", support.run / mm}});
    }
    return json;
}

Json takesReport(const Plan& plan) {
    Json takes = Json::array();
    for (const RoomShare& share : plan.head.shares)
        takes.push_back({{"what", share.what}, {"part", share.part}, {"room_mm", share.room / mm}});
    return takes;
}

Json needReport(const Need& need) {
    Json json = {{"material", need.material}};
    if (need.length) json["length_mm"] = *need.length / mm;
    if (need.fibres) json["fibres"] = *need.fibres;
    if (need.slip) json["slip_mm"] = *need.slip / mm;
    if (need.stem) json["stem_mm"] = *need.stem / mm;
    if (need.mass) json["mass_mg"] = *need.mass / mg;
    json["parts"] = need.parts;
    if (need.feathers) json["feathers"] = *need.feathers;
    if (need.perSet) json["per_set"] = *need.perSet;
    if (need.yield) json["yield"] = *need.yield;
    return json;
}

}  // namespace

Json hookReport(const Hook& hook) {
    return {{"hook", hook.spec().id},
            {"shank_mm", hook.shank() / mm},
            {"gape_mm", hook.gape() / mm},
            {"wire_mm", hook.wire() / mm},
            {"overall_mm", hook.overall() / mm},
            {"point_mm", hook.landmarkX(Landmark::point) / mm},
            {"barb_mm", hook.landmarkX(Landmark::barb) / mm},
            {"bend_mm", hook.landmarkX(Landmark::bend) / mm},
            {"rearmost_mm", hook.landmarkX(Landmark::rearmost) / mm},
            {"eye_width_mm", hook.eyeWidth() / mm},
            {"wire_length_mm", hook.wireLength() / mm},
            {"mass_mg", hook.mass() / mg},
            {"spear_mm", hook.spear() / mm},
            {"depth_mm", hook.pointDepth() / mm},
            {"measured", measuredKeys(hook)}};
}

namespace {

Json headReport(const Plan& plan) {
    Json remedies = Json::array();
    for (const Remedy& remedy : plan.head.remedies)
        remedies.push_back({{"remedy", std::string(nameOf(remedy.kind))}, {"buys_mm", remedy.buys / mm}, {"words", remedy.words}});
    return {{"needed_mm", plan.head.needed / mm},
            {"available_mm", plan.head.available / mm},
            {"margin_mm", plan.head.margin() / mm},
            {"usual_mm", plan.head.usual / mm},
            {"takes", takesReport(plan)},
            {"crowded", std::string(nameOf(plan.head.crowded))},
            {"eye_mm", plan.hook.eyeWidth() / mm},
            {"margin_eye_widths", plan.head.margin() / plan.hook.eyeWidth()},
            {"diameter_mm", plan.head.diameter / mm},
            {"slope_cut_takes_mm", plan.head.slopeCutTakes / mm},
            {"remedies", remedies}};
}

Json warningsReport(const Plan& plan) {
    Json warnings = Json::array();
    for (const Warning& warning : plan.warnings) {
        Json row = {{"part", warning.part ? static_cast<int>(*warning.part) : -1},
                    {"concern", std::string(nameOf(warning.concern))},
                    {"severity", std::string(nameOf(warning.severity))},
                    {"over", warning.over},
                    {"words", warning.what},
                    {"mend", warning.remedy}};
        if (!warning.key.empty()) row["key"] = warning.key;
        if (!warning.unit.empty()) row["unit"] = warning.unit;
        warnings.push_back(std::move(row));
    }
    return warnings;
}

Json mendsReport(const Book& book, const Plan& plan) {
    Json mends = Json::array();
    for (std::size_t i = 0; i < plan.warnings.size(); ++i)
        for (const Mend& mend : mendsOf(book, plan, plan.warnings[i]))
            mends.push_back({{"warning", i},
                             {"cost", mend.cost},
                             {"buys", mend.buys},
                             {"unit", plan.warnings[i].unit},
                             {"cures", mend.cures},
                             {"words", mend.words(plan.warnings[i])}});
    return mends;
}

}  // namespace

Json planReport(const Book& book, const Plan& plan) {
    Json json = {{"pattern", plan.pattern.id}, {"hook", plan.hook.spec().id}};
    Json parts = Json::array();
    for (std::size_t i = 0; i < plan.parts.size(); ++i)
        parts.push_back(partReport(plan, i));
    json["parts"] = parts;
    Json profile = Json::array();
    for (const ProfileRow& row : plan.profile())
        profile.push_back({{"s_mm", row.station / mm}, {"under_mm", row.under / mm}, {"diameter_mm", row.diameter / mm}});
    json["profile"] = profile;
    json["head"] = headReport(plan);
    json["thread_mm"] = plan.threadUsed / mm;
    json["length_mm"] = plan.length / mm;
    json["ends_with"] = plan.endsWith;
    Json bulk = Json::array();
    for (const BulkRow& row : plan.bulk.rows())
        bulk.push_back(bulkRow(row));
    json["bulk"] = bulk;
    Json needs = Json::array();
    for (const Need& need : plan.needs)
        needs.push_back(needReport(need));
    json["needs"] = needs;
    json["warnings"] = warningsReport(plan);
    json["faults"] = Json::array();
    for (const Fault& fault : plan.faults)
        json["faults"].push_back({{"place", fault.place.text()}, {"words", fault.what}});
    json["mends"] = mendsReport(book, plan);
    return json;
}

Json sinkReportJson(const SinkReport& report) {
    Json json = {{"mass_mg", report.mass / mg},
                 {"submerged_mN", report.submerged / millinewton},
                 {"sink_m_s", report.sinkRate / metrePerSecond},
                 {"sink_low_m_s", (1.0 - kSinkUncertainty) * (report.sinkRate / metrePerSecond)},
                 {"sink_high_m_s", (1.0 + kSinkUncertainty) * (report.sinkRate / metrePerSecond)},
                 {"presence_mN", report.presence / millinewton},
                 {"silhouette_mm2", report.silhouette / mm2},
                 {"floats", report.floats},
                 {"just_under", report.justUnder},
                 {"drivers", report.drivers}};
    if (report.film) json["film_mN"] = *report.film / millinewton;
    return json;
}

Json checksReport(const std::vector<TeamCheck>& list) {
    Json checks = Json::array();
    for (const TeamCheck& check : list) {
        Json json = {{"check", std::string(nameOf(check.term))}};
        if (check.upper == check.lower)
            json["of"] = std::string(nameOf(check.upper));
        else
            json["between"] = {std::string(nameOf(check.upper)), std::string(nameOf(check.lower))};
        if (check.value) json["value"] = *check.value;
        if (check.low) json["low"] = *check.low;
        if (check.high) json["high"] = *check.high;
        json["verdict"] = std::string(nameOf(check.verdict));
        json["words"] = check.words;
        json["mend"] = check.mend;
        checks.push_back(json);
    }
    return checks;
}

Json teamReport(const TeamReport& report) {
    Json flies = Json::array();
    for (const TeamFly& fly : report.flies)
        flies.push_back({{"position", std::string(nameOf(fly.position))},
                         {"pattern", fly.plan.pattern.id},
                         {"hook", fly.plan.hook.spec().id},
                         {"style", std::string(nameOf(fly.figures.style))},
                         {"full", fly.figures.full},
                         {"stiff", fly.figures.stiff},
                         {"sink_m_s", fly.sink.sinkRate / metrePerSecond},
                         {"presence_mN", fly.sink.presence / millinewton},
                         {"mass_mg", fly.sink.mass / mg},
                         {"floats", fly.sink.floats}});
    Json json = {{"flies", flies},
                 {"checks", checksReport(report.checks)},
                 {"verdict", std::string(nameOf(report.verdict))},
                 {"wave_m", report.wave}};
    if (!report.waveGiven) {
        json["suits"] = Json::array();
        for (const TeamReport::InWave& one : report.suits)
            json["suits"].push_back({{"wave_m", one.wave}, {"verdict", std::string(nameOf(one.verdict))}});
    }
    return json;
}

}  // namespace machair::cli
