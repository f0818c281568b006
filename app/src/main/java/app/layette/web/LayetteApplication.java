package app.layette.web;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.modulith.Modulithic;

/** The workbench as a web application. */
@Modulithic(systemName = "Layette")
@SpringBootApplication
public class LayetteApplication {
    public static void main(String[] arguments) {
        SpringApplication.run(LayetteApplication.class, arguments);
    }
}
