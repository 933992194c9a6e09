package syntoma.app.fitout;

import java.util.List;
import org.springframework.lang.Nullable;
import syntoma.app.platform.Whole;

/**
 * A build as it is drawn. Lengths are in m unless the name says otherwise; x runs from the front of the roof to its rear, y from its
 * left edge to its right. What is missing is as it usually is.
 *
 * @param shape of the vehicle: panel-van, coach-built, trailer, pickup-rack, pickup-cap, car-rack or car-tent
 * @param thicknessMm of the roof, from its outer skin to the ceiling
 * @param wallMm of the walls in front and on the left
 * @param mains whether something of it is fed through an inverter
 */
public record RoofPlan(
        @Nullable String shape,
        @Nullable Double lengthM,
        @Nullable Double widthM,
        @Nullable Double thicknessMm,
        @Nullable Double wallMm,
        @Nullable Boolean doubleSkin,
        List<RoofThing> things,
        @Nullable RoofAntenna antenna,
        @Nullable RoofCable cable,
        @Nullable RoofLeads leads,
        @Nullable RoofMast mast,
        @Nullable RoofBooster booster,
        @Nullable Boolean mains) {
    /** Nothing drawn yet. */
    static final RoofPlan EMPTY =
            new RoofPlan(null, null, null, null, null, null, List.of(), null, null, null, null, null, null);

    public RoofPlan {
        things = Whole.list("things", things);
    }

    /**
     * Something on the roof or under it.
     *
     * @param kind vent, panel, air-conditioner, rail, awning, antenna, ladder, other, wiring, gas or rafter
     * @param heightM above the skin
     * @param clearM that it asks for around it
     */
    public record RoofThing(
            String kind,
            String name,
            double x,
            double y,
            double lengthM,
            double widthM,
            @Nullable Double heightM,
            @Nullable Double clearM) {}

    /**
     * The antenna that is placed.
     *
     * @param clearanceM to other gear; 0.5 m where it is missing
     * @param groundPlaneM side of the square of metal that it needs
     * @param plateM side of a steel plate beneath it
     * @param fixing drilled, glued or magnet; drilled where it is missing
     * @param holeMm beneath it
     * @param x of its centre; null where it is not placed yet
     */
    public record RoofAntenna(
            String name,
            double lengthM,
            double widthM,
            double heightM,
            @Nullable Double clearanceM,
            @Nullable Double groundPlaneM,
            @Nullable Double plateM,
            @Nullable String fixing,
            @Nullable Double holeMm,
            @Nullable Double x,
            @Nullable Double y) {}

    /**
     * The way of its leads.
     *
     * @param entryX where they go in; null for beneath the antenna
     * @param deviceX the router, seen from above
     */
    public record RoofCable(
            @Nullable String cableClass,
            @Nullable Double leadM,
            @Nullable Double slackM,
            @Nullable Double dripLoopM,
            @Nullable Double dropM,
            @Nullable Double entryX,
            @Nullable Double entryY,
            double deviceX,
            double deviceY) {}

    /** The leads at the hole: how many, and across what; the antenna’s own stem where it comes through; a duct inside. */
    public record RoofLeads(
            int count, double cableMm, double plugMm, @Nullable Double stemMm, @Nullable Double ductMm) {}

    /** The antenna in the wind, on a clamp that holds so much. */
    public record RoofMast(double areaM2, double leverM, @Nullable Double clampNm) {}

    /** A booster’s antennas: outside so far above the skin, inside so far beneath it. */
    public record RoofBooster(
            String name,
            double gainDb,
            @Nullable Double outputDbm,
            double outsideX,
            double outsideY,
            double outsideUpM,
            double outsideGainDbi,
            double insideX,
            double insideY,
            double insideDownM,
            double insideGainDbi,
            @Nullable Boolean facing,
            double donorRsrpDbm,
            @Nullable Double donorSinrDb,
            @Nullable Double targetDbm,
            List<Reported> reported,
            @Nullable Boolean warns) {
        public RoofBooster {
            reported = Whole.list("booster.reported", reported);
        }
    }

    /** The gain that the booster itself shows on a band. */
    public record Reported(String band, double gainDb) {}
}
