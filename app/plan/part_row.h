// One part's line in the ticket, and its fields when it is open.
#pragma once

#include <QFrame>
#include <map>
#include <string>
#include <vector>

#include "book/fields.h"
#include "checking/checking.h"
#include "editing/document.h"
#include "parts/askable.h"
#include "sizing/figures.h"
#include "theme/theme.h"

class QComboBox;
class QFormLayout;
class QLineEdit;
class QToolButton;

namespace machair::app {

class Label;

// Whether a warning of this fly is said at this part.
[[nodiscard]] bool warningIsHere(const Plan& plan, const Warning& warning, std::size_t part);

class PartRow : public QFrame, public Askable {
    Q_OBJECT
  public:
    PartRow(Document& document, const Theme& theme, std::size_t part, QWidget* parent = nullptr);
    // `measured` says where this hand should aim; the ticket has it for all its rows.
    void refresh(const std::vector<CheckItem>& measured);
    void setOpen(bool open);
    [[nodiscard]] bool isOpen() const { return editor_ != nullptr; }
    [[nodiscard]] std::size_t part() const { return part_; }
    void focusFirst();
    [[nodiscard]] std::optional<Question> questionAt(std::optional<QPoint> at) const override;

  protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    bool eventFilter(QObject* watched, QEvent* event) override;

  private:
    void dress();
    void buildEditor();
    void fillEditor();
    void addField(QFormLayout* form, const Field& field);
    void takeText(const std::string& key, const QString& text);
    void showFaults(const Faults& faults);
    void fillFigures(const std::vector<Figure>& figures);
    void fillMends();
    void showMaterial(const Part& part);
    void chooseMaterial();
    void step(QLineEdit* line, const std::string& key, int steps);

    Document& document_;
    const Theme& theme_;
    std::size_t part_;
    Label* kind_;
    Label* material_;
    Label* headline_;
    Label* words_;
    Label* warning_;
    QWidget* editor_ = nullptr;
    QToolButton* materials_ = nullptr;
    QWidget* mends_ = nullptr;
    Label* fault_ = nullptr;
    QWidget* figures_ = nullptr;  // one label a figure, so that each can be asked
    QToolButton* more_ = nullptr;
    bool all_ = false;
    std::map<std::string, QLineEdit*> lines_;
    std::map<std::string, QComboBox*> choices_;
};

}  // namespace machair::app
