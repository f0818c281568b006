package app.layette.web.due;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.layette.core.entry.Author;
import app.layette.core.measure.UnitSystem;
import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.TestUsers;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.Fittings;
import app.layette.web.fitting.LetterAddresses;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Locale;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.TransactionStatus;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.servlet.mvc.support.RedirectAttributesModelMap;

/** A letter counts as sent when the mail server has taken it, and is one however often it is pressed. */
class LetterControllerTest {
    private static final UUID FITTING = UUID.randomUUID();
    private static final UUID LETTER = UUID.randomUUID();

    private final DueItems items = mock(DueItems.class);
    private final Fittings fittings = mock(Fittings.class);
    private final Mail mail = mock(Mail.class);
    private final Viewing viewing = mock(Viewing.class);
    private final TransactionTemplate transactions = mock(TransactionTemplate.class);
    private final SignedIn marit = TestUsers.signedIn("marit", Author.Role.TECHNICIAN);
    private final LetterController letters =
            new LetterController(items, fittings, mail, viewing, transactions, mock(LetterAddresses.class));

    @BeforeEach
    void reachable() {
        when(mail.way()).thenReturn(Mail.Way.TO_AN_ADDRESS);
        when(mail.takes(any())).thenReturn(true);
        when(viewing.wording(any())).thenReturn(new Wording(Locale.ENGLISH, UnitSystem.METRIC));
        when(viewing.clock()).thenReturn(Clock.systemUTC());
        // As the table does: one is under way until it is over.
        AtomicBoolean underWay = new AtomicBoolean();
        when(items.beginsToSend(any(), any(), any())).thenAnswer(call -> underWay.compareAndSet(false, true));
        doAnswer(call -> {
                    underWay.set(false);
                    return null;
                })
                .when(items)
                .isSent(any(), any());
        when(fittings.planned(any(), any())).thenReturn(new Fittings.Planned(FITTING, "W-1", "Ada", null));
        doAnswer(call -> {
                    call.<Consumer<TransactionStatus>>getArgument(0).accept(null);
                    return null;
                })
                .when(transactions)
                .executeWithoutResult(any());
    }

    private String send() {
        return letters.send(
                marit,
                FITTING,
                LETTER,
                "date.EXPIRY",
                LocalDate.of(2026, 12, 1),
                "a@example.org",
                "Subject",
                "Body",
                "en",
                java.util.List.of(),
                new RedirectAttributesModelMap());
    }

    @Test
    void oneThatIsTakenIsNoted() throws Mail.NotTakenException {
        assertThat(send()).isEqualTo("redirect:/due");
        verify(mail).send(any(), any());
        verify(items).mark(any(), any(), any(), any());
    }

    @Test
    void oneThatIsNotTakenIsNotNotedAndComesBack() throws Mail.NotTakenException {
        doThrow(new Mail.NotTakenException(null)).when(mail).send(any(), any());
        assertThat(send()).isEqualTo("redirect:/due/" + FITTING + "/letter");
        verify(items, never()).mark(any(), any(), any(), any());
    }

    /** The second press comes while the first is on its way to a server that will not take it. */
    @Test
    void aSecondPressNotesNothingOfWhatTheFirstHasNotDone() throws Mail.NotTakenException {
        doAnswer(call -> {
                    assertThat(send()).isEqualTo("redirect:/due");
                    throw new Mail.NotTakenException(null);
                })
                .when(mail)
                .send(any(), any());
        assertThat(send()).isEqualTo("redirect:/due/" + FITTING + "/letter");
        verify(mail, times(1)).send(any(), any());
        verify(items, never()).mark(any(), any(), any(), any());
    }
}
