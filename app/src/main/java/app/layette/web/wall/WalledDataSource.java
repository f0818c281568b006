package app.layette.web.wall;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.WeakHashMap;
import javax.sql.DataSource;
import org.springframework.jdbc.datasource.DelegatingDataSource;

/**
 * Gives out connections on the side of the wall on which the thread is. Which side a connection is on is remembered, so
 * that an installation of one point says it once for each connection. Inside, no statement and no wait for a lock lasts
 * longer than somebody would wait for a page.
 */
final class WalledDataSource extends DelegatingDataSource {
    private static final String GO = "select set_config('role', ?, false), set_config('layette.point', ?, false),"
            + " set_config('statement_timeout', ?, false), set_config('lock_timeout', ?, false)";
    private static final String NOBODYS = "";
    private static final String NO_LIMIT = "0";

    private final Map<Connection, String> sides = Collections.synchronizedMap(new WeakHashMap<>());
    private final String longestStatement;
    private final String longestWait;

    WalledDataSource(DataSource beneath, String longestStatement, String longestWait) {
        super(beneath);
        this.longestStatement = longestStatement;
        this.longestWait = longestWait;
    }

    @Override
    public Connection getConnection() throws SQLException {
        Connection connection = super.getConnection();
        try {
            go(connection, Wall.point());
            return connection;
        } catch (SQLException | RuntimeException e) {
            connection.close();
            throw e;
        }
    }

    private void go(Connection connection, Optional<UUID> point) throws SQLException {
        String side = point.map(UUID::toString).orElse(NOBODYS);
        Connection itself = connection.unwrap(Connection.class);
        if (side.equals(sides.getOrDefault(itself, NOBODYS))) {
            return;
        }
        // Half way over it is on no side: whoever gets it next says it anew.
        sides.put(itself, "?");
        try (PreparedStatement statement = connection.prepareStatement(GO)) {
            statement.setString(1, point.isPresent() ? "layette_point" : "none");
            statement.setString(2, side);
            statement.setString(3, point.isPresent() ? longestStatement : NO_LIMIT);
            statement.setString(4, point.isPresent() ? longestWait : NO_LIMIT);
            statement.execute();
        }
        sides.put(itself, side);
    }
}
