// On paper: what can be printed of the bench, as it will lie on the paper that is chosen, at its true size. It is kept as PDF
// or SVG, or goes to a printer; nothing is ever scaled to fit.
#pragma once

#include <string>
#include <vector>

#include "editing/document.h"
#include "frame/own_sheet.h"
#include "parts/paper_pages.h"
#include "theme/theme.h"

class QButtonGroup;
class QComboBox;
class QToolButton;

namespace machair::app {

class Label;
class PaperPreview;

class PaperSheet : public OwnSheet {
    Q_OBJECT
  public:
    PaperSheet(Document& document, const Theme& theme, QWidget* parent = nullptr);
    void open(PaperKind kind);
    void keepAs(const QString& path);

  private:
    void refresh();
    void print();
    void fillYears();
    [[nodiscard]] PaperKind kind() const;
    [[nodiscard]] drawing::Paper paper() const;

    Document& document_;
    PaperPreview* preview_;
    QButtonGroup* kinds_;
    QComboBox* years_;
    QComboBox* papers_;
    Label* said_;
    QToolButton* keep_;
    QToolButton* print_;
    std::variant<drawing::Page, QString> page_;
};

}  // namespace machair::app
