// Everything thin is a run of short straight segments, gathered into buckets of one colour, alpha and width, and
// painted by drawLines (drawing.md section 2): ten to a hundred times cheaper than paths.
#pragma once

#include <QLineF>
#include <QPainter>
#include <QPointF>
#include <cstdint>
#include <unordered_map>
#include <vector>

#include "colour/colour.h"

namespace machair::drawing {

struct Ink {
    Lab colour;
    double alpha = 1.0;
    double width = 1.0;  // px
};

class Strokes {
  public:
    explicit Strokes(QPainter& painter) : painter_(painter) {}
    ~Strokes() { flush(); }
    Strokes(const Strokes&) = delete;
    Strokes& operator=(const Strokes&) = delete;

    // A segment lengthened by `overlap` px at both ends, so that no seam shows.
    void line(QPointF from, QPointF to, const Ink& ink, double overlap = 0.25);

    // Paints what was gathered, darkest buckets first. What comes later lies over it.
    void flush();

    [[nodiscard]] std::size_t segments() const { return segments_; }

  private:
    struct Bucket {
        Lab colour;
        double alpha;
        double width;
        std::vector<QLineF> lines;
    };
    [[nodiscard]] std::vector<QLineF> takeSpare();

    QPainter& painter_;
    std::vector<Bucket> buckets_;
    std::vector<std::vector<QLineF>> spare_;
    std::unordered_map<std::uint64_t, std::size_t> index_;
    std::size_t segments_ = 0;
};

}  // namespace machair::drawing
