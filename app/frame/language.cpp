#include "frame/language.h"

#include <QCoreApplication>
#include <QDir>
#include <QLibraryInfo>
#include <QSettings>
#include <QTranslator>
#include <algorithm>
#include <array>
#include <cmath>
#include <memory>

#include "language/say.h"

namespace machair::app {

namespace {

constexpr const char* kKey = "house/language";
constexpr const char* kEnglish = "en";

// The core's sentences stand in the same catalogue, under no class.
class Catalogue : public Language {
  public:
    explicit Catalogue(const QTranslator& words) : words_(words) {}
    [[nodiscard]] std::string said(const std::string& english) const override {
        const QString own = words_.translate("", english.c_str());
        return own.isEmpty() ? english : own.toStdString();
    }
    [[nodiscard]] std::string said(const std::string& one, const std::string& many, double number) const override {
        // Of parts of one (1.5 turns) the whole ones count: languages have no rule for the rest.
        const QString own = words_.translate("", one.c_str(), nullptr, static_cast<int>(std::clamp(number, 0.0, 1e9)));
        return own.isEmpty() ? (number == 1.0 ? one : many) : own.toStdString();
    }

    [[nodiscard]] char point() const override { return QLocale().decimalPoint() == QLatin1String(",") ? ',' : '.'; }

  private:
    const QTranslator& words_;
};

// What is spoken now: the window's words, and those of the library's own dialogs where the system has them.
std::array<std::unique_ptr<QTranslator>, 2>& spoken() {
    static std::array<std::unique_ptr<QTranslator>, 2> translators;
    return translators;
}

QString& code() {
    static QString spokenNow = QString::fromLatin1(kEnglish);
    return spokenNow;
}

}  // namespace

const QString& spokenLanguage() { return code(); }

const std::vector<KnownLanguage>& knownLanguages() {
    static const std::vector<KnownLanguage> kKnown = [] {
        std::vector<KnownLanguage> known = {{QString::fromLatin1(kEnglish), QStringLiteral("English")}};
        for (const QFileInfo& file : QDir(QStringLiteral(":/languages")).entryInfoList({QStringLiteral("*.qm")}, QDir::Files, QDir::Name)) {
            QString name = QLocale(file.baseName()).nativeLanguageName();
            name[0] = name[0].toUpper();
            known.push_back({file.baseName(), name});
        }
        return known;
    }();
    return kKnown;
}

QString chosenLanguage(const QSettings& settings) { return settings.value(kKey).toString(); }

void chooseLanguage(QSettings& settings, const QString& code) { settings.setValue(kKey, code); }

QString languageOf(const QSettings& settings, const QLocale& system) {
    const QString wanted = chosenLanguage(settings).isEmpty() ? system.name().section(QLatin1Char('_'), 0, 0) : chosenLanguage(settings);
    const auto& known = knownLanguages();
    const auto found = std::ranges::find(known, wanted, &KnownLanguage::code);
    return found == known.end() ? QString::fromLatin1(kEnglish) : found->code;
}

void speak(const QString& wanted) {
    sayEverythingIn(nullptr);
    code() = QString::fromLatin1(kEnglish);
    for (auto& translator : spoken())
        translator.reset();  // leaves the application as it goes
    // Numbers, months and days are of the language as well, or a sentence mixes them: as the system has them where it speaks it. English on
    // another system is the window's own, whose day stands before the month; on one that speaks nothing they stay as the book has them.
    const QLocale own(wanted), system = QLocale::system();
    QLocale::setDefault(own.language() == system.language()  ? system
                        : own.language() != QLocale::English ? own
                        : system.language() == QLocale::C    ? QLocale::c()
                                                             : QLocale(QLocale::English, QLocale::UnitedKingdom));
    auto words = std::make_unique<QTranslator>();
    if (wanted == QLatin1String(kEnglish) || !words->load(QStringLiteral(":/languages/%1.qm").arg(wanted))) return;
    code() = wanted;
    QCoreApplication::installTranslator(words.get());
    auto dialogs = std::make_unique<QTranslator>();
    if (dialogs->load(own, QStringLiteral("qtbase"), QStringLiteral("_"), QLibraryInfo::path(QLibraryInfo::TranslationsPath)))
        QCoreApplication::installTranslator(dialogs.get());
    sayEverythingIn(std::make_shared<Catalogue>(*words));
    spoken() = {std::move(words), std::move(dialogs)};
}

}  // namespace machair::app
