#include "parts/dates.h"

#include <QDate>
#include <QLocale>
#include <QRegularExpression>

namespace machair::app {

namespace {

const QString& kept() {
    static const QString kKept = QStringLiteral("yyyy-MM-dd");
    return kKept;
}

// The language's short form, its year in full: of 26 nobody knows which number it is. As the book has it where the months of that form
// are words, or the system speaks no language.
QString shortForm() {
    if (QLocale().language() == QLocale::C) return kept();
    QString form = QLocale().dateFormat(QLocale::ShortFormat);
    if (form.contains(QLatin1String("MMM"))) return kept();
    if (!form.contains(QLatin1String("yyyy"))) form.replace(QLatin1String("yy"), QLatin1String("yyyy"));
    return form;
}

// With the digits of any script as 0 to 9.
QString plainDigits(const QString& text) {
    QString plain;
    for (const char32_t c : text.toUcs4()) {
        const int digit = QChar::digitValue(c);
        plain += digit >= 0 ? QString::number(digit) : QString::fromUcs4(&c, 1);
    }
    return plain;
}

// Three numbers in the order of the form; in that of the book where the first is a year.
QDate readIn(const QString& form, const QString& typed) {
    static const QRegularExpression kThree(QStringLiteral("^\\D*(\\d{1,4})\\D+(\\d{1,2})\\D+(\\d{1,4})\\D*$"));
    const auto found = kThree.match(typed);
    if (!found.hasMatch()) return {};
    const QString order = found.capturedLength(1) == 4 ? kept() : form;
    const auto number = [&](char field) {
        int place = 1;
        for (const char other : {'y', 'M', 'd'})
            place += order.indexOf(QLatin1Char(other)) < order.indexOf(QLatin1Char(field)) ? 1 : 0;
        return found.captured(place).toInt();
    };
    const int year = number('y');
    constexpr int kCentury = 100, kThisOne = 2000;
    return {year < kCentury ? kThisOne + year : year, number('M'), number('d')};
}

}  // namespace

std::string today() { return QDate::currentDate().toString(kept()).toStdString(); }

QString dateSaid(const QString& day) {
    const QDate date = QDate::fromString(day, kept());
    return date.isValid() ? QLocale().toString(date, shortForm()) : day;
}
QString dateSaid(const std::string& day) { return dateSaid(QString::fromStdString(day)); }

QString monthSaid(const std::string& month) {
    const QString whole = QString::fromStdString(month);
    const QDate first = QDate::fromString(whole + QStringLiteral("-01"), kept());
    if (!first.isValid() || shortForm() == kept()) return whole;
    return QLocale().toString(first, QStringLiteral("MMM yyyy"));
}

QString datesSaid(QString words) {
    static const QRegularExpression kDay(QStringLiteral("(?<![\\w./-])\\d{4}-\\d\\d-\\d\\d(?![\\w/-]|\\.\\w)"));
    if (shortForm() == kept()) return words;
    for (auto found = kDay.match(words); found.hasMatch();) {
        const QString said = dateSaid(found.captured(0));
        words.replace(found.capturedStart(0), found.capturedLength(0), said);
        found = kDay.match(words, found.capturedStart(0) + said.size());
    }
    return words;
}

std::string dateWritten(const QString& typed) {
    const QString text = typed.trimmed();
    const QDate date = readIn(shortForm(), plainDigits(text));
    return (date.isValid() ? date.toString(kept()) : text).toStdString();
}

}  // namespace machair::app
