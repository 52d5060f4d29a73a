// How verdicts are said and shown everywhere: a sign beside the colour, never the colour alone.
#pragma once

#include <QObject>
#include <QString>

#include "team/team.h"
#include "theme/theme.h"

namespace machair::app {

[[nodiscard]] inline QString signOf(Verdict verdict) {
    return verdict == Verdict::pass ? QStringLiteral("✓") : verdict == Verdict::near ? QStringLiteral("≈") : QStringLiteral("✗");
}
[[nodiscard]] inline QColor colourOf(const Colours& colours, Verdict verdict) {
    return verdict == Verdict::pass ? colours.grass : verdict == Verdict::near ? colours.warn : colours.fault;
}
[[nodiscard]] inline QString titleOf(Position position) {
    switch (position) {
        case Position::bob: return QObject::tr("bob");
        case Position::upper: return QObject::tr("upper");
        case Position::middle: return QObject::tr("middle");
        case Position::lower: return QObject::tr("lower");
        case Position::point: return QObject::tr("point");
    }
    return {};
}

}  // namespace machair::app
