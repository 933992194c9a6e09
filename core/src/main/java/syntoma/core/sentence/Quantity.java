package syntoma.core.sentence;

import java.util.OptionalInt;

/**
 * A value with its unit, as a part of a sentence.
 *
 * <pre>{@code
 * Quantity.metres(4.5).in(UnitSystem.METRIC)       // 4.5 m
 * Quantity.metres(4.5).in(UnitSystem.IMPERIAL)     // 14.8 ft
 * Quantity.height(2.86).in(UnitSystem.IMPERIAL)    // 9 ft 5 in
 * Quantity.millimetres(32).in(UnitSystem.IMPERIAL) // 1.26 in
 * Quantity.celsius(45).in(UnitSystem.IMPERIAL)     // 113 °F
 * }</pre>
 *
 * @param value in the metric unit
 * @param decimals that are shown of the metric value; empty for as many as it has
 */
public record Quantity(double value, Unit unit, OptionalInt decimals) implements Part {
    /** A length with as many decimals as it has. */
    public static Quantity metres(double metres) {
        return new Quantity(metres, Unit.METRES, OptionalInt.empty());
    }

    /** A length, rounded. */
    public static Quantity metres(double metres, int decimals) {
        return new Quantity(metres, Unit.METRES, OptionalInt.of(decimals));
    }

    /** A distance on a drawing, to the centimetre. */
    public static Quantity drawnLength(double metres) {
        return new Quantity(metres, Unit.DRAWN_METRES, OptionalInt.of(2));
    }

    /** A height over ground, to the centimetre. */
    public static Quantity height(double metres) {
        return new Quantity(metres, Unit.HEIGHT_METRES, OptionalInt.of(2));
    }

    /** A distance over land, rounded. */
    public static Quantity kilometres(double km, int decimals) {
        return new Quantity(km, Unit.KILOMETRES, OptionalInt.of(decimals));
    }

    /** A side of a plate, in whole centimetres. */
    public static Quantity centimetres(double cm) {
        return new Quantity(cm, Unit.CENTIMETRES, OptionalInt.of(0));
    }

    /** A diameter with as many decimals as it has. */
    public static Quantity millimetres(double mm) {
        return new Quantity(mm, Unit.MILLIMETRES, OptionalInt.empty());
    }

    /** A diameter, rounded. */
    public static Quantity millimetres(double mm, int decimals) {
        return new Quantity(mm, Unit.MILLIMETRES, OptionalInt.of(decimals));
    }

    /** An area of metal. */
    public static Quantity squareCentimetres(double cm2) {
        return new Quantity(cm2, Unit.SQUARE_CENTIMETRES, OptionalInt.empty());
    }

    /** A temperature. */
    public static Quantity celsius(double celsius) {
        return new Quantity(celsius, Unit.CELSIUS, OptionalInt.empty());
    }

    /** A weight. */
    public static Quantity kilograms(double kg) {
        return new Quantity(kg, Unit.KILOGRAMS, OptionalInt.empty());
    }

    @Override
    public String in(UnitSystem system) {
        return system == UnitSystem.METRIC ? unit.metric(value, decimals) : unit.imperial(value, decimals);
    }

    /** In metric units. */
    @Override
    public String toString() {
        return in(UnitSystem.METRIC);
    }
}
