package syntoma.core.diagnosis;

import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import syntoma.core.chain.Source;
import syntoma.core.run.Leg;
import syntoma.core.trial.Outcome;

/** A situation that is put together for a test: healthy until something is planted. */
final class Planted {
    static final OffsetDateTime NOW = OffsetDateTime.parse("2026-08-20T20:00:00+03:00");
    private static final String SETUP = "Mast panel";
    private static final String CARRIER = "Tarnwave";
    private static final long HERE = 5;

    private final List<ObservedRun> seen = new ArrayList<>();
    private final Random random;
    private OffsetDateTime now = NOW;
    private OptionalDouble outside = OptionalDouble.empty();
    private OptionalDouble inside = OptionalDouble.empty();
    private Situation.OfChain chain =
            new Situation.OfChain(Optional.of(false), 2, OptionalInt.of(2), false, "", Source.CELLULAR, 0);
    private Situation.OfPlan plan = Situation.OfPlan.UNKNOWN;
    private Optional<Situation.HeardLess> heardLess = Optional.empty();

    Planted(long seed) {
        random = new Random(seed);
    }

    /** What a run shows; figures that are NaN are missing. */
    record Shows(double rsrp, double sinr, double down, double up, double idle, double loaded) {
        static final Shows FINE = new Shows(-88, 14, 40, 12, 45, 110);

        Shows level(double dbm, double db) {
            return new Shows(dbm, db, down, up, idle, loaded);
        }

        Shows speeds(double downMbps, double upMbps) {
            return new Shows(rsrp, sinr, downMbps, upMbps, idle, loaded);
        }

        Shows late(double idleMs, double loadedMs) {
            return new Shows(rsrp, sinr, down, up, idleMs, loadedMs);
        }
    }

    /** With what, where and when. */
    record Where(String setup, String carrier, long campsite, long stay, String band, boolean flat, Optional<Leg> leg) {
        static final Where NOW = new Where(SETUP, CARRIER, HERE, HERE, "B3", false, Optional.empty());

        Where with(String other) {
            return new Where(other, carrier, campsite, stay, band, flat, leg);
        }

        Where on(String network) {
            return new Where(setup, network, campsite, stay, band, flat, leg);
        }

        Where at(long place) {
            return new Where(setup, carrier, place, place, band, flat, leg);
        }

        Where in(String other) {
            return new Where(setup, carrier, campsite, stay, other, flat, leg);
        }

        Where overWifi(double downMbps, double upMbps) {
            return new Where(setup, carrier, campsite, stay, band, flat, Optional.of(new Leg(downMbps, upMbps)));
        }

        Where asFlat() {
            return new Where(setup, carrier, campsite, stay, band, true, leg);
        }
    }

    Planted runs(int count, Shows shows) {
        return runs(count, shows, Where.NOW, 1);
    }

    /** How many runs, one an hour, the last one so many hours ago. */
    Planted runs(int count, Shows shows, Where where, double hoursAgo) {
        for (int i = 0; i < count; i++) {
            double noise = where.flat ? 0.004 : 0.1;
            seen.add(new ObservedRun(
                    where.setup,
                    where.carrier,
                    where.campsite,
                    where.stay,
                    now.minusMinutes(Math.round(60 * (hoursAgo + count - 1 - i) / (count > 6 ? 2 : 1))),
                    Outcome.OK,
                    where.band,
                    "",
                    of(shows.rsrp + random.nextGaussian()),
                    of(shows.sinr + 0.5 * random.nextGaussian()),
                    of(shows.down * Math.exp(noise * random.nextGaussian())),
                    of(shows.up * Math.exp(noise * random.nextGaussian())),
                    of(shows.idle),
                    of(shows.loaded),
                    where.flat,
                    where.flat,
                    where.leg));
        }
        return this;
    }

    Planted failed(int count, Outcome outcome) {
        return failed(count, outcome, Where.NOW);
    }

    Planted failed(int count, Outcome outcome, Where where) {
        return failed(count, outcome, where, Double.NaN);
    }

    /** Runs that failed although the cell was heard at a level. */
    Planted failedAt(int count, Outcome outcome, double rsrpDbm) {
        return failed(count, outcome, Where.NOW, rsrpDbm);
    }

    private Planted failed(int count, Outcome outcome, Where where, double rsrpDbm) {
        OptionalDouble none = OptionalDouble.empty();
        for (int i = 0; i < count; i++) {
            seen.add(new ObservedRun(
                    where.setup,
                    where.carrier,
                    where.campsite,
                    where.stay,
                    now.minusMinutes(20L * (count - i)),
                    outcome,
                    "",
                    "",
                    of(rsrpDbm),
                    none,
                    none,
                    none,
                    none,
                    none,
                    false,
                    false,
                    Optional.empty()));
        }
        return this;
    }

    Planted phone(double outsideDbm, double insideDbm) {
        outside = of(outsideDbm);
        inside = of(insideDbm);
        return this;
    }

    Planted chain(boolean within, int leads, int streams) {
        chain = new Situation.OfChain(
                Optional.of(within), leads, OptionalInt.of(streams), false, "", Source.CELLULAR, 0);
        return this;
    }

    Planted booster(String reports) {
        chain = new Situation.OfChain(Optional.of(false), 1, OptionalInt.of(1), true, reports, Source.CELLULAR, 0);
        return this;
    }

    Planted shortBy(double db) {
        chain = new Situation.OfChain(Optional.of(false), 2, OptionalInt.of(2), false, "", Source.CELLULAR, db);
        return this;
    }

    /** Since a day the whole trip says that it hears less. */
    Planted hearsLess(LocalDate since, double db) {
        heardLess = Optional.of(new Situation.HeardLess(since, db));
        return this;
    }

    Planted bySatellite() {
        chain = new Situation.OfChain(Optional.of(false), 0, OptionalInt.empty(), false, "", Source.SATELLITE, 0);
        return this;
    }

    Planted plan(double capMbps, double allowanceGb, double usedGb) {
        plan = new Situation.OfPlan(of(capMbps), of(allowanceGb), usedGb);
        return this;
    }

    Planted at(OffsetDateTime other) {
        now = other;
        return this;
    }

    private static OptionalDouble of(double value) {
        return Double.isNaN(value) ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    Situation situation() {
        return new Situation(
                SETUP, CARRIER, HERE, HERE, now, List.copyOf(seen), outside, inside, chain, plan, heardLess);
    }
}
