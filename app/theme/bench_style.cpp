#include "theme/bench_style.h"

#include <QAbstractItemView>
#include <QListWidget>
#include <QPainter>
#include <QPushButton>
#include <QScrollArea>
#include <QStyleFactory>
#include <QStyleOption>
#include <QTableView>
#include <algorithm>

namespace machair::app {

namespace {

constexpr QSize kButtonPadding(22, 10);  // around its words, its edge counted
constexpr double kRound = 4.0;
constexpr int kMenuPadding = 5, kTipPadding = 5;

// Lists of whole sentences are set closer than lists of names.
QSize paddingOf(const QWidget* view) {
    static const QStringList kClose = {QStringLiteral("proposals"), QStringLiteral("choices"), QStringLiteral("steps"),
                                       QStringLiteral("cuts"),      QStringLiteral("season"),  QStringLiteral("days"),
                                       QStringLiteral("batches")};
    if (!qobject_cast<const QListWidget*>(view)) return {0, 0};
    if (view->objectName() == QLatin1String("drawer-list")) return {12, 3};
    return kClose.contains(view->objectName()) ? QSize(4, 3) : QSize(12, 7);
}

bool isPadded(QStyle::SubElement element) {
    return element == QStyle::SE_ItemViewItemText || element == QStyle::SE_ItemViewItemDecoration ||
           element == QStyle::SE_ItemViewItemCheckIndicator;
}

QStyleOptionViewItem within(const QStyleOptionViewItem& item, QSize padding) {
    QStyleOptionViewItem inner = item;
    inner.rect.adjust(padding.width(), padding.height(), -padding.width(), -padding.height());
    return inner;
}

void paintButton(const QStyleOption& option, QPainter& painter) {
    const QPalette& palette = option.palette;
    const bool enabled = option.state & QStyle::State_Enabled, on = option.state & QStyle::State_On;
    const bool focus = option.state & QStyle::State_HasFocus, over = option.state & QStyle::State_MouseOver;
    const QColor edge = !enabled              ? palette.color(QPalette::Window).darker(106)
                        : focus || over || on ? palette.color(QPalette::Highlight)
                                              : palette.color(QPalette::Mid);
    const bool strong = focus && enabled;
    const double half = strong ? 1.0 : 0.5;
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setPen(QPen(edge, 2.0 * half));
    QColor fill = palette.color(on ? QPalette::Highlight : QPalette::Button);
    if (enabled && (option.state & QStyle::State_Sunken)) fill = fill.darker(106);
    painter.setBrush(fill);
    painter.drawRoundedRect(QRectF(option.rect).adjusted(half, half, -half, -half), kRound, kRound);
    if (strong && on) {  // the edge alone would not be seen on its own colour
        painter.setPen(QPen(palette.color(QPalette::HighlightedText), 1.0));
        painter.setBrush(Qt::NoBrush);
        painter.drawRoundedRect(QRectF(option.rect).adjusted(2.5, 2.5, -2.5, -2.5), kRound - 1.0, kRound - 1.0);
    }
    painter.restore();
}

template <class Option>
Option onItsPanel(const Option& option) {
    Option label = option;
    if (option.state & QStyle::State_On) label.palette.setColor(QPalette::ButtonText, option.palette.color(QPalette::HighlightedText));
    return label;
}

bool isOnPaper(const QWidget* widget) { return widget && widget->property(BenchStyle::kOnPaper).toBool(); }

void paintWrittenLine(const QStyleOption& option, QPainter& painter) {
    const bool focused = option.state.testFlag(QStyle::State_HasFocus);
    painter.setPen(QPen(option.palette.color(focused ? QPalette::Highlight : QPalette::Mid), focused ? 2.0 : 1.0,
                        focused ? Qt::SolidLine : Qt::DotLine));
    painter.drawLine(option.rect.bottomLeft() - QPoint(0, 1), option.rect.bottomRight() - QPoint(0, 1));
}

}  // namespace

BenchStyle::BenchStyle() : QProxyStyle(QStyleFactory::create(QStringLiteral("Fusion"))) {}

void BenchStyle::polish(QWidget* widget) {
    QProxyStyle::polish(widget);
    if (auto* area = qobject_cast<QScrollArea*>(widget)) {
        area->setFrameShape(QFrame::NoFrame);
        area->viewport()->setAutoFillBackground(false);
    } else if (qobject_cast<QListWidget*>(widget) || qobject_cast<QTableView*>(widget)) {
        static_cast<QAbstractItemView*>(widget)->viewport()->setBackgroundRole(QPalette::Button);
    }
}

void BenchStyle::drawPrimitive(PrimitiveElement element, const QStyleOption* option, QPainter* painter, const QWidget* widget) const {
    switch (element) {
        case PE_PanelButtonCommand:
        case PE_PanelButtonTool: return paintButton(*option, *painter);
        case PE_FrameFocusRect:
            if (widget && (widget->inherits("QPushButton") || widget->inherits("QToolButton"))) return;  // its edge says it
            break;
        case PE_PanelLineEdit:
            if (isOnPaper(widget)) return paintWrittenLine(*option, *painter);
            break;
        case PE_PanelMenu: painter->fillRect(option->rect, option->palette.color(QPalette::Base)); return;
        case PE_FrameMenu:
            painter->setPen(option->palette.color(QPalette::Mid));
            painter->setBrush(Qt::NoBrush);
            painter->drawRect(option->rect.adjusted(0, 0, -1, -1));
            return;
        case PE_PanelTipLabel:
            painter->setPen(option->palette.color(QPalette::Mid));
            painter->setBrush(option->palette.color(QPalette::ToolTipBase));
            painter->drawRect(option->rect.adjusted(0, 0, -1, -1));
            return;
        default: break;
    }
    QProxyStyle::drawPrimitive(element, option, painter, widget);
}

void BenchStyle::drawControl(ControlElement element, const QStyleOption* option, QPainter* painter, const QWidget* widget) const {
    if (element == CE_PushButtonBevel) {
        paintButton(*option, *painter);
        return;
    }
    if (const auto* button = qstyleoption_cast<const QStyleOptionButton*>(option); button && element == CE_PushButtonLabel) {
        const QStyleOptionButton label = onItsPanel(*button);
        if (!widget || !widget->property(kFromTheLeft).toBool()) return QProxyStyle::drawControl(element, &label, painter, widget);
        proxy()->drawItemText(painter, option->rect.adjusted(6, 0, -6, 0), Qt::AlignLeft | Qt::AlignVCenter | Qt::TextShowMnemonic,
                              label.palette, option->state & State_Enabled, button->text, QPalette::ButtonText);
        return;
    }
    if (const auto* header = qstyleoption_cast<const QStyleOptionHeader*>(option)) {
        if (element == CE_HeaderSection) {
            painter->fillRect(option->rect, option->palette.color(QPalette::Button));
            painter->setPen(option->palette.color(QPalette::Mid));
            painter->drawLine(option->rect.bottomLeft(), option->rect.bottomRight());
            return;
        }
        if (element == CE_HeaderLabel) {
            QStyleOptionHeader soft = *header;
            soft.palette.setColor(QPalette::ButtonText, option->palette.color(QPalette::PlaceholderText));
            return QProxyStyle::drawControl(element, &soft, painter, widget);
        }
    }
    QProxyStyle::drawControl(element, option, painter, widget);
}

void BenchStyle::drawComplexControl(ComplexControl control, const QStyleOptionComplex* option, QPainter* painter,
                                    const QWidget* widget) const {
    if (control == CC_ComboBox && isOnPaper(widget)) {
        paintWrittenLine(*option, *painter);
        QStyleOption arrow = *option;
        arrow.rect = proxy()->subControlRect(CC_ComboBox, option, SC_ComboBoxArrow, widget).adjusted(6, 8, -6, -8);
        return proxy()->drawPrimitive(PE_IndicatorArrowDown, &arrow, painter, widget);
    }
    const auto* button = control == CC_ToolButton ? qstyleoption_cast<const QStyleOptionToolButton*>(option) : nullptr;
    if (!button) return QProxyStyle::drawComplexControl(control, option, painter, widget);
    paintButton(*option, *painter);
    QStyleOptionToolButton label = onItsPanel(*button);
    label.features &= ~(QStyleOptionToolButton::HasMenu | QStyleOptionToolButton::MenuButtonPopup);  // its words say so where it has one
    label.state &= ~State_Sunken;                                                                    // words stay where they are
    constexpr int kEdge = 2;
    label.rect = option->rect.adjusted(kEdge, kEdge, -kEdge, -kEdge);
    proxy()->drawControl(CE_ToolButtonLabel, &label, painter, widget);
}

QSize BenchStyle::sizeFromContents(ContentsType type, const QStyleOption* option, const QSize& size, const QWidget* widget) const {
    switch (type) {
        case CT_ToolButton:
        case CT_PushButton: {
            const auto* tool = qstyleoption_cast<const QStyleOptionToolButton*>(option);
            constexpr int kBesideIcon = 6;  // its own room is air enough
            return size + kButtonPadding - QSize(tool && !tool->icon.isNull() ? kBesideIcon : 0, 0);
        }
        case CT_MenuItem: {
            QSize item = QProxyStyle::sizeFromContents(type, option, size, widget);
            const auto* menu = qstyleoption_cast<const QStyleOptionMenuItem*>(option);
            if (menu && menu->menuItemType != QStyleOptionMenuItem::Separator)
                item.setHeight(std::max(item.height(), menu->fontMetrics.height() + 2 * kMenuPadding));
            return item;
        }
        case CT_ItemViewItem: {
            const auto* item = qstyleoption_cast<const QStyleOptionViewItem*>(option);
            const QSize padding = paddingOf(item ? item->widget : widget);
            if (!item || padding.isNull()) break;
            const QStyleOptionViewItem inner = within(*item, padding);
            return QProxyStyle::sizeFromContents(type, &inner, size, widget) + 2 * padding;
        }
        default: break;
    }
    return QProxyStyle::sizeFromContents(type, option, size, widget);
}

QRect BenchStyle::subElementRect(SubElement element, const QStyleOption* option, const QWidget* widget) const {
    const auto* item = isPadded(element) ? qstyleoption_cast<const QStyleOptionViewItem*>(option) : nullptr;
    if (!item) return QProxyStyle::subElementRect(element, option, widget);
    const QStyleOptionViewItem inner = within(*item, paddingOf(item->widget ? item->widget : widget));
    return QProxyStyle::subElementRect(element, &inner, widget);
}

int BenchStyle::pixelMetric(PixelMetric metric, const QStyleOption* option, const QWidget* widget) const {
    switch (metric) {
        case PM_MenuPanelWidth: return 1;
        case PM_ToolTipLabelFrameWidth: return kTipPadding;
        case PM_ButtonShiftHorizontal:
        case PM_ButtonShiftVertical: return 0;
        default: return QProxyStyle::pixelMetric(metric, option, widget);
    }
}

}  // namespace machair::app
