package syntoma.standin.router;

import java.util.Arrays;
import java.util.Locale;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import syntoma.core.band.Bands;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;
import syntoma.standin.World;
import syntoma.standin.air.Hands;

/** What hands can be told to do, in words; for the practice pitch and for tests. */
enum Commands {
    MAST("put up the mast", "", (hands, none) -> hands.with(World.MAST_PANEL)),
    DOME("use the dome", "", (hands, none) -> hands.with(World.ROOF_DOME)),
    WHIPS("use the whips", "", (hands, none) -> hands.with(World.WHIPS)),
    BOOSTER("switch on the booster", "", (hands, none) -> hands.with(World.BOOSTER)),
    USE("use ", "a carrier", Hands::on),
    GO("go to ", "a campsite", Hands::at),
    AIM("aim ", "degrees from true north", (hands, deg) -> hands.aimed(degrees(deg))),
    LOCK("lock ", "bands", (hands, bands) -> hands.locked(bands(bands))),
    UNLOCK("unlock", "", (hands, none) -> hands.locked(Set.of())),
    LTE("LTE alone", "", (hands, none) -> hands.mode(true)),
    AUTOMATIC("automatic", "", (hands, none) -> hands.mode(false));

    private static final Pattern SPACE = Pattern.compile("[ ,]+");

    private final String words;
    private final String of;
    private final BiFunction<Hands, String, Hands> does;

    Commands(String words, String of, BiFunction<Hands, String, Hands> does) {
        this.words = words;
        this.of = of;
        this.does = does;
    }

    /**
     * What is in hand then.
     *
     * @throws IllegalArgumentException when nothing of the kind can be done, naming what can
     */
    static Hands carriedOut(Hands hands, String told) {
        for (Commands command : values()) {
            Matcher said = Pattern.compile(
                            Pattern.quote(command.words) + (command.of.isEmpty() ? "()" : "(.+)"),
                            Pattern.CASE_INSENSITIVE)
                    .matcher(told.strip());
            if (said.matches()) {
                return command.does.apply(hands, said.group(1).strip());
            }
        }
        throw new IllegalArgumentException("command is " + Text.quote(told) + "; allowed is "
                + Arrays.stream(values()).map(c -> c.words + c.of).collect(Collectors.joining(", ")));
    }

    private static double degrees(String text) {
        try {
            return Values.within("heading", Double.parseDouble(text), 0, 360, "degrees");
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException("heading is " + Text.quote(text) + "; allowed is 0 to 360 degrees", e);
        }
    }

    private static Set<String> bands(String text) {
        return SPACE.splitAsStream(text.toUpperCase(Locale.ROOT).replace("N", "n"))
                .map(name -> Bands.of(name).name())
                .collect(Collectors.toSet());
    }
}
