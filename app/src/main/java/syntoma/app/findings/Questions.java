package syntoma.app.findings;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Campsites;
import syntoma.app.campsite.Place;
import syntoma.app.ledger.DataLeft;
import syntoma.app.setup.SetupService;
import syntoma.app.store.Revision;
import syntoma.core.finding.Contrast;
import syntoma.core.finding.Criterion;
import syntoma.core.finding.Finding;
import syntoma.core.finding.Strength;
import syntoma.core.reading.Figure;
import syntoma.core.unit.Median;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;
import syntoma.core.verdict.Verdict;

/** The questions that this log can be asked, in words, each with its answer in a sentence. */
@Service
@Transactional(readOnly = true)
class Questions {
    /** Setups of which it is asked whether they are worth it. */
    private static final int MOST_SETUPS = 4;

    private final FindingsService findings;
    private final Drifts drifts;
    private final Worths worths;
    private final Faults faults;
    private final PlacesAndHours places;
    private final DataLeft dataLeft;
    private final SetupService chains;
    private final Campsites campsites;
    private final Revision revision;
    private final AtomicReference<CachedQuestions> kept = new AtomicReference<>();

    Questions(
            FindingsService findings,
            Drifts drifts,
            Worths worths,
            Faults faults,
            PlacesAndHours places,
            DataLeft dataLeft,
            SetupService chains,
            Campsites campsites,
            Revision revision) {
        this.findings = findings;
        this.drifts = drifts;
        this.worths = worths;
        this.faults = faults;
        this.places = places;
        this.dataLeft = dataLeft;
        this.chains = chains;
        this.campsites = campsites;
        this.revision = revision;
    }

    /** What was asked of which state of the store. */
    private record CachedQuestions(long revision, List<FindingsView.QuestionView> questions) {}

    /** All questions, those first that most travellers ask; kept until anything changes. */
    List<FindingsView.QuestionView> all() {
        long now = revision.number();
        CachedQuestions before = kept.get();
        if (before != null && before.revision == now) {
            return before.questions;
        }
        List<FindingsView.QuestionView> asked = ask();
        kept.set(new CachedQuestions(now, asked));
        return asked;
    }

    /** What the trip says of setups, without what it was taken from, which is as large as the log. */
    private record OverallVerdict(Finding finding, Map<String, String> at, FindingsView.WorthView worth) {}

    private Optional<OverallVerdict> overall(Criterion rate) {
        FindingsService.FindingsAnswer setups = findings.find(ComparedKind.SETUPS, rate, null, FindingsFilter.ALL);
        return setups.finding().map(finding -> new OverallVerdict(finding, address(setups), worths.view(setups)));
    }

    private List<FindingsView.QuestionView> ask() {
        Criterion rate = findings.criterion(null);
        Optional<OverallVerdict> overall = overall(rate);
        if (overall.isEmpty()) {
            return List.of();
        }
        List<FindingsView.QuestionView> questions = new ArrayList<>();
        Finding finding = overall.get().finding;
        Map<String, String> at = overall.get().at;
        FindingsView.WorthView worth = overall.get().worth;
        questions.add(question(
                "setups",
                "Which setup earned its place?",
                Headlines.of(finding, ComparedKind.SETUPS),
                "see",
                "setups",
                at));
        finding.units().stream()
                .filter(u -> !u.name().equals(finding.baseline()) && u.effect().blocks() > 0)
                .sorted(Comparator.comparingInt(u -> -u.effect().blocks()))
                .limit(MOST_SETUPS)
                .forEach(u -> questions.add(worthIt(u, finding.baseline(), worth, at)));
        finding.units().stream()
                .filter(u -> u.runs() == 0 && u.failed() > 0)
                .limit(MOST_SETUPS)
                .forEach(u -> questions.add(neverWorked(u, worth, at)));
        carriers(rate, questions);
        questions.add(question("place", "Which campsite was best?", places.best(), "see", "setups", at));
        questions.add(question("hour", "When is it slowest?", places.slowest(rate), "see", "setups", at));
        dataLeft.sentence()
                .ifPresent(left -> questions.add(
                        question("data", "How much data is left, and until when?", left, "see", "cost", at)));
        boosters(finding, at, questions);
        FindingsView.DriftsView drift = drifts.view(findings.find(
                ComparedKind.SETUPS, Criterion.of(Figure.RSRP_DBM), finding.baseline(), FindingsFilter.ALL));
        if (!drift.setups().isEmpty()) {
            questions.add(question("changed", "Did something change on the way?", drift.headline(), "see", "time", at));
            questions.add(question("predicted", "Was it as predicted?", predictedChange(drift), "see", "time", at));
        }
        questions.add(question(
                "worth",
                "Which is the cheapest that is good enough, and which the fastest?",
                worth.headline(),
                "see",
                "cost",
                at));
        questions.add(question("averages", "Do plain averages say the same?", averages(finding), "see", "plain", at));
        return questions;
    }

    private static Map<String, String> address(FindingsService.FindingsAnswer found) {
        Map<String, String> address = new LinkedHashMap<>();
        address.put("of", found.query().of().key());
        address.put("metric", found.query().criterion().key());
        address.put("baseline", found.query().baseline());
        return address;
    }

    private static FindingsView.QuestionView question(
            String key, String question, String answer, String name, String value, Map<String, String> at) {
        Map<String, String> address = new LinkedHashMap<>(at);
        address.put("ask", key);
        address.put(name, value);
        return new FindingsView.QuestionView(
                key,
                question,
                answer,
                address.entrySet().stream()
                        .map(e -> e.getKey() + "=" + URLEncoder.encode(e.getValue(), StandardCharsets.UTF_8))
                        .collect(Collectors.joining("&")));
    }

    private FindingsView.QuestionView worthIt(
            Finding.Unit unit, String baseline, FindingsView.WorthView worth, Map<String, String> at) {
        Contrast c = unit.effect();
        Optional<FindingsView.WorthRow> row = rowOf(unit, worth);
        String adds = row.map(FindingsView.WorthRow::adds)
                .filter(more -> more > 0)
                .map(more -> ", it adds " + Worths.money(more, worth.currency()))
                .orElse("");
        String say = Headlines.isAhead(c)
                ? "Yes" + adds + ". "
                : c.verdict() == Verdict.NO_DIFFERENCE
                        ? "No" + adds + ": use the one that is less work. "
                        : c.isTold() ? "No" + adds + ". " : "";
        String fault = faults.in(List.of(unit.name(), baseline))
                .map(f -> " But " + f.sentence())
                .orElse("");
        return question(
                "setup-" + unit.name(),
                "Is " + unit.name() + " worth it over " + baseline + "?",
                say + unit.sentence() + fault,
                "unit",
                unit.name(),
                at);
    }

    private static Optional<FindingsView.WorthRow> rowOf(Finding.Unit unit, FindingsView.WorthView worth) {
        return worth.setups().stream()
                .filter(r -> r.setup().equals(unit.name()))
                .findFirst();
    }

    /** A setup that never got through: where it was tried, and whether anything else did there, say how little that tells. */
    private FindingsView.QuestionView neverWorked(
            Finding.Unit unit, FindingsView.WorthView worth, Map<String, String> at) {
        String price = rowOf(unit, worth)
                .map(FindingsView.WorthRow::price)
                .map(p -> Worths.money(p, worth.currency()) + ", and ")
                .orElse("");
        return question(
                "setup-" + unit.name(),
                "Is " + unit.name() + " worth its money?",
                "Not so far: " + price + places.whereItFailed(unit.name(), unit.failed()),
                "unit",
                unit.name(),
                at);
    }

    private void carriers(Criterion rate, List<FindingsView.QuestionView> questions) {
        FindingsService.FindingsAnswer all = findings.find(ComparedKind.CARRIERS, rate, null, FindingsFilter.ALL);
        if (all.finding().isEmpty() || all.finding().get().units().size() < 2) {
            return;
        }
        questions.add(question(
                "carriers",
                "Which carrier?",
                Headlines.of(all.finding().get(), ComparedKind.CARRIERS),
                "see",
                "setups",
                address(all)));
        for (Shore shore : Shore.of(campsites.all())) {
            FindingsService.FindingsAnswer there =
                    findings.find(ComparedKind.CARRIERS, rate, all.query().baseline(), shore.filter());
            if (there.finding().isPresent() && there.finding().get().blocks() > 0) {
                Map<String, String> at = address(there);
                at.put("area", shore.area());
                questions.add(question(
                        "carriers-" + shore.side,
                        "Which carrier in the " + shore.side + "?",
                        Headlines.of(there.finding().get(), ComparedKind.CARRIERS),
                        "see",
                        "setups",
                        at));
            }
        }
    }

    /** The half of a trip that lies to one side of the middle of its campsites. */
    private record Shore(String side, FindingsFilter.Area edges) {
        static List<Shore> of(List<Place> places) {
            List<Place> known = places.stream()
                    .filter(p -> p.lat() != null && p.lon() != null)
                    .toList();
            if (known.size() < 4) {
                return List.of();
            }
            double[] lats =
                    known.stream().mapToDouble(p -> p.lat().doubleValue()).toArray();
            double[] lons =
                    known.stream().mapToDouble(p -> p.lon().doubleValue()).toArray();
            double lat = round(Median.of(lats));
            double lon = round(Median.of(lons));
            double[] edges = {-90, -180, 90, 180};
            boolean wide = (max(lons) - min(lons)) * Math.cos(Math.toRadians(lat)) > max(lats) - min(lats);
            return wide
                    ? List.of(
                            new Shore("west", new FindingsFilter.Area(edges[0], edges[1], edges[2], lon)),
                            new Shore("east", new FindingsFilter.Area(edges[0], lon, edges[2], edges[3])))
                    : List.of(
                            new Shore("north", new FindingsFilter.Area(lat, edges[1], edges[2], edges[3])),
                            new Shore("south", new FindingsFilter.Area(edges[0], edges[1], lat, edges[3])));
        }

        private static double round(double degrees) {
            return Math.round(degrees * 100) / 100.0;
        }

        private static double max(double[] values) {
            return Arrays.stream(values).max().orElseThrow();
        }

        private static double min(double[] values) {
            return Arrays.stream(values).min().orElseThrow();
        }

        String area() {
            return edges.south() + "," + edges.west() + "," + edges.north() + "," + edges.east();
        }

        FindingsFilter filter() {
            return FindingsFilter.ALL.in(edges);
        }
    }

    /** What setups with a booster did by strength, each against what it was measured beside most. */
    private void boosters(Finding finding, Map<String, String> at, List<FindingsView.QuestionView> questions) {
        for (SetupService.PlannedSetup planned : chains.plans().values()) {
            String name = planned.setup().name();
            if (planned.plan().booster() == null
                    || finding.units().stream().noneMatch(u -> u.name().equals(name))) {
                continue;
            }
            Finding against = finding.units().stream()
                    .filter(u -> !u.name().equals(name))
                    .limit(MOST_SETUPS)
                    .flatMap(
                            u -> findings
                                    .find(ComparedKind.SETUPS, finding.criterion(), u.name(), FindingsFilter.ALL)
                                    .finding()
                                    .stream())
                    .max(Comparator.comparingInt(f -> atKnownLevel(f.unit(name))))
                    .orElse(finding);
            Map<String, String> there = new LinkedHashMap<>(at);
            there.put("baseline", against.baseline());
            questions.add(question(
                    "booster-" + name,
                    "What did " + name + " do where it was weak?",
                    byStrength(against.unit(name), against),
                    "see",
                    "strength",
                    there));
        }
    }

    private static int atKnownLevel(Finding.Unit unit) {
        return unit.byStrength().values().stream().mapToInt(Contrast::blocks).sum();
    }

    private static String byStrength(Finding.Unit unit, Finding finding) {
        List<String> said = new ArrayList<>();
        for (Strength strength : List.of(Strength.WEAK_NONE, Strength.FAIR, Strength.STRONG_GOOD)) {
            Optional.ofNullable(unit.byStrength().get(strength))
                    .filter(c -> c.blocks() > 0 && c.estimate().isPresent())
                    .ifPresent(c -> said.add("where it was " + strength.words() + ", "
                            + (c.low().isEmpty() || c.verdict() == Verdict.TOO_FEW
                                    ? "too few stays to tell (" + c.stays() + ")"
                                    : finding.criterion()
                                                    .scale()
                                                    .format(
                                                            c.low().getAsDouble(),
                                                            c.high().getAsDouble())
                                            + " (" + Text.count(c.stays(), "stay") + ")")));
        }
        if (said.isEmpty() && unit.runs() == 0) {
            return unit.sentence();
        }
        return said.isEmpty()
                ? unit.name() + " was not measured beside " + finding.baseline() + " at a known level."
                : Text.capital(String.join("; ", said)) + ".";
    }

    private static String predictedChange(FindingsView.DriftsView drift) {
        return drift.setups().stream()
                .filter(d -> d.predictedDb() != null && d.lowDb() != null)
                .max(Comparator.comparingDouble(d -> Math.abs(d.measuredDb() - d.predictedDb())))
                .map(d -> "Furthest off is " + d.setup() + ": " + Values.round(d.measuredDb(), 1)
                        + " dB measured, about " + Values.round(d.predictedDb(), 1) + " dB predicted; " + d.sentence()
                        + ".")
                .orElse("Too little was measured of setups whose chain is known.");
    }

    private static String averages(Finding finding) {
        return finding.remarks().stream()
                .map(Finding.Remark::sentence)
                .findFirst()
                .orElse("Yes: plain averages put them in the same order.");
    }
}
