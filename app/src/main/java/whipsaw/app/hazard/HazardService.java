package whipsaw.app.hazard;

import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicReference;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;
import whipsaw.app.job.JobService;
import whipsaw.app.store.Json;
import whipsaw.core.job.Site;
import whipsaw.core.schema.Problem;
import whipsaw.core.site.StandInHazard;
import whipsaw.core.site.StandInHazard.Values;

/**
 * Site values of a place: from the stand-in that ships, or from an address the owner sets with
 * {@code WHIPSAW_HAZARD}. Without it nothing leaves the machine.
 */
@Service
public class HazardService {
    private static final Duration PATIENCE = Duration.ofSeconds(5);
    private static final int LONGEST = 20_000;

    private final String address;

    public HazardService(@Value("${whipsaw.hazard:}") String address) {
        this.address = address.strip();
    }

    public Values at(Site site) {
        boolean en = site.code() instanceof Site.EnSite;
        Site.AsceSite asce = site.code() instanceof Site.AsceSite a ? a : null;
        String risk = asce == null ? "" : asce.riskCategory();
        double latitude = site.latitude().si();
        double longitude = site.longitude().si();
        double elevation = site.elevation().si();
        if (address.isEmpty()) {
            return StandInHazard.at(en, latitude, longitude, elevation, risk);
        }
        String query = "family=" + (en ? "en" : "asce") + "&latitude=" + latitude + "&longitude=" + longitude
                + "&elevationM=" + elevation + "&riskCategory=" + risk
                + (asce == null ? "" : "&edition=" + asce.edition().name());
        return asked(address + (address.contains("?") ? "&" : "?") + query);
    }

    private Values asked(String text) {
        HttpClient client = HttpClient.newBuilder().connectTimeout(PATIENCE).build();
        AtomicReference<InputStream> body = new AtomicReference<>();
        try {
            URI uri = URI.create(text);
            String answer = client.sendAsync(
                            HttpRequest.newBuilder(uri).timeout(PATIENCE).build(),
                            HttpResponse.BodyHandlers.ofInputStream())
                    .thenApplyAsync(r -> whole(r, body))
                    .get(PATIENCE.toMillis(), TimeUnit.MILLISECONDS);
            return read(Json.object(answer), uri.getHost());
        } catch (IllegalArgumentException e) {
            throw refused(e instanceof Json.NotJson ? "answers with no JSON object" : "is no http address");
        } catch (ExecutionException e) {
            throw e.getCause() instanceof JobService.Refused refusal ? refusal : refused("does not answer");
        } catch (TimeoutException e) {
            throw refused("does not come to an end of its answer");
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw refused("was not waited for");
        } finally {
            close(body.get());
        }
    }

    /** The body, as far as an answer may be long. */
    private String whole(HttpResponse<InputStream> answer, AtomicReference<InputStream> body) {
        body.set(answer.body());
        try {
            byte[] bytes = answer.body().readNBytes(LONGEST + 1);
            if (answer.statusCode() != 200 || bytes.length > LONGEST) {
                throw refused(
                        bytes.length > LONGEST
                                ? "answers at too great length"
                                : "answers with status " + answer.statusCode());
            }
            return new String(bytes, StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw refused("does not answer");
        }
    }

    private static void close(InputStream body) {
        try {
            if (body != null) {
                body.close();
            }
        } catch (IOException e) {
            // it is given up either way
        }
    }

    private Values read(Map<String, Object> body, String host) {
        return new Values(
                body.get("source") instanceof String s && !s.isBlank() ? s : host,
                number(body, "windMps", 5, 150),
                number(body, "snowPa", 0, 30_000),
                body.containsKey("sds") ? number(body, "sds", 0, 5) : Double.NaN);
    }

    private double number(Map<String, Object> body, String key, double least, double most) {
        if (body.get(key) instanceof Number n && n.doubleValue() >= least && n.doubleValue() <= most) {
            return n.doubleValue();
        }
        throw refused("gives " + key + " as " + body.get(key) + ", which has to be a number from " + least + " to "
                + most + ", for example " + (least + most) / 2);
    }

    private JobService.Refused refused(String words) {
        return new JobService.Refused(
                List.of(new Problem("$.site", "Site values", shown(), words + "; type them, or set another address")));
    }

    /** The address without what may be a key: who is asked, and not how. */
    private String shown() {
        try {
            URI uri = URI.create(address);
            return uri.getHost() == null ? "the address set" : uri.getScheme() + "://" + uri.getHost();
        } catch (IllegalArgumentException e) {
            return "the address set";
        }
    }
}
