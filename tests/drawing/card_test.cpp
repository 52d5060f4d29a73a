// Cards read back and measured: the PDF by poppler, as a printer would see it.
#include "drawing/card.h"
#include "drawing/records_pages.h"

#include <QFile>
#include <QImage>
#include <QProcess>
#include <QSvgRenderer>
#include <QTemporaryDir>
#include <catch2/catch.hpp>

#include "tests/samples.h"

using namespace machair;
using namespace machair::tests;

namespace {

constexpr double kPerMm = 40.0;
constexpr double kPagePoint = 25.4 / 72.0;  // a page is whole points: the paper, not what is on it

// The page as ink on paper, 40 px to the millimetre.
QImage printed(const QString& pdf, const QString& folder, double perMm = kPerMm) {
    const QString to = folder + QStringLiteral("/page");
    QProcess poppler;
    poppler.start(QStringLiteral("pdftoppm"),
                  {QStringLiteral("-r"), QString::number(25.4 * perMm), QStringLiteral("-png"), QStringLiteral("-singlefile"), pdf, to});
    REQUIRE(poppler.waitForFinished(60000));
    return QImage(to + QStringLiteral(".png"));
}

// The longest run of a colour in a row, mm.
double longestRun(const QImage& image, int y, QRgb colour, double perMm = kPerMm) {
    const auto like = [&](QRgb p) {
        return std::abs(qRed(p) - qRed(colour)) + std::abs(qGreen(p) - qGreen(colour)) + std::abs(qBlue(p) - qBlue(colour)) < 60;
    };
    int best = 0, run = 0;
    for (int x = 0; x < image.width(); ++x) {
        run = like(image.pixel(x, y)) ? run + 1 : 0;
        best = std::max(best, run);
    }
    return best / perMm;
}

}  // namespace

TEST_CASE("the printed card's bar is 50 mm and its gauges as long as the plan, to a tenth") {
    QTemporaryDir folder;
    const Book book = demoBook();
    for (const char* fly : {"heather-tinker", "ferry-bell"}) {
        const Plan plan = planPattern(book, fly).value();
        const QString pdf = folder.filePath(QStringLiteral("card.pdf"));
        REQUIRE(drawing::writeCard(pdf, plan).isEmpty());
        const QImage page = printed(pdf, folder.path());
        REQUIRE_FALSE(page.isNull());
        CHECK(std::abs(page.width() / kPerMm - drawing::kCardWidth) < kPagePoint);
        CHECK(std::abs(page.height() / kPerMm - drawing::kCardHeight) < kPagePoint);
        const QRgb ink = qRgb(0x2b, 0x27, 0x22), accent = qRgb(0x9a, 0x3d, 0x1c);
        CHECK(std::abs(longestRun(page, static_cast<int>((drawing::kCardHeight - 6.0 + 0.3) * kPerMm), ink) - 50.0) < 0.1);
        double row = 63.0;
        for (const Gauge& gauge : gaugesOf(plan)) {
            if (gauge.kind == GaugeKind::slip) continue;
            CAPTURE(fly, gauge.label);
            CHECK(std::abs(longestRun(page, static_cast<int>(row * kPerMm), accent) - mmOf(gauge.length)) < 0.1);
            row += 4.6;
        }
    }
}

TEST_CASE("the SVG card has its true size, and a bad name or folder is said") {
    QTemporaryDir folder;
    const Plan plan = planPattern(demoBook(), "kelp-lantern").value();
    const QString svg = folder.filePath(QStringLiteral("card.svg"));
    REQUIRE(drawing::writeCard(svg, plan).isEmpty());
    QFile file(svg);
    REQUIRE(file.open(QIODevice::ReadOnly));
    const QString text = QString::fromUtf8(file.read(600));
    CHECK(text.contains(QStringLiteral("width=\"148")));
    CHECK(text.contains(QStringLiteral("mm\"")));
    CHECK(QSvgRenderer(svg).isValid());
    CHECK_FALSE(drawing::writeCard(folder.filePath(QStringLiteral("card.png")), plan).isEmpty());
    CHECK_FALSE(drawing::writeCard(QStringLiteral("/nowhere/at/all.pdf"), plan).isEmpty());
}

TEST_CASE("a team's sheet is written whole") {
    QTemporaryDir folder;
    const Book book = demoBook();
    const Plan bob = planPattern(book, "kelp-lantern").value(), point = planPattern(book, "rush-piper").value();
    const QString pdf = folder.filePath(QStringLiteral("team.pdf"));
    REQUIRE(drawing::writeTeamSheet(pdf, {QStringLiteral("West shore"),
                                          QStringLiteral("pass"),
                                          {{bob, QStringLiteral("bob"), {}}, {point, QStringLiteral("point"), {}}},
                                          {QStringLiteral("1.6 m")},
                                          {QStringLiteral("wind")}})
                .isEmpty());
    const QImage page = printed(pdf, folder.path(), 10.0);
    CHECK(std::abs(page.width() / 10.0 - drawing::kSheetWidth) < kPagePoint);
}

TEST_CASE("a contest's gauge is as long as its longest fly to a tenth, and says no where the card has none") {
    QTemporaryDir folder;
    RuleCard card;
    card.id = "cup";
    card.longestFly = 23.8 * mm;
    const QString pdf = folder.filePath(QStringLiteral("gauge.pdf"));
    REQUIRE(drawing::writeContestGauge(pdf, card, QStringLiteral("caution")).isEmpty());
    const QImage page = printed(pdf, folder.path());
    REQUIRE_FALSE(page.isNull());
    CHECK(std::abs(longestRun(page, static_cast<int>(48.0 * kPerMm), qRgb(0x9a, 0x3d, 0x1c)) - 23.8) < 0.1);
    CHECK(std::abs(longestRun(page, static_cast<int>((drawing::kCardHeight - 6.0 + 0.3) * kPerMm), qRgb(0x2b, 0x27, 0x22)) - 50.0) < 0.1);
    card.longestFly = 200.0 * mm;
    CHECK(drawing::writeContestGauge(pdf, card, {}).contains(QStringLiteral("longer than the card")));
    card.longestFly.reset();
    CHECK(drawing::writeContestGauge(pdf, card, {}).contains(QStringLiteral("no longest fly")));
}

TEST_CASE("a page lies on larger paper at its true size, in the middle, and is refused on smaller") {
    QTemporaryDir folder;
    const Plan plan = planPattern(demoBook(), "kelp-lantern").value();
    const drawing::Page card = drawing::cardPage(plan);
    const QString pdf = folder.filePath(QStringLiteral("a4.pdf"));
    REQUIRE(drawing::writePage(pdf, card, drawing::Paper::a4).isEmpty());
    constexpr double kFine = 20.0;  // px a mm: a whole sheet at 40 is more than an image may hold
    const QImage page = printed(pdf, folder.path(), kFine);
    REQUIRE_FALSE(page.isNull());
    CHECK(std::abs(page.width() / kFine - 297.0) < kPagePoint);  // turned the way the card lies
    CHECK(std::abs(page.height() / kFine - 210.0) < kPagePoint);
    const double top = 0.5 * (210.0 - drawing::kCardHeight);
    CHECK(std::abs(longestRun(page, static_cast<int>((top + drawing::kCardHeight - 6.0 + 0.3) * kFine), qRgb(0x2b, 0x27, 0x22), kFine) -
                   50.0) < 0.15);
    CHECK(drawing::placeOn(drawing::Paper::a6, card));
    const drawing::Page recipe = drawing::recipePage(plan);
    CHECK_FALSE(drawing::placeOn(drawing::Paper::a6, recipe));
    CHECK(drawing::writePage(pdf, recipe, drawing::Paper::a6).contains(QStringLiteral("too small")));
    for (const drawing::Paper paper : {drawing::Paper::a5, drawing::Paper::a4, drawing::Paper::letter}) {
        const auto place = drawing::placeOn(paper, recipe);
        REQUIRE(place);
        CHECK(place->size() == recipe.size);
        CHECK(QRectF(QPointF(), drawing::sizeOf(paper, recipe)).adjusted(-0.1, -0.1, 0.1, 0.1).contains(*place));
    }
}

TEST_CASE("a recipe's page proves the printer too, and its PDF is one for archives with a title and text to select") {
    QTemporaryDir folder;
    const Plan plan = planPattern(demoBook(), "heather-tinker").value();
    const drawing::Page recipe = drawing::recipePage(plan);
    const QString pdf = folder.filePath(QStringLiteral("recipe.pdf"));
    REQUIRE(drawing::writePage(pdf, recipe).isEmpty());
    constexpr double kFine = 20.0;
    const QImage page = printed(pdf, folder.path(), kFine);
    REQUIRE_FALSE(page.isNull());
    CHECK(std::abs(longestRun(page, static_cast<int>((210.0 - 6.0 + 0.3) * kFine), qRgb(0x2b, 0x27, 0x22), kFine) - 50.0) < 0.15);
    QFile file(pdf);
    REQUIRE(file.open(QIODevice::ReadOnly));
    const QByteArray bytes = file.readAll();
    CHECK(bytes.contains("pdfaid:part"));
    QProcess words;
    words.start(QStringLiteral("pdftotext"), {pdf, QStringLiteral("-")});
    REQUIRE(words.waitForFinished());
    CHECK(QString::fromUtf8(words.readAllStandardOutput()).contains(QStringLiteral("Heather Tinker")));
}

TEST_CASE("a season's page has the year's days on a strip of its width, and an empty year says so") {
    QTemporaryDir folder;
    const Book book = demoBook();
    const SeasonReport season = seasonReport(book, seasonsOf(book).front());
    REQUIRE_FALSE(season.days.empty());
    std::vector<drawing::SeasonFly> flies;
    for (const Rate& rate : season.flies)
        flies.push_back({rate, planPattern(book, "kelp-lantern").value()});
    const QString pdf = folder.filePath(QStringLiteral("season.pdf"));
    REQUIRE(drawing::writePage(pdf, drawing::seasonPage(season, flies, QStringLiteral("Skerrin"))).isEmpty());
    const QImage page = printed(pdf, folder.path(), 10.0);
    CHECK(std::abs(page.width() / 10.0 - 190.0) < kPagePoint);
    CHECK(std::abs(page.height() / 10.0 - 277.0) < kPagePoint);
    CHECK(drawing::writePage(pdf, drawing::seasonPage(seasonReport(book, "1901"), {}, {})).isEmpty());
}
