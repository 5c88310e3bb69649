package app.clearpane.web;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.markup.Place;
import app.clearpane.core.viewer.AllPanes;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.formats.compare.PdfWords;
import app.clearpane.formats.compare.Rasters;
import app.clearpane.formats.deliverable.SheetPicture;
import app.clearpane.formats.deliverable.Texts;
import app.clearpane.formats.deliverable.Work;
import app.clearpane.formats.markup.MarkedSheet;
import app.clearpane.formats.markup.PdfAnnotations;
import app.clearpane.formats.markup.SameDocument;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.core.importer.Location;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchCondition;
import com.tngtech.archunit.lang.ArchRule;
import com.tngtech.archunit.lang.ConditionEvents;
import com.tngtech.archunit.lang.SimpleConditionEvent;
import java.io.File;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import javax.imageio.ImageIO;
import org.springframework.stereotype.Controller;

/** The directions in which the house's floors and rooms may know each other. */
@AnalyzeClasses(
        packages = "app.clearpane",
        importOptions = {ImportOption.DoNotIncludeTests.class, HouseRulesTest.OnlyWhatIsWritten.class})
class HouseRulesTest {
    /** Leaves out what packaging generates beside the classes of this house. */
    static final class OnlyWhatIsWritten implements ImportOption {
        @Override
        public boolean includes(Location location) {
            return !location.contains("__");
        }
    }

    /** By whatever annotation, so that those of the team's pages are seen too. */
    private static final com.tngtech.archunit.base.DescribedPredicate<JavaClass> ARE_CONTROLLERS =
            com.tngtech.archunit.base.DescribedPredicate.describe(
                    "are controllers",
                    type -> type.isAnnotatedWith(Controller.class) || type.isMetaAnnotatedWith(Controller.class));

    @ArchTest
    static final ArchRule CORE_IS_PLAIN = classes()
            .that()
            .resideInAPackage("app.clearpane.core..")
            .should()
            .onlyDependOnClassesThat()
            .resideInAnyPackage(
                    "app.clearpane.core..",
                    "java..",
                    "org.jspecify..",
                    "org.erdtman.jcs..",
                    "tools.jackson.core..",
                    "org.jtransforms..",
                    "pl.edu.icm..",
                    "org.locationtech.jts..",
                    "com.github.difflib..");

    @ArchTest
    static final ArchRule STORE_KNOWS_THE_CORE_ONLY = noClasses()
            .that()
            .resideInAPackage("app.clearpane.store..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "app.clearpane.web..",
                    "app.clearpane.usecases..",
                    "app.clearpane.formats..",
                    "org.springframework..",
                    "jakarta.servlet..");

    @ArchTest
    static final ArchRule FORMATS_KNOW_THE_CORE_ONLY = noClasses()
            .that()
            .resideInAPackage("app.clearpane.formats..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "app.clearpane.web..",
                    "app.clearpane.usecases..",
                    "app.clearpane.store..",
                    "org.springframework..",
                    "org.jooq..");

    @ArchTest
    static final ArchRule USE_CASES_KNOW_NOTHING_OF_PAGES = noClasses()
            .that()
            .resideInAPackage("app.clearpane.usecases..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "app.clearpane.web..",
                    "org.springframework.web..",
                    "org.springframework.http..",
                    "org.springframework.ui..",
                    "org.thymeleaf..",
                    "jakarta.servlet..");

    @ArchTest
    static final ArchRule WHAT_RUNS_FOR_REAL_KNOWS_NOTHING_OF_THE_DEMO = noClasses()
            .that()
            .resideOutsideOfPackage("app.clearpane.demo..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("app.clearpane.demo..");

    @ArchTest
    static final ArchRule SQL_STAYS_IN_THE_STORE = noClasses()
            .that()
            .resideInAnyPackage("app.clearpane.web..", "app.clearpane.usecases..")
            .and()
            .doNotHaveSimpleName("StoreConfiguration")
            .and()
            .doNotHaveSimpleName("Verify")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("org.jooq..", "app.clearpane.store.schema..");

    @ArchTest
    static final ArchRule CORE_ROOMS_HAVE_NO_CIRCLES =
            slices().matching("app.clearpane.core.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule STORE_ROOMS_HAVE_NO_CIRCLES =
            slices().matching("app.clearpane.store.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule USE_CASES_ROOMS_HAVE_NO_CIRCLES =
            slices().matching("app.clearpane.usecases.(**)").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule PAGES_ROOMS_HAVE_NO_CIRCLES =
            slices().matching("app.clearpane.web.(**)").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule CLIENT_PAGES_KNOW_NOTHING_OF_THE_TEAMS = noClasses()
            .that()
            .resideInAPackage("app.clearpane.web..client..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("app.clearpane.web..team..");

    @ArchTest
    static final ArchRule TEAM_PAGES_KNOW_NOTHING_OF_THE_CLIENTS = noClasses()
            .that()
            .resideInAPackage("app.clearpane.web..team..")
            .should()
            .dependOnClassesThat()
            .resideInAPackage("app.clearpane.web..client..");

    @ArchTest
    static final ArchRule FORMATS_ROOMS_HAVE_NO_CIRCLES =
            slices().matching("app.clearpane.formats.(*)..").should().beFreeOfCycles();

    /** What asks for more than seven things is two things; those that still are, by name. The list only shrinks. */
    private static final Set<String> STILL_TWO_THINGS = Set.of("Cast", "PlanStory");

    private static boolean asksForTooMuch(JavaClass type) {
        return !type.isAssignableTo(Record.class)
                && type.getConstructors().stream()
                        .anyMatch(made -> made.getRawParameterTypes().size() > 7);
    }

    @ArchTest
    static void nothingAsksForMoreThanSevenThings(JavaClasses house) {
        assertThat(house.stream()
                        .filter(type -> type.getPackageName().startsWith("app.clearpane"))
                        .filter(type -> type.isTopLevelClass() && !type.isEnum() && asksForTooMuch(type))
                        .map(JavaClass::getSimpleName))
                .containsExactlyInAnyOrderElementsOf(STILL_TWO_THINGS);
    }

    @ArchTest
    static void noRoomIsCrowded(JavaClasses house) {
        assertThat(house.stream()
                        .filter(type -> type.isTopLevelClass()
                                && type.getPackageName().startsWith("app.clearpane")
                                && !type.getPackageName().contains(".schema"))
                        .collect(Collectors.groupingBy(JavaClass::getPackageName, Collectors.counting())))
                .allSatisfy((room, files) -> assertThat(files).as(room).isLessThanOrEqualTo(26));
    }

    @ArchTest
    static final ArchRule CLIENT_PAGES_USE_THE_CLIENTS_DOOR = noClasses()
            .that()
            .resideInAPackage("app.clearpane.web..client..")
            .should()
            .dependOnClassesThat(
                    new com.tngtech.archunit.base.DescribedPredicate<JavaClass>("are repositories of the team") {
                        @Override
                        public boolean test(JavaClass type) {
                            return type.getPackageName().startsWith("app.clearpane.store")
                                    && !type.getPackageName().endsWith(".client")
                                    && type.getFields().stream()
                                            .anyMatch(f ->
                                                    f.getRawType().getName().equals("org.jooq.DSLContext"))
                                    && !type.getSimpleName().equals("Drawings");
                        }
                    });

    @ArchTest
    static final ArchRule TEAM_PAGES_LEAVE_THE_CLIENTS_ALONE = noClasses()
            .that()
            .resideOutsideOfPackage("..client..")
            .and(ARE_CONTROLLERS)
            .should()
            .dependOnClassesThat()
            .resideInAPackage("app.clearpane.web..client..");

    @ArchTest
    static final ArchRule CLIENT_READINGS_NEED_A_VIEWER = classes()
            .that()
            .resideInAPackage("app.clearpane.store..client..")
            .and()
            .haveSimpleNameStartingWith("Visible")
            .and()
            .doNotHaveSimpleName("VisibleTo")
            .should(new ArchCondition<>("take a Viewer, or all panes of one, in every public method") {
                @Override
                public void check(JavaClass type, ConditionEvents events) {
                    type.getMethods().stream()
                            .filter(method -> method.getModifiers().contains(JavaModifier.PUBLIC)
                                    && !method.getModifiers().contains(JavaModifier.SYNTHETIC))
                            .forEach(method -> events.add(new SimpleConditionEvent(
                                    method,
                                    method.getRawParameterTypes().stream()
                                            .anyMatch(p ->
                                                    p.isEquivalentTo(Viewer.class) || p.isEquivalentTo(AllPanes.class)),
                                    method.getFullName())));
                }
            });

    @ArchTest
    static final ArchRule ONLY_THE_CLOCK_TELLS_THE_TIME = noClasses()
            .that()
            .resideOutsideOfPackage("..demo..")
            .should()
            .callMethod(java.time.Instant.class, "now")
            .orShould()
            .callMethod(java.time.LocalDate.class, "now");

    @ArchTest
    static final ArchRule FILES_ARE_OPENED_APART = noClasses()
            .that()
            .resideInAnyPackage("app.clearpane.web..", "app.clearpane.usecases..", "app.clearpane.store..")
            .should()
            .dependOnClassesThat()
            .belongToAnyOf(
                    Rasters.class,
                    PdfWords.class,
                    PdfAnnotations.class,
                    SameDocument.class,
                    SheetPicture.class,
                    Texts.class)
            .orShould()
            .callMethod(Work.class, "open", Path.class, String.class)
            .orShould()
            .callMethod(Work.class, "known", Path.class, String.class)
            .orShould()
            .callMethod(MarkedSheet.class, "png", Path.class, List.class)
            .orShould()
            .callMethod(MarkedSheet.class, "cutOut", Path.class, Place.class, int.class)
            .orShould()
            .callMethod(ImageIO.class, "read", File.class)
            .orShould()
            .callMethod(ImageIO.class, "read", InputStream.class)
            .orShould()
            .dependOnClassesThat()
            .resideInAnyPackage("org.apache.pdfbox..", "org.apache.poi..");
}
