// The Cut station's newer corners: halves to be married, feathers in columns, the card through its dialog, capes.
#include <QComboBox>
#include <QListWidget>
#include <QSpinBox>

#include "cut/cape_fan.h"
#include "cut/feather_view.h"
#include "cut/tray_view.h"
#include "tests/app/at.h"

using namespace machair;
using namespace machair::app;
using namespace machair::app::tests;

namespace {

// Every flank feather has only 7 mm left, in its middle.
Edit usedUp(const Book& book) {
    Edit edit{"feathers used up", book};
    for (VaneFeather& feather : edit.after.feathers)
        feather.taken = {{0.0 * mm, 30.0 * mm}, {37.0 * mm, feather.vane}};
    return edit;
}

class AtCut : public At {
  public:
    AtCut() : At(Station::cut) {
        document().choosePattern("heather-tinker");
        settled();
    }
    void settled() {
        REQUIRE(waitFor([&] { return find<TrayView>("tray")->pieces() > 3; }));
    }
};

}  // namespace

TEST_CASE("a slip that is wider than what is left is offered as halves, and cut so once that is pressed") {
    AtCut bench;
    auto* halves = bench.find<QToolButton>("halves");
    CHECK_FALSE(halves->isVisible());
    REQUIRE(bench.document().apply(usedUp(bench.document().book())).empty());
    bench.find<QSpinBox>("batch")->setValue(1);
    REQUIRE(waitFor([&] { return bench.text("cut-said").contains(QStringLiteral("Not cut")); }));
    CHECK(bench.text("cut-said").contains(QStringLiteral("married")));
    REQUIRE(halves->isVisible());
    halves->click();
    REQUIRE(waitFor([&] { return bench.text("cut-said").contains(QStringLiteral("Slips from 2 feathers")); }));
    CHECK_FALSE(bench.text("cut-said").contains(QStringLiteral("Not cut")));
    CHECK(halves->isVisible());  // to take it back
    halves->click();
    REQUIRE(waitFor([&] { return bench.text("cut-said").contains(QStringLiteral("Not cut")); }));
}

TEST_CASE("feathers lie in columns, none over another and all within the view") {
    AtCut bench;
    bench.click("show-feathers");
    auto* view = bench.find<FeatherView>("feathers");
    REQUIRE(waitFor([&] { return bench.text("cut-said").contains(QStringLiteral("proven best")) && view->width() > 400; }));
    std::vector<QRectF> vanes;
    const auto count =
        static_cast<std::size_t>(std::ranges::count(bench.document().book().feathers, std::string("flank-bronze"), &VaneFeather::material));
    REQUIRE(count > 2);
    for (std::size_t i = 0; i < count; ++i)
        vanes.push_back(view->stretchOf(i, 0.0 * mm, 60.0 * mm));
    for (std::size_t i = 0; i < count; ++i) {
        CHECK(view->rect().contains(vanes[i].toAlignedRect()));
        CHECK(vanes[i].width() == Approx(vanes[0].width()));  // one scale
        for (std::size_t k = 0; k < i; ++k)
            CHECK_FALSE(vanes[i].intersects(vanes[k]));
    }
    // One feather alone has the whole view.
    Edit one{"one feather", bench.document().book()};
    one.after.feathers.resize(1);
    REQUIRE(bench.document().apply(one).empty());
    REQUIRE(waitFor([&] { return view->stretchOf(0, 0.0 * mm, 60.0 * mm).width() > vanes[0].width(); }));
}

TEST_CASE("the card goes where the dialog says, as PDF or SVG, and a folder that takes none is said") {
    AtCut bench;
    bench.click("card");
    CHECK(bench.writtenTo(bench.path("card.pdf")).startsWith("%PDF"));
    bench.click("card");
    CHECK(bench.writtenTo(bench.path("card.svg")).contains("<svg"));
    bench.click("card");
    bench.answer(QStringLiteral("/nowhere/card.pdf"));
    CHECK(bench.text("quiet").contains(QStringLiteral("/nowhere/card.pdf")));
    bench.click("card");
    bench.answer(bench.path("card.doc"));
    CHECK(bench.text("quiet").contains(QStringLiteral(".pdf or .svg")));
}

TEST_CASE("a batch of ten thousand is laid out without holding up the window, and says what can't be cut") {
    AtCut bench;
    bench.find<QSpinBox>("batch")->setValue(10'000);
    REQUIRE(waitFor([&] { return bench.text("cut-said").contains(QStringLiteral("Not cut: ")); }, 60'000));
    CHECK(bench.find<TrayView>("tray")->pieces() > 3);
    bench.find<QSpinBox>("batch")->setValue(1);
    REQUIRE(waitFor([&] { return bench.text("cut-said").contains(QStringLiteral("proven best")); }));
}

TEST_CASE("a cape is a fan of its bands from the shortest, each at least as wide as can be read, with what is wanted in its own") {
    Cape cape;
    cape.material = "hen";
    for (const auto& [from, count] : {std::pair(4.0, 12), std::pair(5.0, 0), std::pair(6.0, 400)}) {
        CapeBand band;
        band.from = from * mm;
        band.to = (from + 1.0) * mm;
        band.count = count;
        cape.bands.push_back(band);
    }
    const auto wants = [](const char* material, double fibre) {
        HackleWanted wanted;
        wanted.material = material;
        wanted.fibre = fibre * mm;
        return wanted;
    };
    const auto fan =
        fanOf(cape, {wants("hen", 4.2), wants("hen", 4.2), wants("hen", 7.0), wants("hen", 5.0), wants("cock", 6.5), wants("hen", 9.0)});
    REQUIRE(fan.size() == 3);
    CHECK(fan[0].from == Approx(-68.0));
    CHECK(fan[2].to == Approx(68.0));
    for (std::size_t i = 0; i < fan.size(); ++i) {
        if (i > 0) CHECK(fan[i].from == Approx(fan[i - 1].to));
        CHECK(fan[i].to - fan[i].from > 8.0);  // degrees: even one that is empty
    }
    CHECK(fan[2].to - fan[2].from < 2.0 * (fan[0].to - fan[0].from));  // four hundred don't drown twelve
    CHECK(fan[0].wanted == std::vector<Length>{4.2 * mm});
    CHECK(fan[1].wanted == std::vector<Length>{5.0 * mm});  // a border belongs to the longer
    CHECK(fan[2].wanted == std::vector<Length>{7.0 * mm});  // but for the last
    CHECK(fanOf(Cape{}, {}).empty());
}
