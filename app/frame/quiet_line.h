// The quiet line at the bottom: what just changed and what it moved. It also says when something could not be kept.
#pragma once

#include <QWidget>

#include "theme/theme.h"

namespace machair::app {

class Label;

class QuietLine : public QWidget {
    Q_OBJECT
  public:
    explicit QuietLine(const Theme& theme, QWidget* parent = nullptr);
    void say(const QString& words);
    void warn(const QString& words);  // stays until called with nothing
    [[nodiscard]] QString text() const;

  private:
    void refresh();
    const Theme& theme_;
    Label* words_;
    Label* warning_;
};

}  // namespace machair::app
