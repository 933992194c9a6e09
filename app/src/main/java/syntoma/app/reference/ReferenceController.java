package syntoma.app.reference;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.springframework.lang.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.NotFoundException;
import syntoma.core.band.Band;
import syntoma.core.band.Bands;
import syntoma.core.band.Channel;
import syntoma.core.band.Channels;
import syntoma.core.band.Span;
import syntoma.core.reading.Figure;
import syntoma.core.reading.Measure;
import syntoma.core.unit.Text;

/** The 3GPP tables: operating bands and channel numbers. */
@RestController
@RequestMapping("/api")
class ReferenceController {
    /** A band; ranges in MHz, lower edge first. */
    record BandDto(String name, String rat, String duplex, @Nullable List<Double> uplinkMhz, List<Double> downlinkMhz) {
        static BandDto of(Band band) {
            return new BandDto(
                    band.name(),
                    band.rat().name(),
                    band.duplex().name(),
                    band.uplink().map(BandDto::edges).orElse(null),
                    edges(band.downlink()));
        }

        private static List<Double> edges(Span span) {
            return List.of(span.loMhz(), span.hiMhz());
        }
    }

    /** A channel number resolved. */
    record ChannelDto(@Nullable String band, List<String> candidates, double downlinkMhz, @Nullable Double uplinkMhz) {}

    /**
     * What a measurement holds.
     *
     * @param label the name a person reads; for a choice, and for a text, its field says it
     * @param kind radio, rate, latency, jitter or share for a number, else choice or text
     * @param choices what a choice is one of
     * @param metric the name by which setups are compared on it, null when they are not
     */
    record FigureView(
            String field,
            String column,
            String label,
            String unit,
            String kind,
            List<String> choices,
            @Nullable String metric,
            @Nullable String scale) {
        static FigureView of(Figure figure) {
            if (!figure.isNumber()) {
                String kind = figure.choices().isEmpty() ? "text" : "choice";
                return new FigureView(figure.field(), figure.label(), "", "", kind, figure.choices(), null, null);
            }
            Measure measure = figure.measure();
            return new FigureView(
                    figure.field(),
                    figure.label(),
                    Text.capital(measure.phrase()),
                    measure.unit(),
                    measure.kind().name().toLowerCase(Locale.ROOT),
                    List.of(),
                    measure.comparing().map(Measure.Comparing::key).orElse(null),
                    measure.comparing().map(c -> c.scale().key()).orElse(null));
        }
    }

    @GetMapping("/figures")
    List<FigureView> figures() {
        return Arrays.stream(Figure.values()).map(FigureView::of).toList();
    }

    @GetMapping("/bands")
    List<BandDto> bands() {
        return Bands.all().stream().map(BandDto::of).toList();
    }

    @GetMapping("/bands/{name}")
    BandDto band(@PathVariable String name) {
        try {
            return BandDto.of(Bands.of(name));
        } catch (IllegalArgumentException unknown) {
            throw new NotFoundException(unknown.getMessage());
        }
    }

    @GetMapping("/channels")
    ChannelDto channel(
            @RequestParam(required = false) Integer earfcn,
            @RequestParam(required = false) Integer nrarfcn,
            @RequestParam(required = false) String band) {
        if ((earfcn == null) == (nrarfcn == null)) {
            throw new InvalidInputException("earfcn", "give either earfcn or nrarfcn");
        }
        if (earfcn != null && band != null) {
            throw new InvalidInputException("band", "band goes with nrarfcn; an earfcn settles its band alone");
        }
        Channel channel;
        if (earfcn != null) {
            channel = InvalidInputException.naming("earfcn", () -> Channels.earfcn(earfcn));
        } else if (band == null) {
            channel = InvalidInputException.naming("nrarfcn", () -> Channels.nrarfcn(nrarfcn));
        } else {
            Band named = InvalidInputException.naming("band", () -> Bands.of(band));
            channel = InvalidInputException.naming("nrarfcn", () -> Channels.nrarfcn(nrarfcn, named));
        }
        return new ChannelDto(
                channel.band().map(Band::name).orElse(null),
                channel.candidates().stream().map(Band::name).toList(),
                channel.downlinkMhz(),
                channel.uplinkMhz().orElse(null));
    }
}
