// What is chosen in the Drawers, large: a hook with its measures as dimensions on it, a material as it lies on the bench and as it lies
// on a fly, anything else as its picture. A dimension that is pressed is the one to be typed or measured.
#pragma once

#include <QWidget>
#include <optional>
#include <vector>

#include "book/blend.h"
#include "book/records.h"
#include "editing/document.h"
#include "parts/spoken.h"
#include "scene/scene.h"
#include "theme/theme.h"

namespace machair::app {

class ThingView : public QWidget, public Spoken {
    Q_OBJECT
  public:
    ThingView(Document& document, const Theme& theme, QWidget* parent = nullptr);
    void show(const RecordId& record);  // nothing where its id is empty
    [[nodiscard]] QSize sizeHint() const override { return {380, 230}; }

    [[nodiscard]] std::vector<SpokenPart> spokenParts() const override;
    void choosePart(std::size_t part) override;

  signals:
    void dimensionChosen(const std::string& key);  // as the sheet calls it: "measured.shank_mm"

  protected:
    void paintEvent(QPaintEvent* event) override;
    void showEvent(QShowEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;

  private:
    void take();
    void paintHook(QPainter& painter);
    void paintMaterial(QPainter& painter, const Material& material);
    void paintDimension(QPainter& painter, const QLineF& line, bool measured, bool usual) const;
    void paintBlend(QPainter& painter, const Blended& blend) const;
    void write(QPainter& painter, QPointF at, const QString& text, const std::string& key);

    Document& document_;
    const Theme& theme_;
    RecordId record_;
    std::optional<Scene> scene_;
    std::optional<Hook> hook_;
    struct Dimension {
        QRectF rect;
        std::string key;
        QString text;
    };
    std::vector<Dimension> dimensions_;
};

}  // namespace machair::app
