#include "frame/paper_sheet.h"

#include <QButtonGroup>
#include <QComboBox>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QPainter>
#include <QPrintDialog>
#include <QPrinter>
#include <QPrinterInfo>
#include <QToolButton>
#include <QVBoxLayout>
#include <memory>

#include "daybook/season.h"
#include "frame/ask_file.h"
#include "frame/panel.h"
#include "parts/label.h"
#include "parts/spoken.h"

namespace machair::app {

// The paper with the page on it, as large as the room lets it be.
class PaperPreview : public QWidget, public Spoken {
  public:
    explicit PaperPreview(const Theme& theme) : theme_(theme) {
        setObjectName(QStringLiteral("paper-preview"));
        setAccessibleName(QObject::tr("The paper as it will be printed"));
        setMinimumSize(280, 200);
        setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Expanding);
    }
    void show(const drawing::Page* page, drawing::Paper paper) {
        page_ = page;
        paper_ = paper;
        update();
    }
    // Why there is no page.
    void say(const QString& why) {
        page_ = nullptr;
        why_ = why;
        update();
    }
    [[nodiscard]] std::vector<SpokenPart> spokenParts() const override {
        if (!page_) return {{why_, QString(), rect()}};
        return {{page_->title, QObject::tr("%1 by %2 mm").arg(page_->size.width()).arg(page_->size.height()), frame().toRect()}};
    }

    void choosePart(std::size_t) override {}  // there is but one page

  protected:
    void paintEvent(QPaintEvent*) override {
        QPainter painter(this);
        painter.fillRect(rect(), theme_.colours().paper);
        if (!page_) {
            constexpr int kMargin = 40;
            painter.setPen(theme_.colours().inkSoft);
            painter.drawText(rect().adjusted(kMargin, kMargin, -kMargin, -kMargin), Qt::AlignCenter | Qt::TextWordWrap, why_);
            return;
        }
        painter.setRenderHint(QPainter::Antialiasing);
        const QRectF sheet = frame();
        painter.fillRect(sheet.translated(3.0, 3.0), theme_.colours().line);
        painter.fillRect(sheet, QColor(0xff, 0xfd, 0xf7));  // paper is paper on a dark bench too
        painter.translate(sheet.topLeft());
        const double scale = sheet.width() / drawing::sizeOf(paper_, *page_).width();
        painter.scale(scale, scale);
        painter.setClipRect(QRectF(QPointF(), drawing::sizeOf(paper_, *page_)));
        drawing::paintOn(painter, *page_, paper_);
    }

  private:
    [[nodiscard]] QRectF frame() const {
        constexpr double kRoom = 24.0;
        const QSizeF size = drawing::sizeOf(paper_, *page_);
        const QSizeF shown = size.scaled(QSizeF(width() - 2.0 * kRoom, height() - 2.0 * kRoom), Qt::KeepAspectRatio);
        return {QPointF(0.5 * (width() - shown.width()), 0.5 * (height() - shown.height())), shown};
    }
    const Theme& theme_;
    const drawing::Page* page_ = nullptr;
    drawing::Paper paper_ = drawing::Paper::own;
    QString why_;
};

PaperSheet::PaperSheet(Document& document, const Theme& theme, QWidget* parent)
    : OwnSheet(parent),
      document_(document),
      preview_(new PaperPreview(theme)),
      kinds_(new QButtonGroup(this)),
      years_(new QComboBox),
      papers_(new QComboBox),
      said_(new Label) {
    setObjectName(QStringLiteral("paper"));
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(16, 12, 16, 12);
    auto* column = new QVBoxLayout;
    column->setSpacing(6);
    column->addWidget(heading(tr("On paper")));
    const auto kind = [&](PaperKind which, const char* name, const QString& text, const QString& tip) {
        QToolButton* button = toolButton(name, text, tip);
        button->setCheckable(true);
        button->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
        kinds_->addButton(button, static_cast<int>(which));
        column->addWidget(button);
    };
    kind(PaperKind::card, "paper-card", tr("This fly's card"), tr("Its lengths and slips at true size, to lay feathers on"));
    kind(PaperKind::recipe, "paper-recipe", tr("Its recipe"), tr("Its picture, and what each part is of"));
    kind(PaperKind::team, "paper-team", tr("The team's sheet"), tr("The flies on their leader, and the day"));
    kind(PaperKind::gauge, "paper-gauge", tr("The length gauge"), tr("The longest fly that the water's rule card allows"));
    kind(PaperKind::season, "paper-season", tr("The season"), tr("A year looked back on: days, fish, and what caught them"));
    years_->setObjectName(QStringLiteral("paper-year"));
    years_->setAccessibleName(tr("Which year"));
    column->addWidget(years_);
    column->addSpacing(8);
    papers_->setObjectName(QStringLiteral("paper-size"));
    papers_->setAccessibleName(tr("The paper"));
    for (const auto& [paper, name] : {std::pair(drawing::Paper::own, tr("a sheet of its own size")),
                                      {drawing::Paper::a6, tr("A6 paper")},
                                      {drawing::Paper::a5, tr("A5 paper")},
                                      {drawing::Paper::a4, tr("A4 paper")},
                                      {drawing::Paper::letter, tr("Letter paper")}})
        papers_->addItem(name, static_cast<int>(paper));
    column->addWidget(papers_);
    said_->setObjectName(QStringLiteral("paper-said"));
    said_->setWordWrap(true);
    column->addWidget(said_);
    column->addStretch(1);
    keep_ = toolButton("paper-keep", tr("Keep as PDF or SVG…"), tr("A file at its true size; PDF for archives"));
    print_ = toolButton("paper-print", tr("Print…"), tr("To a printer, at its true size"));
    auto* away = toolButton("paper-away", tr("Put away"), tr("Esc"));
    for (QToolButton* button : {keep_, print_, away}) {
        button->setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
        column->addWidget(button);
    }
    auto* side = new QWidget;
    side->setLayout(column);
    row->addWidget(scrolled(side, 250));
    row->addWidget(preview_, 1);
    connect(kinds_, &QButtonGroup::idClicked, this, &PaperSheet::refresh);
    connect(years_, &QComboBox::activated, this, &PaperSheet::refresh);
    connect(papers_, &QComboBox::activated, this, &PaperSheet::refresh);
    connect(away, &QToolButton::clicked, this, &QWidget::hide);
    connect(keep_, &QToolButton::clicked, this,
            [this] { askWhereToWrite(this, tr("Keep it as"), QString(), tr("PDF (*.pdf);;SVG (*.svg)"), QString(), &PaperSheet::keepAs); });
    connect(print_, &QToolButton::clicked, this, &PaperSheet::print);
    for (const auto signal : {&Document::planChanged, &Document::teamChanged, &Document::bookChanged})
        connect(&document_, signal, this, [this] {
            if (isVisible()) refresh();
        });
    hide();
}

PaperKind PaperSheet::kind() const { return static_cast<PaperKind>(kinds_->checkedId()); }
drawing::Paper PaperSheet::paper() const { return static_cast<drawing::Paper>(papers_->currentData().toInt()); }

void PaperSheet::open(PaperKind kind) {
    kinds_->button(static_cast<int>(kind))->setChecked(true);
    fillYears();
    refresh();
    emit opened(true);
    show();
    raise();
    kinds_->checkedButton()->setFocus(Qt::OtherFocusReason);
}

void PaperSheet::fillYears() {
    const QString chosen = years_->currentText();
    years_->clear();
    for (const std::string& year : seasonsOf(document_.book()))
        years_->addItem(qt(year));
    years_->setCurrentIndex(std::max(0, years_->findText(chosen)));
}

void PaperSheet::refresh() {
    years_->setVisible(kind() == PaperKind::season && years_->count() > 0);
    preview_->say(QString());  // the page that it shows goes away
    page_ = pageOf(document_, kind(), years_->currentText().toStdString());
    const auto* page = std::get_if<drawing::Page>(&page_);
    const bool fits = page && drawing::placeOn(paper(), *page);
    keep_->setEnabled(fits);
    print_->setEnabled(fits);
    said_->setVisible(page != nullptr);
    if (!page) return preview_->say(tr("Nothing to print: %1.").arg(std::get<QString>(page_)));
    preview_->show(page, paper());
    const QString size = tr("%1 × %2 mm").arg(page->size.width()).arg(page->size.height());
    said_->setText(fits ? tr("%1, at its true size.").arg(size)
                        : tr("%1: this paper is too small for it, and it is never scaled. Choose a larger one.").arg(size));
}

void PaperSheet::keepAs(const QString& path) {
    const auto* page = std::get_if<drawing::Page>(&page_);
    if (!page) return;
    const QString wrong = drawing::writePage(path, *page, paper());
    document_.say(wrong.isEmpty() ? tr("It is in %1").arg(path) : tr("%1: %2. Nothing was written").arg(path, wrong));
}

void PaperSheet::print() {
    if (QPrinterInfo::availablePrinterNames().isEmpty())
        return document_.say(tr("No printer is set up on this computer; it can be kept as a PDF instead"));
    auto printer = std::make_shared<QPrinter>(QPrinter::HighResolution);
    const auto* page = std::get_if<drawing::Page>(&page_);
    printer->setDocName(page->title);
    printer->setFullPage(true);
    printer->setPageSize(QPageSize(drawing::sizeOf(paper(), *page), QPageSize::Millimeter));
    auto* dialog = new QPrintDialog(printer.get(), this);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    connect(dialog, qOverload<QPrinter*>(&QPrintDialog::accepted), this, [this, printer] {
        const auto* asked = std::get_if<drawing::Page>(&page_);
        QPainter painter;
        if (!asked || !painter.begin(printer.get())) return document_.say(tr("The printer refused; nothing was printed"));
        constexpr double kInch = 25.4;
        painter.scale(printer->resolution() / kInch, printer->resolution() / kInch);
        drawing::paintOn(painter, *asked, paper());
        document_.say(tr("It went to %1; prove it by its 50 mm bar where it has one").arg(printer->printerName()));
    });
    dialog->open();
}

}  // namespace machair::app
