#include "frame/application.h"

#include <QHelpEvent>
#include <QImageReader>
#include <QLabel>
#include <QToolTip>
#include <new>

#include "parts/lengths.h"
#include "store/disk.h"
#include "theme/theme.h"

namespace machair::app {

Application::Application(int& argc, char** argv) : QApplication(argc, argv) {
    constexpr int kMegabytesOfAPicture = 2048;  // read_picture.h bounds what is read; Qt's own 256 refuse what is shrunk on reading
    QImageReader::setAllocationLimit(kMegabytesOfAPicture);
    installEventFilter(this);
    static_cast<void>(textScale());  // the system's size of text, before anything changes it
}

bool Application::notify(QObject* receiver, QEvent* event) {
    try {
        return QApplication::notify(receiver, event);
    } catch (const store::DiskError& error) {
        emit wentWrong(QString::fromStdString(error.what()));
    } catch (const std::bad_alloc&) {
        emit wentWrong(tr("there is not enough memory for that"));
    } catch (const std::exception& error) {
        qWarning("went wrong: %s", error.what());  // for us; a library's own words are nothing for a tier
        emit wentWrong(tr("the program could not do that. The book is as it was"));
    }
    return false;
}

// Qt's tip is a label that would read mark-up; before it has a text it is polished.
bool Application::eventFilter(QObject* watched, QEvent* event) {
    if (const auto* widget = event->type() == QEvent::ToolTip ? qobject_cast<QWidget*>(watched) : nullptr;
        widget && !widget->toolTip().isEmpty()) {
        QToolTip::showText(static_cast<QHelpEvent*>(event)->globalPos(), broken(inHouseWords(widget->toolTip())));
        return true;
    }
    if (event->type() == QEvent::Polish && watched->inherits("QTipLabel")) static_cast<QLabel*>(watched)->setTextFormat(Qt::PlainText);
    return false;
}

}  // namespace machair::app
