package whipsaw.app.web;

import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import whipsaw.app.store.Json;
import whipsaw.app.store.StoreException;
import whipsaw.app.table.CodeTableService;
import whipsaw.core.calc.CalcException;
import whipsaw.core.calc.CalcOutputs;
import whipsaw.core.calc.Results;
import whipsaw.core.calc.Topic;
import whipsaw.core.calc.Topics;

/** Quick calcs: a form for every calculation that needs no job. */
@Controller
public class CalcController {
    private final CodeTableService tables;

    public CalcController(CodeTableService tables) {
        this.tables = tables;
    }

    private Topics topics() {
        return new Topics(tables.tables());
    }

    @GetMapping("/calc")
    public String all(Model model) {
        model.addAttribute("topics", topics().all());
        return "calc";
    }

    /** A calculation with the values in the address, so that it can be kept and sent. */
    @GetMapping("/calc/{name}")
    public String one(@PathVariable String name, @RequestParam Map<String, String> values, Model model) {
        Topic topic = topics().named(name);
        if (topic == null) {
            throw new StoreException("there is no quick calc '" + name + "'");
        }
        Map<String, String> inputs = new LinkedHashMap<>();
        for (Topic.Field field : topic.fields()) {
            String value = values.isEmpty() ? field.example() : values.get(field.key());
            inputs.put(field.key(), value == null ? "" : value.strip());
        }
        model.addAttribute("topics", topics().all());
        model.addAttribute("topic", topic);
        model.addAttribute("inputs", inputs);
        try {
            Map<String, String> given = new LinkedHashMap<>(inputs);
            given.values().removeIf(String::isEmpty);
            CalcOutputs computed = topic.compute(read(given));
            model.addAttribute("results", Results.of(computed.values()));
            model.addAttribute("steps", computed.steps());
        } catch (Json.NotJson e) {
            model.addAttribute("problem", e.getMessage());
        } catch (CalcException e) {
            model.addAttribute("problem", e.getMessage());
            model.addAttribute("problemField", e.field());
        }
        return "calc";
    }

    /** The inputs object: the form's values, or the one text that holds it whole. */
    private static Map<String, ?> read(Map<String, String> given) {
        String whole = given.get(Topic.WHOLE);
        return whole == null ? given : Json.object(whole);
    }
}
