package app.layette.web.standin;

import app.layette.core.condition.RecallNotice;
import app.layette.web.recall.RecallService;
import java.util.List;
import org.springframework.boot.autoconfigure.condition.ConditionalOnExpression;
import org.springframework.stereotype.Component;

/** Where no recall service is connected and nothing may pretend: nothing is known. */
@Component
@ConditionalOnExpression("'${layette.mode:serve}' != 'demo' and !${layette.stand-ins:false}")
class NoRecallService implements RecallService {
    @Override
    public List<RecallNotice> about(String model) throws UnreachableException {
        throw new UnreachableException("no recall service is connected");
    }

    @Override
    public boolean isSimulated() {
        return false;
    }
}
