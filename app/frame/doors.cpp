#include "frame/doors.h"

#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLabel>
#include <QLineEdit>
#include <QPainter>
#include <QPointer>
#include <QToolButton>
#include <QVBoxLayout>
#include <algorithm>

#include "book/flies.h"
#include "drawing/things.h"
#include "frame/language.h"
#include "frame/panel.h"
#include "frame/retire.h"
#include "language/say.h"
#include "parts/label.h"
#include "store/home.h"

namespace machair::app {

namespace {

constexpr int kRecent = 5;
constexpr QSize kRecentSize(220, 128);

// What a book is known by: its first team, or its first dressings, or its first hooks.
QImage faceOf(const Book& book, QSize size, double ratio, drawing::Bench bench) {
    if (!book.teams.empty()) return drawing::pictureOf(book, {"teams", book.teams.front().id}, size, ratio, bench);
    if (!book.patterns.empty()) return drawing::pictureOf(book, {"patterns", book.patterns.front().id}, size, ratio, bench);
    if (!book.hooks.empty()) return drawing::pictureOf(book, {"hooks", book.hooks.front().id}, size, ratio, bench);
    return {};
}

// A team from the bob down, as large as the door is wide.
QImage aCastOf(const Book& book, QSize size, double ratio, drawing::Bench bench) {
    QImage cast((QSizeF(size) * ratio).toSize(), QImage::Format_ARGB32_Premultiplied);
    cast.setDevicePixelRatio(ratio);
    cast.fill(Qt::transparent);
    if (book.teams.empty()) return cast;
    QPainter painter(&cast);
    std::vector<Fly> flies;
    for (const Position position : kPositions)
        if (book.teams.front().at(position)) flies.push_back(*book.teams.front().at(position));
    const int high = size.height() / std::max(1, static_cast<int>(flies.size()));
    for (std::size_t i = 0; i < flies.size(); ++i)
        painter.drawImage(QPoint(0, static_cast<int>(i) * high),
                          drawing::pictureOf(book, {"fly", writeFly(flies[i])}, QSize(size.width(), high), ratio, bench));
    return cast;
}

constexpr QSize kFace(330, 460);

// Some of the usual things, as they lie in their drawers.
QImage aTrayOf(const Book& book, QSize size, double ratio, drawing::Bench bench) {
    QImage tray((QSizeF(size) * ratio).toSize(), QImage::Format_ARGB32_Premultiplied);
    tray.setDevicePixelRatio(ratio);
    tray.fill(Qt::transparent);
    QPainter painter(&tray);
    const std::array<RecordId, 10> things = {{{"hooks", "wet-10"},
                                              {"materials", "thread-claret"},
                                              {"materials", "saddle-brown"},
                                              {"materials", "flank-bronze"},
                                              {"materials", "fur-olive"},
                                              {"materials", "tippet-orange"},
                                              {"materials", "oval-gold"},
                                              {"materials", "hen-black"},
                                              {"materials", "tinsel-two-faced"},
                                              {"materials", "bead-gold-2-5"}}};
    constexpr int kAcross = 2, kDown = 5, kGap = 10;
    const QSize step(size.width() / kAcross, size.height() / kDown);
    for (std::size_t i = 0; i < things.size(); ++i) {
        const auto n = static_cast<int>(i);
        painter.drawImage(QPoint(n % kAcross * step.width(), n / kAcross * step.height()),
                          drawing::pictureOf(book, things[i], step - QSize(kGap, kGap), ratio, bench));
    }
    return tray;
}

}  // namespace

std::string shippedBook(const char* resource) {
    QFile shipped(QString::fromLatin1(resource));
    if (!shipped.open(QIODevice::ReadOnly)) throw BrokenContract("a shipped book is not in the program");
    return shipped.readAll().toStdString();
}

Result<QString> beginOwnBook(const QString& name, const QString& folder) {
    QString file = name.simplified();
    const Place place(say("the name"));
    if (file.isEmpty()) return fail(place, say("a book wants a name"), say("type one, as \"My flies\""));
    constexpr int kLongest = 200;  // bytes that a file system takes, with room for its ending
    for (const QChar bad : {QLatin1Char('/'), QLatin1Char('\\')})
        file.replace(bad, QLatin1Char('-'));
    while (file.startsWith(QLatin1Char('.')))
        file.remove(0, 1);
    while (file.toUtf8().size() > kLongest)
        file.chop(1);
    if (file.trimmed().isEmpty()) return fail(place, say("a book wants a name that a file can have"), say("type some letters"));
    const QString path = QDir(folder).filePath(file + QStringLiteral(".machair"));
    if (QFile::exists(path)) return fail(place, say("there is a book of that name already"), say("choose another name, or open that one"));
    if (!QDir().mkpath(folder)) return fail(place, say("the folder {} can't be made", folder.toStdString()), "");
    const auto usual = store::readBench(shippedBook(":/usual/usual.machair.json"));
    if (!usual) throw BrokenContract("the shipped drawers are not sound");
    if (Faults faults = store::writeBook(path.toStdString(), usual->book); !faults.empty()) return tl::unexpected(std::move(faults));
    return path;
}

DoorButton::DoorButton(const Theme& theme, const char* name, const QString& title, const QString& words, QWidget* parent)
    : QAbstractButton(parent), theme_(theme), words_(words) {
    setObjectName(QString::fromLatin1(name));
    setText(title);
    setAccessibleName(title);
    setAccessibleDescription(words);
    setCursor(Qt::PointingHandCursor);
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Expanding);
    connect(&theme_, &Theme::changed, this, qOverload<>(&QWidget::update));
}

void DoorButton::show(const QImage& picture) {
    picture_ = picture;
    update();
}

void DoorButton::enterEvent(QEnterEvent*) { update(); }
void DoorButton::leaveEvent(QEvent*) { update(); }

void DoorButton::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::Antialiasing);
    const Colours& c = theme_.colours();
    const bool lit = underMouse() || hasFocus();
    painter.setPen(QPen(lit ? c.accent : c.line, lit ? 2.0 : 1.2));
    painter.setBrush(c.paper);
    painter.drawRoundedRect(QRectF(rect()).adjusted(1, 1, -1, -1), 8, 8);
    if (!picture_.isNull()) {
        const QSizeF own = picture_.deviceIndependentSize();
        painter.drawImage(QPointF(0.5 * (width() - own.width()), std::max(8.0, 0.5 * (height() - 76 - own.height()))), picture_);
    }
    const QRect text = rect().adjusted(14, height() - 72, -14, -8);
    painter.setFont(faceScaled(1.1, true));
    painter.setPen(c.ink);
    const QFontMetrics large(painter.font());
    painter.drawText(text, Qt::AlignTop | Qt::AlignLeft, large.elidedText(this->text(), Qt::ElideMiddle, text.width()));
    painter.setFont(faceScaled(0.92));
    painter.setPen(c.inkSoft);
    painter.drawText(text.adjusted(0, large.height() + 2, 0, 0), Qt::AlignTop | Qt::AlignLeft | Qt::TextWordWrap, words_);
}

Doors::Doors(const Theme& theme, QWidget* parent)
    : QFrame(parent),
      theme_(theme),
      name_(new QLineEdit),
      refused_(new Label),
      leave_(toolButton("doors-leave", tr("Back to the open book"), tr("Esc"))),
      recent_(new QWidget) {
    setObjectName(QStringLiteral("doors"));
    setAccessibleName(tr("Begin a book, look at the demo, or open a book"));
    setAutoFillBackground(true);
    setFocusPolicy(Qt::StrongFocus);
    pool_.setMaxThreadCount(1);
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(60, 34, 60, 34);
    column->setSpacing(14);
    auto* title = new Label(tr("Machair"));
    title->setFont(faceScaled(2.2, true));
    column->addWidget(title);
    column->addWidget(new Label(tr("Wet flies and soft hackles sized to the hook in your vice, and three of them balanced into a team.")));
    auto* row = new QHBoxLayout;
    row->setSpacing(18);
    auto* own =
        new DoorButton(theme, "door-begin", tr("Begin your own book"),
                       tr("The usual hooks, threads, feathers and furs come along, every measure nominal until you measure yours."));
    auto* demo = new DoorButton(
        theme, "door-demo", tr("Look at Loch Skerrin"),
        tr("A made-up loch with a year of flies, days and fish, to try everything on. It is a copy: nothing can be spoilt."));
    auto* other =
        new DoorButton(theme, "door-open", tr("Open a book"), tr("A book or a bench file that you have, or that somebody gave you."));
    doors_ = {own, demo, other};
    for (DoorButton* door : doors_)
        row->addWidget(door, 1);
    column->addLayout(row, 1);
    auto* naming = new QHBoxLayout;
    name_->setObjectName(QStringLiteral("book-name"));
    name_->setAccessibleName(tr("Name of your book"));
    name_->setPlaceholderText(tr("its name, as \"My flies\""));
    name_->setFixedWidth(320);
    name_->setFont(faceScaled(1.15));
    naming->addWidget(new Label(tr("Your book's name")));
    naming->addWidget(name_);
    refused_->setObjectName(QStringLiteral("doors-refused"));
    naming->addWidget(refused_, 1);
    addLanguages(naming);
    column->addLayout(naming);
    new QHBoxLayout(recent_);
    recent_->layout()->setContentsMargins(0, 0, 0, 0);
    column->addSpacing(8);
    auto* lately = heading(tr("Open lately"));
    lately->setObjectName(QStringLiteral("lately"));
    column->addWidget(lately);
    column->addWidget(recent_);
    column->addWidget(leave_, 0, Qt::AlignLeft);
    connect(own, &QAbstractButton::clicked, this, &Doors::begin);
    connect(name_, &QLineEdit::returnPressed, this, &Doors::begin);
    connect(demo, &QAbstractButton::clicked, this, &Doors::demoWanted);
    connect(other, &QAbstractButton::clicked, this, &Doors::anotherWanted);
    connect(leave_, &QAbstractButton::clicked, this, &QWidget::hide);
}

// Who can't read what stands here finds the own language by its own name.
void Doors::addLanguages(QBoxLayout* row) {
    if (knownLanguages().size() < 2) return;
    for (const KnownLanguage& one : knownLanguages()) {
        auto* made = toolButton(("door-language-" + one.code.toStdString()).c_str(), one.name,
                                tr("All that the window says; files stay as they are"));
        made->setCheckable(true);
        made->setChecked(one.code == spokenLanguage());
        connect(made, &QAbstractButton::clicked, this, [this, made, code = one.code] {
            made->setChecked(code == spokenLanguage());
            if (code != spokenLanguage()) emit languageWanted(code);
        });
        row->addWidget(made);
    }
}

Doors::~Doors() {
    pool_.clear();
    pool_.waitForDone();
}

void Doors::begin() {
    if (name_->text().trimmed().isEmpty()) {
        name_->setFocus();
        return refuse(tr("Give it a name, then Enter"));
    }
    emit beginWanted(name_->text());
}

void Doors::refuse(const QString& why) {
    setInk(refused_, theme_.colours().fault);
    refused_->setText(why);
}

void Doors::open(const QStringList& recent, bool mayLeave) {
    refuse({});
    leave_->setVisible(mayLeave);
    show();
    raise();
    name_->setFocus();
    // The doors show what lies behind them.
    const auto face = [this](DoorButton* door, auto paint) {
        pool_.start([this, door, paint, bench = theme_.bench(), ratio = devicePixelRatioF()] {
            const QImage image = paint(bench, ratio);
            QMetaObject::invokeMethod(this, [door, image] { door->show(image); });
        });
    };
    face(doors_[0], [](drawing::Bench bench, double ratio) {
        const auto usual = store::readBench(shippedBook(":/usual/usual.machair.json"));
        return usual ? aTrayOf(usual->book, kFace, ratio, bench) : QImage();
    });
    face(doors_[1], [](drawing::Bench bench, double ratio) {
        const auto demo = store::readBench(shippedBook(":/demo/skerrin.machair.json"));
        return demo ? aCastOf(demo->book, kFace, ratio, bench) : QImage();
    });
    face(doors_[2], [](drawing::Bench bench, double ratio) {
        Book paper;
        paper.ruleCards.emplace_back().id = "a card";
        return drawing::pictureOf(paper, {"rule_cards", "a card"}, kFace, ratio, bench);
    });
    paintRecent(recent);
}

void Doors::paintRecent(const QStringList& recent) {
    for (QAbstractButton* old : recent_->findChildren<QAbstractButton*>())
        retire(old);
    int shown = 0;
    for (const QString& path : recent) {
        if (shown >= kRecent || !QFile::exists(path)) continue;
        const QString name = QFileInfo(path).fileName().remove(QStringLiteral(".json")).remove(QStringLiteral(".machair"));
        auto* door = new DoorButton(theme_, "recent", name, QFileInfo(path).path());
        door->setFixedSize(kRecentSize);
        door->setToolTip(path);
        connect(door, &QAbstractButton::clicked, this, [this, path] { emit bookWanted(path); });
        recent_->layout()->addWidget(door);
        pool_.start([this, path, bench = theme_.bench(), size = door->pictureSize(), ratio = devicePixelRatioF(),
                     target = QPointer<DoorButton>(door)] {
            const auto home = store::openHome(path.toStdString(), store::Access::readOnly);
            const auto opened = home ? (*home)->read() : Result<store::OpenedBench>(tl::unexpected(home.error()));
            if (!opened) return;  // it says why when it is opened
            const QImage image = faceOf(opened->book, size, ratio, bench);
            QMetaObject::invokeMethod(this, [target, image] {
                if (target) target->show(image);
            });
        });
        ++shown;
    }
    static_cast<QHBoxLayout*>(recent_->layout())->addStretch(1);
    recent_->setVisible(shown > 0);
    findChild<Label*>(QStringLiteral("lately"))->setVisible(shown > 0);
}

void Doors::keyPressEvent(QKeyEvent* event) {
    if (event->key() == Qt::Key_Escape && leave_->isVisible()) return hide();
    QFrame::keyPressEvent(event);
}

}  // namespace machair::app
