package syntoma.app.instrument;

import java.util.List;
import java.util.Map;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;
import syntoma.app.platform.Conflict;
import syntoma.core.reply.RouterReading;

/** Asks the router once, on the spot. */
@Component
class RouterProbe {
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
     * @param values all values of the answer, to choose among
     */
    record Probed(
            boolean reached,
            @Nullable String problem,
            Map<String, String> proposed,
            @Nullable ReadingView reading,
            List<ValueView> values) {}

    /** A value of the answer, and where it stands. */
    record ValueView(String pointer, String text) {}

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
     * @throws Conflict when none is set
     */
    Probed probe() {
        Routers.Reached router =
                routers.reached().orElseThrow(() -> new Conflict("no router is set; set one first, under Measure"));
        RouterSource source = Watch.open(router);
        try {
            if (source instanceof HttpRouter http) {
                HttpRouter.Tried tried = http.attempt();
                return probed(tried.proposed().sorted(), tried.reading(), tried.values());
            }
            return probed(Map.of(), source.read(), List.of());
        } catch (RouterFailed failed) {
            return new Probed(false, failed.getMessage(), Map.of(), null, List.of());
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            return new Probed(false, "it was stopped", Map.of(), null, List.of());
        } finally {
            source.close();
        }
    }

    private static Probed probed(Map<String, String> proposed, RouterReading reading, List<ValueView> values) {
        String problem = String.join("; ", reading.problems());
        if (problem.isEmpty() && reading.cells().isEmpty() && reading.mode().isEmpty()) {
            problem = "nothing in the answer looks like a reading; is the path right?";
        }
        return new Probed(
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
                values);
    }
}
