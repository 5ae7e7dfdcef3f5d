package whipsaw.core.calc;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import whipsaw.core.table.CodeTables;

/** All single calculations by name. */
public final class Topics {
    private final Map<String, Topic> byName = new LinkedHashMap<>();

    public Topics(CodeTables tables) {
        Stream.of(
                        WindTopics.topics(tables),
                        EnTopics.snow(tables),
                        StructureTopics.topics(tables),
                        HoldDownTopics.topics(tables),
                        SurveyTopics.topics(),
                        ShadowTopics.topics(),
                        EnergyTopics.topics(),
                        UseTopics.topics(),
                        List.of(TradeOffTopic.topic()),
                        ElectricalTopics.topics(tables))
                .flatMap(List::stream)
                .forEach(topic -> byName.put(topic.name(), topic));
    }

    /** All topics, in the order of the page. */
    public Collection<Topic> all() {
        return byName.values();
    }

    /** A topic, or null when there is none of that name. */
    public Topic named(String name) {
        return byName.get(name);
    }
}
