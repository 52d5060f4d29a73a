// What a widget that paints its own parts tells assistive technology: each part with its name, value and place, which is chosen,
// and what can be done with it. A widget says so by being Spoken; speakParts() is called once, before the first window.
#pragma once

#include <QRect>
#include <QString>
#include <vector>

namespace machair::app {

struct SpokenPart {
    QString name;
    QString value;
    QRect where;  // in the widget
    bool chosen = false;
    bool canChange = false;  // nudgePart does something
};

class Spoken {
  public:
    virtual ~Spoken() = default;
    [[nodiscard]] virtual std::vector<SpokenPart> spokenParts() const = 0;
    virtual void choosePart(std::size_t part) = 0;
    virtual void nudgePart(std::size_t part, int steps) {  // up is positive
        static_cast<void>(part);
        static_cast<void>(steps);
    }
};

void speakParts();

}  // namespace machair::app
