// The three flies as a team: what the school asks of them, and the smallest changes that would do.
#pragma once

#include <QWidget>

#include "editing/background.h"
#include "editing/document.h"
#include "team/balance.h"
#include "theme/theme.h"

class QComboBox;
class QLineEdit;
class QListWidget;
class QListWidgetItem;
class QSettings;
class QProgressBar;
class QToolButton;
class QVBoxLayout;

namespace machair::app {

class Label;

class FieldsForm;
class TeamSheet;
class TeamView;
class Tray;

class BalanceStation : public QWidget {
    Q_OBJECT
  public:
    BalanceStation(Document& document, const Theme& theme, QSettings& settings, QWidget* parent = nullptr);
    void propose();
    void writeSheet(const QString& path);  // .pdf or .svg

  protected:
    bool eventFilter(QObject* watched, QEvent* event) override;
    void showEvent(QShowEvent* event) override;

  private:
    QWidget* makePanel();
    void addSchool(QVBoxLayout* column);
    void addSheets(QVBoxLayout* column);
    void addChecks(QVBoxLayout* column);
    void addMends(QVBoxLayout* column);
    void dressCards();
    void addPlace(QVBoxLayout* column);
    void refresh();
    void refreshSchools();
    void refreshBox();
    void refreshFished();
    void sayCheck();
    void show(const Result<BalanceReport>& report);
    void list(const QString& title, const std::vector<Proposal>& proposals);
    [[nodiscard]] const Proposal* offeredAt(int row) const;
    [[nodiscard]] Result<Edit> taken(const Proposal& proposal) const;
    void paintOffered();
    void preview(int row);
    void take(int row);

    Document& document_;
    TeamView* flies_ = nullptr;
    const Theme& theme_;
    QSettings& settings_;
    Background background_{document_};
    Background painting_{document_};  // of the cards
    QComboBox* schools_;
    Label* belief_;
    TeamSheet* checks_;
    Label* words_;  // of the check that is looked at
    QToolButton* find_;
    QProgressBar* progress_;
    Label* found_;
    QComboBox* takeAs_;
    QListWidget* proposals_;
    QLineEdit* fished_;
    Tray* box_;
    FieldsForm* leader_ = nullptr;
    FieldsForm* own_ = nullptr;
    QToolButton* numbers_ = nullptr;
    std::vector<Proposal> offered_;
    TeamId offeredTeam_;
};

}  // namespace machair::app
