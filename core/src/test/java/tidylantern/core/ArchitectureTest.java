package tidylantern.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.Source;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.library.Architectures.LayeredArchitecture;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** The dependency rules of docs/architecture.md, as far as they are the core's. */
class ArchitectureTest {
    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("tidylantern.core");

    @Test
    void coreKnowsNothingButTheJdkLuceneAndACache() {
        classes()
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage(
                        "tidylantern.core..",
                        "java..",
                        "org.apache.lucene..",
                        "org.tartarus.snowball..",
                        "com.github.benmanes.caffeine..",
                        "org.jspecify..")
                .check(CORE);
    }

    @Test
    void packagesPointOneWay() {
        layeredArchitecture()
                .consideringOnlyDependenciesInLayers()
                .layer("content")
                .definedBy("tidylantern.core.content..")
                .layer("design")
                .definedBy("tidylantern.core.design..")
                .layer("index")
                .definedBy("tidylantern.core.index..")
                .layer("place")
                .definedBy("tidylantern.core.place..")
                .layer("query")
                .definedBy("tidylantern.core.query..")
                .layer("trial")
                .definedBy("tidylantern.core.trial..")
                .layer("mapping")
                .definedBy("tidylantern.core.mapping..")
                .layer("health")
                .definedBy("tidylantern.core.health..")
                .layer("embedding")
                .definedBy("tidylantern.core.embedding..")
                .whereLayer("embedding")
                .mayNotBeAccessedByAnyLayer()
                .layer("proposal")
                .definedBy("tidylantern.core.proposal..")
                .whereLayer("proposal")
                .mayNotBeAccessedByAnyLayer()
                .whereLayer("mapping")
                .mayNotBeAccessedByAnyLayer()
                .whereLayer("health")
                .mayNotBeAccessedByAnyLayer()
                .whereLayer("trial")
                .mayNotBeAccessedByAnyLayer()
                .whereLayer("query")
                .mayOnlyBeAccessedByLayers("trial", "proposal")
                .whereLayer("design")
                .mayOnlyBeAccessedByLayers("query", "trial", "proposal")
                .whereLayer("index")
                .mayOnlyBeAccessedByLayers("place", "query", "proposal")
                .whereLayer("place")
                .mayOnlyBeAccessedByLayers("query", "mapping")
                .whereLayer("content")
                .mayOnlyBeAccessedByLayers(
                        "design", "index", "query", "trial", "mapping", "health", "proposal", "embedding")
                .check(CORE);
    }

    /** What a query means, its filters, order, help and why: each room knows those before it alone. */
    @Test
    void roomsOfTheEnginePointOneWay() {
        List<String> rooms =
                List.of("compiled", "words", "place", "filter", "order", "help", "listing", "why", "engine");
        LayeredArchitecture layers = layeredArchitecture().consideringOnlyDependenciesInLayers();
        for (String room : rooms) {
            layers = layers.layer(room).definedBy("tidylantern.core.query" + (room.equals("engine") ? "" : "." + room));
        }
        for (String room : rooms) {
            List<String> after = rooms.subList(rooms.indexOf(room) + 1, rooms.size());
            layers = after.isEmpty()
                    ? layers.whereLayer(room).mayNotBeAccessedByAnyLayer()
                    : layers.whereLayer(room).mayOnlyBeAccessedByLayers(after.toArray(String[]::new));
        }
        layers.check(CORE);
    }

    @Test
    void noRoomHoldsMoreThanThirtyFiles() {
        Map<String, Set<String>> files = CORE.stream()
                .collect(Collectors.groupingBy(
                        JavaClass::getPackageName,
                        Collectors.mapping(
                                one -> one.getSource()
                                        .flatMap(Source::getFileName)
                                        .orElse(one.getFullName()),
                                Collectors.toSet())));
        assertThat(files).allSatisfy((room, names) -> assertThat(names).as(room).hasSizeLessThanOrEqualTo(30));
    }
}
