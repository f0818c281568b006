package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.core.entry.Misuse;
import app.layette.core.finding.RuleCode;
import app.layette.formats.rules.RuleWords;
import app.layette.formats.wording.Wording;
import app.layette.web.support.Desk;
import app.layette.web.support.RunningApp;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Whoever asks why is told, from where they stand, and a family without signing in. */
class RulesIT {
    private static final Pattern LINK = Pattern.compile("href=\"(/rules/[A-Z]+-\\d+)\"");

    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    @Test
    void whereAFindingOrAMisuseIsSeenItsRuleIsOneTapAway() {
        RuleWords english = new RuleWords(new Wording(Locale.ENGLISH, Wording.DEFAULT_UNITS));
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit").click("text=Bramwell");
            String fitting = desk.page().url().replaceAll(".*/fittings/([^?]*).*", "/fittings/$1");
            desk.click("#findings summary >> nth=-1");
            desk.click("#findings .group[open] .why a >> nth=0");
            assertThat(desk.page().textContent("main h2 >> nth=0")).isEqualTo("Why");
            desk.page().goBack();
            desk.open(fitting + "/record").click(".story .stamp a >> nth=0");
            assertThat(desk.page().url()).contains("/rules/");
            desk.open(fitting + "/as-found?area=HARNESS");
            assertThat(desk.page().textContent("#area")).contains(english.seen(Misuse.CLIP_HIGH));
            desk.open(fitting + "/handout?lang=es").click(".panels .why a >> nth=0");
            assertThat(desk.page().textContent("main h2 >> nth=0")).isEqualTo("Por qué");
            desk.isAccessible("a rule in Spanish");
            desk.fitsItsWidth("a rule");
            desk.isQuiet();
        }
    }

    /** In both languages, on a telephone, by somebody who never signs in; the words are those of the bundle and no others. */
    @Test
    void everyRuleIsReadByAnybody() {
        for (Map.Entry<String, RuleWords> tongue : Map.of(
                        "en",
                        new RuleWords(new Wording(Locale.ENGLISH, Wording.DEFAULT_UNITS)),
                        "es",
                        new RuleWords(new Wording(Locale.forLanguageTag("es"), Wording.DEFAULT_UNITS)))
                .entrySet()) {
            try (Desk desk = new Desk(app.address(), 390, 844)) {
                desk.open("/rules?lang=" + tongue.getKey());
                desk.fitsItsWidth("all rules");
                desk.isAccessible("all rules");
                assertThat(desk.page().locator(".of-family a").count()).isEqualTo(RuleCode.values().length);
                for (RuleCode code : RuleCode.values()) {
                    String page = desk.page()
                            .request()
                            .get(app.address() + "/rules/" + code.text() + "?lang=" + tongue.getKey())
                            .text();
                    RuleWords.Page said = tongue.getValue().page(code);
                    assertThat(page)
                            .as("%s in %s", code, tongue.getKey())
                            .contains(said.name(), said.what(), said.why(), said.seen(), said.right())
                            .doesNotContain("??");
                    RuleWords.against(code)
                            .forEach(misuse -> assertThat(page)
                                    .contains(
                                            tongue.getValue().seen(misuse),
                                            tongue.getValue().why(misuse)));
                }
                desk.open("/rules/HAR-8?lang=" + tongue.getKey());
                desk.fitsItsWidth("HAR-8");
                desk.isAccessible("HAR-8");
                desk.isQuiet();
            }
        }
    }

    @Test
    void whatIsNoRuleIsNotHereAndEveryLinkOfTheListLeadsSomewhere() {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.open("/rules");
            String list = desk.page().content();
            Matcher links = LINK.matcher(list);
            int found = 0;
            while (links.find()) {
                found++;
                assertThat(desk.page()
                                .request()
                                .get(app.address() + links.group(1))
                                .status())
                        .as(links.group(1))
                        .isEqualTo(200);
            }
            assertThat(found).isEqualTo(RuleCode.values().length);
            for (String none : new String[] {"/rules/HAR-99", "/rules/%3Cscript%3E", "/rules/..%2Fpeople"}) {
                assertThat(desk.page().request().get(app.address() + none).status())
                        .as(none)
                        .isIn(400, 404);
            }
            assertThat(desk.page()
                            .request()
                            .get(app.address() + "/rules/har-1?lang=xx")
                            .text())
                    .contains("Straps at or just below the shoulder");
        }
    }
}
