package app.layette.web.stock;

import app.layette.core.condition.Expiry;
import app.layette.core.entry.FieldProblem;
import app.layette.core.evidence.Complete;
import app.layette.formats.wording.Wording;
import app.layette.web.account.Point;
import app.layette.web.account.SignedIn;
import app.layette.web.account.Viewing;
import app.layette.web.fitting.FittingLists;
import app.layette.web.fitting.Fittings;
import app.layette.web.photo.CleanPhoto;
import app.layette.web.photo.Darkroom;
import app.layette.web.recall.Recalls;
import app.layette.web.shelf.SheetSummary;
import app.layette.web.shelf.Shelf;
import app.layette.web.stock.StockSeat.State;
import java.io.IOException;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;

/** The seats that are kept here, by what can be done with them. */
@Controller
@RequestMapping("/stock")
class StockController {
    private static final int USUAL_LOAN_MONTHS = 6;

    private final Stock stock;
    private final Shelf shelf;
    private final Fittings fittings;
    private final FittingLists lists;
    private final Viewing viewing;
    private final Darkroom darkroom;
    private final Recalls recalls;

    StockController(
            Stock stock,
            Shelf shelf,
            Fittings fittings,
            FittingLists lists,
            Viewing viewing,
            Recalls recalls,
            Darkroom darkroom) {
        this.darkroom = darkroom;
        this.recalls = recalls;
        this.stock = stock;
        this.shelf = shelf;
        this.fittings = fittings;
        this.lists = lists;
        this.viewing = viewing;
    }

    /** The seats of one state. */
    public record Column(String state, String name, List<Card> cards) {}

    /**
     * A seat as it is shown.
     *
     * @param life until when it may be used
     * @param bar why it is lent to nobody, in words; empty where it can be lent
     * @param barred the same as a key
     * @param withWhom where it is lent, to whom and until when
     */
    @Complete
    public record Card(
            UUID id,
            String sheet,
            String title,
            String picture,
            String label,
            String life,
            String bar,
            String barred,
            String withWhom,
            boolean late,
            String cared,
            List<Stock.Event> events,
            boolean photo) {}

    @GetMapping
    ModelAndView page(
            @AuthenticationPrincipal SignedIn user, @RequestParam(defaultValue = "") String find, Model model) {
        return shown(user, find.strip(), Map.of(), List.of(), model);
    }

    private ModelAndView shown(
            SignedIn user, String find, Map<String, String> typed, List<FieldProblem> problems, Model model) {
        Wording words = viewing.wording(user);
        Point point = viewing.point(user);
        Map<String, String> titles = new HashMap<>();
        List<SheetSummary> sheets = shelf.seats(user.pointId());
        sheets.forEach(each -> titles.put(each.id(), each.title()));
        List<StockSeat> all = stock.of(user.pointId());
        List<StockSeat> seats =
                all.stream().filter(each -> isSaid(each, find, titles)).toList();
        model.addAttribute("find", find);
        model.addAttribute("unfound", seats.isEmpty() && !all.isEmpty());
        model.addAttribute(
                "columns",
                Arrays.stream(State.values())
                        .map(state -> new Column(
                                state.name(),
                                words.say("stock.state." + state),
                                seats.stream()
                                        .filter(each -> each.state() == state)
                                        .map(each -> card(user, point, each, titles, words))
                                        .toList()))
                        .toList());
        model.addAttribute("none", all.isEmpty());
        model.addAttribute("sheets", sheets);
        model.addAttribute("families", lists.openOnes(user, List.of()));
        model.addAttribute("until", viewing.today(point).plusMonths(USUAL_LOAN_MONTHS));
        model.addAttribute("typed", typed);
        model.addAttribute("problems", problems.stream().map(words::say).toList());
        return new ModelAndView(
                "stock/stock", model.asMap(), problems.isEmpty() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
    }

    /** By any part of what its label says, or by all that its code says. */
    private static boolean isSaid(StockSeat seat, String find, Map<String, String> titles) {
        String text = (titles.getOrDefault(seat.sheetId(), "") + " " + seat.model() + " " + seat.made() + " "
                        + seat.serial())
                .toLowerCase(Locale.ROOT);
        String wanted = find.toLowerCase(Locale.ROOT);
        return text.contains(wanted)
                || List.of(wanted.split("[ ;|]+")).contains(seat.serial().toLowerCase(Locale.ROOT));
    }

    private Card card(SignedIn user, Point point, StockSeat seat, Map<String, String> titles, Wording words) {
        LocalDate today = viewing.today(point);
        Optional<Stock.Bar> bar = stock.bar(point, seat).filter(each -> each != Stock.Bar.NOT_READY);
        String withWhom = seat.fitting()
                .map(fitting -> fittings.planned(fitting, user.pointId()))
                .map(fitting -> fitting.childName() + " " + fitting.reference())
                .flatMap(who -> seat.until().map(day -> who + " · " + words.say(day)))
                .orElse("");
        return StockControllerCardParts.builder()
                .id(seat.id())
                .sheet(seat.sheetId())
                .title(titles.getOrDefault(seat.sheetId(), seat.sheetId()))
                .picture(shelf.newestSeat(user.pointId(), seat.sheetId())
                        .map(sheet -> shelf.pictures().seat(user.pointId(), sheet))
                        .orElse(""))
                .label(seat.model() + " · " + seat.made() + " · " + seat.serial())
                .life(stock.lastDay(user.pointId(), seat)
                        .flatMap(Expiry.LastDay::lastDay)
                        .map(words::say)
                        .orElse(""))
                .bar(bar.map(each -> words.say("stock.bar." + each)).orElse(""))
                .barred(bar.map(Enum::name).orElse(""))
                .withWhom(withWhom)
                .late(seat.until().filter(today::isAfter).isPresent())
                .cared(seat.washedOn().map(words::say).orElse(""))
                .events(stock.events(user, seat.id()))
                .photo(seat.hasPhoto())
                .build();
    }

    @PostMapping
    ModelAndView add(
            @AuthenticationPrincipal SignedIn user,
            @RequestParam Map<String, String> fields,
            @RequestParam(required = false) MultipartFile photo,
            Model model)
            throws IOException {
        Optional<byte[]> label = Optional.empty();
        if (photo != null && !photo.isEmpty()) {
            try {
                label = Optional.of(darkroom.develop(user.getUsername(), photo).jpeg());
            } catch (CleanPhoto.RefusedPhotoException e) {
                ModelAndView refused = shown(user, "", fields, List.of(), model);
                refused.addObject("problems", List.of(viewing.wording(user).say("photo.refused." + e.getMessage())));
                refused.setStatus(HttpStatus.UNPROCESSABLE_CONTENT);
                return refused;
            }
        }
        List<FieldProblem> problems = stock.add(user, fields, label);
        if (problems.isEmpty()) {
            // Outside the transaction that keeps the seat: it waits for no service.
            recalls.listen(fields.getOrDefault("modelNumber", ""));
        }
        return problems.isEmpty() ? new ModelAndView("redirect:/stock") : shown(user, "", fields, problems, model);
    }

    /** The label of a seat as it was photographed. */
    @GetMapping("/{id}/label.jpg")
    ResponseEntity<byte[]> label(@AuthenticationPrincipal SignedIn user, @PathVariable UUID id) {
        return stock.label(user.pointId(), id)
                .map(jpeg -> ResponseEntity.ok()
                        .contentType(MediaType.IMAGE_JPEG)
                        .header(HttpHeaders.CACHE_CONTROL, "private, no-store")
                        .body(jpeg))
                .orElseGet(() -> ResponseEntity.notFound().build());
    }

    @PostMapping("/{id}/lend")
    ModelAndView lend(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam UUID family,
            @RequestParam(defaultValue = "") String until,
            @RequestParam(defaultValue = "false") boolean lookedUp,
            Model model) {
        List<FieldProblem> problems = stock.lend(user, id, family, until, lookedUp);
        return problems.isEmpty() ? new ModelAndView("redirect:/stock") : shown(user, "", Map.of(), problems, model);
    }

    @PostMapping("/{id}/back")
    String back(@AuthenticationPrincipal SignedIn user, @PathVariable UUID id) {
        stock.takeBack(user, id);
        return "redirect:/stock";
    }

    @PostMapping("/{id}/ready")
    ModelAndView ready(
            @AuthenticationPrincipal SignedIn user,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "false") boolean noCrash,
            Model model) {
        List<FieldProblem> problems = stock.ready(user, id, noCrash);
        return problems.isEmpty() ? new ModelAndView("redirect:/stock") : shown(user, "", Map.of(), problems, model);
    }

    @PostMapping("/{id}/remedied")
    String remedied(@AuthenticationPrincipal SignedIn user, @PathVariable UUID id) {
        stock.remedied(user, id);
        return "redirect:/stock";
    }

    @PostMapping("/{id}/out")
    String out(@AuthenticationPrincipal SignedIn user, @PathVariable UUID id) {
        stock.takeOut(user, id);
        return "redirect:/stock";
    }
}
