package syntoma.core.design;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import syntoma.core.band.Band;
import syntoma.core.band.Bands;
import syntoma.core.chain.RadioMode;

/** Trials that travellers make again and again, filled in from what is on board. */
public enum Template {
    BEFORE_AFTER("Before and after", "Is what I changed any better?", Template::beforeAfter),
    BOOSTER("Booster off and on", "Does the booster help here?", Template::booster),
    ANTENNAS("Antennas", "Which antenna is best on this device?", Template::antennas),
    DEVICES("Devices", "Which device is best with this SIM and antenna?", Template::devices),
    GRID("Antennas × devices", "What does each antenna do on each device?", Template::grid),
    CARRIERS("Carriers", "Which SIM is best here?", Template::carriers),
    BANDS("Band sweep", "Is any locked band better than automatic?", Template::bands),
    PLACES("Placement", "Where in the vehicle is the device best?", Template::places),
    HEIGHTS("Heights", "How high is high enough?", Template::heights),
    SPACING("Distance to the indoor antenna", "How close must the device be?", Template::spacing),
    PLATE("Ground plane", "Does a metal plate under the antenna help?", Template::plate),
    HOURS("Morning, noon, evening", "Does it hold all day?", Template::hours),
    ROOF_TEST("Roof test before drilling", "Is it worth the holes?", Template::roofTest);

    /** What a trial of more bands than this takes no evening has. */
    private static final int MOST_BANDS = 7;

    private static final List<String> TIMES = List.of("08:00", "13:00", "20:00");

    private final String says;
    private final String question;
    private final Function<Board, Proposal> propose;

    Template(String says, String question, Function<Board, Proposal> propose) {
        this.says = says;
        this.question = question;
        this.propose = propose;
    }

    /** The name in the API. */
    public String label() {
        return name().toLowerCase(Locale.ROOT);
    }

    public String says() {
        return says;
    }

    public String question() {
        return question;
    }

    /**
     * What is on board.
     *
     * @param setups as contenders on the carrier in use, what is up first
     * @param carriers of which there is a SIM on board
     * @param bands that the first of a setup's name and the carrier both have
     * @param needsPlane whether the sheet of an antenna of a setup asks for metal beneath it
     */
    public record Board(
            List<Contender> setups,
            List<String> carriers,
            Function<Contender, List<String>> bands,
            Predicate<Contender> needsPlane) {
        private Optional<Contender> first(Predicate<Contender> wanted) {
            return setups.stream().filter(wanted).findFirst();
        }
    }

    /** A setup that is tried, with what is changed about it. */
    public record Choice(String setup, String carrier, Optional<Variation> variation) {
        static Choice of(Contender contender) {
            return new Choice(contender.setup(), contender.carrier(), Optional.empty());
        }

        static Choice of(Contender contender, Variation.Kind kind, String value) {
            return new Choice(contender.setup(), contender.carrier(), Optional.of(new Variation(kind, value)));
        }
    }

    /**
     * A trial filled in.
     *
     * @param choices two or more; none where it cannot be made
     * @param lacking why it cannot be made, and what would do
     * @param notes what to watch out for
     * @param times of day over which it is spread
     * @param isBaselineFirst whether the first is to be measured first
     */
    public record Proposal(
            List<Choice> choices,
            Optional<String> lacking,
            List<String> notes,
            List<String> times,
            boolean isBaselineFirst) {
        private static Proposal lacking(String why) {
            return new Proposal(List.of(), Optional.of(why), List.of(), List.of(), false);
        }

        private static Proposal of(List<Choice> choices, String... notes) {
            return new Proposal(
                    choices.stream().limit(Question.MOST_CONTENDERS).toList(),
                    Optional.empty(),
                    List.of(notes),
                    List.of(),
                    false);
        }
    }

    /** Fills it in from what is on board. */
    public Proposal propose(Board board) {
        return board.setups.isEmpty() ? Proposal.lacking("Build a setup in Gear first.") : propose.apply(board);
    }

    private static Proposal beforeAfter(Board board) {
        Contender after = board.setups.get(0);
        return board.first(c -> c != after && c.device().equals(after.device()))
                .or(() -> board.first(c -> c != after))
                .map(before -> Proposal.of(
                        List.of(Choice.of(before), Choice.of(after)),
                        "The first is how it was, the second how it is now."))
                .orElse(Proposal.lacking("Save how it was before as its own setup in Gear."));
    }

    private static Proposal booster(Board board) {
        return board.first(c -> c.booster().isPresent())
                .map(c -> Proposal.of(List.of(Choice.of(c, Variation.Kind.BOOSTER, "off"), Choice.of(c))))
                .orElse(Proposal.lacking("No setup in Gear has a booster."));
    }

    private static Proposal antennas(Board board) {
        Contender base = board.setups.get(0);
        List<Contender> others = distinct(
                board.setups.stream()
                        .filter(c ->
                                c.device().equals(base.device()) && c.booster().isEmpty()),
                Contender::antennas);
        return others.size() > 1
                ? Proposal.of(others.stream().map(Choice::of).toList())
                : Proposal.lacking("No other setup in Gear has another antenna on " + device(base) + ".");
    }

    private static Proposal devices(Board board) {
        Contender base = board.setups.get(0);
        List<Contender> others = distinct(
                board.setups.stream()
                        .filter(c -> c.antennas().equals(base.antennas())
                                && c.booster().equals(base.booster())),
                Contender::device);
        return others.size() > 1
                ? Proposal.of(others.stream().map(Choice::of).toList())
                : Proposal.lacking(
                        "No other setup in Gear has the antennas of " + base.setup() + " on another device.");
    }

    private static String device(Contender base) {
        return base.device().isEmpty() ? base.setup() : base.device();
    }

    private static List<Contender> distinct(Stream<Contender> contenders, Function<Contender, Object> by) {
        Map<Object, Contender> first = new LinkedHashMap<>();
        contenders.forEach(c -> first.putIfAbsent(by.apply(c), c));
        return List.copyOf(first.values());
    }

    /** The largest whole grid of two devices. */
    private static Proposal grid(Board board) {
        Map<String, Map<Object, Contender>> byDevice = new LinkedHashMap<>();
        board.setups.stream()
                .filter(c -> c.booster().isEmpty() && !c.device().isEmpty())
                .forEach(c -> byDevice.computeIfAbsent(c.device(), d -> new LinkedHashMap<>())
                        .putIfAbsent(c.antennas(), c));
        List<String> devices = List.copyOf(byDevice.keySet());
        List<List<Contender>> grids = new ArrayList<>();
        for (int i = 0; i < devices.size(); i++) {
            for (int j = i + 1; j < devices.size(); j++) {
                grids.add(commonParts(byDevice.get(devices.get(i)), byDevice.get(devices.get(j))));
            }
        }
        return grids.stream()
                .max(Comparator.comparingInt(List::size))
                .filter(grid -> grid.size() >= 4)
                .map(grid -> Proposal.of(grid.stream().map(Choice::of).toList()))
                .orElse(Proposal.lacking("A grid needs each of two antennas on each of two devices as setups in Gear; "
                        + "bands, places or carriers make a grid as well."));
    }

    private static List<Contender> commonParts(Map<Object, Contender> one, Map<Object, Contender> other) {
        Set<Object> both = new LinkedHashSet<>(one.keySet());
        both.retainAll(other.keySet());
        return both.stream()
                .limit(Question.MOST_CONTENDERS / 2)
                .flatMap(antennas -> Stream.of(one.get(antennas), other.get(antennas)))
                .collect(Collectors.toList());
    }

    private static Proposal carriers(Board board) {
        Contender base = board.setups.get(0);
        List<Choice> each = Stream.concat(Stream.of(base.carrier()), board.carriers.stream())
                .filter(carrier -> !carrier.isEmpty())
                .distinct()
                .filter(base.arrangement().device()::takes)
                .map(carrier -> new Choice(base.setup(), carrier, Optional.empty()))
                .toList();
        if (each.size() > 1) {
            return Proposal.of(each, "Each SIM has its own plan: its runs use its data.");
        }
        return Proposal.lacking(base.arrangement()
                .device()
                .lockedTo()
                .map(carrier -> base.deviceName() + " takes SIMs of " + carrier + " only.")
                .orElse("You have SIMs of one carrier only; add another under Gear."));
    }

    private static Proposal bands(Board board) {
        Contender base = board.setups.get(0);
        List<Band> works = board.bands.apply(base).stream().map(Bands::of).toList();
        // NR is beside an LTE band; held alone it may have nothing to stand on
        List<String> lte = works.stream()
                .filter(band -> band.rat() == Band.Technology.LTE)
                .map(Band::name)
                .toList();
        boolean hasNr = lte.size() < works.size();
        if (lte.size() < 2 && !hasNr) {
            return Proposal.lacking("Gear does not know two bands of " + base.carrier() + " that " + base.setup()
                    + " works on; say the carrier’s bands there.");
        }
        List<Choice> choices = new ArrayList<>(List.of(Choice.of(base)));
        lte.stream()
                .limit(MOST_BANDS - (hasNr ? 1 : 0))
                .forEach(band -> choices.add(Choice.of(base, Variation.Kind.BANDS, band)));
        if (hasNr) {
            choices.add(Choice.of(base, Variation.Kind.BANDS, RadioMode.LTE_ONLY.label()));
        }
        List<String> notes = new ArrayList<>(List.of(
                "Where two bands do well alone, try both together beside automatic afterwards.",
                "Unlock the bands at the end: a locked band may not work at the next campsite."));
        if (hasNr) {
            notes.add("Does NR help or hurt? Try NSA or NR SA only, or all but one band, as a change too.");
        }
        return Proposal.of(choices, notes.toArray(String[]::new));
    }

    private static Proposal places(Board board) {
        return board.first(c -> c.antennas().isEmpty() && c.booster().isEmpty())
                .map(c -> Proposal.of(Stream.of("on the table", "on the floor", "at the window", "under the roof")
                        .map(place -> Choice.of(c, Variation.Kind.PLACE, place))
                        .toList()))
                .orElse(Proposal.lacking(
                        "Every setup in Gear has an antenna that stays where it is when the device moves."
                                + " A trial of places needs a setup that uses the device’s own antennas."));
    }

    private static Proposal heights(Board board) {
        return board.first(c -> !c.antennas().isEmpty())
                .map(c -> Proposal.of(
                        Stream.of("0", "2", "4")
                                .map(m -> Choice.of(c, Variation.Kind.HEIGHT, m))
                                .toList(),
                        "Aim a directional antenna again at each height."))
                .orElse(Proposal.lacking("No setup in Gear has an antenna to raise."));
    }

    private static Proposal spacing(Board board) {
        return board.first(c -> c.booster().isPresent())
                .map(c -> Proposal.of(Stream.of("0.5", "1", "2")
                        .map(m -> Choice.of(c, Variation.Kind.SPACING, m))
                        .toList()))
                .orElse(Proposal.lacking("No setup in Gear has a booster, and so no indoor antenna."));
    }

    private static Proposal plate(Board board) {
        return board.first(c -> !c.antennas().isEmpty() && board.needsPlane.test(c))
                .map(c -> Proposal.of(
                        Stream.of("without", "with")
                                .map(with -> Choice.of(c, Variation.Kind.PLATE, with))
                                .toList(),
                        "A plate is as large as the antenna’s sheet asks for; leave the antenna where it is."))
                .orElse(Proposal.lacking("No antenna of a setup in Gear needs metal beneath it, by its data sheet."));
    }

    private static Proposal hours(Board board) {
        Proposal two = beforeAfter(board);
        return two.lacking.isPresent()
                ? two
                : new Proposal(
                        two.choices,
                        Optional.empty(),
                        List.of("Each time of day has as many rounds as the others."),
                        TIMES,
                        false);
    }

    private static Proposal roofTest(Board board) {
        return board.first(c -> !c.antennas().isEmpty() && c.booster().isEmpty())
                .map(c -> new Proposal(
                        List.of(Choice.of(c, Variation.Kind.ANTENNAS, "own"), Choice.of(c)),
                        Optional.empty(),
                        List.of(
                                "Nothing is drilled: tape or weights hold the antenna where it is to go, and its leads go through a window.",
                                "First the device alone, as it is now: the holes have to beat that."),
                        List.of(),
                        true))
                .orElse(Proposal.lacking("Build a setup of the new antenna with the device in Gear first."));
    }
}
