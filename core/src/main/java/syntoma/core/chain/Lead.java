package syntoma.core.chain;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A lead that comes out of an antenna: one element behind it.
 *
 * @param label unique within the antenna, as written on it or given
 * @param cableClass empty when the sheet does not say
 * @param lengthM in m; empty when the sheet does not say
 * @param ranges those of its own element; none where the sheet states them for the whole antenna
 */
public record Lead(
        String label,
        Use use,
        Optional<CableClass> cableClass,
        OptionalDouble lengthM,
        Connector connector,
        List<GainRange> ranges) {}
