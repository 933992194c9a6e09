package syntoma.app.find;

import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import syntoma.app.campsite.Visit;
import syntoma.app.campsite.Visits;
import syntoma.app.measurement.LogSearch;
import syntoma.app.need.Carriers;
import syntoma.app.setup.Setups;
import syntoma.app.trial.Plans;
import syntoma.core.unit.DayText;

/** Searches everything by one word: what is named so first, then what was written so. */
@Service
@Transactional(readOnly = true)
class FindService {
    private static final int MOST_OF_A_KIND = 8;

    private final Visits visits;
    private final Setups setups;
    private final Carriers carriers;
    private final Plans trials;
    private final LogSearch log;

    FindService(Visits visits, Setups setups, Carriers carriers, Plans trials, LogSearch log) {
        this.visits = visits;
        this.setups = setups;
        this.carriers = carriers;
        this.trials = trials;
        this.log = log;
    }

    /**
     * Something that was found.
     *
     * @param kind stay, setup, carrier, trial or measurements
     * @param name what it is
     * @param says what of it has the word, or when it was
     * @param stay the number of the stay to look at; null for what belongs to none
     * @param campsite of a trial
     * @param id of a setup
     */
    record Hit(
            String kind,
            String name,
            String says,
            @Nullable Long stay,
            @Nullable String campsite,
            @Nullable Long id,
            @Nullable Visit visit) {}

    /**
     * All that was found.
     *
     * @param since notes of before were not looked through; null where all were
     */
    record FindView(List<Hit> hits, @Nullable OffsetDateTime since) {}

    FindView by(String text) {
        String wanted = text.strip().toLowerCase(Locale.ROOT);
        List<Visit> all = visits.all();
        Optional<DayText> day = DayText.of(wanted);
        List<Hit> hits = new ArrayList<>();
        add(
                hits,
                all.stream()
                        .filter(v -> has(v.campsite(), wanted)
                                || day.filter(d -> isDuring(v, d)).isPresent())
                        .map(v -> new Hit("stay", v.campsite(), "", v.id(), null, null, v)));
        add(
                hits,
                setups.all().stream()
                        .filter(s -> has(s.name(), wanted))
                        .map(s -> new Hit("setup", s.name(), "", null, null, s.id(), null)));
        add(
                hits,
                carriers.all().stream()
                        .filter(c -> has(c.name(), wanted))
                        .map(c -> new Hit("carrier", c.name(), "", null, null, null, null)));
        add(
                hits,
                trials.all().stream()
                        .filter(t -> has(t.trial().name(), wanted))
                        .map(t -> new Hit(
                                "trial",
                                t.trial().name(),
                                t.trial().campsite(),
                                null,
                                t.trial().campsite(),
                                null,
                                null)));
        LogSearch.Search search = log.byStay(wanted, MOST_OF_A_KIND);
        add(hits, noteHits(search.byStay(), all));
        return new FindView(hits, search.searchedSince().orElse(null));
    }

    /** Notes, bands and cells, counted by the stay that they were written at. */
    private static Stream<Hit> noteHits(Map<Long, LogSearch.LogHits> found, List<Visit> all) {
        return all.stream().filter(v -> found.containsKey(v.id())).map(v -> {
            LogSearch.LogHits f = found.get(v.id());
            String count = f.count() + (f.count() == 1 ? " measurement" : " measurements");
            return new Hit("measurements", v.campsite(), count + ": " + f.example(), v.id(), null, null, v);
        });
    }

    private static void add(List<Hit> hits, Stream<Hit> more) {
        more.limit(MOST_OF_A_KIND).forEach(hits::add);
    }

    private static boolean has(String name, String wanted) {
        return name.toLowerCase(Locale.ROOT).contains(wanted);
    }

    private static boolean isDuring(Visit visit, DayText day) {
        LocalDate from = visit.arrivedAt().toLocalDate();
        LocalDate to = (visit.leftAt() == null ? visit.arrivedAt() : visit.leftAt()).toLocalDate();
        return from.datesUntil(to.plusDays(1)).anyMatch(day::matches);
    }
}
