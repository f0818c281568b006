package app.layette.core.seat;

import static app.layette.core.evidence.Evidence.orNotLooked;

import app.layette.core.evidence.Built;
import app.layette.core.evidence.Evidence;
import app.layette.core.evidence.PermissionKey;
import app.layette.core.evidence.Said;
import app.layette.core.evidence.SheetStatus;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.evidence.Written;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * One version of one restraint's sheet.
 *
 * @param sheet id and version
 * @param status draft or confirmed
 * @param kind kind of restraint
 * @param identity maker, name, model numbers and manufacture range: what the label must match (CND-9)
 * @param life service life (CND-1)
 * @param approvals country codes of the approvals on the label (CND-7)
 * @param crash the maker's own rule after a crash (CND-3)
 * @param parts everything that belongs to it, stated complete (CND-5)
 * @param limits of the rear-facing mode
 * @param shell geometry along the shell back
 * @param insert the pieces that came with it (SUIT-9)
 * @param harness loops, snug test, clip
 * @param bases the bases it may go on (CND-8)
 * @param recline device and indicator
 * @param anchorLimit limit of the lower anchors for child and restraint together, as printed (SUIT-10)
 * @param connectors how the lower anchors connect
 * @param leg whether there is a load leg and when it is needed (CAB-8)
 * @param windows the indicators that must show locked (SEC-7), stated complete
 * @param handle positions of the handle for driving (SEC-9)
 * @param gap room asked to the front seat (CAB-10)
 * @param lockOffs the clamps that lock a belt, stated complete (SEC-2)
 * @param permissions what the seat manual says on each permission
 * @param sideElement an element that takes up a side impact (CAB-12)
 * @param rotation whether the shell turns on its base (SEC-7)
 * @param tensionPanel whether a flap closes over the belt and tightens it (SEC-2)
 * @param routing how much belt a ride without the base takes
 * @param carBed of a car bed
 * @param layFlat of a lay-flat carrier
 * @param standards that the label names
 * @param modes ways in which it may be used; the rear-facing one fills the limits where nobody looked them up
 * @param rearFacingMinimum how long a child stays rear-facing at least by the seat's manual (SUIT-11)
 * @param ownConditions conditions of its own, such as head control, stated complete (SUIT-11)
 * @param reboundBar an anti-rebound bar (SEC-7)
 * @param beltPath where the belt goes through (SEC-3)
 * @param legIndicator what shows that a load leg is locked, in the manual's words (CAB-8)
 * @param borrowedSpacingMost widest spacing at which the middle may borrow inner anchors (CAB-4)
 * @param note to whoever uses the sheet
 * @param names what pieces and loops are called in other languages, for a family's page: by language tag, the sheet's
 *     own word and the word of that language
 */
@Built
public record SeatSheet(
        SheetVersion sheet,
        @Written(needed = true) SheetStatus status,
        @Written(needed = true) SeatKind kind,
        @Written(needed = true) SeatIdentity identity,
        Evidence<ServiceLife> life,
        @Written(as = "country") Evidence<List<String>> approvals,
        Evidence<CrashRule> crash,
        Evidence<List<String>> parts,
        Limits limits,
        Shell shell,
        Evidence<List<InsertPiece>> insert,
        Harness harness,
        Evidence<List<BaseFit>> bases,
        Recline recline,
        Evidence<Mass> anchorLimit,
        Evidence<Connectors> connectors,
        Evidence<LegUse> leg,
        Evidence<List<String>> windows,
        Evidence<List<HandlePosition>> handle,
        Evidence<Length> gap,
        Evidence<List<LockOff>> lockOffs,
        Map<PermissionKey, Evidence<Said>> permissions,
        Evidence<SideElement> sideElement,
        Evidence<Rotation> rotation,
        Evidence<Boolean> tensionPanel,
        BaselessRoute routing,
        CarBed carBed,
        LayFlat layFlat,
        Evidence<List<String>> standards,
        List<Mode> modes,
        Evidence<RearFacingMinimum> rearFacingMinimum,
        Evidence<List<String>> ownConditions,
        Evidence<ReboundBar> reboundBar,
        Evidence<BeltPath> beltPath,
        Evidence<String> legIndicator,
        @Written(as = "positiveLength") Evidence<Length> borrowedSpacingMost,
        @Written(longest = 2000) String note,
        Map<String, Map<String, String>> names) {

    public SeatSheet {
        life = orNotLooked(life);
        approvals = orNotLooked(approvals);
        crash = orNotLooked(crash);
        parts = orNotLooked(parts);
        limits = limits == null ? Limits.NOT_LOOKED : limits;
        shell = shell == null ? Shell.NOT_LOOKED : shell;
        insert = orNotLooked(insert).silentMeans(List.of());
        harness = harness == null ? Harness.NOT_LOOKED : harness;
        bases = orNotLooked(bases);
        recline = recline == null ? Recline.NOT_LOOKED : recline;
        anchorLimit = orNotLooked(anchorLimit);
        connectors = orNotLooked(connectors);
        leg = orNotLooked(leg).silentMeans(LegUse.NO_LEG);
        windows = orNotLooked(windows).silentMeans(List.of());
        handle = orNotLooked(handle);
        gap = orNotLooked(gap);
        lockOffs = orNotLooked(lockOffs).silentMeans(List.of());
        permissions = permissions == null ? Map.of() : Map.copyOf(permissions);
        sideElement = orNotLooked(sideElement).silentMeans(SideElement.NONE);
        rotation = orNotLooked(rotation).silentMeans(Rotation.NONE);
        tensionPanel = orNotLooked(tensionPanel).silentMeans(false);
        routing = routing == null ? BaselessRoute.NOT_LOOKED : routing;
        carBed = carBed == null ? CarBed.NOT_LOOKED : carBed;
        layFlat = layFlat == null ? LayFlat.NOT_LOOKED : layFlat;
        standards = orNotLooked(standards);
        modes = modes == null ? List.of() : List.copyOf(modes);
        rearFacingMinimum = orNotLooked(rearFacingMinimum);
        ownConditions = orNotLooked(ownConditions).silentMeans(List.of());
        reboundBar = orNotLooked(reboundBar).silentMeans(ReboundBar.NONE);
        beltPath = orNotLooked(beltPath);
        legIndicator = orNotLooked(legIndicator);
        borrowedSpacingMost = orNotLooked(borrowedSpacingMost);
        names = names == null ? Map.of() : Map.copyOf(names);
    }

    /**
     * A word of this sheet in a language.
     *
     * @param language its tag, such as {@code es}
     * @return the sheet's own word where it has none in that language
     */
    public String named(String word, String language) {
        return names.getOrDefault(language, Map.of()).getOrDefault(word, word);
    }

    /** A sentence in a language, with this sheet's own words in it said in that language; the longest word first. */
    public String inLanguage(String sentence, String language) {
        String said = sentence;
        List<String> own = names.getOrDefault(language, Map.of()).keySet().stream()
                .sorted(Comparator.comparingInt(String::length).reversed())
                .toList();
        for (String word : own) {
            // Whole words alone: "long" is not to be found in "along".
            said = said.replaceAll(
                    "(?<!\\p{L})" + Pattern.quote(word) + "(?!\\p{L})",
                    Matcher.quoteReplacement(named(word, language)));
        }
        return said;
    }

    /** What the seat manual says on a permission. */
    public Evidence<Said> says(PermissionKey key) {
        return permissions.getOrDefault(key, Evidence.notLooked());
    }

    /**
     * The sheet as far as it may be relied on: a draft keeps its name, its kind and what is drawn from it, and loses
     * every value that a rule would lean on.
     */
    public SeatSheet asReliedOn() {
        if (status == SheetStatus.CONFIRMED) {
            return this;
        }
        return SeatSheetParts.builder()
                .sheet(sheet)
                .status(status)
                .kind(kind)
                .identity(identity)
                .names(names)
                .build();
    }

    /** The lightest child: the rear-facing limit, or the rear-facing mode's where nobody looked that up. */
    public Evidence<Mass> weightMin() {
        return limits.weightMin().orElse(rearFacing(Mode::weightMin));
    }

    /** The heaviest child. */
    public Evidence<Mass> weightMax() {
        return limits.weightMax().orElse(rearFacing(Mode::weightMax));
    }

    /** The longest child, or that there is no such limit. */
    public Evidence<LengthLimit> lengthMax() {
        return limits.lengthMax().orElse(rearFacing(Mode::lengthMax));
    }

    private <T> Evidence<T> rearFacing(Function<Mode, Evidence<T>> limit) {
        return modes.stream().filter(Mode::isRearFacing).findFirst().map(limit).orElse(Evidence.notLooked());
    }
}
