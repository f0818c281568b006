package app.layette.web.ward;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnExpression;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The ward's server from the settings, where none pretends. */
@Configuration(proxyBeanMethods = false)
class WardConfiguration {
    @Bean
    @ConditionalOnExpression("!('${layette.mode:serve}' == 'demo' or ${layette.stand-ins:false})")
    WardServer wardServer(@Value("${layette.fhir-url:}") String address) {
        return new SetWardServer(address);
    }
}
