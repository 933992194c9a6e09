package syntoma.app.fitout;

import java.util.List;
import org.springframework.lang.Nullable;
import syntoma.app.platform.CompleteCollections;

/**
 * A build as it is drawn. Lengths are in m unless the name says otherwise; x runs from the front of the roof to its rear, y from its
 * left edge to its right. What is missing is as it usually is.
 *
 * @param shape of the vehicle: panel-van, coach-built, trailer, pickup-rack, pickup-cap, car-rack or car-tent
 * @param thicknessMm of the roof, from its outer skin to the ceiling
 * @param wallMm of the walls in front and on the left
 * @param mains whether something of it is fed through an inverter
 * @param tasks of its job sheet that are added by hand, or, under the key of a usual one, what that takes instead
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
        @Nullable RoofRouter router,
        @Nullable RoofPower power,
        @Nullable Boolean mains,
        List<RoofTask> tasks) {
    /** Nothing drawn yet. */
    static final RoofPlan EMPTY = new RoofPlan(
            null, null, null, null, null, null, List.of(), null, null, null, null, null, null, null, null, List.of());

    public RoofPlan {
        things = CompleteCollections.list("things", things);
        tasks = CompleteCollections.list("tasks", tasks);
    }

    /**
     * Something on the roof or under it.
     *
     * @param kind vent, panel, air-conditioner, rail, awning, antenna, ladder, other, inlet, wiring, gas or rafter
     * @param heightM above the skin
     * @param clearM that it asks for around it
     * @param freeMm across what passes through it, of an inlet
     */
    public record RoofThing(
            String kind,
            String name,
            double x,
            double y,
            double lengthM,
            double widthM,
            @Nullable Double heightM,
            @Nullable Double clearM,
            @Nullable Double freeMm) {}

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
     * @param bends that they go round inside
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
            List<RoofSpot> bends,
            double deviceX,
            double deviceY) {
        public RoofCable {
            bends = CompleteCollections.list("cable.bends", bends);
        }
    }

    /** A point seen from above. */
    public record RoofSpot(double x, double y) {}

    /** The leads at the hole: how many, and across what; the antenna’s own stem where it comes through; a duct inside. */
    public record RoofLeads(
            int count, double cableMm, double plugMm, @Nullable Double stemMm, @Nullable Double ductMm) {}

    /**
     * The antenna on a mast, in the wind.
     *
     * @param clampNm that its clamp holds
     * @param raisedM its top over the ground
     * @param laidM over the roof while it is driven
     * @param weightKg with its antenna
     * @param holdsKg that the clamp or the ladder carries
     */
    public record RoofMast(
            double areaM2,
            double leverM,
            @Nullable Double clampNm,
            @Nullable Double raisedM,
            @Nullable Double laidM,
            @Nullable Double weightKg,
            @Nullable Double holdsKg) {}

    /**
     * Where the router stands.
     *
     * @param closed in a cupboard without air
     * @param sunny against a skin that the sun shines on
     * @param simInReach whether its SIM can be changed without taking anything apart
     * @param ratedC up to what its maker allows
     * @param reach where its Wi-Fi is wanted
     */
    public record RoofRouter(
            @Nullable Boolean closed,
            @Nullable Boolean sunny,
            @Nullable Boolean simInReach,
            @Nullable Double ratedC,
            List<RoofReach> reach) {
        public RoofRouter {
            reach = CompleteCollections.list("router.reach", reach);
        }
    }

    /** A place where Wi-Fi is wanted, seen from above; {@code walls} of furniture lie between. */
    public record RoofReach(String name, double x, double y, @Nullable Boolean outside, @Nullable Integer walls) {}

    /**
     * What feeds the router.
     *
     * @param device on the shelf, whose sheet says what it takes
     * @param peakW that it draws at most, where its sheet does not say
     * @param sourceX the battery or its fuse box, seen from above
     * @param wayM of the wire, one way; as the cables run where it is missing
     * @param wireMm2 that is there, or is to be taken
     */
    public record RoofPower(
            @Nullable String device,
            @Nullable Double peakW,
            double sourceX,
            double sourceY,
            @Nullable Double wayM,
            @Nullable Double wireMm2) {}

    /**
     * A task of the job sheet by hand.
     *
     * @param key a usual one’s, which then takes so long; else its own
     * @param name of its own; of a usual one it says nothing
     * @param people one where it is missing
     * @param weather any, dry, calm or warm; any where it is missing
     * @param after keys of those that come before it
     * @param before keys of those that wait for it
     */
    public record RoofTask(
            String key,
            @Nullable String name,
            int minutes,
            @Nullable Integer people,
            @Nullable Integer waitMin,
            @Nullable String weather,
            List<String> after,
            List<String> before) {
        public RoofTask {
            after = CompleteCollections.list("after", after);
            before = CompleteCollections.list("before", before);
        }
    }

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
            List<ReportedGain> reported,
            @Nullable Boolean warns) {
        public RoofBooster {
            reported = CompleteCollections.list("booster.reported", reported);
        }
    }

    /** The gain that the booster itself shows on a band. */
    public record ReportedGain(String band, double gainDb) {}
}
