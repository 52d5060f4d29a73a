// The three flies as a team: what the school asks of them, and the smallest changes that would do.
#pragma once

#include <QWidget>

#include "editing/document.h"
#include "theme/theme.h"

class QComboBox;
class QLineEdit;
class QSettings;
class QToolButton;
class QVBoxLayout;

namespace machair::app {

class Label;

class BoxTray;
class FieldsForm;
class Mends;
class TeamSheet;
class TeamView;

class BalanceStation : public QWidget {
    Q_OBJECT
  public:
    BalanceStation(Document& document, const Theme& theme, QSettings& settings, QWidget* parent = nullptr);
    void propose();
    void writeSheet(const QString& path);  // .pdf or .svg

  private:
    QWidget* makePanel();
    void addSchool(QVBoxLayout* column);
    void addSheets(QVBoxLayout* column);
    void addChecks(QVBoxLayout* column);
    void addWords(QVBoxLayout* column);
    void addPlace(QVBoxLayout* column);
    void refresh();
    void refreshSchools();
    void refreshFished();
    void sayCheck();

    Document& document_;
    TeamView* flies_ = nullptr;
    const Theme& theme_;
    QComboBox* schools_;
    Label* belief_;
    TeamSheet* checks_;
    Label* words_;  // of the check that is looked at
    Mends* mends_;
    QLineEdit* fished_;
    BoxTray* box_;
    FieldsForm* leader_ = nullptr;
    FieldsForm* own_ = nullptr;
    QToolButton* numbers_ = nullptr;
};

}  // namespace machair::app
