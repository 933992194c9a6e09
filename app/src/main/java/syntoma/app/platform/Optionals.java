package syntoma.app.platform;

import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.springframework.lang.Nullable;

/** Between the core, where what is missing is empty, and the edges, where it is null. */
public final class Optionals {
    private Optionals() {}

    @Nullable
    public static Double boxed(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }

    @Nullable
    public static Integer boxed(OptionalInt value) {
        return value.isPresent() ? value.getAsInt() : null;
    }

    public static OptionalDouble optional(@Nullable Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }
}
