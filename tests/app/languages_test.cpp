// Every word of the window comes from its language: a made-up one, accented and two fifths longer, shows what doesn't, and what
// has no room for it; French is spoken from end to end.
#include <QBuffer>
#include <QDir>
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>
#include <QRegularExpression>
#include <QSvgGenerator>
#include <QTranslator>
#include <map>
#include <set>

#include "asking/asking.h"
#include "asking/day.h"
#include "bench/durability.h"
#include "bench/order.h"
#include "bench/steps.h"
#include "book/edits.h"
#include "book/fields.h"
#include "book/records.h"
#include "book/spec_words.h"
#include "book/team_edits.h"
#include "cutting/laying_out.h"
#include "daybook/days_in.h"
#include "frame/guide_view.h"
#include "frame/house.h"
#include "frame/language.h"
#include "language/say.h"
#include "parts/dates.h"
#include "parts/lengths.h"
#include "plan/part_row.h"
#include "sizing/mending.h"
#include "sizing/sizes.h"
#include "store/bench_file.h"
#include "store/csv.h"
#include "store/recipe.h"
#include "tests/app/room.h"
#include "tests/app/window.h"
#include "tie/mishap_cards.h"

using namespace machair;
using namespace machair::app;
using machair::app::tests::Bench;

namespace {

// "Keep a copy" is "Kéép á çópý ~~~~": no vowel is left as it was, gaps and shortcuts stay.
QString madeUp(const QString& words) {
    static const std::map<QChar, char16_t> kAccented = {{u'a', u'á'}, {u'e', u'é'}, {u'i', u'í'}, {u'o', u'ó'}, {u'u', u'ú'},
                                                        {u'A', u'Á'}, {u'E', u'É'}, {u'I', u'Í'}, {u'O', u'Ó'}, {u'U', u'Ú'}};
    QString made;
    qsizetype letters = 0;
    bool mark = false;  // within <br>
    for (const QChar c : words) {
        if (c == u'<') mark = true;
        const auto found = kAccented.find(c);
        made += found != kAccented.end() && !mark ? QChar(found->second) : c;
        letters += c.isLetter() && !mark ? 1 : 0;
        if (c == u'>') mark = false;
    }
    const qsizetype longer = (2 * letters + 4) / 5;
    qsizetype end = made.size();
    while (end > 0 && made[end - 1].isSpace())
        --end;
    for (qsizetype i = 0; i < longer && end > 0; ++i)
        made.insert(end++, i % 7 == 0 && longer > 7 ? u' ' : u'~');
    return made;
}

class MadeUpWindow : public QTranslator {
  public:
    [[nodiscard]] bool isEmpty() const override { return false; }
    [[nodiscard]] QString translate(const char*, const char* words, const char*, int) const override {
        const QString all = QString::fromUtf8(words);
        return all.contains(QStringLiteral(";;")) ? all : madeUp(all);  // a file dialog's filters
    }
};

class MadeUpCore : public Language {
  public:
    [[nodiscard]] std::string said(const std::string& english) const override {
        return madeUp(QString::fromStdString(english)).toStdString();
    }
    [[nodiscard]] std::string said(const std::string& one, const std::string& many, double number) const override {
        return said(number == 1.0 ? one : many);
    }
    [[nodiscard]] char point() const override { return ','; }
};

class Speaking {
  public:
    Speaking() {
        QLocale::setDefault(QLocale(QLocale::German));  // whose numbers have a comma
        QApplication::installTranslator(&window_);
        sayEverythingIn(std::make_shared<MadeUpCore>());
    }
    ~Speaking() {
        QLocale::setDefault(before_);
        sayEverythingIn(nullptr);
        QApplication::removeTranslator(&window_);
    }
    Speaking(const Speaking&) = delete;
    Speaking& operator=(const Speaking&) = delete;

  private:
    MadeUpWindow window_;
    QLocale before_;
};

// All that stands on it, painted or not: what a drawing of it writes.
QStringList wordsOn(QWidget& widget) {
    QBuffer drawn;
    QSvgGenerator paper;
    paper.setOutputDevice(&drawn);
    paper.setSize(widget.size());
    widget.render(&paper);
    QStringList words;
    static const QRegularExpression kText(QStringLiteral("<text[^>]*>([^<]*)</text>"));
    for (auto found = kText.globalMatch(QString::fromUtf8(drawn.data())); found.hasNext();)
        words << found.next().captured(1);
    return words;
}

// A word of two letters and more that no accent was put on, and that isn't the book's own.
QStringList unsaidIn(const QStringList& texts, const QString& own) {
    static const QRegularExpression kWord(QStringLiteral("(?<![\\p{L}~])[A-Za-z]*[aeiouAEIOU][A-Za-z]*(?![\\p{L}~…])"));
    QStringList left;
    for (const QString& text : texts)
        for (auto found = kWord.globalMatch(text); found.hasNext();) {
            const QString word = found.next().captured(0);
            if (!left.isEmpty() && left.back().endsWith(QStringLiteral(" in: ") + text)) break;  // one of each is enough
            if (word.size() >= 2 && !own.contains(QLatin1Char(' ') + word.toLower() + QLatin1Char(' ')))
                left << word + QStringLiteral(" in: ") + text;
        }
    left.removeDuplicates();
    return left;
}

// The names, notes and ids of a book, which are shown as they were written; not its keys and choices ("wide_gape").
void gather(const QJsonValue& value, QString& words) {
    if (value.isObject())
        for (const QJsonValue& one : value.toObject())
            gather(one, words);
    for (const QJsonValue& one : value.toArray())
        gather(one, words);
    static const QRegularExpression kOwn(QStringLiteral("[A-Z -]")), kBetween(QStringLiteral("[^a-z]+"));
    if (const QString text = value.toString(); text.contains(kOwn))
        words += text.toLower().replace(kBetween, QStringLiteral(" ")) + QLatin1Char(' ');
}
QString wordsOf(const QString& path) {
    QFile file(path);
    REQUIRE(file.open(QIODevice::ReadOnly));
    QString words(QLatin1Char(' '));
    gather(QJsonDocument::fromJson(file.readAll()).object(), words);
    for (int month = 1; month <= 12; ++month)  // as the system's calendar has them
        words += QLocale().standaloneMonthName(month).toLower() + QLatin1Char(' ') +
                 QLocale().standaloneMonthName(month).left(3).toLower() + QLatin1Char(' ') +
                 QLocale().monthName(month, QLocale::ShortFormat).remove(QLatin1Char('.')).toLower() + QLatin1Char(' ');
    return words;
}

// Days as the book has them, which are shown as the language writes them.
QStringList keptDatesIn(const QStringList& texts) {
    static const QRegularExpression kKept(QStringLiteral(".{0,30}\\d{4}-\\d\\d-\\d\\d"));
    QStringList kept;
    for (const QString& text : texts)
        if (const auto found = kKept.match(text); found.hasMatch()) kept << found.captured(0);
    kept.removeDuplicates();
    return kept;
}

// What is said of a widget where it isn't written on it.
QStringList saidOf(const QWidget& window) {
    QStringList all;
    for (const QWidget* widget : window.findChildren<QWidget*>())
        if (widget->isVisible()) all << widget->toolTip() << widget->accessibleName() << widget->accessibleDescription();
    return all;
}

}  // namespace

TEST_CASE("every station says all of it in the language of the window") {
    loadFace();
    const Speaking madeUpOnes;
    Bench bench;
    bench.window().resize(1600, 1000);
    QString own = wordsOf(bench.file()) + QStringLiteral(" machair loch skerrin json geojson icalendar ctrl alt esc ");
    QStringList all, shown;
    for (const auto& entry : Names<Station>::entries) {
        bench.window().showStation(entry.value);
        QTest::qWait(300);
        const QString name = QString::fromUtf8(entry.name.data(), static_cast<qsizetype>(entry.name.size()));
        const QStringList here = wordsOn(bench.window()) + saidOf(bench.window());
        shown += here;
        for (const QString& one : unsaidIn(here, own))
            all << name + QStringLiteral(": ") + one;
    }
    INFO(all.join(QLatin1Char('\n')).toStdString());
    CHECK(all.isEmpty());
    // A number with an English point; not that of a file's name.
    static const QRegularExpression kPoint(QStringLiteral("[^\n]{0,30}(?<![\\w.])\\d+\\.\\d+(?![\\w.])"));
    QStringList pointed;
    for (const QString& one : shown)
        if (const auto found = kPoint.match(one); found.hasMatch()) pointed << found.captured(0);
    pointed.removeDuplicates();
    CHECK(pointed.join(QLatin1Char('\n')) == QString());
    CHECK(keptDatesIn(shown).join(QLatin1Char('\n')) == QString());
}

TEST_CASE("sheets, menus, open rows and the things of every drawer say all of it in the language of the window") {
    loadFace();
    const Speaking madeUpOnes;
    Bench bench;
    bench.window().resize(1600, 1000);
    const QString own = wordsOf(bench.file()) + QStringLiteral(" machair loch skerrin json geojson icalendar ctrl alt esc english ");
    QStringList all;
    const auto look = [&](const QString& where) {
        QTest::qWait(50);
        const QStringList here = wordsOn(bench.window()) + saidOf(bench.window());
        for (const QString& one : unsaidIn(here, own) + keptDatesIn(here))
            all << where + QStringLiteral(": ") + one;
    };
    for (const char* kind : {"row-0", "row-1", "row-2", "row-3", "row-4", "row-5"}) {
        auto* row = bench.window().findChild<PartRow*>(QString::fromLatin1(kind));
        if (!row) continue;
        bench.document().choosePart(row->part());
        if (auto* fields = row->findChild<QToolButton*>(QStringLiteral("more-%1").arg(row->part())); fields) fields->click();
        look(QStringLiteral("Plan, ") + QString::fromLatin1(kind));
    }
    for (const char* fold : {"dressing", "schools"})
        if (auto* folded = bench.window().findChild<QToolButton*>(QStringLiteral("fold-") + QString::fromLatin1(fold))) folded->click();
    look(QStringLiteral("Plan, folded"));
    bench.find<House>("house")->open();
    look(QStringLiteral("the house"));
    bench.find<House>("house")->hide();
    bench.window().showStation(Station::daybook);
    QFile table(bench.path("days.csv"));
    REQUIRE(table.open(QIODevice::WriteOnly));
    table.write(QByteArray::fromStdString(store::daysToCsv(bench.document().book())));
    table.close();
    bench.find<DaysIn>("mapping")->read(table.fileName());
    for (const auto* column : bench.find<DaysIn>("mapping")->findChildren<QComboBox*>())
        for (int item = 0; item < column->count(); ++item)
            for (const QString& one : unsaidIn({column->itemText(item)}, own))
                all << QStringLiteral("columns: ") + one;
    bench.find<DaysIn>("mapping")->hide();  // beside each stands the table's own name of it, which is nobody's word
    bench.window().showStation(Station::drawers);
    for (const auto& [list, name] : listNames()) {
        const auto ids = idsIn(bench.document().book(), list);
        if (ids.empty()) continue;
        bench.window().goTo({std::string(list), ids.front()});
        look(QStringLiteral("Drawers, ") + QString::fromStdString(std::string(list)));
    }
    for (const QAction* action : bench.window().findChildren<QAction*>())
        for (const QString& one : unsaidIn({action->text().remove(QLatin1Char('&'))}, own))
            all << QStringLiteral("menus: ") + one;
    INFO(all.join(QLatin1Char('\n')).toStdString());
    CHECK(all.isEmpty());
}

TEST_CASE("two fifths longer than in English every station's words have their room") {
    loadFace();
    const Speaking madeUpOnes;
    Bench bench;
    QStringList all;
    for (const QSize size : {QSize(1280, 800), QSize(1920, 1080)}) {
        bench.window().resize(size);
        for (const auto& entry : Names<Station>::entries) {
            bench.window().showStation(entry.value);
            for (const QString& one : machair::app::tests::clippedAtRest(bench.window()))
                all << QStringLiteral("%1 at %2: ").arg(QString::fromStdString(std::string(entry.name))).arg(size.width()) + one;
        }
        CHECK(bench.window().minimumSizeHint().width() <= 1280);
    }
    INFO(all.join(QLatin1Char('\n')).toStdString());
    CHECK(all.isEmpty());
}

TEST_CASE("French has words for all that is said of the demo") {
    loadFace();
    QTranslator words;
    REQUIRE(words.load(QStringLiteral(":/languages/fr.qm")));
    class Listening : public Language {
      public:
        explicit Listening(const QTranslator& words) : words_(words) {}
        [[nodiscard]] std::string said(const std::string& english) const override {
            const QString own = words_.translate("", english.c_str());
            if (own.isEmpty()) lacking.insert(english);
            return own.isEmpty() ? english : own.toStdString();
        }
        [[nodiscard]] std::string said(const std::string& one, const std::string& many, double number) const override {
            const QString own = words_.translate("", one.c_str(), nullptr, static_cast<int>(number));
            return own.isEmpty() ? said(number == 1.0 ? one : many) : own.toStdString();
        }
        [[nodiscard]] char point() const override { return ','; }
        mutable std::set<std::string> lacking;

      private:
        const QTranslator& words_;
    };
    const auto french = std::make_shared<Listening>(words);
    sayEverythingIn(french);
    {
        Bench bench;
        for (const auto& entry : Names<Station>::entries) {
            bench.window().showStation(entry.value);
            QTest::qWait(100);
        }
        for (const auto& [list, name] : listNames())
            for (const std::string& id : idsIn(bench.document().book(), list))
                bench.window().goTo({std::string(list), id});
        const Book& book = bench.document().book();
        for (const Pattern& pattern : book.patterns) {
            bench.document().choosePattern(pattern.id);
            for (std::size_t part = 0; part < pattern.parts.size(); ++part)
                bench.document().choosePart(part);
        }
    }
    // And of the album's dressings, on three sizes each: every construction, step, mend and figure.
    QFile file(QFileInfo(QStringLiteral(MACHAIR_DEMO)).dir().filePath(QStringLiteral("album.machair.json")));
    REQUIRE(file.open(QIODevice::ReadOnly));
    const auto opened = store::readBench(file.readAll().toStdString());
    REQUIRE(opened);
    const Book& album = opened->book;
    for (const Pattern& pattern : album.patterns)
        for (const int size : {6, 12, 16}) {
            const auto planned = planOnSize(album, pattern.id, size);
            if (!planned) continue;
            for (const TyingStep& step : stepsOf(*planned))
                if (!step.verb.empty()) CHECK(say(step.verb) != "");
            CHECK(durabilityOf(*planned).score >= 0.0);
            for (const Warning& warning : planned->warnings)
                for (const Mend& mend : mendsOf(album, *planned, warning))
                    CHECK(mend.words(warning) != "");
            for (const FigureRef& figure : figuresToAsk(*planned))
                if (const auto asked = ask(*planned, figure)) CHECK(asked->name != "");
            CHECK(orderFaults(*planned).size() < 20);
            CHECK_FALSE(layOut(*planned, 3).empty());
        }
    sayEverythingIn(nullptr);
    // Sizes ("12-14") and what was said already, as a part of a longer sentence, are no words of ours.
    std::string all;
    for (const std::string& one : french->lacking)
        if (std::ranges::any_of(one, [](char c) { return c >= 'a' && c <= 'z'; })) all += one + "\n";
    CHECK(all == "");
}

TEST_CASE("files say the same in every language") {
    QFile file(QStringLiteral(MACHAIR_DEMO));
    REQUIRE(file.open(QIODevice::ReadOnly));
    const std::string text = file.readAll().toStdString();
    const auto all = [&] {
        const Book book = store::readBench(text).value().book;
        std::string files = store::writeBench(book) + store::hooksToCsv(book.hooks) + store::materialsToCsv(book.materials) +
                            store::daysToCsv(book) + store::benchSchema();
        for (const Pattern& pattern : book.patterns)
            for (const store::RecipeFormat format : {store::RecipeFormat::text, store::RecipeFormat::markdown, store::RecipeFormat::html})
                files += store::writeRecipe(pattern, book, format);
        return files;
    };
    const std::string english = all();
    const Speaking madeUpOnes;
    const std::string same = all();
    const auto differs = std::ranges::mismatch(english, same);
    const auto at = static_cast<std::size_t>(differs.in1 - english.begin());
    CHECK(english.substr(at - std::min<std::size_t>(at, 40), at == english.size() ? 0 : 80) == "");
}

TEST_CASE("what changes besides the size is told in every language") {
    QFile file(QStringLiteral(MACHAIR_DEMO));
    REQUIRE(file.open(QIODevice::ReadOnly));
    const Book book = store::readBench(file.readAll().toStdString()).value().book;
    const auto changes = [&] {
        std::size_t all = 0;
        for (const Pattern& pattern : book.patterns)
            for (const SizedFly& fly : acrossSizes(book, pattern.id, {8, 14}))
                all += fly.changes.size();
        return all;
    };
    const std::size_t english = changes();
    CHECK(english > 5);
    const Speaking madeUpOnes;
    CHECK(changes() == english);
}

TEST_CASE("the cards of what goes wrong are kept in English and said in whichever language is spoken, after another too") {
    const std::string english = MishapCards::all().front().shows;
    const Speaking madeUpOnes;
    CHECK(MishapCards::all().front().shows == english);
    const Book book;
    const Edit edit = countMishap(book, MishapId(MishapCards::all().front().id), english);
    CHECK(edit.after.mishaps.front().shows == english);
    CHECK(edit.words.starts_with(say(english)));
    CHECK(say(english) != english);
}

TEST_CASE(
    "the guide is read in French: each station's chapter, its numbers as the rules make them, and lengths that can be typed as it says") {
    loadFace();
    speak(QStringLiteral("fr"));
    {
        Bench bench;
        auto* guide = bench.find<GuideView>("guide");
        for (const auto& entry : Names<Station>::entries) {
            bench.window().showStation(entry.value);
            QTest::keyClick(&bench.window(), Qt::Key_F1);
            INFO(entry.name);
            CHECK_FALSE(guide->chapter().isEmpty());
        }
        const auto textOf = [](const char* chapter) {
            QFile file(QStringLiteral(":/guide/fr/") + QString::fromLatin1(chapter));
            REQUIRE(file.open(QIODevice::ReadOnly));
            return QString::fromUtf8(file.readAll());
        };
        const std::string numbers = whereTheNumbersComeFrom() + whereTheDaysNumbersComeFrom();
        if (qEnvironmentVariableIsSet("MACHAIR_APPROVE")) {  // as the approved sheets of the core
            QFile anew(QStringLiteral(MACHAIR_GUIDE "/fr/numbers.md"));
            REQUIRE(anew.open(QIODevice::WriteOnly));
            anew.write(numbers.c_str());
        } else {
            CHECK(textOf("numbers.md").toStdString() == numbers);
        }
        // What stands in code in the first column of its table of lengths.
        Field length, place;
        length.kind = FieldKind::length;
        place.kind = FieldKind::station;
        static const QRegularExpression kTyped(QStringLiteral("`([^`]+)`"));
        int typed = 0;
        for (const QString& line : textOf("5-numbers-and-paper.md").split(QLatin1Char('\n')))
            for (auto found = kTyped.globalMatch(line.section(QLatin1Char('|'), 1, 1)); found.hasNext(); ++typed) {
                const QString said = found.next().captured(1);
                INFO(said.toStdString());
                CHECK((readSpec(writtenText(length, said), Place()) || readStationSpec(writtenText(place, said), Place())));
            }
        CHECK(typed == 13);
    }
    speak(QStringLiteral("en"));
}

TEST_CASE("every key that the guide names is a key of the window, in each language") {
    for (const char* language : {"en", "fr"}) {
        speak(QString::fromLatin1(language));
        QString known;
        std::vector<KeyWords> all = keysEverywhere();
        for (const auto& entry : Names<Station>::entries)
            std::ranges::move(keysAt(entry.value), std::back_inserter(all));
        for (const KeyWords& one : all)
            known += QStringLiteral(" | ") + one.keys;
        known.replace(QChar(0x2212), QLatin1Char('-'));
        QFile file(spokenLanguage() == QLatin1String("en") ? QStringLiteral(":/guide/7-keys.md") : QStringLiteral(":/guide/fr/7-keys.md"));
        REQUIRE(file.open(QIODevice::ReadOnly));
        int named = 0;
        for (const QString& line : QString::fromUtf8(file.readAll()).split(QLatin1Char('\n')).mid(3))
            for (QString key : line.section(QLatin1Char('|'), 1, 1).split(QStringLiteral(", "), Qt::SkipEmptyParts)) {
                key = key.remove(QLatin1Char('`')).trimmed();
                INFO(language << ": " << key.toStdString() << " in" << known.toStdString());
                CHECK((key.isEmpty() || known.contains(key)));
                ++named;
            }
        CHECK(named > 30);
    }
    speak(QStringLiteral("en"));
}

TEST_CASE("days are written as the language and country write them, read back so, and kept as before") {
    const QLocale before;
    const auto under = [](const QLocale& locale) { QLocale::setDefault(locale); };
    under(QLocale(QLocale::French, QLocale::France));
    CHECK(dateSaid(QStringLiteral("2026-05-02")) == QStringLiteral("02/05/2026"));
    CHECK(dateWritten(QStringLiteral(" 2/5/26 ")) == "2026-05-02");
    CHECK(dateWritten(QStringLiteral("2.5.2026")) == "2026-05-02");
    CHECK(dateWritten(QStringLiteral("2026-05-02")) == "2026-05-02");
    CHECK(dateWritten(QStringLiteral("31/02/2026")) == "31/02/2026");  // for the core to refuse
    CHECK(dateWritten(QStringLiteral("printemps")) == "printemps");
    CHECK(dateWritten(QString()).empty());
    CHECK(datesSaid(QStringLiteral("2026-05-02, 2026-05-03: book-2026-05-02.json in /a/2026-05-02/b, not 2026-05-02T20:00")) ==
          QStringLiteral("02/05/2026, 03/05/2026: book-2026-05-02.json in /a/2026-05-02/b, not 2026-05-02T20:00"));
    under(QLocale(QLocale::English, QLocale::UnitedStates));
    CHECK(dateSaid(QStringLiteral("2026-05-12")) == QStringLiteral("5/12/2026"));
    CHECK(dateWritten(QStringLiteral("5/12/26")) == "2026-05-12");
    under(QLocale(QLocale::Hungarian));
    CHECK(dateWritten(dateSaid(QStringLiteral("2026-05-12"))) == "2026-05-12");
    // Wherever people live, what is shown reads back.
    for (const QLocale& any : QLocale::matchingLocales(QLocale::AnyLanguage, QLocale::AnyScript, QLocale::AnyCountry)) {
        under(any);
        INFO(any.name().toStdString() + " " + dateSaid(QStringLiteral("2026-03-14")).toStdString());
        CHECK(dateWritten(dateSaid(QStringLiteral("2026-03-14"))) == "2026-03-14");
    }
    under(QLocale::c());
    CHECK(dateSaid(QStringLiteral("2026-05-02")) == QStringLiteral("2026-05-02"));
    under(before);
}

TEST_CASE("a day is begun, found and corrected in the manner of the language") {
    loadFace();
    speak(QStringLiteral("fr"));
    {
        Bench bench;
        bench.window().showStation(Station::daybook);
        auto* date = bench.find<QLineEdit>("date");
        date->setText(QStringLiteral("3/10/2025"));
        bench.find<QToolButton>("add-day")->click();
        REQUIRE(isIn(bench.document().book(), {"days", "2025-10-03"}));
        CHECK(bench.find<QListWidget>("days")->currentItem()->text().startsWith(QStringLiteral("03/10/2025")));
        const RecordId record{"days", "2025-10-03"};
        const auto dateField = [&] {
            const auto fields = fieldsAt(bench.document().book(), record).value();
            return *std::ranges::find(fields, "date", &Field::key);
        };
        CHECK(shownText(dateField()) == QStringLiteral("03/10/2025"));
        const auto change = [&](const char* typed) {
            const auto edit = changeRecord(bench.document().book(), record, "date", writtenText(dateField(), QString::fromUtf8(typed)));
            return edit ? bench.document().apply(edit) : edit.error();
        };
        CHECK(change("4/10/2025") == Faults());
        CHECK(dateField().text == "2025-10-04");
        CHECK_FALSE(change("40/10/2025").empty());
        CHECK(dateField().text == "2025-10-04");
    }
    speak(QStringLiteral("en"));
}

TEST_CASE("the house begins again in French, fields are typed in it, and the book and files stay as they are") {
    loadFace();
    Bench bench;
    bench.window().showStation(Station::plan);
    QSettings settings(bench.path("language.ini"), QSettings::IniFormat);
    CHECK(languageOf(settings, QLocale(QLocale::French, QLocale::France)) == QLatin1String("fr"));
    CHECK(languageOf(settings, QLocale(QLocale::Japanese)) == QLatin1String("en"));
    chooseLanguage(settings, QStringLiteral("fr"));
    CHECK(languageOf(settings, QLocale(QLocale::Japanese)) == QLatin1String("fr"));

    speak(QStringLiteral("fr"));
    bench.restart();
    CHECK(bench.find<QAbstractButton>("station-balance")->text() == QStringLiteral("Équilibre"));
    const auto tail = findKind(*bench.document().pattern(), PartKind::tail);
    REQUIRE(tail);
    const auto fields = [&] { return fieldsOf(bench.document().pattern()->parts[*tail]); };
    const auto lengthIs = [&](const char* typed) {
        const auto all = fields();
        const Field& length = *std::ranges::find(all, "length", &Field::key);
        CHECK(bench.document().apply(changeField(bench.document().book(), bench.document().pattern()->id, *tail, "length",
                                                 writtenText(length, QString::fromUtf8(typed)))) == Faults());
        const auto now = fields();
        const Field& kept = *std::ranges::find(now, "length", &Field::key);
        return std::pair(QString::fromStdString(kept.text), shownText(kept));
    };
    CHECK(lengthIs("0,8 de la hampe") == std::pair(QStringLiteral("0.8 of the shank"), QStringLiteral("0,8 de la hampe")));
    CHECK(specInEnglish("jusqu'à la pointe") == "to the point");
    CHECK(specInLanguage("0.5 mm ahead of the barb") == "0.5 mm devant l'ardillon");
    CHECK(specInEnglish("opposite the barb") == "opposite the barb");
    // An id is nobody's word; a noun may come without its article.
    CHECK(specInLanguage("to the part tail") == "jusqu'à la partie tail");
    CHECK(specInEnglish("jusqu'à la partie tail-2") == "to the part tail-2");
    CHECK(specInEnglish("0.8 de hampe") == "0.8 of the shank");
    CHECK(lengthIs("0,4 mm au-delà de l'ardillon") ==
          std::pair(QStringLiteral("0.4 mm past the barb"), QStringLiteral("0,4 mm au-delà de l'ardillon")));
    CHECK(lengthIs("deux tiers de l'ouverture").first.startsWith(QStringLiteral("0.66666")));
    CHECK(lengthIs("9,5 mm") == std::pair(QStringLiteral("9.5 mm"), QStringLiteral("9,5 mm")));
    CHECK(lengthIs("0.8 of the shank").first == QLatin1String("0.8 of the shank"));  // as before

    // What is said of so many.
    CHECK(sayCount("turn", "turns", 1.0) == "tour");
    CHECK(sayCount("turn", "turns", 1.5) == "tour");
    CHECK(sayCount("turn", "turns", 2.0) == "tours");
    CHECK(say("{} mm behind the eye", "0.4") == "0,4 mm derrière l'œillet");

    // Who can't read a word finds the own language at the doors, by its own name.
    bench.window().showDoors();
    CHECK(bench.find<QToolButton>("door-language-en")->text() == QStringLiteral("English"));
    CHECK(bench.find<QToolButton>("door-language-fr")->isChecked());

    speak(QStringLiteral("en"));
    bench.restart();
    CHECK(bench.find<QAbstractButton>("station-balance")->text() == QStringLiteral("Balance"));
    CHECK(say("turn") == "turn");
}
