package app.layette.web.workbench;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.formats.Examples;
import app.layette.formats.document.CaseDocument;
import app.layette.web.support.DatabaseTest;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.thymeleaf.ITemplateEngine;

class RehearsalDatabaseTest extends DatabaseTest {
    @Autowired
    private ITemplateEngine templates;

    @Autowired
    private JdbcClient jdbc;

    @Test
    void everyAnswerOfTheShippedCaseIsDrawnAndNothingIsKept() {
        int before = entries();
        CaseDocument shipped = Examples.read("ready");
        assertThat(new Rehearsal(templates).once(Long.MAX_VALUE))
                .isEqualTo(shipped.record().entries().size());
        assertThat(entries()).isEqualTo(before);
    }

    private int entries() {
        return jdbc.sql("select count(*) from entry").query(Integer.class).single();
    }

    @Test
    void itEndsWhenItsTimeIsUp() {
        assertThat(new Rehearsal(templates).once(System.nanoTime())).isZero();
    }
}
