package app.layette.web.fitting;

import app.layette.core.entry.Entry;
import app.layette.core.entry.FreeText;
import app.layette.formats.json.LayetteJson;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.node.ObjectNode;

/** Finds the words that hands wrote freely into a family's entries, and strikes them. */
@Component
public class Striking {
    /** What stands where words were struck. */
    public static final String STRUCK = "(struck)";

    private final FittingRows rows;
    private final EntryLog log;
    private final EntryRows entries;

    Striking(FittingRows rows, EntryLog log, EntryRows entries) {
        this.rows = rows;
        this.log = log;
        this.entries = entries;
    }

    /**
     * Words in an entry.
     *
     * @param seq the entry's place in its fitting
     * @param named whether the family's reference or its child's name is among them
     */
    public record Words(UUID fitting, UUID entry, int seq, String text, boolean named) {}

    /** All free words in all fittings of the family of this one. */
    @Transactional(readOnly = true)
    public List<Words> of(UUID fitting, UUID pointId) {
        Family family = rows.find(fitting, pointId)
                .orElseThrow(NoSuchFittingException::new)
                .family();
        List<Words> all = new ArrayList<>();
        List<FittingRow> theirs = rows.of(family, Limit.unlimited());
        for (FittingRow row : theirs) {
            if (!row.id().equals(row.recordId())) {
                // The same entries once more.
                continue;
            }
            for (Entry entry : log.of(row)) {
                String text = String.join(" · ", FreeText.of(entry.fact()).values());
                if (!text.isEmpty() && !text.equals(STRUCK)) {
                    all.add(new Words(row.id(), entry.id(), entry.seq(), text, isNamed(text, theirs)));
                }
            }
        }
        return all;
    }

    private static boolean isNamed(String text, List<FittingRow> theirs) {
        String low = text.toLowerCase(java.util.Locale.ROOT);
        return theirs.stream()
                .flatMap(row -> Stream.of(row.childName(), row.family().reference()))
                .map(name -> name.toLowerCase(java.util.Locale.ROOT))
                .anyMatch(low::contains);
    }

    /**
     * Strikes the words of entries; what else they say stays.
     *
     * @return the places of the entries that had words to strike
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public List<Integer> strike(UUID fitting, Set<UUID> chosen, UUID pointId) {
        FittingRow row = rows.lock(fitting, pointId).orElseThrow(NoSuchFittingException::new);
        List<Integer> places = new ArrayList<>();
        for (String stored : entries.documents(pointId, row.recordId())) {
            ObjectNode document = (ObjectNode) LayetteJson.strict().readTree(stored);
            Entry entry = LayetteJson.strict().readValue(stored, Entry.class);
            Set<String> fields = FreeText.of(entry.fact()).keySet();
            if (chosen.contains(entry.id()) && !fields.isEmpty()) {
                fields.forEach(field -> ((ObjectNode) document.get("fact")).put(field, STRUCK));
                entries.strike(pointId, row.recordId(), entry.seq(), document.toString());
                places.add(entry.seq());
            }
        }
        if (!places.isEmpty()) {
            row.wordsStruck();
        }
        return places;
    }
}
