// Makes the application when tests run, not when they are listed.
#define CATCH_CONFIG_EXTERNAL_INTERFACES
#ifdef MACHAIR_APP_TESTS
#include "frame/application.h"
#else
#include <QApplication>
#endif
#include <catch2/catch.hpp>
#include <memory>

namespace {

class QtSession : public Catch::TestEventListenerBase {
  public:
    using TestEventListenerBase::TestEventListenerBase;
    void testRunStarting(const Catch::TestRunInfo&) override {
        if (qEnvironmentVariableIsEmpty("QT_QPA_PLATFORM")) qputenv("QT_QPA_PLATFORM", "offscreen");
        application_ = std::make_unique<Application>(argc_, argv_);
    }
    void testRunEnded(const Catch::TestRunStats& stats) override {
        TestEventListenerBase::testRunEnded(stats);
        application_.reset();
    }

  private:
#ifdef MACHAIR_APP_TESTS
    using Application = machair::app::Application;
#else
    using Application = QApplication;
#endif
    int argc_ = 1;
    char name_[6] = "tests";
    char* argv_[2] = {name_, nullptr};
    std::unique_ptr<Application> application_;
};
CATCH_REGISTER_LISTENER(QtSession)

}  // namespace
