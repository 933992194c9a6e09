package syntoma.app.need;

import jakarta.persistence.EntityManager;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Pattern;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.history.Edits;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.chain.Feature;
import syntoma.core.chain.Shell;
import syntoma.core.chain.Vehicle;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/** The vehicle, and what gear for it is judged by beside the needs. */
@Service
@Transactional
public class Vehicles {
    private static final int LONGEST_NAME = 80;
    private static final String SEPARATOR = ", ";
    private static final Pattern CURRENCY = Pattern.compile("[\\p{L}\\p{Sc}.]{1,8}");

    private final EntityManager entities;
    private final Carriers carriers;
    private final Edits edits;
    private final ApplicationEventPublisher events;

    Vehicles(EntityManager entities, Carriers carriers, Edits edits, ApplicationEventPublisher events) {
        this.entities = entities;
        this.carriers = carriers;
        this.edits = edits;
        this.events = events;
    }

    /**
     * The vehicle as it is edited.
     *
     * @param currency what all prices are in, as it stands behind them, such as € or kr; null where it is not said
     */
    public record VehicleRequest(
            String vehicle,
            String body,
            double heightM,
            @Nullable Double limitM,
            double batteryAh,
            double batteryV,
            double hoursADay,
            @Nullable String carrier,
            @Nullable String region,
            @Nullable Double budget,
            @Nullable String currency,
            @Nullable Double uploadGb,
            List<String> features) {}

    /** The same with its version, and what there is to choose from. */
    public record VehicleView(
            String vehicle,
            String body,
            double heightM,
            @Nullable Double limitM,
            double batteryAh,
            double batteryV,
            double hoursADay,
            @Nullable String carrier,
            @Nullable String region,
            @Nullable Double budget,
            @Nullable String currency,
            @Nullable Double uploadGb,
            List<String> features,
            int version,
            List<String> bodies,
            List<String> allFeatures) {}

    /** The vehicle with its version. */
    @Transactional(readOnly = true)
    public VehicleView view() {
        VehicleRequest r = request();
        return new VehicleView(
                r.vehicle(),
                r.body(),
                r.heightM(),
                r.limitM(),
                r.batteryAh(),
                r.batteryV(),
                r.hoursADay(),
                r.carrier(),
                r.region(),
                r.budget(),
                r.currency(),
                r.uploadGb(),
                r.features(),
                edits.version(Edits.Kind.RIG, Rig.ONLY),
                Arrays.stream(Shell.values()).map(Shell::label).toList(),
                Arrays.stream(Feature.values()).map(Feature::label).toList());
    }

    private VehicleRequest request() {
        Rig rig = rig();
        return new VehicleRequest(
                rig.vehicle,
                rig.body,
                rig.heightM,
                rig.limitM,
                rig.batteryAh,
                rig.batteryV,
                rig.hoursADay,
                carrier().orElse(null),
                rig.region,
                rig.budget,
                rig.currency,
                rig.uploadGb,
                features().stream().map(Feature::label).toList());
    }

    private Rig rig() {
        return entities.find(Rig.class, Rig.ONLY);
    }

    /**
     * Changes the vehicle.
     *
     * @param seen the version that was looked at; null when that is not known
     */
    public void put(VehicleRequest wanted, @Nullable Integer seen) {
        VehicleRequest before = request();
        Shell shell = InvalidInputException.naming(
                "body", () -> Shell.fromLabel(Objects.requireNonNullElse(wanted.body(), "")));
        Vehicle vehicle = InvalidInputException.naming(
                "vehicle",
                () -> new Vehicle(
                        wanted.vehicle(),
                        shell,
                        wanted.heightM(),
                        Objects.requireNonNullElse(wanted.limitM(), Vehicle.USUAL_LIMIT_M),
                        wanted.batteryAh(),
                        wanted.batteryV()));
        InvalidInputException.naming("hoursADay", () -> Values.within("hours a day", wanted.hoursADay(), 0, 24, "h"));
        Optional.ofNullable(wanted.budget())
                .ifPresent(v ->
                        InvalidInputException.naming("budget", () -> Values.within("budget", v, 0, 1_000_000, "")));
        Optional.ofNullable(wanted.uploadGb())
                .ifPresent(v -> InvalidInputException.naming(
                        "uploadGb", () -> Values.within("usual upload", v, 0.001, 10_000, "GB")));
        List<String> features = Objects.requireNonNullElse(wanted.features(), List.<String>of()).stream()
                .map(f -> InvalidInputException.naming(
                        "features", () -> Feature.fromLabel(Objects.requireNonNullElse(f, ""))
                                .label()))
                .distinct()
                .toList();
        String name = isBlank(wanted.vehicle())
                ? "Vehicle"
                : InvalidInputException.naming("vehicle", () -> Text.name("vehicle", wanted.vehicle(), LONGEST_NAME));
        String region = isBlank(wanted.region())
                ? null
                : InvalidInputException.naming("region", () -> Text.name("region", wanted.region(), LONGEST_NAME));
        String currency = isBlank(wanted.currency()) ? null : currency(wanted.currency());
        Rig rig = rig();
        rig.vehicle = name;
        rig.body = vehicle.shell().label();
        rig.heightM = vehicle.heightM();
        rig.limitM = vehicle.limitM();
        rig.batteryAh = vehicle.batteryAh();
        rig.batteryV = vehicle.batteryV();
        rig.hoursADay = wanted.hoursADay();
        rig.carrierId = isBlank(wanted.carrier()) ? null : carriers.number(Carriers.name("carrier", wanted.carrier()));
        rig.region = region;
        rig.budget = wanted.budget();
        rig.currency = currency;
        rig.uploadGb = wanted.uploadGb();
        rig.features = String.join(SEPARATOR, features);
        entities.flush();
        edits.change(Edits.Kind.RIG, Rig.ONLY, "The vehicle", seen, before, request());
        if (wanted.uploadGb() != null && !wanted.uploadGb().equals(before.uploadGb())) {
            events.publishEvent(new UsualUpload(wanted.uploadGb(), before.uploadGb()));
        }
    }

    private static String currency(String text) {
        String sign = text.strip();
        if (!CURRENCY.matcher(sign).matches()) {
            throw new InvalidInputException(
                    "currency",
                    "currency is " + Text.quote(text) + "; allowed are up to 8 letters and signs, such as € or kr");
        }
        return sign;
    }

    private static boolean isBlank(@Nullable String text) {
        return text == null || text.isBlank();
    }

    /** The vehicle as chains know it. */
    @Transactional(readOnly = true)
    public Vehicle vehicle() {
        Rig rig = rig();
        return new Vehicle(
                rig.vehicle, Shell.fromLabel(rig.body), rig.heightM, rig.limitM, rig.batteryAh, rig.batteryV);
    }

    /** Hours a day that the chain runs. */
    @Transactional(readOnly = true)
    public double hoursADay() {
        return rig().hoursADay;
    }

    /** What prices are in; empty where it is not said. */
    @Transactional(readOnly = true)
    public Optional<String> currency() {
        return Optional.ofNullable(rig().currency);
    }

    /** In units of money. */
    @Transactional(readOnly = true)
    public Optional<Double> budget() {
        return Optional.ofNullable(rig().budget);
    }

    /** The usual upload. */
    @Transactional(readOnly = true)
    public Optional<Double> uploadGb() {
        return Optional.ofNullable(rig().uploadGb);
    }

    /** What a device must be able to do. */
    @Transactional(readOnly = true)
    public List<Feature> features() {
        String features = rig().features;
        return features.isEmpty()
                ? List.of()
                : Arrays.stream(features.split(SEPARATOR))
                        .map(Feature::fromLabel)
                        .toList();
    }

    /** The carrier that gear is judged for. */
    @Transactional(readOnly = true)
    public Optional<String> carrier() {
        return carriers.name(rig().carrierId);
    }

    /** The region that gear is judged for, where bands of the carrier are entered for it. */
    @Transactional(readOnly = true)
    public Optional<String> region(String carrier) {
        return Optional.ofNullable(rig().region).filter(region -> carriers.has(carrier, region));
    }
}
