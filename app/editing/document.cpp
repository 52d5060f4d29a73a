#include "editing/document.h"

#include <QUndoCommand>
#include <algorithm>
#include <map>
#include <set>

#include "sizing/compare.h"

namespace machair::app {

namespace {

// Ids of the records that an edit changed, added or took away.
template <class Record>
std::set<std::string_view> changedIds(const std::vector<Record>& before, const std::vector<Record>& after) {
    std::map<std::string_view, const Record*> was;
    for (const Record& record : before) was.emplace(record.id, &record);
    std::set<std::string_view> changed;
    for (const Record& record : after) {
        const auto old = was.find(record.id);
        if (old == was.end() || !(*old->second == record)) changed.insert(record.id);
        if (old != was.end()) was.erase(old);
    }
    for (const auto& [id, record] : was) changed.insert(id);
    return changed;
}

// Faults of the dressings that an edit touched: their own record, their hook or what they are tied from.
Faults faultsOfChange(const Book& before, const Book& after) {
    const auto patterns = changedIds(before.patterns, after.patterns);
    const auto hooks = changedIds(before.hooks, after.hooks);
    const auto materials = changedIds(before.materials, after.materials);
    Faults faults;
    for (const Pattern& pattern : after.patterns) {
        const bool touched = before.schools != after.schools || patterns.contains(pattern.id) || hooks.contains(pattern.hook) || materials.contains(pattern.thread) ||
                             std::ranges::any_of(pattern.parts, [&](const Part& p) { return p.material && materials.contains(*p.material); });
        if (!touched) continue;
        if (const auto planned = planPattern(after, pattern.id); !planned) append(faults, planned.error());
    }
    return faults;
}

}  // namespace

// One step of undo: the book before and after.
class BookStep : public QUndoCommand {
  public:
    struct State {
        Document::Shared book;
        std::string pattern;
    };
    BookStep(Document& document, State before, State after, const Edit& edit, std::optional<std::size_t> edited)
        : document_(document), before_(std::move(before)), after_(std::move(after)), edited_(edited) {
        setText(qt(edit.words));
    }
    void redo() override { show(after_, text(), done_ ? QObject::tr("Again: %1").arg(text()) : QString()); }
    void undo() override { show(before_, QObject::tr("undo %1").arg(text()), QObject::tr("Undone: %1").arg(text())); }

  private:
    void show(const State& state, const QString& journal, const QString& words) {
        done_ = true;
        document_.pattern_ = state.pattern;
        document_.show(state.book, journal, words, edited_);
    }
    Document& document_;
    State before_;
    State after_;
    std::optional<std::size_t> edited_;
    bool done_ = false;
};

Document::Document(QObject* parent) : QObject(parent) {}

Faults Document::open(const std::filesystem::path& path) {
    auto home = store::openHome(path, store::Access::readWrite);
    if (!home) return home.error();
    auto opened = (*home)->read();
    if (!opened) return opened.error();
    home_ = std::move(*home);
    undo_.clear();
    book_ = heldAtHome_ = std::make_shared<const Book>(std::move(opened->book));
    path_ = path;
    warnings_ = std::move(opened->warnings);
    ghost_.reset();
    part_.reset();
    kept_ = true;
    team_ = book_->teams.empty() ? std::string() : book_->teams.front().id;
    pattern_.clear();
    if (const TeamSpec* chosen = team())
        for (const Position position : kPositions)
            if (pattern_.empty() && chosen->at(position)) pattern_ = *chosen->at(position);
    settle();
    emit bookOpened();
    emit teamChanged();
    emit planChanged();
    emit partChosen();
    return {};
}

// Something is on the bench wherever the book has anything to put there.
void Document::settle() {
    if (!book_->findTeam(team_)) team_ = book_->teams.empty() ? std::string() : book_->teams.front().id;
    if (!book_->findPattern(pattern_)) pattern_ = book_->patterns.empty() ? std::string() : book_->patterns.front().id;
    replan();
}

void Document::lookElsewhere() {
    if (home_ && kept_ && !previewed_ && home_->changedElsewhere()) readAgain(tr("Changed in another window or program: read again"));
}

void Document::readAgain(const QString& why) {
    auto opened = home_->read();
    if (!opened) {
        kept_ = false;
        emit notKept(qt(opened.error().front().line()));
        return;
    }
    undo_.clear();
    book_ = heldAtHome_ = std::make_shared<const Book>(std::move(opened->book));
    ghost_.reset();
    part_.reset();
    if (!kept_) emit notKept(QString());
    kept_ = true;
    settle();
    emit bookOpened();
    emit teamChanged();
    emit planChanged();
    emit partChosen();
    emit said(why);
}

Faults Document::keepCopy(const std::filesystem::path& path) {
    std::error_code ignored;
    if (!book_ || std::filesystem::equivalent(path, path_, ignored))
        return {Fault{Place(path.string()), "expected another name, got the open book itself", "it is kept with every edit already"}};
    try {
        return store::writeBook(path, *book_);
    } catch (const store::DiskError& error) {
        return {Fault{Place(path.string()), error.what(), "choose another folder"}};
    }
}

const TeamSpec* Document::team() const { return book_ ? book_->findTeam(team_) : nullptr; }

const Pattern* Document::pattern() const { return book_ ? book_->findPattern(pattern_) : nullptr; }

std::optional<Position> Document::position() const {
    const TeamSpec* chosen = team();
    if (!chosen) return std::nullopt;
    for (const Position position : kPositions)
        if (chosen->at(position) == pattern_) return position;
    return std::nullopt;
}

void Document::chooseTeam(const std::string& id) {
    if (id == team_ || !book_ || !book_->findTeam(id)) return;
    team_ = id;
    replan();
    emit teamChanged();
    for (const Position position : kPositions)
        if (team()->at(position)) return choosePosition(position);
}

void Document::choosePosition(Position position) {
    const TeamSpec* chosen = team();
    if (chosen && chosen->at(position)) choosePattern(*chosen->at(position));
}

void Document::choosePattern(const std::string& id) {
    if (id == pattern_ || !book_ || !book_->findPattern(id)) return;
    pattern_ = id;
    ghost_.reset();
    part_.reset();
    replan();
    emit planChanged();
    emit partChosen();
}

void Document::choosePart(std::optional<std::size_t> part) {
    if (part && (!plan_ || *part >= plan_->parts.size())) part.reset();
    if (part == part_) return;
    part_ = part;
    emit partChosen();
}

void Document::dismissGhost() {
    if (!ghost_) return;
    ghost_.reset();
    emit planChanged();
}

Faults Document::apply(Result<Edit> edit, std::optional<std::size_t> edited) {
    if (!edit) return edit.error();
    if (edit->after == *book_) return {};
    if (Faults faults = faultsOfChange(*book_, edit->after); !faults.empty()) return faults;
    push(std::move(*edit), pattern_, edited);
    return {};
}

void Document::push(Edit edit, const std::string& patternAfter, std::optional<std::size_t> edited) {
    const Shared after = std::make_shared<const Book>(std::move(edit.after));
    undo_.push(new BookStep(*this, {book_, pattern_}, {after, patternAfter}, edit, edited));  // the stack owns it
}

Faults Document::start(Result<NewDressing> made) {
    if (!made) return made.error();
    if (Faults faults = faultsOfChange(*book_, made->edit.after); !faults.empty()) return faults;
    part_.reset();
    ghost_.reset();
    push(std::move(made->edit), made->id, std::nullopt);
    emit said(tr("%1 is on the bench: every size is a share of its hook").arg(qt(pattern()->title())));
    return {};
}

void Document::compareWith(const std::string& id) {
    if (!book_ || !plan_) return;
    if (auto other = planPattern(*book_, id)) {
        ghost_ = std::move(*other);
        emit planChanged();
    }
}

void Document::preview(const Result<Edit>& edit) {
    if (!edit) return;
    auto planned = planPattern(edit->after, pattern_);
    if (!planned) return;
    if (!previewed_) planBeforePreview_ = plan_;
    previewed_ = *edit;
    plan_ = std::move(*planned);
    emit planChanged();
    emit said(qt(sayChange(*planBeforePreview_, *plan_, part_)));
}

void Document::makePreviewed(std::optional<std::size_t> edited) {
    if (!previewed_) return;
    const Edit edit = std::move(*previewed_);
    plan_ = planBeforePreview_;  // so that the step is said against where it began
    previewed_.reset();
    planBeforePreview_.reset();
    if (const Faults faults = apply(edit, edited); !faults.empty() || edit.after == *book_) {
        replan();
        emit planChanged();
    }
}

void Document::dropPreview() {
    if (!previewed_) return;
    plan_ = planBeforePreview_;
    previewed_.reset();
    planBeforePreview_.reset();
    emit planChanged();
    emit said(tr("Left as it was"));
}

void Document::show(Shared book, const QString& journal, const QString& words, std::optional<std::size_t> edited) {
    if (previewed_) plan_ = planBeforePreview_;  // undone while something was held: the hand lets go
    previewed_.reset();
    planBeforePreview_.reset();
    const std::optional<Plan> before = plan_;
    book_ = std::move(book);
    if (!book_->findPattern(pattern_)) pattern_ = book_->patterns.empty() ? std::string() : book_->patterns.front().id;
    replan();
    if (part_ && (!plan_ || *part_ >= plan_->parts.size())) part_.reset();
    const bool sameFly = before && plan_ && before->pattern.id == plan_->pattern.id;
    if (sameFly && before->hook.spec() != plan_->hook.spec()) ghost_ = before;
    keep(journal);
    emit bookChanged();
    emit teamChanged();
    emit planChanged();
    emit partChosen();
    QString moved = sameFly ? qt(sayChange(*before, *plan_, edited)) : QString();
    if (moved.isEmpty())
        moved = words.isEmpty() ? journal : words;
    else if (!words.isEmpty())
        moved = words + QStringLiteral(". ") + moved;
    emit said(moved);
}

void Document::replan() {
    plan_.reset();
    report_.reset();
    if (!book_) return;
    if (auto planned = planPattern(*book_, pattern_)) plan_ = std::move(*planned);
    if (team())
        if (auto weighed = weighTeam(*book_, team_, setting())) report_ = std::move(*weighed);
    teamPreviewed_ = false;
}

const WaterSpec* Document::water() const {
    if (!book_ || book_->waters.empty()) return nullptr;
    const WaterSpec* chosen = book_->findWater(water_);
    return chosen ? chosen : &book_->waters.front();
}

void Document::chooseWater(const std::string& id) {
    if (id == water_ || !book_ || !book_->findWater(id)) return;
    water_ = id;
    replan();
    emit teamChanged();
}

TeamSetting Document::setting() const {
    TeamSetting setting = settingOf(*book_, water());
    setting.fullness.reset();  // how full to dress is the day's advice (Water), not what makes a team
    setting.contest = contest_;
    return setting;
}

void Document::keepFish(int kept) {
    if (kept == contest_.kept || kept < 0) return;
    contest_.kept = kept;
    replan();
    emit teamChanged();
}

void Document::previewTeam(const Result<Edit>& edit) {
    if (!edit || !team()) return;
    const Book& after = edit->after;
    TeamSetting setting = settingOf(after, water() ? after.findWater(water()->id) : nullptr);
    setting.fullness.reset();
    setting.contest = contest_;
    auto weighed = weighTeam(after, team_, setting);
    if (!weighed) return;
    report_ = std::move(*weighed);
    teamPreviewed_ = true;
    emit teamChanged();
}

void Document::dropTeamPreview() {
    if (!teamPreviewed_) return;
    replan();
    emit teamChanged();
}

void Document::keep(const QString& words) {
    try {
        home_->keep(*heldAtHome_, *book_, words.toStdString());
        heldAtHome_ = book_;
        if (!kept_) emit notKept(QString());
        kept_ = true;
    } catch (const store::DiskError& error) {
        kept_ = false;
        emit notKept(QString::fromLocal8Bit(error.what()));
    }
}

}  // namespace machair::app
