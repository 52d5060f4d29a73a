// Things of the book as a tray or chooser shows them: a picture with a name and a few words, filtered as one types.
#pragma once

#include <QAbstractListModel>
#include <QListView>
#include <QStyledItemDelegate>
#include <functional>
#include <vector>

#include "book/records.h"
#include "editing/document.h"
#include "parts/pictures.h"

namespace machair::app {

struct Thing {
    RecordId record;
    QString title;
    QString detail;
    QStringList traits;   // words that it can be filtered by: "bob", "spider", "in the box"
    QString hidden = {};  // searched, not shown
};

// All records of a list, with what a tier tells them apart by.
[[nodiscard]] std::vector<Thing> thingsIn(const Book& book, std::string_view list);
// Materials of these kinds, in the order of the kinds.
[[nodiscard]] std::vector<Thing> materialThings(const Book& book, const std::vector<MaterialKind>& kinds);
// The traits that some of these have and some haven't, most common first.
[[nodiscard]] QStringList commonTraits(const std::vector<Thing>& things, int most);

class ThingModel : public QAbstractListModel {
    Q_OBJECT
  public:
    enum Role { kDetail = Qt::UserRole + 1 };

    using QAbstractListModel::QAbstractListModel;
    void show(std::vector<Thing> things);
    // Every word of the text stands somewhere in it; all traits hold.
    void filter(const QString& text, const QStringList& traits);
    [[nodiscard]] const std::vector<Thing>& all() const { return all_; }
    [[nodiscard]] const Thing* at(int row) const;
    [[nodiscard]] int rowOf(const RecordId& record) const;  // -1 where it is not shown

    [[nodiscard]] int rowCount(const QModelIndex& parent = {}) const override;
    [[nodiscard]] QVariant data(const QModelIndex& index, int role = Qt::DisplayRole) const override;

  private:
    void sift();
    std::vector<Thing> all_;
    std::vector<QString> words_;  // of each, lower case
    std::vector<std::size_t> shown_;
    QString text_;
    QStringList traits_;
};

// A tray of them, as pictures to choose from.
class Tray : public QListView {
    Q_OBJECT
  public:
    Tray(Document& document, const Theme& theme, QSize cell, QWidget* parent = nullptr);
    [[nodiscard]] ThingModel& things() { return model_; }
    [[nodiscard]] const Thing* current() const { return model_.at(currentIndex().row()); }
    [[nodiscard]] std::vector<RecordId> selected() const;
    bool choose(const RecordId& record);
    void chooseFirst();

  private:
    ThingModel model_;
};

}  // namespace machair::app
