// Says a step aloud, where Qt's speech module and a voice are present; else silent.
#pragma once

#include <QObject>
#include <memory>

namespace machair::app {

class Speaker : public QObject {
    Q_OBJECT
  public:
    explicit Speaker(QObject* parent = nullptr);
    ~Speaker() override;
    // Whether there is a voice. Looks for one when it is first asked: loading a speech engine takes a while.
    [[nodiscard]] bool available();
    // What was being said is broken off.
    void say(const QString& words);

  private:
    struct Voice;
    std::unique_ptr<Voice> voice_;
};

}  // namespace machair::app
