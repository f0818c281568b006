package app.layette.web.wall;

import javax.sql.DataSource;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.env.Environment;

/** Puts the wall round the connections to the database. */
@Configuration(proxyBeanMethods = false)
class WallConfiguration {
    @Bean
    static BeanPostProcessor wall(Environment environment) {
        return new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return bean instanceof DataSource beneath && !(bean instanceof WalledDataSource)
                        ? new WalledDataSource(
                                beneath,
                                environment.getProperty("layette.database.longest-statement", "15s"),
                                environment.getProperty("layette.database.longest-wait", "10s"))
                        : bean;
            }
        };
    }
}
