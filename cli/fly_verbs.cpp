// hook, plan and sink: one hook, one dressing.
#include "cli/verbs.h"

namespace machair::cli {

int showHook(const Options& options) {
    return withBook(options, [&](const Book& book) {
        const HookSpec* spec = book.findHook(options.hook);
        if (!spec) return refuse(noSuch(Place("hooks"), "hook", options.hook).value());
        const auto hook = makeHook(*spec);
        if (!hook) return refuse(hook.error());
        return print(options, hookReport(*hook), hookText(*hook));
    });
}

int showPlan(const Options& options) {
    return withBook(options, [&](const Book& book) {
        const auto plan = planPattern(book, options.pattern);
        if (!plan) return refuse(plan.error());
        return print(options, planReport(book, *plan), planText(book, *plan));
    });
}

int showSink(const Options& options) {
    return withBook(options, [&](const Book& book) {
        const auto plan = planPattern(book, options.pattern);
        if (!plan) return refuse(plan.error());
        const SinkReport report = sinkReport(*plan, options.celsius);
        return print(options, sinkReportJson(report), sinkText(*plan, report));
    });
}

}  // namespace machair::cli
