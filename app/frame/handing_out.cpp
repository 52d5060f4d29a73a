#include "frame/handing_out.h"

#include <QClipboard>
#include <QGuiApplication>
#include <QImage>
#include <QMenu>
#include <QPainter>
#include <QSvgGenerator>
#include <vector>

#include "book/sharing.h"
#include "drawing/fly_painter.h"
#include "drawing/things.h"
#include "frame/ask_file.h"
#include "scene/scene.h"
#include "store/home.h"
#include "units/text.h"

namespace machair::app {

HandingOut::HandingOut(Document& document, const Theme& theme, QWidget* window)
    : QObject(window), document_(document), theme_(theme), window_(window) {}

void HandingOut::fill(QMenu* menu) {
    const auto entry = [&](const char* name, const QString& text, const QString& tip, auto work) {
        QAction* action = menu->addAction(text, this, work);
        action->setObjectName(QString::fromLatin1(name));
        action->setToolTip(tip);
    };
    const auto shareAs = [this](const RecordId& record) {
        const QString at = qt(titleOf(document_.book(), record)) + QStringLiteral(".machair.json");
        askWhereToWrite(window_, tr("Share as"), at, tr("Bench file to share (*.machair.json)"), QStringLiteral("machair.json"),
                        [this, record](const QString& path) { share(record, path); });
    };
    entry("share-dressing", tr("Share this &dressing…"), tr("With its hook and all it is tied from, as a small bench file"),
          [this, shareAs] {
              if (document_.pattern()) shareAs({"patterns", document_.pattern()->id});
          });
    entry("share-team", tr("Share this &team…"), tr("Its flies, their hooks and all they are tied from, as a small bench file"),
          [this, shareAs] {
              if (document_.team()) shareAs({"teams", document_.team()->id});
          });
    entry("copy-picture", tr("A &picture of the fly to the clipboard"), tr("As large as a page is wide"),
          [this] { copyPicture(Shown::fly); });
    entry("copy-team-picture", tr("A picture of the team to the clipboard"), tr("Its flies side by side, to one scale"),
          [this] { copyPicture(Shown::team); });
    const auto keepAs = [this](Shown shown) {
        const QString name = nameOfShown(shown);
        if (name.isEmpty()) return;
        askWhereToWrite(window_, tr("Keep the picture as"), name, tr("Picture (*.png);;Drawing (*.svg)"), QStringLiteral("png"),
                        [this, shown](const QString& path) { keepPicture(shown, path); });
    };
    entry("keep-picture", tr("Keep a picture of the fly…"), tr("PNG or SVG"), [keepAs] { keepAs(Shown::fly); });
    entry("keep-team-picture", tr("Keep a picture of the team…"), tr("PNG or SVG"), [keepAs] { keepAs(Shown::team); });
}

bool HandingOut::share(const RecordId& record, const QString& path) {
    const auto shared = shareOf(document_.book(), {record});
    const Faults faults = shared ? store::writeBook(path.toStdString(), *shared) : shared.error();
    emit said(faults.empty() ? tr("%1 is in %2, with all it needs").arg(qt(titleOf(document_.book(), record)), path)
                             : tr("Not shared: %1").arg(qt(faults.front().line())));
    return faults.empty();
}

namespace {
constexpr QSize kPicture(1600, 1000), kTeamPicture(2100, 700);
}  // namespace

void HandingOut::paintPicture(QPainter& painter, Shown shown, QSize size) {
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(QRect(QPoint(0, 0), size), theme_.colours().paper);
    constexpr int kMargin = 60;
    const QRectF frame = QRectF(QPointF(0, 0), size).adjusted(kMargin, kMargin, -kMargin, -kMargin);
    if (shown == Shown::fly) {
        const Scene scene = makeScene(*document_.plan());
        return drawing::paintFly(painter, scene, drawing::fitView(scene, frame, theme_.bench(), 90.0));
    }
    std::vector<Fly> flies;
    for (const Position position : kPositions)
        if (document_.team()->at(position)) flies.push_back(*document_.team()->at(position));
    drawing::paintFlies(painter, document_.book(), flies, frame, theme_.bench(), 40.0);
}

QString HandingOut::nameOfShown(Shown shown) const {
    if (shown == Shown::fly) return document_.plan() ? qt(document_.pattern()->title()) : QString();
    return document_.team() ? qt(document_.team()->title()) : QString();
}

void HandingOut::copyPicture(Shown shown) {
    if (nameOfShown(shown).isEmpty()) return;
    QImage image(shown == Shown::fly ? kPicture : kTeamPicture, QImage::Format_RGB32);
    QPainter painter(&image);
    paintPicture(painter, shown, image.size());
    painter.end();
    QGuiApplication::clipboard()->setImage(image);
    emit said(tr("A picture of %1 is on the clipboard").arg(nameOfShown(shown)));
}

bool HandingOut::keepPicture(Shown shown, const QString& path) {
    if (nameOfShown(shown).isEmpty()) return false;
    const QSize size = shown == Shown::fly ? kPicture : kTeamPicture;
    bool written = false;
    if (path.endsWith(QLatin1String(".svg"))) {
        QSvgGenerator svg;
        svg.setFileName(path);
        svg.setSize(size);
        svg.setViewBox(QRect(QPoint(0, 0), size));
        svg.setTitle(nameOfShown(shown));
        QPainter painter;
        written = painter.begin(&svg);
        if (written) paintPicture(painter, shown, size);
    } else {
        QImage image(size, QImage::Format_RGB32);
        QPainter painter(&image);
        paintPicture(painter, shown, size);
        painter.end();
        written = image.save(path);
    }
    emit said(written ? tr("The picture is in %1").arg(path) : tr("%1 could not be written").arg(path));
    return written;
}

}  // namespace machair::app
