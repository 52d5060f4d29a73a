// What is to be tied: the batches that wait and those that are done, the chosen one's own words, and one more of it as it is tied.
#pragma once

#include <QElapsedTimer>
#include <QWidget>

#include "editing/document.h"
#include "theme/theme.h"

class QListWidget;
class QSpinBox;

namespace machair::app {

class FieldsForm;
class Pictures;

class BatchesPanel : public QWidget {
    Q_OBJECT
  public:
    BatchesPanel(Document& document, const Theme& theme, QWidget* parent = nullptr);
    void refresh();
    // So many of it as stands beside the button. It is the chosen one from then on: what comes next is its day, or that one of it is tied.
    void addOf(const DressingId& pattern);

  private:
    void tieOne();
    [[nodiscard]] BatchId chosen() const;  // empty where none is
    void choose(const BatchId& batch);

    Document& document_;
    const Theme& theme_;
    Pictures& pictures_;
    QListWidget* list_;
    QSpinBox* wanted_;
    FieldsForm* fields_;
    QElapsedTimer sinceLast_;  // one was tied
};

}  // namespace machair::app
