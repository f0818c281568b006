package app.layette.web.running;

import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Brings a database up to this version and ends: what comes next finds every table there. */
@Component
@Order
@ConditionalOnProperty(name = "layette.mode", havingValue = "prepare")
class PrepareRunner implements ApplicationRunner {
    private final ConfigurableApplicationContext context;

    PrepareRunner(ConfigurableApplicationContext context) {
        this.context = context;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        // From a thread of its own: what is being started cannot be ended by the one that starts it.
        Thread end = new Thread(() -> System.exit(SpringApplication.exit(context)));
        end.start();
    }
}
