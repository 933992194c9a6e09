package syntoma.core.state;

import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import syntoma.core.chain.Source;
import syntoma.core.design.Contender;
import syntoma.core.design.Noise;
import syntoma.core.design.Order;
import syntoma.core.design.Planner;
import syntoma.core.design.Question;
import syntoma.core.design.Remaining;
import syntoma.core.design.Visit;
import syntoma.core.run.RunKind;

/** Run sheets and advice replayed in a vehicle: no step supposes an antenna, a SIM or a mast where it is not. */
class HandsCheckTest {
    private static final List<String> DEVICES = List.of("Curlew", "Plover", "Teal");
    private static final List<String> ANTENNAS = List.of("Alder", "Rowan", "Sorrel", "Hazel");
    private static final List<String> CARRIERS = List.of("Tarnwave", "Ostrel", "Brissa");

    private static Arrangement drawn(Random random) {
        int device = random.nextInt(DEVICES.size());
        Rig rig = Rig.of(DEVICES.get(device)).slots(1 + device % 2).on(CARRIERS.get(random.nextInt(CARRIERS.size())));
        for (String antenna : ANTENNAS) {
            switch (random.nextInt(6)) {
                case 0 -> rig.antenna(antenna, 0);
                case 1 -> rig.antenna(antenna, 1 + random.nextInt(3));
                case 2 -> rig.atTheWindow(antenna);
                default -> {}
            }
        }
        if (random.nextInt(4) == 0) {
            rig.booster("Bittern");
        }
        if (random.nextInt(3) == 0) {
            rig.bands(random.nextBoolean() ? "B3" : "B20");
        }
        if (random.nextInt(6) == 0) {
            rig.source(Source.CAMPGROUND_WIFI);
        }
        return rig.arrangement();
    }

    private static Question question(Random random, RigState start) {
        List<Contender> contenders = IntStream.range(0, 2 + random.nextInt(4))
                .mapToObj(i -> new Contender("Setup " + i, drawn(random)))
                .toList();
        return new Question(
                contenders,
                1.5,
                Noise.USUAL,
                RunKind.LIGHT,
                contenders.stream().map(c -> Question.Rates.of(20, 5, true)).toList(),
                Work.usual(),
                start,
                random.nextBoolean() ? Order.TURNING : Order.DRAWN,
                random.nextInt(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Question.Saving.TIME,
                1);
    }

    @Test
    void every_step_of_a_thousand_run_sheets_can_be_done_and_leaves_the_setup_ready() {
        Random random = new Random(20261201);
        for (int i = 0; i < 1_000; i++) {
            RigState start = RigState.UNKNOWN;
            Vehicle vehicle = new Vehicle();
            // what was done before the trial: advice that was followed, and a drive in between
            for (int before = random.nextInt(3); before > 0; before--) {
                Arrangement used = drawn(random);
                vehicle.does(start.movesTo(used));
                vehicle.checkReady(used);
                start = start.after(used);
                if (random.nextBoolean()) {
                    List<Move> steps = Leaving.from(start).moves();
                    vehicle.does(steps);
                    vehicle.checkCanDrive();
                    start = start.afterAll(steps);
                }
            }
            Question question = question(random, start);
            for (Visit visit : Planner.effort(question, 4, 1).visits()) {
                vehicle.does(visit.moves());
                vehicle.checkReady(question.contenders().get(visit.contender()).arrangement());
            }
        }
    }

    /** A visit that is left out puts nothing up, and a night with the mast down changes the steps of the morning. */
    @Test
    void a_sheet_that_is_left_and_taken_up_again_starts_from_what_is_where() {
        Random random = new Random(7);
        int changed = 0;
        for (int i = 0; i < 300; i++) {
            Vehicle vehicle = new Vehicle();
            Question question = question(random, RigState.UNKNOWN);
            List<Visit> planned = Planner.effort(question, 3, 1).visits();
            RigState now = RigState.UNKNOWN;
            List<Remaining.LoggedRun> made = new ArrayList<>();
            Set<Integer> skipped = Set.of(1 + random.nextInt(planned.size() - 1));
            for (int place = 0; place < planned.size(); place++) {
                if (skipped.contains(place)) {
                    continue;
                }
                if (random.nextInt(5) == 0) {
                    List<Move> steps = Leaving.from(now).moves();
                    vehicle.does(steps);
                    now = now.afterAll(steps);
                }
                Visit visit = Planner.onFrom(now, question, Remaining.of(planned, 1, made, skipped))
                        .get(place);
                changed += visit.moves().equals(planned.get(place).moves()) ? 0 : 1;
                Arrangement wanted =
                        question.contenders().get(visit.contender()).arrangement();
                vehicle.does(visit.moves());
                vehicle.checkReady(wanted);
                now = now.after(wanted);
                made.add(new Remaining.LoggedRun(visit.round(), visit.contender()));
            }
        }
        assertTrue(changed > 100, "a sheet that never changes its steps tests nothing");
    }
}
