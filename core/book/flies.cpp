#include "book/flies.h"

namespace machair {

Fly onItsHook(const Book& book, const Fly& fly) {
    Fly whole = fly;
    if (const Pattern* pattern = fly.hook ? nullptr : book.findPattern(fly.pattern)) whole.hook = pattern->hook;
    return whole;
}

const HookSpec* hookOf(const Book& book, const Fly& fly) {
    const Fly whole = onItsHook(book, fly);
    return whole.hook ? book.findHook(*whole.hook) : nullptr;
}

std::string sayFly(std::string_view dressing, const HookSpec& hook) {
    const std::string size = std::to_string(hook.size);
    return hook.barb.value_or(true) ? std::string(dressing) + ", " + size : say("{}, {} barbless", dressing, size);
}

std::string sayFly(const Book& book, const Fly& fly) {
    const Pattern* pattern = book.findPattern(fly.pattern);
    if (!pattern) return fly.pattern;
    const HookSpec* hook = hookOf(book, fly);
    return hook ? sayFly(pattern->title(), *hook) : pattern->title();
}

std::string writeFly(const Fly& fly) { return fly.hook ? fly.pattern + "\t" + fly.hook->text() : fly.pattern.text(); }

Fly readFly(std::string_view text) {
    const auto tab = text.find('\t');
    if (tab == std::string_view::npos) return Fly(DressingId(text));
    return Fly(DressingId(text.substr(0, tab)), HookId(text.substr(tab + 1)));
}

}  // namespace machair
