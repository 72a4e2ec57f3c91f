package app.hodegon.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "app.hodegon.core", importOptions = DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule knowsNoFramework = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "org.springframework..", "org.jooq..", "java.sql..", "com.fasterxml.jackson.annotation..");

    @ArchTest
    static final ArchRule readsJsonOnlyInTheLibrary = noClasses()
            .that()
            .resideOutsideOfPackage("app.hodegon.core.drill")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("tools.jackson..");

    @ArchTest
    static final ArchRule packagesFormNoCycle =
            slices().matching("app.hodegon.core.(*)..").should().beFreeOfCycles();
}
