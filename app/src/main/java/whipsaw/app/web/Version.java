package whipsaw.app.web;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** The version of the product, on pages and in files. */
@Component("version")
public record Version(@Value("${whipsaw.version}") String number) {}
