package tidylantern.demo;

import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.function.BiConsumer;

/**
 * Draws the demo's pictures: one scene, told by the first word of the file's name, in a light and an arrangement that
 * follow from the rest of the name. The same name always gives the same picture.
 */
public final class Illustrations {
    private static final int WIDTH = 480;
    private static final int HEIGHT = 360;

    /** The hours of the day: sky above, sky at the horizon, sea, far land, near land, and what is lit. */
    private record Light(String sky, String horizon, String sea, String far, String near, String lit) {}

    private static final List<Light> LIGHTS = List.of(
            new Light("#f4d9b2", "#e79a6c", "#2b6070", "#6d7d80", "#3f5b52", "#fff1c9"),
            new Light("#cfe3ea", "#f3efe0", "#5f97a3", "#8fae9b", "#58754e", "#fffbe8"),
            new Light("#b9d2dd", "#e9e2cf", "#3f7583", "#7f9a94", "#47664d", "#fff3d0"),
            new Light("#e8cfc8", "#f6e3c5", "#4b7281", "#a58f92", "#6b5a5c", "#ffe9b8"),
            new Light("#90a9b8", "#d9d3c2", "#33596a", "#6b8288", "#3c5350", "#f7e3ad"),
            new Light("#dfe7df", "#f7f1dd", "#7aa79f", "#a9bfa2", "#6f8a5a", "#fff8dc"),
            new Light("#34495e", "#c9826b", "#1f3c4d", "#4a5a68", "#25333c", "#f6c667"));

    private final StringBuilder svg = new StringBuilder();
    private final Random random;
    private final Light light;

    private Illustrations(String name) {
        // The whole name stirs the seed well: numbers that follow one another must not give pictures that look alike.
        random = new Random(name.chars()
                .asLongStream()
                .reduce(1125899906842597L, (seed, c) -> (seed ^ c) * 6364136223846793005L + 1442695040888963407L));
        random.nextInt();
        light = LIGHTS.get(random.nextInt(LIGHTS.size()));
    }

    /** @param name such as {@code boat-journal-001}; an unknown scene gives the sea */
    public static String svg(String name) {
        Illustrations drawing = new Illustrations(name);
        String scene = name.contains("-") ? name.substring(0, name.indexOf('-')) : name;
        switch (scene) {
            case "boat" -> drawing.boats();
            case "harbour" -> drawing.harbour();
            case "house" -> drawing.house();
            case "lighthouse" -> drawing.lighthouse();
            case "hill" -> drawing.hill();
            case "path" -> drawing.path();
            case "snow" -> drawing.snow();
            case "night" -> drawing.night();
            case "market" -> drawing.market();
            case "garden" -> drawing.garden();
            case "seal" -> drawing.seals();
            case "bird" -> drawing.birds();
            case "rope" -> drawing.ropes();
            case "cloth" -> drawing.cloth();
            case "books" -> drawing.books();
            case "kettle" -> drawing.kettle();
            case "bread" -> drawing.bread();
            case "pot" -> drawing.pots();
            case "fish" -> drawing.fish();
            case "workshop" -> drawing.workshop();
            default -> drawing.sea();
        }
        return "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %d %d\" width=\"%d\" height=\"%d\">%s</svg>"
                .formatted(WIDTH, HEIGHT, WIDTH, HEIGHT, drawing.svg);
    }

    private double between(double low, double high) {
        return low + random.nextDouble() * (high - low);
    }

    private String one(String... choices) {
        return choices[random.nextInt(choices.length)];
    }

    private Illustrations put(String pattern, Object... values) {
        svg.append(String.format(Locale.ROOT, pattern, values));
        return this;
    }

    private void rect(double x, double y, double width, double height, String fill) {
        put("<rect x='%.1f' y='%.1f' width='%.1f' height='%.1f' fill='%s'/>", x, y, width, height, fill);
    }

    private void round(double x, double y, double width, double height, double corner, String fill) {
        put(
                "<rect x='%.1f' y='%.1f' width='%.1f' height='%.1f' rx='%.1f' fill='%s'/>",
                x, y, width, height, corner, fill);
    }

    private void disc(double x, double y, double radius, String fill, double opacity) {
        put("<circle cx='%.1f' cy='%.1f' r='%.1f' fill='%s' opacity='%.2f'/>", x, y, radius, fill, opacity);
    }

    private void shape(String path, String fill) {
        put("<path d='%s' fill='%s'/>", path, fill);
    }

    private void line(String path, String stroke, double width) {
        put(
                "<path d='%s' fill='none' stroke='%s' stroke-width='%.1f' stroke-linecap='round' stroke-linejoin='round'/>",
                path, stroke, width);
    }

    private static String f(String pattern, Object... values) {
        return String.format(Locale.ROOT, pattern, values);
    }

    private void sky(double horizon) {
        put(
                "<defs><linearGradient id='s' x2='0' y2='1'><stop stop-color='%s'/><stop offset='1' stop-color='%s'/></linearGradient></defs>",
                light.sky(), light.horizon());
        put("<rect width='%d' height='%.0f' fill='url(#s)'/>", WIDTH, horizon + 2);
        disc(between(60, 420), horizon - between(20, 110), between(18, 36), light.lit(), .9);
        for (int i = 0; i < 3; i++) {
            double x = between(-40, 400);
            double y = between(30, horizon - 60);
            round(x, y, between(70, 170), between(7, 13), 6, "#ffffff55");
        }
    }

    private void water(double from) {
        rect(0, from, WIDTH, HEIGHT - from, light.sea());
        for (int i = 0; i < 16; i++) {
            double y = from + 8 + i * (HEIGHT - from) / 16;
            double x = between(-30, 420);
            round(x, y, between(24, 110), 2.4, 1.2, "#ffffff33");
        }
    }

    private void ridge(double base, double high, String fill) {
        StringBuilder path = new StringBuilder(f("M0 %.0f", base));
        double x = 0;
        while (x < WIDTH) {
            double next = x + between(70, 150);
            path.append(f(
                    "Q%.0f %.0f %.0f %.0f",
                    (x + next) / 2, base - between(high * .3, high), next, base - between(0, high * .35)));
            x = next;
        }
        shape(path.append(f("V%d H0Z", HEIGHT)).toString(), fill);
    }

    private double shore() {
        double horizon = between(150, 200);
        sky(horizon);
        ridge(horizon + 6, between(30, 80), light.far());
        water(horizon + 4);
        return horizon;
    }

    private void boat(double x, double y, double size, boolean sail) {
        String hull = one("#8a3b2e", "#f3ecdc", "#20536b", "#b8741a", "#4b3f36");
        if (sail) {
            line(f("M%.1f %.1fV%.1f", x, y, x, y - size * 1.5), "#4b3f36", size * .04);
            shape(
                    f(
                            "M%.1f %.1fL%.1f %.1fL%.1f %.1fZ",
                            x + size * .04,
                            y - size * 1.45,
                            x + size * .04,
                            y - size * .12,
                            x + size * .66,
                            y - size * .12),
                    one("#b5482f", "#f7efdd", "#d8a04a", "#9c3d2c"));
            shape(
                    f(
                            "M%.1f %.1fL%.1f %.1fL%.1f %.1fZ",
                            x - size * .05,
                            y - size * 1.2,
                            x - size * .05,
                            y - size * .12,
                            x - size * .42,
                            y - size * .12),
                    one("#f7efdd", "#e9dcc0", "#b5482f"));
        }
        shape(
                f(
                        "M%.1f %.1fQ%.1f %.1f %.1f %.1fL%.1f %.1fQ%.1f %.1f %.1f %.1fZ",
                        x - size * .62,
                        y,
                        x,
                        y + size * .12,
                        x + size * .72,
                        y - size * .04,
                        x + size * .5,
                        y + size * .26,
                        x,
                        y + size * .34,
                        x - size * .48,
                        y + size * .24),
                hull);
        round(x - size * .5, y + size * .34, size, 3, 1.5, "#ffffff44");
    }

    private void boats() {
        double horizon = shore();
        int many = 1 + random.nextInt(3);
        for (int i = 0; i < many; i++) {
            double size = between(46, 78) + i * 14;
            boat(
                    90 + i * (310.0 / many) + between(0, 60),
                    horizon + 46 + i * 38 + between(0, 18),
                    size,
                    random.nextInt(4) > 0);
        }
    }

    private void cottage(double x, double base, double width, double height) {
        String wall = one("#f7f1e3", "#efe3cb", "#e6d3bd", "#dfe6e3", "#f3dfd0");
        String roof = one("#5b6b75", "#8a4a3a", "#6f5b4a", "#47606b");
        rect(x, base - height, width, height, wall);
        shape(
                f(
                        "M%.1f %.1fL%.1f %.1fL%.1f %.1fZ",
                        x - 5, base - height, x + width / 2, base - height - width * .42, x + width + 5, base - height),
                roof);
        rect(x + width * .72, base - height - width * .36, width * .1, width * .24, "#7b6a5e");
        boolean lamp = random.nextInt(3) == 0;
        for (int i = 0; i < 2; i++) {
            rect(
                    x + width * (.16 + .42 * i),
                    base - height * .74,
                    width * .2,
                    height * .26,
                    lamp ? "#f6c667" : "#4f6d79");
        }
        rect(
                x + width * .42,
                base - height * .36,
                width * .17,
                height * .36,
                one("#0e5f63", "#8a3b2e", "#b8741a", "#33444d"));
    }

    private void harbour() {
        double horizon = shore();
        double quay = horizon + 70;
        double x = -10;
        while (x < WIDTH) {
            double width = between(46, 78);
            cottage(x, quay, width, between(44, 84));
            x += width + between(2, 10);
        }
        rect(0, quay, WIDTH, 16, "#8d8476");
        rect(0, quay + 16, WIDTH, HEIGHT - quay, light.sea());
        for (int i = 0; i < 3; i++) {
            boat(70 + i * 150 + between(0, 50), quay + 62 + between(0, 46), between(40, 62), true);
        }
    }

    private void house() {
        double horizon = shore();
        ridge(horizon + 80, 40, light.near());
        cottage(between(90, 190), horizon + 116, between(130, 190), between(80, 108));
        if (random.nextBoolean()) {
            tree(between(360, 420), horizon + 120, between(50, 90));
        }
        line(f("M%.0f %.0f Q240 330 %.0f 360", between(220, 280), horizon + 116, between(140, 330)), "#e6d9bb", 20);
    }

    private void tree(double x, double base, double high) {
        line(f("M%.1f %.1fV%.1f", x, base, base - high * .6), "#5d4a3c", high * .09);
        for (int i = 0; i < 4; i++) {
            disc(
                    x + between(-high * .3, high * .3),
                    base - high * between(.55, .95),
                    high * between(.2, .32),
                    one("#5f7f50", "#4d6b48", "#7a9460", "#8a9a55"),
                    1);
        }
    }

    private void lighthouse() {
        double horizon = shore();
        double x = between(150, 330);
        double base = horizon + 70;
        shape(
                f(
                        "M0 %.0fQ%.0f %.0f %.0f %.0fT%d %.0fV%dH0Z",
                        base + 60, x - 90, base - 24, x + 30, base, WIDTH, base + between(30, 80), HEIGHT),
                light.near());
        double high = between(150, 190);
        shape(
                f(
                        "M%.1f %.1fL%.1f %.1fH%.1fL%.1f %.1fZ",
                        x - 26, base + 6, x - 16, base - high, x + 16, x + 26, base + 6),
                "#f7f1e3");
        String band = one("#b3372b", "#20536b", "#33444d");
        for (int i = 0; i < 3; i++) {
            double y = base - high * (.22 + .27 * i);
            rect(x - 22 + i * 2.4, y, 44 - i * 4.8, high * .12, band);
        }
        rect(x - 20, base - high - 8, 40, 8, "#33444d");
        rect(x - 12, base - high - 30, 24, 22, "#ffe08a");
        shape(
                f(
                        "M%.1f %.1fL%.1f %.1fL%.1f %.1fZ",
                        x - 16, base - high - 30, x, base - high - 48, x + 16, base - high - 30),
                "#33444d");
        put(
                "<path d='M%.1f %.1fL%s %.1f V%.1fZ' fill='#ffe9a8' opacity='.38'/>",
                x, base - high - 19, x < 240 ? "480" : "0", base - high - 70, base - high + 20);
    }

    private void hill() {
        double horizon = between(170, 210);
        sky(horizon);
        ridge(horizon, 70, light.far());
        ridge(horizon + 60, 90, light.near());
        double x = between(60, 200);
        for (int i = 0; i < 46; i++) {
            double t = i / 45.0;
            round(
                    x + t * 200 + Math.sin(t * 5) * 26,
                    HEIGHT - 6 - t * 170,
                    17 - t * 11,
                    11 - t * 7,
                    3,
                    one("#b9b1a2", "#a39a8a", "#cbc4b6", "#8f8779"));
        }
        for (int i = 0; i < 7; i++) {
            sheep(between(20, 460), between(horizon + 70, 344));
        }
    }

    private void sheep(double x, double y) {
        round(x, y, 20, 12, 6, "#f7f3e8");
        disc(x + 20, y + 3, 4.4, "#3b3a38", 1);
        line(f("M%.1f %.1fv6m10 -6v6", x + 5, y + 11), "#3b3a38", 2);
    }

    private void path() {
        double horizon = between(150, 190);
        sky(horizon);
        ridge(horizon, 60, light.far());
        ridge(horizon + 50, 60, light.near());
        ridge(horizon + 110, 40, one("#6f8a5a", "#5c7a52", "#857a50"));
        double x = between(180, 300);
        double bend = between(-110, 110);
        shape(
                f(
                        "M%.0f %.0fC%.0f %.0f %.0f %.0f %.0f %dH%.0fC%.0f %.0f %.0f %.0f %.0f %.0fZ",
                        x,
                        horizon + 34,
                        x + bend,
                        horizon + 90,
                        x - bend,
                        horizon + 110,
                        x - 60,
                        HEIGHT,
                        x + 70,
                        x - bend + 50,
                        horizon + 110,
                        x + bend + 14,
                        horizon + 90,
                        x + 8,
                        horizon + 34),
                "#e6d3a6");
        for (int i = 0; i < 3; i++) {
            tree(between(20, 460), between(horizon + 110, 320), between(40, 90));
        }
    }

    private void snow() {
        rect(0, 0, WIDTH, HEIGHT, one("#b7c6d1", "#c9d4da", "#a9bccb"));
        ridge(200, 70, "#dde6ea");
        double x = between(-20, 30);
        while (x < 440) {
            double width = between(50, 90);
            double high = between(40, 66);
            rect(x, 262 - high, width, high, one("#8d7f74", "#9b8877", "#7d8a8f", "#a58f80"));
            shape(
                    f(
                            "M%.1f %.1fL%.1f %.1fL%.1f %.1fZ",
                            x - 6, 264 - high, x + width / 2, 264 - high - width * .45, x + width + 6, 264 - high),
                    "#fbfdfe");
            rect(x + width * .3, 262 - high * .7, width * .24, high * .3, "#f6c667");
            x += width + between(16, 40);
        }
        shape("M0 258Q120 240 240 262T480 252V360H0Z", "#f7fbfc");
        for (int i = 0; i < 130; i++) {
            disc(between(0, WIDTH), between(0, HEIGHT), between(1.2, 3.6), "#ffffff", between(.5, 1));
        }
    }

    private void night() {
        put(
                "<defs><linearGradient id='n' x2='0' y2='1'><stop stop-color='#132231'/><stop offset='1' stop-color='%s'/></linearGradient></defs><rect width='480' height='360' fill='url(#n)'/>",
                one("#3c5a6b", "#4a4f6b", "#2e5560", "#58506a"));
        for (int i = 0; i < 90; i++) {
            disc(between(0, WIDTH), between(0, 230), between(.6, 2), "#fff7dc", between(.4, 1));
        }
        disc(between(60, 420), between(40, 90), between(16, 28), "#f7eccb", 1);
        ridge(280, 70, "#1c3038");
        for (int i = 0; i < 4 + random.nextInt(5); i++) {
            double x = between(30, 450);
            double y = between(270, 336);
            disc(x, y, between(18, 30), "#f6c667", .22);
            round(x - 5, y - 8, 10, 15, 3, "#ffd98a");
            line(f("M%.1f %.1fq5 -9 10 0", x - 5, y - 8), "#d9c9a0", 1.6);
        }
    }

    private void market() {
        sky(190);
        double x = -6;
        while (x < WIDTH) {
            double width = between(70, 100);
            cottage(x, 212, width, between(70, 116));
            x += width + 3;
        }
        rect(0, 212, WIDTH, 150, "#cdbf9f");
        for (int row = 0; row < 2; row++) {
            for (int i = 0; i < 4; i++) {
                stall(14 + i * 118 + row * 34 + between(-8, 8), 236 + row * 62);
            }
        }
    }

    private void stall(double x, double y) {
        String stripe = one("#b3372b", "#0e5f63", "#d8962c", "#20536b", "#6b7f3f");
        for (int i = 0; i < 6; i++) {
            rect(x + i * 14, y, 14, 22, i % 2 == 0 ? stripe : "#fbf5e6");
            disc(x + 7 + i * 14, y + 22, 7, i % 2 == 0 ? stripe : "#fbf5e6", 1);
        }
        rect(x + 4, y + 44, 76, 14, "#7a5a3c");
        for (int i = 0; i < 8; i++) {
            disc(x + 10 + i * 9, y + 42, 4.6, one("#d9822b", "#7f9a3f", "#b3372b", "#e9c46a"), 1);
        }
    }

    private void garden() {
        double horizon = between(130, 160);
        sky(horizon);
        rect(0, horizon, WIDTH, 44, "#b98d6a");
        for (int i = 0; i < 60; i++) {
            rect(between(0, 470), horizon + 4 + 10 * random.nextInt(4), 18, 7, one("#c79b78", "#a97d5c", "#bf9270"));
        }
        rect(0, horizon + 44, WIDTH, HEIGHT, "#7d6247");
        int rows = 5 + random.nextInt(3);
        for (int row = 0; row < rows; row++) {
            String leaf = one("#6f8f45", "#4f7a4a", "#8aa556", "#5d8a63", "#93a04a");
            double y = horizon + 66 + row * (HEIGHT - horizon - 60) / rows;
            double size = 6 + row * 2.2;
            for (double x = between(0, 14); x < WIDTH; x += size * 2.3) {
                disc(x, y, size, leaf, 1);
                disc(
                        x + size * .5,
                        y - size * .5,
                        size * .55,
                        random.nextInt(6) == 0 ? one("#d64f3f", "#e9c46a", "#c96f9b") : leaf,
                        .9);
            }
        }
    }

    private void seals() {
        double horizon = shore();
        for (int i = 0; i < 4 + random.nextInt(4); i++) {
            double x = 30 + i * 62 + between(-10, 20);
            double y = horizon + 70 + (i % 3) * 42 + between(-6, 10);
            double size = between(44, 74);
            shape(
                    f("M%.0f %.0fq%.0f -26 %.0f 0z", x - 24, y + 16, size * .9, size + 56),
                    one("#6b665e", "#7d766a", "#59564f"));
            shape(
                    f(
                            "M%.1f %.1fq%.1f %.1f %.1f %.1fq%.1f %.1f %.1f %.1fq%.1f %.1f %.1f %.1fz",
                            x,
                            y + 4,
                            size * .2,
                            -size * .36,
                            size * .8,
                            -size * .22,
                            size * .2,
                            -size * .26,
                            size * .34,
                            -size * .02,
                            -size * .1,
                            size * .36,
                            -size * 1.14,
                            size * .24),
                    one("#a79f92", "#8d8a86", "#c2b8a6", "#736f6b"));
            disc(x + size * .98, y - size * .26, 2, "#222", 1);
        }
    }

    private void birds() {
        double horizon = shore();
        boolean left = random.nextBoolean();
        double foot = horizon + between(60, 120);
        shape(
                left
                        ? f(
                                "M0 60L%.0f 84L%.0f %.0fL%.0f %.0fH0Z",
                                between(90, 140), between(120, 170), foot - 60, between(160, 210), foot)
                        : f(
                                "M480 60L%.0f 84L%.0f %.0fL%.0f %.0fH480Z",
                                between(340, 390), between(310, 360), foot - 60, between(270, 320), foot),
                light.near());
        for (int i = 0; i < 9 + random.nextInt(8); i++) {
            double x = between(30, 450);
            double y = between(30, foot + 30);
            double size = between(9, 22);
            line(
                    f(
                            "M%.1f %.1fq%.1f %.1f %.1f 0q%.1f %.1f %.1f 0",
                            x - size, y, size / 2, -size * .7, size, size / 2, -size * .7, size),
                    "#fbfaf4",
                    3);
        }
        double x = between(150, 330);
        double y = foot + 40;
        round(x - 50, y + 36, 110, 30, 14, light.near());
        shape(f("M%.1f %.1fq-4 -46 22 -46q26 0 22 46z", x, y + 40), "#22282c");
        shape(f("M%.1f %.1fq-2 -30 11 -32q14 2 12 32z", x + 10, y + 40), "#fbfaf4");
        disc(x + 24, y + 2, 12, "#fbfaf4", 1);
        shape(f("M%.1f %.1fl22 5l-22 7z", x + 32, y - 3), "#d9642b");
        disc(x + 27, y, 2, "#22282c", 1);
    }

    private void board(String plank, String gap) {
        rect(0, 0, WIDTH, HEIGHT, plank);
        for (int i = 0; i < 7; i++) {
            rect(0, 46 + i * 52, WIDTH, 2.4, gap);
        }
    }

    private void ropes() {
        board(one("#b58a5f", "#a37c56", "#c49c70"), "#8a6644");
        for (int i = 0; i < 2 + random.nextInt(2); i++) {
            double x = 120 + i * 140 + between(-30, 30);
            double y = between(130, 230);
            String hemp = one("#e6cf9c", "#d8bd84", "#efe0bb", "#c9ab72");
            for (double radius = between(70, 96); radius > 14; radius -= 15) {
                disc(x, y, radius, "#7a5f3e", 1);
                disc(x, y, radius - 1.5, hemp, 1);
                put(
                        "<circle cx='%.1f' cy='%.1f' r='%.1f' fill='none' stroke='#9c7f52' stroke-width='10' stroke-dasharray='2 7' opacity='.55'/>",
                        x, y, radius - 7);
            }
            disc(x, y, 9, "#7a5f3e", 1);
        }
        line(
                f(
                        "M-10 %.0fC120 %.0f 300 %.0f 490 %.0f",
                        between(280, 330), between(240, 360), between(240, 360), between(280, 340)),
                "#e6cf9c",
                15);
    }

    private void cloth() {
        sky(250);
        ridge(260, 70, light.near());
        line("M-10 78Q240 108 490 74", "#6f5b4a", 4);
        double x = 14;
        while (x < 440) {
            double width = between(74, 120);
            String ground = one("#8fa6ad", "#b5482f", "#d8a04a", "#5d7a70", "#6b5a86", "#e9dcc0", "#3f6273");
            String stripe = one("#f7efdd", "#33444d", "#e9c46a", "#a9bfa2", "#8a3b2e");
            double high = between(130, 190);
            double sway = between(-10, 12);
            shape(
                    f(
                            "M%.0f 88L%.0f 90L%.0f %.0fQ%.0f %.0f %.0f %.0fZ",
                            x,
                            x + width,
                            x + width + sway,
                            90 + high,
                            x + width / 2 + sway,
                            100 + high,
                            x + sway,
                            88 + high),
                    ground);
            for (int i = 1; i < 7; i++) {
                if (random.nextBoolean()) {
                    line(f("M%.0f %.0fl%.0f 3", x + sway * i / 7, 88 + high * i / 7, width), stripe, between(3, 11));
                }
            }
            x += width + between(10, 26);
        }
    }

    private void books() {
        rect(0, 0, WIDTH, HEIGHT, one("#efe3cb", "#dfe6e3", "#e8d6c0"));
        for (int shelf = 0; shelf < 2; shelf++) {
            double base = 168 + shelf * 160;
            double x = 14;
            while (x < 450) {
                double width = between(16, 40);
                double high = between(84, 134);
                String cover =
                        one("#8a3b2e", "#20536b", "#5d7a52", "#b8741a", "#4a3f55", "#33444d", "#c7a15a", "#6d2f3a");
                round(x, base - high, width - 2, high, 2, cover);
                rect(x, base - high * .82, width - 2, 4, "#f3e6c0");
                rect(x, base - high * .2, width - 2, 4, "#f3e6c0");
                x += width;
                if (random.nextInt(7) == 0) {
                    x += between(14, 30);
                }
            }
            rect(0, base, WIDTH, 14, "#8a6644");
        }
    }

    private void table(String ground) {
        rect(0, 0, WIDTH, 210, ground);
        rect(0, 210, WIDTH, 150, one("#a97d5c", "#8a6a4c", "#c49c70", "#94764f"));
        rect(0, 210, WIDTH, 5, "#ffffff33");
    }

    private void kettle() {
        table(one("#dfe6e3", "#f1e2c8", "#cfdde0", "#ead3c2"));
        double x = between(130, 210);
        String metal = one("#3f6273", "#b5482f", "#5b6b75", "#0e5f63");
        shape(f("M%.0f 270q-14 -120 76 -122q88 2 76 122z", x), metal);
        round(x - 6, 262, 164, 14, 7, "#33444d");
        line(f("M%.0f 180q-2 -70 58 -70q58 2 56 72", x + 20), "#33444d", 9);
        shape(f("M%.0f 226q44 -10 54 -62l18 6q-14 70 -66 84z", x + 138), metal);
        disc(x + 76, 144, 9, "#33444d", 1);
        for (int i = 0; i < 3; i++) {
            line(f("M%.0f %.0fq-14 -18 0 -34t2 -34", x + 206 + i * 16, 150.0 - i * 6), "#ffffff", 4);
        }
        for (int i = 0; i < 2; i++) {
            double cup = i == 0 ? x - 92 : x + 196;
            String glaze = one("#f7f1e3", "#8fb0b5", "#d8a04a", "#e9dcc0");
            round(cup, 246, 62, 54, 10, glaze);
            line(f("M%.0f 258q24 2 0 30", cup + 60), glaze, 7);
            rect(cup, 256, 62, 6, "#00000022");
        }
    }

    private void bread() {
        table(one("#f1e2c8", "#e8d6c0", "#dfe6e3"));
        for (int i = 0; i < 2 + random.nextInt(3); i++) {
            double x = 30 + i * 118 + between(-8, 14);
            double width = between(110, 150);
            String crust = one("#b8793d", "#a5672f", "#c98d4e", "#8f5a2c");
            shape(
                    f(
                            "M%.0f 282q-6 -%.0f %.0f -%.0fq%.0f 4 %.0f %.0fz",
                            x, between(70, 110), width * .5, between(84, 112), width * .56, width * .5, 96.0),
                    crust);
            for (int cut = 0; cut < 3; cut++) {
                line(f("M%.0f %.0fq16 -14 34 -16", x + 24 + cut * 28, 236 - cut * 5.0), "#f1d8a8", 6);
            }
        }
        round(10, 278, 460, 22, 8, "#6f5136");
        for (int i = 0; i < 40; i++) {
            disc(between(20, 460), between(302, 350), between(.8, 2.4), "#f7efdd", .8);
        }
    }

    private void pots() {
        table(one("#e8d6c0", "#cfdde0", "#f1e2c8", "#d9dfd0"));
        double x = between(16, 40);
        while (x < 400) {
            double width = between(58, 104);
            double high = between(80, 160);
            String glaze = one("#7a5a3c", "#8fa6ad", "#b5642f", "#d8c39a", "#4f6d79", "#6b7f3f", "#94534a");
            double base = 286 + between(-10, 22);
            shape(
                    f(
                            "M%.1f %.1fC%.1f %.1f %.1f %.1f %.1f %.1fH%.1fC%.1f %.1f %.1f %.1f %.1f %.1fZ",
                            x + width * .2,
                            base,
                            x - width * .16,
                            base - high * .4,
                            x + width * .1,
                            base - high * .8,
                            x + width * .26,
                            base - high,
                            x + width * .74,
                            x + width * .9,
                            base - high * .8,
                            x + width * 1.16,
                            base - high * .4,
                            x + width * .8,
                            base),
                    glaze);
            round(x + width * .22, base - high - 8, width * .56, 11, 5, glaze);
            rect(
                    x + width * .08,
                    base - high * .52,
                    width * .84,
                    high * .09,
                    one("#f3e6c055", "#ffffff55", "#00000022"));
            x += width + between(14, 34);
        }
    }

    private void fish() {
        table(one("#dfe6e3", "#cfdde0", "#efe3cb"));
        put(
                "<ellipse cx='240' cy='264' rx='212' ry='74' fill='%s'/><ellipse cx='240' cy='258' rx='196' ry='64' fill='%s'/><ellipse cx='240' cy='260' rx='150' ry='44' fill='none' stroke='#ffffff88' stroke-width='3'/>",
                one("#20536b", "#3f7583", "#4b7281"), one("#2f6b86", "#5f97a3", "#6d93a0"));
        int many = 2 + random.nextInt(3);
        for (int i = 0; i < many; i++) {
            double y = 262 - (many - 1) * 16 + i * 32;
            double x = 120 + between(-10, 30);
            String skin = one("#d8b15a", "#b9c3c6", "#c98d4e", "#9fb3b5", "#e0a070");
            shape(f("M%.0f %.0fq70 -38 150 -6l42 -20q-8 24 0 44l-42 -16q-80 32 -150 -2z", x, y), skin);
            disc(x + 24, y - 4, 4, "#2a2a2a", 1);
            line(f("M%.0f %.0fq8 10 0 20", x + 44, y - 12), "#00000044", 2.5);
            for (int scale = 0; scale < 4; scale++) {
                line(f("M%.0f %.0fq6 6 0 12", x + 66 + scale * 20, y - 8), "#ffffff66", 2);
            }
        }
        disc(between(60, 90), 300, 20, "#e9c94a", 1);
        disc(between(390, 420), 306, 16, "#7f9a3f", 1);
    }

    private void workshop() {
        rect(0, 0, WIDTH, HEIGHT, one("#c9b48f", "#b7c0b5", "#d3bd9c", "#a9b3b3"));
        rect(0, 66, WIDTH, 8, "#8a6644");
        double x = between(20, 40);
        while (x < 440) {
            double high = between(60, 120);
            line(f("M%.0f 70v12", x), "#5b4a3a", 4);
            BiConsumer<Double, Double> tool = List.<BiConsumer<Double, Double>>of(
                            this::hammer, this::saw, this::chisel, this::wheel)
                    .get(random.nextInt(4));
            tool.accept(x, high);
            x += between(58, 84);
        }
        rect(0, 268, WIDTH, 22, "#8f6b45");
        rect(24, 290, 26, 70, "#6f5136");
        rect(430, 290, 26, 70, "#6f5136");
        for (int i = 0; i < 12; i++) {
            line(f("M%.0f %.0fq10 -12 18 0t16 -2", between(60, 400), between(256, 266)), "#ecd3a4", 4);
        }
    }

    private void hammer(double x, double high) {
        rect(x - 4, 82, 8, high, "#9c7045");
        round(x - 20, 78, 40, 18, 4, "#4b5860");
    }

    private void saw(double x, double high) {
        shape(f("M%.0f 84h26l-10 %.0fh-8z", x - 13, high), "#c3ccd0");
        round(x - 16, 80, 32, 20, 8, "#7a4a2c");
    }

    private void chisel(double x, double high) {
        round(x - 6, 82, 12, high * .45, 5, one("#b3372b", "#d8a04a", "#0e5f63"));
        rect(x - 4, 82 + high * .45, 8, high * .5, "#aab5ba");
    }

    private void wheel(double x, double high) {
        double radius = Math.min(28, high * .3);
        put(
                "<circle cx='%.1f' cy='%.1f' r='%.1f' fill='none' stroke='#b8863b' stroke-width='6'/>",
                x, 84 + radius, radius);
        disc(x, 84 + radius, 5, "#b8863b", 1);
        line(f("M%.1f %.1fv%.1fm%.1f -%.1fh-%.1f", x, 84.0, radius * 2, radius, radius, radius * 2), "#b8863b", 3);
    }

    private void sea() {
        double horizon = between(120, 190);
        sky(horizon);
        if (random.nextBoolean()) {
            ridge(horizon + 4, 30, light.far());
        }
        rect(0, horizon, WIDTH, HEIGHT, light.sea());
        for (int wave = 0; wave < 7; wave++) {
            double y = horizon + 14 + wave * (HEIGHT - horizon) / 7;
            double swing = between(6, 16);
            StringBuilder path = new StringBuilder(f("M-20 %.0f", y));
            for (double x = -20; x < WIDTH + 40; x += 60) {
                path.append(f("q30 %.0f 60 0", (((int) (x / 60)) % 2 == 0 ? -1 : 1) * swing));
            }
            put("<path d='%sV%dH-20Z' fill='#0c2f3c' opacity='.12'/>", path, HEIGHT);
        }
        if (random.nextInt(3) > 0) {
            double x = between(120, 360);
            shape(f("M%.0f %.0fq26 -40 62 0z", x, horizon + between(60, 120)), "#22343c");
        }
    }
}
