package syntoma.app.advice;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Campsites;
import syntoma.app.campsite.StandingService;
import syntoma.app.campsite.StandingService.StandingLine;
import syntoma.app.measurement.LoggedMeasurement;
import syntoma.app.measurement.Measurements;
import syntoma.app.measurement.Selection;
import syntoma.app.need.Needs;
import syntoma.app.platform.InvalidInputException;
import syntoma.app.platform.Optionals;
import syntoma.app.platform.Register;
import syntoma.app.state.MoveView;
import syntoma.app.trial.Results;
import syntoma.core.advice.AdvisedOption;
import syntoma.core.advice.DayPart;
import syntoma.core.advice.Experience;
import syntoma.core.advice.NeededHours;
import syntoma.core.advice.Option;
import syntoma.core.advice.Outlook;
import syntoma.core.advice.QuickTest;
import syntoma.core.advice.StayContext;
import syntoma.core.advice.StayVerdict;
import syntoma.core.advice.Tonight;
import syntoma.core.need.Need;
import syntoma.core.need.Requirement;
import syntoma.core.unit.Text;
import syntoma.core.unit.Wilson;

/** Puts together what to do tonight. */
@Service
@Transactional
class AdviceService {
    /** How many options are shown; what is up and moving on come on top. */
    private static final int SHOWN = 4;

    /** From this many runs on, the measured share is shown in place of a prediction (docs/methods.md#12-needs). */
    private static final int RUNS_TELL = 5;

    /** Three runs with each of the two take about so long beside the work. */
    private static final double TEST_RUNS_MIN = 5;

    private final StandingService standing;
    private final Campsites campsites;
    private final Needs needs;
    private final OnBoard onBoard;
    private final Experiences experiences;
    private final AdviceRecord record;
    private final Measurements measurements;
    private final Results results;
    private final Clock clock;

    AdviceService(
            StandingService standing,
            Campsites campsites,
            Needs needs,
            OnBoard onBoard,
            Experiences experiences,
            AdviceRecord record,
            Measurements measurements,
            Results results,
            Clock clock) {
        this.standing = standing;
        this.campsites = campsites;
        this.needs = needs;
        this.onBoard = onBoard;
        this.experiences = experiences;
        this.record = record;
        this.measurements = measurements;
        this.results = results;
        this.clock = clock;
    }

    /** What is advised, with what it goes by. */
    private record AdviceBasis(
            StandingLine line,
            Map<Option, OnBoard.Choice> choices,
            Experience experience,
            StayContext context,
            String need,
            Tonight tonight) {}

    @Transactional(readOnly = true)
    AdviceView view() {
        StandingLine line = standing.line();
        AdviceRecord.RecordSummary told = record.summary();
        AdviceView.RecordView trackRecord = new AdviceView.RecordView(
                told.record().cases(),
                Optionals.boxed(told.record().predictedShare()),
                Optionals.boxed(told.record().observedShare()),
                Optionals.boxed(told.record().offBy()),
                told.record().says());
        if (line.campsite() == null || line.stay() == null) {
            return new AdviceView("", List.of(), "", line.now(), List.of(), 0, null, trackRecord, told.open());
        }
        AdviceBasis given = basis(line);
        List<AdviceView.OptionView> shown = optionViews(given);
        return new AdviceView(
                given.tonight.says(given.need),
                given.tonight.whatToTry(),
                given.need,
                line.now(),
                shown,
                given.choices.size()
                        - (int) shown.stream().filter(o -> o.setup() != null).count(),
                QuickTest.of(given.tonight.rankedOptions().stream().limit(SHOWN).toList())
                        .map(AdviceService::test)
                        .orElse(null),
                trackRecord,
                told.open());
    }

    private AdviceBasis basis(StandingLine line) {
        List<Need> chosen = needs.chosenNeeds();
        Requirement together = Requirement.of(chosen);
        Map<Option, OnBoard.Choice> choices = onBoard.choices().stream()
                .collect(
                        Collectors.toMap(OnBoard.Choice::option, Function.identity(), (a, b) -> a, LinkedHashMap::new));
        List<Option> options = List.copyOf(choices.keySet());
        Experience experience = experiences.of(options);
        DayPart part = DayPart.of(line.now().getHour());
        StayContext here = new StayContext(campsites.of(line.campsite()).id(), line.stay(), part);
        List<NeededHours> hours = NeededHours.of(together, part);
        List<StayVerdict> proven = proven(line);
        List<AdvisedOption> ranked = AdvisedOption.rank(advise(options, experience, here, hours), proven);
        Optional<AdvisedOption> asItIs = ranked.stream()
                .filter(a -> line.setup() != null
                        && a.option().setup().equals(line.setup().name())
                        && a.option().carrier().equals(Objects.requireNonNullElse(line.carrier(), ""))
                        && choices.get(a.option()).moves().isEmpty())
                .findFirst();
        Optional<AdvisedOption> elsewhere = advise(options, experience, StayContext.elsewhere(part), hours).stream()
                .max(Comparator.comparingDouble(AdvisedOption::chance));
        String need = chosen.stream().map(Need::name).collect(Collectors.joining(" and "));
        return new AdviceBasis(
                line,
                choices,
                experience,
                here,
                need,
                new Tonight(ranked, asItIs, elsewhere, experience.silence(here), proven));
    }

    /** What the comparison that the first view shows decided, else what all of this stay did. */
    private List<StayVerdict> proven(StandingLine line) {
        List<LoggedMeasurement> stay = measurements.list(
                Selection.at(campsites.of(line.campsite()).id()).duringStay(line.stay()));
        OffsetDateTime since = line.now().minus(Results.LATELY);
        List<LoggedMeasurement> lately =
                stay.stream().filter(m -> !m.takenAt().isBefore(since)).toList();
        return results.decidedPairs(line.campsite(), lately.isEmpty() ? stay : lately).stream()
                .map(d -> new StayVerdict(d.use(), d.instead(), d.carriers()))
                .toList();
    }

    private static List<AdvisedOption> advise(
            List<Option> options, Experience experience, StayContext here, List<NeededHours> hours) {
        Map<DayPart, List<Outlook>> outlooks = new EnumMap<>(DayPart.class);
        outlooks.put(here.part(), experience.outlooks(options, here));
        hours.forEach(h -> outlooks.computeIfAbsent(h.part(), p -> experience.outlooks(options, here.in(p))));
        List<AdvisedOption> advised = new ArrayList<>();
        for (int i = 0; i < options.size(); i++) {
            Option option = options.get(i);
            int place = i;
            advised.add(AdvisedOption.of(
                    option, hours, part -> outlooks.get(part).get(place), here.part(), experience.runs(option)));
        }
        return advised;
    }

    private static List<AdviceView.OptionView> optionViews(AdviceBasis given) {
        Tonight tonight = given.tonight;
        List<AdvisedOption> first =
                new ArrayList<>(tonight.rankedOptions().stream().limit(SHOWN).toList());
        tonight.asItIs().filter(a -> !first.contains(a)).ifPresent(first::add);
        List<AdviceView.OptionView> shown = new ArrayList<>();
        for (AdvisedOption advised : first) {
            shown.add(option(advised, given));
        }
        // of the next campsite nothing is known: it has no chance of its own, and comes last unless nothing here is
        // likely to do
        tonight.bestElsewhere().ifPresent(e -> shown.add(tonight.movesOn() ? 0 : shown.size(), moveOn(e)));
        return shown;
    }

    private static AdviceView.OptionView option(AdvisedOption advised, AdviceBasis given) {
        OnBoard.Choice choice = given.choices.get(advised.option());
        Outlook outlook = advised.outlook();
        boolean asItIs = given.tonight.asItIs().filter(advised::equals).isPresent();
        return new AdviceView.OptionView(
                asItIs ? "as-it-is" : "setup",
                choice.setup(),
                advised.option().carrier(),
                given.need.isEmpty() ? null : advised.chance(),
                given.need.isEmpty()
                        ? List.of()
                        : advised.times().stream()
                                .map(t -> new AdviceView.ChanceAtView(t.need(), t.chance()))
                                .toList(),
                given.tonight
                        .whyHere(given.tonight.rankedOptions().indexOf(advised))
                        .orElse(null),
                AdviceView.RateView.of(outlook.down()),
                AdviceView.RateView.of(outlook.up()),
                AdviceView.RateView.of(outlook.loadedLatency()),
                advised.option().minutes(),
                choice.moves().stream().map(MoveView::of).toList(),
                Optionals.boxed(advised.option().pricePerGb()),
                Text.capital(given.experience
                                .reason(advised.option(), outlook, given.context, advised.hours())
                                .says())
                        + ".",
                metView(given.experience.record(advised.option(), given.context, advised.hours())));
    }

    private static AdviceView.OptionView moveOn(AdvisedOption best) {
        return new AdviceView.OptionView(
                "move-on",
                null,
                best.option().carrier(),
                null,
                List.of(),
                null,
                AdviceView.RateView.of(best.outlook().down()),
                AdviceView.RateView.of(best.outlook().up()),
                AdviceView.RateView.of(best.outlook().loadedLatency()),
                0,
                List.of(),
                null,
                "Because of what " + best.option().setup() + " on "
                        + best.option().carrier() + " brought over all campsites; nothing is known of the next one.",
                null);
    }

    @Nullable
    private static AdviceView.MetView metView(Experience.Met met) {
        if (met.runs() < RUNS_TELL) {
            return null;
        }
        Wilson interval = Wilson.of(met.runs(), met.metRuns());
        return new AdviceView.MetView(met.runs(), met.metRuns(), met.hours(), interval.low(), interval.high());
    }

    private static AdviceView.TestView test(QuickTest test) {
        double minutes = test.of().option().minutes() + test.against().option().minutes() + TEST_RUNS_MIN;
        return new AdviceView.TestView(
                Tonight.says(test, minutes),
                List.of(test.against(), test.of()).stream()
                        .map(a -> new AdviceView.Contestant(
                                a.option().setup(), a.option().carrier()))
                        .toList());
    }

    /**
     * Follows advice: keeps what was expected, and says on the standing line what is up now.
     *
     * @throws InvalidInputException when the setup on the carrier is no option here
     */
    AdviceView follow(@Nullable String setup, @Nullable String carrier) {
        String wanted = Register.name("setup", Objects.requireNonNullElse(setup, ""));
        String network = Register.name("carrier", Objects.requireNonNullElse(carrier, ""));
        StandingLine line = standing.line();
        if (line.campsite() == null || line.stay() == null) {
            throw new InvalidInputException("setup", "say first where you stand; advice is for a campsite");
        }
        AdviceBasis given = basis(line);
        List<AdvisedOption> ofSetup = given.tonight.rankedOptions().stream()
                .filter(a -> a.option().setup().equals(wanted))
                .toList();
        if (ofSetup.isEmpty()) {
            throw new InvalidInputException("setup", "setup is " + Text.quote(wanted) + ", which is no option here");
        }
        AdvisedOption advised = ofSetup.stream()
                .filter(a -> a.option().carrier().equals(network))
                .findFirst()
                .orElseThrow(() -> new InvalidInputException(
                        "carrier", "carrier is " + Text.quote(network) + ", which is no option for " + wanted));
        record.keep(
                line.campsite(),
                given.choices.get(advised.option()).setup(),
                advised,
                given.need,
                OffsetDateTime.now(clock));
        standing.change(null, wanted, network);
        return view();
    }
}
