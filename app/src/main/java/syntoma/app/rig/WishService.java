package syntoma.app.rig;

import jakarta.persistence.EntityManager;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.boot.context.event.ApplicationStartedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.history.Edits;
import syntoma.app.logbook.Logbook;
import syntoma.app.platform.InvalidInput;
import syntoma.app.platform.NotFound;
import syntoma.core.band.Band;
import syntoma.core.band.Bands;
import syntoma.core.chain.Shell;
import syntoma.core.chain.Vehicle;
import syntoma.core.need.BuiltInNeeds;
import syntoma.core.need.Need;
import syntoma.core.need.PartOfDay;
import syntoma.core.need.Requirement;
import syntoma.core.need.Transfer;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/** What the connection is for, in which vehicle and on which networks: all that gear is judged by. */
@Service
@Transactional
public class WishService {
    private static final int LONGEST_NAME = 80;
    private static final int MOST_BANDS = 300;

    private final EntityManager entities;
    private final Logbook logbook;
    private final Edits edits;

    WishService(EntityManager entities, Logbook logbook, Edits edits) {
        this.entities = entities;
        this.logbook = logbook;
        this.edits = edits;
    }

    /** A need as it is edited. */
    public record NeedRequest(
            String name,
            @Nullable Double downMbps,
            @Nullable Double upMbps,
            @Nullable Double loadedMs,
            @Nullable Double lossPct,
            String partOfDay,
            double hoursADay,
            boolean chosen) {}

    /** A need with its version. */
    public record NeedView(
            String name,
            @Nullable Double downMbps,
            @Nullable Double upMbps,
            @Nullable Double loadedMs,
            @Nullable Double lossPct,
            String partOfDay,
            double hoursADay,
            boolean chosen,
            int version) {}

    /** What the chosen needs ask for in one part of the day. */
    public record PartView(String part, @Nullable Double downMbps, @Nullable Double upMbps, List<String> needs) {}

    /** What the chosen needs ask for together; the time is that of the usual upload at the upload they ask for. */
    public record RequirementView(
            @Nullable Double downMbps,
            @Nullable Double upMbps,
            @Nullable Double loadedMs,
            @Nullable Double lossPct,
            double gbAMonth,
            List<PartView> parts,
            @Nullable String uploadTime,
            String sentence) {}

    /** A carrier's bands in a region. */
    public record RegionView(String carrier, String region, List<String> bands) {}

    /** The vehicle and the rest of what is wished. */
    public record RigRequest(
            String vehicle,
            String body,
            double heightM,
            double batteryAh,
            double batteryV,
            double hoursADay,
            @Nullable String carrier,
            @Nullable String region,
            @Nullable Double budget,
            @Nullable Double uploadGb,
            List<String> features) {}

    /** The same with its version. */
    public record RigView(
            String vehicle,
            String body,
            double heightM,
            double batteryAh,
            double batteryV,
            double hoursADay,
            @Nullable String carrier,
            @Nullable String region,
            @Nullable Double budget,
            @Nullable Double uploadGb,
            List<String> features,
            int version) {}

    /** Everything wished, and what it means. */
    public record WishView(
            RigView rig,
            List<NeedView> needs,
            List<RegionView> regions,
            RequirementView requirement,
            List<String> bodies,
            List<String> partsOfDay,
            List<String> features) {}

    /** Everything wished. */
    @Transactional(readOnly = true)
    public WishView view() {
        Map<Long, Integer> versions = edits.versions(Edits.Kind.NEED);
        return new WishView(
                rigView(),
                rows().stream()
                        .map(n -> view(n, versions.getOrDefault(n.id, 0)))
                        .toList(),
                regions(),
                requirement(),
                Arrays.stream(Shell.values()).map(Shell::label).toList(),
                Arrays.stream(PartOfDay.values()).map(PartOfDay::label).toList(),
                SheetForms.FEATURES);
    }

    private List<NeedRow> rows() {
        return entities.createQuery("from NeedRow n order by n.id", NeedRow.class)
                .getResultList();
    }

    /** The built-in needs are there from the first start. */
    @EventListener
    public void begin(ApplicationStartedEvent started) {
        if (rows().isEmpty()) {
            for (Need need : BuiltInNeeds.all()) {
                NeedRow row = new NeedRow(need.name());
                set(row, need);
                entities.persist(row);
            }
        }
    }

    private static void set(NeedRow row, Need need) {
        row.downMbps = boxed(need.downMbps());
        row.upMbps = boxed(need.upMbps());
        row.loadedMs = boxed(need.loadedMs());
        row.lossPct = boxed(need.lossPct());
        row.partOfDay = need.when().label();
        row.hoursADay = need.hoursADay();
    }

    private static NeedView view(NeedRow n, int version) {
        return new NeedView(
                n.name, n.downMbps, n.upMbps, n.loadedMs, n.lossPct, n.partOfDay, n.hoursADay, n.chosen, version);
    }

    private static NeedRequest request(NeedRow n) {
        return new NeedRequest(n.name, n.downMbps, n.upMbps, n.loadedMs, n.lossPct, n.partOfDay, n.hoursADay, n.chosen);
    }

    private static Need need(NeedRequest n) {
        return new Need(
                n.name(),
                optional(n.downMbps()),
                optional(n.upMbps()),
                optional(n.loadedMs()),
                optional(n.lossPct()),
                PartOfDay.labelled(n.partOfDay() == null ? "" : n.partOfDay()),
                n.hoursADay());
    }

    /**
     * Changes a need, or adds one of a new name.
     *
     * @param seen the version that was looked at; null when that is not known
     */
    public void put(NeedRequest wanted, @Nullable Integer seen) {
        String name = InvalidInput.naming("name", () -> Text.name("name", wanted.name(), LONGEST_NAME));
        Need need = InvalidInput.naming("need", () -> need(wanted));
        NeedRow row =
                rows().stream().filter(n -> n.name.equals(name)).findFirst().orElseGet(() -> new NeedRow(name));
        NeedRequest before = request(row);
        set(row, need);
        row.chosen = wanted.chosen();
        entities.persist(row);
        entities.flush();
        edits.change(Edits.Kind.NEED, row.id, name, seen, before, request(row));
    }

    /** What the chosen needs ask for together. */
    RequirementView requirement() {
        List<Need> chosen =
                rows().stream().filter(n -> n.chosen).map(n -> need(request(n))).toList();
        Requirement r = Requirement.of(chosen);
        Double upload = rig().uploadGb;
        String time = null;
        if (upload != null && r.upMbps().isPresent()) {
            Duration takes = Transfer.time(upload, r.upMbps().getAsDouble()).plusSeconds(30);
            time = Values.plain(upload) + " GB at " + amount(r.upMbps().getAsDouble()) + " Mb/s takes "
                    + takes.toHours() + " h " + takes.toMinutesPart() + " min";
        }
        return new RequirementView(
                boxed(r.downMbps()),
                boxed(r.upMbps()),
                boxed(r.loadedMs()),
                boxed(r.lossPct()),
                r.gbAMonth(),
                r.parts().stream()
                        .map(p -> new PartView(p.part().label(), boxed(p.downMbps()), boxed(p.upMbps()), p.needs()))
                        .toList(),
                time,
                sentence(chosen, r));
    }

    private static String sentence(List<Need> chosen, Requirement r) {
        if (chosen.isEmpty()) {
            return "Say what the connection is for, and gear can be judged by it.";
        }
        List<String> parts = new ArrayList<>();
        r.downMbps().ifPresent(v -> parts.add(amount(v) + " Mb/s down"));
        r.upMbps().ifPresent(v -> parts.add(amount(v) + " Mb/s up"));
        r.loadedMs().ifPresent(v -> parts.add("at most " + Values.plain(v) + " ms under load"));
        return chosen.stream().map(Need::name).collect(Collectors.joining(" and ")) + ": " + String.join(", ", parts)
                + ", about " + Values.rounded(r.gbAMonth(), 0) + " GB a month.";
    }

    private static String amount(double mbps) {
        return Values.plain(Math.round(mbps * 10) / 10.0);
    }

    private RigView rigView() {
        RigRequest r = rigRequest();
        return new RigView(
                r.vehicle(),
                r.body(),
                r.heightM(),
                r.batteryAh(),
                r.batteryV(),
                r.hoursADay(),
                r.carrier(),
                r.region(),
                r.budget(),
                r.uploadGb(),
                r.features(),
                edits.version(Edits.Kind.RIG, Rig.ONLY));
    }

    private RigRequest rigRequest() {
        Rig rig = rig();
        return new RigRequest(
                rig.vehicle,
                rig.body,
                rig.heightM,
                rig.batteryAh,
                rig.batteryV,
                rig.hoursADay,
                carrierName(rig).orElse(null),
                rig.region,
                rig.budget,
                rig.uploadGb,
                features());
    }

    private Optional<String> carrierName(Rig rig) {
        return logbook.carriers().stream()
                .filter(c -> Long.valueOf(c.id()).equals(rig.carrierId))
                .map(Logbook.CarrierName::name)
                .findFirst();
    }

    private Rig rig() {
        return entities.find(Rig.class, Rig.ONLY);
    }

    List<String> features() {
        String features = rig().features;
        return features.isEmpty() ? List.of() : List.of(features.split(", "));
    }

    /** Hours a day that the chain runs. */
    double hoursADay() {
        return rig().hoursADay;
    }

    Optional<Double> budget() {
        return Optional.ofNullable(rig().budget);
    }

    /** The carrier that gear is judged for. */
    Optional<String> carrier() {
        return carrierName(rig());
    }

    /**
     * Changes the vehicle and the wishes.
     *
     * @param seen the version that was looked at; null when that is not known
     */
    public void put(RigRequest wanted, @Nullable Integer seen) {
        RigRequest before = rigRequest();
        Vehicle vehicle = InvalidInput.naming(
                "rig",
                () -> new Vehicle(
                        wanted.vehicle(),
                        Shell.labelled(wanted.body() == null ? "" : wanted.body()),
                        wanted.heightM(),
                        wanted.batteryAh(),
                        wanted.batteryV()));
        Rig rig = rig();
        InvalidInput.naming("hoursADay", () -> Values.within("hours a day", wanted.hoursADay(), 0, 24, "h"));
        if (wanted.budget() != null) {
            InvalidInput.naming("budget", () -> Values.within("budget", wanted.budget(), 0, 1_000_000, ""));
        }
        if (wanted.uploadGb() != null) {
            InvalidInput.naming(
                    "uploadGb", () -> Values.within("usual upload", wanted.uploadGb(), 0.001, 10_000, "GB"));
        }
        List<String> features = wanted.features() == null ? List.of() : wanted.features();
        features.stream()
                .filter(f -> f == null || !SheetForms.FEATURES.contains(f))
                .findFirst()
                .ifPresent(f -> {
                    throw new InvalidInput(
                            "features",
                            "feature is " + Text.quoted(f) + "; allowed is " + String.join(", ", SheetForms.FEATURES));
                });
        rig.vehicle = isBlank(wanted.vehicle())
                ? "Vehicle"
                : InvalidInput.naming("vehicle", () -> Text.name("vehicle", wanted.vehicle(), LONGEST_NAME));
        rig.body = vehicle.shell().label();
        rig.heightM = vehicle.heightM();
        rig.batteryAh = vehicle.batteryAh();
        rig.batteryV = vehicle.batteryV();
        rig.hoursADay = wanted.hoursADay();
        rig.carrierId = isBlank(wanted.carrier())
                ? null
                : Long.valueOf(logbook.addCarrier(wanted.carrier()).id());
        rig.region = isBlank(wanted.region())
                ? null
                : InvalidInput.naming("region", () -> Text.name("region", wanted.region(), LONGEST_NAME));
        rig.budget = wanted.budget();
        rig.uploadGb = wanted.uploadGb();
        rig.features = String.join(", ", features.stream().distinct().toList());
        entities.flush();
        edits.change(Edits.Kind.RIG, Rig.ONLY, "The vehicle with its wishes", seen, before, rigRequest());
    }

    private static boolean isBlank(@Nullable String text) {
        return text == null || text.isBlank();
    }

    /** The vehicle as chains know it. */
    Vehicle vehicle() {
        Rig rig = rig();
        return new Vehicle(rig.vehicle, Shell.labelled(rig.body), rig.heightM, rig.batteryAh, rig.batteryV);
    }

    private List<RegionView> regions() {
        return entities
                .createQuery(
                        "select c.name, b.region, b.band from CarrierBand b join Carrier c on c.id = b.carrierId"
                                + " order by c.name, b.region, b.id",
                        Object[].class)
                .getResultStream()
                .collect(Collectors.groupingBy(
                        row -> row[0] + "\u0000" + row[1],
                        java.util.LinkedHashMap::new,
                        Collectors.mapping(row -> (String) row[2], Collectors.toList())))
                .entrySet()
                .stream()
                .map(e -> {
                    String[] key = e.getKey().split("\u0000");
                    return new RegionView(key[0], key[1], e.getValue());
                })
                .toList();
    }

    /** Sets a carrier's bands in a region; none takes the region away. */
    public void put(RegionView wanted) {
        String region = InvalidInput.naming("region", () -> Text.name("region", wanted.region(), LONGEST_NAME));
        List<String> given = wanted.bands() == null ? List.of() : wanted.bands();
        if (given.size() > MOST_BANDS) {
            throw new InvalidInput("bands", "bands has " + given.size() + " items; allowed are up to " + MOST_BANDS);
        }
        List<String> bands = IntStream.range(0, given.size())
                .mapToObj(i -> InvalidInput.naming(
                        "bands[" + i + "]", () -> Bands.named(Objects.requireNonNullElse(given.get(i), ""))
                                .name()))
                .distinct()
                .toList();
        Long carrier = logbook.addCarrier(wanted.carrier() == null ? "" : wanted.carrier())
                .id();
        entities.createQuery("delete from CarrierBand b where b.carrierId = :carrier and b.region = :region")
                .setParameter("carrier", carrier)
                .setParameter("region", region)
                .executeUpdate();
        bands.forEach(band -> entities.persist(new CarrierBand(carrier, region, band)));
        entities.flush();
    }

    /**
     * A carrier's bands in a region, or in all that are entered when none is given.
     *
     * @throws NotFound when the carrier has no such region
     */
    List<Band> bands(String carrier, @Nullable String region) {
        List<RegionView> own =
                regions().stream().filter(r -> r.carrier().equals(carrier)).toList();
        if (region != null && own.stream().noneMatch(r -> r.region().equals(region))) {
            throw new NotFound(carrier + " has no region " + Text.quoted(region));
        }
        return own.stream()
                .filter(r -> region == null || r.region().equals(region))
                .flatMap(r -> r.bands().stream())
                .distinct()
                .map(Bands::named)
                .toList();
    }

    /** The region that is wished for, where the carrier has it. */
    @Nullable
    String region(String carrier) {
        String region = rig().region;
        boolean has = regions().stream()
                .anyMatch(r -> r.carrier().equals(carrier) && r.region().equals(region));
        return has ? region : null;
    }

    private static Double boxed(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }

    private static OptionalDouble optional(Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }
}
