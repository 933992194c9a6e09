package syntoma.standin.air;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import syntoma.core.band.Span;
import syntoma.core.booster.UsableGain;
import syntoma.core.chain.CableClass;
import syntoma.core.chain.GainRange;
import syntoma.core.chain.Placement;
import syntoma.core.chain.Shell;
import syntoma.core.chain.Staircase;
import syntoma.core.propagation.FreeSpace;
import syntoma.core.propagation.HeightGain;

/** Reads what the demo's own data sheets promise of each setup, and what its cards are good for. */
public final class Sheets {
    private static final ObjectMapper JSON = new ObjectMapper();

    /** How far what is built is from its sheet, per band. */
    private static final double DEVIATION_DB = 1.2;

    /** What an antenna that hears all around has, against which a beam's gathering is calculated. */
    private static final double ALL_AROUND_DBI = 2;

    /** The booster's own indoor antenna. */
    private static final double INDOOR_DBI = 3;

    private final Map<String, JsonNode> gear = new HashMap<>();
    private final JsonNode rig;
    private final Shell shell;
    private final double heightM;

    private Sheets(JsonNode shelf, JsonNode rig) {
        shelf.get("gear").forEach(part -> gear.put(part.get("name").asText(), part.get("sheet")));
        this.rig = rig;
        shell = Shell.fromLabel(rig.at("/rig/body").asText());
        heightM = rig.at("/rig/heightM").asDouble();
    }

    /** Those of a gear export, and of a vehicle with its setups. */
    public static Sheets of(String gear, String rig) {
        try {
            return new Sheets(JSON.readTree(gear), JSON.readTree(rig));
        } catch (JsonProcessingException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The setups with what they came out as, which a seed decides. */
    public Map<String, AsBuilt> setups(Random random) {
        Map<String, AsBuilt> built = new LinkedHashMap<>();
        rig.get("setups").forEach(setup -> built.put(setup.get("name").asText(), setup(setup, random)));
        return built;
    }

    /** The plans by carrier. */
    public Map<String, Plan> plans() {
        Map<String, Plan> plans = new HashMap<>();
        gear.values().stream().filter(sheet -> sheet.has("allowanceGb")).forEach(sheet -> {
            double cap = sheet.path("capMbps").asDouble(Double.POSITIVE_INFINITY);
            plans.put(
                    sheet.get("carrier").asText(),
                    new Plan(
                            cap,
                            sheet.get("allowanceGb").asDouble(),
                            sheet.get("resetDay").asInt()));
        });
        return plans;
    }

    private AsBuilt setup(JsonNode setup, Random random) {
        JsonNode device = gear.get(setup.get("device").asText());
        JsonNode run = setup.at("/runs/0");
        JsonNode antenna = gear.get(run.get("antenna").asText());
        Set<String> bands = new HashSet<>();
        device.get("bands").forEach(band -> bands.add(band.asText()));
        boolean boosted = setup.has("booster");
        Map<String, Double> promised = new HashMap<>();
        Map<String, Double> deviation = new HashMap<>();
        for (Channel channel : Channel.all()) {
            OptionalDouble db = boosted ? boosted(setup, run, channel) : direct(device, run, channel);
            db.ifPresent(gain -> promised.put(channel.band(), gain));
            deviation.put(channel.band(), DEVIATION_DB * random.nextGaussian());
        }
        long leads = 0;
        for (JsonNode lead : antenna.get("leads")) {
            leads += lead.get("use").asText().equals("cellular") ? 1 : 0;
        }
        double mastM = run.path("mastM").asDouble();
        return new AsBuilt(
                setup.get("name").asText(),
                bands,
                device.path("aggregates").asInt(1),
                boosted ? 1 : (int) Math.min(leads, device.path("layersLte").asInt(1)),
                boosted,
                promised,
                deviation,
                mastM == 0 ? 0 : HeightGain.db(heightM, heightM + mastM),
                antenna.has("beamDeg")
                        ? OptionalDouble.of(antenna.get("beamDeg").asDouble())
                        : OptionalDouble.empty(),
                antenna.has("beamDeg") ? gainDbi(antenna, 900).orElse(0) - ALL_AROUND_DBI : 0);
    }

    /** From the antenna down its cables, through an adapter where the connectors differ, to the device. */
    private OptionalDouble direct(JsonNode device, JsonNode run, Channel channel) {
        OptionalDouble onAir = outside(run, channel);
        if (onAir.isEmpty()) {
            return onAir;
        }
        JsonNode antenna = gear.get(run.get("antenna").asText());
        boolean adapted = !kind(antenna.at("/leads/0/connector")).equals(kind(device.at("/ports/0/connector")));
        double adapter = adapted ? Staircase.ADAPTER_DB : 0;
        double body = shell.lossDb(
                channel.mhz(), Placement.fromLabel(run.get("placement").asText()));
        return OptionalDouble.of(onAir.getAsDouble() - adapter - body);
    }

    private static String kind(JsonNode connector) {
        return connector.asText().split("-")[0];
    }

    /** What an antenna outside gives at the end of its cables. */
    private OptionalDouble outside(JsonNode run, Channel channel) {
        JsonNode antenna = gear.get(run.get("antenna").asText());
        OptionalDouble gain = gainDbi(antenna, channel.mhz());
        if (gain.isEmpty()) {
            return gain;
        }
        double lost = cableDb(antenna.at("/leads/0"), channel) + Staircase.CONNECTOR_DB;
        for (JsonNode cable : run.get("cables")) {
            lost += cableDb(gear.get(cable.asText()), channel) + Staircase.CONNECTOR_DB;
        }
        return OptionalDouble.of(gain.getAsDouble() - lost);
    }

    private static double cableDb(JsonNode cable, Channel channel) {
        return CableClass.of(cable.get("cableClass").asText())
                .lossDb(channel.mhz(), cable.get("lengthM").asDouble());
    }

    private static OptionalDouble gainDbi(JsonNode antenna, double mhz) {
        for (JsonNode said : antenna.get("ranges")) {
            GainRange range = new GainRange(
                    span(said),
                    OptionalDouble.of(said.get("fromDbi").asDouble()),
                    OptionalDouble.of(said.get("toDbi").asDouble()));
            if (range.span().contains(mhz)) {
                return range.gainDbi(mhz);
            }
        }
        return OptionalDouble.empty();
    }

    private static Span span(JsonNode said) {
        return new Span(said.get("fromMhz").asDouble(), said.get("toMhz").asDouble());
    }

    /** Through the booster, to a device a metre from its indoor antenna; nothing where it does not pass the channel. */
    private OptionalDouble boosted(JsonNode setup, JsonNode run, Channel channel) {
        JsonNode booster = gear.get(setup.get("booster").asText());
        OptionalDouble donor = outside(run, channel);
        boolean passes = false;
        for (JsonNode said : booster.get("downlink")) {
            passes |= span(said).contains(channel.mhz());
        }
        if (donor.isEmpty() || !passes) {
            return OptionalDouble.empty();
        }
        double body = shell.lossDb(channel.mhz(), Placement.INSIDE);
        UsableGain usable = new UsableGain(
                Staircase.BOOSTER_APART_M,
                body,
                donor.getAsDouble() - UsableGain.BACK_DB,
                INDOOR_DBI - UsableGain.BACK_DB);
        double gain = usable.db(booster.get("gainDb").asDouble(), channel.mhz());
        double toDevice = FreeSpace.lossDb(Staircase.DEVICE_FROM_BOOSTER_M / 1_000, channel.mhz());
        return OptionalDouble.of(donor.getAsDouble() + gain + INDOOR_DBI - toDevice);
    }
}
