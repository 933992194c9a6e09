package syntoma.standin.air;

import syntoma.core.propagation.FreeSpace;

/** A cell: a mast's part in one channel. */
public record Cell(Site site, Channel channel) {
    /** How much more of terrain's loss per doubling of the frequency over 900 MHz: trees and edges take more of short waves. */
    private static final double TERRAIN_PER_OCTAVE = 0.15;

    private static final int CELLS_PER_NODE = 256;
    private static final int PHYSICAL_IDENTITIES = 504;

    public boolean isNr() {
        return channel.isNr();
    }

    /** The full identity (ECI or NCI) as decimal text. */
    public String id() {
        return Long.toString((long) site.number() * 1_000 * CELLS_PER_NODE + channel.number() % CELLS_PER_NODE);
    }

    /** The physical identity. */
    public int pci() {
        return (site.number() * 37 + channel.number() / 100) % PHYSICAL_IDENTITIES;
    }

    /** Level on the roof in dBm per resource element at an antenna without gain, before fading. */
    public double outsideDbm() {
        double octaves = Math.log(channel.mhz() / 900) / Math.log(2);
        double terrain = site.terrainDb() * (1 + TERRAIN_PER_OCTAVE * octaves);
        return channel.powerDbm() - FreeSpace.lossDb(site.km(), channel.mhz()) - terrain;
    }
}
