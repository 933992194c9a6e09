package syntoma.core.trial;

import java.util.ArrayList;
import java.util.List;

/** Measurements that met the same conditions: one SIM in one round of a trial, or within one window at one stay. */
public record Block(Key key, List<Sample> samples) {
    /**
     * What makes the block.
     *
     * @param stay the visit of a window; 0 for a trial's round, which may be finished on a later visit
     * @param trial empty text for a window
     * @param round the round of the trial, or the window's number at its stay and SIM, from 1
     */
    public record Key(long stay, String trial, int round, String sim) {}

    public Block {
        samples = List.copyOf(samples);
    }

    /** The measurements of one setup; none where it was not tried. */
    public List<Sample> of(String setup) {
        List<Sample> own = new ArrayList<>(samples.size());
        for (Sample sample : samples) {
            if (sample.setup().equals(setup)) {
                own.add(sample);
            }
        }
        return own;
    }
}
