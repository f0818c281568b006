package app.layette.web.standin;

import app.layette.core.entry.Fact;
import app.layette.core.entry.Fact.Stage;
import app.layette.core.entry.Situation;
import app.layette.core.measure.Angle;
import app.layette.core.measure.Length;
import app.layette.core.measure.Mass;
import app.layette.web.workbench.AngleGauge;
import app.layette.web.workbench.BabyScale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.boot.autoconfigure.condition.ConditionalOnExpression;
import org.springframework.stereotype.Component;

/** Where no device is connected and nothing may pretend: none of them answers. */
@Component
@ConditionalOnExpression("'${layette.mode:serve}' != 'demo' and !${layette.stand-ins:false}")
class Nothing implements AngleGauge, BabyScale {
    @Override
    public Optional<Angle> read(UUID fitting, Situation situation, Stage stage) {
        return Optional.empty();
    }

    @Override
    public boolean isSimulated() {
        return false;
    }

    @Override
    public Optional<Mass> weigh(UUID fitting, Situation situation) {
        return Optional.empty();
    }

    @Override
    public Optional<Length> measure(UUID fitting, Situation situation) {
        return Optional.empty();
    }

    @Override
    public boolean pretended(UUID fitting, Fact fact) {
        return false;
    }
}
