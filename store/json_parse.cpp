#include "store/json_parse.h"
#include "language/say.h"

#include <algorithm>
#include <set>
#include <vector>

namespace machair::store {

namespace {

// "line 3, column 14" of a byte that JSON's parser stopped at (counted from 1).
std::string lineAndColumn(std::string_view text, std::size_t byte) {
    const std::string_view before = text.substr(0, byte == 0 ? 0 : std::min(byte - 1, text.size()));
    const auto line = 1 + std::ranges::count(before, '\n');
    const auto start = before.rfind('\n');
    const std::size_t column = start == std::string_view::npos ? before.size() + 1 : before.size() - start;
    return say("line {}, column {}", std::to_string(line), std::to_string(column));
}

// Stands between the parser and the document it makes, for what a finished one no longer shows: keys given twice, and
// nesting too deep, where it stops. (The parser's own callback does the same in time quadratic in a list's length.)
class ParseWatch final : public nlohmann::json_sax<Json> {
  public:
    explicit ParseWatch(Json& document) : document_(document, true) {}
    bool null() override { return value() && document_.null(); }
    bool boolean(bool v) override { return value() && document_.boolean(v); }
    bool number_integer(number_integer_t v) override { return value() && document_.number_integer(v); }
    bool number_unsigned(number_unsigned_t v) override { return value() && document_.number_unsigned(v); }
    bool number_float(number_float_t v, const string_t& text) override { return value() && document_.number_float(v, text); }
    bool string(string_t& v) override { return value() && document_.string(v); }
    bool binary(binary_t& v) override { return value() && document_.binary(v); }
    bool start_object(std::size_t size) override {
        if (!value()) return false;
        ++depth_;
        openObjects_.push_back(keys_.size());
        return document_.start_object(size);
    }
    bool key(string_t& key) override {
        keys_.push_back(key);
        return value() && document_.key(key);
    }
    bool end_object() override {
        --depth_;
        const auto own = keys_.begin() + static_cast<std::ptrdiff_t>(openObjects_.back());
        std::sort(own, keys_.end());
        for (auto same = std::adjacent_find(own, keys_.end()); same != keys_.end(); same = std::adjacent_find(same + 1, keys_.end()))
            twice_.insert(*same);
        keys_.resize(openObjects_.back());
        openObjects_.pop_back();
        return document_.end_object();
    }
    bool start_array(std::size_t size) override {
        if (!value()) return false;
        ++depth_;
        return document_.start_array(size);
    }
    bool end_array() override {
        --depth_;
        return document_.end_array();
    }
    bool parse_error(std::size_t at, const std::string& token, const nlohmann::detail::exception& error) override {
        const auto* parse = dynamic_cast<const Json::parse_error*>(&error);
        if (parse) return document_.parse_error(at, token, *parse);  // throws it
        const auto* range = dynamic_cast<const Json::out_of_range*>(&error);
        if (range) return document_.parse_error(at, token, *range);
        return false;
    }
    void report(Faults& faults) const {
        if (tooDeep_) faults.push_back({Place(), say("expected nesting at most {} deep, got more", std::to_string(kDeepestNesting)), ""});
        for (const std::string& key : twice_)
            faults.push_back({Place(), say("expected each key once in its object, got \"{}\" twice", key), say("delete one of the two")});
    }

  private:
    bool value() {
        tooDeep_ = tooDeep_ || depth_ > kDeepestNesting;
        return !tooDeep_;
    }
    nlohmann::detail::json_sax_dom_parser<Json> document_;
    std::vector<std::string> keys_;  // of all the objects that are open, and where each one's begin
    std::vector<std::size_t> openObjects_;
    std::set<std::string> twice_;
    int depth_ = 0;
    bool tooDeep_ = false;
};

// What the parser's code says, in our words: a library's own are for its developers (json.exception.parse_error.N).
std::string parserReason(int code) {
    switch (code) {
        case 101: return say("something else here: a comma, a quote or a bracket is missing or too many");
        case 102:
        case 103: return say("a \\u that is no character");
        default: return say("something that is none");
    }
}

}  // namespace

Result<Json> parseJson(std::string_view text) {
    Json document;
    ParseWatch watch(document);
    try {
        Json::sax_parse(text, &watch);
    } catch (const Json::parse_error& error) {
        return fail(Place(lineAndColumn(text, error.byte)), say("expected JSON in UTF-8, got {}", parserReason(error.id)));
    } catch (const Json::out_of_range&) {
        return fail(Place("line 1, column 1"), say("expected numbers that a computer can hold, got one that is too large"),
                    say("search for a very long number"));
    }
    Faults faults;
    watch.report(faults);
    if (!faults.empty()) return tl::unexpected(faults);
    return document;
}

}  // namespace machair::store
