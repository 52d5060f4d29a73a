#include "store/geojson.h"

#include <algorithm>
#include <cmath>
#include <numbers>

#include "language/say.h"
#include "store/json_parse.h"

namespace machair::store {

namespace {

constexpr double kMetresPerDegree = 111'195.0;  // of a great circle on a sphere of 6371 km
constexpr int kDeepest = 8;                     // collections in collections

// The first polygon's outer ring, wherever it is wrapped.
const Json* findRing(const Json& json, int depth, Place& place) {
    if (!json.is_object() || depth > kDeepest || !json.contains("type") || !json["type"].is_string()) return nullptr;
    const std::string type = json["type"].get<std::string>();
    const auto within = [&](const char* key) -> const Json* {
        if (!json.contains(key)) return nullptr;
        place = place.key(key);
        return &json[key];
    };
    if (type == "Polygon" || type == "MultiPolygon") {
        const Json* rings = within("coordinates");
        for (int level = type == "Polygon" ? 1 : 2; rings && level > 0; --level) {
            if (!rings->is_array() || rings->empty()) return nullptr;
            rings = &(*rings)[0];
            place = place.at(0);
        }
        return rings;
    }
    if (type == "Feature") {
        const Json* geometry = within("geometry");
        return geometry ? findRing(*geometry, depth + 1, place) : nullptr;
    }
    const Json* list = within(type == "FeatureCollection" ? "features" : "geometries");
    for (std::size_t i = 0; list && list->is_array() && i < list->size(); ++i) {
        Place own = place.at(i);
        if (const Json* ring = findRing((*list)[i], depth + 1, own)) {
            place = own;
            return ring;
        }
    }
    return nullptr;
}

}  // namespace

Result<std::vector<MapPoint>> readShore(std::string_view text) {
    const Result<Json> parsed = parseJson(text);
    if (!parsed) return tl::unexpected(parsed.error());
    const Json& json = *parsed;
    Place place;
    const Json* ring = findRing(json, 0, place);
    if (!ring || !ring->is_array())
        return fail(place, say("expected a polygon of the shore, got none"), say("export the loch's outline as a polygon"));
    std::vector<std::array<double, 2>> degrees;
    for (std::size_t i = 0; i < ring->size(); ++i) {
        const Json& at = (*ring)[i];
        if (!at.is_array() || at.size() < 2 || !at[0].is_number() || !at[1].is_number())
            return fail(place.at(i), say("expected longitude and latitude"));
        const double longitude = at[0].get<double>(), latitude = at[1].get<double>();
        if (!(std::abs(longitude) <= 180.0) || !(std::abs(latitude) <= 89.0))
            return fail(place.at(i), say("expected a longitude within 180 and a latitude within 89 degrees"));
        degrees.push_back({longitude, latitude});
    }
    if (degrees.size() > 1 && degrees.front() == degrees.back()) degrees.pop_back();  // a ring is closed in the file
    if (degrees.size() > kMostCorners)
        return fail(place,
                    say("expected a shore of at most {} corners, got {}", std::to_string(kMostCorners), std::to_string(degrees.size())),
                    say("simplify the outline: a corner every few metres is enough"));
    if (degrees.size() < 3) return fail(place, say("expected at least three corners of the shore, got {}", std::to_string(degrees.size())));
    double west = 180.0, south = 90.0, middle = 0.0;
    for (const auto& [longitude, latitude] : degrees) {
        west = std::min(west, longitude);
        south = std::min(south, latitude);
        middle += latitude / static_cast<double>(degrees.size());
    }
    const double shrink = std::cos(middle * std::numbers::pi / 180.0);
    std::vector<MapPoint> outline;
    for (const auto& [longitude, latitude] : degrees)
        outline.push_back({(longitude - west) * kMetresPerDegree * shrink * metre, (latitude - south) * kMetresPerDegree * metre});
    if (Faults faults = checkOutline(outline, place); !faults.empty()) return tl::unexpected(std::move(faults));
    return outline;
}

}  // namespace machair::store
