// daybook: what was caught, by one thing at a time.
#include "cli/report.h"
#include "cli/verb.h"
#include "daybook/rates.h"
#include "leader/exposure.h"
#include "store/csv.h"
#include "units/text.h"

namespace machair::cli {

namespace {

Json rateReport(const Rate& rate) {
    return {{"name", rate.name}, {"fish", rate.fish}, {"hours", rate.hours}, {"rate", rate.mean()}, {"low", rate.low}, {"high", rate.high}};
}
std::string rateText(const Rate& rate, const std::string& hours) {
    return "  " + rate.name + ": " + formatNumber(rate.mean(), 2) + " (" + formatNumber(rate.low, 2) + " to " + formatNumber(rate.high, 2) +
           "), " + formatShort(rate.fish, 0) + " fish in " + hours + " h";
}

struct DaybookVerb : OnBook {
    static constexpr const char* kName = "daybook";
    static constexpr const char* kHelp = "fish a rod-hour by fly, position, depth, wave, light and month";
    static constexpr const char* kExample = "machair-cli daybook skerrin.machair";

    bool csv = false;

    void arguments(CLI::App& verb) { verb.add_flag("--csv", csv, "the days and catches as CSV instead"); }
    [[nodiscard]] int run() const {
        return withBook(*this, [&](const Book& book) {
            if (csv) {
                std::cout << store::daysToCsv(book);
                return 0;
            }
            Json factors = Json::object();
            std::string text =
                std::to_string(book.days.size()) + " days. Fish a rod-hour, with the middle four fifths of what it may be:\n";
            for (const auto& entry : Names<Factor>::entries) {
                Json cells = Json::array();
                text += std::string(entry.name) + ":\n";
                const auto rates = ratesBy(book, entry.value);
                for (const Rate& rate : rates) {
                    const bool told = &rate == &rates.front() || enoughToTell(rates.front(), rate);
                    Json cell = rateReport(rate);
                    cell["fished"] = rate.fished;
                    cell["told_from_best"] = told && &rate != &rates.front();
                    cells.push_back(std::move(cell));
                    text += rateText(rate, formatShort(rate.hours, 1)) + (told ? "" : ", not enough to tell from the best") + "\n";
                }
                factors[std::string(entry.name)] = std::move(cells);
            }
            Json depth = Json::array();
            text += "depth (only fish whose depth was written down):\n";
            for (const Rate& rate : ratesByDepth(book, DepthExposure(book))) {
                depth.push_back(rateReport(rate));
                text += rateText(rate, formatNumber(rate.hours, 1)) + "\n";
            }
            factors["depth"] = std::move(depth);
            return print(*this, {{"days", book.days.size()}, {"factors", factors}}, text);
        });
    }
};

}  // namespace

void addDaybookVerb(CLI::App& app, int& result) { addVerb<DaybookVerb>(app, result); }

}  // namespace machair::cli
