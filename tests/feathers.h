// Feathers that tests and benchmarks are cut from.
#pragma once

#include <string>
#include <vector>

#include "book/feathers.h"

namespace machair::tests {

inline VaneFeather vaneFeather(std::string id, std::string material, VaneSide side, Length vane, std::vector<Length> barbs,
                               std::vector<Stretch> taken = {}) {
    VaneFeather feather;
    feather.id = FeatherId(std::move(id));
    feather.material = MaterialId(std::move(material));
    feather.side = side;
    feather.vane = vane;
    feather.barbs = std::move(barbs);
    feather.taken = std::move(taken);
    return feather;
}

}  // namespace machair::tests
