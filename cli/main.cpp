// machair-cli: a thin reader of arguments over core and store (formats.md, "The command line").
#include <CLI/CLI.hpp>
#include <algorithm>
#include <exception>
#include <iostream>

#include "cli/report.h"
#include "store/home.h"

namespace {

using namespace machair;
using namespace machair::cli;

enum Exit { kDone = 0, kInputAtFault = 1, kWrongUsage = 2 };

int refuse(const Faults& faults) {
    for (const Fault& fault : faults) std::cerr << fault.line() << "\n";
    return kInputAtFault;
}

struct Options {
    std::string file;
    std::string hook;
    std::string pattern;
    std::string team;
    std::string out;
    double celsius = kUsualCelsius;
    bool json = false;
};

void print(const Options& options, const Json& json, const std::string& text) {
    std::cout << (options.json ? json.dump(2) + "\n" : text);
}

// Opens the file and hands its book on; unknown keys are warned of.
template <class Work>
int withBook(const Options& options, Work work) {
    const auto opened = store::readBook(options.file);
    if (!opened) return refuse(opened.error());
    for (const Fault& warning : opened->warnings) std::cerr << "warning: " << warning.line() << "\n";
    return work(opened->book);
}

int showHook(const Options& options) {
    return withBook(options, [&](const Book& book) {
        const HookSpec* spec = book.findHook(options.hook);
        if (!spec) return refuse({{Place("hooks"), "expected the id of a hook, got \"" + options.hook + "\"", ""}});
        const auto hook = makeHook(*spec);
        if (!hook) return refuse(hook.error());
        print(options, hookReport(*hook), hookText(*hook));
        return int(kDone);
    });
}

int showPlan(const Options& options) {
    return withBook(options, [&](const Book& book) {
        const auto plan = planPattern(book, options.pattern);
        if (!plan) return refuse(plan.error());
        print(options, planReport(*plan), planText(*plan));
        return int(kDone);
    });
}

int showSink(const Options& options) {
    return withBook(options, [&](const Book& book) {
        const auto plan = planPattern(book, options.pattern);
        if (!plan) return refuse(plan.error());
        const SinkReport report = sinkReport(*plan, options.celsius);
        print(options, sinkReportJson(report), sinkText(*plan, report));
        return int(kDone);
    });
}

int showTeam(const Options& options) {
    return withBook(options, [&](const Book& book) {
        const auto report = weighTeam(book, options.team, options.celsius);
        if (!report) return refuse(report.error());
        print(options, teamReport(*report), teamText(*book.findTeam(options.team), *report));
        return int(kDone);
    });
}

int validate(const Options& options) {
    return withBook(options, [&](const Book& book) {
        if (const Faults faults = checkWithPlans(book); !faults.empty()) return refuse(faults);  // a book is read without its plans
        const Json counts = {{"valid", true},
                             {"hooks", book.hooks.size()},
                             {"materials", book.materials.size()},
                             {"patterns", book.patterns.size()},
                             {"teams", book.teams.size()}};
        const std::string text = options.file + ": sound. " + std::to_string(book.hooks.size()) + " hooks, " +
                                 std::to_string(book.materials.size()) + " materials, " +
                                 std::to_string(book.patterns.size()) + " dressings, " +
                                 std::to_string(book.teams.size()) + " teams\n";
        print(options, counts, text);
        return int(kDone);
    });
}

int convert(const Options& options) {
    constexpr std::string_view kEndings[] = {".machair", ".machair.json"};
    if (std::ranges::none_of(kEndings, [&](std::string_view ending) { return options.out.ends_with(ending); })) {
        std::cerr << options.out << ": expected a name that ends in .machair (a bench book) or .machair.json (a bench file)\n";
        return kWrongUsage;
    }
    return withBook(options, [&](const Book& book) {
        const Faults faults = store::writeBook(options.out, book);
        return faults.empty() ? int(kDone) : refuse(faults);
    });
}

int run(int argc, char** argv) {
    CLI::App app{"Machair: sizes traditional wet flies to the hook in the vice and weighs them as a team"};
    app.require_subcommand(1);
    Options options;
    int result = kDone;
    const auto verb = [&](const char* name, const char* help, int (*work)(const Options&)) {
        CLI::App* sub = app.add_subcommand(name, help);
        sub->add_option("FILE", options.file, "a bench book or bench file")->required();
        sub->add_flag("--json", options.json, "one JSON object for programs");
        sub->callback([&options, &result, work] { result = work(options); });
        return sub;
    };
    const auto warmth = [&](CLI::App* sub) {
        sub->add_option("--celsius", options.celsius, "water temperature, 0 to 40 °C")->check(CLI::Range(0.0, 40.0));
    };
    verb("hook", "a hook's measures and landmarks", showHook)->add_option("--hook", options.hook, "its id")->required();
    verb("plan", "a dressing sized to its hook", showPlan)->add_option("--pattern", options.pattern, "its id")->required();
    CLI::App* sink = verb("sink", "how a fly sinks and how much water it pushes", showSink);
    sink->add_option("--pattern", options.pattern, "its id")->required();
    warmth(sink);
    CLI::App* team = verb("team", "three flies weighed as one team", showTeam);
    team->add_option("--team", options.team, "its id")->required();
    warmth(team);
    verb("validate", "every fault of a file, or that it is sound", validate);
    verb("convert", "the same book in another file", convert)->add_option("OUT", options.out, "*.machair or *.machair.json")->required();
    app.add_subcommand("schema", "the JSON Schema of the bench file")->callback([] { std::cout << store::benchSchema(); });

    try {
        app.parse(argc, argv);
    } catch (const CLI::ParseError& error) {
        return app.exit(error) == 0 ? kDone : kWrongUsage;
    }
    return result;
}

}  // namespace

int main(int argc, char** argv) {
    try {
        return run(argc, argv);
    } catch (const std::exception& error) {
        std::cerr << error.what() << "\n";
        return kInputAtFault;
    }
}
