#include "store/page_scan.h"

#include <bit>

#include "book/lists.h"
#include "store/checksum.h"

namespace machair::store {

namespace {

constexpr std::size_t kUsualPage = 4096, kFirstHeader = 100, kLeafHeader = 8;
constexpr unsigned char kTableLeaf = 0x0d;

// Bytes read in order; past the end everything is missing and `whole` says so.
class Bytes {
  public:
    explicit Bytes(std::string_view bytes) : bytes_(bytes) {}
    bool whole = true;
    [[nodiscard]] std::uint64_t big(std::size_t count) {
        std::uint64_t value = 0;
        for (std::size_t i = 0; i < count; ++i)
            value = value << 8 | next();
        return value;
    }
    [[nodiscard]] std::uint64_t varint() {
        std::uint64_t value = 0;
        for (int i = 0; i < 8; ++i) {
            const unsigned char byte = next();
            value = value << 7 | (byte & 0x7f);
            if ((byte & 0x80) == 0) return value;
        }
        return value << 8 | next();
    }
    [[nodiscard]] std::string_view take(std::size_t count) {
        if (count > bytes_.size() - at_) {
            whole = false;
            return {};
        }
        const std::string_view taken = bytes_.substr(at_, count);
        at_ += count;
        return taken;
    }
    [[nodiscard]] std::size_t at() const { return at_; }

  private:
    unsigned char next() {
        if (at_ >= bytes_.size()) {
            whole = false;
            return 0;
        }
        return static_cast<unsigned char>(bytes_[at_++]);
    }
    std::string_view bytes_;
    std::size_t at_ = 0;
};

struct Column {
    bool text = false;
    std::string_view bytes;
    std::int64_t number = 0;
};

Column columnOf(std::uint64_t type, Bytes& body) {
    constexpr std::uint64_t kTexts = 13;
    if (type >= kTexts && type % 2 == 1) return {true, body.take(static_cast<std::size_t>((type - kTexts) / 2)), 0};
    if (type >= kTexts - 1) return {false, body.take(static_cast<std::size_t>((type - kTexts + 1) / 2)), 0};
    if (type == 8 || type == 9) return {false, {}, static_cast<std::int64_t>(type - 8)};
    constexpr std::size_t kWidths[] = {0, 1, 2, 3, 4, 6, 8, 8};
    const std::size_t width = type < std::size(kWidths) ? kWidths[type] : 0;
    std::uint64_t value = body.big(width);
    if (width > 0 && width < 8 && (value >> (8 * width - 1)) != 0) value |= ~std::uint64_t{0} << (8 * width);  // negative
    return {false, {}, std::bit_cast<std::int64_t>(value)};
}

class Pages {
  public:
    explicit Pages(std::string_view file) : file_(file) {
        Bytes head(file.substr(std::min<std::size_t>(16, file.size())));
        const auto size = head.big(2);
        const std::size_t written = size == 1 ? 65536 : static_cast<std::size_t>(size);
        page_ = std::has_single_bit(written) && written >= 512 ? written : kUsualPage;
        usable_ = page_ - (file.size() > 20 ? static_cast<unsigned char>(file[20]) : 0);
        if (usable_ < 480) usable_ = page_;
    }
    [[nodiscard]] std::size_t count() const { return file_.size() / page_; }
    [[nodiscard]] std::string_view page(std::size_t n) const { return n < count() ? file_.substr(n * page_, page_) : std::string_view(); }

    // The payload of a cell that begins at `at`: what stands in the page, and what overflows into others.
    [[nodiscard]] std::string payload(std::string_view page, std::size_t at) const {
        if (at >= page.size()) return {};
        Bytes cell(page.substr(at));
        const auto whole = static_cast<std::size_t>(cell.varint());
        (void)cell.varint();  // the row's number
        const std::size_t most = usable_ - 35;
        if (!cell.whole || whole > file_.size()) return {};
        if (whole <= most) return std::string(cell.take(whole));
        const std::size_t least = (usable_ - 12) * 32 / 255 - 23, fits = least + (whole - least) % (usable_ - 4);
        std::string text(cell.take(fits <= most ? fits : least));
        auto next = static_cast<std::size_t>(cell.big(4));
        for (std::size_t hops = 0; cell.whole && next > 0 && text.size() < whole && hops < count(); ++hops) {
            Bytes more(this->page(next - 1));
            next = static_cast<std::size_t>(more.big(4));
            text += more.take(std::min(usable_ - 4, whole - text.size()));
            if (!more.whole) return {};
        }
        return text.size() == whole ? text : std::string();
    }

  private:
    std::string_view file_;
    std::size_t page_ = kUsualPage;
    std::size_t usable_ = kUsualPage;
};

// id, place, record, …, sum: of the list whose checksum it bears.
std::optional<StoredRow> rowIn(const std::string& payload) {
    Bytes head(payload);
    const auto length = static_cast<std::size_t>(head.varint());
    if (!head.whole || length > payload.size()) return std::nullopt;
    Bytes body(std::string_view(payload).substr(length));
    std::vector<Column> columns;
    constexpr std::size_t kMostColumns = 12;
    while (head.at() < length && head.whole && columns.size() < kMostColumns)
        columns.push_back(columnOf(head.varint(), body));
    if (!head.whole || !body.whole || columns.size() < 4 || !columns[0].text || columns[1].text || !columns[2].text || columns.back().text)
        return std::nullopt;
    StoredRow row{{}, std::string(columns[0].bytes), columns[1].number, std::string(columns[2].bytes), columns.back().number};
    bool known = false;
    eachList([&](const char* name, auto) {
        if (known || checksumOf(name, row.id, row.text) != *row.sum) return;
        row.list = name;
        known = true;
    });
    return known ? std::optional(row) : std::nullopt;
}

}  // namespace

std::vector<StoredRow> rowsInPages(std::string_view file) {
    std::vector<StoredRow> rows;
    const Pages pages(file);
    for (std::size_t n = 0; n < pages.count(); ++n) {
        const std::string_view page = pages.page(n);
        const std::size_t header = n == 0 ? kFirstHeader : 0;
        if (static_cast<unsigned char>(page[header]) != kTableLeaf) continue;
        Bytes head(page.substr(header + 3));
        const auto cells = static_cast<std::size_t>(head.big(2));
        Bytes pointers(page.substr(header + kLeafHeader));
        for (std::size_t i = 0; i < cells && pointers.whole; ++i)
            if (const auto at = static_cast<std::size_t>(pointers.big(2)); pointers.whole)
                if (auto row = rowIn(pages.payload(page, at))) rows.push_back(std::move(*row));
    }
    return rows;
}

}  // namespace machair::store
