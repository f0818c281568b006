package app.layette.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import app.layette.web.support.Desk;
import app.layette.web.support.EnglishLeft;
import app.layette.web.support.RunningApp;
import com.microsoft.playwright.Locator;
import java.net.URI;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Named;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * A seat that is not on the shelf in a car without a sheet, both manuals at hand: whatever is missing is asked for on the
 * screen, and it is handed over like any other.
 */
class WalkInIT {
    private static final int MOST_ANSWERS = 90;
    private static final String BASE = "REAR_FACING_ONLY";
    private static final String BY_BELT = "2-RIGHT/BASE_BELT";

    /** What to answer where the first answer is not the one of a plain seat in a plain car. */
    private static final Map<String, String> ANSWERS = Map.ofEntries(
            Map.entry("ask-sheet_value-inflatable", "NO"),
            Map.entry("ask-sheet_value-clip", "YES"),
            Map.entry("ask-sheet_value-covers", "NONE"),
            Map.entry("ask-sheet_value-connectors", "PUSH_ON"),
            Map.entry("ask-sheet_value-panel", "NO"),
            Map.entry("ask-sheet_value-end-straps", "NO"),
            Map.entry("ask-sheet_value-head-direction", "TOWARDS_MIDDLE"),
            Map.entry("ask-sheet_value-facing", "FORWARD"),
            Map.entry("ask-order", "NONE"),
            Map.entry("ask-roll", "NONE"));

    private static final Map<String, String> TYPED = Map.of(
            "ask-sheet_value-parts", "shell, pad, harness",
            "ask-sheet_value-slots", "4",
            "ask-sheet_value-crotch", "1",
            "ask-page-quantity-weight-min-seat", "4 lb",
            "ask-page-quantity-weight-max-seat", "30 lb",
            "ask-page-quantity-length-max-seat", "30 in",
            "ask-page-quantity-carrier-mass-seat", "9 lb",
            "ask-page-quantity-base-mass-seat", "8 lb",
            "ask-page-quantity-anchor-limit-seat", "65 lb",
            "ask-page-quantity-anchor-limit-car", "65 lb");

    /** A look to be told of, or the open question and whether it wants a page; nothing where all is told. */
    private static final String WHAT_IS_ASKED =
            "() => { if (document.querySelector('#look-form')) return { look: true };"
                    + " const ask = document.querySelector('.ask[open]');"
                    + " if (!ask || ask.dataset.answered === 'true' || ask.dataset.optional === 'true') return {};"
                    + " return ask.querySelector('[name=page]') ? { ask: ask.id, page: true } : { ask: ask.id }; }";

    @RegisterExtension
    static final RunningApp app = RunningApp.shared();

    /** One way of fixing a restraint: what it is, where and how, and what its papers say otherwise than a plain seat's. */
    private record Way(String language, String name, String sort, String choice, Map<String, String> says) {
        Way(String name, String sort, String choice, Map<String, String> says) {
            this("en", name, sort, choice, says);
        }
    }

    /** The methods of section 9, each its own. */
    static Stream<Arguments> ways() {
        return Stream.of(
                        new Way("flexible anchors", BASE, "2-RIGHT/BASE_FLEXIBLE_ANCHORS", Map.of()),
                        new Way(
                                "rotating, rigid anchors, leg, bar",
                                BASE,
                                "2-RIGHT/BASE_RIGID_LEG",
                                Map.of(
                                        "ask-sheet_value-connectors", "RIGID_ARMS",
                                        "ask-sheet_value-leg", "ALWAYS",
                                        "ask-sheet_value-rebound-bar", "FIXED",
                                        "ask-sheet_value-rotation", "TO_DOOR")),
                        new Way("lock-off", BASE, BY_BELT, Map.of("ask-sheet_value-lock-offs", "BASE")),
                        new Way("es", "retractor", BASE, BY_BELT, Map.of()),
                        new Way(
                                "latch plate",
                                BASE,
                                BY_BELT,
                                Map.of("ask-retractor", "EMERGENCY_ONLY", "ask-latch-plate", "LOCKING")),
                        new Way(
                                "locking clip",
                                BASE,
                                BY_BELT,
                                Map.of("ask-retractor", "EMERGENCY_ONLY", "ask-latch-plate", "SLIDING")),
                        new Way("tension panel", BASE, BY_BELT, Map.of("ask-sheet_value-panel", "YES")),
                        new Way("American routing", BASE, "2-RIGHT/BASELESS_AMERICAN", Map.of()),
                        new Way("European routing", BASE, "2-RIGHT/BASELESS_EUROPEAN", Map.of()),
                        new Way("convertible by belt", "CONVERTIBLE", "2-RIGHT/CONVERTIBLE_BELT", Map.of()),
                        new Way("convertible by anchors", "CONVERTIBLE", "2-RIGHT/CONVERTIBLE_ANCHORS", Map.of()),
                        new Way("car bed", "CAR_BED", "2-RIGHT/CAR_BED", Map.of()),
                        new Way("lay-flat", "LAY_FLAT", "2-RIGHT/LAY_FLAT", Map.of()))
                .map(way -> Arguments.of(Named.of(way.name(), way)));
    }

    @ParameterizedTest
    @MethodSource("ways")
    void isHandedOver(Way way) {
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            EnglishLeft english = new EnglishLeft(Locale.forLanguageTag(way.language()));
            desk.signIn("marit");
            if (!way.language().equals("en")) {
                desk.click(".tools [name=language][value=" + way.language() + "]");
            }
            begin(desk.open("/fittings/new"), way);
            carry(desk, way, () -> {
                if (!way.language().equals("en")) {
                    assertThat(english.on(desk.page()))
                            .as("at %s", desk.title())
                            .isEmpty();
                }
            });
            handOver(desk);
        }
    }

    /** Twins are one fitting with two seats: each is carried to handed over, and what is of the car is asked once. */
    @Test
    void twinsAreHandedOverBoth() {
        Way right = new Way("twins", BASE, "2-RIGHT/BASE_FLEXIBLE_ANCHORS", Map.of());
        Way left = new Way("twins", BASE, "2-LEFT/BASE_FLEXIBLE_ANCHORS", Map.of());
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit");
            begin(desk.open("/fittings/new"), right);
            String first = desk.page().url();
            desk.open(URI.create(first).getPath() + "/riders");
            desk.page().click(".joins > summary");
            desk.page().fill(".joins [name=childName]", "Wolf");
            desk.click(".joins .go");
            desk.page().waitForURL("**/fittings/*");
            assertThat(desk.page().textContent("#head")).contains("Wolf").contains("Wilma");
            carry(desk, left, () -> {});
            handOver(desk);
            desk.page().navigate(first);
            assertThat(isReady(desk)).as("nothing of the first was seen yet").isFalse();
            carry(desk, right, () -> {});
            handOver(desk);
            assertThat(desk.page().textContent("#head .besides"))
                    .contains("Wolf")
                    .contains("Handed over");
        }
    }

    /** One carrier, two cars, one visit: each car is carried to handed over, and each hand-over is of its own car. */
    @ParameterizedTest
    @ValueSource(strings = {"2-RIGHT/BASE_FLEXIBLE_ANCHORS", "2-RIGHT/BASELESS_EUROPEAN"})
    void oneCarrierIsHandedOverInTwoCars(String choice) {
        Way familiar = new Way("two cars " + choice, BASE, choice, Map.of());
        Way other = new Way("two cars", BASE, choice, Map.of("car", "Grandmother's"));
        try (Desk desk = new Desk(app.address(), 1280, 800)) {
            desk.signIn("marit");
            begin(desk.open("/fittings/new"), familiar);
            String first = desk.page().url();
            carry(desk, familiar, () -> {});
            desk.open(URI.create(first).getPath() + "/riders");
            desk.page().click("#cars > summary");
            desk.page().selectOption("#cars [name=car]", "quick-car");
            desk.click("#cars .go");
            desk.page().waitForURL("**/fittings/*");
            assertThat(isReady(desk))
                    .as("nothing of the other car was seen yet")
                    .isFalse();
            carry(desk, other, () -> {});
            assertThat(desk.page().textContent("#head")).contains("Grandmother's");
            handOver(desk);
            desk.page().navigate(first);
            assertThat(desk.page().textContent("#head .besides"))
                    .contains("Grandmother's")
                    .contains("Handed over");
            carry(desk, familiar, () -> {});
            handOver(desk);
        }
    }

    private static void carry(Desk desk, Way way, Runnable afterEach) {
        for (int i = 0; i < MOST_ANSWERS && !isReady(desk); i++) {
            answer(desk, way);
            afterEach.run();
        }
        assertThat(isReady(desk))
                .as(() -> way.name() + ": " + desk.page().textContent("#findings"))
                .isTrue();
    }

    private static void handOver(Desk desk) {
        desk.click("#run a[href*='step=HAND_OVER']");
        desk.click(".ask[open] form:has([name=ending][value=HANDED_OVER]) .go");
        assertThat(desk.page().locator("#now .closed").count()).isOne();
        desk.isQuiet();
    }

    private static boolean isReady(Desk desk) {
        return desk.page().locator("#head .ready.yes").count() > 0;
    }

    private static void begin(Desk desk, Way way) {
        desk.newFamily("reference", "W-" + Math.abs(way.name().hashCode()));
        desk.newFamily("childName", "Wilma");
        desk.newFamily("born", LocalDate.now().minusDays(20).toString());
        desk.newFamily("gestationDays", "39+0");
        desk.newFamily("birthWeight", "7 lb 4 oz");
        desk.newFamily("mass", "8 lb 2 oz");
        desk.newFamily("length", "52 cm");
        desk.newFamily("seat", "quick-seat");
        desk.click(".begin .go");
        desk.page().waitForURL("**/fittings/*");
    }

    private static void answer(Desk desk, Way way) {
        // Asked of the page once: a browser in a hurry spends more on being asked than on the answer.
        @SuppressWarnings("unchecked")
        Map<String, Object> asked = (Map<String, Object>) desk.page().evaluate(WHAT_IS_ASKED);
        if (asked.containsKey("look")) {
            desk.asDrawn();
            return;
        }
        if (!asked.containsKey("ask")) {
            desk.click(".go-on a");
            return;
        }
        Locator open = desk.page().locator(".ask[open]");
        String id = asked.get("ask").toString();
        String plain = id.replaceAll("-\\d-(left|middle|right)$", "");
        if (asked.containsKey("page")) {
            open.locator("[name=page]").first().fill("12");
        }
        switch (plain) {
            case "ask-quick_seat" -> {
                open.locator("[name=sort]").selectOption(way.sort());
                open.locator("[name=name]").fill("Vieja");
                open.locator("[name=model]").fill("Z-9");
                press(desk, open.locator(".go:not(.no-answer)").first());
            }
            case "ask-label-carrier", "ask-label-base" -> {
                open.locator("[name=model]").fill(plain.endsWith("base") ? "ZB-1" : "Z-9");
                open.locator("[name=made]").fill("2024-03");
                press(desk, open.locator(".go:not(.no-answer)").first());
            }
            case "ask-weight" -> {
                open.locator("[name=mass]").fill("7 lb 2 oz");
                open.locator("[name=length]").fill("50 cm");
                press(desk, open.locator(".go:not(.no-answer)").first());
            }
            case "ask-screening" -> {
                open.locator("[name=who]").fill("nurse on the ward");
                open.locator("form:has([name=who]) [name=on]")
                        .fill(LocalDate.now().toString());
                press(
                        desk,
                        open.locator("form:has([name=who]) .go:not(.no-answer)").first());
            }
            case "ask-place" -> place(desk, open, way.choice(), way.says().getOrDefault("car", "Familiar"));
            case "ask-shoulder" -> press(desk, open.locator(".choice").nth(1));
            case "ask-level-child" ->
                press(desk, open.locator(".choice[value=INSIDE]").first());
            default -> plainly(desk, open, plain, way.says());
        }
    }

    private static void plainly(Desk desk, Locator open, String plain, Map<String, String> says) {
        if (plain.startsWith("ask-page-quantity")) {
            if (TYPED.containsKey(plain)) {
                open.locator("[name=mass], [name=length]").first().fill(TYPED.get(plain));
            }
            press(desk, open.locator(".go:not(.no-answer)").first());
        } else if (TYPED.containsKey(plain)) {
            open.locator("[name=says]:not([type=hidden])").last().fill(TYPED.get(plain));
            weights(open);
            press(desk, open.locator(".go:not(.no-answer)").last());
        } else {
            weights(open);
            String wanted = says.getOrDefault(plain, ANSWERS.get(plain));
            press(
                    desk,
                    wanted == null
                            ? open.locator(".choice").first()
                            : open.locator(".choice[value=" + wanted + "]").first());
        }
    }

    private static void weights(Locator open) {
        if (open.locator("[name=from]").count() > 0) {
            open.locator("[name=from]").last().fill("4 lb");
            open.locator("[name=to]").last().fill("11 lb");
            open.locator("[name=from]").first().fill("4 lb");
            open.locator("[name=to]").first().fill("11 lb");
        }
    }

    /** The car is described first: its name and the place; then the place and the way are chosen. */
    private static void place(Desk desk, Locator open, String choice, String car) {
        Locator way = open.locator("button[value='" + choice + "']");
        if (way.count() > 0) {
            Locator fold = open.locator(".fold:not([open]):has(button[value='" + choice + "']) > summary");
            if (fold.count() > 0) {
                fold.first().click();
            }
            press(desk, way.first());
            return;
        }
        Locator fold = open.locator(".fold:not([open]):has([name=position]) > summary");
        if (fold.count() > 0) {
            fold.first().click();
        }
        open.locator("[name=name]").first().fill(car);
        // What lies across two places needs both described.
        boolean across = choice.endsWith("LAY_FLAT")
                && open.locator("button[value^='2-MIDDLE/']").count() == 0;
        open.locator("[name=position]")
                .first()
                .selectOption(across ? "2-MIDDLE" : choice.substring(0, choice.indexOf('/')));
        press(
                desk,
                open.locator("form:has([name=position]) .go:not(.no-answer)").first());
    }

    private static void press(Desk desk, Locator button) {
        desk.page().waitForResponse(response -> response.url().endsWith("/entries"), button::click);
        desk.settled();
    }
}
