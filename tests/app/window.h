// A real window on a copy of the demo, driven as a person would.
#pragma once

#include <QAbstractButton>
#include <QApplication>
#include <QLabel>
#include <QLineEdit>
#include <QSettings>
#include <QTemporaryDir>
#include <QTest>
#include <catch2/catch.hpp>
#include <filesystem>
#include <memory>

#include "frame/cast_view.h"
#include "frame/main_window.h"
#include "plan/fly_view.h"
#include "store/home.h"
#include "theme/theme.h"

namespace Catch {
template <>
struct StringMaker<QString> {
    static std::string convert(const QString& text) { return '"' + text.toStdString() + '"'; }
};
}  // namespace Catch

namespace machair::app::tests {

class Bench {
  public:
    Bench() {
        loadFace();
        REQUIRE(folder_.isValid());
        std::filesystem::copy_file(MACHAIR_DEMO, file().toStdString());
        settings_ = std::make_unique<QSettings>(folder_.filePath(QStringLiteral("settings.ini")), QSettings::IniFormat);
        settings_->setValue(QStringLiteral("house/still"), true);  // what is looked at stands still
        open();
    }
    [[nodiscard]] QString file() const { return folder_.filePath(QStringLiteral("skerrin.machair.json")); }
    [[nodiscard]] QString path(const char* name) const { return folder_.filePath(QString::fromLatin1(name)); }

    void open() {
        window_ = std::make_unique<MainWindow>(*settings_);
        window_->resize(1280, 800);
        REQUIRE(window_->openFile(file()));
        window_->show();
        window_->activateWindow();
        REQUIRE(QTest::qWaitForWindowActive(window_.get()));
    }
    // Leaves and starts again, as at the next start.
    void restart() {
        window_->close();
        window_.reset();
        window_ = std::make_unique<MainWindow>(*settings_);
        window_->openLast();
        window_->show();
        window_->activateWindow();
        REQUIRE(QTest::qWaitForWindowActive(window_.get()));
    }

    void leave() { window_.reset(); }

    MainWindow& window() { return *window_; }
    Document& document() { return window_->document(); }
    template <class Widget>
    Widget* find(const char* name) {
        auto* widget = window_->findChild<Widget*>(QString::fromLatin1(name));
        INFO(name);
        REQUIRE(widget != nullptr);
        return widget;
    }
    QString text(const char* label) { return find<QLabel>(label)->text(); }
    CastView* cast() { return find<CastView>("cast"); }
    FlyView* fly() { return find<FlyView>("fly"); }
    void clickFly(Position position) {
        QTest::mouseClick(cast(), Qt::LeftButton, Qt::NoModifier, cast()->flyRect(position).center().toPoint());
    }
    // Opens the chooser by its button, types some letters and takes the first that is left.
    void pick(const char* button, const QString& letters) {
        QTest::mouseClick(find<QAbstractButton>(button), Qt::LeftButton);
        pick(letters);
    }
    void pick(const QString& letters) {
        auto* search = find<QLineEdit>("chooser-search");
        QTest::keyClicks(search, letters);
        QTest::keyClick(search, Qt::Key_Return);
    }
    // A field that is left to the usual is a word until it is pressed.
    void sayIt(const char* field) {
        auto* word = window().findChild<QAbstractButton*>(QStringLiteral("say-") + QString::fromLatin1(field));
        if (word && word->isVisible()) QTest::mouseClick(word, Qt::LeftButton);
    }
    void type(const char* field, const QString& words) {
        auto* line = find<QWidget>(field);
        sayIt(field);
        line->setFocus();
        QTest::keyClick(line, Qt::Key_A, Qt::ControlModifier);
        QTest::keyClicks(line, words);
        QTest::keyClick(line, Qt::Key_Return);
    }
    Book kept() { return store::readBenchFile(file().toStdString()).value().book; }

  private:
    QTemporaryDir folder_;
    std::unique_ptr<QSettings> settings_;
    std::unique_ptr<MainWindow> window_;
};

}  // namespace machair::app::tests
