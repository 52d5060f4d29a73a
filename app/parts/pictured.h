// A list whose lines have a picture of what they speak of, painted in the background and put in where it is there.
#pragma once

#include <QIcon>
#include <QListWidget>
#include <QPixmap>

#include "book/records.h"
#include "parts/pictures.h"

namespace machair::app {

inline constexpr int kPicturedList = Qt::UserRole + 20, kPicturedId = Qt::UserRole + 21;

inline void lookForPicture(QListWidgetItem& item, Pictures& pictures) {
    const QListWidget* list = item.listWidget();
    const QString of = item.data(kPicturedId).toString();
    if (!list || of.isEmpty()) return;
    const QImage image =
        pictures.get({item.data(kPicturedList).toString().toStdString(), of.toStdString()}, list->iconSize(), list->devicePixelRatioF());
    if (!image.isNull()) item.setIcon(QIcon(QPixmap::fromImage(image)));
}

inline void setPictured(QListWidgetItem& item, const RecordId& record, Pictures& pictures) {
    item.setData(kPicturedList, qt(record.list));
    item.setData(kPicturedId, qt(record.id));
    QPixmap room(item.listWidget()->iconSize());  // the line is as high before its picture is there
    room.fill(Qt::transparent);
    item.setIcon(QIcon(room));
    lookForPicture(item, pictures);
}

inline void showPictures(QListWidget* list, Pictures& pictures, QSize size) {
    list->setIconSize(size);
    QObject::connect(&pictures, &Pictures::painted, list, [list, &pictures] {
        if (!list->isVisible()) return;
        const QSignalBlocker quiet(list);
        for (int row = 0; row < list->count(); ++row)
            lookForPicture(*list->item(row), pictures);
        list->viewport()->update();
    });
}

}  // namespace machair::app
