// Pictures of what the book holds, painted away from the window's thread and kept: a tray or chooser asks for one and gets it,
// or is told when it is there. After an edit the old one is shown until the new one is painted.
#pragma once

#include <QImage>
#include <QObject>
#include <QThreadPool>
#include <unordered_map>
#include <unordered_set>

#include "book/records.h"
#include "editing/document.h"
#include "theme/theme.h"

namespace machair::app {

class Pictures : public QObject {
    Q_OBJECT
  public:
    // One for each open document: everybody who shows its things shares what was painted.
    [[nodiscard]] static Pictures& of(Document& document, const Theme& theme);
    ~Pictures() override;

    // Null while it is being painted for the first time.
    [[nodiscard]] QImage get(const RecordId& record, QSize size, double devicePixelRatio);

  signals:
    void painted();  // one or more that were asked for are there

  private:
    Pictures(Document& document, const Theme& theme);
    struct Kept {
        QImage image;
        int edition = -1;  // of the book and bench that it shows
    };
    void forget();
    void newer();
    void paint(const std::string& key, const RecordId& record, QSize size, double devicePixelRatio);

    Document& document_;
    const Theme& theme_;
    QThreadPool pool_;
    std::unordered_map<std::string, Kept> kept_;
    std::unordered_set<std::string> underWay_;
    int edition_ = 0;
    bool telling_ = false;
};

}  // namespace machair::app
