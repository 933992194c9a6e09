package syntoma.core.chain;

import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;

/**
 * What a generation of Wi-Fi carries at most: the highest link rate of two streams in the width that is usual for it (IEEE
 * 802.11n at 40 MHz, 802.11ac and 802.11ax at 80 MHz, 802.11be at 160 MHz).
 */
public final class WifiGeneration {
    private record Generation(String number, String amendment, double mbps) {}

    private static final List<Generation> GENERATIONS = List.of(
            new Generation("7", "be", 2882),
            new Generation("6", "ax", 1201),
            new Generation("5", "ac", 867),
            new Generation("4", "n", 300));

    private WifiGeneration() {}

    /** The rate in Mb/s of the newest generation that a text names, such as Wi-Fi 6, 802.11ac or 5; empty for none. */
    public static OptionalDouble mostMbps(String text) {
        String plain = text.toLowerCase(Locale.ROOT).strip();
        return GENERATIONS.stream()
                .filter(g -> names(plain, g))
                .mapToDouble(Generation::mbps)
                .findFirst();
    }

    private static boolean names(String plain, Generation g) {
        return plain.equals(g.number)
                || plain.equals(g.amendment)
                || plain.contains("wi-fi " + g.number)
                || plain.contains("wifi " + g.number)
                || plain.contains("wifi" + g.number)
                || plain.contains("802.11") && amendments(plain).contains("/" + g.amendment + "/");
    }

    /** The letters behind 802.11, such as /a/b/g/n/ac/. */
    private static String amendments(String plain) {
        StringBuilder letters = new StringBuilder("/");
        for (int i = plain.indexOf("802.11") + "802.11".length(); i < plain.length(); i++) {
            char c = plain.charAt(i);
            letters.append(c >= 'a' && c <= 'z' ? c : '/');
        }
        return letters.append('/').toString();
    }
}
