package syntoma.app.mending;

import java.util.Arrays;
import java.util.Locale;
import syntoma.app.measurement.Refiling;
import syntoma.app.platform.NotFoundException;
import syntoma.core.unit.Text;

/** What names are mended of. */
enum NameKind {
    CAMPSITE(Refiling.What.CAMPSITE),
    SETUP(Refiling.What.SETUP),
    CARRIER(Refiling.What.CARRIER);

    private final Refiling.What what;

    NameKind(Refiling.What what) {
        this.what = what;
    }

    Refiling.What what() {
        return what;
    }

    String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    /**
     * The kind of a word.
     *
     * @throws NotFoundException when it is none
     */
    static NameKind of(String word) {
        return Arrays.stream(values())
                .filter(kind -> kind.word().equals(word))
                .findFirst()
                .orElseThrow(() -> new NotFoundException(
                        "no names of " + Text.quote(word) + "; there are campsite, setup and carrier"));
    }
}
