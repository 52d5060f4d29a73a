// Recipes as strangers type them: what a length is measured by, where a hackle is wound, what belongs to which part.
#include <catch2/catch.hpp>

#include "book/spec_words.h"
#include "tests/recipes.h"

using namespace machair;
using namespace machair::tests;
using Catch::Matchers::WithinAbs;

namespace {

constexpr const char* kBench = "Stack Lamp\nHook: 12\nThread: black\nBody: black fur\n";

// The length that a line says of its part.
template <class Detail>
std::string lengthIn(const std::string& line, PartKind kind) {
    return writeSpec(LengthSpec(Read(kBench + line).detail<Detail>(kind).length));
}

}  // namespace

TEST_CASE("a length is read by the hook and the fly, however it is put") {
    struct {
        const char *says, *means;
    } const lengths[] = {{"one gape long", "as long as the gape"},
                         {"twice the gape", "2 of the gape"},
                         {"1.5 x gape", "1.5 of the gape"},
                         {"one and a half times the length of the hook shank", "1.5 of the shank"},
                         {"one gape and a half long", "1.5 of the gape"},
                         {"0.8 shank", "0.8 of the shank"},
                         {"three quarters the length of the body", "0.75 of the body"},
                         {"same length as the body", "as long as the body"},
                         {"reaching the hook point", "to the point"},
                         {"tips level with the bend of the hook", "to the bend"},
                         {"extending to the outside of the bend", "to the back of the bend"},
                         {"2 mm past the bend", "2 mm past the bend"},
                         {"7 mm long", "7 mm"}};
    for (const auto& [says, means] : lengths) {
        INFO(says);
        const std::string words = says;
        CHECK(lengthIn<CollarPart>("Hackle: black hen, " + words, PartKind::collar) == means);
        CHECK(lengthIn<WingPart>("Wing: bronze mallard, " + words, PartKind::wing) == means);
        CHECK(lengthIn<TailPart>("Tail: golden pheasant tippet, 8 fibres, " + words, PartKind::tail) == means);
    }
    CHECK(lengthIn<WingPart>("Tail: red wool\nWing: grey duck slips, 3 mm wide, to the end of the tail", PartKind::wing) == "to the tail");
    CHECK(lengthIn<CollarPart>("Hackle: black hen, tips level with end of body", PartKind::collar) == "to the body end");
}

TEST_CASE("a number before a yardstick is no count, and a width is no length") {
    const Read r(std::string(kBench) + "Tail: GP tippets (8-10 fibres), one gape long\nWing: grey duck slips, 3 mm wide");
    CHECK(r.detail<TailPart>(PartKind::tail).fibres->low == 8.0);
    CHECK(r.detail<TailPart>(PartKind::tail).fibres->high == 10.0);
    CHECK(r.made(PartKind::tail).kind == MaterialKind::tippet);
    CHECK(writeSpec(*r.detail<WingPart>(PartKind::wing).width) == "3 mm");
    CHECK(r.detail<WingPart>(PartKind::wing).length == WingPart{}.length);
}

TEST_CASE("by how much past or longer is asked, and its mark stands until then") {
    const Read r(std::string(kBench) +
                 "Hackle: brown partridge, fibres just longer than the body\nWing: bronze mallard, reaching just past the bend");
    CHECK(writeSpec(LengthSpec(r.detail<CollarPart>(PartKind::collar).length)) == "as long as the body");
    CHECK(writeSpec(LengthSpec(r.detail<WingPart>(PartKind::wing).length)) == "to the bend");
    REQUIRE(r.recipe.doubts.size() == 2);
    CHECK(r.recipe.doubts[0].question.find("just longer than the body") != std::string::npos);
    REQUIRE(r.recipe.doubts[1].choices.size() == 2);
    const auto longer = store::answered(r.recipe, r.book, 1, r.recipe.doubts[1].choices[0].value);
    REQUIRE(longer);
    const auto wing = std::ranges::find(longer->pattern.parts, PartKind::wing, &Part::kind);
    CHECK(writeSpec(LengthSpec(std::get<WingPart>(wing->detail).length)) == "0.5 mm past the bend");
    CHECK(Read(std::string(kBench) + "Hackle: black hen, as long as the hook").asksFor("length"));
    CHECK(Read(std::string(kBench) + "Wing: bronze mallard\nCheeks: jungle cock, short").asks("short"));
}

TEST_CASE("where a hackle is wound is no length of its fibres") {
    for (const char* way : {"ginger cock from the shoulder to the tail", "ginger cock, wound back to the bend in five open turns",
                            "ginger cock wound from eye to tail, with 2 extra turns at the head"}) {
        INFO(way);
        const Read r(std::string(kBench) + "Hackle: " + way);
        CHECK(r.parts() == "body palmer");
        CHECK(r.detail<PalmerPart>(PartKind::palmer).length == PalmerPart{}.length);
        CHECK(r.recipe.doubts.empty());
    }
    CHECK(Read(std::string(kBench) + "Body hackle: ginger cock, tied in at the shoulder and wound back in five open turns")
              .detail<PalmerPart>(PartKind::palmer)
              .openTurns->middle() == 5.0);
    const Read head(std::string(kBench) + "Hackle: ginger cock palmered, 5 turns, with 2 extra turns at the head");
    REQUIRE(head.detail<PalmerPart>(PartKind::palmer).shoulderTurns);
    CHECK(head.detail<PalmerPart>(PartKind::palmer).shoulderTurns->middle() == 2.0);
}

TEST_CASE("turns are counted through what is said of them") {
    for (const char* turns : {"five open turns", "5 evenly spaced turns", "5 close, even turns", "x 5"}) {
        INFO(turns);
        const Read r(std::string(kBench) + "Rib: fine gold wire, " + turns);
        if (std::string(turns).find(',') == std::string::npos) CHECK(r.detail<RibPart>(PartKind::rib).turns->middle() == 5.0);
    }
    const Read r(std::string(kBench) + "Hackle: one and a half turns of a brown partridge feather");
    CHECK(r.detail<CollarPart>(PartKind::collar).turns->middle() == 1.5);
    CHECK(r.made(PartKind::collar).kind == MaterialKind::hackle);
    CHECK(r.recipe.doubts.empty());
    const Read fibres(
        std::string("Lamp\nHook: 12\nThread: brown\nBody: pheasant tail fibres (5), wound up and counter-ribbed with copper wire"));
    CHECK(fibres.detail<BodyPart>(PartKind::body).strands->middle() == 5.0);
    CHECK(fibres.parts() == "rib body");
}

TEST_CASE("a hackle drawn below the hook is a throat, one sloping back is swept") {
    const Read beard(std::string(kBench) + "Hackle: black hen, two turns, tied beard style");
    CHECK(beard.parts() == "body throat");
    CHECK(beard.recipe.doubts.empty());
    CHECK(Read(std::string(kBench) + "Throat hackle: black hen tied as a false hackle").parts() == "body throat");
    CHECK(Read(std::string(kBench) + "Throat: black cock hackle fibres, pulled under").made(PartKind::throat).kind == MaterialKind::hackle);
    CHECK(Read(std::string(kBench) + "Hackle: black hen, swept well back").detail<CollarPart>(PartKind::collar).angle == FibreStand::swept);
}

TEST_CASE("what stands beside another thing is a part of its own") {
    const Read tail(std::string(kBench) + "Tail: golden pheasant topping with a strand of pearl flash either side");
    CHECK(tail.parts() == "tail tail body");
    CHECK(tail.made(PartKind::tail, 0).kind == MaterialKind::fibres);
    CHECK(tail.made(PartKind::tail, 1).kind == MaterialKind::tinsel);
    CHECK(tail.recipe.doubts.empty());
    const Read spider("Lamp\nHook: 12\nThread: primrose silk\nBody: primrose silk with a touch of hare's ear fur");
    CHECK(spider.made(PartKind::body).title() == "Hare's mask fur");
    CHECK(spider.part(PartKind::body).note->find("on primrose silk") != std::string::npos);
    const Read showing("Lamp\nHook: 12\nThread: primrose silk\nBody: primrose silk dubbed with mole, silk showing at the tail");
    CHECK(showing.made(PartKind::body).kind == MaterialKind::dubbing);
    CHECK(showing.asks("silk showing"));
}

TEST_CASE("a body ends where it is said to") {
    for (const char* end : {"stopping above the point of the hook", "to opposite the hook point", "ending at the point"}) {
        INFO(end);
        const Read r(std::string("Lamp\nHook: 12\nSilk: primrose\nBody: tying silk, ") + end);
        const auto& body = r.detail<BodyPart>(PartKind::body);
        REQUIRE(body.end);
        CHECK(writeSpec(*body.end) == "at the point");
        CHECK(r.recipe.doubts.empty());
    }
}

TEST_CASE("nothing said of a hook, a wire or a thread is dropped") {
    const Read twin("Lamp\nHook: double, size 10\nThread: black\nBody: black fur");
    CHECK(twin.asks("double"));
    CHECK(twin.recipe.pattern.note->find("double") != std::string::npos);
    CHECK_FALSE(Read("Lamp\nHook: Size 10 wet fly, medium wire, down eye\nThread: black\nBody: black fur").asks("mean for the hook"));
    const Read heavy("Lamp\nHook: 12\nThread: black\nUnderbody: 8 turns of 0.4 mm lead-free wire\nBody: black fur");
    CHECK(heavy.made(PartKind::underbody).title() != "Lead wire");
    CHECK(heavy.asksFor("material"));
    CHECK(heavy.asks("0.4 mm"));
    const Read waxed("Lamp\nHook: 12\nSilk: primrose, well waxed\nBody: black fur");
    CHECK(waxed.with.findMaterial(waxed.recipe.pattern.thread)->title() == "Primrose silk");
    CHECK(waxed.recipe.doubts.empty());
    const Read longer("Lamp\nHook: 8 long shank\nThread: black\nBody: black fur");
    CHECK(longer.with.findHook(longer.recipe.pattern.hook)->name == "Long shank 8");
}

TEST_CASE("peacock is green, ostrich is not") {
    CHECK(Read(std::string(kBench) + "Thorax: peacock herl, 2 strands").made(PartKind::thorax).title() == "Bronze-green herl");
    CHECK(Read(std::string(kBench) + "Butt: black ostrich herl").made(PartKind::butt).title() == "Black herl");
}

TEST_CASE("a head of the thread's colour is not asked for, and there is one head") {
    const Read same(std::string(kBench) + "Head: black thread, three coats, varnished");
    CHECK(same.recipe.doubts.empty());
    CHECK(same.detail<HeadPart>(PartKind::head).coats == 3);
    CHECK(Read(std::string(kBench) + "Head: red").asksFor("thread"));
    const Read steps("1) Hook 10, black thread\n2) Body of black fur\n3) Small head, whip finish\n4) 2 coats of varnish");
    CHECK(std::ranges::count(steps.recipe.pattern.parts, PartKind::head, &Part::kind) == 1);
    CHECK(steps.detail<HeadPart>(PartKind::head).coats == 2);
    CHECK(Read(std::string(kBench) + "Head: peacock herl, 2 strands").made(PartKind::head).kind == MaterialKind::herl);
}

TEST_CASE("lines that begin with their headings want no mark, nor a recipe of one line any line") {
    const char* const ways[] = {
        "hook 12\nthread primrose\nbody yellow floss\nrib fine gold wire\nhackle black hen 1.5 turns",
        "Skerrin Bumble: hook 12. thread primrose. body yellow floss, rib fine gold wire, hackle black hen 1.5 turns",
        "Skerrin Bumble | hook 12 | thread primrose | body yellow floss | rib fine gold wire | hackle black hen x 1.5",
    };
    for (const char* way : ways) {
        INFO(way);
        const Read r(way);
        CHECK(r.parts() == "rib body collar");
        CHECK(r.with.findHook(r.recipe.pattern.hook)->size == 12);
        CHECK(r.detail<CollarPart>(PartKind::collar).turns->middle() == 1.5);
        CHECK((r.recipe.pattern.title() == "Skerrin Bumble" || r.asksFor("name")));
    }
}

TEST_CASE("a title keeps its hook and what is said of the fly apart from its name") {
    const Read sized("Mill Burn Lamp (wet, sizes 10 – 14)\nThread: black\nBody: black fur");
    CHECK(sized.recipe.pattern.title() == "Mill Burn Lamp");
    CHECK(sized.asks("sizes 10 to 14"));
    const Read said("Machair Glow – a bob fly for a big wave\nHook: #8\nThread: black\nBody: black fur");
    CHECK(said.recipe.pattern.title() == "Machair Glow");
    CHECK(said.recipe.pattern.note == "a bob fly for a big wave");
    CHECK(said.with.findHook(said.recipe.pattern.hook)->size == 8);
    CHECK(Read("Kelp Drum, size 12\nThread: black\nBody: black fur").recipe.pattern.title() == "Kelp Drum");
    CHECK(Read("Drum, the second\nHook: 12\nThread: black\nBody: black fur").recipe.pattern.title() == "Drum, the second");
}

TEST_CASE("prose goes to the parts that it tells of") {
    const Read r(
        "Linn Soldier. Start with scarlet thread on a size 12 hook. Tie in six fibres of golden pheasant tippet for a tail as long as the "
        "gape. Tie in fine silver wire. Dub a body of black fur. Rib with four turns. Tie in a claret hen hackle and make two turns. "
        "Finish "
        "with three turns of black hen at the head. Small head.");
    CHECK(r.parts() == "tail rib body collar collar");
    CHECK(writeSpec(LengthSpec(r.detail<TailPart>(PartKind::tail).length)) == "as long as the gape");
    CHECK(r.detail<RibPart>(PartKind::rib).turns->middle() == 4.0);
    CHECK(r.detail<CollarPart>(PartKind::collar, 0).turns->middle() == 2.0);
    CHECK(r.detail<CollarPart>(PartKind::collar, 1).turns->middle() == 3.0);
    CHECK(r.with.findMaterial(r.recipe.pattern.thread)->title() == "Scarlet thread");
    CHECK(r.recipe.doubts.empty());
}

TEST_CASE("headings that stand alone, several on a line, quotes, an ampersand, a thing mixed in: none of it loses a part") {
    const Read under("Tail\n  Teal fibres, 6 to 8\nBody\n  Claret fur\nHackle:\n  Claret hen\nHook\n12\nThread\nblack");
    CHECK(under.parts() == "tail body collar");
    CHECK(under.detail<TailPart>(PartKind::tail).fibres->high == 8.0);
    CHECK(under.with.findHook(under.recipe.pattern.hook)->size == 12);
    const Read line("Stone Spider.\nSilk: primrose, Hook: 14, Body: silk only, ribbed fine gold wire; Hackle: brown partridge, 1.5 turns");
    CHECK(line.recipe.pattern.title() == "Stone Spider");
    CHECK(line.parts() == "rib body collar");
    CHECK(line.recipe.doubts.empty());
    const Read quoted("\"Kelpie's Fancy\" - point fly\nHOOK..........12\nTHREAD........Brown\nBODY..........Hare's ear, dubbed rough");
    CHECK(quoted.recipe.pattern.title() == "Kelpie's Fancy");
    CHECK(quoted.parts() == "body");
    CHECK(quoted.recipe.doubts.empty());
    CHECK(Read(std::string(kBench) + "Tail: yellow floss & black hackle fibres").parts() == "tail tail body");
    const Read mixed("Lamp\nHook: 12\nThread: black\nBody: olive seal's fur, mixed with a little hare's ear");
    CHECK(mixed.made(PartKind::body).title() == "Olive seal-like fur");
    CHECK(mixed.asks("mixed with a little hare's ear"));
    const Read herl("Lamp\nHook: 12\nThread: black\nBody: 3 strands peacock herl twisted together with the thread\nRib: med. copper wire");
    CHECK(herl.made(PartKind::body).kind == MaterialKind::herl);
    CHECK(herl.detail<BodyPart>(PartKind::body).strands->middle() == 3.0);
    CHECK(herl.made(PartKind::rib).title() == "Medium copper wire");
    CHECK(herl.recipe.doubts.empty());
    CHECK(Read("Lamp\nHook: 12\nThread: teal-blue\nBody: black fur").recipe.materials.front().title() == "Teal-blue thread");
}

TEST_CASE("a length by a part that the dressing lacks is planned as usual and asked for, and two hooks are one") {
    const Read r(std::string(kBench) + "Wing: bronze mallard, to the end of the tail");
    CHECK(r.detail<WingPart>(PartKind::wing).length == WingPart{}.length);
    CHECK(r.part(PartKind::wing).note->find("to the tail") != std::string::npos);
    CHECK(r.asks("to the tail"));
    CHECK(Read(std::string(kBench) + "Tail: red wool, as long as the tail").detail<TailPart>(PartKind::tail).length == TailPart{}.length);
    CHECK(Read("Lamp\nHook: 5\nHook: 5\nThread: black\nBody: black fur").recipe.hooks.size() == 1);
}
