package app.layette.web.shell;

import java.time.Duration;
import java.util.List;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.VersionResourceResolver;

/**
 * Where the styles, scripts and fonts are served from. Not Boot's one handler for every path: each link of a page is
 * asked of every handler whose pattern it fits, and looking a fitting's address up in every library took a third of
 * the time of a page.
 */
@Configuration
class StaticFiles implements WebMvcConfigurer {
    private static final CacheControl FOR_A_YEAR = CacheControl.maxAge(Duration.ofDays(365));

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        for (OneFile whole : List.of(OneFile.ofStyles(), OneFile.ofScripts())) {
            String folder = whole.folder();
            registry.addResourceHandler("/" + folder + "/**")
                    .addResourceLocations("classpath:/static/" + folder + "/")
                    .setCacheControl(FOR_A_YEAR)
                    .resourceChain(true)
                    .addResolver(new VersionResourceResolver().addContentVersionStrategy("/**"))
                    .addResolver(whole);
        }
        registry.addResourceHandler("/fonts/**")
                .addResourceLocations("classpath:/static/fonts/")
                .setCacheControl(FOR_A_YEAR);
        registry.addResourceHandler("/webjars/**")
                .addResourceLocations("classpath:/META-INF/resources/webjars/")
                .setCacheControl(FOR_A_YEAR)
                .resourceChain(true);
        registry.addResourceHandler("/sw.js", "/favicon.svg", "/manifest.webmanifest")
                .addResourceLocations("classpath:/static/");
    }
}
