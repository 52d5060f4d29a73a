#include "cli/verb.h"

#include <fstream>

#include "units/text.h"

namespace machair::cli {

void addHookVerb(CLI::App& app, int& result);
void addPlanVerb(CLI::App& app, int& result);
void addSinkVerb(CLI::App& app, int& result);
void addTeamVerb(CLI::App& app, int& result);
void addBalanceVerb(CLI::App& app, int& result);
void addChooseVerb(CLI::App& app, int& result);
void addDriftVerb(CLI::App& app, int& result);
void addCutsVerb(CLI::App& app, int& result);
void addStepsVerb(CLI::App& app, int& result);
void addOrderVerb(CLI::App& app, int& result);
void addRecipeVerb(CLI::App& app, int& result);
void addStandInsVerb(CLI::App& app, int& result);
void addCardVerb(CLI::App& app, int& result);
void addHandVerb(CLI::App& app, int& result);
void addDaybookVerb(CLI::App& app, int& result);
void addEveningVerb(CLI::App& app, int& result);
void addBoxVerb(CLI::App& app, int& result);
void addBuyVerb(CLI::App& app, int& result);
void addCheckVerb(CLI::App& app, int& result);
void addWaterVerb(CLI::App& app, int& result);
void addValidateVerb(CLI::App& app, int& result);
void addConvertVerb(CLI::App& app, int& result);
void addRescueVerb(CLI::App& app, int& result);
void addDoctorVerb(CLI::App& app, int& result);
void addIdsVerb(CLI::App& app, int& result);
void addSchemaVerb(CLI::App& app, int& result);

void addVerbs(CLI::App& app, int& result) {
    app.description("Machair: sizes traditional wet flies to the hook in the vice and weighs them as a team");
    app.require_subcommand(1);
    for (const auto add : {addHookVerb,    addPlanVerb,    addSinkVerb,   addTeamVerb,   addBalanceVerb,  addChooseVerb, addDriftVerb,
                           addCutsVerb,    addStepsVerb,   addOrderVerb,  addRecipeVerb, addStandInsVerb, addCardVerb,   addHandVerb,
                           addDaybookVerb, addEveningVerb, addBoxVerb,    addBuyVerb,    addCheckVerb,    addWaterVerb,  addValidateVerb,
                           addConvertVerb, addRescueVerb,  addDoctorVerb, addIdsVerb,    addSchemaVerb})
        add(app, result);
}

CLI::Validator between(double low, double high) {
    return CLI::Validator(
        [low, high](std::string& text) -> std::string {
            const auto value = parseNumber(text);
            if (value && *value >= low && *value <= high) return {};
            return "expected a number from " + formatShort(low, 2) + " to " + formatShort(high, 2) + ", got \"" + text + "\"";
        },
        "NUMBER");
}

CLI::Option* numberOption(CLI::App& verb, const char* name, double& value, const char* help) {
    return verb.add_option(name, value, help)->check(between(0.0, 100000.0));
}

CLI::Option* dressingOption(CLI::App& verb, std::string& id) { return verb.add_option("--pattern", id, "a dressing's id"); }

CLI::Option* celsiusOption(CLI::App& verb, std::optional<double>& celsius) {
    return verb.add_option("--celsius", celsius, "water temperature, 0 to 40 °C")->check(between(0.0, 40.0));
}

void oneOf(CLI::App& verb, const CLI::Option* one, const CLI::Option* other) {
    verb.parse_complete_callback([one, other] {
        if (one->empty() && other->empty()) throw CLI::RequiredError(one->get_name() + " or " + other->get_name());
    });
}

int refuse(const Faults& faults) {
    for (const Fault& fault : faults)
        std::cerr << fault.line() << "\n";
    return kInputAtFault;
}

namespace {

// A bench file from a stream, no more of it than a bench file may be.
Result<store::OpenedBench> benchOf(std::istream& in) {
    std::string text(store::kLargestBenchFile + 1, '\0');
    in.read(text.data(), static_cast<std::streamsize>(text.size()));
    text.resize(static_cast<std::size_t>(in.gcount()));
    if (text.size() > store::kLargestBenchFile)
        return fail(Place("-"), "expected a bench file of at most 64 MiB on standard input, got more");
    return store::readBench(text);
}

}  // namespace

Result<Book> bookOf(const std::string& file) {
    auto opened = file == "-" ? benchOf(std::cin) : store::readBook(file);
    if (!opened) return tl::unexpected(opened.error());
    for (const store::SetAside& aside : opened->setAside)
        std::cerr << "left out: " << aside.line() << "\n";
    for (const Fault& warning : opened->warnings)
        std::cerr << "warning: " << warning.line() << "\n";
    return std::move(opened->book);
}

bool isBookName(const std::string& path) { return path.ends_with(".machair") || path.ends_with(".machair.json"); }

int refuseName(const std::string& path) {
    std::cerr << path << ": expected a name that ends in .machair (a bench book) or .machair.json (a bench file)\n";
    return kWrongUsage;
}

int writeInto(const std::string& path, const Book& book) {
    if (!isBookName(path)) return refuseName(path);
    const Faults faults = store::writeBook(path, book);
    return faults.empty() ? int(kDone) : refuse(faults);
}

}  // namespace machair::cli
