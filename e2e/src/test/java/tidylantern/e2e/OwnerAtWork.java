package tidylantern.e2e;

import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;

/** An owner in the workbench, who makes a search, decides and publishes; all by the words that stand there. */
final class OwnerAtWork {
    private static final String OFFER = "button[aria-label='Add %s']";

    private final Browser browser;
    private final String key;

    private OwnerAtWork(Browser browser, String key) {
        this.browser = browser;
        this.key = key;
    }

    /** Makes a search of one collection of the demo's site with nothing decided; the browser is signed in. */
    static OwnerAtWork onNewSearch(DemoWorld world, Browser browser, String name, String collection) {
        browser.open(world.workbench("/searches"));
        browser.seeText("a", "New search").click();
        browser.seeText("button", "Empty").click();
        browser.see("#search-name").sendKeys(name, Keys.ENTER);
        browser.seeText(".decisions h2", "What is searched");
        browser.until("its collection", () -> !browser.driver()
                .findElements(By.id("reach-" + collection))
                .isEmpty());
        String key = browser.address().replaceFirst(".*/searches/([^/]+)/.*", "$1");
        OwnerAtWork owner = new OwnerAtWork(browser, key);
        for (WebElement reached : browser.driver().findElements(By.cssSelector("[id^=reach-]"))) {
            String of = Objects.requireNonNull(reached.getDomAttribute("id")).substring("reach-".length());
            if (!of.equals(collection) && reached.isSelected()) {
                reached.sendKeys(Keys.SPACE);
            }
        }
        return owner;
    }

    /** Makes a search as it is proposed for one collection, but for one part; the browser is signed in. */
    static OwnerAtWork onProposal(DemoWorld world, Browser browser, String name, String collection, String without) {
        browser.open(world.workbench("/searches/new"));
        browser.until("its collections", () -> !browser.driver()
                .findElements(By.id("searched-" + collection))
                .isEmpty());
        for (WebElement one : browser.driver().findElements(By.cssSelector("[id^=searched-]"))) {
            String id = Objects.requireNonNull(one.getDomAttribute("id"));
            if (!id.equals("searched-" + collection)) {
                one.sendKeys(Keys.SPACE);
                browser.until(
                        id + " is left away",
                        () -> !browser.driver().findElement(By.id(id)).isSelected());
            }
        }
        OwnerAtWork owner = new OwnerAtWork(browser, "");
        browser.until("the switch of " + without, () -> owner.switchOf(without)).sendKeys(Keys.SPACE);
        browser.until("it is left away", () -> {
            WebElement part = owner.switchOf(without);
            return part != null && !part.isSelected();
        });
        browser.mustBeAccessible("a proposal");
        browser.see("#search-name").sendKeys(name, Keys.ENTER);
        browser.seeText(".decisions h2", "What is searched");
        return here(browser);
    }

    /** At a search that is open in the browser. */
    static OwnerAtWork here(Browser browser) {
        return new OwnerAtWork(browser, browser.address().replaceFirst(".*/searches/([^/]+)/.*", "$1"));
    }

    private @Nullable WebElement switchOf(String part) {
        return (WebElement) browser.script("""
                const label = [...document.querySelectorAll('.proposed label')].find(one =>
                  one.querySelector('b')?.textContent.trim() === arguments[0])
                return label ? document.getElementById(label.htmlFor) : null""", part);
    }

    /** The search's key. */
    String key() {
        return key;
    }

    OwnerAtWork at(String step) {
        browser.seeText("nav.path a", step).click();
        browser.seeText(".decisions h2", step);
        return this;
    }

    /** Adds the part that a card offers by this name. */
    OwnerAtWork add(String name) {
        browser.until("the part " + name, () -> (WebElement) browser.script("""
                return [...document.querySelectorAll('.decisions button')].find(one =>
                  one.textContent.trim().startsWith('Add ' + arguments[0]))""", name))
                .click();
        return this;
    }

    /** Adds the filter that is offered by this name. */
    OwnerAtWork filter(String name) {
        // Where most items have a value of their own, it is offered behind a fold.
        browser.script("arguments[0].closest('details')?.setAttribute('open', '')", offered(name));
        browser.see(OFFER.formatted(name)).click();
        return this;
    }

    private WebElement offered(String name) {
        return browser.until(
                "the offer of " + name,
                () -> browser.driver().findElements(By.cssSelector(OFFER.formatted(name))).stream()
                        .findFirst()
                        .orElse(null));
    }

    OwnerAtWork press(String button) {
        browser.seeText(".decisions button", button).click();
        return this;
    }

    private WebElement labelled(String label) {
        return browser.until(label, () -> (WebElement) browser.script("""
                const label = [...document.querySelectorAll('.decisions label')].find(one =>
                  (one.querySelector('b') ?? one).textContent.trim() === arguments[0])
                return label ? document.getElementById(label.htmlFor) : null""", label));
    }

    OwnerAtWork turn(String label) {
        labelled(label).sendKeys(Keys.SPACE);
        return this;
    }

    OwnerAtWork number(String label, int value) {
        WebElement field = labelled(label);
        field.sendKeys(Keys.chord(Keys.CONTROL, "a"), String.valueOf(value), Keys.TAB);
        return this;
    }

    OwnerAtWork choose(String label, String option) {
        browser.script("arguments[0].click()", labelled(label));
        browser.seeText("[role=option]", option).click();
        return this;
    }

    /**
     * Looks over what has changed and publishes it.
     *
     * @return the search's key
     */
    String publish() {
        return publish("");
    }

    /** @param why for whoever looks back */
    String publish(String why) {
        browser.seeText("button", "Look over and publish").click();
        browser.see("#publish-why").sendKeys(why);
        browser.seeText("[role=dialog] button", "Publish").click();
        browser.seeText("[role=dialog]", "It is live");
        browser.seeText("[role=dialog] button", "Close").click();
        return key;
    }
}
