#include "daybook/photo_strip.h"

#include <QFontMetrics>
#include <QHBoxLayout>
#include <QPainter>
#include <QToolButton>
#include <algorithm>
#include <filesystem>

#include "editing/read_picture.h"

namespace machair::app {

namespace {

constexpr int kTall = 64, kBetween = 6;  // px
constexpr std::size_t kMostShown = 4;
constexpr qint64 kSmallPixels = 400'000;

std::string folderOf(const std::string& file) { return std::filesystem::path(file).lexically_normal().parent_path().string(); }

}  // namespace

PhotoStrip::PhotoStrip(Document& document, const Theme& theme, QWidget* parent)
    : QWidget(parent), document_(document), theme_(theme), ask_(new QToolButton(this)) {
    setObjectName(QStringLiteral("day-photos"));
    setAccessibleName(tr("Pictures of the day"));
    ask_->setObjectName(QStringLiteral("show-photos"));
    ask_->setToolTip(tr("They lie outside the book's folder: look only where you know who made the book"));
    auto* row = new QHBoxLayout(this);
    row->setContentsMargins(0, 0, 0, 0);
    row->addStretch(1);
    row->addWidget(ask_, 0, Qt::AlignTop);
    connect(ask_, &QToolButton::clicked, this, [this] {
        for (const std::string& file : files_)
            allowed_.insert(folderOf(file));
        load();
    });
    connect(&document_, &Document::bookOpened, this, [this] { allowed_.clear(); });
    QWidget::hide();
}

QSize PhotoStrip::sizeHint() const { return {200, kTall}; }

void PhotoStrip::allow(const std::string& file) { allowed_.insert(folderOf(file)); }

bool PhotoStrip::mayOpen(const std::string& file) const {
    const std::string folder = folderOf(file), own = folderOf(std::filesystem::absolute(document_.path()).string());
    return folder == own || folder.starts_with(own + "/") || allowed_.contains(folder);
}

void PhotoStrip::show(const std::vector<std::string>& files) {
    const std::vector<std::string> wanted(files.begin(), files.begin() + static_cast<std::ptrdiff_t>(std::min(files.size(), kMostShown)));
    setVisible(!wanted.empty());
    if (wanted == files_ && shown_.size() == wanted.size()) return;
    files_ = wanted;
    load();
}

void PhotoStrip::load() {
    shown_.clear();
    std::vector<std::string> open;
    std::ranges::copy_if(files_, std::back_inserter(open), [this](const std::string& file) { return mayOpen(file); });
    ask_->setVisible(open.size() < files_.size());
    ask_->setText(files_.size() - open.size() == 1 ? tr("Show the picture from elsewhere") : tr("Show the pictures from elsewhere"));
    update();
    if (open.empty()) return background_.stop();
    background_.start(
        [open](const std::stop_token& stop, const Background::Progress&) {
            std::vector<Shown> read;
            for (const std::string& file : open) {
                if (stop.stop_requested()) break;
                const auto picture = readPicture(qt(file), kSmallPixels);
                read.push_back(picture ? Shown{picture->scaledToHeight(2 * kTall, Qt::SmoothTransformation), {}}
                                       : Shown{{}, qt(picture.error().front().line())});
            }
            return read;
        },
        [this](std::vector<Shown> read) {
            shown_ = std::move(read);
            update();
        });
}

void PhotoStrip::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    painter.setRenderHint(QPainter::SmoothPixmapTransform);
    int x = 0;
    for (const Shown& one : shown_) {
        if (one.picture.isNull()) {
            painter.setPen(theme_.colours().inkSoft);
            const QRect room(x, 0, std::min(220, width() - x), kTall);
            painter.drawText(room, Qt::AlignLeft | Qt::TextWrapAnywhere, one.missing);
            x += room.width() + kBetween;
            continue;
        }
        const int wide = one.picture.width() * kTall / std::max(1, one.picture.height());
        painter.drawImage(QRect(x, 0, wide, kTall), one.picture);
        x += wide + kBetween;
    }
}

}  // namespace machair::app
