package keyslate.server;

import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAPackage;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAnyPackage;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.fields;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.methods;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noMethods;
import static com.tngtech.archunit.library.GeneralCodingRules.NO_CLASSES_SHOULD_USE_FIELD_INJECTION;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import org.springframework.web.bind.annotation.RestController;

/** What may use what between the modules and inside the server. */
@AnalyzeClasses(packages = "keyslate", importOptions = DoNotIncludeTests.class)
class ServerArchitectureTest {
    @ArchTest
    static final ArchRule STORE_BELOW_SERVER = noClasses()
            .that()
            .resideInAPackage("keyslate.store..")
            .should()
            .dependOnClassesThat(resideInAPackage("keyslate.server.."))
            .because("the store knows rows, not requests");

    @ArchTest
    static final ArchRule CORE_BELOW_ALL = noClasses()
            .that()
            .resideInAPackage("keyslate.core..")
            .should()
            .dependOnClassesThat(resideInAnyPackage("keyslate.server..", "keyslate.store.."))
            .because("the craft does not know where it is kept or shown");

    @ArchTest
    static final ArchRule SQL_IN_THE_STORE = noClasses()
            .that()
            .resideInAPackage("keyslate.server..")
            .should()
            .dependOnClassesThat(resideInAnyPackage("java.sql..", "org.springframework.jdbc..", "org.sqlite.."))
            .because("SQL is written by hand in one place");

    @ArchTest
    static final ArchRule CORE_TYPES_STAY_INSIDE = methods()
            .that()
            .areDeclaredInClassesThat()
            .areAnnotatedWith(RestController.class)
            .and()
            .areNotPrivate()
            .should()
            .notHaveRawReturnType(resideInAPackage("keyslate.core.."))
            .because("answers carry numbers with units in their names, never types of the core");

    @ArchTest
    static final ArchRule THE_TRUTH_STAYS_IN_THE_DARKROOM = noClasses()
            .that()
            .resideInAnyPackage("keyslate.server.decide..", "keyslate.server.test..", "keyslate.server.local..")
            .should()
            .dependOnClassesThat()
            .haveSimpleName("SimulatedPaperProcess")
            .because("advice that knew what the simulated paper really is would prove nothing");

    @ArchTest
    static final ArchRule TIME_IS_GIVEN = noClasses()
            .that()
            .resideInAPackage("keyslate.server..")
            .should()
            .callMethod(java.time.Instant.class, "now")
            .because("time comes from the one clock, so that tests can set it");

    @ArchTest
    static final ArchRule NO_FIELD_INJECTION = NO_CLASSES_SHOULD_USE_FIELD_INJECTION;

    @ArchTest
    static final ArchRule CONTROLLERS_ARE_NAMED = classes()
            .that()
            .areAnnotatedWith(RestController.class)
            .should()
            .haveSimpleNameEndingWith("Controller")
            .because("a newcomer looks for the door by its name");

    @ArchTest
    static final ArchRule NO_CYCLES = slices().matching("keyslate.server.(*)..")
            .should()
            .beFreeOfCycles()
            .because("a room that can only be understood with the next one is no room");

    @ArchTest
    static final ArchRule DOORS_LEAD_INWARD = noClasses()
            .should()
            .dependOnClassesThat()
            .areAnnotatedWith(RestController.class)
            .because("what a controller does for others belongs into a use case");

    @ArchTest
    static final ArchRule VIEWS_ARE_SHOWN = noClasses()
            .that()
            .resideInAnyPackage("keyslate.core..", "keyslate.store..")
            .should()
            .haveNameMatching(".*[a-z]Views?$")
            .because("the craft and the rows do not know how they are shown");

    @ArchTest
    static final ArchRule PLANNERS_PLAN = noMethods()
            .that()
            .haveName("plan")
            .should()
            .haveRawReturnType(new DescribedPredicate<JavaClass>("a view") {
                @Override
                public boolean test(JavaClass type) {
                    return type.getSimpleName().endsWith("View");
                }
            })
            .because("what a planner returned once was shown and stored at once");

    @ArchTest
    static final ArchRule CORE_TYPES_ARE_NEVER_WRITTEN_OUT = fields().that()
            .areDeclaredInClassesThat(new DescribedPredicate<JavaClass>("are written as JSON") {
                @Override
                public boolean test(JavaClass type) {
                    String name = type.getName();
                    return name.endsWith("View")
                            || name.endsWith("Answer")
                            || name.startsWith("keyslate.store.json.Stored")
                            || name.startsWith("keyslate.server.transfer.SlateFile$");
                }
            })
            .should()
            .haveRawType(new DescribedPredicate<JavaClass>("no type of the core's quantities") {
                @Override
                public boolean test(JavaClass type) {
                    return !type.getPackageName().startsWith("keyslate.core");
                }
            })
            .because("a renamed component of the core must not change a file or an answer");
}
