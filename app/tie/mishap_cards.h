// What went wrong: the mishaps of this step as cards. Choosing one opens it: how it shows, what can still be done on this fly,
// what prevents it on the next, and the change of the plan that would have; only choosing counts it, choosing again takes it
// back. Without a step the tier's own mishaps stand as a chart with what to practise.
#pragma once

#include <QScrollArea>
#include <optional>
#include <vector>

#include "bench/mishaps.h"
#include "editing/document.h"
#include "theme/theme.h"

class QVBoxLayout;

namespace machair::app {

class MishapCards : public QScrollArea {
    Q_OBJECT
  public:
    MishapCards(Document& document, const Theme& theme, QWidget* parent = nullptr);

    void show(const Plan& plan, const TyingStep& step);
    void showOwn();
    // Chooses the n-th card, counted from 0; the open one is taken back.
    void choose(std::size_t card);
    [[nodiscard]] std::size_t count() const { return cards_.size(); }
    [[nodiscard]] std::optional<std::size_t> chosen() const { return chosen_; }

    [[nodiscard]] static const std::vector<MishapCard>& all();

  private:
    void rebuild();
    void addCard(QVBoxLayout* column, std::size_t card);
    void addOpen(QVBoxLayout* column, const MishapCard& card);
    void changePlan(const PlanLink& link);
    void addOwnLine(QVBoxLayout* column);
    void writeOwn(const MishapCard& card, const char* key, const QString& text);

    Document& document_;
    const Theme& theme_;
    std::optional<Plan> plan_;
    std::optional<TyingStep> step_;
    std::vector<MishapCard> known_;  // what ships and the tier's own
    std::vector<const MishapCard*> cards_;
    std::optional<std::size_t> chosen_;
    bool own_ = false;
};

}  // namespace machair::app
