// validate and convert: whole files.
#include <algorithm>

#include "cli/verbs.h"
#include "store/bench_book.h"

namespace machair::cli {

int validate(const Options& options) {
    return withBook(options, [&](const Book& book) {
        if (const Faults faults = checkWithPlans(book); !faults.empty()) return refuse(faults);  // a book is read without its plans
        const Json counts = {{"valid", true},
                             {"hooks", book.hooks.size()},
                             {"materials", book.materials.size()},
                             {"patterns", book.patterns.size()},
                             {"teams", book.teams.size()}};
        const std::string text = options.file + ": sound. " + std::to_string(book.hooks.size()) + " hooks, " +
                                 std::to_string(book.materials.size()) + " materials, " + std::to_string(book.patterns.size()) +
                                 " dressings, " + std::to_string(book.teams.size()) + " teams\n";
        return print(options, counts, text);
    });
}

int rescue(const Options& options) {
    if (store::stampOf(options.out).inode != 0) {
        std::cerr << options.out << ": is there already; rescue writes to a new file only\n";
        return kWrongUsage;
    }
    const auto rescued = store::rescueBook(options.file);
    if (!rescued) return refuse(rescued.error());
    if (const Faults faults = store::writeBook(options.out, rescued->book); !faults.empty()) return refuse(faults);
    std::string text;
    for (const std::string& line : rescued->said)
        text += line + "\n";
    return print(options, {{"said", rescued->said}, {"out", options.out}}, text + "what could be read is in " + options.out + "\n");
}

int doctor(const Options& options) {
    const store::BookReport report = store::examineBook(options.file);
    Json faults = Json::array();
    std::string text;
    for (const Fault& fault : report.faults) {
        faults.push_back({{"place", fault.place.text()}, {"words", fault.what}});
        text += fault.line() + "\n";
    }
    for (const std::string& note : report.notes)
        text += note + "\n";
    print(options, {{"sound", report.faults.empty()}, {"faults", faults}, {"notes", report.notes}},
          options.file + (report.faults.empty() ? ": sound\n" : ": not sound\n") + text);
    return report.faults.empty() ? kDone : kInputAtFault;
}

namespace {
bool isBookName(const std::string& path) { return path.ends_with(".machair") || path.ends_with(".machair.json"); }

int refuseName(const std::string& path) {
    std::cerr << path << ": expected a name that ends in .machair (a bench book) or .machair.json (a bench file)\n";
    return kWrongUsage;
}
}  // namespace

int writeInto(const std::string& path, const Book& book) {
    if (!isBookName(path)) return refuseName(path);
    const Faults faults = store::writeBook(path, book);
    return faults.empty() ? int(kDone) : refuse(faults);
}

int convert(const Options& options) {
    if (!isBookName(options.out)) return refuseName(options.out);
    return withBook(options, [&](const Book& book) { return writeInto(options.out, book); });
}

}  // namespace machair::cli
