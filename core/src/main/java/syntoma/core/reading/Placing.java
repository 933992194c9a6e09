package syntoma.core.reading;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import syntoma.core.band.Band;
import syntoma.core.band.Bands;
import syntoma.core.band.Channel;
import syntoma.core.band.Channels;
import syntoma.core.unit.FieldProblem;

/**
 * Where in the spectrum a reading was taken: band and channel number, checked against each other. Bands of UMTS, GSM, Wi-Fi
 * and satellite are free text.
 */
public final class Placing {
    private Placing() {}

    /** What is wrong with band (empty text for none) and channel; an empty list when nothing is. */
    public static List<FieldProblem> problems(Optional<Rat> rat, String band, OptionalInt channel) {
        if (rat.isPresent() && !is3gppTable(rat.get())) {
            return List.of();
        }
        if (band.isEmpty() && (channel.isEmpty() || rat.isEmpty())) {
            return List.of();
        }
        Optional<Band> named = Optional.empty();
        if (!band.isEmpty()) {
            try {
                named = Optional.of(Bands.of(band));
            } catch (IllegalArgumentException unknown) {
                return List.of(new FieldProblem("band", unknown.getMessage()));
            }
        }
        if (channel.isEmpty()) {
            return List.of();
        }
        try {
            Channel found = channel(rat, named, channel.getAsInt());
            if (named.isPresent() && !found.candidates().contains(named.get())) {
                return List.of(new FieldProblem(
                        "arfcn",
                        "channel " + channel.getAsInt() + " is in "
                                + found.candidates().get(0).name() + ", not "
                                + named.get().name()));
            }
            return List.of();
        } catch (IllegalArgumentException unknown) {
            return List.of(new FieldProblem("arfcn", unknown.getMessage()));
        }
    }

    /** The channel of a number, for a technology that is stated or follows from the band. */
    public static Channel channel(Optional<Rat> rat, Optional<Band> band, int number) {
        boolean nr = band.map(b -> b.rat() == Band.Technology.NR)
                .orElseGet(() -> rat.map(Rat::isNr).orElse(false));
        if (!nr) {
            return Channels.earfcn(number);
        }
        return band.isPresent() ? Channels.nrarfcn(number, band.get()) : Channels.nrarfcn(number);
    }

    /** The band's name as the tables write it; a free text stays as it is. */
    public static String name(Optional<Rat> rat, String band) {
        return band.isEmpty() || (rat.isPresent() && !is3gppTable(rat.get()))
                ? band
                : Bands.of(band).name();
    }

    private static boolean is3gppTable(Rat rat) {
        return rat == Rat.LTE || rat.isNr();
    }
}
