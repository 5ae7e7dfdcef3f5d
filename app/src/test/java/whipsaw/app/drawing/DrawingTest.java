package whipsaw.app.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
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
import whipsaw.core.units.UnitSystem;

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
        assertThat(find(svg, "//*[@class='counts near']/*[local-name()='text']").getLength())
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
        var roof = ((List<Map<String, Object>>) document.get("roofs")).get(0);
        ((List<Map<String, Object>>) roof.get("obstructions")).get(0).put("name", "<i>\"A\" & 'B'");
        Design d = design(document);
        Document paper = parse(PlanDrawing.forPaper(d, PaperSize.LETTER, true));
        assertThat(find(paper, "//*[@tabindex]").getLength()).isZero();
        assertThat(find(paper, "//*[local-name()='style']").getLength()).isEqualTo(1);
        assertThat(paper.getDocumentElement().getTextContent()).contains("<i>\"A\" & 'B'");
        assertThat(PlanDrawing.forScreen(d, List.of())).doesNotContain("<i>");
        assertThat(parse(SectionDrawing.of(d)).getDocumentElement().getAttribute("aria-label"))
                .contains("Section from A to B", "row gap");
    }

    @Test
    void thePaperScaleIsTrue() {
        PaperScale scale = PaperScale.of(n -> new Envelope(0, 60, 0, 40), PaperSize.A4, UnitSystem.METRIC);
        assertThat(scale.widthMm()).isCloseTo(60_000.0 / scale.oneTo(), within(1e-9));
        assertThat(scale.landscape()).isTrue();
        for (PaperSize paper : PaperSize.values()) {
            for (Envelope box : List.of(new Envelope(0, 20, 0, 60), new Envelope(0, 300, 0, 40))) {
                PaperScale s = PaperScale.of(n -> box, paper, UnitSystem.METRIC);
                double wide = s.landscape() ? paper.longMm() : paper.shortMm();
                double tall = s.landscape() ? paper.shortMm() : paper.longMm();
                assertThat(s.widthMm()).isLessThan(wide - 20);
                assertThat(s.heightMm()).isLessThan(tall - 69);
            }
        }
        Envelope roof = new Envelope(0, 60, 0, 40);
        assertThat(PaperScale.of(n -> roof, PaperSize.A3, UnitSystem.METRIC).oneTo())
                .isLessThan(PaperScale.of(n -> roof, PaperSize.A4, UnitSystem.METRIC)
                        .oneTo());
    }

    @Test
    void aJobInFeetIsDrawnAtAScaleThatIsOnAScaleRule() {
        Set<String> rule = Set.of("1/16", "3/32", "1/8", "3/16", "1/4", "20", "30", "40", "50", "60", "100", "200");
        for (double wideFt : new double[] {18, 60, 140, 290, 610, 1200}) {
            Envelope box = new Envelope(0, wideFt * 0.3048, 0, wideFt * 0.2);
            PaperScale s = PaperScale.of(n -> box, PaperSize.TABLOID, UnitSystem.US);
            Matcher words = Pattern.compile("(?:(\\S+) in = 1 ft|1 in = (\\d+) ft) \\(1 : (\\d+)\\)")
                    .matcher(s.words(UnitSystem.US));
            assertThat(words.matches()).isTrue();
            assertThat(rule).contains(words.group(1) == null ? words.group(2) : words.group(1));
            String[] part = (words.group(1) == null ? "1/" + words.group(2) : words.group(1)).split("/");
            double ratio = 12 * Double.parseDouble(part[1]) / Double.parseDouble(part[0]);
            assertThat(s.oneTo()).isEqualTo((int) Math.round(ratio)).isEqualTo(Integer.parseInt(words.group(3)));
        }
    }

    @Test
    @SuppressWarnings("unchecked")
    void theDataBesideThePlanNamesEveryModuleAndString() {
        Design d = design(Seeds.demoJob());
        Map<String, Object> data = Json.object(PlanData.of(d));
        var runs = (List<List<Number>>) data.get("runs");
        assertThat(runs.stream().mapToInt(r -> r.get(4).intValue()).sum())
                .isEqualTo(d.layout().modules().size());
        var kinds = (List<String>) data.get("kinds");
        assertThat(unpacked(data.get("kind"))).hasSize(d.layout().modules().size());
        assertThat(unpacked(data.get("kind")))
                .allSatisfy(k -> assertThat((Integer) k).isBetween(0, kinds.size() - 1));
        assertThat(unpacked(data.get("string")))
                .hasSize(d.layout().modules().size())
                .doesNotContain("");
        var positions = (Map<String, Object>) data.get("positions");
        long s = 0;
        var steps = (List<Number>) positions.get("s");
        for (int i = 0; i < steps.size(); i++) {
            s += steps.get(i).longValue();
            var p = d.holdDown().positions().get(i);
            assertThat(s / 1000.0).isCloseTo(p.s(), within(0.0006));
            assertThat(unpacked(positions.get("needed")).get(i))
                    .isEqualTo(p.ballast().blocksNeeded());
            int place = (Integer) unpacked(positions.get("place")).get(i) + i + 1;
            assertThat(unpacked(positions.get("row")).get(i) + "-" + place).isEqualTo(p.number());
        }
        assertThat(kinds).anyMatch(k -> k.contains("array edge"));
    }

    /** Values and how often each is repeated, written out. */
    private static List<Object> unpacked(Object pairs) {
        List<?> list = (List<?>) pairs;
        List<Object> all = new ArrayList<>();
        for (int i = 0; i < list.size(); i += 2) {
            all.addAll(Collections.nCopies((Integer) list.get(i + 1), list.get(i)));
        }
        return all;
    }

    @Test
    void areasOfOneCountTakeInEveryPositionOnceAndBordersLieOnlyBetweenOthers() {
        for (Design d : List.of(design(Seeds.demoJob()), design(Seeds.demoJobs().get(1)))) {
            CountRegions all = CountRegions.of(d);
            assertThat(all.regions().stream()
                            .mapToInt(CountRegions.Region::positions)
                            .sum())
                    .isEqualTo(d.holdDown().positions().size());
            int blocks = all.regions().stream()
                    .mapToInt(r -> r.positions() * Integer.parseInt(r.words().replace("!", "")))
                    .sum();
            assertThat(blocks).isEqualTo(d.holdDown().blocks());
            // every number stands on a position with that count
            for (CountRegions.Region r : all.regions()) {
                boolean odd = r.rows() % 2 == 1;
                assertThat(d.holdDown().positions())
                        .anyMatch(p -> r.words()
                                        .equals(p.ballast().blocksPlaced()
                                                + (p.ballast().full() ? "!" : ""))
                                && Math.abs(p.s() - r.s()) < d.layout().columnPitchM() * (odd ? 0.05 : 0.55)
                                && Math.abs(p.t() - r.t()) < d.layout().pitchM() * (odd ? 0.05 : 0.55));
            }
            for (double[] b : all.borders()) {
                assertThat(b[0] == b[2] || b[1] == b[3]).isTrue();
            }
        }
    }
}
