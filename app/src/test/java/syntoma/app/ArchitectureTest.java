package syntoma.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import jakarta.persistence.Entity;
import org.springframework.web.bind.annotation.RestController;

/** Rooms and doors: what may know what. */
@AnalyzeClasses(packages = "syntoma", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule CORE_STANDS_ALONE = classes()
            .that()
            .resideInAPackage("syntoma.core..")
            .should()
            .onlyDependOnClassesThat()
            .resideInAnyPackage(
                    "syntoma.core..",
                    "java..",
                    "org.hipparchus..",
                    "org.apache.commons.text..",
                    "net.sf.geographiclib..",
                    "org.jgrapht..",
                    "org.jspecify..");

    @ArchTest
    static final ArchRule CORE_READS_NO_CLOCK = noClasses()
            .that()
            .resideInAPackage("syntoma.core..")
            .should()
            .callMethod(java.time.Instant.class, "now")
            .orShould()
            .callMethod(System.class, "currentTimeMillis");

    @ArchTest
    static final ArchRule NO_CYCLES =
            slices().matching("syntoma.(app|core).(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule ENTITIES_STAY_AT_HOME =
            classes().that().areAnnotatedWith(Entity.class).should().bePackagePrivate();

    @ArchTest
    static final ArchRule CONTROLLERS_HOLD_NO_RULES = noClasses()
            .that()
            .areAnnotatedWith(RestController.class)
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("jakarta.persistence..", "syntoma.core.verdict..");

    @ArchTest
    static final ArchRule FEATURES_NEED_NO_BOOKS_OF_OTHERS = noClasses()
            .that()
            .resideOutsideOfPackages("syntoma.app.store..", "syntoma.app.setup..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("java.sql..");

    @ArchTest
    static final ArchRule CSV_IS_READ_AND_WRITTEN_IN_ONE_PLACE = noClasses()
            .that()
            .resideInAPackage("syntoma.app..")
            .and()
            .resideOutsideOfPackage("syntoma.app.csv..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("org.apache.commons.csv..");
}
