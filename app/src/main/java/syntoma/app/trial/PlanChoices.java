package syntoma.app.trial;

import java.util.Arrays;
import java.util.List;
import syntoma.core.design.Order;
import syntoma.core.design.Question;
import syntoma.core.design.Variation;
import syntoma.core.run.RunKind;

/**
 * What can be chosen of a trial that is planned.
 *
 * @param changes what may be changed about a setup while it is tried
 * @param savings what the planner saves where it may choose
 * @param usual what is asked for where nothing is said
 */
record PlanChoices(List<ChangeKind> changes, List<OrderChoice> orders, List<String> savings, UsualPlan usual) {

    record ChangeKind(String kind, String label, String allowed) {}

    record OrderChoice(String order, String label, String says) {}

    /**
     * @param difference the ratio that is worth knowing
     * @param differenceSays what that means
     */
    record UsualPlan(double difference, String differenceSays, String kind, String order, String saving) {}

    static PlanChoices all() {
        return new PlanChoices(
                Arrays.stream(Variation.Kind.values())
                        .map(kind -> new ChangeKind(kind.label(), kind.says(), kind.allowedValues()))
                        .toList(),
                Arrays.stream(Order.values())
                        .map(order -> new OrderChoice(order.label(), order.words(), order.says()))
                        .toList(),
                Arrays.stream(Question.Saving.values())
                        .map(Question.Saving::label)
                        .toList(),
                new UsualPlan(
                        Question.USUAL_DIFFERENCE,
                        Question.usualDifferenceSays(),
                        RunKind.USUAL_OF_TRIAL.label(),
                        Order.USUAL.label(),
                        Question.Saving.USUAL.label()));
    }
}
