package kelvo.sim;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

class SimArchitectureTest {
  private static final JavaClasses SIM =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .withImportOption(location -> !location.contains("-tests.jar"))
          .importPackages("kelvo.sim");

  @Test
  void standsInForTheOutsideWithoutKnowingWhoAsks() {
    noClasses()
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage(
            "kelvo.desktop..", "kelvo.cli..", "kelvo.player..", "kelvo.view..", "javafx..")
        .check(SIM);
  }
}
