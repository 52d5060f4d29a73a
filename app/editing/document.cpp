#include "editing/document.h"

#include <QUndoCommand>
#include <algorithm>
#include <map>
#include <set>
#include <utility>

#include "book/lists.h"
#include "book/team_edits.h"
#include "language/say.h"
#include "sizing/compare.h"

namespace machair::app {

namespace {

// Ids of the records that an edit changed, added or took away.
template <class Record>
std::set<std::string_view> changedIds(const std::vector<Record>& before, const std::vector<Record>& after) {
    const Differing where = differing(before, after);
    std::map<std::string_view, const Record*> was;
    for (std::size_t i = where.from; i < where.endBefore; ++i)
        was.emplace(before[i].id, &before[i]);
    std::set<std::string_view> changed;
    for (std::size_t i = where.from; i < where.endAfter; ++i) {
        const auto old = was.find(after[i].id);
        if (old == was.end() || !(*old->second == after[i])) changed.insert(after[i].id);
        if (old != was.end()) was.erase(old);
    }
    for (const auto& [id, record] : was)
        changed.insert(id);
    return changed;
}

// What can't be tied of a dressing as it is written.
Faults faultsOf(const Book& book, const DressingId& pattern) {
    const auto planned = planWhatCan(book, pattern);
    return planned ? planned->faults : planned.error();
}

// Those that weren't there before: a book that was opened with some can still be edited, and mended one by one.
Faults fresh(const Faults& before, Faults after) {
    std::erase_if(after, [&](const Fault& fault) { return std::ranges::find(before, fault) != before.end(); });
    return after;
}

// Faults of the dressings that an edit touched: their own record, their hook or what they are tied from.
Faults faultsOfChange(const Book& before, const Book& after) {
    const auto patterns = changedIds(before.patterns, after.patterns);
    const auto hooks = changedIds(before.hooks, after.hooks);
    const auto materials = changedIds(before.materials, after.materials);
    Faults faults;
    if (patterns.empty() && hooks.empty() && materials.empty() && before.schools == after.schools) return faults;
    for (const Pattern& pattern : after.patterns) {
        const bool touched =
            before.schools != after.schools || patterns.contains(pattern.id) || hooks.contains(pattern.hook) ||
            materials.contains(pattern.thread) ||
            std::ranges::any_of(pattern.parts, [&](const Part& p) { return p.material && materials.contains(*p.material); });
        if (!touched) continue;
        Faults now = faultsOf(after, pattern.id);
        if (!now.empty()) append(faults, before.findPattern(pattern.id) ? fresh(faultsOf(before, pattern.id), std::move(now)) : now);
    }
    return faults;
}

// Why one book can't become the other; empty where it can.
Faults whyNot(const Book& before, const Book& after) {
    if (Faults faults = check(after); !faults.empty())
        if (faults = fresh(check(before), std::move(faults)); !faults.empty()) return faults;
    if (Faults faults = store::unreadableAgain(before, after); !faults.empty()) return faults;
    return faultsOfChange(before, after);
}

}  // namespace

// One step of undo: what it changed, and what was on the bench.
class BookStep : public QUndoCommand {
  public:
    BookStep(Document& document, BookDifference change, Document::Shared after, DressingId patternBefore, DressingId patternAfter,
             const Edit& edit, std::optional<std::size_t> edited)
        : document_(document),
          change_(std::move(change)),
          first_(std::move(after)),
          patternBefore_(std::move(patternBefore)),
          patternAfter_(std::move(patternAfter)),
          edited_(edited) {
        setText(qt(edit.words));
    }
    void redo() override {
        if (first_) return show(std::exchange(first_, nullptr), patternAfter_, text(), QString());  // made and kept already
        again(&BookDifference::apply, patternAfter_, text(), QObject::tr("Again: %1").arg(text()));
    }
    void undo() override {
        again(&BookDifference::takeBack, patternBefore_, QObject::tr("undo %1").arg(text()), QObject::tr("Undone: %1").arg(text()));
    }

  private:
    void again(void (BookDifference::*way)(Book&) const, const DressingId& pattern, const QString& journal, const QString& words) {
        const auto book = std::make_shared<Book>(*document_.book_);
        (change_.*way)(*book);
        (void)document_.keep(book, journal);  // where that fails it is said, and kept when it can be
        show(book, pattern, journal, words);
    }
    void show(Document::Shared book, const DressingId& pattern, const QString& journal, const QString& words) {
        document_.pattern_ = pattern;
        document_.show(std::move(book), journal, words, edited_);
    }
    Document& document_;
    BookDifference change_;
    Document::Shared first_;  // until it was shown once
    DressingId patternBefore_;
    DressingId patternAfter_;
    std::optional<std::size_t> edited_;
};

Document::Document(QObject* parent) : QObject(parent) {
    constexpr int kSteps = 2000;  // each holds the records it changed, some kilobytes
    undo_.setUndoLimit(kSteps);
}

void Document::refuse(const Faults& faults) {
    if (faults.empty()) return;
    const Fault& first = faults.front();
    emit said(tr("Not done: %1").arg(sayFault(first)));
}

bool Document::done(const Faults& faults) {
    refuse(faults);
    return faults.empty();
}

// One place where what is thrown on the way to an edit becomes a refusal.
template <class Work>
Faults Document::guarded(Work work) {
    try {
        return work();
    } catch (const store::DiskError& error) {
        return {Fault{Place(), error.what(), ""}};
    } catch (const std::bad_alloc&) {
        return {Fault{Place(), machair::say("there is not enough memory for that"), machair::say("nothing was changed")}};
    } catch (const std::exception& error) {
        qWarning("an edit failed: %s", error.what());
        return {Fault{Place(), machair::say("the program could not do that"), machair::say("nothing was changed")}};
    }
}

Faults Document::open(const std::filesystem::path& path) {
    return guarded([&]() -> Faults {
        auto home = store::openHome(path, store::Access::readWrite);
        if (!home) return home.error();
        auto opened = (*home)->read();
        if (!opened) return opened.error();
        home_ = std::move(*home);
        path_ = path;
        kept_ = true;
        team_ = opened->book.teams.empty() ? TeamId() : opened->book.teams.front().id;
        pattern_ = {};
        if (const TeamSpec* chosen = opened->book.findTeam(team_))
            for (const Position position : kPositions)
                if (pattern_.empty() && chosen->at(position)) {
                    pattern_ = chosen->at(position)->pattern;
                    hung_ = position;
                }
        takeIn(std::move(*opened));
        return {};
    });
}

// A book as its home has it: undo begins anew.
void Document::takeIn(store::OpenedBench opened) {
    undo_.clear();
    book_ = heldAtHome_ = std::make_shared<const Book>(std::move(opened.book));
    warnings_ = std::move(opened.warnings);
    setAside_ = std::move(opened.setAside);
    ghost_.reset();
    part_.reset();
    previewed_.reset();
    planBeforePreview_.reset();
    settle();
    emit bookOpened();
    tellViews();
    if (!setAside_.empty()) emit setAsideFound();
}

// What is on the bench is settled before anybody is told of anything: no view sees half of a change.
void Document::tellViews() {
    emit teamChanged();
    emit planChanged();
    emit partChosen();
}

void Document::sayAnew() {
    if (!book_) return;
    emit bookChanged();
    tellViews();
}

// Something is on the bench wherever the book has anything to put there.
void Document::settle() {
    if (!book_->findTeam(team_)) team_ = book_->teams.empty() ? TeamId() : book_->teams.front().id;
    if (!book_->findPattern(pattern_)) pattern_ = book_->patterns.empty() ? DressingId() : book_->patterns.front().id;
    replan();
}

void Document::lookElsewhere() {
    if (home_ && kept_ && !previewed_ && home_->changedElsewhere()) readAgain(tr("Changed in another window or program: read again"));
}

void Document::tend() {
    lookElsewhere();
    if (!home_) return;
    try {
        if (!kept_ && !previewed_) (void)keep(book_, tr("what could not be kept before"));
        if (kept_) home_->settle();
    } catch (const store::DiskError& error) {
        emit notKept(QString::fromStdString(error.what()));
    }
}

void Document::readAgain(const QString& why) {
    auto opened = home_->read();
    if (!opened) {
        kept_ = false;
        emit notKept(qt(opened.error().front().line()));
        return;
    }
    if (!kept_) emit notKept(QString());
    kept_ = true;
    takeIn(std::move(*opened));
    emit said(why);
}

Faults Document::mend(std::string (store::Home::*work)()) {
    if (!home_) return {};
    return guarded([&]() -> Faults {
        const std::string done = (home_.get()->*work)();
        readAgain(qt(done));
        return {};
    });
}

void Document::mendFromCopies() { refuse(mend(&store::Home::mendFromCopies)); }
void Document::takeOutSetAside() { refuse(mend(&store::Home::takeOutSetAside)); }

Faults Document::restore(const std::filesystem::path& copy) {
    return guarded([&]() -> Faults {
        const auto opened = store::readBook(copy);
        if (!opened) return opened.error();
        return apply(Edit{machair::say("all as in the copy {}", copy.filename().string()), opened->book});
    });
}

Faults Document::keepCopy(const std::filesystem::path& path) {
    std::error_code ignored;
    if (!book_ || std::filesystem::equivalent(path, path_, ignored))
        return {Fault{Place(path.string()), machair::say("expected another name, got the open book itself"),
                      machair::say("it is kept with every edit already")}};
    return guarded([&] { return store::writeBook(path, *book_); });
}

const TeamSpec* Document::team() const { return book_ ? book_->findTeam(team_) : nullptr; }

const Pattern* Document::pattern() const { return book_ ? book_->findPattern(pattern_) : nullptr; }

std::optional<Position> Document::position() const {
    const TeamSpec* chosen = team();
    if (!chosen) return std::nullopt;
    const auto is = [&](Position position) { return chosen->at(position) && chosen->at(position)->pattern == pattern_; };
    if (hung_ && is(*hung_)) return hung_;  // twins hang in two places
    for (const Position position : kPositions)
        if (is(position)) return position;
    return std::nullopt;
}

void Document::chooseTeam(const TeamId& id) {
    if (id == team_ || !book_ || !book_->findTeam(id)) return;
    team_ = id;
    replan();
    emit teamChanged();
    for (const Position position : kPositions)
        if (team()->at(position)) return choosePosition(position);
}

void Document::choosePosition(Position position) {
    const TeamSpec* chosen = team();
    if (!chosen || !chosen->at(position)) return;
    const bool twin = hung_ != position && chosen->at(position)->pattern == pattern_;
    hung_ = position;
    choosePattern(chosen->at(position)->pattern);
    if (twin) emit teamChanged();  // the other of two on one dressing
}

void Document::choosePattern(const DressingId& id) {
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
    return guarded([&]() -> Faults {
        BookDifference change(*book_, edit->after);
        if (change.empty()) return {};
        if (Faults faults = whyNot(*book_, edit->after); !faults.empty()) return faults;
        return pushed(std::move(*edit), std::move(change), pattern_, edited);
    });
}

// Kept first, then shown: what can't be written at all never was.
Faults Document::pushed(Edit edit, BookDifference change, const DressingId& patternAfter, std::optional<std::size_t> edited) {
    const Shared after = std::make_shared<const Book>(std::move(edit.after));
    if (!keep(after, qt(edit.words)))
        return {Fault{Place(), machair::say("somebody else changed that at the same moment"),
                      machair::say("the book is read again: do it once more")}};
    undo_.push(new BookStep(*this, std::move(change), after, pattern_, patternAfter, edit, edited));  // the stack owns it
    return {};
}

Faults Document::start(Result<NewDressing> made) {
    if (!made) return made.error();
    return guarded([&]() -> Faults {
        if (Faults faults = whyNot(*book_, made->edit.after); !faults.empty()) return faults;
        BookDifference change(*book_, made->edit.after);
        part_.reset();
        ghost_.reset();
        if (Faults faults = pushed(std::move(made->edit), std::move(change), made->id, std::nullopt); !faults.empty()) return faults;
        emit said(tr("%1 is on the bench: every size is a share of its hook").arg(qt(pattern()->title())));
        return {};
    });
}

void Document::compareWith(const DressingId& id) {
    if (!book_ || !plan_) return;
    if (auto other = planPattern(*book_, id)) {
        ghost_ = std::move(*other);
        emit planChanged();
    }
}

void Document::preview(const Result<Edit>& edit) {
    if (!edit) return refuse(edit.error());
    auto planned = planWhatCan(edit->after, pattern_);
    if (!planned || planned->faults.size() > plan_->faults.size()) return;
    if (!previewed_) planBeforePreview_ = plan_;
    previewed_ = *edit;
    plan_ = std::move(*planned);
    emit planChanged();
    emit said(qt(sayChange(*planBeforePreview_, *plan_, part_)));
}

void Document::previewBeside(const Result<Edit>& edit) {
    if (!ghostBeforePreview_) ghostBeforePreview_ = ghost_;
    ghost_ = planBeforePreview_ ? planBeforePreview_ : plan_;
    preview(edit);
    if (!previewed_) endPreview();
}

// The plan and the ghost are again as they were before it.
void Document::endPreview() {
    if (previewed_) plan_ = planBeforePreview_;
    if (ghostBeforePreview_) ghost_ = std::move(*ghostBeforePreview_);
    previewed_.reset();
    planBeforePreview_.reset();
    ghostBeforePreview_.reset();
}

void Document::makePreviewed(std::optional<std::size_t> edited) {
    if (!previewed_) return;
    const Edit edit = *previewed_;
    endPreview();  // so that the step is said against where it began
    const Faults faults = apply(edit, edited);
    refuse(faults);
    if (!faults.empty() || edit.after == *book_) {
        replan();
        emit planChanged();
    }
}

void Document::dropPreview() {
    if (!previewed_) return;
    endPreview();
    emit planChanged();
    emit said(tr("Left as it was"));
}

void Document::show(Shared book, const QString& journal, const QString& words, std::optional<std::size_t> edited) {
    endPreview();  // undone while something was held: the hand lets go
    const std::optional<Plan> before = plan_;
    book_ = std::move(book);
    if (!book_->findPattern(pattern_)) pattern_ = book_->patterns.empty() ? DressingId() : book_->patterns.front().id;
    replan();
    if (part_ && (!plan_ || *part_ >= plan_->parts.size())) part_.reset();
    const bool sameFly = before && plan_ && before->pattern.id == plan_->pattern.id;
    if (sameFly && before->hook.spec() != plan_->hook.spec()) ghost_ = before;
    emit bookChanged();
    tellViews();
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
    if (auto planned = planWhatCan(*book_, pattern_)) plan_ = std::move(*planned);
    if (team())
        if (auto weighed = weighTeam(*book_, team_, setting())) report_ = std::move(*weighed);
    teamPreviewed_ = false;
}

const WaterSpec* Document::water() const {
    if (!book_ || book_->waters.empty()) return nullptr;
    const WaterSpec* chosen = book_->findWater(water_);
    return chosen ? chosen : &book_->waters.front();
}

void Document::chooseWater(const WaterId& id) {
    if (id == water_ || !book_ || !book_->findWater(id)) return;
    water_ = id;
    replan();
    emit teamChanged();
}

TeamSetting Document::setting() const { return settingOf(*book_, water(), plans_); }

int Document::kept() const { return water() ? water()->kept.value_or(0) : 0; }

void Document::keepFish(int kept) {
    if (!water() || kept == this->kept() || kept < 0) return;
    refuse(apply(changeWaterField(*book_, water()->id, "kept", kept == 0 ? "" : std::to_string(kept))));
}

void Document::previewTeam(const Result<Edit>& edit) {
    if (!edit || !team()) return;
    const Book& after = edit->after;
    auto weighed = weighTeam(after, team_, settingOf(after, water() ? after.findWater(water()->id) : nullptr, plans_));
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

bool Document::keep(const Shared& book, const QString& words) {
    try {
        home_->keep(*heldAtHome_, *book, words.toStdString());
        heldAtHome_ = book;
        if (!kept_) emit notKept(QString());
        kept_ = true;
    } catch (const store::ChangedElsewhere& error) {
        // Nothing of it was acknowledged. Where all before it is kept, the book is simply read again; else what could not be
        // kept so far stays here, to be kept as a copy.
        if (kept_) {
            QMetaObject::invokeMethod(
                this, [this] { readAgain(tr("Somebody else changed that at the same moment: read again. Do it once more")); },
                Qt::QueuedConnection);
            return false;
        }
        emit notKept(QString::fromStdString(error.what()));
    } catch (const store::DiskError& error) {
        kept_ = false;
        emit notKept(QString::fromStdString(error.what()));
    }
    return true;
}

}  // namespace machair::app
