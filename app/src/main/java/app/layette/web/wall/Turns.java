package app.layette.web.wall;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** One after the other where two may not be at it at once, in whichever process they are. */
@Component
public class Turns {
    private final JdbcClient jdbc;

    Turns(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * Waits for whoever has the turn of this name, and has it until the transaction is over. What is read afterwards is
     * what the one before left.
     *
     * @throws org.springframework.transaction.IllegalTransactionStateException outside a transaction
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public void take(String name) {
        jdbc.sql("select pg_advisory_xact_lock(hashtextextended(:name, 0))")
                .param("name", name)
                .query((row, number) -> 0)
                .single();
    }
}
