package app.layette.web.workbench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.argThat;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrl;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrlPattern;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.layette.core.entry.Author;
import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.fitting.FittingPlan;
import app.layette.core.fitting.PlanDifference;
import app.layette.core.measure.Angle;
import app.layette.core.measure.UnitSystem;
import app.layette.formats.Examples;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Security;
import app.layette.web.account.SignedIn;
import app.layette.web.account.TestUsers;
import app.layette.web.account.Users;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.EntryDraft;
import app.layette.web.fitting.Fittings;
import app.layette.web.fitting.RefusedEntryException;
import app.layette.web.roll.RollGoods;
import app.layette.web.shelf.Shelf;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.boot.webmvc.test.autoconfigure.WebMvcTest;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Import;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.context.bean.override.mockito.MockitoBean;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

@WebMvcTest(FittingController.class)
@Import(Security.class)
class FittingControllerTest {
    private static final UUID ID = UUID.fromString("00000000-0000-4000-8000-000000000001");
    private static final SignedIn MARIT = TestUsers.signedIn("marit", Author.Role.TECHNICIAN);

    @Autowired
    private MockMvc mvc;

    @TestConfiguration
    static class ATime {
        @Bean
        Clock clock() {
            return Clock.systemUTC();
        }
    }

    /** Where failed tries to sign in are counted. */
    @MockitoBean
    private JdbcClient jdbc;

    @MockitoBean
    private Fittings fittings;

    @MockitoBean
    private Viewing viewing;

    @MockitoBean
    private Users users;

    @MockitoBean
    private RollGoods goods;

    @MockitoBean
    private AngleGauge gauge;

    @MockitoBean
    private BabyScale scale;

    @MockitoBean
    private Shelf shelf;

    @BeforeEach
    void aFittingWithAnOpenHandleQuestion() {
        when(viewing.wording(any())).thenReturn(new Wording(Locale.ENGLISH, UnitSystem.METRIC));
        Instant noon = Examples.plan("handle-not-known")
                .situation()
                .today()
                .atTime(12, 0)
                .toInstant(ZoneOffset.UTC);
        when(viewing.clock()).thenReturn(Clock.fixed(noon, ZoneOffset.UTC));
        Users.AtWork marit = TestUsers.atWork(TestUsers.user("marit", Author.Role.TECHNICIAN));
        when(viewing.point(any(SignedIn.class))).thenReturn(marit.point());
        when(users.findAtWork(any())).thenReturn(Optional.of(marit));
        Fittings.Planned planned = new Fittings.Planned(ID, "W-1", "Ada <b>", Examples.plan("handle-not-known"));
        when(fittings.planned(eq(ID), any())).thenReturn(planned);
        when(fittings.append(eq(ID), any(), any(), any()))
                .thenReturn(new Fittings.Appended(
                        7, true, planned, PlanDifference.between(planned.plan(), planned.plan())));
        when(fittings.tell(eq(ID), any(), any(), any())).thenAnswer(call -> {
            Function<FittingPlan, List<EntryDraft>> told = call.getArgument(3);
            EntryDraft first = told.apply(planned.plan()).get(0);
            return fittings.append(ID, first, call.getArgument(1), call.getArgument(2));
        });
    }

    private MockHttpServletRequestBuilder entry(String kind) {
        return post("/fittings/{id}/entries", ID)
                .with(user(MARIT))
                .with(csrf())
                .param("kind", kind)
                .param("of", "r1")
                .param("nav-step", "FITS");
    }

    private MockHttpServletRequestBuilder weight(String typed) {
        return entry("weighed").param("nav-ask", "weight").param("mass", typed);
    }

    @Test
    void aPageSaysWhatIsNotKnownAndEscapesNames() throws Exception {
        mvc.perform(get("/fittings/{id}", ID).with(user(MARIT)))
                .andExpect(status().isOk())
                .andExpect(content().string(containsString("Seat manual: handle towards the foot end for driving?")))
                .andExpect(content().string(containsString("Ada &lt;b&gt;")))
                .andExpect(content().string(not(containsString("Ada <b>"))))
                .andExpect(header().string("Content-Security-Policy", containsString("script-src 'self';")));
    }

    @Test
    void aRefusedFieldComesBackAsTypedWithWhatIsAllowed() throws Exception {
        mvc.perform(weight("2,950 <kg>").header("HX-Request", "true"))
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(containsString("value=\"2,950 &lt;kg&gt;\"")))
                .andExpect(content().string(containsString("allowed 0.4 kg (14 oz) to 30 kg (66 lb 2 oz)")))
                .andExpect(content().string(not(containsString("<html"))));
        verify(fittings, never()).append(any(), any(), any(), any());
    }

    @Test
    void withoutScriptAnEntryRedirectsToWhatIsNext() throws Exception {
        mvc.perform(weight("2950 g"))
                .andExpect(status().is3xxRedirection())
                .andExpect(redirectedUrlPattern("/fittings/" + ID + "?step=*"));
        verify(fittings).append(eq(ID), any(), any(), eq(MARIT.author()));
    }

    @Test
    void withScriptOnlyTheChangedPartsComeBack() throws Exception {
        mvc.perform(weight("2950 g").header("HX-Request", "true"))
                .andExpect(status().isOk())
                .andExpect(header().string("HX-Replace-Url", containsString("step=")))
                .andExpect(content().string(containsString("hx-swap-oob=\"true\"")))
                .andExpect(content().string(not(containsString("<html"))));
    }

    /** What a page shows already is not sent again; what it shows otherwise, or says it cannot read, is. */
    @Test
    void whatTheBrowserShowsAlreadyIsLeftOut() throws Exception {
        String whole = mvc.perform(weight("2950 g").header("HX-Request", "true"))
                .andReturn()
                .getResponse()
                .getContentAsString();
        Map<String, String> prints = new LinkedHashMap<>();
        Matcher piece =
                Pattern.compile("id=\"(\\w+)\"[^>]*data-print=\"(\\w+)\"").matcher(whole);
        while (piece.find()) {
            prints.put(piece.group(1), piece.group(2));
        }
        assertThat(prints).containsOnlyKeys("head", "run", "board", "findings");
        String shows = prints.entrySet().stream()
                .map(each -> each.getKey() + "=" + each.getValue())
                .collect(Collectors.joining(","));
        mvc.perform(weight("2950 g").header("HX-Request", "true").header(Pieces.HEADER, shows))
                .andExpect(content().string(containsString("id=\"now\"")))
                .andExpect(content().string(not(containsString("id=\"board\""))))
                .andExpect(content().string(not(containsString("id=\"head\""))));
        mvc.perform(weight("2950 g")
                        .header("HX-Request", "true")
                        .header(Pieces.HEADER, "head=0,=,run,board=" + "x".repeat(500)))
                .andExpect(content().string(containsString("id=\"board\"")))
                .andExpect(content().string(containsString("id=\"head\"")));
    }

    @Test
    void whoGoesOnFromAnotherStepIsSentWhatDiffers() throws Exception {
        String step = "/fittings/" + ID + "?step=FITS";
        String whole = mvc.perform(get(step).with(user(MARIT)))
                .andReturn()
                .getResponse()
                .getContentAsString();
        String head = whole.replaceAll("(?s).*id=\"head\"[^>]*data-print=\"(\\w+)\".*", "$1");
        assertThat(whole).contains("<html");
        mvc.perform(get(step).with(user(MARIT)).header("HX-Request", "true").header(Pieces.HEADER, "head=" + head))
                .andExpect(status().isOk())
                .andExpect(content().string(not(containsString("<html"))))
                .andExpect(content().string(not(containsString("id=\"head\""))))
                .andExpect(content().string(containsString("id=\"now\"")))
                .andExpect(content().string(containsString("data-step=\"FITS\"")));
    }

    @Test
    void aShutGateListsWhatBlocksAndJumpsThere() throws Exception {
        when(fittings.append(eq(ID), any(), any(), any())).thenThrow(RefusedEntryException.because("GATE_SHUT"));
        mvc.perform(entry("ended").param("ending", "HANDED_OVER"))
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(containsString("Not handed over. What still blocks:")))
                .andExpect(content().string(containsString("step=HANDLE_AND_GAP")));
    }

    @Test
    void aManualWithoutItsPageDoesNotCount() throws Exception {
        mvc.perform(entry("handlePositionRead")
                        .param("how", "manual")
                        .param("position", "UP")
                        .param("says", "ALLOWED"))
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(containsString("Page: please fill this in.")));
        verify(fittings, never()).append(any(), any(), any(), any());
    }

    @Test
    void anAnswerThatNamesAnotherQuestionIsNotTaken() throws Exception {
        mvc.perform(entry("handlePositionRead")
                        .param("nav-ask", "weight")
                        .param("how", "manual")
                        .param("page", "8")
                        .param("position", "UP")
                        .param("says", "ALLOWED"))
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(containsString("belongs to another question")));
        verify(fittings, never()).append(any(), any(), any(), any());
    }

    @Test
    void whatHardlyAnyChildWeighsIsAskedAboutOnce() throws Exception {
        mvc.perform(weight("25 kg").header("HX-Request", "true"))
                .andExpect(status().isUnprocessableContent())
                .andExpect(content().string(containsString("It is right: keep 25 kg")));
        verify(fittings, never()).append(any(), any(), any(), any());
        mvc.perform(weight("25 kg").param("sure", "26 kg")).andExpect(status().isUnprocessableContent());
        mvc.perform(weight("25 kg").param("sure", "25 kg")).andExpect(status().is3xxRedirection());
        verify(fittings).append(eq(ID), any(), any(), any());
    }

    @Test
    void theGaugeIsReadOrSaysNothing() throws Exception {
        when(gauge.read(eq(ID), any(), eq(Fact.Stage.PRESSED)))
                .thenReturn(Optional.of(Angle.ofDegrees(41.3)))
                .thenReturn(Optional.empty());
        mvc.perform(get("/fittings/{id}/gauge", ID).param("stage", "PRESSED").with(user(MARIT)))
                .andExpect(status().isOk())
                .andExpect(content().string("41.3"));
        mvc.perform(get("/fittings/{id}/gauge", ID).param("stage", "PRESSED").with(user(MARIT)))
                .andExpect(status().isNoContent());
    }

    @ParameterizedTest
    @CsvSource({"GAUGE, SIMULATED", "LEVEL, MEASURED"})
    void whatAPretendedGaugeReadIsEnteredAsSimulated(String source, How.Kind known) throws Exception {
        when(gauge.isSimulated()).thenReturn(true);
        mvc.perform(entry("angleRead")
                .param("stage", "PRESSED")
                .param("angle", "41")
                .param("source", source));
        verify(fittings).append(eq(ID), argThat(draft -> draft.how().kind() == known), any(), any());
    }

    @Test
    void anotherSettingIsTriedWithoutBeingEntered() throws Exception {
        when(fittings.planned(eq(ID), any()))
                .thenReturn(new Fittings.Planned(ID, "W-1", "Ada", Examples.plan("ready")));
        mvc.perform(get("/fittings/{id}/try", ID).param("setting", "3").with(user(MARIT)))
                .andExpect(status().isOk())
                .andExpect(content().string(containsString("Set the foot to 3")))
                .andExpect(content().string(not(containsString("<html"))));
        verify(fittings, never()).append(any(), any(), any(), any());
    }

    @Test
    void aSettingThatTheSeatDoesNotHaveIsDrawnAsItStands() throws Exception {
        mvc.perform(get("/fittings/{id}/try", ID).param("setting", "<9>").with(user(MARIT)))
                .andExpect(status().isOk())
                .andExpect(content().string(not(containsString("<9>"))));
    }

    @Test
    void nobodyGetsInWithoutSigningIn() throws Exception {
        mvc.perform(get("/fittings/" + ID).accept("text/html")).andExpect(redirectedUrl("/sign-in"));
        // A script that asks for a piece is told so; a page would be no use to it.
        mvc.perform(get("/fittings/" + ID)).andExpect(status().isUnauthorized());
        mvc.perform(post("/fittings/{id}/entries", ID).with(user(MARIT))).andExpect(status().isForbidden());
    }
}
