package syntoma.core.design;

import java.util.List;
import java.util.stream.IntStream;

/**
 * What a trial takes.
 *
 * <pre>{@code
 * Question question = new Question(
 *         List.of(Contender.ofName("Dome", "Tarnwave"), Contender.ofName("Panel", "Tarnwave")),
 *         1.4, Noise.USUAL, syntoma.core.run.RunKind.FULL, Collections.nCopies(2, Question.Rates.of(20, 5, true)),
 *         syntoma.core.state.Work.usual(), syntoma.core.state.RigState.UNKNOWN, Order.TURNING, 7,
 *         OptionalDouble.empty(), OptionalDouble.empty(), Question.Saving.TIME, 1);
 * new Effort(5, 1, List.of(), 64, 30, 0.375).gbOn("Tarnwave", question) // 0.375
 * }</pre>
 *
 * @param rounds 3 to 20
 * @param runs at each visit, 1 to 5
 * @param visits in their order
 * @param minutes with change-overs, settling and runs
 * @param handsMinutes of them the change-overs
 * @param gb that the runs take
 */
public record Effort(int rounds, int runs, List<Visit> visits, double minutes, double handsMinutes, double gb) {
    public Effort {
        visits = List.copyOf(visits);
    }

    /** Whether there is the time and the data for it. */
    public boolean fits(Question question) {
        return minutes <= question.minutes().orElse(Double.POSITIVE_INFINITY)
                && gb <= question.gb().orElse(Double.POSITIVE_INFINITY);
    }

    /** What the runs on one carrier take, in GB. */
    public double gbOn(String carrier, Question question) {
        return IntStream.range(0, question.contenders().size())
                .filter(i -> question.contenders().get(i).carrier().equals(carrier))
                .mapToDouble(i -> rounds * runs * question.rates().get(i).gbOfRun(question.kind()))
                .sum();
    }
}
