// A station's side panel: as wide as its text wants, scrolled where the window is low, and as high inside as its words need when they
// are wrapped (a plain scroll area would press them together first).
#pragma once

#include <QScrollArea>

namespace machair::app {

class SidePanel : public QScrollArea {
    Q_OBJECT
  public:
    // `width` px at the system's own size of text; more where the text is larger, up to half as much again.
    SidePanel(QWidget* panel, int width, QWidget* parent = nullptr);

  protected:
    void resizeEvent(QResizeEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;
    void changeEvent(QEvent* event) override;

  private:
    void fit();
    int width_;
};

}  // namespace machair::app
