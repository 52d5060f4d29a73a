// Which team hangs on the cast: chosen, begun, named, and its flies hung and taken off.
#include "daybook/boat.h"
#include "frame/cast_view.h"

#include <QHelpEvent>
#include <QKeyEvent>
#include <QLabel>
#include <QMenu>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <QToolButton>
#include <QToolTip>
#include <QVBoxLayout>
#include <algorithm>
#include <cmath>
#include <numbers>

#include "book/flies.h"
#include "book/records.h"
#include "book/team_edits.h"
#include "parts/chooser.h"
#include "parts/field_editor.h"
#include "parts/label.h"
#include "parts/name_field.h"
#include "theme/said.h"
#include "units/text.h"

namespace machair::app {

void CastView::refreshTeams() {
    const TeamSpec* team = document_.isOpen() ? document_.team() : nullptr;
    const QString title = team ? qt(team->title()) : tr("no team yet");
    teams_->setText(QStringLiteral(" "));
    const int frame = teams_->sizeHint().width();
    teams_->setText(teams_->fontMetrics().elidedText(title, Qt::ElideRight, std::max(40, teams_->width() - frame)));
    teams_->setToolTip(tr("%1: another team (it hangs on the cast)").arg(title));
    teams_->setVisible(team && name_->isHidden());
    team_->setVisible(team);
    begin_->setVisible(document_.isOpen() && !team && document_.pattern());
}

void CastView::buildTeamMenu() {
    auto* menu = new QMenu(this);
    const auto entry = [&](const char* name, const QString& text, auto work) {
        QAction* action = menu->addAction(text, this, [this, work] {
            if (document_.team()) work();
        });
        action->setObjectName(QString::fromLatin1(name));
    };
    entry("team-new", tr("&New team with the fly on the bench"), [this] { beginTeam(); });
    entry("team-copy", tr("&Copy it"), [this] { begin(copyRecord(document_.book(), {"teams", document_.team()->id})); });
    entry("team-rename", tr("&Rename it"), [this] { askForName(); });
    entry("team-out", tr("&Take it out of the book"), [this] {
        document_.refuse(document_.apply(removeRecord(document_.book(), {"teams", document_.team()->id})));
    });
    team_->setMenu(menu);
}

void CastView::beginTeam() {
    if (document_.isOpen()) begin(addRecord(document_.book(), "teams", document_.pattern() ? document_.pattern()->id : std::string()));
}

void CastView::chooseTeam() {
    if (!document_.isOpen()) return;
    Chooser::Asked asked;
    asked.title = tr("Which team?");
    asked.things = thingsIn(document_.book(), "teams");
    asked.fresh = tr("New team");
    if (document_.team()) asked.now = {"teams", document_.team()->id};
    Chooser::ask(
        teams_, document_, theme_, std::move(asked), [this](const RecordId& record) { document_.chooseTeam(TeamId(record.id)); },
        [this] { beginTeam(); });
}

// Onto the cast, with its name ready to be typed.
void CastView::begin(const Result<NewRecord>& made) {
    if (!made) return document_.refuse(made.error());
    if (!document_.done(document_.apply(made->edit))) return;
    document_.chooseTeam(TeamId(made->id));
    askForName();
}

void CastView::askForName() {
    if (document_.team()) name_->ask(qt(document_.team()->title()));
}

void CastView::hang(Position position) {
    const TeamSpec* team = document_.team();
    if (!team) return;
    Chooser::Asked asked;
    asked.title = tr("Which fly on the %1?").arg(titleOf(position));
    asked.things = flyThings(document_.book());
    if (team->at(position)) {
        asked.now = {"fly", writeFly(*team->at(position))};
        asked.nothing = tr("None there");
    }
    Chooser::ask(this, document_, theme_, std::move(asked), [this, position](const RecordId& record) {
        if (record.id.empty()) return takeOff(position);
        if (document_.done(document_.apply(changeTeamFly(document_.book(), document_.team()->id, position, readFly(record.id)))))
            document_.choosePosition(position);
    });
}

void CastView::takeOff(Position position) {
    if (document_.team()) document_.refuse(document_.apply(changeTeamFly(document_.book(), document_.team()->id, position, std::nullopt)));
}

}  // namespace machair::app
