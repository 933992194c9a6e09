package syntoma.bench.calibration;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.IntStream;
import syntoma.core.verdict.InterimLooks;

/** Makes {@code docs/calibration.md} with its pictures. */
public final class CalibrationPage {
    private static final int FEWEST_TRIALS = 2_000;
    private static final long SEED = 20_260_704;
    private static final double PROMISED_WRONG = 0.055;
    private static final double PROMISED_FROM = 0.94;
    private static final double PROMISED_TO = 0.97;

    private final int trials;
    private final Map<Case, Tally> tallies = new LinkedHashMap<>();

    private CalibrationPage(int trials) {
        this.trials = trials;
        Calibration calibration = new Calibration(SEED);
        for (Case of : Case.ALL) {
            System.out.println(says(of));
            tallies.put(of, calibration.simulate(of, trials));
        }
    }

    /** Takes the directory of the documents and, if wanted, how many trials of each case, 2,000 at least. */
    public static void main(String[] args) throws IOException {
        int trials = args.length > 1 ? Integer.parseInt(args[1]) : FEWEST_TRIALS;
        if (trials < FEWEST_TRIALS) {
            throw new IllegalArgumentException("trials are " + trials + "; allowed are " + FEWEST_TRIALS + " or more");
        }
        Path docs = Path.of(args[0]);
        CalibrationPage page = new CalibrationPage(trials);
        Path pictures = Files.createDirectories(docs.resolve("calibration"));
        Files.writeString(pictures.resolve("wrong.svg"), page.wrong());
        Files.writeString(pictures.resolve("covers.svg"), page.covers());
        Files.writeString(pictures.resolve("rounds.svg"), page.rounds());
        SeasonPage seasons = SeasonPage.made(SEED);
        Files.writeString(pictures.resolve("advice.svg"), seasons.picture());
        Files.writeString(docs.resolve("calibration.md"), page.text() + seasons.text());
    }

    private static String says(Case of) {
        return of.says() + ", " + of.rounds() + " rounds" + (of.borrows() ? ", spread borrowed" : "");
    }

    private String wrong() {
        List<Picture.Row> rows = new ArrayList<>();
        tallies.forEach((of, tally) -> {
            if (of.times() == 1) {
                rows.add(new Picture.Row(says(of), tally.wrong(), false));
            }
        });
        for (Habit habit : Habit.values()) {
            rows.add(new Picture.Row(habit.says(), came(habit, Case.equal(8)).wrong(), true));
        }
        return Picture.rows(rows, 0, 0.5, 0, PROMISED_WRONG);
    }

    private String covers() {
        List<Picture.Row> rows = tallies.entrySet().stream()
                .map(e -> new Picture.Row(says(e.getKey()), e.getValue().heldAtAll(), false))
                .toList();
        return Picture.rows(rows, 0.92, 1, PROMISED_FROM, PROMISED_TO);
    }

    private String rounds() {
        return Picture.steps(List.of(
                steps("×1.4", Case.truly(1.4, 15)),
                steps("×1.4, spread borrowed", Case.truly(1.4, 15).withBorrowed()),
                steps("×2", Case.truly(2, 6)),
                steps("×2, spread borrowed", Case.truly(2, 6).withBorrowed())));
    }

    private Picture.Steps steps(String says, Case of) {
        Tally tally = tallies.get(of);
        return new Picture.Steps(
                says,
                IntStream.rangeClosed(InterimLooks.FEWEST, of.rounds())
                        .mapToObj(tally::decidedBy)
                        .toList(),
                of.borrows());
    }

    private Habit.Came came(Habit habit, Case of) {
        return habit.simulate(of, trials, SEED);
    }

    private String text() {
        StringBuilder text = new StringBuilder("# How often verdicts are right\n\n");
        text.append("Made by `./syntoma calibrate` from ")
                .append(String.format(Locale.ROOT, "%,d", trials))
                .append(
                        " trials of each case: designed by the planner, made by simulated hands in the made-up world (fading, busy"
                                + " hours, rare failures, change-overs that take more or less long), and judged after every round by the"
                                + " very code that judges yours. The figure is the upload. The setups of a trial are one and the same"
                                + " setup under several names; what one has over the others is set, so the truth is known.\n\n");
        text.append("| case | rounds | wrong verdicts | intervals of all looks hold the truth | the last one does |"
                + " came to a verdict | half of them after |\n|---|---|---|---|---|---|---|\n");
        tallies.forEach((of, tally) -> text.append(String.format(
                Locale.ROOT,
                "| %s%s | %d | %s | %s | %s | %s | %s |%n",
                of.says(),
                of.borrows() ? ", spread borrowed" : "",
                of.rounds(),
                Picture.percent(tally.wrong()),
                Picture.percent(tally.heldAtAll()),
                Picture.percent(tally.heldAtLast()),
                Picture.percent(tally.decided()),
                tally.medianRounds() == 0 ? "–" : tally.medianRounds() + " rounds")));
        text.append(
                "\n*Wrong* is a trial in which any look claims a difference where there is none, or claims the worse to be the"
                        + " better. *Hold the truth*: an interval is made for looking after every round, so it is wide enough that all of"
                        + " a trial’s looks hold the truth in 95 % of cases; the last one alone does more often. *Spread borrowed*: five"
                        + " trials of six rounds were over before.\n\n");
        text.append("## Wrong verdicts where nothing is between the setups\n\n![](calibration/wrong.svg)\n\n"
                + "Hatched: what is promised, at most 5.5 %. Beneath, what is done by hand: three runs with the one, then three"
                + " with the other ten minutes later; counted is a difference of ×1.2 or more.\n\n");
        text.append(
                "## Intervals that hold the truth\n\n![](calibration/covers.svg)\n\nHatched: what is promised, 94 to 97 %.\n\n");
        text.append("## Rounds to a verdict\n\n![](calibration/rounds.svg)\n\n");
        text.append("## What is done by hand\n\n| habit | nothing between them: one “wins” by ×1.2 or more |"
                + " a true ×1.4: the worse wins | a true ×2: the worse wins |\n|---|---|---|---|\n");
        for (Habit habit : Habit.values()) {
            text.append(String.format(
                    "| %s | %s | %s | %s |%n",
                    habit.says(),
                    Picture.percent(came(habit, Case.equal(8)).wrong()),
                    Picture.percent(came(habit, Case.truly(1.4, 15)).wrong()),
                    Picture.percent(came(habit, Case.truly(2, 6)).wrong())));
        }
        return text.append("\nA trial of Syntoma says “can’t tell yet” instead, and how many rounds would tell.\n")
                .toString();
    }
}
