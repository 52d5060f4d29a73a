// Sentences with gaps, and what another language makes of them.
#include <catch2/catch.hpp>
#include <map>

#include "language/say.h"
#include "units/names.h"

using namespace machair;

namespace {

// Backwards: the second value first, a comma in numbers, two forms for many.
class Backwards : public Language {
  public:
    [[nodiscard]] std::string said(const std::string& english) const override {
        const std::map<std::string, std::string> words = {{"{} over {}", "{2} sous {1}"}, {"a hook", "un hameçon"}, {"wide gape", "large"}};
        const auto found = words.find(english);
        return found == words.end() ? english : found->second;
    }
    [[nodiscard]] std::string said(const std::string& one, const std::string& many, double number) const override {
        return number < 2.0 ? "<" + one + ">" : "<" + many + ">";
    }
    [[nodiscard]] char point() const override { return ','; }
};

class Speaking {
  public:
    Speaking() { sayEverythingIn(std::make_shared<Backwards>()); }
    ~Speaking() { sayEverythingIn(nullptr); }
    Speaking(const Speaking&) = delete;
    Speaking& operator=(const Speaking&) = delete;
};

enum class Bend { wideGape };

}  // namespace

template <>
struct machair::Names<Bend> {
    static constexpr std::array entries = {NameOf{Bend::wideGape, "wide_gape"}};
};

TEST_CASE("a sentence's gaps are filled in turn, or by their number") {
    CHECK(fill("{} over {}", {"6 turns", "a body"}) == "6 turns over a body");
    CHECK(fill("{2} under {1}, {}", {"a", "b"}) == "b under a, a");
    CHECK(fill("{} and {}", {"one"}) == "one and {}");  // a gap without a value stays to be seen
    CHECK(fill("an object in { }, {3}", {"x"}) == "an object in { }, {3}");
    CHECK(fill("{}", {"{} {1}"}) == "{} {1}");  // a value is never a sentence: names come from books that others made
    CHECK(fill("", {"x"}).empty());
    CHECK(say("nothing") == "nothing");
    CHECK(sayCount("{} turn", "{} turns", 1.0, "1") == "1 turn");
    CHECK(sayCount("{} turn", "{} turns", 1.5, "1.5") == "1.5 turns");
    CHECK(sayCount("{} turn", "{} turns", 0.0, "0") == "0 turns");
}

TEST_CASE("who speaks another language is asked for its words, order, plural and point") {
    const Speaking backwards;
    CHECK(say("{} over {}", "0.4 mm", "1.25") == "1,25 sous 0,4 mm");
    CHECK(say("a hook") == "un hameçon");
    CHECK(say("no words for this: {}", "a hook") == "no words for this: a hook");  // a value is not looked up
    CHECK(sayCount("{} turn", "{} turns", 1.5, "1.5") == "<1,5 turn>");
    CHECK(sayCount("{} turn", "{} turns", 2.0, "2") == "<2 turns>");
    CHECK(sayName(Bend::wideGape) == "large");
    CHECK(nameOf(Bend::wideGape) == "wide_gape");  // the file's
}

TEST_CASE("only a number changes its point: no name, version, path or date") {
    const Speaking backwards;
    for (const auto& [value, shown] :
         {std::pair{"0.4", "0,4"}, std::pair{"-12.50 mm", "-12,50 mm"}, std::pair{"+3.1", "+3,1"},
          std::pair{"skerrin.machair", "skerrin.machair"}, std::pair{"1.2.3", "1.2.3"}, std::pair{".5", ".5"}, std::pair{"5.", "5."},
          std::pair{"v1.2", "v1.2"}, std::pair{"/tmp/1.5/a", "/tmp/1.5/a"}, std::pair{"", ""}})
        CHECK(say("{}", value) == shown);
}

TEST_CASE("of many names the first are said and how many there are beside") {
    CHECK(sayNames({}).empty());
    CHECK(sayNames({"tail"}) == "tail");
    CHECK(sayNames({"tail", "rib", "body"}, 3) == "tail, rib, body");
    CHECK(sayNames({"tail", "rib", "body", "wing"}, 2) == "tail, rib and 2 more");
}
