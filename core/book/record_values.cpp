// How the records of a book are made, copied, moved, compared and let go: here once, and not in every source that does
// so, where most of a build went.
#include "book/book.h"

namespace machair {

VaneFeather::VaneFeather() = default;
VaneFeather::VaneFeather(const VaneFeather&) = default;
VaneFeather::VaneFeather(VaneFeather&&) noexcept = default;
VaneFeather& VaneFeather::operator=(const VaneFeather&) = default;
VaneFeather& VaneFeather::operator=(VaneFeather&&) noexcept = default;
VaneFeather::~VaneFeather() = default;
bool VaneFeather::operator==(const VaneFeather&) const = default;

CutList::CutList() = default;
CutList::CutList(const CutList&) = default;
CutList::CutList(CutList&&) noexcept = default;
CutList& CutList::operator=(const CutList&) = default;
CutList& CutList::operator=(CutList&&) noexcept = default;
CutList::~CutList() = default;
bool CutList::operator==(const CutList&) const = default;

RuleCard::RuleCard() = default;
RuleCard::RuleCard(const RuleCard&) = default;
RuleCard::RuleCard(RuleCard&&) noexcept = default;
RuleCard& RuleCard::operator=(const RuleCard&) = default;
RuleCard& RuleCard::operator=(RuleCard&&) noexcept = default;
RuleCard::~RuleCard() = default;
bool RuleCard::operator==(const RuleCard&) const = default;

WaterSpec::WaterSpec() = default;
WaterSpec::WaterSpec(const WaterSpec&) = default;
WaterSpec::WaterSpec(WaterSpec&&) noexcept = default;
WaterSpec& WaterSpec::operator=(const WaterSpec&) = default;
WaterSpec& WaterSpec::operator=(WaterSpec&&) noexcept = default;
WaterSpec::~WaterSpec() = default;
bool WaterSpec::operator==(const WaterSpec&) const = default;

BoxFly::BoxFly() = default;
BoxFly::BoxFly(const BoxFly&) = default;
BoxFly::BoxFly(BoxFly&&) noexcept = default;
BoxFly& BoxFly::operator=(const BoxFly&) = default;
BoxFly& BoxFly::operator=(BoxFly&&) noexcept = default;
BoxFly::~BoxFly() = default;
bool BoxFly::operator==(const BoxFly&) const = default;

SeasonRow::SeasonRow() = default;
SeasonRow::SeasonRow(const SeasonRow&) = default;
SeasonRow::SeasonRow(SeasonRow&&) noexcept = default;
SeasonRow& SeasonRow::operator=(const SeasonRow&) = default;
SeasonRow& SeasonRow::operator=(SeasonRow&&) noexcept = default;
SeasonRow::~SeasonRow() = default;
bool SeasonRow::operator==(const SeasonRow&) const = default;

Mishap::Mishap() = default;
Mishap::Mishap(const Mishap&) = default;
Mishap::Mishap(Mishap&&) noexcept = default;
Mishap& Mishap::operator=(const Mishap&) = default;
Mishap& Mishap::operator=(Mishap&&) noexcept = default;
Mishap::~Mishap() = default;
bool Mishap::operator==(const Mishap&) const = default;

CheckedFly::CheckedFly() = default;
CheckedFly::CheckedFly(const CheckedFly&) = default;
CheckedFly::CheckedFly(CheckedFly&&) noexcept = default;
CheckedFly& CheckedFly::operator=(const CheckedFly&) = default;
CheckedFly& CheckedFly::operator=(CheckedFly&&) noexcept = default;
CheckedFly::~CheckedFly() = default;
bool CheckedFly::operator==(const CheckedFly&) const = default;

TeamSchool::TeamSchool() = default;
TeamSchool::TeamSchool(const TeamSchool&) = default;
TeamSchool::TeamSchool(TeamSchool&&) noexcept = default;
TeamSchool& TeamSchool::operator=(const TeamSchool&) = default;
TeamSchool& TeamSchool::operator=(TeamSchool&&) noexcept = default;
TeamSchool::~TeamSchool() = default;
bool TeamSchool::operator==(const TeamSchool&) const = default;

TeamSpec::TeamSpec() = default;
TeamSpec::TeamSpec(const TeamSpec&) = default;
TeamSpec::TeamSpec(TeamSpec&&) noexcept = default;
TeamSpec& TeamSpec::operator=(const TeamSpec&) = default;
TeamSpec& TeamSpec::operator=(TeamSpec&&) noexcept = default;
TeamSpec::~TeamSpec() = default;
bool TeamSpec::operator==(const TeamSpec&) const = default;

Day::Day() = default;
Day::Day(const Day&) = default;
Day::Day(Day&&) noexcept = default;
Day& Day::operator=(const Day&) = default;
Day& Day::operator=(Day&&) noexcept = default;
Day::~Day() = default;
bool Day::operator==(const Day&) const = default;

Book::Book() = default;
Book::Book(const Book&) = default;
Book::Book(Book&&) noexcept = default;
Book& Book::operator=(const Book&) = default;
Book& Book::operator=(Book&&) noexcept = default;
Book::~Book() = default;
bool Book::operator==(const Book&) const = default;

}  // namespace machair
