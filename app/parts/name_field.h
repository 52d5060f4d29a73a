// A name typed in the place of the button that shows it: until Enter, Esc (which leaves it as it was) or another field.
#pragma once

#include <QLineEdit>

namespace machair::app {

class NameField : public QLineEdit {
    Q_OBJECT
  public:
    // Stands in for `button`, which is hidden meanwhile.
    NameField(QWidget* button, QWidget* parent);
    void ask(const QString& now);

  signals:
    void named(const QString& name);  // only where it is another

  protected:
    void keyPressEvent(QKeyEvent* event) override;

  private:
    void end();
    QWidget* button_;
    QString before_;
};

}  // namespace machair::app
