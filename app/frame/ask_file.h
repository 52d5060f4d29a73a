// Asks for a file without holding up the window. `then` is a slot or a function of `receiver` and gets the name chosen.
#pragma once

#include <QFileDialog>

namespace machair::app {

template <class Receiver, class Then>
void askWhatToRead(Receiver* receiver, const QString& title, const QString& at, const QString& kinds, Then then) {
    auto* dialog = new QFileDialog(receiver, title, at, kinds);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    QObject::connect(dialog, &QFileDialog::fileSelected, receiver, then);
    dialog->open();
}

// A name without an ending gets `suffix`, where there is one.
template <class Receiver, class Then>
void askWhereToWrite(Receiver* receiver, const QString& title, const QString& at, const QString& kinds, const QString& suffix, Then then) {
    auto* dialog = new QFileDialog(receiver, title, at, kinds);
    dialog->setAttribute(Qt::WA_DeleteOnClose);
    dialog->setAcceptMode(QFileDialog::AcceptSave);
    dialog->setDefaultSuffix(suffix);
    QObject::connect(dialog, &QFileDialog::fileSelected, receiver, then);
    dialog->open();
}

}  // namespace machair::app
