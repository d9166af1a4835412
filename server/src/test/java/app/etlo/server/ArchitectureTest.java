package app.etlo.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

/** The server's packages are features, and none needs another that needs it. */
@AnalyzeClasses(packages = "app.etlo.server", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {
    @ArchTest
    static final ArchRule features_without_a_circle =
            slices().matching("app.etlo.server.(*)..").should().beFreeOfCycles();

    /** Rows are read and written through their feature's store, never by a page's controller. */
    @ArchTest
    static final ArchRule controllers_have_no_sql = noClasses()
            .that()
            .haveSimpleNameEndingWith("Controller")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("java.sql..", "javax.sql..", "org.springframework.jdbc..");
}
