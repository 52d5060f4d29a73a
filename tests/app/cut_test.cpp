// The Cut station's newer corners: halves to be married, feathers in columns, the card through its dialog, capes.
#include <QComboBox>
#include <QListWidget>
#include <QSpinBox>

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
    REQUIRE(waitFor([&] { return bench.text("cut-said").contains(QStringLiteral("more slips")); }, 60'000));
    CHECK(bench.find<TrayView>("tray")->pieces() > 3);
    bench.find<QSpinBox>("batch")->setValue(1);
    REQUIRE(waitFor([&] { return bench.text("cut-said").contains(QStringLiteral("proven best")); }));
}
