package syntoma.app.instrument;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import syntoma.app.platform.ConflictException;
import syntoma.core.reply.Choices;
import syntoma.core.reply.RouterReading;

/** Asks the router once, on the spot. */
@Component
class RouterProbe {
    private static final Choices NONE = new Choices(List.of(), List.of(), List.of(), List.of());

    private final Routers routers;

    RouterProbe(Routers routers) {
        this.routers = routers;
    }

    /**
     * What one request gave.
     *
     * @param problem what is wrong, in words; null where all is well
     * @param proposed which value of the answer is which figure, by its names
     * @param reading null where nothing was reached
     * @param said each cell that was read, in words
     * @param figures those that can stand somewhere in the answer, and among which of its places each is chosen
     * @param values all values of the answer
     * @param elements those of its first cell, where it has a list of them
     * @param lists those that could be one of cells
     */
    record ProbeResult(
            boolean reached,
            @Nullable String problem,
            Map<String, String> proposed,
            @Nullable ReadingView reading,
            List<String> said,
            List<MappedFigure> figures,
            List<ReplyPlace> values,
            List<ReplyPlace> elements,
            List<ReplyPlace> lists) {}

    /** A figure by the key of a mapping; among values, elements or lists. */
    record MappedFigure(String key, String label, String among) {}

    /** A place in the answer, and its value. */
    record ReplyPlace(String pointer, String text) {}

    /** A reading, in the form of a status text that was read. */
    record ReadingView(
            @Nullable String mode,
            @Nullable String carrier,
            List<LiveReading.CellView> cells,
            @Nullable SpeedView speed,
            List<Warning> warnings) {}

    /** What a router says of speeds: nothing. */
    record SpeedView(
            @Nullable Double downMbps,
            @Nullable Double upMbps,
            @Nullable Double idleMs,
            @Nullable Double downLoadedMs,
            @Nullable Double upLoadedMs) {}

    /** What of the answer could not be believed. */
    record Warning(String code, String message, @Nullable Integer line) {}

    /**
     * Asks it.
     *
     * @param here whether this machine itself asks: only it is shown what is not mapped
     * @throws ConflictException when none is set
     */
    ProbeResult probe(boolean here) {
        Routers.ReachedRouter router = routers.connection()
                .orElseThrow(() -> new ConflictException("no router is set; set one first, under Measure"));
        RouterSource source = Watch.open(router);
        try {
            if (source instanceof HttpRouter http) {
                HttpRouter.TriedLogin tried = http.attempt();
                return probed(tried.proposed().sorted(), tried.reading(), here ? tried.choices() : NONE);
            }
            return probed(Map.of(), source.read(), NONE);
        } catch (RouterException failed) {
            return unreached(failed.getMessage());
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            return unreached("it was stopped");
        } finally {
            source.close();
        }
    }

    private static ProbeResult probed(Map<String, String> proposed, RouterReading reading, Choices choices) {
        String problem = String.join("; ", reading.problems());
        if (problem.isEmpty() && reading.cells().isEmpty() && reading.mode().isEmpty()) {
            problem = "nothing in the answer looks like a reading; is the path right?";
        }
        return new ProbeResult(
                true,
                problem.isEmpty() ? null : problem,
                proposed,
                new ReadingView(
                        reading.mode().orElse(null),
                        reading.carrier().orElse(null),
                        LiveReading.cells(reading),
                        null,
                        reading.problems().stream()
                                .map(text -> new Warning("impossible-value", text, null))
                                .toList()),
                reading.cells().stream()
                        .map(cell -> cell.role().label() + ": " + cell.says())
                        .toList(),
                choices.figures().stream()
                        .map(f -> new MappedFigure(
                                f.key(), f.label(), f.among().name().toLowerCase(Locale.ROOT)))
                        .toList(),
                places(choices.values()),
                places(choices.elements()),
                places(choices.lists()));
    }

    private static List<ReplyPlace> places(List<Choices.Place> places) {
        return places.stream().map(p -> new ReplyPlace(p.pointer(), p.text())).toList();
    }

    private static ProbeResult unreached(String why) {
        return new ProbeResult(false, why, Map.of(), null, List.of(), List.of(), List.of(), List.of(), List.of());
    }
}
