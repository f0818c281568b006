package app.layette.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Fact;
import app.layette.core.rule.Rule;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import org.jspecify.annotations.NullMarked;

@AnalyzeClasses(packages = "app.layette.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule CORE_IS_PLAIN_JAVA = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "org.springframework..",
                    "tools.jackson..",
                    "com.fasterxml..",
                    "jakarta..",
                    "javax.sql..",
                    "java.sql..",
                    "org.hibernate..");

    @ArchTest
    static final ArchRule CORE_KNOWS_NO_CLOCK = noClasses()
            .should()
            .callMethod(java.time.LocalDate.class, "now")
            .orShould()
            .callMethod(java.time.Instant.class, "now")
            .orShould()
            .callMethod(System.class, "currentTimeMillis");

    /** The log holds facts of every kind: what its part leaves out, a rule does not take from there either (decision 81). */
    @ArchTest
    static final ArchRule RULES_KEEP_TO_THEIR_PART = noClasses()
            .that()
            .areAssignableTo(Rule.OfPapers.class)
            .or()
            .areAssignableTo(Rule.OfChild.class)
            .or()
            .areAssignableTo(Rule.OfRestraint.class)
            .should()
            .dependOnClassesThat()
            .belongToAnyOf(
                    Fact.Placed.class,
                    Fact.RollPlaced.class,
                    Fact.DeviceSet.class,
                    Fact.LevelRead.class,
                    Fact.AngleRead.class,
                    Fact.GroundMeasured.class,
                    Fact.SillsRead.class,
                    Fact.LeanMeasured.class,
                    Fact.CushionMeasured.class);

    /** What may be null is said everywhere, and looked at by the compiler (decision 84). */
    @ArchTest
    static void nothingMayHoldNullUnsaid(JavaClasses classes) {
        assertThat(classes.stream()
                        .map(JavaClass::getPackage)
                        .filter(each -> !each.isAnnotatedWith(NullMarked.class))
                        .map(each -> each.getName().replace("app.layette.core.", ""))
                        .distinct())
                .isEmpty();
    }

    @ArchTest
    static final ArchRule PACKAGES_HAVE_NO_CYCLES =
            slices().matching("app.layette.core.(*)..").should().beFreeOfCycles();
}
