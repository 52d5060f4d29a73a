// Finds the hook on a photograph of a fly in the vice, and lays the plan over it: where the eye is, how large a millimetre
// and which way up. The known hook is the scale; the fly's dressing hides most of the shank, so the bare bend, spear and
// eye are what is looked for, on a plain background. Kept imaging library: OpenCV (core and imgproc).
//
// Method: silhouette by Otsu's threshold on the difference from a plane fitted to the border; a coarse search of scale,
// turn and side by template matching of the bare wire; then Gauss–Newton on where the wire's middle lies across each bare
// place, robust (Huber), whose covariance is the error that is told. Measured on rendered photographs with noise, blur,
// tilt and uneven light: tests/photo/photo_test.cpp. Cost: under a second for 12 megapixels.
#pragma once

#include <cstdint>
#include <functional>
#include <optional>
#include <stop_token>
#include <vector>

#include "hook/hook.h"

namespace machair::photo {

// A grey picture, row by row from the top left; 0 black.
struct Picture {
    int width = 0;
    int height = 0;
    std::vector<std::uint8_t> grey;
};

struct Pixel {
    double x = 0.0;
    double y = 0.0;
};

// From the hook's frame (mm, eye at the origin, y up) to the picture (px, y down): turned by `turn` clockwise as seen,
// mirrored where the eye is at the right.
struct Registration {
    Pixel eye;
    double pxPerMm = 1.0;
    double turn = 0.0;  // radians
    bool mirrored = false;
    double score = 0.0;  // share of the bare wire that was found; under kLeastScore nothing is trusted
    double error = 0.0;  // mm, one standard deviation of a length of the shank
    [[nodiscard]] Pixel toPicture(Point2 at) const;
    [[nodiscard]] Point2 toHook(Pixel at) const;
};
inline constexpr double kLeastScore = 0.55;

using Progress = std::function<void(double)>;
// Nothing where no hook is found: a picture that is none, a plain one, a hook that isn't there.
[[nodiscard]] std::optional<Registration> findHook(const Picture& picture, const Hook& hook, const std::stop_token& stop = {},
                                                   const Progress& progress = {});

// The same from places that were pointed at: two or more of the landmarks, least squares.
struct Marked {
    Point2 at;  // in the hook's frame
    Pixel seen;
};
[[nodiscard]] std::optional<Registration> fromMarks(const std::vector<Marked>& marks, bool mirrored);

// The silhouette's edges, in the hook's frame.
struct Silhouette {
    std::optional<Length> tailTip;  // x of the rearmost of what stands behind the bend, above the point
    std::optional<Length> overall;  // front of the eye to the last tip
};
[[nodiscard]] Silhouette silhouetteOf(const Picture& picture, const Registration& registration, const Hook& hook);

// Evenness of the hackle: fibres' reach below over that above the shank, over the front third. 1 is even all round.
[[nodiscard]] std::optional<double> hackleEvenness(const Picture& picture, const Registration& registration, const Hook& hook);

}  // namespace machair::photo
