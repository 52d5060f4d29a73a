// Points and directions of the scene: millimetres, x from the eye to the rear, y up, z towards the viewer.
#pragma once

#include <cmath>

namespace machair {

struct Vec3 {
    double x = 0.0;
    double y = 0.0;
    double z = 0.0;
    bool operator==(const Vec3&) const = default;
    friend Vec3 operator+(Vec3 a, Vec3 b) { return {a.x + b.x, a.y + b.y, a.z + b.z}; }
    friend Vec3 operator-(Vec3 a, Vec3 b) { return {a.x - b.x, a.y - b.y, a.z - b.z}; }
    friend Vec3 operator*(double k, Vec3 a) { return {k * a.x, k * a.y, k * a.z}; }
};
[[nodiscard]] inline double dot(Vec3 a, Vec3 b) { return a.x * b.x + a.y * b.y + a.z * b.z; }
[[nodiscard]] inline Vec3 cross(Vec3 a, Vec3 b) { return {a.y * b.z - a.z * b.y, a.z * b.x - a.x * b.z, a.x * b.y - a.y * b.x}; }
[[nodiscard]] inline double norm(Vec3 a) { return std::sqrt(dot(a, a)); }
[[nodiscard]] inline Vec3 unit(Vec3 a) {
    const double n = norm(a);
    return n > 0.0 ? (1.0 / n) * a : Vec3{1.0, 0.0, 0.0};
}

}  // namespace machair
