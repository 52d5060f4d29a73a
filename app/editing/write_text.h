// A text into a file of the user's choice, as one step; how it went is said on the quiet line.
#pragma once

#include <QSaveFile>
#include <string>

#include "editing/document.h"

namespace machair::app {

inline void writeText(Document& document, const QString& path, const std::string& text) {
    QSaveFile file(path);
    const QByteArray bytes = QByteArray::fromStdString(text);
    const bool kept = file.open(QIODevice::WriteOnly) && file.write(bytes) == bytes.size() && file.commit();
    document.say(kept ? QObject::tr("Written to %1").arg(path) : QObject::tr("%1 could not be written: %2").arg(path, file.errorString()));
}

}  // namespace machair::app
