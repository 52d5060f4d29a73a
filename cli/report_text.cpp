#include <algorithm>

#include "book/flies.h"
#include "cli/report.h"
#include "sizing/figures.h"
#include "sizing/mending.h"
#include "units/text.h"

namespace machair::cli {

namespace {

std::string padded(std::string text, std::size_t width) {
    text.resize(std::max(width, text.size()), ' ');
    return text;
}

std::string row(const char* what, Length value, bool measured = false) {
    return "  " + padded(what, 12) + formatLength(value, LengthUnit::millimetres, 2) + (measured ? "  measured" : "") + "\n";
}

constexpr const char* kUnchecked = "Physics on stated shapes, not checked against measured flies: trust the ratios.\n";

}  // namespace

std::string hookText(const Hook& hook) {
    std::string text = hook.spec().name.value_or(hook.spec().id) + ": " + describeHook(hook.spec()) + "\n";
    text += row("shank", hook.shank(), hook.shankMeasured()) + row("gape", hook.gape(), hook.gapeMeasured()) +
            row("wire", hook.wire(), hook.wireMeasured()) + row("overall", hook.overall()) + row("point", hook.landmarkX(Landmark::point)) +
            row("barb", hook.landmarkX(Landmark::barb)) + row("rearmost", hook.landmarkX(Landmark::rearmost)) +
            row("eye width", hook.eyeWidth()) + row("wire length", hook.wireLength());
    return text + "  " + padded("mass", 12) + formatNumber(hook.mass() / mg, 1) + " mg\n";
}

std::string planText(const Book& book, const Plan& plan) {
    std::string text =
        plan.pattern.title() + " on " + plan.hook.spec().name.value_or(plan.hook.spec().id) + " (" + describeHook(plan.hook.spec()) + ")\n";
    for (std::size_t i = 0; i < plan.parts.size(); ++i) {
        const PartPlan& part = plan.parts[i];
        text += "  " + padded(std::string(nameOf(part.kind)), 11);
        if (part.material) text += part.made.title() + ": ";
        text += part.words + "\n";
    }
    text += "  room at the eye: " + formatLength(plan.head.needed, LengthUnit::millimetres, 2) + " needed, " +
            formatLength(plan.head.available, LengthUnit::millimetres, 2) + " there\n";
    text += "  thread: " + formatNumber(plan.threadUsed / mm, 0) + " mm; whole fly " + formatLength(plan.length) + "\n";
    for (const Warning& warning : plan.warnings) {
        text += std::string(warning.severity == Severity::warning ? "  mind: " : "  note: ") + warning.what +
                (warning.remedy.empty() ? "" : " (" + warning.remedy + ")") + "\n";
        for (const Mend& mend : mendsOf(book, plan, warning))
            text += "    mend: " + mend.words(warning) + "\n";
    }
    return text;
}

std::string sinkText(const Plan& plan, const SinkReport& report) {
    std::string text = plan.pattern.title() + ": ";
    if (report.floats)
        text += "floats";
    else {
        const double rate = 100.0 * (report.sinkRate / metrePerSecond);
        text += "sinks " + formatNumber(rate, 1) + " cm/s (" + formatNumber((1.0 - kSinkUncertainty) * rate, 1) + " to " +
                formatNumber((1.0 + kSinkUncertainty) * rate, 1) + ")";
    }
    text += ", pushes " + formatNumber(report.presence / millinewton, 2) + " mN of water at 0.3 m/s, weighs " +
            formatNumber(report.mass / mg, 1) + " mg wet\n";
    for (const std::string& driver : report.drivers)
        text += "  " + driver + "\n";
    return text + kUnchecked;
}

std::string teamText(const TeamSpec& team, const TeamReport& report) {
    std::string text = team.title() + ": " + std::string(nameOf(report.verdict)) + ", " + sayVerdict(report) +
                       (report.waveGiven ? "" : "; " + saySuits(report)) + "\n";
    for (const TeamFly& fly : report.flies)
        text += "  " + padded(std::string(nameOf(fly.position)), 8) + padded(sayFly(fly.plan.pattern.title(), fly.plan.hook.spec()), 28) +
                (fly.sink.floats ? std::string("floats") : formatNumber(100.0 * (fly.sink.sinkRate / metrePerSecond), 1) + " cm/s") + "  " +
                formatNumber(fly.sink.presence / millinewton, 2) + " mN  " + formatNumber(fly.sink.mass / mg, 0) + " mg  " +
                std::string(nameOf(fly.figures.style)) + ", " + sayFull(fly.figures.full) + "\n";
    for (const TeamCheck& check : report.checks)
        text += "  " + padded(std::string(nameOf(check.verdict)), 6) + check.words + (check.mend.empty() ? "" : ": " + check.mend) + "\n";
    return text + kUnchecked;
}

}  // namespace machair::cli
