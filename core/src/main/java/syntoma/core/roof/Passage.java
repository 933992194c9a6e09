package syntoma.core.roof;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import syntoma.core.sentence.Quantity;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Values;

/**
 * The hole that leads pass through, by how their plugs and cables lie beside each other in it.
 *
 * <pre>{@code
 * Passage.Lead lead = new Passage.Lead(5, 9);
 * Passage four = new Passage(List.of(lead, lead, lead, lead), 0, OptionalDouble.empty());
 * four.cablesMm()      // 12.07
 * four.fill(20)        // 0.25
 * Passage.sawFor(15.5) // 16
 * }</pre>
 *
 * @param leads that pass it
 * @param stemMm of the antenna itself, where it comes through; 0 where it does not
 * @param makersMm the hole that the antenna's maker states; empty where none is known
 */
public record Passage(List<Lead> leads, double stemMm, OptionalDouble makersMm) {
    /** Diameters of common hole saws, in mm. */
    private static final double[] SAWS_MM = {16, 19, 20, 22, 25, 29, 32, 35, 38, 40, 44, 51, 57, 64, 76};

    /** A tenth of a millimetre is what is shown, and more than a hole saw keeps to. */
    private static final double SHOWN_MM = 0.05;

    /** Of a duct so much is filled at most: more cannot be pulled through bends. */
    public static final double FULLEST = 0.4;

    /**
     * A lead, in mm.
     *
     * @param plugMm across the widest part of its connector
     */
    public record Lead(double cableMm, double plugMm) {
        /**
         * @throws IllegalArgumentException naming the value and what is allowed
         */
        public Lead {
            Values.within("cable", cableMm, 0.5, 40, "mm");
            Values.within("plug", plugMm, cableMm, 60, "mm");
        }
    }

    /**
     * @throws IllegalArgumentException naming the value and what is allowed
     */
    public Passage {
        Values.within("leads", leads.size(), 1, Packing.MOST, "");
        Values.within("stem", stemMm, 0, 150, "mm");
        makersMm.ifPresent(mm -> Values.within("hole", mm, 0, 150, "mm"));
        leads = List.copyOf(leads);
    }

    /**
     * The hole through which they pass one at a time, or staggered: any of them with its plug beside the cables of all the others, so
     * that each can be drawn out again. In mm.
     */
    public double oneAtATimeMm() {
        return IntStream.range(0, leads.size())
                .mapToObj(passing -> IntStream.range(0, leads.size())
                        .mapToObj(i -> i == passing ? leads.get(i).plugMm : leads.get(i).cableMm)
                        .sorted()
                        .toList())
                .distinct()
                .mapToDouble(Packing::diameter)
                .max()
                .orElseThrow();
    }

    /** The hole through which they pass with all plugs side by side, in mm. */
    public double allAtOnceMm() {
        return Packing.diameter(leads.stream().map(Lead::plugMm).toList());
    }

    /** What the cables alone take, for the gland or grommet that closes around them, in mm. */
    public double cablesMm() {
        return Packing.diameter(leads.stream().map(Lead::cableMm).toList());
    }

    /** The share of a duct’s section that the cables fill. */
    public double fill(double ductMm) {
        Values.within("duct", ductMm, 4, 200, "mm");
        return leads.stream().mapToDouble(l -> l.cableMm * l.cableMm).sum() / (ductMm * ductMm);
    }

    /** All of it, calculated once. */
    public Bore bore() {
        return new Bore(oneAtATimeMm(), allAtOnceMm(), cablesMm(), stemMm, makersMm);
    }

    /**
     * What a hole has to be, in mm.
     *
     * @param oneAtATimeMm for the leads one after another, or staggered
     * @param allAtOnceMm for all plugs side by side
     * @param cablesMm for the cables alone
     * @param stemMm of the antenna itself; 0 where it does not come through
     * @param makersMm the hole that the antenna's maker states; empty where none is known
     */
    public record Bore(
            double oneAtATimeMm, double allAtOnceMm, double cablesMm, double stemMm, OptionalDouble makersMm) {
        /**
         * The hole to drill: the maker's, because the antenna covers and seals that one; without it the one for the stem or the leads
         * one at a time, whichever is wider.
         */
        public double holeMm() {
            return makersMm.orElse(Math.max(stemMm, oneAtATimeMm));
        }

        /** Whether the leads pass the hole one at a time. */
        public boolean passes() {
            return oneAtATimeMm <= holeMm() + SHOWN_MM;
        }

        /** The smallest common hole saw that makes it; empty where none does. */
        public OptionalDouble sawMm() {
            return sawFor(holeMm());
        }

        /** What to watch out for, in sentences. */
        public List<Sentence> notes() {
            List<Sentence> said = new ArrayList<>();
            if (makersMm.isPresent() && !passes()) {
                said.add(Sentence.of(
                        "The plugs do not fit through the maker’s hole of ",
                        mm(makersMm.getAsDouble()),
                        ": they need ",
                        mm(oneAtATimeMm),
                        ". Ask the maker before you drill a wider one: the antenna has to cover it."));
            } else if (makersMm.isPresent()) {
                said.add(Sentence.of("That is the hole the antenna’s maker asks for."));
            }
            said.add(Sentence.of(
                    "One after another, or with their plugs staggered, they pass ",
                    mm(oneAtATimeMm),
                    "; with all plugs side by side ",
                    mm(allAtOnceMm),
                    "."));
            if (makersMm.isEmpty() && stemMm > oneAtATimeMm) {
                said.add(Sentence.of("The antenna’s own stem is wider: it needs ", mm(stemMm), "."));
            }
            said.add(Sentence.of("The cables together are ", mm(cablesMm), " thick: the gland must fit that."));
            return said;
        }
    }

    /** What to watch out for of a duct that they go on through; empty where they pull through it. */
    public Optional<Sentence> tooFull(double ductMm) {
        double fill = fill(ductMm);
        return fill <= FULLEST
                ? Optional.empty()
                : Optional.of(Sentence.of("They fill " + Values.round(100 * fill, 0) + " % of the duct; over "
                        + Values.round(100 * FULLEST, 0) + " % they are hard to pull through bends."));
    }

    /** The smallest common hole saw for a hole; empty where none is wide enough. */
    public static OptionalDouble sawFor(double holeMm) {
        return Arrays.stream(SAWS_MM).filter(saw -> saw >= holeMm - SHOWN_MM).findFirst();
    }

    private static Quantity mm(double value) {
        return Quantity.millimetres(value, 1);
    }
}
