// A record's fields, edited in place: every key of it, with the limits its file has, the unsaid ones folded into words. Faults stand
// under the form.
#pragma once

#include <QWidget>
#include <functional>
#include <map>
#include <string>
#include <vector>

#include "book/fields.h"
#include "editing/document.h"
#include "theme/theme.h"

namespace machair::app {

class Label;

class SaidForm;

class FieldsForm : public QWidget {
    Q_OBJECT
  public:
    // `write` makes the edit; `keys` are the fields shown, in this order (all where empty).
    FieldsForm(Document& document, const Theme& theme, const char* name, std::vector<std::string> keys,
               std::function<Faults(const std::string& key, const std::string& text)> write, QWidget* parent = nullptr);
    void show(const std::vector<Field>& fields);
    void writeOnPaper() { onPaper_ = true; }  // before the first show: its fields lie on a card

  private:
    void build(const std::vector<Field>& fields);
    void write(const std::string& key, const QString& text);
    Document& document_;
    const Theme& theme_;
    QString name_;
    std::vector<std::string> keys_;
    std::function<Faults(const std::string&, const std::string&)> write_;
    SaidForm* form_ = nullptr;
    bool onPaper_ = false;
    Label* fault_;
};

}  // namespace machair::app
