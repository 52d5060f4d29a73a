// The open book: its state, what is on the bench, and its undoable changes. Widgets show it and ask it; the rules are
// the core's.
//
// Every edit is kept in the book's file before the quiet line says it. An edit that would leave a dressing that can't
// be tied is refused with its faults, and nothing changes.
#pragma once

#include <QLocale>
#include <QObject>
#include <QString>
#include <QUndoStack>
#include <filesystem>
#include <memory>
#include <optional>
#include <string>

#include "book/edits.h"
#include "book/kinds.h"
#include "book/lists.h"
#include "book/team_edits.h"
#include "sizing/plan.h"
#include "store/home.h"
#include "team/team.h"
#include "units/text.h"

namespace machair::app {

class Document : public QObject {
    Q_OBJECT
  public:
    explicit Document(QObject* parent = nullptr);

    // Opens a bench book or bench file. With faults the open book stays as it is.
    [[nodiscard]] Faults open(const std::filesystem::path& path);
    [[nodiscard]] bool isOpen() const { return book_ != nullptr; }
    [[nodiscard]] const Book& book() const { return *book_; }
    // For work away from the window's thread: it stays as it is, whatever is edited meanwhile.
    [[nodiscard]] std::shared_ptr<const Book> shared() const { return book_; }
    [[nodiscard]] const std::filesystem::path& path() const { return path_; }
    [[nodiscard]] const Faults& warnings() const { return warnings_; }
    // Damaged records that were not taken in when the book was read; they stay in the file until mended or taken out.
    [[nodiscard]] const std::vector<store::SetAside>& setAside() const { return setAside_; }
    // Mends them from the copies of the book, or takes them out, and reads it again; what was done is said.
    void mendFromCopies();
    void takeOutSetAside();
    // The whole book as a copy has it, as one step that can be undone.
    [[nodiscard]] Faults restore(const std::filesystem::path& copy);

    // What is on the bench.
    [[nodiscard]] const TeamSpec* team() const;
    [[nodiscard]] const std::optional<TeamReport>& teamReport() const { return report_; }
    [[nodiscard]] std::optional<Position> position() const;  // of the fly on the bench in the team, where it has one
    [[nodiscard]] const Pattern* pattern() const;
    [[nodiscard]] const std::optional<Plan>& plan() const { return plan_; }
    [[nodiscard]] std::optional<std::size_t> part() const { return part_; }
    void chooseTeam(const TeamId& id);
    void choosePosition(Position position);
    void choosePattern(const DressingId& id);
    void choosePart(std::optional<std::size_t> part);

    // The water of the day: what the team is judged under. The first of the book until another is chosen.
    [[nodiscard]] const WaterSpec* water() const;
    void chooseWater(const WaterId& id);
    [[nodiscard]] TeamSetting setting() const;
    // Plans of flies, for whoever works on a copy of the book beside the window.
    [[nodiscard]] const std::shared_ptr<Plans>& plans() const { return plans_; }
    // How many fish are kept today on the water, where a rule card asks.
    [[nodiscard]] int kept() const;
    void keepFish(int kept);
    // Shows the team as an edit would make it, without making it.
    void previewTeam(const Result<Edit>& edit);
    void dropTeamPreview();
    [[nodiscard]] bool teamPreviewing() const { return teamPreviewed_; }
    void say(const QString& words) { emit said(words); }
    // Everything is shown again as it is: what it is said in has changed.
    void sayAnew();
    // Says why something was not done. Nobody throws a refusal away.
    void refuse(const Faults& faults);
    [[nodiscard]] bool done(const Faults& faults);  // the same, and whether there was nothing to say

    // The fly as it was on the last hook, until dismissed.
    [[nodiscard]] const std::optional<Plan>& ghost() const { return ghost_; }
    void dismissGhost();

    // Faults when the edit was refused; empty when it was done, or when it changed nothing. Whatever is thrown on the way
    // becomes a fault, and the book is as it was.
    [[nodiscard]] Faults apply(Result<Edit> edit, std::optional<std::size_t> edited = std::nullopt);
    // Shows an edit without making it: while something is dragged. One that can't be tied is not shown. Ends with
    // makePreviewed(), which makes it one step of undo, or dropPreview().
    void preview(const Result<Edit>& edit);
    // The same with the fly as it is as the ghost beside it.
    void previewBeside(const Result<Edit>& edit);
    void makePreviewed(std::optional<std::size_t> edited);
    void dropPreview();
    // Makes a new dressing and puts it on the bench.
    [[nodiscard]] Faults start(Result<NewDressing> made);
    // Shows another plan as the ghost: to compare with.
    void compareWith(const DressingId& pattern);
    [[nodiscard]] bool previewing() const { return previewed_.has_value(); }
    [[nodiscard]] QUndoStack& undoStack() { return undo_; }

    // Reads the book again where another window or program has changed it; undo starts anew then.
    void lookElsewhere();
    // What an open book wants every second or two: others' edits looked for, the log written back, what could not be kept
    // tried again.
    void tend();
    // Writes the book as it is now to another file, of either kind. Faults where that can't be done.
    [[nodiscard]] Faults keepCopy(const std::filesystem::path& path);
    [[nodiscard]] bool readOnly() const { return home_ && home_->readOnly(); }

  signals:
    void setAsideFound();  // some records were not taken in
    void bookOpened();
    void bookChanged();  // by an edit; not while something is only previewed
    void planChanged();  // the fly on the bench, or which one it is
    void teamChanged();  // the team, any of its flies, or what it is judged under
    void partChosen();
    void said(const QString& words);
    void notKept(const QString& why);  // an edit could not be written to the disk; empty when all is kept again

  private:
    friend class BookStep;
    using Shared = std::shared_ptr<const Book>;
    void show(Shared book, const QString& journal, const QString& words, std::optional<std::size_t> edited);
    void replan();
    // False where it met somebody else's edit: nothing of it was made, and the book is read again.
    [[nodiscard]] bool keep(const Shared& book, const QString& words);
    void tellViews();
    void takeIn(store::OpenedBench opened);
    Faults mend(std::string (store::Home::*work)());
    [[nodiscard]] Faults pushed(Edit edit, BookDifference change, const DressingId& patternAfter, std::optional<std::size_t> edited);
    template <class Work>
    [[nodiscard]] Faults guarded(Work work);
    void readAgain(const QString& why);
    void settle();
    void endPreview();

    std::unique_ptr<store::Home> home_;
    Shared book_;
    Shared heldAtHome_;  // as the home has it: what edits are kept against
    std::filesystem::path path_;
    Faults warnings_;
    std::vector<store::SetAside> setAside_;
    TeamId team_;
    DressingId pattern_;
    WaterId water_;
    std::optional<Position> hung_;  // the place that was chosen, where the dressing hangs in two
    bool teamPreviewed_ = false;
    std::optional<std::size_t> part_;
    std::optional<Plan> plan_;
    std::optional<Plan> ghost_;
    std::shared_ptr<Plans> plans_ = std::make_shared<Plans>();
    std::optional<TeamReport> report_;
    std::optional<Edit> previewed_;
    std::optional<Plan> planBeforePreview_;
    std::optional<std::optional<Plan>> ghostBeforePreview_;  // where the preview has one of its own
    QUndoStack undo_;
    bool kept_ = true;
};

[[nodiscard]] inline QString qt(const std::string& text) { return QString::fromStdString(text); }
// With so many places behind the point, and the decimal sign of the language.
[[nodiscard]] inline QString number(double value, int decimals) {
    return qt(formatNumber(value, decimals)).replace(QLatin1Char('.'), QLocale().decimalPoint());
}
// As few as it needs, of at most so many.
[[nodiscard]] inline QString shortNumber(double value, int decimals) {
    return qt(formatShort(value, decimals)).replace(QLatin1Char('.'), QLocale().decimalPoint());
}
// A fault as it is said to people: what is wrong and what would do, without its place.
[[nodiscard]] inline QString sayFault(const Fault& fault) { return qt(fault.what + (fault.remedy.empty() ? "" : "; " + fault.remedy)); }
[[nodiscard]] inline QString sayFaults(const Faults& faults) {
    QStringList lines;
    for (const Fault& fault : faults)
        lines << sayFault(fault);
    return lines.join(QLatin1Char('\n'));
}
[[nodiscard]] inline QString capitalised(QString text) {
    if (!text.isEmpty()) text[0] = text[0].toUpper();
    return text;
}

}  // namespace machair::app
