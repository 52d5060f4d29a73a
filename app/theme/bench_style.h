// How the window's controls are drawn: Qt's own Fusion with our buttons, lists, menus and tips, all in the palette's colours. A
// style sheet would say the same in fewer lines, and restyle some three thousand widgets one by one whenever the light changes.
#pragma once

#include <QProxyStyle>

namespace machair::app {

class BenchStyle : public QProxyStyle {
    Q_OBJECT
  public:
    BenchStyle();
    // Set on a button whose words begin at its left.
    static constexpr const char* kFromTheLeft = "fromTheLeft";
    // Set on a line or a choice that is written on a card: its words over a dotted line, and nothing around them.
    static constexpr const char* kOnPaper = "onPaper";

    using QProxyStyle::polish;
    void polish(QWidget* widget) override;
    void drawPrimitive(PrimitiveElement element, const QStyleOption* option, QPainter* painter, const QWidget* widget) const override;
    void drawControl(ControlElement element, const QStyleOption* option, QPainter* painter, const QWidget* widget) const override;
    void drawComplexControl(ComplexControl control, const QStyleOptionComplex* option, QPainter* painter,
                            const QWidget* widget) const override;
    [[nodiscard]] QSize sizeFromContents(ContentsType type, const QStyleOption* option, const QSize& size,
                                         const QWidget* widget) const override;
    [[nodiscard]] QRect subElementRect(SubElement element, const QStyleOption* option, const QWidget* widget) const override;
    [[nodiscard]] int pixelMetric(PixelMetric metric, const QStyleOption* option, const QWidget* widget) const override;
};

}  // namespace machair::app
