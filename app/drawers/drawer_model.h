// What lies in the drawers, as rows: hooks and materials of the open book.
#pragma once

#include <QAbstractTableModel>
#include <QColor>
#include <vector>

#include "editing/document.h"

namespace machair::app {

enum class Drawer { hooks, threads, hackles, wings, furs, metals, flosses, strands, beads, small };
struct DrawerName {
    Drawer drawer;
    const char* title;
};
[[nodiscard]] const std::vector<DrawerName>& drawers();
[[nodiscard]] bool liesIn(Drawer drawer, MaterialKind kind);
[[nodiscard]] MaterialKind newIn(Drawer drawer);  // what a new thing in it is; not for hooks

class DrawerModel : public QAbstractTableModel {
    Q_OBJECT
  public:
    enum Column { kName, kWhat, kSize, kUsed, kColumns };

    explicit DrawerModel(Document& document, QObject* parent = nullptr);
    void show(Drawer drawer, const QString& search);
    [[nodiscard]] Drawer drawer() const { return drawer_; }
    [[nodiscard]] std::string idAt(int row) const;
    [[nodiscard]] int rowOf(const std::string& id) const;  // -1 where it is not shown

    [[nodiscard]] int rowCount(const QModelIndex& parent = {}) const override;
    [[nodiscard]] int columnCount(const QModelIndex& parent = {}) const override;
    [[nodiscard]] QVariant data(const QModelIndex& index, int role = Qt::DisplayRole) const override;
    [[nodiscard]] QVariant headerData(int section, Qt::Orientation orientation, int role = Qt::DisplayRole) const override;

  private:
    struct Row {
        std::string id;
        QString name;
        QString what;
        QString size;
        std::size_t used = 0;
        QColor colour;
    };
    void refresh();

    Document& document_;
    Drawer drawer_ = Drawer::hooks;
    QString search_;
    std::vector<Row> rows_;
};

}  // namespace machair::app
