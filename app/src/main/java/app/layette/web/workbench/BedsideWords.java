package app.layette.web.workbench;

import app.layette.core.entry.Fact;
import app.layette.core.entry.Situation;
import app.layette.core.entry.TeachItem;
import app.layette.core.evidence.Permission;
import app.layette.core.finding.Argument;
import app.layette.core.seat.HandlePosition;
import app.layette.core.seat.InsertPiece;
import app.layette.core.seat.LengthLimit;
import app.layette.core.secure.HandleForDriving;
import app.layette.formats.wording.Wording;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** What is said to a family at the bedside, in the words and numbers of their own seat's sheet. */
final class BedsideWords {
    private final Situation situation;
    private final Wording words;

    BedsideWords(Situation situation, Wording words) {
        this.situation = situation;
        this.words = words;
    }

    String of(TeachItem item) {
        return words.say("teach." + item + ".help", arguments(item));
    }

    private Map<String, Argument> arguments(TeachItem item) {
        return switch (item) {
            case SLOT -> Map.of("slot", Argument.of(slotSeen()));
            case INSERT -> Map.of("pieces", Argument.of(orNothing(pieces())));
            case HANDLE_FOR_DRIVING -> Map.of("positions", Argument.of(orNothing(positions())));
            case LIMITS -> Map.of("limits", Argument.of(orNothing(limits())));
            case GROWING_OUT ->
                Map.of(
                        "room",
                        Argument.of(situation
                                .headRoomAsked()
                                .value()
                                .map(room -> words.figure(room.in(words.units())))
                                .orElseGet(() -> words.say("teach.roomOfManual"))));
            case REGISTRATION_CARD ->
                Map.of(
                        "model",
                        Argument.of(situation
                                .seat()
                                .map(seat -> String.join(", ", seat.identity().modelNumbers()))
                                .orElse("")));
            default -> Map.of();
        };
    }

    private int slotSeen() {
        return situation
                .newest(Fact.ShoulderSeen.class)
                .map(seen -> seen.value().slotAtOrBelow())
                .orElse(0);
    }

    private String orNothing(List<String> said) {
        return said.isEmpty() ? words.say("teach.nothingSaid") : String.join("; ", said);
    }

    private List<String> pieces() {
        List<String> said = new ArrayList<>();
        for (InsertPiece piece :
                situation.seat().flatMap(seat -> seat.insert().value()).orElse(List.of())) {
            String bands = piece.bands().stream()
                    .filter(band -> band.weights() != null
                            && band.weights().from() != null
                            && band.weights().below() != null)
                    .map(band -> words.say("teach.use." + band.use()) + " "
                            + words.figure(band.weights().from().in(words.units())) + " – "
                            + words.figure(band.weights().below().in(words.units())))
                    .collect(Collectors.joining(", "));
            said.add(bands.isEmpty() ? piece.name() : piece.name() + " (" + bands + ")");
        }
        return said;
    }

    private List<String> positions() {
        return Arrays.stream(HandlePosition.values())
                .filter(position -> HandleForDriving.permission(situation, position) == Permission.ALLOWED)
                .map(position -> words.say("handle." + position))
                .toList();
    }

    private List<String> limits() {
        List<String> said = new ArrayList<>();
        situation
                .weightMin()
                .value()
                .ifPresent(min -> said.add(words.say("teach.from", Map.of("value", Argument.of(min)))));
        situation
                .weightMax()
                .value()
                .ifPresent(max -> said.add(words.say("teach.upTo", Map.of("value", Argument.of(max)))));
        situation
                .lengthMax()
                .value()
                .flatMap(LengthLimit::max)
                .ifPresent(max -> said.add(words.say("teach.upTo", Map.of("value", Argument.of(max)))));
        return said;
    }
}
