package whipsaw.app.web;

import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.annotation.Configuration;
import org.thymeleaf.context.IExpressionContext;
import org.thymeleaf.linkbuilder.StandardLinkBuilder;
import org.thymeleaf.spring6.SpringTemplateEngine;
import whipsaw.app.job.Looking;

/** Links of a page within a job lead to the same array that the page looks at. */
@Configuration
class LookingLinks {
    @Autowired
    void keepTheArray(SpringTemplateEngine engine, Looking looking) {
        engine.setLinkBuilder(new StandardLinkBuilder() {
            @Override
            protected String processLink(IExpressionContext context, String link) {
                String place = link.startsWith("/jobs/") && !link.contains("array=") ? looking.place() : "";
                return place.isEmpty() ? link : link + (link.contains("?") ? "&" : "?") + "array=" + place;
            }
        });
    }
}
