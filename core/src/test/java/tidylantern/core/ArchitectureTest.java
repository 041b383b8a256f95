package tidylantern.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.library.Architectures.layeredArchitecture;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
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
}
