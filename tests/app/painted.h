// What a widget and all within it paint as text, without looking at pixels: it is painted as SVG, which keeps its texts.
#pragma once

#include <QBuffer>
#include <QStringList>
#include <QSvgGenerator>
#include <QWidget>
#include <QXmlStreamReader>

namespace machair::app::tests {

// A line that was broken into several is several texts.
inline QStringList paintedTexts(QWidget& widget) {
    QBuffer svg;
    svg.open(QIODevice::ReadWrite);
    QSvgGenerator generator;
    generator.setOutputDevice(&svg);
    generator.setSize(widget.size());
    widget.render(&generator, QPoint(), QRegion(), QWidget::DrawChildren);
    QStringList texts;
    QXmlStreamReader reader(svg.data());
    while (!reader.atEnd())
        if (reader.readNext() == QXmlStreamReader::StartElement && reader.name() == QLatin1String("text"))
            texts << reader.readElementText(QXmlStreamReader::IncludeChildElements).trimmed();
    return texts;
}

}  // namespace machair::app::tests
