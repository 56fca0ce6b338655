package kelvo.data;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import kelvo.data.fault.PlainReason;
import org.junit.jupiter.api.Test;

class DataArchitectureTest {
  private static final JavaClasses DATA =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .withImportOption(location -> !location.contains("-tests.jar"))
          .importPackages("kelvo.data");

  @Test
  void noPackagesUseEachOther() {
    slices().matching("kelvo.data.(*)..").should().beFreeOfCycles().check(DATA);
  }

  @Test
  void knowsNoWindowAndNoCommand() {
    noClasses()
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("kelvo.sim..", "kelvo.desktop..", "kelvo.cli..", "javafx..")
        .check(DATA);
  }

  @Test
  void onlyTheLedgerAndTheFolderSpeakSql() {
    noClasses()
        .that()
        .resideOutsideOfPackages("kelvo.data.ledger", "kelvo.data.folder")
        .and()
        .doNotBelongToAnyOf(PlainReason.class)
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("java.sql..", "org.jdbi..", "org.sqlite..", "org.duckdb..")
        .check(DATA);
  }
}
