package vividroster.server;

import static com.tngtech.archunit.core.domain.JavaAccess.Predicates.target;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAPackage;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAnyPackage;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideOutsideOfPackage;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideOutsideOfPackages;
import static com.tngtech.archunit.core.domain.properties.HasName.Predicates.nameMatching;
import static com.tngtech.archunit.core.domain.properties.HasOwner.Predicates.With.owner;
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
            .dependOnClassesThat(resideInAPackage("vividroster.server..")
                    .and(resideOutsideOfPackage("vividroster.server.platform..")))
            .because("what all features stand on stands on none of them, whatever they are called");

    @ArchTest
    static final ArchRule coreStandsAlone = noClasses()
            .that()
            .resideInAPackage("vividroster.core..")
            .should()
            .dependOnClassesThat(resideInAPackage("vividroster..").and(resideOutsideOfPackage("vividroster.core..")))
            .because("the rules are computed and tested without the application");

    @ArchTest
    static final ArchRule formatsKnowOnlyCore = noClasses()
            .that()
            .resideInAPackage("vividroster.formats..")
            .should()
            .dependOnClassesThat(resideInAPackage("vividroster..")
                    .and(resideOutsideOfPackages("vividroster.formats..", "vividroster.core..")))
            .orShould()
            .dependOnClassesThat()
            .resideInAnyPackage("org.springframework..", "java.sql..")
            .because("files are read and written without a server");

    @ArchTest
    static final ArchRule oneClock = noClasses()
            .that()
            .doNotHaveFullyQualifiedName("vividroster.server.platform.CatalogConfig")
            .should()
            .callMethodWhere(target(nameMatching("now|systemUTC|systemDefaultZone|currentTimeMillis"))
                    .and(target(owner(resideInAnyPackage("java.time..", "java.lang..")))))
            .because("time comes from one clock, so that a test or a demo can set it");

    @ArchTest
    static final ArchRule ordersLieBelowHearingAndBoards = noClasses()
            .that()
            .resideInAPackage("vividroster.server.orders..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "vividroster.server.hearing..", "vividroster.server.board..", "vividroster.server.podium..")
            .because("what is set for whom is known without anybody being heard");

    @ArchTest
    static final ArchRule seasonKnowsNoPlan = noClasses()
            .that()
            .resideInAPackage("vividroster.core.season..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("vividroster.core.plan..")
            .because("a plan is made of calendar, orders and tracks, which do not know of plans");

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
    static final ArchRule controllersDecideNoOrder = noClasses()
            .that()
            .areAnnotatedWith(RestController.class)
            .should()
            .callMethodWhere(target(nameMatching("sorted|limit|max|min|skip"))
                    .and(target(owner(resideInAnyPackage("java.util.stream..")))))
            .because("what comes first and how much is shown is a rule, which the use case or core has");

    @ArchTest
    static final ArchRule noOrm = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("jakarta.persistence..", "org.hibernate.Session..", "org.springframework.data..")
            .because("rows are read and written by SQL that can be seen");
}
