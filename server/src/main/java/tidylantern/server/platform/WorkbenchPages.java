package tidylantern.server.platform;

import java.time.Duration;
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

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry files) {
        keptForGood(files, "/workbench/assets/");
        keptForGood(files, "/elements/parts/");
        // The tag on a site never changes, so browsers ask whether the script behind it did.
        files.addResourceHandler("/elements/**")
                .addResourceLocations("classpath:/static/elements/")
                .setCacheControl(CacheControl.noCache().cachePublic());
        files.addResourceHandler("/workbench/**")
                .addResourceLocations("classpath:/static/workbench/")
                .setCacheControl(CacheControl.noCache());
    }

    /** Files whose names change with what is in them; the build put them there compressed as well. */
    private static void keptForGood(ResourceHandlerRegistry files, String folder) {
        files.addResourceHandler(folder + "**")
                .addResourceLocations("classpath:/static" + folder)
                .setCacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePublic().immutable())
                .resourceChain(true)
                .addResolver(new EncodedResourceResolver());
    }
}
