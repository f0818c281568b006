package app.layette.web.keeping;

import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.ExitCodeGenerator;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * Says what a database holds and whether every seal holds over it, as one line of JSON, and ends: with 0 where they do,
 * with 1 where one does not. A backup is taken and restored with it.
 */
@Component
@Order
@ConditionalOnProperty(name = "layette.mode", havingValue = "holds")
class HoldsRunner implements ApplicationRunner {
    private final Keeping keeping;
    private final ConfigurableApplicationContext context;

    HoldsRunner(Keeping keeping, ConfigurableApplicationContext context) {
        this.keeping = keeping;
        this.context = context;
    }

    @Override
    @SuppressWarnings("SystemOut")
    public void run(ApplicationArguments arguments) {
        Keeping.Holds holds = keeping.holds();
        System.out.println(JsonMapper.shared().writeValueAsString(holds.says()));
        ExitCodeGenerator code = () -> holds.whole() ? 0 : 1;
        // From a thread of its own: what is being started cannot be ended by the one that starts it.
        Thread end = new Thread(() -> System.exit(SpringApplication.exit(context, code)));
        end.start();
    }
}
