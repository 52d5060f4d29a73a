// What would mend the team: the search for it, and the cards that it finds, which stand under the flies. A card that is pointed at is
// seen on the cast, one that is taken is an edit.
#pragma once

#include <QWidget>
#include <vector>

#include "editing/background.h"
#include "editing/document.h"
#include "team/balance.h"
#include "theme/theme.h"

class QComboBox;
class QListWidget;
class QProgressBar;
class QSettings;
class QToolButton;

namespace machair::app {

class Label;

class Mends : public QWidget {
    Q_OBJECT
  public:
    Mends(Document& document, const Theme& theme, QSettings& settings, QWidget* parent = nullptr);
    // The cards: for whoever lays them out.
    [[nodiscard]] QListWidget* cards() const { return proposals_; }
    void propose();
    // What was found for another state of the team is no longer an offer.
    void forget();

  signals:
    void mended();

  protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

  private:
    void dressCards();
    void show(const Result<BalanceReport>& report);
    void list(const QString& title, const std::vector<Proposal>& proposals);
    [[nodiscard]] const Proposal* offeredAt(int row) const;
    [[nodiscard]] Result<Edit> taken(const Proposal& proposal) const;
    void paintOffered();
    void preview(int row);
    void take(int row);

    Document& document_;
    const Theme& theme_;
    QSettings& settings_;
    Background background_{document_};
    Background painting_{document_};  // of the cards
    QToolButton* find_;
    QProgressBar* progress_;
    Label* found_;
    QComboBox* takeAs_;
    QListWidget* proposals_;
    QWidget* under_;  // the list's viewport: the list that goes sends its last events when it is no list any more
    std::vector<Proposal> offered_;
    TeamId offeredTeam_;
};

}  // namespace machair::app
