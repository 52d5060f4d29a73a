// The Plan station: size the fly. The drawing over the shank budget, the ticket beside them.
#pragma once

#include <QWidget>

#include "editing/document.h"
#include "theme/theme.h"

class QSettings;
class QSplitter;
class QStackedWidget;

namespace machair::app {

class Ticket;

class PlanStation : public QWidget {
    Q_OBJECT
  public:
    PlanStation(Document& document, const Theme& theme, QSettings& settings, QWidget* parent = nullptr);
    [[nodiscard]] QByteArray layoutState() const;
    void restoreLayout(const QByteArray& state);
    void showSizes(bool shown);
    void startWithTicket();  // the keyboard begins there

  protected:
    void changeEvent(QEvent* event) override;

  private:
    void giveTicketRoom();
    QSplitter* splitter_;
    QStackedWidget* sheets_;
    Ticket* ticket_ = nullptr;
};

}  // namespace machair::app
