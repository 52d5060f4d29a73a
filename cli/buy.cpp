// buy: what the waiting batches need.
#include "cli/report.h"
#include "cli/verb.h"
#include "cutting/stock.h"
#include "store/csv.h"

namespace machair::cli {

namespace {

struct BuyVerb : OnBook {
    static constexpr const char* kName = "buy";
    static constexpr const char* kHelp = "what the waiting batches need, what runs out first and what to buy";
    static constexpr const char* kExample = "machair-cli buy skerrin.machair";

    bool csv = false;

    void arguments(CLI::App& verb) { verb.add_flag("--csv", csv, "the buying list as CSV instead"); }
    [[nodiscard]] int run() const {
        return withBook(*this, [&](const Book& book) {
            const auto wanted = stockWanted(book);
            if (!wanted) return refuse(wanted.error());
            Json list = Json::array();
            std::vector<store::CsvRow> rows = {{"material", "name", "has", "wants", "buy", "runs_out_in", "buy_by"}};
            std::string text;
            for (const StockWanted& row : *wanted) {
                Json one = {{"material", row.title}, {"id", row.material}, {"has", row.has},
                            {"wants", row.wants},    {"buy", row.buy},     {"uses", row.uses}};
                if (row.lasts) one["lasts"] = *row.lasts;
                if (row.runsOutIn) one["runs_out_in"] = *row.runsOutIn;
                if (row.buyBy) one["buy_by"] = *row.buyBy;
                list.push_back(std::move(one));
                rows.push_back({row.material, row.title, row.has, row.wants, row.buy, row.runsOutIn.value_or(""), row.buyBy.value_or("")});
                text += row.title + ": " + row.wants + " wanted, " + row.has +
                        (row.runsOutIn ? "; runs out in " + *row.runsOutIn + ", buy " + row.buy + (row.buyBy ? " before " + *row.buyBy : "")
                                       : "") +
                        "\n";
                for (const std::string& use : row.uses)
                    text += "  " + use + "\n";
            }
            if (csv) {
                std::cout << store::writeCsv(rows);
                return 0;
            }
            return print(*this, {{"materials", list}}, text.empty() ? "No batch is waiting.\n" : text);
        });
    }
};

}  // namespace

void addBuyVerb(CLI::App& app, int& result) { addVerb<BuyVerb>(app, result); }

}  // namespace machair::cli
