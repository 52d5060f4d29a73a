// What the verbs of the command line have in common, and where each is.
#pragma once

#include <iostream>
#include <string>

#include "cli/report.h"
#include "store/home.h"

namespace machair::cli {

enum Exit { kDone = 0, kInputAtFault = 1, kWrongUsage = 2 };

struct Options {
    std::string file;
    std::string hook;
    std::string pattern;
    std::string team;
    std::string out;
    std::string list;
    std::string water;
    std::string school;
    std::string rules;
    bool halves = false;
    std::vector<std::string> include;
    std::vector<std::string> avoid;
    int flies = 1;
    int size = 0;  // of hook, to plan on; 0 the dressing's own
    double celsius = kUsualCelsius;
    double wind = 0.0;   // m/s
    double fetch = 0.0;  // m
    bool drogue = false;
    double count = 0.0;     // s
    double retrieve = 0.0;  // m/s
    double retrieveFor = 0.0;
    double pull = 0.0;
    double pause = 0.0;
    double drift = 0.0;
    double lift = 0.0;
    double height = 0.0;  // m
    double elevation = 60.0;
    double hang = 0.0;
    double hold = 0.0;
    double draw = 0.0;
    bool windSaid = false;
    bool monthSaid = false;
    std::string light;
    std::string colour;
    std::string place;     // of a team, to rank flies for
    bool daybook = false;  // with what the days give back
    int part = 0;
    bool partSaid = false;
    bool left = false;  // for a left-handed tier
    std::string material;
    std::string text;  // of a recipe: a path, "-" for standard input
    std::string into;  // where a recipe's dressing is written to
    std::string figure;
    double reading = 0.0;  // mm
    double minutes = 0.0;
    std::string by;     // 22:30
    std::string start;  // of an evening, 2026-11-25T20:00
    int month = 5;
    bool csv = false;
    bool json = false;
};

inline int refuse(const Faults& faults) {
    for (const Fault& fault : faults)
        std::cerr << fault.line() << "\n";
    return kInputAtFault;
}

inline int print(const Options& options, const Json& json, const std::string& text) {
    std::cout << (options.json ? json.dump(2) + "\n" : text);
    return kDone;
}

// Opens the file and hands its book on; unknown keys are warned of.
template <class Work>
int withBook(const Options& options, Work work) {
    const auto opened = store::readBook(options.file);
    if (!opened) return refuse(opened.error());
    for (const store::SetAside& aside : opened->setAside)
        std::cerr << "left out: " << aside.line() << "\n";
    for (const Fault& warning : opened->warnings)
        std::cerr << "warning: " << warning.line() << "\n";
    return work(opened->book);
}

int showHook(const Options& options);
int showPlan(const Options& options);
int showSink(const Options& options);
int showTeam(const Options& options);
int showBalance(const Options& options);
int showChoose(const Options& options);
int showWater(const Options& options);
int showDrift(const Options& options);
int showHand(const Options& options);
int showDaybook(const Options& options);
int showEvening(const Options& options);
int showBox(const Options& options);
int showBuy(const Options& options);
int showCheck(const Options& options);
int showCard(const Options& options);
int showCuts(const Options& options);
int showSteps(const Options& options);
int showOrder(const Options& options);
int showRecipe(const Options& options);
int showStandIns(const Options& options);
// A book written where the ending says which; 0, or how it failed, said on standard error.
int writeInto(const std::string& path, const Book& book);
int validate(const Options& options);
int convert(const Options& options);
int rescue(const Options& options);
int doctor(const Options& options);

}  // namespace machair::cli
