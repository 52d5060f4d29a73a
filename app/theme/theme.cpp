#include "theme/theme.h"

#include <QApplication>
#include <QFontDatabase>
#include <QStyle>

#include "theme/bench_style.h"

namespace machair::app {

Colours coloursOf(drawing::Bench bench, Contrast contrast) {
    if (contrast == Contrast::high && bench == drawing::Bench::sand)
        return {QColor(0xff, 0xff, 0xff), QColor(0xff, 0xff, 0xff), QColor(0xff, 0xff, 0xff), QColor(0xff, 0xff, 0xff),
                QColor(0x00, 0x00, 0x00), QColor(0x22, 0x22, 0x22), QColor(0x44, 0x44, 0x44), QColor(0x1c, 0x4a, 0x00),
                QColor(0x00, 0x2f, 0x56), QColor(0x7a, 0x1c, 0x00), QColor(0xff, 0xff, 0xff), QColor(0x5c, 0x3a, 0x00),
                QColor(0x8c, 0x00, 0x00)};
    if (contrast == Contrast::high)
        return {QColor(0x00, 0x00, 0x00), QColor(0x00, 0x00, 0x00), QColor(0x10, 0x10, 0x10), QColor(0x00, 0x00, 0x00),
                QColor(0xff, 0xff, 0xff), QColor(0xe4, 0xe4, 0xe4), QColor(0xb8, 0xb8, 0xb8), QColor(0xc8, 0xf0, 0x80),
                QColor(0xa8, 0xdc, 0xff), QColor(0xff, 0xb0, 0x7a), QColor(0x00, 0x00, 0x00), QColor(0xff, 0xd8, 0x60),
                QColor(0xff, 0xa0, 0x98)};
    if (bench == drawing::Bench::sand)
        return {QColor(0xf3, 0xec, 0xdd), QColor(0xfa, 0xf6, 0xec), QColor(0xff, 0xfd, 0xf7), QColor(0xe9, 0xe0, 0xce),
                QColor(0x2b, 0x27, 0x22), QColor(0x5c, 0x53, 0x47), QColor(0xcf, 0xc3, 0xaa), QColor(0x4c, 0x5f, 0x25),
                QColor(0x35, 0x4c, 0x5a), QColor(0x9a, 0x3d, 0x1c), QColor(0xff, 0xfb, 0xf2), QColor(0x7d, 0x56, 0x08),
                QColor(0x9e, 0x22, 0x1a)};
    return {QColor(0x20, 0x28, 0x2e), QColor(0x29, 0x33, 0x3a), QColor(0x33, 0x3f, 0x47), QColor(0x2b, 0x35, 0x3c),
            QColor(0xec, 0xe5, 0xd6), QColor(0xb9, 0xb1, 0xa1), QColor(0x4b, 0x58, 0x61), QColor(0xb3, 0xc4, 0x80),
            QColor(0xa3, 0xba, 0xc7), QColor(0xe8, 0x93, 0x63), QColor(0x20, 0x20, 0x1e), QColor(0xe3, 0xb9, 0x5c),
            QColor(0xf2, 0x8c, 0x82)};
}

Theme::Theme(QObject* parent) : QObject(parent), colours_(coloursOf(bench_)) {}

void Theme::light(drawing::Bench bench, Contrast contrast) {
    if (bench == bench_ && contrast == contrast_) return;
    bench_ = bench;
    contrast_ = contrast;
    colours_ = coloursOf(bench, contrast);
    emit changed();
}

QString loadFace() {
    QString family;
    for (const char* file : {":/fonts/Lato-Regular.ttf", ":/fonts/Lato-Bold.ttf", ":/fonts/Lato-Italic.ttf"}) {
        const int id = QFontDatabase::addApplicationFont(QString::fromLatin1(file));
        if (id >= 0 && family.isEmpty()) family = QFontDatabase::applicationFontFamilies(id).value(0);
    }
    if (!family.isEmpty()) {
        QFont font = QApplication::font();
        font.setFamily(family);
        QApplication::setFont(font);
    }
    return family;
}

void apply(const Colours& c) {
    if (!qobject_cast<BenchStyle*>(QApplication::style())) QApplication::setStyle(new BenchStyle);
    QPalette palette;
    palette.setColor(QPalette::Window, c.window);
    palette.setColor(QPalette::WindowText, c.ink);
    palette.setColor(QPalette::Base, c.raised);
    palette.setColor(QPalette::AlternateBase, c.panel);
    palette.setColor(QPalette::Text, c.ink);
    palette.setColor(QPalette::Button, c.panel);
    palette.setColor(QPalette::ButtonText, c.ink);
    palette.setColor(QPalette::Highlight, c.accent);
    palette.setColor(QPalette::HighlightedText, c.accentInk);
    palette.setColor(QPalette::ToolTipBase, c.raised);
    palette.setColor(QPalette::ToolTipText, c.ink);
    palette.setColor(QPalette::PlaceholderText, c.inkSoft);
    palette.setColor(QPalette::Link, c.accent);
    palette.setColor(QPalette::Mid, c.line);
    palette.setColor(QPalette::Dark, c.line.darker(120));
    palette.setColor(QPalette::Light, c.raised);
    palette.setColor(QPalette::BrightText, c.fault);
    for (const auto role : {QPalette::Text, QPalette::WindowText, QPalette::ButtonText})
        palette.setColor(QPalette::Disabled, role, c.inkSoft);
    QApplication::setPalette(palette);
}

double textScale() {
    static const double kSystem = QApplication::font().pointSizeF();
    return QApplication::font().pointSizeF() / kSystem;
}
int grownWithText(int px) {
    constexpr double kMost = 1.5;
    return qRound(px * std::clamp(textScale(), 1.0, kMost));
}

QFont faceScaled(double scale, bool bold) {
    QFont font = QApplication::font();
    if (font.pointSizeF() > 0.0) font.setPointSizeF(font.pointSizeF() * scale);
    font.setBold(bold);
    return font;
}

}  // namespace machair::app
