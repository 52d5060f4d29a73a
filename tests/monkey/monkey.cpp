// A monkey at the bench: machair-monkey SEED MINUTES drives the real window at random (clicks, drags, keys, texts, stations,
// undo, dialogs, a second window's edits, devices coming and going) and looks whether it lives: no crash, nothing held
// over a second (told, with what was clicked), the book whole and readable again, undone to the start equal to the start.
// Its figures are printed; exit 1 where anything was wrong.
#include <QAbstractButton>
#include <QCheckBox>
#include <QComboBox>
#include <QDialog>
#include <QDir>
#include <QElapsedTimer>
#include <QFileDialog>
#include <QLineEdit>
#include <QLocalServer>
#include <QLocalSocket>
#include <QMenu>
#include <QSettings>
#include <QSpinBox>
#include <QTemporaryDir>
#include <QTest>
#include <QTextStream>
#include <QTimer>
#include <random>

#include "book/edits.h"
#include "devices/line_socket.h"
#include "frame/application.h"
#include "frame/main_window.h"
#include "store/home.h"
#include "theme/theme.h"

namespace {

using namespace machair;
using namespace machair::app;

constexpr int kHeldTooLong = 1000;  // ms

class Monkey {
  public:
    Monkey(unsigned seed, QString folder)
        : random_(seed), folder_(std::move(folder)), settings_(folder_ + QStringLiteral("/settings.ini"), QSettings::IniFormat) {
        file_ = folder_ + QStringLiteral("/monkey.machair");
        store::writeBook(file_.toStdString(), store::readBook(MACHAIR_DEMO).value().book).swap(faults_);
        // A press, a key or a click may open a menu or dialog with a loop of its own, in which alone this fires: it waits for no monkey.
        constexpr int kPatience = 20;  // ms
        patience_.setInterval(kPatience);
        QObject::connect(&patience_, &QTimer::timeout, [this] { closeDialogs(); });
        open();
    }

    int run(double minutes) {
        QElapsedTimer all;
        all.start();
        while (all.elapsed() < static_cast<qint64>(minutes * 60'000.0)) {
            QElapsedTimer one;
            one.start();
            patience_.start();
            const char* did = act();
            patience_.stop();
            QApplication::processEvents();
            if (one.elapsed() > kHeldTooLong && std::string_view(did) != "again") {  // a start has its own benchmark
                ++held_;
                say(QStringLiteral("held %1 ms by %2 on %4 at step %3")
                        .arg(one.elapsed())
                        .arg(QString::fromLatin1(did))
                        .arg(steps_)
                        .arg(on_));
            }
            looksAtSizes();
            if (++steps_ % 200 == 0) look();
        }
        look();
        say(QStringLiteral("%1 steps, %2 edits, %3 undone to the start, held too long %4, wrong %5")
                .arg(steps_)
                .arg(edits_)
                .arg(starts_)
                .arg(held_)
                .arg(wrong_));
        return wrong_ == 0 ? 0 : 1;  // what was held is told: how quick a machine is, is no test
    }

  private:
    int any(int n) { return n <= 0 ? 0 : static_cast<int>(random_() % static_cast<unsigned>(n)); }
    static void say(const QString& words) { QTextStream(stdout) << words << Qt::endl; }
    void fail(const QString& words) {
        ++wrong_;
        say(QStringLiteral("WRONG at step %1: %2").arg(steps_).arg(words));
    }

    void open() {
        window_ = std::make_unique<MainWindow>(settings_);
        window_->resize(1280, 800);
        if (!window_->openFile(file_)) fail(QStringLiteral("the book does not open"));
        window_->show();
        window_->activateWindow();
        start_ = window_->document().book();
        QObject::connect(&window_->document(), &Document::bookChanged, window_.get(), [this] { ++edits_; });
        QObject::connect(&window_->document(), &Document::bookOpened, window_.get(), [this] { start_ = window_->document().book(); });
    }

    // The whole of it still stands.
    void look() {
        closeDialogs();
        Document& document = window_->document();
        document.tend();
        const auto read = store::readBook(file_.toStdString());
        if (!read) return fail(QStringLiteral("not readable: ") + qt(read.error().front().line()));
        if (!read->setAside.empty()) fail(QStringLiteral("set aside: ") + qt(read->setAside.front().line()));
        if (!(read->book == document.book())) {
            document.lookElsewhere();
            if (!(store::readBook(file_.toStdString())->book == document.book())) fail(QStringLiteral("the book on the disk is another"));
        }
        if (any(4) != 0 || document.undoStack().count() >= document.undoStack().undoLimit()) return;
        while (document.undoStack().canUndo()) {
            const int before = document.undoStack().index();
            document.undoStack().undo();
            if (document.undoStack().index() >= before) break;
        }
        ++starts_;
        if (!(document.book() == start_)) fail(QStringLiteral("undone to the start it is not the start"));
    }

    // No text, however long, makes the window wider than it was drawn.
    void looksAtSizes() {
        constexpr int kWidest = 1600;
        if (window_->width() <= kWidest) return;
        QString widest;
        int width = 0;
        for (const QWidget* widget : window_->findChildren<QWidget*>())
            if (widget->isVisible() && widget->findChildren<QWidget*>().isEmpty() && widget->minimumSizeHint().width() > width) {
                width = widget->minimumSizeHint().width();
                widest = QString::fromLatin1(widget->metaObject()->className()) + QLatin1Char(' ') + widget->objectName();
            }
        fail(QStringLiteral("the window is %1 wide: %2 wants %3").arg(window_->width()).arg(widest).arg(width));
        window_->resize(1280, 800);
    }

    const char* act() {
        switch (any(24)) {
            case 0:
                window_->showStation(
                    Names<Station>::entries[static_cast<std::size_t>(any(static_cast<int>(Names<Station>::entries.size())))].value);
                return "station";
            case 1:
            case 2:
            case 3:
            case 4:
            case 5: return click();
            case 6:
            case 7:
            case 8: return drag();
            case 9:
            case 10: return key();
            case 11:
            case 12:
            case 13: return type();
            case 14: return choose();
            case 15: window_->document().undoStack().undo(); return "undo";
            case 16: window_->document().undoStack().redo(); return "redo";
            case 17: return fly();
            case 18: return closeDialogs();
            case 19: return otherWindow();
            case 20: return device();
            case 21: window_->resize(1024 + any(500), 640 + any(300)); return "resize";
            case 22:
                if (any(10) == 0) window_->theme().light(any(2) == 0 ? drawing::Bench::sand : drawing::Bench::slate);
                return "light";
            default: return any(40) == 0 ? again() : "wait";
        }
    }

    QWidget* somewhere() {
        QList<QWidget*> seen;
        for (QWidget* widget : window_->findChildren<QWidget*>())
            if (widget->isVisible() && widget->isEnabled() && !widget->size().isEmpty()) seen << widget;
        return seen.isEmpty() ? window_.get() : seen[any(static_cast<int>(seen.size()))];
    }
    QPoint in(const QWidget* widget) { return {any(std::max(1, widget->width())), any(std::max(1, widget->height()))}; }

    const char* click() {
        QWidget* widget = somewhere();
        on_ = QString::fromLatin1(widget->metaObject()->className()) + QLatin1Char(' ') + widget->objectName();
        if (auto* button = qobject_cast<QAbstractButton*>(widget); button && button->text().contains(QStringLiteral("rint")))
            return "no printing";
        QTest::mouseClick(widget, any(12) == 0 ? Qt::RightButton : Qt::LeftButton, any(6) == 0 ? Qt::ControlModifier : Qt::NoModifier,
                          in(widget));
        return "click";
    }
    const char* drag() {
        QWidget* widget = somewhere();
        const QPoint from = in(widget), to = in(widget);
        QTest::mousePress(widget, Qt::LeftButton, any(3) == 0 ? Qt::AltModifier : Qt::NoModifier, from);
        for (int i = 1; i <= 4; ++i)
            QTest::mouseMove(widget, from + (to - from) * i / 4);
        if (any(8) == 0) QTest::keyClick(widget, Qt::Key_Escape);
        QTest::mouseRelease(widget, Qt::LeftButton, Qt::NoModifier, to);
        return "drag";
    }
    const char* key() {
        static constexpr Qt::Key kKeys[] = {Qt::Key_Tab,    Qt::Key_Return,   Qt::Key_Escape, Qt::Key_Space,  Qt::Key_Up,
                                            Qt::Key_Down,   Qt::Key_Left,     Qt::Key_Right,  Qt::Key_Delete, Qt::Key_Backspace,
                                            Qt::Key_PageUp, Qt::Key_PageDown, Qt::Key_Home,   Qt::Key_End,    Qt::Key_W,
                                            Qt::Key_B,      Qt::Key_M,        Qt::Key_P,      Qt::Key_1,      Qt::Key_7};
        QWidget* to = QApplication::focusWidget() ? QApplication::focusWidget() : window_.get();
        QTest::keyClick(to, kKeys[any(static_cast<int>(std::size(kKeys)))], any(8) == 0 ? Qt::AltModifier : Qt::NoModifier);
        return "key";
    }
    const char* type() {
        static const QStringList kTexts = {QStringLiteral("11.7"),
                                           QStringLiteral("0.8 of the shank"),
                                           QStringLiteral("to the point"),
                                           QStringLiteral("-1"),
                                           QStringLiteral("1e400"),
                                           QStringLiteral("<img src=\"/dev/zero\">"),
                                           QStringLiteral("häl✓ 漢字 \U0001F41F"),
                                           QString(3000, QLatin1Char('x')),
                                           QString(),
                                           QStringLiteral("2026-02-30"),
                                           QStringLiteral("5 to 3"),
                                           QStringLiteral("%1 %n &x"),
                                           QStringLiteral("nan")};
        QList<QLineEdit*> lines;
        for (QLineEdit* line : window_->findChildren<QLineEdit*>())
            if (line->isVisible() && line->isEnabled() && !line->isReadOnly()) lines << line;
        if (lines.isEmpty()) return "nothing to type in";
        QLineEdit* line = lines[any(static_cast<int>(lines.size()))];
        line->setFocus();
        line->selectAll();
        line->insert(kTexts[any(static_cast<int>(kTexts.size()))]);
        QTest::keyClick(line, Qt::Key_Return);
        return "type";
    }
    const char* choose() {
        QList<QComboBox*> boxes;
        for (QComboBox* box : window_->findChildren<QComboBox*>())
            if (box->isVisible() && box->isEnabled() && box->count() > 0) boxes << box;
        if (boxes.isEmpty()) return "nothing to choose";
        QComboBox* box = boxes[any(static_cast<int>(boxes.size()))];
        const int index = any(box->count());
        box->setCurrentIndex(index);
        emit box->activated(index);
        return "choose";
    }
    const char* fly() {
        const Book& book = window_->document().book();
        if (!book.patterns.empty() && any(2) == 0)
            window_->document().choosePattern(book.patterns[static_cast<std::size_t>(any(static_cast<int>(book.patterns.size())))].id);
        else if (!book.teams.empty())
            window_->document().chooseTeam(book.teams[static_cast<std::size_t>(any(static_cast<int>(book.teams.size())))].id);
        return "fly";
    }
    const char* closeDialogs() {
        for (int i = 0; i < 5; ++i) {
            if (QWidget* popup = QApplication::activePopupWidget())
                popup->close();
            else if (QWidget* dialog = QApplication::activeModalWidget())
                dialog->close();
        }
        for (QDialog* dialog : window_->findChildren<QDialog*>())
            dialog->close();
        return "dialogs";
    }
    // Another program edits the same book.
    const char* otherWindow() {
        auto home = store::openHome(file_.toStdString(), store::Access::readWrite);
        if (!home) return "the other can't open it";
        const auto read = (*home)->read();
        if (!read || read->book.patterns.empty()) return "the other reads nothing";
        const std::string& id = read->book.patterns[static_cast<std::size_t>(any(static_cast<int>(read->book.patterns.size())))].id;
        try {
            (*home)->keep(read->book,
                          changePatternField(read->book, DressingId(id), "note", "by the other, " + std::to_string(steps_))->after,
                          "other");
        } catch (const store::DiskError&) {
        }
        window_->document().tend();
        return "the other window";
    }
    // A calliper that comes, says something or rubbish, and goes.
    const char* device() {
        if (!server_) {
            server_ = std::make_unique<QLocalServer>();
            const QString path = devices::socketPath(QStringLiteral("machair-calliper"));
            QLocalServer::removeServer(path);
            server_->listen(path);
            window_->devices().connectNow();
            return "calliper comes";
        }
        if (QLocalSocket* one = server_->nextPendingConnection()) peers_ << one;
        if (!peers_.isEmpty()) {
            peers_.back()->write(any(3) == 0 ? QByteArray("\xff\xfe rubbish\n") : QByteArray::number(0.2 + any(300) / 10.0) + " mm\n");
            peers_.back()->flush();
        }
        if (any(5) == 0) {
            server_.reset();
            peers_.clear();
            return "calliper goes";
        }
        return "calliper says";
    }
    const char* again() {
        closeDialogs();
        window_->close();
        window_.reset();
        open();
        return "again";
    }

    std::mt19937 random_;
    QString folder_;
    QSettings settings_;
    QString file_;
    Faults faults_;
    std::unique_ptr<MainWindow> window_;
    Book start_;
    std::unique_ptr<QLocalServer> server_;
    QList<QLocalSocket*> peers_;
    QTimer patience_;
    QString on_;  // what was clicked last
    int steps_ = 0, edits_ = 0, starts_ = 0, held_ = 0, wrong_ = 0;
};

}  // namespace

int main(int argc, char** argv) {
    if (qEnvironmentVariableIsEmpty("QT_QPA_PLATFORM")) qputenv("QT_QPA_PLATFORM", "offscreen");
    Application application(argc, argv);
    loadFace();
    QTemporaryDir folder;
    qputenv("XDG_RUNTIME_DIR", folder.path().toLocal8Bit());  // its devices are its own
    QDir::setCurrent(folder.path());                          // what it saves, it saves there
    const QStringList words = QApplication::arguments();
    Monkey monkey(words.value(1, QStringLiteral("1")).toUInt(), folder.path());
    return monkey.run(words.value(2, QStringLiteral("1")).toDouble());
}
