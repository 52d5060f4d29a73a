// Makes the application when tests run, not when they are listed.
#define CATCH_CONFIG_EXTERNAL_INTERFACES
#include <QApplication>
#include <catch2/catch.hpp>
#include <memory>

namespace {

class QtSession : public Catch::TestEventListenerBase {
  public:
    using TestEventListenerBase::TestEventListenerBase;
    void testRunStarting(const Catch::TestRunInfo&) override {
        if (qEnvironmentVariableIsEmpty("QT_QPA_PLATFORM")) qputenv("QT_QPA_PLATFORM", "offscreen");
        application_ = std::make_unique<QApplication>(argc_, argv_);
    }
    void testRunEnded(const Catch::TestRunStats& stats) override {
        TestEventListenerBase::testRunEnded(stats);
        application_.reset();
    }

  private:
    int argc_ = 1;
    char name_[6] = "tests";
    char* argv_[2] = {name_, nullptr};
    std::unique_ptr<QApplication> application_;
};
CATCH_REGISTER_LISTENER(QtSession)

}  // namespace
