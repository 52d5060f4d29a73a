// Recipes in every manner that they are printed in: the parts they hold, and what is asked rather than guessed.
#include <catch2/catch.hpp>

#include "tests/recipes.h"

using namespace machair;
using namespace machair::tests;
using store::readRecipe;

TEST_CASE("colon lines whose materials lie in the drawers are read without a doubt") {
    const Read r(
        "Quern Lark\nHook: 12\nThread: black\nTail: black hen fibres\nRib: fine silver wire, 5 turns\nBody: black fur\nHackle: black hen, "
        "2 turns");
    CHECK(r.recipe.pattern.title() == "Quern Lark");
    CHECK(r.parts() == "tail rib body collar");
    CHECK(r.detail<RibPart>(PartKind::rib).turns->middle() == 5.0);
    CHECK(r.detail<CollarPart>(PartKind::collar).turns->middle() == 2.0);
    CHECK(r.made(PartKind::tail).kind == MaterialKind::fibres);
    CHECK(r.made(PartKind::rib).kind == MaterialKind::wire);
    CHECK(r.made(PartKind::body).kind == MaterialKind::dubbing);
    CHECK(r.made(PartKind::collar).title() == "Black hen");
    CHECK(r.with.findHook(r.recipe.pattern.hook)->size == 12);
    CHECK(r.recipe.doubts.empty());
}

TEST_CASE("dash lines: a tippet tail, a flat body, a rolled flank, and the thread is asked for") {
    const Read r("Sallow Drum\nHook - wet 10\nTail - tippet\nBody - flat gold\nWing – bronze mallard, rolled\nHackle - ginger hen");
    CHECK(r.parts() == "tail body wing collar");
    CHECK(r.made(PartKind::tail).kind == MaterialKind::tippet);
    CHECK(r.made(PartKind::body).kind == MaterialKind::tinsel);
    CHECK(r.made(PartKind::wing).kind == MaterialKind::flank);
    CHECK(r.detail<WingPart>(PartKind::wing).style == WingStyle::rolled);
    CHECK(r.recipe.doubts.size() == 1);
    CHECK(r.asksFor("thread"));
}

TEST_CASE("a table: a body of silk is a body of thread, and what bird is missing is said") {
    const Read r("| Part | Material |\n|---|---|\n| Hook | 14 |\n| Body | yellow silk |\n| Hackle | snipe, 1½ turns |");
    CHECK(r.parts() == "body collar");
    CHECK(r.made(PartKind::body).kind == MaterialKind::thread);
    CHECK(r.detail<CollarPart>(PartKind::collar).turns->middle() == 1.5);
    CHECK(r.asksFor("name"));
    CHECK(r.asksFor("thread"));
    CHECK(r.asks("nipe"));
}

TEST_CASE("prose: tail, ribbed body, palmer and hackle out of one sentence") {
    const Read r(
        "Peat Ledger. On a 10 dress a tail of orange tippet, a body of claret seal's fur ribbed with oval gold, a ginger cock palmered "
        "down it and two turns of black hen in front.");
    CHECK(r.recipe.pattern.title() == "Peat Ledger");
    CHECK(r.parts() == "tail rib body palmer collar");
    CHECK(r.made(PartKind::rib).kind == MaterialKind::oval);
    CHECK(r.made(PartKind::body).title() == "Claret seal-like fur");
    CHECK(r.made(PartKind::palmer).kind == MaterialKind::hackle);
    CHECK(r.made(PartKind::collar).title() == "Black hen");
    CHECK(r.detail<CollarPart>(PartKind::collar).turns->middle() == 2.0);
    CHECK(r.with.findHook(r.recipe.pattern.hook)->size == 10);
    CHECK(r.asksFor("thread"));
    CHECK_FALSE(r.asksFor("hook"));
}

TEST_CASE("ranges stay pairs, a range of hooks asks, a body that is missing is asked for") {
    const Read r("Otter Bell\nHook: 10-14\nTail: 4-6 fibres golden tippet\nWing: teal\nHackle: black");
    CHECK(r.parts() == "tail wing collar");
    CHECK(r.detail<TailPart>(PartKind::tail).fibres->low == 4.0);
    CHECK(r.detail<TailPart>(PartKind::tail).fibres->high == 6.0);
    CHECK(r.asksFor("hook"));
    CHECK(r.asks("no body"));
    CHECK(r.asks("bird"));
    CHECK(r.made(PartKind::wing).kind == MaterialKind::flank);
    CHECK(r.asks("eal"));
}

TEST_CASE("two hackles on a line are a palmer and a collar, in tying order") {
    const Read r("Ruddle\nHackle: 2-3 turns at shoulder then 3 open, red cock; green hen in front\nBody: flat silver");
    CHECK(r.parts() == "body palmer collar");
    const auto& palmer = r.detail<PalmerPart>(PartKind::palmer);
    CHECK(palmer.shoulderTurns->low == 2.0);
    CHECK(palmer.shoulderTurns->high == 3.0);
    CHECK(palmer.openTurns->middle() == 3.0);
    CHECK(r.made(PartKind::collar).kind == MaterialKind::hackle);
    CHECK(r.asks("reen hen"));
    CHECK(r.asksFor("hook"));
    CHECK(r.asksFor("thread"));
}

TEST_CASE("a rib said within the body is a rib, and a plural heading holds two hackles") {
    const Read r("Weir Candle\nBody: olive fur, ribbed fine gold wire\nHackles: red cock palmered, grey partridge in front");
    CHECK(r.parts() == "rib body palmer collar");
    CHECK(r.made(PartKind::rib).kind == MaterialKind::wire);
    CHECK(r.detail<CollarPart>(PartKind::collar).tieIn == std::nullopt);
}

TEST_CASE("\"same\" and \"as tail\" take the material, or its colour") {
    const Read r("Brae Cinder\nTail: red wool\nBody: same\nHackle: as tail, hen");
    CHECK(r.parts() == "tail body collar");
    CHECK(r.part(PartKind::tail).material == r.part(PartKind::body).material);
    CHECK(r.made(PartKind::collar).kind == MaterialKind::hackle);
    CHECK(r.asks("ed hen"));
}

TEST_CASE("capitals without a mark, a body in halves, a rib over the tinsel only") {
    const Read r(
        "TAIL Fox squirrel, sparse\nBODY Rear half flat silver, front half black fur\nRIB Silver wire over the tinsel only\nWING Grey "
        "squirrel to tail");
    CHECK(r.parts() == "tail rib body body wing");
    CHECK(r.made(PartKind::tail).kind == MaterialKind::hair);
    CHECK(r.made(PartKind::body, 0).kind == MaterialKind::tinsel);
    CHECK(r.made(PartKind::body, 1).kind == MaterialKind::dubbing);
    CHECK(std::get<std::size_t>(*r.detail<RibPart>(PartKind::rib).along) == 0);
    CHECK(r.made(PartKind::wing).kind == MaterialKind::hair);
    CHECK(r.asksFor("name"));
    CHECK(r.asks("sparse"));
}

TEST_CASE("an \"or\" takes the first and keeps the second") {
    const Read r(
        "Drystone\nHooks: 12\nTying silk: purple\nBody: tying silk\nShoulder hackle: dark partridge or grouse, one and a half turns");
    CHECK(r.parts() == "body collar");
    CHECK(r.part(PartKind::body).material == r.recipe.pattern.thread);
    CHECK(r.detail<BodyPart>(PartKind::body).method == BodyMethod::thread);
    CHECK(r.detail<CollarPart>(PartKind::collar).turns->middle() == 1.5);
    CHECK(r.part(PartKind::collar).note->find("grouse") != std::string::npos);
    CHECK(r.asks("Which of the two"));
}

TEST_CASE("equals lines, inches, strands twisted with the silk") {
    const Read r("Ferry Thorn\nBody = peacock herl, 3 strands twisted with the silk\nHackle = brown hen 3/8\"\nHead = 2 coats");
    CHECK(r.parts() == "body collar");
    const auto& body = r.detail<BodyPart>(PartKind::body);
    CHECK(body.strands->middle() == 3.0);
    CHECK(body.twisted == true);
    CHECK(std::get<Length>(r.detail<CollarPart>(PartKind::collar).length.value) / mm == Approx(9.525));
    CHECK(std::get<HeadPart>(r.part(PartKind::head).detail).coats == 2);
    CHECK_FALSE(r.asks("hackle"));
}

TEST_CASE("numbered steps: a bead, no tail, a level body, a hackle by the tip, a whip") {
    const Read r(
        "1. Slide on a 2.8 mm brass bead. 2. Tail: none. 3. Olive dubbing, no taper. 4. Partridge, 2 turns, by the tip. 5. Whip 4.");
    CHECK(r.parts() == "bead body collar");
    CHECK(r.detail<BodyPart>(PartKind::body).method == BodyMethod::level);
    CHECK(r.detail<CollarPart>(PartKind::collar).tieIn == TieIn::tip);
    CHECK(r.detail<CollarPart>(PartKind::collar).turns->middle() == 2.0);
    CHECK(std::get<HeadPart>(r.part(PartKind::head).detail).whipTurns->middle() == 4.0);
    CHECK(std::get<BeadTraits>(r.made(PartKind::bead).traits).diameter == 2.8 * mm);  // new: none in the drawers is of that size
}

TEST_CASE("tabs: what a pheasant gives is asked, tippet or crest, wing or tail") {
    const Read r("Gorse Lamp\thook\t10 heavy\ntail\tgolden pheasant\nbody\tyellow floss\nwing\then pheasant");
    CHECK(r.parts() == "tail body wing");
    CHECK(r.recipe.pattern.title() == "Gorse Lamp");
    CHECK(r.with.findHook(r.recipe.pattern.hook)->size == 10);
    CHECK(r.made(PartKind::body).title() == "Yellow floss");
    CHECK(r.asksFor("material"));
}

TEST_CASE("bullets on one line, a thread by its exact name, barbless only where it is said") {
    Book book = usualDrawers();
    Material thread = material("brown-8", MaterialKind::thread, ThreadTraits{});
    thread.name = "Brown 8/0";
    book.materials.push_back(thread);
    const auto read = readRecipe("* Kiln Thrift *\n• Hook: size 14 barbless • Thread: Brown 8/0 • Body: rabbit", book);
    REQUIRE(read);
    CHECK(read->pattern.title() == "Kiln Thrift");
    CHECK(read->pattern.thread == "brown-8");
    CHECK(book.findHook(read->pattern.hook)->barb == false);
    CHECK(book.findHook(read->pattern.hook)->size == 14);
    CHECK(findKind(read->pattern, PartKind::body));
    CHECK(std::ranges::none_of(read->doubts, [](const store::RecipeDoubt& d) { return d.key == "thread" || d.key == "hook"; }));
}

TEST_CASE("like another dressing but for two parts") {
    Book book = usualDrawers();
    const auto first = readRecipe(
        "Weir Candle\nHook: 12\nThread: black\nBody: olive fur, ribbed fine gold wire\nHackles: ginger cock palmered, brown hen in front",
        book);
    REQUIRE(first);
    book = store::withRecipe(book, *first);
    const auto like = readRecipe("Tarn Button, as Weir Candle but body claret and hot orange tag", book);
    REQUIRE(like);
    CHECK(like->pattern.title() == "Tarn Button");
    const Book with = store::withRecipe(book, *like);
    CHECK(check(with).empty());
    CHECK(with.findMaterial(*like->pattern.parts[findKind(like->pattern, PartKind::body).value()].material)->title() ==
          "Claret seal-like fur");
    CHECK(findKind(like->pattern, PartKind::tag));
    CHECK(like->pattern.variedFrom == first->pattern.id);
    const auto nobody = readRecipe("Tarn Button, as Nobody but body claret", book);
    REQUIRE(nobody);
    CHECK(std::ranges::any_of(nobody->doubts,
                              [](const store::RecipeDoubt& d) { return d.question.find("no such dressing") != std::string::npos; }));
}

TEST_CASE("what is left of the tail is wound on as the body") {
    const Read r("Sea Loft\nTail: five turkey tail fibres, half the shank; the rest wound on as body against the thread\nRib: copper wire");
    CHECK(r.parts() == "tail rib body");
    CHECK(r.detail<TailPart>(PartKind::tail).fibres->middle() == 5.0);
    CHECK(r.part(PartKind::body).from.has_value());
    CHECK(r.detail<BodyPart>(PartKind::body).direction == Winding::counter);
}

TEST_CASE("plumes counted, a hackle through a thorax") {
    const Read r("Ash Sail\nWing: 2 cream plumes, over body a shade\nHackle: hen through thorax of hare's mask");
    CHECK(r.parts() == "thorax palmer wing");
    CHECK(r.detail<WingPart>(PartKind::wing).count->middle() == 2.0);
    CHECK(r.detail<PalmerPart>(PartKind::palmer).along == PalmerAlong::thorax);
    CHECK(r.made(PartKind::thorax).kind == MaterialKind::dubbing);
    CHECK(r.asks("shade"));
}

TEST_CASE("under-wing and over-wing of one feather, in millimetres and centimetres") {
    const Read r("Black Loom\nUnderwing: bronze mallard, 25 mm\nOverwing: same feather, 3 cm\nTail: 15 mm of it");
    CHECK(r.parts() == "tail wing wing");
    CHECK(r.detail<WingPart>(PartKind::wing, 0).position == WingPosition::under);
    CHECK(r.detail<WingPart>(PartKind::wing, 1).position == WingPosition::over);
    CHECK(std::get<Length>(r.detail<WingPart>(PartKind::wing, 0).length.value) / mm == Approx(25.0));
    CHECK(std::get<Length>(r.detail<WingPart>(PartKind::wing, 1).length.value) / mm == Approx(30.0));
    CHECK(r.part(PartKind::wing, 0).material == r.part(PartKind::wing, 1).material);
    CHECK(r.part(PartKind::tail).material == r.part(PartKind::wing, 0).material);
}

TEST_CASE("one line of headings without a noun asks for each") {
    const Read r("Hook 12 Tag silver Tail red feather Body black Rib silver Hackle black Wing dark");
    CHECK(r.parts() == "tag tail rib body collar wing");
    CHECK(r.recipe.doubts.size() >= 6);
    CHECK(std::ranges::count(r.recipe.doubts, std::string("material"), &store::RecipeDoubt::key) >= 5);
}

TEST_CASE("colours that are left open are asked for") {
    const Read r("Whin Clap\nBody: dubbed fur, colour to suit\nHackle: to match");
    CHECK(r.parts() == "body collar");
    CHECK(r.asks("colour to suit"));
    CHECK(r.asks("match"));
}

TEST_CASE("two tails on a line, a palmer said as 3 + 5, \"opposite\" is asked") {
    const Read r(
        "Slip Anchor\nBody: olive chenille\nPalmer: dun saddle, 3 + 5\nRib: copper wire wound opposite\nTail: white marabou 1 3/4 in "
        "overall, 6 flash strands");
    CHECK(r.parts() == "tail tail rib body palmer");
    CHECK(r.made(PartKind::tail, 0).kind == MaterialKind::plume);
    CHECK(std::get<Length>(r.detail<TailPart>(PartKind::tail, 0).length.value) / mm == Approx(44.45));
    CHECK(r.detail<TailPart>(PartKind::tail, 1).fibres->middle() == 6.0);
    CHECK(r.detail<PalmerPart>(PartKind::palmer).shoulderTurns->middle() == 3.0);
    CHECK(r.detail<PalmerPart>(PartKind::palmer).openTurns->middle() == 5.0);
    CHECK(r.asks("sense"));
    CHECK(r.asks("verall"));
}

TEST_CASE("a second thread is a change of thread, and no hackle is no doubt") {
    const Read r("Corrie Spark\nHook: 12\nThread: black 8/0, then orange\nBody: black silk\nThorax: orange, small bump\nHackle: none");
    CHECK(r.parts() == "body thread thorax");
    CHECK(r.made(PartKind::thread).title() == "Orange thread");
    CHECK(r.part(PartKind::thorax).material == r.part(PartKind::thread).material);
    CHECK_FALSE(r.asks("ackle"));
}

TEST_CASE("Latin-1, another spelling, the head's colour") {
    const Read r("Caf\xe9 Tallow\nTail : 9 mm ; Fibers : ginger\nColour of head: red");
    CHECK(r.recipe.pattern.title() == "Caf\xc3\xa9 Tallow");
    CHECK(r.parts() == "tail");
    CHECK(std::get<Length>(r.detail<TailPart>(PartKind::tail).length.value) / mm == Approx(9.0));
    CHECK(r.made(PartKind::tail).kind == MaterialKind::fibres);
    CHECK(r.asks("thread red"));
}

TEST_CASE("what no drawer has a word for is kept and asked") {
    const Read r("Body: bright thing from the shop, number 7\nHackle: a bunch");
    CHECK(r.parts() == "body collar");
    CHECK(r.part(PartKind::body).note->find("shop") != std::string::npos);
    CHECK(r.asks("bunch"));
    CHECK(r.asksFor("name"));
}

TEST_CASE("knotted legs counted in bodies, a pair of points at an angle, three or four turns") {
    const Read r(
        "Kelp Moth\nLegs: 6 knotted turkey, one and a half bodies\nWing: a pair of dun points, 30 degrees\nHackle: ginger cock, 3 or 4 "
        "turns, hollow side in");
    CHECK(r.parts() == "legs wing collar");
    CHECK(r.detail<LegsPart>(PartKind::legs).count->middle() == 6.0);
    CHECK(r.asksFor("knots"));
    CHECK(std::get<Ratio>(r.detail<LegsPart>(PartKind::legs).length.value).ratio == Approx(1.5));
    CHECK(r.detail<WingPart>(PartKind::wing).style == WingStyle::tips);
    CHECK(r.detail<WingPart>(PartKind::wing).count->middle() == 2.0);
    CHECK(r.detail<WingPart>(PartKind::wing).angle->inDegrees() == Approx(30.0));
    CHECK(r.detail<CollarPart>(PartKind::collar).turns->low == 3.0);
    CHECK(r.detail<CollarPart>(PartKind::collar).turns->high == 4.0);
}

TEST_CASE("a doubt answered with its choice is gone, and what nothing needs any more isn't brought along") {
    const Book book = usualDrawers();
    const auto read = readRecipe("Pale One\nHook: 12\nThread: black\nBody: magenta fur\nHackle: black hen", book);
    REQUIRE(read);
    REQUIRE(read->doubts.size() == 1);
    REQUIRE(read->materials.size() == 1);
    REQUIRE_FALSE(read->doubts[0].choices.empty());
    CHECK(read->doubts[0].line == 4);
    CHECK(read->doubts[0].column == 7);
    const auto now = store::answered(*read, book, 0, read->doubts[0].choices[0].value);
    REQUIRE(now);
    CHECK(now->doubts.empty());
    CHECK(now->materials.empty());
    CHECK(check(store::withRecipe(book, *now)).empty());
}

TEST_CASE("what words can carry comes back from a round trip") {
    const Book book = usualDrawers();
    const auto read = readRecipe(
        "Weir Candle\nHook: 12\nThread: black\nTail: 4-6 fibres golden crest, half the shank\nRib: fine gold wire, 5 turns\nBody: olive "
        "fur\nPalmer: ginger cock saddle, 3 + 5, to the point\nHackle: brown hen, 2 or 3 turns, to the barb\nHead: 2 coats",
        book);
    REQUIRE(read);
    const Book with = store::withRecipe(book, *read);
    for (const store::RecipeFormat format : {store::RecipeFormat::text, store::RecipeFormat::markdown}) {
        const auto back = readRecipe(store::writeRecipe(read->pattern, with, format), with);
        REQUIRE(back);
        INFO(store::writeRecipe(read->pattern, with, format));
        REQUIRE(back->pattern.parts.size() == read->pattern.parts.size());
        for (std::size_t i = 0; i < back->pattern.parts.size(); ++i) {
            CAPTURE(i, nameOf(read->pattern.parts[i].kind));
            CHECK(back->pattern.parts[i].material == read->pattern.parts[i].material);
            CHECK(back->pattern.parts[i].detail == read->pattern.parts[i].detail);
        }
        CHECK(back->pattern.hook == read->pattern.hook);
        CHECK(back->pattern.thread == read->pattern.thread);
    }
}
