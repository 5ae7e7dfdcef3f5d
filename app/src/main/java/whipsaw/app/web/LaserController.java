package whipsaw.app.web;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestAttribute;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import whipsaw.core.units.Measure;
import whipsaw.core.units.Quantity;
import whipsaw.core.units.UnitText;
import whipsaw.core.units.UnitTextException;

/**
 * A laser tape sends its readings here, a page takes them into the length field that has the focus. What ships is a
 * simulation on the page itself and labelled so; a real tape needs a small program beside it that posts the same.
 */
@Controller
public class LaserController {
    private static final int KEPT = 50;
    private static final double MOST_M = 300;

    private final List<Map<String, Object>> readings = new ArrayList<>();
    private int last;

    /** Number of the last reading, and the token a sender has to send along. */
    @GetMapping(path = "/instruments/laser", produces = "application/json")
    @ResponseBody
    public synchronized Map<String, Object> state(@RequestAttribute("_csrf") CsrfToken token) {
        Map<String, Object> state = new LinkedHashMap<>();
        state.put("last", last);
        state.put("header", token.getHeaderName());
        state.put("token", token.getToken());
        return state;
    }

    /** A reading: {@code {"length": "3.214 m", "from": "what sent it"}}. */
    @PostMapping(path = "/instruments/laser", consumes = "application/json")
    @ResponseBody
    public synchronized Map<String, Object> take(@RequestBody Map<String, Object> body) {
        String text = String.valueOf(body.get("length"));
        Measure length;
        try {
            length = UnitText.parse(text, Quantity.LENGTH, null);
        } catch (UnitTextException e) {
            throw WorkOutController.refused("$.length", "Reading", text, e.getMessage() + ", for example 3.214 m");
        }
        if (!(length.si() > 0 && length.si() <= MOST_M)) {
            throw WorkOutController.refused(
                    "$.length",
                    "Reading",
                    text,
                    "is outside 0 to 300 m, what a laser tape reaches; for example 3.214 m");
        }
        Map<String, Object> reading = new LinkedHashMap<>();
        reading.put("number", ++last);
        reading.put("m", length.si());
        reading.put("typed", length.typed());
        String from = String.valueOf(body.getOrDefault("from", ""));
        reading.put("from", from.length() > 60 ? from.substring(0, 60) : from);
        readings.add(reading);
        if (readings.size() > KEPT) {
            readings.remove(0);
        }
        return reading;
    }

    /** Readings after a number; the last fifty are kept. */
    @GetMapping(path = "/instruments/laser/readings", produces = "application/json")
    @ResponseBody
    public synchronized List<Map<String, Object>> after(@RequestParam int after) {
        return readings.stream().filter(r -> (int) r.get("number") > after).toList();
    }
}
