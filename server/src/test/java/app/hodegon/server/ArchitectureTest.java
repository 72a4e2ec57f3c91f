package app.hodegon.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ImportOption.DoNotIncludeTests;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;

@AnalyzeClasses(packages = "app.hodegon.server", importOptions = DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule featuresDoNotReachIntoEachOthersRepositories = classes()
            .that()
            .haveSimpleNameEndingWith("Repository")
            .and()
            .resideInAPackage("app.hodegon.server..")
            .should(beUsedOnlyInTheirOwnPackage());

    @ArchTest
    static final ArchRule onlyRepositoriesTalkToTheDatabase = noClasses()
            .that()
            .resideOutsideOfPackage("app.hodegon.server.db..")
            .and()
            .haveSimpleNameNotEndingWith("Repository")
            .and()
            .haveSimpleNameNotEndingWith("Condition")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("org.jooq..");

    @ArchTest
    static final ArchRule noCycleRunsBetweenFeatures =
            slices().matching("app.hodegon.server.(*)..").should().beFreeOfCycles();

    private static ArchCondition<JavaClass> beUsedOnlyInTheirOwnPackage() {
        return new ArchCondition<>("be used only in their own package") {
            @Override
            public void check(JavaClass repository, ConditionEvents events) {
                repository.getDirectDependenciesToSelf().stream()
                        .filter(d -> !d.getOriginClass().getPackageName().equals(repository.getPackageName()))
                        .forEach(d -> events.add(SimpleConditionEvent.violated(repository, d.getDescription())));
            }
        };
    }
}
