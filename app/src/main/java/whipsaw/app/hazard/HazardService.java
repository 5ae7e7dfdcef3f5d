package whipsaw.app.hazard;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;
import whipsaw.app.job.JobService;
import whipsaw.app.store.Json;
import whipsaw.core.job.Job;
import whipsaw.core.job.Problem;
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

    public Values at(Job.Site site) {
        boolean en = site.code() instanceof Job.EnSite;
        Job.AsceSite asce = site.code() instanceof Job.AsceSite a ? a : null;
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
        try {
            URI uri = URI.create(text);
            HttpResponse<String> answer = client.send(
                    HttpRequest.newBuilder(uri).timeout(PATIENCE).build(), HttpResponse.BodyHandlers.ofString());
            if (answer.statusCode() != 200 || answer.body().length() > LONGEST) {
                throw refused("answers with status " + answer.statusCode());
            }
            return read(Json.object(answer.body()), uri.getHost());
        } catch (IllegalArgumentException e) {
            throw refused(e instanceof Json.NotJson ? "answers with no JSON object" : "is no http address");
        } catch (IOException e) {
            throw refused("does not answer");
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw refused("was not waited for");
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
                List.of(new Problem("$.site", "Site values", address, words + "; type them, or set another address")));
    }
}
