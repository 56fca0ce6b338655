package kelvo.desktop;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

class DesktopArchitectureTest {
  private static final JavaClasses DESKTOP =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .withImportOption(location -> !location.contains("-tests.jar"))
          .importPackages("kelvo.desktop");

  @Test
  void noPackagesUseEachOther() {
    slices().matching("kelvo.desktop.(*)..").should().beFreeOfCycles().check(DESKTOP);
  }

  @Test
  void theShellIsOnTopAndUsedByNobody() {
    noClasses()
        .that()
        .resideOutsideOfPackage("kelvo.desktop.shell")
        .should()
        .dependOnClassesThat()
        .resideInAPackage("kelvo.desktop.shell")
        .check(DESKTOP);
  }

  @Test
  void knowsNoStandInAndNoCommand() {
    noClasses()
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("kelvo.sim..", "kelvo.cli..")
        .check(DESKTOP);
  }

  @Test
  void speaksToNoServerAndNoDatabaseItself() {
    noClasses()
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("java.net.http..", "java.sql..", "org.jdbi..", "org.sqlite..")
        .check(DESKTOP);
  }
}
