// The pictures of a day, small. Files are read in the background; those that lie outside the book's own folder only once
// the user asks for them: a book that somebody sent may name any file.
#pragma once

#include <QImage>
#include <QWidget>
#include <set>
#include <string>
#include <vector>

#include "editing/background.h"
#include "editing/document.h"
#include "theme/theme.h"

class QToolButton;

namespace machair::app {

class PhotoStrip : public QWidget {
    Q_OBJECT
  public:
    PhotoStrip(Document& document, const Theme& theme, QWidget* parent = nullptr);
    void show(const std::vector<std::string>& files);
    // The user chose a file there, or asked to see what lies there.
    void allow(const std::string& file);
    [[nodiscard]] std::size_t pictures() const { return shown_.size(); }
    [[nodiscard]] QSize sizeHint() const override;

  protected:
    void paintEvent(QPaintEvent* event) override;

  private:
    struct Shown {
        QImage picture;
        QString missing;  // why it isn't there
    };
    void load();
    [[nodiscard]] bool mayOpen(const std::string& file) const;

    Document& document_;
    const Theme& theme_;
    Background background_{document_};
    QToolButton* ask_;
    std::vector<std::string> files_;
    std::vector<Shown> shown_;
    std::set<std::string> allowed_;  // folders
};

}  // namespace machair::app
