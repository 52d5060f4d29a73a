// What can be saved of a damaged book, and what there is to say of a sound one.
#include <SQLiteCpp/Statement.h>

#include <algorithm>
#include <map>

#include "book/lists.h"
#include "language/say.h"
#include "sizing/plan.h"
#include "store/bench_book.h"
#include "store/book_rows.h"
#include "store/book_schema.h"
#include "store/copies.h"
#include "store/json_parse.h"
#include "store/page_scan.h"
#include "store/records.h"

namespace machair::store {

namespace {

using Rows = std::map<std::pair<std::string, std::string>, StoredRow>;  // by list and id

// The rows of a list as far as its tree can be walked, from one end and from the other.
void walk(SQLite::Database& database, const std::string& list, Rows& rows, std::vector<std::string>& said) {
    bool broken = false;
    for (const char* order : {"ASC", "DESC"}) {
        try {
            SQLite::Statement all(database, "SELECT * FROM " + list + " ORDER BY rowid " + order);
            while (all.executeStep()) {
                StoredRow row;
                row.list = list;
                for (int c = 0; c < all.getColumnCount(); ++c) {
                    const std::string name = all.getColumnName(c);
                    if (name == "id") row.id = all.getColumn(c).getString();
                    if (name == "place") row.place = all.getColumn(c).getInt64();
                    if (name == "record") row.text = all.getColumn(c).getString();
                    if (name == "sum" && !all.getColumn(c).isNull()) row.sum = all.getColumn(c).getInt64();
                }
                if (!row.id.empty()) rows.try_emplace({list, row.id}, row);
            }
            if (!broken) return;  // the whole of it, at the first going
        } catch (const SQLite::Exception&) {
            broken = true;
        }
    }
    if (broken) said.push_back(say("{}: its pages do not hold together; taken as far as they do", list));
}

template <class Record>
void intoList(const std::string& name, const Rows& rows, std::vector<Record>& list, std::vector<std::string>& said) {
    std::vector<const StoredRow*> own;
    for (const auto& [key, row] : rows)
        if (key.first == name) own.push_back(&row);
    std::ranges::stable_sort(own, {}, [](const StoredRow* row) { return row->place; });
    std::vector<std::string> texts;
    for (const StoredRow* row : own)
        texts.push_back(row->text);
    ReadRecords<Record> read = readRecords<Record>(name, texts);
    for (std::size_t i = 0; i < own.size(); ++i) {
        if (const auto spoilt = read.spoilt.find(i); spoilt != read.spoilt.end())
            said.push_back(say("{}.{}: lost; ", name, own[i]->id) + spoilt->second.front().what);
        else if (!own[i]->sound())
            said.push_back(say("{}.{}: lost; it is not what was written, its checksum differs", name, own[i]->id));
        else
            list.push_back(std::move(read.records[i]));
    }
}

// What goes into the new book, and what is said of it.
Rescued rescuedAs(OpenedBench found, std::vector<std::string> said) {
    setAsideUnsound(found);
    for (const SetAside& aside : found.setAside)
        said.push_back(say("{}: left out", aside.line()));
    eachList([&](const char* name, auto list) {
        if (const std::size_t count = (found.book.*list).size(); count > 0)
            said.push_back(say("{}: {} taken", std::string(name), std::to_string(count)));
    });
    return {std::move(found.book), std::move(said)};
}

Rescued rescuedFrom(const std::filesystem::path& path, const std::string& bytes) {
    std::vector<std::string> said;
    Rows rows;
    try {
        GuardedDatabase database(path, GuardedDatabase::Mode::readOnly);
        eachList([&](const char* name, auto) { walk(*database, name, rows, said); });
    } catch (const SQLite::Exception& error) {
        said.push_back(say("{}: as a database {}; its bytes are looked through", path.string(), inWords(error)));
    }
    std::size_t found = 0;
    for (StoredRow& row : rowsInPages(bytes)) {
        const auto there = rows.find({row.list, row.id});
        if (there != rows.end() && there->second.sound()) continue;
        ++found;
        rows.insert_or_assign({row.list, row.id}, std::move(row));
    }
    if (found > 0)
        said.push_back(
            say("{} records found in the file's bytes; one that was taken out long ago may be among them", std::to_string(found)));
    OpenedBench opened;
    eachList([&](const char* name, auto list) { intoList(name, rows, opened.book.*list, said); });
    return rescuedAs(std::move(opened), std::move(said));
}

Result<Rescued> rescuedFile(const std::string& text) {
    const Result<Json> document = parseJson(text);
    if (!document) return tl::unexpected(document.error());
    if (!document->is_object()) return fail(Place("line 1, column 1"), say("expected an object in { }"));
    std::vector<std::string> said;
    OpenedBench opened;
    eachList([&]<class Record>(const char* name, std::vector<Record> Book::*list) {
        const auto array = document->find(name);
        if (array == document->end() || !array->is_array()) return;
        std::vector<std::string> texts;
        for (const Json& record : *array)
            texts.push_back(record.dump());
        ReadRecords<Record> read = readRecords<Record>(name, texts);
        for (std::size_t i = 0; i < texts.size(); ++i) {
            const auto spoilt = read.spoilt.find(i);
            if (spoilt == read.spoilt.end())
                (opened.book.*list).push_back(std::move(read.records[i]));
            else
                for (const Fault& fault : spoilt->second)
                    said.push_back(say("{}: lost", fault.line()));
        }
    });
    return rescuedAs(std::move(opened), std::move(said));
}

}  // namespace

Result<Rescued> rescueBook(const std::filesystem::path& path) {
    const Result<std::string> bytes = readWhole(path, kLargestBook);
    if (!bytes) return tl::unexpected(bytes.error());
    const auto first = bytes->find_first_not_of(" \t\r\n\xef\xbb\xbf");
    if (first != std::string::npos && (*bytes)[first] == '{') return rescuedFile(*bytes);
    return rescuedFrom(path, *bytes);
}

BookReport examineBook(const std::filesystem::path& path) {
    BookReport report;
    const auto opened = openHome(path, Access::readOnly);
    if (!opened) {
        report.faults = opened.error();
    } else if (const auto read = (*opened)->read(); !read) {
        report.faults = read.error();
    } else {
        for (const SetAside& aside : read->setAside)
            append(report.faults, aside.why);
        append(report.faults, checkWithPlans(read->book));
        for (const Fault& warning : read->warnings)
            report.notes.push_back(warning.line());
        eachList([&](const char* name, auto list) {
            report.notes.push_back(std::string(name) + ": " + std::to_string((read->book.*list).size()));
        });
    }
    report.notes.push_back(say("bytes: {}", std::to_string(stampOf(path).size)));
    if (const off_t log = stampOf(path.string() + "-wal").size; log > 0)
        report.notes.push_back(say("log beside it: {} bytes", std::to_string(log)));
    const std::vector<Copy> copies = copiesOf(path);
    for (const Copy& copy : copies)
        report.notes.push_back(say("copy of {}: {}", sayTime(copy.made), copy.path.string()));
    if (copies.empty()) report.notes.push_back(say("no copy was made yet: one is, before the first edit of a session"));
    return report;
}

}  // namespace machair::store
