// The census: each record and each key that the descriptions know is driven in the real window: made, changed, taken out, undone, and
// still so after a restart.
#include <QComboBox>
#include <QToolButton>
#include <map>
#include <set>

#include "book/describe.h"
#include "book/lists.h"
#include "drawers/census.h"
#include "drawers/drawers_station.h"
#include "parts/chooser.h"
#include "parts/record_sheet.h"
#include "tests/app/at.h"

using namespace machair;
using namespace machair::app;
using namespace machair::app::tests;

namespace {

// The keys of a record, and which of them are tables, as its description has them.
class Keys {
  public:
    std::set<std::string> fields, tables;
    template <class T>
    void operator()(const char* key, const T&, const Rule& = {}) {
        fields.insert(key);
    }
    template <class T>
    void operator()(const char* key, const std::optional<T>& member, const Rule& = {}) {
        if constexpr (std::same_as<T, HookMeasures> || std::same_as<T, LeaderSpec>) {
            Keys inner;
            describe(inner, std::as_const(*std::make_unique<T>()));
            for (const std::string& own : inner.fields)
                fields.insert(std::string(key) + "." + own);
        } else {
            (void)member;
            fields.insert(key);
        }
    }
    template <TableRow T>
    void operator()(const char* key, const std::vector<T>&, const Rule& = {}) {
        tables.insert(key);
    }
    template <class T>
    void operator()(const char* key, const std::vector<T>&, const Rule& = {}) {
        fields.insert(key);
    }
    template <class Kind, class Variant>
    void byKind(Kind, const Variant& member, Variant (*)(Kind)) {
        std::visit([this](const auto& alternative) { describe(*this, alternative); }, member);
    }
    void rest(const Carried&) {}
};

// A bench whose book has at least one record of every list and of every kind of material.
class Census : public At {
  public:
    Census() : At(Station::drawers) {
        for (const ListName& name : listNames())
            if (idsIn(book(), name.list).empty()) make(name.list, "");
        for (const auto& kind : Names<MaterialKind>::entries)
            if (std::ranges::find(book().materials, kind.value, &Material::kind) == book().materials.end()) make("materials", kind.name);
        make("rule_cards", "");
    }
    const Book& book() { return document().book(); }
    void show(const RecordId& record) {
        window().drawers().show(record);
        QApplication::processEvents();
    }
    // Another value through the editor that stands there; whether it took.
    bool change(const std::string& key) {
        const Book before = book();
        auto* editor = window().drawers().findChild<QWidget*>(QStringLiteral("record-") + qt(key));
        if (!editor) return false;
        if (auto* line = qobject_cast<QLineEdit*>(editor)) {
            for (const char* text : {"7", "6", "15", "0.5", "2", "1", "0.2", "2026-05-03", "#123456", "5, 6, 7", "0 to 3", "palmer", "13",
                                     "in words", "noodle 10 0.9"}) {
                if (line->text() == QLatin1String(text)) continue;
                line->setFocus();
                line->selectAll();
                QTest::keyClicks(line, QString::fromLatin1(text));
                QTest::keyClick(line, Qt::Key_Return);
                if (!(book() == before)) return true;
            }
            return false;
        }
        if (auto* box = qobject_cast<QComboBox*>(editor)) {
            for (int i = 0; i < box->count(); ++i) {
                if (i == box->currentIndex()) continue;
                box->setCurrentIndex(i);
                emit box->activated(i);
                if (!(book() == before)) return true;
            }
            return false;
        }
        QTest::mouseClick(editor, Qt::LeftButton);
        auto* tray = window().findChild<Tray*>(QStringLiteral("chooser-tray"));
        if (!tray) return false;
        const int last = tray->model()->rowCount() - 1;
        const int other = tray->currentIndex().row() == last ? 0 : last;
        if (last < 1) {
            auto* nothing = window().findChild<QToolButton*>(QStringLiteral("chooser-nothing"));
            if (nothing)
                QTest::mouseClick(nothing, Qt::LeftButton);
            else
                QTest::keyClick(tray, Qt::Key_Return);
        } else {
            tray->setCurrentIndex(tray->model()->index(other, 0));
            QTest::keyClick(tray, Qt::Key_Return);
        }
        return !(book() == before);
    }

  private:
    void make(std::string_view list, std::string_view about) {
        const auto made = addRecord(book(), list, about);
        REQUIRE(made);
        REQUIRE(document().apply(made->edit).empty());
    }
};

}  // namespace

TEST_CASE("every key of every record has a place in the window, and is changed there, undone, and kept") {
    Census bench;
    std::size_t driven = 0, elsewhere = 0;
    std::vector<RecordId> records;
    eachList([&](const char* list, auto own) {
        if (std::string_view(list) != "materials") return records.push_back({list, (bench.book().*own).front().id});
        for (const auto& kind : Names<MaterialKind>::entries)
            records.push_back({"materials", std::ranges::find(bench.book().materials, kind.value, &Material::kind)->id});
    });
    for (const RecordId& record : records) {
        Keys keys;
        (void)visitRecord(bench.book(), record.list, record.id, [&](auto, const auto& own, std::size_t) { describe(keys, own); });
        bench.show(record);
        const auto tables = tablesOf(bench.book(), record);
        for (const std::string& table : keys.tables) {
            INFO(record.list << "." << table);
            CHECK(std::ranges::any_of(tables, [&](const RecordTable& t) { return t.key == table; }));
            CHECK(bench.window().drawers().findChild<QToolButton*>(QStringLiteral("add-") + qt(table)));
        }
        for (const std::string& key : keys.fields) {
            INFO(record.list << "." << key << " of " << record.id);
            if (isMadeWithIt(record.list, key)) continue;
            const auto place = placeOf(record.list, key);
            REQUIRE(place);
            if (place->station != Station::drawers) {
                bench.window().showStation(place->station);
                CHECK(bench.window().findChild<QWidget*>(qt(place->widget)));
                bench.window().showStation(Station::drawers);
                ++elsewhere;
                continue;
            }
            const Book before = bench.book();
            bench.show(record);
            const bool changed = bench.change(key);
            CHECK(changed);
            if (!changed) continue;
            bench.document().undoStack().undo();
            CHECK(bench.book() == before);
            ++driven;
        }
    }
    CHECK(driven > 200);
    CHECK(elsewhere >= 5);
}

TEST_CASE("a record of every list is made in its tray, taken out, brought back, and still there after a restart") {
    Census bench;
    for (const DrawerName& drawer : drawers()) {
        if (std::string_view(drawer.list) == "materials" || drawer.drawer == Drawer::mishaps || drawer.drawer == Drawer::dressings)
            continue;
        INFO(drawer.list);
        bench.window().drawers().open(drawer.drawer);
        QApplication::processEvents();
        const Book before = bench.book();
        bench.click("drawer-new");
        CHECK(idsIn(bench.book(), drawer.list).size() == idsIn(before, drawer.list).size() + 1);
        const Book with = bench.book();
        bench.click("drawer-out");
        CHECK(bench.book() == before);
        bench.document().undoStack().undo();
        CHECK(bench.book() == with);
    }
    const Book made = bench.book();
    bench.restart();
    CHECK(bench.book() == made);
}
