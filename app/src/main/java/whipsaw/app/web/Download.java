package whipsaw.app.web;

import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** A file as an answer. */
final class Download {
    static final MediaType CSV = MediaType.parseMediaType("text/csv;charset=UTF-8");

    private Download() {}

    static ResponseEntity<byte[]> of(String name, MediaType type, String body) {
        return of(name, type, body.getBytes(StandardCharsets.UTF_8));
    }

    static ResponseEntity<byte[]> of(String name, MediaType type, byte[] body) {
        return ResponseEntity.ok()
                .contentType(type)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline().filename(name).build().toString())
                .body(body);
    }
}
