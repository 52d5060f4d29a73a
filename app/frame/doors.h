// The first minutes: three doors. A book of one's own with the usual drawers, the demo to look at, or a book that is there already;
// and the books that were open lately, as small casts.
#pragma once

#include <QAbstractButton>
#include <QFrame>
#include <QThreadPool>

#include "editing/document.h"
#include "theme/theme.h"

class QBoxLayout;
class QLineEdit;

namespace machair::app {

class Label;

class DoorButton : public QAbstractButton {
    Q_OBJECT
  public:
    DoorButton(const Theme& theme, const char* name, const QString& title, const QString& words, QWidget* parent = nullptr);
    void show(const QImage& picture);
    [[nodiscard]] QSize sizeHint() const override { return {300, 200}; }
    [[nodiscard]] QSize pictureSize() const { return {width() - 24, height() - 84}; }

  protected:
    void paintEvent(QPaintEvent* event) override;
    void enterEvent(QEnterEvent* event) override;
    void leaveEvent(QEvent* event) override;

  private:
    const Theme& theme_;
    QString words_;
    QImage picture_;
};

class Doors : public QFrame {
    Q_OBJECT
  public:
    explicit Doors(const Theme& theme, QWidget* parent = nullptr);
    ~Doors() override;
    // `mayLeave`: a book is open behind it.
    void open(const QStringList& recent, bool mayLeave);
    void refuse(const QString& why);  // the book of one's own could not be made

  signals:
    void beginWanted(const QString& name);
    void demoWanted();
    void anotherWanted();
    void bookWanted(const QString& path);
    void languageWanted(const QString& code);

  protected:
    void keyPressEvent(QKeyEvent* event) override;

  private:
    void begin();
    void addLanguages(QBoxLayout* row);
    void paintRecent(const QStringList& recent);

    const Theme& theme_;
    QLineEdit* name_;
    Label* refused_;
    QAbstractButton* leave_;
    QWidget* recent_;
    std::vector<DoorButton*> doors_;
    QThreadPool pool_;
};

// The book that ships with the program under this resource; a broken one is a broken contract.
[[nodiscard]] std::string shippedBook(const char* resource);
// A new book of one's own with the usual drawers: its file, or why it could not be made. Names in any script; one that is taken is refused.
[[nodiscard]] Result<QString> beginOwnBook(const QString& name, const QString& folder);

}  // namespace machair::app
