package app.layette.web.ledger;

import app.layette.core.finding.Argument;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.ledger.Ledger.By;
import app.layette.web.ledger.Ledger.Group;
import app.layette.web.paper.PaperSize;
import app.layette.web.paper.PdfPrinter;
import app.layette.web.shell.Csv;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A year of the fitting point: by month, week, person or method; as a table for other programs, and on paper. */
@Controller
class LedgerController {
    private static final int EARLIEST_YEAR = 2000;
    private static final int BAR = 460;
    private static final int MOST_LISTED = 200;
    private static final int YEARS_OFFERED = 4;

    private final Ledger ledger;
    private final Viewing viewing;
    private final PdfPrinter printer;

    LedgerController(Ledger ledger, Viewing viewing, PdfPrinter printer) {
        this.ledger = ledger;
        this.viewing = viewing;
        this.printer = printer;
    }

    /** A choice with whether it is the one. */
    public record Choice(String value, String says, boolean chosen) {}

    /** A number of fittings, and where they are listed. */
    public record Cell(String ending, String says, int count, String address) {}

    /** A piece of a bar: told from the others by its hatching and its number. */
    public record Piece(String ending, int x, int width, int count) {}

    /** A group, drawn and in numbers. */
    public record Line(String name, int whole, List<Piece> pieces, List<Cell> cells, String median) {}

    /** Something counted. */
    public record Counted(String says, int count) {}

    /** A fitting behind a number. */
    public record Behind(String address, String when, String by, String method, String state) {}

    @GetMapping("/ledger")
    String page(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(defaultValue = "") String year,
            @RequestParam(defaultValue = "") String by,
            @RequestParam(defaultValue = "") String group,
            @RequestParam(defaultValue = "") String ending,
            Model model) {
        fill(user, year, by, model::addAttribute);
        model.addAttribute("forOrganisation", user.isForOrganisation());
        Point point = viewing.point(user);
        Wording words = viewing.wording(user);
        if (!group.isEmpty() || !ending.isEmpty()) {
            By together = by(by);
            model.addAttribute(
                    "behind",
                    ledger.behind(point, year(year, user), together, group, ending, MOST_LISTED).stream()
                            .map(each -> new Behind(
                                    "/fittings/" + each.id(),
                                    words.moment(each.at()),
                                    each.by(),
                                    method(each.method(), words),
                                    words.say("state." + each.state())))
                            .toList());
            model.addAttribute(
                    "behindSays", name(group, together, words) + ": " + words.say("ledger." + known(ending)));
        }
        return "ledger/ledger";
    }

    private static String known(String ending) {
        return Ledger.ENDINGS.contains(ending) ? ending : Ledger.ENDINGS.get(0);
    }

    /** Takes what a page or a paper is filled with. */
    @FunctionalInterface
    private interface Into {
        void put(String name, Object value);
    }

    private void fill(SignedIn user, String year, String by, Into into) {
        Wording words = viewing.wording(user);
        Point point = viewing.point(user);
        int of = year(year, user);
        By together = by(by);
        List<Group> groups = ledger.groups(point, of, together);
        int most = groups.stream().mapToInt(Group::whole).max().orElse(1);
        into.put("year", of);
        into.put("by", together.name());
        into.put("years", years(of, viewing.today(point).getYear()));
        into.put(
                "bys",
                Arrays.stream(By.values())
                        .map(each -> new Choice(each.name(), words.say("ledger.by." + each), each == together))
                        .toList());
        into.put(
                "endings",
                Ledger.ENDINGS.stream()
                        .map(ending -> new Choice(ending, words.say("ledger." + ending), false))
                        .toList());
        into.put(
                "lines",
                groups.stream()
                        .map(group -> line(group, together, of, most, words))
                        .toList());
        into.put(
                "found",
                ledger.found(point, of).stream()
                        .map(each -> new Counted(words.say("misuse." + constant(each.what())), each.count()))
                        .toList());
        List<Counted> beside = new ArrayList<>(ledger.beside(point, of).stream()
                .map(each -> new Counted(words.say("ledger." + each.what()), each.count()))
                .toList());
        Ledger.Whole whole = ledger.whole(point, of);
        beside.add(new Counted(words.say("ledger.foundCount"), whole.found()));
        beside.add(new Counted(words.say("ledger.putRight"), whole.putRight()));
        whole.medianLooks().ifPresent(looks -> beside.add(new Counted(words.say("ledger.looks"), looks)));
        into.put("beside", beside);
        into.put("barWidth", BAR);
    }

    private static List<Integer> years(int chosen, int now) {
        List<Integer> years = new ArrayList<>();
        for (int year = now; year > now - YEARS_OFFERED; year--) {
            years.add(year);
        }
        if (!years.contains(chosen)) {
            years.add(chosen);
        }
        return years;
    }

    private int year(String text, SignedIn user) {
        int now = viewing.today(viewing.point(user)).getYear();
        boolean isOne =
                text.matches("\\d{4}") && Integer.parseInt(text) >= EARLIEST_YEAR && Integer.parseInt(text) <= now + 1;
        return isOne ? Integer.parseInt(text) : now;
    }

    private static By by(String text) {
        return Arrays.stream(By.values())
                .filter(each -> each.name().equals(text))
                .findFirst()
                .orElse(By.MONTH);
    }

    private static Line line(Group group, By by, int year, int most, Wording words) {
        List<Piece> pieces = new ArrayList<>();
        List<Cell> cells = new ArrayList<>();
        int x = 0;
        for (Map.Entry<String, Integer> each : group.endings().entrySet()) {
            int width = each.getValue() * BAR / Math.max(1, most);
            if (each.getValue() > 0) {
                pieces.add(new Piece(each.getKey(), x, width, each.getValue()));
            }
            x += width;
            cells.add(new Cell(
                    each.getKey(),
                    words.say("ledger." + each.getKey()),
                    each.getValue(),
                    "/ledger?year=" + year + "&by=" + by + "&group=" + encoded(group.key()) + "&ending=" + each.getKey()
                            + "#behind"));
        }
        return new Line(
                name(group.key(), by, words),
                group.whole(),
                pieces,
                cells,
                group.medianMinutes().isPresent()
                        ? words.say(
                                "ledger.minutes",
                                Map.of(
                                        "minutes",
                                        Argument.of(group.medianMinutes().getAsInt())))
                        : "–");
    }

    private static String encoded(String key) {
        return URLEncoder.encode(key, StandardCharsets.UTF_8);
    }

    private static String name(String key, By by, Wording words) {
        return switch (by) {
            case MONTH ->
                key.matches("\\d{2}") && Integer.parseInt(key) >= 1 && Integer.parseInt(key) <= 12
                        ? Month.of(Integer.parseInt(key)).getDisplayName(TextStyle.FULL_STANDALONE, words.locale())
                        : key;
            case WEEK -> words.say("ledger.week", Map.of("number", Argument.of(key)));
            case PERSON -> key;
            case METHOD -> method(key, words);
            case KIND -> key.isEmpty() ? words.say("ledger.noKind") : words.say("seatKind." + key);
        };
    }

    private static String method(String spelled, Wording words) {
        String key = "method." + spelled;
        return words.knows(key) ? words.say(key) : words.say("ledger.noMethod");
    }

    /** A constant as an entry's document spells it. */
    private static String constant(String spelled) {
        return spelled.replaceAll("([a-z0-9])([A-Z])", "$1_$2").toUpperCase(Locale.ROOT);
    }

    @GetMapping(path = "/ledger.csv", produces = "text/csv")
    ResponseEntity<String> table(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(defaultValue = "") String year,
            @RequestParam(defaultValue = "") String by) {
        Wording words = viewing.wording(user);
        By together = by(by);
        List<String> head = new ArrayList<>(List.of(words.say("ledger.by." + together)));
        Ledger.ENDINGS.forEach(ending -> head.add(words.say("ledger." + ending)));
        head.add(words.say("ledger.median"));
        List<List<String>> rows = ledger.groups(viewing.point(user), year(year, user), together).stream()
                .map(group -> {
                    List<String> row = new ArrayList<>(List.of(name(group.key(), together, words)));
                    group.endings().values().forEach(count -> row.add(String.valueOf(count)));
                    row.add(
                            group.medianMinutes().isPresent()
                                    ? String.valueOf(group.medianMinutes().getAsInt())
                                    : "");
                    return row;
                })
                .toList();
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"ledger-" + year(year, user) + ".csv\"")
                .body(Csv.of(head, rows));
    }

    /** The year on paper. */
    @GetMapping(path = "/ledger.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> paper(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam(defaultValue = "") String year,
            @RequestParam(defaultValue = "") String by) {
        Wording words = viewing.wording(user);
        Map<String, Object> filled = new HashMap<>();
        fill(user, year, by, filled::put);
        filled.put(
                "title", words.say("ledger.ofYear", Map.of("year", Argument.of(String.valueOf(filled.get("year"))))));
        filled.put("lang", words.language());
        filled.put("paper", PaperSize.in(viewing.point(user).lawCountry()).css());
        filled.put("point", viewing.point(user).name());
        filled.put("median", words.say("ledger.median"));
        filled.put("foundTitle", words.say("ledger.found"));
        filled.put("besideTitle", words.say("ledger.beside"));
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=ledger.pdf")
                .contentType(MediaType.APPLICATION_PDF)
                .body(printer.print("ledger/paper", words.language(), filled));
    }
}
