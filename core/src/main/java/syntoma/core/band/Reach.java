package syntoma.core.band;

import java.util.List;
import java.util.Optional;

/**
 * What of a carrier gets through a chain, band by band.
 *
 * @param carrier empty text when none is chosen
 */
public record Reach(String carrier, List<Coverage> bands) {
    public Reach {
        bands = judge(bands);
    }

    /** A band without an uplink counts beside one that works both ways alone. */
    private static List<Coverage> judge(List<Coverage> bands) {
        List<Coverage> both =
                bands.stream().filter(c -> !c.band().isDownlinkOnly()).toList();
        if (both.stream().anyMatch(Coverage::works)) {
            return List.copyOf(bands);
        }
        boolean open = both.stream().anyMatch(Coverage::isUnknown);
        return bands.stream()
                .map(c -> c.band().isDownlinkOnly() && c.works() ? c.besideOthers(open) : c)
                .toList();
    }

    public boolean isEmpty() {
        return bands.isEmpty();
    }

    /** How many bands work: in both directions, or in the one they have beside another that does. */
    public int works() {
        return (int) bands.stream().filter(Coverage::works).count();
    }

    /** How many bands a sheet leaves open. */
    public int unknown() {
        return (int) bands.stream().filter(Coverage::isUnknown).count();
    }

    /** The bands that work. */
    public List<Band> working() {
        return bands.stream().filter(Coverage::works).map(Coverage::band).toList();
    }

    /** How a band gets through; empty where the carrier does not have it. */
    public Optional<Coverage> of(Band band) {
        return bands.stream().filter(c -> c.band().equals(band)).findFirst();
    }

    /** The bands that stop at some link for certain. */
    public List<Coverage> stoppedBands() {
        return bands.stream()
                .filter(c -> !c.works() && !c.isUnknown() && c.limitedBy().isPresent())
                .toList();
    }

    /** The first link that stops a band. */
    public Optional<String> limit() {
        return bands.stream().flatMap(c -> c.limitedBy().stream()).findFirst();
    }

    /** The links that all bands go over, from the device outward. */
    public List<String> links() {
        return bands.stream()
                .findFirst()
                .map(c -> c.links().stream().map(LinkShare::link).toList())
                .orElse(List.of());
    }

    /** How many bands work in both directions, as a person would say it. @param chain what they go through */
    public String sentence(String chain) {
        String head = "With " + chain + " on " + carrier + ": ";
        if (bands.isEmpty()) {
            return head + "no bands of " + carrier + " are entered for this region.";
        }
        int works = works();
        String count = works == bands.size() && works > 1
                ? "all " + word(works) + " bands work in both directions"
                : (works == 0 ? "none" : word(works)) + " of " + word(bands.size())
                        + (bands.size() == 1
                                ? " band works"
                                : works == 1 || works == 0 ? " bands works" : " bands work")
                        + " in both directions";
        return head
                + count
                + (unknown() == 0 ? "." : "; " + word(unknown()) + " unknown, because a sheet does not say.");
    }

    private static String word(int number) {
        String[] words = {"none", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten"};
        return number < words.length ? words[number] : Integer.toString(number);
    }
}
