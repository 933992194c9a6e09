package syntoma.app.practice;

import static syntoma.app.platform.Optionals.boxed;

import jakarta.persistence.EntityManager;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.NotFoundException;
import syntoma.core.design.Effort;
import syntoma.core.design.Noise;
import syntoma.core.reading.Figure;
import syntoma.core.run.CappedSetups;
import syntoma.core.unit.Values;
import syntoma.core.verdict.Claim;
import syntoma.core.verdict.Comparer;
import syntoma.core.verdict.Comparison;
import syntoma.core.verdict.InterimLooks;
import syntoma.core.verdict.Plan;
import syntoma.standin.practice.PracticeGame;
import syntoma.standin.practice.Run;

/** Practice trials, from the first plan to the truth, and the score over them. */
@Service
@Transactional
class Practice {
    private static final int LISTED = 100;

    private final EntityManager entities;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    Practice(EntityManager entities, Clock clock) {
        this.entities = entities;
        this.clock = clock;
    }

    /** A plan that is asked for: rounds from 3 to 20, runs at each visit from 1 to 5. */
    record PracticePlan(@Nullable Integer rounds, @Nullable Integer runs) {}

    /** What a trial takes. */
    record PracticeEffort(double minutes, double gb) {}

    /** A verdict: better, no_difference, worse or cannot_tell, of B against A. */
    record PracticeVerdict(@Nullable String said) {}

    /** One round, the middle of its runs in Mb/s; null where all of them failed. */
    record PracticeRound(int round, @Nullable Double a, @Nullable Double b) {}

    /** A made trial. */
    record PracticeMade(int rounds, int runs, double minutes, double gb, List<PracticeRound> byRound) {}

    /** What somebody might have told who went about it otherwise. */
    record PracticeTold(String by, double ratio) {}

    /**
     * What is so.
     *
     * @param truth what B truly brings of A
     * @param low end of the trial’s interval; null where it has none
     */
    record PracticeTruth(
            String title,
            String lesson,
            double truth,
            @Nullable Double estimate,
            @Nullable Double low,
            @Nullable Double high,
            double margin,
            String verdict,
            String sentence,
            String said,
            boolean right,
            boolean claimedTooMuch,
            List<PracticeTold> otherwise) {}

    /**
     * A practice trial.
     *
     * @param made null before the hands were sent
     * @param truth null before a verdict was given
     */
    record PracticeView(
            long id,
            String campsite,
            int fromHour,
            String figure,
            @Nullable PracticeMade made,
            @Nullable PracticeTruth truth) {}

    /** How often one was right, and how often one claimed too much; {@code open} is the one that goes on, null without. */
    record PracticeScore(int given, int right, int claimedTooMuch, int heldBack, @Nullable Long open) {}

    @Transactional(readOnly = true)
    PracticeScore score() {
        List<StoredGame> all = entities.createQuery("from StoredGame p order by p.id desc", StoredGame.class)
                .setMaxResults(LISTED)
                .getResultList();
        List<StoredGame> given = all.stream().filter(p -> p.said != null).toList();
        return new PracticeScore(
                given.size(),
                (int) given.stream().filter(p -> p.isRight).count(),
                (int) given.stream().filter(p -> p.claimedTooMuch).count(),
                (int) given.stream()
                        .filter(p -> p.said.equals(Claim.CANNOT_TELL.label()))
                        .count(),
                all.stream()
                        .filter(p -> p.said == null)
                        .findFirst()
                        .map(p -> p.id)
                        .orElse(null));
    }

    /** Begins one; the one that goes on, where there is one. */
    PracticeView begin() {
        Long open = score().open();
        if (open != null) {
            return view(open);
        }
        StoredGame practised = new StoredGame(random.nextInt(Integer.MAX_VALUE), OffsetDateTime.now(clock));
        entities.persist(practised);
        return view(practised);
    }

    @Transactional(readOnly = true)
    PracticeView view(long id) {
        return view(find(id));
    }

    /** What a trial would take; keeps nothing. */
    @Transactional(readOnly = true)
    PracticeEffort effort(long id, PracticePlan plan) {
        Effort effort = PracticeGame.of(find(id).seed).effort(rounds(plan), runs(plan));
        return new PracticeEffort(effort.minutes(), effort.gb());
    }

    /** Sends the hands out; once. */
    PracticeView make(long id, PracticePlan plan) {
        StoredGame practised = find(id);
        if (practised.rounds != null) {
            throw new ConflictException("the trial is made already; give your verdict");
        }
        practised.rounds = rounds(plan);
        practised.runs = runs(plan);
        return view(practised);
    }

    private static int rounds(PracticePlan plan) {
        return integer("rounds", plan.rounds(), InterimLooks.FEWEST, InterimLooks.MOST);
    }

    private static int runs(PracticePlan plan) {
        return integer("runs", plan.runs(), 1, Noise.MOST_RUNS);
    }

    private static int integer(String field, @Nullable Integer value, int low, int high) {
        if (value == null) {
            throw new InvalidInputException(field, field + " are missing; allowed are " + low + " to " + high);
        }
        return (int) InvalidInputException.naming(field, () -> Values.within(field, value, low, high, ""))
                .doubleValue();
    }

    /** Takes the verdict, and tells the truth. */
    PracticeView judge(long id, PracticeVerdict verdict) {
        StoredGame practised = find(id);
        if (practised.rounds == null) {
            throw new ConflictException("nothing was measured yet; send the hands out first");
        }
        if (practised.said != null) {
            throw new ConflictException("the verdict was given already");
        }
        Claim said = InvalidInputException.naming(
                "said", () -> Claim.fromLabel(verdict.said() == null ? "" : verdict.said()));
        PracticeGame game = PracticeGame.of(practised.seed);
        double truth = game.truth(game.asksForUpload());
        double margin = margin(game);
        practised.said = said.label();
        practised.isRight = said.isRight(truth, margin);
        practised.claimedTooMuch =
                said.isTooMuch(truth, margin, compare(game, practised).verdict());
        return view(practised);
    }

    private static Figure figure(PracticeGame game) {
        return game.asksForUpload() ? Figure.UP_MBPS : Figure.DOWN_MBPS;
    }

    private static double margin(PracticeGame game) {
        return figure(game).scale().off(figure(game).scale().margin());
    }

    private static Comparison compare(PracticeGame game, StoredGame practised) {
        Figure figure = figure(game);
        List<Run> runs = game.trial(practised.rounds, practised.runs);
        return new Comparer(
                        figure,
                        runs.stream().map(r -> r.sample(figure)).toList(),
                        Optional.of(new Plan(practised.rounds, Optional.empty())),
                        CappedSetups.NONE)
                .pair("A", "B");
    }

    private PracticeView view(StoredGame practised) {
        PracticeGame game = PracticeGame.of(practised.seed);
        return new PracticeView(
                practised.id,
                game.lesson().campsite(),
                game.lesson().fromHour(),
                game.asksForUpload() ? "upload" : "download",
                practised.rounds == null ? null : madeView(game, practised),
                practised.said == null ? null : truth(game, practised));
    }

    private static PracticeMade madeView(PracticeGame game, StoredGame practised) {
        List<Run> runs = game.trial(practised.rounds, practised.runs);
        Effort effort = game.effort(practised.rounds, practised.runs);
        List<PracticeRound> byRound = new ArrayList<>();
        for (int round = 1; round <= practised.rounds; round++) {
            byRound.add(new PracticeRound(round, middle(game, runs, round, "A"), middle(game, runs, round, "B")));
        }
        return new PracticeMade(practised.rounds, practised.runs, effort.minutes(), effort.gb(), byRound);
    }

    @Nullable
    private static Double middle(PracticeGame game, List<Run> runs, int round, String rival) {
        double[] rates = runs.stream()
                .filter(r -> r.hasSucceeded() && r.round() == round && r.rival().equals(rival))
                .mapToDouble(r -> game.asksForUpload() ? r.upMbps() : r.downMbps())
                .sorted()
                .toArray();
        return rates.length == 0 ? null : Double.valueOf(rates[rates.length / 2]);
    }

    private static PracticeTruth truth(PracticeGame game, StoredGame practised) {
        Comparison compared = compare(game, practised);
        return new PracticeTruth(
                game.lesson().title(),
                game.lesson().says(),
                game.truth(game.asksForUpload()),
                boxed(compared.estimate()),
                boxed(compared.low()),
                boxed(compared.high()),
                margin(game),
                compared.verdict().key(),
                compared.sentence(),
                practised.said,
                practised.isRight,
                practised.claimedTooMuch,
                game.otherwise(game.asksForUpload()).stream()
                        .map(t -> new PracticeTold(t.by(), t.ratio()))
                        .toList());
    }

    private StoredGame find(long id) {
        return Optional.ofNullable(entities.find(StoredGame.class, id))
                .orElseThrow(() -> new NotFoundException("no practice trial has the number " + id));
    }
}
