package app.etlo.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noFields;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;

/** The floors of the house: a room imports only rooms above it, and the core knows no framework. */
@AnalyzeClasses(packages = "app.etlo.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    /** From the top down; the rooms of {@code plan} know all above them. */
    private static final List<String> ROOMS = List.of(
            "quantity",
            "change",
            "working",
            "knowledge",
            "field",
            "weather",
            "rotation",
            "mix",
            "ground",
            "termination",
            "grazing",
            "tillage",
            "nitrogen",
            "advice",
            "plan.document",
            "plan.timeline",
            "plan.growth",
            "plan.chapter",
            "plan.shown",
            "plan.asked");

    @TestFactory
    List<DynamicTest> a_room_imports_only_rooms_above_it() {
        JavaClasses core = new ClassFileImporter()
                .withImportOption(new ImportOption.DoNotIncludeTests())
                .importPackages("app.etlo.core");
        List<DynamicTest> tests = new ArrayList<>();
        for (int i = 0; i < ROOMS.size() - 1; i++) {
            String room = ROOMS.get(i);
            String[] below = ROOMS.subList(i + 1, ROOMS.size()).stream()
                    .map(r -> "app.etlo.core." + r + "..")
                    .toArray(String[]::new);
            tests.add(DynamicTest.dynamicTest(
                    room,
                    () -> noClasses()
                            .that()
                            .resideInAPackage("app.etlo.core." + room + "..")
                            .should()
                            .dependOnClassesThat()
                            .resideInAnyPackage(below)
                            .check(core)));
        }
        return tests;
    }

    @ArchTest
    static final ArchRule every_class_stands_in_a_room = classes()
            .should()
            .resideInAnyPackage(ROOMS.stream().map(r -> "app.etlo.core." + r).toArray(String[]::new));

    @ArchTest
    static final ArchRule no_framework_interface_http_or_sql = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "org.springframework..",
                    "jakarta..",
                    "javax.sql..",
                    "java.sql..",
                    "java.net.http..",
                    "org.hibernate..",
                    "java.awt..");

    @ArchTest
    static final ArchRule no_static_state = noFields()
            .that()
            .areStatic()
            .and()
            .doNotHaveModifier(JavaModifier.SYNTHETIC)
            .should()
            .notBeFinal();

    @ArchTest
    static final ArchRule no_hidden_clock = noClasses()
            .should()
            .callMethod(java.time.LocalDate.class, "now")
            .orShould()
            .callMethod(System.class, "currentTimeMillis")
            .orShould()
            .callMethod(java.time.Instant.class, "now")
            .orShould()
            .callMethod(Math.class, "random");

    @ArchTest
    static final ArchRule words_of_the_trade = noClasses()
            .should()
            .haveSimpleNameEndingWith("Util")
            .orShould()
            .haveSimpleNameEndingWith("Utils")
            .orShould()
            .haveSimpleNameEndingWith("Manager")
            .orShould()
            .haveSimpleNameEndingWith("Helper")
            .orShould()
            .haveSimpleNameEndingWith("Impl");
}
