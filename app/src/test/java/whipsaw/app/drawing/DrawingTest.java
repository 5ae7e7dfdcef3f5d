package whipsaw.app.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.xpath.XPathConstants;
import javax.xml.xpath.XPathFactory;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Envelope;
import org.w3c.dom.Document;
import org.w3c.dom.NodeList;
import whipsaw.app.catalogue.Seeds;
import whipsaw.app.store.Json;
import whipsaw.core.design.Design;
import whipsaw.core.design.Solver;
import whipsaw.core.job.JobReader;
import whipsaw.core.table.CodeTables;

class DrawingTest {
    private static final Solver SOLVER = new Solver(CodeTables.shipped());

    private static Design design(Map<String, Object> document) {
        return SOLVER.solve(JobReader.read(document, false).job());
    }

    private static Document parse(String svg) throws Exception {
        return DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new ByteArrayInputStream(svg.getBytes(StandardCharsets.UTF_8)));
    }

    private static NodeList find(Document document, String path) throws Exception {
        return (NodeList) XPathFactory.newInstance().newXPath().evaluate(path, document, XPathConstants.NODESET);
    }

    @Test
    void everyPositionHasItsCountAndEveryModuleItsRectangle() throws Exception {
        Design d = design(Seeds.demoJob());
        Document svg = parse(PlanDrawing.forScreen(d, List.of(0, 5)));
        assertThat(find(svg, "//*[@class='counts']/*[local-name()='text']").getLength())
                .isEqualTo(d.holdDown().positions().size());
        String modules = find(svg, "//*[@class='modules']/@d").item(0).getNodeValue();
        assertThat(modules.chars().filter(c -> c == 'M').count())
                .isEqualTo(d.layout().modules().size());
        String marks = find(svg, "//*[@class='mark']/@d").item(0).getNodeValue();
        assertThat(marks.chars().filter(c -> c == 'M').count()).isEqualTo(2);
        assertThat(find(svg, "//*[@data-obstruction]").getLength()).isEqualTo(8);
        assertThat(find(svg, "//*[@data-walkway]").getLength())
                .isEqualTo(d.layout().walkwaysAfter().size());
    }

    @Test
    @SuppressWarnings("unchecked")
    void namesAreEscapedAndPaperHasNoHandles() throws Exception {
        Map<String, Object> document = Seeds.demoJob();
        var roof = (Map<String, Object>) document.get("roof");
        ((List<Map<String, Object>>) roof.get("obstructions")).get(0).put("name", "<i>\"A\" & 'B'");
        Design d = design(document);
        Document paper = parse(PlanDrawing.forPaper(d, true));
        assertThat(find(paper, "//*[@tabindex]").getLength()).isZero();
        assertThat(find(paper, "//*[local-name()='style']").getLength()).isEqualTo(1);
        assertThat(paper.getDocumentElement().getTextContent()).contains("<i>\"A\" & 'B'");
        assertThat(PlanDrawing.forScreen(d, List.of())).doesNotContain("<i>");
        assertThat(parse(SectionDrawing.of(d)).getDocumentElement().getAttribute("aria-label"))
                .contains("Section through three rows");
    }

    @Test
    void thePaperScaleIsTrue() {
        PaperScale scale = PaperScale.of(new Envelope(0, 60, 0, 40));
        assertThat(scale.oneTo()).isEqualTo(400);
        assertThat(scale.widthMm()).isCloseTo(60_000.0 / 400, within(1e-9));
        assertThat(PaperScale.of(new Envelope(0, 20, 0, 60)).heightMm()).isLessThanOrEqualTo(165);
    }

    @Test
    @SuppressWarnings("unchecked")
    void theDataBesideThePlanNamesEveryModuleAndString() {
        Design d = design(Seeds.demoJob());
        Map<String, Object> data = Json.object(PlanData.of(d));
        var modules = (List<List<Object>>) data.get("modules");
        assertThat(modules).hasSize(d.layout().modules().size());
        assertThat(modules).extracting(m -> m.get(5)).doesNotContain("");
        var kinds = (List<String>) data.get("kinds");
        assertThat(modules).allSatisfy(m -> assertThat((Integer) m.get(4)).isBetween(0, kinds.size() - 1));
        assertThat(kinds).anyMatch(k -> k.contains("array edge"));
    }
}
