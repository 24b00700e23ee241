package keyslate.core;

import static com.tngtech.archunit.base.DescribedPredicate.not;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAPackage;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAnyPackage;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.fields;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.methods;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** What the core may be made of. */
@AnalyzeClasses(packages = "keyslate.core", importOptions = DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule JDK_ONLY = classes()
            .should()
            .onlyDependOnClassesThat(resideInAnyPackage("keyslate.core..", "java.lang..", "java.util..", "java.io"))
            .because("the rules of the craft must be testable with nothing but the JDK");

    @ArchTest
    static final ArchRule NO_FILES_NO_CLOCK = noClasses()
            .should()
            .dependOnClassesThat(resideInAnyPackage("java.nio..", "java.sql..", "java.time..", "java.net..")
                    .or(resideInAPackage("java.io")
                            .and(not(com.tngtech.archunit.core.domain.JavaClass.Predicates.type(
                                    java.io.Serializable.class)))))
            .because("a computation must give the same answer at any time and place");

    @ArchTest
    static final ArchRule QUANTITIES_STAND_ALONE = noClasses()
            .that()
            .resideInAPackage("..core.quantity..")
            .should()
            .dependOnClassesThat(resideInAPackage("keyslate.core..").and(not(resideInAPackage("..core.quantity.."))))
            .because("value types are what everything else rests on");

    @ArchTest
    static final ArchRule NUMERIC_KNOWS_NO_PHOTOGRAPHY = noClasses()
            .that()
            .resideInAPackage("..core.numeric..")
            .should()
            .dependOnClassesThat(resideInAPackage("keyslate.core..").and(not(resideInAPackage("..core.numeric.."))))
            .because("interpolation and root finding are told apart from what they are used for");

    @ArchTest
    static final ArchRule NO_CYCLES = slices().matching("keyslate.core.(*)..")
            .should()
            .beFreeOfCycles()
            .because("a newcomer must be able to read one package after another");

    @ArchTest
    static final ArchRule ADVICE_NEVER_SEES_THE_TRUTH = noClasses()
            .that(not(resideInAnyPackage("..core.darkroom..", "..core.trial.world..")))
            .should()
            .dependOnClassesThat()
            .haveSimpleNameEndingWith("Truth")
            .because("advice that knew what the simulated paper really is would prove nothing");

    @ArchTest
    static final ArchRule THE_PRINTER_SEES_ONLY_PAPER = noClasses()
            .that()
            .resideInAPackage("..core.trial.printer..")
            .should()
            .dependOnClassesThat(resideInAnyPackage("..core.darkroom..", "..core.trial.world.."))
            .because("what the trial measures is worth nothing when its printer can look behind the paper");

    @ArchTest
    static final ArchRule NOTHING_RESTS_ON_THE_TRIAL = noClasses()
            .that(not(resideInAPackage("..core.trial..")))
            .should()
            .dependOnClassesThat(resideInAPackage("..core.trial.."))
            .because("the trial measures the advice and gives none");

    @ArchTest
    static final ArchRule NOTHING_CHANGES = fields().that()
            .areDeclaredInClassesThat(resideInAnyPackage("..core.quantity..", "..core.exposure..", "..core.size.."))
            .should()
            .beFinal()
            .because("values are immutable");

    @ArchTest
    static final ArchRule NO_BARE_VALUE =
            methods().should().notHaveName("value").because("a number leaves its type with its unit in the name");
}
