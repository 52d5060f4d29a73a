// Where tiers disagree: what this dressing holds to, and what the tier holds to for all that say nothing else.
#pragma once

#include <QWidget>
#include <map>
#include <string>

#include "editing/document.h"
#include "theme/theme.h"

class QComboBox;

namespace machair::app {

class SchoolsPanel : public QWidget {
    Q_OBJECT
  public:
    explicit SchoolsPanel(Document& document, QWidget* parent = nullptr);

  private:
    void refresh();
    QComboBox* boxFor(const std::string& key, bool own);

    Document& document_;
    std::map<std::string, QComboBox*> own_;
    std::map<std::string, QComboBox*> all_;
};

}  // namespace machair::app
