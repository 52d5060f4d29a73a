// machair-cli: a thin reader of arguments over core and store (formats.md, "The command line").
#include <CLI/CLI.hpp>
#include <exception>

#include "cli/verbs.h"
#include "cutting/cutting.h"
#include "units/text.h"

namespace {

using namespace machair;
using namespace machair::cli;

// A finite number from `low` to `high`; NaN, infinities and trailing text are refused like any other wrong usage.
CLI::Validator between(double low, double high) {
    return CLI::Validator(
        [low, high](std::string& text) -> std::string {
            const auto value = parseNumber(text);
            if (value && *value >= low && *value <= high) return {};
            return "expected a number from " + formatShort(low, 2) + " to " + formatShort(high, 2) + ", got \"" + text + "\"";
        },
        "NUMBER");
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
        sub->add_option("--celsius", options.celsius, "water temperature, 0 to 40 °C")->check(between(0.0, 40.0));
    };
    verb("hook", "a hook's measures and landmarks", showHook)->add_option("--hook", options.hook, "its id")->required();
    CLI::App* planned = verb("plan", "a dressing sized to its hook", showPlan);
    planned->add_option("--pattern", options.pattern, "its id")->required();
    planned->add_option("--size", options.size, "on this size of its hook instead")->check(CLI::Range(2, 20));
    CLI::App* sink = verb("sink", "how a fly sinks and how much water it pushes", showSink);
    sink->add_option("--pattern", options.pattern, "its id")->required();
    warmth(sink);
    const auto light = [&](CLI::App* sub) {
        sub->add_option("--light", options.light, "bright, cloud or dusk")->check(CLI::IsMember({"bright", "cloud", "dusk"}));
        sub->add_option("--colour", options.colour, "of the water: clear, tea, peat or green")
            ->check(CLI::IsMember({"clear", "tea", "peat", "green"}));
    };
    // The day: that of a water of the book, or as it is told here.
    const auto onDay = [&](CLI::App* sub, bool windNeeded) {
        sub->add_option("--water", options.water, "a water of the book: its temperature, wave, light and rules");
        CLI::Option* wind = sub->add_option("--wind", options.wind, "m/s")->check(between(0.0, 60.0));
        CLI::Option* fetch = sub->add_option("--fetch", options.fetch, "open water upwind, m")->check(between(0.0, 500000.0));
        wind->needs(fetch);
        fetch->needs(wind);
        if (windNeeded) wind->required();
        light(sub);
        CLI::Option* month = sub->add_option("--month", options.month, "1 to 12")->check(CLI::Range(1, 12));
        sub->parse_complete_callback([&options, wind, month] {
            options.windSaid = !wind->empty();
            options.monthSaid = !month->empty();
        });
    };
    CLI::App* team = verb("team", "one to five flies weighed as one team on a day", showTeam);
    team->add_option("--team", options.team, "its id")->required();
    warmth(team);
    onDay(team, false);
    CLI::App* balance = verb("balance", "the smallest changes that make a team pass", showBalance);
    balance->add_option("--team", options.team, "its id")->required();
    warmth(balance);
    onDay(balance, false);
    CLI::App* choose = verb("choose", "the best teams of the fly box for a day, or the flies for one place", showChoose);
    choose->add_option("--school", options.school, "stepped, big_top, one_size, river_swing or one of the book's");
    choose->add_option("--rules", options.rules, "a rule card's id");
    choose->add_option("--include", options.include, "a fly that has to be on the team")->expected(1);
    choose->add_option("--avoid", options.avoid, "flies that may not be");
    choose->add_option("--place", options.place, "the flies for one place instead: bob, upper, middle, lower or point")
        ->check(CLI::IsMember({"bob", "upper", "middle", "lower", "point"}));
    choose->add_flag("--book", options.daybook, "with what the daybook says of each fly in its place");
    warmth(choose);
    onDay(choose, true);
    CLI::App* drift = verb("drift", "how a team fishes through count, retrieve, lift and hang", showDrift);
    drift->add_option("--team", options.team, "its id")->required();
    warmth(drift);
    const auto number = [](CLI::App* sub, const char* name, double& value, const char* help) {
        return sub->add_option(name, value, help)->check(between(0.0, 100000.0));
    };
    number(drift, "--count", options.count, "seconds to sink before the retrieve");
    number(drift, "--retrieve", options.retrieve, "speed of the retrieve, m/s");
    number(drift, "--for", options.retrieveFor, "seconds of retrieve");
    number(drift, "--pull", options.pull, "seconds of each pull");
    number(drift, "--pause", options.pause, "seconds between pulls");
    number(drift, "--drift", options.drift, "the boat's drift through the water, m/s");
    number(drift, "--lift", options.lift, "speed of the rod tip in the lift, m/s");
    number(drift, "--height", options.height, "height of the rod tip after the lift, m");
    number(drift, "--elevation", options.elevation, "of the lift, degrees");
    number(drift, "--hold", options.hold, "seconds to hold the bob in the surface");
    number(drift, "--draw", options.draw, "m/s drawn in meanwhile");
    number(drift, "--hang", options.hang, "seconds of hang");
    CLI::App* cuts = verb("cuts", "which slips come out of which feathers", showCuts);
    CLI::Option* cutPattern = cuts->add_option("--pattern", options.pattern, "a dressing's id");
    cuts->add_option("--count", options.flies, "how many flies")->check(CLI::Range(1, kMostFlies))->needs(cutPattern);
    CLI::Option* cutList = cuts->add_option("--list", options.list, "a cut list's id")->excludes(cutPattern);
    cuts->add_flag("--halves", options.halves, "cut what can't come out whole as two, to be married");
    cuts->parse_complete_callback([cutPattern, cutList] {
        if (cutPattern->empty() && cutList->empty()) throw CLI::RequiredError("--pattern or --list");
    });
    CLI::App* steps = verb("steps", "how a dressing is tied, step by step", showSteps);
    steps->add_option("--pattern", options.pattern, "its id")->required();
    steps->add_option("--hook", options.hook, "on this hook instead of its own");
    steps->add_flag("--left", options.left, "for a left-handed tier");
    verb("order", "whether its parts stand in an order that can be tied", showOrder)
        ->add_option("--pattern", options.pattern, "its id")
        ->required();
    CLI::App* recipe = verb("recipe", "a printed recipe read as a dressing, with what it leaves open", showRecipe);
    recipe->add_option("--text", options.text, "the recipe's file; - for standard input")->required();
    recipe->add_option("--into", options.into, "write the book with the dressing in it: *.machair or *.machair.json");
    CLI::App* standIns = verb("standins", "what in the drawers could stand in for a material, and what that changes", showStandIns);
    standIns->add_option("--material", options.material, "its id")->required();
    CLI::Option* usedIn =
        standIns->add_option("--pattern", options.pattern, "a dressing that it is used in; its thread where no part is said");
    CLI::Option* usedPart =
        standIns->add_option("--part", options.part, "its place in parts, from 0")->check(CLI::Range(0, 1000))->needs(usedIn);
    standIns->parse_complete_callback([&options, usedPart] { options.partSaid = !usedPart->empty(); });
    CLI::App* card = verb("card", "a card at true scale, to lay feathers on", showCard);
    CLI::Option* cardPattern = card->add_option("--pattern", options.pattern, "its id");
    CLI::Option* cardRules =
        card->add_option("--rules", options.rules, "a rule card's id: a gauge of the longest fly that it allows")->excludes(cardPattern);
    card->parse_complete_callback([cardPattern, cardRules] {
        if (cardPattern->empty() && cardRules->empty()) throw CLI::RequiredError("--pattern or --rules");
    });
    card->add_option("--out", options.out, "*.pdf or *.svg")->required();
    verb("hand", "bias and spread of a hand, and where to aim", showHand);
    const auto asCsv = [&](CLI::App* sub, const char* help) { sub->add_flag("--csv", options.csv, help); };
    asCsv(verb("daybook", "fish a rod-hour by fly, position, depth, wave, light and month", showDaybook),
          "the days and catches as CSV instead");
    CLI::App* evening = verb("evening", "what the waiting batches take, and what fits", showEvening);
    CLI::Option* minutes = number(evening, "--minutes", options.minutes, "that there are");
    evening->add_option("--by", options.by, "the hour by which all is to be dry, as 22:30")->excludes(minutes);
    CLI::Option* calendar = evening->add_option("--out", options.out, "write the evening as iCalendar to this file");
    calendar->needs(evening->add_option("--start", options.start, "when it starts, as 2026-11-25T20:00"));
    verb("box", "the flies that are tied, and what to tie next", showBox)
        ->add_option("--month", options.month, "for which month, 1 to 12")
        ->check(CLI::Range(1, 12));
    asCsv(verb("buy", "what the waiting batches need, what runs out first and what to buy", showBuy), "the buying list as CSV instead");
    CLI::App* checked = verb("check", "one measure of a tied fly against the plan", showCheck);
    checked->add_option("--pattern", options.pattern, "its id")->required();
    checked->add_option("--part", options.part, "its place in parts, from 0")->required();
    checked->add_option("--figure", options.figure, "length_mm, fibre_mm, …")->required();
    checked->add_option("--mm", options.reading, "as measured")->required()->check(between(0.0, 1000.0));
    CLI::App* water = app.add_subcommand("water", "wave, drift and fullness for a wind");
    water->add_flag("--json", options.json, "one JSON object for programs");
    water->add_option("--wind", options.wind, "m/s")->required()->check(between(0.0, 60.0));
    water->add_option("--fetch", options.fetch, "open water upwind, m")->required()->check(between(0.0, 500000.0));
    water->add_flag("--drogue", options.drogue, "a drogue is out");
    light(water);
    water->callback([&options, &result] { result = showWater(options); });
    verb("validate", "every fault of a file, or that it is sound", validate);
    verb("convert", "the same book in another file", convert)->add_option("OUT", options.out, "*.machair or *.machair.json")->required();
    verb("rescue", "what can be read of a damaged book, into a new one", rescue)
        ->add_option("OUT", options.out, "*.machair or *.machair.json, which must not be there yet")
        ->required();
    verb("doctor", "a book's pages, records, references, sizes and copies", doctor);
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
    } catch (const machair::store::DiskError& error) {
        std::cerr << error.what() << "\n";
    } catch (const std::bad_alloc&) {
        std::cerr << "there is not enough memory for that\n";
    } catch (const std::exception& error) {
        std::cerr << "machair-cli could not do that (for its makers: " << error.what() << ")\n";
    }
    return kInputAtFault;
}
