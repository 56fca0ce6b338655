package kelvo.cli;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** What holds for all modules; each has its own rules beside its own tests. */
class ModulesTest {
  private static final JavaClasses ALL =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .withImportOption(location -> !location.contains("-tests.jar"))
          .importPackages("kelvo");

  private static void usesNone(String module, String... below) {
    noClasses()
        .that()
        .resideInAPackage(module)
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage(below)
        .check(ALL);
  }

  @Test
  void modulesUseOnlyThoseAbove() {
    noClasses()
        .that()
        .resideOutsideOfPackages("kelvo.data..", "kelvo.sim..", "kelvo.desktop..", "kelvo.cli..")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("kelvo.data..", "kelvo.sim..", "kelvo.desktop..", "kelvo.cli..")
        .check(ALL);
    usesNone("kelvo.data..", "kelvo.sim..", "kelvo.desktop..", "kelvo.cli..");
    usesNone("kelvo.sim..", "kelvo.desktop..", "kelvo.cli..");
    usesNone("kelvo.desktop..", "kelvo.sim..", "kelvo.cli..");
  }

  @Test
  void noClassHasAVagueName() {
    noClasses()
        .should()
        .haveSimpleNameEndingWith("Manager")
        .orShould()
        .haveSimpleNameEndingWith("Helper")
        .orShould()
        .haveSimpleNameEndingWith("Util")
        .check(ALL);
  }
}
