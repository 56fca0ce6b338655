package kelvo.architecture;

import static com.tngtech.archunit.core.domain.JavaCall.Predicates.target;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAPackage;
import static com.tngtech.archunit.core.domain.properties.HasName.Predicates.name;
import static com.tngtech.archunit.core.domain.properties.HasName.Predicates.nameStartingWith;
import static com.tngtech.archunit.core.domain.properties.HasOwner.Predicates.With.owner;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.core.importer.Location;
import java.util.Date;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class CoreArchitectureTest {
  private static final JavaClasses CORE =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .withImportOption(location -> !location.contains("-tests.jar"))
          .withImportOption(CoreArchitectureTest::isOfCore)
          .importPackages("kelvo");

  /** Tests of all modules may run on one class path. */
  private static boolean isOfCore(Location location) {
    return Stream.of("data", "sim", "desktop", "cli", "tests")
        .noneMatch(module -> location.contains("/kelvo/" + module + "/"));
  }

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
        .orShould()
        .callMethodWhere(
            target(owner(resideInAPackage("java.time..")))
                .and(target(name("now")).or(target(nameStartingWith("system")))))
        .orShould()
        .callConstructor(Date.class)
        .check(CORE);
  }

  @Test
  void noPackagesUseEachOther() {
    slices().matching("kelvo.(*)..").should().beFreeOfCycles().check(CORE);
  }
}
