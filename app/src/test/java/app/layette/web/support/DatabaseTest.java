package app.layette.web.support;

import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.context.SpringBootTest.WebEnvironment;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/** Tests against the real database with the demo data in it; all of them share one application. */
@SpringBootTest(webEnvironment = WebEnvironment.MOCK)
public abstract class DatabaseTest {
    private static final TestDatabase DATABASE = TestDatabase.create();

    @DynamicPropertySource
    static void database(DynamicPropertyRegistry properties) {
        properties.add("LAYETTE_DB_URL", DATABASE::url);
        properties.add("LAYETTE_DB_PASSWORD", DATABASE::password);
        properties.add("layette.mode", () -> "demo");
    }
}
