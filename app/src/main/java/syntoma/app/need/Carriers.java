package syntoma.app.need;

import jakarta.persistence.EntityManager;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.NotFoundException;
import syntoma.app.platform.Register;
import syntoma.core.band.Band;
import syntoma.core.band.Bands;
import syntoma.core.unit.Text;

/** Carriers, and the bands that each uses in a region. */
@Service
@Transactional
public class Carriers extends Register<Carrier> {
    private static final int LONGEST_REGION = 80;
    private static final int MOST_BANDS = 300;

    Carriers(EntityManager entities) {
        super(entities, Carrier.class, "carrier");
    }

    @Override
    protected Carrier unstored(String name) {
        return new Carrier(name);
    }

    /** A carrier. */
    public record CarrierName(long id, String name) {}

    /** A carrier's bands in a region. */
    public record RegionView(String carrier, String region, List<String> bands) {}

    /** All carriers by name. */
    @Transactional(readOnly = true)
    public List<CarrierName> all() {
        return things("e.name").stream()
                .map(c -> new CarrierName(c.id(), c.name()))
                .toList();
    }

    /** The bands of all carriers, by carrier and region; those of one that was merged are the other's. */
    @Transactional(readOnly = true)
    public List<RegionView> regions() {
        Map<Long, String> names = names();
        Map<List<String>, Set<String>> bands = new TreeMap<>(
                Comparator.comparing((List<String> key) -> key.get(0)).thenComparing(key -> key.get(1)));
        entities.createQuery("from CarrierBand b order by b.id", CarrierBand.class)
                .getResultStream()
                .forEach(b -> bands.computeIfAbsent(
                                List.of(names.get(b.carrierId), b.region), k -> new LinkedHashSet<>())
                        .add(b.band));
        return bands.entrySet().stream()
                .map(e -> new RegionView(e.getKey().get(0), e.getKey().get(1), List.copyOf(e.getValue())))
                .toList();
    }

    /** Sets a carrier's bands in a region; none takes the region away. */
    public void put(RegionView wanted) {
        String name = name("carrier", wanted.carrier());
        String region =
                InvalidInputException.naming("region", () -> Text.name("region", wanted.region(), LONGEST_REGION));
        List<String> given = wanted.bands() == null ? List.of() : wanted.bands();
        if (given.size() > MOST_BANDS) {
            throw new InvalidInputException(
                    "bands", "bands has " + given.size() + " items; allowed are up to " + MOST_BANDS);
        }
        List<String> bands = IntStream.range(0, given.size())
                .mapToObj(i -> InvalidInputException.naming(
                        "bands[" + i + "]", () -> Bands.of(Objects.requireNonNullElse(given.get(i), ""))
                                .name()))
                .distinct()
                .toList();
        Long carrier = number(name);
        String standing = name(carrier).orElseThrow();
        List<Long> merged = names().entrySet().stream()
                .filter(e -> e.getValue().equals(standing))
                .map(Map.Entry::getKey)
                .toList();
        entities.createQuery("delete from CarrierBand b where b.carrierId in :carriers and b.region = :region")
                .setParameter("carriers", merged)
                .setParameter("region", region)
                .executeUpdate();
        bands.forEach(band -> entities.persist(new CarrierBand(carrier, region, band)));
        entities.flush();
    }

    /**
     * A carrier's bands in a region, or in all that are entered when none is given.
     *
     * @throws NotFoundException when the carrier has no such region
     */
    @Transactional(readOnly = true)
    public List<Band> bands(String carrier, @Nullable String region) {
        List<RegionView> own =
                regions().stream().filter(r -> r.carrier().equals(carrier)).toList();
        if (region != null && own.stream().noneMatch(r -> r.region().equals(region))) {
            throw new NotFoundException(carrier + " has no region " + Text.quote(region));
        }
        return own.stream()
                .filter(r -> region == null || r.region().equals(region))
                .flatMap(r -> r.bands().stream())
                .distinct()
                .map(Bands::of)
                .toList();
    }

    /**
     * Checks that there is a carrier of a name.
     *
     * @throws NotFoundException when there is none
     */
    @Transactional(readOnly = true)
    public void check(String name) {
        require(name);
    }

    /** Whether bands of a carrier are entered for a region. */
    @Transactional(readOnly = true)
    public boolean has(String carrier, @Nullable String region) {
        return regions().stream()
                .anyMatch(r -> r.carrier().equals(carrier) && r.region().equals(region));
    }
}
