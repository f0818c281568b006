package app.layette.web.quick;

import app.layette.core.ride.RideBands;
import app.layette.core.seat.SeatSheet;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.CacheControl;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ResponseBody;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;

/**
 * What a browser looks up where there is no signal: the card of each carrier of the shelf, for each band of weights and
 * each answer about its manual. It computes nothing of its own; outside this table it needs a connection.
 */
@Controller
class RideTable {
    private static final List<String> SHOWS = List.of("EUROPEAN", "AMERICAN", "BOTH", "NEITHER", "UNKNOWN");

    /** A band of weights of a carrier, in words, and the number of the card for each answer. */
    public record Band(String weights, Map<String, Integer> cards) {}

    /** The table: cards as they are shown, each once, and where each belongs. */
    public record Table(List<String> cards, Map<String, List<Band>> carriers) {}

    private final Rides rides;
    private final Viewing viewing;
    private final ITemplateEngine templates;

    RideTable(Rides rides, Viewing viewing, ITemplateEngine templates) {
        this.rides = rides;
        this.viewing = viewing;
        this.templates = templates;
    }

    @GetMapping("/quick/table")
    @ResponseBody
    ResponseEntity<Table> table(@AuthenticationPrincipal SignedIn user) {
        Point point = viewing.point(user);
        Wording words = viewing.wording(user);
        Map<String, Integer> numbers = new LinkedHashMap<>();
        Map<String, List<Band>> carriers = new LinkedHashMap<>();
        for (Rides.Carrier carrier : rides.carriers(point)) {
            rides.seat(point, carrier.id())
                    .filter(seat -> carrier.ofBase() && !Rides.isSilentOnBase(seat))
                    .ifPresent(seat -> carriers.put(carrier.id(), bands(point, seat, words, numbers)));
        }
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noCache().cachePrivate())
                .body(new Table(List.copyOf(numbers.keySet()), carriers));
    }

    private List<Band> bands(Point point, SeatSheet seat, Wording words, Map<String, Integer> numbers) {
        List<Band> bands = new ArrayList<>();
        for (RideBands.Between band : RideBands.of(seat.asReliedOn())) {
            Map<String, Integer> cards = new LinkedHashMap<>();
            for (String shows : SHOWS) {
                Answers answers = new Answers("", "", seat.sheet().id(), shows, "");
                CardView card = CardView.of(
                                rides.card(point, seat, band.inside(), answers, Optional.empty()), seat, words)
                        .ofAnyWeight();
                cards.put(shows, numbers.computeIfAbsent(drawn(card, words), made -> numbers.size()));
            }
            bands.add(new Band(
                    words.figure(band.from().in(words.units())) + " – "
                            + words.figure(band.below().in(words.units())),
                    cards));
        }
        return bands;
    }

    private String drawn(CardView card, Wording words) {
        Context context = new Context(words.locale());
        context.setVariable("card", card);
        context.setVariable("words", words);
        return templates.process("quick/card", context);
    }
}
