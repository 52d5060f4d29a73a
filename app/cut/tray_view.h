// The tray: everything that is laid out before the first turn, drawn one by one in laying-out order, each to its own scale
// bar.
#pragma once

#include <QWidget>
#include <vector>

#include "cutting/laying_out.h"
#include "editing/document.h"
#include "theme/theme.h"

namespace machair::app {

class TrayView : public QWidget {
    Q_OBJECT
  public:
    TrayView(Document& document, const Theme& theme, QWidget* parent = nullptr);
    void show(Plan plan, std::vector<LaidOut> laid, int flies);
    [[nodiscard]] std::size_t pieces() const { return laid_.size(); }
    [[nodiscard]] QRectF cellOf(std::size_t piece) const;

  protected:
    void paintEvent(QPaintEvent* event) override;

  private:
    void paintPiece(QPainter& painter, const QRectF& area, const LaidOut& laid) const;
    [[nodiscard]] QColor inkOf(const LaidOut& laid) const;

    Document& document_;
    const Theme& theme_;
    std::optional<Plan> plan_;
    std::vector<LaidOut> laid_;
    int flies_ = 1;
};

}  // namespace machair::app
