package app.layette.web.support;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.UUID;

/** A new, empty database in the throw-away cluster that {@code ./layette test} starts. */
public record TestDatabase(String url, String password) {
    public static final String USER = "layette";

    public static TestDatabase create() {
        String port = needed("LAYETTE_TEST_DB_PORT");
        String password = needed("LAYETTE_TEST_DB_PASSWORD");
        String name = "t_" + UUID.randomUUID().toString().replace("-", "");
        String server = "jdbc:postgresql://127.0.0.1:" + port + "/";
        try (Connection connection = DriverManager.getConnection(server + "postgres", USER, password);
                Statement statement = connection.createStatement()) {
            statement.execute("create database " + name);
        } catch (SQLException e) {
            throw new IllegalStateException("The test database cannot be made; run the tests with ./layette test", e);
        }
        return new TestDatabase(server + name, password);
    }

    private static String needed(String variable) {
        String value = System.getenv(variable);
        if (value == null) {
            throw new IllegalStateException(variable + " is not set; run the tests with ./layette test");
        }
        return value;
    }
}
