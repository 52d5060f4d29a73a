// Something that is folded away until it is wanted: a line with its name and what it says in short, a press opens it in place.
#pragma once

#include <QHBoxLayout>
#include <QSettings>
#include <QToolButton>
#include <QVBoxLayout>

#include "parts/label.h"
#include "theme/theme.h"

namespace machair::app {

class Folded : public QWidget {
    Q_OBJECT
  public:
    // The button is called `name`.
    Folded(const char* name, const QString& title, QWidget* content, QWidget* parent = nullptr)
        : QWidget(parent), button_(new QToolButton), said_(new Label), content_(content) {
        auto* column = new QVBoxLayout(this);
        column->setContentsMargins(14, 2, 12, 2);
        column->setSpacing(2);
        auto* line = new QHBoxLayout;
        button_->setObjectName(QString::fromLatin1(name));
        button_->setText(title);
        button_->setCheckable(true);
        button_->setToolButtonStyle(Qt::ToolButtonTextBesideIcon);
        button_->setArrowType(Qt::RightArrow);
        said_->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Preferred);
        line->addWidget(button_);
        line->addWidget(said_, 1);
        column->addLayout(line);
        column->addWidget(content_);
        content_->hide();
        connect(button_, &QToolButton::toggled, this, [this](bool open) {
            content_->setVisible(open);
            button_->setArrowType(open ? Qt::DownArrow : Qt::RightArrow);
            elide();
        });
    }
    // It opens as it was left, by its name.
    void rememberIn(QSettings& settings) {
        const QString key = QStringLiteral("folds/") + button_->objectName();
        button_->setChecked(settings.value(key, false).toBool());
        connect(button_, &QToolButton::toggled, this, [&settings, key](bool open) { settings.setValue(key, open); });
    }
    // What it says in short, beside its name.
    void say(const QString& summary) {
        summary_ = summary;
        button_->setAccessibleDescription(summary);
        elide();
    }

  protected:
    void resizeEvent(QResizeEvent*) override { elide(); }

  private:
    void elide() {
        said_->setText(button_->isChecked() ? QString() : said_->fontMetrics().elidedText(summary_, Qt::ElideRight, said_->width()));
    }
    QString summary_;
    QToolButton* button_;
    Label* said_;
    QWidget* content_;
};

}  // namespace machair::app
