package whipsaw.core.catalogue;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import whipsaw.core.schema.Codec;
import whipsaw.core.schema.Doc;
import whipsaw.core.schema.JsonSchema;
import whipsaw.core.schema.Slot;

/** A coefficient of friction for each covering that has been tested. */
final class FrictionByCovering implements Codec {
    @Override
    public Object read(Doc doc, Slot slot) {
        Map<String, Double> friction = new LinkedHashMap<>();
        Doc pads = doc.member(slot.key(), slot.label(), "");
        if (pads != null) {
            for (String covering : TraySystem.COVERINGS) {
                if (pads.has(covering)) {
                    friction.put(
                            covering,
                            pads.number(
                                    covering,
                                    "Friction on " + covering,
                                    slot.input().least(),
                                    slot.input().most()));
                }
            }
            pads.done();
        }
        return friction;
    }

    @Override
    public Object write(Object value, Slot slot) {
        Map<String, Object> friction = new LinkedHashMap<>();
        for (String covering : TraySystem.COVERINGS) {
            if (((Map<?, ?>) value).get(covering) != null) {
                friction.put(covering, ((Map<?, ?>) value).get(covering));
            }
        }
        return friction;
    }

    @Override
    public Map<String, Object> schema(Slot slot, JsonSchema.Definitions definitions) {
        Map<String, Object> properties = new LinkedHashMap<>();
        for (String covering : TraySystem.COVERINGS) {
            properties.put(
                    covering,
                    JsonSchema.number(
                            "number", slot.input().least(), slot.input().most()));
        }
        return JsonSchema.object(properties, List.of());
    }
}
