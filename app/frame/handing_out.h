// What of the bench is given away: a dressing or a team with all it needs as a small bench file, a picture to the clipboard or into a
// file. (Paper has a sheet of its own, paper_sheet.h.)
#pragma once

#include <QObject>
#include <QSize>
#include <QString>

#include "editing/document.h"
#include "theme/theme.h"

#include "book/records.h"

class QMenu;
class QPainter;

namespace machair::app {

class HandingOut : public QObject {
    Q_OBJECT
  public:
    HandingOut(Document& document, const Theme& theme, QWidget* window);
    // Its commands, each known by name.
    void fill(QMenu* menu);
    // A record with all it needs, as a bench file.
    bool share(const RecordId& record, const QString& path);
    // The fly on the bench, or the team's side by side, as PNG or SVG by the path's ending.
    enum class Shown { fly, team };
    bool keepPicture(Shown shown, const QString& path);

  signals:
    void said(const QString& how);

  private:
    void copyPicture(Shown shown);
    void paintPicture(QPainter& painter, Shown shown, QSize size);
    [[nodiscard]] QString nameOfShown(Shown shown) const;  // empty where there is nothing to show

    Document& document_;
    const Theme& theme_;
    QWidget* window_;
};

}  // namespace machair::app
