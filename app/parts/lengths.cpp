#include "parts/lengths.h"

#include <QApplication>
#include <QLocale>
#include <QRegularExpression>
#include <QVariant>

#include "book/spec_words.h"
#include "language/say.h"
#include "parts/dates.h"
#include "parts/label.h"

namespace machair::app {

namespace {

constexpr const char* kProperty = "lengthsSaidIn";  // of the application

QString qs(std::string_view text) { return QString::fromUtf8(text.data(), static_cast<qsizetype>(text.size())); }

// "11.7 mm" with the decimal sign of the language: "11,7 mm". What has more than one point is no number (a version, a name).
QString withOwnPoint(QString words) {
    if (QLocale().decimalPoint() == QLatin1String(".")) return words;
    static const QRegularExpression kNumber(QStringLiteral("(?<![\\w.])(\\d+)\\.(\\d+)(?![\\w.]*\\.\\w)"));
    return words.replace(kNumber, QStringLiteral("\\1%1\\2").arg(QLocale().decimalPoint()));
}
// And back, as it was typed: "1,5" is 1.5, "16, 24" are two.
std::string withPoint(const QString& typed) {
    if (QLocale().decimalPoint() == QLatin1String(".")) return typed.toStdString();
    static const QRegularExpression kNumber(QStringLiteral("(?<![\\d,])(\\d+),(\\d+)(?![\\d,])"));
    return QString(typed).replace(kNumber, QStringLiteral("\\1.\\2")).toStdString();
}

// "11.7" of "11.7 mm".
QString figureOf(const QString& said) { return said.left(said.lastIndexOf(QLatin1Char(' '))); }

bool inMillimetres(const Field& field) { return field.key.ends_with("_mm"); }
bool isWritten(const Field& field) { return field.kind == FieldKind::length || field.kind == FieldKind::station; }

// "0 to 9, 20 to 24" with each of its numbers as `change` has it; as it was where one of them is no length.
template <class Change>
std::string eachLength(std::string_view text, Change change) {
    std::string all;
    while (true) {
        const std::size_t comma = text.find(','), to = text.find(" to ");
        const std::size_t end = std::min({comma, to, text.size()});
        const auto one = change(trimmed(text.substr(0, end)));
        if (!one) return {};
        all += *one;
        if (end == text.size()) return all;
        all += end == comma ? ", " : " to ";
        text.remove_prefix(end + (end == comma ? 1 : 4));
    }
}

}  // namespace

LengthUnit lengthsSaidIn() {
    return QCoreApplication::instance() ? static_cast<LengthUnit>(QCoreApplication::instance()->property(kProperty).toInt())
                                        : LengthUnit::millimetres;
}

void sayLengthsIn(LengthUnit unit) {
    if (unit == lengthsSaidIn()) return;
    QCoreApplication::instance()->setProperty(kProperty, static_cast<int>(unit));
    for (QWidget* widget : QApplication::allWidgets()) {
        if (auto* label = qobject_cast<Label*>(widget)) label->sayAgain();
        widget->update();
    }
}

QString inHouseWords(const std::string& words) { return inHouseWords(qs(words)); }
QString inHouseWords(const QString& words) {
    const LengthUnit unit = lengthsSaidIn();
    return withOwnPoint(datesSaid(unit == LengthUnit::millimetres ? words : qs(inUnit(withPoint(words), unit))));
}
QString lengthSaid(Length length, int decimals) { return withOwnPoint(qs(formatLength(length, lengthsSaidIn(), decimals))); }
QString lengthUnitName() { return qs(nameOf(lengthsSaidIn())); }
QString lengthFigure(Length length, int decimals) { return figureOf(lengthSaid(length, decimals)); }

AmountSaid amountInHouseUnit(const std::string& number, const std::string& unit) {
    if (unit != nameOf(LengthUnit::millimetres)) return {withOwnPoint(qs(number)), inHouseWords(unit)};
    return {figureOf(inHouseWords(number + " " + unit)), lengthUnitName()};
}

QString broken(const QString& words) {
    constexpr qsizetype kBreaks = 48, kWhole = 400, kBegin = 40, kEnd = 8;  // characters
    const QChar mayBreak(0x200b);
    QString all;
    qsizetype from = 0;
    const auto take = [&](qsizetype to) {
        const QString word = words.mid(from, to - from);
        if (word.size() > kWhole)
            all += word.left(kBegin) + QChar(0x2026) + word.right(kEnd);
        else
            for (qsizetype at = 0; at < word.size(); at += kBreaks)
                all += (at > 0 ? QString(mayBreak) : QString()) + word.mid(at, kBreaks);
    };
    for (qsizetype at = 0; at < words.size(); ++at) {
        if (!words[at].isSpace()) continue;
        take(at);
        all += words[at];
        from = at + 1;
    }
    take(words.size());
    return all;
}

namespace {

// In the house's unit, in the file's words.
QString inUnitOf(const Field& field) {
    const LengthUnit unit = lengthsSaidIn();
    if (unit == LengthUnit::millimetres || !(inMillimetres(field) || isWritten(field))) return qs(field.text);
    if (isWritten(field)) return qs(inUnit(field.text, unit));
    constexpr int kDecimals = 4;  // of an inch: finer than any calliper
    const std::string shown = eachLength(field.text, [](std::string_view one) -> std::optional<std::string> {
        const auto length = parseLength(one);
        return length ? std::optional(formatShort(*length / inch, kDecimals)) : std::nullopt;
    });
    return shown.empty() ? qs(field.text) : qs(shown);
}

std::string inMillimetresOf(const Field& field, const std::string& text) {
    const LengthUnit unit = lengthsSaidIn();
    if (unit == LengthUnit::millimetres) return text;
    if (inMillimetres(field)) {
        const std::string written = eachLength(text, [unit](std::string_view one) -> std::optional<std::string> {
            const auto length = parseLength(one, unit);
            return length ? std::optional(formatExact(*length / mm)) : std::nullopt;
        });
        return written.empty() ? text : written;
    }
    if (!isWritten(field)) return text;
    for (const std::string_view from : {"", " past ", " short of ", " ahead of ", " behind "}) {
        const std::size_t end = from.empty() ? text.size() : text.find(from);
        if (end == std::string::npos) continue;
        const std::string size = text.substr(0, end);
        // Without a unit it reads otherwise under inches than under millimetres: then it is in inches.
        const auto here = parseLength(size, unit), there = parseLength(size);
        if (here && there && abs(*here - *there) > 1e-9 * mm) return size + " in" + text.substr(end);
    }
    return text;
}

constexpr const char* kTo = unsaid(" to ");  // "2 to 3"

bool isNumber(const Field& field) {
    return field.kind == FieldKind::number || field.kind == FieldKind::count || isWritten(field) || inMillimetres(field);
}

}  // namespace

QString shownText(const Field& field) {
    if (field.kind == FieldKind::date) return dateSaid(field.text);
    if (!isNumber(field)) return field.kind == FieldKind::choice ? qs(say(field.text)) : qs(field.text);
    const QString shown = inUnitOf(field);
    return withOwnPoint(isWritten(field) ? qs(specInLanguage(shown.toStdString())) : QString(shown).replace(qs(kTo), qs(say(kTo))));
}

std::string writtenText(const Field& field, const QString& typed) {
    if (field.kind == FieldKind::date) return dateWritten(typed);
    if (!isNumber(field)) return typed.toStdString();
    const std::string text = withPoint(typed);
    return inMillimetresOf(field, isWritten(field) ? specInEnglish(text) : qs(text).replace(qs(say(kTo)), qs(kTo)).toStdString());
}

LengthSpin::LengthSpin(QWidget* parent) : QDoubleSpinBox(parent) {}

QString LengthSpin::textFromValue(double millimetres) const {
    const LengthUnit unit = lengthsSaidIn();
    if (unit == LengthUnit::millimetres) return QDoubleSpinBox::textFromValue(millimetres) + QStringLiteral(" mm");
    return withOwnPoint(qs(formatLength(millimetres * mm, unit, decimals())));
}

// What was typed, without the words that stand before and after it.
std::string LengthSpin::bare(QString text) const {
    if (!prefix().isEmpty() && text.startsWith(prefix())) text.remove(0, prefix().size());
    if (!suffix().isEmpty() && text.endsWith(suffix())) text.chop(suffix().size());
    return withPoint(text);
}

double LengthSpin::valueFromText(const QString& text) const {
    const auto length = parseLength(bare(text), lengthsSaidIn());
    return length ? *length / mm : value();
}

QValidator::State LengthSpin::validate(QString& text, int&) const {
    const auto length = parseLength(bare(text), lengthsSaidIn());
    if (!length) return QValidator::Intermediate;
    return *length / mm >= minimum() && *length / mm <= maximum() ? QValidator::Acceptable : QValidator::Intermediate;
}

}  // namespace machair::app
