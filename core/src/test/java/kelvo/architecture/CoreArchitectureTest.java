package kelvo.architecture;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

class CoreArchitectureTest {
  private static final JavaClasses CORE =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .importPackages("kelvo");

  @Test
  void coreNeedsTheJdkOnly() {
    classes()
        .should()
        .onlyDependOnClassesThat()
        .resideInAnyPackage("kelvo..", "java..", "org.jspecify..")
        .check(CORE);
  }

  @Test
  void coreReadsNoFilesAndNoNetwork() {
    noClasses()
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("java.io..", "java.nio.file..", "java.net..", "java.sql..")
        .check(CORE);
  }

  @Test
  void coreNeverAsksTheWallClock() {
    noClasses()
        .should()
        .callMethod(System.class, "nanoTime")
        .orShould()
        .callMethod(System.class, "currentTimeMillis")
        .check(CORE);
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
        .check(CORE);
  }
}
