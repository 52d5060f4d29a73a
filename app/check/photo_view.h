// The photograph with the plan laid over it in outline, and handles on every tip and edge: dragged to where they are on
// the picture, they measure it. The landmarks (eye, bend, point) can be dragged too, where the hook was not found.
#pragma once

#include <QImage>
#include <QWidget>
#include <optional>

#include "checking/checking.h"
#include "editing/document.h"
#include "parts/spoken.h"
#include "photo/registration.h"
#include "scene/scene.h"
#include "theme/theme.h"

namespace machair::app {

class PhotoView : public QWidget, public Spoken {
    Q_OBJECT
  public:
    PhotoView(Document& document, const Theme& theme, QWidget* parent = nullptr);
    void show(QImage picture, std::optional<photo::Registration> found);
    void clear();
    [[nodiscard]] bool hasPicture() const { return !picture_.isNull(); }
    [[nodiscard]] const std::optional<photo::Registration>& registration() const { return registration_; }
    // Puts the handle of a part's figure where that length was found on the picture.
    void placeTip(std::size_t part, Length x);
    // Where a handle of the picture is drawn; tests drag it from there. Landmarks are named "eye", "bend" and "point".
    [[nodiscard]] std::optional<QPointF> placeOf(const QString& name) const;

    [[nodiscard]] std::vector<SpokenPart> spokenParts() const override;
    void choosePart(std::size_t part) override;

  signals:
    void measured(std::size_t part, const QString& figure, double millimetres);
    void marked();  // a landmark was moved: everything is registered anew

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;
    void mouseReleaseEvent(QMouseEvent* event) override;

  private:
    struct Tip {
        Handle handle;
        Point2 at;  // on the picture, in the hook's frame
    };
    struct Landmarked {
        QString name;
        Point2 at;
        photo::Pixel seen;
    };
    void replan();
    [[nodiscard]] QString liftOf(const Tip& tip) const;
    [[nodiscard]] QPointF onScreen(photo::Pixel at) const;
    [[nodiscard]] photo::Pixel onPicture(QPointF at) const;
    [[nodiscard]] QRectF shown() const;  // the part of the picture that is, px of it
    [[nodiscard]] double fit() const;

    Document& document_;
    const Theme& theme_;
    std::optional<Plan> plan_;  // what is laid over
    QImage picture_;
    std::optional<photo::Registration> registration_;
    std::optional<photo::Registration> found_;  // as the picture was opened with: what the view is laid out by
    std::optional<Scene> scene_;
    std::vector<Tip> tips_;
    std::vector<Landmarked> landmarks_;
    int grabbed_ = -1;  // tips, then landmarks
};

}  // namespace machair::app
