package whipsaw.app.web;

import org.springframework.stereotype.Component;
import whipsaw.app.Product;

/** The version of the product, for the pages. */
@Component("version")
public class Version {
    public String number() {
        return Product.VERSION;
    }
}
