#include "faults/faults.h"

#include "faults/trail.h"

namespace machair {

Place Place::key(std::string_view name) const { return Place(text_.empty() ? std::string(name) : text_ + "." + std::string(name)); }

Place Place::at(std::size_t index) const { return Place(text_ + "[" + std::to_string(index) + "]"); }

std::string Fault::line() const {
    std::string result = place.text().empty() ? what : place.text() + ": " + what;
    if (!remedy.empty()) result += "; " + remedy;
    return result;
}

void append(Faults& to, const Faults& more) { to.insert(to.end(), more.begin(), more.end()); }

Trail::operator Place() const {
    if (!up_) return Place(std::string(key_));
    const Place above = *up_;
    return index_ == kNoIndex ? above.key(key_) : above.at(index_);
}

}  // namespace machair
