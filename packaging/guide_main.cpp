// machair-guide FOLDER PICTURES FONTS OUT: the guide's chapters (Markdown) of a language as one HTML page and as a PDF for archives,
// OUT.html and OUT.pdf.
// Used by the build; not installed.
#include <QBuffer>
#include <QDir>
#include <QFile>
#include <QFontDatabase>
#include <QGuiApplication>
#include <QImage>
#include <QPageSize>
#include <QPdfWriter>
#include <QRegularExpression>
#include <QTextDocument>
#include <QTextFrame>
#include <QTextStream>
#include <QTextTable>
#include <QUrl>
#include <utility>

namespace {

// README.md first: it is the beginning; then the chapters by their names.
QString chaptersOf(const QDir& folder) {
    QStringList names = folder.entryList({QStringLiteral("*.md")}, QDir::Files, QDir::Name);
    if (names.removeAll(QStringLiteral("README.md")) > 0) names.prepend(QStringLiteral("README.md"));
    QString text;
    for (const QString& name : names) {
        QFile file(folder.filePath(name));
        if (!file.open(QIODevice::ReadOnly)) return {};
        text += QString::fromUtf8(file.readAll()) + QStringLiteral("\n\n");
    }
    return text;
}

// With its pictures, as wide as the text.
class Guide : public QTextDocument {
  public:
    explicit Guide(QString pictures) : pictures_(std::move(pictures)) {}

  protected:
    QVariant loadResource(int type, const QUrl& name) override {
        if (type != QTextDocument::ImageResource) return QTextDocument::loadResource(type, name);
        return pictureAt(name.fileName());
    }

  public:
    [[nodiscard]] QImage pictureAt(const QString& file) const {
        constexpr int kWide = 620;
        return QImage(pictures_ + QLatin1Char('/') + file).scaledToWidth(kWide, Qt::SmoothTransformation);
    }

  private:
    QString pictures_;
};

// One page holds its pictures itself.
QString onePage(const Guide& guide) {
    QString html = guide.toHtml();
    static const QRegularExpression picture(QStringLiteral("src=\"[^\"]*/([a-z-]+\\.png)\""));
    for (auto match = picture.match(html); match.hasMatch(); match = picture.match(html, match.capturedStart() + 1)) {
        QByteArray bytes;
        QBuffer buffer(&bytes);
        buffer.open(QIODevice::WriteOnly);
        guide.pictureAt(match.captured(1)).save(&buffer, "PNG");
        html.replace(match.capturedStart(), match.capturedLength(),
                     QStringLiteral("src=\"data:image/png;base64,") + QString::fromLatin1(bytes.toBase64()) + QLatin1Char('"'));
    }
    return html;
}

// Tables across the page, with air round their words.
void layTables(QTextDocument& document) {
    for (QTextFrame* frame : document.rootFrame()->childFrames()) {
        auto* table = qobject_cast<QTextTable*>(frame);
        if (!table) continue;
        QTextTableFormat format = table->format();
        format.setBorder(0.5);
        format.setBorderCollapse(true);
        format.setCellPadding(4.0);
        format.setCellSpacing(0.0);
        format.setTopMargin(4.0);
        format.setBottomMargin(10.0);
        format.setWidth(QTextLength(QTextLength::PercentageLength, 100.0));
        table->setFormat(format);
    }
}

// Its first heading.
QString titleOf(const QString& text) {
    return QStringLiteral("Machair: ") + text.left(text.indexOf(QLatin1Char('\n'))).remove(QLatin1Char('#')).trimmed();
}

bool writePdf(QTextDocument& document, const QString& path) {
    constexpr int kDotsAnInch = 300;
    QPdfWriter writer(path);
    writer.setPdfVersion(QPagedPaintDevice::PdfVersion_A1b);
    writer.setTitle(document.metaInformation(QTextDocument::DocumentTitle));
    writer.setCreator(QStringLiteral("Machair"));
    writer.setResolution(kDotsAnInch);
    writer.setPageSize(QPageSize(QPageSize::A4));
    writer.setPageMargins(QMarginsF());  // the document has its own
    document.print(&writer);
    return QFile(path).size() > 0;
}

}  // namespace

int main(int argc, char** argv) {
    QGuiApplication application(argc, argv);
    const QStringList words = QGuiApplication::arguments();
    QTextStream errors(stderr);
    if (words.size() != 5) {
        errors << "machair-guide FOLDER PICTURES FONTS OUT" << Qt::endl;
        return 2;
    }
    const QDir fonts(words[3]);
    for (const QString& face : fonts.entryList({QStringLiteral("*.ttf")}))
        QFontDatabase::addApplicationFont(fonts.filePath(face));
    const QString text = chaptersOf(QDir(words[1]));
    Guide document(words[2]);
    document.setDefaultFont(QFont(QStringLiteral("Lato"), 10));
    document.setMetaInformation(QTextDocument::DocumentTitle, titleOf(text));
    document.setMarkdown(text, QTextDocument::MarkdownDialectGitHub);
    layTables(document);
    QFile page(words[4] + QStringLiteral(".html"));
    const bool written = !text.isEmpty() && page.open(QIODevice::WriteOnly) && page.write(onePage(document).toUtf8()) > 0 &&
                         writePdf(document, words[4] + QStringLiteral(".pdf"));
    if (!written) errors << "the guide could not be written to " << words[4] << Qt::endl;
    return written ? 0 : 1;
}
