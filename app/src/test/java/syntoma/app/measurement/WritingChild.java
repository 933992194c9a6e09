package syntoma.app.measurement;

import jakarta.persistence.EntityManager;
import jakarta.persistence.EntityManagerFactory;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.concurrent.atomic.AtomicLong;
import org.springframework.boot.WebApplicationType;
import org.springframework.boot.autoconfigure.ImportAutoConfiguration;
import org.springframework.boot.autoconfigure.domain.EntityScan;
import org.springframework.boot.autoconfigure.flyway.FlywayAutoConfiguration;
import org.springframework.boot.autoconfigure.orm.jpa.HibernateJpaAutoConfiguration;
import org.springframework.boot.autoconfigure.transaction.TransactionAutoConfiguration;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.ComponentScan;
import org.springframework.context.annotation.FilterType;
import org.springframework.context.annotation.Import;
import org.springframework.orm.jpa.SharedEntityManagerCreator;
import syntoma.app.exchange.ExportService;
import syntoma.app.exchange.ImportService;
import syntoma.app.store.StoreConfig;
import syntoma.app.store.StoreFiles;
import syntoma.app.store.StoreStart;
import syntoma.core.reading.Figure;
import syntoma.core.reading.Rat;
import syntoma.core.trial.Outcome;

/**
 * The store and its services in a process of its own, to be killed. Says what is in the log ({@code have}), then writes from
 * several threads and says of each change, once it is acknowledged, what it was ({@code kept}, {@code gone}).
 */
@ImportAutoConfiguration({
    FlywayAutoConfiguration.class,
    HibernateJpaAutoConfiguration.class,
    TransactionAutoConfiguration.class
})
@EntityScan("syntoma.app")
@ComponentScan(
        basePackages = "syntoma.app",
        useDefaultFilters = false,
        includeFilters = @ComponentScan.Filter(type = FilterType.REGEX, pattern = WritingChild.PARTS))
@Import(StoreConfig.class)
class WritingChild {
    static final String PARTS = "syntoma\\.app\\.("
            + "campsite\\.(Campsites|Stays|StayTallies)|setup\\.Setups|need\\.Carriers|"
            + "measurement\\.(Deliveries|KnownTrials|Meanwhile|MeasurementLog|Intake|IntakeTurn|LogMoments|LogNames|LogRows)|"
            + "history\\.Journal|"
            + "exchange\\.(ImportNames|ImportService|Mappings|ExportService))";
    private static final int WRITERS = 3;
    private static final int ROWS_OF_A_FILE = 40;
    private static final OffsetDateTime START = OffsetDateTime.parse("2026-08-01T00:00:00+03:00");

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }

    @Bean
    EntityManager entities(EntityManagerFactory factory) {
        return SharedEntityManagerCreator.createSharedEntityManager(factory);
    }

    /** Arguments: the directory, and a number that no other run has. */
    public static void main(String[] args) throws Exception {
        StoreFiles files = new StoreFiles(Path.of(args[0]));
        files.prepare();
        new StoreStart(files).prepare();
        ConfigurableApplicationContext context = new SpringApplicationBuilder(WritingChild.class)
                .web(WebApplicationType.NONE)
                .bannerMode(org.springframework.boot.Banner.Mode.OFF)
                .run("--syntoma.data=" + files.dir());
        java.io.StringWriter all = new java.io.StringWriter();
        context.getBean(ExportService.class).write(all);
        all.toString().lines().skip(1).forEach(row -> say("have " + key(row)));
        say("ready");
        AtomicLong next = new AtomicLong(Long.parseLong(args[1]) * 1_000_000);
        for (int i = 0; i < WRITERS; i++) {
            new Thread(() -> write(context.getBean(MeasurementLog.class), next)).start();
        }
        new Thread(() -> importFiles(context.getBean(ImportService.class), next)).start();
    }

    private static synchronized void say(String line) {
        System.out.println(line);
        System.out.flush();
    }

    private static void write(MeasurementLog log, AtomicLong next) {
        Random random = new Random();
        while (true) {
            long number = next.incrementAndGet();
            NewMeasurement measurement = measurement(number, random);
            Long id = log.store(measurement, null).id();
            String key = measurement.takenAt() + " " + measurement.texts().get(Figure.NOTE);
            say("kept " + key);
            if (random.nextInt(4) == 0) {
                say("going " + key);
                log.delete(id);
                say("gone " + key);
            }
        }
    }

    private static void importFiles(ImportService imports, AtomicLong next) {
        while (true) {
            StringBuilder file = new StringBuilder("taken_at,campsite,setup,outcome,rsrp_dbm,note\n");
            StringBuilder kept = new StringBuilder();
            for (int i = 0; i < ROWS_OF_A_FILE; i++) {
                long number = next.incrementAndGet();
                String takenAt = START.plusSeconds(number).toString();
                file.append("%s,Camp %d,Whips,ok,-90,n%d\n".formatted(takenAt, number % 7, number));
                kept.append(i == 0 ? "" : "\n")
                        .append("kept ")
                        .append(takenAt)
                        .append(" n")
                        .append(number);
            }
            imports.importAll(new ByteArrayInputStream(file.toString().getBytes(StandardCharsets.UTF_8)));
            say(kept.toString());
        }
    }

    private static NewMeasurement measurement(long number, Random random) {
        Numbers numbers = new Numbers();
        numbers.put(Figure.RSRP_DBM, String.valueOf(-80 - random.nextInt(30)));
        return new NewMeasurement(
                START.plusSeconds(number),
                "Site " + number % 5,
                "",
                "",
                "Setup " + random.nextInt(4),
                "Ostrel",
                Optional.of(Rat.LTE),
                "B20",
                OptionalInt.empty(),
                numbers,
                Map.of(Figure.CELL_ID, "", Figure.SERVER, "", Figure.NOTE, "n" + number),
                Outcome.OK,
                "",
                OptionalInt.empty());
    }

    /** Time and note, which carries the number of the change; the rest of the row must be whole. */
    private static String key(String row) {
        String[] cells = row.split(",", -1);
        OffsetDateTime takenAt = OffsetDateTime.parse(cells[0]);
        String note = cells[cells.length - 1];
        boolean whole = cells.length == Figure.values().length
                && takenAt.isEqual(START.plusSeconds(Long.parseLong(note.substring(1))))
                && !cells[Figure.CAMPSITE.ordinal()].isEmpty()
                && !cells[Figure.RSRP_DBM.ordinal()].isEmpty();
        return (whole ? "" : "TORN ") + takenAt + " " + note;
    }
}
