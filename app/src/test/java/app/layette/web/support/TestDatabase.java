package app.layette.web.support;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.UUID;

/** A new, empty database in the throw-away cluster that {@code ./layette test} starts. */
public record TestDatabase(String port, String name, String password) {
    public static final String USER = "layette";

    public static TestDatabase create() {
        String port = needed("LAYETTE_TEST_DB_PORT");
        String password = needed("LAYETTE_TEST_DB_PASSWORD");
        String name = "t_" + UUID.randomUUID().toString().replace("-", "");
        return create(port, password, name);
    }

    /** One of a name that others find it by; empty where nobody has kept it yet, which {@link #keep} does. */
    static TestDatabase named(String name) {
        return new TestDatabase(needed("LAYETTE_TEST_DB_PORT"), name, needed("LAYETTE_TEST_DB_PASSWORD"));
    }

    /** Whether what was in it has been kept, for {@link #another}. */
    boolean isKept() {
        String server = "jdbc:postgresql://127.0.0.1:" + port + "/postgres";
        try (Connection connection = DriverManager.getConnection(server, USER, password);
                PreparedStatement statement =
                        connection.prepareStatement("select 1 from pg_database where datname = ?")) {
            statement.setString(1, name + "_kept");
            return statement.executeQuery().next();
        } catch (SQLException e) {
            throw new IllegalStateException("The databases cannot be listed", e);
        }
    }

    /** Takes it away, where it is there. */
    void drop() {
        onServer("drop database if exists " + name + " with (force)");
    }

    /** A new, empty database in a cluster of somebody's own. */
    public static TestDatabase create(String port, String password, String name) {
        TestDatabase made = new TestDatabase(port, name, password);
        made.onServer("create database " + name, ofItsOwnerAlone(name));
        return made;
    }

    /** A database of its own with what another one kept. */
    public TestDatabase another() {
        TestDatabase made =
                new TestDatabase(port, "t_" + UUID.randomUUID().toString().replace("-", ""), password);
        made.onServer("create database " + made.name + " template " + name + "_kept", ofItsOwnerAlone(made.name));
        return made;
    }

    public String url() {
        return "jdbc:postgresql://127.0.0.1:" + port + "/" + name;
    }

    /** Keeps what is in it now; {@link #restore} brings that back. Whoever is connected is thrown out. */
    public void keep() {
        onServer(
                "alter database " + name + " allow_connections false",
                "select pg_terminate_backend(pid) from pg_stat_activity where datname = '" + name + "'",
                "create database " + name + "_kept template " + name,
                "alter database " + name + " allow_connections true");
    }

    /** As it was kept. Whoever is connected is thrown out and finds it again under the same name. */
    public void restore() {
        onServer(
                "drop database " + name + " with (force)",
                "create database " + name + " template " + name + "_kept",
                ofItsOwnerAlone(name));
    }

    /** As every real one is: the role behind the wall has no rights that it was not given. */
    private static String ofItsOwnerAlone(String name) {
        return "revoke all on database " + name + " from public";
    }

    private void onServer(String... statements) {
        String server = "jdbc:postgresql://127.0.0.1:" + port + "/postgres";
        try (Connection connection = DriverManager.getConnection(server, USER, password);
                Statement statement = connection.createStatement()) {
            for (String each : statements) {
                statement.execute(each);
            }
        } catch (SQLException e) {
            throw new IllegalStateException("The test database cannot be made; run the tests with ./layette test", e);
        }
    }

    private static String needed(String variable) {
        String value = System.getenv(variable);
        if (value == null) {
            throw new IllegalStateException(variable + " is not set; run the tests with ./layette test");
        }
        return value;
    }
}
