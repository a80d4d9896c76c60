package vividroster.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "vividroster.core", importOptions = ImportOption.DoNotIncludeTests.class)
class CoreRulesTest {

    @ArchTest
    static final ArchRule noCircles = slices().matching("vividroster.core.(*)..")
            .should()
            .beFreeOfCycles()
            .because("a rule is found in one place only when packages do not lean on one another in a ring");

    @ArchTest
    static final ArchRule noOutsideWorld = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "java.sql..",
                    "javax.sql..",
                    "java.io..",
                    "java.nio.file..",
                    "java.net..",
                    "org.springframework..",
                    "tools.jackson..",
                    "com.fasterxml..")
            .because("the core computes; files, databases and HTTP belong to formats and server");

    @ArchTest
    static final ArchRule noClock = noClasses()
            .should()
            .callMethodWhere(com.tngtech.archunit.core.domain.JavaCall.Predicates.target(
                    com.tngtech.archunit.core.domain.properties.HasName.Predicates.name("now")))
            .because("time is an argument, so that every day of the year can be computed again");
}
