// A drawer as a table that goes out and comes in, after it was said what that would change.
#include "drawers/drawers_station.h"

#include <QFileInfo>
#include <QHBoxLayout>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QMenu>
#include <QSaveFile>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>

#include "drawers/thing_view.h"
#include "drawers/vane_view.h"
#include "frame/ask_file.h"
#include "frame/panel.h"
#include "frame/retire.h"
#include "language/say.h"
#include "parts/label.h"
#include "parts/record_sheet.h"

namespace machair::app {

bool DrawersStation::exportTo(const QString& path) {
    std::string text;
    if (drawer() == Drawer::hooks)
        text = store::hooksToCsv(document_.book().hooks);
    else {
        std::vector<Material> own;
        for (const Material& m : document_.book().materials)
            if (liesIn(drawer(), m.kind)) own.push_back(m);
        text = store::materialsToCsv(own);
    }
    QSaveFile file(path);
    const bool written = file.open(QIODevice::WriteOnly) && file.write(text.data(), static_cast<qint64>(text.size())) >= 0 && file.commit();
    say(written ? tr("Written to %1").arg(path) : tr("%1 could not be written: %2").arg(path, file.errorString()), !written);
    return written;
}

Result<store::Imported> DrawersStation::tableFrom(const QString& path) const {
    constexpr std::size_t kMost = 16 << 20;
    return store::readWhole(path.toStdString(), kMost).and_then([this](const std::string& text) {
        return store::importCsv(document_.book(), text);
    });
}

// What a table would change, before it does.
void DrawersStation::offerImport(const QString& path) {
    const auto imported = tableFrom(path);
    if (!imported) {
        importFrom(path);  // which says what is wrong, and takes nothing in
        return;
    }
    say(tr("%1: %2 would be new, %3 would change. Nothing is taken in yet.")
            .arg(QFileInfo(path).fileName())
            .arg(imported->added)
            .arg(imported->changed),
        false);
    clearOffers();
    auto* take = toolButton("import-take", tr("Take it in"), tr("As one step that can be undone"));
    auto* leave = toolButton("import-leave", tr("Leave it"), tr("Nothing is taken in"));
    connect(take, &QToolButton::clicked, this, [this, path] { importFrom(path); });
    connect(leave, &QToolButton::clicked, this, [this] { say({}, false); });
    holders_->layout()->addWidget(take);
    holders_->layout()->addWidget(leave);
    holders_->show();
}

bool DrawersStation::importFrom(const QString& path) {
    const auto imported = tableFrom(path);
    Faults faults;
    if (imported)
        faults = document_.apply(Edit{machair::say("import of {}", QFileInfo(path).fileName().toStdString()), imported->book});
    else
        faults = imported.error();
    QStringList lines;
    constexpr std::size_t kShown = 12;
    for (std::size_t i = 0; i < std::min(kShown, faults.size()); ++i)
        lines << qt(faults[i].line());
    if (faults.size() > kShown) lines << tr("and %1 more").arg(faults.size() - kShown);
    if (faults.empty()) refresh();
    say(faults.empty()
            ? tr("%1 new, %2 changed%3")
                  .arg(imported->added)
                  .arg(imported->changed)
                  .arg(imported->encoding == store::Encoding::utf8 ? QString() : tr("; read as %1").arg(qt(sayName(imported->encoding))))
            : tr("Nothing was taken in:\n%1").arg(lines.join(QLatin1Char('\n'))),
        !faults.empty());
    return faults.empty();
}

// What stands in the way, a press away.
void DrawersStation::offerHolders(const RecordId& record) {
    clearOffers();
    constexpr std::size_t kMost = 5;
    const auto holders = heldBy(document_.book(), record);
    for (std::size_t i = 0; i < std::min(kMost, holders.size()); ++i) {
        auto* go = toolButton("holder", tr("Go to %1").arg(inHouseWords(holders[i].title)), tr("It needs what you want to take out"));
        connect(go, &QToolButton::clicked, this, [this, to = holders[i].record] { emit goTo(to); });
        holders_->layout()->addWidget(go);
    }
    holders_->setVisible(!holders.empty());
}

}  // namespace machair::app
