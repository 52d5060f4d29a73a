// What a thing of the drawers looks like: a hook to scale with its measures, a material as it lies when it is tied.
#pragma once

#include <QWidget>
#include <optional>
#include <string>

#include "drawing/fly_painter.h"
#include "editing/document.h"
#include "theme/theme.h"

namespace machair::app {

class ThingView : public QWidget {
    Q_OBJECT
  public:
    ThingView(Document& document, const Theme& theme, QWidget* parent = nullptr);
    void showHook(const std::string& id);
    void showMaterial(const std::string& id);
    void showNothing();
    [[nodiscard]] QSize sizeHint() const override { return {380, 190}; }
    [[nodiscard]] bool showsSomething() const { return scene_.has_value(); }

  protected:
    void paintEvent(QPaintEvent* event) override;

  private:
    Document& document_;
    const Theme& theme_;
    std::optional<Scene> scene_;
    std::optional<Hook> hook_;
};

}  // namespace machair::app
