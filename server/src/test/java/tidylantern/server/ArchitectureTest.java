package tidylantern.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.zaxxer.hikari.SQLExceptionOverride;
import org.junit.jupiter.api.Test;

/** The dependency rules of docs/architecture.md, as far as they are the service's. */
class ArchitectureTest {
    private static final JavaClasses SERVER = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("tidylantern.server");

    @Test
    void sqlStandsInStoresAlone() {
        // The pool asks a class of ours what a failure means, and hands it the failure as JDBC has it.
        noClasses()
                .that()
                .haveNameNotMatching(".*Store(\\$.*)?")
                .and()
                .haveSimpleNameNotStartingWith("Stored")
                .and()
                .areNotAssignableTo(SQLExceptionOverride.class)
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.springframework.jdbc..", "java.sql..")
                .check(SERVER);
    }

    @Test
    void storesAreTheirFeaturesOwn() {
        classes()
                .that()
                .haveSimpleNameEndingWith("Store")
                .should()
                .bePackagePrivate()
                .check(SERVER);
    }

    @Test
    void featuresDoNotGoRoundInCircles() {
        slices().matching("tidylantern.server.(*)..").should().beFreeOfCycles().check(SERVER);
    }

    @Test
    void onlyAnswersAndIndexesTouchTheEngine() {
        noClasses()
                .that()
                .resideOutsideOfPackages(
                        "tidylantern.server.content..",
                        "tidylantern.server.answer..",
                        "tidylantern.server.draft..",
                        "tidylantern.server.visitor..",
                        "tidylantern.server.trial..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("tidylantern.core.query..", "tidylantern.core.index..", "org.apache.lucene..")
                .check(SERVER);
    }
}
