// The window's language: one catalogue has the words of the window and of the core, and with it goes how numbers, months and days are
// written. Files, ids and the command line stay as they are.
#pragma once

#include <QLocale>
#include <QString>
#include <vector>

class QSettings;

namespace machair::app {

// What the application ends with where it is to begin again in another language.
inline constexpr int kBeginAgain = 78;

struct KnownLanguage {
    QString code;  // "fr"
    QString name;  // as its speakers call it
};
// English, and those that the program has words for.
[[nodiscard]] const std::vector<KnownLanguage>& knownLanguages();

// What the house chose: a code, or nothing where it is as the system has it.
[[nodiscard]] QString chosenLanguage(const QSettings& settings);
void chooseLanguage(QSettings& settings, const QString& code);
// What that comes to: the code of one that is known, English where the system's is not.
[[nodiscard]] QString languageOf(const QSettings& settings, const QLocale& system = QLocale::system());

// From now on; before a window is made.
void speak(const QString& code);
[[nodiscard]] const QString& spokenLanguage();

}  // namespace machair::app
