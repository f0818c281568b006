package app.layette.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.jspecify.annotations.NullMarked;
import org.junit.jupiter.api.Test;
import org.springframework.modulith.core.ApplicationModules;

class ModularityTest {
    @Test
    void modulesKeepTheirBorders() {
        ApplicationModules.of(LayetteApplication.class).verify();
    }

    /** What may be null is said everywhere, and looked at by the compiler (decision 84). */
    @Test
    void nothingMayHoldNullUnsaid() {
        assertThat(new ClassFileImporter()
                                .withImportOption(new ImportOption.DoNotIncludeTests())
                                .withImportOption(from -> !from.contains("-tests.jar"))
                                .importPackages("app.layette.formats", "app.layette.web")
                                .stream()
                                .map(JavaClass::getPackage)
                                .filter(each -> !each.isAnnotatedWith(NullMarked.class))
                                .map(each -> each.getName())
                                .distinct())
                .isEmpty();
    }
}
