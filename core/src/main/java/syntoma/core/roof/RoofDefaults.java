package syntoma.core.roof;

import syntoma.core.booster.BoosterPlacing;

/**
 * What a roof plan takes where it says nothing. All are chosen: what is common on vehicles, to be replaced by a measured figure.
 *
 * @param cableClass of the leads
 * @param leadM length of each lead
 * @param slackM spare length at the device
 * @param dripLoopM length of the loop that keeps water out
 * @param dropM from the ceiling down to the device
 * @param holeMm diameter of the hole under an antenna
 * @param clearanceM between an antenna and what is beside it
 * @param thingHeightM height of a thing on the roof
 * @param clampNm what the clamp of a mast holds
 * @param targetDbm the RSRP that a phone should find with a booster
 */
public record RoofDefaults(
        String cableClass,
        double leadM,
        double slackM,
        double dripLoopM,
        double dropM,
        double holeMm,
        double clearanceM,
        double thingHeightM,
        double clampNm,
        double targetDbm) {

    /** Those of every plan. */
    public static final RoofDefaults USUAL = new RoofDefaults(
            "195-class",
            3,
            0.3,
            0.2,
            1,
            20,
            Foot.USUAL_CLEARANCE_M,
            0.1,
            Wind.USUAL_CLAMP_NM,
            BoosterPlacing.USUAL_TARGET_DBM);
}
