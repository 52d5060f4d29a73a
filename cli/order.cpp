// order: whether the parts of a dressing can be tied as they stand.
#include "bench/order.h"
#include "cli/report.h"
#include "cli/verb.h"

namespace machair::cli {

namespace {

struct OrderVerb : OnBook {
    static constexpr const char* kName = "order";
    static constexpr const char* kHelp = "whether its parts stand in an order that can be tied";
    static constexpr const char* kExample = "machair-cli order skerrin.machair --pattern kelp-lantern";

    std::string dressing;

    void arguments(CLI::App& verb) { dressingOption(verb, dressing)->required(); }
    [[nodiscard]] int run() const {
        return withBook(*this, [&](const Book& book) {
            const auto plan = planWhatCan(book, DressingId(dressing));
            if (!plan) return refuse(plan.error());
            Json json = {{"pattern", dressing}, {"faults", Json::array()}};
            std::string text;
            const auto name = [&](std::size_t part) { return std::string(nameOf(plan->parts[part].kind)); };
            for (const OrderFault& fault : orderFaults(*plan)) {
                json["faults"].push_back({{"first", name(fault.first)},
                                          {"first_part", fault.first},
                                          {"then", name(fault.then)},
                                          {"then_part", fault.then},
                                          {"because", fault.because},
                                          {"mend", fault.mend}});
                text += fault.because + ": " + fault.mend + "\n";
            }
            return print(*this, json, text.empty() ? "the order is sound\n" : text);
        });
    }
};

}  // namespace

void addOrderVerb(CLI::App& app, int& result) { addVerb<OrderVerb>(app, result); }

}  // namespace machair::cli
