#include "tie/speaker.h"

#ifdef MACHAIR_SPEECH
#include <QLocale>
#include <QTextToSpeech>
#endif

namespace machair::app {

#ifdef MACHAIR_SPEECH
struct Speaker::Voice {
    QTextToSpeech engine;
};
bool Speaker::available() {
    if (QTextToSpeech::availableEngines().isEmpty()) return false;
    if (!voice_) {
        voice_ = std::make_unique<Voice>();
        voice_->engine.setLocale(QLocale());  // of the words that it says
    }
    return voice_->engine.state() != QTextToSpeech::Error && !voice_->engine.availableVoices().isEmpty();
}
void Speaker::say(const QString& words) {
    if (!available()) return;
    voice_->engine.stop();
    voice_->engine.say(words);
}
#else
struct Speaker::Voice {};
bool Speaker::available() { return false; }
void Speaker::say(const QString&) {}
#endif

Speaker::Speaker(QObject* parent) : QObject(parent) {}
Speaker::~Speaker() = default;

}  // namespace machair::app
