// doctor: whether a book is whole.
#include "cli/report.h"
#include "cli/verb.h"
#include "store/bench_book.h"

namespace machair::cli {

namespace {

struct DoctorVerb : OnBook {
    static constexpr const char* kName = "doctor";
    static constexpr const char* kHelp = "a book's pages, records, references, sizes and copies";
    static constexpr const char* kExample = "machair-cli doctor skerrin.machair";

    [[nodiscard]] int run() const {
        const store::BookReport report = store::examineBook(file);
        Json faults = Json::array();
        std::string text;
        for (const Fault& fault : report.faults) {
            faults.push_back({{"place", fault.place.text()}, {"words", fault.what}});
            text += fault.line() + "\n";
        }
        for (const std::string& note : report.notes)
            text += note + "\n";
        const int shown = print(*this, {{"sound", report.faults.empty()}, {"faults", faults}, {"notes", report.notes}},
                                file + (report.faults.empty() ? ": sound\n" : ": not sound\n") + text);
        return report.faults.empty() ? shown : int(kInputAtFault);
    }
};

}  // namespace

void addDoctorVerb(CLI::App& app, int& result) { addVerb<DoctorVerb>(app, result); }

}  // namespace machair::cli
