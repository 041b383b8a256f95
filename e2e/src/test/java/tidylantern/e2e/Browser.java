package tidylantern.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedDeque;
import java.util.function.Function;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.openqa.selenium.By;
import org.openqa.selenium.Dimension;
import org.openqa.selenium.Keys;
import org.openqa.selenium.NoSuchElementException;
import org.openqa.selenium.SearchContext;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.WebDriver;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.interactions.PointerInput;
import org.openqa.selenium.logging.LogEntry;
import org.openqa.selenium.logging.LogType;
import org.openqa.selenium.support.ui.WebDriverWait;
import tidylantern.server.RunningService;

/** Debian's Chromium, headless, driven as a person would: looks, waits until something is there, types, clicks. */
final class Browser implements AutoCloseable {
    private static final Duration PATIENCE = Duration.ofSeconds(20);
    private static final Duration GLANCE = Duration.ofMillis(50);
    /**
     * Finds, sees and reads in one question what the driver would ask element by element, each by a long script of its
     * own: the same as its own words 'displayed' and 'text' mean.
     */
    private static final String LOOK = """
            const found = [...(arguments[0] ?? document).querySelectorAll(arguments[1])]
            const isSeen = one =>
              one.checkVisibility({ opacityProperty: true, visibilityProperty: true }) &&
              [...one.getClientRects()].some(box => box.width > 0 && box.height > 0)
            const read = one =>
              one.checkVisibility({ visibilityProperty: true })
                ? one.innerText.replace(/[ \\u00a0\\t]+/g, ' ').replace(/ ?\\n ?/g, '\\n').trim()
                : ''
            """;

    /** Browsers that are closed and can be used again: starting one takes longer than many a test. */
    private static final Map<Kind, Deque<Browser>> IDLE = new ConcurrentHashMap<>();

    static {
        Runtime.getRuntime().addShutdownHook(new Thread(() -> IDLE.values()
                .forEach(idle -> idle.forEach(one -> one.driver.quit()))));
    }

    private enum Kind {
        WIDE,
        PHONE,
        WITHOUT_SCRIPT
    }

    private final Kind kind;
    private final ChromeDriver driver;

    private Browser(Kind kind) {
        this.kind = kind;
        int width = kind == Kind.PHONE ? 500 : 1280;
        int height = 900;
        ChromeOptions options = new ChromeOptions();
        options.setBinary("/usr/bin/chromium");
        options.addArguments(
                "--headless",
                "--no-sandbox",
                "--disable-gpu",
                "--disable-quic",
                "--no-first-run",
                "--disable-background-networking",
                "--disable-component-update",
                "--disable-sync",
                "--disable-extensions",
                "--disable-default-apps",
                "--disable-component-extensions-with-background-pages",
                "--force-prefers-reduced-motion",
                "--disable-dev-shm-usage",
                "--lang=en-GB",
                "--window-size=" + width + "," + height);
        if (kind == Kind.WITHOUT_SCRIPT) {
            options.setExperimentalOption("prefs", Map.of("profile.managed_default_content_settings.javascript", 2));
        }
        ChromeDriverService service = new ChromeDriverService.Builder()
                .usingDriverExecutable(new java.io.File("/usr/bin/chromedriver"))
                .usingAnyFreePort()
                .build();
        driver = new ChromeDriver(service, options);
        driver.manage().window().setSize(new Dimension(width, height));
    }

    static Browser wide() {
        return of(Kind.WIDE);
    }

    /** 390 points wide, which a window cannot be; the page is told so. */
    static Browser phone() {
        Browser browser = of(Kind.PHONE);
        browser.driver.executeCdpCommand(
                "Emulation.setDeviceMetricsOverride",
                Map.of("width", 390, "height", 844, "deviceScaleFactor", 1, "mobile", true));
        return browser;
    }

    static Browser withoutScript() {
        return of(Kind.WITHOUT_SCRIPT);
    }

    private static Browser of(Kind kind) {
        Browser idle =
                IDLE.computeIfAbsent(kind, any -> new ConcurrentLinkedDeque<>()).poll();
        return idle == null ? new Browser(kind) : idle;
    }

    WebDriver driver() {
        return driver;
    }

    /** Loads a page anew, also where only what stands behind its # is another than now. */
    void open(String address) {
        String now = address();
        if (now != null && now.replaceFirst("#.*", "").equals(address.replaceFirst("#.*", ""))) {
            driver.get("about:blank");
        }
        driver.get(address);
    }

    /** Opens a page to which the script of the elements does not come. */
    void openWithoutElements(String address) {
        driver.executeCdpCommand("Network.enable", Map.of());
        driver.executeCdpCommand("Network.setBlockedURLs", Map.of("urls", List.of("*/elements/*")));
        try {
            open(address);
        } finally {
            driver.executeCdpCommand("Network.setBlockedURLs", Map.of("urls", List.of()));
        }
    }

    String address() {
        return driver.getCurrentUrl();
    }

    WebElement see(String css) {
        return see(driver, css);
    }

    /** Waits until an element is there and can be seen. */
    WebElement see(SearchContext within, String css) {
        return until(css, () -> (WebElement) script(LOOK + "return found.find(isSeen) ?? null", within(within), css));
    }

    /** Waits for a button, link or tab with this text. */
    WebElement seeText(String css, String text) {
        return until(css + " with \"" + text + "\"", () -> (WebElement) script(
                LOOK + "return found.find(one => isSeen(one) && read(one).includes(arguments[2])) ?? null",
                null,
                css,
                text));
    }

    /** What is looked through, as a script takes it; the page itself is nothing in particular. */
    private static @Nullable Object within(SearchContext context) {
        return context instanceof WebDriver ? null : context;
    }

    /** Inside the shadow of an element of ours. */
    SearchContext inside(String css) {
        return until("the shadow of " + css, () -> driver.findElement(By.cssSelector(css))
                .getShadowRoot());
    }

    /** Waits until the supplier gives something that is neither null nor false. */
    <T> T until(String what, Supplier<T> supplier) {
        Function<WebDriver, T> condition = any -> supplier.get();
        return new WebDriverWait(driver, PATIENCE, GLANCE)
                .ignoring(NoSuchElementException.class, StaleElementReferenceException.class)
                .ignoring(org.openqa.selenium.NoSuchShadowRootException.class)
                .withMessage(what)
                .until(condition);
    }

    /** Waits until the texts of these elements are such. */
    void untilTexts(SearchContext within, String css, java.util.function.Predicate<List<String>> such) {
        until("texts of " + css, () -> such.test(texts(within, css)));
    }

    List<String> texts(SearchContext within, String css) {
        return ((List<?>) Objects.requireNonNull(script(LOOK + "return found.map(read)", within(within), css)))
                .stream().map(String::valueOf).toList();
    }

    void type(WebElement field, String text) {
        field.sendKeys(Keys.chord(Keys.CONTROL, "a"), text);
    }

    /** Runs script in the page, where no key or click does the same everywhere. */
    @Nullable Object script(String script, Object... arguments) {
        return driver.executeScript(script, arguments);
    }

    /** Presses keys wherever the focus is. */
    void press(CharSequence... keys) {
        new Actions(driver).sendKeys(keys).perform();
    }

    /** Rests the pointer on something. */
    void point(WebElement element) {
        new Actions(driver).moveToElement(element).perform();
    }

    /** Drags up to another element, with the mouse or a finger, and lets go once that one has made room. */
    void drag(PointerInput.Kind pointer, WebElement from, WebElement to) {
        int before = to.getLocation().getY();
        // A hand that drags moves more than once; the driver's does so when told.
        new Actions(driver)
                .setActivePointer(pointer, "hand by " + pointer)
                .clickAndHold(from)
                .moveToElement(to, 0, 0)
                .moveByOffset(0, -to.getSize().getHeight() / 4)
                .perform();
        until("room", () -> to.getLocation().getY() > before);
        // A finger is forgotten by the driver between two rows of actions; what is still held is let go all the same.
        driver.resetInputState();
    }

    /** Drags onto the first half of another element and lets go there, whatever becomes of it meanwhile. */
    void dragOnto(PointerInput.Kind pointer, WebElement from, WebElement to) {
        new Actions(driver)
                .setActivePointer(pointer, "hand by " + pointer)
                .clickAndHold(from)
                .moveByOffset(8, 8)
                .moveToElement(to, 0, -to.getSize().getHeight() / 4)
                .release()
                .perform();
        driver.resetInputState();
    }

    /** Goes on with the Tab key alone until what has the focus is called so. */
    void tabTo(String name) {
        int most = 150;
        for (int pressed = 0; pressed < most; pressed++) {
            press(Keys.TAB);
            String at = String.valueOf(
                    script(
                            "const one = document.activeElement; return one.getAttribute('aria-label') ?? one.textContent.trim()"));
            if (at.startsWith(name)) {
                return;
            }
        }
        throw new AssertionError("no way to \"%s\" by %d times Tab".formatted(name, most));
    }

    void chord(Keys held, String key) {
        new Actions(driver).keyDown(held).sendKeys(key).keyUp(held).perform();
    }

    void signIn(String service) {
        open(service + "/workbench/");
        see("#name").sendKeys(RunningService.OWNER);
        see("#password").sendKeys(RunningService.PASSWORD);
        see("button[type=submit]").click();
        see("header nav");
    }

    /** Everything inside the stage's frame until {@link #leaveFrame}. */
    void enterStage() {
        driver.switchTo().frame(see(".stage iframe"));
    }

    void leaveFrame() {
        driver.switchTo().defaultContent();
    }

    /** Looks inside an element of the stage, and comes back out whatever becomes of it. */
    <T> T onStage(String element, Function<SearchContext, T> look) {
        enterStage();
        try {
            return look.apply(inside(element));
        } finally {
            leaveFrame();
        }
    }

    /** Whatever script wrote to the console as an error since the last call. */
    List<String> consoleErrors() {
        return console(java.util.logging.Level.SEVERE);
    }

    /** The same with warnings. */
    List<String> warnings() {
        return console(java.util.logging.Level.WARNING);
    }

    private List<String> console(java.util.logging.Level least) {
        return driver.manage().logs().get(LogType.BROWSER).getAll().stream()
                .filter(entry -> entry.getLevel().intValue() >= least.intValue())
                .map(LogEntry::getMessage)
                .toList();
    }

    /** No violation of WCAG 2.2 A or AA that axe-core finds in what is on screen. */
    void mustBeAccessible(String what) {
        assertThat(kind)
                .as("axe is a script: it looks at pages whose own did not come, see openWithoutElements")
                .isNotEqualTo(Kind.WITHOUT_SCRIPT);
        assertThat(Axe.violations(driver)).as("violations on %s", what).isEmpty();
    }

    /** Leaves nothing behind that whoever has the browser next could meet; with windows of a test's own it goes. */
    @Override
    public void close() {
        if (driver.getWindowHandles().size() > 1) {
            driver.quit();
            return;
        }
        driver.switchTo().defaultContent();
        script("if (location.protocol.startsWith('http')) localStorage.clear()");
        driver.executeCdpCommand("Network.clearBrowserCookies", Map.of());
        driver.get("about:blank");
        consoleErrors();
        driver.manage().window().setSize(new Dimension(kind == Kind.PHONE ? 500 : 1280, 900));
        Objects.requireNonNull(IDLE.get(kind)).add(this);
    }
}
