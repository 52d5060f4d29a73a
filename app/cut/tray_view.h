// The table seen from above: everything that is laid out before the first turn, in tying order, all at one true scale, each
// with its words below it, ticked off as it is laid. What the drawers hold too little of says so.
#pragma once

#include <QSet>
#include <QWidget>
#include <map>
#include <vector>

#include "cutting/laying_out.h"
#include "editing/document.h"
#include "parts/spoken.h"
#include "theme/theme.h"

namespace machair::app {

class TrayView : public QWidget, public Spoken {
    Q_OBJECT
  public:
    // What lies there for one dressing, and what else is to be said of a part's: the band of its cape.
    struct OnTable {
        Plan plan;
        std::vector<LaidOut> laid;
        int flies = 1;
        std::map<std::size_t, QStringList> notes;
    };
    TrayView(Document& document, const Theme& theme, QWidget* parent = nullptr);
    // `roomHigh`: px that are seen of it at once.
    void show(std::vector<OnTable> dressings, int roomHigh);
    void layNoMore();  // nothing is ticked any more
    [[nodiscard]] std::size_t pieces() const { return pieces_.size(); }
    [[nodiscard]] QRectF cellOf(std::size_t piece) const;
    [[nodiscard]] bool isLaid(std::size_t piece) const;
    [[nodiscard]] const QStringList& wordsOf(std::size_t piece) const { return pieces_.at(piece).words; }
    void tick(std::size_t piece);

    [[nodiscard]] std::vector<SpokenPart> spokenParts() const override;
    void choosePart(std::size_t part) override { tick(part); }

  signals:
    void ticked(int laid, int all);

  protected:
    void paintEvent(QPaintEvent* event) override;
    void resizeEvent(QResizeEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void keyPressEvent(QKeyEvent* event) override;

  private:
    static constexpr double kGap = 10.0, kInside = 8.0, kTickSide = 18.0;  // px; kInside from a place's edge to what lies in it
    struct Piece {
        std::size_t dressing = 0;
        LaidOut laid;
        QStringList words;
        QRectF place = {};
    };
    [[nodiscard]] QStringList wordsOf(const OnTable& dressing, const LaidOut& laid) const;
    [[nodiscard]] static bool isShort(const Stock& stock, const LaidOut& laid, int flies);
    [[nodiscard]] QSizeF sizeOf(const Piece& piece) const;  // mm
    [[nodiscard]] double captionHeight(const Piece& piece, double wide) const;
    void layOutTable();
    double place(double scale);
    void paintPlace(QPainter& painter, std::size_t piece) const;
    void paintPiece(QPainter& painter, const QRectF& area, const Piece& piece) const;
    [[nodiscard]] QColor inkOf(const LaidOut& laid) const;
    [[nodiscard]] QString keyOf(const Piece& piece) const;
    void sayTable();

    Document& document_;
    const Theme& theme_;
    std::vector<OnTable> dressings_;
    std::vector<Piece> pieces_;
    std::vector<double> headings_;  // where each dressing's name stands
    QSet<QString> laid_;
    int roomHigh_ = 400;
    double scale_ = 6.0;
    int current_ = 0;
};

}  // namespace machair::app
