package syntoma.standin;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;

/** Heron's gear, setups, needs and the carriers' bands, as the open files that a user could import. */
public final class DemoRig {
    private DemoRig() {}

    /** The gear shelf, in the format of a gear export. */
    public static String gear() {
        return text("gear.json");
    }

    /** The vehicle, the needs chosen, the carriers' bands by region, and the setups with their parts by name. */
    public static String rig() {
        return text("rig.json");
    }

    private static String text(String name) {
        try (InputStream in = DemoRig.class.getResourceAsStream(name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
