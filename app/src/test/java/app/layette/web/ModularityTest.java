package app.layette.web;

import org.junit.jupiter.api.Test;
import org.springframework.modulith.core.ApplicationModules;

class ModularityTest {
    @Test
    void modulesKeepTheirBorders() {
        ApplicationModules.of(LayetteApplication.class).verify();
    }
}
