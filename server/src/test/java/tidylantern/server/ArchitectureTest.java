package tidylantern.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.Source;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import com.zaxxer.hikari.SQLExceptionOverride;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
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
                .should(new ArchCondition<>("be asked by their feature alone") {
                    @Override
                    public void check(JavaClass store, ConditionEvents events) {
                        store.getDirectDependenciesToSelf().stream()
                                .filter(asked ->
                                        !feature(asked.getOriginClass()).equals(feature(store)))
                                .forEach(asked ->
                                        events.add(SimpleConditionEvent.violated(asked, asked.getDescription())));
                    }
                })
                .check(SERVER);
    }

    /** {@code content} for a class of {@code tidylantern.server.content.intake}. */
    private static String feature(JavaClass one) {
        return one.getPackageName().split("\\.")[2];
    }

    @Test
    void featuresDoNotGoRoundInCircles() {
        slices().matching("tidylantern.server.(*)..").should().beFreeOfCycles().check(SERVER);
    }

    @Test
    void roomsOfAFeaturePointOneWay() {
        slices().matching("tidylantern.server.(**)").should().beFreeOfCycles().check(SERVER);
    }

    @Test
    void noRoomHoldsMoreThanThirtyFiles() {
        Map<String, Set<String>> files = SERVER.stream()
                .collect(Collectors.groupingBy(
                        JavaClass::getPackageName,
                        Collectors.mapping(
                                one -> one.getSource()
                                        .flatMap(Source::getFileName)
                                        .orElse(one.getFullName()),
                                Collectors.toSet())));
        assertThat(files).allSatisfy((room, names) -> assertThat(names).as(room).hasSizeLessThanOrEqualTo(30));
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
