#include "book/blend.h"

namespace machair {

std::optional<Blended> blendOf(const Material& fur, const Book& book) {
    const auto* traits = std::get_if<DubbingTraits>(&fur.traits);
    if (!traits || traits->blend.empty()) return std::nullopt;
    Blended blended;
    blended.packed = packedDensity(fur, book);
    double weight = 0.0, room = 0.0;
    for (const BlendPart& part : traits->blend) {
        const Material* of = book.findMaterial(part.material);
        const auto* own = of ? std::get_if<DubbingTraits>(&of->traits) : nullptr;
        Blended::Fur& one = blended.furs.emplace_back();
        one.material = part.material;
        one.weight = part.parts;
        one.room = part.parts / (packedDensity(own ? *own : DubbingTraits{}) / mgPerMm3);
        const std::string* hex = of ? of->mainColour() : nullptr;
        if (const auto rgb = hex ? parseColour(*hex) : std::nullopt) one.colour = toLab(*rgb);
        weight += one.weight;
        room += one.room;
    }
    double coloured = 0.0;
    Lab sum;
    for (Blended::Fur& one : blended.furs) {
        one.weight /= weight;
        one.room /= room;
        if (!one.colour) continue;
        coloured += one.room;
        sum = {sum.L + one.room * one.colour->L, sum.a + one.room * one.colour->a, sum.b + one.room * one.colour->b};
    }
    if (coloured > 0.0) blended.colour = Lab{sum.L / coloured, sum.a / coloured, sum.b / coloured};
    return blended;
}

}  // namespace machair
