// What is in the hand or waits on the hook, drawn as it is held: a feather by its stem, a strip with the face it shows, strands
// side by side, the loop and its hook, the noodle on the thread.
#pragma once

#include <QPainter>

#include "drawing/paint.h"
#include "sizing/plan.h"

namespace machair::drawing {

// Where it is tied in, in the painter's units, and how many of those a millimetre is. It hangs to the rear, as the scene has it (right of
// `at`), and down.
struct HeldAt {
    QPointF at;
    double pxPerMm = 20.0;
};

// A part that was tied in and waits to be wound. Nothing for parts that hang on nothing.
void paintWaiting(QPainter& painter, const Plan& plan, std::size_t part, const HeldAt& held);
// Fur on its way to the hook: in a loop with its hook, or as a noodle on the thread, of this length.
void paintLoop(QPainter& painter, const Material& fur, const HeldAt& held, Length length);
void paintNoodle(QPainter& painter, const Material& fur, const HeldAt& held, Length thickness, Length length);

}  // namespace machair::drawing
