// What takes a calliper's reading: the window gives each to the one that has the focus, and to no other.
#pragma once

namespace machair::app {

class ReadsLengths {
  public:
    virtual void takeLength(double millimetres) = 0;  // over 0 and at most 1000

  protected:
    ~ReadsLengths() = default;
};

}  // namespace machair::app
