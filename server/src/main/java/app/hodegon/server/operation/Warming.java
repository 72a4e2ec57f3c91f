package app.hodegon.server.operation;

import app.hodegon.server.http.Failure;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.config.ConfigurableListableBeanFactory;
import org.springframework.boot.LazyInitializationExcludeFilter;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.event.EventListener;

/**
 * The server answers its first page before everything is made that later ones need: that follows at once beside it, so
 * that nobody waits for it and what cannot be made is noticed.
 */
@Configuration
class Warming {

    private static final Logger LOG = LoggerFactory.getLogger(Warming.class);

    /** What has a life of its own begins with the server. */
    @Bean
    static LazyInitializationExcludeFilter notLater() {
        return LazyInitializationExcludeFilter.forBeanTypes(SmartLifecycle.class);
    }

    @EventListener
    void ready(ApplicationReadyEvent event) {
        Thread rest = new Thread(() -> make(event.getApplicationContext()), "the-rest");
        rest.setDaemon(true);
        rest.start();
    }

    private static void make(ConfigurableApplicationContext application) {
        ConfigurableListableBeanFactory beans = application.getBeanFactory();
        for (String name : beans.getBeanDefinitionNames()) {
            try {
                if (!beans.getBeanDefinition(name).isAbstract()
                        && beans.getBeanDefinition(name).isSingleton()) beans.getBean(name);
            } catch (RuntimeException failed) {
                // The server may be ending already.
                if (application.isClosed()) return;
                LOG.error("{} could not be made: {}", name, Failure.without(failed));
            }
        }
    }
}
