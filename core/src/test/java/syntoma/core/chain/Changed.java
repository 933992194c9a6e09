package syntoma.core.chain;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;

/** Parts with one thing changed. */
public final class Changed {
    private Changed() {}

    /** A record with another value in one of its components. */
    @SuppressWarnings("unchecked")
    public static <T extends Record> T with(T record, String component, Object value) {
        RecordComponent[] components = record.getClass().getRecordComponents();
        Class<?>[] types =
                Arrays.stream(components).map(RecordComponent::getType).toArray(Class<?>[]::new);
        Object[] values = Arrays.stream(components)
                .map(c -> c.getName().equals(component) ? value : get(record, c))
                .toArray();
        if (Arrays.stream(components).noneMatch(c -> c.getName().equals(component))) {
            throw new IllegalArgumentException(record.getClass() + " has no " + component);
        }
        try {
            return (T) record.getClass().getDeclaredConstructor(types).newInstance(values);
        } catch (InvocationTargetException refused) {
            throw (RuntimeException) refused.getCause();
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    private static Object get(Record record, RecordComponent component) {
        try {
            return component.getAccessor().invoke(record);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    public static Device ports(Device d, Port... ports) {
        return with(d, "ports", Optional.of(List.of(ports)));
    }

    public static Device unknownPorts(Device d) {
        return with(with(d, "ports", Optional.empty()), "takesAntennas", Optional.empty());
    }

    public static Device closed(Device d) {
        return with(with(d, "ports", Optional.empty()), "takesAntennas", Optional.of(false));
    }

    public static Device spaced(Device d, double mm) {
        return with(d, "portSpacingMm", OptionalDouble.of(mm));
    }

    public static Device internal(Device d, InternalAntennas own) {
        return with(with(d, "internal", Optional.of(own)), "ownAntennas", Optional.of(own != InternalAntennas.NONE));
    }

    public static Device bands(Device d, String... bands) {
        return with(d, "bands", bands.length == 0 ? Optional.empty() : Optional.of(Set.of(bands)));
    }

    public static Device slot(Device d, SimSize size) {
        return with(d, "simSize", Optional.of(size));
    }

    public static Device twoSlots(Device d) {
        return with(d, "simSlots", OptionalInt.of(2));
    }

    public static Device power(Device d, PowerInput power) {
        return with(d, "power", power);
    }

    public static Device ethernet(Device d, double mbps) {
        return with(d, "ethernetMbps", OptionalDouble.of(mbps));
    }

    public static Antenna plane(Antenna a, double cm2) {
        return with(a, "groundPlaneCm2", OptionalDouble.of(cm2));
    }

    public static Antenna rated(Antenna a, String rating) {
        return with(a, "rating", Optional.of(IpRating.of(rating)));
    }

    public static Antenna magnet(Antenna a) {
        return with(a, "isMagnetic", true);
    }

    public static Antenna aimed(Antenna a, double degrees) {
        return with(with(a, "isDirectional", true), "beamDeg", OptionalDouble.of(degrees));
    }
}
