package syntoma.core.roof;

import java.util.List;
import syntoma.core.unit.Values;

/**
 * What the wind does to a flat antenna on a mast: F = ½·ρ·v²·c·A, with ρ 1.25 kg/m³ and c 1.3 for a panel across the wind; moment =
 * F times the height of its middle over the clamp. An estimate: gusts are stronger than the wind that is forecast, and the maker’s
 * figure goes before it.
 *
 * <pre>{@code
 * Wind panel = new Wind(0.1, 2);
 * panel.forceN(60)   // 22.57
 * panel.momentNm(60) // 45.14
 * }</pre>
 *
 * @param areaM2 of the antenna, seen from the wind
 * @param leverM from the clamp to its middle
 */
public record Wind(double areaM2, double leverM) {
    /** Air at about 10 °C and sea level. */
    private static final double AIR_KG_PER_M3 = 1.25;

    /** A flat plate across the wind. */
    private static final double PLATE = 1.3;

    private static final double KMH_PER_MS = 3.6;

    /** From a strong breeze to a storm. */
    public static final List<Integer> AT_KMH = List.of(40, 60, 80);

    /** What a clamp on a ladder is taken to hold where its maker says nothing: chosen, about what a hand can turn it with. */
    public static final double USUAL_CLAMP_NM = 50;

    /** In whole steps of so much it is said at which wind it is to come down. */
    private static final int STEP_KMH = 5;

    /**
     * @throws IllegalArgumentException naming the value and what is allowed
     */
    public Wind {
        Values.within("area", areaM2, 0.001, 4, "m²");
        Values.within("lever", leverM, 0, 15, "m");
    }

    /** Force in N at a wind in km/h. */
    public double forceN(double kmh) {
        double v = kmh / KMH_PER_MS;
        return AIR_KG_PER_M3 / 2 * v * v * PLATE * areaM2;
    }

    /** Moment at the clamp in N·m. */
    public double momentNm(double kmh) {
        return forceN(kmh) * leverM;
    }

    /** The wind in km/h above which it is taken down, where the clamp holds so many N·m: rounded down to the next five. */
    public int takeDownAboveKmh(double clampNm) {
        Values.within("clamp", clampNm, 1, 5_000, "N·m");
        double kmh = KMH_PER_MS * Math.sqrt(clampNm / momentNm(KMH_PER_MS));
        return (int) Math.min(200, STEP_KMH * Math.floor(kmh / STEP_KMH));
    }
}
