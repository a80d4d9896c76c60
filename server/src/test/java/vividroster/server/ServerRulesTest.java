package vividroster.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import org.springframework.stereotype.Repository;
import org.springframework.web.bind.annotation.RestController;

@AnalyzeClasses(packages = "vividroster", importOptions = ImportOption.DoNotIncludeTests.class)
class ServerRulesTest {

    @ArchTest
    static final ArchRule featuresFreeOfCircles = slices().matching("vividroster.server.(*)..")
            .should()
            .beFreeOfCycles()
            .because("a feature that leans on another must not be leaned on by it, or neither can be read alone");

    @ArchTest
    static final ArchRule platformKnowsNoFeature = noClasses()
            .that()
            .resideInAPackage("vividroster.server.platform..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "vividroster.server.account..",
                    "vividroster.server.board..",
                    "vividroster.server.demo..",
                    "vividroster.server.hearing..",
                    "vividroster.server.library..",
                    "vividroster.server.office..",
                    "vividroster.server.podium..",
                    "vividroster.server.roster..",
                    "vividroster.server.season..")
            .because("what all features stand on stands on none of them");

    @ArchTest
    static final ArchRule coreStandsAlone = noClasses()
            .that()
            .resideInAPackage("vividroster.core..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("vividroster.server..", "vividroster.formats..")
            .because("the rules are computed and tested without the application");

    @ArchTest
    static final ArchRule formatsKnowOnlyCore = noClasses()
            .that()
            .resideInAPackage("vividroster.formats..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("vividroster.server..", "org.springframework..", "java.sql..")
            .because("files are read and written without a server");

    @ArchTest
    static final ArchRule sqlOnlyInQueries = noClasses()
            .that()
            .haveSimpleNameNotEndingWith("Queries")
            .and()
            .resideOutsideOfPackage("vividroster.server.platform..")
            .and()
            .areNotMemberClasses()
            .should()
            .dependOnClassesThat()
            .resideInAPackage("org.springframework.jdbc..")
            .because("SQL is found beside the table group it belongs to and nowhere else");

    @ArchTest
    static final ArchRule queriesStayInTheirFeature = classes()
            .that()
            .haveSimpleNameEndingWith("Queries")
            .should()
            .bePackagePrivate()
            .andShould()
            .beAnnotatedWith(Repository.class)
            .because("other features ask the use cases, which know the rules");

    @ArchTest
    static final ArchRule controllersStayInTheirFeature = classes()
            .that()
            .areAnnotatedWith(RestController.class)
            .should()
            .bePackagePrivate()
            .because("nothing but HTTP calls a controller");

    @ArchTest
    static final ArchRule noOrm = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("jakarta.persistence..", "org.hibernate.Session..", "org.springframework.data..")
            .because("rows are read and written by SQL that can be seen");
}
