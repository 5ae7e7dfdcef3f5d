package whipsaw.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** The core knows nothing of servers, stores and pages, and its stages are read one way. */
class ArchitectureTest {
    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("whipsaw.core");

    @Test
    void noServerNoStoreNoPagesNoApplication() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "org.springframework..",
                        "java.sql..",
                        "javax.sql..",
                        "org.jooq..",
                        "org.sqlite..",
                        "org.thymeleaf..",
                        "jakarta..",
                        "tools.jackson..",
                        "com.openhtmltopdf..",
                        "whipsaw.app..")
                .check(CORE);
    }

    @Test
    void noStageReadsALaterOne() {
        String[] stages = {
            "roof",
            "site",
            "array",
            "holddown",
            "circuit",
            "run",
            "energy",
            "structure",
            "build",
            "survey",
            "design",
            "section",
            "explore"
        };
        for (int i = 0; i < stages.length; i++) {
            for (int later = i + 1; later < stages.length; later++) {
                noClasses()
                        .that()
                        .resideInAPackage("whipsaw.core." + stages[i] + "..")
                        .should()
                        .dependOnClassesThat()
                        .resideInAPackage("whipsaw.core." + stages[later] + "..")
                        .check(CORE);
            }
        }
    }
}
