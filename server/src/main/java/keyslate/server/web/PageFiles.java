package keyslate.server.web;

import java.time.Duration;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Files of the page whose names carry a hash may be kept for good; every other one is asked for again at each visit. */
@Configuration
class PageFiles implements WebMvcConfigurer {
    private static final Duration A_YEAR = Duration.ofDays(365);

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/assets/**")
                .addResourceLocations("classpath:/static/assets/")
                .setCacheControl(CacheControl.maxAge(A_YEAR).cachePublic().immutable());
    }
}
