#include "parts/pictures.h"

#include <QTimer>
#include <algorithm>

#include "drawing/things.h"

namespace machair::app {

namespace {

constexpr int kPainters = 2;
constexpr std::size_t kMostWaiting = 80;  // more are those that were scrolled past
constexpr std::size_t kMostKept = 3000;   // some 60 kB each

std::string keyOf(const RecordId& record, QSize size, double devicePixelRatio) {
    return record.list + '\n' + record.id + '\n' + std::to_string(size.width()) + 'x' + std::to_string(size.height()) + '@' +
           std::to_string(static_cast<int>(100.0 * devicePixelRatio));
}

}  // namespace

Pictures& Pictures::of(Document& document, const Theme& theme) {
    if (auto* there = document.findChild<Pictures*>(QString(), Qt::FindDirectChildrenOnly)) return *there;
    return *new Pictures(document, theme);  // the document owns it
}

Pictures::Pictures(Document& document, const Theme& theme) : QObject(&document), document_(document), theme_(theme) {
    pool_.setMaxThreadCount(kPainters);
    connect(&document_, &Document::bookOpened, this, &Pictures::forget);
    connect(&document_, &Document::bookChanged, this, &Pictures::newer);
    connect(&theme_, &Theme::changed, this, &Pictures::forget);
}

Pictures::~Pictures() {
    pool_.clear();
    pool_.waitForDone();
}

void Pictures::forget() {
    kept_.clear();
    newer();
}

void Pictures::newer() {
    ++edition_;
    pool_.clear();
    underWay_.clear();
}

QImage Pictures::get(const RecordId& record, QSize size, double devicePixelRatio) {
    if (!document_.isOpen() || size.isEmpty()) return {};
    const std::string key = keyOf(record, size, devicePixelRatio);
    const auto found = kept_.find(key);
    if (found == kept_.end() || found->second.edition != edition_) paint(key, record, size, devicePixelRatio);
    return found == kept_.end() ? QImage() : found->second.image;
}

void Pictures::paint(const std::string& key, const RecordId& record, QSize size, double devicePixelRatio) {
    if (underWay_.size() > kMostWaiting) {
        pool_.clear();
        underWay_.clear();
    }
    if (!underWay_.insert(key).second) return;
    pool_.start([this, key, record, size, devicePixelRatio, book = document_.shared(), bench = theme_.bench(), edition = edition_] {
        QImage image;
        try {
            image = drawing::pictureOf(*book, record, size, devicePixelRatio, bench);
        } catch (const std::exception& error) {
            qWarning("a picture could not be painted: %s", error.what());  // the thing is shown without one
        }
        QMetaObject::invokeMethod(this, [this, key, image, edition] {
            underWay_.erase(key);
            if (edition != edition_) return;
            if (kept_.size() > kMostKept) kept_.clear();
            kept_[key] = {image, edition};
            if (telling_) return;
            telling_ = true;
            constexpr int kGather = 30;  // ms: many are told at once
            QTimer::singleShot(kGather, this, [this] {
                telling_ = false;
                emit painted();
            });
        });
    });
}

}  // namespace machair::app
