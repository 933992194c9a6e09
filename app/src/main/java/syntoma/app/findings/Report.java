package syntoma.app.findings;

import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.util.MultiValueMap;
import org.springframework.web.util.UriComponentsBuilder;
import syntoma.app.campsite.Campsites;
import syntoma.app.campsite.Place;
import syntoma.app.campsite.StayTime;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.unit.Labels;
import syntoma.core.unit.Text;
import syntoma.core.unit.Values;

/**
 * The report: one page for others to read, with nothing fetched from anywhere. It holds the answers, the tables beneath them, how it
 * was measured and what is not known. Coordinates are left out or made coarse unless they are wanted; private notes, photos and the
 * identities of cells are never in it.
 */
@Service
@Transactional(readOnly = true)
class Report {
    private static final int LONGEST_TITLE = 120;
    private static final int MOST_QUESTIONS = 20;
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);
    private static final String STYLE =
            """
            body{font:16px/1.45 Georgia,'Times New Roman',serif;color:#1B2621;background:#FFFDF8;max-width:46em;margin:2em auto;padding:0 1em}
            h1,h2,h3{font-family:'Arial Narrow',Arial,sans-serif;line-height:1.2}h2{border-top:1px solid #D9D2C3;padding-top:.8em;margin-top:1.6em}
            .answer{font-size:1.15em}.small{font-size:.85em;color:#56635C}
            table{border-collapse:collapse;width:100%;font-variant-numeric:tabular-nums;font-size:.9em;margin:.6em 0}
            th{text-align:left;font-weight:600}th,td{border-bottom:1px solid #D9D2C3;padding:3px 8px 3px 0;vertical-align:top}
            svg{max-width:100%;height:auto;display:block;margin:.6em 0}svg text{font:12px Arial,sans-serif;fill:#56635C}
            .zone{fill:#EFEADF}.none{stroke:#1B2621}.change{stroke:#9A3F22;stroke-dasharray:3 3}.tick{fill:#1B2621}.open{fill:#FFFDF8;stroke:#56635C}
            .interval{fill:url(#hatch);stroke:#56635C}
            @media screen and (max-width:40em){table{display:block;overflow-x:auto}}
            @media print{body{margin:0;max-width:none;font-size:11pt}h2{break-after:avoid}table,svg{break-inside:avoid}}
            """;

    private final Questions questions;
    private final FindingsService findings;
    private final Drifts drifts;
    private final Worths worths;
    private final Faults faults;
    private final Campsites campsites;
    private final Selecting selecting;
    private final Clock clock;

    Report(
            Questions questions,
            FindingsService findings,
            Drifts drifts,
            Worths worths,
            Faults faults,
            Campsites campsites,
            Selecting selecting,
            Clock clock) {
        this.questions = questions;
        this.findings = findings;
        this.drifts = drifts;
        this.worths = worths;
        this.faults = faults;
        this.campsites = campsites;
        this.selecting = selecting;
        this.clock = clock;
    }

    /** How exactly it is said where the campsites are. */
    enum Where {
        /** Their names alone. */
        NONE,
        /** To a tenth of a degree, about ten kilometres. */
        COARSE,
        /** As they are in the log. */
        EXACT;

        String key() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /**
     * What is wanted of a report.
     *
     * @param question keys of questions, in their order; the first few of all where it is missing
     * @param coordinates {@code none}, {@code coarse} or {@code exact}; none where it is missing
     */
    record ReportRequest(@Nullable List<String> question, @Nullable String title, @Nullable String coordinates) {}

    /** The page, with a nonce for its style where it is looked at inside the application. */
    String page(ReportRequest asked, String nonce) {
        Where where = asked.coordinates() == null || asked.coordinates().isBlank()
                ? Where.NONE
                : InvalidInputException.naming(
                        "coordinates",
                        () -> Labels.find("coordinates", asked.coordinates(), Where.values(), Where::key));
        String title = asked.title() == null || asked.title().isBlank()
                ? "What the trip says"
                : InvalidInputException.naming("title", () -> Text.name("title", asked.title(), LONGEST_TITLE));
        List<FindingsView.QuestionView> chosen = chosenQuestions(asked.question());
        TripLog.Snapshot log = selecting.log();
        Html html = new Html();
        html.raw("<!DOCTYPE html>\n<html lang=\"en\"><head><meta charset=\"utf-8\">")
                .raw("<meta name=\"viewport\" content=\"width=device-width\"><link rel=\"icon\" href=\"data:,\">")
                .element("title", title)
                .raw("<style nonce=\"" + Html.text(nonce) + "\">" + STYLE + "</style></head><body>\n")
                .raw(
                        "<svg width=\"0\" height=\"0\" aria-hidden=\"true\"><defs><pattern id=\"hatch\" width=\"5\" height=\"5\""
                                + " patternUnits=\"userSpaceOnUse\" patternTransform=\"rotate(45)\"><rect width=\"2\" height=\"5\""
                                + " fill=\"#56635C\"/></pattern></defs></svg>\n")
                .element("h1", title)
                .raw("<p class=\"small\">")
                .raw(Html.text(extent(log)))
                .raw("</p>\n");
        html.element("h2", "In short").raw("<ul>\n");
        chosen.forEach(
                q -> html.raw("<li><b>" + Html.text(q.question()) + "</b><br>" + Html.text(q.answer()) + "</li>\n"));
        html.raw("</ul>\n");
        chosen.forEach(q -> answer(html, q));
        stays(html, log, where);
        method(html);
        return html.raw("</body></html>\n").toString();
    }

    private List<FindingsView.QuestionView> chosenQuestions(@Nullable List<String> keys) {
        List<FindingsView.QuestionView> all = questions.all();
        if (keys == null || keys.isEmpty()) {
            return all.stream().limit(MOST_QUESTIONS).toList();
        }
        if (keys.size() > MOST_QUESTIONS) {
            throw new InvalidInputException(
                    "question", "question appears " + keys.size() + " times; allowed is up to " + MOST_QUESTIONS);
        }
        return keys.stream()
                .map(key -> all.stream()
                        .filter(q -> q.key().equals(key))
                        .findFirst()
                        .orElseThrow(() -> new InvalidInputException(
                                "question",
                                "question is " + Text.quote(key) + "; allowed is "
                                        + all.stream()
                                                .map(FindingsView.QuestionView::key)
                                                .collect(Collectors.joining(", ")))))
                .toList();
    }

    private String extent(TripLog.Snapshot log) {
        Optional<OffsetDateTime> first =
                log.times().stream().map(StayTime::arrivedAt).min(Comparator.naturalOrder());
        Optional<OffsetDateTime> last = log.times().stream()
                .map(s -> s.leftAt() == null ? OffsetDateTime.now(clock) : s.leftAt())
                .max(Comparator.naturalOrder());
        return Text.count(log.size(), "measurement") + " at "
                + Text.count(log.times().size(), "stay")
                + first.map(f -> ", " + DAY.format(f) + " to " + DAY.format(last.orElse(f)))
                        .orElse("");
    }

    private void answer(Html html, FindingsView.QuestionView question) {
        html.element("h2", question.question()).raw("<p class=\"answer\">" + Html.text(question.answer()) + "</p>\n");
        MultiValueMap<String, String> at = UriComponentsBuilder.fromUriString("/?" + question.address())
                .build()
                .getQueryParams();
        Map<String, List<String>> query = at.entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey,
                        e -> e.getValue().stream().map(Report::decoded).toList()));
        FindingsRequest request = new FindingsRequest(
                one(query, "metric"),
                one(query, "baseline"),
                one(query, "of"),
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                one(query, "area"));
        switch (Optional.ofNullable(one(query, "see")).orElse("setups")) {
            case "time" -> drift(html, drifts.view(request));
            case "cost" -> worth(html, worths.view(request));
            default -> finding(html, faults.annotate(findings.view(request)), one(query, "see"), one(query, "unit"));
        }
    }

    private static String decoded(String text) {
        return URLDecoder.decode(text, StandardCharsets.UTF_8);
    }

    @Nullable
    private static String one(Map<String, List<String>> query, String name) {
        List<String> values = query.getOrDefault(name, List.of());
        return values.isEmpty() ? null : values.get(0);
    }

    /**
     * Findings, of one unit alone where it is asked for.
     *
     * @param unit of which alone it is asked; all where it is missing
     */
    private static void finding(Html html, FindingsView view, @Nullable String see, @Nullable String unit) {
        boolean ratio = view.scale().equals("ratio");
        boolean byStrength = "strength".equals(see);
        List<Html.Line> lines = new ArrayList<>();
        List<List<String>> rows = new ArrayList<>();
        List<FindingsView.ComparedView> wanted = view.setups().stream()
                .filter(r -> unit == null || r.setup().equals(unit) || r.setup().equals(view.baseline()))
                .toList();
        for (FindingsView.ComparedView row : wanted) {
            boolean few = row.verdict().equals("too-few");
            if (!row.setup().equals(view.baseline()) && !byStrength) {
                lines.add(new Html.Line(row.setup(), row.estimate(), few ? null : row.low(), few ? null : row.high()));
            }
            rows.add(List.of(
                    row.setup(),
                    valueText(view, row.estimate()),
                    few || row.low() == null ? "–" : valueText(view, row.low()) + " to " + valueText(view, row.high()),
                    row.setup().equals(view.baseline()) ? "baseline" : row.words(),
                    row.ownBlocks() + " at " + row.ownStays(),
                    row.plainMean() == null ? "–" : Values.round(row.plainMean(), 1),
                    rank(row.plainRank()) + " / " + rank(row.adjustedRank())));
            for (FindingsView.StrengthView s : byStrength ? row.byStrength() : List.<FindingsView.StrengthView>of()) {
                if (!row.setup().equals(view.baseline()) && s.blocks() > 0) {
                    boolean thin = s.verdict().equals("too-few");
                    String name = row.setup() + ", " + s.words();
                    lines.add(new Html.Line(name, s.estimate(), thin ? null : s.low(), thin ? null : s.high()));
                    rows.add(List.of(
                            name,
                            valueText(view, s.estimate()),
                            thin || s.low() == null
                                    ? "–"
                                    : valueText(view, s.low()) + " to " + valueText(view, s.high()),
                            thin ? "too few" : s.verdict().replace('-', ' '),
                            s.blocks() + " at " + s.stays(),
                            "",
                            ""));
                }
            }
        }
        if (!lines.isEmpty()) {
            html.intervals(lines, ratio, view.matters());
        }
        html.table(
                List.of(
                        view.of().substring(0, 1).toUpperCase(Locale.ROOT)
                                + view.of().substring(1),
                        (ratio ? "Times " : "Against ") + view.baseline(),
                        "95 % interval",
                        "Said",
                        "Blocks at stays",
                        "Plain average, " + view.unit(),
                        "Rank plain / here"),
                rows);
        view.remarks().stream()
                .filter(r -> unit == null || r.setups().contains(unit))
                .forEach(r -> html.element("p", r.sentence()));
    }

    private static String rank(@Nullable Integer rank) {
        return rank == null ? "–" : rank.toString();
    }

    private static String valueText(FindingsView view, @Nullable Double value) {
        if (value == null) {
            return "–";
        }
        return switch (view.scale()) {
            case "ratio" -> "×" + Values.round(value, 2);
            case "dB" -> Values.round(value, 1) + " dB";
            default -> Values.round(value, 1) + " points";
        };
    }

    private static void drift(Html html, FindingsView.DriftsView view) {
        double most = view.setups().stream()
                .flatMap(s -> s.points().stream())
                .mapToDouble(p -> Math.abs(p.aboveDb()))
                .max()
                .orElse(6);
        for (FindingsView.DriftView setup : view.setups()) {
            html.element("h3", setup.setup())
                    .overTime(
                            setup.points().stream()
                                    .map(p -> new double[] {p.at().toEpochSecond(), p.aboveDb()})
                                    .toList(),
                            setup.change() == null
                                    ? null
                                    : (double) setup.change().at().toEpochSecond(),
                            most);
            if (setup.change() != null) {
                html.element("p", setup.change().sentence());
            }
            html.table(
                    List.of("Stay", "Measured minus predicted, dB"),
                    setup.points().stream()
                            .map(p -> List.of(p.campsite() + ", " + DAY.format(p.at()), Values.round(p.aboveDb(), 1)))
                            .toList());
        }
    }

    private static void worth(Html html, FindingsView.WorthView view) {
        html.table(
                List.of(
                        "Setup",
                        "Costs" + (view.currency() == null ? "" : ", " + view.currency()),
                        "Parts besides those of " + view.baseline(),
                        "Times " + view.baseline(),
                        "Stays that met the need"),
                view.setups().stream()
                        .map(r -> List.of(
                                r.setup(),
                                r.price() == null ? "–" : Values.round(r.price(), 0),
                                r.adds() == null ? "–" : Values.round(r.adds(), 0),
                                r.estimate() == null ? "–" : "×" + Values.round(r.estimate(), 2),
                                r.met() + " of " + r.stays()))
                        .toList());
    }

    private void stays(Html html, TripLog.Snapshot log, Where where) {
        Map<Long, Place> places = campsites.all().stream().collect(Collectors.toMap(Place::id, p -> p));
        html.element("h2", "Where");
        html.table(
                where == Where.NONE
                        ? List.of("Campsite", "From", "To")
                        : List.of("Campsite", "From", "To", where == Where.COARSE ? "About" : "At"),
                log.times().stream()
                        .filter(s -> places.containsKey(s.campsiteId()))
                        .map(s -> {
                            List<String> row = new ArrayList<>(List.of(
                                    places.get(s.campsiteId()).name(),
                                    DAY.format(s.arrivedAt()),
                                    s.leftAt() == null ? "" : DAY.format(s.leftAt())));
                            if (where != Where.NONE) {
                                row.add(at(places.get(s.campsiteId()), where));
                            }
                            return row;
                        })
                        .toList());
    }

    private static String at(Place place, Where where) {
        if (place.lat() == null || place.lon() == null) {
            return "";
        }
        return where == Where.EXACT
                ? place.lat().toPlainString() + ", " + place.lon().toPlainString()
                : Values.round(place.lat().doubleValue(), 1) + ", "
                        + Values.round(place.lon().doubleValue(), 1);
    }

    private static void method(Html html) {
        html.element("h2", "How it was measured")
                .element(
                        "p",
                        "Setups are compared only where they were measured at the same stay, on the same SIM, within an hour, or in the"
                                + " same round of a trial. What one does more than another is averaged over such blocks by one"
                                + " additive model on the logarithm of the metric; intervals hold in 95 % of cases and allow for what"
                                + " the blocks of a stay have in common. Each pair is judged by itself: with many pairs one interval in"
                                + " twenty misses. A plain average is over all runs wherever they were made; no answer rests on it.")
                .element("h2", "What is not known")
                .raw("<ul>\n")
                .element("li", "Why a cell was slow at some hour; only that it was, for both setups.")
                .element("li", "What happens at different places, or with other setups of the same parts.")
                .element("li", "What was measured at fewer than four stays is shown and not claimed.")
                .raw("</ul>\n");
    }
}
