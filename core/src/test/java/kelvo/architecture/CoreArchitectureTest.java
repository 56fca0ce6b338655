package kelvo.architecture;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "kelvo", importOptions = ImportOption.DoNotIncludeTests.class)
class CoreArchitectureTest {
  @ArchTest
  static final ArchRule coreNeedsTheJdkOnly =
      classes()
          .should()
          .onlyDependOnClassesThat()
          .resideInAnyPackage("kelvo..", "java..", "org.jspecify..");

  @ArchTest
  static final ArchRule coreReadsNoFilesAndNoWallClock =
      noClasses()
          .should()
          .dependOnClassesThat()
          .resideInAnyPackage(
              "java.io..", "java.nio.file..", "java.net..", "java.sql..", "java.time.chrono..")
          .orShould()
          .callMethod(System.class, "nanoTime")
          .orShould()
          .callMethod(System.class, "currentTimeMillis");

  @ArchTest
  static final ArchRule noVagueNames =
      noClasses()
          .should()
          .haveSimpleNameEndingWith("Manager")
          .orShould()
          .haveSimpleNameEndingWith("Helper")
          .orShould()
          .haveSimpleNameEndingWith("Util");
}
