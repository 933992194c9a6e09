package syntoma.core.trial;

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

    public List<Sample> of(String setup) {
        return samples.stream().filter(s -> s.setup().equals(setup)).toList();
    }

    /** Whether the setup was tried here, with any outcome. */
    public boolean tried(String setup) {
        return samples.stream().anyMatch(s -> s.setup().equals(setup));
    }

    /** Whether at least one run of the setup ended ok. */
    public boolean ran(String setup) {
        return samples.stream().anyMatch(s -> s.setup().equals(setup) && s.ok());
    }
}
