package tidylantern.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.boot.security.autoconfigure.UserDetailsServiceAutoConfiguration;

/** The service: the owner's workbench, the API behind it, and the public face that visitors' searches ask. */
// Owners are our own to look up; without this Spring would make up a user.
@SpringBootApplication(exclude = UserDetailsServiceAutoConfiguration.class)
@ConfigurationPropertiesScan
public class TidyLantern {
    public static void main(String[] arguments) {
        SpringApplication.run(TidyLantern.class, arguments);
    }
}
