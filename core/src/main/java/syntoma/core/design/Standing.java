package syntoma.core.design;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/**
 * What stands at one moment of a trial: which device is in use, what is on each device, how high each antenna is. What is in
 * nobody's way stays as it is: between two antennas on one device only the leads are changed, and a mast that is up stays up unless
 * the same antenna is wanted at another height.
 */
public final class Standing {
    private static final String MAST = "Mind the wind and what is overhead; a second person holds it.";
    private static final String ROOF = "Use a proper ladder and a second person; not on a wet or icy roof.";
    private static final String POWER =
            "Switch the device off first: a card changed under power can be damaged or not be seen.";
    private static final String KEEP_CLEAR = "Keep clear of the antenna while it transmits.";

    private String device = "";
    private boolean known;
    private boolean boosterOn;
    private final Map<String, String> places = new HashMap<>();
    private final Map<String, String> cardIn = new HashMap<>();
    private final Map<String, Set<String>> leads = new HashMap<>();
    private final Map<String, String> bands = new HashMap<>();
    private final Map<String, Double> heights = new HashMap<>();
    private Optional<Variation.Arranged> arranged = Optional.empty();

    private Standing() {}

    /** Nothing is put up yet. */
    public static Standing nothing() {
        return new Standing();
    }

    /** A contender is up already. */
    public static Standing with(Contender contender) {
        Standing standing = new Standing();
        standing.putUp(contender);
        return standing;
    }

    /** Puts a contender up in place of what stands, and says what has to be done for it, in the order in which to do it. */
    public List<Move> putUp(Contender next) {
        List<Move> moves = new ArrayList<>();
        String name = next.device().isEmpty() ? "the device" : next.device();
        if (known && !device.equals(next.device())) {
            moves.add(Move.of(
                    Work.DEVICE,
                    "Use " + name + " in place of " + (device.isEmpty() ? "the other device" : device) + "."));
        }
        if (isCardElsewhere(next)) {
            moves.add(Move.of(Work.SIM, "Put the card of " + next.carrier() + " into " + name + ".", POWER));
        }
        next.antennas().forEach((antenna, height) -> mast(antenna, height).ifPresent(moves::add));
        Set<String> wanted = new TreeSet<>(next.antennas().keySet());
        Set<String> on = leads.getOrDefault(next.device(), Set.of());
        if (!wanted.equals(on)) {
            moves.add(Move.of(Work.LEADS, leads(on, wanted, next.booster().orElse(name)), KEEP_CLEAR));
        }
        if (boosterOn != next.booster().isPresent()) {
            moves.add(Move.of(
                    Work.BOOSTER,
                    next.booster().map(b -> "Switch " + b + " on.").orElse("Switch the booster off.")));
        }
        String place = places.get(next.device());
        if (place != null && !place.equals(next.place()) && next.arranged().isEmpty()) {
            moves.add(Move.of(Work.PLACE, "Put " + name + " in its place: " + next.place() + "."));
        }
        if (!next.bands().equals(bands.getOrDefault(next.device(), "automatic"))) {
            moves.add(Move.of(
                    Work.BANDS,
                    next.bands().equals("automatic")
                            ? "Let " + name + " choose its bands."
                            : "Hold " + name + " to " + next.bands() + "."));
        }
        if (!next.arranged().equals(arranged)) {
            moves.add(next.arranged()
                    .map(how -> how.move(name))
                    .orElseGet(() -> Move.of(Work.PLACE, "Put things back as they are otherwise.")));
            arranged = next.arranged();
        }
        known = true;
        device = next.device();
        boosterOn = next.booster().isPresent();
        places.put(next.device(), next.place());
        cardIn.values().remove(next.device());
        cardIn.put(next.carrier(), next.device());
        leads.put(next.device(), wanted);
        bands.put(next.device(), next.bands());
        heights.putAll(next.antennas());
        return moves;
    }

    /** A card that was not used yet is taken to be in its device already, unless that one was used with another. */
    private boolean isCardElsewhere(Contender next) {
        String in = cardIn.get(next.carrier());
        return in == null ? cardIn.containsValue(next.device()) : !in.equals(next.device());
    }

    private Optional<Move> mast(String antenna, double heightM) {
        double now = heights.getOrDefault(antenna, 0.0);
        if (heightM == now) {
            return Optional.empty();
        }
        String to = heightM == 0 ? "to the roof" : "to " + Values.rounded(heightM, 1) + " m above the roof";
        return Optional.of(
                heightM > now
                        ? Move.of(Work.MAST_UP, "Raise " + antenna + " " + to + ".", MAST)
                        : Move.of(Work.MAST_DOWN, "Lower " + antenna + " " + to + ".", ROOF));
    }

    private static String leads(Set<String> on, Set<String> wanted, String to) {
        String take = on.isEmpty() ? "" : "take the leads of " + Text.list(List.copyOf(on)) + " off";
        String put = wanted.isEmpty() ? "" : "put the leads of " + Text.list(List.copyOf(wanted)) + " on " + to;
        String own = wanted.isEmpty() ? "; its own antennas are tried" : "";
        return Text.capital(take + (take.isEmpty() || put.isEmpty() ? "" : ", ") + put + own) + ".";
    }
}
