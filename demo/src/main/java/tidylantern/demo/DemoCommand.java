package tidylantern.demo;

import java.io.IOException;
import java.net.BindException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.concurrent.CountDownLatch;

/**
 * What {@code bin/demo} runs beside the service: serves the stand-in website, waits for the service, loads the content,
 * and tells where everything is. Ends when it is stopped.
 */
public final class DemoCommand {
    private static final Duration LONGEST_START = Duration.ofMinutes(2);

    private DemoCommand() {}

    /**
     * What is secret comes through the environment, which other users of the machine cannot read as they can arguments.
     *
     * @param arguments the service's port, the site's port
     */
    public static void main(String[] arguments) throws IOException, InterruptedException {
        String service = "http://localhost:" + arguments[0];
        int sitePort = Integer.parseInt(arguments[1]);
        String key = System.getenv("TIDY_LANTERN_ACCESS_KEY");
        StandInSite site;
        try {
            site = new StandInSite(sitePort, service, DemoLoader.SEARCH, LocalDate.now(ZoneId.systemDefault()));
        } catch (BindException taken) {
            System.err.println("Port " + sitePort + " is taken by another program.");
            System.exit(1);
            return;
        }
        try (site) {
            waitFor(service);
            int items = new DemoLoader(service, key).load(site.address(), LocalDate.now(ZoneId.systemDefault()));
            System.out.println("content: " + items + " items");
            System.out.println("workbench: " + service + "/workbench/");
            System.out.println("demo site: " + site.address() + "/");
            System.out.println("see how it was made: " + site.address() + IslePages.HOW_IT_WAS_MADE);
            System.out.println(
                    "sign in: " + System.getenv("TIDY_LANTERN_OWNER") + " / " + System.getenv("TIDY_LANTERN_PASSWORD"));
            System.out.println("access key: " + key);
            System.out.println("ready");
            new CountDownLatch(1).await();
        }
    }

    private static void waitFor(String service) throws InterruptedException {
        HttpClient client = HttpClient.newHttpClient();
        HttpRequest question = HttpRequest.newBuilder(URI.create(service + "/api/owner/session"))
                .timeout(Duration.ofSeconds(5))
                .build();
        Instant latest = Instant.now().plus(LONGEST_START);
        while (true) {
            try {
                if (client.send(question, HttpResponse.BodyHandlers.discarding())
                                .statusCode()
                        == 200) {
                    return;
                }
            } catch (IOException notYet) {
                if (Instant.now().isAfter(latest)) {
                    throw new IllegalStateException(
                            "The service did not answer within " + LONGEST_START.toSeconds() + " s; see its log",
                            notYet);
                }
            }
            Thread.sleep(150);
        }
    }
}
