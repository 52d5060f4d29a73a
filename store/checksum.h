// CRC-32 (ISO-HDLC, Boost's) of what a record says and where: a bit that flipped, or a page of one list over another's, is
// found on opening. It guards against accidents, not against forgers.
#pragma once

#include <boost/crc.hpp>
#include <cstdint>
#include <string_view>

namespace machair::store {

class Checksum {
  public:
    // Each text ends where it ends: "ab", "c" and "a", "bc" differ.
    Checksum& add(std::string_view text) {
        crc_.process_bytes(text.data(), text.size());
        crc_.process_byte(0);
        return *this;
    }
    [[nodiscard]] std::int64_t value() const { return crc_.checksum(); }

  private:
    boost::crc_32_type crc_;
};

[[nodiscard]] inline std::int64_t checksumOf(std::string_view list, std::string_view id, std::string_view record) {
    return Checksum().add(list).add(id).add(record).value();
}

}  // namespace machair::store
