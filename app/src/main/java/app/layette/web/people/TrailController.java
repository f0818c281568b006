package app.layette.web.people;

import app.layette.formats.wording.Wording;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.shell.Csv;
import app.layette.web.trail.Trail;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The trail as a lead reads it and takes it along. */
@Controller
class TrailController {
    private static final int MOST_SHOWN = 300;

    private final Trail trail;
    private final Viewing viewing;

    TrailController(Trail trail, Viewing viewing) {
        this.trail = trail;
        this.viewing = viewing;
    }

    /** A line in words. */
    public record Row(int seq, String at, String by, String what, String about) {}

    @GetMapping("/trail")
    String show(@AuthenticationPrincipal SignedIn user, Model model) {
        People.needLead(user);
        ZoneId zone = viewing.point(user).zone();
        Wording words = viewing.wording(user);
        List<Trail.Line> lines = trail.of(user.pointId());
        List<Trail.Line> newest = new ArrayList<>(lines.subList(Math.max(0, lines.size() - MOST_SHOWN), lines.size()));
        Collections.reverse(newest);
        model.addAttribute("broken", Trail.broken(lines));
        model.addAttribute("all", lines.size());
        model.addAttribute(
                "lines",
                newest.stream()
                        .map(line -> new Row(
                                line.seq(),
                                words.moment(line.at().atZone(zone)),
                                line.by(),
                                words.say("trail." + line.what()),
                                line.about()))
                        .toList());
        return "people/trail";
    }

    /** Every line with its hash, so that the chain can be checked elsewhere. */
    @GetMapping(path = "/trail.csv", produces = "text/csv")
    ResponseEntity<String> export(@AuthenticationPrincipal SignedIn user) {
        People.needLead(user);
        String rows = trail.of(user.pointId()).stream()
                .map(line -> String.join(
                        ",",
                        String.valueOf(line.seq()),
                        line.at().toString(),
                        Csv.cell(line.by()),
                        line.what().name(),
                        Csv.cell(line.about()),
                        line.sha256()))
                .collect(Collectors.joining("\n", "seq,at,by,what,about,sha256\n", "\n"));
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"trail.csv\"")
                .body(rows);
    }
}
