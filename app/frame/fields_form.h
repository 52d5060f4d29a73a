// A record's fields, edited in place: every key of it, with the limits its file has. Faults stand under the form.
#pragma once

#include <QWidget>
#include <functional>
#include <map>
#include <string>
#include <vector>

#include "book/fields.h"
#include "editing/document.h"
#include "theme/theme.h"

class QFormLayout;

namespace machair::app {

class Label;

class FieldEditor;

class FieldsForm : public QWidget {
    Q_OBJECT
  public:
    // `write` makes the edit; `keys` are the fields shown, in this order (all where empty).
    FieldsForm(Document& document, const Theme& theme, const char* name, std::vector<std::string> keys,
               std::function<Faults(const std::string& key, const std::string& text)> write, QWidget* parent = nullptr);
    void show(const std::vector<Field>& fields);

  private:
    void build(const std::vector<Field>& fields);
    void write(const std::string& key, const QString& text);
    Document& document_;
    const Theme& theme_;
    QString name_;
    std::vector<std::string> keys_;
    std::function<Faults(const std::string&, const std::string&)> write_;
    QFormLayout* form_;
    Label* fault_;
    std::map<std::string, FieldEditor*> editors_;
};

}  // namespace machair::app
