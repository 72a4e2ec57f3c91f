package app.hodegon.server.http;

import jakarta.servlet.DispatcherType;
import java.io.IOException;
import java.time.Duration;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.boot.web.servlet.ServletRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.web.filter.ShallowEtagHeaderFilter;
import org.springframework.web.servlet.config.annotation.ContentNegotiationConfigurer;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.PathResourceResolver;

/** Serves the interface: hashed assets for a year, and the one page for every address it draws itself. */
@Configuration
class WebConfig implements WebMvcConfigurer {

    private static final String PAGES = "classpath:/static/";

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/assets/**")
                .addResourceLocations(PAGES + "assets/")
                .setCacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePublic().immutable());
        registry.addResourceHandler("/**")
                .addResourceLocations(PAGES)
                .setCacheControl(CacheControl.noCache())
                .resourceChain(true)
                .addResolver(new PathResourceResolver() {
                    @Override
                    protected Resource getResource(String path, Resource location) throws IOException {
                        Resource file = super.getResource(path, location);
                        if (file != null) return file;
                        boolean page = !path.startsWith("api/") && !path.startsWith("v3/") && !path.contains(".");
                        return page ? new ClassPathResource("static/index.html") : null;
                    }
                });
    }

    @Override
    public void configureContentNegotiation(ContentNegotiationConfigurer configurer) {
        configurer.mediaType("webmanifest", MediaType.valueOf("application/manifest+json"));
    }

    @Override
    public void addViewControllers(org.springframework.web.servlet.config.annotation.ViewControllerRegistry registry) {
        registry.addViewController("/").setViewName("forward:/index.html");
    }

    /** Before all else, and once more when a body has come in. */
    @Bean
    FilterRegistrationBean<Bodies> bodies() {
        FilterRegistrationBean<Bodies> filter = new FilterRegistrationBean<>(new Bodies());
        filter.setDispatcherTypes(DispatcherType.REQUEST, DispatcherType.ASYNC);
        filter.setOrder(Ordered.HIGHEST_PRECEDENCE + 10);
        return filter;
    }

    /** Before anything waits for anybody. */
    @Bean
    FilterRegistrationBean<Readers> readers() {
        FilterRegistrationBean<Readers> filter = new FilterRegistrationBean<>(new Readers());
        filter.setDispatcherTypes(DispatcherType.REQUEST, DispatcherType.ASYNC);
        filter.setOrder(Ordered.HIGHEST_PRECEDENCE + 5);
        return filter;
    }

    /** What finds a body in pictures. */
    @Bean
    ServletRegistrationBean<LargeFiles> pose() {
        ServletRegistrationBean<LargeFiles> files =
                new ServletRegistrationBean<>(new LargeFiles("static/pose/"), "/pose/*");
        files.setAsyncSupported(true);
        return files;
    }

    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> refusedHeaders() {
        return tomcat -> tomcat.addEngineValves(new RefusedHeaders());
    }

    @Bean
    FilterRegistrationBean<ShallowEtagHeaderFilter> catalogueTag() {
        FilterRegistrationBean<ShallowEtagHeaderFilter> filter =
                new FilterRegistrationBean<>(new ShallowEtagHeaderFilter());
        filter.addUrlPatterns("/api/catalogue");
        return filter;
    }
}
