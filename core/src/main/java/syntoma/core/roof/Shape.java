package syntoma.core.roof;

import java.util.Locale;
import syntoma.core.unit.Labels;

/** What a vehicle looks like, and what its roof usually measures: a beginning, to be measured. */
public enum Shape {
    PANEL_VAN("panel van", 4.2, 1.7, 30, 25),
    COACH_BUILT("coach-built", 5.5, 2.2, 35, 32),
    TRAILER("trailer", 6.0, 2.3, 40, 32),
    PICKUP_RACK("pick-up with rack", 1.5, 1.3, 2, 2),
    PICKUP_CAP("pick-up with cap", 1.8, 1.4, 4, 4),
    CAR_RACK("car with roof rack", 1.8, 1.2, 2, 2),
    CAR_TENT("car with roof tent", 2.1, 1.3, 2, 2);

    private final String says;
    private final double lengthM;
    private final double widthM;
    private final double thicknessMm;
    private final double wallMm;

    Shape(String says, double lengthM, double widthM, double thicknessMm, double wallMm) {
        this.says = says;
        this.lengthM = lengthM;
        this.widthM = widthM;
        this.thicknessMm = thicknessMm;
        this.wallMm = wallMm;
    }

    /** The name in the API. */
    public String label() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    public String says() {
        return says;
    }

    /** Of the flat of the roof. */
    public double lengthM() {
        return lengthM;
    }

    public double widthM() {
        return widthM;
    }

    public double thicknessMm() {
        return thicknessMm;
    }

    public double wallMm() {
        return wallMm;
    }

    /**
     * The shape of a name in the API.
     *
     * @throws IllegalArgumentException naming the text and the shapes there are
     */
    public static Shape fromLabel(String text) {
        return Labels.find("shape", text, values(), Shape::label);
    }
}
