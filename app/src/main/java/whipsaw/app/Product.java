package whipsaw.app;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Properties;

/** The product's name and version, for pages and files. */
public final class Product {
    public static final String VERSION = version();

    private Product() {}

    /** As files name their writer: {@code Whipsaw 0.1.0}. */
    public static String words() {
        return "Whipsaw " + VERSION;
    }

    /** As far as office files take a version: {@code 0.1}. */
    public static String majorMinor() {
        return VERSION.replaceFirst("^(\\d+\\.\\d+).*", "$1");
    }

    private static String version() {
        try (InputStream in = Product.class.getResourceAsStream("/application.properties")) {
            Properties settings = new Properties();
            settings.load(in);
            return settings.getProperty("whipsaw.version");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
