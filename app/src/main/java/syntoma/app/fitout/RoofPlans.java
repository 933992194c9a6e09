package syntoma.app.fitout;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.gear.GearKind;
import syntoma.app.gear.GearService;
import syntoma.app.gear.Parts;
import syntoma.app.history.Edits;
import syntoma.app.platform.ConflictException;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.Json;
import syntoma.app.platform.NotFoundException;
import syntoma.app.platform.Optionals;
import syntoma.core.chain.Antenna;
import syntoma.core.chain.CableClass;
import syntoma.core.chain.Lead;
import syntoma.core.chain.Use;
import syntoma.core.jobsheet.Weather;
import syntoma.core.power.Wire;
import syntoma.core.roof.Foot;
import syntoma.core.roof.Objection;
import syntoma.core.roof.RoofDefaults;
import syntoma.core.roof.Shape;
import syntoma.core.roof.Thing;
import syntoma.core.sentence.Sentence;
import syntoma.core.unit.Text;

/** Builds as they are drawn, kept under names. */
@Service
@Transactional
public class RoofPlans {
    private static final int LONGEST_NAME = 120;
    private static final int MOST = 50;
    private static final double CM2_PER_M2 = 10_000;

    private final EntityManager entities;
    private final Edits edits;
    private final RoofAssessor assessor;
    private final GearService gear;
    private final Json json;
    private final Clock clock;

    RoofPlans(EntityManager entities, Edits edits, RoofAssessor assessor, GearService gear, Json json, Clock clock) {
        this.assessor = assessor;
        this.entities = entities;
        this.edits = edits;
        this.gear = gear;
        this.json = json;
        this.clock = clock;
    }

    /** A plan to be begun: as another one, or as the usual one of a shape. */
    record RoofPlanRequest(@Nullable String name, @Nullable Long copyOf) {}

    /** A plan with its version. */
    record RoofPlanView(long id, String name, int version, RoofPlan plan) {}

    record RoofPlanLine(long id, String name) {}

    record RoofShape(String key, String label, double lengthM, double widthM, double thicknessMm, double wallMm) {}

    /** What may stand on a roof; {@code onRoof} is false for what lies hidden under it. */
    record RoofKind(String key, String label, boolean onRoof) {}

    record RoofFixing(String key, String label) {}

    /** What may speak against a place. */
    record RoofWhy(String key, String label) {}

    /** What the sheet of an antenna on the shelf says that matters here; what it does not say is null; and the setups that have it. */
    record RoofAntennaOf(
            String name,
            @Nullable Double heightM,
            @Nullable Double groundPlaneM,
            boolean magnetic,
            int leads,
            @Nullable Double leadM,
            @Nullable String cableClass,
            @Nullable Double cableMm,
            @Nullable Double holeMm,
            List<String> setups) {}

    /** All plans, and what there is to choose from. */
    record FitoutView(
            List<RoofPlanLine> plans,
            List<RoofShape> shapes,
            List<RoofKind> kinds,
            List<RoofFixing> fixings,
            List<RoofWhy> whys,
            List<String> cableClasses,
            List<RoofAntennaOf> antennas,
            List<RoofDeviceOf> devices,
            List<RoofWire> wires,
            List<RoofWeather> weathers,
            RoofDefaults usual) {}

    /** A device on the shelf; what its sheet says that it draws at most, where it does. */
    record RoofDeviceOf(String name, @Nullable Double mostW) {}

    /** A size of wire. */
    record RoofWire(double mm2, int awg) {}

    /** Weather that a task may want. */
    record RoofWeather(String key, Sentence label) {}

    @Transactional(readOnly = true)
    FitoutView view() {
        return new FitoutView(
                keptPlans().stream().map(p -> new RoofPlanLine(p.id, p.name)).toList(),
                list(
                        Shape.values(),
                        s -> new RoofShape(s.label(), s.says(), s.lengthM(), s.widthM(), s.thicknessMm(), s.wallMm())),
                list(Thing.Kind.values(), k -> new RoofKind(k.label(), k.says(), k.isOnRoof())),
                list(Foot.Fixing.values(), f -> new RoofFixing(f.label(), f.says())),
                list(Objection.Why.values(), w -> new RoofWhy(w.label(), w.says())),
                CableClass.all().stream()
                        .filter(c -> c.ohms() == CableClass.RADIO_OHMS)
                        .map(CableClass::name)
                        .toList(),
                gear.all().stream()
                        .filter(item -> item.is() == GearKind.ANTENNA)
                        .map(item -> antenna(Parts.antenna(item), Parts.holeMm(item), item.setups()))
                        .toList(),
                gear.all().stream()
                        .filter(item -> item.is() == GearKind.DEVICE)
                        .map(Parts::device)
                        .map(d -> new RoofDeviceOf(
                                d.name(), Optionals.boxed(d.power().mostW())))
                        .toList(),
                Wire.sizes().stream().map(w -> new RoofWire(w.mm2(), w.awg())).toList(),
                list(Weather.values(), w -> new RoofWeather(w.label(), w.says())),
                RoofDefaults.USUAL);
    }

    private static <E, V> List<V> list(E[] all, Function<E, V> view) {
        return Arrays.stream(all).map(view).toList();
    }

    private static RoofAntennaOf antenna(Antenna antenna, OptionalDouble holeMm, List<String> setups) {
        List<Lead> leads = antenna.leads(Use.CELLULAR);
        Optional<Lead> first = leads.stream().findFirst();
        Optional<CableClass> cable = first.flatMap(Lead::cableClass);
        return new RoofAntennaOf(
                antenna.name(),
                Optionals.boxed(antenna.heightM()),
                antenna.groundPlaneCm2().isPresent()
                        ? Math.sqrt(antenna.groundPlaneCm2().getAsDouble() / CM2_PER_M2)
                        : null,
                antenna.isMagnetic(),
                antenna.leads().size(),
                first.map(lead -> Optionals.boxed(lead.lengthM())).orElse(null),
                cable.map(CableClass::name).orElse(null),
                cable.map(CableClass::diameterMm).orElse(null),
                Optionals.boxed(holeMm),
                setups);
    }

    private List<KeptPlan> keptPlans() {
        return entities.createQuery("from KeptPlan p where p.removedAt is null order by p.id", KeptPlan.class)
                .getResultList();
    }

    /**
     * A plan.
     *
     * @throws NotFoundException when there is none of that number
     */
    @Transactional(readOnly = true)
    RoofPlanView view(long id) {
        KeptPlan kept = require(id);
        return new RoofPlanView(
                id, kept.name, edits.version(Edits.Kind.ROOF_PLAN, id), json.read(kept.content, RoofPlan.class));
    }

    KeptPlan require(long id) {
        return Optional.ofNullable(entities.find(KeptPlan.class, id))
                .filter(p -> p.removedAt == null)
                .orElseThrow(() -> new NotFoundException("no roof plan has the number " + id));
    }

    /** Begins a plan. */
    RoofPlanView begin(RoofPlanRequest asked) {
        String name = InvalidInputException.naming(
                "name", () -> Text.name("name", String.valueOf(asked.name()), LONGEST_NAME));
        List<KeptPlan> all = keptPlans();
        if (all.size() >= MOST) {
            throw new ConflictException("there are " + MOST + " roof plans; delete one first");
        }
        if (all.stream().anyMatch(p -> p.name.equalsIgnoreCase(name))) {
            throw new ConflictException("a roof plan is named " + Text.quote(name) + " already");
        }
        RoofPlan plan =
                asked.copyOf() == null ? RoofPlan.EMPTY : view(asked.copyOf()).plan();
        KeptPlan begun = new KeptPlan(name, json.write(plan));
        entities.persist(begun);
        return view(begun.id);
    }

    /** Begins a plan that is drawn already. */
    public void begin(String name, RoofPlan plan) {
        put(begin(new RoofPlanRequest(name, null)).id(), plan, null);
    }

    /**
     * Keeps a plan as it is drawn now.
     *
     * @param seen the version that was looked at; null when that is not known
     * @throws InvalidInputException naming what cannot be; nothing is kept then
     */
    RoofPlanView put(long id, RoofPlan plan, @Nullable Integer seen) {
        KeptPlan kept = require(id);
        // what cannot be calculated is not kept
        assessor.of(plan);
        RoofPlan before = json.read(kept.content, RoofPlan.class);
        if (!before.equals(plan)) {
            edits.change(Edits.Kind.ROOF_PLAN, id, "The roof plan " + Text.quote(kept.name), seen, before, plan);
            kept.content = json.write(plan);
        }
        return view(id);
    }

    void remove(long id) {
        require(id).removedAt = OffsetDateTime.now(clock);
    }

    /** The name, with a number after it where another plan has it meanwhile. */
    private String free(String name) {
        Set<String> taken =
                keptPlans().stream().map(p -> p.name.toLowerCase(Locale.ROOT)).collect(Collectors.toSet());
        return Stream.concat(Stream.of(name), IntStream.iterate(2, n -> n + 1).mapToObj(n -> name + " " + n))
                .filter(n -> !taken.contains(n.toLowerCase(Locale.ROOT)))
                .findFirst()
                .orElseThrow();
    }

    /** Brings back a plan that was deleted. */
    RoofPlanView restore(long id) {
        KeptPlan kept = Optional.ofNullable(entities.find(KeptPlan.class, id))
                .orElseThrow(() -> new NotFoundException("no roof plan has the number " + id));
        kept.name = free(kept.name);
        kept.removedAt = null;
        return view(id);
    }
}
