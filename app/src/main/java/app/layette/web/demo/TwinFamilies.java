package app.layette.web.demo;

import static app.layette.web.demo.FamilyScript.RIDER;
import static app.layette.web.demo.FamilyScript.child;
import static app.layette.web.demo.FamilyScript.cleared;
import static app.layette.web.demo.FamilyScript.insert;
import static app.layette.web.demo.FamilyScript.labels;
import static app.layette.web.demo.FamilyScript.measures;

import app.layette.core.child.Sex;
import app.layette.core.entry.Fact;
import app.layette.core.entry.How;
import app.layette.core.evidence.SheetVersion;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.web.fitting.NewFamily;
import java.time.LocalDate;

/** Ida and Otto: twins with two different seats, in a car of seven places. */
final class TwinFamilies {
    private final LocalDate today;

    TwinFamilies(LocalDate today) {
        this.today = today;
    }

    NewFamily ida(NewFamily family) {
        child(family, new Fact.ChildDescribed(RIDER, today.minusDays(22), 262, Sex.FEMALE, Mass.ofGrams(2510)));
        measures(family, Mass.ofGrams(2840), Length.ofCentimetres(49));
        labels(family, "WT-210", "2024-09", "WB-21", "2024-09");
        insert(family, "head", true);
        return common(family);
    }

    NewFamily otto(NewFamily family) {
        child(family, new Fact.ChildDescribed(RIDER, today.minusDays(22), 262, Sex.MALE, Mass.ofGrams(2640)));
        measures(family, Mass.ofGrams(2990), Length.ofCentimetres(50));
        labels(family, "WN-330", "2024-09", "WNB-33", "2024-09");
        return common(family);
    }

    private static NewFamily common(NewFamily family) {
        cleared(family);
        family.add(
                How.MEASURED,
                new Fact.SheetAdopted(new SheetVersion("pallander-dray", 1), Fact.Adoption.ADOPTED, null));
        return family;
    }
}
