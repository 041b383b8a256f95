package tidylantern.server.platform;

import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.ViewControllerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.EncodedResourceResolver;

/** Serves the workbench, whose router owns every address below {@code /workbench}, and the visitors' script. */
@Configuration
class WorkbenchPages implements WebMvcConfigurer {
    private static final String INDEX = "forward:/workbench/index.html";

    @Override
    public void addViewControllers(ViewControllerRegistry pages) {
        pages.addRedirectViewController("/", "/workbench/");
        for (String address : new String[] {
            "/workbench",
            "/workbench/",
            "/workbench/{a:[^.]*}",
            "/workbench/{a:[^.]*}/{b:[^.]*}",
            "/workbench/{a:[^.]*}/{b:[^.]*}/{c:[^.]*}",
            "/workbench/{a:[^.]*}/{b:[^.]*}/{c:[^.]*}/{d:[^.]*}"
        }) {
            pages.addViewController(address).setViewName(INDEX);
        }
    }

    /** Files with names of their own for what is in them hold for good, and are there compressed as well. */
    @Override
    public void addResourceHandlers(ResourceHandlerRegistry files) {
        files.addResourceHandler("/workbench/assets/**")
                .addResourceLocations("classpath:/static/workbench/assets/")
                .setCacheControl(CacheControl.maxAge(java.time.Duration.ofDays(365))
                        .cachePublic()
                        .immutable())
                .resourceChain(true)
                .addResolver(new EncodedResourceResolver());
        // Their names change with what is in them.
        files.addResourceHandler("/elements/parts/**")
                .addResourceLocations("classpath:/static/elements/parts/")
                .setCacheControl(CacheControl.maxAge(java.time.Duration.ofDays(365))
                        .cachePublic()
                        .immutable())
                .resourceChain(true)
                .addResolver(new EncodedResourceResolver());
        // The tag on a site never changes, so browsers ask whether the script behind it did.
        files.addResourceHandler("/elements/**")
                .addResourceLocations("classpath:/static/elements/")
                .setCacheControl(CacheControl.noCache().cachePublic());
        files.addResourceHandler("/workbench/**")
                .addResourceLocations("classpath:/static/workbench/")
                .setCacheControl(CacheControl.noCache());
    }
}
