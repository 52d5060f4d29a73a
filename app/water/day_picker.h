// The day as it looks: the light as a sky, the water by its colour, the boat with its drogue out and as it drifts, the month on a
// ring with what is about in it. A press chooses, the same press again lets go. By keyboard Left and Right go on, Space chooses.
#pragma once

#include <QWidget>
#include <vector>

#include "editing/document.h"
#include "parts/spoken.h"
#include "theme/theme.h"

namespace machair::app {

class DayPicker : public QWidget, public Spoken {
    Q_OBJECT
  public:
    DayPicker(Document& document, const Theme& theme, QWidget* parent = nullptr);
    void refresh();
    // Of a water's key ("light", "colour", "drogue", "own_drift", "month") and what it would say.
    struct Choice {
        const char* key;
        std::string text;
        QString name;
        QRectF place;
        bool chosen = false;
        int about = 0;  // creatures, of a month
    };
    [[nodiscard]] const std::vector<Choice>& choices() const { return choices_; }
    [[nodiscard]] std::vector<SpokenPart> spokenParts() const override;
    void choosePart(std::size_t part) override;
    [[nodiscard]] QSize sizeHint() const override { return {250, 332}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {200, 332}; }

  signals:
    void chose(const std::string& key, const std::string& text);

  protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;
    bool event(QEvent* event) override;

  private:
    void place();
    [[nodiscard]] QPointF ring() const;
    void paintTile(QPainter& painter, const Choice& choice) const;
    void paintBoat(QPainter& painter, const QRectF& box, bool drogue) const;
    void paintMonth(QPainter& painter, const Choice& choice, std::size_t month) const;
    [[nodiscard]] std::optional<std::size_t> at(QPointF at) const;

    Document& document_;
    const Theme& theme_;
    std::vector<Choice> choices_;
    std::size_t current_ = 0;
};

}  // namespace machair::app
