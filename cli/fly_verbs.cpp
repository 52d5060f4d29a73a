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
        const auto plan = options.size == 0 ? planWhatCan(book, options.pattern) : planOnSize(book, options.pattern, options.size);
        if (!plan) return refuse(plan.error());
        const int shown = print(options, planReport(book, *plan), planText(book, *plan));
        return plan->faults.empty() ? shown : refuse(plan->faults);  // the plan of the rest is said all the same
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
