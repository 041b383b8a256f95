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
import java.util.concurrent.CountDownLatch;

/**
 * What {@code bin/demo} runs beside the service: serves the stand-in website, waits for the service, loads the content,
 * and tells where everything is. Ends when it is stopped.
 */
public final class DemoCommand {
    private static final Duration LONGEST_START = Duration.ofSeconds(120);

    private DemoCommand() {}

    /** @param arguments the service's port, the site's port, name and password to sign in with, access key */
    public static void main(String[] arguments) throws IOException, InterruptedException {
        String service = "http://localhost:" + arguments[0];
        int sitePort = Integer.parseInt(arguments[1]);
        StandInSite site;
        try {
            site = new StandInSite(sitePort, service, DemoLoader.SEARCH, LocalDate.now());
        } catch (BindException taken) {
            System.err.println("Port " + sitePort + " is taken by another program.");
            System.exit(1);
            return;
        }
        try (site) {
            waitFor(service);
            int items = new DemoLoader(service, arguments[4]).load(site.address(), LocalDate.now());
            System.out.println("content: " + items + " items");
            System.out.println("workbench: " + service + "/workbench/");
            System.out.println("demo site: " + site.address() + "/");
            System.out.println("sign in: " + arguments[2] + " / " + arguments[3]);
            System.out.println("access key: " + arguments[4]);
            System.out.println("ready");
            new CountDownLatch(1).await();
        }
    }

    private static void waitFor(String service) throws InterruptedException {
        HttpClient client = HttpClient.newHttpClient();
        HttpRequest question = HttpRequest.newBuilder(URI.create(service + "/api/owner/session")).timeout(Duration.ofSeconds(5)).build();
        Instant latest = Instant.now().plus(LONGEST_START);
        while (true) {
            try {
                if (client.send(question, HttpResponse.BodyHandlers.discarding()).statusCode() == 200) {
                    return;
                }
            } catch (IOException notYet) {
                if (Instant.now().isAfter(latest)) {
                    throw new IllegalStateException("The service did not answer within " + LONGEST_START.toSeconds() + " s; see its log", notYet);
                }
            }
            Thread.sleep(150);
        }
    }
}
